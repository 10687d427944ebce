import { create } from 'zustand'
import { type RemovedDish, removeDish, restoreDish } from '../data'

/** Something done on the shelf that can be taken back. */
interface ShelfAct {
  readonly label: string
  readonly undo: () => Promise<void>
  readonly redo: () => Promise<void>
}

interface ShelfActs {
  readonly past: readonly ShelfAct[]
  readonly future: readonly ShelfAct[]
}

/** What was done on the shelf in this tab; dishes have histories of their own. */
export const useShelfActs = create<ShelfActs>(() => ({ past: [], future: [] }))

/** Takes a dish off the shelf, damaged or not. @returns the way to put it back, null where it is gone already */
export async function takeOffShelf(id: string, name: string): Promise<(() => void) | null> {
  let removed: RemovedDish | null = await removeDish(id)
  if (removed === null) return null
  const act: ShelfAct = {
    label: `take ${name} off the shelf`,
    undo: async () => {
      if (removed !== null) await restoreDish(removed)
    },
    redo: async () => {
      removed = await removeDish(id)
    },
  }
  useShelfActs.setState(({ past }) => ({ past: [...past, act].slice(-50), future: [] }))
  return () => {
    if (useShelfActs.getState().past.includes(act)) {
      useShelfActs.setState(({ past }) => ({ past: past.filter((one) => one !== act) }))
      void act.undo()
    }
  }
}

/** Takes the last act on the shelf back. @returns its label, null when there is none */
export function undoShelf(): string | null {
  const act = useShelfActs.getState().past.at(-1)
  if (act === undefined) return null
  useShelfActs.setState(({ past, future }) => ({ past: past.slice(0, -1), future: [...future, act] }))
  void act.undo()
  return act.label
}

/** Does the last act that was taken back again. @returns its label, null when there is none */
export function redoShelf(): string | null {
  const act = useShelfActs.getState().future.at(-1)
  if (act === undefined) return null
  useShelfActs.setState(({ past, future }) => ({ past: [...past, act], future: future.slice(0, -1) }))
  void act.redo()
  return act.label
}
