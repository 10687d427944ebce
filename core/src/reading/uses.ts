import type { ResolvedLine } from '../composition'
import type { FoodClass, Kitchen, Part, Step, StepUse } from '../model'
import {
  ALL_OF_IT,
  classMentions,
  type Mention,
  mentionsIn,
  type Nameable,
  type Reading,
  shareAt,
} from './mentions'
import { saysOf, TARGET, WITHIN } from './stepSays'
import { withUnnamed } from './unnamed'
import { namesOfFood, namesOfLine, tokensIn, tokensOf } from './words'

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
    names: [tokensOf(part.name).map(({ word }) => word)],
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

/** Whether a mention only says in which liquid something lies. */
const isBath = ({ of, at }: Mention, text: string): boolean =>
  of.line?.food != null &&
  (BATHS.has(of.line.food.foodClass) || (of.line.food.per100g.waterG ?? 0) > BATH_WATER_PCT) &&
  WITHIN.test(text.slice(0, at))
const BATHS: ReadonlySet<FoodClass> = new Set(['water', 'plant-milk', 'acid', 'fat'])
/** A savoury liquid with more water than this is a broth, g per 100 g. */
const BATH_WATER_PCT = 94

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
  if (lots.length === 0)
    return says.isAdded || says.isMade || mentions.every((one) => isBath(one, text)) ? last : null
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
  read: Reading,
): StepUse[] {
  const tokens = tokensIn(step)
  const named = mentionsIn(step.text, tokens, byWord)
  const mentions = [...named, ...classMentions(step, tokens, all, named)]
  const uses: StepUse[] = []
  const lots: Made[] = []
  for (const mention of mentions) {
    const { kind, id } = mention.of
    const isLeft = bench.left(id) > 1e-9
    const said = isLeft ? shareAt(step.text, mention, kitchen, read) : ALL_OF_IT
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
  const known = remembered.get(part.steps)
  const key = keyOf(lines, others)
  if (known !== undefined && known.key === key && known.kitchen === kitchen) return known.uses
  const read: Reading = { restsOnAmounts: false }
  const uses = readAll(part, lines, others, kitchen, read)
  // Uses that rest on amounts change with the masses of the lines: they are read anew each time.
  if (!read.restsOnAmounts) remembered.set(part.steps, { key, kitchen, uses })
  return uses
}

interface Remembered {
  readonly key: string
  readonly kitchen: Kitchen
  readonly uses: StepUse[][]
}
const remembered = new WeakMap<readonly Step[], Remembered>()

/** What the uses of given steps depend on beside them: which foods are listed by which names, and which parts there are. */
const keyOf = (lines: readonly ResolvedLine[], others: readonly Part[]): string =>
  [
    ...lines.map(({ line, food, mass }) =>
      [line.id, line.food, food?.id ?? '', mass !== null && mass.value > 0 ? 1 : 0].join('\u0001'),
    ),
    ...others.map(({ id, name }) => `${id}\u0001${name}`),
  ].join('\u0002')

function readAll(
  part: Part,
  lines: readonly ResolvedLine[],
  others: readonly Part[],
  kitchen: Kitchen,
  read: Reading,
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
  const uses = part.steps.map((step) => {
    if (step.uses !== null) {
      follow(bench, step, step.uses)
      return step.uses
    }
    return readUses(step, bench, all, byWord, kitchen, read)
  })
  return withUnnamed(part.steps, lines, uses)
}
