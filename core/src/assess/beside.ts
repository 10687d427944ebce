import type { Dish } from '../model'
import type { PartWork } from './workPart'

/** Words that serve at the table what the steps leave of a part. */
const BESIDE =
  /\b(?:rest|remaining|remainder|leftover|other half)\b[^.;!?]{0,48}\b(?:for dipping|to dip|as a dip|at (?:the )?table|on the side|alongside|to serve|for serving|separately|round)\b|\b(?:pass|serve|offer|hand|bring)\b[^.;!?]{0,32}\b(?:rest|remaining|remainder|leftover)\b/giu

const LEAST_SHARE = 0.02

/**
 * The share of each part that no other takes and that the words serve beside the dish: "half of the sauce over, the rest
 * for dipping". What is only left over is not served.
 *
 * @param taken share of each part that others take
 * @returns shares above 0, by the id of the part
 */
export function servedBeside(
  { written, parts, note }: Pick<Dish, 'written' | 'parts' | 'note'>,
  works: readonly PartWork[],
  taken: ReadonlyMap<string, number>,
): ReadonlyMap<string, number> {
  const left = works.flatMap(({ assessment: { partId, name } }) => {
    const share = taken.get(partId)
    return share === undefined || share > 1 - LEAST_SHARE ? [] : [{ partId, name, share: 1 - share }]
  })
  const beside = new Map<string, number>()
  if (left.length === 0) return beside
  const texts = [
    ...written.map(({ text }) => text),
    ...parts.flatMap(({ steps }) => steps.map(({ text }) => text)),
    note,
  ]
  for (const text of texts)
    for (const match of text.matchAll(BESIDE)) {
      const words = match[0].toLowerCase()
      const named = left.filter(({ name }) =>
        name
          .toLowerCase()
          .split(/[^\p{L}]+/u)
          .some((word) => word.length > 3 && words.includes(word)),
      )
      const [one] = named.length > 0 ? named : left
      if (one !== undefined && (named.length > 0 || left.length === 1)) beside.set(one.partId, one.share)
    }
  return beside
}
