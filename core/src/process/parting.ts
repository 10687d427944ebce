import { ALCOHOL, FAT, INERT, POOL_COUNT, PROTEIN, SALT, SOLID, SOLUBLE, STARCH, WATER } from '../program'
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
  WASHED,
  WHEY,
} from './accounts'
import type { Bench } from './bench'
import { partingFraction } from './laws/parting'
import { bind, evenOut, takeUp } from './solutes'
import { COARSE, DEVELOPMENT, LOOSE, PARTICLE_UM, PRESSED_FROM_G, STRIDE } from './workspace'

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

/** Something sticks to bowl, board or jug: the less, the thinner. */
function leaveOnTools(bench: Bench): void {
  const { op } = bench
  const thin = Number.isNaN(op.thinKeeps) ? 0 : thinness(bench)
  for (let at = 0; at < op.rows.length; at += 1) {
    const thick = op.constants.keeps[at] ?? Number.NaN
    const keeps = thick + thin * ((Number.isNaN(op.thinKeeps) ? thick : op.thinKeeps) - thick)
    if (keeps < 1) bench.shedAll(op.rows[at] ?? 0, 1 - keeps, ON_TOOLS)
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
function whey(bench: Bench): void {
  const { op } = bench
  const keeps = [...op.constants.keeps].find((known) => !Number.isNaN(known)) ?? 1
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

/** Gluten that washing keeps of a flour's protein, and the starch that stays in it. @source recovery 0.75 to 0.85; rest of starch 10 to 20 % of the dry mass; process 3.27 */
const WASHED_PROTEIN = 0.8
const WASHED_STARCH = 0.06
const WASHED_SOLID = 0.25
const WASHED_FAT = 0.7
const WASHED_DEVELOPMENT = 0.7
/** Water of wet gluten, share of its mass. @source 65 to 70 %; ISO 21415-1 */
const GLUTEN_WATER = 0.66

function wash(bench: Bench): void {
  const { op, rows } = bench
  for (const row of op.rows) {
    const from = row * STRIDE
    if (!bench.entry(row).hasGluten) {
      bench.shedAll(row, 1, WASHED)
      continue
    }
    bench.shedLoose(row, 1, WASHED)
    bench.shed(row, PROTEIN, 1 - WASHED_PROTEIN, WASHED)
    bench.shed(row, STARCH, 1 - WASHED_STARCH, WASHED)
    bench.shed(row, SOLID, 1 - WASHED_SOLID, WASHED)
    bench.shed(row, FAT, 1 - WASHED_FAT, WASHED)
    for (const pool of [SALT, SOLUBLE, ALCOHOL]) bench.shed(row, pool, 1, WASHED)
    const dry = bench.heldG(row) - (rows[from + WATER] ?? 0)
    const wanted = (dry * GLUTEN_WATER) / (1 - GLUTEN_WATER)
    const water = rows[from + WATER] ?? 0
    if (wanted > water) bench.gain(row, WATER, wanted - water, TAKEN_UP)
    else if (water > 0) bench.shed(row, WATER, 1 - wanted / water, WASHED)
    rows[from + DEVELOPMENT] = Math.max(rows[from + DEVELOPMENT] ?? 0, WASHED_DEVELOPMENT)
  }
}

/** Of the milk's solids, what the curd keeps; its water. @source 0.6 to 0.75 of milk solids; firm curd 75 to 80 % water; process 3.26 */
const CURD_KEEPS: readonly (readonly [pool: number, share: number])[] = [
  [PROTEIN, 0.88],
  [FAT, 0.92],
  [STARCH, 0.6],
  [SOLID, 0.55],
  [INERT, 1],
]

/** Milk parts into curd and whey: the curd takes its constant's share of the mass. */
function curdle(bench: Bench): void {
  const { op, rows } = bench
  const keeps = [...op.constants.keeps].find((known) => !Number.isNaN(known))
  if (keeps === undefined) return
  bench.sum()
  const target = bench.massG * keeps * Math.exp(bench.lnRate)
  for (const row of op.rows) {
    for (let pool = 0; pool < POOL_COUNT; pool += 1)
      bench.move(row, LOOSE + pool, pool, rows[row * STRIDE + LOOSE + pool] ?? 0)
    for (const [pool, share] of CURD_KEEPS) bench.shed(row, pool, 1 - share, WHEY)
    rows[row * STRIDE + COARSE] = 1
  }
  bench.sum()
  const dry = bench.massG - bench.waterG
  const juice = bench.waterG > 0 ? Math.min(1, Math.max(0, 1 - (target - dry) / bench.waterG)) : 0
  for (const row of op.rows) for (const pool of JUICE) bench.shed(row, pool, juice, WHEY)
}

/** Flour and crumbs take up what lies loose round coated food from this share of it on, g dry per g water. Practice. */
const COATING = 0.3
/** Batter and breaded coats hold their liquid; glaze and marinade lie loose. */
function cling(bench: Bench): void {
  bench.sum()
  if (bench.looseWaterG <= 0) return
  let dryG = 0
  for (const row of bench.op.rows) {
    const { particle, isDry, food } = bench.entry(row)
    const isPowder = isDry && particle.pieceMm === 0
    if (
      !isPowder &&
      food?.foodClass !== 'flour' &&
      food?.foodClass !== 'starch' &&
      food?.foodClass !== 'grain'
    )
      continue
    for (const pool of [PROTEIN, STARCH, SOLID])
      dryG += (bench.rows[row * STRIDE + LOOSE + pool] ?? 0) + (bench.rows[row * STRIDE + pool] ?? 0)
  }
  if (dryG > COATING * bench.looseWaterG) bind(bench, 'body')
}

/** What is dropped into the bath holds its liquid from then on. */
function gel(bench: Bench): void {
  for (const row of bench.op.gelRows)
    for (let pool = 0; pool < POOL_COUNT; pool += 1)
      bench.move(row, LOOSE + pool, pool, bench.rows[row * STRIDE + LOOSE + pool] ?? 0)
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
