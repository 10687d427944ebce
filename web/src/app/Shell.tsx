import { clsx } from 'clsx'
import { lazy, Suspense, useEffect, useState } from 'react'
import { Outlet, useLocation, useNavigate } from 'react-router'
import { closeDish, useOpenDish } from '../store'
import { isSheetOpen, isTyping, setSingleKeys, Sheet, useShortcut, useSingleKeys } from '../ui'
import { Pod } from './Pod'
import { SaveBar, useScreenDocument } from './SaveBar'
import { STAGES, stageOf } from './stages'
import { Troubles } from './Troubles'

const FindAnything = lazy(async () => ({ default: (await import('./FindAnything')).FindAnything }))

const SHORTCUTS: readonly (readonly [string, string])[] = [
  ['Alt + 1 … 7', 'go to a stage'],
  ['A', 'add a line'],
  ['/', 'find a dish, an ingredient, an action'],
  ['U', 'undo (Shift for redo)'],
  ['?', 'why, for the focused figure'],
  ['↑ ↓', 'change the focused figure; Shift for ten steps'],
  ['K', 'this list'],
]

/** Undo by key. Apart from the frame, which need not be set up anew each time that something is saved. */
function UndoKeys() {
  const { undo, redo } = useScreenDocument()
  useShortcut('u', (event) => (event.shiftKey ? redo() : undo()))
  return null
}

/** The frame of every screen: the pod, the page, the keys. */
export function Shell() {
  const [open, setOpen] = useState<'keys' | 'find' | null>(null)
  const navigate = useNavigate()
  const hasSingleKeys = useSingleKeys((state) => state.isOn)
  const location = useLocation()
  const dishId = useOpenDish((state) => state.value?.id ?? null)
  const hasCounter = stageOf(location.pathname)?.hasCounter === true
  const isInDish = location.pathname.startsWith('/dish/')

  useEffect(() => {
    if (!isInDish && location.pathname === '/') void closeDish()
  }, [isInDish, location.pathname])

  useShortcut('k', () => setOpen('keys'))
  useShortcut('/', () => setOpen('find'))
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (
        event.key === '?' &&
        !isTyping(event.target) &&
        !isSheetOpen() &&
        useSingleKeys.getState().isOn &&
        event.target instanceof HTMLElement &&
        event.target.matches('[data-why]')
      ) {
        event.target.click()
      }
      if (!event.altKey || !/^Digit[1-7]$/.test(event.code) || dishId === null) return
      const stage = STAGES[Number(event.code.at(-1)) - 1]
      if (stage === undefined) return
      event.preventDefault()
      void navigate(`/dish/${dishId}/${stage.id}`)
    }
    document.addEventListener('keydown', pressed)
    return () => document.removeEventListener('keydown', pressed)
  }, [dishId, navigate])

  return (
    <div className="grid min-h-dvh grid-cols-[92px_1fr] max-md:grid-cols-1 max-md:pb-[66px] print:block">
      <a
        href="#page"
        className="sr-only focus:not-sr-only focus:absolute focus:top-2 focus:left-2 focus:z-50 focus:rounded-lg focus:bg-paper focus:p-2"
      >
        Skip to the page
      </a>
      <Pod onKeys={() => setOpen('keys')} />
      <main
        id="page"
        tabIndex={-1}
        className={clsx('min-w-0 outline-none', !hasCounter && 'pb-12 print:pb-0')}
      >
        <Troubles />
        <Outlet />
      </main>
      <SaveBar />
      <UndoKeys />
      <Sheet title="Keys" isOpen={open === 'keys'} onClose={() => setOpen(null)}>
        <dl className="m-0 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2 text-sm">
          {SHORTCUTS.map(([keys, what]) => (
            <div key={keys} className="contents">
              <dt>
                <kbd className="rounded-md border border-line bg-oat px-1.5 text-[13px]">{keys}</kbd>
              </dt>
              <dd className="m-0">{what}</dd>
            </div>
          ))}
        </dl>
        <label className="mt-3 flex min-h-9 items-center gap-2 border-t border-line pt-3 text-sm">
          <input
            type="checkbox"
            className="size-4"
            checked={hasSingleKeys}
            onChange={(event) => setSingleKeys(event.target.checked)}
          />
          Single letters are shortcuts. Alt + numbers always work.
        </label>
      </Sheet>
      {open === 'find' && (
        <Suspense fallback={null}>
          <FindAnything isOpen onClose={() => setOpen(null)} />
        </Suspense>
      )}
    </div>
  )
}
