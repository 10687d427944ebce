import { meanOf, squaresOf } from './anova'
import { tTwoSided } from '../statistics'

export interface Side {
  readonly n: number
  readonly share: number
  readonly meanLiking: number | null
  /** Mean liking at just about right less that of this side; null where either is empty. */
  readonly penalty: number | null
  /** Liking points that the whole group could gain at best: penalty times share. */
  readonly opportunity: number | null
  readonly overThreshold: boolean
  readonly welchT: number | null
  readonly welchDf: number | null
  readonly welchP: number | null
}
export interface Penalty {
  readonly n: number
  readonly meanLiking: number | null
  readonly jar: { readonly n: number; readonly share: number; readonly meanLiking: number | null }
  readonly tooLittle: Side
  readonly tooMuch: Side
  readonly offJar: Side
  readonly status: 'ok' | 'empty-jar' | 'all-jar' | 'no-answers'
}

const meanOrNull = (values: readonly number[]): number | null => (values.length === 0 ? null : meanOf(values))

function welch(
  a: readonly number[],
  b: readonly number[],
): { readonly welchT: number | null; readonly welchDf: number | null; readonly welchP: number | null } {
  const none = { welchT: null, welchDf: null, welchP: null }
  if (a.length < 2 || b.length < 2) return none
  const va = squaresOf(a) / (a.length - 1) / a.length
  const vb = squaresOf(b) / (b.length - 1) / b.length
  if (va + vb < 1e-15) return none
  const welchT = (meanOf(a) - meanOf(b)) / Math.sqrt(va + vb)
  const welchDf = (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1))
  return { welchT, welchDf, welchP: tTwoSided(welchT, welchDf) }
}

/** Share of tasters from which a side asks for attention. @source ASTM MNL63 */
export const ATTENTION = 0.2

/**
 * Penalty analysis of a five-point just-about-right scale beside liking.
 * @param jar 1 and 2 too little, 3 just about right, 4 and 5 too much, by panellist
 * @param liking of the same panellists
 * @param threshold share from which a side asks for attention; exactly at it counts
 * @source ASTM MNL63; Lawless & Heymann 2010
 */
export function penaltyOf(jar: readonly number[], liking: readonly number[], threshold = ATTENTION): Penalty {
  const n = jar.length
  const likingWhere = (is: (score: number) => boolean): number[] =>
    liking.filter((_, at) => is(jar[at] ?? Number.NaN))
  const right = likingWhere((score) => score === 3)
  const side = (values: readonly number[]): Side => {
    const meanLiking = meanOrNull(values)
    const share = n === 0 ? 0 : values.length / n
    const penalty = meanLiking === null || right.length === 0 ? null : meanOf(right) - meanLiking
    return {
      n: values.length,
      share,
      meanLiking,
      penalty,
      opportunity: penalty === null ? null : penalty * share,
      overThreshold: n > 0 && values.length > 0 && values.length >= threshold * n - 1e-9,
      ...welch(right, values),
    }
  }
  return {
    n,
    meanLiking: meanOrNull(liking),
    jar: { n: right.length, share: n === 0 ? 0 : right.length / n, meanLiking: meanOrNull(right) },
    tooLittle: side(likingWhere((score) => score < 3)),
    tooMuch: side(likingWhere((score) => score > 3)),
    offJar: side(likingWhere((score) => score !== 3)),
    status: n === 0 ? 'no-answers' : right.length === 0 ? 'empty-jar' : right.length === n ? 'all-jar' : 'ok',
  }
}
