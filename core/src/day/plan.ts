import { assess } from '../assess'
import type { DayTask, Dish, Kitchen, Library, TimedTask } from '../model'
import { PlanFault, type PlanOptions, type PlanProblem, type PlanResource } from '../schedule'
import { inOtherWays, type Mode, modesOf } from './modes'
import { heldBy, timed } from './heldBy'
import { type OvenChoice, ovenChoices, type Stretched } from './sharedOven'
import { type ColdOven, coldOvens, isHeating, withPreheating } from './preheat'
import { PLATE_MIN } from './table'
import { COOK, NEAR, resourcesOf, tasksOf } from './tasks'

export interface DayAsk {
  readonly dishes: readonly Dish[]
  /** When everything is to be served, or when the work begins; ISO 8601 with its offset. */
  readonly anchor: { readonly kind: 'serve' | 'start'; readonly at: string }
  readonly cooks: number
  /** When nobody is there, ISO 8601: nights, errands. What goes by itself goes on. */
  readonly away: readonly { readonly from: string; readonly to: string }[]
  /** Tasks that stand at a time, min since 1970 in UTC: put there by a person. */
  readonly held?: readonly { readonly id: string; readonly startMin: number }[]
}

/** Starts of a task that are allowed, min since 1970 in UTC; `until` null = no end. */
export interface StartWindow {
  readonly from: number
  readonly until: number | null
}

/** Tasks with what they are placed on the clock by. */
export interface Placing {
  readonly tasks: readonly DayTask[]
  readonly resources: readonly PlanResource[]
  readonly isServe: boolean
  readonly anchorMin: number
  readonly away: DayAsk['away']
  readonly windows: ReadonlyMap<string, StartWindow>
  readonly kitchen: Kitchen
  /** Whether it is asked what would make the day shorter, too. */
  readonly asksWhy: boolean
}

/** Food that waits between two of its steps. */
export interface Wait {
  readonly label: string
  readonly fromMin: number
  readonly minutes: number
  readonly mostMin: number | null
}

export interface DayPlan {
  /** By start. */
  readonly tasks: readonly TimedTask[]
  readonly startMin: number
  /** When the last dish is plated. */
  readonly serveMin: number
  readonly spanMin: number
  readonly handsMin: number
  /** Longest first. */
  readonly waits: readonly Wait[]
  /** What stands where, to be set out before: vessels and stations by name, with the dishes that need them. */
  readonly stations: readonly { readonly id: string; readonly label: string; readonly tasks: number }[]
  /** What makes it as long as it is: with more of that it would be so much shorter. */
  readonly heldBy: readonly { readonly what: string; readonly shorterMin: number }[]
  readonly lowerBoundMin: number
  readonly isOptimal: boolean
  readonly isCut: boolean
  /** Steps that other means of this kitchen would do sooner, and by how much the day would be shorter. */
  readonly otherWays: readonly (Mode & { readonly shorterMin: number })[]
  /** Steps that share the oven at another temperature than their own, with the time that makes up for it. */
  readonly stretched: readonly Stretched[]
  /** Food that the plan puts into an oven which has no time to come to its temperature before. */
  readonly coldOvens: readonly ColdOven[]
}

export interface DayBench {
  readonly library: Library
  readonly kitchen: Kitchen
}

export interface DayOptions extends PlanOptions {
  /** Whether it is asked what would make the day shorter, too. */
  readonly asksWhy?: boolean
}

/** Partial plans that a day is worth: a few seconds for three dishes, some more for six. */
const DAY_EFFORT = 8000
const MINUTE_MS = 60_000
/** Away windows further back than this from serving are of no use, min. */
const FARTHEST = 5 * 1440
const LEAST_WAIT = 3

export const minuteOf = (iso: string): number => {
  const ms = Date.parse(iso)
  if (Number.isNaN(ms)) throw new PlanFault(`“${iso}” is no time.`, 'Write it as 2026-06-18T13:00:00+03:00.')
  return Math.round(ms / MINUTE_MS)
}

/** A fault in the words of the day: labels in the place of ids. */
function inWords(fault: PlanFault, tasks: readonly DayTask[]): PlanFault {
  const named = (text: string): string =>
    [...tasks]
      .sort((a, b) => b.id.length - a.id.length)
      .reduce((now, { id, label, dish }) => now.replaceAll(`“${id}”`, `“${label}” (${dish})`), text)
  return new PlanFault(named(fault.message), fault.hint, fault.collide)
}

/** The tasks as a problem in minutes from the anchor: forwards from a beginning, backwards from serving. */
function problemOf({ tasks, resources, isServe, anchorMin, away, windows }: Placing): PlanProblem {
  const closed = away.flatMap(({ from, to }) => {
    const [fromMin, toMin] = [minuteOf(from) - anchorMin, minuteOf(to) - anchorMin]
    // Away in the mirror: minutes before serving.
    const [first, last] = isServe ? [-toMin, -fromMin] : [fromMin, toMin]
    if (last <= 0 || first > FARTHEST) return []
    return [COOK, NEAR].map((resource) => ({ resource, fromMin: Math.max(0, first), toMin: last }))
  })
  return {
    resources: [...resources],
    away: closed,
    tasks: tasks.map(({ task, label, dish }) => {
      const open = windows.get(task.id)
      if (open === undefined) return task
      const [from, until] = isServe
        ? [
            open.until === null ? 0 : anchorMin - open.until - task.durationMin,
            anchorMin - open.from - task.durationMin,
          ]
        : [open.from - anchorMin, open.until === null ? null : open.until - anchorMin]
      if (until !== null && until < 0)
        throw new PlanFault(
          `“${label}” (${dish}) would ${isServe ? 'end after everything is served' : 'start before the day begins'}.`,
          isServe ? 'Serve later, or put it earlier.' : 'Begin earlier, or put it later.',
          [task.id],
        )
      return { ...task, window: { fromMin: Math.max(0, from), untilMin: until } }
    }),
  }
}

/**
 * Plans the day of one dish or of several: served together at a time, or begun at a time, as short as it can be.
 *
 * Served at a time, everything is as late as it can be, so that food waits little and the work begins late; long soaks and
 * rests fall into the night where their longest waits allow.
 *
 * @throws PlanFault where no plan exists, with what collides in words
 */
export function planDay(
  ask: DayAsk,
  { library, kitchen }: DayBench,
  { asksWhy = true, effort = DAY_EFFORT, ...more }: DayOptions = {},
): DayPlan {
  const options = { ...more, effort }
  const anchorMin = minuteOf(ask.anchor.at)
  const isServe = ask.anchor.kind === 'serve'
  const closed = ask.away.find(
    ({ from, to }) => isServe && minuteOf(from) < anchorMin && anchorMin - PLATE_MIN < minuteOf(to),
  )
  if (closed !== undefined)
    throw new PlanFault(
      'Nobody is there when it is to be served.',
      'Serve at another time, or say that somebody is there then.',
    )
  const resources = resourcesOf(kitchen, ask.cooks)
  const windows = new Map(
    (ask.held ?? []).map(({ id, startMin }) => [id, { from: startMin, until: startMin }]),
  )
  const placed = (dishes: readonly Dish[], wants: PlanOptions, reasons: boolean): DayPlan => {
    const tasks = tasksOfAll(dishes, { library, kitchen }, resources)
    const on = (clock: readonly DayTask[], asks: boolean, how: PlanOptions): DayPlan =>
      placeTasks(
        { tasks: clock, resources, isServe, anchorMin, away: ask.away, windows, kitchen, asksWhy: asks },
        how,
      )
    const heatedFor = (clock: readonly DayTask[], plan: DayPlan, hopeless: ReadonlySet<string>) => {
      const heated = withPreheating(clock, plan.tasks, resources, hopeless)
      if (heated.every((one, at) => one === clock[at])) return null
      const next = tried(() => on(heated, reasons, wants))
      return next === null ? null : { plan: next, clock: heated }
    }
    // One roast that is held too early for its oven: the others are heated for all the same.
    const withoutOne = (clock: readonly DayTask[], plan: DayPlan) => {
      for (const { taskId } of coldOvens(plan.tasks, resources)) {
        const found = heatedFor(clock, plan, new Set([taskId]))
        if (found !== null) return found
      }
      return null
    }
    // A plan that takes the oven for hot says where it is not.
    const hot = usesOven(tasks, resources)
      ? tried(() =>
          on(tasks, false, {
            ...wants,
            effort: (wants.effort ?? effort) * HOT_SHARE,
            // Its plans are not told: they have no heating in them.
            onBetter: () => undefined,
          }),
        )
      : null
    let plan = hot
    let clock: readonly DayTask[] = tasks
    // Heating moves what bakes, and what bakes elsewhere may find the oven cold there: another round mends it.
    for (let round = 0; plan !== null && round < HEAT_ROUNDS; round++) {
      if (coldOvens(plan.tasks, resources).length === 0) break
      const next = heatedFor(clock, plan, new Set()) ?? withoutOne(clock, plan)
      if (next === null) break
      plan = next.plan
      clock = next.clock
    }
    // Where nothing had to be heated, or there is no time for it, the plan stands as it is and says so.
    return clock === tasks || plan === null ? on(tasks, reasons, wants) : plan
  }
  const own = placed(ask.dishes, options, asksWhy)
  if (!asksWhy) return own
  const bench = { library, kitchen }
  const instead = (mode: Mode): Dish[] => ask.dishes.map((dish) => inOtherWays(dish, [mode], bench))
  const otherWays = modesOf(ask.dishes, bench).flatMap((mode) => {
    const plan = tried(() => placed(instead(mode), { ...options, effort: effort * CHOICE_SHARE }, false))
    const shorterMin = own.spanMin - (plan?.spanMin ?? own.spanMin)
    return shorterMin >= LEAST_GAIN ? [{ ...mode, shorterMin }] : []
  })
  // Roasts at temperatures apart wait for one another: at a common one they may not have to.
  let best: { plan: DayPlan; choice: OvenChoice } | null = null
  for (const choice of ovenChoices(ask.dishes, library, kitchen)) {
    const plan = tried(() => placed(choice.dishes, { ...options, effort: effort * CHOICE_SHARE }, false))
    const least = best?.plan.spanMin ?? own.spanMin - LEAST_GAIN
    if (plan !== null && plan.spanMin <= least) best = { plan, choice }
  }
  if (best === null) return { ...own, otherWays }
  const { choice } = best
  const shared = tried(() => placed(choice.dishes, options, true)) ?? best.plan
  return {
    ...(shared.spanMin <= best.plan.spanMin ? shared : best.plan),
    otherWays,
    stretched: choice.stretched,
  }
}

/** Of the effort of a day, for the plan that takes the oven for hot. */
const HOT_SHARE = 0.2
const HEAT_ROUNDS = 3
const usesOven = (tasks: readonly DayTask[], resources: readonly PlanResource[]): boolean =>
  resources.some(
    ({ id, sharedTemperature }) => sharedTemperature && tasks.some(({ task }) => (task.uses[id] ?? 0) > 0),
  )

/** Another oven temperature is worth it for so many minutes of the day. Practice. */
const LEAST_GAIN = 5
/** Of the effort of a day, for each common temperature that is tried. */
const CHOICE_SHARE = 0.15

/** A plan, or null where there is none. */
function tried(plan: () => DayPlan): DayPlan | null {
  try {
    return plan()
  } catch (error) {
    if (error instanceof PlanFault) return null
    throw error
  }
}

/** The tasks of all dishes; the same dish twice is two pots. */
function tasksOfAll(
  dishes: readonly Dish[],
  { library, kitchen }: DayBench,
  resources: readonly PlanResource[],
): DayTask[] {
  const twice = new Map<string, number>()
  return dishes.flatMap((dish) => {
    const before = twice.get(dish.id) ?? 0
    twice.set(dish.id, before + 1)
    const own = before === 0 ? dish : { ...dish, id: `${dish.id}-${before + 1}` }
    return tasksOf(own, assess(dish, library, kitchen).parts, resources)
  })
}

/**
 * Places tasks on the clock.
 * @throws PlanFault where no plan exists, with what collides in words
 */
export function placeTasks(placing: Placing, options: PlanOptions): DayPlan {
  const { tasks, isServe, anchorMin, kitchen } = placing
  const problem = problemOf(placing)
  const { planned, starts } = (() => {
    try {
      return timed(problem, isServe, options)
    } catch (error) {
      throw error instanceof PlanFault ? inWords(error, tasks) : error
    }
  })()
  const labels = new Map(kitchen.equipment.map(({ id, label }) => [id, label]))
  const label = (id: string): string => labels.get(id) ?? id
  const placed = tasks.map((task, at): TimedTask => {
    const startMin = anchorMin + (starts[at] ?? 0)
    return { ...task, stationLabel: label(task.station), startMin, endMin: startMin + task.task.durationMin }
  })
  const byId = new Map(placed.map((task) => [task.id, task]))
  const waits = placed.flatMap((task) =>
    task.kind === 'check'
      ? []
      : task.task.after.flatMap(({ id, maxLagMin }): Wait[] => {
          const before = byId.get(id)
          if (before === undefined || before.kind === 'check' || isHeating(before)) return []
          const minutes = task.startMin - before.endMin
          return minutes >= LEAST_WAIT
            ? [{ label: before.label, fromMin: before.endMin, minutes, mostMin: maxLagMin }]
            : []
        }),
  )
  const sorted = [...placed].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin)
  const startMin = sorted[0]?.startMin ?? anchorMin
  const serveMin = Math.max(...placed.map(({ endMin }) => endMin))
  return {
    tasks: sorted,
    startMin,
    serveMin,
    spanMin: serveMin - startMin,
    handsMin: placed.reduce((sum, { task }) => sum + ((task.uses[COOK] ?? 0) > 0 ? task.durationMin : 0), 0),
    waits: waits.sort((a, b) => b.minutes - a.minutes),
    stations: [...new Set(placed.flatMap(({ task }) => Object.keys(task.uses)))]
      .filter((id) => id !== COOK && id !== NEAR)
      .map((id) => ({
        id,
        label: label(id),
        tasks: placed.filter(({ task }) => (task.uses[id] ?? 0) > 0).length,
      })),
    heldBy: placing.asksWhy ? heldBy(problem, isServe, planned.makespanMin, label) : [],
    lowerBoundMin: planned.lowerBoundMin,
    isOptimal: planned.isOptimal,
    isCut: planned.isCut,
    otherWays: [],
    stretched: [],
    coldOvens: coldOvens(sorted, placing.resources),
  }
}
