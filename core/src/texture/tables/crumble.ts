import { type FamilyTable, term } from '../family'
import { flavours } from './rows'
import { saltRatio } from './shared'

const PRACTICE = 'family table of crumbles and mince; practice'
const PIECES = 'pieces against paste: kitchen measurement P5; practice'

/** Crumbles, mince and loose fillings of pieces. */
export const crumble: FamilyTable = {
  id: 'crumble-mince',
  usualYield: { fraction: 0.75, sd: 0.06, source: 'pan or oven to about 25 % weight loss; practice' },
  isPoured: false,
  servingC: 65,
  slackCentre: 0,
  ratios: [
    {
      id: 'free-water',
      label: 'Free water, cooked',
      unit: '%',
      input: 'free_hot',
      window: { low: 0, bestLow: 2, bestHigh: 8, high: 14 },
      source: 'holding capacities of the library; window practice',
      raise: 'Cook it less far, or add a little stock.',
      lower: 'Cook it drier, or add crumbs, dry textured soy or a dry pulse.',
    },
    {
      id: 'piece-size',
      label: 'Piece size',
      unit: 'mm',
      input: 'piece_mm',
      window: { low: 1, bestLow: 3, bestHigh: 9, high: 16 },
      source: 'mince 3 to 8 mm; whole beans and nut halves pass; window practice',
      raise: 'Chop less, pulse in short bursts.',
      lower: 'Chop finer.',
    },
    {
      id: 'fat',
      label: 'Fat',
      unit: '%',
      input: 'fat',
      window: { low: 3, bestLow: 8, bestHigh: 16, high: 25 },
      source: 'window practice',
      raise: 'Add nuts, seeds or oil.',
      lower: 'Swap some nuts or oil for pulses or mushrooms.',
    },
    {
      id: 'binder-hold',
      label: 'Binder hold, hot',
      unit: 'eq',
      input: 'binder_hot',
      window: { low: 0, bestLow: 0, bestHigh: 0.4, high: 1 },
      source: 'binder strengths practice; loose fillings 0 to 0.3',
      raise: 'Add gluten, flax or flour.',
      lower: 'Use less gluten, flour or starch: it will paste together.',
    },
    {
      id: 'coarse-share',
      label: 'Pieces',
      unit: '%',
      input: 'coarse_share',
      window: { low: 40, bestLow: 70, bestHigh: 98, high: 100 },
      source: PIECES,
      raise: 'Pulse less; keep whole pieces.',
      lower: 'Mash a small part so it holds on the fork.',
    },
    {
      id: 'chew',
      label: 'Chewy solids',
      unit: '%',
      input: 'chew_solids',
      window: { low: 1.5, bestLow: 3.5, bestHigh: 18, high: 25 },
      source: 'window practice',
      raise: 'Add textured soy, mushroom dried in the pan or a little developed gluten.',
      lower: 'Swap textured soy for pulses or nuts; soak it longer.',
    },
    saltRatio({ low: 0.5, bestLow: 0.8, bestHigh: 1.4, high: 2 }),
  ],
  attributes: [
    {
      id: 'firmness',
      combine: 'mean',
      sd: 1,
      terms: [
        term('dry_solids_no_fat', 'rise', 8, 52, 0.45, PRACTICE),
        term('chew_solids', 'rise', 0, 30, 0.25, PRACTICE),
        term('free_hot', 'fall', 4, 26, 0.3, PRACTICE),
      ],
    },
    {
      id: 'chewiness',
      combine: 'mean',
      sd: 1.2,
      terms: [
        term('chew_solids', 'rise', -4, 30, 0.5, PRACTICE),
        term('dry_solids_no_fat', 'rise', 14, 50, 0.3, PRACTICE),
        term('coarse_share', 'rise', 0, 80, 0.2, PIECES),
      ],
    },
    {
      id: 'juiciness',
      combine: 'product',
      sd: 1.2,
      terms: [
        term('expressible', 'rise', -2.4, 11.4, 1, 'kitchen measurement P6: 2 to 4 % reads 3 to 5; practice'),
        term('chew_solids', 'fall', 22, 70, 1, PRACTICE),
      ],
    },
    {
      id: 'crumbliness',
      combine: 'product',
      sd: 1.2,
      terms: [
        term('binder_hot', 'fall', -1, 1.6, 1, PRACTICE),
        term('free_hot', 'fall', 8, 22, 1, PRACTICE),
        term('coarse_share', 'rise', -10, 70, 1, PIECES),
      ],
    },
    {
      id: 'cohesion',
      combine: 'mean',
      sd: 1.2,
      terms: [
        term('binder_hot', 'rise', -0.3, 1.5, 0.6, PRACTICE),
        term('coarse_share', 'fall', 20, 110, 0.25, PIECES),
        term('free_hot', 'fall', 8, 26, 0.15, PRACTICE),
      ],
    },
    {
      id: 'tenderness',
      combine: 'product',
      sd: 1.2,
      terms: [
        term('chew_solids', 'fall', 10, 45, 1, PRACTICE),
        term('dry_solids_no_fat', 'fall', 15, 60, 1, PRACTICE),
      ],
    },
    {
      id: 'springiness',
      combine: 'mean',
      sd: 1.2,
      terms: [
        term('chew_solids', 'rise', -8, 30, 0.5, PRACTICE),
        term('binder_hot', 'rise', -0.8, 2.2, 0.5, PRACTICE),
      ],
    },
    ...flavours(),
  ],
}
