import { useEffect, useState } from 'react'
import { createBrowserRouter } from 'react-router'
import { RouterProvider } from 'react-router/dom'
import {
  fetchBench,
  flushKitchenOnLeave,
  flushOnLeave,
  holdTab,
  loadKitchen,
  openDish,
  openDemoOnFirstStart,
  openKitchen,
  openKitchenStorage,
  useDayDoor,
  useTastingDoor,
} from '../store'
import { ToastHost } from '../ui'
import { Broken, RouteError } from './Errors'
import { NeedsBench } from './NeedsBench'
import { keepBuild } from './newBuild'
import { NotFound } from './NotFound'
import { Shell } from './Shell'
import { STAGES } from './stages'

const router = createBrowserRouter([
  { path: '/recovery', lazy: async () => ({ Component: (await import('./Recovery')).Recovery }) },
  { path: '/stand-in', lazy: async () => ({ Component: (await import('../standin')).StandIn }) },
  {
    element: <NeedsBench />,
    errorElement: <RouteError />,
    children: [
      {
        path: '/taste/:tastingId',
        lazy: async () => ({ Component: (await import('../handover')).HandOver }),
      },
      {
        path: '/taste/:tastingId/sheets',
        lazy: async () => ({ Component: (await import('../handover')).Sheets }),
      },
      { path: '/day/:dayId', lazy: async () => ({ Component: (await import('../counter')).CounterDay }) },
    ],
  },
  {
    path: '/',
    element: <Shell />,
    errorElement: <RouteError />,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../dishes')).Shelf }) },
      {
        element: <NeedsBench />,
        errorElement: <RouteError />,
        children: [
          {
            path: 'dish/:dishId',
            lazy: async () => ({ Component: (await import('./DishLayout')).DishLayout }),
            errorElement: <RouteError />,
            children: [
              ...STAGES.map(({ id, load }) => ({
                path: id,
                lazy: async () => ({ Component: await load() }),
              })),
              { path: '*', element: <NotFound /> },
            ],
          },
          { path: 'pantry', lazy: async () => ({ Component: (await import('../pantry')).Pantry }) },
          { path: 'kitchen', lazy: async () => ({ Component: (await import('../kitchen')).KitchenPage }) },
        ],
      },
      { path: '*', element: <NotFound /> },
    ],
  },
])

const isRecovery = (): boolean => window.location.pathname === '/recovery'

/** Begins to open the dish that the address names, before its screen has arrived. */
async function openDishOfAddress(): Promise<void> {
  const id = /^\/dish\/([^/]+)\//.exec(window.location.pathname)?.[1]
  if (id !== undefined) await openDish(decodeURIComponent(id))
}

/** What was done here is saved when the page is hidden or left. */
function useSavingOnLeave(): void {
  useEffect(() => {
    const leave = () => {
      flushOnLeave()
      flushKitchenOnLeave()
      useDayDoor.getState().leave()
      useTastingDoor.getState().leave()
    }
    const hide = () => {
      if (document.visibilityState === 'hidden') leave()
    }
    window.addEventListener('pagehide', leave)
    document.addEventListener('visibilitychange', hide)
    return () => {
      window.removeEventListener('pagehide', leave)
      document.removeEventListener('visibilitychange', hide)
    }
  }, [])
}

/** Opens what this browser keeps and shows it; library and engine arrive meanwhile, for the screens that need them. */
export function App() {
  const [state, setState] = useState<'loading' | 'ready' | 'broken'>('loading')
  useSavingOnLeave()
  useEffect(() => {
    const start = async () => {
      holdTab()
      // What takes longest begins first; it is waited for where it is needed.
      if (!isRecovery()) fetchBench().catch(() => undefined)
      await openKitchenStorage()
      // The recovery page needs no kitchen: the kitchen may be what is damaged.
      if (!isRecovery()) {
        await openDemoOnFirstStart()
        await Promise.all([openKitchen(), openDishOfAddress()])
      }
      setState('ready')
      if (!isRecovery()) await loadKitchen()
      await keepBuild()
    }
    start().catch((error: unknown) => {
      console.error(error)
      setState('broken')
    })
  }, [])
  if (state === 'broken') return <Broken what="The kitchen could not be opened." />
  if (state === 'loading') {
    return (
      <p role="status" className="grid min-h-dvh place-items-center text-ink-2">
        Setting out the bench …
      </p>
    )
  }
  return (
    <>
      <RouterProvider router={router} />
      <ToastHost />
    </>
  )
}
