import type { Ask, Tasting, TastingSample } from '../../model'
import { adjustedAnova, anovaTable, meanOf } from '../anova'
import { scoresOf } from '../answers'
import { orderedSamples } from '../design'
import { dunnettAbove, rangeAt, tAt } from '../../statistics'
import { meanWithin } from '../liking'

/** One taster's score of one sample, the mean of the rounds. */
export interface Dot {
  readonly tasterId: string
  readonly value: number
}
export interface SampleScore {
  readonly sampleId: string
  readonly label: string
  /** As if everybody had tasted everything; null where nobody did. */
  readonly mean: number | null
  readonly ciLow: number | null
  readonly ciHigh: number | null
  readonly dots: readonly Dot[]
}
/**
 * How a sample stands beside the control. `more` and `less` are shown, `small` is shown and below what matters, `as` is
 * shown to lie within it, `perhaps` is as large as matters and not shown, `open` is all else.
 */
export interface AgainstControl {
  readonly sampleId: string
  readonly difference: number
  readonly se: number | null
  readonly low: number | null
  readonly high: number | null
  readonly p: number | null
  readonly verdict: 'more' | 'less' | 'small' | 'as' | 'perhaps' | 'open' | 'no-test'
}
/** What was scored under one question. */
export interface AskResult {
  readonly ask: Ask
  readonly people: number
  readonly samples: readonly SampleScore[]
  readonly against: readonly AgainstControl[]
  readonly F: number | null
  readonly p: number | null
  readonly dfError: number | null
  /** Scatter of one taster's differences, points; null without a test. */
  readonly scatter: number | null
  readonly status: string
}

/** Below this people do not mind, points of a scale of 0 to 10. @source repeatability of 3 to 5 cooks; practice */
export const MATTERS = 1

function verdictOf(difference: number, low: number | null, high: number | null): AgainstControl['verdict'] {
  if (low === null || high === null) return 'no-test'
  const isInside = low > -MATTERS && high < MATTERS
  if (low > 0 || high < 0) return isInside ? 'small' : difference > 0 ? 'more' : 'less'
  if (isInside) return 'as'
  return Math.abs(difference) >= MATTERS ? 'perhaps' : 'open'
}

interface Test {
  readonly means: readonly number[] | null
  readonly F: number | null
  readonly p: number | null
  readonly df: number
  readonly ms: number | null
  readonly seOf: (at: number) => number | null
  readonly status: string
}

/** Panellist + sample on each taster's means: the test against the interaction, where a round was repeated. */
function tested(cells: readonly (readonly (number | null)[])[]): Test {
  const whole = cells.flatMap((row) => {
    const filled = row.filter((score) => score !== null)
    return filled.length === row.length ? [filled] : []
  })
  if (whole.length === cells.length) {
    const anova = anovaTable(whole.map((row) => row.map((score) => [score])))
    return {
      means: anova.sampleMeans,
      F: anova.sample.F,
      p: anova.sample.p,
      df: anova.error.df,
      ms: anova.error.ms,
      seOf: () => anova.seDifference,
      status: anova.status,
    }
  }
  const anova = adjustedAnova(cells)
  return {
    means: anova.lsMeans,
    F: anova.sample.F,
    p: anova.sample.p,
    df: anova.error.df,
    ms: anova.error.ms,
    seOf: (at) => anova.pairs.find(({ a, b }) => a === 0 && b === at)?.se ?? null,
    status: anova.status,
  }
}

/** One question, over all tasters and samples; the control, or else the first sample, is what others are held against. */
export function askResult(tasting: Tasting, ask: Ask): AskResult {
  const samples: readonly TastingSample[] = orderedSamples(tasting.settings)
  const rows = scoresOf(
    tasting,
    ask,
    samples.map(({ id }) => id),
  )
  const cells = rows.map(({ scores }) => scores.map((cell) => (cell.length === 0 ? null : meanOf(cell))))
  const test = samples.length > 1 && rows.length >= 3 ? tested(cells) : null
  const sampleScores = samples.map(({ id, label }, at): SampleScore => {
    const dots = rows.flatMap(({ tasterId }, row): Dot[] => {
      const value = cells[row]?.[at] ?? null
      return value === null ? [] : [{ tasterId, value }]
    })
    const values = dots.map(({ value }) => value)
    const own = values.length === 0 ? null : meanWithin(values)
    return {
      sampleId: id,
      label,
      mean: test?.means?.[at] ?? own?.mean ?? null,
      // Fewer than three people: notes only.
      ciLow: rows.length < 3 ? null : (own?.ciLow ?? null),
      ciHigh: rows.length < 3 ? null : (own?.ciHigh ?? null),
      dots,
    }
  })
  const base = sampleScores[0]?.mean ?? null
  const others = samples.length - 1
  const isControl = ask === 'difference'
  // Several against one: Tukey's range, so that no more are called different by chance than in one comparison.
  const factor =
    test === null || test.df < 1
      ? null
      : others > 1
        ? rangeAt(0.05, samples.length, test.df) / Math.SQRT2
        : tAt(0.975, test.df)
  const against = sampleScores.slice(1).flatMap((score, index): AgainstControl[] => {
    if (score.mean === null || base === null) return []
    const difference = score.mean - base
    const se = test?.seOf(index + 1) ?? null
    const half = se === null || factor === null ? null : factor * se
    const low = half === null ? null : difference - half
    const high = half === null ? null : difference + half
    const p =
      !isControl || se === null || test === null ? null : dunnettAbove(difference / se, others, test.df)
    return [
      { sampleId: score.sampleId, difference, se, low, high, p, verdict: verdictOf(difference, low, high) },
    ]
  })
  return {
    ask,
    people: rows.length,
    samples: sampleScores,
    against,
    F: test?.F ?? null,
    p: test?.p ?? null,
    dfError: test?.df ?? null,
    scatter: test?.ms == null ? null : Math.sqrt(2 * test.ms),
    status: test?.status ?? (rows.length < 3 ? 'too-few-people' : 'one-sample'),
  }
}
