import type { Amount, AmountTerm, FormulaLine, Measured } from '../model'
import { unitLabel } from './units'

const FRACTIONS: readonly (readonly [number, string])[] = [
  [1 / 8, '⅛'],
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [3 / 8, '⅜'],
  [1 / 2, '½'],
  [5 / 8, '⅝'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
  [7 / 8, '⅞'],
]

/** A number as a cook writes it: "1 ½" where a common fraction fits within 0.005, else up to three digits. */
export function formatNumber(value: number): string {
  const whole = Math.floor(value + 1e-9)
  const part = value - whole
  if (part < 0.005) return String(whole)
  const fraction = FRACTIONS.find(([size]) => Math.abs(part - size) < 0.005)
  if (fraction !== undefined) return whole === 0 ? fraction[1] : `${whole} ${fraction[1]}`
  return String(Number(value.toPrecision(value >= 100 ? 4 : 3)))
}

/** Units that people write with decimals, not fractions. */
const DECIMAL_UNITS: ReadonlySet<string> = new Set(['g', 'kg', 'mg', 'mL', 'cL', 'dL', 'L'])
const plain = (value: number, unit: string | null): string =>
  unit !== null && DECIMAL_UNITS.has(unit) ? String(Number(value.toPrecision(6))) : formatNumber(value)

function formatTerm(term: AmountTerm): string {
  const { low, high, unit, qualifier, size, pack } = term
  const number = low === high ? plain(low, unit) : `${plain(low, unit)}–${plain(high, unit)}`
  const content =
    pack === null ? '' : `${plain(pack.quantity, pack.unit)} ${unitLabel(pack.unit, pack.quantity)}`
  const words = [
    pack === null ? number : `${number} x ${content}`,
    qualifier === null || qualifier === 'level' ? '' : qualifier.replace('-', ' '),
    size ?? '',
    unit === null || unit === 'juiced' || unit === 'zested' ? '' : unitLabel(unit, high),
  ]
  return words.filter((word) => word !== '').join(' ')
}

/** An amount as text that reads back to the same amount. */
export function formatAmount(amount: Amount): string {
  const [first, ...others] = amount.terms
  if (first === undefined) return ''
  const rest = others.map((term) => ` ${term.sign < 0 ? 'less' : 'plus'} ${formatTerm(term)}`).join('')
  return `${amount.isApproximate ? 'about ' : ''}${formatTerm(first)}${rest}`
}

/** A line's text from the words of its amount: "60 g" and the rest of the line as it was. */
export function composeLine(amount: string, { food, prep }: Pick<FormulaLine, 'food' | 'prep'>): string {
  const measured = [amount, food].filter((words) => words !== '').join(' ')
  return prep === '' ? measured : `${measured}, ${prep}`
}

/** Digits that a mass deserves: tens from sd 10 g, whole grams from 1 g, tenths below. */
export function massDigits(massG: number, sdG: number): number {
  if (sdG >= 1 || massG >= 100) return 0
  return massG < 1 ? 2 : massG < 10 || sdG < 0.35 ? 1 : 0
}

/** Grams for reading, without the unit: 48, 3.4, 0.35. @param measured g with sd in g */
export function formatGrams({ value, sd }: Measured): string {
  const shown = sd >= 10 && value >= 200 ? Math.round(value / 5) * 5 : value
  return shown.toFixed(massDigits(value, sd)).replace(/\.0+$/, '')
}

/** The plus-minus of a mass, or '' where it is under 2 % and not worth saying. */
export function formatSpread({ value, sd }: Measured): string {
  if (value === 0 || sd / value < 0.02) return ''
  return `±${sd >= 10 ? Math.round(sd) : Number(sd.toPrecision(1))}`
}
