import {
  beginSession,
  closingOf,
  type DayPlan,
  type DishClosing,
  followedBy,
  madeTrial,
  missedChecks,
  tastedByChecks,
  trialOfBatch,
  weighLines,
  type WeighLine,
  withMasses,
} from '@frijol/core/day'
import type {
  CookDay,
  CookSession,
  DayEvent,
  DayMeasure,
  Dish,
  Photo,
  TimedTask,
  Trial,
  Weighing,
} from '@frijol/core/model'
import { useEffect, useMemo, useState } from 'react'
import { addPhoto, dishesNow, photosOf } from '../../data'
import { runJob, type ReplanResult } from '../../workers'
import { newId } from '../ids'
import { changeKitchen, useKitchenStore } from '../kitchen'
import { learnFrom } from '../weighings'
import * as commands from './dayCommands'
import { nightsAround } from './planning'
import { flushDay, runDay, useOpenDay } from './openDay'

/** What a kitchen keeps of tastings and checks. */
const MOST_TASTED = 5000

const sessionNow = (): CookSession | null => useOpenDay.getState().value?.session ?? null
const event = (taskId: string, what: DayEvent['what'], minutes: number | null = null): DayEvent => ({
  id: newId(),
  taskId,
  what,
  at: Date.now(),
  minutes,
})

/** The day begins as it is planned: from now on what is done is written down. */
export const sessionOf = (plan: DayPlan, dishes: readonly Dish[]): CookSession =>
  beginSession(plan, [...dishes], Date.now())

export const beginTask = (task: TimedTask): boolean =>
  runDay(commands.logTasks(`begin: ${task.label}`, [event(task.id, 'begun')]))

/** Ends a task; what then goes by itself begins. */
export function endTask(task: TimedTask): boolean {
  const session = sessionNow()
  const follows = session === null ? null : followedBy(session.tasks, task.id)
  return runDay(
    commands.logTasks(`done: ${task.label}`, [
      event(task.id, 'ended'),
      ...(follows === null ? [] : [event(follows.id, 'begun')]),
    ]),
  )
}

export const skipTask = (task: TimedTask): boolean =>
  runDay(commands.logTasks(`leave out: ${task.label}`, [event(task.id, 'skipped')]))

export const giveLonger = (task: TimedTask, minutes: number): boolean =>
  runDay(commands.logTasks(`${minutes} min more: ${task.label}`, [event(task.id, 'longer', minutes)]))

/** Checks whose time went by while nobody saw them are marked, so that they are told once. @returns them */
export function markMissed(): readonly TimedTask[] {
  const session = sessionNow()
  if (session === null || session.closedAt !== null) return []
  const missed = missedChecks(session, Date.now())
  if (missed.length > 0)
    runDay(
      commands.logTasks(
        'checks that were missed',
        missed.map(({ id }) => event(id, 'missed')),
      ),
    )
  return missed
}

export const writeWeighing = (
  line: WeighLine,
  weighing: Pick<Weighing, 'massG' | 'by' | 'instead' | 'additions'>,
) =>
  runDay(
    commands.weigh({
      id: newId(),
      dishId: line.dishId,
      partId: line.partId,
      lineId: line.lineId,
      stepId: line.stepId,
      targetG: line.targetG,
      at: Date.now(),
      ...weighing,
    }),
  )

export const writeNote = (text: string, task: TimedTask | null, photoId: string | null = null): boolean =>
  runDay(
    commands.note({
      id: newId(),
      at: Date.now(),
      taskId: task?.id ?? null,
      dishId: task?.dishId ?? null,
      text,
      photoId,
    }),
  )

/** Writes a figure that was measured. A mass after a step teaches the kitchen how that step goes here. */
export function writeMeasure(entry: Omit<DayMeasure, 'id' | 'at'>): boolean {
  const isWritten = runDay(commands.measure({ ...entry, id: newId(), at: Date.now() }))
  const session = sessionNow()
  const dish = session?.dishes.find(({ id }) => id === entry.dishId)
  if (isWritten && entry.kind === 'step-mass' && session !== null && dish !== undefined) {
    const weighed = withMasses(session, dish)
    learnFrom(
      weighed,
      weighed.parts.flatMap(({ steps }) => steps.filter(({ id }) => id === entry.stepId)),
    )
  }
  return isWritten
}

export const dropLeftover = (id: string): boolean => runDay(commands.dropLeftover(id))
export const keepLeftover = (leftover: Parameters<typeof commands.keepLeftover>[0]): boolean =>
  runDay(commands.keepLeftover(leftover))

/** A photograph, made small beside the screen, with the moment and the task that it belongs to. */
export async function keepPhoto(file: Blob, task: TimedTask | null): Promise<string | null> {
  const day = useOpenDay.getState().value
  if (day === null) return null
  const small = await runJob('shrinkPhoto', { file })
  if (!small.ok) return small.message
  const id = newId()
  await addPhoto({ id, dayId: day.id, takenAt: Date.now(), ...small.photo })
  writeNote('', task, id)
  return null
}

/** The pictures of a day by their ids, as they are kept. */
export function usePhotos(dayId: string, count: number): ReadonlyMap<string, Photo> {
  const [photos, setPhotos] = useState<ReadonlyMap<string, Photo>>(new Map())
  useEffect(() => {
    let isCurrent = true
    photosOf(dayId).then(
      (found) => {
        if (isCurrent) setPhotos(found)
      },
      (error: unknown) => console.error('The pictures of a day could not be read', error),
    )
    return () => {
      isCurrent = false
    }
    // Read again whenever a note came or went.
  }, [dayId, count])
  return photos
}

/** What is to be weighed on a day, dish by dish. */
export function useWeighLines(session: CookSession | null): readonly WeighLine[] {
  const { engine, library, kitchen } = useKitchenStore()
  const dishes = session?.dishes
  return useMemo(
    () =>
      engine === null || library === null || dishes === undefined
        ? []
        : dishes.flatMap((dish) => weighLines(dish, engine.assess(dish, library, kitchen), kitchen)),
    [engine, library, kitchen, dishes],
  )
}

/** What is left of the day, planned anew beside the screen. */
export function replanDay(day: CookDay, session: CookSession, signal: AbortSignal): Promise<ReplanResult> {
  const { kitchen } = useKitchenStore.getState()
  const nowMs = Date.now()
  const { cooks, night } = day.settings
  return runJob(
    'replan',
    { session, cooks, away: nightsAround(new Date(nowMs), night, 4), kitchen, nowMs },
    { signal },
  )
}

export const acceptPlan = (tasks: readonly TimedTask[], serveMin: number): boolean =>
  runDay(commands.takePlan(tasks, serveMin))

/** What came of each dish. */
export function useClosings(session: CookSession | null): readonly DishClosing[] {
  const { library, kitchen } = useKitchenStore()
  return useMemo(
    () =>
      library === null || session === null
        ? []
        : session.dishes.map((dish) => closingOf(session, dish, { library, kitchen })),
    [library, kitchen, session],
  )
}

/** What was measured at the end of parts teaches their families, in the place of what this day taught before. */
function learnFromChecks({ id: dayId }: CookDay, session: CookSession, trials: readonly Trial[]): void {
  const { library, kitchen } = useKitchenStore.getState()
  if (library === null) return
  const taught = session.dishes.flatMap((dish, at) => {
    const trial = trials[at]
    return trial === undefined
      ? []
      : tastedByChecks(
          session,
          dish,
          { library, kitchen },
          { dayId, dishId: trial.dishId, trialNumber: trial.number, date: trial.date },
        )
  })
  const isTaught = ({ tastingId }: { tastingId: string }) => tastingId === dayId
  if (taught.length === 0 && !kitchen.tasted.some(isTaught)) return
  changeKitchen('learn from what was measured', (now) => ({
    ...now,
    tasted: [...now.tasted.filter((one) => !isTaught(one)), ...taught].slice(-MOST_TASTED),
  }))
}

/** Closes the day: each dish is kept as a trial as it was made, and goes on as the next one. */
export async function closeDay(clock: (ms: number) => string): Promise<boolean> {
  const session = sessionNow()
  const day = useOpenDay.getState().value
  const { library, kitchen } = useKitchenStore.getState()
  if (session === null || day === null || library === null) return false
  const now = new Date()
  const date = `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`
  const batchOf = new Map(day.batches.map((batch) => [batch.id, batch]))
  const whole = await dishesNow(day.batches.map(({ dishId }) => dishId))
  const trials = session.dishes.map((dish) => {
    const trial = madeTrial(session, dish, { library, kitchen }, { id: newId(), date, clock })
    const batch = batchOf.get(dish.id)
    return batch === undefined
      ? trial
      : trialOfBatch(trial, batch, whole.find(({ id }) => id === batch.dishId) ?? null)
  })
  const isClosed = runDay(commands.closeDay(now.getTime(), trials))
  await flushDay()
  if (isClosed) learnFromChecks(day, session, trials)
  return isClosed
}
