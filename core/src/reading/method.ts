import { type ResolvedLine } from '../composition'
import type { Kitchen, Part, Step, Written } from '../model'
import { doingsIn, type DoingText } from './doings'
import { factsOf, type StepFacts } from './facts'
import { ownWordsOf } from './lexicon/ownWords'
import { isWater } from './kinds'
import { fitAt, type Named, namedLine, namedPart } from './named'
import { newReading } from './rests'
import type { Takes } from './takes'
import { stemsOf, tokensOf } from './tokens'
import { type Doing, Walk } from './walk'

/** A written step of a method: a numbered step, a line or a paragraph, with the heading above it. */
export interface MethodText {
  readonly text: string
  /** A heading that opens here; null where the one before goes on, or none stands above. */
  readonly heading: string | null
  /** Part that it is known to belong to; null = as its words say. */
  readonly part: number | null
}

/** A part with its lines resolved. */
export interface PartLines {
  readonly part: Part
  readonly lines: readonly ResolvedLine[]
}

export const namedIn = (parts: readonly PartLines[]): Named[] => [
  ...parts.flatMap(({ lines }, at) => lines.map((line) => namedLine(line, at))),
  ...parts.map(({ part }, at) => namedPart(part.id, part.name, at)),
]

/** The part that a heading names, or null. */
function partOfHeading(heading: string, named: readonly Named[]): number | null {
  const tokens = tokensOf(heading)
  const stems = new Set(stemsOf(heading))
  let best: { part: number; score: number } | null = null
  for (const of of named) {
    if (of.kind !== 'part') continue
    const score = Math.max(
      0,
      ...tokens.map((_, index) => fitAt(of, tokens, index)).map((fit) => (fit === null ? 0 : fit.coverage)),
    )
    if (score >= 0.5 && (best === null || score > best.score)) best = { part: of.part, score }
  }
  if (best !== null) return best.part
  const raw = named.filter(({ kind, names }) => kind === 'part' && names.length === 0)
  return stems.has('main') ? (raw[0]?.part ?? null) : null
}

const TRAILING = /(?:[\s,;:–—]|\b(?:and|then|but)\s*$)+$/iu
/** The words of one doing, as they stand. */
export const wordsOf = ({ parsed, from, to }: DoingText): string =>
  parsed.text.slice(from, to).trim().replace(TRAILING, '').trim()

export interface ReadMethod {
  /** Steps of each part, in order. */
  readonly steps: readonly Step[][]
  readonly written: readonly Written[]
}

const OVEN = /\b(?:oven|preheat|pre-heat)\b/iu

/** The oven's last temperature and fan, carried on to what is baked without one. */
class Oven {
  #tempC: number | null = null
  #isFan: boolean | null = null
  hear(doing: DoingText): void {
    for (const clause of doing.clauses) {
      if (clause === doing.main && !OVEN.test(doing.parsed.text.slice(clause.from, clause.to))) continue
      const text = doing.parsed.text.slice(clause.from, clause.to)
      if (!OVEN.test(text)) continue
      const { tempC, settings } = factsOf({ ...doing, clauses: [clause], main: clause }, 'roast')
      if (tempC !== null) {
        this.#tempC = tempC
        this.#isFan = settings.isFan
      }
    }
  }
  give(step: Step): Step {
    if (step.operation !== 'roast' && step.operation !== 'broil') return step
    if (step.tempC !== null) {
      this.#tempC = step.tempC
      this.#isFan = step.settings.isFan
      return step
    }
    if (step.operation === 'broil' || this.#tempC === null) return step
    return {
      ...step,
      tempC: this.#tempC,
      settings: { ...step.settings, isFan: step.settings.isFan ?? this.#isFan },
    }
  }
}

/** Curd that is left to set: the time is of its coagulation. */
const isSettling = (before: Step, { operation, takes }: Doing): boolean =>
  before.operation === 'coagulate' &&
  before.durationMin === null &&
  operation === 'rest' &&
  takes.lines.length === 0

/** A doing that brings one lot somewhere and nothing more is told with what was done before it. */
const isMove = ({ operation, doing, takes }: Doing): boolean =>
  // "Pour off the water" that it was washed in.
  (operation === 'drain' &&
    doing.main.verb?.kind === 'put' &&
    takes.lines.length === 0 &&
    takes.lots.length === 1 &&
    takes.lots.every(({ lot }) => lot.operation === 'wash-gluten')) ||
  (operation === 'soak' &&
    doing.main.verb === null &&
    takes.lines.every(({ role }) => role !== 'object') &&
    takes.lots.every(({ role }) => role === 'into')) ||
  (operation === 'mix' &&
    takes.lines.length === 0 &&
    takes.parts.length === 0 &&
    takes.lots.length <= 1 &&
    !takes.hasTap &&
    (doing.main.verb === null || doing.main.verb.kind === 'put'))

/**
 * Reads a method into the doings of its parts: every written step is cut into what is done, one after another; each doing
 * goes to the part that a heading names, else to the one whose foods it goes on with.
 *
 * @param parts parts with their lines resolved, in the dish's order
 * @param method written steps in their order
 * @param newId makes an id for each step
 * @returns steps by part, and the written steps with the ids of their doings; words without a doing stay with the doing
 *   before them
 */
export function readMethod(
  parts: readonly PartLines[],
  method: readonly MethodText[],
  kitchen: Kitchen,
  newId: () => string,
): ReadMethod {
  const named = namedIn(parts)
  const own = ownWordsOf(kitchen)
  const all = method.map(({ text }) => doingsIn(text, own))
  // What is named later is named in a later doing, in the same sentence or pages after.
  const walk = new Walk(named, all.flat().map(wordsOf), kitchen, newReading())
  let place = -1
  const steps: Step[][] = parts.map(() => [])
  const oven = new Oven()
  let heading: number | null = null
  const madeBy: (string | null)[] = []
  walk.count((number) => madeBy[number - 1] ?? null)
  const written = method.map((one, at): Written => {
    if (one.heading !== null) heading = partOfHeading(one.heading, named)
    const stepIds: string[] = []
    const doings = all[at] ?? []
    let lead = ''
    let previous: { part: number; index: number } | null = null
    let topic: number | null = null
    doings.forEach((doing, index) => {
      oven.hear(doing)
      const id = newId()
      place += 1
      const read = walk.doing(
        doing,
        place,
        one.part ?? heading ?? topic,
        id,
        doings[index + 1] ?? null,
        undefined,
      )
      topic = read.takes.topic ?? topic
      const words = wordsOf(doing)
      if (isMove(read)) {
        walk.undo(read)
        const last = previous === null ? undefined : steps[previous.part]?.[previous.index]
        if (last === undefined || previous === null) lead = `${lead}${words}, `
        else
          (steps[previous.part] ?? [])[previous.index] = {
            ...last,
            text: `${last.text} ${words}`.slice(0, 4000),
          }
        return
      }
      const before = previous === null ? undefined : steps[previous.part]?.[previous.index]
      if (before !== undefined && previous !== null && isSettling(before, read)) {
        walk.undo(read)
        const { durationMin } = factsOf(doing, read.operation)
        ;(steps[previous.part] ?? [])[previous.index] = {
          ...before,
          text: `${before.text} ${words}`,
          durationMin,
        }
        return
      }
      const part = Math.min(read.part, parts.length - 1)
      const list = steps[part]
      if (list === undefined) return
      list.push(oven.give(stepOf(id, `${lead}${words}`, read)))
      lead = ''
      previous = { part, index: list.length - 1 }
      stepIds.push(id)
    })
    madeBy.push(stepIds.at(-1) ?? null)
    return { heading: one.heading, text: one.text, stepIds }
  })
  return { steps, written }
}

/** Cooking water that was kept comes in as water of the tap; an amount of listed water is that of its line. */
const withTap = (facts: StepFacts, { tapG, lines }: Takes): StepFacts => {
  const waterG = tapG > 0 ? tapG : lines.some(({ of }) => isWater(of)) ? null : facts.settings.waterG
  return { ...facts, settings: { ...facts.settings, waterG } }
}

const stepOf = (id: string, text: string, { doing, operation, takes }: Doing): Step => ({
  id,
  text: text.slice(0, 4000),
  ...withTap(factsOf(doing, operation), takes),
  byHand: [],
  uses: null,
  weighedG: null,
  cue: null,
  remedy: null,
})
