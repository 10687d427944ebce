import type { Equipment, Kitchen, Library, Step } from '../../model'
import { type Fit, rateFor, shrunk } from '../laws/rates'
import type { Item } from '../lots/item'
import type { Ledger, Lot } from '../lots/lot'
import type { OperationSpec } from './specs'

/** Everything that one step needs to act on a lot. */
export interface StepContext {
  readonly step: Step
  readonly spec: OperationSpec
  readonly library: Library
  readonly kitchen: Kitchen
  /** What it is done in, as far as the kitchen has it. */
  readonly vessel: Equipment | null
  readonly oven: Equipment | null
  /** Temperature of air, oil, pan or bath, C; still-air equivalent for ovens. */
  readonly tempC: number | null
  readonly ledger: Ledger
  /** Lots of frying oil are not listed: true where the step brings fat of its own. */
  readonly hasOwnFat: boolean
  /** This kitchen's factor on the operation's constant. */
  readonly fit: Fit
}

const NO_FIT: Fit = shrunk([])

/** Id of the observation that a weighed step makes: a trial's weighing of it stands beside an earlier trial's. */
export const observationId = (stepId: string, trial: number): string => `${stepId}@${trial}`

/**
 * What this kitchen's weighings say of an operation in a vessel.
 * @param without id of a step whose own weighings do not count, so that its prediction is one
 */
export function fitOf(
  kitchen: Kitchen,
  operation: string,
  vessel: string,
  without: string | null = null,
): Fit {
  if (kitchen.observations.length === 0) return NO_FIT
  const own = kitchen.observations.filter(
    (one) =>
      one.operation === operation &&
      one.vessel === vessel &&
      (without === null || !one.id.startsWith(`${without}@`)),
  )
  return own.length === 0 ? NO_FIT : shrunk(own)
}

/** An operation's key among the fitted constants. */
export const rateKey = ({ step, spec }: StepContext): string =>
  step.settings.isWrapped && (spec.id === 'roast' || spec.id === 'steam') ? `${spec.id}-wrapped` : spec.id

/** Lots of these forms dry as one body; others as the foods that they are. */
const BODIES: ReadonlySet<Lot['form']> = new Set([
  'patty',
  'ball',
  'log',
  'loaf',
  'strip',
  'crumble',
  'breaded',
])

/** The constant for an item of a lot, or null where nothing is known of it. */
export function constantFor(
  context: StepContext,
  lot: Lot,
  item: Item,
  key = rateKey(context),
): number | null {
  const { rates } = context.library
  const { food, kind } = item.source
  const body = BODIES.has(lot.form) ? rateFor(rates, key, null, lot.form) : null
  if (body !== null && body.group !== null) return body.value
  return rateFor(rates, key, food?.id ?? null, kind.group)?.value ?? null
}
