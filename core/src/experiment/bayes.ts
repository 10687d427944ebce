import { CholeskyDecomposition, inverse, Matrix } from 'ml-matrix'
import { normalBelow, normalDensity, tAt } from '../statistics'

/** Expected improvement over the best so far, larger is better. @source Jones, Schonlau & Welch 1998, J. Global Optim. 13:455 */
export function expectedImprovement(mean: number, sd: number, best: number, xi = 0): number {
  const gain = mean - best - xi
  if (sd <= 0) return Math.max(gain, 0)
  const u = gain / sd
  return Math.max(0, gain * normalBelow(u) + sd * normalDensity(u))
}

const columnOf = (values: readonly number[]): Matrix => Matrix.columnVector([...values])
const matrixOf = (rows: readonly (readonly number[])[]): Matrix => new Matrix(rows.map((row) => [...row]))
const quadratic = (row: readonly number[], of: Matrix): number => {
  const x = columnOf(row)
  return x.transpose().mmul(of).mmul(x).get(0, 0)
}
const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, at) => sum + value * (b[at] ?? 0), 0)

export interface LinearPosterior {
  readonly posteriorMean: number[]
  readonly posteriorCovariance: number[][]
  readonly mean: number[]
  /** Of the mean, without noise; and of a new trial, with it. */
  readonly meanSd: number[]
  readonly newSd: number[]
  /** Highest posterior mean at what was tried. */
  readonly best: number
  readonly expectedImprovement: number[]
}

/** Normal prior on coefficients, known noise. @source Gelman et al., Bayesian Data Analysis */
export function linearKnownNoise(
  rows: readonly (readonly number[])[],
  y: readonly number[],
  prior: { readonly mean: readonly number[]; readonly covariance: readonly (readonly number[])[] },
  noiseSd: number,
  at: readonly (readonly number[])[],
): LinearPosterior {
  const x = matrixOf(rows)
  const precision = inverse(matrixOf(prior.covariance))
  const noise = noiseSd ** 2
  const covariance = inverse(Matrix.add(precision, Matrix.div(x.transpose().mmul(x), noise)))
  const mean = covariance.mmul(
    Matrix.add(precision.mmul(columnOf(prior.mean)), Matrix.div(x.transpose().mmul(columnOf(y)), noise)),
  )
  const posteriorMean = mean.to1DArray()
  const means = at.map((row) => dot(row, posteriorMean))
  const variances = at.map((row) => Math.max(0, quadratic(row, covariance)))
  const best = Math.max(...rows.map((row) => dot(row, posteriorMean)))
  return {
    posteriorMean,
    posteriorCovariance: covariance.to2DArray(),
    mean: means,
    meanSd: variances.map(Math.sqrt),
    newSd: variances.map((variance) => Math.sqrt(variance + noise)),
    best,
    expectedImprovement: means.map((value, index) =>
      expectedImprovement(value, Math.sqrt(variances[index] ?? 0), best),
    ),
  }
}

export interface UnknownNoise {
  readonly mn: number[]
  readonly Vn: number[][]
  readonly an: number
  readonly bn: number
  readonly mean: number[]
  readonly scale: number[]
  readonly df: number
  readonly pi95: (readonly [number, number])[]
}

/** Normal-inverse-gamma prior: the noise is learned with the coefficients; a new trial follows Student's t. */
export function linearUnknownNoise(
  rows: readonly (readonly number[])[],
  y: readonly number[],
  prior: {
    readonly m0: readonly number[]
    readonly V0: readonly (readonly number[])[]
    readonly a0: number
    readonly b0: number
  },
  at: readonly (readonly number[])[],
): UnknownNoise {
  const x = matrixOf(rows)
  const before = inverse(matrixOf(prior.V0))
  const after = Matrix.add(before, x.transpose().mmul(x))
  const covariance = inverse(after)
  const mn = covariance
    .mmul(Matrix.add(before.mmul(columnOf(prior.m0)), x.transpose().mmul(columnOf(y))))
    .to1DArray()
  const an = prior.a0 + y.length / 2
  const bn = prior.b0 + (dot(y, y) + quadratic(prior.m0, before) - quadratic(mn, after)) / 2
  const mean = at.map((row) => dot(row, mn))
  const scale = at.map((row) => Math.sqrt((bn / an) * (1 + quadratic(row, covariance))))
  const factor = tAt(0.975, 2 * an)
  return {
    mn,
    Vn: covariance.to2DArray(),
    an,
    bn,
    mean,
    scale,
    df: 2 * an,
    pi95: mean.map((value, index) => {
      const half = factor * (scale[index] ?? 0)
      return [value - half, value + half] as const
    }),
  }
}

export const KERNELS = ['squaredExponential', 'matern52'] as const
export interface GaussianProcess {
  readonly kernel: (typeof KERNELS)[number]
  /** One for each column. */
  readonly lengthScales: readonly number[]
  readonly signalSd: number
  readonly noiseSd: number
  readonly priorMean: number
}
export interface ProcessPrediction {
  readonly mean: number[]
  /** Of the function, without noise. */
  readonly sd: number[]
  readonly logMarginalLikelihood: number
}

const JITTER = 1e-10

/** A Gaussian process with fixed hyper-parameters. @source Rasmussen & Williams 2006 */
export function predictProcess(
  x: readonly (readonly number[])[],
  y: readonly number[],
  at: readonly (readonly number[])[],
  { kernel, lengthScales, signalSd, noiseSd, priorMean }: GaussianProcess,
): ProcessPrediction {
  const signal = signalSd ** 2
  const k = (a: readonly number[], b: readonly number[]): number => {
    const r2 = a.reduce(
      (sum, value, column) => sum + ((value - (b[column] ?? 0)) / (lengthScales[column] ?? 1)) ** 2,
      0,
    )
    if (kernel === 'squaredExponential') return signal * Math.exp(-r2 / 2)
    const r = Math.sqrt(5 * r2)
    return signal * (1 + r + (5 * r2) / 3) * Math.exp(-r)
  }
  const gram = matrixOf(
    x.map((a, row) => x.map((b, column) => k(a, b) + (row === column ? noiseSd ** 2 + JITTER * signal : 0))),
  )
  const cholesky = new CholeskyDecomposition(gram)
  const rest = columnOf(y.map((value) => value - priorMean))
  const alpha = cholesky.solve(rest)
  const lower = cholesky.lowerTriangularMatrix
  let logDet = 0
  for (let index = 0; index < x.length; index += 1) logDet += 2 * Math.log(lower.get(index, index))
  const rows = at.map((point) => x.map((one) => k(point, one)))
  return {
    mean: rows.map((row) => priorMean + dot(row, alpha.to1DArray())),
    sd: rows.map((row) => {
      const column = columnOf(row)
      const known = column.transpose().mmul(cholesky.solve(column)).get(0, 0)
      return Math.sqrt(Math.max(0, signal - known))
    }),
    logMarginalLikelihood:
      -rest.transpose().mmul(alpha).get(0, 0) / 2 - logDet / 2 - (x.length / 2) * Math.log(2 * Math.PI),
  }
}
