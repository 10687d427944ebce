import { assess } from '../assess'
import type { Dish, PartAssessment } from '../model'
import type { Deviation } from './deviation'
import type { Bench, PartFacts } from './side'
import type { Symptom } from './symptom'

/** A part's reading of a dish that was changed; null where the part is gone. */
export const readingOf = (dish: Dish, partId: string, { library, kitchen }: Bench): PartAssessment | null =>
  assess(dish, library, kitchen).parts.find((part) => part.partId === partId) ?? null

/** How much less of what is wrong one reading has than another, points, over the attributes of a symptom; null where none of them is judged. */
export function mends(before: PartAssessment, after: PartAssessment, { triggers }: Symptom): number | null {
  let most: number | null = null
  let sum = 0
  for (const { attribute, side } of triggers) {
    const was = before.attributes.find(({ id }) => id === attribute)
    const is = after.attributes.find(({ id }) => id === attribute)
    if (was === undefined || is === undefined) continue
    const better = side * (was.value - is.value)
    sum += better
    most = Math.max(most ?? -Infinity, better)
  }
  return most === null ? null : sum < 0 && most < 0.2 ? sum : most
}

/** What putting one deviation back does to what is wrong, points; above 0 = it mends. null where the engine cannot say. */
export function explains(
  deviation: Deviation,
  symptom: Symptom,
  own: PartFacts,
  bench: Bench,
): number | null {
  if (deviation.revert === null) return null
  const after = readingOf(deviation.revert(own.dish), own.part.id, bench)
  return after === null ? null : mends(own.reading, after, symptom)
}
