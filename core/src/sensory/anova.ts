import { Matrix, SingularValueDecomposition, solve } from 'ml-matrix'
import { fAbove, rangeAbove, rangeAt, tAt, tTwoSided } from '../statistics'

/** Scores by panellist, sample and replicate. */
export type Scores = readonly (readonly (readonly number[])[])[]

export const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length
export const squaresOf = (values: readonly number[], about = meanOf(values)): number =>
  values.reduce((sum, value) => sum + (value - about) ** 2, 0)
/** Standard deviation of a sample of values; null for fewer than two. */
export const sdOf = (values: readonly number[]): number | null =>
  values.length < 2 ? null : Math.sqrt(squaresOf(values) / (values.length - 1))

export interface Source {
  readonly ss: number
  readonly df: number
  readonly ms: number | null
}
export interface Tested extends Source {
  readonly F: number | null
  readonly p: number | null
}
export interface Pair {
  readonly a: number
  readonly b: number
  readonly diff: number
  readonly pTukey: number
  readonly pLsd: number
}
export interface AnovaTable {
  readonly grandMean: number
  readonly sampleMeans: readonly number[]
  readonly panellistMeans: readonly number[]
  readonly sample: Tested
  readonly panellist: Source
  /** null with one replicate. */
  readonly interaction: Tested | null
  readonly error: Source
  readonly errorTermForSample: 'residual' | 'interaction'
  readonly seDifference: number | null
  /** Degrees of freedom that samples are tested with. */
  readonly dfTest: number
  readonly status: 'ok' | 'zero-error' | 'zero-variance' | 'one-panellist'
}
export interface MixedAnova extends AnovaTable {
  readonly lsd: number | null
  readonly hsd: number | null
  readonly pairs: readonly Pair[]
}

const source = (ss: number, df: number): Source => ({ ss, df, ms: df > 0 ? ss / df : null })
/** A sum of squares that is nothing but rounding. */
const isNothing = (ss: number, size: number): boolean => ss <= 1e-12 * Math.max(1, size)

/**
 * Two-way mixed analysis of variance: samples fixed, panellists random, every cell filled with as many replicates.
 * Samples are tested against the interaction where there are replicates, never against the replicates' own error.
 * @source Naes, Brockhoff & Tomic 2010; Lawless & Heymann 2010
 */
export function anovaTable(scores: Scores): AnovaTable {
  const n = scores.length
  const k = scores[0]?.length ?? 0
  const r = scores[0]?.[0]?.length ?? 0
  const all = scores.flat(2)
  const grandMean = meanOf(all)
  const cells = scores.map((row) => row.map((cell) => meanOf(cell)))
  const panellistMeans = cells.map((row) => meanOf(row))
  const sampleMeans = Array.from({ length: k }, (_, sample) => meanOf(cells.map((row) => row[sample] ?? 0)))
  const size = squaresOf(all, 0)
  const tidy = (ss: number): number => (isNothing(ss, size) ? 0 : ss)
  const ssSample = tidy(n * r * squaresOf(sampleMeans, grandMean))
  const ssPanellist = tidy(k * r * squaresOf(panellistMeans, grandMean))
  let ssCell = 0
  let ssWithin = 0
  scores.forEach((row, panellist) =>
    row.forEach((cell, sample) => {
      const at = cells[panellist]?.[sample] ?? 0
      ssCell += (at - (panellistMeans[panellist] ?? 0) - (sampleMeans[sample] ?? 0) + grandMean) ** 2
      ssWithin += squaresOf(cell, at)
    }),
  )
  const between = source(tidy(r * ssCell), (n - 1) * (k - 1))
  const within = source(tidy(ssWithin), n * k * (r - 1))
  const isReplicated = r > 1
  const term = between
  const sample = source(ssSample, k - 1)
  const panellist = source(ssPanellist, n - 1)
  const status =
    n < 2
      ? 'one-panellist'
      : term.ss > 0
        ? 'ok'
        : ssSample === 0 && ssPanellist === 0 && within.ss === 0
          ? 'zero-variance'
          : 'zero-error'
  const termMs = status === 'ok' ? term.ms : null
  const f = termMs !== null && sample.ms !== null ? sample.ms / termMs : null
  const interactionF =
    isReplicated && between.ms !== null && within.ms !== null && within.ms > 0 ? between.ms / within.ms : null
  const seDifference = termMs === null ? null : Math.sqrt((2 * termMs) / (n * r))
  return {
    grandMean,
    sampleMeans,
    panellistMeans,
    sample: { ...sample, F: f, p: f === null ? null : fAbove(f, k - 1, term.df) },
    panellist,
    interaction: isReplicated
      ? {
          ...between,
          F: interactionF,
          p: interactionF === null ? null : fAbove(interactionF, between.df, within.df),
        }
      : null,
    error: isReplicated ? within : between,
    errorTermForSample: isReplicated ? 'interaction' : 'residual',
    seDifference,
    dfTest: term.df,
    status,
  }
}

/** The same, with every pair of samples compared. */
export function mixedAnova(scores: Scores, alpha = 0.05): MixedAnova {
  const table = anovaTable(scores)
  const { sampleMeans, seDifference, dfTest } = table
  const k = sampleMeans.length
  const pairs: Pair[] = []
  if (seDifference !== null)
    for (let a = 0; a < k; a += 1)
      for (let b = a + 1; b < k; b += 1) {
        const diff = (sampleMeans[a] ?? 0) - (sampleMeans[b] ?? 0)
        const t = Math.abs(diff) / seDifference
        pairs.push({
          a,
          b,
          diff,
          pTukey: rangeAbove(t * Math.SQRT2, k, dfTest),
          pLsd: tTwoSided(t, dfTest),
        })
      }
  return {
    ...table,
    lsd: seDifference === null ? null : tAt(1 - alpha / 2, dfTest) * seDifference,
    hsd: seDifference === null ? null : (rangeAt(alpha, k, dfTest) * seDifference) / Math.SQRT2,
    pairs,
  }
}

export interface AdjustedPair {
  readonly a: number
  readonly b: number
  readonly diff: number
  readonly se: number
  readonly pTukeyKramer: number
}
export interface AdjustedAnova {
  readonly sample: Tested
  readonly error: Source
  /** Means as if everybody had tasted everything; null where they cannot be told. */
  readonly lsMeans: readonly number[] | null
  readonly pairs: readonly AdjustedPair[]
  readonly status: 'ok' | 'zero-error' | 'one-panellist' | 'not-connected' | 'no-error'
}

/** Residual sum of squares of a least-squares fit, and the fit. */
function fitted(design: Matrix, values: Matrix): { readonly rss: number; readonly beta: Matrix } {
  const beta = solve(design, values, true)
  const residual = Matrix.sub(values, design.mmul(beta))
  return { rss: residual.dot(residual), beta }
}

/**
 * Panellist + sample by least squares where some tastings are missing: F of the samples adjusted for the panellists,
 * least-squares means, Tukey-Kramer.
 * @param scores by panellist and sample; null = not tasted
 */
export function adjustedAnova(scores: readonly (readonly (number | null)[])[]): AdjustedAnova {
  const rows = scores.filter((row) => row.some((score) => score !== null))
  const n = rows.length
  const k = rows[0]?.length ?? 0
  const empty = (status: AdjustedAnova['status']): AdjustedAnova => ({
    sample: { ss: 0, df: Math.max(0, k - 1), ms: null, F: null, p: null },
    error: { ss: 0, df: 0, ms: null },
    lsMeans: null,
    pairs: [],
    status,
  })
  if (n < 2) return empty('one-panellist')
  const cells = rows.flatMap((row, panellist) =>
    row.flatMap((score, sample) => (score === null ? [] : [{ panellist, sample, score }])),
  )
  // Intercept and panellists (the first is the base), then samples (the first is the base).
  const panellists = cells.map(({ panellist }) => [
    1,
    ...Array.from({ length: n - 1 }, (_, at) => (panellist === at + 1 ? 1 : 0)),
  ])
  const samples = cells.map(({ sample }) =>
    Array.from({ length: k - 1 }, (_, at) => (sample === at + 1 ? 1 : 0)),
  )
  const design = new Matrix(cells.map((_, at) => [...(panellists[at] ?? []), ...(samples[at] ?? [])]))
  const values = Matrix.columnVector(cells.map(({ score }) => score))
  if (new SingularValueDecomposition(design, { autoTranspose: true }).rank < n + k - 1)
    return empty('not-connected')
  const df = cells.length - (n + k - 1)
  if (df <= 0) return empty('no-error')
  const { rss, beta } = fitted(design, values)
  const size = values.dot(values)
  const ssError = isNothing(rss, size) ? 0 : rss
  const ss = Math.max(0, fitted(new Matrix(panellists), values).rss - rss)
  const error = source(ssError, df)
  const effect = (sample: number): number => (sample === 0 ? 0 : beta.get(n + sample - 1, 0))
  const base =
    beta.get(0, 0) +
    Array.from({ length: n - 1 }, (_, at) => beta.get(at + 1, 0)).reduce((sum, one) => sum + one, 0) / n
  const lsMeans = Array.from({ length: k }, (_, sample) => base + effect(sample))
  const sample = source(ss, k - 1)
  if (error.ms === null || error.ms === 0)
    return { sample: { ...sample, F: null, p: null }, error, lsMeans, pairs: [], status: 'zero-error' }
  const ms = error.ms
  const covariance = solve(design.transpose().mmul(design), Matrix.eye(n + k - 1))
  const between = (a: number, b: number): number => {
    const at = (sample: number): number => n + sample - 1
    const own = (sample: number): number => (sample === 0 ? 0 : covariance.get(at(sample), at(sample)))
    const cross = a === 0 || b === 0 ? 0 : covariance.get(at(a), at(b))
    return own(a) + own(b) - 2 * cross
  }
  const pairs: AdjustedPair[] = []
  for (let a = 0; a < k; a += 1)
    for (let b = a + 1; b < k; b += 1) {
      const diff = effect(a) - effect(b)
      const se = Math.sqrt(ms * between(a, b))
      const pTukeyKramer = rangeAbove((Math.abs(diff) / se) * Math.SQRT2, k, df)
      pairs.push({ a, b, diff, se, pTukeyKramer })
    }
  const f = (sample.ms ?? 0) / ms
  return { sample: { ...sample, F: f, p: fAbove(f, k - 1, df) }, error, lsMeans, pairs, status: 'ok' }
}
