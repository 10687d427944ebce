import type { AttributeTable, RatioTable, Term } from './family'
import { inputOf } from './inputs'

const shown = (value: number): string => String(Number(value.toPrecision(3))).replace('-', '−')
const joined = { mean: ' + ', product: ' × ', geomean: ' × ' } as const

function termText(
  { input, shape, points, weight }: Term,
  combine: AttributeTable['combine'],
  weights: number,
): string {
  const { label, unit } = inputOf(input)
  const bounds = points.map(shown).join(' to ')
  const name = label.charAt(0).toLowerCase() + label.slice(1)
  const text = `${shape}(${name}, ${bounds}${unit === '' ? '' : ` ${unit}`})`
  const share = weight / weights
  if (combine === 'product' || share === 1) return text
  return combine === 'mean' ? `${shown(share)} ${text}` : `${text}^${shown(share)}`
}

/** The equation of an attribute, from the same rows that evaluate it. */
export function attributeEquation({ combine, terms }: AttributeTable): string {
  const weights = terms.reduce((sum, { weight }) => sum + weight, 0)
  const parts = terms.map((one) => termText(one, combine, weights)).join(joined[combine])
  return `10 × ${terms.length > 1 && combine === 'mean' ? `(${parts})` : parts}`
}

/** Where an attribute's points come from, each source once. */
export const attributeSource = ({ terms }: AttributeTable): string =>
  [...new Set(terms.map(({ source }) => source))].join('; ')

export const ratioEquation = ({ input }: RatioTable): string => {
  const { label, unit, source } = inputOf(input)
  return `${label}${unit === '' ? '' : ` in ${unit}`}: ${source}`
}
