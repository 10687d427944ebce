import { clsx } from 'clsx'
import { Redo2, Undo2 } from 'lucide-react'
import { useLocation } from 'react-router'
import {
  redo,
  redoKitchen,
  type SaveState,
  undo,
  undoKitchen,
  useKitchenDocument,
  useOpenDish,
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

/** The document that this screen changes: the open dish, or the kitchen where there is none. */
export function useScreenDocument() {
  const isOfDish = useLocation().pathname.startsWith('/dish/')
  const ofDish = {
    save: useOpenDish((state) => state.save),
    last: useOpenDish((state) => state.past.at(-1)?.label ?? null),
    next: useOpenDish((state) => state.future.at(-1)?.label ?? null),
  }
  const ofKitchen = {
    save: useKitchenDocument((state) => state.save),
    last: useKitchenDocument((state) => state.past.at(-1)?.label ?? null),
    next: useKitchenDocument((state) => state.future.at(-1)?.label ?? null),
  }
  return isOfDish
    ? { ...ofDish, isOfDish, undo: tell('Undone', undo), redo: tell('Done again', redo) }
    : { ...ofKitchen, isOfDish, undo: tell('Undone', undoKitchen), redo: tell('Done again', redoKitchen) }
}

const tell = (what: string, act: () => string | null) => (): void => {
  const label = act()
  if (label !== null) toast(`${what}: ${label}`)
}

const STEP = 'grid size-8 place-items-center rounded-full hover:bg-white/15 disabled:opacity-35'

/** Whether what is shown is saved, with undo and redo: at one place on every screen. */
export function SaveBar() {
  const { save, last, next, isOfDish, undo, redo } = useScreenDocument()
  const hasCounter = stageOf(useLocation().pathname)?.hasCounter === true
  const isTroubled = save === 'refused' || save === 'clash' || save === 'gone'
  return (
    <section
      aria-label={isOfDish ? 'Saving of the dish' : 'Saving of the kitchen'}
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
