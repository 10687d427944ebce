import { z } from 'zod'
import { AttributeId, FamilyId } from './original'

/** A value and its standard deviation, in the unit that the field's name or `unit` states. */
export const Measured = z.strictObject({ value: z.number(), sd: z.number().min(0) })
export type Measured = z.infer<typeof Measured>

const figure = z.number().nullable()
/** Totals of a portion, of 100 g or of the whole. null = not known; `atLeast` lists what is known in part. */
export const Totals = z.strictObject({
  massG: z.number(),
  energyKcal: figure,
  proteinG: figure,
  fatG: figure,
  saturatedFatG: figure,
  carbohydrateG: figure,
  sugarsG: figure,
  fibreG: figure,
  alcoholG: figure,
  organicAcidG: figure,
  sodiumMg: figure,
  potassiumMg: figure,
  calciumMg: figure,
  ironMg: figure,
  cost: figure,
  /** Nutrients for which some line has no figure: the value is a lower bound. */
  atLeast: z.array(z.string()),
})
export type Totals = z.infer<typeof Totals>

export const Finding = z.strictObject({
  rule: z.string(),
  severity: z.enum(['info', 'caution', 'stop']),
  message: z.string(),
  /** What to do about it. */
  remedy: z.string(),
  part: z.string().nullable(),
  line: z.string().nullable(),
  step: z.string().nullable(),
  /** Set when the person has settled it on purpose. */
  settled: z.string().nullable(),
})
export type Finding = z.infer<typeof Finding>

export const RatioReading = z.strictObject({
  id: z.string(),
  label: z.string(),
  value: z.number(),
  sd: z.number().min(0),
  unit: z.string(),
  low: z.number(),
  bestLow: z.number(),
  bestHigh: z.number(),
  high: z.number(),
  state: z.enum(['in', 'drift', 'out']),
  /** Whether what it rests on is known for all foods, or for a part of the mass only. */
  known: z.enum(['known', 'partly']),
})
export type RatioReading = z.infer<typeof RatioReading>

export const AttributeReading = z.strictObject({
  id: AttributeId,
  value: z.number(),
  sd: z.number().min(0),
  target: z.strictObject({ low: z.number(), high: z.number() }).nullable(),
  /** How often it counts in the distance, 0 to 3. */
  weight: z.number(),
  /** Signed distance to the nearest end of the band; 0 inside it or without a band. */
  gap: z.number(),
  state: z.enum(['in', 'drift', 'out', 'none']),
  known: z.enum(['known', 'partly']),
})
export type AttributeReading = z.infer<typeof AttributeReading>

/** What a part will do at the counter, and how to confirm it there. */
export const Behaviour = z.strictObject({
  id: z.string(),
  label: z.string(),
  value: z.string(),
  confirm: z.string(),
})
export type Behaviour = z.infer<typeof Behaviour>

export const LineReading = z.strictObject({
  lineId: z.string(),
  text: z.string(),
  foodId: z.string().nullable(),
  name: z.string(),
  massG: figure,
  sdG: figure,
  /** Share of the part's raw mass, 0 to 1; null without a mass. */
  share: figure,
})
export type LineReading = z.infer<typeof LineReading>

/** Mass that came in or left in a step, and where from or to. */
export const StepMove = z.strictObject({ what: z.string(), massG: z.number(), waterG: z.number() })
export type StepMove = z.infer<typeof StepMove>

/** What a lot is like after a step; null where it does not apply. */
export const StepState = z.strictObject({
  coreC: z.number(),
  glutenDevelopment: figure,
  /** Share of the starch that is gelatinised, and of the protein that has set, 0 to 1. */
  starchGelatinised: figure,
  proteinSet: figure,
  gels: z.array(
    z.strictObject({
      foodId: z.string(),
      name: z.string(),
      state: z.enum(['dry', 'hydrated', 'set', 'melted']),
    }),
  ),
  /** Coarse end of the particles, mm. */
  particleMm: figure,
  pH: figure,
  overrunPct: figure,
})
export type StepState = z.infer<typeof StepState>

export const StepReading = z.strictObject({
  stepId: z.string(),
  /** Step of the method as it was written that it belongs to, from 1; null where it was written by itself. */
  written: z.number().nullable(),
  operation: z.string().nullable(),
  /** What it takes, with the mass of each; share of the whole, null = all that is left. */
  takes: z.array(
    z.strictObject({
      kind: z.enum(['line', 'step', 'part']),
      id: z.string(),
      name: z.string(),
      share: figure,
      massG: z.number(),
    }),
  ),
  massInG: z.number(),
  massG: z.number(),
  waterG: z.number(),
  /** Mass of everything of the part after this step, with what is not used yet. */
  partMassG: z.number(),
  partWaterG: z.number(),
  gained: z.array(StepMove),
  lost: z.array(StepMove),
  /** Whole time and hands-on time, min; loads one after another are counted. */
  minutes: z.number(),
  handsMin: z.number(),
  /** Loads that the vessel makes of it. */
  loads: z.number(),
  vessel: z.string().nullable(),
  vesselId: z.string().nullable(),
  energyKWh: z.number(),
  state: StepState,
  /** The model against the scale: set where the step was weighed. */
  fit: z
    .strictObject({
      predictedG: z.number(),
      weighedG: z.number(),
      /** ln(observed / default constant) and its sd; null where the operation has no constant to fit. */
      lnRatio: z.number().nullable(),
      sd: z.number(),
      impossibleG: z.number(),
    })
    .nullable(),
  /** How many weighings of this kitchen the prediction rests on. */
  observations: z.number(),
})
export type StepReading = z.infer<typeof StepReading>

export const WaterReading = z.strictObject({
  totalG: z.number(),
  heldG: z.number(),
  freeG: z.number(),
  cookedOffG: z.number(),
  /** Free water of the hot, cooked part, g per 100 g; negative = unmet demand. */
  slackPct: z.number(),
})
export type WaterReading = z.infer<typeof WaterReading>

/** A part as it is served the second way: its readings against the original that it stands for then. */
export const SecondReading = z.strictObject({
  originalId: z.string(),
  originalName: z.string(),
  family: FamilyId,
  servingC: z.number(),
  massG: z.number(),
  massSdG: z.number().min(0),
  ratios: z.array(RatioReading),
  attributes: z.array(AttributeReading),
  distance: figure,
  behaviour: z.array(Behaviour),
  viscosityPaS: figure,
})
export type SecondReading = z.infer<typeof SecondReading>

export const PartAssessment = z.strictObject({
  partId: z.string(),
  name: z.string(),
  family: FamilyId.nullable(),
  originalId: z.string().nullable(),
  originalName: z.string().nullable(),
  rawMassG: z.number(),
  cookedMassG: z.number(),
  /** Its standard deviation: measuring, and how kitchens differ. */
  cookedSdG: z.number().min(0),
  /** Where the cooked mass comes from. */
  cookedBasis: z.enum(['weighed', 'steps', 'family', 'raw']),
  water: WaterReading,
  ratios: z.array(RatioReading),
  attributes: z.array(AttributeReading),
  /** Importance-weighted distance to the original (0 is a match, above 2 a different food); null without one. */
  distance: figure,
  /** Which part of it is judged, where it holds others of another kind; null where it is judged alone. */
  judged: z.string().nullable(),
  /** What it pours, sets, weeps or stands like. */
  behaviour: z.array(Behaviour),
  viscosityPaS: figure,
  /** null where it is served in one way only. */
  also: SecondReading.nullable(),
  lines: z.array(LineReading),
  steps: z.array(StepReading),
  /** What the method starts from, g: the lines as they come to it, soaked where they say so. */
  start: z.strictObject({ massG: z.number(), waterG: z.number() }),
  /** What no step takes, with its mass; empty where there is no method. */
  unused: z.array(z.strictObject({ lineId: z.string(), name: z.string(), massG: z.number() })),
  time: z.strictObject({ handsMin: z.number(), totalMin: z.number(), energyKWh: z.number() }),
  /** Mass of this part that other parts take, g, and what of it is left over. */
  takenG: z.number(),
  /** What is served beside the dish of what the other parts leave, g. */
  besideG: z.number(),
  leftoverG: z.number(),
  totals: Totals,
})
export type PartAssessment = z.infer<typeof PartAssessment>

export const Assessment = z.strictObject({
  name: z.string(),
  portions: z.number(),
  rawMassG: z.number(),
  cookedMassG: z.number(),
  parts: z.array(PartAssessment),
  perPortion: Totals,
  per100g: Totals,
  allergens: z.array(z.string()),
  diets: z.array(z.string()),
  findings: z.array(Finding),
})
export type Assessment = z.infer<typeof Assessment>
