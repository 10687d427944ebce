import { composeLine, formatAmount, lineFrom, linesFrom, readAmount } from '@frijol/core/measure'
import type { Amount, FormulaLine } from '@frijol/core/model'
import { newId } from './ids'
import { lineReader } from './kitchen'

/** A new formula line from what was typed. */
export const typedLine = (text: string): FormulaLine => lineFrom(text, { reader: lineReader(), newId })

/** The formula lines of what was typed: one for each food that it names. */
export const typedLines = (text: string): FormulaLine[] => linesFrom(text, { reader: lineReader(), newId })

/** Every line of a paste. */
export const pastedLines = (text: string): FormulaLine[] =>
  text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .flatMap(typedLines)

/** A line read anew from its whole text; a food that was chosen by hand stays if the words still fit no other. */
export function rereadLine(line: FormulaLine, text: string): FormulaLine[] {
  const [read = typedLine(text), ...more] = typedLines(text)
  const keepsChoice = line.choice === 'chosen' && read.food === line.food
  const first: FormulaLine = {
    ...read,
    id: line.id,
    ...(keepsChoice ? { ingredientId: line.ingredientId, choice: 'chosen' as const } : {}),
  }
  return [first, ...more]
}

/** A line whose written words it no longer shares with another says its own. */
export function withOwnWords(lines: readonly FormulaLine[]): FormulaLine[] {
  return lines.map((line, at) => {
    if (line.sharesText === undefined) return line
    const isAlone =
      line.sharesText === 'first'
        ? !(lines[at + 1]?.sharesText === 'more' && lines[at + 1]?.text === line.text)
        : !(lines[at - 1]?.sharesText !== undefined && lines[at - 1]?.text === line.text)
    if (!isAlone) return line
    const own = { ...line }
    delete own.sharesText
    // Words that were composed for it since are its own already.
    return readsAsSeveral(line.text)
      ? { ...own, text: composeLine(line.amount === null ? '' : formatAmount(line.amount), line) }
      : own
  })
}
const readsAsSeveral = (text: string): boolean => typedLines(text).length > 1

/** A line with another amount; its text says so. null when the text is no amount. */
export function withAmountText(line: FormulaLine, text: string): FormulaLine | null {
  if (text.trim() === '') return { ...line, amount: null, open: 'unstated', text: composeLine('', line) }
  const amount = readAmount(text.trim())
  return amount === null ? null : { ...line, amount, open: null, text: composeLine(text.trim(), line) }
}

/** A line weighed out: its amount becomes grams. */
export function withGrams(line: FormulaLine, massG: number): FormulaLine {
  const shown = massG >= 10 ? Math.round(massG) : Number(massG.toFixed(1))
  return withAmountText(line, `${Math.max(0, shown)} g`) ?? line
}

const STEPS: Readonly<Record<string, number>> = {
  g: 5,
  kg: 0.1,
  mL: 10,
  L: 0.1,
  oz: 0.5,
  lb: 0.25,
  tsp: 0.25,
  tbsp: 0.5,
  cup: 0.25,
}

/** A line with its amount one step up or down, in its own unit. `times` is 1, or 10 with Shift. */
export function nudged(line: FormulaLine, direction: 1 | -1, times: number): FormulaLine {
  const first = line.amount?.terms[0]
  if (line.amount === null || first === undefined) return line
  const base = first.unit === null ? 1 : (STEPS[first.unit] ?? 1)
  const step = (first.unit === 'g' && first.low < 20 ? 1 : base) * times * direction
  const low = Math.max(0, Number((first.low + step).toFixed(4)))
  const high = first.low === first.high ? low : Math.max(low, Number((first.high + step).toFixed(4)))
  const amount: Amount = { ...line.amount, terms: [{ ...first, low, high }, ...line.amount.terms.slice(1)] }
  return { ...line, amount, text: composeLine(formatAmount(amount), line) }
}
