import type { ResolvedLine } from '../composition'
import { formatGrams, lineMass } from '../measure'
import type { Ingredient, Kitchen, Library, Step } from '../model'
import type { Found } from './finding'
import { namingWords, wordsOf } from './foodWords'
import { type StepAmount, stepWords } from './stepWords'

/** A step may differ from the list by this share before it is said. Practice. */
const TOLERANCE = 0.12
interface Mention {
  readonly line: ResolvedLine
  readonly massG: number
  readonly isPartial: boolean
}

const lineNames = new WeakMap<ResolvedLine, ReadonlySet<string>>()

/** Words that can name a line's food; kept for each resolved line. */
function namesOfLine(line: ResolvedLine): ReadonlySet<string> {
  const known = lineNames.get(line)
  if (known !== undefined) return known
  const names = new Set([...(line.food === null ? [] : namingWords(line.food)), ...wordsOf(line.line.food)])
  lineNames.set(line, names)
  return names
}

/** The listed food that an amount in a step is of: the one named by most of the words after it, then the nearest. */
function lineOf({ after }: StepAmount, lines: readonly ResolvedLine[]): ResolvedLine | null {
  let best: ResolvedLine | null = null
  let bestHits = 0
  let bestPlace = Number.POSITIVE_INFINITY
  for (const line of lines) {
    if (line.food === null) continue
    const names = namesOfLine(line)
    const place = after.findIndex((word) => names.has(word))
    if (place < 0) continue
    const hits = after.filter((word) => names.has(word)).length
    if (hits > bestHits || (hits === bestHits && place < bestPlace)) {
      best = line
      bestHits = hits
      bestPlace = place
    }
  }
  return best
}

/** Amounts of listed foods that a step states. */
const mentionsIn = (step: Step, lines: readonly ResolvedLine[], kitchen: Kitchen): Mention[] =>
  stepWords(step).amounts.flatMap((stated): Mention[] => {
    const line = lineOf(stated, lines)
    if (line?.food == null) return []
    const { mass } = lineMass(stated.amount, line.food, line.line.food.toLowerCase(), kitchen)
    return mass === null ? [] : [{ line, massG: mass.value, isPartial: stated.isPartial }]
  })

/** Where the list says one amount and the steps say another. */
export function listAgainstSteps(
  lines: readonly ResolvedLine[],
  steps: readonly Step[],
  kitchen: Kitchen,
): Found[] {
  const mentions = steps.flatMap((step) => mentionsIn(step, lines, kitchen))
  if (mentions.length === 0) return []
  return lines.flatMap((line): Found[] => {
    const own = mentions.filter((mention) => mention.line === line)
    const listedG = line.mass?.value ?? 0
    if (own.length === 0 || listedG <= 0 || line.mass === null) return []
    const total = own.reduce((sum, { massG }) => sum + massG, 0)
    const isMore = total > listedG * (1 + TOLERANCE)
    const isOther =
      own.length === 1 && own.every(({ isPartial }) => !isPartial) && total < listedG * (1 - TOLERANCE)
    if (!isMore && !isOther) return []
    return [
      {
        rule: 'list-step-disagree',
        severity: 'caution',
        lineId: line.line.id,
        message: `The list has ${formatGrams(line.mass)} g of ${line.food?.name.toLowerCase() ?? line.line.food}; the steps use ${formatGrams({ value: total, sd: line.mass.sd })} g.`,
        remedy: 'Make them agree, or write “of the” where a step takes a part.',
      },
    ]
  })
}

const namesOf = new WeakMap<Library, ReadonlyMap<string, Ingredient>>()
/** Words of a kitchen that are also names of foods, but seldom mean one in a step. */
const EVERYDAY: ReadonlySet<string> = new Set([
  'water',
  'ice',
  'oil',
  'stock',
  'broth',
  'cream',
  'flour',
  'salt',
  'pepper',
  'squash',
  'corn',
  'bran',
  'bread',
  'sugar',
  'butter',
  'milk',
  'vinegar',
])

/** Names of one or two words by which a food can be known in a step. */
function foodNames(library: Library): ReadonlyMap<string, Ingredient> {
  const known = namesOf.get(library)
  if (known !== undefined) return known
  const names = new Map<string, Ingredient>()
  for (const food of library.ingredients.values()) {
    for (const name of [food.name, ...food.otherNames]) {
      const words = wordsOf(name)
      if (words.length === 0 || words.length > 2 || words.length !== name.split(/\s+/).length) continue
      const key = words.join(' ')
      if (!EVERYDAY.has(key) && !names.has(key)) names.set(key, food)
    }
  }
  namesOf.set(library, names)
  return names
}

/**
 * Foods that the steps name and no part lists.
 * @param listed every line of the dish, so that a sauce made in another part counts as listed
 * @param otherWords names of parts and of the dish: "white sauce" is no food that is missing
 */
export function usedUnlisted(
  listed: readonly ResolvedLine[],
  steps: readonly Step[],
  otherWords: string,
  library: Library,
): Found[] {
  if (steps.length === 0) return []
  const names = foodNames(library)
  const known = new Set(wordsOf(otherWords))
  for (const line of listed) for (const name of namesOfLine(line)) known.add(name)
  const found = new Map<string, Ingredient>()
  for (const step of steps) {
    const { words } = stepWords(step)
    words.forEach((word, at) => {
      const pair = `${word} ${words[at + 1] ?? ''}`
      const key = names.has(pair) ? pair : word
      const food = names.get(key)
      if (food !== undefined && !key.split(' ').some((part) => known.has(part))) found.set(food.id, food)
    })
  }
  return [...found.values()].slice(0, 4).map((food) => ({
    rule: 'used-unlisted',
    severity: 'info',
    message: `A step uses ${food.name.toLowerCase()}, which no part lists.`,
    remedy: 'Add a line for it, or take it out of the step.',
  }))
}
