import { checkUntilMs, hasSlipped, type LiveDay, liveOf, type Replanned } from '@frijol/core/day'
import type { CookDay, CookSession, TimedTask } from '@frijol/core/model'
import { useEffect, useMemo, useRef, useState } from 'react'
import { create } from 'zustand'
import { markMissed, replanDay } from '../store/day'
import { ring } from './alarm'

const MINUTE_MS = 60_000

export interface LivePlan {
  readonly live: LiveDay
  /** What is left as it is planned now; null until it was planned. */
  readonly plan: Replanned | null
  /** It is of everything that was done; not so while it is planned anew. */
  readonly isFresh: boolean
  /** Why nothing fits any more. */
  readonly fault: string | null
  readonly serveMin: number
}

/**
 * The day as it stands and what is left of it, planned anew after everything that is done and whenever something slips.
 * The plan that was accepted stays until a later serving is.
 */
export function useLivePlan(day: CookDay, session: CookSession, now: number): LivePlan {
  const { cooks } = day.settings
  const [found, setFound] = useState<{ log: unknown; plan: Replanned | null; fault: string | null }>({
    log: null,
    plan: null,
    fault: null,
  })
  const slipped = hasSlipped(session, cooks, now)
  // While things slip, every minute counts; else only what is done does.
  const minute = slipped ? Math.floor(now / MINUTE_MS) : 0
  const latest = useRef({ day, session })
  useEffect(() => {
    latest.current = { day, session }
  })
  const { log, serveMin } = session
  useEffect(() => {
    const control = new AbortController()
    const { day: of, session: at } = latest.current
    if (at.closedAt !== null) return
    replanDay(of, at, control.signal).then(
      (result) => {
        if (control.signal.aborted) return
        setFound(
          result.ok
            ? { log, plan: result.plan, fault: null }
            : { log, plan: null, fault: `${result.message} ${result.hint}` },
        )
      },
      (error: unknown) => {
        if (!control.signal.aborted) console.error('The rest could not be planned anew', error)
      },
    )
    return () => control.abort()
  }, [log, serveMin, minute, cooks])
  const planned = useMemo(
    () => (found.plan === null ? session : { ...session, tasks: [...found.plan.tasks] }),
    [session, found.plan],
  )
  const live = useMemo(() => liveOf(planned, cooks, now), [planned, cooks, now])
  return { live, plan: found.plan, isFresh: found.log === log, fault: found.fault, serveMin }
}

/** Whether the counter makes sounds. */
export const useSound = create<{ isOn: boolean }>(() => ({ isOn: true }))

/** Tells once of everything that comes due: what goes by itself and is up, and checks whose time has come. */
export function useAlarms({ tasks }: LiveDay, now: number): void {
  const told = useRef(new Set<string>())
  useEffect(() => {
    const due = tasks.filter(
      (one) => one.state === 'due' || (one.task.kind === 'check' && isCheckDue(one, tasks, now)),
    )
    const fresh = due.filter(({ task }) => !told.current.has(task.id))
    for (const { task } of fresh) told.current.add(task.id)
    const [first] = fresh
    if (first !== undefined) ring(first.task.label, useSound.getState().isOn)
  }, [tasks, now])
}

/** Whether a check is to be made now: it is begun with its pot, and its planned minute has come. */
export function isCheckDue(
  { task, state }: LiveDay['tasks'][number],
  tasks: LiveDay['tasks'],
  now: number,
): boolean {
  if (state !== 'waiting' || task.kind !== 'check') return false
  return checkUntilMs(task, tasks) !== null && task.startMin * MINUTE_MS <= now
}

/** Checks that were missed while the day was on no screen: told once, when it comes back. */
export function useMissed(isOpen: boolean): readonly [readonly TimedTask[], () => void] {
  const [missed, setMissed] = useState<readonly TimedTask[]>([])
  useEffect(() => {
    if (!isOpen) return
    const look = () => {
      if (document.visibilityState === 'hidden') return
      const found = markMissed()
      if (found.length > 0) setMissed((before) => [...before, ...found])
    }
    look()
    document.addEventListener('visibilitychange', look)
    return () => document.removeEventListener('visibilitychange', look)
  }, [isOpen])
  return [missed, () => setMissed([])]
}

/** Keeps the screen on while the day is cooked, where the browser can. @returns whether it does */
export function useWakeLock(): boolean {
  const [isOn, setOn] = useState(false)
  useEffect(() => {
    if (!('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let isGone = false
    const ask = async () => {
      if (document.visibilityState === 'hidden') return
      try {
        lock = await navigator.wakeLock.request('screen')
        if (isGone) await lock.release()
        else setOn(true)
        lock.addEventListener('release', () => setOn(false))
      } catch {
        // A battery that runs low, or a browser that refuses: the screen goes dark as it always did.
        setOn(false)
      }
    }
    const again = () => void ask()
    again()
    document.addEventListener('visibilitychange', again)
    return () => {
      isGone = true
      document.removeEventListener('visibilitychange', again)
      void lock?.release()
    }
  }, [])
  return isOn
}

/** The dark service theme, for as long as the counter is on the screen. */
export function useServiceTheme(): void {
  useEffect(() => {
    document.documentElement.dataset['theme'] = 'service'
    return () => {
      delete document.documentElement.dataset['theme']
    }
  }, [])
}

/** The space bar is the one action of what is on the screen, unless something that takes it has the focus. */
export function useSpaceBar(act: (() => void) | null): void {
  const latest = useRef(act)
  useEffect(() => {
    latest.current = act
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.key !== ' ' || event.repeat || event.defaultPrevented || latest.current === null) return
      const { target } = event
      const isTaken =
        target instanceof HTMLElement &&
        (target.closest('button, a, input, textarea, select, [role="dialog"]') !== null ||
          target.isContentEditable)
      if (isTaken || document.querySelector('[role="dialog"]') !== null) return
      event.preventDefault()
      latest.current()
    }
    document.addEventListener('keydown', pressed)
    return () => document.removeEventListener('keydown', pressed)
  }, [])
}
