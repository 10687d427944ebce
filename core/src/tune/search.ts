import type { LinearRow, SolveLinear } from '../solver'
import type { Output, Problem } from './problemTypes'

/** What a search is after: each part's weight in what is made small. */
export interface Wish {
  /** Weight of the distance to the goal. */
  readonly distance: number
  /** Weight of the changes, each counted in its knob's scale. */
  readonly change: number
  /** Weight of the cost, in costs of the present portion. */
  readonly cost: number
  /** The distance may come to so much; null = no matter. */
  readonly distanceMost: number | null
  /** How much each knob's change counts; 1 where it is not said. */
  readonly changeWeights: Float64Array | null
  /** Knobs that may move; null = all. */
  readonly free: ReadonlySet<number> | null
  /** Bounds of outputs that differ from the problem's own, by place. */
  readonly bounds: ReadonlyMap<number, { readonly low: number; readonly high: number }>
  /** The one output that gives way before all others; -1 = none. */
  readonly yields: number
  /** How much sterner than usual breaches are counted. */
  readonly stern: number
}

export const CLOSEST: Wish = {
  distance: 1,
  change: 0.004,
  cost: 0,
  distanceMost: null,
  changeWeights: null,
  free: null,
  bounds: new Map(),
  yields: -1,
  stern: 1,
}

/** Where a search has come to. */
export interface Found {
  readonly x: Float64Array
  readonly y: Float64Array
  readonly distance: number
  /** Most that a limit, a window or the batch is broken by, in its own scale. */
  readonly breach: number
  /** What was made small. */
  readonly merit: number
  /** For each output that must hold: what the merit would gain for a unit more of its bound; 0 where it does not bind. */
  readonly pull: Float64Array
}

/** What a breach of one scale costs: more than any distance that it could buy. */
const PENALTY = 60
/** What it costs where that output is the one that gives way. */
const YIELDING = 2
const penaltyOf = (at: number, { yields, stern }: Wish): number =>
  at === yields ? YIELDING : PENALTY * stern
/** Radius of a step, in scales of the knobs: at first, at most, and where a search ends. */
const FIRST_RADIUS = 0.3
const MOST_RADIUS = 1.2
const LEAST_RADIUS = 4e-3
const MOST_ROUNDS = 30
/** Forward differences, in scales of the knobs. */
const DIFFERENCE = 2e-4
const GOOD = 0.7
const POOR = 0.2
const LEAST_GAIN = 5e-5

const isHeld = ({ kind }: Output): boolean => kind !== 'attribute' && kind !== 'cost'

/** Distance to the goal: sum of w max(0, beyond the band) over sum of w. @source as `distanceTo`; practice */
export function distanceOf(outputs: readonly Output[], y: Float64Array): number {
  let sum = 0
  let weights = 0
  outputs.forEach(({ kind, low, high, weight }, at) => {
    if (kind !== 'attribute') return
    const value = y[at] ?? 0
    sum += weight * Math.max(0, low - value, value - high)
    weights += weight
  })
  return weights === 0 ? 0 : sum / weights
}

/** Bounds of an output under a wish. */
const boundsOf = (output: Output, at: number, wish: Wish) => wish.bounds.get(at) ?? output

/** Breaches of what must hold, each in its own scale. */
function breaches(outputs: readonly Output[], y: Float64Array, wish: Wish): { cost: number; most: number } {
  let cost = 0
  let most = 0
  outputs.forEach((output, at) => {
    if (!isHeld(output)) return
    const { low, high } = boundsOf(output, at, wish)
    const value = y[at] ?? 0
    const over = Math.max(0, low - value, value - high) / output.scale
    cost += penaltyOf(at, wish) * over
    most = Math.max(most, over)
  })
  return { cost, most }
}

function changeOf({ knobs, start }: Problem, x: Float64Array, weights: Float64Array | null): number {
  let sum = 0
  knobs.forEach(({ scale }, at) => {
    sum += ((weights?.[at] ?? 1) * Math.abs((x[at] ?? 0) - (start[at] ?? 0))) / scale
  })
  return sum
}

const costAt = (outputs: readonly Output[]): number => outputs.findIndex(({ kind }) => kind === 'cost')

function meritOf(problem: Problem, x: Float64Array, y: Float64Array, wish: Wish): number {
  const { outputs } = problem
  const distance = distanceOf(outputs, y)
  const cost = costAt(outputs)
  return (
    wish.distance * distance +
    wish.change * changeOf(problem, x, wish.changeWeights) +
    (wish.cost * (y[cost] ?? 0)) / (outputs[cost]?.scale ?? 1) +
    breaches(outputs, y, wish).cost +
    (wish.distanceMost === null ? 0 : PENALTY * Math.max(0, distance - wish.distanceMost))
  )
}

/** How the outputs follow from each knob at a mix: one look a knob, away from the nearer bound. */
export function slopes(problem: Problem, x: Float64Array, y: Float64Array, wish: Wish): Float64Array[] {
  const { knobs, look } = problem
  return knobs.map(({ scale, low, high }, at) => {
    if (wish.free !== null && !wish.free.has(at)) return new Float64Array(y.length)
    const value = x[at] ?? 0
    const h = DIFFERENCE * scale * (value + DIFFERENCE * scale > high && value > low ? -1 : 1)
    const moved = x.slice()
    moved[at] = value + h
    return look(moved).map((then, index) => (then - (y[index] ?? 0)) / h)
  })
}

/** Columns of the linear step: the moves, the sizes of the changes, what attributes lack, what limits are broken by. */
interface Layout {
  readonly cost: number[]
  readonly lower: number[]
  readonly upper: number[]
  readonly rows: LinearRow[]
  /** First row of each output that must hold, and -1 elsewhere. */
  readonly rowOf: number[]
}

const INF = Number.POSITIVE_INFINITY

/**
 * The linear model of a problem at a mix: hinges of attributes and breaches of limits are columns of their own, so that
 * what is made small is linear.
 * @param radius how far each knob may move, in its scale
 */
export function linearModel(
  problem: Problem,
  x: Float64Array,
  y: Float64Array,
  by: readonly Float64Array[],
  wish: Wish,
  radius: number,
): Layout {
  const { knobs, outputs, start } = problem
  const n = knobs.length
  const layout: Layout = { cost: [], lower: [], upper: [], rows: [], rowOf: outputs.map(() => -1) }
  const column = (cost: number, lower: number, upper: number): number => {
    layout.lower.push(lower)
    layout.upper.push(upper)
    return layout.cost.push(cost) - 1
  }
  const costPlace = costAt(outputs)
  knobs.forEach(({ low, high, scale }, at) => {
    const value = x[at] ?? 0
    const isFree = wish.free === null || wish.free.has(at)
    const price = wish.cost * ((by[at]?.[costPlace] ?? 0) / (outputs[costPlace]?.scale ?? 1))
    column(
      price,
      isFree ? Math.min(0, Math.max(low - value, -radius * scale)) : 0,
      isFree ? Math.max(0, Math.min(high - value, radius * scale)) : 0,
    )
  })
  knobs.forEach(({ scale }, at) => {
    const size = column(wish.change * (wish.changeWeights?.[at] ?? 1), 0, INF)
    const off = ((x[at] ?? 0) - (start[at] ?? 0)) / scale
    layout.rows.push({
      lower: off,
      upper: INF,
      terms: [
        [size, 1],
        [at, -1 / scale],
      ],
    })
    layout.rows.push({
      lower: -off,
      upper: INF,
      terms: [
        [size, 1],
        [at, 1 / scale],
      ],
    })
  })
  let weights = 0
  for (const { kind, weight } of outputs) if (kind === 'attribute') weights += weight
  const lacks: [number, number][] = []
  outputs.forEach((output, at) => {
    if (output.kind === 'cost') return
    const { low, high } = boundsOf(output, at, wish)
    const value = y[at] ?? 0
    const moves = Array.from({ length: n }, (_, knob) => [knob, by[knob]?.[at] ?? 0] as const)
    const isAttribute = output.kind === 'attribute'
    const per = isAttribute ? 1 : output.scale
    const slack = column(
      isAttribute ? (wish.distance * output.weight) / weights : penaltyOf(at, wish),
      0,
      INF,
    )
    if (isAttribute) lacks.push([slack, output.weight / weights])
    else layout.rowOf[at] = layout.rows.length
    if (high < INF) layout.rows.push({ lower: -INF, upper: high - value, terms: [...moves, [slack, -per]] })
    if (low > -INF) layout.rows.push({ lower: low - value, upper: INF, terms: [...moves, [slack, per]] })
  })
  if (wish.distanceMost !== null) {
    const over = column(PENALTY, 0, INF)
    layout.rows.push({ lower: -INF, upper: wish.distanceMost, terms: [...lacks, [over, -1]] })
  }
  return layout
}

/** What the linear step says of the outputs that must hold: gain of the merit for one unit more. */
function pulls({ outputs }: Problem, layout: Layout, duals: Float64Array | null, wish: Wish): Float64Array {
  const pull = new Float64Array(outputs.length)
  if (duals === null) return pull
  outputs.forEach((output, at) => {
    const first = layout.rowOf[at] ?? -1
    if (first < 0) return
    const { low, high } = boundsOf(output, at, wish)
    const rows = (high < INF ? 1 : 0) + (low > -INF ? 1 : 0)
    for (let row = first; row < first + rows; row += 1)
      pull[at] = Math.max(pull[at] ?? 0, Math.abs(duals[row] ?? 0))
  })
  return pull
}

/** When a search is to end before it is done. */
export type ShouldStop = () => boolean

/**
 * Finds amounts near a mix that make a wish small.
 *
 * Successive linear programming in a trust region, with an exact penalty for what must hold: each round the problem is
 * replaced by its linear model, which HiGHS solves; the region grows where the model foretold the gain and shrinks where
 * it did not.
 *
 * @source Fletcher & Sainz de la Maza 1989, Nonlinear programming and nonsmooth optimization by successive linear
 * programming; Nocedal & Wright 2006, Numerical Optimization, ch. 18
 * @returns the best mix that was seen
 */
export function search(
  problem: Problem,
  from: Float64Array,
  wish: Wish,
  solve: SolveLinear,
  shouldStop: ShouldStop = () => false,
): Found {
  let x: Float64Array = from.slice()
  let y = problem.look(x)
  let merit = meritOf(problem, x, y, wish)
  let radius = FIRST_RADIUS
  let by: Float64Array[] | null = null
  let pull: Float64Array = new Float64Array(y.length)
  for (let round = 0; round < MOST_ROUNDS && radius > LEAST_RADIUS && !shouldStop(); round += 1) {
    by ??= slopes(problem, x, y, wish)
    const layout = linearModel(problem, x, y, by, wish, radius)
    const solved = solve(layout)
    if (solved === null) break
    pull = pulls(problem, layout, solved.rowDual, wish)
    const move = solved.x
    const next = x.map((value, at) => clamp(value + (move[at] ?? 0), problem.knobs[at]))
    const seen = problem.look(next)
    const then = meritOf(problem, next, seen, wish)
    const foretold = merit - solved.objective - constantOf(problem, y, wish)
    if (foretold < LEAST_GAIN) break
    const share = (merit - then) / foretold
    if (merit - then > 0) {
      x = next
      y = seen
      merit = then
      by = null
    }
    if (share > GOOD) radius = Math.min(MOST_RADIUS, 2 * radius)
    else if (share < POOR) radius *= share > 0 ? 0.5 : 0.3
  }
  return {
    x,
    y,
    merit,
    distance: distanceOf(problem.outputs, y),
    breach: breaches(problem.outputs, y, wish).most,
    pull,
  }
}

/** What the linear model leaves out of the merit: the cost as it is. */
function constantOf({ outputs }: Problem, y: Float64Array, wish: Wish): number {
  const cost = costAt(outputs)
  return (wish.cost * (y[cost] ?? 0)) / (outputs[cost]?.scale ?? 1)
}

const clamp = (value: number, bounds: { low: number; high: number } | undefined): number =>
  bounds === undefined ? value : Math.min(bounds.high, Math.max(bounds.low, value))
