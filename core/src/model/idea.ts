import { z } from 'zod'
import { OperationId } from './method'
import { FamilyId } from './original'

const id = z.string().min(1).max(64)
const name = z.string().max(200)
const side = z.enum(['any', 'above', 'below'])

/** What was tried: a food, a swap, a ratio or a doing. */
export const IdeaWhat = z.discriminatedUnion('kind', [
  /** A food in the mix; `pct` of the part's raw mass where it is about how much. */
  z.strictObject({ kind: z.literal('food'), foodId: id, name, side, pct: z.number().min(0).max(100) }),
  /** One food in the place of another. */
  z.strictObject({ kind: z.literal('swap'), fromId: id, toId: id, fromName: name, toName: name }),
  z.strictObject({
    kind: z.literal('ratio'),
    ratioId: z.string().max(60),
    label: name,
    side: side.exclude(['any']),
    value: z.number(),
    unit: z.string().max(20),
  }),
  /** A doing, on a food where one is named; `minutes` and `tempC` where it is about how long or how hot. */
  z.strictObject({
    kind: z.literal('method'),
    operation: OperationId,
    foodId: id.nullable(),
    foodName: name,
    field: z.enum(['minutes', 'tempC']).nullable(),
    side,
    value: z.number().min(-100).max(100_000),
  }),
])
export type IdeaWhat = z.infer<typeof IdeaWhat>

/** Where an idea holds: in one dish, in a family of dishes, or in the whole kitchen. */
export const IdeaScope = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('dish'), dishId: id }),
  z.strictObject({ kind: z.literal('family'), family: FamilyId }),
  z.strictObject({ kind: z.literal('kitchen') }),
])
export type IdeaScope = z.infer<typeof IdeaScope>

/** An idea that was tried and is kept in mind: to be done again, or not. */
export const Idea = z.strictObject({
  id,
  verdict: z.enum(['rejected', 'kept']),
  what: IdeaWhat,
  /** What it was for, in the person's words: "smoked paprika for the lamb note". */
  words: z.string().trim().min(1, 'Say what the idea is.').max(200),
  reason: z.string().trim().min(1, 'Say why, in a word.').max(300),
  scope: IdeaScope,
  /** The dish and trial that showed it. */
  dishId: id,
  dishName: name,
  trialNumber: z.number().int().min(1).nullable(),
  date: z.iso.date(),
})
export type Idea = z.infer<typeof Idea>
