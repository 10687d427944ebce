import type { DayTask, PlanLag, TimedTask } from '../model'
import type { PlanResource } from '../schedule'
import { COOK } from './tasks'
import {
  HEAT_WAITS_MIN,
  OVEN_BAND_C,
  PREHEAT_C_PER_MIN,
  PREHEAT_FROM_C,
  ROOM_C,
  STAYS_HOT_MIN,
} from './table'

/** Minutes until an oven is as hot as that, from another temperature or from cold. */
export const preheatMin = (tempC: number, fromC: number = ROOM_C): number =>
  Math.max(1, Math.ceil(Math.abs(tempC - fromC) / PREHEAT_C_PER_MIN))

/** What goes into an oven, in the order of a plan that takes it for hot. */
const inOven = (planned: readonly TimedTask[], oven: string): TimedTask[] =>
  planned
    .filter(({ kind, tempC, task }) => kind !== 'check' && tempC !== null && (task.uses[oven] ?? 0) > 0)
    .sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin)

interface Heating {
  readonly oven: string
  readonly before: TimedTask
  readonly tempC: number
  readonly minutes: number
}

/** Food that goes into an oven which is not at its temperature: `minutes` is what the heating takes. */
export interface ColdOven {
  readonly taskId: string
  readonly label: string
  readonly dish: string
  /** Min since 1970 in UTC. */
  readonly startMin: number
  readonly tempC: number
  readonly minutes: number
}

/**
 * Where a plan puts food into an oven that is not as hot as it should be. What heats counts from its end.
 * @param planned every task on the clock, heatings among them
 */
export const coldOvens = (
  planned: readonly TimedTask[],
  resources: readonly PlanResource[],
): readonly ColdOven[] =>
  resources
    .filter(({ sharedTemperature }) => sharedTemperature)
    .flatMap(({ id }) => heatingsOf(planned, id))
    .map(({ before, tempC, minutes }) => ({
      taskId: before.id,
      label: before.label,
      dish: before.dish,
      startMin: before.startMin,
      tempC,
      minutes,
    }))

/** Where an oven has to be brought to a temperature: it was cold, had cooled, or stood at another. */
function heatingsOf(planned: readonly TimedTask[], oven: string): Heating[] {
  let low = Number.NEGATIVE_INFINITY
  let high = Number.NEGATIVE_INFINITY
  let until = Number.NEGATIVE_INFINITY
  return inOven(planned, oven).flatMap((before): Heating[] => {
    const tempC = before.tempC ?? 0
    const isHot = before.startMin - until <= STAYS_HOT_MIN
    const agrees = isHot && tempC + OVEN_BAND_C >= low && tempC - OVEN_BAND_C <= high
    const from = isHot ? (low + high) / 2 : ROOM_C
    low = agrees ? Math.max(low, tempC - OVEN_BAND_C) : tempC - OVEN_BAND_C
    high = agrees ? Math.min(high, tempC + OVEN_BAND_C) : tempC + OVEN_BAND_C
    until = Math.max(until, before.endMin)
    return agrees || tempC < PREHEAT_FROM_C || isHeating(before)
      ? []
      : [{ oven, before, tempC, minutes: preheatMin(tempC, from) }]
  })
}

function heatingTasks({ oven, before, tempC, minutes }: Heating): DayTask[] {
  const id = heatingId(before.id)
  const base = { dishId: before.dishId, dish: before.dish, part: '', stepId: null, station: oven, tempC }
  return [
    {
      ...base,
      id: `${id}:on`,
      kind: 'work',
      label: `Set the oven to ${tempC} °C`,
      text: `It takes about ${minutes} minutes.`,
      attendance: 'hands',
      task: { id: `${id}:on`, durationMin: 1, uses: { [COOK]: 1 }, tempC: null, after: [], window: null },
    },
    {
      ...base,
      id,
      kind: 'by-itself',
      label: `Oven comes to ${tempC} °C`,
      text: 'Food goes in when it is there, not before.',
      attendance: 'alone',
      task: {
        id,
        durationMin: minutes,
        uses: { [oven]: 1 },
        tempC: { low: tempC - OVEN_BAND_C, high: tempC + OVEN_BAND_C },
        after: [{ id: `${id}:on`, minLagMin: 0, maxLagMin: 0 }],
        window: null,
      },
    },
  ]
}

const heatingId = (taskId: string): string => `${taskId}:heat`
export const isHeating = ({ id, stepId }: Pick<DayTask, 'id' | 'stepId'>): boolean =>
  stepId === null && id.endsWith(':heat')

/**
 * The tasks with an oven that is brought to its temperature in time.
 *
 * @param planned the same tasks on the clock as if the oven were always hot: they say where it is cold, or at another heat
 * @param hopeless ids of tasks for which there is no time to heat
 * @returns the tasks, and before each that finds it so its heating, from the time when it is set
 */
export function withPreheating(
  tasks: readonly DayTask[],
  planned: readonly TimedTask[],
  resources: readonly PlanResource[],
  hopeless: ReadonlySet<string> = new Set(),
): DayTask[] {
  const known = new Set(tasks.map(({ id }) => id))
  const cold = resources
    .filter(({ sharedTemperature }) => sharedTemperature)
    .flatMap(({ id }) => heatingsOf(planned, id))
    .filter(({ before }) => !hopeless.has(before.id))
  const heatings = cold.filter(({ before }) => !known.has(heatingId(before.id)))
  const heated = new Set(heatings.map(({ before }) => before.id))
  const waits = waitsOf(
    planned,
    cold.filter(({ before }) => known.has(heatingId(before.id))),
  )
  if (heatings.length + waits.size === 0) return [...tasks]
  return [
    ...heatings.flatMap(heatingTasks),
    ...tasks.map((one) => {
      const more: PlanLag[] = [
        ...(heated.has(one.id) ? [{ id: heatingId(one.id), minLagMin: 0, maxLagMin: HEAT_WAITS_MIN }] : []),
        ...(waits.get(one.id) ?? []).map((id): PlanLag => ({ id, minLagMin: 0, maxLagMin: null })),
      ]
      return more.length === 0 ? one : { ...one, task: { ...one.task, after: [...one.task.after, ...more] } }
    }),
  ]
}

/** The oven was heated for it, and then for something else before it went in: that heating waits until it is out. */
function waitsOf(planned: readonly TimedTask[], taken: readonly Heating[]): Map<string, string[]> {
  const waits = new Map<string, string[]>()
  const at = new Map(planned.map((one) => [one.id, one]))
  for (const { before, oven } of taken) {
    const own = at.get(heatingId(before.id))
    if (own === undefined) continue
    for (const other of planned) {
      const isBetween =
        isHeating(other) &&
        other.id !== own.id &&
        (other.task.uses[oven] ?? 0) > 0 &&
        other.startMin >= own.endMin &&
        other.endMin <= before.startMin
      const on = `${other.id}:on`
      if (isBetween && at.has(on)) waits.set(on, [...(waits.get(on) ?? []), before.id])
    }
  }
  return waits
}
