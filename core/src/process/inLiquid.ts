import { ALCOHOL, FAT, PROTEIN, SALT, SOLID, SOLUBLE, STARCH, WATER } from '../program'
import { BROTH_TAKEN_UP, EVAPORATED, INTO_WATER, TAKEN_UP } from './accounts'
import type { Bench } from './bench'
import { bringDown } from './drying'
import { wantedLoss } from './ends'
import {
  type Bubbling,
  hobLimit,
  SLOW_COOKER,
  stillSurface,
  SURFACE_G_PER_MIN_DM2,
  surfaceRate,
} from './laws/evaporation'
import { partingFraction } from './laws/parting'
import { uptakeAfter } from './laws/uptake'
import { evenOut, takeUp } from './solutes'
import { CORE_C, LOOSE, SOAKED, STRIDE } from './workspace'

const BUBBLING: Partial<Record<string, Bubbling>> = {
  boil: 'boil',
  reduce: 'rapid',
  simmer: 'gentle',
  thicken: 'gentle',
  heat: 'gentle',
  absorb: 'gentle',
  'pressure-cook': 'warm',
}
const POWER_KW = 2
/** What is warmer than this was heated, and is held. C */
const HELD_FROM_C = 45
/** Below this the pot only steams. C */
const WARM_BELOW_C = 85
/** Alcohol that stays however long it cooks, and how fast the rest goes. @source 40 % left at 15 min, 25 % at 1 h: USDA retention table */
const ALCOHOL_STAYS = 0.25
const ALCOHOL_TAU_MIN = 9.3
/** With less water than this share the surface is no longer wet all over. Practice. */
const WET_SURFACE_SHARE = 0.3
const LID = { off: 'off', ajar: 'ajar', on: 'on' } as const
const SOAKING: ReadonlySet<string> = new Set(['soak', 'hydrate', 'desalt', 'infuse'])
const COVERED_BY_CUSTOM: ReadonlySet<string> = new Set(['absorb', 'pressure-cook'])
/** Uptake halves its time for every so many degrees in soaking. @source Peleg fits of legumes: 15 to 25 C; practice */
const HALVING_C = 18
const REFERENCE_C = 20
/** A pot that gives off less than this share of what is in it dries out never, 1/min. */
/** A pot that only comes to the boil gives off what so many minutes of boiling do. Practice. */
const RISE_MIN = 3
/** Share of the broth that a dough takes up in a tied cloth. Practice. */
const CLOTH = 0.5
/** Less uptake than this, per gram of solids, is arithmetic. */
const ROUNDING = 1e-12
const LEAST_RATE = 1e-5
/** Film that stays on pieces lifted from the water, share of their mass. Practice. */
const TAP_FILM = 0.02

/** What goes into the water while a dry food fills. */
const LEACHING = [SOLUBLE, PROTEIN, STARCH, SOLID] as const

function loseAlcohol(bench: Bench, minutes: number): void {
  const gone = (1 - ALCOHOL_STAYS) * (1 - Math.exp(-minutes / ALCOHOL_TAU_MIN))
  for (const row of bench.op.rows) {
    bench.shed(row, ALCOHOL, gone, EVAPORATED)
    bench.shed(row, LOOSE + ALCOHOL, gone, EVAPORATED)
  }
}

/** Water that each dry food takes up until it is full, from the lot's own liquid or from the tap. */
export function fill(bench: Bench, minutes: number, tempC: number, fromTap: boolean): void {
  const { op, rows } = bench
  const { saturation, tauMin, lost } = op.constants
  const quicker = SOAKING.has(op.rateKey) ? 2 ** ((tempC - REFERENCE_C) / HALVING_C) : 1
  for (let at = 0; at < op.rows.length; at += 1) {
    const full = saturation[at] ?? Number.NaN
    if (Number.isNaN(full)) continue
    const row = op.rows[at] ?? 0
    const from = row * STRIDE
    const tau = (tauMin[at] ?? 1) / quicker
    const gone = (lost[at] ?? 0) * (1 - Math.exp(-minutes / tau))
    if (gone > 0)
      for (const pool of LEACHING) {
        if (fromTap) bench.shed(row, pool, gone, INTO_WATER)
        else bench.move(row, pool, LOOSE + pool, gone * (rows[from + pool] ?? 0))
      }
    const solids = bench.solidsOf(row) + (rows[from + FAT] ?? 0)
    if (solids <= 0) continue
    const ratio = uptakeAfter((rows[from + WATER] ?? 0) / solids, full * Math.exp(bench.lnRate), minutes, tau)
    const wanted = solids * ratio - (rows[from + WATER] ?? 0)
    if (wanted <= ROUNDING * solids) continue
    if (fromTap) bench.gain(row, WATER, wanted, TAKEN_UP)
    else takeUp(bench, row, wanted)
    rows[from + SOAKED] = Math.max(rows[from + SOAKED] ?? 0, 1 - Math.exp(-minutes / tau))
  }
}

/** Dough swells in its broth as one body; broth that is listed is what it takes. */
function swell(bench: Bench, minutes: number): void {
  const { op, rows } = bench
  if (Number.isNaN(op.swellSaturation)) return
  let water = 0
  let solids = 0
  for (const row of op.rows) {
    water += rows[row * STRIDE + WATER] ?? 0
    for (const pool of [SALT, SOLUBLE, PROTEIN, STARCH, SOLID]) solids += rows[row * STRIDE + pool] ?? 0
  }
  if (solids <= 0 || water <= 0) return
  const full = uptakeAfter(
    water / solids,
    op.swellSaturation * Math.exp(bench.lnRate),
    minutes,
    op.swellTauMin,
  )
  // A tied cloth holds the roll to its size.
  const gain = (solids * full - water) * (op.isWrapped ? CLOTH : 1)
  if (gain <= 0) return
  bench.sum()
  const hasBroth = bench.looseWaterG > 0
  for (const row of op.rows) {
    const share = (rows[row * STRIDE + WATER] ?? 0) / water
    if (share <= 0) continue
    if (hasBroth) takeUp(bench, row, gain * share)
    else bench.gain(row, WATER, gain * share, BROTH_TAKEN_UP)
  }
}

/** Wet food in water that is poured away: a little water leaves or enters. */
function blanch(bench: Bench, minutes: number): void {
  const { op } = bench
  for (let at = 0; at < op.rows.length; at += 1) {
    const longTime = op.constants.keeps[at] ?? Number.NaN
    if (Number.isNaN(longTime)) continue
    const row = op.rows[at] ?? 0
    const change = bench.heldG(row) * (partingFraction('boil-wet', longTime, minutes) - 1)
    if (change > 0) bench.gain(row, WATER, change, TAKEN_UP)
    else if (change < 0) {
      const water = bench.rows[row * STRIDE + WATER] ?? 0
      if (water > 0) bench.shed(row, WATER, Math.min(1, -change / water), INTO_WATER)
    }
  }
}

/** Grams a minute that leave one load of the pot. */
function potRate(bench: Bench): number {
  const { op, placed, program } = bench
  const { settings } = op.step
  const id = op.spec?.id ?? ''
  // "Hold there for 20 minutes": as warm as it is.
  const coreC = bench.lots[bench.lotAt + CORE_C] ?? 0
  const goesOn = id === 'heat' && Number.isNaN(bench.tempC) && coreC > HELD_FROM_C && coreC < WARM_BELOW_C
  const tempC = goesOn && !op.reachesBoil ? coreC : bench.tempC
  const isWarm = !Number.isNaN(tempC) && tempC < WARM_BELOW_C
  const bubbling =
    settings.heat === 'high' && id === 'simmer' ? 'rapid' : op.isSlow ? 'warm' : (BUBBLING[id] ?? 'gentle')
  const perDm2 = isWarm
    ? stillSurface(tempC)
    : SURFACE_G_PER_MIN_DM2[bubbling] * (op.isSlow ? SLOW_COOKER : 1)
  const lid = LID[settings.lid ?? (COVERED_BY_CUSTOM.has(id) || op.isSlow ? 'on' : 'off')]
  const limit = hobLimit(program.kitchen.equipment.find(({ kind }) => kind === 'hob')?.powerKw ?? POWER_KW)
  const share = bench.massG > 0 ? bench.waterG / bench.massG : 1
  const wetness = Math.min(1, share / WET_SURFACE_SHARE)
  return surfaceRate(perDm2, placed.areaDm2, lid, 1 - share, limit) * wetness * Math.exp(bench.lnRate)
}

/** Dry food that boils is kept under water: a cook tops the pot up before it boils dry. Practice. */
const COVERS = 0.1
function coveredBy(bench: Bench): number {
  const { op } = bench
  if (op.spec?.id !== 'boil' || !op.constants.saturation.some((full) => !Number.isNaN(full))) return 0
  return Math.min(bench.waterG, bench.heldWaterG + COVERS * (bench.massG - bench.looseG))
}

/** Vapour from an open or covered pot; a stated end decides where one is given. */
function boilOff(bench: Bench): number {
  bench.sum()
  const { op, placed } = bench
  const rate = potRate(bench) * placed.loads
  const wanted = wantedLoss(bench)
  const usual = op.isRise ? RISE_MIN : (op.spec?.usualMin ?? 0)
  if (wanted > 0) {
    const left = bringDown(bench, wanted)
    bench.impossibleG = Math.max(bench.impossibleG, wanted - left)
    if (!Number.isNaN(bench.minutes)) return bench.minutes
    return rate > LEAST_RATE * bench.massG ? left / rate : usual
  }
  const taken = Number.isNaN(bench.minutes) ? usual : bench.minutes
  bringDown(bench, Math.min(rate * taken, bench.waterG - coveredBy(bench)))
  return taken
}

/** What leached into the water of the tap is poured away with it; a film of it stays. */
function pourTapAway(bench: Bench, tapG: number): void {
  let pieces = 0
  for (const row of bench.op.rows) pieces += bench.heldG(row)
  const keeps = Math.min(1, (TAP_FILM * pieces) / Math.max(tapG, 1e-9))
  for (const row of bench.op.rows)
    for (const pool of [SALT, SOLUBLE, ALCOHOL]) bench.shed(row, LOOSE + pool, 1 - keeps, INTO_WATER)
}

/** Food in liquid, at rest or on the fire: it fills, swells, evens out its salt; open pots give off vapour. */
export function inLiquid(bench: Bench): number {
  const { op } = bench
  const usual = op.isRise ? RISE_MIN : (op.spec?.usualMin ?? 0)
  const taken = Number.isNaN(bench.minutes) ? usual : bench.minutes
  const tempC = Number.isNaN(bench.tempC) ? REFERENCE_C : bench.tempC
  const isBoiling = !SOAKING.has(op.rateKey)
  bench.sum()
  const tapG = op.tapRatio * (bench.massG - bench.looseG)
  if (op.isDough && isBoiling) {
    if (op.spec?.id !== 'heat' && op.spec?.id !== 'reduce') swell(bench, taken)
    evenOut(bench, taken, tempC, 0)
    loseAlcohol(bench, taken)
    return taken
  }
  fill(bench, taken, tempC, tapG > 0)
  if (tapG > 0 && isBoiling && op.isTapDiscarded) blanch(bench, taken)
  if (op.phase !== 'liquid') evenOut(bench, taken, tempC, tapG)
  if (tapG > 0 && op.isTapDiscarded) pourTapAway(bench, tapG)
  if (!isBoiling) return taken
  const minutes = tapG > 0 || (op.isDrained && op.step.until === null) ? taken : boilOff(bench)
  loseAlcohol(bench, minutes)
  return minutes
}
