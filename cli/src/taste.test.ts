import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { main } from './main'

interface Tolerance {
  readonly abs?: number
  readonly rel?: number
  readonly fields?: Readonly<Record<string, Tolerance>>
}
interface Case {
  readonly id: string
  readonly fn: string
  readonly description: string
  readonly input: unknown
  readonly expected: unknown
  readonly tolerance: Tolerance
}
const { cases } = JSON.parse(
  readFileSync(new URL('../../core/test/sensory-cases.json', import.meta.url), 'utf8'),
) as { readonly cases: readonly Case[] }

/** Where a result is not as it is expected, within the tolerance. */
function misses(actual: unknown, expected: unknown, tolerance: Tolerance, at = ''): string[] {
  if (typeof expected === 'number' && typeof actual === 'number') {
    const isInteger = Number.isInteger(expected) && Number.isInteger(actual)
    const most = (tolerance.abs ?? 0) + (tolerance.rel ?? 0) * Math.abs(expected)
    return actual === expected || (!isInteger && Math.abs(actual - expected) <= most)
      ? []
      : [`${at}: ${actual} is not ${expected}`]
  }
  if (typeof expected !== 'object' || expected === null || typeof actual !== 'object' || actual === null)
    return Object.is(actual, expected)
      ? []
      : [`${at}: ${JSON.stringify(actual)} is not ${JSON.stringify(expected)}`]
  const given = new Map(Object.entries(actual))
  const lengths =
    Array.isArray(expected) && (!Array.isArray(actual) || actual.length !== expected.length)
      ? [`${at}: another length`]
      : []
  return [
    ...lengths,
    ...Object.entries(expected).flatMap(([key, value]) => {
      const own = tolerance.fields?.[key]
      return misses(
        given.get(key),
        value,
        own === undefined ? tolerance : { ...own, ...(tolerance.fields && { fields: tolerance.fields }) },
        `${at}.${key}`,
      )
    }),
  ]
}

async function taste(input: unknown) {
  let out = ''
  let err = ''
  const code = await main(['taste'], {
    input: () => (typeof input === 'string' ? input : JSON.stringify(input)),
    out: (text) => {
      out += text
    },
    err: (text) => {
      err += text
    },
  })
  return { code, out, err }
}

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
