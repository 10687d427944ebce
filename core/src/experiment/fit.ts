import { Matrix, QrDecomposition, SingularValueDecomposition } from 'ml-matrix'
import { fAbove, tAt, tTwoSided } from '../statistics'
import type { Point } from './mixtures'
import { type MixtureModel, termName, termsOf, termValues } from './terms'

export interface LackOfFit {
  readonly ssPureError: number
  readonly dfPureError: number
  readonly ssLackOfFit: number | null
  readonly dfLackOfFit: number
  readonly F: number | null
  readonly p: number | null
}
export interface Prediction {
  readonly fit: number
  readonly seMean: number | null
  readonly ci95: readonly [number, number] | null
  /** Of a new batch: the one to show to a cook. */
  readonly pi95: readonly [number, number] | null
}
interface Shape {
  readonly termNames: readonly string[]
  readonly n: number
  readonly p: number
  readonly rank: number
}
/** Fewer settings than terms, or terms that these runs cannot tell apart: no coefficients. */
export interface NoFit extends Shape {
  readonly coefficients: null
  readonly status: 'singular'
}
export interface Fitted extends Shape {
  readonly coefficients: readonly number[]
  readonly standardErrors: readonly (number | null)[]
  readonly t: readonly (number | null)[]
  readonly pValues: readonly (number | null)[]
  readonly sse: number
  readonly dfError: number
  readonly sigma: number | null
  /** About the mean, although there is no intercept. */
  readonly r2: number | null
  readonly adjR2: number | null
  /** null where a run has a leverage of 1: it alone decides a coefficient. */
  readonly press: number | null
  readonly predR2: number | null
  readonly leverage: readonly number[]
  readonly lackOfFit: LackOfFit
  readonly status: 'ok' | 'saturated' | 'zero-variance'
  readonly predictions: readonly Prediction[]
}
export type Fit = Fitted | NoFit

const WHOLE = 1e-9
const meanOf = (values: readonly number[]): number =>
  values.reduce((sum, one) => sum + one, 0) / values.length
/** A sum of squares that is rounding alone. */
const tidy = (ss: number, size: number): number => (ss <= 1e-14 * Math.max(1, size) ? 0 : ss)

function pureError(settings: readonly string[], y: readonly number[]) {
  const groups = new Map<string, number[]>()
  settings.forEach((setting, at) => groups.set(setting, [...(groups.get(setting) ?? []), y[at] ?? 0]))
  let ss = 0
  for (const values of groups.values()) {
    const mean = meanOf(values)
    for (const value of values) ss += (value - mean) ** 2
  }
  return { ss, df: y.length - groups.size, groups: groups.size }
}

/**
 * Least squares by QR on rows of term values, with its diagnostics.
 * @param settings a word for each run: runs of the same word are replicates
 * @param at rows of term values to predict at
 * @source Cornell, Experiments with Mixtures; Myers, Montgomery & Anderson-Cook
 */
export function fitRows(
  termNames: readonly string[],
  rows: readonly (readonly number[])[],
  y: readonly number[],
  settings: readonly string[],
  at: readonly (readonly number[])[] = [],
): Fit {
  const n = rows.length
  const p = termNames.length
  const design = new Matrix(rows.map((row) => [...row]))
  const rank = new SingularValueDecomposition(design, { autoTranspose: true }).rank
  if (rank < p) return { termNames, n, p, rank, coefficients: null, status: 'singular' }
  const qr = new QrDecomposition(design)
  const coefficients = qr.solve(Matrix.columnVector([...y])).to1DArray()
  const q = qr.orthogonalMatrix
  const r = qr.upperTriangularMatrix
  // (X'X)^-1 = R^-1 R^-T.
  const inverseR = new QrDecomposition(r).solve(Matrix.eye(p))
  const covariance = inverseR.mmul(inverseR.transpose())
  const leverage = rows.map((_, run) => {
    let sum = 0
    for (let column = 0; column < p; column += 1) sum += q.get(run, column) ** 2
    return sum
  })
  const size = y.reduce((sum, one) => sum + one * one, 0)
  const errors = rows.map((row, run) => (y[run] ?? 0) - dot(row, coefficients))
  const sse = tidy(
    errors.reduce((sum, one) => sum + one * one, 0),
    size,
  )
  const mean = meanOf(y)
  const sst = tidy(
    y.reduce((sum, one) => sum + (one - mean) ** 2, 0),
    size,
  )
  const dfError = n - p
  const sigma = dfError > 0 ? Math.sqrt(sse / dfError) : null
  const standardErrors = coefficients.map((_, term) =>
    sigma === null ? null : sigma * Math.sqrt(covariance.get(term, term)),
  )
  const t = coefficients.map((value, term) => {
    const se = standardErrors[term] ?? null
    return se === null || se === 0 ? null : value / se
  })
  const decides = leverage.some((h) => 1 - h < WHOLE)
  const press = decides
    ? null
    : tidy(
        errors.reduce((sum, one, run) => sum + (one / (1 - (leverage[run] ?? 0))) ** 2, 0),
        size,
      )
  const pure = pureError(settings, y)
  const ssPure = tidy(pure.ss, size)
  const dfLack = pure.groups - p
  const ssLack = dfError > 0 ? tidy(Math.max(0, sse - ssPure), size) : null
  const f =
    ssLack !== null && dfLack > 0 && pure.df > 0 && ssPure > 0 ? ssLack / dfLack / (ssPure / pure.df) : null
  const isVaried = sst > 0
  const predictions = at.map((row): Prediction => {
    const fit = dot(row, coefficients)
    if (sigma === null) return { fit, seMean: null, ci95: null, pi95: null }
    let spread = 0
    for (let a = 0; a < p; a += 1)
      for (let b = 0; b < p; b += 1) spread += (row[a] ?? 0) * covariance.get(a, b) * (row[b] ?? 0)
    const seMean = sigma * Math.sqrt(spread)
    const factor = tAt(0.975, dfError)
    const half = factor * sigma * Math.sqrt(1 + spread)
    return {
      fit,
      seMean,
      ci95: [fit - factor * seMean, fit + factor * seMean],
      pi95: [fit - half, fit + half],
    }
  })
  return {
    termNames,
    n,
    p,
    rank,
    coefficients,
    standardErrors,
    t,
    pValues: t.map((value) => (value === null ? null : tTwoSided(value, dfError))),
    sse,
    dfError,
    sigma,
    r2: isVaried ? 1 - sse / sst : null,
    adjR2: isVaried && dfError > 0 ? 1 - sse / dfError / (sst / (n - 1)) : null,
    press,
    predR2: press === null || !isVaried ? null : 1 - press / sst,
    leverage,
    lackOfFit: {
      ssPureError: ssPure,
      dfPureError: pure.df,
      ssLackOfFit: ssLack,
      dfLackOfFit: Math.max(0, dfLack),
      F: f,
      p: f === null ? null : fAbove(f, dfLack, pure.df),
    },
    status: n === p ? 'saturated' : isVaried ? 'ok' : 'zero-variance',
    predictions,
  }
}

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, at) => sum + value * (b[at] ?? 0), 0)

const settingOf = (...parts: readonly (Point | number | string)[]): string =>
  parts
    .flat()
    .map((part) => (typeof part === 'number' ? part.toFixed(9) : part))
    .join(' ')

/** A Scheffe model of blends. Fit on the proportions as weighed. */
export function fitMixture(
  x: readonly Point[],
  y: readonly number[],
  model: MixtureModel,
  predictAt: readonly Point[] = [],
): Fit {
  const terms = termsOf(x[0]?.length ?? 0, model)
  const rows = (points: readonly Point[]) => points.map((point) => termValues(point, terms))
  return fitRows(
    terms.map(termName),
    rows(x),
    y,
    x.map((point) => settingOf(point)),
    rows(predictAt),
  )
}

/** A Scheffe model with the day as an additive block, coded so that the blocks sum to zero; replicates are of one day. */
export function fitBlocked(
  x: readonly Point[],
  y: readonly number[],
  block: readonly (number | string)[],
  model: MixtureModel,
): (Fitted & { readonly blockEffects: readonly number[] }) | NoFit {
  const terms = termsOf(x[0]?.length ?? 0, model)
  const blocks = [...new Set(block)].sort((a, b) =>
    typeof a === 'number' && typeof b === 'number' ? a - b : String(a) < String(b) ? -1 : 1,
  )
  const last = blocks.at(-1)
  const days = blocks.slice(0, -1)
  const rows = x.map((point, run) => [
    ...termValues(point, terms),
    ...days.map((day) => (block[run] === day ? 1 : block[run] === last ? -1 : 0)),
  ])
  const fit = fitRows(
    [...terms.map(termName), ...days.map((_, at) => `day${at + 1}`)],
    rows,
    y,
    x.map((point, run) => settingOf(point, String(block[run]))),
  )
  if (fit.coefficients === null) return fit
  const effects = fit.coefficients.slice(terms.length)
  return { ...fit, blockEffects: [...effects, -effects.reduce((sum, one) => sum + one, 0)] }
}

/** A mixture model crossed with one process factor, coded -1 to 1. */
export function fitCrossed(
  x: readonly Point[],
  z: readonly number[],
  y: readonly number[],
  predictAt: readonly { readonly x: Point; readonly z: number }[] = [],
): Fit {
  const terms = termsOf(x[0]?.length ?? 0, 'linear')
  const row = (point: Point, at: number): number[] => {
    const values = termValues(point, terms)
    return [...values, ...values.map((value) => value * at)]
  }
  return fitRows(
    [...terms.map(termName), ...terms.map((term) => `${termName(term)}*z`)],
    x.map((point, run) => row(point, z[run] ?? 0)),
    y,
    x.map((point, run) => settingOf(point, z[run] ?? 0)),
    predictAt.map((at) => row(at.x, at.z)),
  )
}

export interface ControlDifference {
  readonly treatments: readonly string[]
  readonly difference: readonly number[] | null
  readonly standardError: readonly (number | null)[] | null
  readonly dfError: number
  readonly ci95: readonly (readonly [number, number] | null)[] | null
  readonly status: 'ok' | 'saturated' | 'zero-variance' | 'singular'
}

/** Each treatment's difference from the control, with the day as an additive block. */
export function controlDifferences(
  day: readonly (number | string)[],
  treatment: readonly string[],
  y: readonly number[],
  control: string,
): ControlDifference {
  const treatments = [...new Set(treatment)].filter((one) => one !== control).sort()
  const days = [...new Set(day)]
  const rows = y.map((_, run) => [
    ...days.map((one) => (day[run] === one ? 1 : 0)),
    ...treatments.map((one) => (treatment[run] === one ? 1 : 0)),
  ])
  const names = [...days.map(String), ...treatments]
  const fit = fitRows(
    names,
    rows,
    y,
    rows.map((row) => row.join()),
  )
  if (fit.coefficients === null)
    return { treatments, difference: null, standardError: null, dfError: 0, ci95: null, status: 'singular' }
  const difference = fit.coefficients.slice(days.length)
  const standardError = fit.standardErrors.slice(days.length)
  return {
    treatments,
    difference,
    standardError,
    dfError: fit.dfError,
    ci95: difference.map((value, at) => {
      const se = standardError[at] ?? null
      if (se === null) return null
      const half = tAt(0.975, fit.dfError) * se
      return [value - half, value + half] as const
    }),
    status: fit.status,
  }
}
