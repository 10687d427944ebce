import type { Form } from '../../model'
import { type Air, airLimit, hobLimit } from '../laws/evaporation'
import { temperatureScale, waterAfterDrying } from '../laws/drying'
import { solidsOf } from '../lots/item'
import { evaporateAll, type Lot, lotSums } from '../lots/lot'
import { constantFor, rateKey, type StepContext } from './context'

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
/** Foods without a constant dry like this, 1/min. Practice. */
const UNKNOWN_PER_MIN = 0.02
const HEAT = { low: 0.45, medium: 0.8, high: 1 } as const
const COVERED = 0.2
const AJAR = 0.6
/** "Dry" = this share of the water that went in is left: sizzle turns to crackle. Practice. */
const DRY_LEAVES = 0.45
/** A burner whose power is not known, kW. Practice. */
const POWER_KW = 2
/** Loose and shaped food shows air more than its footprint. Practice. */
const SHOWN_AREA = 1.3
/** Full dehydrators dry slower. @source full load k × 0.7 */
const DRYER_LIMIT_G_PER_MIN = 12

const AIR: Partial<Record<StepContext['spec']['medium'], Air>> = {
  'fryer-air': 'fryer',
  grill: 'fan',
  oven: 'still',
}

/** Most vapour that the heat and the air allow, g/min. */
function vapourLimit(context: StepContext, areaDm2: number): number {
  const { spec, oven, tempC, kitchen } = context
  switch (spec.medium) {
    case 'pan':
    case 'oil':
      return hobLimit(kitchen.equipment.find(({ kind }) => kind === 'hob')?.powerKw ?? POWER_KW)
    case 'oven':
    case 'fryer-air':
    case 'grill': {
      const isFan = context.step.settings.isFan ?? oven?.isFan ?? false
      const air: Air = spec.medium === 'oven' && isFan ? 'fan' : (AIR[spec.medium] ?? 'still')
      return airLimit(tempC ?? spec.usualC ?? 180, air) * areaDm2 * SHOWN_AREA
    }
    default:
      return DRYER_LIMIT_G_PER_MIN
  }
}

function scaleOf(context: StepContext, lot: Lot): number {
  const { step, spec, tempC, fit } = context
  const { settings } = step
  const thickness = lot.thicknessMm ?? settings.thicknessMm
  const shape =
    thickness === null
      ? 1
      : Math.min(
          MOST_THICKNESS_SCALE,
          Math.max(LEAST_THICKNESS_SCALE, USUAL_THICKNESS_MM[lot.form] / thickness),
        )
  const lid = settings.lid === 'on' ? COVERED : settings.lid === 'ajar' ? AJAR : 1
  const heat = spec.medium === 'pan' && settings.heat !== null ? HEAT[settings.heat] : 1
  return temperatureScale(rateKey(context), tempC) * shape * lid * heat * Math.exp(fit.lnRatio)
}

interface Drying {
  /** Grams of water each item keeps after so many minutes. */
  readonly after: (minutes: number) => number[]
  readonly lossG: (minutes: number) => number
}

function dryingOf(context: StepContext, lot: Lot, areaDm2: number): Drying {
  const scale = scaleOf(context, lot)
  const rates = lot.items.map((item) => {
    if (item.source.kind.isLiquid && !lot.isMixed) return LIQUID_PER_MIN * scale
    return (constantFor(context, lot, item) ?? UNKNOWN_PER_MIN) * scale
  })
  const limit = vapourLimit(context, areaDm2)
  const wanted = (minutes: number): number[] =>
    lot.items.map((item, at) => waterAfterDrying(item.waterG, solidsOf(item), rates[at] ?? 0, minutes))
  const lossOf = (after: readonly number[]): number =>
    lot.items.reduce((sum, item, at) => sum + item.waterG - (after[at] ?? item.waterG), 0)
  return {
    lossG: (minutes) => Math.min(lossOf(wanted(minutes)), limit * minutes),
    after: (minutes) => {
      const after = wanted(minutes)
      const loss = lossOf(after)
      const allowed = limit * minutes
      if (loss <= allowed || loss === 0) return after
      return after.map((waterG, at) => {
        const before = lot.items[at]?.waterG ?? waterG
        return before - ((before - waterG) * allowed) / loss
      })
    },
  }
}

const MOST_MINUTES = 2880

/** Minutes until so much water has left; null where it never does. */
function minutesToLose(drying: Drying, lossG: number): number | null {
  if (lossG <= 0) return 0
  if (drying.lossG(MOST_MINUTES) < lossG) return null
  let low = 0
  let high = MOST_MINUTES
  for (let turn = 0; turn < 42; turn += 1) {
    const middle = (low + high) / 2
    if (drying.lossG(middle) < lossG) low = middle
    else high = middle
  }
  return high
}

/** Water that a stated end asks to leave, g; null where the step names none. */
export function wantedLoss(context: StepContext, lot: Lot): number | null {
  const { until } = context.step
  if (until === null) return null
  const { massG, waterG } = lotSums(lot)
  switch (until.kind) {
    case 'mass':
      return massG - until.massG
    case 'keeps':
      return massG * (1 - until.fraction)
    case 'dry':
      return waterG * (1 - DRY_LEAVES)
  }
}

/** Oil of a fryer that stays on the food. @source uptake 0.12 (0.08 to 0.20) of the water lost; film 3 to 8 %; Mellema 2003 */
const OIL_PER_WATER = 0.12
const OIL_FILM = { 'deep-fry': 0.05, 'shallow-fry': 0.03 } as const
const BREADED_FILM = 0.07

/** Oil that an unlisted frying fat leaves on a lot, g. */
export function fryingOil(context: StepContext, lot: Lot, lostG: number): number {
  const { id } = context.spec
  if (id !== 'deep-fry' && (id !== 'shallow-fry' || context.hasOwnFat)) return 0
  const film = lot.form === 'breaded' ? BREADED_FILM : OIL_FILM[id]
  return film * lotSums(lot).massG + (id === 'deep-fry' ? OIL_PER_WATER * lostG : 0)
}

export interface Acted {
  /** Minutes that the food was in it, without loads one after another. */
  readonly minutes: number
  /** Grams of a stated end that cannot leave. */
  readonly impossibleG: number
}

/** Water leaves by drying: pan, oven, grill, fryer, dry air. */
export function dry(context: StepContext, lot: Lot, minutes: number | null, areaDm2: number): Acted {
  const drying = dryingOf(context, lot, areaDm2)
  const wanted = wantedLoss(context, lot)
  if (wanted !== null && wanted > 0) {
    // What a person says left, left: the clock follows.
    const needed = minutesToLose(drying, wanted)
    const left = bringDown(lot, wanted, context)
    return { minutes: minutes ?? needed ?? context.spec.usualMin, impossibleG: wanted - left }
  }
  const taken = minutes ?? context.spec.usualMin
  const after = drying.after(taken)
  evaporateAll(lot, (item, at) => item.waterG - (after[at] ?? item.waterG), context.ledger)
  return { minutes: taken, impossibleG: 0 }
}

/** Lets so much water leave, from each item in step with what it has. */
export function bringDown(lot: Lot, lossG: number, { ledger }: StepContext): number {
  const water = lotSums(lot).waterG
  const loss = Math.min(lossG, water)
  if (loss <= 0) return 0
  const share = loss / water
  evaporateAll(lot, (item) => item.waterG * share, ledger)
  return loss
}
