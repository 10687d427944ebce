import type { ResolvedLine } from '../composition'
import { lineMass, readAmountAt } from '../measure'
import type { FoodClass, Kitchen, Step } from '../model'
import { saysOf } from './stepSays'
import type { Token } from './words'

/** One thing that a step can name: a line, or another part. */
export interface Nameable {
  readonly kind: 'line' | 'part'
  readonly id: string
  readonly names: readonly (readonly string[])[]
  readonly line: ResolvedLine | null
}

export interface Mention {
  readonly of: Nameable
  /** Where in the text the name begins. */
  readonly at: number
}

/** Words for whole classes of foods, used where no line is named by the word itself. */
const CLASS_WORDS: Readonly<Record<string, readonly FoodClass[]>> = {
  spice: ['spice'],
  seasoning: ['spice', 'salt', 'savoury', 'herb'],
  herb: ['herb'],
  bean: ['pulse'],
  pulse: ['pulse'],
  nut: ['nut'],
  seed: ['seed'],
  mushroom: ['mushroom'],
  vegetable: ['vegetable', 'mushroom'],
  oil: ['fat'],
  fat: ['fat'],
  milk: ['plant-milk'],
  starch: ['starch'],
  flour: ['flour'],
  gluten: ['gluten'],
  tofu: ['soy'],
  grain: ['grain'],
  liquid: ['plant-milk', 'water', 'acid'],
}
const DRY: ReadonlySet<FoodClass> = new Set([
  'flour',
  'starch',
  'gum',
  'spice',
  'herb',
  'salt',
  'leavening',
  'gluten',
  'grain',
])

const SHARES: readonly (readonly [RegExp, number])[] = [
  [/(?:\bthree[- ]quarters|\b3\/4|¾)(?: of)?(?: the)?\s*$/i, 0.75],
  [/(?:\btwo[- ]thirds|\b2\/3|⅔)(?: of)?(?: the)?\s*$/i, 2 / 3],
  [/\b(?:a |one )?half\b(?: of)?(?: the)?\s*$|½\s*(?:of )?(?:the)?\s*$/i, 0.5],
  [/\b(?:a |one )?third\b(?: of)?(?: the)?\s*$|⅓\s*(?:of )?(?:the)?\s*$/i, 1 / 3],
  [/\b(?:a |one )?quarter\b(?: of)?(?: the)?\s*$|¼\s*(?:of )?(?:the)?\s*$/i, 0.25],
]
const REST = /\b(?:rest|remaining|remainder|other half)\b(?: of)?(?: the)?\s*$/i
/** How far before a name its share or amount can stand, in characters. */
const REACH = 34

/** The name of most words that stands at a token: how many of its words, and of how many. */
function fit(of: Nameable, tokens: readonly Token[], at: number): { hits: number; coverage: number } {
  const word = tokens[at]?.word ?? ''
  const around = tokens.slice(Math.max(0, at - 3), at + 4).map((token) => token.word)
  let best = { hits: 0, coverage: 0 }
  for (const name of of.names) {
    if (!name.includes(word)) continue
    const hits = name.filter((one) => around.includes(one)).length
    const coverage = hits / name.length
    if (hits > best.hits || (hits === best.hits && coverage > best.coverage)) best = { hits, coverage }
  }
  return best
}

/** A single common word of a longer name does not name it: "sauce" alone is not soy sauce. */
const TOO_COMMON = new Set(
  'sauce powder milk cream flour paste water oil starch seed leaf juice stock vinegar butter bread sugar cheese red white black green brown sweet cut wheat soy'.split(
    ' ',
  ),
)

/** Common words that do name a line, if it is the only one of its kind: "the stock" is the mushroom stock. */
const HEADS = new Set(['stock', 'juice', 'flour', 'vinegar', 'bread', 'sugar', 'starch'])

/** Water of the tap, not of the list: "in plenty of water". */
const UNLISTED = /\b(?:plenty of|lots of|running|a pan of|a pot of)\s+(?:\p{L}+\s+)?$/iu

/** What a step's words name, each once, by the longest name at each place. */
export function mentionsIn(
  text: string,
  tokens: readonly Token[],
  byWord: ReadonlyMap<string, Nameable[]>,
): Mention[] {
  const found = new Map<Nameable, Mention>()
  tokens.forEach(({ word, at }, index) => {
    const candidates = byWord.get(word)
    if (candidates === undefined || UNLISTED.test(text.slice(0, at))) return
    const scored = candidates.map((of) => ({ of, ...fit(of, tokens, index) }))
    const hits = Math.max(...scored.map((one) => one.hits))
    const coverage = Math.max(...scored.filter((one) => one.hits === hits).map((one) => one.coverage))
    const isOnlyOne =
      HEADS.has(word) && scored.length === 1 && scored[0]?.of.names.some((name) => name.at(-1) === word)
    if (hits === 1 && coverage < 1 && TOO_COMMON.has(word) && isOnlyOne !== true) return
    if (hits === 1 && coverage < 1 / 3) return
    for (const one of scored)
      if (one.hits === hits && one.coverage >= coverage - 1e-9 && !found.has(one.of))
        found.set(one.of, { of: one.of, at })
  })
  return [...found.values()]
}

export function classMentions(
  step: Step,
  tokens: readonly Token[],
  lines: readonly Nameable[],
  named: readonly Mention[],
): Mention[] {
  const classes = new Map<FoodClass, number>()
  for (const { word, at } of tokens)
    for (const one of CLASS_WORDS[word] ?? []) if (!classes.has(one)) classes.set(one, at)
  const { isAll, isDry, isWet } = saysOf(step)
  if (!isAll && !isDry && !isWet && classes.size === 0) return []
  const covered = new Set(named.map(({ of }) => of.line?.food?.foodClass))
  return lines.flatMap((of): Mention[] => {
    const own = of.line?.food?.foodClass
    if (own === undefined || named.some((one) => one.of === of)) return []
    if (isAll || (isDry && DRY.has(own)) || (isWet && !DRY.has(own))) return [{ of, at: 0 }]
    const at = classes.get(own)
    return at === undefined || covered.has(own) ? [] : [{ of, at }]
  })
}

export interface Said {
  /** null = all that is left. */
  readonly share: number | null
  readonly isStated: boolean
}
export const ALL_OF_IT: Said = { share: null, isStated: false }

/** The share of a line that the words before its name state. */
export function shareAt(text: string, { of, at }: Mention, kitchen: Kitchen, reading: Reading): Said {
  const before = text.slice(Math.max(0, at - REACH), at)
  const clause = before.slice(
    Math.max(before.lastIndexOf(','), before.lastIndexOf('.'), before.lastIndexOf(';')) + 1,
  )
  if (REST.test(clause)) return { share: null, isStated: true }
  for (const [words, share] of SHARES) if (words.test(clause)) return { share, isStated: true }
  const { line } = of
  const whole = line?.mass?.value ?? 0
  if (line?.food == null || whole <= 0) return ALL_OF_IT
  const number = /[\d½¼¾⅓⅔⅛](?=[^\d½¼¾⅓⅔⅛]*$)|\d[\d.,/ ]*(?=[^\d]*$)/u.exec(clause)
  if (number === null) return ALL_OF_IT
  const start = clause.search(/[\d½¼¾⅓⅔⅛][\d.,/½¼¾⅓⅔⅛ ]*[^\d]*$/u)
  const read = readAmountAt(clause, start < 0 ? number.index : start, { isDecimalComma: false })
  if (read?.amount.terms[0]?.unit == null) return ALL_OF_IT
  const { mass } = lineMass(read.amount, line.food, line.line.food.toLowerCase(), kitchen)
  if (mass === null || mass.value <= 0) return ALL_OF_IT
  reading.restsOnAmounts = true
  const share = mass.value / whole
  // An amount close to the whole list entry, or above it, is the whole of it.
  return { share: share > 0.97 ? null : share, isStated: true }
}

/** What reading the uses of a part rested on. */
export interface Reading {
  restsOnAmounts: boolean
}
