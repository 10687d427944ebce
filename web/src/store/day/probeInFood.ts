import { heatingCurve, type LiveDay } from '@frijol/core/day'
import type { CookSession } from '@frijol/core/model'
import { useEffect, useRef } from 'react'
import { useKitchenStore } from '../kitchen'
import { probeFollows, useDevices } from './devices'

const ROOM_C = 20

/** The stand-in of the probe sits in whatever was put on last: its tip follows the heating of that step. */
export function useProbeInFood(session: CookSession, live: LiveDay): void {
  const link = useDevices((state) => state.link)
  const { engine, library, kitchen } = useKitchenStore()
  const told = useRef<string | null>(null)
  const [newest] = live.running
    .filter(({ task }) => task.stepId !== null)
    .sort((a, b) => (b.begunMs ?? 0) - (a.begunMs ?? 0))
  const task = newest?.task ?? null
  useEffect(() => {
    if (link !== 'on' || task === null || engine === null || library === null || told.current === task.id)
      return
    const dish = session.dishes.find(({ id }) => id === task.dishId)
    if (dish === undefined) return
    const steps = engine.assess(dish, library, kitchen).parts.flatMap((part) => part.steps)
    const at = steps.findIndex(({ stepId }) => stepId === task.stepId)
    const step = steps[at]
    if (step === undefined) return
    const startC = steps[at - 1]?.state.coreC ?? ROOM_C
    const endC = step.state.coreC
    const minutes = Math.max(0.5, step.minutes)
    told.current = task.id
    void probeFollows(1, heatingCurve({ startC, mediumC: task.tempC ?? endC, endC, minutes }))
  }, [link, task, session.dishes, engine, library, kitchen])
}
