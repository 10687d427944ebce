import { beginRun, recount, takeReading, type WeighLine, type WeighRun } from '@frijol/core/day'
import { create } from 'zustand'
import { z } from 'zod'
import { keepInHand, readInHand } from '../../data'
import { writeWeighing } from './cooking'
import { useDevices } from './devices'
import { useOpenDay } from './openDay'

interface InHand {
  readonly run: WeighRun | null
}
/** The line that is being weighed. */
export const useWeighing = create<InHand>(() => ({ run: null }))

const Kept = z.object({
  key: z.string(),
  startG: z.number().nullable(),
  baseG: z.number(),
  netG: z.number(),
  isStable: z.boolean(),
  tareG: z.number(),
  onSince: z.number(),
  state: z.enum(['ok', 'overload', 'unplugged']),
  additions: z.array(z.object({ massG: z.number(), at: z.number() })),
  steadyG: z.number(),
  isCarried: z.boolean(),
})

const dayId = (): string | null => useOpenDay.getState().value?.id ?? null
function show(run: WeighRun | null): void {
  const before = useWeighing.getState().run
  useWeighing.setState({ run })
  const id = dayId()
  // Kept where it began, at each addition and when the scale went out: not at every flicker of the display.
  const isWorthKeeping =
    run === null ||
    before === null ||
    run.key !== before.key ||
    run.steadyG !== before.steadyG ||
    run.startG !== before.startG ||
    run.baseG !== before.baseG
  if (id !== null && isWorthKeeping) keepInHand(id, run)
}

/** Begins to weigh a line, or goes on with it where the page went away in the middle of it. */
export function startWeighing(key: string): void {
  const id = dayId()
  const kept = id === null ? null : Kept.safeParse(readInHand(id))
  const { scale } = useDevices.getState()
  if (useWeighing.getState().run?.key === key) return
  show(kept?.success === true && kept.data.key === key ? kept.data : beginRun(key, scale))
}

/** The key of the line that was being weighed when the page went away. */
export function keyInHand(): string | null {
  const id = dayId()
  const kept = id === null ? null : Kept.safeParse(readInHand(id))
  return kept?.success === true ? kept.data.key : null
}

export const countAnew = (): void => {
  const { run } = useWeighing.getState()
  if (run !== null) show(recount(run, useDevices.getState().scale))
}

export const stopWeighing = (): void => show(null)

/** Writes what is in the bowl down for a line. @returns false where it was refused */
export function takeWeighed(line: WeighLine, instead: string | null): boolean {
  const { run } = useWeighing.getState()
  if (run === null || run.key !== line.key) return false
  const isWritten = writeWeighing(line, {
    massG: Math.max(0, run.netG),
    by: 'scale',
    instead,
    additions: [...run.additions],
  })
  if (isWritten) show(null)
  return isWritten
}

/** Writes a typed mass down for a line. */
export function takeTyped(line: WeighLine, massG: number, instead: string | null): boolean {
  const isWritten = writeWeighing(line, { massG, by: 'hand', instead, additions: [] })
  if (isWritten && useWeighing.getState().run?.key === line.key) show(null)
  return isWritten
}

/** Every reading of the scale counts for the line in hand. */
useDevices.subscribe(({ scale }, before) => {
  const { run } = useWeighing.getState()
  if (run !== null && scale !== null && scale !== before.scale) show(takeReading(run, scale, Date.now()))
})
