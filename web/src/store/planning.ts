import type { DayAsk } from '@frijol/core/day'
import type { Dish } from '@frijol/core/model'
import { useMemo } from 'react'
import { create } from 'zustand'
import { runJob } from '../workers'
import type { PlanResult } from '../workers'
import { type Aside, useAside } from './aside'
import { useDish } from './assessed'
import { useKitchenStore } from './kitchen'

/** What a day is planned by. Times are of the clock on the wall. */
export interface DaySettings {
  /** Served at: "2026-06-18T13:00", local. */
  readonly serve: string
  readonly cooks: number
  /** Nobody is there from this full hour to that one; null = somebody always is. */
  readonly night: { readonly from: number; readonly to: number } | null
}

const HOUR_SERVED = 13
const pad = (value: number): string => String(value).padStart(2, '0')
/** A time as a date field writes it, local. */
const fieldOf = (at: Date): string =>
  `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}T${pad(at.getHours())}:${pad(at.getMinutes())}`

/** Lunch tomorrow: what was soaked tonight is ready. */
function usualServe(): string {
  const at = new Date()
  at.setDate(at.getDate() + 1)
  at.setHours(HOUR_SERVED, 0, 0, 0)
  return fieldOf(at)
}

/** How days are planned, as long as the page is open. */
export const useDaySettings = create<DaySettings>(() => ({
  serve: usualServe(),
  cooks: 1,
  night: { from: 22, to: 7 },
}))
export const setDay = (change: Partial<DaySettings>): void => useDaySettings.setState(change)

/** Nights around a time. Soaks take up to three days. */
const NIGHTS = 5
function nightsAround(serve: Date, night: DaySettings['night']): DayAsk['away'] {
  if (night === null) return []
  return Array.from({ length: NIGHTS }, (_, back) => {
    const to = new Date(serve)
    // The night after it, too: it may be served in it.
    to.setDate(to.getDate() + 1 - back)
    to.setHours(night.to, 0, 0, 0)
    const from = new Date(to)
    if (night.from >= night.to) from.setDate(from.getDate() - 1)
    from.setHours(night.from, 0, 0, 0)
    return { from: from.toISOString(), to: to.toISOString() }
  })
}

interface DayQuestion {
  readonly dishes: readonly Dish[]
  readonly settings: DaySettings
}
const lookForDay = ({ dishes, settings }: DayQuestion, signal: AbortSignal): Promise<PlanResult> => {
  const { kitchen, own } = useKitchenStore.getState()
  const serve = new Date(settings.serve)
  return runJob(
    'plan',
    {
      ask: {
        dishes,
        anchor: { kind: 'serve', at: serve.toISOString() },
        cooks: settings.cooks,
        away: nightsAround(serve, settings.night),
      },
      kitchen,
      own,
    },
    { signal },
  )
}

/** The day of the open dish, planned beside the screen. */
export function useDayPlan(): Aside<PlanResult> {
  const dish = useDish()
  const settings = useDaySettings()
  const equipment = useKitchenStore((state) => state.kitchen.equipment)
  const question = useMemo(
    () => (Number.isNaN(Date.parse(settings.serve)) ? null : { dishes: [dish], settings, equipment }),
    [dish, settings, equipment],
  )
  return useAside(question, lookForDay)
}
