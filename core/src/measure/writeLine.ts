import type { Amount, FormulaLine, Ingredient, Kitchen } from '../model'
import { composeLine, formatAmount } from './format'

/** Step of printed grams: 0.05 below 1, 0.1 to 10, 1 to 100, 5 to 1000, then 10. @source practice */
export function gramStep(grams: number): number {
  if (grams < 1) return 0.05
  if (grams < 10) return 0.1
  if (grams < 100) return 1
  return grams < 1000 ? 5 : 10
}

/** Step in which a line is weighed: as a scale shows it, and as it is printed. */
export function weighingStep(massG: number, { scaleStepG, fineScaleStepG }: Kitchen): number {
  const scale = fineScaleStepG !== null && massG < 200 ? fineScaleStepG : scaleStepG
  return Math.max(gramStep(massG), scale)
}

/** A line with another amount: its text says it. */
export function withAmount(line: FormulaLine, amount: Amount): FormulaLine {
  return { ...line, amount, text: composeLine(formatAmount(amount), line) }
}

/** A line that states so many grams. @param grams 0 or more */
export function gramsLine(line: FormulaLine, grams: number): FormulaLine {
  const term = {
    sign: 1 as const,
    low: grams,
    high: grams,
    unit: 'g' as const,
    qualifier: null,
    size: null,
    pack: null,
  }
  return withAmount(line, { terms: [term], isApproximate: false })
}

/** What a cook calls a food in a line: "cooked black-eyed peas" for "Black-eyed peas, cooked". */
export function foodPhrase({ name }: Pick<Ingredient, 'name'>): string {
  const plain = name.replace(/\s*\([^)]*\)/g, '').trim()
  const [first = '', ...rest] = plain.split(/,\s*/)
  const lower = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1)
  const before = rest
    .map((part) => (part.startsWith('cooked ') ? 'cooked' : (part.split(' or ')[0] ?? part)))
    .filter((part) => part.split(' ').length <= MOST_BEFORE)
  return [...before, lower(first)].join(' ')
}
/** Longer descriptions behind a food's name are no part of what it is called. */
const MOST_BEFORE = 2

/** What a step calls a food: "olive oil" for "Olive oil, extra virgin". */
export function foodName({ name }: Pick<Ingredient, 'name'>): string {
  const plain = (name.split(',')[0] ?? name).replace(/\s*\([^)]*\)/g, '').trim()
  return plain.charAt(0).toLowerCase() + plain.slice(1)
}

/** A line of a food that the library knows, in grams. */
export function foodLine(food: Ingredient, massG: number, id: string): FormulaLine {
  return gramsLine(
    {
      id,
      text: '',
      amount: null,
      open: null,
      food: foodPhrase(food),
      prep: '',
      ingredientId: food.id,
      choice: 'chosen',
      isOptional: false,
    },
    massG,
  )
}
