import { meanOf, sdOf, squaresOf } from './anova'
import { binomialAbove, binomialBelow, tAt, tTwoSided } from '../statistics'

export interface MeanWithin {
  readonly mean: number
  readonly sd: number | null
  readonly ciLow: number | null
  readonly ciHigh: number | null
}

/** A mean and its t interval; nulls for one value alone. */
export function meanWithin(values: readonly number[], confidence = 0.95): MeanWithin {
  const mean = meanOf(values)
  const sd = sdOf(values)
  if (sd === null) return { mean, sd, ciLow: null, ciHigh: null }
  const half = (tAt((1 + confidence) / 2, values.length - 1) * sd) / Math.sqrt(values.length)
  return { mean, sd, ciLow: mean - half, ciHigh: mean + half }
}

export interface Paired {
  readonly n: number
  readonly test: MeanWithin
  readonly reference: MeanWithin
  readonly meanDifference: number
  readonly differenceSD: number | null
  readonly t: number | null
  readonly p: number | null
  readonly ciLow: number | null
  readonly ciHigh: number | null
  /** Ties dropped, and told. */
  readonly signTest: {
    readonly plus: number
    readonly minus: number
    readonly ties: number
    readonly p: number | null
  }
  readonly status: 'ok' | 'n-too-small' | 'zero-variance'
}

/**
 * The same people's scores of two samples, one beside the other.
 * @param test and `reference` by panellist, in the same order
 * @source paired t; two-sided sign test
 */
export function pairedLiking(
  test: readonly number[],
  reference: readonly number[],
  confidence = 0.95,
): Paired {
  const differences = test.map((score, at) => score - (reference[at] ?? score))
  const n = differences.length
  const { mean: meanDifference, sd, ciLow, ciHigh } = meanWithin(differences, confidence)
  const plus = differences.filter((one) => one > 0).length
  const minus = differences.filter((one) => one < 0).length
  const told = plus + minus
  const signP =
    told === 0
      ? null
      : Math.min(1, 2 * Math.min(binomialAbove(plus, told, 0.5), binomialBelow(plus, told, 0.5)))
  const status = n < 2 ? 'n-too-small' : squaresOf(differences) < 1e-12 ? 'zero-variance' : 'ok'
  const t = status === 'ok' && sd !== null ? meanDifference / (sd / Math.sqrt(n)) : null
  return {
    n,
    test: meanWithin(test, confidence),
    reference: meanWithin(reference, confidence),
    meanDifference,
    differenceSD: status === 'zero-variance' ? 0 : sd,
    t,
    p: t === null ? null : tTwoSided(t, n - 1),
    ciLow: status === 'ok' ? ciLow : null,
    ciHigh: status === 'ok' ? ciHigh : null,
    signTest: { plus, minus, ties: n - told, p: signP },
    status,
  }
}
