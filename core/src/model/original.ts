import { z } from 'zod'

export const FAMILIES = [
  'bound-dough-slice',
  'shreddable',
  'crumble-mince',
  'bound-patty',
  'flaked',
  'crisp-strip',
  'emulsified-sausage',
  'egg-curd',
  'custard-gel',
  'foam',
  'binder',
  'liquid-yolk',
  'pourable-sauce',
  'coating-sauce',
  'stretch-melt',
  'sliceable-gel',
  'crumbly-brined',
  'hard-grate',
  'spreadable',
  'cultured-thick',
  'solid-fat',
] as const
export const FamilyId = z.enum(FAMILIES)
export type FamilyId = z.infer<typeof FamilyId>

/** Sensory attributes on the 0 to 10 kitchen scale. */
export const ATTRIBUTES = [
  'firmness',
  'chewiness',
  'cohesion',
  'springiness',
  'juiciness',
  'tenderness',
  'fibrousness',
  'graininess',
  'creaminess',
  'thickness',
  'smoothness',
  'mouth_coating',
  'melt',
  'stretch',
  'crispness',
  'crumbliness',
  'saltiness',
  'umami',
  'sweetness',
  'sourness',
  'bitterness',
  'smokiness',
  'richness',
  'roasted',
  'sulphury',
  'lactic_tangy',
  'buttery',
  'marine',
  'spice_warm',
] as const
export const AttributeId = z.enum(ATTRIBUTES)
export type AttributeId = z.infer<typeof AttributeId>

const range = z.strictObject({ typical: z.number(), low: z.number(), high: z.number() })

/** The food that is being replaced, as served. Composition per 100 g edible portion. */
export const Original = z.strictObject({
  id: z.string(),
  name: z.string(),
  family: FamilyId,
  group: z.string(),
  servingTempC: z.number(),
  waterPct: range,
  proteinPct: range,
  fatPct: range,
  saturatedFatPct: range,
  carbohydratePct: range,
  sodiumMgPer100g: range,
  energyKcal: z.number(),
  viscosityPaS: range.nullable(),
  attributes: z.partialRecord(AttributeId, z.number().min(0).max(10)),
  importance: z.partialRecord(AttributeId, z.number().min(1).max(3)),
  /** CIE L*, a*, b* of the surface that was looked at, D65. */
  colour: z
    .strictObject({ site: z.string(), lab: z.tuple([z.number(), z.number(), z.number()]) })
    .nullable()
    .default(null),
  /** Minerals and B12 of 100 g as served. */
  traces: z
    .strictObject({
      ironMg: z.number(),
      calciumMg: z.number(),
      potassiumMg: z.number(),
      zincMg: z.number(),
      seleniumUg: z.number(),
      iodineUg: z.number(),
      b12Ug: z.number(),
      vitaminDUg: z.number().default(0),
    })
    .nullable()
    .default(null),
  source: z.string(),
  confidence: z.enum(['A', 'B', 'C']),
})
export type Original = z.infer<typeof Original>
