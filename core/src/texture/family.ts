import type { AttributeId, FamilyId, RatioWindow } from '../model'
import type { InputId } from './inputs'
import { fall, peak, rise } from './responses'

/** A deciding ratio: an input of the state against a window. */
export interface RatioTable {
  readonly id: string
  readonly label: string
  readonly unit: string
  readonly input: InputId
  readonly window: RatioWindow
  /** The original's own viscosity or salt, where it states one, sets the window. */
  readonly followsOriginal?: 'viscosity' | 'salt'
  /** Told only where another input is above so much: a share of what is not there is no fault. */
  readonly onlyAbove?: readonly [input: InputId, least: number]
  /** What to do when it is below and above. */
  readonly raise: string
  readonly lower: string
  readonly source: string
}

/** One response to one input, 0 to 1. rise: 10 % at a, 90 % at b; fall: 90 % at a, 10 % at b; peak: half at a, 1 at b, half at c. */
export type Term = {
  readonly input: InputId
  readonly weight: number
  readonly source: string
} & (
  | { readonly shape: 'rise' | 'fall'; readonly points: readonly [number, number] }
  | { readonly shape: 'peak'; readonly points: readonly [number, number, number] }
)

/** How an attribute follows from inputs: ten times its terms, combined. */
export interface AttributeTable {
  readonly id: AttributeId
  readonly combine: 'product' | 'mean' | 'geomean'
  readonly terms: readonly Term[]
  /** Standard deviation of the model itself, in scale points. */
  readonly sd: number
}

/** How one family of foods is judged: a table. A new family is a new table and a line in `families.ts`. */
export interface FamilyTable {
  readonly id: FamilyId
  /** Cooked per raw mass where no step and no scale says otherwise. */
  readonly usualYield: { readonly fraction: number; readonly sd: number; readonly source: string }
  readonly ratios: readonly RatioTable[]
  readonly attributes: readonly AttributeTable[]
  /** It pours: its viscosity is told. */
  readonly isPoured: boolean
  /** Serving temperature where no original states one, C. */
  readonly servingC: number
  /** Slack of its mixes when they are right, g per 100 g. */
  readonly slackCentre: number
}

/** What this kitchen's tastings say of an attribute: a shift and a slope on the model's value, and its own scatter. */
export interface Calibration {
  readonly offset: number
  readonly slope: number
  readonly sd: number
}
export type Calibrations = ReadonlyMap<AttributeId, Calibration>

export const term = (
  input: InputId,
  shape: 'rise' | 'fall',
  a: number,
  b: number,
  weight: number,
  source: string,
): Term => ({ input, shape, points: [a, b], weight, source })
export const peaked = (
  input: InputId,
  low: number,
  best: number,
  high: number,
  weight: number,
  source: string,
): Term => ({ input, shape: 'peak', points: [low, best, high], weight, source })

/** A term's response, 0 to 1. */
export function response({ shape, points }: Term, value: number): number {
  switch (shape) {
    case 'rise':
      return rise(value, points[0], points[1])
    case 'fall':
      return fall(value, points[0], points[1])
    case 'peak':
      return peak(value, points[0], points[1], points[2])
  }
}

/** The value of an attribute from the values of its inputs, 0 to 10; a calibration shifts it. */
export function attributeValue(
  { combine, terms }: AttributeTable,
  valueOf: (input: InputId) => number,
  calibration: Calibration | null = null,
): number {
  let sum = combine === 'mean' ? 0 : 1
  let weights = 0
  for (const one of terms) {
    const value = response(one, valueOf(one.input))
    weights += one.weight
    if (combine === 'mean') sum += one.weight * value
    else if (combine === 'product') sum *= value
    else sum *= Math.max(value, 1e-9) ** one.weight
  }
  const combined = combine === 'mean' ? sum / weights : combine === 'geomean' ? sum ** (1 / weights) : sum
  const model = 10 * combined
  return calibration === null
    ? model
    : Math.min(10, Math.max(0, calibration.slope * model + calibration.offset))
}
