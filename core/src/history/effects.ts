import {
  type AttributeId,
  attributeName,
  type AttributeReading,
  type PartAssessment,
  type Tasted,
} from '../model'

/** What a change did to one attribute, points of the scale of 0 to 10. */
export interface Effect {
  readonly attribute: AttributeId
  readonly before: number
  readonly after: number
  readonly change: number
  /** How often it counts in the distance, 0 to 3. */
  readonly weight: number
  /** Distance to the band before and after, 0 inside it. */
  readonly gapBefore: number
  readonly gapAfter: number
}

/** Smaller moves are not worth a word, points. Practice. */
const LEAST = 0.25
const gapTo = (value: number, target: AttributeReading['target']): number =>
  target === null
    ? 0
    : value < target.low
      ? value - target.low
      : value > target.high
        ? value - target.high
        : 0

/** Moves of attributes, those that count and the largest first. */
const ordered = (effects: Effect[]): Effect[] =>
  effects
    .filter(({ change }) => Math.abs(change) >= LEAST)
    .sort((a, b) => Math.abs(b.change) * (0.4 + b.weight) - Math.abs(a.change) * (0.4 + a.weight))

/** What the model says that a change did. */
export function predictedEffects(before: PartAssessment, after: PartAssessment): Effect[] {
  return ordered(
    after.attributes.flatMap((reading): Effect[] => {
      const was = before.attributes.find(({ id }) => id === reading.id)
      return was === undefined
        ? []
        : [
            {
              attribute: reading.id,
              before: was.value,
              after: reading.value,
              change: reading.value - was.value,
              weight: reading.weight,
              gapBefore: gapTo(was.value, reading.target),
              gapAfter: gapTo(reading.value, reading.target),
            },
          ]
    }),
  )
}

/** What tasters said of a part in one trial: mean of its tastings by attribute. */
export function tastedOfTrial(
  tasted: readonly Tasted[],
  dishId: string,
  trialNumber: number,
  part: Pick<PartAssessment, 'partId' | 'family'>,
): ReadonlyMap<AttributeId, { readonly value: number; readonly sd: number; readonly people: number }> {
  const found = new Map<AttributeId, Tasted[]>()
  for (const one of tasted) {
    if (one.dishId !== dishId || one.trialNumber !== trialNumber) continue
    // A part of a trial may have been made anew since, under another id: then its family tells.
    if (one.partId !== part.partId && one.family !== part.family) continue
    found.set(one.attribute, [...(found.get(one.attribute) ?? []), one])
  }
  return new Map(
    [...found].map(([attribute, all]) => {
      let [weight, sum, people] = [0, 0, 0]
      for (const { observed, sd, people: count } of all) {
        weight += 1 / sd ** 2
        sum += Math.min(10, Math.max(0, observed)) / sd ** 2
        people += count
      }
      return [attribute, { value: sum / weight, sd: Math.sqrt(1 / weight), people }] as const
    }),
  )
}
export type TastedValues = ReturnType<typeof tastedOfTrial>

/** What tasters say that a change did: attributes that were tasted in both. */
export function tastedEffects(after: PartAssessment, was: TastedValues, is: TastedValues): Effect[] {
  return ordered(
    [...is].flatMap(([attribute, { value }]): Effect[] => {
      const before = was.get(attribute)
      const reading = after.attributes.find(({ id }) => id === attribute)
      if (before === undefined) return []
      const target = reading?.target ?? null
      return [
        {
          attribute,
          before: before.value,
          after: value,
          change: value - before.value,
          weight: reading?.weight ?? 0,
          gapBefore: gapTo(before.value, target),
          gapAfter: gapTo(value, target),
        },
      ]
    }),
  )
}

/** A distance with its standard deviation, points. */
export interface Distance {
  readonly value: number
  readonly sd: number
}

/** Share of the weights that must have been tasted for a distance. Practice. */
const LEAST_TASTED = 0.5

/** How far a part is from its original as tasted; null where too little of what counts was. */
export function tastedDistance(part: PartAssessment, tasted: TastedValues): Distance | null {
  let [whole, known, sum, variance] = [0, 0, 0, 0]
  for (const { id, weight, target } of part.attributes) {
    if (weight === 0 || target === null) continue
    whole += weight
    const one = tasted.get(id)
    if (one === undefined) continue
    known += weight
    sum += weight * Math.abs(gapTo(one.value, target))
    variance += (weight * one.sd) ** 2
  }
  return known === 0 || known < LEAST_TASTED * whole
    ? null
    : { value: sum / known, sd: Math.sqrt(variance) / known }
}

/** Where tasters put a part outside of its original's bands, points; below 0 = too low. */
export const tastedGaps = (
  part: PartAssessment,
  tasted: TastedValues,
): { readonly attribute: AttributeId; readonly gap: number }[] =>
  part.attributes.flatMap(({ id, target }) => {
    const one = tasted.get(id)
    const gap = one === undefined ? 0 : gapTo(one.value, target)
    return gap === 0 ? [] : [{ attribute: id, gap }]
  })

/** How far a part is from its original by the model, with how sure that is. An attribute deep in its band adds little. */
export function predictedDistance({ distance, attributes }: PartAssessment): Distance | null {
  if (distance === null) return null
  let [whole, variance] = [0, 0]
  for (const { weight, target, sd, value } of attributes) {
    if (weight === 0 || target === null) continue
    whole += weight
    const inside = Math.min(value - target.low, target.high - value)
    const share = inside <= 0 ? 1 : Math.max(0, 1 - inside / (2 * Math.max(1e-6, sd)))
    variance += (weight * sd * share) ** 2
  }
  return { value: distance, sd: whole === 0 ? 0 : Math.sqrt(variance) / whole }
}

const signed = (value: number): string => `${value > 0 ? '+' : '−'}${Math.abs(value).toFixed(1)}`

/** "richness +1.8, crumbliness +2.1". */
export const effectWords = (effects: readonly Effect[], most = 3): string =>
  effects
    .slice(0, most)
    .map(({ attribute, change }) => `${attributeName(attribute)} ${signed(change)}`)
    .join(', ')
