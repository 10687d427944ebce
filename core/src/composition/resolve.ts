import { lineMass, type MeasureNote, unnamedMass } from '../measure'
import type { FormulaLine, Ingredient, Kitchen, Library, Measured, Part } from '../model'

/** A formula line with its food and its grams. */
export interface ResolvedLine {
  readonly line: FormulaLine
  readonly food: Ingredient | null
  readonly mass: Measured | null
  readonly notes: readonly MeasureNote[]
}

interface Memo {
  readonly library: Library
  readonly kitchen: Kitchen
  readonly resolved: ResolvedLine
}
const memo = new WeakMap<FormulaLine, Memo>()

/** One line with its food and its grams, by a list of foods. */
export function resolveLine(
  line: FormulaLine,
  ingredients: Library['ingredients'],
  kitchen: Kitchen,
): ResolvedLine {
  const food = line.ingredientId === null ? null : (ingredients.get(line.ingredientId) ?? null)
  if (food === null || line.amount === null) {
    return { line, food, mass: food === null ? unnamedMass(line, kitchen) : null, notes: [] }
  }
  const { mass, notes } = lineMass(line.amount, food, line.food.toLowerCase(), kitchen)
  return { line, food, mass, notes }
}

/**
 * The lines of a part with their foods and grams. Lines are memoised by identity, so an edit resolves one line.
 * @returns one entry a line, in order; food null where the library has none, mass null where it cannot be known
 */
export function resolveLines(part: Part, library: Library, kitchen: Kitchen): ResolvedLine[] {
  return part.lines.map((line) => {
    const known = memo.get(line)
    if (known !== undefined && known.library === library && known.kitchen === kitchen) return known.resolved
    const resolved = resolveLine(line, library.ingredients, kitchen)
    memo.set(line, { library, kitchen, resolved })
    return resolved
  })
}
