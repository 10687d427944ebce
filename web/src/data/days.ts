import { CookDay, type Dish, Photo, type Trial } from '@frijol/core/model'
import { liveQuery } from 'dexie'
import { type Besides, database } from './database'
import { dishRepository, goingOn, parsing, putTrial } from './dishes'
import { documentRepository, historyId, putFresh, putStored, revisionAfter } from './documents'

/** A dish goes on as its next trial, with its history: a trial of it was made on a day. */
async function moveOn(trial: Trial): Promise<void> {
  const { dishes, history } = database()
  const kept = await putTrial(trial)
  const raw: unknown = await dishes.get(trial.dishId)
  const read = dishRepository.parse(raw, await history.get(historyId('dish', trial.dishId)))
  // A dish that is gone or damaged meanwhile is left as it is; what was made of it is kept all the same.
  if (read.kind !== 'row') return
  const value = goingOn(read.row.value, kept)
  if (value === read.row.value) return
  await putStored('dish', dishes, { ...read.row, value, revision: revisionAfter(read.row.revision) })
}

export const dayRepository = documentRepository<CookDay>({
  kind: 'day',
  table: 'days',
  parse: parsing(CookDay),
  reachesDishes: true,
  besides: async (day, save: { put: readonly Besides[]; remove: readonly Besides[] }) => {
    await database().trials.bulkDelete(save.remove.map(({ trial }) => trial.id))
    for (const { trial } of save.put) await moveOn(trial)
    return day
  },
})

/** Writes a day over whatever is stored under its id, with a fresh history; inside a transaction. */
export const putDay = (day: CookDay, savedAt: number): Promise<void> =>
  putFresh('day', database().days, day.id, day, savedAt)

/** Puts a new day in. */
export async function addDay(day: CookDay): Promise<void> {
  const { days, history } = database()
  await database().transaction('rw', [days, history], () => putDay(day, Date.now()))
}

/** The newest day of a dish that is not closed yet, readable or not; null where there is none. */
export async function openDayOf(dishId: string): Promise<string | null> {
  const rows = await database().days.where('value.dishIds').equals(dishId).toArray()
  const open = rows
    .flatMap((row) => {
      const read = dayRepository.parse(row, undefined)
      return read.kind === 'row' && read.row.value.session?.closedAt == null ? [read.row] : []
    })
    .sort((a, b) => b.savedAt - a.savedAt)
  return open[0]?.id ?? null
}

/** Calls back with the id of the open day of a dish, now and after each change in any tab. Returns the way to stop. */
export function watchOpenDay(dishId: string, onChange: (id: string | null) => void): () => void {
  const subscription = liveQuery(() => openDayOf(dishId)).subscribe({
    next: onChange,
    error: (error: unknown) => console.error('The days of a dish could not be followed', error),
  })
  return () => subscription.unsubscribe()
}

const parsePhoto = parsing(Photo)

export async function addPhoto(photo: Photo): Promise<void> {
  await database().photos.add(photo)
}

/** The pictures of a day by their ids; damaged ones are left out. */
export async function photosOf(dayId: string): Promise<ReadonlyMap<string, Photo>> {
  return readPhotos(await database().photos.where('dayId').equals(dayId).toArray())
}

/** Pictures by their ids; those that are gone or damaged are left out. */
export const photosByIds = async (ids: readonly string[]): Promise<ReadonlyMap<string, Photo>> =>
  readPhotos(await database().photos.bulkGet([...ids]))

const readPhotos = (rows: readonly unknown[]): ReadonlyMap<string, Photo> =>
  new Map(
    rows.flatMap((row) => {
      const read = parsePhoto(row)
      return read.ok ? [[read.value.id, read.value] as const] : []
    }),
  )

const readDishes = (rows: readonly unknown[]): Dish[] =>
  rows.flatMap((row) => {
    const read = dishRepository.parse(row, undefined)
    return read.kind === 'row' ? [read.row.value] : []
  })

/** Dishes as they are stored now; those that are gone or damaged are left out. */
export const dishesNow = async (ids: readonly string[]): Promise<readonly Dish[]> =>
  readDishes(await database().dishes.bulkGet([...new Set(ids)]))

/** Calls back with dishes by their ids, in that order, now and after each change in any tab; those that are gone are left out. */
export function watchDishes(ids: readonly string[], onChange: (dishes: readonly Dish[]) => void): () => void {
  const subscription = liveQuery(() => database().dishes.bulkGet([...ids])).subscribe({
    next: (rows) => onChange(readDishes(rows)),
    error: (error: unknown) => console.error('Dishes could not be followed', error),
  })
  return () => subscription.unsubscribe()
}
