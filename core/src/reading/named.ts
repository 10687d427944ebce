import type { ResolvedLine } from '../composition'
import type { FoodClass, FormulaLine, Ingredient } from '../model'
import { PRODUCT_WORDS } from './lexicon/things'
import { stemsOf, type Token } from './tokens'

/** One thing of a list that words can name: a line, or a part. */
export interface Named {
  readonly kind: 'line' | 'part'
  readonly id: string
  /** Part that it belongs to, or that it is, by its place in the dish. */
  readonly part: number
  /** What the list itself calls it, and what else it may be called. */
  readonly own: number
  readonly names: readonly (readonly string[])[]
  /** What the list keeps it for: "for dusting". */
  readonly purpose: string | null
  readonly line: ResolvedLine | null
  readonly foodClass: FoodClass | null
}

/** Words of a food's name that do not tell it from another. */
const VAGUE = new Set(
  'raw dried dry fresh ground whole chopped sliced cooked canned drained unsweetened vital fine large small medium half plain refined extra firm light dark hot cold warm lukewarm tepid iced vegan plant based soaked young the a an of or and with in for about x tin can tinned pack packet sheet block stick piece other good self raising rising'.split(
    ' ',
  ),
)
/** A single common word of a longer name does not name it: "sauce" alone is not soy sauce. */
export const TOO_COMMON = new Set(
  'sauce powder milk cream flour paste water oil starch seed leaf juice stock vinegar butter bread sugar cheese red white black green brown sweet cut wheat soy yellow blue clove liquid extract mix food grade curry based high low free baking'.split(
    ' ',
  ),
)
/** Parts that recipes call so, and that a sentence may mean otherwise. */
const COMMON_PARTS = new Set(['main', 'part', 'base', 'top', 'assembly', 'method'])

function tellingNames(texts: readonly string[]): string[][] {
  return texts.flatMap((text) => {
    const words = stemsOf(text)
    const telling = words.filter((word) => !VAGUE.has(word) && !/^\d/.test(word))
    const kept = telling.length > 0 ? telling : words
    // Breadcrumbs are called crumbs.
    const short = kept.map((word) => word.replace(/^breadcrumb$/u, 'crumb'))
    return kept.length === 0 ? [] : short.join() === kept.join() ? [kept] : [kept, short]
  })
}

const foodNames = new WeakMap<Ingredient, string[][]>()
const namesOfFood = (food: Ingredient): string[][] => {
  const known = foodNames.get(food)
  if (known !== undefined) return known
  const made = tellingNames([food.name.replace(/\(.*?\)/g, ''), ...food.otherNames])
  foodNames.set(food, made)
  return made
}
/** What cooks write short in their notes. */
const SHORT: readonly (readonly [short: string, name: RegExp])[] = [
  ['bp', /\bbaking powder\b/iu],
  ['bicarb', /\bbaking soda\b|\bbicarbonate\b/iu],
  ['acv', /\b(?:apple )?cider vinegar\b/iu],
  ['evoo', /\bolive oil\b/iu],
  ['pb', /\bpeanut butter\b/iu],
  ['tvp', /\btextured (?:vegetable|soy)/iu],
  ['marg', /\b(?:margarine|vegan butter|plant butter)\b/iu],
  ['vwg', /\bvital wheat gluten\b/iu],
  ['toms', /\btomato(?:es)?\b/iu],
  ['nooch', /\bnutritional yeast\b/iu],
]
const shortOf = (food: string): string[] => SHORT.flatMap(([short, name]) => (name.test(food) ? [short] : []))
/** "800 g potatoes, cut into thick chips" are called chips from then on. */
const CUT_AS = /\b(chips|fries|wedges|florets|coins|crisps|steaks)\b/iu
const CUT_INTO = /\b(?:in|into) (?:[\w.,-]+ ){0,4}?(slices|slabs|rounds|batons|matchsticks)\b/iu
const cutAs = ({ prep, text }: FormulaLine): string[] => {
  const found = CUT_AS.exec(prep)?.[1] ?? CUT_INTO.exec(text)?.[1]
  return found === undefined ? [] : [found]
}
const lineNames = new WeakMap<FormulaLine, string[][]>()
const namesOfLine = (line: FormulaLine): string[][] => {
  const known = lineNames.get(line)
  if (known !== undefined) return known
  const inBrackets = line.sharesText === undefined ? /\(([^)\d]{3,40})\)/u.exec(line.text)?.[1] : undefined
  const made = tellingNames([
    line.food.replace(/\(.*?\)|\bfor\b.*$/gu, ''),
    ...(inBrackets === undefined ? [] : [inBrackets]),
    ...shortOf(line.food),
    ...cutAs(line),
  ])
  lineNames.set(line, made)
  return made
}

const PURPOSE =
  /\b(?:for|to) (?:the )?(?:deep[- ]|shallow[- ])?(dust|fry|brush|greas|coat|glaz|serv|finish|garnish|sprinkl|roll|cook|pan|top|drizzl)(?:ing|e|y|le)?\b/iu

/** What the list keeps a food for; a line that names two amounts keeps only the second for it. */
const purposeOf = ({ text, food, prep, amount, sharesText }: FormulaLine): string | null => {
  if ((amount?.terms.length ?? 0) > 1) return null
  const words = sharesText === undefined ? text : `${food}, ${prep}`
  return PURPOSE.exec(words)?.[1]?.toLowerCase() ?? null
}

export const namedLine = (resolved: ResolvedLine, part: number): Named => ({
  kind: 'line',
  id: resolved.line.id,
  part,
  own: namesOfLine(resolved.line).length,
  names: [...namesOfLine(resolved.line), ...(resolved.food === null ? [] : namesOfFood(resolved.food))],
  purpose: purposeOf(resolved.line),
  line: resolved,
  foodClass: resolved.food?.foodClass ?? null,
})

/** "A", "Group B": a part that is called by a letter, which words name by the large letter alone. */
const LETTER = /^\(?(?:group |seasonings? |mix(?:ture)? |sauce )?([A-H])\)?$/u
export const letterName = (letter: string): string => `#${letter.toLowerCase()}`

/** A part by its name; one that every recipe has is not meant by it. */
export function namedPart(id: string, name: string, part: number): Named {
  const letter = LETTER.exec(name.trim())?.[1]
  const words = letter === undefined ? stemsOf(name.replace(/^(?:for )?the /iu, '')) : [letterName(letter)]
  return {
    kind: 'part',
    id,
    part,
    own: 1,
    purpose: null,
    names: words.length === 1 && COMMON_PARTS.has(words[0] ?? '') ? [] : [words],
    line: null,
    foodClass: null,
  }
}

/** How well a thing's name fits the words that begin at a token. */
export interface Fit {
  readonly of: Named
  /** Words of the name that stand here, one after another. */
  readonly run: number
  /** Share of the name's words that stand here. */
  readonly coverage: number
  /** The last word of the name stands here. */
  readonly isHead: boolean
  /** By the name that the list gives it. */
  readonly isOwn: boolean
}

const SMALL = new Set(['of', 'the', 'and', 'a'])

const isPluralAt = (tokens: readonly Token[], at: number): boolean => {
  const token = tokens[at]
  return token !== undefined && /s$/u.test(token.text) && token.text !== token.stem
}

/** The name that fits most of the words from a token on. Null where none begins here. */
export function fitAt(of: Named, tokens: readonly Token[], at: number): Fit | null {
  let best: Fit | null = null
  for (const [place, name] of of.names.entries()) {
    if (!name.includes(tokens[at]?.stem ?? '')) continue
    let run = 0
    let isHead = false
    const met = new Set<string>()
    for (let index = at; index < tokens.length && index < at + 6; index += 1) {
      const token = tokens[index]
      if (token === undefined || token.kind === 'mark') break
      const parts = stemsOf(token.text)
      // "The tomatoes and paste" are two things.
      if (token.text === 'and' && isPluralAt(tokens, index - 1)) break
      if (SMALL.has(token.text)) continue
      if (!parts.every((part) => name.includes(part)) || parts.some((part) => met.has(part))) break
      for (const part of parts) met.add(part)
      run += parts.length
      isHead = name.at(-1) === parts.at(-1)
    }
    const isOwn = place < of.own
    // What a list does not call it itself names it whole, or by its last word.
    const isWeak =
      !isOwn && met.size < new Set(name).size && (!isHead || PRODUCT_WORDS.has(name.at(-1) ?? ''))
    if (run === 0 || (isWeak && run < 2)) continue
    const coverage = Math.min(1, met.size / new Set(name).size)
    if (
      best === null ||
      run > best.run ||
      (run === best.run &&
        (coverage > best.coverage || (coverage === best.coverage && isHead && !best.isHead)))
    )
      best = { of, run, coverage, isHead, isOwn }
  }
  return best
}

/** Everything that words can name, by each word of its names. */
export type Names = ReadonlyMap<string, readonly Named[]>
export function namesBy(all: readonly Named[]): Names {
  const byWord = new Map<string, Named[]>()
  for (const one of all)
    for (const words of one.names)
      for (const word of words) {
        const known = byWord.get(word)
        if (known === undefined) byWord.set(word, [one])
        else if (known.at(-1) !== one) known.push(one)
      }
  return byWord
}
