import { lazy, Suspense, useEffect, useState } from 'react'
import { Outlet, useLocation, useParams } from 'react-router'
import { openDish, useAssessed, useOpenDish, useWhy } from '../store'
import { ActionSlot } from '../ui'
import { Counter } from './Counter'
import { DishHeader } from './DishHeader'
import { NotFound } from './NotFound'
import { stageOf } from './stages'

const WhySheet = lazy(async () => ({ default: (await import('./WhySheet')).WhySheet }))

/** Opens the dish of the address, keeps watch on other tabs, and frames its stages. */
export function DishLayout() {
  const { dishId = '' } = useParams()
  const { pathname } = useLocation()
  const openId = useAssessed((state) => state.dish?.id ?? null)
  const isAsked = useWhy((state) => state.asked !== null)
  const missing = useOpenDish((state) => state.missing)
  const [slot, setSlot] = useState<HTMLElement | null>(null)
  useEffect(() => {
    void openDish(dishId)
  }, [dishId])
  if (openId !== dishId) {
    return missing !== null ? (
      <NotFound />
    ) : (
      <p role="status" className="p-8 text-ink-2">
        Opening the dish …
      </p>
    )
  }
  const hasCounter = stageOf(pathname)?.hasCounter === true
  return (
    <ActionSlot value={slot}>
      <div className="flex min-h-dvh flex-col gap-3 py-4 pr-5 pl-1.5 pb-0 max-md:px-3 max-md:pt-3 print:p-0">
        <DishHeader onSlot={setSlot} />
        <div className="flex min-h-0 flex-1 flex-col">
          <Outlet />
        </div>
        {hasCounter && <Counter />}
      </div>
      {isAsked && (
        <Suspense fallback={null}>
          <WhySheet />
        </Suspense>
      )}
    </ActionSlot>
  )
}
