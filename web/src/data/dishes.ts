import type { Dish, Trial } from '@frijol/core/model'
import { liveQuery } from 'dexie'
import { type ChangeRecord, database, type DishRow } from './database'

/** Most undo steps that are kept with a dish. */
const MOST_CHANGES = 200

export const readDish = (id: string): Promise<DishRow | undefined> => database.dishes.get(id)

/** Saves a dish with its undo history in one transaction. */
export async function saveDish(
  dish: Dish,
  past: readonly ChangeRecord[],
  future: readonly ChangeRecord[],
  savedBy: string,
): Promise<void> {
  await database.dishes.put({
    id: dish.id,
    dish,
    past: past.slice(-MOST_CHANGES),
    future: future.slice(-MOST_CHANGES),
    savedBy,
    savedAt: Date.now(),
  })
}

/** Adds new dishes and trials together; none if one fails. */
export async function addDishes(
  dishes: readonly Dish[],
  trials: readonly Trial[],
  savedBy: string,
): Promise<void> {
  await database.transaction('rw', database.dishes, database.trials, async () => {
    for (const dish of dishes) await saveDish(dish, [], [], savedBy)
    await database.trials.bulkPut([...trials])
  })
}

/** Removes a dish and its trials; returns what was removed, so that it can be put back. */
export async function removeDish(id: string): Promise<{ row: DishRow; trials: Trial[] } | null> {
  return database.transaction('rw', database.dishes, database.trials, async () => {
    const row = await database.dishes.get(id)
    if (row === undefined) return null
    const trials = await database.trials.where('dishId').equals(id).toArray()
    await database.dishes.delete(id)
    await database.trials.where('dishId').equals(id).delete()
    return { row, trials }
  })
}

export async function restoreDish(removed: { row: DishRow; trials: Trial[] }): Promise<void> {
  await database.transaction('rw', database.dishes, database.trials, async () => {
    await database.dishes.put(removed.row)
    await database.trials.bulkPut(removed.trials)
  })
}

export const readTrials = (dishId: string): Promise<Trial[]> =>
  database.trials.where('dishId').equals(dishId).sortBy('number')

export const saveTrial = async (trial: Trial): Promise<void> => {
  await database.trials.put(trial)
}

export const removeTrial = (id: string): Promise<void> => database.trials.delete(id)

export const countDishes = (): Promise<number> => database.dishes.count()

/** Calls back with every dish, newest first, now and after each change in any tab. Returns the way to stop. */
export function watchDishes(
  onChange: (rows: DishRow[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const query = liveQuery(() => database.dishes.orderBy('savedAt').reverse().toArray())
  const subscription = query.subscribe({ next: onChange, error: onError })
  return () => subscription.unsubscribe()
}

/** Calls back when another tab has written the dish. Returns the way to stop. */
export function watchDish(id: string, ownTab: string, onForeign: (row: DishRow) => void): () => void {
  const subscription = liveQuery(() => database.dishes.get(id)).subscribe({
    next: (row) => {
      if (row !== undefined && row.savedBy !== ownTab) onForeign(row)
    },
    error: (error: unknown) => console.error(error),
  })
  return () => subscription.unsubscribe()
}
