import { mixedIngredient, type OwnFood, ownIngredient, resolveLines } from '@frijol/core/composition'
import { numberCell, type TextTable, toCsv } from '@frijol/core/interchange'
import { findFood } from '@frijol/core/measure'
import {
  type Composition,
  fail,
  type Ingredient,
  NUTRIENTS,
  type Nutrient,
  type Result,
} from '@frijol/core/model'
import { assess } from '@frijol/core/assess'
import { removeIngredient, saveIngredients } from '../data'
import { newId } from './ids'
import { changeKitchen, lineReader, refreshFoods, useKitchenStore } from './kitchen'
import { useOpenDish } from './openDish'

const ownId = (): string =>
  `own-${newId()
    .toLowerCase()
    .replace(/[^a-z0-9]/g, 'x')}`

/** Keeps an ingredient of one's own, new or changed. */
export async function keepOwnFood(own: Omit<OwnFood, 'id'>, id: string | null): Promise<Result<Ingredient>> {
  const made = ownIngredient({ ...own, id: id ?? ownId() })
  if (!made.ok) return made
  await saveIngredients([made.value])
  await refreshFoods()
  return made
}

/** Takes an own ingredient away; returns the way to put it back. */
export async function removeOwnFood(food: Ingredient): Promise<() => Promise<void>> {
  await removeIngredient(food.id)
  await refreshFoods()
  return async () => {
    await saveIngredients([food])
    await refreshFoods()
  }
}

/** Keeps a part of the open dish as an ingredient: its composition per 100 g as cooked. */
export async function keepPartAsFood(partId: string): Promise<Result<Ingredient>> {
  const dish = useOpenDish.getState().value
  const { library, kitchen } = useKitchenStore.getState()
  const part = dish?.parts.find(({ id }) => id === partId)
  if (dish === null || part === undefined || library === null) {
    return fail({ code: 'no-part', path: [], message: 'This part is no longer there. Nothing was changed.' })
  }
  const cookedMassG =
    assess(dish, library, kitchen).parts.find((one) => one.partId === partId)?.cookedMassG ?? 0
  const made = mixedIngredient(
    ownId(),
    `${part.name} of ${dish.name}`.slice(0, 120),
    resolveLines(part, library, kitchen),
    cookedMassG,
  )
  if (!made.ok) return made
  await saveIngredients([made.value])
  await refreshFoods()
  return made
}

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
export function pantryRows(table: TextTable, meaning: readonly (PantryField | null)[]): PantryRow[] {
  const { index, ingredients } = lineReader()
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

/** Takes rows over: prices and packs of library foods, new own ingredients for the rest. Returns how many. */
export async function importPantry(rows: readonly PantryRow[], source: string): Promise<number> {
  const good = rows.filter(({ fault }) => fault === null)
  const made: Ingredient[] = []
  const ids = good.map(({ name, food, per100g }) => {
    if (food !== null && Object.keys(per100g).length === 0) return food.id
    const own = ownIngredient({ id: ownId(), name, foodClass: 'savoury', per100g, allergens: [], source })
    if (own.ok) made.push(own.value)
    return own.ok ? own.value.id : null
  })
  await saveIngredients(made)
  changeKitchen('import prices and packs', (kitchen) => {
    const prices = new Map(kitchen.prices.map((price) => [price.ingredientId, price]))
    const packs = new Map(kitchen.packs.map((pack) => [pack.ingredientId, pack]))
    good.forEach(({ price, perG, packG }, at) => {
      const ingredientId = ids[at]
      if (ingredientId == null) return
      if (price !== null && perG !== null) prices.set(ingredientId, { ingredientId, price, perG })
      if (packG !== null && packG > 0) packs.set(ingredientId, { ingredientId, massG: packG, label: 'pack' })
    })
    return { ...kitchen, prices: [...prices.values()], packs: [...packs.values()] }
  })
  await refreshFoods()
  return good.length
}

/** The pantry as CSV: what is priced, packed or one's own. Reads back through `pantryRows`. */
export function pantryCsv(): string {
  const { kitchen, library, own } = useKitchenStore.getState()
  const ids = new Set([...kitchen.prices, ...kitchen.packs].map(({ ingredientId }) => ingredientId))
  for (const { id } of own) ids.add(id)
  const rows = [...ids].flatMap((id) => {
    const food = library?.ingredients.get(id)
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
