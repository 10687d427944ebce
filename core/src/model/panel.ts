import { z } from 'zod'
import { AttributeId, FamilyId } from './original'

const id = z.string().min(1).max(64)

/** Somebody who tastes. No names: P1, P2. */
export const Taster = z.strictObject({
  id: z.string().regex(/^[A-Z][A-Z0-9-]{0,11}$/, 'A short mark such as P1, in capital letters and digits.'),
  /** Allergens that may not be in what is tasted. */
  avoids: z.array(z.string().max(60)).max(60),
  eats: z.enum(['everything', 'no-meat-or-fish', 'no-animal']),
})
export type Taster = z.infer<typeof Taster>

/** What tasters, or a kitchen check, said of one attribute of a mix, on the kitchen's scale, beside what the model had said. */
export const Tasted = z.strictObject({
  /** Of the tasting, the sample and the attribute. */
  id: z.string().min(1).max(200),
  tastingId: id,
  family: FamilyId,
  attribute: AttributeId,
  predicted: z.number().min(0).max(10),
  /** May lie outside of the scale, where the original stands at its end. */
  observed: z.number().min(-10).max(20),
  /** Standard error of the observed value. */
  sd: z.number().positive().max(10),
  people: z.number().int().min(1).max(40),
  /** "Moussaka, trial 3". */
  label: z.string().max(300),
  date: z.iso.date(),
  dishId: id,
  trialNumber: z.number().int().min(1).nullable(),
  partId: id.nullable(),
  /** Tasters, or a check with a ring, a press, a sieve. Added after the first version of this document: absent there. */
  by: z.enum(['tasters', 'check']).default('tasters'),
})
export type Tasted = z.infer<typeof Tasted>
