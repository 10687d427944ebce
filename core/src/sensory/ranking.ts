import { chi2Above, normalAt, normalBelow } from '../statistics'

/** Ranks from 1 within a row, ties as the middle of their places. */
export function midRanks(values: readonly number[]): number[] {
  const order = values.map((value, at) => ({ value, at })).sort((a, b) => a.value - b.value)
  const ranks = values.map(() => 0)
  for (let from = 0; from < order.length;) {
    let to = from
    while (to + 1 < order.length && order[to + 1]?.value === order[from]?.value) to += 1
    for (let at = from; at <= to; at += 1) {
      const one = order[at]
      if (one !== undefined) ranks[one.at] = (from + to) / 2 + 1
    }
    from = to + 1
  }
  return ranks
}

export interface Friedman {
  readonly ranks: readonly (readonly number[])[]
  readonly rankSums: readonly number[]
  readonly chi2Uncorrected: number
  readonly tieCorrection: number
  readonly chi2: number | null
  readonly df: number
  readonly p: number | null
  readonly kendallW: number | null
  /** Least difference of two rank sums, two-sided; only after a test that shows something. */
  readonly lsdRankSum: number
  /** By all orders within each panellist; null where there are too many to go through. */
  readonly pExact: number | null
  /** For an order that was expected before: the samples in that order. */
  readonly page: { readonly L: number; readonly z: number; readonly p: number } | null
  readonly status: 'ok' | 'all-tied' | 'one-panellist'
}

/** All different orders of some ranks. */
function ordersOf(ranks: readonly number[]): { readonly order: readonly number[]; readonly share: number }[] {
  const found = new Map<string, { order: number[]; share: number }>()
  let whole = 0
  const go = (left: readonly number[], order: readonly number[]): void => {
    if (left.length === 0) {
      whole += 1
      const key = order.join()
      const known = found.get(key)
      if (known === undefined) found.set(key, { order: [...order], share: 1 })
      else known.share += 1
      return
    }
    left.forEach((rank, at) => go(left.toSpliced(at, 1), [...order, rank]))
  }
  go(ranks, [])
  return [...found.values()].map(({ order, share }) => ({ order, share: share / whole }))
}

/** More panellists than this are near enough to the chi-squared distribution. @source ISO 8587: exact below about ten */
const MOST_EXACT = 12
/** More different states than this are not gone through. */
const MOST_STATES = 60_000

/**
 * P(the rank sums lie as far apart) over all orders within each panellist, one panellist added after another. Samples
 * are alike under that chance, so that sums are kept in rising order: one state stands for all its orders.
 */
function exactP(ranks: readonly (readonly number[])[], observed: number): number | null {
  const k = ranks[0]?.length ?? 0
  if (k > 6 || ranks.length > MOST_EXACT) return null
  const mean = (ranks.length * (k + 1)) / 2
  let states = new Map<string, { sums: readonly number[]; share: number }>([
    ['', { sums: ranks[0]?.map(() => 0) ?? [], share: 1 }],
  ])
  for (const row of ranks) {
    const orders = ordersOf(row)
    const next = new Map<string, { sums: number[]; share: number }>()
    if (states.size * orders.length > 60 * MOST_STATES) return null
    for (const { sums, share } of states.values())
      for (const { order, share: of } of orders) {
        const to = sums.map((sum, at) => sum + (order[at] ?? 0)).sort((a, b) => a - b)
        const key = to.join()
        const known = next.get(key)
        if (known === undefined) next.set(key, { sums: to, share: share * of })
        else known.share += share * of
      }
    if (next.size > MOST_STATES) return null
    states = next
  }
  let p = 0
  for (const { sums, share } of states.values())
    if (sums.reduce((of, sum) => of + (sum - mean) ** 2, 0) >= observed - 1e-9) p += share
  return Math.min(1, p)
}

/**
 * Friedman's test on ranks within each panellist, with ties, and Page's for an expected order.
 * @param values by panellist and sample; only their order within a row counts
 * @source ISO 8587; Friedman 1937; Page 1963
 */
export function friedman(values: readonly (readonly number[])[], alpha = 0.05): Friedman {
  const n = values.length
  const k = values[0]?.length ?? 0
  const ranks = values.map((row) => midRanks(row))
  const rankSums = Array.from({ length: k }, (_, at) => ranks.reduce((sum, row) => sum + (row[at] ?? 0), 0))
  const squares = rankSums.reduce((sum, one) => sum + one * one, 0)
  const chi2Uncorrected = (12 / (n * k * (k + 1))) * squares - 3 * n * (k + 1)
  let ties = 0
  for (const row of ranks) {
    const counts = new Map<number, number>()
    for (const rank of row) counts.set(rank, (counts.get(rank) ?? 0) + 1)
    for (const count of counts.values()) ties += count ** 3 - count
  }
  const tieCorrection = 1 - ties / (n * k * (k * k - 1))
  const lsdRankSum = normalAt(1 - alpha / 2) * Math.sqrt((n * k * (k + 1)) / 6)
  const status = n < 2 ? 'one-panellist' : tieCorrection < 1e-12 ? 'all-tied' : 'ok'
  const shape = { ranks, rankSums, chi2Uncorrected, tieCorrection, df: k - 1, lsdRankSum, status } as const
  if (status !== 'ok') return { ...shape, chi2: null, p: null, kendallW: null, pExact: null, page: null }
  const chi2 = chi2Uncorrected / tieCorrection
  const mean = (n * (k + 1)) / 2
  const L = rankSums.reduce((sum, one, at) => sum + (at + 1) * one, 0)
  const z = (12 * L - 3 * n * k * (k + 1) ** 2) / (k * (k + 1) * Math.sqrt(n * (k - 1)))
  return {
    ...shape,
    chi2,
    p: chi2Above(chi2, k - 1),
    kendallW: chi2 / (n * (k - 1)),
    pExact: exactP(
      ranks,
      rankSums.reduce((sum, one) => sum + (one - mean) ** 2, 0),
    ),
    page: { L, z, p: normalBelow(-z) },
  }
}
