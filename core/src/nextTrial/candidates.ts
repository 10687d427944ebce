import { randomFrom } from '../chance'
import type { Problem } from '../tune'

/** A mix that could be tried next: knobs in whole steps, and what the engine says of it. */
export interface Candidate {
  readonly x: Float64Array
  readonly y: Float64Array
  /** Knobs that were moved, by place. */
  readonly moved: readonly number[]
}

/** Moves of one knob, in its usual change. Practice. */
const STEPS = [-0.6, -0.4, -0.25, -0.12, 0.12, 0.25, 0.4, 0.6, 1] as const
/** Mixes of two and three moves, by chance. */
const RANDOM = 260
/** A breach of what must hold of more than this share is no candidate. */
const LEAST_BREACH = 1e-3
/** Climbs from the best candidates, and steps of each. */
const CLIMBS = 4
const CLIMB_ROUNDS = 5
const CLIMB_MOVES = [-0.3, -0.1, 0.1, 0.3] as const

const within = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value))

/** How far a bound is broken, in the scale of its output. */
const breach = ({ low, high, scale }: Problem['outputs'][number], value: number): number =>
  Math.max(0, low - value, value - high) / scale

/** Whether a mix breaks what must hold, further than the present one does. */
function breaks({ outputs }: Problem, y: Float64Array, here: Float64Array): boolean {
  return outputs.some((output, at) => {
    if (output.kind !== 'limit' && output.kind !== 'window' && output.kind !== 'batch') return false
    return breach(output, y[at] ?? 0) > breach(output, here[at] ?? 0) + LEAST_BREACH
  })
}

/** A mix in whole steps of its knobs. */
function stepped({ knobs }: Problem, x: Float64Array): Float64Array {
  return x.map((value, at) => {
    const knob = knobs[at]
    if (knob === undefined) return value
    const steps = Math.round((value - knob.now) / knob.step)
    return within(knob.now + steps * knob.step, knob.low, knob.high)
  })
}

function candidateOf(problem: Problem, x: Float64Array, here: Float64Array): Candidate | null {
  const rounded = stepped(problem, x)
  const moved = problem.knobs.flatMap(({ now, step }, at) =>
    Math.abs((rounded[at] ?? now) - now) > 0.25 * step ? [at] : [],
  )
  if (moved.length === 0) return null
  const y = problem.look(rounded)
  return breaks(problem, y, here) ? null : { x: rounded, y, moved }
}

/**
 * Mixes around the present one: one knob moved, two or three moved by chance, and climbs from the best of those.
 * @param merit what is made small
 * @param known mixes that a search has found already
 */
export function candidates(
  problem: Problem,
  merit: (y: Float64Array) => number,
  seed: number,
  known: readonly Float64Array[] = [],
): Candidate[] {
  const random = randomFrom(seed)
  const { knobs, start } = problem
  const found = new Map<string, Candidate>()
  const here = problem.look(start)
  const add = (x: Float64Array): Candidate | null => {
    const made = candidateOf(problem, x, here)
    if (made !== null) found.set(made.x.join(' '), made)
    return made
  }
  const shifted = (from: Float64Array, at: number, by: number): Float64Array => {
    const knob = knobs[at]
    const x = from.slice()
    if (knob !== undefined) x[at] = within((from[at] ?? 0) + by * knob.scale, knob.low, knob.high)
    return x
  }
  for (const x of known) add(x)
  knobs.forEach((_, at) => {
    for (const by of STEPS) add(shifted(start, at, by))
  })
  for (let count = 0; count < RANDOM; count += 1) {
    let x = start
    const moves = 2 + Math.floor(random() * 2)
    for (let move = 0; move < moves; move += 1)
      x = shifted(x, Math.floor(random() * knobs.length), (random() < 0.5 ? -1 : 1) * (0.1 + 0.6 * random()))
    add(x)
  }
  const best = [...found.values()].sort((a, b) => merit(a.y) - merit(b.y)).slice(0, CLIMBS)
  for (const from of best) {
    let now = from
    let value = merit(now.y)
    for (let round = 0; round < CLIMB_ROUNDS; round += 1) {
      const near = knobs.flatMap((_, at) => CLIMB_MOVES.flatMap((by) => add(shifted(now.x, at, by)) ?? []))
      const [next] = near.sort((a, b) => merit(a.y) - merit(b.y))
      if (next === undefined || merit(next.y) > value - 1e-4) break
      value = merit(next.y)
      now = next
    }
  }
  return [...found.values()]
}
