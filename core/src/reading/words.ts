import type { FormulaLine, Ingredient, Step } from '../model'

/** A word of a step and where it stands. */
export interface Token {
  readonly word: string
  readonly at: number
}

/** Ends of words that say how many, not what: "tomatoes", "berries", "leaves". */
const singular = (word: string): string =>
  word.length > 3
    ? word
        .replace(/ies$/, 'y')
        .replace(/(?:oes|ches|shes|sses)$/, (end) => end.slice(0, -2))
        .replace(/(?<!s)s$/, '')
    : word

const STOP = new Set(
  'the a an and or of in on to for with until from into over it its them they is are be at by as then all each about no not more very well'.split(
    ' ',
  ),
)
/** Words of a food's name that do not tell it from another. */
const VAGUE = new Set(
  'raw dried dry fresh ground whole chopped sliced cooked canned drained unsweetened vital fine large small medium half plain refined extra firm light dark hot cold vegan plant based soaked young'.split(
    ' ',
  ),
)

export function tokensOf(text: string): Token[] {
  return [...text.toLowerCase().matchAll(/\p{L}+/gu)].flatMap(({ 0: word, index }) =>
    STOP.has(word) ? [] : [{ word: singular(word), at: index }],
  )
}

const stepTokens = new WeakMap<Step, Token[]>()
export function tokensIn(step: Step): Token[] {
  const known = stepTokens.get(step)
  if (known !== undefined) return known
  const made = tokensOf(step.text)
  stepTokens.set(step, made)
  return made
}

/** Names of a food as sets of telling words; vague ones count only where nothing else is left. */
function namesOf(texts: readonly string[]): string[][] {
  return texts.flatMap((text) => {
    const words = tokensOf(text).map(({ word }) => word)
    const telling = words.filter((word) => !VAGUE.has(word))
    const kept = telling.length > 0 ? telling : words
    return kept.length === 0 ? [] : [kept]
  })
}

const foodNames = new WeakMap<Ingredient, string[][]>()
/** What lines call their foods: a kitchen writes the same few hundred words over and over. */
const lineNames = new Map<string, string[][]>()
const MOST_LINE_NAMES = 4000

export function namesOfFood(food: Ingredient): string[][] {
  const known = foodNames.get(food)
  if (known !== undefined) return known
  const made = namesOf([food.name.replace(/\(.*?\)/g, ''), ...food.otherNames])
  foodNames.set(food, made)
  return made
}

/** What a line calls its food. */
export function namesOfLine(line: FormulaLine): string[][] {
  const known = lineNames.get(line.food)
  if (known !== undefined) return known
  const made = namesOf([line.food])
  if (lineNames.size >= MOST_LINE_NAMES) lineNames.clear()
  lineNames.set(line.food, made)
  return made
}
