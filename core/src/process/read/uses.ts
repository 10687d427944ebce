import type { ResolvedLine } from '../../composition'
import { lineMass, readAmountAt } from '../../measure'
import type { FoodClass, Kitchen, Part, Step, StepUse } from '../../model'
import { namesOfFood, namesOfLine, type Token, tokensIn } from './words'

/** One thing that a step can name: a line, or another part. */
interface Nameable {
  readonly kind: 'line' | 'part'
  readonly id: string
  readonly names: readonly (readonly string[])[]
  readonly line: ResolvedLine | null
}

interface Mention {
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

const ALL =
  /\b(?:all (?:the |of the )?(?:other |remaining )?ingredients|everything(?: else)?|(?:the )?(?:rest|remainder) of (?:the )?ingredients|(?:the )?(?:remaining|other) ingredients)\b/i
const DRY_ONES = /\b(?:the |all (?:the )?)?dry ingredients\b/i
const WET_ONES = /\b(?:the |all (?:the )?)?wet ingredients\b/i
/** What is named is put to what was made before. */
const ADDS =
  /\b(?:add|stir in|stir through|fold in|fold (?:the|through)|whisk in|mix in|beat in|work in|blend in|rub in|tip in|pour (?:in|over|on)|return|combine with|let down|loosen|deglaze|finish|sprinkle|scatter|season|stir (?:the|together with)|top|toss (?:in|with))\b/i
/** What is named first is what the rest is put on: "season the mince with". */
const ONTO = /\b(?:season|sprinkle|toss|top|coat|brush|dust)\b/i
/** Names the target: "fold the peas into the mushrooms". */
const TARGET = /\b(?:to|into|onto|over|with|through|among)\s+(?:the\s+)?(?:[\p{L}-]+\s+){0,2}$/iu
/** What was made before, by what it is. */
const MADE = /\bthe (?:mixture|mix|dough|batter|mash|patt(?:y|ies)|balls|logs|loaf|pan|pot|crumble|strips)\b/i
const UNTIL = /\buntil\b[^,.;]*/gi
const TOGETHER =
  /\b(?:combine|mix|fold|bring|assemble|layer)\b.{0,60}\b(?:everything|both|two mixtures|all the parts|together)\b/i

const SHARES: readonly (readonly [RegExp, number])[] = [
  [/(?:\bthree[- ]quarters|\b3\/4|¾)(?: of)?(?: the)?\s*$/i, 0.75],
  [/(?:\btwo[- ]thirds|\b2\/3|⅔)(?: of)?(?: the)?\s*$/i, 2 / 3],
  [/\b(?:a |one )?half\b(?: of)?(?: the)?\s*$|½\s*(?:of )?(?:the)?\s*$/i, 0.5],
  [/\b(?:a |one )?third\b(?: of)?(?: the)?\s*$|⅓\s*(?:of )?(?:the)?\s*$/i, 1 / 3],
  [/\b(?:a |one )?quarter\b(?: of)?(?: the)?\s*$|¼\s*(?:of )?(?:the)?\s*$/i, 0.25],
]
const REST = /\b(?:rest|remaining|remainder|other half)\b(?: of)?(?: the)?\s*$/i
/** What a step's words say of lots and whole groups of lines. Kept for each step object. */
interface Says {
  readonly isAll: boolean
  readonly isDry: boolean
  readonly isWet: boolean
  readonly isTogether: boolean
  readonly isAdded: boolean
  readonly isMade: boolean
  readonly isOnto: boolean
}
const said = new WeakMap<Step, Says>()
function saysOf(step: Step): Says {
  const known = said.get(step)
  if (known !== undefined) return known
  const { text } = step
  const made: Says = {
    isAll: ALL.test(text),
    isDry: DRY_ONES.test(text),
    isWet: WET_ONES.test(text),
    isTogether: TOGETHER.test(text),
    isAdded: ADDS.test(text),
    // "Until the pan is dry" says when, not what.
    isMade: MADE.test(text.replaceAll(UNTIL, '')),
    isOnto: ONTO.test(text),
  }
  said.set(step, made)
  return made
}

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
  'sauce powder milk cream flour paste water oil starch seed leaf juice stock vinegar butter bread sugar syrup cheese red white black green brown sweet cut wheat soy'.split(
    ' ',
  ),
)

/** What a step's words name, each once, by the longest name at each place. */
function mentionsIn(tokens: readonly Token[], byWord: ReadonlyMap<string, Nameable[]>): Mention[] {
  const found = new Map<Nameable, Mention>()
  tokens.forEach(({ word, at }, index) => {
    const candidates = byWord.get(word)
    if (candidates === undefined) return
    const scored = candidates.map((of) => ({ of, ...fit(of, tokens, index) }))
    const hits = Math.max(...scored.map((one) => one.hits))
    const coverage = Math.max(...scored.filter((one) => one.hits === hits).map((one) => one.coverage))
    if (hits === 1 && coverage < 1 && TOO_COMMON.has(word)) return
    if (hits === 1 && coverage < 1 / 3) return
    for (const one of scored)
      if (one.hits === hits && one.coverage >= coverage - 1e-9 && !found.has(one.of))
        found.set(one.of, { of: one.of, at })
  })
  return [...found.values()]
}

function classMentions(
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

interface Said {
  /** null = all that is left. */
  readonly share: number | null
  readonly isStated: boolean
}
const ALL_OF_IT: Said = { share: null, isStated: false }

/** The share of a line that the words before its name state. */
function shareAt(text: string, { of, at }: Mention, kitchen: Kitchen): Said {
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
  const share = mass.value / whole
  // An amount close to the whole list entry, or above it, is the whole of it.
  return { share: share > 0.97 ? null : share, isStated: true }
}

interface Made {
  readonly stepId: string
  readonly holds: Set<string>
}

/** Follows what is still unused while the steps are read from first to last. */
class Bench {
  readonly #left = new Map<string, number>()
  lots: Made[] = []

  left(id: string): number {
    return this.#left.get(id) ?? 1
  }

  take(id: string, share: number | null): void {
    this.#left.set(id, share === null ? 0 : Math.max(0, this.left(id) - share))
  }

  holding(id: string): Made[] {
    return this.lots.filter(({ holds }) => holds.has(id))
  }

  /** What a step made: the lots that it took are in it, and gone from the bench. */
  put(stepId: string, taken: readonly Made[], ids: readonly string[]): void {
    if (taken.length > 0) this.lots = this.lots.filter((lot) => !taken.includes(lot))
    const [first, ...others] = taken
    const holds = first?.holds ?? new Set<string>()
    for (const lot of others) for (const id of lot.holds) holds.add(id)
    for (const id of ids) holds.add(id)
    this.lots.push({ stepId, holds })
  }
}

const nameables = (lines: readonly ResolvedLine[], others: readonly Part[]): Nameable[] => [
  ...lines.map((line): Nameable => ({
    kind: 'line',
    id: line.line.id,
    names: [...namesOfLine(line.line), ...(line.food === null ? [] : namesOfFood(line.food))],
    line,
  })),
  ...others.map((part): Nameable => ({
    kind: 'part',
    id: part.id,
    names: [part.name.toLowerCase().split(/\s+/)],
    line: null,
  })),
]

/** Takes what a person assigned by hand off the bench, without reading the words. */
function follow(bench: Bench, step: Step, uses: readonly StepUse[]): void {
  const taken = uses.flatMap((use) =>
    use.kind === 'step' ? bench.lots.filter(({ stepId }) => stepId === use.id) : [],
  )
  for (const use of uses) if (use.kind !== 'step') bench.take(use.id, use.share)
  bench.put(
    step.id,
    taken,
    uses.flatMap(({ kind, id }) => (kind === 'step' ? [] : [id])),
  )
}

/** The lot that a step goes on with beside those that it names; null where it starts afresh. */
function baseOf(
  step: Step,
  bench: Bench,
  mentions: readonly Mention[],
  lots: Made[],
  uses: readonly StepUse[],
): Made | null {
  const { text } = step
  const says = saysOf(step)
  if (says.isTogether) {
    lots.push(...bench.lots.filter((lot) => !lots.includes(lot)))
    return null
  }
  const last = bench.lots.filter((lot) => !lots.includes(lot)).at(-1) ?? null
  if (uses.length === 0 && lots.length === 0) return last
  if (lots.length === 0) return says.isAdded || says.isMade ? last : null
  if (!says.isAdded || lots.length > 1 || says.isOnto) return null
  const isTarget = mentions.some(
    ({ of, at }) => lots.some(({ holds }) => holds.has(of.id)) && TARGET.test(text.slice(0, at)),
  )
  return isTarget ? null : last
}

function readUses(
  step: Step,
  bench: Bench,
  all: readonly Nameable[],
  byWord: ReadonlyMap<string, Nameable[]>,
  kitchen: Kitchen,
): StepUse[] {
  const tokens = tokensIn(step)
  const named = mentionsIn(tokens, byWord)
  const mentions = [...named, ...classMentions(step, tokens, all, named)]
  const uses: StepUse[] = []
  const lots: Made[] = []
  for (const mention of mentions) {
    const { kind, id } = mention.of
    const isLeft = bench.left(id) > 1e-9
    const said = isLeft ? shareAt(step.text, mention, kitchen) : ALL_OF_IT
    // "the rest of the milk" is what was not poured yet, not the lot that some of it went into.
    if (!said.isStated) for (const lot of bench.holding(id)) if (!lots.includes(lot)) lots.push(lot)
    if (!isLeft) continue
    const share = said.share === null || said.share >= bench.left(id) - 1e-9 ? null : said.share
    uses.push({ kind, id, share })
  }
  const base = baseOf(step, bench, mentions, lots, uses)
  if (base !== null) lots.push(base)
  uses.unshift(...lots.map((lot): StepUse => ({ kind: 'step', id: lot.stepId, share: null })))
  for (const use of uses) if (use.kind !== 'step') bench.take(use.id, use.share)
  bench.put(
    step.id,
    lots,
    uses.flatMap(({ kind, id }) => (kind === 'step' ? [] : [id])),
  )
  return uses
}

/**
 * What each step takes: as assigned by hand, else as its words say against the lines and what earlier steps made.
 *
 * A step that names lines not used yet starts a lot of its own, unless it says that they join ("add", "fold in"); a step
 * that names nothing goes on with the last lot; naming a food that is already in a lot takes that lot.
 *
 * @param lines resolved lines of the part, in order
 * @param others parts that it may take
 * @returns for each step its uses; steps and lines are named by id
 */
export function usesOf(
  part: Part,
  lines: readonly ResolvedLine[],
  others: readonly Part[],
  kitchen: Kitchen,
): StepUse[][] {
  const all = nameables(lines, others)
  const byWord = new Map<string, Nameable[]>()
  for (const one of all)
    for (const words of one.names)
      for (const word of words) {
        const known = byWord.get(word)
        if (known === undefined) byWord.set(word, [one])
        else if (known.at(-1) !== one) known.push(one)
      }
  const bench = new Bench()
  return part.steps.map((step) => {
    if (step.uses !== null) {
      follow(bench, step, step.uses)
      return step.uses
    }
    return readUses(step, bench, all, byWord, kitchen)
  })
}
