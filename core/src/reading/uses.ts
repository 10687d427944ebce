import type { ResolvedLine } from '../composition'
import { type Kitchen, type Part, type Step, stepsInOrder, type StepUse, type Written } from '../model'
import { asOne } from './asOne'
import { ownWordsOf } from './lexicon/ownWords'
import { namedIn, type PartLines } from './method'
import { newReading, type Reading } from './rests'
import { type Doing, Walk } from './walk'

/**
 * What every step of a dish takes: as assigned by hand, else as its words say against the lists and what earlier steps
 * made.
 *
 * @param reading told what it rests on beside the words: where the masses no longer bear that out, it is read again
 * @returns for each part the uses of its steps
 */
export function readUses(
  parts: readonly PartLines[],
  written: readonly Written[],
  kitchen: Kitchen,
  reading: Reading,
): StepUse[][][] {
  const named = namedIn(parts)
  const placed = stepsInOrder(
    parts.map(({ part }) => part),
    written,
  ).map(({ part, step, written: at }) => ({ part, step, isWritten: at !== null }))
  const walk = new Walk(
    named,
    placed.map(({ step }) => step.text),
    kitchen,
    reading,
  )
  const uses = new Map<string, StepUse[]>()
  const doings = placed.map(({ step }) => asOne(step.text, ownWordsOf(kitchen)))
  const made: { part: number; doing: Doing | null; step: Step }[] = []
  placed.forEach(({ part, step, isWritten }, at) => {
    const doing = doings[at] ?? null
    const next = placed[at + 1]
    if (step.uses !== null || doing === null) {
      walk.follow(step, part, step.uses ?? [], at)
      uses.set(step.id, step.uses ?? [])
      made.push({ part, doing: null, step })
      return
    }
    walk.only(isWritten ? null : part)
    const shared =
      next !== undefined && isWritten && sharesNext(written, step, next.step)
        ? (doings[at + 1] ?? null)
        : null
    const read = walk.doing(
      { ...doing, sharesNext: shared !== null },
      at,
      part,
      step.id,
      shared,
      step.operation,
    )
    uses.set(step.id, read.uses)
    made.push({ part, doing: read, step })
  })
  // What another part made is taken as that part where it is its last; a lot in the middle stays with its own part.
  const lastOf = new Map<number, string>()
  for (const { part, step } of made) lastOf.set(part, step.id)
  const partOf = new Map(made.map(({ part, step }) => [step.id, part]))
  return parts.map(({ part }, at) =>
    part.steps.map(
      (step) =>
        step.uses ??
        (uses.get(step.id) ?? []).map((use): StepUse => {
          if (use.kind !== 'step') return use
          const from = partOf.get(use.id) ?? at
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
  return readUses(parts, [], kitchen, newReading())[0] ?? []
}
