import { ownIngredient } from '../composition'
import { findFood, type LineReader } from '../measure'
import {
  type Composition,
  type Ingredient,
  type Kitchen,
  type Library,
  NUTRIENTS,
  type Nutrient,
} from '../model'
import { toCsv } from './csv'
import { numberCell, type TextTable } from './readTable'

/** What a column of a pantry table can be. */
export const PANTRY_FIELDS = ['name', 'price', 'grams', 'pack', ...NUTRIENTS] as const
export type PantryField = (typeof PANTRY_FIELDS)[number]

export interface PantryRow {
  readonly name: string
  /** The library food it is, where that is sure. */
  readonly food: Ingredient | null
  readonly price: number | null
  readonly perG: number | null
  readonly packG: number | null
  readonly per100g: Partial<Composition>
  /** What keeps the row out, in words; null where it can come in. */
  readonly fault: string | null
}

const GUESSES: readonly (readonly [RegExp, PantryField])[] = [
  [/^(?:name|food|ingredient|item|product|zutat|produit)/i, 'name'],
  [/price|cost|preis|prix/i, 'price'],
  [/pack/i, 'pack'],
  [/^(?:g|grams?|mass|weight|gramm|per)\b/i, 'grams'],
  [/water|moisture/i, 'waterG'],
  [/protein/i, 'proteinG'],
  [/saturat/i, 'saturatedFatG'],
  [/^(?:total )?fat/i, 'fatG'],
  [/sugar/i, 'sugarsG'],
  [/starch/i, 'starchG'],
  [/fib(?:re|er)/i, 'fibreG'],
  [/carb/i, 'carbohydrateG'],
  [/sodium/i, 'sodiumMg'],
  [/potassium/i, 'potassiumMg'],
  [/calcium/i, 'calciumMg'],
  [/iron/i, 'ironMg'],
  [/^ash/i, 'ashG'],
  [/alcohol/i, 'alcoholG'],
]

/** The likely meaning of each column, by its name; each field once. */
export function guessColumns({ columns }: TextTable): (PantryField | null)[] {
  const taken = new Set<PantryField>()
  return columns.map((column) => {
    const field = GUESSES.find(([pattern, wanted]) => pattern.test(column) && !taken.has(wanted))?.[1] ?? null
    if (field !== null) taken.add(field)
    return field
  })
}

/** Rows of a table by the meaning of its columns, each with what it would do. */
export function pantryRows(
  table: TextTable,
  meaning: readonly (PantryField | null)[],
  { index, ingredients }: Pick<LineReader, 'index' | 'ingredients'>,
): PantryRow[] {
  return table.rows.map((cells) => {
    const cell = (field: PantryField): string => cells[meaning.indexOf(field)]?.trim() ?? ''
    const number = (field: PantryField): number | null =>
      meaning.includes(field) ? numberCell(cell(field), table) : null
    const name = cell('name')
    const found = name === '' ? null : findFood(index, name).ingredientId
    const per100g = Object.fromEntries(
      NUTRIENTS.flatMap((nutrient): [Nutrient, number][] => {
        const value = number(nutrient)
        return value === null ? [] : [[nutrient, value]]
      }),
    ) as Partial<Composition>
    const row = {
      name,
      food: found === null ? null : (ingredients.get(found) ?? null),
      price: number('price'),
      perG: number('grams') ?? 1000,
      packG: number('pack'),
      per100g,
    }
    return { ...row, fault: faultOf(row) }
  })
}

function faultOf({ name, food, price, perG, packG, per100g }: Omit<PantryRow, 'fault'>): string | null {
  if (name === '') return 'no name'
  const numbers = [price, perG, packG, ...Object.values(per100g)].filter((value) => value !== null)
  if (numbers.some((value) => !Number.isFinite(value))) return 'a value is no number'
  if (numbers.some((value) => value < 0)) return 'a value is below 0'
  if (perG !== null && perG <= 0) return 'grams must be above 0'
  if (food !== null && Object.keys(per100g).length === 0)
    return price === null && packG === null ? 'nothing to take over' : null
  const made = ownIngredient({
    id: 'own-check',
    name,
    foodClass: 'savoury',
    per100g,
    allergens: [],
    source: 'table',
  })
  if (!made.ok) return made.issues[0]?.message ?? 'does not fit'
  return Object.keys(per100g).length === 0 ? 'not in the library, and no composition' : null
}

/** The pantry as CSV: what is priced, packed or one's own. Reads back through `pantryRows`. */
export function pantryCsv(kitchen: Kitchen, library: Library, own: readonly Ingredient[]): string {
  const ids = new Set([...kitchen.prices, ...kitchen.packs].map(({ ingredientId }) => ingredientId))
  for (const { id } of own) ids.add(id)
  const rows = [...ids].flatMap((id) => {
    const food = library.ingredients.get(id)
    if (food === undefined) return []
    const price = kitchen.prices.find(({ ingredientId }) => ingredientId === id)
    const pack = kitchen.packs.find(({ ingredientId }) => ingredientId === id)
    const composition =
      food.origin === 'own' ? NUTRIENTS.map((nutrient) => food.per100g[nutrient]) : NUTRIENTS.map(() => null)
    return [[food.name, price?.price ?? null, price?.perG ?? null, pack?.massG ?? null, ...composition]]
  })
  return toCsv(
    [
      'name',
      `price ${kitchen.currency}`,
      'grams',
      'pack g',
      ...NUTRIENTS.map((nutrient) => nutrient.replace(/G$/, ' g').replace(/Mg$/, ' mg')),
    ],
    rows,
  )
}
