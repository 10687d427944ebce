import { randomFrom } from '../chance'

/**
 * Serving orders in which each sample stands equally often in each position and each ordered pair of neighbours
 * equally often: one square for an even number of samples, two for an odd one.
 * @returns rows of sample indices from 0; t rows for an even `t`, 2 t for an odd one; one row for one sample
 * @source Williams 1949, Aust. J. Sci. Res. A 2:149; MacFie et al. 1989, J. Sensory Studies 4:129
 */
export function williams(t: number): number[][] {
  if (t < 1) return []
  if (t === 1) return [[0]]
  const first = Array.from({ length: t }, (_, at) =>
    at === 0 ? 0 : at % 2 === 1 ? (at + 1) / 2 : t - at / 2,
  )
  const square = Array.from({ length: t }, (_, by) => first.map((one) => (one + by) % t))
  return t % 2 === 0 ? square : [...square, ...square.map((row) => row.toReversed())]
}

export interface OrderCheck {
  /** By sample and position. */
  readonly positionCounts: number[][]
  /** By sample and the one that follows it at once. */
  readonly pairCounts: number[][]
  readonly eachSampleOncePerRow: boolean
  readonly positionBalanced: boolean
  readonly carryOverBalanced: boolean
  readonly pairCountMin: number
  readonly pairCountMax: number
}

/** Counts how far serving orders are balanced. */
export function checkOrders(t: number, rows: readonly (readonly number[])[]): OrderCheck {
  const table = (): number[][] => Array.from({ length: t }, () => Array.from({ length: t }, () => 0))
  const positionCounts = table()
  const pairCounts = table()
  const count = (of: number[][], a: number, b: number): void => {
    const row = of[a]
    if (row !== undefined) row[b] = (row[b] ?? 0) + 1
  }
  for (const row of rows)
    row.forEach((sample, at) => {
      count(positionCounts, sample, at)
      const next = row[at + 1]
      if (next !== undefined) count(pairCounts, sample, next)
    })
  const pairs = pairCounts.flatMap((row, a) => row.filter((_, b) => a !== b))
  const places = positionCounts.flat()
  const pairCountMin = pairs.length === 0 ? 0 : Math.min(...pairs)
  const pairCountMax = pairs.length === 0 ? 0 : Math.max(...pairs)
  return {
    positionCounts,
    pairCounts,
    eachSampleOncePerRow: rows.every((row) => row.length === t && new Set(row).size === t),
    positionBalanced: Math.min(...places) === Math.max(...places),
    carryOverBalanced: pairCountMin === pairCountMax,
    pairCountMin,
    pairCountMax,
  }
}

/** A list in an order that follows from the chance. */
export function shuffled<T>(list: readonly T[], chance: () => number): T[] {
  const found = [...list]
  for (let at = found.length - 1; at > 0; at -= 1) {
    const to = Math.floor(chance() * (at + 1))
    const [one, other] = [found[at], found[to]]
    if (one !== undefined && other !== undefined) {
      found[at] = other
      found[to] = one
    }
  }
  return found
}

/** `count` rows from a set, each row as often as any other; what is left over is drawn. */
export function spread<T>(rows: readonly T[], count: number, chance: () => number): T[] {
  const found: T[] = []
  while (found.length + rows.length <= count) found.push(...shuffled(rows, chance))
  return [...found, ...shuffled(rows, chance).slice(0, count - found.length)]
}

export const LEAST_CODE = 100
export const MOST_CODE = 999
/** Numbers that people read something into. Practice. */
const isTelling = (code: number): boolean => {
  const [a, b, c] = String(code)
  return (a === b && b === c) || (b === '0' && c === '0') || TELLING.has(code)
}
const TELLING = new Set([101, 112, 123, 234, 345, 456, 567, 678, 789, 987, 321, 911, 999, 420, 613, 711])

/**
 * Blinding codes: three digits, all different, none with a meaning.
 * @param count at most 800
 * @param seed the same seed gives the same codes
 * @throws RangeError for more than there are
 */
export function blindingCodes(count: number, seed: number): number[] {
  const all = Array.from({ length: MOST_CODE - LEAST_CODE + 1 }, (_, at) => LEAST_CODE + at).filter(
    (code) => !isTelling(code),
  )
  if (count > all.length)
    throw new RangeError(`There are ${all.length} codes, and ${count} glasses would need one each.`)
  return shuffled(all, randomFrom(seed)).slice(0, count)
}
