import type { SolveLinear } from '../solver'
import { isMoved } from './apply'
import type { Problem } from './problemTypes'
import { randomFrom } from '../chance'
import { inSteps } from './rounding'
import {
  CLOSEST,
  distanceOf,
  type Found,
  linearModel,
  search,
  type ShouldStop,
  slopes,
  type Wish,
} from './search'

export type AnswerKind = 'closest' | 'fewest' | 'cheapest'

/** Amounts in whole steps, and what they come to. */
export interface Steps {
  readonly kind: AnswerKind
  readonly x: Float64Array
  readonly distance: number
  readonly changes: number
}

/** Nearer than this, nothing is gained by going on. */
const MATCH = 5e-4
/** A beginning that brings less than this share more is barren; after so many in a row the best is taken. */
const WORTHWHILE = 2e-3
const MOST_BARREN = 3
/** It is given up early only where most of the way was come: a mix that is stuck is begun from everywhere. */
const MOST_OF_THE_WAY = 0.6
/** Amounts that spare changes may lie this much further off. Practice: a tenth of what cooks tell apart. */
const SPARED = 0.02
const SPARING_ROUNDS = 3
/** Of what can be gained, the answer with the fewest changes has at least this share. Practice. */
const MOST_OF_IT = 0.7
const MOST_FEW = 4
/** The cheapest answer may give up so much of the gain, and saves at least so much. Practice. */
const GIVEN_UP = 0.3
const LEAST_SAVED = 0.02

const changesOf = ({ knobs }: Problem, x: ArrayLike<number>): number =>
  knobs.reduce((count, knob, at) => count + (isMoved(knob, x[at] ?? knob.now) ? 1 : 0), 0)

const better = (a: Found, b: Found | null): boolean => b === null || a.merit < b.merit - 1e-9

/** Mixes to begin from beside the present one, spread over what the knobs may come to. */
export function starts({ knobs, start }: Problem, count: number, seed: number): Float64Array[] {
  const random = randomFrom(seed)
  return Array.from({ length: count }, (_, at) => {
    if (at === 0) return start.slice()
    // Wider and wider around the present mix.
    const spread = 0.25 + (0.75 * at) / count
    return start.map((value, index) => {
      const knob = knobs[index]
      if (knob === undefined) return value
      const to = random() < 0.5 ? knob.low : knob.high
      return value + spread * random() * (to - value)
    })
  })
}

/**
 * The closest mix from several beginnings.
 * @param onBetter told of each one that is closer than those before it
 */
export function closestFrom(
  problem: Problem,
  count: number,
  seed: number,
  solve: SolveLinear,
  shouldStop: ShouldStop,
  onBetter: (found: Found) => void,
): Found {
  let best: Found | null = null
  let barren = 0
  const first = distanceOf(problem.outputs, problem.look(problem.start))
  for (const from of starts(problem, Math.max(1, count), seed)) {
    if (best !== null && shouldStop()) break
    const found = search(problem, from, CLOSEST, solve, shouldStop)
    const gain = best === null ? Number.POSITIVE_INFINITY : best.merit - found.merit
    barren = gain < WORTHWHILE * (best?.merit ?? 0) ? barren + 1 : 0
    if (better(found, best)) {
      best = found
      onBetter(found)
    }
    if (barren >= MOST_BARREN && best !== null && best.distance < MOST_OF_THE_WAY * first) break
    if (best !== null && best.breach < 1e-6 && best.distance < MATCH) break
  }
  if (best === null) throw new Error('closestFrom: nothing was looked at')
  return best
}

/**
 * The same closeness with fewer and smaller changes.
 * @source reweighted l1 norm, Candes, Wakin & Boyd 2008
 */
export function spared(
  problem: Problem,
  found: Found,
  allowed: number,
  solve: SolveLinear,
  shouldStop: ShouldStop,
  wish: Wish = CLOSEST,
): Found {
  let now = found
  for (let round = 0; round < SPARING_ROUNDS && !shouldStop(); round += 1) {
    const changeWeights = Float64Array.from(problem.knobs, ({ scale, now: was }, at) => {
      const moved = Math.abs((now.x[at] ?? was) - was) / scale
      return 0.1 / (moved + 0.05)
    })
    const next = search(
      problem,
      now.x,
      { ...wish, distance: 0, change: 0.2, distanceMost: allowed, changeWeights },
      solve,
      shouldStop,
    )
    if (next.breach > Math.max(1e-6, found.breach) || next.distance > allowed + 1e-3) break
    now = next
  }
  return now
}

/** The answer in steps; null where none near it holds. */
export function stepped(
  problem: Problem,
  kind: AnswerKind,
  found: Found,
  wish: Wish,
  solve: SolveLinear,
): Steps | null {
  const x = inSteps(problem, found.x, wish, solve)
  if (x === null) return null
  return { kind, x, distance: distanceOf(problem.outputs, problem.look(x)), changes: changesOf(problem, x) }
}

/** Closest, with no change that buys nothing. */
export const sparing = (problem: Problem, best: Found, solve: SolveLinear, shouldStop: ShouldStop): Found =>
  spared(problem, best, best.distance + SPARED, solve, shouldStop)

/** Which knobs a linear model would move, where it may move so few. */
function fewKnobs(problem: Problem, at: Found, most: number, solve: SolveLinear): Set<number> | null {
  const { knobs } = problem
  const by = slopes(problem, at.x, at.y, CLOSEST)
  const layout = linearModel(problem, at.x, at.y, by, CLOSEST, 20)
  const flags = knobs.map(({ low, high, now }, knob) => {
    const flag = layout.cost.push(0) - 1
    layout.lower.push(0)
    layout.upper.push(1)
    const value = at.x[knob] ?? 0
    // Where the flag is down, the knob goes back to where it was.
    layout.rows.push({
      lower: Number.NEGATIVE_INFINITY,
      upper: now - value,
      terms: [
        [knob, 1],
        [flag, -(high - now)],
      ],
    })
    layout.rows.push({
      lower: now - value,
      upper: Number.POSITIVE_INFINITY,
      terms: [
        [knob, 1],
        [flag, now - low],
      ],
    })
    return flag
  })
  layout.rows.push({
    lower: 0,
    upper: most,
    terms: flags.map((flag) => [flag, 1] as const),
  })
  const solved = solve({ ...layout, integer: flags })
  if (solved === null) return null
  return new Set(flags.flatMap((flag, knob) => ((solved.x[flag] ?? 0) > 0.5 ? [knob] : [])))
}

/** Most of the gain with the fewest lines touched; null where that is no fewer than the closest needs. */
export function fewest(
  problem: Problem,
  best: Found,
  closestChanges: number,
  solve: SolveLinear,
  shouldStop: ShouldStop,
): Steps | null {
  const first = search(problem, problem.start, { ...CLOSEST, free: new Set() }, solve)
  const wanted = first.distance - MOST_OF_IT * (first.distance - best.distance)
  let nearest: Found | null = null
  for (let most = 1; most <= Math.min(MOST_FEW, closestChanges - 1) && !shouldStop(); most += 1) {
    for (const at of [first, best]) {
      const free = fewKnobs(problem, at, most, solve)
      if (free === null || free.size === 0) continue
      const found = search(problem, problem.start, { ...CLOSEST, free }, solve, shouldStop)
      if (found.breach > 1e-6) continue
      if (nearest === null || found.distance < nearest.distance) nearest = found
    }
    if (nearest === null || nearest.distance > wanted + 0.01) continue
    const steps = stepped(problem, 'fewest', nearest, CLOSEST, solve)
    if (steps !== null && steps.changes < closestChanges) return steps
  }
  return null
}

/** Nearly as close for less money; null where no price is known or nothing is saved. */
export function cheapest(
  problem: Problem,
  best: Found,
  solve: SolveLinear,
  shouldStop: ShouldStop,
): Steps | null {
  const { outputs } = problem
  const cost = outputs.findIndex(({ kind }) => kind === 'cost')
  const before = problem.before.perPortion.cost
  if (before === null || before <= 0) return null
  const first = distanceOf(outputs, problem.look(problem.start))
  const allowed = Math.max(
    best.distance + 0.05,
    best.distance + GIVEN_UP * Math.max(0, first - best.distance),
  )
  const wish: Wish = { ...CLOSEST, distance: 0, change: 0.03, cost: 1, distanceMost: allowed }
  const found = search(problem, best.x, wish, solve, shouldStop)
  if (found.breach > 1e-6) return null
  const steps = stepped(
    problem,
    'cheapest',
    found,
    { ...CLOSEST, distance: 0.2, change: 0.01, cost: 1 },
    solve,
  )
  if (steps === null) return null
  const saved = 1 - (problem.look(steps.x)[cost] ?? before) / Math.min(before, best.y[cost] ?? before)
  return saved >= LEAST_SAVED ? steps : null
}
