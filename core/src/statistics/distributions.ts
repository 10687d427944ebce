import jstat from 'jstat'
import { integrate, ruleOn } from './quadrature'

const { jStat } = jstat
const SQRT_2PI = Math.sqrt(2 * Math.PI)

/** Density of the standard normal. */
export const normalDensity = (z: number): number => Math.exp(-0.5 * z * z) / SQRT_2PI
/** P(Z <= z) of the standard normal. */
export const normalBelow = (z: number): number => jStat.normal.cdf(z, 0, 1)
/** The z below which a share `p` (0 to 1, both excluded) of the standard normal lies. */
export const normalAt = (p: number): number => jStat.normal.inv(p, 0, 1)

/** P(|T| >= |t|) of Student's t with `df` degrees of freedom. */
export const tTwoSided = (t: number, df: number): number => jStat.ibeta(df / (df + t * t), df / 2, 0.5)
/** P(T >= t). */
export const tAbove = (t: number, df: number): number => {
  const half = tTwoSided(t, df) / 2
  return t >= 0 ? half : 1 - half
}
/** The t below which a share `p` lies. */
export const tAt = (p: number, df: number): number => jStat.studentt.inv(p, df)
/**
 * Chance that a paired t test of n people finds a difference of `size` standard deviations of the differences.
 * @param n 2 or more
 */
export function pairedPower(n: number, size: number, alpha: number, sides: 1 | 2): number {
  const df = n - 1
  const shift = size * Math.sqrt(n)
  const critical = tAt(1 - alpha / sides, df)
  const above = 1 - jStat.noncentralt.cdf(critical, df, shift)
  return sides === 1 ? above : above + jStat.noncentralt.cdf(-critical, df, shift)
}
/** P(F >= f). */
export const fAbove = (f: number, df1: number, df2: number): number =>
  f <= 0 ? 1 : jStat.ibeta(df2 / (df2 + df1 * f), df2 / 2, df1 / 2)
/** P(chi2 >= x). */
export const chi2Above = (x: number, df: number): number => (x <= 0 ? 1 : 1 - jStat.chisquare.cdf(x, df))
/** The x below which a share `p` of a beta distribution lies. */
export const betaAt = (p: number, a: number, b: number): number => jStat.beta.inv(p, a, b)

/** Probabilities of 0 to n right answers of n, each right with probability `p`: in log space, so that none is lost. */
export function binomial(n: number, p: number): Float64Array {
  const found = new Float64Array(n + 1)
  if (p <= 0 || p >= 1) {
    found[p <= 0 ? 0 : n] = 1
    return found
  }
  const whole = jStat.gammaln(n + 1)
  for (let x = 0; x <= n; x += 1)
    found[x] = Math.exp(
      whole - jStat.gammaln(x + 1) - jStat.gammaln(n - x + 1) + x * Math.log(p) + (n - x) * Math.log1p(-p),
    )
  return found
}

/** P(X >= x) and P(X <= x) of n answers, each right with probability `p`; the smaller terms are summed first. */
export function binomialAbove(x: number, n: number, p: number): number {
  if (x <= 0) return 1
  const each = binomial(n, p)
  let sum = 0
  for (let at = n; at >= x; at -= 1) sum += each[at] ?? 0
  return Math.min(1, sum)
}
export function binomialBelow(x: number, n: number, p: number): number {
  if (x >= n) return 1
  const each = binomial(n, p)
  let sum = 0
  for (let at = 0; at <= x; at += 1) sum += each[at] ?? 0
  return Math.min(1, sum)
}

/** Density of S = sqrt(chi2 / df), the scatter of a standard deviation from `df` degrees of freedom. */
function scatterDensity(df: number): (s: number) => number {
  const scale = Math.log(2) + (df / 2) * Math.log(df / 2) - jStat.gammaln(df / 2)
  return (s) => (s <= 0 ? 0 : Math.exp(scale + (df - 1) * Math.log(s) - (df * s * s) / 2))
}

/** The mean of `of(s)` over the scatter of a standard deviation. */
function overScatter(df: number, of: (s: number) => number): number {
  const density = scatterDensity(df)
  const sd = 1 / Math.sqrt(2 * df)
  // The upper tail of few degrees of freedom is long: beyond this 1e-15 is left.
  const high = Math.sqrt((df + 12 * Math.sqrt(2 * df) + 60) / df)
  const low = Math.max(0, 1 - 12 * sd)
  return integrate(low, high, 5, (s) => {
    const weight = density(s)
    return weight < 1e-18 ? 0 : weight * of(s)
  })
}

const zRule = ruleOn(-8.5, 8.5, 3)
const atZ = zRule.map(([z, weight]) => ({ z, below: normalBelow(z), weight: weight * normalDensity(z) }))

/**
 * P(Q >= q) of the studentized range of `k` means with `df` degrees of freedom.
 * @returns 0 to 1, within 1e-6
 * @source Tukey; P(Q <= q) = E_s [ k Int phi(z) (Phi(z) - Phi(z - q s))^(k-1) dz ]
 */
export function rangeAbove(q: number, k: number, df: number): number {
  if (q <= 0) return 1
  // Of two means it is Student's t.
  if (k === 2) return tTwoSided(q / Math.SQRT2, df)
  const below = overScatter(df, (s) => {
    let sum = 0
    for (const { z, below: whole, weight } of atZ)
      if (weight > 1e-18) sum += weight * (whole - normalBelow(z - q * s)) ** (k - 1)
    return k * sum
  })
  return Math.min(1, Math.max(0, 1 - below))
}

const ranges = new Map<string, number>()
/** The studentized range that is passed with probability `alpha`; each is worked out once. */
export function rangeAt(alpha: number, k: number, df: number): number {
  if (k === 2) return Math.SQRT2 * tAt(1 - alpha / 2, df)
  const key = [alpha, k, df].join()
  const known = ranges.get(key)
  if (known !== undefined) return known
  const found = findRange(alpha, k, df)
  ranges.set(key, found)
  return found
}

function findRange(alpha: number, k: number, df: number): number {
  let low = 0
  let high = 4
  while (rangeAbove(high, k, df) > alpha && high < 1e4) {
    low = high
    high *= 2
  }
  // Regula falsi on the logarithm, kept between the ends (the Illinois way): some ten evaluations in place of forty.
  const miss = (q: number): number => Math.log(Math.max(1e-300, rangeAbove(q, k, df))) - Math.log(alpha)
  let atLow = low === 0 ? -Math.log(alpha) : miss(low)
  let atHigh = miss(high)
  let side = 0
  for (let round = 0; round < 60 && high - low > 1e-9 * high; round += 1) {
    const q = (low * atHigh - high * atLow) / (atHigh - atLow)
    const now = miss(q)
    if (Math.abs(now) < 1e-10) return q
    if (now > 0) {
      low = q
      atLow = now
      if (side === 1) atHigh /= 2
      side = 1
    } else {
      high = q
      atHigh = now
      if (side === -1) atLow /= 2
      side = -1
    }
  }
  return (low + high) / 2
}

/**
 * P(max t_i >= t) of `m` samples, each against one control, as many answers to each: one-sided Dunnett.
 * @source Dunnett 1955; 1 - E_s [ Int phi(z) Phi(sqrt2 t s + z)^m dz ]
 */
export function dunnettAbove(t: number, m: number, df: number): number {
  if (m === 1) return tAbove(t, df)
  const below = overScatter(df, (s) => {
    let sum = 0
    for (const { z, weight } of atZ)
      if (weight > 1e-18) sum += weight * normalBelow(Math.SQRT2 * t * s + z) ** m
    return sum
  })
  return Math.min(1, Math.max(0, 1 - below))
}
