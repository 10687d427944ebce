import type { Kitchen } from '../model'
import { type Fit, shrunk } from './rates'

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
