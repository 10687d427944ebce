import { z } from 'zod'

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
}
