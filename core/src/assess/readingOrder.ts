import type { AttributeReading } from '../model'

/** Attributes of a part in the order in which a cook wants them. */
export interface ReadingOrder {
  /** What counts in the distance: the weightiest first. */
  readonly counts: readonly AttributeReading[]
  /** What does not count, and is off by more than its own standard deviation. */
  readonly off: readonly AttributeReading[]
  /** All others. */
  readonly rest: readonly AttributeReading[]
}

/** Where nothing counts, so many of the family's own attributes come first. Practice. */
const FIRST_WITHOUT_ORIGINAL = 8

/**
 * What to look at first. The order depends on what counts and on whether a reading is off, never on how far: rows do
 * not change places while a figure moves.
 */
export function readingOrder(attributes: readonly AttributeReading[]): ReadingOrder {
  const counts = attributes.filter(({ weight }) => weight > 0).sort((a, b) => b.weight - a.weight)
  if (counts.length === 0)
    return {
      counts: attributes.slice(0, FIRST_WITHOUT_ORIGINAL),
      off: [],
      rest: attributes.slice(FIRST_WITHOUT_ORIGINAL),
    }
  const isOff = ({ gap, sd }: AttributeReading): boolean => Math.abs(gap) > sd
  const others = attributes.filter(({ weight }) => weight === 0)
  return { counts, off: others.filter(isOff), rest: others.filter((one) => !isOff(one)) }
}
