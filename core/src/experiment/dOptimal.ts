import { determinant, inverse, Matrix } from 'ml-matrix'
import { randomFrom } from '../chance'
import type { Point } from './mixtures'
import { type MixtureModel, termsOf, termValues } from './terms'

export interface Exchange {
  /** Candidates by index, one a run; a candidate may come again. */
  readonly runs: readonly number[]
  readonly logDet: number | null
  readonly p: number
}

const logDetOf = (rows: readonly (readonly number[])[]): number => {
  const x = new Matrix(rows.map((row) => [...row]))
  const gram = x.transpose().mmul(x)
  const det = determinant(gram)
  // A determinant is at most the product of its diagonal: what is nothing beside that is rounding.
  const most = gram.diagonal().reduce((product, one) => product * one, 1)
  return det > 1e-13 * most ? Math.log(det) : Number.NEGATIVE_INFINITY
}

/**
 * Runs from a list of candidates with a large log det(X'X), by exchanging one run at a time from seeded starts: the best
 * that was found, not the best there is.
 * @source Fedorov 1972; Mitchell 1974, Technometrics 16:203
 */
export function dOptimal(
  candidates: readonly Point[],
  model: MixtureModel,
  n: number,
  seed = 1,
  starts = 30,
): Exchange {
  const terms = termsOf(candidates[0]?.length ?? 0, model)
  return exchanged(
    candidates.map((point) => termValues(point, terms)),
    n,
    seed,
    starts,
  )
}

/** A start may be singular: so much is added to its diagonal while it is. @source experiments page 2.1 */
const RIDGE = 1e-8
const MOST_EXCHANGES = 200
const LEAST_GAIN = 1e-9

const dot = (a: readonly number[], b: readonly number[]): number =>
  a.reduce((sum, value, at) => sum + value * (b[at] ?? 0), 0)

/** The inverse of X'X, a little off the true one so that it is there for a singular start, too. */
function inverseGram(rows: readonly (readonly number[])[]): number[][] {
  const x = new Matrix(rows.map((row) => [...row]))
  const gram = x.transpose().mmul(x)
  const p = gram.rows
  const ridge = (RIDGE * Math.max(1e-12, gram.trace())) / p
  return inverse(Matrix.add(gram, Matrix.eye(p).mul(ridge))).to2DArray()
}

/**
 * The same on rows of term values, for any model that is linear in its terms. In each round the one exchange that gains
 * most, by the determinant lemma: det(X'X - aa' + bb') = det(X'X) ((1 + b'Mb)(1 - a'Ma) + (a'Mb)^2), M = (X'X)^-1.
 */
export function exchanged(rows: readonly (readonly number[])[], n: number, seed = 1, starts = 30): Exchange {
  const chance = randomFrom(seed)
  const p = rows[0]?.length ?? 0
  const valueOf = (runs: readonly number[]) => logDetOf(runs.map((run) => rows[run] ?? []))
  let best: { runs: readonly number[]; value: number } = { runs: [], value: Number.NEGATIVE_INFINITY }
  for (let start = 0; start < starts; start += 1) {
    let runs = Array.from({ length: n }, () => Math.floor(chance() * rows.length))
    for (let round = 0; round < MOST_EXCHANGES; round += 1) {
      const next = bestExchange(rows, runs)
      if (next === null) break
      runs = runs.with(next.at, next.candidate)
    }
    const value = valueOf(runs)
    if (value > best.value) best = { runs: runs.toSorted((a, b) => a - b), value }
  }
  return { runs: best.runs, logDet: Number.isFinite(best.value) ? best.value : null, p }
}

/** The exchange of one run for one candidate that gains most; null where none gains. */
function bestExchange(
  rows: readonly (readonly number[])[],
  runs: readonly number[],
): { readonly at: number; readonly candidate: number } | null {
  const m = inverseGram(runs.map((run) => rows[run] ?? []))
  const times = rows.map((row) => m.map((line) => dot(line, row)))
  const own = rows.map((row, at) => dot(row, times[at] ?? []))
  let found: { at: number; candidate: number } | null = null
  let most = LEAST_GAIN
  runs.forEach((run, at) => {
    const leaves = 1 - (own[run] ?? 0)
    for (let candidate = 0; candidate < rows.length; candidate += 1) {
      if (candidate === run) continue
      const both = dot(rows[run] ?? [], times[candidate] ?? [])
      const gain = (1 + (own[candidate] ?? 0)) * leaves + both ** 2 - 1
      if (gain > most) {
        most = gain
        found = { at, candidate }
      }
    }
  })
  return found
}
