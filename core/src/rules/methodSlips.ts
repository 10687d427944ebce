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
  readonly stepId: string
  readonly massG: number
  readonly isPartial: boolean
}

const writtenWords = new WeakMap<ResolvedLine, readonly string[]>()

/** Whether a word can name a line's food: by the library's names or by the line's own. */
function isNamed(line: ResolvedLine, word: string): boolean {
  if (line.food !== null && namingWords(line.food).has(word)) return true
  let written = writtenWords.get(line)
  if (written === undefined) {
    written = wordsOf(line.line.food)
    writtenWords.set(line, written)
  }
  return written.includes(word)
}

/** The listed food that an amount in a step is of: the one named by most of the words after it, then the nearest. */
function lineOf({ after }: StepAmount, lines: readonly ResolvedLine[]): ResolvedLine | null {
  let best: ResolvedLine | null = null
  let bestHits = 0
  let bestPlace = Number.POSITIVE_INFINITY
  for (const line of lines) {
    if (line.food === null) continue
    const place = after.findIndex((word) => isNamed(line, word))
    if (place < 0) continue
    const hits = after.filter((word) => isNamed(line, word)).length
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
    return mass === null ? [] : [{ line, stepId: step.id, massG: mass.value, isPartial: stated.isPartial }]
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
    const last = own.at(-1)
    return [
      {
        rule: 'list-step-disagree',
        severity: 'caution',
        lineId: line.line.id,
        ...(last === undefined ? {} : { stepId: last.stepId }),
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

interface Named {
  /** The one or two words that named it. */
  readonly words: readonly string[]
  readonly food: Ingredient
}

const namedIn = new WeakMap<Step, { readonly library: Library; readonly foods: readonly Named[] }>()

/** Foods of the library that a step names; kept for each step. */
function foodsNamedIn(step: Step, library: Library): readonly Named[] {
  const known = namedIn.get(step)
  if (known?.library === library) return known.foods
  const names = foodNames(library)
  const { words } = stepWords(step)
  const foods = words.flatMap((word, at): Named[] => {
    const pair = `${word} ${words[at + 1] ?? ''}`
    const key = names.has(pair) ? pair : word
    const food = names.get(key)
    return food === undefined ? [] : [{ words: key.split(' '), food }]
  })
  namedIn.set(step, { library, foods })
  return foods
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
  const found = new Map<string, Ingredient>()
  const listedIds = new Set(listed.map(({ food }) => food?.id))
  let ofOthers: ReadonlySet<string> | null = null
  for (const step of steps) {
    for (const { words, food } of foodsNamedIn(step, library)) {
      if (listedIds.has(food.id) || found.has(food.id)) continue
      if (listed.some((line) => words.some((word) => isNamed(line, word)))) continue
      ofOthers ??= new Set(wordsOf(otherWords))
      const others = ofOthers
      if (!words.some((word) => others.has(word))) found.set(food.id, food)
    }
  }
  return [...found.values()].slice(0, 4).map((food) => ({
    rule: 'used-unlisted',
    severity: 'info',
    message: `A step uses ${food.name.toLowerCase()}, which no part lists.`,
    remedy: 'Add a line for it, or take it out of the step.',
  }))
}
