import { anovaTable } from './anova'
import { dunnettAbove, tAbove } from '../statistics'

export interface FromControl {
  readonly sampleMeans: readonly number[]
  readonly F: number | null
  readonly p: number | null
  readonly dfError: number
  readonly mse: number | null
  readonly seDifference: number | null
  /** Of each sample but the blind control, from its mean. */
  readonly differences: readonly number[]
  readonly t: readonly (number | null)[]
  readonly pUnadjusted: readonly (number | null)[]
  readonly pDunnett: readonly (number | null)[]
  readonly status: 'ok' | 'zero-error' | 'zero-variance' | 'one-panellist'
}

/**
 * Difference from control: each sample against the blind control under a code, never against 0.
 * @param scores 0 to 10 by panellist and sample; column 0 is the blind control; every cell filled
 * @source Aust et al. 1985, J. Food Sci. 50:511; Dunnett 1955
 */
export function differenceFromControl(scores: readonly (readonly number[])[]): FromControl {
  const { sampleMeans, sample, error, seDifference, status } = anovaTable(
    scores.map((row) => row.map((score) => [score])),
  )
  const [control = 0, ...others] = sampleMeans
  const differences = others.map((mean) => mean - control)
  const t = differences.map((one) => (seDifference === null ? null : one / seDifference))
  return {
    sampleMeans,
    F: sample.F,
    p: sample.p,
    dfError: error.df,
    mse: error.ms,
    seDifference,
    differences,
    t,
    pUnadjusted: t.map((one) => (one === null ? null : tAbove(one, error.df))),
    pDunnett: t.map((one) => (one === null ? null : dunnettAbove(one, others.length, error.df))),
    status,
  }
}
