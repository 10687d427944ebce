import { z } from 'zod'
import { AttributeId, ATTRIBUTES, FamilyId } from './original'
import { Taster } from './panel'

const id = z.string().min(1).max(64)
const text = (most: number) => z.string().max(most, `Keep this under ${most} characters.`)
/** Milliseconds since 1970 in UTC. */
const moment = z.number().int().min(0).max(1e14)

/** Ways of tasting, from the first question to the last. `own` is a cook's own check: the odd one of three, again and again. */
export const PROTOCOLS = [
  'tetrad',
  'triangle',
  'duotrio',
  'paired',
  'control',
  'profile',
  'jar',
  'liking',
  'ranking',
  'own',
] as const
export const Protocol = z.enum(PROTOCOLS)
export type Protocol = z.infer<typeof Protocol>

/** A taster in one tasting. */
export const Seat = z.strictObject({
  ...Taster.shape,
  /** Has said yes to the original, which is of animals. */
  agreesToAnimal: z.boolean(),
})
export type Seat = z.infer<typeof Seat>

const predicted = z.partialRecord(
  AttributeId,
  z.strictObject({ value: z.number().min(0).max(10), sd: z.number().min(0).max(10) }),
)

/** What is tasted. */
export const TastingSample = z.strictObject({
  id,
  kind: z.enum(['original', 'trial', 'mix', 'other']),
  label: z.string().trim().min(1, 'Say what it is.').max(200),
  /** The trial, and the part of it; null where it is none. */
  trialNumber: z.number().int().min(1).nullable(),
  partId: id.nullable(),
  originalId: id.nullable(),
  family: FamilyId.nullable(),
  allergens: z.array(z.string().max(60)).max(60),
  isAnimal: z.boolean(),
  /** Where the attributes stand by the model, as it was before this kitchen's tastings; of an original, by its profile. */
  predicted,
})
export type TastingSample = z.infer<typeof TastingSample>

/** What was settled before anybody tasted. */
export const TastingSettings = z.strictObject({
  protocol: Protocol,
  samples: z.array(TastingSample).max(8, 'A mouth takes eight samples at most.'),
  /** The sample that the others are held against: the original, or what is served now. */
  controlId: id.nullable(),
  /** `paired` and `ranking`: by what; null = which is liked better. */
  by: AttributeId.nullable(),
  /** `paired`: the sample that is expected to have more; null = either could. */
  expectedId: id.nullable(),
  /** `profile` and `jar`. */
  attributes: z.array(AttributeId).max(10, 'Ten questions a sample at most.'),
  /** Liking is asked first. */
  asksLiking: z.boolean(),
  tasters: z.array(Seat).max(40, 'A tasting takes forty tasters at most.'),
  /** Times that each taster does the whole. */
  rounds: z.number().int().min(1).max(12),
  /** Risk of finding a difference that is none. */
  alpha: z.number().min(0.001).max(0.3),
  /** The difference that matters: d' where answers are right or wrong, points of the scale else. */
  detects: z.number().min(0.1).max(10),
  /** How far the differences of one taster scatter, points; for the number of tasters that is needed. */
  scatter: z.number().min(0.1).max(5),
  /** The share of people who may tell and it still counts as a match; null = no match is asked for. */
  similarPd: z.number().min(0.05).max(0.6).nullable(),
  seed: z.number().int().min(0).max(4_294_967_295),
  portionG: z.number('Enter grams.').positive('Enter grams above 0.').max(500),
  servedC: z.number('Enter a temperature.').min(-20).max(90),
  vessel: text(80),
  rinse: text(120),
  /** Between samples, s. */
  restS: z.number().int().min(0).max(900),
  /** Each begins with a glass that is not asked about. */
  warmsUp: z.boolean(),
})
export type TastingSettings = z.infer<typeof TastingSettings>

export const Glass = z.strictObject({ code: z.number().int().min(100).max(999), sampleId: id })
export type Glass = z.infer<typeof Glass>

/** What is put before one taster at once. */
export const Serving = z.strictObject({
  id,
  tasterId: z.string().max(12),
  /** From 1; 0 = the warm-up. */
  round: z.number().int().min(0).max(12),
  /** The sample that stands beside the glasses with its name on; null = none. */
  referenceId: id.nullable(),
  /** In the order in which they are tasted. */
  glasses: z.array(Glass).min(1).max(8),
})
export type Serving = z.infer<typeof Serving>

/** What is asked of one glass. */
export const Ask = z.enum([...ATTRIBUTES, 'liking', 'difference', 'rank'])
export type Ask = z.infer<typeof Ask>

export const Mark = z.strictObject({
  code: Glass.shape.code,
  ask: Ask,
  value: z.number().min(0).max(10),
})
export type Mark = z.infer<typeof Mark>

/** What one taster said of one serving. */
export const TastingAnswer = z.strictObject({
  servingId: id,
  at: moment,
  by: z.enum(['tablet', 'paper', 'file']),
  /** Codes of the glasses that were picked. */
  picked: z.array(Glass.shape.code).max(2),
  marks: z.array(Mark).max(120),
  comment: text(1000),
  /** False while the taster is between two glasses of the serving. */
  isWhole: z.boolean().default(true),
})
export type TastingAnswer = z.infer<typeof TastingAnswer>

/** A tasting: what was settled before it, who gets what, what they said. Results are always worked out from it. */
export const Tasting = z
  .strictObject({
    format: z.literal('frijol/tasting'),
    version: z.literal(1),
    id,
    dishId: id,
    name: text(200),
    createdAt: z.iso.datetime(),
    updatedAt: z.iso.datetime(),
    settings: TastingSettings,
    /** null while it is being planned. */
    design: z.strictObject({ at: moment, servings: z.array(Serving).max(600) }).nullable(),
    answers: z.array(TastingAnswer).max(600),
    closedAt: moment.nullable(),
  })
  .refine(
    ({ answers }) => new Set(answers.map(({ servingId }) => servingId)).size === answers.length,
    'A serving has one answer.',
  )
export type Tasting = z.infer<typeof Tasting>
