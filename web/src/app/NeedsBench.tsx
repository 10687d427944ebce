import { Outlet } from 'react-router'
import { useKitchenStore } from '../store'

/** Screens that work dishes out are shown once the library and the engine are there. */
export function NeedsBench() {
  const isReady = useKitchenStore((state) => state.engine !== null)
  return isReady ? (
    <Outlet />
  ) : (
    <p role="status" className="grid min-h-dvh place-items-center text-ink-2">
      Setting out the bench …
    </p>
  )
}
