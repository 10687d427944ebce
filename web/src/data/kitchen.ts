import { type BackupContent, defaultKitchen, type Ingredient, Kitchen } from '@frijol/core/model'
import { database } from './database'

export async function readKitchen(): Promise<{ kitchen: Kitchen; own: Ingredient[] }> {
  const [row, own] = await Promise.all([database.kitchen.get('kitchen'), database.ingredients.toArray()])
  return { kitchen: row === undefined ? defaultKitchen : Kitchen.parse(row.kitchen), own }
}

export async function saveKitchen(kitchen: Kitchen): Promise<void> {
  await database.kitchen.put({ id: 'kitchen', kitchen })
}

/** Everything the kitchen holds, for a backup. */
export async function readAll(): Promise<BackupContent> {
  const [{ kitchen, own }, rows, trials] = await Promise.all([
    readKitchen(),
    database.dishes.toArray(),
    database.trials.toArray(),
  ])
  return { kitchen, dishes: rows.map(({ dish }) => dish), trials, ingredients: own }
}

/** Ids in a backup that this browser already holds. */
export async function clashes(content: BackupContent): Promise<string[]> {
  const ids = content.dishes.map(({ id }) => id)
  const found = await database.dishes.bulkGet(ids)
  return found.flatMap((row) => (row === undefined ? [] : [row.dish.name]))
}

/** Puts a backup's content in, all or nothing. Dishes of the same id are replaced. */
export async function restoreAll(content: BackupContent, savedBy: string): Promise<void> {
  const { dishes, trials, ingredients, kitchen } = database
  await database.transaction('rw', dishes, trials, ingredients, kitchen, async () => {
    const now = Date.now()
    await dishes.bulkPut(
      content.dishes.map((dish, at) => ({
        id: dish.id,
        dish,
        past: [],
        future: [],
        savedBy,
        savedAt: now - at,
      })),
    )
    await trials.bulkPut(content.trials)
    await ingredients.bulkPut(content.ingredients)
    await kitchen.put({ id: 'kitchen', kitchen: content.kitchen })
  })
}

export async function saveIngredients(own: readonly Ingredient[]): Promise<void> {
  await database.ingredients.bulkPut([...own])
}

export const removeIngredient = (id: string): Promise<void> => database.ingredients.delete(id)
