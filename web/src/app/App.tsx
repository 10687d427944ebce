import { useEffect, useState } from 'react'
import { createBrowserRouter } from 'react-router'
import { RouterProvider } from 'react-router/dom'
import { Toaster } from 'sonner'
import {
  flushKitchenOnLeave,
  flushOnLeave,
  holdTab,
  loadKitchen,
  openDemoOnFirstStart,
  openKitchenStorage,
  watchWeighings,
} from '../store'
import { DishLayout } from './DishLayout'
import { Broken, RouteError } from './Errors'
import { NotFound } from './NotFound'
import { Recovery } from './Recovery'
import { Shell } from './Shell'

const router = createBrowserRouter([
  { path: '/recovery', element: <Recovery /> },
  {
    path: '/',
    element: <Shell />,
    errorElement: <RouteError />,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('../dishes')).Shelf }) },
      {
        path: 'dish/:dishId',
        element: <DishLayout />,
        errorElement: <RouteError />,
        children: [
          { path: 'aim', lazy: async () => ({ Component: (await import('../stages/aim')).AimStage }) },
          { path: 'mix', lazy: async () => ({ Component: (await import('../stages/mix')).MixStage }) },
          {
            path: 'method',
            lazy: async () => ({ Component: (await import('../stages/method')).MethodStage }),
          },
          { path: 'share', lazy: async () => ({ Component: (await import('../stages/share')).ShareStage }) },
          { path: '*', element: <NotFound /> },
        ],
      },
      { path: 'pantry', lazy: async () => ({ Component: (await import('../pantry')).Pantry }) },
      { path: 'kitchen', lazy: async () => ({ Component: (await import('../kitchen')).KitchenPage }) },
      { path: '*', element: <NotFound /> },
    ],
  },
])

/** Loads the library and the kitchen, then shows the application. */
export function App() {
  const [state, setState] = useState<'loading' | 'ready' | 'broken'>('loading')
  useEffect(() => {
    const start = async () => {
      holdTab()
      await openKitchenStorage()
      // The recovery page needs no kitchen: the kitchen may be what is damaged.
      if (window.location.pathname !== '/recovery') {
        await openDemoOnFirstStart()
        await loadKitchen()
      }
      setState('ready')
    }
    start().catch((error: unknown) => {
      console.error(error)
      setState('broken')
    })
    const stopWatching = watchWeighings()
    const leave = () => {
      flushOnLeave()
      flushKitchenOnLeave()
    }
    const hide = () => {
      if (document.visibilityState === 'hidden') leave()
    }
    window.addEventListener('pagehide', leave)
    document.addEventListener('visibilitychange', hide)
    return () => {
      stopWatching()
      window.removeEventListener('pagehide', leave)
      document.removeEventListener('visibilitychange', hide)
    }
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
      <Toaster
        position="bottom-center"
        toastOptions={{ style: { background: 'var(--color-ink)', color: 'var(--color-paper)', border: 0 } }}
      />
    </>
  )
}
