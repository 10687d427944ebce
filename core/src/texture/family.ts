import type { Batch } from '../composition'
import type { AttributeId, FamilyId, Original } from '../model'
import { waterBudget, type WaterBudget } from './water'

/** A part as texture sees it: never its ingredient names, only what it is made of. */
export interface PartState {
  readonly raw: Batch
  readonly cooked: Batch
  readonly water: WaterBudget
}

/** low and high bound what works, bestLow to bestHigh what works well. */
export interface Window {
  readonly low: number
  readonly bestLow: number
  readonly bestHigh: number
  readonly high: number
}

export interface RatioModel {
  readonly id: string
  readonly label: string
  readonly unit: string
  readonly window: (original: Original | null) => Window
  readonly value: (state: PartState) => number
  /** The sum in words, for "why?". */
  readonly equation: string
  readonly source: string
  /** What to do when it is below and above. */
  readonly raise: string
  readonly lower: string
}

export interface AttributeModel {
  readonly id: AttributeId
  /** Standard deviation of the model itself, in scale points. */
  readonly sd: number
  readonly value: (state: PartState) => number
  readonly equation: string
  readonly source: string
}

/** How one family of foods is judged. A new family is a new file and a line in `families.ts`. */
export interface FamilyModel {
  readonly id: FamilyId
  /** Cooked per raw mass where no step and no scale says otherwise. */
  readonly usualYield: { readonly fraction: number; readonly sd: number; readonly source: string }
  readonly ratios: readonly RatioModel[]
  readonly attributes: readonly AttributeModel[]
  readonly viscosityPaS: ((state: PartState) => number) | null
}

export const partState = (raw: Batch, cooked: Batch): PartState => ({
  raw,
  cooked,
  water: waterBudget(raw, Math.max(0, raw.waterG - cooked.waterG)),
})

/** A field's share of the cooked mass, %. */
export const cookedPct = (grams: number, { cooked }: PartState): number =>
  cooked.massG > 0 ? (100 * grams) / cooked.massG : 0

export const fixedWindow = (low: number, bestLow: number, bestHigh: number, high: number) => (): Window => ({
  low,
  bestLow,
  bestHigh,
  high,
})
