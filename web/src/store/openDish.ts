import type { Dish } from '@frijol/core/model'
import { applyPatches, enablePatches, type Patch, produceWithPatches } from 'immer'
import { create } from 'zustand'
import {
  type ChangeRecord,
  forgetUnsaved,
  keepUnsaved,
  readDish,
  saveDish,
  takeUnsaved,
  watchDish,
} from '../data'
import { nowIso, tabId } from './ids'

enablePatches()

/** A named change of the open dish. `merge` joins it to the one before with the same key, as while dragging. */
export interface Command {
  readonly label: string
  readonly apply: (draft: Dish) => void
  readonly merge?: string
}

export type SaveState = 'saved' | 'waiting' | 'saving' | 'failed'

interface OpenDishState {
  readonly dish: Dish | null
  readonly past: readonly ChangeRecord[]
  readonly future: readonly ChangeRecord[]
  readonly saveState: SaveState
  /** Set when another tab has changed the dish while this one has unsaved changes. */
  readonly foreign: Dish | null
  readonly isMissing: boolean
}

const closed: OpenDishState = {
  dish: null,
  past: [],
  future: [],
  saveState: 'saved',
  foreign: null,
  isMissing: false,
}
export const useOpenDish = create<OpenDishState>(() => closed)

const SAVE_AFTER_MS = 300
const MERGE_WITHIN_MS = 1500
let timer: ReturnType<typeof setTimeout> | undefined
let stopWatching: (() => void) | undefined
let mergeKey: string | undefined

function scheduleSave(): void {
  useOpenDish.setState({ saveState: 'waiting' })
  clearTimeout(timer)
  timer = setTimeout(() => void flush(), SAVE_AFTER_MS)
}

/** Saves now what waits to be saved. */
export async function flush(): Promise<void> {
  clearTimeout(timer)
  const { dish, past, future, saveState } = useOpenDish.getState()
  if (dish === null || saveState === 'saved') return
  useOpenDish.setState({ saveState: 'saving' })
  try {
    await saveDish(dish, past, future, tabId)
    if (useOpenDish.getState().dish === dish) {
      useOpenDish.setState({ saveState: 'saved' })
      forgetUnsaved()
    }
  } catch (error) {
    console.error(error)
    keepUnsaved(dish)
    useOpenDish.setState({ saveState: 'failed' })
  }
}

/** On leaving the page: the change is kept aside at once, and saved if there is time. */
export function flushOnLeave(): void {
  const { dish, saveState } = useOpenDish.getState()
  if (dish === null || saveState === 'saved') return
  keepUnsaved(dish)
  void flush()
}

/** Opens a dish from the browser's storage, with its undo history. */
export async function openDish(id: string): Promise<void> {
  if (useOpenDish.getState().dish?.id === id) return
  await closeDish()
  const row = await readDish(id)
  if (row === undefined) {
    useOpenDish.setState({ ...closed, isMissing: true })
    return
  }
  const unsaved = takeUnsaved(id)
  const isNewer = unsaved !== null && unsaved.updatedAt > row.dish.updatedAt
  useOpenDish.setState({
    ...closed,
    dish: isNewer ? unsaved : row.dish,
    past: row.past,
    future: isNewer ? [] : row.future,
  })
  if (isNewer) scheduleSave()
  stopWatching = watchDish(id, tabId, (foreign) => {
    const { dish, saveState } = useOpenDish.getState()
    if (dish?.id !== id || foreign.dish.updatedAt <= dish.updatedAt) return
    if (saveState === 'saved')
      useOpenDish.setState({ dish: foreign.dish, past: foreign.past, future: foreign.future })
    else useOpenDish.setState({ foreign: foreign.dish })
  })
}

export async function closeDish(): Promise<void> {
  stopWatching?.()
  stopWatching = undefined
  await flush()
  useOpenDish.setState(closed)
}

const placesOf = (patches: readonly Patch[]): string =>
  patches.map(({ op, path }) => `${op} ${path.join('/')}`).join(' ')

/** Two changes as one. Where the later overwrites the same places, the middle is dropped, so that a drag stays small. */
function joined(first: ChangeRecord, second: ChangeRecord): ChangeRecord {
  const { label, at } = second
  if (
    placesOf(first.patches) === placesOf(second.patches) &&
    second.patches.every(({ op }) => op === 'replace')
  ) {
    return { label, at, patches: second.patches, inverse: first.inverse }
  }
  return {
    label,
    at,
    patches: [...first.patches, ...second.patches],
    inverse: [...second.inverse, ...first.inverse],
  }
}

/** Runs a command on the open dish: every change goes through here, so undo, autosave and the log are one mechanism. */
export function run({ label, apply, merge }: Command): void {
  const { dish, past } = useOpenDish.getState()
  if (dish === null) return
  const [changed, patches, inverse] = produceWithPatches(dish, (draft) => {
    apply(draft)
  })
  if (patches.length === 0) return
  const next = { ...changed, updatedAt: nowIso() }
  const last = past.at(-1)
  const at = Date.now()
  const isMerged =
    merge !== undefined && merge === mergeKey && last !== undefined && at - last.at < MERGE_WITHIN_MS
  const record = isMerged ? joined(last, { label, at, patches, inverse }) : { label, at, patches, inverse }
  mergeKey = merge
  useOpenDish.setState({ dish: next, past: [...(isMerged ? past.slice(0, -1) : past), record], future: [] })
  scheduleSave()
}

/** Takes the last change back. Returns its label, or null when there is nothing to undo. */
export function undo(): string | null {
  const { dish, past, future } = useOpenDish.getState()
  const last = past.at(-1)
  if (dish === null || last === undefined) return null
  mergeKey = undefined
  const back = { ...applyPatches(dish, last.inverse), updatedAt: nowIso() }
  useOpenDish.setState({ dish: back, past: past.slice(0, -1), future: [...future, last] })
  scheduleSave()
  return last.label
}

/** Makes the last undone change again. */
export function redo(): string | null {
  const { dish, past, future } = useOpenDish.getState()
  const next = future.at(-1)
  if (dish === null || next === undefined) return null
  mergeKey = undefined
  const forward = { ...applyPatches(dish, next.patches), updatedAt: nowIso() }
  useOpenDish.setState({ dish: forward, past: [...past, next], future: future.slice(0, -1) })
  scheduleSave()
  return next.label
}

/** Settles a clash with another tab: keep this tab's dish, or take the other's. */
export function settleForeign(choice: 'mine' | 'theirs'): void {
  const { foreign } = useOpenDish.getState()
  if (foreign === null) return
  if (choice === 'theirs')
    useOpenDish.setState({ dish: foreign, past: [], future: [], foreign: null, saveState: 'saved' })
  else {
    useOpenDish.setState({ foreign: null })
    scheduleSave()
  }
}
