import type { FoodClass, QualifierId, SizeId } from '../model'

interface Qualifier {
  readonly factor: number
  /** Relative sd that the qualifier adds, in quadrature. */
  readonly rsd: number
}

/** How a qualifier changes a level measure. @source kitchen practice; ranges in docs/guide/measuring.md */
export const QUALIFIERS: Record<QualifierId, Qualifier> = {
  level: { factor: 1, rsd: 0 },
  scant: { factor: 0.92, rsd: 0.04 },
  generous: { factor: 1.12, rsd: 0.07 },
  rounded: { factor: 1.5, rsd: 0.15 },
  heaping: { factor: 2, rsd: 0.22 },
  packed: { factor: 1.5, rsd: 0.05 },
  'firmly-packed': { factor: 1.25, rsd: 0.1 },
  'loosely-packed': { factor: 0.85, rsd: 0.12 },
  sifted: { factor: 0.92, rsd: 0.05 },
  dipped: { factor: 1.12, rsd: 0.08 },
}

/** A heaped cup stands less high over its rim than a heaped spoon. Practice. */
export const HEAPED_CUP: Qualifier = { factor: 1.25, rsd: 0.07 }
/** Leaves pack to about twice their loose weight. Practice. */
export const PACKED_LEAVES: Qualifier = { factor: 2, rsd: 0.2 }
/** "about", "roughly", "~". Practice. */
export const APPROXIMATE_RSD = 0.08

/** Mass of a size against the medium piece. @source USDA household weights of onion 70, 110, 150 g, rounded; practice */
export const SIZE_FACTORS: Record<SizeId, number> = { small: 0.65, medium: 1, large: 1.4, 'extra-large': 1.8 }

/** Grams in one handful by kind of food. Practice. */
export function handfulG(foodClass: FoodClass): number {
  if (foodClass === 'nut' || foodClass === 'seed') return 35
  if (foodClass === 'herb') return 10
  if (foodClass === 'dairy') return 30
  return foodClass === 'vegetable' ? 25 : 30
}

export const QUALIFIER_WORDS: Record<string, QualifierId> = {
  level: 'level',
  levelled: 'level',
  scant: 'scant',
  scanty: 'scant',
  generous: 'generous',
  good: 'generous',
  rounded: 'rounded',
  heaping: 'heaping',
  heaped: 'heaping',
  packed: 'packed',
  sifted: 'sifted',
  dipped: 'dipped',
}

export const SIZE_WORDS: Record<string, SizeId> = {
  small: 'small',
  sm: 'small',
  med: 'medium',
  lg: 'large',
  lge: 'large',
  smallish: 'small',
  little: 'small',
  thumb: 'medium',
  medium: 'medium',
  'medium-sized': 'medium',
  'medium-size': 'medium',
  large: 'large',
  big: 'large',
  'extra-large': 'extra-large',
  jumbo: 'extra-large',
}
