import type { Part, Step } from '../model'
import { type Change, gramsWords, STEP_SIZE } from './change'

const LONGEST_STEP = 70
/** Other words for the same doing. */
const REWORDED = 0.01

const short = (text: string): string => {
  const first = (text.split(/(?<=[.;])\s/)[0] ?? text).replace(/[.;]$/, '')
  const words =
    first.length > LONGEST_STEP ? `${first.slice(0, LONGEST_STEP - 1).replace(/\s+\S*$/, '')} …` : first
  return words.charAt(0).toLowerCase() + words.slice(1)
}

/** Words that two steps share, 0 to 1. */
function alike(a: Step, b: Step): number {
  const words = (text: string) => new Set(text.toLowerCase().match(/\p{L}{3,}/gu) ?? [])
  const [x, y] = [words(a.text), words(b.text)]
  let both = 0
  for (const word of x) if (y.has(word)) both += 1
  return both / Math.max(1, Math.min(x.size, y.size))
}
const LIKE = 0.5

interface PairedStep {
  readonly before: Step | null
  readonly after: Step | null
}

/** Steps of both: by id, else the same doing with the most words in common. */
export function pairedSteps(before: readonly Step[], after: readonly Step[]): PairedStep[] {
  const rest = new Set(before)
  const found = new Map<Step, Step>()
  for (const step of after) {
    const same = before.find(({ id, operation }) => id === step.id && operation === step.operation)
    if (same !== undefined && rest.delete(same)) found.set(step, same)
  }
  for (const step of after) {
    if (found.has(step)) continue
    const best = [...rest]
      .filter(({ operation }) => operation === step.operation)
      .map((other) => ({ other, near: alike(other, step) }))
      .sort((a, b) => b.near - a.near)[0]
    if (best !== undefined && best.near >= LIKE && rest.delete(best.other)) found.set(step, best.other)
  }
  // What is left and has the same id is that step, done otherwise.
  for (const step of after) {
    const same = found.has(step) ? undefined : [...rest].find(({ id }) => id === step.id)
    if (same !== undefined && rest.delete(same)) found.set(step, same)
  }
  return [
    ...after.map((step): PairedStep => ({ after: step, before: found.get(step) ?? null })),
    ...[...rest].map((step): PairedStep => ({ before: step, after: null })),
  ]
}

export const minutesWords = (minutes: number): string =>
  minutes >= 120 ? `${Number((minutes / 60).toFixed(1))} h` : `${Number(minutes.toFixed(1))} min`
const untilWords = (until: Step['until']): string =>
  until === null
    ? 'by the clock'
    : until.kind === 'dry'
      ? 'until dry'
      : until.kind === 'mass'
        ? `to ${gramsWords(until.massG)}`
        : `to ${Math.round(100 * until.fraction)} % of its mass`

/** What differs between two ways of doing a step. */
function settingWords(name: string, before: Step, after: Step): string[] {
  const words: string[] = []
  if (before.durationMin !== after.durationMin && after.durationMin !== null)
    words.push(
      before.durationMin === null
        ? `${name} ${minutesWords(after.durationMin)}`
        : `${name} ${minutesWords(after.durationMin)} instead of ${minutesWords(before.durationMin)}`,
    )
  if (before.tempC !== after.tempC && after.tempC !== null)
    words.push(
      before.tempC === null
        ? `${name} at ${Math.round(after.tempC)} °C`
        : `${name} at ${Math.round(after.tempC)} instead of ${Math.round(before.tempC)} °C`,
    )
  if (JSON.stringify(before.until) !== JSON.stringify(after.until))
    words.push(`${name} ${untilWords(after.until)}`)
  if (before.settings.vesselCm !== after.settings.vesselCm && after.settings.vesselCm !== null)
    words.push(`${name} in ${after.settings.vesselCm} cm`)
  else if (before.settings.vessel !== after.settings.vessel && after.settings.vessel !== null)
    words.push(`${name} in a ${after.settings.vessel.replaceAll('-', ' ')}`)
  if (before.settings.lid !== after.settings.lid && after.settings.lid !== null)
    words.push(`${name} with the lid ${after.settings.lid}`)
  return words
}

export function stepChanges(part: Part, before: Part, names: StepNames): Change[] {
  const pairs = pairedSteps(before.steps, part.steps)
  const at = { partId: part.id, part: part.name }
  const changes = pairs.flatMap(({ before: was, after: is }): Change[] => {
    if (is === null)
      return was === null
        ? []
        : [{ ...at, kind: 'gone-step', words: `no longer: ${short(was.text)}`, id: was.id, size: STEP_SIZE }]
    if (was === null)
      return [{ ...at, kind: 'new-step', words: `new: ${short(is.text)}`, id: is.id, size: STEP_SIZE }]
    const words = settingWords(names(is), was, is)
    if (words.length > 0)
      return words.map((one) => ({ ...at, kind: 'step', words: one, id: is.id, size: STEP_SIZE }))
    return was.text.trim() === is.text.trim()
      ? []
      : [{ ...at, kind: 'reworded', words: short(is.text), id: is.id, size: REWORDED }]
  })
  return [...changes, ...movedSteps(part, before, pairs, names)]
}
export type StepNames = (step: Step) => string

/** Steps that stand elsewhere among those that stayed. */
function movedSteps(part: Part, before: Part, pairs: readonly PairedStep[], names: StepNames): Change[] {
  const placeBefore = new Map(before.steps.map((step, at) => [step, at]))
  const kept = pairs.flatMap(({ before: was, after: is }) =>
    was === null || is === null ? [] : [{ is, place: placeBefore.get(was) ?? 0 }],
  )
  const stays = longestRise(kept.map(({ place }) => place))
  return kept.flatMap(({ is }, at): Change[] => {
    if (stays.has(at)) return []
    const next = kept.find((_, index) => index > at && stays.has(index))
    return [
      {
        partId: part.id,
        part: part.name,
        kind: 'order',
        words: next === undefined ? `${names(is)} last` : `${names(is)} before ${names(next.is)}`,
        id: is.id,
        size: STEP_SIZE,
      },
    ]
  })
}

/** Places of a longest rising row: what did not move. */
function longestRise(values: readonly number[]): Set<number> {
  const length = values.map(() => 1)
  const from = values.map(() => -1)
  values.forEach((value, at) => {
    for (let other = 0; other < at; other += 1)
      if ((values[other] ?? 0) < value && (length[other] ?? 0) + 1 > (length[at] ?? 0)) {
        length[at] = (length[other] ?? 0) + 1
        from[at] = other
      }
  })
  let at = length.indexOf(Math.max(0, ...length))
  const rise = new Set<number>()
  while (at >= 0) {
    rise.add(at)
    at = from[at] ?? -1
  }
  return rise
}
