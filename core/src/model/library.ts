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

/** Everything `assess` looks up: foods, originals, allergens. Own ingredients come first in `ingredients`. */
export interface Library {
  readonly ingredients: ReadonlyMap<string, Ingredient>
  readonly originals: ReadonlyMap<string, Original>
  readonly allergens: ReadonlyMap<string, Allergen>
}
