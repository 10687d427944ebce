import {
  type CookDay,
  type Dish,
  type Ingredient,
  type Kitchen,
  type Photo,
  type Tasting,
  type Trial,
  upgradeParts,
} from '@frijol/core/model'
import Dexie, { type DexieOptions, type EntityTable } from 'dexie'
import type { Patch } from 'immer'

/** A row that came with a change of its document, and goes and comes with it. */
export interface Besides {
  readonly trial: Trial
}

/** One undoable change, as it is kept beside its document. */
export interface ChangeRecord {
  readonly label: string
  readonly at: number
  readonly patches: Patch[]
  readonly inverse: Patch[]
  readonly besides?: Besides[]
}

/** A document as it is stored. */
export interface DocumentRow<T> {
  id: string
  value: T
  /** Grows with every save, never comes back: a save that knows another one is out of date. */
  revision: number
  /** Marks of the newest saves, by which a change kept aside can tell that it did arrive. */
  saves: string[]
  savedAt: number
}

/** The undo history of a document; it belongs to one revision and to no other. */
export interface HistoryRow {
  /** `kind/id` of its document. */
  id: string
  revision: number
  past: ChangeRecord[]
  future: ChangeRecord[]
}

export class FrijolDatabase extends Dexie {
  dishes!: EntityTable<DocumentRow<Dish>, 'id'>
  kitchen!: EntityTable<DocumentRow<Kitchen>, 'id'>
  history!: EntityTable<HistoryRow, 'id'>
  trials!: EntityTable<Trial, 'id'>
  ingredients!: EntityTable<Ingredient, 'id'>
  days!: EntityTable<DocumentRow<CookDay>, 'id'>
  photos!: EntityTable<Photo, 'id'>
  tastings!: EntityTable<DocumentRow<Tasting>, 'id'>

  constructor(name = 'frijol', options: DexieOptions = {}) {
    // What is called saved is on the disk, not on its way there.
    super(name, { chromeTransactionDurability: 'strict', ...options })
    this.version(1).stores({ dishes: 'id, savedAt', trials: 'id, dishId', ingredients: 'id', kitchen: 'id' })
    // Steps got their settings, and parts their other ways. Kept changes name places of the first shape: they go.
    this.version(2)
      .stores({})
      .upgrade(async (transaction) => {
        await transaction
          .table<{ dish?: { parts?: unknown }; past: unknown[]; future: unknown[] }>('dishes')
          .toCollection()
          .modify((row) => {
            // A row without parts is damaged: it is left as it is, and shown as such later.
            if (row.dish?.parts === undefined) return
            row.dish.parts = upgradeParts(row.dish.parts)
            row.past = []
            row.future = []
          })
        await transaction
          .table<{ parts: unknown }>('trials')
          .toCollection()
          .modify((trial) => {
            trial.parts = upgradeParts(trial.parts)
          })
      })
    // Documents: one shape for all, with a revision; their histories apart, so that a shelf reads no history.
    this.version(3)
      .stores({ dishes: 'id, savedAt, value.name', history: 'id' })
      .upgrade(async (transaction) => {
        const now = Date.now()
        const histories: HistoryRow[] = []
        await transaction
          .table<OldDishRow | DocumentRow<Dish>>('dishes')
          .toCollection()
          .modify((row, reference) => {
            if (!('dish' in row)) return
            const { id, dish, past, future, savedAt } = row
            reference.value = { id, value: dish, revision: now, saves: [], savedAt }
            histories.push({ id: `dish/${id}`, revision: now, past, future })
          })
        await transaction.table<HistoryRow>('history').bulkPut(histories)
        await transaction
          .table<{ id: string; kitchen: Kitchen } | DocumentRow<Kitchen>>('kitchen')
          .toCollection()
          .modify((row, reference) => {
            if (!('kitchen' in row)) return
            reference.value = { id: row.id, value: row.kitchen, revision: now, saves: [], savedAt: now }
          })
      })
    // Days at the counter, found by the dishes that they cook, and the pictures that belong to them.
    this.version(4).stores({ days: 'id, savedAt, *value.dishIds', photos: 'id, dayId' })
    // Tastings, found by the dish that is tasted.
    this.version(5).stores({ tastings: 'id, savedAt, value.dishId' })
  }
}

/** A dish as versions 1 and 2 stored it. */
interface OldDishRow {
  id: string
  dish: Dish
  past: ChangeRecord[]
  future: ChangeRecord[]
  savedAt: number
}

let current: FrijolDatabase | null = null

/** The open database. */
export const database = (): FrijolDatabase => (current ??= new FrijolDatabase())

/** Where what is done here is kept: in the browser, or in this tab's memory alone. */
export type StorageKind = 'browser' | 'memory'

/**
 * Opens the browser's storage. Where it is denied, the same tables stand in memory, for this tab alone.
 * Called once, before anything is read.
 */
export async function openStorage(): Promise<StorageKind> {
  try {
    await database().open()
    return 'browser'
  } catch (error) {
    console.error('The browser refused its storage', error)
    const { IDBFactory, IDBKeyRange } = await import('fake-indexeddb')
    current = new FrijolDatabase('frijol', { indexedDB: new IDBFactory(), IDBKeyRange })
    await current.open()
    return 'memory'
  }
}

/** Whether the browser keeps this storage when space runs short; null where it cannot say. */
export async function isPersisted(): Promise<boolean | null> {
  if (!('storage' in navigator) || typeof navigator.storage.persisted !== 'function') return null
  return navigator.storage.persisted().catch(() => null)
}

/** Asks the browser to keep this storage when space runs short. @returns its answer, null where it has none */
export async function askToPersist(): Promise<boolean | null> {
  if (!('storage' in navigator) || typeof navigator.storage.persist !== 'function') return null
  try {
    return (await navigator.storage.persisted()) || (await navigator.storage.persist())
  } catch {
    return null
  }
}
