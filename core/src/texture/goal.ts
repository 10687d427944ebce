import {
  type AttributeId,
  type AttributeReading,
  type Band,
  type Moved,
  nothingMoved,
  type Original,
  type RatioWindow,
} from '../model'
import type { RatioTable } from './family'

/** What a part is read against: its original, as far as nobody has moved it. */
export interface Goal {
  readonly original: Original | null
  readonly moved: Moved
}

const NOTHING_MOVED: Moved = Object.freeze(nothingMoved())
export const goalOf = (original: Original | null, moved: Moved = NOTHING_MOVED): Goal => ({ original, moved })
/** A part with neither an original nor anything of its own. */
export const NO_GOAL: Goal = goalOf(null)

/** Distance from a target that trained cooks do not repeat: the band around it. @source repeatability of 3 to 5 cooks; practice */
export const BAND_HALF_WIDTH = 1

/** The band around an original's value that trained cooks do not tell apart, on the scale of 0 to 10. */
export const bandAround = (value: number): Band => ({
  low: Math.max(0, value - BAND_HALF_WIDTH),
  high: Math.min(10, value + BAND_HALF_WIDTH),
})

/** Where an attribute is to lie: as a person set it, else around the original's value; null where neither says. */
export function bandOf({ original, moved }: Goal, id: AttributeId): Band | null {
  const own = moved.bands[id]
  if (own !== undefined) return own
  const value = original?.attributes[id]
  return value === undefined ? null : bandAround(value)
}

/** How often an attribute counts in the distance, 0 to 3. */
export const weightOf = ({ original, moved }: Goal, id: AttributeId): number =>
  moved.importance[id] ?? original?.importance[id] ?? 0

/** Salt per sodium, % per mg in 100 g. @source Regulation (EU) 1169/2011: sodium × 2.5 */
const SALT_PCT_PER_MG = 2.5 / 1000
/** Unsalted originals are salted at the table: less than this is no aim, %. Practice. */
const LEAST_SALT_PCT = 0.6

/** Bounds of a ratio: as a person set them, its own, or round what the original itself holds. */
export function windowOf(
  { id, window, followsOriginal }: Pick<RatioTable, 'id' | 'window' | 'followsOriginal'>,
  { original, moved }: Goal,
): RatioWindow {
  const own = moved.windows[id]
  if (own !== undefined) return own
  if (original === null || followsOriginal === undefined) return window
  if (followsOriginal === 'salt') {
    const { low, typical, high } = original.sodiumMgPer100g
    const most = Math.max(LEAST_SALT_PCT, SALT_PCT_PER_MG * high)
    return {
      low: 0.7 * SALT_PCT_PER_MG * low,
      bestLow: SALT_PCT_PER_MG * Math.sqrt(low * typical),
      bestHigh: most,
      high: 1.4 * most,
    }
  }
  if (original.viscosityPaS === null) return window
  const { low, typical, high } = original.viscosityPaS
  return {
    low: low / 2,
    bestLow: Math.sqrt(low * typical),
    bestHigh: Math.sqrt(typical * high),
    high: high * 1.5,
  }
}

/**
 * Importance-weighted distance to the goal over the attributes that are predicted.
 * @returns 0 is a match, above 2 a different food; null where none of what counts is predicted
 * @source score = sum(w max(0, |gap| - 1)) / sum(w); practice
 */
export function distanceTo(goal: Goal, attributes: readonly AttributeReading[]): number | null {
  let sum = 0
  let weights = 0
  for (const { id, gap, target } of attributes) {
    const weight = weightOf(goal, id)
    if (weight === 0 || target === null) continue
    sum += weight * Math.abs(gap)
    weights += weight
  }
  return weights === 0 ? null : sum / weights
}
