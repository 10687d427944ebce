import type { Point } from './mixtures'

export const MIXTURE_MODELS = ['linear', 'quadratic', 'specialCubic'] as const
export type MixtureModel = (typeof MIXTURE_MODELS)[number]

/** Components of each term: x1, x1*x2, x1*x2*x3, by index from 0. */
export function termsOf(q: number, model: MixtureModel): number[][] {
  const found: number[][] = Array.from({ length: q }, (_, at) => [at])
  if (model === 'linear') return found
  for (let a = 0; a < q; a += 1) for (let b = a + 1; b < q; b += 1) found.push([a, b])
  if (model === 'quadratic') return found
  for (let a = 0; a < q; a += 1)
    for (let b = a + 1; b < q; b += 1) for (let c = b + 1; c < q; c += 1) found.push([a, b, c])
  return found
}
export const termName = (term: readonly number[]): string => term.map((at) => `x${at + 1}`).join('*')
/** The values of the terms at a blend. No intercept: it is contained, the proportions sum to 1. @source Scheffe 1958 */
export const termValues = (x: Point, terms: readonly (readonly number[])[]): number[] =>
  terms.map((term) => term.reduce((product, at) => product * (x[at] ?? 0), 1))
