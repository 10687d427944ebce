import { create, type StoreApi, type UseBoundStore } from 'zustand'
import type { SaveState } from './document'

/** What the frame of every screen needs of an open document whose code is fetched with the screens that show it. */
export interface DocumentDoor {
  readonly save: SaveState
  /** Labels of the last change and of the one that was undone last. */
  readonly last: string | null
  readonly next: string | null
  readonly undo: () => string | null
  readonly redo: () => string | null
  /** On leaving the page: what is unsaved is kept aside. */
  readonly leave: () => void
}
const nothing = (): null => null
const shut = (): UseBoundStore<StoreApi<DocumentDoor>> =>
  create<DocumentDoor>(() => ({
    save: 'saved',
    last: null,
    next: null,
    undo: nothing,
    redo: nothing,
    leave: nothing,
  }))

export const useDayDoor = shut()
export const useTastingDoor = shut()

interface Behind {
  readonly use: {
    subscribe: (
      listener: (state: {
        readonly save: SaveState
        readonly past: readonly { readonly label: string }[]
        readonly future: readonly { readonly label: string }[]
      }) => void,
    ) => unknown
  }
  readonly undo: () => string | null
  readonly redo: () => string | null
  readonly leave: () => void
}

/** The frame knows of a document from now on. */
export function openDoor(door: UseBoundStore<StoreApi<DocumentDoor>>, document: Behind): void {
  door.setState({ undo: document.undo, redo: document.redo, leave: document.leave })
  document.use.subscribe(({ save, past, future }) =>
    door.setState({ save, last: past.at(-1)?.label ?? null, next: future.at(-1)?.label ?? null }),
  )
}
