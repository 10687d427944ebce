import type { Equipment, Kitchen, Library, Step, StepReading } from '../model'
import { fanAirC } from './laws/conduction'
import { itemOf, sourceOf } from './lots/item'
import { Ledger, type Lot, lotSums, movesOf, wet } from './lots/lot'
import { change } from './operations/change'
import { fitOf, type StepContext } from './operations/context'
import { bringDown, dry, fryingOil, wantedLoss } from './operations/dry'
import { coreAfter, remember, stateOf } from './operations/heat'
import { inLiquid } from './operations/liquid'
import { drain, part } from './operations/part'
import { type OperationSpec, specOf } from './operations/specs'
import { energyOf, type Placed, placeOf } from './operations/vessel'
import { weigh } from './operations/weigh'

/** Fat that stands for the oil of a fryer where the part lists none. */
const FRYING_OIL_ID = 'oil-neutral-refined'
/** By hand a cook cuts so many grams a minute; a machine three times as many, and is washed. @source 100 to 200 g/min; practice */
const CUT_G_PER_MIN = 150
const LEAST_CUT_MIN = 1
const MOST_UNTIMED_CUT_MIN = 60

export interface StepRun {
  /** Complete but for the mass of the whole part, which the run of the method adds. */
  readonly reading: StepReading
  readonly placed: Placed | null
  readonly spec: OperationSpec | null
  /** Grams that a stated end asks to leave and that are not there. */
  readonly impossibleG: number
  readonly tempC: number | null
}

/** Temperature of what surrounds the food, C; ovens as fan air. */
function surroundings(spec: OperationSpec, step: Step, oven: Equipment | null): number | null {
  const set = step.tempC ?? spec.usualC
  if (set === null || spec.medium !== 'oven') return set
  const isFan = step.tempC === null || (step.settings.isFan ?? oven?.isFan ?? true)
  return fanAirC(set, isFan, oven?.offsetC ?? 0)
}

const untimed = (spec: OperationSpec, massG: number): number =>
  spec.id === 'chop' || spec.id === 'trim' || spec.id === 'grate'
    ? Math.min(MOST_UNTIMED_CUT_MIN, Math.max(LEAST_CUT_MIN, massG / CUT_G_PER_MIN))
    : spec.usualMin

function addWater(lot: Lot, step: Step, library: Library, ledger: Ledger): void {
  const grams = step.settings.waterG ?? 0
  if (grams <= 0) return
  const water = library.ingredients.get('water') ?? null
  if (water === null) return
  const item = itemOf(sourceOf('water', 'Water', water), grams)
  lot.items.push(item)
  ledger.gain('water poured in', grams, item.waterG)
}

/** Water added by the spoon, each boiled off before the next: it is booked in and out. */
function additions(lot: Lot, step: Step, ledger: Ledger): void {
  const { additions: said } = step.settings
  if (said === null || step.operation !== 'water-saute') return
  const grams = said.count * said.massG
  const [first] = lot.items
  if (first === undefined) return
  wet(first, grams, 'water in additions', ledger)
  first.waterG -= grams
  ledger.lose('evaporated', grams, grams)
}

function addOil(context: StepContext, lot: Lot, lostG: number): void {
  const grams = fryingOil(context, lot, lostG)
  const oil = context.library.ingredients.get(FRYING_OIL_ID) ?? null
  if (grams <= 0 || oil === null) return
  lot.items.push(itemOf(sourceOf(FRYING_OIL_ID, oil.name, oil), grams))
  context.ledger.gain('frying oil', grams, 0)
}

/** Lets an operation without a law of its own follow a stated end. */
function followWords(context: StepContext, lot: Lot): number {
  const wanted = wantedLoss(context, lot)
  if (wanted === null || context.step.until?.kind === 'dry') return 0
  if (wanted >= 0) return wanted - bringDown(lot, wanted, context)
  const { waterG } = lotSums(lot)
  for (const item of lot.items)
    wet(
      item,
      waterG > 0 ? (-wanted * item.waterG) / waterG : -wanted / lot.items.length,
      'water taken up',
      context.ledger,
    )
  return 0
}

function act(
  context: StepContext,
  lot: Lot,
  placed: Placed,
  minutes: number | null,
): { minutes: number; impossibleG: number } {
  const { spec } = context
  switch (spec.medium) {
    case 'oven':
      if (spec.id === 'hold') break
      return dry(context, lot, minutes, placed.areaDm2)
    case 'pan':
    case 'fryer-air':
    case 'grill':
    case 'oil':
    case 'dry-air':
      if (spec.id === 'toast' && context.step.until === null) break
      return dry(context, lot, minutes, placed.areaDm2)
    case 'liquid':
    case 'pressure':
      return inLiquid(context, lot, minutes, placed.areaDm2)
    case 'none':
      if (spec.id === 'soak' || spec.id === 'hydrate' || spec.id === 'infuse')
        return inLiquid(context, lot, minutes, placed.areaDm2)
      break
    default:
      break
  }
  const taken = minutes ?? untimed(spec, lotSums(lot).massG)
  if (context.step.until === null) part(context, lot, taken)
  return { minutes: taken, impossibleG: followWords(context, lot) }
}

const FRIES: ReadonlySet<string> = new Set(['deep-fry', 'shallow-fry'])
const RESTING: ReadonlySet<string> = new Set(['rest', 'chill', 'soak', 'hydrate', 'marinate', 'cool'])

/** Runs one step on a lot, in place. The lot's own mass before it counts as going in. */
export function runStep(
  step: Step,
  lot: Lot,
  takes: StepReading['takes'],
  library: Library,
  kitchen: Kitchen,
): StepRun {
  const before = lotSums(lot)
  const ledger = new Ledger()
  if (step.operation === null || lot.items.length === 0) return idle(step, lot, takes, before, ledger)
  const spec = specOf(step.operation)
  const placed = placeOf(step, spec, lot, before.massG, kitchen)
  const tempC = surroundings(spec, step, placed.oven)
  const context: StepContext = {
    step,
    spec,
    library,
    kitchen,
    vessel: placed.vessel,
    oven: placed.oven,
    tempC,
    ledger,
    hasOwnFat: lot.items.some(({ source }) => source.food?.foodClass === 'fat'),
    fit: fitOf(kitchen, spec.id, placed.vessel?.id ?? '', step.weighedG === null ? null : step.id),
  }
  addWater(lot, step, library, ledger)
  const startC = lot.coreC
  const start = (step.settings.waterG ?? 0) > 0 ? lotSums(lot) : before
  const acted = act(context, lot, placed, step.durationMin)
  if (spec.medium === 'pan') additions(lot, step, ledger)
  if (FRIES.has(spec.id)) addOil(context, lot, start.massG - lotSums(lot).massG)
  if (step.settings.isDrained === true) drain(lot, context)
  change(context, lot, acted.minutes)
  const fit = step.weighedG === null ? null : weigh(context, lot, start, step.weighedG, kitchen.scaleStepG)
  lot.vesselId = placed.vessel?.id ?? lot.vesselId
  const after = lotSums(lot)
  lot.coreC = coreAfter(context, lot, after, acted.minutes)
  remember(lot, lot.coreC, acted.minutes, RESTING.has(spec.id))
  const minutes = acted.minutes * placed.loads
  return {
    spec,
    placed,
    tempC,
    impossibleG: Math.max(acted.impossibleG, fit?.impossibleG ?? 0),
    reading: {
      ...massesOf(step, takes, before, after, ledger),
      minutes,
      handsMin: minutes * spec.hands,
      loads: placed.loads,
      vessel: placed.vessel?.label ?? null,
      vesselId: placed.vessel?.id ?? null,
      energyKWh: energyOf(
        spec,
        placed.vessel,
        minutes,
        { massG: after.massG, byK: lot.coreC - startC, vapourG: ledger.lost.get('evaporated')?.massG ?? 0 },
        tempC,
      ),
      state: stateOf(lot),
      fit,
      observations: context.fit.observations,
    },
  }
}

/** What a step took and what became of its mass; the mass of the whole part is added by the run of the method. */
const massesOf = (
  step: Step,
  takes: StepReading['takes'],
  before: { readonly massG: number },
  after: { readonly massG: number; readonly waterG: number },
  ledger: Ledger,
) => ({
  stepId: step.id,
  operation: step.operation,
  takes,
  massInG: before.massG,
  massG: after.massG,
  waterG: after.waterG,
  partMassG: 0,
  partWaterG: 0,
  gained: movesOf(ledger.gained),
  lost: movesOf(ledger.lost),
})

/** A step without an operation changes nothing, unless its end says so. */
function idle(
  step: Step,
  lot: Lot,
  takes: StepReading['takes'],
  before: { massG: number; waterG: number },
  ledger: Ledger,
): StepRun {
  const minutes = step.durationMin ?? 0
  const wanted =
    step.weighedG !== null
      ? step.weighedG
      : step.until?.kind === 'keeps'
        ? before.massG * step.until.fraction
        : step.until?.kind === 'mass'
          ? step.until.massG
          : null
  let impossibleG = 0
  if (wanted !== null && lot.items.length > 0) {
    const less = before.massG - wanted
    const left = Math.min(Math.max(0, less), before.waterG)
    impossibleG = Math.max(0, less - left)
    for (const item of lot.items) {
      const share = before.waterG > 0 ? item.waterG / before.waterG : 1 / lot.items.length
      if (less > 0) {
        item.waterG -= left * share
        item.evaporatedG += left * share
      } else item.waterG -= less * share
    }
    if (less > 0) ledger.lose('evaporated', left, left)
    else ledger.gain('water taken up', -less, -less)
  }
  const after = lotSums(lot)
  return {
    spec: step.operation === null ? null : specOf(step.operation),
    placed: null,
    tempC: step.tempC,
    impossibleG,
    reading: {
      ...massesOf(step, takes, before, after, ledger),
      minutes,
      handsMin: minutes,
      loads: 1,
      vessel: null,
      vesselId: null,
      energyKWh: 0,
      state: stateOf(lot),
      fit:
        step.weighedG === null
          ? null
          : { predictedG: before.massG, weighedG: step.weighedG, lnRatio: null, sd: 0, impossibleG },
      observations: 0,
    },
  }
}
