import type { Ingredient } from './ingredient'
import type { Original } from './original'

export interface Allergen {
  readonly id: string
  readonly name: string
  /** The group that a law or a person names: "tree-nuts", "gluten", "soy"... */
  readonly group: string
  readonly isEuListed: boolean
  readonly isUsListed: boolean
}

/** How a food becomes a wetter state of itself: dry beans to cooked. */
export interface Conversion {
  readonly fromId: string
  readonly toId: string
  /** Mass out per mass in, with the range of about 90 % of ordinary kitchens. */
  readonly factor: number
  readonly low: number
  readonly high: number
  readonly soakMin: number
  readonly cookMin: number
  readonly how: string
  readonly source: string
}

/** Everything `assess` looks up: foods, originals, allergens. Own ingredients come first in `ingredients`. */
export interface Library {
  readonly ingredients: ReadonlyMap<string, Ingredient>
  readonly originals: ReadonlyMap<string, Original>
  readonly allergens: ReadonlyMap<string, Allergen>
  readonly conversions: readonly Conversion[]
}
