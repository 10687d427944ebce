import { z } from 'zod'

const minute = z.number().int('Times are whole minutes.').min(0).max(100_000)
const id = z.string().min(1).max(200)

/** What a task waits for: it starts at the end of that task plus so much, at least and at most. */
export const PlanLag = z.strictObject({
  id,
  minLagMin: z.number().int('Times are whole minutes.').min(-100_000).max(100_000).default(0),
  maxLagMin: z.number().int('Times are whole minutes.').min(-100_000).max(100_000).nullable().default(null),
})
export type PlanLag = z.infer<typeof PlanLag>

/** A piece of work without interruption. It occupies the minutes start to end - 1. */
export const PlanTask = z.strictObject({
  id,
  durationMin: minute,
  /** Units of each resource; none for work that waits by itself. */
  uses: z.record(id, z.number().int().min(0).max(10_000)).default({}),
  /** Closed band, for tasks on a resource of shared temperature; absent = any. */
  tempC: z.strictObject({ low: z.number(), high: z.number() }).nullable().default(null),
  after: z.array(PlanLag).max(400).default([]),
  /** It starts no earlier, and no later, than that; absent = any time. One that has begun stands at its time. */
  window: z.strictObject({ fromMin: minute, untilMin: minute.nullable() }).nullable().default(null),
})
export type PlanTask = z.infer<typeof PlanTask>
