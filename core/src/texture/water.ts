import type { Batch } from '../composition'
import { smoothFloor } from './responses'

/** Where a part's water is once it is cooked. g, summing to the raw water. */
export interface WaterBudget {
  readonly totalG: number
  readonly heldG: number
  readonly freeG: number
  readonly cookedOffG: number
}

/** Free water dries off before held water does: it falls with the square of the share of water left. Practice. */
const FREE_FIRST_POWER = 2
/** Width of the smooth floor of released water, as a share of the mass. Practice. */
const RELEASE_SOFTNESS = 0.02

/**
 * Splits the water of a hot, cooked part into held, free and cooked off.
 *
 * Foods give up what they hold less of when hot than they own (mushroom, onion, added water); dry foods take it up.
 *
 * @param raw the raw batch, g
 * @param cookedOffG water that left as vapour, g, 0 up to the raw water
 * @source holding capacities: library/data/functional.csv; drying rule: practice
 */
export function waterBudget(raw: Batch, cookedOffG: number): WaterBudget {
  if (raw.waterG <= 0 || raw.massG <= 0) return { totalG: 0, heldG: 0, freeG: 0, cookedOffG: 0 }
  const released = smoothFloor(raw.releasedHotG - raw.uptakeHotG, RELEASE_SOFTNESS * raw.massG)
  const left = Math.max(0, 1 - cookedOffG / raw.waterG)
  const freeG = Math.min(released * left ** FREE_FIRST_POWER, raw.waterG - cookedOffG)
  return { totalG: raw.waterG, heldG: raw.waterG - cookedOffG - freeG, freeG, cookedOffG }
}

/**
 * Water slack S, g free water per 100 g: total water minus capped holding. Negative = unmet demand.
 * @param state holding when cold and rested, or fully heated
 */
export function waterSlack(batch: Batch, state: 'cold' | 'hot'): number {
  if (batch.massG <= 0) return 0
  const held = state === 'cold' ? batch.holdColdG : batch.holdHotG
  return (100 * (batch.waterG - held)) / batch.massG
}
