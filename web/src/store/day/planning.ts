import { type DayAsk, dishesOfDay } from '@frijol/core/day'
import type { CookDay, DayBatch, DaySettings, Dish } from '@frijol/core/model'
import { useEffect, useMemo, useState } from 'react'
import { addDay, openDayOf, watchDishes, watchOpenDay } from '../../data'
import { type PlanResult, runJob } from '../../workers'
import { type Aside, useAside } from '../aside'
import { useDish } from '../assessed'
import { newId, nowIso } from '../ids'
import { useKitchenStore } from '../kitchen'
import { changeSettings, setBatches, setDishes } from './dayCommands'
import { closeDayDocument, type DayCommand, flushDay, openDay, runDay, useOpenDay } from './openDay'

const HOUR_SERVED = 13
const pad = (value: number): string => String(value).padStart(2, '0')
/** A time as a date field writes it, local. */
export const fieldOf = (at: Date): string =>
  `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}T${pad(at.getHours())}:${pad(at.getMinutes())}`

/** Lunch tomorrow: what was soaked tonight is ready. */
function usualSettings(): DaySettings {
  const at = new Date()
  at.setDate(at.getDate() + 1)
  at.setHours(HOUR_SERVED, 0, 0, 0)
  return {
    anchor: { kind: 'serve', at: fieldOf(at) },
    cooks: 1,
    night: { from: 22, to: 7 },
    held: [],
    ways: [],
  }
}
/** What a day is planned by before anything is set: the same as long as the page is open. */
const usual = usualSettings()

/** Nights around a time. Soaks take up to three days. */
const NIGHTS_BEFORE = 4
export function nightsAround(at: Date, night: DaySettings['night'], after = 1): DayAsk['away'] {
  if (night === null) return []
  return Array.from({ length: NIGHTS_BEFORE + after }, (_, back) => {
    const to = new Date(at)
    to.setDate(to.getDate() + after - back)
    to.setHours(night.to, 0, 0, 0)
    const from = new Date(to)
    if (night.from >= night.to) from.setDate(from.getDate() - 1)
    from.setHours(night.from, 0, 0, 0)
    return { from: from.toISOString(), to: to.toISOString() }
  })
}

/** Opens the day of a dish that is not closed yet, and follows it; there is none until something of it is set. */
export function useFollowedDay(dishId: string): CookDay | null {
  const day = useOpenDay((state) => state.value)
  useEffect(
    () =>
      watchOpenDay(dishId, (id) => {
        if (id === null) void closeDayDocument()
        else void openDay(id)
      }),
    [dishId],
  )
  return day !== null && day.dishIds.includes(dishId) ? day : null
}

const freshDay = (dish: Dish, batches: readonly DayBatch[] = []): CookDay => {
  const now = nowIso()
  return {
    format: 'frijol/day',
    version: 1,
    id: newId(),
    name: dish.menu === '' ? dish.name : dish.menu,
    createdAt: now,
    updatedAt: now,
    dishIds: [dish.id],
    batches: [...batches],
    settings: usual,
    session: null,
  }
}

/**
 * Puts runs of a series on the day of their dish; the day is made where there is none yet.
 * @returns what is in the way; null where they are on it
 */
export async function cookBatches(dish: Dish, batches: readonly DayBatch[]): Promise<string | null> {
  const id = await openDayOf(dish.id)
  if (id === null) {
    await addDay(freshDay(dish, batches))
    return null
  }
  await openDay(id)
  const day = useOpenDay.getState().value
  if (day?.id !== id) return 'The day of this dish cannot be opened. Nothing was changed; try again.'
  if (day.session !== null)
    return 'A day of this dish has begun at the counter. Close it first; nothing was changed.'
  if (day.batches.some(({ dishId }) => dishId === dish.id))
    return 'The day of this dish has batches already. Cook them, or take them off in Cook; nothing was changed.'
  const isOn = runDay(setBatches(dish.id, batches))
  await flushDay()
  return isOn ? null : 'The day does not take these batches. Nothing was changed.'
}

let adding: Promise<void> | null = null
/** Changes the day of a dish; its document is made where there is none yet. */
async function changeDay(dish: Dish, command: DayCommand): Promise<void> {
  const isOpen = () => useOpenDay.getState().value?.dishIds.includes(dish.id) === true
  if (!isOpen()) {
    const day = freshDay(dish)
    adding ??= addDay(day)
      .then(() => openDay(day.id))
      .finally(() => {
        adding = null
      })
    await adding
  }
  runDay(command)
}

/** How the day of the open dish is planned, and the way to change it. */
export function useDaySettings() {
  const dish = useDish()
  const day = useFollowedDay(dish.id)
  return {
    day,
    settings: day?.settings ?? usual,
    change: (label: string, change: Partial<DaySettings>) =>
      void changeDay(dish, changeSettings(label, change)),
    setDishes: (ids: readonly string[]) => void changeDay(dish, setDishes(ids)),
    run: (command: DayCommand): Promise<void> => changeDay(dish, command),
  }
}

const NO_BATCHES: readonly DayBatch[] = []

/** The dishes that a day cooks: the open one as it is on the screen, the others as they are stored. */
export function useDayDishes(
  dish: Dish,
  ids: readonly string[],
  batches: readonly DayBatch[] = NO_BATCHES,
): readonly Dish[] {
  const [stored, setStored] = useState<readonly Dish[]>([])
  const others = ids.filter((id) => id !== dish.id).join('\n')
  useEffect(() => (others === '' ? undefined : watchDishes(others.split('\n'), setStored)), [others])
  return useMemo(() => {
    const wanted = new Set(others.split('\n'))
    return [dish, ...stored.filter(({ id }) => wanted.has(id))].flatMap((one) => dishesOfDay(one, batches))
  }, [dish, stored, others, batches])
}

interface DayQuestion {
  readonly dishes: readonly Dish[]
  readonly settings: DaySettings
}
const lookForDay = (
  { dishes, settings }: DayQuestion,
  signal: AbortSignal,
  onFirst: (first: PlanResult) => void,
): Promise<PlanResult> => {
  const { kitchen, own } = useKitchenStore.getState()
  const at = new Date(settings.anchor.at)
  return runJob(
    'plan',
    {
      ask: {
        dishes,
        anchor: { kind: settings.anchor.kind, at: at.toISOString() },
        cooks: settings.cooks,
        away: nightsAround(at, settings.night, settings.anchor.kind === 'start' ? 4 : 1),
        held: settings.held,
      },
      kitchen,
      own,
    },
    { signal, onProgress: onFirst },
  )
}

/** A day of dishes, planned beside the screen. Another setting in the place of the kept one is looked at by itself. */
export function useDayPlan(dishes: readonly Dish[], settings: DaySettings | null): Aside<PlanResult> {
  const equipment = useKitchenStore((state) => state.kitchen.equipment)
  const question = useMemo(
    () =>
      settings === null || Number.isNaN(Date.parse(settings.anchor.at))
        ? null
        : { dishes, settings, equipment },
    [dishes, settings, equipment],
  )
  return useAside(question, lookForDay)
}
