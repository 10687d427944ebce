import type { Worked } from '../assess'
import type { Change } from './change'
import { lineChanges, prepIn } from './lineChanges'
import { stepChanges, type StepNames } from './stepChanges'

/**
 * What one formula has otherwise than another, in words and grams, the largest first within each part. Where most lines
 * grew together, the batch is said once and lines are told apart from that.
 * @param names what a step is called in a sentence: "steam", "bake"
 */
export function changesBetween(before: Worked, after: Worked, names: StepNames): Change[] {
  return after.dish.parts.flatMap((part): Change[] => {
    const was =
      before.dish.parts.find(({ id }) => id === part.id) ??
      before.dish.parts.find(({ name }) => name === part.name)
    const [partBefore, partAfter] = [
      before.assessment.parts.find(({ partId }) => partId === was?.id),
      after.assessment.parts.find(({ partId }) => partId === part.id),
    ]
    if (was === undefined || partBefore === undefined || partAfter === undefined) return []
    return [
      ...lineChanges(part.id, part.name, partBefore, partAfter, { before: prepIn(was), after: prepIn(part) }),
      ...stepChanges(part, was, names),
    ].sort((a, b) => b.size - a.size)
  })
}

/** So many steps that came or went are told as one. */
const MOST_STEPS = 2

/** The largest of some changes in a line of words: "+40 g soy milk, −10 g oats, steam 45 instead of 60 min and 2 more". */
export function changeWords(changes: readonly Change[], most = 3): string {
  const fresh = changes.filter(({ kind }) => kind === 'new-step').length
  const gone = changes.filter(({ kind }) => kind === 'gone-step').length
  const isRewritten = fresh + gone > MOST_STEPS
  const told = changes.filter(
    ({ kind }) => kind !== 'reworded' && !(isRewritten && (kind === 'new-step' || kind === 'gone-step')),
  )
  const method = [...(fresh > 0 ? [`${fresh} new`] : []), ...(gone > 0 ? [`${gone} gone`] : [])].join(', ')
  const words = [
    ...told.map((one) => one.words).slice(0, isRewritten ? most - 1 : most),
    ...(isRewritten ? [`method rewritten (${method})`] : []),
  ]
  if (words.length === 0) return changes.length === 0 ? '' : (changes[0]?.words ?? '')
  const more = told.length - Math.min(told.length, isRewritten ? most - 1 : most)
  return `${words.join(words.some((one) => one.includes(', ')) ? '; ' : ', ')}${more > 0 ? ` and ${more} more` : ''}`
}
