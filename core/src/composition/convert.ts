import type { Conversion, Library } from '../model'

/** A mass in another state of the same food, with its range over ordinary kitchens and the time that it takes. */
export interface Converted {
  readonly conversion: Conversion
  readonly foodId: string
  readonly massG: number
  readonly lowG: number
  readonly highG: number
}

/**
 * How a food becomes another state: dry to cooked, raw to soaked.
 * @param direction "forward" from the drier state (buy 200 g dry, get 440 g), "back" from the wetter (want 440 g cooked)
 * @param massG g, above 0
 * @returns the mass in the other state; low and high hold about 90 % of ordinary kitchens
 * @source factors: library/data/conversions.csv, practice
 */
export function converted(conversion: Conversion, massG: number, direction: 'forward' | 'back'): Converted {
  const { factor, low, high, fromId, toId } = conversion
  return direction === 'forward'
    ? { conversion, foodId: toId, massG: massG * factor, lowG: massG * low, highG: massG * high }
    : { conversion, foodId: fromId, massG: massG / factor, lowG: massG / high, highG: massG / low }
}

/** The conversion that makes a food, or that starts from it; null where the library has none. */
export function conversionOf(
  library: Library,
  foodId: string,
): { conversion: Conversion; direction: 'forward' | 'back' } | null {
  const made = library.conversions.find(({ toId }) => toId === foodId)
  if (made !== undefined) return { conversion: made, direction: 'back' }
  const start = library.conversions.find(({ fromId }) => fromId === foodId)
  return start === undefined ? null : { conversion: start, direction: 'forward' }
}
