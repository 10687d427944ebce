import { create } from 'zustand'
import type { SaveState } from './document'

/** What the frame of every screen needs of the open day; the day itself is fetched with the screens that show it. */
interface DayDoor {
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

export const useDayDoor = create<DayDoor>(() => ({
  save: 'saved',
  last: null,
  next: null,
  undo: nothing,
  redo: nothing,
  leave: nothing,
}))
