import type { AttributeId } from '../../model'
import type { Symptom } from '../symptom'
import { BOUND } from './bound'
import { CHEESES } from './cheeses'
import { SAUCES } from './sauces'
import { TASTE } from './taste'

export const SYMPTOMS: readonly Symptom[] = [...BOUND, ...TASTE, ...SAUCES, ...CHEESES]

const BY_ID = new Map(SYMPTOMS.map((symptom) => [symptom.id, symptom]))
export const symptomOf = (id: string): Symptom | undefined => BY_ID.get(id)

type Row = readonly [attributes: readonly AttributeId[], low: readonly string[], high: readonly string[]]
/** @source gap to symptom index of the originals page; practice */
const ROWS: readonly Row[] = [
  [['firmness'], ['S02', 'S35', 'S48', 'S12'], ['S03', 'S59', 'S36', 'S55']],
  [['chewiness'], ['S11', 'S02', 'S10', 'S49'], ['S03', 'S09', 'S07']],
  [['cohesion'], ['S01', 'S27', 'S34', 'S13', 'S37'], ['S07', 'S50']],
  [['springiness'], ['S12', 'S49', 'S02'], ['S03', 'S50', 'S11']],
  [['juiciness'], ['S05', 'S31', 'S09'], ['S32', 'S02', 'S06']],
  [['tenderness'], ['S03', 'S09', 'S31', 'S36'], ['S02', 'S48']],
  [['fibrousness'], ['S08', 'S10', 'S04'], ['S09']],
  [['graininess'], ['S51', 'S02'], ['S16', 'S17', 'S41', 'S34']],
  [['smoothness'], ['S16', 'S17', 'S41', 'S34'], []],
  [
    ['creaminess', 'richness', 'mouth_coating'],
    ['S44', 'S31', 'S38', 'S05'],
    ['S06', 'S47', 'S58'],
  ],
  [['thickness'], ['S42', 'S40', 'S52', 'S39'], ['S43', 'S39', 'S07']],
  [
    ['melt', 'stretch'],
    ['S45', 'S46', 'S51', 'S58'],
    ['S47', 'S48'],
  ],
  [
    ['crispness', 'crumbliness'],
    ['S27', 'S28', 'S12', 'S11', 'S50', 'S51'],
    ['S01', 'S05'],
  ],
  [
    ['saltiness', 'umami', 'roasted', 'smokiness'],
    ['S21', 'S22', 'S25', 'S30', 'S56'],
    ['S23', 'S24', 'S26', 'S30'],
  ],
  [['sweetness', 'sourness', 'bitterness'], ['S21'], ['S20', 'S60', 'S15', 'S24']],
  [['sulphury'], ['S33'], ['S33']],
  [['lactic_tangy'], ['S53'], ['S60']],
  [['buttery'], ['S56'], []],
  [['marine'], ['S54'], ['S54']],
]

/** Symptoms that an attribute too low or too high leads to, in the order in which they are looked at. */
export function symptomsOfGap(attribute: AttributeId, side: -1 | 1): readonly string[] {
  const row = ROWS.find(([attributes]) => attributes.includes(attribute))
  return row === undefined ? [] : side < 0 ? row[1] : row[2]
}
