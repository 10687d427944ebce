import { z } from 'zod'
import { Idea } from './idea'
import { Equipment, Observation, OperationId } from './method'
import { Original } from './original'
import { Tasted, Taster } from './panel'

export const MeasureRegion = z.enum(['us', 'metric', 'australian', 'imperial'])
export type MeasureRegion = z.infer<typeof MeasureRegion>

export const Price = z.strictObject({
  ingredientId: z.string(),
  /** Price of `perG` grams of the ingredient as bought. */
  price: z.number('Enter a price.').min(0).max(1e6),
  perG: z.number('Enter grams.').positive('Enter the grams that the price is for.').max(1e7),
})
export type Price = z.infer<typeof Price>

/** A pack as this kitchen buys it. */
export const Pack = z.strictObject({
  ingredientId: z.string(),
  massG: z.number('Enter grams.').positive('Enter what is in the pack, above 0 g.').max(1e6),
  label: z.string().max(60),
})
export type Pack = z.infer<typeof Pack>

const thing = (id: string, kind: Equipment['kind'], label: string, known: Partial<Equipment>): Equipment => ({
  id,
  kind,
  label,
  count: 1,
  areaDm2: null,
  capacityG: null,
  powerKw: null,
  isFan: false,
  offsetC: 0,
  ...known,
})

/** A small kitchen. @source areas, powers and loads of the usual sizes; practice */
export const usualEquipment = (): Equipment[] => [
  thing('hob', 'hob', 'Hob', { count: 4, powerKw: 2 }),
  thing('pan-28', 'pan', 'Frying pan 28 cm', { areaDm2: 6.2 }),
  thing('pan-32', 'pan', 'Frying pan 32 cm', { areaDm2: 8 }),
  thing('pot-20', 'pot', 'Saucepan 20 cm', { areaDm2: 3.1, capacityG: 2400 }),
  thing('pot-24', 'pot', 'Pot 24 cm', { areaDm2: 4.5, capacityG: 5000 }),
  thing('oven', 'oven', 'Oven', { powerKw: 2.8, isFan: true }),
  thing('tray', 'tray', 'Oven tray 45 × 35 cm', { count: 2, areaDm2: 15.8 }),
  thing('blender', 'blender', 'Blender 1.8 L', { capacityG: 1400, powerKw: 1.2 }),
  thing('processor', 'processor', 'Food processor 2.5 L', { capacityG: 900, powerKw: 0.7 }),
  thing('steamer', 'steamer', 'Steamer 28 cm, two tiers', { count: 2, areaDm2: 6, capacityG: 900 }),
  thing('pressure-pot', 'pressure-pot', 'Pressure pot 6 L', { areaDm2: 4, capacityG: 3000, powerKw: 1 }),
]

/** A verb as this kitchen means it. */
export const KitchenWord = z.strictObject({
  word: z
    .string()
    .min(2)
    .max(40)
    .regex(/^[\p{L}-]+$/u, 'One word, of letters alone.'),
  operation: OperationId,
})
export type KitchenWord = z.infer<typeof KitchenWord>

/** What this kitchen calls a food. */
export const KitchenName = z.strictObject({
  name: z.string().min(2, 'Write what it is called.').max(120),
  ingredientId: z.string(),
})
export type KitchenName = z.infer<typeof KitchenName>

/** A food that is not to stand in for another here, and why. */
export const TurnedDown = z.strictObject({
  replaces: z.string(),
  foodId: z.string(),
  reason: z.string().trim().min(1, 'Say why, in a word.').max(200),
})
export type TurnedDown = z.infer<typeof TurnedDown>

/** How this kitchen measures, weighs and counts. */
export const Kitchen = z.strictObject({
  format: z.literal('frijol/kitchen'),
  version: z.literal(1),
  name: z.string().max(120),
  /** What a bare "cup" and "tbsp" mean here; words in a recipe's own text win. */
  region: MeasureRegion,
  /** Reading step of the large scale and of the small one, g. */
  scaleStepG: z.number().positive().max(50),
  fineScaleStepG: z.number().positive().max(10).nullable(),
  currency: z.string().regex(/^[A-Z]{3}$/, 'Use a three-letter currency code, such as EUR.'),
  prices: z.array(Price).max(5000),
  /** Added after the first version of this document: absent there. */
  packs: z.array(Pack).max(5000).default([]),
  /** What it cooks in. Added later, too. */
  equipment: z.array(Equipment).max(60).default(usualEquipment),
  /** Weighings against the model, from which it learns this kitchen's pans and ovens. */
  observations: z.array(Observation).max(2000).default([]),
  /** Verbs it has taught the reader, and its own names for foods. Added later, too. */
  words: z.array(KitchenWord).max(500).default([]),
  names: z.array(KitchenName).max(2000).default([]),
  /** Originals of its own, profiled by tasting or by measuring. Added later, too. */
  originals: z.array(Original).max(200).default([]),
  /** Stand-ins that were tried here and not liked. Added later, too. */
  turnedDown: z.array(TurnedDown).max(2000).default([]),
  /** Who tastes here, and what tastings said beside the model: from it the families' attributes learn. Added later, too. */
  panel: z.array(Taster).max(40).default([]),
  tasted: z.array(Tasted).max(5000).default([]),
  /** What was tried here and is kept in mind, to be done again or not. Added later, too. */
  ideas: z.array(Idea).max(2000).default([]),
})
export type Kitchen = z.infer<typeof Kitchen>

export const defaultKitchen: Kitchen = {
  format: 'frijol/kitchen',
  version: 1,
  name: 'My kitchen',
  region: 'us',
  scaleStepG: 1,
  fineScaleStepG: 0.1,
  currency: 'EUR',
  prices: [],
  packs: [],
  equipment: usualEquipment(),
  observations: [],
  words: [],
  names: [],
  turnedDown: [],
  originals: [],
  panel: [],
  tasted: [],
  ideas: [],
}
