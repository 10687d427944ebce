import type { AttributeId, DayMeasure } from '../model'

/** A measurement that a kitchen can make, and what it says of an attribute on the scale of 0 to 10. */
export interface KitchenCheck {
  readonly id: string
  /** As it is written down at the counter. */
  readonly kind: DayMeasure['kind']
  readonly attribute: AttributeId
  readonly label: string
  readonly unit: string
  readonly how: string
  readonly low: number
  readonly high: number
  /** Points on the scale for a measured value. */
  readonly points: (value: number) => number
  readonly source: string
}

const within = (points: number): number => Math.min(10, Math.max(0, points))

/** Straight lines between marks, level beyond the ends. @param marks rising in their first number */
function along(marks: readonly (readonly [value: number, points: number])[]): (value: number) => number {
  return (value) => {
    let before = marks[0] ?? [0, 0]
    for (const mark of marks) {
      if (value <= mark[0]) {
        const span = mark[0] - before[0]
        return span > 0 ? before[1] + ((value - before[0]) / span) * (mark[1] - before[1]) : mark[1]
      }
      before = mark
    }
    return before[1]
  }
}

const PRACTICE = 'mapping of the kitchen measurement to the scale; practice: run it on two known foods first'

/** @source kitchen measurements P1 to P14; mappings are practice */
export const KITCHEN_CHECKS: readonly KitchenCheck[] = [
  {
    id: 'press',
    kind: 'press-force',
    attribute: 'firmness',
    label: 'Press force',
    unit: 'N',
    how: 'A piece 25 to 30 mm high on a scale, a flat plunger of 25 mm, a quarter of the height down in 5 s: the highest reading in grams × 0.00981.',
    low: 0.01,
    high: 400,
    points: (newton) => within(2.2 * Math.max(0, newton) ** 0.265),
    source: `firmness = 2.2 F^0.265; ${PRACTICE}`,
  },
  {
    id: 'spring-back',
    kind: 'spring-back',
    attribute: 'springiness',
    label: 'Height after 5 s',
    unit: '%',
    how: 'Press a quarter of the height down, let go, measure the height after 5 s.',
    low: 50,
    high: 100,
    points: (percent) => within((percent / 100 - 0.75) * 40),
    source: `springiness = 40 (r − 0.75); ${PRACTICE}`,
  },
  {
    id: 'knife',
    kind: 'knife',
    attribute: 'tenderness',
    label: 'Knife sinks through',
    unit: 's',
    how: 'A bar of 20 × 20 mm under a table knife loaded to 1 kg: the time until it is through.',
    low: 0,
    high: 60,
    points: along([
      [0.5, 9.5],
      [1, 8],
      [3, 5.5],
      [7.5, 3],
      [10, 0.5],
    ]),
    source: PRACTICE,
  },
  {
    id: 'strands',
    kind: 'strands',
    attribute: 'fibrousness',
    label: 'Strands',
    unit: '%',
    how: 'Pull 50 g apart with two forks for 30 s; weigh what is longer than 15 mm and thinner than 5 mm.',
    low: 0,
    high: 100,
    points: (percent) => within(percent / 10),
    source: PRACTICE,
  },
  {
    id: 'fork',
    kind: 'fork',
    attribute: 'crumbliness',
    label: 'Below 10 mm',
    unit: '%',
    how: 'Ten strokes of a fork through 50 g, then a sieve of 10 mm.',
    low: 0,
    high: 100,
    points: (percent) => within(percent / 10),
    source: PRACTICE,
  },
  {
    id: 'pressed-out',
    kind: 'pressed-out',
    attribute: 'juiciness',
    label: 'Pressed out',
    unit: '%',
    how: 'A slice of 10 mm between kitchen paper under 2 kg for 60 s.',
    low: 0,
    high: 60,
    points: along([
      [0, 0],
      [1, 2],
      [3, 4],
      [6.5, 6.5],
      [11, 8.5],
      [15, 10],
    ]),
    source: `${PRACTICE}; above 15 % it is rated watery`,
  },
  {
    id: 'line-spread',
    kind: 'line-spread',
    attribute: 'thickness',
    label: 'Spreads',
    unit: 'cm',
    how: 'A ring of 50 mm filled level, lifted: after 60 s the mean of four distances beyond its edge.',
    low: 0,
    high: 12,
    points: (cm) => within(8.5 - 0.8 * cm),
    source: `thickness = 8.5 − 0.8 s; after Grawemeyer and Pfund 1943; ${PRACTICE}`,
  },
  {
    id: 'melt-disc',
    kind: 'melt-disc',
    attribute: 'melt',
    label: 'Disc grows',
    unit: '%',
    how: 'A disc of 40 × 5 mm in an oven of 220 °C for 5 min; cool 5 min.',
    low: 0,
    high: 300,
    points: along([
      [0, 0],
      [5, 1],
      [20, 3],
      [50, 6],
      [80, 9],
      [110, 10],
    ]),
    source: PRACTICE,
  },
  {
    id: 'string',
    kind: 'string',
    attribute: 'stretch',
    label: 'String',
    unit: 'cm',
    how: '20 g melted on toast, 60 to 65 °C, a fork lifted 2 cm a second: the length at which it breaks.',
    low: 0,
    high: 200,
    points: along([
      [0, 0],
      [3, 2],
      [10, 5],
      [20, 7],
      [40, 10],
    ]),
    source: PRACTICE,
  },
  {
    id: 'snap',
    kind: 'snap',
    attribute: 'crispness',
    label: 'Snaps at',
    unit: '° of bend',
    how: 'Bend a strip slowly: the angle at which it breaks.',
    low: 0,
    high: 180,
    points: along([
      [0, 10],
      [15, 9],
      [30, 7],
      [60, 4],
      [90, 1.5],
      [180, 0],
    ]),
    source: PRACTICE,
  },
  {
    id: 'sieve',
    kind: 'sieve',
    attribute: 'graininess',
    label: 'Stays in the sieve',
    unit: '%',
    how: '50 g thinned with three parts of warm water through 150 µm; rinse and weigh wet.',
    low: 0,
    high: 100,
    points: along([
      [0, 0],
      [0.5, 1],
      [2, 3],
      [6, 6],
      [15, 9],
      [25, 10],
    ]),
    source: PRACTICE,
  },
]

/** The measurement that speaks of an attribute; null where only the tongue does. */
export const checkOf = (attribute: AttributeId): KitchenCheck | null =>
  KITCHEN_CHECKS.find((check) => check.attribute === attribute) ?? null

/** The measurement of a kind; null where it says nothing of an attribute. */
export const checkOfKind = (kind: DayMeasure['kind']): KitchenCheck | null =>
  KITCHEN_CHECKS.find((check) => check.kind === kind) ?? null

/** One measurement comes within so much of the next; a ring on a glass within 0.3 cm. @source kitchen measurements, repeatability */
const REPEATS = 0.15
const RING_CM = 0.3
/** What the line from figure to scale may be off in a kitchen that did not shift it, points. Practice. */
const MAPPING_SD = 0.8

/** A measured value on the scale of an attribute. */
export interface CheckedValue {
  readonly check: KitchenCheck
  /** Median of the repeats, in the unit of the check. */
  readonly value: number
  readonly times: number
  readonly points: number
  /** Of the points: what repeats scatter by and what the mapping may be off. */
  readonly sd: number
}

/** @param values one figure for each repeat; none outside of what the check can show. @returns null where there is none */
export function checked(check: KitchenCheck, values: readonly number[]): CheckedValue | null {
  const fit = values.filter((value) => value >= check.low && value <= check.high).sort((a, b) => a - b)
  const [low, high] = [fit[Math.floor((fit.length - 1) / 2)], fit[Math.floor(fit.length / 2)]]
  if (low === undefined || high === undefined) return null
  const value = (low + high) / 2
  const off = check.id === 'line-spread' ? RING_CM : REPEATS * value
  const spread = Math.abs(check.points(value + off) - check.points(value - off)) / 2
  return {
    check,
    value,
    times: fit.length,
    points: check.points(value),
    sd: Math.hypot(spread / Math.sqrt(fit.length), MAPPING_SD),
  }
}
