import { describe, expect, it } from 'vitest'
import { casesOf, command, misses } from '../test/vectors'

const cases = casesOf('experiment-cases.json')
const experiment = (input: unknown) => command('experiment', input)

describe('experiment, against values of independent statistics software', () => {
  it.each(cases.filter(({ fn }) => fn !== 'mixture.dOptimal').map((one) => [one.id, one.fn, one] as const))(
    '%s %s',
    async (_, fn, one) => {
      const { code, out } = await experiment({ fn, input: one.input })
      expect(code).toBe(0)
      expect(misses(JSON.parse(out), one.expected, one.tolerance)).toEqual([])
      expect(out).not.toMatch(/NaN|Infinity/)
    },
  )

  it('exchanges points until the design is all but the best there is, the same for the same seed', async () => {
    const one = cases.find(({ fn }) => fn === 'mixture.dOptimal')
    const best = one?.expected as { bestLogDet: number; p: number; minDEfficiency: number }
    for (const seed of [1, 2, 3]) {
      const input = { ...(one?.input as object), seed }
      const { out } = await experiment({ fn: 'mixture.dOptimal', input })
      const { logDet, runs } = JSON.parse(out) as { logDet: number; runs: number[] }
      expect(Math.exp((logDet - best.bestLogDet) / best.p)).toBeGreaterThanOrEqual(best.minDEfficiency)
      expect(logDet).toBeLessThanOrEqual(best.bestLogDet + 1e-6)
      expect(runs).toHaveLength(6)
      expect((await experiment({ fn: 'mixture.dOptimal', input })).out).toBe(out)
    }
  })
})

describe('what does not fit is said, with exit code 2', () => {
  it.each([
    [{ fn: 'mixture.scheffeFit', input: { x: [[0.5, 0.4]], y: [1], model: 'linear' } }, /sum to 1/],
    [{ fn: 'mixture.scheffeFit', input: { x: [[0.5, 0.5]], y: [1, 2], model: 'linear' } }, /As many answers/],
    [{ fn: 'mixture.extremeVertices', input: { lower: [0, 0], upper: [1, 1, 1] } }, /As many upper bounds/],
    [{ fn: 'factorial.fraction', input: { factors: 3, generators: ['ab'] } }, /generator/],
    [{ fn: 'desirability', input: { responses: [], y: [] } }, /./],
  ])('%j', async (input, said) => {
    const { code, err } = await experiment(input)
    expect(code).toBe(2)
    expect((JSON.parse(err) as { error: string }).error).toMatch(said)
  })
})
