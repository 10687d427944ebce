import { z } from 'zod'
import { AttributeId } from './original'

const point = z.number('Enter a number.').min(0, 'The scale begins at 0.').max(10, 'The scale ends at 10.')
/** Where an attribute is to lie, on the scale of 0 to 10. */
export const Band = z
  .strictObject({ low: point, high: point })
  .refine(({ low, high }) => low <= high, 'The low end is above the high end.')
export type Band = z.infer<typeof Band>

const figure = z.number('Enter a number.').min(-1000).max(100_000)
/** Where a ratio is to lie: low and high bound what works, bestLow to bestHigh what works well. */
export const RatioWindow = z
  .strictObject({ low: figure, bestLow: figure, bestHigh: figure, high: figure })
  .refine(
    ({ low, bestLow, bestHigh, high }) => low <= bestLow && bestLow <= bestHigh && bestHigh <= high,
    'A window rises: works from, works well from, works well to, works to.',
  )
export type RatioWindow = z.infer<typeof RatioWindow>

/** How often an attribute counts in the distance: 0 = it does not. */
export const Importance = z.number().int().min(0).max(3)

/** What a person has set for a part beside what its original and its family say. */
export const Moved = z.strictObject({
  bands: z.partialRecord(AttributeId, Band),
  importance: z.partialRecord(AttributeId, Importance),
  /** By the id of the ratio. */
  windows: z.record(z.string().min(1).max(60), RatioWindow),
  /** Served at, C; null = as the original is, else as the family usually is. */
  servingTempC: z.number('Enter a temperature.').min(-30).max(120).nullable(),
})
export type Moved = z.infer<typeof Moved>

export const nothingMoved = (): Moved => ({ bands: {}, importance: {}, windows: {}, servingTempC: null })

/** A second way in which a part is served, read against an original of its own: a sauce today, slices tomorrow. */
export const AlsoServed = z.strictObject({
  originalId: z.string().min(1).max(64),
  /** Rest in the cold before it is served so, h. */
  coldH: z.number('Enter hours.').min(0, 'Enter 0 h or more.').max(240, 'Enter at most 240 h.'),
})
export type AlsoServed = z.infer<typeof AlsoServed>
