import { z } from 'zod'

export const FoodClass = z.enum([
  'pulse',
  'soy',
  'gluten',
  'flour',
  'starch',
  'gum',
  'nut',
  'seed',
  'grain',
  'vegetable',
  'mushroom',
  'fruit',
  'herb',
  'spice',
  'fat',
  'acid',
  'sweetener',
  'plant-milk',
  'savoury',
  'seaweed',
  'salt',
  'leavening',
  'water',
  'egg',
  'dairy',
  'meat',
  'fish',
])
export type FoodClass = z.infer<typeof FoodClass>

export const ProteinClass = z.enum([
  'gluten',
  'soy',
  'pulse',
  'nut-seed',
  'cereal',
  'fungal',
  'animal',
  'other',
])
export type ProteinClass = z.infer<typeof ProteinClass>

export const StarchClass = z.enum([
  'wheat',
  'maize',
  'potato',
  'tapioca',
  'rice',
  'arrowroot',
  'oat',
  'cereal',
  'pulse',
  'pulse-flour',
  'nut',
  'root',
])
export type StarchClass = z.infer<typeof StarchClass>

/** What a composition table may state, per 100 g edible portion. null = not stated; never read as 0. */
export const NUTRIENTS = [
  'waterG',
  'proteinG',
  'fatG',
  'saturatedFatG',
  'carbohydrateG',
  'starchG',
  'sugarsG',
  'fibreG',
  'ashG',
  'alcoholG',
  'organicAcidG',
  'sodiumMg',
  'potassiumMg',
  'calciumMg',
  'ironMg',
] as const
export type Nutrient = (typeof NUTRIENTS)[number]

const stated = z.number().min(0).max(100_000).nullable()
/** Available carbohydrate (without fibre), the basis of Regulation (EU) 1169/2011. */
export const Composition = z.strictObject(
  Object.fromEntries(NUTRIENTS.map((nutrient) => [nutrient, stated])) as Record<Nutrient, typeof stated>,
)
export type Composition = z.infer<typeof Composition>

export const AMINO_ACIDS = [
  'his',
  'ile',
  'leu',
  'lys',
  'met',
  'cys',
  'phe',
  'tyr',
  'thr',
  'trp',
  'val',
] as const
export type AminoAcid = (typeof AMINO_ACIDS)[number]

/** Bulk density as measured in a cup or spoon. `form` null = the usual state; else "chopped", "packed"... */
export const VolumeMeasure = z.strictObject({
  form: z.string().nullable(),
  gPerMl: z.number().positive().max(20),
  rsd: z.number().min(0).max(1),
  source: z.string().min(1),
})
export type VolumeMeasure = z.infer<typeof VolumeMeasure>

/** Edible mass of one counted piece. `unit` is the piece ("clove", "medium", "block"). */
export const CountMeasure = z.strictObject({
  form: z.string().nullable(),
  unit: z.string().min(1),
  massG: z.number().positive().max(20_000),
  rsd: z.number().min(0).max(1),
  edibleFraction: z.number().positive().max(1).nullable(),
  source: z.string().min(1),
})
export type CountMeasure = z.infer<typeof CountMeasure>

/** A can or jar: declared net mass and what is left after draining. */
export const PackMeasure = z.strictObject({
  form: z.string().nullable(),
  netG: z.number().positive(),
  drainedG: z.number().positive(),
  source: z.string().min(1),
})
export type PackMeasure = z.infer<typeof PackMeasure>

/** Total water one gram of the ingredient as it is holds, own water included. */
export const Holding = z.strictObject({
  coldGPerG: z.number().min(0).max(150),
  hotGPerG: z.number().min(0).max(150),
  /** True where the figure is its food class's usual one and not its own. */
  isClassDefault: z.boolean(),
  source: z.string().min(1),
})
export type Holding = z.infer<typeof Holding>

export const FunctionalData = z.strictObject({
  roles: z.array(z.string()),
  usualLowPct: z.number().min(0).max(100).nullable(),
  usualHighPct: z.number().min(0).max(100).nullable(),
  activation: z.string(),
  gelSetC: z.string(),
  gelMeltC: z.string(),
  incompatibleWith: z.array(z.string()),
  source: z.string().min(1),
})
export type FunctionalData = z.infer<typeof FunctionalData>

const egg = z.number().min(0).max(2)
export const Ingredient = z.strictObject({
  id: z.string().regex(/^[a-z0-9][a-z0-9-]*$/, 'An ingredient id is kebab-case letters and digits.'),
  name: z.string().min(1, 'Name the ingredient.').max(120),
  otherNames: z.array(z.string().min(1)),
  /** "dry", "cooked", "canned"... where the same food is kept in several states; else null. */
  state: z.string().nullable(),
  foodClass: FoodClass,
  per100g: Composition,
  /** Energy the source table states, for checking only; shown energy is computed from the macronutrients. */
  statedEnergyKcal: z.number().min(0).max(905).nullable(),
  aminoAcidsGPer100g: z.partialRecord(z.enum(AMINO_ACIDS), z.number().positive()).nullable(),
  proteinClass: ProteinClass,
  starchClass: StarchClass.nullable(),
  isSolidFat: z.boolean(),
  isGum: z.boolean(),
  isTexturised: z.boolean(),
  /** How far the gluten is developed as bought: 0 for powders and flours. */
  glutenDevelopment: z.number().min(0).max(1),
  volumes: z.array(VolumeMeasure),
  counts: z.array(CountMeasure),
  packs: z.array(PackMeasure),
  holding: Holding.nullable(),
  /** Binder strength in hen's-egg equivalents per gram, raw and hot. */
  binder: z.strictObject({ coldPerG: egg, hotPerG: egg, source: z.string().min(1) }).nullable(),
  /** Free glutamate and 5'-nucleotides, mg per 100 g; null where nothing is known. */
  umami: z
    .strictObject({
      glutamateMg: z.number().min(0),
      impMg: z.number().min(0),
      gmpMg: z.number().min(0),
      ampMg: z.number().min(0),
      source: z.string().min(1),
    })
    .nullable(),
  functional: FunctionalData.nullable(),
  allergens: z.array(z.string()),
  /** Allergens that bought kinds of it often hold and this entry does not count: the label tells. */
  mayHold: z.array(z.string()).default([]),
  cautions: z.array(z.string()),
  source: z.string().min(1, 'Say where the composition comes from.'),
  origin: z.enum(['library', 'own']),
})
export type Ingredient = z.infer<typeof Ingredient>
