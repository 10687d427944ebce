/** A blend of components as proportions that sum to 1. */
export type Point = readonly number[]

const DUST = 1e-9
const near = (a: number, b: number): boolean => Math.abs(a - b) <= DUST
const isSame = (a: Point, b: Point): boolean => a.every((value, at) => near(value, b[at] ?? Number.NaN))

/** Ascending by the first component, then the second; duplicates out. */
function sorted(points: readonly Point[]): number[][] {
  const order = [...points].sort((a, b) => {
    for (let at = 0; at < a.length; at += 1) {
      const [x, y] = [a[at] ?? 0, b[at] ?? 0]
      if (!near(x, y)) return x - y
    }
    return 0
  })
  return order
    .filter((point, at) => at === 0 || !isSame(point, order[at - 1] ?? []))
    .map((point) => [...point])
}

/** All blends whose proportions are multiples of 1/m. @source Scheffe 1958, J. R. Stat. Soc. B 20:344 */
export function simplexLattice(q: number, m: number): number[][] {
  const found: number[][] = []
  const go = (left: number, parts: readonly number[]): void => {
    if (parts.length === q - 1) {
      found.push([...parts, left].map((part) => part / m))
      return
    }
    for (let part = 0; part <= left; part += 1) go(left - part, [...parts, part])
  }
  go(m, [])
  return sorted(found)
}

/** Centroids of all non-empty subsets of the components: 2^q - 1 blends. @source Scheffe 1963, same 25:235 */
export function simplexCentroid(q: number): number[][] {
  return sorted(
    Array.from({ length: 2 ** q - 1 }, (_, mask) => {
      const inside = Array.from({ length: q }, (_one, at) => ((mask + 1) >> at) % 2 === 1)
      const count = inside.filter(Boolean).length
      return inside.map((isIn) => (isIn ? 1 / count : 0))
    }),
  )
}

/** Proportions above their lower bounds, as shares of what is free. */
export function toPseudo(x: Point, lower: Point): number[] {
  const free = 1 - lower.reduce((sum, one) => sum + one, 0)
  return x.map((value, at) => (value - (lower[at] ?? 0)) / free)
}
export function fromPseudo(z: Point, lower: Point): number[] {
  const free = 1 - lower.reduce((sum, one) => sum + one, 0)
  return z.map((value, at) => (lower[at] ?? 0) + value * free)
}

/** The region that bounds leave of all blends. */
export interface Region {
  readonly feasible: boolean
  /** Every stated bound can be reached: one that cannot is usually a mistake. */
  readonly consistent: boolean
  readonly impliedLower: readonly number[]
  readonly impliedUpper: readonly number[]
  readonly vertices: readonly (readonly number[])[]
  readonly centroid: readonly number[] | null
}

const sum = (values: readonly number[]): number => values.reduce((of, one) => of + one, 0)

/** Corners of a bounded region. @source McLean & Anderson 1966, Technometrics 8:447; Piepel 1983, same 25:97 */
export function regionOf(lower: Point, upper: Point): Region {
  const q = lower.length
  const [sumLower, sumUpper] = [sum(lower), sum(upper)]
  const isFeasible =
    sumLower <= 1 + DUST && sumUpper >= 1 - DUST && lower.every((low, at) => low <= (upper[at] ?? 0) + DUST)
  const impliedLower = lower.map((low, at) => Math.max(low, 1 - (sumUpper - (upper[at] ?? 0))))
  const impliedUpper = upper.map((high, at) => Math.min(high, 1 - (sumLower - (lower[at] ?? 0))))
  const shape = {
    consistent:
      isFeasible &&
      lower.every((low, at) => near(low, impliedLower[at] ?? 0)) &&
      upper.every((high, at) => near(high, impliedUpper[at] ?? 0)),
    impliedLower,
    impliedUpper,
  }
  if (!isFeasible) return { feasible: false, ...shape, vertices: [], centroid: null }
  const found: number[][] = []
  for (let free = 0; free < q; free += 1)
    for (let mask = 0; mask < 2 ** (q - 1); mask += 1) {
      let bit = 0
      const point = lower.map((low, at) => {
        if (at === free) return 0
        const isHigh = (mask >> bit) % 2 === 1
        bit += 1
        return isHigh ? (upper[at] ?? 0) : low
      })
      const rest = 1 - sum(point)
      if (rest < (lower[free] ?? 0) - DUST || rest > (upper[free] ?? 0) + DUST) continue
      point[free] = rest
      found.push(point)
    }
  const vertices = sorted(found)
  const centroid = lower.map((_, at) => sum(vertices.map((vertex) => vertex[at] ?? 0)) / vertices.length)
  return { feasible: true, ...shape, vertices, centroid }
}
