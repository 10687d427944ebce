import { clsx } from 'clsx'
import { Redo2, Undo2 } from 'lucide-react'
import { useLocation } from 'react-router'
import {
  redo,
  redoKitchen,
  redoShelf,
  type DocumentDoor,
  type DocumentState,
  type SaveState,
  undo,
  undoKitchen,
  undoShelf,
  useKitchenDocument,
  useOpenDish,
  useDayDoor,
  useTastingDoor,
  useShelfActs,
} from '../store'
import { toast } from '../ui'
import { stageOf } from './stages'

const SAVED: Record<SaveState, string> = {
  saved: 'Saved',
  unsaved: 'Saving …',
  saving: 'Saving …',
  refused: 'Not saved',
  clash: 'Waits for you',
  gone: 'Removed elsewhere',
}

/** What this screen changes: the open dish, the shelf, or the kitchen. */
export function useScreenDocument() {
  const { pathname } = useLocation()
  const dish = useOpenDish(historyOf)
  const kitchen = useKitchenDocument(historyOf)
  const day = useDayDoor()
  const tasting = useTastingDoor()
  const shelf = useShelfActs(
    ({ past, future }) => `${past.at(-1)?.label ?? ''}\n${future.at(-1)?.label ?? ''}`,
  )
  const split = (history: string) => {
    const [last = '', next = ''] = history.split('\n')
    return { last: last === '' ? null : last, next: next === '' ? null : next }
  }
  const dishSave = useOpenDish((state) => state.save)
  const kitchenSave = useKitchenDocument((state) => state.save)
  // On Cook it is the day that is changed, on Taste the tasting.
  if (/^\/dish\/[^/]+\/cook|^\/day\//.test(pathname)) return behind('day', day)
  if (/^\/dish\/[^/]+\/taste/.test(pathname)) return behind('tasting', tasting)
  if (pathname.startsWith('/dish/'))
    return {
      of: 'dish',
      save: dishSave,
      ...split(dish),
      undo: tell('Undone', undo),
      redo: tell('Done again', redo),
    }
  if (pathname === '/')
    // What is done on the shelf is stored at once.
    return {
      of: 'shelf',
      save: kitchenSave,
      ...split(shelf),
      undo: tell('Undone', undoShelf),
      redo: tell('Done again', redoShelf),
    }
  return {
    of: 'kitchen',
    save: kitchenSave,
    ...split(kitchen),
    undo: tell('Undone', undoKitchen),
    redo: tell('Done again', redoKitchen),
  }
}

const behind = (of: string, { save, last, next, undo: back, redo: forth }: DocumentDoor) => ({
  of,
  save,
  last,
  next,
  undo: tell('Undone', back),
  redo: tell('Done again', forth),
})

/** The labels of the last change and of the one that was undone last, as one stable value. */
const historyOf = ({ past, future }: Pick<DocumentState<unknown>, 'past' | 'future'>): string =>
  `${past.at(-1)?.label ?? ''}\n${future.at(-1)?.label ?? ''}`

const tell = (what: string, act: () => string | null) => (): void => {
  const label = act()
  if (label !== null) toast(`${what}: ${label}`)
}

const STEP = 'grid size-8 place-items-center rounded-full hover:bg-white/15 disabled:opacity-35'

/** Whether what is shown is saved, with undo and redo: at one place on every screen. */
export function SaveBar() {
  const { of, save, last, next, undo, redo } = useScreenDocument()
  const hasCounter = stageOf(useLocation().pathname)?.hasCounter === true
  const isTroubled = save === 'refused' || save === 'clash' || save === 'gone'
  return (
    <section
      aria-label={`Saving of the ${of}`}
      data-on-night
      className={clsx(
        'no-print fixed right-5 bottom-0 z-30 flex items-center gap-1 rounded-t-card bg-night pr-3 pl-4 text-on-night max-md:right-0 max-md:bottom-[66px] max-md:rounded-r-none max-md:pr-1.5 max-md:pl-3',
        // As high as the counter that it stands in; by itself it takes less.
        hasCounter ? 'h-16' : 'h-12',
      )}
    >
      <p
        role="status"
        className={clsx('m-0 min-w-16 text-right text-[13px]', isTroubled && 'font-semibold text-[#ffb9b4]')}
      >
        {SAVED[save]}
      </p>
      <button
        type="button"
        className={STEP}
        disabled={last === null}
        aria-label="Undo"
        title={last === null ? 'Nothing to undo' : `Undo: ${last}`}
        onClick={undo}
      >
        <Undo2 size={17} aria-hidden="true" />
      </button>
      <button
        type="button"
        className={STEP}
        disabled={next === null}
        aria-label="Redo"
        title={next === null ? 'Nothing to do again' : `Redo: ${next}`}
        onClick={redo}
      >
        <Redo2 size={17} aria-hidden="true" />
      </button>
    </section>
  )
}
