import type { ResolvedLine } from '../composition'
import { type Kitchen, type Part, type Step, stepsInOrder, type StepUse, type Written } from '../model'
import { asOne } from './asOne'
import { ownWordsOf } from './lexicon/ownWords'
import { namedIn, type PartLines } from './method'
import { newReading, type Reading, stillHolds } from './rests'
import { type Ahead, type Glances, isRepeat, Walk, type WalkMark } from './walk'

/** A step as it was read, and where the walk stood before it. */
interface ReadBefore {
  readonly step: Step
  readonly part: number
  readonly isWritten: boolean
  /** Text of the doing after it whose object it shares; null = none. */
  readonly shared: string | null
  readonly mark: WalkMark
  readonly uses: StepUse[]
  /** What it rested on beside the words. */
  readonly reading: Reading
}
/** A method as it was read, to be gone on from when a word of it changes. */
export interface ReadWhole {
  /** A step that repeats others changes what they take: then all is read anew. */
  readonly canStand: boolean
  readonly steps: readonly ReadBefore[]
  readonly ahead: Ahead
  readonly glances: Glances
}

const isAheadAlike = (a: Ahead, b: Ahead): boolean =>
  a.lastWater === b.lastWater &&
  a.lastEverything === b.lastEverything &&
  a.lastAll === b.lastAll &&
  a.drains === b.drains &&
  a.lastNamed.size === b.lastNamed.size &&
  [...a.lastNamed].every(([id, at]) => b.lastNamed.get(id) === at)

type Placed = Pick<ReadBefore, 'step' | 'part' | 'isWritten' | 'shared'>
const saysTheSame = (a: Placed, b: Placed): boolean =>
  a.part === b.part &&
  a.isWritten === b.isWritten &&
  a.shared === b.shared &&
  a.step.id === b.step.id &&
  a.step.text === b.step.text &&
  a.step.uses === b.step.uses &&
  a.step.operation === b.step.operation

/**
 * What every step of a dish takes: as assigned by hand, else as its words say against the lists and what earlier steps
 * made.
 *
 * @param before the same lists' method as it was read last: steps whose words and bench are as they were are not read again
 * @returns for each part the uses of its steps; what they rest on beside the words, for where the masses no longer bear
 * that out, they are read again; and the whole as read
 */
export function readUses(
  parts: readonly PartLines[],
  written: readonly Written[],
  kitchen: Kitchen,
  before: ReadWhole | null = null,
): { readonly uses: StepUse[][][]; readonly reading: Reading; readonly whole: ReadWhole } {
  const named = namedIn(parts)
  const own = ownWordsOf(kitchen)
  const inOrder = stepsInOrder(
    parts.map(({ part }) => part),
    written,
  ).map(({ part, step, written: at }) => ({
    part,
    step,
    isWritten: at !== null,
    doing: asOne(step.text, own),
  }))
  const placed = inOrder.map((one, at) => {
    const next = inOrder[at + 1]
    const isShared = one.isWritten && next !== undefined && sharesNext(written, one.step, next.step)
    return { ...one, next: isShared ? next.doing : null, shared: isShared ? next.step.text : null }
  })
  const glances: Glances = before?.glances ?? new Map<string, never>()
  if (glances.size > MOST_GLANCES) glances.clear()
  const walk = new Walk(
    named,
    placed.map(({ step }) => step.text),
    kitchen,
    newReading(),
    glances,
  )
  walk.count((number) => written[number - 1]?.stepIds.at(-1) ?? null)
  const canStand = !placed.some(({ doing }) => doing !== null && isRepeat(doing))
  const known =
    before !== null &&
    canStand &&
    before.canStand &&
    before.steps.length === placed.length &&
    isAheadAlike(before.ahead, walk.ahead)
      ? before.steps
      : []
  const masses = new Map(named.map(({ id, line }) => [id, line?.mass?.value ?? 0]))
  const massOf = (id: string): number => masses.get(id) ?? 0
  // While steps stand as they were, the walk itself stays behind.
  let isBehind = false
  const steps: ReadBefore[] = placed.map((one, at) => {
    const { step, part, isWritten, doing, next, shared } = one
    const old = known[at]
    if (
      old !== undefined &&
      saysTheSame(old, one) &&
      (isBehind || walk.isAs(old.mark)) &&
      stillHolds(old.reading, massOf)
    ) {
      isBehind = true
      return old
    }
    if (isBehind && old !== undefined) walk.goBack(old.mark)
    isBehind = false
    const mark = walk.mark()
    const reading = newReading()
    walk.noteIn(reading)
    const read = { step, part, isWritten, shared, mark, reading }
    if (step.uses !== null || doing === null) {
      walk.follow(step, part, step.uses ?? [], at)
      return { ...read, uses: step.uses ?? [] }
    }
    walk.only(isWritten ? null : part)
    const sharing = { ...doing, sharesNext: next !== null }
    return { ...read, uses: walk.doing(sharing, at, part, step.id, next, step.operation).uses }
  })
  return {
    uses: asTaken(parts, steps),
    reading: allNotes(steps),
    whole: { canStand, steps, ahead: walk.ahead, glances },
  }
}

const MOST_GLANCES = 2000

function allNotes(steps: readonly ReadBefore[]): Reading {
  const all = newReading()
  for (const { reading } of steps) {
    for (const [id, massG] of reading.amounts) all.amounts.set(id, massG)
    all.judged.push(...reading.judged)
  }
  return all
}

/** What another part made is taken as that part where it is its last; a lot in the middle stays with its own part. */
function asTaken(parts: readonly PartLines[], steps: readonly ReadBefore[]): StepUse[][][] {
  const lastOf = new Map<number, string>()
  for (const { part, step } of steps) lastOf.set(part, step.id)
  const read = new Map(steps.map((one) => [one.step.id, one]))
  return parts.map(({ part }, at) =>
    part.steps.map(
      (step) =>
        step.uses ??
        (read.get(step.id)?.uses ?? []).map((use): StepUse => {
          if (use.kind !== 'step') return use
          const from = read.get(use.id)?.part ?? at
          const other = parts[from]?.part
          return from === at || lastOf.get(from) !== use.id || other === undefined
            ? use
            : { kind: 'part', id: other.id, share: use.share }
        }),
    ),
  )
}

/** "Drain and rinse the beans": a doing without an object, and the one after it joined by "and" alone. */
function sharesNext(written: readonly Written[], step: Step, next: Step): boolean {
  if (!/(?:^|[.!?]\s+)[^\s]+$/u.test(step.text.trim())) return false
  const text = written.find(({ stepIds }) => stepIds.includes(step.id) && stepIds.includes(next.id))?.text
  const from = text?.indexOf(`${step.text} `) ?? -1
  if (text === undefined || from < 0) return false
  return /^\s*(?:and|&)\s*$/iu.test(
    text.slice(from + step.text.length, text.indexOf(next.text, from + step.text.length)),
  )
}

/**
 * What each step of one part takes, with the other parts as they are.
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
  const parts = [{ part, lines }, ...others.map((other) => ({ part: { ...other, steps: [] }, lines: [] }))]
  return readUses(parts, [], kitchen).uses[0] ?? []
}
