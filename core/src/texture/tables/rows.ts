import type { AttributeId, RatioWindow } from '../../model'
import type { AttributeTable, RatioTable, Term } from '../family'
import type { InputId } from '../inputs'
import { richness, saltiness, umami } from './shared'
export { saltRatio } from './shared'

type Row =
  | readonly [
      input: InputId,
      shape: 'rise' | 'fall',
      points: readonly [number, number],
      weight: number,
      source: string,
    ]
  | readonly [
      input: InputId,
      shape: 'peak',
      points: readonly [number, number, number],
      weight: number,
      source: string,
    ]

const termOf = (row: Row): Term =>
  row[1] === 'peak'
    ? { input: row[0], shape: row[1], points: row[2], weight: row[3], source: row[4] }
    : { input: row[0], shape: row[1], points: row[2], weight: row[3], source: row[4] }

/** An attribute from the rows of its table. @param sd of the model itself, points */
export const attribute = (
  id: AttributeId,
  combine: AttributeTable['combine'],
  sd: number,
  rows: readonly Row[],
): AttributeTable => ({ id, combine, sd, terms: rows.map(termOf) })

/** A deciding ratio from a row of its table. */
export const ratio = (
  id: string,
  label: string,
  unit: string,
  input: InputId,
  [low, bestLow, bestHigh, high]: readonly [number, number, number, number],
  raise: string,
  lower: string,
  source: string,
  more: Pick<RatioTable, 'followsOriginal' | 'onlyAbove'> = {},
): RatioTable => {
  const window: RatioWindow = { low, bestLow, bestHigh, high }
  return { id, label, unit, input, window, raise, lower, source, ...more }
}

/** How smooth and how grainy a smooth phase is felt: one reading for every cream, sauce and curd. */
export const smoothPhase: AttributeTable = attribute('smoothness', 'product', 1.2, [
  ['log_grit', 'fall', [-0.142, 1.448], 1, 'kitchen measurement P14: sieve residue 2, 6, 15 % reads 3, 6, 9'],
  ['flecks', 'fall', [0.2, 0.9], 1, 'curds, lumps and beads; practice'],
])
export const grainyPhase: AttributeTable = attribute('graininess', 'product', 1.2, [
  ['log_grit', 'rise', [-0.172, 1.418], 1, 'kitchen measurement P14: sieve residue 2, 6, 15 % reads 3, 6, 9'],
])

/** Notes that every family can carry. */
const NOTES: readonly AttributeTable[] = [
  attribute('sweetness', 'geomean', 1.2, [
    ['log_sweet_eq', 'rise', [-0.168, 1.566], 0.85, 'milk 1.2 % = 2; 6 % = 5; meringue 62 % = 9'],
    ['sour_eq', 'fall', [0.5, 2], 0.15, 'acid suppresses; symptom S20'],
  ]),
  attribute('sourness', 'geomean', 1.2, [
    ['log_sour_eq', 'rise', [-1.178, 0.29], 0.7, 'yogurt 0.6 = 7; lemon 1:4 in water 1.0 = 8-10'],
    ['sweet_eq', 'fall', [3, 14], 0.3, 'sugar suppresses; orange juice 5'],
  ]),
  attribute('bitterness', 'geomean', 1.2, [
    ['log_bitter', 'rise', [0.103, 1.295], 0.85, 'index 0-10'],
    ['salt', 'fall', [0.8, 5], 0.15, 'Breslin and Beauchamp 1997'],
  ]),
  attribute('smokiness', 'product', 1.2, [
    ['log_smoke', 'rise', [-1.168, 0.566], 1, '0.5 % smoked paprika = 5; bacon type 2 g = 8'],
  ]),
  attribute('roasted', 'product', 1.2, [['roast_index', 'rise', [0.8, 9.2], 1, 'index 0-10']]),
  attribute('sulphury', 'product', 1.2, [
    ['log_sulphur_dose', 'rise', [-1.455, 0.013], 1, 'black salt 0.15-0.25 g late = 4-6 (symptom S33)'],
  ]),
  attribute('lactic_tangy', 'geomean', 1.2, [
    ['log_lactic_acid', 'rise', [-0.943, 0.249], 0.65, 'yogurt 1 % = 9; cream cheese 0.6 % = 6'],
    ['cultured', 'rise', [-0.2, 0.6], 0.15, 'bottled acid lacks the aroma; symptom S53'],
    ['ph', 'fall', [4.5, 6.3], 0.2, 'neutralised acid is not tang'],
  ]),
  attribute('buttery', 'product', 1.2, [['buttery_dose', 'rise', [0.8, 9.2], 1, 'index 0-10']]),
  attribute('marine', 'product', 1.2, [
    ['log_marine_dose', 'rise', [-1.172, 0.418], 1, 'symptom S54 nori 0.5-0.8 g = 5-7; one sheet = 5'],
  ]),
  attribute('spice_warm', 'product', 1.2, [
    [
      'log_warm_spice',
      'rise',
      [-0.867, 0.867],
      1,
      'mild chilli 1 g = 5; filling 2-2.5 g = 7; curry paste 10 g = 9',
    ],
  ]),
]

/** What every family tastes of. @param rich how its fat reads, where that is its own */
export const flavours = (rich: AttributeTable = richness): readonly AttributeTable[] => [
  rich,
  umami,
  saltiness,
  ...NOTES,
]
