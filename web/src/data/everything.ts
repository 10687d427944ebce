import { type BackupContent, defaultKitchen, type Dish, type Trial } from '@frijol/core/model'
import { database } from './database'
import { dishRepository, numberOr0, putDish, trialsOf } from './dishes'
import { type BadRow, historyId, putStored, revisionAfter } from './documents'
import { KITCHEN_ID, kitchenRepository, ownFoodsOf } from './kitchen'

const all = <T>(mode: 'r' | 'rw', work: () => Promise<T>): Promise<T> => {
  const { dishes, history, trials, ingredients, kitchen } = database()
  return database().transaction(mode, [dishes, history, trials, ingredients, kitchen], work)
}

export interface Everything {
  readonly content: BackupContent
  /** Rows that cannot be read: they are in no backup. */
  readonly bad: readonly BadRow[]
}

/** Everything the kitchen holds, at one moment. */
export async function readAll(): Promise<Everything> {
  return all('r', async () => {
    const found = (await database().dishes.toArray()).map((row) => dishRepository.parse(row, undefined))
    const kitchen = await kitchenRepository.read(KITCHEN_ID)
    const trials = trialsOf(await database().trials.toArray())
    const foods = ownFoodsOf(await database().ingredients.toArray())
    if (kitchen.kind === 'none') throw new Error('the kitchen always has a value')
    return {
      content: {
        kitchen: kitchen.kind === 'row' ? kitchen.row.value : defaultKitchen,
        dishes: found.flatMap((one) => (one.kind === 'row' ? [one.row.value] : [])),
        trials: [...trials.trials],
        ingredients: [...foods.own],
      },
      bad: [
        ...found.flatMap((one) => (one.kind === 'bad' ? [one] : [])),
        ...trials.bad,
        ...foods.bad,
        ...(kitchen.kind === 'bad' ? [kitchen] : []),
      ],
    }
  })
}

const nameOf = (row: unknown): string | null => {
  const value = typeof row === 'object' && row !== null && 'value' in row ? row.value : null
  const name = typeof value === 'object' && value !== null && 'name' in value ? value.name : null
  return typeof name === 'string' ? name : null
}

/** Names of dishes in a backup that this browser already holds. */
export async function clashes(content: BackupContent): Promise<string[]> {
  const found = await database().dishes.bulkGet(content.dishes.map(({ id }) => id))
  return found.flatMap((row, at) =>
    row === undefined ? [] : [nameOf(row) ?? content.dishes[at]?.name ?? ''],
  )
}

/** Puts a backup's content in, all or nothing. Documents of the same id are replaced, under a later revision. */
export async function restoreAll(content: BackupContent): Promise<void> {
  await all('rw', async () => {
    const { trials, ingredients } = database()
    const now = Date.now()
    for (const [at, dish] of content.dishes.entries()) await putDish(dish, now - at)
    await trials.bulkPut(content.trials)
    await ingredients.bulkPut(content.ingredients)
    await putKitchen(content.kitchen)
  })
}

async function putKitchen(kitchen: BackupContent['kitchen']): Promise<void> {
  const before = await database().kitchen.get(KITCHEN_ID)
  await putStored('kitchen', database().kitchen, {
    id: KITCHEN_ID,
    value: kitchen,
    revision: revisionAfter(numberOr0(before?.revision)),
    saves: [],
    savedAt: Date.now(),
    past: [],
    future: [],
  })
}

/**
 * Adds what is not here yet and replaces nothing: dishes with their trials, own foods, and the settings only where
 * this browser has none at all.
 * @returns the dishes that were added
 */
export async function addMissing(content: BackupContent): Promise<readonly Dish[]> {
  return all('rw', async () => {
    const { dishes, trials, ingredients, kitchen } = database()
    const isThere = await dishes.bulkGet(content.dishes.map(({ id }) => id))
    const added = content.dishes.filter((_dish, at) => isThere[at] === undefined)
    const ids = new Set(added.map(({ id }) => id))
    const now = Date.now()
    for (const [at, dish] of added.entries()) await putDish(dish, now - at)
    await trials.bulkPut(content.trials.filter((trial: Trial) => ids.has(trial.dishId)))
    const known = await ingredients.bulkGet(content.ingredients.map(({ id }) => id))
    await ingredients.bulkPut(content.ingredients.filter((_food, at) => known[at] === undefined))
    if ((await kitchen.get(KITCHEN_ID)) === undefined) await putKitchen(content.kitchen)
    return added
  })
}

/** Every row as it is stored, of every table, readable or not: for saving what no backup can hold. */
export async function readRaw(): Promise<Record<string, unknown[]>> {
  const tables = database().tables.filter(({ name }) => name !== 'history')
  const rows = await Promise.all(tables.map((table) => table.toArray() as Promise<unknown[]>))
  return Object.fromEntries(tables.map(({ name }, at) => [name, rows[at] ?? []]))
}

/** Takes a damaged row away; returns the way to put it back. */
export async function removeBad({ table, id }: BadRow): Promise<() => Promise<void>> {
  return all('rw', async () => {
    const rows = database().table(table)
    const raw: unknown = await rows.get(id)
    await rows.delete(id)
    if (table === 'dishes' || table === 'kitchen')
      await database().history.delete(historyId(table === 'dishes' ? 'dish' : 'kitchen', id))
    return async () => {
      // Never over what took its place meanwhile.
      if (raw !== undefined && (await rows.get(id)) === undefined) await rows.put(raw)
    }
  })
}
