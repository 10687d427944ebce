import type { RatioWindow } from '../../model'
import { type AttributeTable, type RatioTable, term } from '../family'

/** Attributes that every savoury family shares. */
export const saltiness: AttributeTable = {
  id: 'saltiness',
  combine: 'product',
  sd: 0.6,
  terms: [term('log_salt', 'rise', -0.62, 0.742, 1, 'fit to the sodium of 41 originals')],
}
export const umami: AttributeTable = {
  id: 'umami',
  combine: 'geomean',
  sd: 1.2,
  terms: [
    term(
      'log_msg_eq',
      'rise',
      -1.348,
      0.242,
      0.85,
      'Yamaguchi et al. 1971; hard cheese 1.4 reads 9; practice',
    ),
    term('log_salt', 'rise', -1.3, -0.1, 0.15, 'savoury needs some salt; practice'),
  ],
}
export const richness: AttributeTable = {
  id: 'richness',
  combine: 'product',
  sd: 1,
  terms: [term('log_fat', 'rise', 0.284, 1.944, 1, 'omelette at 12 % fat reads 5, butter 9 to 10; practice')],
}
/** The same fat reads richer when it is in droplets in a smooth phase. */
export const smoothRichness: AttributeTable = {
  id: 'richness',
  combine: 'product',
  sd: 1,
  terms: [
    term(
      'log_fat',
      'rise',
      -0.226,
      1.782,
      1,
      'fat in droplets reads richer; originals of the family; practice',
    ),
  ],
}

/** All-source salt of the cooked part. */
export const saltRatio = (window: RatioWindow): RatioTable => ({
  id: 'salt',
  label: 'Salt, all sources',
  unit: '%',
  input: 'salt',
  window,
  followsOriginal: 'salt',
  source: 'Regulation (EU) 1169/2011 for salt = sodium × 2.5; window practice',
  raise: 'Add salt, or more of a salty seasoning.',
  lower: 'Cut added salt first, then soy sauce, miso or brine.',
})
