import type { Tasting } from '../../model'
import { scoresOf } from '../answers'
import { meanOf } from '../anova'
import { type Friedman, friedman } from '../ranking'
import { askName, capital, chanceWords, countWord, listed, people, pWords } from './words'
import type { Verdict } from './forced'

/** Samples from the most to the least. */
export interface RankResult {
  readonly n: number
  readonly friedman: Friedman | null
  readonly order: readonly {
    readonly sampleId: string
    readonly label: string
    readonly meanRank: number
    readonly sum: number
  }[]
  /** Pairs that are shown to differ, by sample id. */
  readonly apart: readonly (readonly [string, string])[]
  readonly isShown: boolean
}

/** Ranks of those who ranked everything: 1 is the most. */
export function rankResult(tasting: Tasting): RankResult {
  const { samples, alpha } = tasting.settings
  const rows = scoresOf(
    tasting,
    'rank',
    samples.map(({ id }) => id),
  )
  const values = rows.flatMap(({ scores }) =>
    scores.every((cell) => cell.length > 0) ? [scores.map((cell) => meanOf(cell))] : [],
  )
  const test = values.length === 0 ? null : friedman(values, alpha)
  const sums = test?.rankSums ?? samples.map(() => 0)
  const order = samples
    .map(({ id, label }, at) => ({
      sampleId: id,
      label,
      sum: sums[at] ?? 0,
      meanRank: (sums[at] ?? 0) / Math.max(1, values.length),
    }))
    .sort((a, b) => a.sum - b.sum)
  const p = test?.pExact ?? test?.p ?? null
  const isShown = values.length >= 3 && p !== null && p <= alpha
  const apart =
    !isShown || test === null
      ? []
      : order.flatMap((one, at) =>
          order
            .slice(at + 1)
            .filter(({ sum }) => sum - one.sum >= test.lsdRankSum)
            .map((other) => [one.sampleId, other.sampleId] as const),
        )
  return { n: values.length, friedman: test, order, apart, isShown }
}

export function rankVerdict(
  { settings }: Tasting,
  { n, friedman: test, order, apart, isShown }: RankResult,
): Verdict {
  const by = settings.by === null ? 'liking' : askName(settings.by)
  if (n === 0 || test === null)
    return { headline: 'Nobody has answered yet.', plain: [], cautions: [], method: 'Ranking.' }
  const p = test.pExact ?? test.p
  const labels = order.map(({ label }) => label)
  const headline = `By ${by}, most first: ${labels.join(', ')}.`
  const labelOf = (id: string) => order.find(({ sampleId }) => sampleId === id)?.label ?? ''
  const plain =
    n < 3
      ? ['Fewer than three people ranked: take it as a note, not as a test.']
      : test.status === 'all-tied'
        ? ['Everybody put them all alike.']
        : isShown
          ? [
              `They agree more than chance does: it does that ${chanceWords(p ?? 1)}.`,
              apart.length === 0
                ? 'No two of them alone are shown to differ.'
                : `Shown to differ: ${listed(apart.map(([a, b]) => `${labelOf(a)} from ${labelOf(b)}`))}.`,
            ]
          : [
              `Not shown to have any order: chance alone agrees so well ${chanceWords(p ?? 1)}. That is not shown to be alike, either.`,
            ]
  const method = [
    `Ranks of ${people(n)}, Friedman's test${test.pExact === null ? '' : ' over all orders'}, ${pWords(p)}.`,
    test.kendallW === null ? '' : `Agreement (Kendall's W, 0 to 1): ${test.kendallW.toFixed(2)}.`,
    `Mean ranks: ${order.map(({ label, meanRank }) => `${label} ${meanRank.toFixed(1)}`).join(', ')}.`,
  ]
    .filter((sentence) => sentence !== '')
    .join(' ')
  const cautions =
    n < 10 ? [`${capital(countWord(n))} rankings are few: read the order, not the distances.`] : []
  return { headline, plain, cautions, method }
}
