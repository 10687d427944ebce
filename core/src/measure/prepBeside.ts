import type { FormulaLine } from '../model'
import { foodTokens, PREP_WORDS, STATE_WORDS } from './foodWords'

/**
 * What a line says of its preparation, to stand beside the food's own name: without words that the name has already.
 * @param name the ingredient's name as shown
 * @returns '' where nothing is left to say
 */
export function prepBeside({ food, prep }: Pick<FormulaLine, 'food' | 'prep'>, name: string): string {
  const named = new Set(foodTokens(name))
  const isNew = (text: string): boolean => !foodTokens(text).every((token) => named.has(token))
  const cut = food
    .split(/\s+/)
    .filter((word) =>
      foodTokens(word).some((token) => PREP_WORDS.has(token) && !STATE_WORDS.has(token) && !named.has(token)),
    )
  const pieces = prep.split(/,\s*/).filter((piece) => piece !== '' && isNew(piece))
  return [cut.join(' '), ...pieces].filter((piece) => piece !== '').join(', ')
}
