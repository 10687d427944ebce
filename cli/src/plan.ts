import { daySheet, dayToIcal, type DayPlan, planDay } from '@frijol/core/day'
import type { Dish, Kitchen } from '@frijol/core/model'
import { plan, PlanFault, PlanProblem } from '@frijol/core/schedule'
import { library } from '@frijol/library'
import { InputFault, type Options } from './options'

const MINUTE_MS = 60_000
const iso = (minute: number): string => new Date(minute * MINUTE_MS).toISOString()

/** What stands in the way of a plan, as the input's fault, with the tasks that collide. */
function asInputFault(error: unknown): unknown {
  if (!(error instanceof PlanFault)) return error
  const { message, hint, collide } = error
  return new InputFault(message, collide[0] ?? 'input', hint, { collide, collides: collide })
}

/** The input as a plan problem; null where it is something else. */
export function asPlanProblem(text: string): PlanProblem | null {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return null
  }
  if (typeof json !== 'object' || json === null || !('tasks' in json)) return null
  const parsed = PlanProblem.safeParse(json)
  if (parsed.success) return parsed.data
  const [issue] = parsed.error.issues
  throw new InputFault(
    `That is no plan problem: ${issue?.message ?? 'it cannot be read'}.`,
    issue?.path.join('.') ?? 'input',
    'See docs/guide/cli.md: resources, tasks with durationMin, uses and after, and away.',
  )
}

/** What `frijol plan` prints of a plan problem. */
export function plannedProblem(problem: PlanProblem, { seed }: Options) {
  try {
    const { makespanMin, lowerBoundMin, isOptimal, tasks } = plan(problem, { seed: seed ?? 1 })
    return { makespanMin, lowerBoundMin, optimal: isOptimal, tasks, broken: [] }
  } catch (error) {
    throw asInputFault(error)
  }
}

/** Times away in the local zone: nights around the anchor, when nobody is there. */
function nights(at: number, [from, to]: readonly [number, number]): { from: string; to: string }[] {
  const found: { from: string; to: string }[] = []
  for (let day = -4; day <= 1; day += 1) {
    const evening = new Date(at)
    evening.setDate(evening.getDate() + day)
    evening.setHours(from, 0, 0, 0)
    const morning = new Date(evening)
    if (to <= from) morning.setDate(morning.getDate() + 1)
    morning.setHours(to, 0, 0, 0)
    found.push({ from: evening.toISOString(), to: morning.toISOString() })
  }
  return found
}

/** "22-7": from 22:00 to 7:00, every night. */
function readNight(text: string): [number, number] {
  const found = /^(\d{1,2})-(\d{1,2})$/.exec(text)
  const [from, to] = [Number(found?.[1]), Number(found?.[2])]
  if (found === null || from > 23 || to > 23)
    throw new InputFault(
      `--night is “${text}”.`,
      '--night',
      'Write --night 22-7, in whole hours of the clock.',
    )
  return [from, to]
}

const pad = (value: number): string => String(value).padStart(2, '0')
const clock = (minute: number): string => {
  const at = new Date(minute * MINUTE_MS)
  return `${pad(at.getHours())}:${pad(at.getMinutes())}`
}
const day = (minute: number): string => {
  const at = new Date(minute * MINUTE_MS)
  return `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`
}

const printed = ({ tasks, ...rest }: DayPlan) => ({
  start: iso(rest.startMin),
  serve: iso(rest.serveMin),
  makespanMin: rest.spanMin,
  lowerBoundMin: rest.lowerBoundMin,
  optimal: rest.isOptimal,
  handsMin: rest.handsMin,
  tasks: tasks.map((task) => ({
    id: task.id,
    kind: task.kind,
    label: task.label,
    dish: task.dish,
    part: task.part,
    stepId: task.stepId,
    station: task.stationLabel,
    attendance: task.attendance,
    tempC: task.tempC,
    uses: task.task.uses,
    startMin: task.startMin - rest.startMin,
    endMin: task.endMin - rest.startMin,
    start: iso(task.startMin),
    end: iso(task.endMin),
  })),
  broken: [],
  reminders: tasks
    .filter(({ kind }) => kind === 'check')
    .map(({ startMin, label }) => ({ at: iso(startMin), text: label })),
  waits: rest.waits.map(({ fromMin, ...wait }) => ({ ...wait, from: iso(fromMin) })),
  stations: rest.stations,
  heldBy: rest.heldBy,
  otherWays: rest.otherWays,
  coldOvens: rest.coldOvens.map(({ startMin, ...cold }) => ({ ...cold, start: iso(startMin) })),
})

/** What `frijol plan` prints of dishes: the day on the clock; its sheet with --as md, a calendar with --as ics. */
export function plannedDay(dishes: readonly Dish[], kitchen: Kitchen, options: Options): unknown {
  const { serve, start, cooks, night, as, seed } = options
  if (serve !== null && start !== null)
    throw new InputFault('Both --serve and --start are given.', '--start', 'Give one of them.')
  const at = serve ?? start ?? new Date().toISOString()
  if (Number.isNaN(Date.parse(at)))
    throw new InputFault(
      `“${at}” is no time.`,
      serve === null ? '--start' : '--serve',
      'Write 2026-06-18T13:00.',
    )
  if (as !== null && as !== 'md' && as !== 'ics')
    throw new InputFault(`--as is “${as}”.`, '--as', 'Use md or ics.')
  const away = night === null ? [] : nights(Date.parse(at), readNight(night))
  let planned: DayPlan
  try {
    planned = planDay(
      {
        dishes,
        anchor: { kind: serve === null ? 'start' : 'serve', at },
        cooks: cooks ?? 1,
        away,
      },
      { library, kitchen },
      { seed: seed ?? 1 },
    )
  } catch (error) {
    throw asInputFault(error)
  }
  if (as === 'md') return daySheet(planned, { clock, day })
  if (as === 'ics') return dayToIcal(planned, new Date().toISOString())
  return printed(planned)
}
