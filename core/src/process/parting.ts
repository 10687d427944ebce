import { ALCOHOL, FAT, POOL_COUNT, PROTEIN, SALT, SOLID, SOLUBLE, STARCH, WATER } from '../program'
import {
  CONDENSED,
  DRAINED,
  DRIPPED,
  IN_LIQUOR,
  INTO_WATER,
  ON_TOOLS,
  PRESSED,
  RINSED,
  SQUEEZED,
  STRAINED,
  TAKEN_UP,
  TRIMMED,
  WHEY,
} from './accounts'
import type { Bench } from './bench'
import { partingFraction } from './laws/parting'
import { cling, curdle, gel, wash } from './making'
import { evenOut, takeUp } from './solutes'
import { LOOSE, PARTICLE_UM, PRESSED_FROM_G, STRIDE } from './workspace'

/** Liquid that stays on drained pieces, share of their mass. @source film 3 to 6 % of beans, 1 to 2 % cubes; practice */
const FILM = 0.03
/** Salt that a rinse takes off drained canned food. @source sodium −36 % drained, −41 % rinsed: Duyff, Mount and Jones 2011 */
const RINSED_SALT = 1 - (1 - 0.41) / (1 - 0.36)
const JUICE = [WATER, SALT, SOLUBLE, ALCOHOL] as const

/** The liquor goes, a film of it stays on the pieces. Draining twice changes nothing more. */
export function drain(bench: Bench, account = DRAINED): void {
  bench.sum()
  const pieces = bench.massG - bench.looseG
  if (pieces <= 0 || bench.looseG <= 0) return
  const share = 1 - Math.min(1, (FILM * pieces) / bench.looseG)
  if (share <= 0) return
  for (const row of bench.op.rows) bench.shedLoose(row, share, account)
}

/** The food is lifted out of the liquor that it lay in. */
export const leaveLiquor = (bench: Bench): void => {
  drain(bench, IN_LIQUOR)
}

/** Juice leaves a row: water, with what is dissolved in it. */
function drip(bench: Bench, row: number, grams: number, account: number): void {
  let juice = 0
  for (const pool of JUICE) juice += bench.rows[row * STRIDE + pool] ?? 0
  if (juice <= 0 || grams <= 0) return
  const share = Math.min(1, grams / juice)
  for (const pool of JUICE) bench.shed(row, pool, share, account)
}

function rinse(bench: Bench): void {
  drain(bench)
  for (const row of bench.op.rows) {
    bench.shed(row, SALT, RINSED_SALT, RINSED)
    bench.shed(row, LOOSE + SALT, RINSED_SALT, RINSED)
  }
}

/** Brined food in changes of water: salt leaves, a little water enters or leaves. */
function desalt(bench: Bench, minutes: number): void {
  drain(bench)
  bench.sum()
  const tapG = bench.op.tapRatio * bench.massG
  evenOut(bench, minutes, 20, tapG)
  const { op } = bench
  for (let at = 0; at < op.rows.length; at += 1) {
    const keeps = op.constants.keeps[at] ?? Number.NaN
    const row = op.rows[at] ?? 0
    for (const pool of [SALT, SOLUBLE, ALCOHOL]) bench.shed(row, LOOSE + pool, 1, RINSED)
    if (Number.isNaN(keeps)) continue
    const change = bench.heldG(row) * (partingFraction('desalt', keeps, minutes) - 1)
    if (change > 0) bench.gain(row, WATER, change, TAKEN_UP)
    else drip(bench, row, -change, INTO_WATER)
  }
}

/** Juice leaves under weight, by hand, or after freezing; what lay loose goes first. */
function pressOut(bench: Bench, minutes: number): void {
  const { op, rows } = bench
  const isPress = op.spec?.id === 'press'
  const account = isPress ? PRESSED : SQUEEZED
  drain(bench, account)
  for (let at = 0; at < op.rows.length; at += 1) {
    const keeps = op.constants.keeps[at] ?? Number.NaN
    if (!(keeps < 1)) continue
    const row = op.rows[at] ?? 0
    const mass = bench.massOf(row)
    if (!isPress) {
      drip(bench, row, mass * (1 - partingFraction(op.rateKey, keeps, minutes)), account)
      continue
    }
    const from = row * STRIDE + PRESSED_FROM_G
    if ((rows[from] ?? 0) === 0) rows[from] = mass
    const rest = (rows[from] ?? 0) * (1 - (1 - keeps) * Math.exp(bench.lnRate))
    const target = rest + (mass - rest) * partingFraction('press', 0, minutes)
    if (target < mass) drip(bench, row, mass - target, account)
  }
}

/** Water, and water with fat, from which on what is blended begins to leave the jug clean, and the share until it all does. Practice. */
const THICK_WATER = 0.8
const THICK_WET = 0.88
const THINNING = 0.1

/** How far what is blended runs like milk, 0 to 1. */
function thinness(bench: Bench): number {
  const { op, rows } = bench
  bench.sum()
  let fatG = 0
  for (const row of op.rows) fatG += (rows[row * STRIDE + FAT] ?? 0) + (rows[row * STRIDE + LOOSE + FAT] ?? 0)
  const water = bench.waterG / Math.max(bench.massG, 1e-9)
  const wet = water + fatG / Math.max(bench.massG, 1e-9)
  return Math.min(1, Math.max(0, (water - THICK_WATER) / THINNING, (wet - THICK_WET) / THINNING))
}

/** The share that sticks was weighed with a jug filled so far. @source yields: 300 to 600 g in a jug of 1.4 kg; practice */
const JUG_FILLED = 1 / 3

/** Something sticks to bowl, board or jug: the less, the thinner. */
function leaveOnTools(bench: Bench): void {
  const { op } = bench
  const thin = Number.isNaN(op.thinKeeps) ? 0 : thinness(bench)
  bench.sum()
  // A film on a jug: a full one loses a smaller share than a little in it.
  const load = bench.massG / Math.max(1, bench.placed.loads)
  const usualG = JUG_FILLED * (bench.placed.vessel?.capacityG ?? 0)
  const jugShare = usualG > 0 && load > usualG ? Math.sqrt(usualG / load) : 1
  for (let at = 0; at < op.rows.length; at += 1) {
    const thick = op.constants.keeps[at] ?? Number.NaN
    const keeps = thick + thin * ((Number.isNaN(op.thinKeeps) ? thick : op.thinKeeps) - thick)
    if (keeps < 1) bench.shedAll(op.rows[at] ?? 0, (1 - keeps) * jugShare, ON_TOOLS)
  }
}

function trim(bench: Bench): void {
  const { op } = bench
  for (let at = 0; at < op.rows.length; at += 1) {
    const share = op.constants.refuse[at] ?? 0
    if (share > 0) bench.shedAll(op.rows[at] ?? 0, share, TRIMMED)
  }
}

/** Steam condenses on cool food, or juice drips from it. */
function steam(bench: Bench, minutes: number): void {
  const { op } = bench
  for (let at = 0; at < op.rows.length; at += 1) {
    const keeps = op.constants.keeps[at] ?? Number.NaN
    if (Number.isNaN(keeps)) continue
    const row = op.rows[at] ?? 0
    const change =
      bench.heldG(row) * (partingFraction(op.rateKey, keeps, minutes) - 1) * Math.exp(bench.lnRate)
    if (change > 0) bench.gain(row, WATER, change, CONDENSED)
    else if (change < 0) drip(bench, row, -change, DRIPPED)
  }
}

/** Salt evens out with the marinade, and some of its water goes in by a food's own constant. */
function marinate(bench: Bench, minutes: number): void {
  const { op } = bench
  for (let at = 0; at < op.rows.length; at += 1) {
    const keeps = op.constants.keeps[at] ?? Number.NaN
    if (!(keeps > 1)) continue
    const row = op.rows[at] ?? 0
    const gain = bench.heldG(row) * (partingFraction('marinate', keeps, minutes) - 1)
    if (gain > 0) takeUp(bench, row, gain)
  }
  evenOut(bench, minutes, Number.isNaN(bench.tempC) ? 5 : bench.tempC, 0)
}

/** Insoluble matter that a cloth keeps from a nut or soy milk, and the water it holds, g/g. @source pulp 1.5 to 2.5; practice */
const PULP_SOLIDS = 0.5
const PULP_WATER = 2
/** Particles that pass a cloth or a fine sieve, um. Practice. */
const CLOTH_UM = 150
/** What was soaked and boiled out stays in the sieve where the liquid is what is wanted. */
const STOCK_SHARE = 0.7

/** A blended liquid loses its pulp; a stock its pieces; a curd its whey. */
function strain(bench: Bench): void {
  const { op, rows } = bench
  bench.sum()
  if (op.phaseBefore === 'liquid') {
    let pulp = 0
    for (const row of op.rows)
      if (!bench.entry(row).isLiquid)
        for (const pool of [PROTEIN, STARCH, SOLID, FAT])
          pulp += bench.shed(row, LOOSE + pool, PULP_SOLIDS, STRAINED)
    const held = Math.min(0.9, (PULP_WATER * pulp) / Math.max(bench.waterG, 1e-9))
    for (const row of op.rows) {
      for (const pool of [WATER, SALT, SOLUBLE]) bench.shed(row, LOOSE + pool, held, STRAINED)
      const um = row * STRIDE + PARTICLE_UM
      rows[um] = Math.min(rows[um] ?? 0, CLOTH_UM)
    }
    return
  }
  if (isFatBath(bench)) {
    strainFat(bench)
    return
  }
  if (bench.looseG > STOCK_SHARE * bench.massG) {
    for (const row of op.rows)
      for (let pool = 0; pool < POOL_COUNT; pool += 1) bench.shed(row, pool, 1, STRAINED)
    return
  }
  if (bench.looseG > 0 && op.phaseBefore === 'pieces') {
    drain(bench, STRAINED)
    const keeps = [...op.constants.keeps].find((known) => known < 1)
    if (keeps === undefined) return
  }
  whey(bench)
}

/** A curd is strained to what the words say is left of it. */
export function strainTo(bench: Bench, lossG: number): boolean {
  const { op } = bench
  bench.sum()
  const isCurd = op.phaseBefore === 'body' && !isFatBath(bench) && bench.looseG <= STOCK_SHARE * bench.massG
  if (isCurd && bench.massG > 0) whey(bench, 1 - Math.min(1, Math.max(0, lossG) / bench.massG))
  return isCurd
}

/** Fat of which a lot must mostly be for what lies in it to be strained out. */
const FAT_SHARE = 0.5
/** Fat that stays on what is strained out of it, g/g. Practice. */
const CLINGS = 0.15

function isFatBath(bench: Bench): boolean {
  let fatG = 0
  for (const row of bench.op.rows) if (bench.entry(row).food?.foodClass === 'fat') fatG += bench.massOf(row)
  return bench.op.phaseBefore === 'pieces' && fatG > FAT_SHARE * bench.massG
}

/** Onions, spices and herbs are strained out of the fat that they flavoured. */
function strainFat(bench: Bench): void {
  let solidsG = 0
  let fatG = 0
  for (const row of bench.op.rows) {
    if (bench.entry(row).food?.foodClass === 'fat') fatG += bench.massOf(row)
    else {
      solidsG += bench.massOf(row)
      bench.shedAll(row, 1, STRAINED)
    }
  }
  const clings = Math.min(0.9, (CLINGS * solidsG) / Math.max(fatG, 1e-9))
  for (const row of bench.op.rows)
    if (bench.entry(row).food?.foodClass === 'fat') bench.shedAll(row, clings, STRAINED)
}

/** What a cloth keeps of a curd, from its first food that has a constant; juice of all leaves. */
function whey(bench: Bench, stated = Number.NaN): void {
  const { op } = bench
  const known = [...op.constants.keeps].find((one) => !Number.isNaN(one)) ?? 1
  const keeps = Number.isNaN(stated) ? known : stated
  if (keeps >= 1) return
  for (const row of op.rows) {
    const mass = bench.massOf(row)
    drip(bench, row, mass * (1 - keeps), WHEY)
    bench.shedLoose(row, 1 - keeps, WHEY)
  }
}

/** Dry heat drives off the little water that nuts, seeds and spices hold. */
function toast(bench: Bench, minutes: number): void {
  const { op } = bench
  for (let at = 0; at < op.rows.length; at += 1) {
    const keeps = op.constants.keeps[at] ?? Number.NaN
    if (!(keeps < 1)) continue
    const row = op.rows[at] ?? 0
    const loss = bench.heldG(row) * (1 - partingFraction('toast', keeps, minutes)) * Math.exp(bench.lnRate)
    bench.evaporate(row, WATER, loss)
  }
}

/** Operations that part food from water, juice, trimmings or crumbs, or that let something cling to it. */
export function part(bench: Bench, minutes: number): void {
  switch (bench.op.spec?.id) {
    case 'coat':
      cling(bench)
      break
    case 'spherify':
      gel(bench)
      break
    case 'drain':
      drain(bench)
      break
    case 'rinse':
      rinse(bench)
      break
    case 'desalt':
      desalt(bench, minutes)
      break
    case 'press':
    case 'squeeze':
    case 'freeze-thaw':
      pressOut(bench, minutes)
      break
    case 'chop':
    case 'grate':
    case 'rice':
    case 'mash':
    case 'blend':
      leaveOnTools(bench)
      break
    case 'trim':
      trim(bench)
      break
    case 'steam':
      steam(bench, minutes)
      break
    case 'marinate':
      marinate(bench, minutes)
      break
    case 'strain':
      strain(bench)
      break
    case 'toast':
      toast(bench, minutes)
      break
    case 'wash-gluten':
      wash(bench)
      break
    case 'coagulate':
      curdle(bench)
      break
    default:
      break
  }
}
