import type { Amount, Ingredient, Kitchen, OpenAmount } from '../model'
import type { FoodChoice, FoodIndex } from './findFood'

export interface ReadFinding {
  readonly rule: string
  readonly severity: 'info' | 'caution'
  readonly message: string
  readonly remedy: string
}

/** A recipe line as understood. `text` is what was written, to the letter. */
export interface ReadLine {
  readonly text: string
  readonly amount: Amount | null
  readonly open: OpenAmount | null
  readonly food: string
  readonly prep: string
  readonly ingredientId: string | null
  readonly choices: readonly FoodChoice[]
  readonly isOptional: boolean
  readonly findings: readonly ReadFinding[]
}

export interface LineReader {
  readonly index: FoodIndex
  readonly ingredients: ReadonlyMap<string, Ingredient>
  readonly kitchen: Kitchen
}
