import { type Draft, produceWithPatches } from 'immer'
import { create, type StoreApi, type UseBoundStore } from 'zustand'
import {
  askToPersist,
  type Besides,
  type ChangeRecord,
  type DocumentRepository,
  forgetAside,
  type Found,
  keepAside,
  leftAside,
  type Stored,
} from '../../data'
import { newId, tabId } from '../ids'
import { asAside } from './asAside'
import { applied, changeBetween, joined } from './history'
import { type Conflict, merge } from './merge'
import { refusalWords, useRefusal } from './refusals'

/** A named change of a document. `merge` joins it to the one before with the same key, as while dragging. */
export interface Command<T> {
  readonly label: string
  readonly apply: (draft: Draft<T>) => void
  readonly merge?: string
  /** Rows that come with this change, and go when it is undone. */
  readonly besides?: readonly Besides[]
}

/**
 * `saved`: storage holds what is shown. `unsaved`, `saving`: it soon will. `refused`: storage would not take it.
 * `clash`: another tab changed the same places, and the person is asked. `gone`: the document was removed.
 */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'refused' | 'clash' | 'gone'

export interface DocumentState<T> {
  readonly value: T | null
  readonly past: readonly ChangeRecord[]
  readonly future: readonly ChangeRecord[]
  readonly save: SaveState
  /** Why saving was refused, in words. */
  readonly fault: string | null
  /** Where this tab's changes and those of another meet; empty unless `save` is `clash`. */
  readonly conflicts: readonly Conflict[]
  /** What another tab stored, while the person is asked. */
  readonly theirs: T | null
  /** Set where there is no such document, or its row is damaged. */
  readonly missing: 'none' | 'bad' | null
}

export interface DocumentOptions<T> {
  readonly repository: DocumentRepository<T>
  /** What keeps a changed value from being saved, in words; null where nothing does. */
  readonly check: (value: T) => string | null
  /** A record kept aside, if it is whole. */
  readonly parse: (value: unknown) => T | null
  /** What is done where two tabs changed one place: the person is asked, or the later change stands. */
  readonly onClash: 'ask' | 'mine'
  /** Stamps a changed value, as with its time. */
  readonly stamp?: (value: T) => T
  /** Mends what a join of two sets of changes can leave behind. */
  readonly tidy?: (value: T) => T
  /** Called in this tab alone, after a change made here. */
  readonly onAct?: (before: T, after: T) => void
  /** The tab that it is open in. */
  readonly tab?: string
  readonly timing?: Timing
}

/** When saves come, ms. */
export interface Timing {
  /** After the last change. */
  readonly saveAfterMs: number
  /** After the first change that is not saved, at most. */
  readonly ceilingMs: number
  /** After each refusal in turn; the last of them from then on. */
  readonly retryAfterMs: readonly number[]
}

export interface OpenDocument<T> {
  readonly use: UseBoundStore<StoreApi<DocumentState<T>>>
  /** Opens a document with its undo history, and what was kept aside of it. */
  readonly open: (id: string) => Promise<void>
  /** Saves what waits, and closes. */
  readonly close: () => Promise<void>
  /** @returns false where the change was refused; why is told through `useRefusal` */
  readonly run: (command: Command<T>) => boolean
  /** Takes the last change back. @returns its label, null when there is none */
  readonly undo: () => string | null
  /** Makes the last undone change again. @returns its label, null when there is none */
  readonly redo: () => string | null
  /** Saves now what waits to be saved. */
  readonly flush: () => Promise<void>
  /** On leaving the page: what is unsaved is kept aside at once, and saved if there is time. */
  readonly leave: () => void
  /** Settles a clash. `both` leaves this tab's version to the caller, who makes a document of it. */
  readonly settle: (choice: 'mine' | 'theirs') => T | null
}

const TIMING: Timing = { saveAfterMs: 300, ceilingMs: 500, retryAfterMs: [1_000, 3_000, 10_000, 30_000] }
const MERGE_WITHIN_MS = 1500

const closed = {
  value: null,
  past: [],
  future: [],
  save: 'saved',
  fault: null,
  conflicts: [],
  theirs: null,
  missing: null,
} as const

/** What this tab holds beside what it shows: what its changes were made on. */
interface Ground<T> {
  readonly id: string
  readonly base: T
  readonly revision: number
}

let hasAskedToPersist = false
/** At the first real save the browser is asked to keep its storage. */
function persistOnce(): void {
  if (hasAskedToPersist) return
  hasAskedToPersist = true
  void askToPersist()
}

/** One open document of a kind: opened, changed, saved, followed across tabs and restored by one mechanism. */
export function createDocument<T extends object>(options: DocumentOptions<T>): OpenDocument<T> {
  const { repository, onClash, tab: ownTab = tabId } = options
  const { saveAfterMs, ceilingMs, retryAfterMs } = options.timing ?? TIMING
  const { kind } = repository
  const use = create<DocumentState<T>>(() => closed)
  const stamp = options.stamp ?? ((value: T) => value)
  const tidy = options.tidy ?? ((value: T) => value)

  let ground: Ground<T> | null = null
  /** Rows that come and go with the next save. */
  let put: Besides[] = []
  let remove: Besides[] = []
  /** A state that is on its way to storage has one mark, wherever it is kept. */
  let marked: { value: T; mark: string } | null = null
  let mergeKey: string | undefined
  let timer: ReturnType<typeof setTimeout> | undefined
  let firstUnsavedAt: number | null = null
  let refusals = 0
  let running: Promise<void> | null = null
  let stopWatching: (() => void) | undefined
  /** What another tab stored, waiting for the person's choice. */
  let theirs: Stored<T> | null = null

  const markOf = (value: T): string => {
    if (marked?.value !== value) marked = { value, mark: newId() }
    return marked.mark
  }
  const isWaiting = (): boolean => {
    const { save } = use.getState()
    return save === 'unsaved' || save === 'saving' || save === 'refused'
  }
  const isDirty = (): boolean => isWaiting() || use.getState().save === 'clash'

  function schedule(): void {
    const now = Date.now()
    firstUnsavedAt ??= now
    clearTimeout(timer)
    const wait = Math.min(saveAfterMs, Math.max(0, firstUnsavedAt + ceilingMs - now))
    timer = setTimeout(() => void flush(), wait)
  }

  /** Takes over what is stored, history and all. */
  function adopt(row: Stored<T>): void {
    ground = { id: row.id, base: row.value, revision: row.revision }
    put = []
    remove = []
    theirs = null
    mergeKey = undefined
    firstUnsavedAt = null
    clearTimeout(timer)
    forgetAside(kind, row.id, ownTab)
    use.setState({
      value: row.value,
      past: row.past,
      future: row.future,
      save: 'saved',
      fault: null,
      conflicts: [],
      theirs: null,
      missing: null,
    })
  }

  /** Puts this tab's changes on top of what is stored; asks where both changed one place and `prefer` is null. */
  function rebase(row: Stored<T>, prefer: 'mine' | 'theirs' | null): 'joined' | 'asked' {
    const { value, past } = use.getState()
    if (ground === null || value === null) return 'asked'
    const merged = merge(ground.base, value, row.value, prefer ?? 'mine')
    const joint = tidy(merged.value)
    const fault = options.check(joint)
    if (prefer === null && (fault !== null || merged.conflicts.some(({ path }) => !isStamp(path)))) {
      theirs = row
      use.setState({
        save: 'clash',
        theirs: row.value,
        conflicts: merged.conflicts.filter(({ path }) => !isStamp(path)),
      })
      setAside()
      return 'asked'
    }
    // Where the joint document would break a limit even so, the stored one stands whole.
    const next = fault === null ? joint : prefer === 'mine' ? value : row.value
    ground = { id: row.id, base: row.value, revision: row.revision }
    theirs = null
    mergeKey = undefined
    const change = changeBetween(past.at(-1)?.label ?? 'change it here', row.value, next, put)
    const isChanged = change.patches.length > 0
    use.setState({
      value: next,
      past: isChanged ? [...row.past, change] : row.past,
      future: isChanged ? [] : row.future,
      save: 'unsaved',
      conflicts: [],
      theirs: null,
    })
    return 'joined'
  }

  function setAside(): boolean {
    const { value, past, future } = use.getState()
    if (ground === null || value === null) return false
    const { id, base, revision } = ground
    const mark = markOf(value)
    return keepAside<T>(kind, ownTab, {
      id,
      base,
      revision,
      value,
      past,
      future,
      put,
      remove,
      mark,
      at: Date.now(),
    })
  }

  /** One attempt to save what is shown. @returns whether it met another tab's changes and is to be made again */
  async function attempt(): Promise<boolean> {
    const { value, past, future } = use.getState()
    if (ground === null || value === null) return false
    const { id, revision } = ground
    const sent = { put, remove, mark: markOf(value) }
    use.setState({ save: 'saving' })
    const result = await repository.save({ id, value, base: revision, past, future, ...sent })
    if (ground.id !== id) return false
    refusals = 0
    if (result.kind === 'clash') {
      const answer = rebase(result.row, onClash === 'ask' ? null : 'mine')
      return answer === 'joined'
    }
    if (result.kind === 'gone' || result.kind === 'bad') {
      use.setState(
        result.kind === 'gone'
          ? { save: 'gone' }
          : { save: 'refused', fault: 'What is stored is damaged, and is not overwritten. Save a file.' },
      )
      setAside()
      return false
    }
    persistOnce()
    put = put.filter((one) => !sent.put.includes(one))
    remove = remove.filter((one) => !sent.remove.includes(one))
    ground = { id, base: result.row.value, revision: result.row.revision }
    const now = use.getState()
    // The save itself may have changed the document, as when a number was taken.
    const shown =
      result.row.value === value || now.value === null
        ? now.value
        : now.value === value
          ? result.row.value
          : merge(value, now.value, result.row.value, 'mine').value
    const isSame = now.value === value
    firstUnsavedAt = null
    use.setState({ value: shown, save: isSame ? 'saved' : 'unsaved', fault: null })
    if (isSame) forgetAside(kind, id, ownTab)
    else schedule()
    return false
  }

  async function saveAll(): Promise<void> {
    try {
      while (isWaiting() && (await attempt()));
    } catch (error) {
      console.error(error)
      const isAside = setAside()
      const wait = retryAfterMs[Math.min(refusals, retryAfterMs.length - 1)]
      refusals += 1
      const fault = refusalWords(error)
      use.setState({
        save: 'refused',
        fault: isAside ? fault : `${fault} It could not be kept aside either.`,
      })
      clearTimeout(timer)
      timer = setTimeout(() => void flush(), wait)
    }
  }

  async function flush(): Promise<void> {
    clearTimeout(timer)
    if (running !== null) {
      await running
      if (!isWaiting() || use.getState().save === 'refused') return
    }
    if (!isWaiting()) return
    running ??= saveAll().finally(() => {
      running = null
    })
    await running
  }

  /** What storage tells, at the start and after each change in any tab. */
  function follow(id: string, found: Found<T>): void {
    if (ground?.id !== id) return
    const { save } = use.getState()
    if (found.kind === 'none') {
      if (ground.revision === 0 || save === 'gone') return
      clearTimeout(timer)
      if (isDirty()) setAside()
      use.setState({ save: 'gone', conflicts: [], theirs: null })
      return
    }
    if (found.kind === 'bad') {
      use.setState({
        save: 'refused',
        fault: 'What is stored is damaged, and is not overwritten. Save a file.',
      })
      return
    }
    const { row } = found
    if (save === 'gone') {
      // It is back: as it is, or under what this tab still has.
      if (use.getState().value === ground.base) adopt(row)
      else if (rebase(row, onClash === 'ask' ? null : 'mine') === 'joined') void flush()
      return
    }
    if (row.revision <= ground.revision) return
    if (save === 'clash') rebase(row, null)
    else if (isWaiting()) void flush()
    else adopt(row)
    if (use.getState().save === 'unsaved') void flush()
  }

  /** Takes up what tabs that are gone have left of this document. */
  async function recover(id: string): Promise<void> {
    for (const { tab, record } of await leftAside(kind, id, ownTab)) {
      const aside = asAside(record, options.parse)
      if (ground?.id !== id) return
      if (aside === null) continue
      const found = await repository.read(id)
      if (found.kind === 'bad') return
      forgetAside(kind, id, tab)
      const row = found.kind === 'row' ? found.row : null
      if (row?.saves.includes(aside.mark) === true) continue
      // Value and history together where they fit what is stored; else the value alone, joined to it.
      const isWhole = row === null || row.revision === aside.revision
      ground = { id, base: aside.base, revision: aside.revision }
      put = [...aside.put]
      remove = [...aside.remove]
      marked = { value: aside.value, mark: aside.mark }
      use.setState({
        value: aside.value,
        past: isWhole ? aside.past : [],
        future: isWhole ? aside.future : [],
        save: row === null ? 'gone' : 'unsaved',
        missing: null,
      })
      if (row !== null && !isWhole) rebase(row, onClash === 'ask' ? null : 'mine')
      setAside()
      if (use.getState().save !== 'unsaved') return
      await flush()
    }
  }

  /** The document that is wanted last; openings and closings come one after another, so that none crosses another. */
  let wanted: string | null = null
  let turn: Promise<void> = Promise.resolve()
  function inTurn(act: () => Promise<void>): Promise<void> {
    turn = turn.catch(() => undefined).then(act)
    return turn
  }
  function open(id: string): Promise<void> {
    wanted = id
    return inTurn(async () => {
      if (wanted === id) await openNow(id)
    })
  }
  function close(): Promise<void> {
    wanted = null
    return inTurn(async () => {
      if (wanted === null) await closeNow()
    })
  }

  async function openNow(id: string): Promise<void> {
    if (ground?.id === id) return
    await closeNow()
    const found = await repository.read(id)
    if (found.kind === 'bad') {
      use.setState({ ...closed, missing: 'bad' })
      return
    }
    ground = { id, base: {} as T, revision: 0 }
    if (found.kind === 'row') adopt(found.row)
    await recover(id)
    if (found.kind === 'none' && use.getState().value === null) {
      ground = null
      use.setState({ ...closed, missing: 'none' })
      return
    }
    stopWatching = repository.watch(
      id,
      (next) => follow(id, next),
      (revision) => ground?.id === id && use.getState().save !== 'gone' && revision <= ground.revision,
    )
  }

  async function closeNow(): Promise<void> {
    stopWatching?.()
    stopWatching = undefined
    const id = ground?.id
    do await flush()
    while (ground?.id === id && use.getState().save === 'unsaved')
    if (ground?.id !== id) return
    // What could not be saved stays aside, for the next time that it is opened.
    if (isDirty()) setAside()
    clearTimeout(timer)
    ground = null
    put = []
    remove = []
    theirs = null
    mergeKey = undefined
    firstUnsavedAt = null
    use.setState(closed)
  }

  /** Shows a changed value and sees to its saving. */
  function show(value: T, past: readonly ChangeRecord[], future: readonly ChangeRecord[]): void {
    const { save } = use.getState()
    const before = use.getState().value
    use.setState({
      value,
      past,
      future,
      ...(save === 'saved' || save === 'saving' ? { save: 'unsaved' } : {}),
    })
    if (save !== 'gone' && save !== 'clash' && save !== 'refused') schedule()
    if (save === 'gone' || save === 'clash' || save === 'refused') setAside()
    if (before !== null) options.onAct?.(before, value)
  }

  function refuse(words: string): false {
    useRefusal.setState({ words, at: Date.now() })
    return false
  }

  function run({ label, apply, merge: key, besides }: Command<T>): boolean {
    const { value, past } = use.getState()
    if (value === null || ground === null) return false
    const [changed, patches, inverse] = produceWithPatches(value, (draft: Draft<T>) => {
      apply(draft)
    })
    if (patches.length === 0 && besides === undefined) return true
    const fault = options.check(changed)
    if (fault !== null) return refuse(fault)
    const last = past.at(-1)
    const at = Date.now()
    const isMerged =
      key !== undefined && key === mergeKey && last !== undefined && at - last.at < MERGE_WITHIN_MS
    const own: ChangeRecord = {
      label,
      at,
      patches,
      inverse,
      ...(besides === undefined ? {} : { besides: [...besides] }),
    }
    mergeKey = key
    put = [...put, ...(besides ?? [])]
    show(stamp(changed), [...(isMerged ? past.slice(0, -1) : past), isMerged ? joined(last, own) : own], [])
    return true
  }

  /** One step along the history, backward or forward. */
  function step(direction: 'back' | 'on'): string | null {
    const { value, past, future } = use.getState()
    const change = (direction === 'back' ? past : future).at(-1)
    if (value === null || change === undefined) return null
    mergeKey = undefined
    const next = applied(value, direction === 'back' ? change.inverse : change.patches)
    if (next === null || options.check(next) !== null) {
      refuse(`“${change.label}” no longer fits what is here. Nothing was changed.`)
      return null
    }
    const rows = change.besides ?? []
    if (direction === 'back') {
      remove = [...remove, ...rows]
      put = put.filter((one) => !rows.includes(one))
      show(stamp(next), past.slice(0, -1), [...future, change])
    } else {
      put = [...put, ...rows]
      remove = remove.filter((one) => !rows.includes(one))
      show(stamp(next), [...past, change], future.slice(0, -1))
    }
    return change.label
  }

  function settle(choice: 'mine' | 'theirs'): T | null {
    const mine = use.getState().value
    if (theirs === null || mine === null) return null
    rebase(theirs, choice)
    void flush()
    return mine
  }

  return {
    use,
    open,
    close,
    run,
    undo: () => step('back'),
    redo: () => step('on'),
    flush,
    leave: () => {
      if (!isDirty()) return
      setAside()
      void flush()
    },
    settle,
  }
}

/** Times of change are no change of their own. */
const isStamp = (path: readonly string[]): boolean => path.length === 1 && path[0] === 'updatedAt'
