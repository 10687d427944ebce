import { describe, expect, it } from 'vitest'
import { casesOf, command, misses } from '../test/vectors'

const cases = casesOf('sensory-cases.json')
const taste = (input: unknown) => command('taste', input)

describe('taste, against values of independent statistics software', () => {
  it.each(cases.map((one) => [one.id, one.fn, one] as const))('%s %s', async (_, fn, one) => {
    const { code, out } = await taste({ fn, input: one.input })
    expect(code).toBe(0)
    expect(misses(JSON.parse(out), one.expected, one.tolerance)).toEqual([])
    expect(out).not.toMatch(/NaN|Infinity/)
  })

  it('answers an array in its order', async () => {
    const [a, b] = cases
    const { out } = await taste([a, b].map((one) => ({ fn: one?.fn, input: one?.input })))
    const results = JSON.parse(out) as unknown[]
    expect(results).toHaveLength(2)
    expect(misses(results[1], b?.expected, b?.tolerance ?? {})).toEqual([])
  })
})

describe('what does not fit is said, with exit code 2', () => {
  it.each([
    ['{', /no JSON/],
    [{ fn: 'nothing', input: {} }, /no calculation “nothing”/],
    [{ fn: 'discrimination.analyse', input: { protocol: 'triangle', correct: 9, n: 8 } }, /More are right/],
    [
      {
        fn: 'discrimination.analyse',
        input: { protocol: 'triangle', correct: 3, n: 8, alternative: 'two.sided' },
      },
      /guess of one half/,
    ],
    [{ fn: 'anova.mixed', input: { scores: [[[1], [2]], [[1]]] } }, /as many entries/],
    [{ fn: 'hedonic.paired', input: { test: [5, 6], reference: [5] } }, /as many scores/],
    [{ fn: 'design.codes', input: { samples: 100, panellists: 20, perPanellist: true } }, /one each/],
  ])('%j', async (input, said) => {
    const { code, out, err } = await taste(input)
    expect(code).toBe(2)
    expect(out).toBe('')
    const fault = JSON.parse(err) as { error: string; at: string; hint: string }
    expect(fault.error).toMatch(said)
    expect(fault.hint).not.toBe('')
  })
})
