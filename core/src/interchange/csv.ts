import Papa from 'papaparse'

/** Rows as RFC 4180 text. Cells that a spreadsheet would run as a formula are written so that it does not. */
export const toCsv = (
  header: readonly string[],
  rows: readonly (readonly (string | number | null)[])[],
): string =>
  `${Papa.unparse({ fields: [...header], data: rows.map((row) => row.map((cell) => cell ?? '')) }, { escapeFormulae: /^(?:[=@\t\r]|[+-](?!\d))/, newline: '\r\n' })}\r\n`
