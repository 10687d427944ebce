import { meanOf, type Scores, sdOf, squaresOf } from './anova'
import { fAbove } from '../statistics'

/** How one panellist scored beside the others. */
export interface Performance {
  readonly panellist: number
  /** Scatter of the same sample again, scale units; null without replicates. */
  readonly repeatabilitySD: number | null
  /** Whether samples are told apart: one-way F over samples; null without replicates or without scatter. */
  readonly F: number | null
  readonly p: number | null
  /** Correlation with the mean of the others; null where either says the same of every sample. */
  readonly agreementR: number | null
  readonly bias: number
  readonly spreadSD: number | null
}

function correlation(a: readonly number[], b: readonly number[]): number | null {
  const meanA = meanOf(a)
  const meanB = meanOf(b)
  const scale = Math.sqrt(squaresOf(a) * squaresOf(b))
  if (a.length < 2 || scale < 1e-12) return null
  return a.reduce((sum, value, at) => sum + (value - meanA) * ((b[at] ?? meanB) - meanB), 0) / scale
}

/** Each panellist's repeatability, discrimination, agreement, bias and spread. @source ISO 11132 */
export function performanceOf(scores: Scores): Performance[] {
  const k = scores[0]?.length ?? 0
  const r = scores[0]?.[0]?.length ?? 0
  const means = scores.map((row) => row.map((cell) => meanOf(cell)))
  const panelMean = meanOf(means.flat())
  return scores.map((row, panellist) => {
    const own = means[panellist] ?? []
    const others = means.filter((_, at) => at !== panellist)
    const rest = own.map((_, sample) => meanOf(others.map((one) => one[sample] ?? 0)))
    const within = row.reduce((sum, cell) => sum + squaresOf(cell), 0)
    const dfWithin = k * (r - 1)
    const between = r * squaresOf(own)
    const f = dfWithin > 0 && within > 1e-12 && k > 1 ? between / (k - 1) / (within / dfWithin) : null
    return {
      panellist,
      repeatabilitySD: dfWithin > 0 ? Math.sqrt(within / dfWithin) : null,
      F: f,
      p: f === null ? null : fAbove(f, k - 1, dfWithin),
      agreementR: others.length === 0 ? null : correlation(own, rest),
      bias: meanOf(own) - panelMean,
      spreadSD: sdOf(own),
    }
  })
}
