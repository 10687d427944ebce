import { type BackupContent, defaultKitchen, type Dish, Photo, type Trial } from '@frijol/core/model'
import { database } from './database'
import { dayRepository, putDay } from './days'
import { dishRepository, parsing, putDish, trialsOf } from './dishes'
import { type BadRow, historyId, putFresh } from './documents'
import { putTasting, tastingRepository } from './tastings'
import { KITCHEN_ID, kitchenRepository, ownFoodsOf } from './kitchen'

const all = <T>(mode: 'r' | 'rw', work: () => Promise<T>): Promise<T> => {
  const { dishes, history, trials, ingredients, kitchen, days, photos, tastings } = database()
  const tables = [dishes, history, trials, ingredients, kitchen, days, photos, tastings]
  return database().transaction(mode, tables, work)
}

const parsePhoto = parsing(Photo)
/** Pictures among raw rows, and what is damaged. */
function readPhotos(rows: readonly unknown[]): { photos: Photo[]; bad: BadRow[] } {
  const photos: Photo[] = []
  const bad: BadRow[] = []
  for (const raw of rows) {
    const read = parsePhoto(raw)
    if (read.ok) photos.push(read.value)
    else {
      const id = String((raw as { id?: unknown }).id)
      bad.push({ kind: 'bad', table: 'photos', id, fault: read.issues[0]?.message ?? 'damaged', raw })
    }
  }
  return { photos, bad }
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
    const days = (await database().days.toArray()).map((row) => dayRepository.parse(row, undefined))
    const tastings = (await database().tastings.toArray()).map((row) =>
      tastingRepository.parse(row, undefined),
    )
    const pictures = readPhotos(await database().photos.toArray())
    if (kitchen.kind === 'none') throw new Error('the kitchen always has a value')
    return {
      content: {
        kitchen: kitchen.kind === 'row' ? kitchen.row.value : defaultKitchen,
        dishes: found.flatMap((one) => (one.kind === 'row' ? [one.row.value] : [])),
        trials: [...trials.trials],
        ingredients: [...foods.own],
        days: days.flatMap((one) => (one.kind === 'row' ? [one.row.value] : [])),
        photos: pictures.photos,
        tastings: tastings.flatMap((one) => (one.kind === 'row' ? [one.row.value] : [])),
      },
      bad: [
        ...found.flatMap((one) => (one.kind === 'bad' ? [one] : [])),
        ...days.flatMap((one) => (one.kind === 'bad' ? [one] : [])),
        ...tastings.flatMap((one) => (one.kind === 'bad' ? [one] : [])),
        ...pictures.bad,
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
    await putDays(content.days ?? [])
    await database().photos.bulkPut(content.photos ?? [])
    await putTastings(content.tastings ?? [])
    await putKitchen(content.kitchen)
  })
}

async function putDays(all: NonNullable<BackupContent['days']>): Promise<void> {
  const now = Date.now()
  for (const [at, day] of all.entries()) await putDay(day, now - at)
}

async function putTastings(all: NonNullable<BackupContent['tastings']>): Promise<void> {
  const now = Date.now()
  for (const [at, tasting] of all.entries()) await putTasting(tasting, now - at)
}

async function putKitchen(kitchen: BackupContent['kitchen']): Promise<void> {
  await putFresh('kitchen', database().kitchen, KITCHEN_ID, kitchen, Date.now())
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
    const { days, photos } = database()
    const hasDay = await days.bulkGet((content.days ?? []).map(({ id }) => id))
    const newDays = (content.days ?? []).filter((_day, at) => hasDay[at] === undefined)
    await putDays(newDays)
    const dayIds = new Set(newDays.map(({ id }) => id))
    await photos.bulkPut((content.photos ?? []).filter(({ dayId }) => dayIds.has(dayId)))
    const hasTasting = await database().tastings.bulkGet((content.tastings ?? []).map(({ id }) => id))
    await putTastings((content.tastings ?? []).filter((_tasting, at) => hasTasting[at] === undefined))
    return added
  })
}

/** Every row as it is stored, of every table, readable or not: for saving what no backup can hold. */
export async function readRaw(): Promise<Record<string, unknown[]>> {
  const tables = database().tables.filter(({ name }) => name !== 'history')
  const rows = await Promise.all(tables.map((table) => table.toArray() as Promise<unknown[]>))
  return Object.fromEntries(tables.map(({ name }, at) => [name, rows[at] ?? []]))
}

/** Kinds of documents by their tables: those have a history. */
const KINDS: ReadonlyMap<string, string> = new Map(
  [dishRepository, dayRepository, tastingRepository, kitchenRepository].map(({ kind, table }) => [
    table,
    kind,
  ]),
)

/** Takes a damaged row away; returns the way to put it back. */
export async function removeBad({ table, id }: BadRow): Promise<() => Promise<void>> {
  return all('rw', async () => {
    const rows = database().table(table)
    const raw: unknown = await rows.get(id)
    await rows.delete(id)
    const kind = KINDS.get(table)
    if (kind !== undefined) await database().history.delete(historyId(kind, id))
    return async () => {
      // Never over what took its place meanwhile.
      if (raw !== undefined && (await rows.get(id)) === undefined) await rows.put(raw)
    }
  })
}
