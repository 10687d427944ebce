import type { SolveLinear } from '../solver'
import type { Output, Problem } from './problemTypes'
import { CLOSEST, type Found, search, type ShouldStop, type Wish } from './search'

/** A bound that cannot be kept together with others. */
export interface Collision {
  readonly id: string
  readonly label: string
  readonly unit: string
  /** The bound that was asked for, and the nearest that can be had with all others kept. */
  readonly asked: number
  readonly possible: number
}

export interface Collisions {
  /** Bounds that cannot all hold. */
  readonly collide: readonly Collision[]
  /** The fewest of them that, loosened, let the others hold. */
  readonly loosen: readonly Collision[]
  /** The mix that breaks them least. */
  readonly nearest: Float64Array
}

/** A breach of less than this share of its scale is arithmetic. */
export const LEAST_BREACH = 1e-5
/** What is made small where nothing keeps every bound: the breaches alone. */
export const KEPT: Wish = { ...CLOSEST, distance: 0, change: 1e-4 }

const isBound = ({ kind }: Output): boolean => kind === 'limit' || kind === 'window' || kind === 'batch'

/** Bounds without those of some outputs. */
const without = (wish: Wish, places: readonly number[]): Wish => ({
  ...wish,
  bounds: new Map([
    ...wish.bounds,
    ...places.map((at) => [at, { low: Number.NEGATIVE_INFINITY, high: Number.POSITIVE_INFINITY }] as const),
  ]),
})

/** The bound of an output that a value breaks. */
const askedOf = ({ low, high }: Output, value: number): number => (value > high ? high : low)

const collisionAt = (output: Output, value: number): Collision => ({
  id: output.id,
  label: output.label,
  unit: output.unit,
  asked: askedOf(output, value),
  possible: value,
})

/**
 * Why nothing keeps every bound: which bounds, by how much, and the smallest set that frees the others.
 * @param near where the search for the least breach begins: the least broken mix that was seen
 */
export function collisions(
  problem: Problem,
  near: Found,
  solve: SolveLinear,
  shouldStop: ShouldStop,
): Collisions {
  const { outputs } = problem
  const least = search(problem, near.x, KEPT, solve, shouldStop)
  // Limits that a person set come before windows and the batch.
  const order = { limit: 0, window: 1, batch: 2, attribute: 3, cost: 4 }
  const suspects = outputs
    .flatMap((output, at) => {
      if (!isBound(output)) return []
      const value = least.y[at] ?? 0
      const over = Math.max(0, output.low - value, value - output.high) / output.scale
      return over > LEAST_BREACH || (least.pull[at] ?? 0) > 1e-6 ? [{ at, over }] : []
    })
    .sort(
      (a, b) =>
        order[outputs[a.at]?.kind ?? 'cost'] - order[outputs[b.at]?.kind ?? 'cost'] || b.over - a.over,
    )
    .map(({ at }) => at)
  /** The nearest that the outputs can be had with all others kept; null where the others collide among themselves. */
  const freed = (places: readonly number[]): Collision[] | null => {
    const start = search(problem, least.x, without(KEPT, places), solve, shouldStop)
    if (start.breach > LEAST_BREACH) return null
    return places.flatMap((at): Collision[] => {
      const output = outputs[at]
      if (output === undefined) return []
      const others = places.filter((other) => other !== at)
      const value =
        search(problem, least.x, { ...without(KEPT, others), yields: at }, solve, shouldStop).y[at] ?? 0
      return [collisionAt(output, value)]
    })
  }
  let loosen: readonly Collision[] = []
  for (const at of suspects) {
    const one = freed([at])
    if (one === null) continue
    loosen = one
    break
  }
  if (loosen.length === 0) {
    pairs: for (let first = 0; first < suspects.length; first += 1)
      for (let second = first + 1; second < suspects.length; second += 1) {
        const both = freed([suspects[first] ?? 0, suspects[second] ?? 0])
        if (both === null) continue
        loosen = both
        break pairs
      }
  }
  const collide = suspects.flatMap((at): Collision[] => {
    const output = outputs[at]
    const value = least.y[at] ?? 0
    if (output === undefined || output.kind === 'batch') return []
    return [collisionAt(output, value)]
  })
  return { collide, loosen, nearest: least.x }
}
