import { determinant, Matrix } from 'ml-matrix'
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

/** The same on rows of term values, for any model that is linear in its terms. */
export function exchanged(rows: readonly (readonly number[])[], n: number, seed = 1, starts = 30): Exchange {
  const chance = randomFrom(seed)
  const p = rows[0]?.length ?? 0
  const valueOf = (runs: readonly number[]) => logDetOf(runs.map((run) => rows[run] ?? []))
  let best: { runs: readonly number[]; value: number } = { runs: [], value: Number.NEGATIVE_INFINITY }
  for (let start = 0; start < starts; start += 1) {
    let runs = Array.from({ length: n }, () => Math.floor(chance() * rows.length))
    let value = valueOf(runs)
    for (let isBetter = true; isBetter;) {
      isBetter = false
      for (let at = 0; at < n; at += 1)
        for (let candidate = 0; candidate < rows.length; candidate += 1) {
          const next = runs.with(at, candidate)
          const then = valueOf(next)
          if (then > value + 1e-12 || (value === Number.NEGATIVE_INFINITY && then > value)) {
            runs = next
            value = then
            isBetter = true
          }
        }
    }
    if (value > best.value) best = { runs: runs.toSorted((a, b) => a - b), value }
  }
  return { runs: best.runs, logDet: Number.isFinite(best.value) ? best.value : null, p }
}
