import { fail, ok, type Result } from '../model'

/** Largest file that is read, in characters. */
export const LARGEST_FILE = 20_000_000
const DEEPEST = 60
const MOST_VALUES = 400_000
const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype'])

/** The message for a file over the limit; callers that know the size in bytes use it before they read the file. */
export const tooLarge = (megabytes: number) =>
  fail({
    code: 'too-large',
    path: [],
    message: `This file is ${Math.round(megabytes)} MB; up to ${LARGEST_FILE / 1e6} MB can be opened. Nothing was changed. Export a smaller part of it and open that.`,
  })

function unsafeReason(root: unknown): string | null {
  const open: { value: unknown; depth: number }[] = [{ value: root, depth: 0 }]
  let count = 0
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    const { value, depth } = next
    count += 1
    if (count > MOST_VALUES) return 'holds too many values'
    if (typeof value !== 'object' || value === null) continue
    if (depth > DEEPEST) return 'is nested too deeply'
    for (const [key, inner] of Object.entries(value)) {
      if (FORBIDDEN.has(key)) return `holds the key “${key}”, which is refused`
      open.push({ value: inner, depth: depth + 1 })
    }
  }
  return null
}

/** Parses JSON from outside: refuses huge, deep and prototype-changing input with a message. */
export function parseJson(text: string): Result<unknown> {
  if (text.length > LARGEST_FILE) return tooLarge(text.length / 1e6)
  let value: unknown
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ''))
  } catch (error) {
    const where = error instanceof Error ? error.message : ''
    return fail({
      code: 'not-json',
      path: [],
      message: `This is not valid JSON (${where.slice(0, 120)}). Nothing was changed. Check that the file was saved whole.`,
    })
  }
  const reason = unsafeReason(value)
  return reason === null
    ? ok(value)
    : fail({ code: 'unsafe-json', path: [], message: `This file ${reason}. Nothing was changed.` })
}
