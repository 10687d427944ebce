import { readFileSync } from 'node:fs'
import { main } from '../src/main'

export interface Tolerance {
  readonly abs?: number
  readonly rel?: number
  readonly fields?: Readonly<Record<string, Tolerance>>
}
export interface Case {
  readonly id: string
  readonly fn: string
  readonly description: string
  readonly input: unknown
  readonly expected: unknown
  readonly tolerance: Tolerance
}
/** Reference cases that stand in the core's test folder. */
export const casesOf = (name: string): readonly Case[] =>
  (
    JSON.parse(readFileSync(new URL(`../../core/test/${name}`, import.meta.url), 'utf8')) as {
      readonly cases: readonly Case[]
    }
  ).cases

/** Where a result is not as it is expected, within the tolerance. */
export function misses(actual: unknown, expected: unknown, tolerance: Tolerance, at = ''): string[] {
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

/** Runs a command of the line with text or JSON on standard input. */
export async function command(name: string, input: unknown) {
  let out = ''
  let err = ''
  const code = await main([name], {
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
