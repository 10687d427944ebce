import { PROTEIN, STARCH, WATER } from '../program'
import type { Form } from '../model'
import type { Bench } from './bench'
import { LAST_WATER, LEATHERY_WATER, temperatureScale } from './laws/drying'
import { type Air, airLimit, hobLimit, PAN_G_PER_MIN_DM2 } from './laws/evaporation'
import { LOOSE, poolOf, STRIDE } from './workspace'

/** Thickness at which a form's constant holds, mm. @source the yields table's pieces */
export const USUAL_THICKNESS_MM: Readonly<Record<Form, number>> = {
  pieces: 12,
  strip: 4,
  cube: 20,
  crumble: 10,
  patty: 20,
  ball: 38,
  log: 25,
  loaf: 70,
  breaded: 12,
}
const LEAST_THICKNESS_SCALE = 0.3
const MOST_THICKNESS_SCALE = 3
/** Free liquid has no skin to cross, 1/min. Practice; the heat limits it first. */
const LIQUID_PER_MIN = 0.3
/** Wrapped food keeps its vapour: this share of what lies loose in it gets out. Practice. */
const WRAPPED = 0.04
/** "Dry" = this share of the water that went in is left: sizzle turns to crackle. Practice. */
export const DRY_LEAVES = 0.45
/** A burner whose power is not known, kW. Practice. */
const POWER_KW = 2
/** Loose and shaped food shows air more than its footprint. Practice. */
const SHOWN_AREA = 1.3
/** What a dehydrator's air carries off, g a minute and dm2 of tray. @source full load k × 0.7; five trays of 8 dm2; practice */
const DRYER_LIMIT_G_PER_MIN_DM2 = 0.3
const DRYER_AREA_DM2 = 40
/** Sauce of half this share of the food covers half of it: what is under sauce does not dry as if bare. Practice. */
const COVER_HALF = 0.2
/** A dish is so deep: g of food on each dm2. Practice. */
const DISH_G_PER_DM2 = 260
/** A cake or a loaf in its tin stands so deep, g on each dm2; heat that comes through the tin drives vapour out, too. @source 770 g of batter in 23 cm; bread_bake of the yields; practice */
const TIN_G_PER_DM2 = 185
const TIN_HEAT = 1.6
/** Foam is piped on a tray as light as that, g on each dm2. @source 270 g on two trays of 12 dm2; practice */
const FOAM_G_PER_DM2 = 12
const MOST_TURNS = 26
export const MOST_MINUTES = 2880

/** A batter or a custard sets a skin: it gives off less than a thin sauce. @source thick pastes 0.5 to 0.7; process 3.21 */
const SKIN_FACTOR = 0.55
const SKIN_SOLIDS = 0.18
function skinned({ solidsG, massG }: Bench): number {
  const share = massG > 0 ? solidsG / massG : 0
  return 1 - (1 - SKIN_FACTOR) / (1 + Math.exp((SKIN_SOLIDS - share) / 0.03))
}

/** A pan of sauce, or of pieces in so much of their juice, is one load, however full. Practice. */
const JUICY = 0.2
function setsIn({ op, rows, massG }: Bench): number {
  let sets = 0
  for (const row of op.rows) sets += poolOf(rows, row, PROTEIN) + poolOf(rows, row, STARCH)
  return massG > 0 ? sets / massG : 0
}
/** What lies in a pan as a liquid, or in one; a batter sets and is none. */
export const isPoured = (bench: Bench): boolean =>
  bench.op.spec?.medium === 'pan' &&
  bench.massG > 0 &&
  (bench.looseG > JUICY * bench.massG ||
    (bench.op.phaseBefore === 'liquid' && bench.waterG > 0.6 * bench.massG)) &&
  !(FRIES.has(bench.op.spec.id) && bench.op.isMixed && setsIn(bench) > BATTER_SETS)
/** How strong the fire is: as said, gentle where it only sweats. */
const fireOf = ({ op }: Bench): keyof typeof PAN_G_PER_MIN_DM2 =>
  op.step.settings.heat ?? (op.spec?.id === 'sweat' ? 'low' : 'medium')

/** A batter that is fried sets: it gives off vapour as a patty does, not as a liquid. Practice. */
const FRIES: ReadonlySet<string> = new Set(['shallow-fry', 'sear', 'deep-fry'])
const BATTER_SETS = 0.09
const BATTER_FACTOR = 0.05
function battered(bench: Bench): number {
  const { op } = bench
  if (!FRIES.has(op.spec?.id ?? '') || !op.isMixed) return 1
  return 1 - (1 - BATTER_FACTOR) / (1 + Math.exp((BATTER_SETS - setsIn(bench)) / 0.015))
}

/** Most vapour that the heat and the air allow in one load, g/min. */
function vapourLimit(bench: Bench): number {
  const { op, placed, tempC, program } = bench
  const medium = op.spec?.medium ?? 'none'
  switch (medium) {
    case 'pan':
    case 'oil': {
      const hob = hobLimit(program.kitchen.equipment.find(({ kind }) => kind === 'hob')?.powerKw ?? POWER_KW)
      return isPoured(bench) ? Math.min(hob, PAN_G_PER_MIN_DM2[fireOf(bench)] * placed.areaDm2) : hob
    }
    case 'oven':
    case 'fryer-air':
    case 'grill': {
      const isFan = op.step.settings.isFan ?? placed.oven?.isFan ?? false
      const air: Air = medium === 'oven' ? (isFan ? 'fan' : 'still') : medium === 'grill' ? 'fan' : 'fryer'
      const area = op.isFoam
        ? bench.massG / FOAM_G_PER_DM2
        : op.isBready
          ? (bench.massG / TIN_G_PER_DM2) * TIN_HEAT
          : op.isInDish
            ? Math.min(placed.areaDm2, bench.massG / DISH_G_PER_DM2) * skinned(bench)
            : placed.areaDm2 * SHOWN_AREA
      return airLimit(Number.isNaN(tempC) ? (op.spec?.usualC ?? 180) : tempC, air) * area
    }
    default:
      return DRYER_LIMIT_G_PER_MIN_DM2 * (placed.vessel?.areaDm2 ?? DRYER_AREA_DM2)
  }
}

/** What the shape, the lid and the fire make of a drying constant. */
function scaleOf(bench: Bench): number {
  const { op, tempC } = bench
  const shape =
    op.thicknessMm === null || op.isInDish
      ? 1
      : Math.min(
          MOST_THICKNESS_SCALE,
          Math.max(LEAST_THICKNESS_SCALE, USUAL_THICKNESS_MM[op.form] / op.thicknessMm),
        )
  const heat = temperatureScale(op.rateKey, Number.isNaN(tempC) ? null : tempC)
  return heat * shape * op.lidFactor * op.heatFactor * Math.exp(bench.lnRate)
}

/** Grams that leave each row, held and loose: scratch of one drying, grown as lots need it. */
let leaving = new Float64Array(64)

/** Grams of vapour that drying would take from the lot in so many minutes of each load, before any limit. */
export class Drying {
  readonly #bench: Bench
  readonly #scale: number
  readonly #cover: number
  readonly #limitPerMin: number
  readonly #loosePerMin: number

  constructor(bench: Bench) {
    this.#bench = bench
    if (leaving.length < 2 * bench.op.rows.length) leaving = new Float64Array(4 * bench.op.rows.length)
    this.#scale = scaleOf(bench)
    const pieces = bench.massG - bench.looseG
    const wet = pieces > 0 ? bench.looseG / pieces : 0
    this.#cover = bench.op.spec?.medium === 'oven' ? COVER_HALF / (COVER_HALF + wet) : 1
    const { op, placed } = bench
    this.#limitPerMin = vapourLimit(bench) * placed.loads * op.lidFactor
    this.#loosePerMin = LIQUID_PER_MIN * this.#scale * (op.isWrapped ? WRAPPED : 1) * battered(bench)
  }

  /** What would leave without a limit, g; each row's share stays in the scratch. */
  wantedG(minutes: number): number {
    const bench = this.#bench
    const { rows, op } = bench
    const { perMin } = op.constants
    const scale = this.#scale * this.#cover
    const lastWater = op.isLeathery ? LEATHERY_WATER : LAST_WATER
    const ofLoose = 1 - Math.exp(-this.#loosePerMin * minutes)
    let sum = 0
    for (let at = 0; at < op.rows.length; at += 1) {
      const row = op.rows[at] ?? 0
      const water = rows[row * STRIDE + WATER] ?? 0
      const rate = (perMin[at] ?? 0) * scale
      let held = 0
      if (water > 0 && rate > 0) {
        const last = lastWater * bench.solidsOf(row)
        if (water > last) held = (water - last) * (1 - Math.exp(-rate * minutes))
      }
      const loose = (rows[row * STRIDE + LOOSE + WATER] ?? 0) * ofLoose
      leaving[2 * at] = held
      leaving[2 * at + 1] = loose
      sum += held + loose
    }
    return sum
  }

  lossG(minutes: number): number {
    return Math.min(this.wantedG(minutes), this.#limitPerMin * minutes)
  }

  /** Lets it leave. */
  run(minutes: number): void {
    const { op } = this.#bench
    const wanted = this.wantedG(minutes)
    const allowed = this.#limitPerMin * minutes
    const share = wanted > allowed && wanted > 0 ? allowed / wanted : 1
    if (share <= 0) return
    for (let at = 0; at < op.rows.length; at += 1) {
      const row = op.rows[at] ?? 0
      const held = leaving[2 * at] ?? 0
      const loose = leaving[2 * at + 1] ?? 0
      if (held > 0) this.#bench.evaporate(row, WATER, held * share)
      if (loose > 0) this.#bench.evaporate(row, LOOSE + WATER, loose * share)
    }
  }

  /** Minutes of each load until so much has left; NaN where it never does. */
  minutesTo(lossG: number): number {
    if (lossG <= 0) return 0
    if (this.lossG(MOST_MINUTES) < lossG) return Number.NaN
    let low = 0
    let high = MOST_MINUTES
    for (let turn = 0; turn < MOST_TURNS; turn += 1) {
      const middle = (low + high) / 2
      if (this.lossG(middle) < lossG) low = middle
      else high = middle
    }
    return high
  }
}

/** Lets so much water leave as vapour: what lies loose before what the pieces hold. Returns what left. */
export function bringDown(bench: Bench, lossG: number): number {
  bench.sum()
  const loss = Math.min(lossG, bench.waterG)
  if (loss <= 0) return 0
  const loose = Math.min(loss, bench.looseWaterG)
  const ofLoose = bench.looseWaterG > 0 ? loose / bench.looseWaterG : 0
  const ofHeld = bench.heldWaterG > 0 ? (loss - loose) / bench.heldWaterG : 0
  for (const row of bench.op.rows) {
    const from = row * STRIDE
    if (ofHeld > 0) bench.evaporate(row, WATER, (bench.rows[from + WATER] ?? 0) * ofHeld)
    if (ofLoose > 0) bench.evaporate(row, LOOSE + WATER, (bench.rows[from + LOOSE + WATER] ?? 0) * ofLoose)
  }
  return loss
}
