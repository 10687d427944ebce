import type { CookSession, TimedTask } from '../model'
import type { DayPlan } from './plan'
import { COOK } from './tasks'

const MINUTE_MS = 60_000
/** Whole minutes since 1970. */
export const toMin = (ms: number): number => Math.round(ms / MINUTE_MS)
export const byStart = (tasks: readonly TimedTask[]): TimedTask[] =>
  [...tasks].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin)

/** `due`: it goes by itself and its time is up; somebody has to see to it. */
export type LiveState = 'waiting' | 'running' | 'due' | 'done' | 'skipped' | 'missed'

/** A task as it stands now. */
export interface LiveTask {
  readonly task: TimedTask
  readonly state: LiveState
  readonly begunMs: number | null
  readonly endedMs: number | null
  /** When its time is up, ms since 1970; null before it is begun. It is a time, not a counter: nothing has to run for it. */
  readonly dueMs: number | null
  /** Until its time is up; never more than the whole of it, and 0 when it is up. */
  readonly leftMs: number
  /** Of its whole time, 0 to 1. */
  readonly gone: number
}

export interface LiveDay {
  /** In the order of the plan. */
  readonly tasks: readonly LiveTask[]
  /** What the hands are at, or should be at next: one for each cook. */
  readonly now: readonly LiveTask[]
  /** What goes by itself, the first to be up first. */
  readonly running: readonly LiveTask[]
  /** Work of the hands after what is now, by the plan. */
  readonly next: readonly LiveTask[]
  /** This device's clock stands before what was done last: it was set back. */
  readonly isClockBack: boolean
  readonly isDone: boolean
}

/** The day as it begins: the dishes and the plan as they are now, and nothing done yet. @param nowMs since 1970 */
export const beginSession = (plan: DayPlan, dishes: CookSession['dishes'], nowMs: number): CookSession => ({
  begunAt: nowMs,
  dishes: [...dishes],
  tasks: [...plan.tasks],
  serveMin: plan.serveMin,
  plannedServeMin: plan.serveMin,
  log: [],
  weighings: [],
  notes: [],
  measures: [],
  leftovers: [],
  closedAt: null,
})

interface Done {
  begunMs: number | null
  endedMs: number | null
  what: 'ended' | 'skipped' | 'missed' | null
  longerMin: number
}

/** What the log says of each task. The last word stands. */
function doneOf({ log }: CookSession): Map<string, Done> {
  const found = new Map<string, Done>()
  for (const { taskId, what, at, minutes } of log) {
    const one = found.get(taskId) ?? { begunMs: null, endedMs: null, what: null, longerMin: 0 }
    if (what === 'begun') Object.assign(one, { begunMs: at, endedMs: null, what: null })
    else if (what === 'longer') one.longerMin += minutes ?? 0
    else Object.assign(one, { endedMs: at, what })
    found.set(taskId, one)
  }
  return found
}

const isHands = ({ task }: TimedTask): boolean => (task.uses[COOK] ?? 0) > 0

function liveTask(task: TimedTask, done: Done | undefined, nowMs: number): LiveTask {
  const whole = (task.task.durationMin + (done?.longerMin ?? 0)) * MINUTE_MS
  if (done === undefined || (done.begunMs === null && done.what === null))
    return { task, state: 'waiting', begunMs: null, endedMs: null, dueMs: null, leftMs: whole, gone: 0 }
  const { begunMs, endedMs, what } = done
  if (what !== null)
    return {
      task,
      state: what === 'ended' ? 'done' : what,
      begunMs,
      endedMs,
      dueMs: begunMs === null ? null : begunMs + whole,
      leftMs: 0,
      gone: 1,
    }
  const begun = begunMs ?? nowMs
  // A clock that was set back makes no time negative and no task longer.
  const passed = Math.min(whole, Math.max(0, nowMs - begun))
  const leftMs = whole - passed
  return {
    task,
    state: leftMs === 0 && task.kind === 'by-itself' ? 'due' : 'running',
    begunMs: begun,
    endedMs: null,
    dueMs: begun + whole,
    leftMs,
    gone: whole === 0 ? 1 : passed / whole,
  }
}

/** When a check has to be done at the latest, ms: from when the task began that it belongs to; null before that. */
export function checkUntilMs(check: TimedTask, tasks: readonly LiveTask[]): number | null {
  for (const { id, maxLagMin } of check.task.after) {
    const before = tasks.find(({ task }) => task.id === id)
    if (before?.endedMs != null && maxLagMin !== null) return before.endedMs + maxLagMin * MINUTE_MS
  }
  return null
}

/** The task that goes on by itself as soon as this one ends: a pot that was put on. */
export const followedBy = (tasks: readonly TimedTask[], id: string): TimedTask | null =>
  tasks.find(
    ({ kind, task }) =>
      kind === 'by-itself' && task.after.some((lag) => lag.id === id && lag.maxLagMin === 0),
  ) ?? null

/** The day as it stands at a moment: what is done, what runs, what the hands are for, what is next. @param nowMs since 1970 */
export function liveOf(session: CookSession, cooks: number, nowMs: number): LiveDay {
  const done = doneOf(session)
  const tasks = byStart(session.tasks).map((task) => liveTask(task, done.get(task.id), nowMs))
  const isOver = new Set(
    tasks.flatMap(({ task, state }) =>
      state === 'done' || state === 'skipped' || state === 'missed' ? [task.id] : [],
    ),
  )
  const hands = tasks.filter(({ task, state }) => isHands(task) && !isOver.has(task.id) && state !== 'due')
  const begun = hands.filter(({ state }) => state === 'running')
  // A check waits for its pot to be on the fire; other work may be done before its turn by whoever likes to.
  const waiting = hands.filter(
    ({ task, state }) =>
      state === 'waiting' && (task.kind !== 'check' || task.task.after.every(({ id }) => isOver.has(id))),
  )
  // What is up waits for a hand before anything new is begun.
  const due = tasks.filter(({ state }) => state === 'due')
  const now = [...begun, ...due, ...waiting].slice(0, Math.max(cooks, begun.length))
  return {
    tasks,
    now,
    running: tasks
      .filter(({ task, state }) => !isHands(task) && (state === 'running' || state === 'due'))
      .sort((a, b) => (a.dueMs ?? 0) - (b.dueMs ?? 0)),
    next: waiting.filter((one) => !now.includes(one)),
    isClockBack: session.log.some(({ at }) => at > nowMs + MINUTE_MS),
    isDone:
      hands.length === 0 &&
      due.length === 0 &&
      tasks.every(({ task, state }) => state !== 'waiting' || task.kind === 'check'),
  }
}

/** Checks whose time went by unseen while the day was on no screen. @param graceMs after the latest time */
export const missedChecks = (session: CookSession, nowMs: number, graceMs = 60_000): readonly TimedTask[] => {
  const { tasks } = liveOf(session, 1, nowMs)
  return tasks.flatMap(({ task, state }) => {
    const until = task.kind === 'check' && state === 'waiting' ? checkUntilMs(task, tasks) : null
    return until !== null && until + graceMs < nowMs ? [task] : []
  })
}

/** Whether reality has left the plan: something is not begun, or not over, when it should be. Minutes of grace. */
export function hasSlipped(session: CookSession, cooks: number, nowMs: number, graceMin = 2): boolean {
  const nowMin = nowMs / MINUTE_MS
  return liveOf(session, cooks, nowMs).tasks.some(({ task, state, dueMs }) => {
    if (task.kind === 'check') return false
    if (state === 'waiting') return task.startMin + graceMin < nowMin
    if (state === 'running' || state === 'due') return (dueMs ?? 0) / MINUTE_MS + graceMin < nowMin
    return false
  })
}
