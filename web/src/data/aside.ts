import type { Besides, ChangeRecord } from './database'

/**
 * An unsaved state of a document, kept aside at once when its page goes away or its storage refuses it.
 * Small and immediate, unlike the database.
 */
export interface Aside<T> {
  readonly id: string
  /** What the changes were made on, and its revision. */
  readonly base: T
  readonly revision: number
  readonly value: T
  readonly past: readonly ChangeRecord[]
  readonly future: readonly ChangeRecord[]
  readonly put: readonly Besides[]
  readonly remove: readonly Besides[]
  /** The mark that the save carries which would make it needless. */
  readonly mark: string
  readonly at: number
}

/** One record of every document in every tab: `frijol-aside/kind/id/tab`. */
const PREFIX = 'frijol-aside/'
const keyOf = (kind: string, id: string, tab: string): string =>
  `${PREFIX}${[kind, id, tab].map(encodeURIComponent).join('/')}`

/** Keeps a document aside. @returns false where the browser has no room for it */
export function keepAside<T>(kind: string, tab: string, aside: Aside<T>): boolean {
  try {
    localStorage.setItem(keyOf(kind, aside.id, tab), JSON.stringify(aside))
    return true
  } catch (error) {
    console.error('A change could not be kept aside', error)
    return false
  }
}

export const forgetAside = (kind: string, id: string, tab: string): void => {
  try {
    localStorage.removeItem(keyOf(kind, id, tab))
  } catch {
    // Where the browser denies this storage, nothing was kept.
  }
}

/** The tabs that are open now; null where the browser cannot say. */
async function openTabs(): Promise<ReadonlySet<string> | null> {
  if (!('locks' in navigator)) return null
  const { held = [] } = await navigator.locks.query()
  return new Set(
    held.flatMap(({ name }) => (name?.startsWith(TAB_LOCK) ? [name.slice(TAB_LOCK.length)] : [])),
  )
}
const TAB_LOCK = 'frijol-tab/'

/** Says that this tab is open, for as long as it is: what it keeps aside is its own until it goes away. */
export function holdTab(tab: string): void {
  if (!('locks' in navigator)) return
  void navigator.locks.request(`${TAB_LOCK}${tab}`, () => new Promise<never>(() => undefined))
}

export interface LeftAside {
  readonly tab: string
  readonly record: unknown
}

/** What tabs that are gone have left of a document, oldest first. Records that cannot be read are passed over. */
export async function leftAside(kind: string, id: string, ownTab: string): Promise<LeftAside[]> {
  const prefix = keyOf(kind, id, '')
  const records: { tab: string; record: unknown; at: number }[] = []
  try {
    for (let at = 0; at < localStorage.length; at += 1) {
      const key = localStorage.key(at)
      if (key?.startsWith(prefix) !== true) continue
      const record = parsed(localStorage.getItem(key))
      const time = typeof record === 'object' && record !== null && 'at' in record ? Number(record.at) : 0
      records.push({ tab: decodeURIComponent(key.slice(prefix.length)), record, at: time })
    }
  } catch {
    return []
  }
  if (records.length === 0) return []
  const open = await openTabs()
  return records.filter(({ tab }) => tab !== ownTab && open?.has(tab) !== true).sort((a, b) => a.at - b.at)
}

function parsed(text: string | null): unknown {
  try {
    return text === null ? null : JSON.parse(text)
  } catch {
    return null
  }
}
