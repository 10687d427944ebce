import { z } from 'zod'
import { Amount, OpenAmount } from './amount'
import { AlsoServed, Moved, nothingMoved } from './goal'
import { EquipmentKind, Step, Way } from './method'
import { FamilyId } from './original'
import { Series } from './series'
import { Written } from './written'

const id = z.string().min(1).max(64)
const text = (most: number) => z.string().max(most, `Keep this under ${most} characters.`)

/** One ingredient of a part. `text` is what the person wrote, to the letter; the rest is how it is understood. */
export const FormulaLine = z.strictObject({
  id,
  text: text(500),
  amount: Amount.nullable(),
  /** Why there is no amount, where there is none. */
  open: OpenAmount.nullable(),
  food: text(500),
  prep: text(500),
  ingredientId: z.string().nullable(),
  /** "read" = matched from the words, "chosen" = picked by the person and kept. */
  choice: z.enum(['read', 'chosen']),
  isOptional: z.boolean(),
  /** The written line names more than one food, each a line of its own: the first of them, or one more of it. */
  sharesText: z.enum(['first', 'more']).optional(),
})
export type FormulaLine = z.infer<typeof FormulaLine>

/** What a part has room for. */
export const MOST_LINES = 300
export const MOST_STEPS = 300

/** A component that is mixed on its own. */
export const Part = z.strictObject({
  id,
  name: text(120),
  family: FamilyId.nullable(),
  originalId: z.string().nullable(),
  /** What a person has set otherwise than the original and the family; absent in documents of the first shape. */
  moved: Moved.default(nothingMoved),
  alsoServed: AlsoServed.nullable().default(null),
  lines: z.array(FormulaLine).max(MOST_LINES),
  steps: z.array(Step).max(MOST_STEPS),
  /** Other ways to make it; absent in documents of the first shape. */
  ways: z.array(Way).max(12).default([]),
  /** Weighed mass after cooking; null = not weighed. */
  cookedMassG: z.number().positive('Enter a mass above 0 g.').max(1e6).nullable(),
})
export type Part = z.infer<typeof Part>

const limit = z.number().positive('Set a limit above 0, or clear it.').max(1e6).nullable()
const laterLimit = limit.default(null)
/** What the dish must match and may not do. Limits of nutrients and cost are a portion; the later ones are absent in documents of the first shape. */
export const Limits = z.strictObject({
  sodiumMgMax: limit,
  proteinGMin: limit,
  costMax: limit,
  saturatedFatGMax: laterLimit,
  fibreGMin: laterLimit,
  energyKcalMax: laterLimit,
  energyKcalMin: laterLimit,
  /** Of the whole method, one pair of hands. */
  totalMinMax: laterLimit,
  handsMinMax: laterLimit,
})
export type Limits = z.infer<typeof Limits>
export const noLimits = (): Limits => ({
  sodiumMgMax: null,
  proteinGMin: null,
  costMax: null,
  saturatedFatGMax: null,
  fibreGMin: null,
  energyKcalMax: null,
  energyKcalMin: null,
  totalMinMax: null,
  handsMinMax: null,
})

/** What the dish must match and may not do. */
export const Aim = z.strictObject({
  matters: text(1000),
  never: text(1000),
  portions: z
    .number('Enter a number of portions.')
    .positive('Enter at least a part of a portion.')
    .max(100_000),
  portionMassG: z.number().positive('Enter a portion above 0 g.').max(100_000).nullable(),
  limits: Limits,
  /** Allergen and diet ids that the dish may not hold. */
  excluded: z.array(z.string().max(60)).max(60),
  /** Equipment that it must do without. */
  without: z.array(EquipmentKind).max(20).default([]),
})
export type Aim = z.infer<typeof Aim>

/** A finding that the person knows of and keeps on purpose. */
export const Settled = z.strictObject({ key: z.string().max(300), reason: text(500) })
export type Settled = z.infer<typeof Settled>

/** What a formula came by, one sentence each: "tune mince: distance 1.4 to 0.6". */
export const MOST_REASONS = 60
const Why = z.array(text(300)).max(MOST_REASONS)

export const Dish = z.strictObject({
  format: z.literal('frijol/dish'),
  version: z.literal(1),
  id,
  name: text(200),
  menu: text(200),
  note: text(20_000),
  createdAt: z.iso.datetime(),
  updatedAt: z.iso.datetime(),
  trial: z.strictObject({
    number: z.number().int().min(1),
    fromNumber: z.number().int().min(1).nullable(),
    /** What was taken over into it, and why; absent in older documents. */
    why: Why.default([]),
  }),
  aim: Aim,
  parts: z.array(Part).min(1, 'A dish has at least one part.').max(40),
  /** The method as it was written, where it came as a whole; absent in documents of the first shape. */
  written: z.array(Written).max(600).default([]),
  settled: z.array(Settled).max(500),
  /** Designed series of its batches; absent in older documents. */
  series: z.array(Series).max(40).default([]),
  /** Fields of an imported file that Frijol does not use: kept and written back. */
  extra: z.record(z.string(), z.json()),
})
export type Dish = z.infer<typeof Dish>

/** A version of a dish that was made, or set aside: a frozen formula with what came of it. */
export const Trial = z.strictObject({
  format: z.literal('frijol/trial'),
  version: z.literal(1),
  id,
  dishId: id,
  number: z.number().int().min(1),
  fromNumber: z.number().int().min(1).nullable(),
  state: z.enum(['made', 'set-aside']),
  date: z.iso.date(),
  aim: Aim,
  parts: z.array(Part).min(1).max(40),
  written: z.array(Written).max(600).default([]),
  /** What was really weighed, by line. */
  asMade: z
    .array(
      z.strictObject({
        lineId: id,
        massG: z.number().min(0).max(1e6),
        /** What was used in its place, in words. */
        instead: text(200).nullable().default(null),
      }),
    )
    .max(2000),
  /** Pictures that were taken of it at the counter. Added after the first version of this document: absent there. */
  photoIds: z.array(id).max(200).default([]),
  notes: text(20_000),
  why: Why.default([]),
  decision: text(2000),
})
export type Trial = z.infer<typeof Trial>

/** A trial as the dish that it was. */
export const dishOfTrial = (
  dish: Dish,
  {
    parts,
    aim,
    written,
    number,
    fromNumber,
    why,
  }: Pick<Trial, 'parts' | 'aim' | 'written' | 'number' | 'fromNumber' | 'why'>,
): Dish => ({ ...dish, parts, aim, written, trial: { number, fromNumber, why }, settled: [] })
