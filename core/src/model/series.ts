import { z } from 'zod'
import { AttributeId } from './original'

const id = z.string().min(1).max(64)
const name = z.string().max(120)
const value = z.number().min(-100).max(1e6)

/** What is varied in a series: the share of a line in what is varied together, its grams, or a time or heat of a step. */
export const SeriesFactor = z
  .discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('share'), id, name, low: value, high: value }),
    z.strictObject({ kind: z.literal('grams'), id, name, low: value, high: value }),
    z.strictObject({ kind: z.literal('minutes'), id, name, low: value, high: value }),
    z.strictObject({ kind: z.literal('tempC'), id, name, low: value, high: value }),
  ])
  .refine(({ low, high }) => low < high, 'The upper bound lies above the lower one.')
export type SeriesFactor = z.infer<typeof SeriesFactor>

/** One batch of a series. */
export const SeriesRun = z.strictObject({
  id,
  /** From 1, and the place in the day from 1. */
  day: z.number().int().min(1).max(60),
  place: z.number().int().min(1).max(40),
  isControl: z.boolean(),
  isConfirmation: z.boolean().default(false),
  /** One value for each factor: shares of what is varied, g, min, C; as they can be weighed and set. */
  setting: z.array(z.number()).max(8),
  /** The trial that it was made as; null = not made. */
  trialNumber: z.number().int().min(1).nullable(),
  /** What it was scored, by attribute; means of a panel. */
  scores: z.partialRecord(AttributeId, z.number().min(0).max(10)),
  /** Why it came to nothing; empty where it did not. */
  failed: z.string().max(300),
})
export type SeriesRun = z.infer<typeof SeriesRun>

/** What is wanted of an attribute: set before anything is looked at. */
export const SeriesGoal = z.strictObject({
  attribute: AttributeId,
  low: z.number().min(-5).max(15),
  target: z.number().min(0).max(10),
  high: z.number().min(-5).max(15),
  importance: z.number().min(0).max(3),
})
export type SeriesGoal = z.infer<typeof SeriesGoal>

/** A designed series of batches of one part. */
export const Series = z.strictObject({
  id,
  name,
  partId: id,
  createdAt: z.iso.datetime(),
  factors: z.array(SeriesFactor).min(2, 'Vary two things at least.').max(5, 'Five things at most.'),
  model: z.enum(['linear', 'quadratic', 'specialCubic']),
  /** What the varied lines weigh together, g; 0 where no shares are varied. */
  variableG: z.number().min(0).max(1e6),
  perDay: z.number().int().min(2).max(20),
  seed: z.number().int().min(0).max(4_294_967_295),
  goals: z.array(SeriesGoal).max(10),
  runs: z.array(SeriesRun).max(120),
})
export type Series = z.infer<typeof Series>
