import type { AttributeReading, Original } from '../model'

/** Attributes of a part in the order in which a cook wants them. */
export interface ReadingOrder {
  /** What counts in the distance: the weightiest first. */
  readonly counts: readonly AttributeReading[]
  /** What does not count, and is off by more than its own standard deviation. */
  readonly off: readonly AttributeReading[]
  /** All others. */
  readonly rest: readonly AttributeReading[]
}

/** Without an original so many of the family's own attributes come first. Practice. */
const FIRST_WITHOUT_ORIGINAL = 8

/**
 * What to look at first. The order depends on the original and on whether a reading is off, never on how far: rows do
 * not change places while a figure moves.
 */
export function readingOrder(
  attributes: readonly AttributeReading[],
  original: Original | null,
): ReadingOrder {
  if (original === null)
    return {
      counts: attributes.slice(0, FIRST_WITHOUT_ORIGINAL),
      off: [],
      rest: attributes.slice(FIRST_WITHOUT_ORIGINAL),
    }
  const weightOf = ({ id }: AttributeReading): number => original.importance[id] ?? 0
  const isOff = ({ gap, sd }: AttributeReading): boolean => Math.abs(gap) > sd
  const others = attributes.filter((one) => weightOf(one) === 0)
  return {
    counts: attributes.filter((one) => weightOf(one) > 0).sort((a, b) => weightOf(b) - weightOf(a)),
    off: others.filter(isOff),
    rest: others.filter((one) => !isOff(one)),
  }
}
