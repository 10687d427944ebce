import { defaultKitchen, Ingredient, Kitchen } from '@frijol/core/model'
import { liveQuery } from 'dexie'
import { database } from './database'
import { parsing } from './dishes'
import { type BadRow, documentRepository } from './documents'

/** The one document of settings, prices and what was learned; the usual one until it is first changed. */
export const KITCHEN_ID = 'kitchen'

export const kitchenRepository = documentRepository<Kitchen>({
  kind: 'kitchen',
  table: 'kitchen',
  parse: parsing(Kitchen),
  initial: defaultKitchen,
})

export interface OwnFoods {
  readonly own: readonly Ingredient[]
  readonly bad: readonly BadRow[]
}

const parseIngredient = parsing(Ingredient)

/** Own foods among raw rows, and what is damaged. */
export function ownFoodsOf(rows: readonly unknown[]): OwnFoods {
  const own: Ingredient[] = []
  const bad: BadRow[] = []
  for (const raw of rows) {
    const read = parseIngredient(raw)
    if (read.ok) own.push(read.value)
    else {
      const id = (raw as { id?: unknown }).id
      const fault = read.issues[0]?.message ?? 'damaged'
      bad.push({ kind: 'bad', table: 'ingredients', id: typeof id === 'string' ? id : '', fault, raw })
    }
  }
  return { own, bad }
}

export const readOwnFoods = async (): Promise<OwnFoods> => ownFoodsOf(await database().ingredients.toArray())

/** Calls back with the own foods now and after each change in any tab. Returns the way to stop. */
export function watchOwnFoods(onChange: (foods: OwnFoods) => void): () => void {
  const subscription = liveQuery(() => database().ingredients.toArray()).subscribe({
    next: (rows) => onChange(ownFoodsOf(rows)),
    error: (error: unknown) => console.error(error),
  })
  return () => subscription.unsubscribe()
}

export async function saveIngredients(own: readonly Ingredient[]): Promise<void> {
  await database().ingredients.bulkPut([...own])
}

export const removeIngredient = (id: string): Promise<void> => database().ingredients.delete(id)
