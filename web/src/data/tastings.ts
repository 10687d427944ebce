import { Tasting } from '@frijol/core/model'
import { liveQuery } from 'dexie'
import { database } from './database'
import { parsing } from './dishes'
import { type BadRow, documentRepository, historyId, putFresh } from './documents'

export const tastingRepository = documentRepository<Tasting>({
  kind: 'tasting',
  table: 'tastings',
  parse: parsing(Tasting),
})

/** Writes a tasting over whatever is stored under its id, with a fresh history; inside a transaction. */
export const putTasting = (tasting: Tasting, savedAt: number): Promise<void> =>
  putFresh('tasting', database().tastings, tasting.id, tasting, savedAt)

/** Puts a new tasting in. */
export async function addTasting(tasting: Tasting): Promise<void> {
  const { tastings, history } = database()
  await database().transaction('rw', [tastings, history], () => putTasting(tasting, Date.now()))
}

/** Takes a tasting away. @returns the way to put it back as it was */
export async function removeTasting(id: string): Promise<() => Promise<void>> {
  const { tastings, history } = database()
  return database().transaction('rw', [tastings, history], async () => {
    const row = await tastings.get(id)
    const past = await history.get(historyId('tasting', id))
    await tastings.delete(id)
    await history.delete(historyId('tasting', id))
    return async () => {
      await database().transaction('rw', [tastings, history], async () => {
        if (row === undefined || (await tastings.get(id)) !== undefined) return
        await tastings.put(row)
        if (past !== undefined) await history.put(past)
      })
    }
  })
}

/** The tastings of a dish, newest first, and rows that cannot be read. */
export interface ReadTastings {
  readonly tastings: readonly Tasting[]
  readonly bad: readonly BadRow[]
}

/** Calls back with the tastings of a dish, now and after each change in any tab. Returns the way to stop. */
export function watchTastings(dishId: string, onChange: (read: ReadTastings) => void): () => void {
  const subscription = liveQuery(() =>
    database().tastings.where('value.dishId').equals(dishId).toArray(),
  ).subscribe({
    next: (rows) => {
      const found = rows.map((row) => tastingRepository.parse(row, undefined))
      onChange({
        tastings: found
          .flatMap((one) => (one.kind === 'row' ? [one.row.value] : []))
          .sort((a, b) => (a.createdAt < b.createdAt ? 1 : -1)),
        bad: found.flatMap((one) => (one.kind === 'bad' ? [one] : [])),
      })
    },
    error: (error: unknown) => console.error('The tastings of a dish could not be followed', error),
  })
  return () => subscription.unsubscribe()
}
