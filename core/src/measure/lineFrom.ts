import type { FormulaLine } from '../model'
import type { LineReader, ReadLine } from './lineTypes'
import { readLine, readLines } from './readLine'

/** What making lines of text needs: a reader, and ids from the caller. */
export interface LineMaker {
  readonly reader: LineReader
  readonly newId: () => string
}

const lineOf = (
  { text, amount, open, food, prep, ingredientId, isOptional }: ReadLine,
  newId: () => string,
): FormulaLine => ({ id: newId(), text, amount, open, food, prep, ingredientId, choice: 'read', isOptional })

/** A formula line from its text, by the first food that it names. */
export const lineFrom = (text: string, { reader, newId }: LineMaker): FormulaLine =>
  lineOf(readLine(text, reader), newId)

/** The formula lines of a written one: one for each food that it names, each with the whole written text. */
export function linesFrom(text: string, { reader, newId }: LineMaker): FormulaLine[] {
  const read = readLines(text, reader)
  if (read.length === 1) return read.map((one) => lineOf(one, newId))
  return read.map((one, at) => ({ ...lineOf(one, newId), sharesText: at === 0 ? 'first' : 'more' }))
}
