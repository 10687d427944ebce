import { readFileSync } from 'node:fs'
import Papa from 'papaparse'

export type Row = Record<string, string>

/** Reads a delimited file with a header row. Throws with the file's name and row when it is malformed. */
export function readTable(path: URL, delimiter = ','): Row[] {
  const parsed = Papa.parse<Row>(readFileSync(path, 'utf8'), {
    header: true,
    delimiter,
    skipEmptyLines: true,
    ...(delimiter === '|' ? { quoteChar: '\u0000' } : {}),
  })
  const problem = parsed.errors[0]
  if (problem !== undefined)
    throw new Error(`${path.pathname.split('/').at(-1)} row ${problem.row}: ${problem.message}`)
  return parsed.data
}

/** A cell as a number; an empty cell or "-" is null, never 0. */
export function numberIn(row: Row, column: string): number | null {
  const cell = row[column]?.trim() ?? ''
  if (cell === '' || cell === '-') return null
  const value = Number(cell)
  if (!Number.isFinite(value)) throw new Error(`${row['id'] ?? '?'}: ${column} is “${cell}”, not a number`)
  return value
}

/** A list cell: entries between semicolons. */
export const listIn = (row: Row, column: string): string[] =>
  (row[column] ?? '').split(';').flatMap((entry) => (entry.trim() === '' ? [] : [entry.trim()]))
