import { z } from 'zod'

/** Units a person may write. Volumes stand for the kitchen's region until the text says otherwise. */
export const UnitId = z.enum([
  'g',
  'kg',
  'mg',
  'oz',
  'lb',
  'stick',
  'mL',
  'cL',
  'dL',
  'L',
  'tsp',
  'tbsp',
  'cup',
  'fl-oz',
  'pint',
  'quart',
  'gallon',
  'dessertspoon',
  'au-tbsp',
  'metric-cup',
  'us-cup',
  'go',
  'mug',
  'glass',
  'ladle',
  'tad',
  'dash',
  'pinch',
  'smidgen',
  'drop',
  'splash',
  'drizzle',
  'glug',
  'handful',
  'knob',
  'can',
  'pack',
  'block',
  'jar',
  'carton',
  'bag',
  'clove',
  'head',
  'bunch',
  'sprig',
  'stalk',
  'leaf',
  'slice',
  'sheet',
  'piece',
  'cube',
  'ear',
  'bulb',
  'sachet',
  'cap',
  'pod',
  'bar',
  'strip',
  'cm',
  'inch',
  'juiced',
  'zested',
])
export type UnitId = z.infer<typeof UnitId>

export const QualifierId = z.enum([
  'level',
  'scant',
  'generous',
  'rounded',
  'heaping',
  'packed',
  'firmly-packed',
  'loosely-packed',
  'sifted',
  'dipped',
])
export type QualifierId = z.infer<typeof QualifierId>

export const SizeId = z.enum(['small', 'medium', 'large', 'extra-large'])
export type SizeId = z.infer<typeof SizeId>

/** One measured term: "2 heaped tbsp", "1 large", "2 x 400 g cans". `unit` null is a bare count. */
export const AmountTerm = z.strictObject({
  sign: z.union([z.literal(1), z.literal(-1)]),
  low: z.number().min(0).max(1e6),
  high: z.number().min(0).max(1e6),
  unit: UnitId.nullable(),
  qualifier: QualifierId.nullable(),
  size: SizeId.nullable(),
  /** Stated content of one pack, with its unit: the 400 g of "2 x 400 g tins". */
  pack: z.strictObject({ quantity: z.number().positive().max(1e6), unit: UnitId }).nullable(),
})
export type AmountTerm = z.infer<typeof AmountTerm>

/** An amount as written; several terms add up ("2 tbsp plus 1 tsp"). */
export const Amount = z.strictObject({
  terms: z.array(AmountTerm).min(1).max(6),
  isApproximate: z.boolean(),
})
export type Amount = z.infer<typeof Amount>

/** Amounts that stay open in the text: never zero, never guessed silently. */
export const OpenAmount = z.enum([
  'to-taste',
  'for-frying',
  'as-needed',
  'for-dusting',
  'to-serve',
  'unstated',
])
export type OpenAmount = z.infer<typeof OpenAmount>
