import { type Batch, evaporate } from '../composition'
import type { Part, StepReading } from '../model'

/** The batch after a method, what each step did to it, and what the cooked mass rests on. */
export interface MethodRun {
  readonly cooked: Batch
  readonly steps: readonly StepReading[]
  readonly basis: 'weighed' | 'steps' | 'family' | 'raw'
  /** Set when a stated mass asks for more water than the batch holds: that many grams could not leave. */
  readonly impossibleG: number
}

interface After {
  readonly batch: Batch
  readonly evaporatedG: number
  readonly addedG: number
  readonly impossibleG: number
}

/** Brings a batch to a mass by letting water leave or enter; solids never leave here. */
function bringTo(batch: Batch, massG: number): After {
  const lossG = batch.massG - massG
  if (lossG <= 0) {
    const grown = { ...batch, massG, waterG: batch.waterG - lossG }
    return { batch: grown, evaporatedG: 0, addedG: -lossG, impossibleG: 0 }
  }
  const evaporatedG = Math.min(lossG, batch.waterG)
  return { batch: evaporate(batch, evaporatedG), evaporatedG, addedG: 0, impossibleG: lossG - evaporatedG }
}

/**
 * Follows a part's mass and water through its steps.
 *
 * A weighed cooked mass wins over the steps' fractions, they over the family's usual yield. Only water leaves or
 * enters; mass is conserved: raw = cooked + evaporated - taken up.
 *
 * @param part its steps and weighed mass
 * @param raw the raw batch, g
 * @param usualYield cooked per raw mass of the family, 0 to 1; null when the family has none
 */
export function runSteps(part: Part, raw: Batch, usualYield: number | null): MethodRun {
  const steps: StepReading[] = []
  let batch = raw
  let impossibleG = 0
  let hasFraction = false
  for (const step of part.steps) {
    const keeps = step.keepsFraction
    const after = keeps === null ? null : bringTo(batch, batch.massG * keeps)
    if (after !== null) {
      hasFraction = true
      batch = after.batch
      impossibleG += after.impossibleG
    }
    const lost =
      after === null || after.evaporatedG === 0 ? [] : [{ what: 'evaporated', massG: after.evaporatedG }]
    steps.push({ stepId: step.id, operation: step.operation, massG: batch.massG, waterG: batch.waterG, lost })
  }
  if (part.cookedMassG !== null && raw.massG > 0) {
    const weighed = bringTo(raw, part.cookedMassG)
    return { cooked: weighed.batch, steps, basis: 'weighed', impossibleG: weighed.impossibleG }
  }
  if (hasFraction) return { cooked: batch, steps, basis: 'steps', impossibleG }
  if (usualYield === null) return { cooked: raw, steps, basis: 'raw', impossibleG: 0 }
  const usual = bringTo(raw, raw.massG * usualYield)
  return { cooked: usual.batch, steps, basis: 'family', impossibleG: 0 }
}
