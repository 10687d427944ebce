import { z } from 'zod'
import { Dish } from './dish'
import { OperationId } from './method'
import { PlanTask } from './planTask'

const id = z.string().min(1).max(64)
const taskId = z.string().min(1).max(200)
const text = (most: number) => z.string().max(most, `Keep this under ${most} characters.`)
/** Minutes since 1970 in UTC. */
const minute = z.number().int().min(-1e9).max(1e9)
/** Milliseconds since 1970 in UTC. */
const moment = z.number().int().min(0).max(1e14)
const hour = z.number().int().min(0).max(23)

/** What a task of the day is, beside its times. */
export const DayTask = z.strictObject({
  id: taskId,
  kind: z.enum(['work', 'by-itself', 'check', 'plate']),
  dishId: id,
  dish: text(200),
  part: text(120),
  stepId: id.nullable(),
  /** "Mash: black-eyed peas, oats". */
  label: text(400),
  /** The step's own words; what to do, for a check. */
  text: text(4000),
  /** Where it happens: a resource's id. */
  station: text(120),
  attendance: z.enum(['hands', 'near', 'alone']),
  tempC: z.number().nullable(),
  task: PlanTask,
})
export type DayTask = z.infer<typeof DayTask>

export const TimedTask = z.strictObject({
  ...DayTask.shape,
  /** What the station is called in this kitchen. */
  stationLabel: text(120),
  startMin: minute,
  endMin: minute,
})
export type TimedTask = z.infer<typeof TimedTask>

/** A step that a day does by other means than its dish says. */
export const DayWay = z.strictObject({ dishId: id, partId: id, stepId: id, operation: OperationId })
export type DayWay = z.infer<typeof DayWay>

/** What a day is planned by. Times are of the clock on the wall, "2026-06-18T13:00". */
export const DaySettings = z.strictObject({
  anchor: z.strictObject({
    kind: z.enum(['serve', 'start']),
    at: z.string().regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'Write it as 2026-06-18T13:00.'),
  }),
  cooks: z.number().int().min(1).max(3),
  /** Nobody is there from this full hour to that one; null = somebody always is. */
  night: z.strictObject({ from: hour, to: hour }).nullable(),
  /** Tasks that the person has put at a time. */
  held: z.array(z.strictObject({ id: taskId, startMin: minute })).max(40),
  /** Added later: absent in days of before. */
  ways: z.array(DayWay).max(40).default([]),
})
export type DaySettings = z.infer<typeof DaySettings>

/** What was done with a task, and when. `missed`: its time went by while nobody saw it. */
export const DayEvent = z.strictObject({
  id,
  taskId,
  what: z.enum(['begun', 'ended', 'skipped', 'missed', 'longer']),
  at: moment,
  /** For `longer`: by so many minutes. */
  minutes: z.number().int().min(1).max(10_000).nullable().default(null),
})
export type DayEvent = z.infer<typeof DayEvent>

/** What really went in of a line, g. */
export const Weighing = z.strictObject({
  id,
  dishId: id,
  partId: id,
  lineId: id,
  /** The step that it was weighed for; null = for the whole part. */
  stepId: id.nullable(),
  targetG: z.number().min(0).max(1e6),
  massG: z.number().min(0).max(1e6),
  at: moment,
  by: z.enum(['scale', 'hand']),
  /** What was used in its place, in words; null = what is written. */
  instead: text(200).nullable(),
  /** Each addition, where it went in little by little: what the scale gained, g. */
  additions: z.array(z.strictObject({ massG: z.number().min(-1e6).max(1e6), at: moment })).max(200),
})
export type Weighing = z.infer<typeof Weighing>

/** A word in the moment. */
export const DayNote = z.strictObject({
  id,
  at: moment,
  /** The task that was in hand. */
  taskId: taskId.nullable(),
  dishId: id.nullable(),
  text: text(2000),
  photoId: id.nullable(),
})
export type DayNote = z.infer<typeof DayNote>

export const MEASURED_KINDS = [
  'step-mass',
  'yield',
  'line-spread',
  'press',
  'pH',
  'core',
  'portions',
  // Kitchen checks of texture; added later.
  'press-force',
  'spring-back',
  'knife',
  'strands',
  'fork',
  'pressed-out',
  'melt-disc',
  'string',
  'snap',
  'sieve',
] as const
/**
 * A figure measured at the counter. Units: g, g, cm, % of the height, pH, C, portions; then as
 * the kitchen checks of texture say: N, %, s, %, %, %, %, cm, degrees, %.
 */
export const DayMeasure = z.strictObject({
  id,
  at: moment,
  kind: z.enum(MEASURED_KINDS),
  dishId: id,
  partId: id.nullable(),
  stepId: id.nullable(),
  value: z.number().min(-100).max(1e6),
})
export type DayMeasure = z.infer<typeof DayMeasure>

/** What is left at the end of a day, and where it is. */
export const Leftover = z.strictObject({
  id,
  dishId: id,
  what: text(200),
  massG: z.number().min(0).max(1e6).nullable(),
  where: z.enum(['fridge', 'freezer', 'counter']),
})
export type Leftover = z.infer<typeof Leftover>

/** The day as it is cooked: the dishes as they were when it began, its tasks, and all that was done and weighed. */
export const CookSession = z.strictObject({
  begunAt: moment,
  dishes: z.array(Dish).min(1).max(12),
  tasks: z.array(TimedTask).max(400),
  /** Serving as it stands now, accepted by the cook. */
  serveMin: minute,
  /** Serving as it stood when the day began. */
  plannedServeMin: minute,
  log: z.array(DayEvent).max(4000),
  weighings: z.array(Weighing).max(4000),
  notes: z.array(DayNote).max(1000),
  measures: z.array(DayMeasure).max(1000),
  leftovers: z.array(Leftover).max(100),
  closedAt: moment.nullable(),
})
export type CookSession = z.infer<typeof CookSession>

/** A run of a designed series that a day makes. Within the day it goes by its own id, like a dish. */
export const DayBatch = z.strictObject({
  id,
  dishId: id,
  seriesId: id,
  runId: id,
  /** The trial that it becomes. */
  trialNumber: z.number().int().min(1),
})
export type DayBatch = z.infer<typeof DayBatch>

/** A day at the counter: dishes, how they are planned, and what came of it. */
export const CookDay = z.strictObject({
  format: z.literal('frijol/day'),
  version: z.literal(1),
  id,
  name: text(200),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime(),
  dishIds: z.array(id).min(1, 'A day has at least one dish.').max(12, 'A day takes twelve dishes at most.'),
  /** Made in the place of the dish that they are of. Added after the first version of this document: absent there. */
  batches: z.array(DayBatch).max(12, 'A day takes twelve batches at most.').default([]),
  settings: DaySettings,
  session: CookSession.nullable(),
})
export type CookDay = z.infer<typeof CookDay>

/** A photograph that belongs to a day, small enough to be kept. */
export const Photo = z.strictObject({
  id,
  dayId: id,
  takenAt: moment,
  width: z.number().int().min(1).max(10_000),
  height: z.number().int().min(1).max(10_000),
  /** JPEG as a data URL. */
  dataUrl: z
    .string()
    .max(1_500_000, 'The picture is too large to be kept.')
    .regex(/^data:image\/jpeg;base64,/),
})
export type Photo = z.infer<typeof Photo>
