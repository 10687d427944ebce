import type { Result } from '@frijol/core/model'
import { type EntityTable, liveQuery, type Transaction } from 'dexie'
import type { Besides, ChangeRecord, DocumentRow, HistoryRow } from './database'
import { database } from './database'

/** A document with its history, as it is stored now. */
export interface Stored<T> {
  readonly id: string
  readonly value: T
  /** 0 for a document that has never been saved. */
  readonly revision: number
  readonly saves: readonly string[]
  readonly savedAt: number
  readonly past: readonly ChangeRecord[]
  readonly future: readonly ChangeRecord[]
}

/** A row that is not what it should be; `raw` is all of it. */
export interface BadRow {
  readonly kind: 'bad'
  readonly id: string
  readonly table: 'dishes' | 'kitchen' | 'days' | 'tastings' | 'trials' | 'ingredients' | 'photos'
  /** What is wrong, in words. */
  readonly fault: string
  readonly raw: unknown
}

export type Found<T> = { readonly kind: 'row'; readonly row: Stored<T> } | { readonly kind: 'none' } | BadRow

/** What a save brings; it counts only if the stored revision is still `base`. */
export interface Save<T> {
  readonly id: string
  readonly value: T
  readonly base: number
  readonly past: readonly ChangeRecord[]
  readonly future: readonly ChangeRecord[]
  /** Rows that come, and rows that go, with this save. */
  readonly put: readonly Besides[]
  readonly remove: readonly Besides[]
  /** A mark of this save, see `DocumentRow.saves`. */
  readonly mark: string
}

export type Saved<T> =
  | { readonly kind: 'saved'; readonly row: Stored<T> }
  | { readonly kind: 'clash'; readonly row: Stored<T> }
  | { readonly kind: 'gone' }
  | BadRow

export interface DocumentRepository<T> {
  /** Names the kind of document in histories and records kept aside. */
  readonly kind: string
  readonly table: string
  readonly read: (id: string) => Promise<Found<T>>
  /** Saves in one transaction, or not at all: same revision, or it is a clash. Throws where storage refuses. */
  readonly save: (save: Save<T>) => Promise<Saved<T>>
  /**
   * Calls back with what is stored now and after each change in any tab. Returns the way to stop.
   * @param knows revisions that the watcher has already: nothing is told of them
   */
  readonly watch: (
    id: string,
    onFound: (found: Found<T>) => void,
    knows?: (revision: number) => boolean,
  ) => () => void
}

export interface RepositorySetup<T> {
  readonly kind: string
  readonly table: 'dishes' | 'kitchen' | 'days' | 'tastings'
  readonly parse: (value: unknown) => Result<T>
  /** What an absent document is; without it, an absent one is gone. */
  readonly initial?: T
  /** Writes what comes with a save, inside its transaction; may change the document. */
  readonly besides?: (value: T, save: Pick<Save<T>, 'put' | 'remove'>) => Promise<T>
  /** Whether what comes with a save changes dishes, too. */
  readonly reachesDishes?: boolean
}

/** Most undo steps that are kept with a document. */
const MOST_CHANGES = 200
const MOST_MARKS = 32

/** A revision after another: later than it, and than any row of this name that there was before. */
export const revisionAfter = (revision: number): number => Math.max(Date.now(), revision + 1)

const isRow = (row: unknown): row is DocumentRow<unknown> =>
  typeof row === 'object' &&
  row !== null &&
  'value' in row &&
  'revision' in row &&
  typeof row.revision === 'number' &&
  Number.isFinite(row.revision)

const revisionOf = (raw: unknown): number => (isRow(raw) ? raw.revision : Number.NaN)
const marksOf = (raw: unknown): readonly string[] => (isRow(raw) && Array.isArray(raw.saves) ? raw.saves : [])

const idOf = (raw: unknown): string =>
  typeof raw === 'object' && raw !== null && 'id' in raw && typeof raw.id === 'string' ? raw.id : ''

export const historyId = (kind: string, id: string): string => `${kind}/${id}`

/** A document's kind of storage, parsed on the way in and compared on the way out. */
export function documentRepository<T>(setup: RepositorySetup<T>): DocumentRepository<T> & {
  /** A raw row and its history as a document, or as a bad row. */
  parse: (raw: unknown, history: HistoryRow | undefined) => Found<T>
} {
  const { kind, parse, initial } = setup
  const table = (): EntityTable<DocumentRow<T>, 'id'> =>
    database().table(setup.table) as unknown as EntityTable<DocumentRow<T>, 'id'>
  /** Parsed values by id: a row that has not changed is the same object again. */
  const parsed = new Map<string, { revision: number; savedAt: number; value: T }>()

  const found = (raw: unknown, history: HistoryRow | undefined): Found<T> => {
    if (raw === undefined) return { kind: 'none' }
    const bad = (fault: string): BadRow => ({ kind: 'bad', id: idOf(raw), table: setup.table, fault, raw })
    if (!isRow(raw)) return bad('It is no document of this version.')
    const known = parsed.get(raw.id)
    let value: T
    if (known?.revision === raw.revision && known.savedAt === raw.savedAt) value = known.value
    else {
      const read = parse(raw.value)
      if (!read.ok) return bad(read.issues[0]?.message ?? 'It does not fit the shape of this version.')
      value = read.value
      parsed.set(raw.id, { revision: raw.revision, savedAt: raw.savedAt, value })
    }
    const isItsHistory = history?.revision === raw.revision
    return {
      kind: 'row',
      row: {
        id: raw.id,
        value,
        revision: raw.revision,
        saves: Array.isArray(raw.saves) ? raw.saves : [],
        savedAt: raw.savedAt,
        past: isItsHistory ? history.past : [],
        future: isItsHistory ? history.future : [],
      },
    }
  }
  /** Whether a raw row is the one whose parsed value is at hand. */
  const isKnown = (raw: unknown): boolean => {
    if (!isRow(raw)) return false
    const known = parsed.get(raw.id)
    return known?.revision === raw.revision && known.savedAt === raw.savedAt
  }
  const none = (id: string): Found<T> =>
    initial === undefined
      ? { kind: 'none' }
      : {
          kind: 'row',
          row: { id, value: initial, revision: 0, saves: [], savedAt: 0, past: [], future: [] },
        }
  const get = async (id: string): Promise<Found<T>> => {
    const [raw, history] = await Promise.all([table().get(id), database().history.get(historyId(kind, id))])
    const read = found(raw, history)
    return read.kind === 'none' ? none(id) : read
  }
  const inTransaction = <R>(mode: 'r' | 'rw', work: (transaction: Transaction) => Promise<R>): Promise<R> => {
    const { dishes, history, trials } = database()
    const others = setup.reachesDishes === true && mode === 'rw' ? [dishes] : []
    return database().transaction(mode, [table(), history, trials, ...others], work)
  }

  return {
    kind,
    table: setup.table,
    parse: found,
    read: (id) => inTransaction('r', () => get(id)),
    save: async (save) => {
      const saved = await inTransaction('rw', async (): Promise<Saved<T>> => {
        const raw: unknown = await table().get(save.id)
        const isGround =
          raw === undefined ? save.base === 0 && initial !== undefined : revisionOf(raw) === save.base
        if (!isGround) {
          const before = await get(save.id)
          if (before.kind === 'none') return { kind: 'gone' }
          return before.kind === 'bad' ? before : { kind: 'clash', row: before.row }
        }
        // A row of this revision can still be damaged; what this tab saved itself is not read again to tell.
        const before = raw === undefined || isKnown(raw) ? null : found(raw, undefined)
        if (before?.kind === 'bad') return before
        const value = setup.besides === undefined ? save.value : await setup.besides(save.value, save)
        const row: Stored<T> = {
          id: save.id,
          value,
          revision: revisionAfter(save.base),
          saves: [...marksOf(raw), save.mark].slice(-MOST_MARKS),
          savedAt: Date.now(),
          past: save.past.slice(-MOST_CHANGES),
          future: save.future.slice(-MOST_CHANGES),
        }
        await putStored(kind, table(), row)
        return { kind: 'saved', row }
      })
      // What is saved need not be parsed again when it comes back.
      if (saved.kind === 'saved') {
        const { id, revision, savedAt, value } = saved.row
        parsed.set(id, { revision, savedAt, value })
      }
      return saved
    },
    watch: (id, onFound, knows = () => false) => {
      const subscription = liveQuery(() =>
        inTransaction('r', async () => {
          const raw: unknown = await table().get(id)
          // The watcher's own save: its history need not be read again for that.
          return isKnown(raw) && knows(revisionOf(raw)) ? null : get(id)
        }),
      ).subscribe({
        next: (found) => {
          if (found !== null) onFound(found)
        },
        error: (error: unknown) => console.error('A document could not be followed', error),
      })
      return () => subscription.unsubscribe()
    },
  }
}

/** A stored revision; 0 where a damaged row has none. */
export const numberOr0 = (value: unknown): number =>
  typeof value === 'number' && Number.isFinite(value) ? value : 0

/** Writes a document over whatever is stored under its id, with a fresh history; inside a transaction. */
export async function putFresh<T>(
  kind: string,
  table: EntityTable<DocumentRow<T>, 'id'>,
  id: string,
  value: T,
  savedAt: number,
): Promise<void> {
  const before: unknown = await table.get(id as never)
  await putStored(kind, table, {
    id,
    value,
    revision: revisionAfter(numberOr0((before as { revision?: unknown } | undefined)?.revision)),
    saves: [],
    savedAt,
    past: [],
    future: [],
  })
}

/** Writes a document and its history; to be called inside a transaction over both. */
export async function putStored<T>(
  kind: string,
  table: EntityTable<DocumentRow<T>, 'id'>,
  { id, value, revision, saves, savedAt, past, future }: Stored<T>,
): Promise<void> {
  const row: DocumentRow<T> = { id, value, revision, saves: [...saves], savedAt }
  await table.put(row)
  await database().history.put({ id: historyId(kind, id), revision, past: [...past], future: [...future] })
}
