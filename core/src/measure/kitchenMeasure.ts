import type { Amount, AmountTerm, Ingredient, Kitchen, MeasureRegion } from '../model'
import { formatAmount } from './format'
import { VOLUME_UNITS } from './units'

/** A volume in spoons and cups that exist, with the rounding it costs. */
export interface VolumeMeasure {
  readonly amount: Amount
  /** Signed: measured this way, the volume is off by this share. */
  readonly errorFraction: number
}

/** A mass as spoons and cups. */
export interface KitchenMeasure extends VolumeMeasure {
  readonly text: string
}

/** From this share on a measure is shown as rough. @source practice: half a level spoon in ten */
const ROUGH_SHARE = 0.05

/** Whether measuring so is off by more than a cook would overlook. */
export const isRough = ({ errorFraction }: VolumeMeasure): boolean => Math.abs(errorFraction) > ROUGH_SHARE

type SpoonUnit = 'tsp' | 'tbsp' | 'cup'
type Piece = readonly [quantity: number, unit: SpoonUnit]

/** Measures of a kitchen, alone and two at most together. @source practice: spoons 1/8 to 2 tsp, tbsp to 6, cups from 1/4 */
const TEASPOONS = [1 / 8, 1 / 4, 1 / 2, 3 / 4, 1, 1.5, 2, 2.5]
const TABLESPOONS = [1, 1.5, 2, 2.5, 3, 3.5, 4, 5, 6]
const CUP_PARTS = [1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1]
const CUPS = [
  ...CUP_PARTS,
  ...[1, 2, 3, 4, 5, 6, 7].flatMap((whole) => CUP_PARTS.map((part) => whole + part)),
]
const SPOONFULS_MORE: readonly Piece[] = [
  [1 / 2, 'tsp'],
  [1, 'tsp'],
  [2, 'tsp'],
]
const TABLESPOONS_MORE: readonly Piece[] = [
  [1, 'tbsp'],
  [2, 'tbsp'],
  [3, 'tbsp'],
]
const MOST_CUPS = 8.2
const LEAST_TEASPOON = 1 / 16
/** What a second measure must win over one measure, as a share. Practice. */
const TROUBLE_OF_TWO = 0.03
/** Cups are handier than five or six tablespoons, as a share. Practice. */
const TROUBLE_OF_MANY = 0.01

const alone = (options: readonly number[], unit: SpoonUnit): Piece[][] =>
  options.map((quantity) => [[quantity, unit]])
const withMore = (options: readonly number[], unit: SpoonUnit, more: readonly Piece[]): Piece[][] =>
  options.flatMap((quantity) => more.map((piece): Piece[] => [[quantity, unit], piece]))

const WAYS: readonly (readonly Piece[])[] = [
  ...alone(TEASPOONS, 'tsp'),
  ...alone(TABLESPOONS, 'tbsp'),
  ...alone(CUPS, 'cup'),
  ...withMore([1, 2, 3], 'tbsp', SPOONFULS_MORE),
  ...withMore(CUPS, 'cup', TABLESPOONS_MORE),
]

const term = ([quantity, unit]: Piece): AmountTerm => ({
  sign: 1,
  low: quantity,
  high: quantity,
  unit,
  qualifier: null,
  size: null,
  pack: null,
})

/**
 * A volume in the cups and spoons of a region, two measures at most.
 * @param mL above 0
 * @returns null under 1/16 tsp and over 8 cups
 */
export function volumeMeasure(mL: number, region: MeasureRegion): VolumeMeasure | null {
  const size = (unit: SpoonUnit): number => VOLUME_UNITS[unit]?.mL[region] ?? 1
  if (mL < size('tsp') * LEAST_TEASPOON || mL > size('cup') * MOST_CUPS) return null
  let best: readonly Piece[] = []
  let bestScore = Number.POSITIVE_INFINITY
  let errorFraction = 0
  for (const pieces of WAYS) {
    const measured = pieces.reduce((sum, [quantity, unit]) => sum + quantity * size(unit), 0)
    const error = measured / mL - 1
    const [first] = pieces
    const isMany = first !== undefined && first[1] === 'tbsp' && first[0] > 4
    const score = Math.abs(error) + (pieces.length - 1) * TROUBLE_OF_TWO + (isMany ? TROUBLE_OF_MANY : 0)
    if (score < bestScore - 1e-9) {
      best = pieces
      bestScore = score
      errorFraction = error
    }
  }
  return { amount: { terms: best.map(term), isApproximate: false }, errorFraction }
}

/**
 * A mass in the cups and spoons of the kitchen's region, rounded to measures that exist.
 * @param massG grams, above 0
 * @param food its usual density is used
 * @returns null where the food is not measured by volume, or the mass is out of the range of spoons and cups
 */
export function kitchenMeasure(massG: number, food: Ingredient, kitchen: Kitchen): KitchenMeasure | null {
  const gPerMl = food.volumes[0]?.gPerMl
  if (gPerMl === undefined || massG <= 0) return null
  const found = volumeMeasure(massG / gPerMl, kitchen.region)
  return found === null ? null : { ...found, text: formatAmount(found.amount) }
}
