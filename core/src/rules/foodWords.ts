import type { Ingredient } from '../model'

const FORMS = new Set([
  'ground',
  'dried',
  'fresh',
  'whole',
  'raw',
  'white',
  'red',
  'green',
  'black',
  'refined',
  'extra',
  'with',
  'from',
  'cooked',
  'canned',
  'drained',
  'sliced',
  'chopped',
  'half',
])

/** Words that can name a food in a sentence: over three letters, no forms, without their plural ending. */
export const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 3 && !FORMS.has(word))
    .map((word) => word.replace(/(?:oes|es|s)$/, ''))

const namings = new WeakMap<Ingredient, ReadonlySet<string>>()

/** Every word by which a food may be named. Kept for each ingredient object. */
export function namingWords(food: Ingredient): ReadonlySet<string> {
  const known = namings.get(food)
  if (known !== undefined) return known
  const words = new Set(wordsOf([food.name, ...food.otherNames].join(' ')))
  namings.set(food, words)
  return words
}
