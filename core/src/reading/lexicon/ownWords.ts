import type { Kitchen } from '../../model'
import { formsOf, type FoundVerb, type Verb, verbOf } from './verbs'

/** Verbs of one kitchen, by each of their forms: they go before the common ones. */
export type OwnWords = ReadonlyMap<string, FoundVerb>

export const NO_WORDS: OwnWords = new Map()

const made = new WeakMap<Kitchen['words'], OwnWords>()

/** The verbs that a kitchen has taught: "scald" that means heating here, "frizzle" that no table knows. */
export function ownWordsOf({ words }: Pick<Kitchen, 'words'>): OwnWords {
  if (words.length === 0) return NO_WORDS
  const known = made.get(words)
  if (known !== undefined) return known
  const own = new Map<string, FoundVerb>()
  for (const { word, operation } of words) {
    const common = verbOf(word)?.verb
    const verb: Verb = {
      word,
      kind: 'do',
      senses: [{ when: null, operation }],
      joins: common?.joins ?? false,
      isNoun: common?.isNoun ?? false,
    }
    for (const [text, form] of formsOf(word)) own.set(text, { verb, form })
  }
  made.set(words, own)
  return own
}
