import fc from 'fast-check'
import { beforeAll, describe, expect, it } from 'vitest'
import { createSolver, type SolveLinear } from '../solver'
import { inSteps, ROUNDING } from './rounding'
import type { Knob, Output, Problem } from './problemTypes'
import { CLOSEST, distanceOf, search } from './search'

const INF = Number.POSITIVE_INFINITY
let solve: SolveLinear
beforeAll(async () => {
  solve = await createSolver()
})

const knob = (id: string, now: number, low: number, high: number): Knob => ({
  kind: 'line',
  id,
  name: id,
  at: 0,
  now,
  low,
  high,
  scale: now,
  step: 1,
  mLPerG: null,
})
const output = (kind: Output['kind'], id: string, low: number, high: number, weight = 0): Output => ({
  kind,
  id,
  label: id,
  unit: '',
  low,
  high,
  weight,
  scale: kind === 'attribute' ? 1 : Math.max(1, Math.min(Math.abs(low), Math.abs(high))),
})

/** A problem whose figures are formulas of its knobs. */
function problemWith(
  knobs: readonly Knob[],
  outputs: readonly Output[],
  figures: (x: Float64Array) => number[],
): Problem {
  const count = { evaluations: 0 }
  return {
    knobs,
    outputs,
    start: Float64Array.from(knobs, ({ now }) => now),
    look: (x) => {
      count.evaluations += 1
      return Float64Array.from(figures(x))
    },
    count,
    before: null as never,
    part: null as never,
    unknown: [],
  }
}

describe('a search', () => {
  it('brings curved figures into their bands', () => {
    const problem = problemWith(
      [knob('a', 50, 5, 200), knob('b', 50, 5, 200)],
      [output('attribute', 'firm', 6, 8, 3), output('attribute', 'salty', 4, 6, 2)],
      ([a = 0, b = 0]) => [10 / (1 + Math.exp(-(a - b) / 30)), 10 * (1 - Math.exp(-b / 60))],
    )
    const found = search(problem, problem.start, CLOSEST, solve)
    expect(found.distance).toBeLessThan(1e-3)
    expect(problem.count.evaluations).toBeLessThan(100)
  })

  it('keeps a limit to the last, and tells that it pulls', () => {
    const problem = problemWith(
      [knob('a', 40, 0, 200)],
      [output('attribute', 'salty', 8, 10, 1), output('limit', 'sodium', -INF, 90)],
      ([a = 0]) => [a / 20, a],
    )
    const found = search(problem, problem.start, CLOSEST, solve)
    expect(found.x[0]).toBeCloseTo(90, 2)
    expect(found.distance).toBeCloseTo(3.5, 3)
    // One unit more of sodium brings 1/20 of a point.
    expect(found.pull[1]).toBeCloseTo(1 / 20, 3)
  })

  it('leaves alone what is in its band already', () => {
    const problem = problemWith(
      [knob('a', 40, 0, 200)],
      [output('attribute', 'firm', 1, 3, 1)],
      ([a = 0]) => [a / 20],
    )
    expect(search(problem, problem.start, CLOSEST, solve).x[0]).toBe(40)
  })

  it('moves only what is free', () => {
    const problem = problemWith(
      [knob('a', 40, 0, 200), knob('b', 40, 0, 200)],
      [output('attribute', 'firm', 6, 6.5, 1)],
      ([a = 0, b = 0]) => [(a + b) / 20],
    )
    const { x } = search(problem, problem.start, { ...CLOSEST, free: new Set([1]) }, solve)
    expect(x[0]).toBe(40)
    expect(x[1]).toBeCloseTo(80, 1)
  })

  it('never leaves the bounds, and never ends worse than it began', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: 9, maxLength: 9 }),
        fc.double({ min: 0, max: 9, noNaN: true }),
        (slopes, low) => {
          const problem = problemWith(
            [knob('a', 30, 10, 60), knob('b', 30, 10, 60), knob('c', 30, 10, 60)],
            [
              output('attribute', 'one', low, low + 1, 2),
              output('attribute', 'two', 3, 4, 1),
              output('limit', 'three', -INF, 40),
            ],
            (x) =>
              [0, 3, 6].map((first) => {
                const sum = x.reduce(
                  (total, value, at) => total + ((slopes[first + at] ?? 0) * value) / 30,
                  0,
                )
                return first === 6 ? 20 + 10 * sum : 10 / (1 + Math.exp(-sum))
              }),
          )
          const before = problem.look(problem.start)
          const found = search(problem, problem.start, CLOSEST, solve)
          found.x.forEach((value, at) => {
            expect(value).toBeGreaterThanOrEqual((problem.knobs[at]?.low ?? 0) - 1e-9)
            expect(value).toBeLessThanOrEqual((problem.knobs[at]?.high ?? 0) + 1e-9)
          })
          const broken = Math.max(0, (before[2] ?? 0) - 40) / 40
          expect(found.merit).toBeLessThanOrEqual(distanceOf(problem.outputs, before) + 60 * broken + 1e-9)
        },
      ),
      { numRuns: 60, seed: 11 },
    )
  })
})

describe('rounding to what can be weighed', () => {
  it('takes whole steps, together, that keep the limit', () => {
    const problem = problemWith(
      [knob('a', 40, 0, 200), knob('b', 40, 0, 200)],
      [output('attribute', 'firm', 6, 6.1, 1), output('limit', 'sodium', -INF, 100)],
      ([a = 0, b = 0]) => [a / 10 - 0.013 * b, a + 0.7 * b],
    )
    const { x } = search(problem, problem.start, CLOSEST, solve)
    const steps = inSteps(problem, x, ROUNDING, solve)
    expect(steps).not.toBeNull()
    for (const value of steps ?? []) expect(value).toBe(Math.round(value))
    expect(problem.look(steps ?? x)[1]).toBeLessThanOrEqual(100)
  })

  it('says so where no steps keep it', () => {
    const problem = problemWith(
      [knob('a', 40, 39.4, 40.6)],
      [output('attribute', 'firm', 9, 10, 1), output('limit', 'sodium', -INF, 39.7)],
      ([a = 0]) => [a / 10, a],
    )
    const { x } = search(problem, problem.start, CLOSEST, solve)
    expect(inSteps(problem, x, ROUNDING, solve)).toBeNull()
  })
})
