import { isInEveryBand } from '../assess'
import type { Kitchen, Library, PartAssessment, Tasted } from '../model'
import { type Change, foodWords, gramsWords } from './change'
import { changesBetween } from './changes'
import {
  type Distance,
  type Effect,
  predictedDistance,
  predictedEffects,
  tastedDistance,
  tastedEffects,
  tastedGaps,
  tastedOfTrial,
} from './effects'
import { type Entry, type WorkedEntry, workedEntry } from './entry'
import { stepNames } from './stepNames'

/** A part of one trial on the vine. */
export interface PartPoint {
  readonly partId: string
  readonly part: string
  readonly originalName: string | null
  readonly predicted: Distance | null
  readonly tasted: Distance | null
  readonly isInEveryBand: boolean
  /** What is otherwise than in the trial that it came from. */
  readonly changes: readonly Change[]
  readonly effects: readonly Effect[]
  readonly tastedEffects: readonly Effect[]
  /** Where tasters put it outside of its original's bands. */
  readonly tastedGaps: ReturnType<typeof tastedGaps>
  readonly cookedMassG: number
}

/** A trial on the vine. */
export interface VineEntry {
  readonly key: string
  readonly number: number
  readonly fromNumber: number | null
  readonly state: Entry['state']
  readonly date: string | null
  readonly parts: readonly PartPoint[]
  /** What was weighed otherwise than written, a phrase each. */
  readonly madeOtherwise: readonly string[]
  readonly notes: string
  readonly decision: string
  readonly why: readonly string[]
  readonly costPerPortion: number | null
  readonly sodiumMgPerPortion: number | null
}

const OFF_SHARE = 0.03

/** Lines that were weighed otherwise than written: "8 g less oats". */
export function madeOtherwise({ entry, written }: WorkedEntry): string[] {
  const known = new Map(entry.asMade.map((one) => [one.lineId, one]))
  return written.assessment.parts.flatMap(({ lines }) =>
    lines.flatMap(({ lineId, name, massG }) => {
      const made = known.get(lineId)
      if (made === undefined) return []
      if (made.instead !== null) return [`${made.instead} in place of ${foodWords(name)}`]
      const more = made.massG - (massG ?? 0)
      return massG === null || Math.abs(more) <= Math.max(0.5, OFF_SHARE * massG)
        ? []
        : [`${gramsWords(more)} ${more > 0 ? 'more' : 'less'} ${foodWords(name)}`]
    }),
  )
}

function pointOf(
  part: PartAssessment,
  own: WorkedEntry,
  parent: WorkedEntry | null,
  tasted: readonly Tasted[],
  changes: readonly Change[],
): PartPoint {
  const dishId = own.entry.dish.id
  const said = tastedOfTrial(tasted, dishId, own.entry.number, part)
  const was =
    parent?.made.assessment.parts.find(({ partId }) => partId === part.partId) ??
    parent?.made.assessment.parts.find(({ name }) => name === part.name)
  const predicted = predictedDistance(part)
  return {
    partId: part.partId,
    part: part.name,
    originalName: part.originalName,
    predicted,
    tasted: tastedDistance(part, said),
    isInEveryBand: predicted !== null && isInEveryBand(predicted.value),
    changes: changes.filter(({ partId }) => partId === part.partId),
    effects: was === undefined ? [] : predictedEffects(was, part),
    tastedEffects:
      was === undefined || parent === null
        ? []
        : tastedEffects(part, tastedOfTrial(tasted, dishId, parent.entry.number, was), said),
    tastedGaps: tastedGaps(part, said),
    cookedMassG: part.cookedMassG,
  }
}

/** One entry beside the one that it came from. Changes are those of what was written; what they did is that of what was made. */
export function vineEntry(
  own: WorkedEntry,
  parent: WorkedEntry | null,
  tasted: readonly Tasted[],
): VineEntry {
  const { entry } = own
  const changes =
    parent === null
      ? []
      : changesBetween(parent.written, own.written, (step) => {
          const part = own.written.dish.parts.find(({ steps }) => steps.some(({ id }) => id === step.id))
          const reading = own.written.assessment.parts.find(({ partId }) => partId === part?.id) ?? null
          return stepNames(part?.steps ?? [step], reading)(step)
        })
  const { perPortion } = own.made.assessment
  return {
    key: entry.key,
    number: entry.number,
    fromNumber: entry.fromNumber,
    state: entry.state,
    date: entry.date,
    parts: own.made.assessment.parts.map((part) => pointOf(part, own, parent, tasted, changes)),
    madeOtherwise: madeOtherwise(own),
    notes: entry.notes,
    decision: entry.decision,
    why: entry.why,
    costPerPortion: perPortion.cost,
    sodiumMgPerPortion: perPortion.sodiumMg,
  }
}

export interface VineBench {
  readonly library: Library
  readonly kitchen: Kitchen
}

/**
 * The whole history of a dish, entry by entry, newest first; each is worked out when it is asked for, so that a screen
 * can show what it has. A trial whose parent is gone stands by itself.
 */
export function* vineOf(
  entries: readonly Entry[],
  bench: VineBench,
  isWanted: (entry: Entry) => boolean = () => true,
): Generator<VineEntry> {
  const byNumber = new Map<number, Entry>()
  for (const entry of entries) if (entry.state !== 'now') byNumber.set(entry.number, entry)
  const known = new Map<string, WorkedEntry>()
  const worked = (entry: Entry): WorkedEntry => {
    const made = known.get(entry.key) ?? workedEntry(entry, bench)
    known.set(entry.key, made)
    return made
  }
  for (const entry of [...entries].reverse()) {
    if (!isWanted(entry)) continue
    const parent = entry.fromNumber === null ? undefined : byNumber.get(entry.fromNumber)
    yield vineEntry(
      worked(entry),
      parent === undefined || parent.key === entry.key ? null : worked(parent),
      bench.kitchen.tasted,
    )
    known.delete(entry.key)
  }
}

/** A part as it is known across trials: by id, else by name. */
export interface PartKey {
  readonly partId: string
  readonly part: string
}
export const partIn = <T extends PartKey>(parts: readonly T[], { partId, part }: PartKey): T | undefined =>
  parts.find((one) => one.partId === partId) ?? parts.find((one) => one.part === part)

/** Numbers of the trials from the first to a given one, by who came from whom. */
export function lineage(
  entries: readonly Pick<VineEntry, 'number' | 'fromNumber'>[],
  number: number,
): number[] {
  const from = new Map(entries.map((one) => [one.number, one.fromNumber]))
  const line: number[] = []
  let at: number | null = number
  while (at !== null && !line.includes(at)) {
    line.push(at)
    at = from.get(at) ?? null
  }
  return line.reverse()
}
