import { Dish, type Result, Trial } from '@frijol/core/model'
import { liveQuery } from 'dexie'
import type { z } from 'zod'
import { type Besides, database } from './database'
import {
  type BadRow,
  documentRepository,
  type Found,
  historyId,
  putFresh,
  putStored,
  revisionAfter,
  type Stored,
} from './documents'

/** Parses by a schema; what does not fit is said with its place. */
export const parsing =
  <T>(schema: z.ZodType<T>) =>
  (value: unknown): Result<T> => {
    const checked = schema.safeParse(value)
    if (checked.success) return { ok: true, value: checked.data }
    const issue = checked.error.issues[0]
    const path = (issue?.path ?? []).map(String)
    const place = path.length === 0 ? '' : ` at ${path.join(' › ')}`
    return { ok: false, issues: [{ code: 'shape', path, message: `${issue?.message ?? 'damaged'}${place}` }] }
  }

/**
 * Trials that come with a save of their dish. A number that is taken is not given twice: the trial gets the next
 * free one, and the dish goes on after it.
 */
async function keepTrials(
  dish: Dish,
  save: { put: readonly Besides[]; remove: readonly Besides[] },
): Promise<Dish> {
  await database().trials.bulkDelete(save.remove.map(({ trial }) => trial.id))
  let next = dish
  for (const { trial } of save.put) next = goingOn(next, await putTrial(trial))
  return next
}

/**
 * Puts a trial in; a number that is taken is not given twice. Inside a transaction over the trials.
 * @returns the number that it got, and the highest that its dish has
 */
export async function putTrial(trial: Trial): Promise<{ number: number; highest: number }> {
  const { trials } = database()
  const others = await trials
    .where('dishId')
    .equals(trial.dishId)
    .filter(({ id, number }) => id !== trial.id && Number.isInteger(number))
    .toArray()
  const highest = Math.max(0, ...others.map(({ number }) => number))
  const number = others.some((other) => other.number === trial.number) ? highest + 1 : trial.number
  await trials.put({ ...trial, number })
  return { number, highest: Math.max(number, highest) }
}

/** A dish that goes on after a trial of it was kept. */
export const goingOn = (dish: Dish, { number, highest }: { number: number; highest: number }): Dish =>
  dish.trial.number > highest
    ? dish
    : { ...dish, trial: { number: highest + 1, fromNumber: number, why: [] } }

export const dishRepository = documentRepository<Dish>({
  kind: 'dish',
  table: 'dishes',
  parse: parsing(Dish),
  besides: keepTrials,
})

const kept = async <T>(work: () => Promise<T>): Promise<T> => {
  const { dishes, history, trials, tastings } = database()
  return database().transaction('rw', [dishes, history, trials, tastings], work)
}

/**
 * Adds new dishes and trials together; none if one fails. A dish of an id that is there already is replaced, and
 * its revision goes on, so that every tab that shows it follows.
 */
export async function addDishes(dishes: readonly Dish[], trials: readonly Trial[]): Promise<void> {
  await kept(async () => {
    const now = Date.now()
    for (const [at, dish] of dishes.entries()) await putDish(dish, now - at)
    await database().trials.bulkPut([...trials])
  })
}

/** Writes a dish over whatever is stored under its id, with a fresh history; inside a transaction. */
export const putDish = (dish: Dish, savedAt: number): Promise<void> =>
  putFresh('dish', database().dishes, dish.id, dish, savedAt)

export interface RemovedDish {
  readonly id: string
  readonly row: unknown
  readonly history: unknown
  readonly trials: readonly Trial[]
  /** Its tastings and their histories, as they were stored. */
  readonly tastings: readonly unknown[]
  readonly histories: readonly unknown[]
}

/** Removes a dish with its trials and tastings, damaged or not; returns what was removed, so that it can be put back. */
export async function removeDish(id: string): Promise<RemovedDish | null> {
  return kept(async () => {
    const { dishes, history, trials, tastings } = database()
    const row = await dishes.get(id)
    if (row === undefined) return null
    const tasted = await tastings.where('value.dishId').equals(id).toArray()
    const histories = tasted.map((one) => historyId('tasting', one.id))
    const removed = {
      id,
      row,
      history: await history.get(historyId('dish', id)),
      trials: await trials.where('dishId').equals(id).toArray(),
      tastings: tasted,
      histories: (await history.bulkGet(histories)).filter((one) => one !== undefined),
    }
    await tastings.bulkDelete(tasted.map((one) => one.id))
    await history.bulkDelete(histories)
    await dishes.delete(id)
    await history.delete(historyId('dish', id))
    await trials.where('dishId').equals(id).delete()
    return removed
  })
}

/** Puts a removed dish back as it was, under a later revision, unless its place is taken meanwhile. */
export async function restoreDish(removed: RemovedDish): Promise<void> {
  await kept(async () => {
    const { dishes, history, trials, tastings } = database()
    if ((await dishes.get(removed.id)) !== undefined) return
    const read = dishRepository.parse(removed.row, removed.history as never)
    if (read.kind === 'row')
      await putStored('dish', dishes, { ...read.row, revision: revisionAfter(read.row.revision) })
    else {
      await dishes.put(removed.row as never)
      if (removed.history !== undefined) await history.put(removed.history as never)
    }
    await trials.bulkPut([...removed.trials])
    await tastings.bulkPut([...removed.tastings] as never[])
    await history.bulkPut([...removed.histories] as never[])
  })
}

/** Ids of every dish, newest first, now and after each change in any tab. Returns the way to stop. */
export function watchDishIds(
  onChange: (ids: string[]) => void,
  onError: (error: unknown) => void,
): () => void {
  const query = liveQuery(() => database().dishes.orderBy('savedAt').reverse().primaryKeys())
  const subscription = query.subscribe({ next: onChange, error: onError })
  return () => subscription.unsubscribe()
}

/** Names of every dish by id, in order of their names. Rows that are damaged have none. */
export async function dishNames(): Promise<{ id: string; name: string }[]> {
  const names: { id: string; name: string }[] = []
  await database()
    .dishes.orderBy('value.name')
    .eachKey((name, cursor) =>
      names.push({ id: cursor.primaryKey, name: typeof name === 'string' ? name : '' }),
    )
  return names
}

/** Every dish that can be read, newest first. */
export async function readDishes(): Promise<{ dishes: Stored<Dish>[]; bad: BadRow[] }> {
  const rows = await database().dishes.orderBy('savedAt').reverse().toArray()
  const found = rows.map((row): Found<Dish> => dishRepository.parse(row, undefined))
  return {
    dishes: found.flatMap((one) => (one.kind === 'row' ? [one.row] : [])),
    bad: found.flatMap((one) => (one.kind === 'bad' ? [one] : [])),
  }
}

export const countDishes = (): Promise<number> => database().dishes.count()

export interface ReadTrials {
  readonly trials: readonly Trial[]
  readonly bad: readonly BadRow[]
}

const parseTrial = parsing(Trial)

/** Trials among raw rows, and what is damaged. */
export function trialsOf(rows: readonly unknown[]): ReadTrials {
  const trials: Trial[] = []
  const bad: BadRow[] = []
  for (const raw of rows) {
    const read = parseTrial(raw)
    if (read.ok) trials.push(read.value)
    else {
      const id = (raw as { id?: unknown }).id
      const fault = read.issues[0]?.message ?? 'damaged'
      bad.push({ kind: 'bad', table: 'trials', id: typeof id === 'string' ? id : '', fault, raw })
    }
  }
  return { trials, bad }
}

/** So many rows are handed over by the database at once: hundreds together would hold the page. */
const ROWS_AT_ONCE = 32

async function trialRows(dishId: string): Promise<Trial[]> {
  const { trials } = database()
  const keys = await trials.where('dishId').equals(dishId).primaryKeys()
  const rows: Trial[] = []
  for (let from = 0; from < keys.length; from += ROWS_AT_ONCE)
    rows.push(
      ...(await trials.bulkGet(keys.slice(from, from + ROWS_AT_ONCE))).filter((row) => row !== undefined),
    )
  return rows.sort((a, b) => a.number - b.number)
}

/** The kept trials of a dish by number, and rows that cannot be read. */
export const readTrials = async (dishId: string): Promise<ReadTrials> => trialsOf(await trialRows(dishId))

/** So many rows are checked before the page gets a breath. */
const AT_ONCE = 8
const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0))

/** The same, a few rows at a time; null where it is no longer wanted. */
async function trialsInTurns(rows: readonly unknown[], isWanted: () => boolean): Promise<ReadTrials | null> {
  const trials: Trial[] = []
  const bad: BadRow[] = []
  for (let from = 0; from < rows.length; from += AT_ONCE) {
    if (from > 0) await breath()
    if (!isWanted()) return null
    const some = trialsOf(rows.slice(from, from + AT_ONCE))
    trials.push(...some.trials)
    bad.push(...some.bad)
  }
  return { trials, bad }
}

/** Calls back with the trials of a dish, now and after each change in any tab. Returns the way to stop. */
export function watchTrials(dishId: string, onChange: (read: ReadTrials) => void): () => void {
  let turn = 0
  const subscription = liveQuery(() => trialRows(dishId)).subscribe({
    next: (rows) => {
      turn += 1
      const own = turn
      trialsInTurns(rows, () => own === turn).then(
        (read) => {
          if (read !== null && own === turn) onChange(read)
        },
        (error: unknown) => console.error(error),
      )
    },
    error: (error: unknown) => console.error(error),
  })
  return () => {
    turn += 1
    subscription.unsubscribe()
  }
}
