import type { DayPlan } from '@frijol/core/day'
import type { TimedTask } from '@frijol/core/model'

/** Where things are drawn, in units of the picture. */
export const WIDTH = 860
const LEFT = 118
const RIGHT = 24
const TOP = 46
const LANE = 52
const BAR = 20
/** A walk from one station to the next, as it is drawn. */
const WALK = 10
/** The least width of a bar or a stretch that carries its words. */
const LEAST_WORDS = 64
const LETTER = 6.3

export interface Lane {
  readonly label: string
  readonly y: number
}
export interface Bar {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly width: number
  readonly words: string
  readonly full: string
  /** Which of the day's dishes it is of, from 0. */
  readonly dish: number
  readonly startMin: number
}
export interface Word {
  readonly id: string
  readonly x: number
  readonly y: number
  readonly words: string
}
export interface DayLayout {
  readonly lanes: readonly Lane[]
  /** Where the cook stands, from left to right. */
  readonly path: string
  readonly bars: readonly Bar[]
  readonly words: readonly Word[]
  readonly checks: readonly {
    readonly id: string
    readonly x: number
    readonly y: number
    readonly label: string
  }[]
  readonly ticks: readonly { readonly x: number; readonly minute: number }[]
  readonly height: number
  readonly serveX: number
  /** Minutes that a unit of the picture stands for. */
  readonly minutesPerUnit: number
}

const COUNTER = 'counter'
const stationOf = ({ station }: TimedTask): string => station
const needsHands = ({ kind }: TimedTask): boolean => kind !== 'by-itself'

/** The minute from which the day itself is drawn: what was begun the evening before stands beside it. */
export function dayBegins({ tasks, startMin, serveMin }: DayPlan): number {
  const hands = tasks.filter(needsHands)
  let begins = startMin
  let last = startMin
  // A night is the longest time without hands of four hours or more.
  for (const { startMin: from, endMin: to } of hands) {
    if (from - last >= 240 && from < serveMin) begins = from
    last = Math.max(last, to)
  }
  return begins
}

/** As many words as fit, cut with a sign. */
function fitted(text: string, width: number): string {
  const most = Math.floor(width / LETTER)
  if (most < 4) return ''
  return text.length <= most ? text : `${text.slice(0, most - 1).trimEnd()}…`
}

/** Lanes, the way of the cook between them, and what goes by itself under them. @param begins see `dayBegins` */
export function layoutOf(plan: DayPlan, begins: number): DayLayout {
  const shown = plan.tasks.filter(({ endMin }) => endMin > begins)
  const span = Math.max(30, plan.serveMin - begins)
  const xOf = (minute: number): number =>
    LEFT + ((Math.max(begins, minute) - begins) / span) * (WIDTH - LEFT - RIGHT)
  const dishes = [...new Set(plan.tasks.map(({ dishId }) => dishId))].sort()
  const order = [COUNTER, ...new Set(shown.map(stationOf).filter((id) => id !== COUNTER))]
  const label = (id: string): string => {
    const found = shown.find((task) => task.station === id)
    return id === COUNTER ? 'Counter' : (found?.stationLabel ?? id)
  }
  const lanes: Lane[] = []
  const bars: Bar[] = []
  const laneY = new Map<string, number>()
  let y = TOP
  for (const id of order) {
    laneY.set(id, y)
    const text = label(id)
    lanes.push({ label: fitted(`${text.charAt(0).toUpperCase()}${text.slice(1)}`, LEFT - 8), y })
    const rows: number[] = []
    for (const task of shown.filter((one) => one.station === id && one.kind === 'by-itself')) {
      const free = rows.findIndex((end) => end <= task.startMin)
      const row = free < 0 ? rows.length : free
      rows[row] = task.endMin
      const x = xOf(task.startMin)
      const width = Math.max(6, xOf(task.endMin) - x)
      bars.push({
        id: task.id,
        x,
        y: y + 14 + row * (BAR + 4),
        width,
        words: width < LEAST_WORDS ? '' : fitted(task.label, width - 14),
        full: `${task.label} (${task.dish})`,
        dish: dishes.indexOf(task.dishId),
        startMin: task.startMin,
      })
    }
    y += LANE + rows.length * (BAR + 4)
  }
  const hands = shown.filter(needsHands)
  const words: Word[] = []
  const taken = new Map<string, number>()
  let path = ''
  let stands = { x: LEFT, y: TOP }
  /** Stays where the last thing was done, and walks just before the next begins. */
  const wayTo = (x: number, to: number): string => {
    const leaves = Math.max(stands.x - WALK / 2, x - WALK)
    const middle = (leaves + x + WALK / 2) / 2
    const [a, b, c] = [leaves, middle, x + WALK / 2].map((one) => one.toFixed(1))
    return ` L${a} ${stands.y} C${b} ${stands.y} ${b} ${to} ${c} ${to}`
  }
  for (const task of hands) {
    const at = laneY.get(stationOf(task)) ?? TOP
    const [from, to] = [xOf(task.startMin), xOf(task.endMin)]
    path += path === '' ? `M${from.toFixed(1)} ${at}` : wayTo(from, at)
    stands = { x: Math.max(from, to), y: at }
    if (task.kind === 'check') continue
    const free = taken.get(task.station) ?? 0
    const room = task.label.length * LETTER
    if (from < free || from + room > WIDTH) continue
    taken.set(task.station, from + room + 10)
    words.push({ id: task.id, x: from, y: at - 13, words: task.label })
  }
  path += ` L${stands.x.toFixed(1)} ${stands.y}`
  const step = span > 480 ? 120 : span > 180 ? 60 : span > 80 ? 30 : 15
  const ticks: { x: number; minute: number }[] = []
  for (let minute = Math.ceil(begins / step) * step; minute <= plan.serveMin; minute += step)
    ticks.push({ x: xOf(minute), minute })
  return {
    lanes,
    path,
    bars,
    words,
    checks: hands
      .filter(({ kind }) => kind === 'check')
      .map((task) => ({
        id: task.id,
        x: xOf(task.startMin),
        y: laneY.get(task.station) ?? TOP,
        label: task.label,
      })),
    ticks,
    height: y + 8,
    serveX: xOf(plan.serveMin),
    minutesPerUnit: span / (WIDTH - LEFT - RIGHT),
  }
}
