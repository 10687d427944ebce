import { foodPhrase } from '../measure'
import type { FormulaLine, Ingredient } from '../model'

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')
/** Words that say how a food is, not what it is: alone they name nothing. */
const QUALIFIERS: ReadonlySet<string> = new Set(
  'fresh dried raw cooked whole ground large small medium unsalted salted plain white black red green hot cold soft hard warm finely roughly full fat low lean boneless skinless light dark double heavy single thick free range'.split(
    ' ',
  ),
)
const LEAST_LETTERS = 3

/**
 * What a step may call the food of a line, the longest first.
 * @param isShort with the shorter names as well: "mince" of "beef mince"
 */
export function namesOf(
  { food: written }: Pick<FormulaLine, 'food'>,
  food: Ingredient,
  isShort = true,
): string[] {
  const names = new Set<string>()
  for (const name of [written, foodPhrase(food), food.name, ...food.otherNames]) {
    const words = name
      .toLowerCase()
      .replace(/\([^)]*\)|,.*$/g, ' ')
      .split(/[^\p{L}'-]+/u)
      .filter((word) => word !== '')
    // "minced beef", "beef", and "mince" of "beef mince": every run of words that ends or begins the name.
    for (let from = 0; from < words.length; from += 1)
      for (let to = words.length; to > from; to -= 1) {
        const isWhole = from === 0 && to === words.length
        if (!isWhole && (!isShort || (from > 0 && to < words.length))) continue
        const run = words.slice(from, to)
        if (run.every((word) => QUALIFIERS.has(word))) continue
        const text = run.join(' ')
        if (text.length >= LEAST_LETTERS) names.add(text)
      }
  }
  return [...names].sort((a, b) => b.length - a.length)
}

/** Names of the list's other foods: what they are called is not written over. */
const plural = (name: string): string => `${escaped(name)}(?:e?s)?`

/**
 * A step's words with one food's name written over by another's.
 * @param names what it may be called, the longest first
 * @param others names of the other foods of the list, which stay
 */
export function renamed(
  text: string,
  names: readonly string[],
  others: readonly string[],
  by: string,
): string {
  const own = names.filter((name) => !others.includes(name))
  if (own.length === 0) return text
  // Longer names of other foods are passed over, so that "butter" leaves "peanut butter" alone.
  const kept = others.filter((other) => own.some((name) => other !== name && other.includes(name)))
  const pattern = new RegExp(
    `\\b(?:(${kept.map(plural).join('|') || '(?!)'})|(?:${own.map(plural).join('|')}))(?![\\p{L}-])`,
    'giu',
  )
  return text.replace(pattern, (found: string, other: string | undefined) => {
    if (other !== undefined) return found
    const isCapital = found.charAt(0) !== found.charAt(0).toLowerCase()
    return isCapital ? by.charAt(0).toUpperCase() + by.slice(1) : by
  })
}

/** "lentils, mushrooms and walnuts". */
export function listed(named: readonly string[]): string {
  const phrases = [...new Set(named)]
  const last = phrases.at(-1) ?? ''
  return phrases.length <= 1 ? last : `${phrases.slice(0, -1).join(', ')} and ${last}`
}
