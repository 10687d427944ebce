import { z } from 'zod'

/**
 * One step of a method as it was written, to the letter, and the doings that it was read into. The doings are steps of
 * the parts that they belong to.
 */
export const Written = z.strictObject({
  /** Heading that stands above it in the method; null = none of its own. */
  heading: z.string().max(200).nullable(),
  text: z.string().max(8000),
  stepIds: z.array(z.string().min(1).max(64)).max(100),
})
export type Written = z.infer<typeof Written>
