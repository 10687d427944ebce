import Papa from 'papaparse'
import { fail, ok, type Result } from '../model'
import { LARGEST_FILE, tooLarge } from './safeJson'

/** A table read from delimited text: its columns and rows, all as text. */
export interface TextTable {
  readonly columns: readonly string[]
  readonly rows: readonly (readonly string[])[]
  readonly delimiter: string
  /** True where numbers are written 1,5. */
  readonly isDecimalComma: boolean
}

const MOST_ROWS = 20_000
const MOST_COLUMNS = 200
const DECIMAL_COMMA = /^-?\d+,\d{1,2}$/
const DECIMAL_POINT = /^-?\d+\.\d+$/

/**
 * Reads delimited text with a header row; the delimiter and the decimal mark are found from the content.
 * @returns columns and rows; an issue where there is no table in it
 */
export function readTable(text: string): Result<TextTable> {
  if (text.length > LARGEST_FILE) return tooLarge(text.length / 1e6)
  const { data, meta } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' })
  const [header, ...rows] = data
  const columns = (header ?? []).map((name) => name.trim())
  if (columns.length < 2 || rows.length === 0) {
    return fail({
      code: 'no-table',
      path: [],
      message:
        'This file holds no table: it needs a header row and at least two columns. Nothing was changed.',
    })
  }
  if (rows.length > MOST_ROWS || columns.length > MOST_COLUMNS) {
    return fail({
      code: 'too-long',
      path: [],
      message: `A table holds up to ${MOST_ROWS} rows. Nothing was changed. Split the file.`,
    })
  }
  const cells = rows.slice(0, 500).flat()
  const commas = cells.filter((cell) => DECIMAL_COMMA.test(cell.trim())).length
  const points = cells.filter((cell) => DECIMAL_POINT.test(cell.trim())).length
  return ok({ columns, rows, delimiter: meta.delimiter, isDecimalComma: commas > points })
}

/** A cell as a number in the table's own writing; null for an empty cell, NaN for one that is no number. */
export function numberCell(
  cell: string,
  { isDecimalComma }: Pick<TextTable, 'isDecimalComma'>,
): number | null {
  const bare = cell.trim().replace(/[^\d.,eE+-]/g, '')
  if (cell.trim() === '') return null
  const plain = isDecimalComma ? bare.replaceAll('.', '').replace(',', '.') : bare.replaceAll(',', '')
  return plain === '' ? Number.NaN : Number(plain)
}
