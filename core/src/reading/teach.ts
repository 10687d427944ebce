import type { OperationId } from '../model'
import type { OwnWords } from './lexicon/ownWords'
import { verbOf } from './lexicon/verbs'
import { readStep } from './readStep'

const FIRST_WORD = /^\s*(?:then |now |next |and )?([a-zß-ɏ][a-zß-ɏ-]{1,38})/iu
const NO_VERBS = new Set(
  'the a an in on with for from into when once while meanwhile after before until if heat it them this and or not to of at by'.split(
    ' ',
  ),
)

/**
 * The word of a step that a kitchen could be taught, once a person has set what it means.
 * @returns its bare form; null where the step begins with no word that could be a verb, or it means that already
 */
export function wordToTeach(text: string, operation: OperationId, own: OwnWords): string | null {
  const first = FIRST_WORD.exec(text)?.[1]?.toLowerCase() ?? ''
  if (first === '' || NO_VERBS.has(first)) return null
  if (readStep(text, own).operation === operation) return null
  return (own.get(first) ?? verbOf(first))?.verb.word ?? first
}
