import { composeLine, formatAmount } from '../measure'
import type { Amount, Dish, FormulaLine, Part } from '../model'
import { scaleStep } from './scaleStep'

/** Terms that hold a whole pack keep its stated content: only their number scales. */
const scaledAmount = (amount: Amount, factor: number): Amount => ({
  ...amount,
  terms: amount.terms.map((term) => ({ ...term, low: term.low * factor, high: term.high * factor })),
})

/** A line with its amount times `factor`, in its own unit. The amount is exact; the text is as a cook would write it. */
export function scaleLine(line: FormulaLine, factor: number): FormulaLine {
  if (line.amount === null || factor === 1) return line
  const amount = scaledAmount(line.amount, factor)
  return { ...line, amount, text: composeLine(formatAmount(amount), line) }
}

export function scalePart(part: Part, factor: number): Part {
  return {
    ...part,
    lines: part.lines.map((line) => scaleLine(line, factor)),
    steps: part.steps.map((step) => scaleStep(step, factor)),
    ways: part.ways.map((way) => ({ ...way, steps: way.steps.map((step) => scaleStep(step, factor)) })),
    cookedMassG: part.cookedMassG === null ? null : part.cookedMassG * factor,
  }
}

/**
 * A dish times `factor`: every amount, weighed mass and the portions, so that a portion stays what it was.
 * Scaling up and down again gives the same grams (to rounding of doubles): amounts are never rounded here.
 * @param factor above 0
 */
export function scaleDish(dish: Dish, factor: number): Dish {
  if (!(factor > 0) || !Number.isFinite(factor))
    throw new RangeError(`scaleDish: factor ${factor} is not above 0`)
  return {
    ...dish,
    aim: { ...dish.aim, portions: dish.aim.portions * factor },
    parts: dish.parts.map((part) => scalePart(part, factor)),
  }
}
