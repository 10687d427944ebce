import type { SolveLinear } from '../solver'
import { isMoved } from './apply'
import type { Problem } from './problemTypes'
import { CLOSEST, linearModel, slopes, type Wish } from './search'

/** How many steps either way a rounded amount may lie from where the search ended. */
const REACH = 2
/** A change that is smaller than this share of its knob's scale is not worth a line on the sheet. Practice. */
const WORTH_SAYING = 0.015
const ROUNDS = 5
/** Bounds are drawn in by this share of what rounding broke. */
const DRAW_IN = 1.5
const LEAST_BREACH = 1e-9

/** Most that what must hold is broken by, for each output, in its own unit. */
function broken({ outputs }: Problem, y: Float64Array, wish: Wish): { at: number; over: number }[] {
  return outputs.flatMap((output, at) => {
    if (output.kind === 'attribute' || output.kind === 'cost') return []
    const { low, high } = wish.bounds.get(at) ?? output
    const value = y[at] ?? 0
    const over = value > high ? value - high : value < low ? value - low : 0
    return Math.abs(over) <= LEAST_BREACH * output.scale ? [] : [{ at, over }]
  })
}

/**
 * Amounts as they can be weighed, spooned and set: whole steps of every knob that moved, chosen together so that what
 * must hold does hold.
 *
 * A mixed-integer programme on the problem's linear model at the mix; where the engine then says that a bound is broken,
 * the bound is drawn in and it is asked again.
 *
 * @returns null where no steps near the mix keep every bound
 */
export function inSteps(
  problem: Problem,
  x: Float64Array,
  wish: Wish,
  solve: SolveLinear,
): Float64Array | null {
  const { knobs } = problem
  const base = x.map((value, at) => {
    const knob = knobs[at]
    if (knob === undefined) return value
    const isSmall = Math.abs(value - knob.now) < WORTH_SAYING * knob.scale && knob.now > 0
    return isSmall || !isMoved(knob, value) ? knob.now : value
  })
  const moving = knobs.flatMap((knob, at) => (isMoved(knob, base[at] ?? 0) ? [at] : []))
  const y = problem.look(base)
  if (moving.length === 0) return broken(problem, y, wish).length === 0 ? base : null
  const by = slopes(problem, base, y, { ...wish, free: new Set(moving) })
  const bounds = new Map(wish.bounds)
  for (let round = 0; round < ROUNDS; round += 1) {
    const found = roundedOnce(problem, base, y, by, { ...wish, bounds, free: new Set(moving) }, moving, solve)
    if (found === null) return null
    const over = broken(problem, problem.look(found), wish)
    if (over.length === 0) return found
    for (const { at, over: excess } of over) {
      const output = problem.outputs[at]
      if (output === undefined) continue
      const { low, high } = bounds.get(at) ?? output
      bounds.set(
        at,
        excess > 0 ? { low, high: high - DRAW_IN * excess } : { low: low - DRAW_IN * excess, high },
      )
    }
  }
  return null
}

function roundedOnce(
  problem: Problem,
  base: Float64Array,
  y: Float64Array,
  by: readonly Float64Array[],
  wish: Wish,
  moving: readonly number[],
  solve: SolveLinear,
): Float64Array | null {
  const { knobs } = problem
  const layout = linearModel(problem, base, y, by, wish, 10)
  const integer: number[] = []
  for (const at of moving) {
    const knob = knobs[at]
    if (knob === undefined) continue
    const value = base[at] ?? 0
    const middle = Math.round(value / knob.step)
    const least = Math.ceil(knob.low / knob.step - 1e-9)
    const most = Math.floor(knob.high / knob.step + 1e-9)
    const whole = layout.cost.push(0) - 1
    layout.lower.push(Math.min(most, Math.max(least, middle - REACH)))
    layout.upper.push(Math.max(least, Math.min(most, middle + REACH)))
    integer.push(whole)
    layout.lower[at] = -1e6
    layout.upper[at] = 1e6
    // The move and the count of steps say the same amount.
    layout.rows.push({
      lower: -value,
      upper: -value,
      terms: [
        [at, 1],
        [whole, -knob.step],
      ],
    })
  }
  const solved = solve({ ...layout, integer })
  if (solved === null) return null
  return base.map((value, at) => {
    const knob = knobs[at]
    if (knob === undefined || !moving.includes(at)) return value
    return Number((Math.round((value + (solved.x[at] ?? 0)) / knob.step) * knob.step).toFixed(6))
  })
}

/** What rounding makes small: the distance, and hardly the changes. */
export const ROUNDING: Wish = { ...CLOSEST, change: 0.0005 }
