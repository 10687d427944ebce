import { type Ingredient, NUTRIENTS } from '@frijol/core/model'
import { numberIn, type Row } from './table'

type Nutrient = (typeof NUTRIENTS)[number]
const isNutrient = (field: string): field is Nutrient => (NUTRIENTS as readonly string[]).includes(field)

/** How far the value that a revision replaces may lie from the one it names: rounding. */
const SAME_SHARE = 0.02
const SAME_LEAST = 0.02

const isSame = (now: number | null, named: number | null): boolean =>
  now === null || named === null
    ? now === named
    : Math.abs(now - named) <= Math.max(SAME_LEAST, SAME_SHARE * Math.abs(named))

/**
 * The second look at the composition tables: single values replaced, each by the row of `revisions.csv` that says what
 * stood there, what stands now, within which range, how sure and why. Rows that were left say why they were.
 *
 * @returns the revised foods and what is wrong with the rows: a food or field that does not exist, a value named as the
 *   former one that is not, a value outside its own range
 */
export function revised(
  ingredients: readonly Ingredient[],
  rows: readonly Row[],
): { readonly ingredients: Ingredient[]; readonly faults: string[] } {
  const foods = new Map(ingredients.map((food) => [food.id, food]))
  const faults: string[] = []
  for (const row of rows) {
    const { id = '', field = '', taken = '' } = row
    const food = foods.get(id)
    const at = `revisions: ${id} ${field}`
    if (food === undefined) {
      faults.push(`${at}: no such food`)
      continue
    }
    if (taken === 'no' && (row['left_because'] ?? '') === '') faults.push(`${at}: left without a reason`)
    if (taken !== 'yes') continue
    const value = numberIn(row, 'value')
    const named = row['was'] === 'null' ? null : numberIn(row, 'was')
    const now =
      field === 'statedEnergyKcal'
        ? food.statedEnergyKcal
        : isNutrient(field)
          ? food.per100g[field]
          : undefined
    if (now === undefined || value === null) faults.push(`${at}: no such field, or no value`)
    else if (!isSame(now, named))
      faults.push(`${at}: ${String(named)} is named as the former value, ${String(now)} is`)
    else if (value < (numberIn(row, 'low') ?? value) || value > (numberIn(row, 'high') ?? value))
      faults.push(`${at}: ${value} lies outside its own range`)
    else foods.set(id, withValue(food, field, value))
  }
  return { ingredients: [...foods.values()], faults }
}

function withValue(food: Ingredient, field: string, value: number): Ingredient {
  const source = food.source.endsWith(REVISED) ? food.source : `${food.source}${REVISED}`
  return field === 'statedEnergyKcal'
    ? { ...food, statedEnergyKcal: value, source }
    : { ...food, per100g: { ...food.per100g, [field]: value }, source }
}
const REVISED = '; single values revised'
