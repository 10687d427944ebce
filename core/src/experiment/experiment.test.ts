import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { randomFrom } from '../chance'
import {
  dOptimal,
  desirabilityOf,
  expectedImprovement,
  fitBlocked,
  fitMixture,
  fraction,
  fromPseudo,
  linearKnownNoise,
  overallDesirability,
  predictProcess,
  regionOf,
  simplexCentroid,
  simplexLattice,
  termsOf,
  termValues,
  toPseudo,
} from './index'

const normalFrom = (seed: number) => {
  const chance = randomFrom(seed)
  return () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
}
const sum = (values: readonly number[]): number => values.reduce((of, one) => of + one, 0)
const bounds = fc
  .array(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 1, max: 60 })), {
    minLength: 3,
    maxLength: 5,
  })
  .map((pairs) => ({
    lower: pairs.map(([low]) => low / 100),
    upper: pairs.map(([low, width]) => Math.min(1, (low + width) / 100)),
  }))

describe('regions of blends', () => {
  it('have corners that keep every bound and sum to 1, or none where bounds cannot be kept', () => {
    fc.assert(
      fc.property(bounds, ({ lower, upper }) => {
        const { feasible, vertices, centroid } = regionOf(lower, upper)
        expect(feasible).toBe(sum(lower) <= 1 + 1e-9 && sum(upper) >= 1 - 1e-9)
        for (const point of [...vertices, ...(centroid === null ? [] : [centroid])]) {
          expect(sum(point)).toBeCloseTo(1, 9)
          point.forEach((value, at) => {
            expect(value).toBeGreaterThanOrEqual((lower[at] ?? 0) - 1e-8)
            expect(value).toBeLessThanOrEqual((upper[at] ?? 1) + 1e-8)
          })
        }
        if (feasible) expect(vertices.length).toBeGreaterThan(0)
      }),
      { numRuns: 300 },
    )
  })

  it('go to pseudo-components and back', () => {
    fc.assert(
      fc.property(bounds, ({ lower, upper }) => {
        const { feasible, centroid } = regionOf(lower, upper)
        if (!feasible || centroid === null || sum(lower) > 0.99) return
        fromPseudo(toPseudo(centroid, lower), lower).forEach((value, at) =>
          expect(value).toBeCloseTo(centroid[at] ?? 0, 9),
        )
      }),
    )
  })

  it.each([
    [3, 2, 6],
    [4, 2, 10],
    [5, 3, 35],
  ])('lattice {%i, %i} has %i blends', (q, m, count) => {
    const points = simplexLattice(q, m)
    expect(points).toHaveLength(count)
    expect(points.every((point) => Math.abs(sum(point) - 1) < 1e-12)).toBe(true)
  })

  it('centroids are one for each subset', () => {
    expect(simplexCentroid(4)).toHaveLength(15)
  })
})

describe('fits', () => {
  const truth = [5, 7, 4, 6, -3, 2]
  const terms = termsOf(3, 'quadratic')
  const valueAt = (x: readonly number[]) =>
    sum(termValues(x, terms).map((value, at) => value * (truth[at] ?? 0)))
  const runs = [...simplexLattice(3, 3), [0.3, 0.3, 0.4], [0.3, 0.3, 0.4]]

  it('find what was put in, and say how sure: nine of ten new batches lie in the interval', () => {
    const normal = normalFrom(5)
    let inside = 0
    const rounds = 300
    for (let round = 0; round < rounds; round += 1) {
      const y = runs.map((x) => valueAt(x) + 0.4 * normal())
      const fit = fitMixture(runs, y, 'quadratic', [[0.2, 0.5, 0.3]])
      if (fit.coefficients === null) throw new Error('no fit')
      const [low, high] = fit.predictions[0]?.pi95 ?? [0, 0]
      const batch = valueAt([0.2, 0.5, 0.3]) + 0.4 * normal()
      if (batch >= low && batch <= high) inside += 1
    }
    expect(inside / rounds).toBeGreaterThan(0.92)
    expect(inside / rounds).toBeLessThan(0.98)
  })

  it('leave the day out where it was a block, and say which terms cannot be told apart', () => {
    const day = runs.map((_, at) => (at % 2 === 0 ? 'Monday' : 'Tuesday'))
    const y = runs.map((x, at) => valueAt(x) + (at % 2 === 0 ? 0.7 : -0.7))
    const fit = fitBlocked(runs, y, day, 'quadratic')
    if (fit.coefficients === null) throw new Error('no fit')
    expect(fit.blockEffects[0]).toBeCloseTo(0.7, 6)
    truth.forEach((value, at) => expect(fit.coefficients[at]).toBeCloseTo(value, 6))
    expect(
      fitMixture(
        [
          [1, 0, 0],
          [0, 1, 0],
        ],
        [1, 2],
        'linear',
      ),
    ).toMatchObject({ status: 'singular', rank: 2 })
  })
})

describe('designs', () => {
  it.each([
    [4, ['ABC'], 8, 4],
    [5, ['AB', 'AC'], 8, 3],
    [5, ['ABCD'], 16, 5],
    [7, ['AB', 'AC', 'BC', 'ABC'], 8, 3],
    [3, [], 8, null],
  ] as const)(
    '2-level fraction of %i factors by %j: %i runs, resolution %s',
    (factors, generators, count, resolution) => {
      const design = fraction(factors, generators, null)
      expect(design.runs).toHaveLength(count)
      expect(design.resolution).toBe(resolution)
      // Every factor half low and half high, every pair balanced.
      for (let a = 0; a < factors; a += 1) {
        expect(sum(design.runs.map((run) => run[a] ?? 0))).toBe(0)
        for (let b = a + 1; b < factors; b += 1)
          expect(sum(design.runs.map((run) => (run[a] ?? 0) * (run[b] ?? 0)))).toBe(0)
      }
    },
  )

  it('by exchange span the model, within the candidates', () => {
    const { vertices, centroid } = regionOf([0.02, 0.2, 0.4, 0.05], [0.08, 0.4, 0.7, 0.2])
    const candidates = [...vertices, centroid ?? []]
    const { runs, logDet } = dOptimal(candidates, 'linear', 8, 3)
    expect(runs).toHaveLength(8)
    expect(runs.every((run) => run >= 0 && run < candidates.length)).toBe(true)
    expect(logDet).not.toBeNull()
    expect(dOptimal(candidates, 'quadratic', 5, 3).logDet).toBeNull()
  })
})

describe('next trial', () => {
  it('expects no improvement below zero, more where less is known, none where nothing is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.double({ min: 0, max: 3, noNaN: true }),
        (mean, sd) => {
          const ei = expectedImprovement(mean, sd, 6)
          expect(ei).toBeGreaterThanOrEqual(Math.max(0, mean - 6) - 1e-9)
          expect(expectedImprovement(mean, sd + 0.5, 6)).toBeGreaterThanOrEqual(ei - 1e-9)
        },
      ),
    )
  })

  it('a process is sure where it was, and knows nothing far away', () => {
    const x = [
      [0.1, 0.2],
      [0.6, 0.5],
    ]
    const process = {
      kernel: 'matern52',
      lengthScales: [0.2, 0.2],
      signalSd: 1.5,
      noiseSd: 0.001,
      priorMean: 5,
    } as const
    const { mean, sd } = predictProcess(x, [3, 8], [...x, [5, 5]], process)
    expect(mean[0]).toBeCloseTo(3, 3)
    expect(mean[1]).toBeCloseTo(8, 3)
    expect(mean[2]).toBeCloseTo(5, 6)
    expect(sd[0]).toBeLessThan(0.01)
    expect(sd[2]).toBeCloseTo(1.5, 6)
  })

  it('a prior gives way to what was measured', () => {
    const rows = Array.from({ length: 40 }, () => [1, 0]).concat(Array.from({ length: 40 }, () => [0, 1]))
    const y = rows.map(([first]) => (first === 1 ? 7 : 3))
    const prior = {
      mean: [5, 5],
      covariance: [
        [1, 0],
        [0, 1],
      ],
    }
    const { posteriorMean, meanSd } = linearKnownNoise(rows, y, prior, 0.5, [[1, 0]])
    expect(posteriorMean[0]).toBeCloseTo(7, 1)
    expect(posteriorMean[1]).toBeCloseTo(3, 1)
    expect(meanSd[0]).toBeLessThan(0.1)
  })

  it('one thing that is not had at all is not made up for by others', () => {
    const wanted = [
      { kind: 'maximise', low: 3, high: 8, weight: 1, importance: 1 },
      { kind: 'target', low: 2, target: 5, high: 8, weightLow: 1, weightHigh: 1, importance: 3 },
    ] as const
    const d = wanted.map((one, at) => desirabilityOf(one, [9, 8.5][at] ?? 0))
    expect(d).toEqual([1, 0])
    expect(overallDesirability(wanted, d)).toBe(0)
    expect(desirabilityOf(wanted[1], 5)).toBe(1)
  })
})
