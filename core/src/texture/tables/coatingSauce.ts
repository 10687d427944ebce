import { type FamilyTable, peaked, term } from '../family'
import { flavours, grainyPhase, smoothPhase } from './rows'
import { saltRatio, smoothRichness } from './shared'

const PRACTICE = 'family table of sauces; practice'
const GRIT = 'kitchen measurement P14: sieve residue 2, 6, 15 % reads 3, 6, 9'

/** Sauces that cling: white, cheese and nut sauces, thick dressings. */
export const coatingSauce: FamilyTable = {
  id: 'coating-sauce',
  usualYield: { fraction: 0.95, sd: 0.03, source: 'short simmer to thicken; practice' },
  isPoured: true,
  servingC: 60,
  slackCentre: 0,
  ratios: [
    {
      id: 'viscosity',
      label: 'Thickness at serving',
      unit: 'Pa·s',
      input: 'visc_serve',
      window: { low: 0.15, bestLow: 0.3, bestHigh: 2.5, high: 6 },
      followsOriginal: 'viscosity',
      source: 'Krieger and Dougherty 1959; Evans and Haisman 1979; constants and window practice',
      raise: 'Simmer longer, or add starch, flour or nuts.',
      lower: 'Add milk or stock a little at a time.',
    },
    {
      id: 'fat',
      label: 'Fat',
      unit: '%',
      input: 'fat',
      window: { low: 2, bestLow: 5, bestHigh: 20, high: 55 },
      source: 'cheese sauce 10 to 20 %, dressings 33 to 60 %; window practice',
      raise: 'Add nuts, oil or plant butter.',
      lower: 'Swap nuts or oil for white beans, potato or cauliflower.',
    },
    {
      id: 'dry-solids',
      label: 'Dry solids',
      unit: '%',
      input: 'dry_solids',
      window: { low: 8, bestLow: 14, bestHigh: 40, high: 68 },
      source: 'cheese sauce 32 %, dressing 58 %; window practice',
      raise: 'Reduce it, or add nuts, pulses or flour.',
      lower: 'Add liquid.',
    },
    {
      id: 'starch',
      label: 'Cooked starch',
      unit: '%',
      input: 'gel_starch',
      window: { low: 0, bestLow: 0, bestHigh: 5.5, high: 8 },
      source: '3 to 4 % corn starch coats and 6 to 8 % is a dip; practice',
      raise: 'Cook in a starch slurry to 95 °C.',
      lower: 'Replace 1 g of starch by 4 g of cashew, or by an oil emulsion.',
    },
    {
      id: 'grit',
      label: 'Grit',
      unit: '%',
      input: 'grit',
      window: { low: 0, bestLow: 0, bestHigh: 1.2, high: 4 },
      source: GRIT,
      raise: 'Nothing to raise.',
      lower: 'Soak or boil the nuts, blend longer, strain.',
    },
    saltRatio({ low: 0.4, bestLow: 0.7, bestHigh: 1.2, high: 1.7 }),
  ],
  attributes: [
    {
      id: 'thickness',
      combine: 'product',
      sd: 0.6,
      terms: [
        term('log_visc_serve', 'rise', -2.65, 1.95, 1, 'kitchen measurement P9c, with soft ends; practice'),
      ],
    },
    {
      id: 'creaminess',
      combine: 'product',
      sd: 1.2,
      terms: [
        peaked('visc_serve', 0.03, 0.9, 20, 1, 'creaminess of the texture model; practice'),
        term('log_felt_um', 'fall', 1.301, 1.954, 1, 'felt size 20 to 90 µm; practice'),
        term('log_emulsified_fat', 'rise', -0.453, 1.137, 1, 'rise over 1 to 9 % fat in droplets; practice'),
        term('gel_starch', 'fall', 6, 13, 1, 'pasty where starch gives all the body; practice'),
      ],
    },
    smoothPhase,
    grainyPhase,
    {
      id: 'mouth_coating',
      combine: 'mean',
      sd: 1.2,
      terms: [
        term('log_fat', 'rise', -0.282, 1.838, 0.5, 'fat film; originals of the family; practice'),
        term('log_visc_serve', 'rise', -2.6, 0.8, 0.5, PRACTICE),
      ],
    },
    ...flavours(smoothRichness),
  ],
}
