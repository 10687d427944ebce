import type { CookSession, Kitchen, PlanTask, TimedTask } from '../model'
import { PlanFault, type PlanOptions, type PlanResource } from '../schedule'
import { byStart, type LiveDay, liveOf, type LiveTask, toMin } from './live'
import { type DayAsk, type DayPlan, minuteOf, placeTasks, type Placing, type StartWindow } from './plan'
import { PLATE_MIN } from './table'
import { resourcesOf } from './tasks'

const MINUTE_MS = 60_000

/** What is left of a day, planned anew. */
export interface Replanned {
  /** Every task: what is over and what has begun at its real times, the rest as it is planned now. */
  readonly tasks: readonly TimedTask[]
  readonly serveMin: number
  /** Against the serving that was accepted; 0 = on time. */
  readonly laterMin: number
  /** Waits that are longer than they should be, in words. */
  readonly broken: readonly string[]
}

interface Left {
  readonly tasks: readonly TimedTask[]
  readonly windows: Map<string, StartWindow>
  readonly broken: string[]
}

/** What is still to do from now on: waits for what is over become times, and what runs stands where it is. */
function leftOf(live: LiveDay, nowMin: number): Left {
  const byId = new Map(live.tasks.map((one) => [one.task.id, one]))
  const windows = new Map<string, StartWindow>()
  const broken: string[] = []
  // An oven has the temperature of what went in last, whatever else is in it.
  const lastHot = live.tasks
    .filter(({ task, state }) => (state === 'running' || state === 'due') && task.task.tempC !== null)
    .sort((a, b) => (b.begunMs ?? 0) - (a.begunMs ?? 0))[0]
  const tasks = live.tasks.flatMap(({ task, state, dueMs }): TimedTask[] => {
    if (state === 'done' || state === 'skipped' || state === 'missed') return []
    if (state !== 'waiting') {
      const left = Math.max(1, toMin(dueMs ?? 0) - nowMin)
      windows.set(task.id, { from: nowMin, until: nowMin })
      const tempC = task.id === lastHot?.task.id ? task.task.tempC : null
      return [{ ...task, task: { ...task.task, durationMin: left, tempC, after: [] } }]
    }
    let from = nowMin
    let until: number | null = null
    const after: PlanTask['after'] = []
    for (const lag of task.task.after) {
      const before = byId.get(lag.id)
      if (before === undefined) continue
      if (before.state === 'waiting' || before.state === 'running' || before.state === 'due') {
        after.push(lag)
        continue
      }
      const ended = toMin(before.endedMs ?? 0)
      from = Math.max(from, ended + lag.minLagMin)
      if (lag.maxLagMin === null || before.state !== 'done') continue
      const last = ended + lag.maxLagMin
      if (last >= from) until = Math.min(until ?? last, last)
      else if (task.kind !== 'check' && last < nowMin - 1)
        broken.push(
          `“${before.task.label}” has waited ${nowMin - ended} min; ${lag.maxLagMin} min is the most for it.`,
        )
    }
    windows.set(task.id, { from, until })
    return [{ ...task, task: { ...task.task, after } }]
  })
  return { tasks, windows, broken }
}

/** Room for what runs at once in fact: the plan can no longer forbid it. */
function roomFor(resources: readonly PlanResource[], live: LiveDay): PlanResource[] {
  const running = live.tasks.filter(({ state }) => state === 'running' || state === 'due')
  return resources.map((resource) => {
    const held = running.reduce((sum, { task }) => sum + (task.task.uses[resource.id] ?? 0), 0)
    return held > resource.capacity ? { ...resource, capacity: held } : resource
  })
}

const REPLAN_EFFORT = 3000
/** Minutes by which a task may be off its plan without the plan being off. */
const GRACE_MIN = 1

/** When a task is on, as it stands: over, running to its end, or planned. */
function spanOf({ task, begunMs, endedMs, dueMs }: LiveTask, nowMin: number): readonly [number, number] {
  if (endedMs !== null) return [toMin(begunMs ?? endedMs), toMin(endedMs)]
  if (dueMs !== null) return [toMin(begunMs ?? dueMs), Math.max(nowMin, toMin(dueMs))]
  return [task.startMin, task.startMin + task.task.durationMin]
}

/** Whether the plan still holds for what is left: nothing is late, no wait is broken, nothing is needed twice. */
function stillHolds(live: LiveDay, resources: readonly PlanResource[], nowMin: number): boolean {
  const byId = new Map(live.tasks.map((one) => [one.task.id, one]))
  const open = live.tasks.filter(({ endedMs }) => endedMs === null)
  const waiting = open.filter(({ state }) => state === 'waiting')
  const isInTime = waiting.every(({ task }) => {
    if (task.startMin + GRACE_MIN < nowMin) return false
    return task.task.after.every(({ id, minLagMin, maxLagMin }) => {
      const before = byId.get(id)
      if (before === undefined || before.state === 'skipped' || before.state === 'missed') return true
      const wait = task.startMin - spanOf(before, nowMin)[1]
      return wait >= minLagMin - GRACE_MIN && (maxLagMin === null || wait <= maxLagMin + GRACE_MIN)
    })
  })
  if (!isInTime) return false
  const spans = open.map((one) => ({ task: one.task.task, span: spanOf(one, nowMin) }))
  return spans.every(({ task, span: [from] }) => {
    const beside = spans.filter(({ span }) => span[0] <= from && from < span[1] - GRACE_MIN)
    return resources.every(({ id, capacity, sharedTemperature }) => {
      const there = beside.filter((one) => (one.task.uses[id] ?? 0) > 0)
      if ((task.uses[id] ?? 0) === 0 || there.length < 2) return true
      if (there.reduce((sum, one) => sum + (one.task.uses[id] ?? 0), 0) > capacity) return false
      const bands = there.flatMap(({ task: { tempC } }) => (tempC === null ? [] : [tempC]))
      return (
        !sharedTemperature ||
        Math.max(...bands.map(({ low }) => low)) <= Math.min(...bands.map(({ high }) => high))
      )
    })
  })
}

/** Longest waits and latest times are let go, but for what begins as soon as it is set up. */
const loosened = (placing: Placing): Placing => ({
  ...placing,
  tasks: placing.tasks.map((task) => ({
    ...task,
    task: {
      ...task.task,
      after: task.task.after.map((lag) => (lag.maxLagMin === 0 ? lag : { ...lag, maxLagMin: null })),
    },
  })),
  windows: new Map(
    [...placing.windows].map(([id, { from, until }]) => [
      id,
      // What runs stands where it is.
      { from, until: until === from ? until : null },
    ]),
  ),
})

/**
 * Places what is left: at the serving that was accepted, else as early as can be; where lateness has made that impossible,
 * with waits that are longer than they should be.
 */
function placeLeft(
  placing: Omit<Placing, 'isServe' | 'anchorMin'>,
  serveMin: number,
  nowMin: number,
  options: PlanOptions,
): DayPlan & { readonly isLoosened: boolean } {
  const forward: Placing = { ...placing, isServe: false, anchorMin: nowMin }
  const attempts: readonly Placing[] = [
    ...(serveMin - PLATE_MIN >= nowMin ? [{ ...placing, isServe: true, anchorMin: serveMin }] : []),
    forward,
  ]
  for (const attempt of attempts)
    try {
      return { ...placeTasks(attempt, options), isLoosened: false }
    } catch (error) {
      if (!(error instanceof PlanFault)) throw error
    }
  return { ...placeTasks(loosened(forward), options), isLoosened: true }
}

/** What waits longer in a loosened plan than it should, in words. */
function tooLong({ tasks }: Left, plan: DayPlan): string[] {
  const placed = new Map(plan.tasks.map((task) => [task.id, task]))
  return tasks.flatMap(({ id, kind, task }) => {
    const own = placed.get(id)
    if (own === undefined || kind === 'check') return []
    return task.after.flatMap(({ id: other, maxLagMin }) => {
      const before = placed.get(other)
      if (before === undefined || before.kind === 'check' || maxLagMin === null) return []
      const waits = own.startMin - before.endMin
      return waits > maxLagMin
        ? [`“${before.label}” will wait ${waits} min; ${maxLagMin} min is the most for it.`]
        : []
    })
  })
}

/**
 * Plans what is left of a day from now on. The serving that was accepted is kept where it can be; where it cannot, the
 * earliest one that is left is proposed.
 * @param nowMs since 1970
 * @throws PlanFault where nothing fits, as when nobody is there any more
 */
export function replan(
  session: CookSession,
  {
    cooks,
    away,
    kitchen,
  }: { readonly cooks: number; readonly away: DayAsk['away']; readonly kitchen: Kitchen },
  nowMs: number,
  options: PlanOptions = { effort: REPLAN_EFFORT },
): Replanned {
  const nowMin = Math.ceil(nowMs / MINUTE_MS)
  const live = liveOf(session, cooks, nowMs)
  const left = leftOf(live, nowMin)
  const over = live.tasks.flatMap(({ task, begunMs, endedMs, state }): TimedTask[] => {
    if (state === 'waiting' || state === 'running' || state === 'due') return []
    const endMin = endedMs === null ? task.endMin : toMin(endedMs)
    return [{ ...task, startMin: begunMs === null ? endMin : Math.min(endMin, toMin(begunMs)), endMin }]
  })
  if (left.tasks.length === 0) return { tasks: over, serveMin: session.serveMin, laterMin: 0, broken: [] }
  const resources = roomFor(resourcesOf(kitchen, cooks), live)
  // A plan that holds is kept: what the cook has read off it stays as it is.
  if (stillHolds(live, resources, nowMin)) {
    const open = live.tasks.flatMap(({ task, begunMs, endedMs }) =>
      endedMs === null ? [begunMs === null ? task : { ...task, startMin: toMin(begunMs) }] : [],
    )
    return {
      tasks: byStart([...over, ...open]),
      serveMin: session.serveMin,
      laterMin: 0,
      broken: left.broken,
    }
  }
  // In the night that is going on somebody is up.
  const absent = away.filter(({ from, to }) => !(minuteOf(from) <= nowMin && nowMin < minuteOf(to)))
  const placing = {
    tasks: left.tasks,
    resources,
    away: absent,
    windows: left.windows,
    kitchen,
    asksWhy: false,
  }
  const plan = placeLeft(placing, session.serveMin, nowMin, options)
  const broken = [...left.broken, ...(plan.isLoosened ? tooLong(left, plan) : [])]
  const begun = new Map(live.tasks.map((one) => [one.task.id, one]))
  const whole = new Map(session.tasks.map(({ id, task }) => [id, task]))
  const tasks = plan.tasks.map((task): TimedTask => {
    const one = begun.get(task.id)
    const startMin = one?.begunMs != null ? toMin(one.begunMs) : task.startMin
    return { ...task, startMin, task: whole.get(task.id) ?? task.task }
  })
  return {
    tasks: byStart([...over, ...tasks]),
    serveMin: plan.serveMin,
    laterMin: plan.serveMin - session.serveMin,
    broken,
  }
}
