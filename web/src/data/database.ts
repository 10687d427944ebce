import type { Dish, Ingredient, Kitchen, Trial } from '@frijol/core/model'
import Dexie, { type EntityTable } from 'dexie'
import type { Patch } from 'immer'

/** One undoable change, as it is kept beside its dish. */
export interface ChangeRecord {
  readonly label: string
  readonly at: number
  readonly patches: Patch[]
  readonly inverse: Patch[]
}

export interface DishRow {
  id: string
  dish: Dish
  past: ChangeRecord[]
  future: ChangeRecord[]
  /** The browser tab that wrote it, so that another tab can tell. */
  savedBy: string
  savedAt: number
}

interface KitchenRow {
  id: 'kitchen'
  kitchen: Kitchen
}

export class FrijolDatabase extends Dexie {
  dishes!: EntityTable<DishRow, 'id'>
  trials!: EntityTable<Trial, 'id'>
  ingredients!: EntityTable<Ingredient, 'id'>
  kitchen!: EntityTable<KitchenRow, 'id'>

  constructor(name = 'frijol') {
    super(name)
    this.version(1).stores({ dishes: 'id, savedAt', trials: 'id, dishId', ingredients: 'id', kitchen: 'id' })
  }
}

export const database = new FrijolDatabase()
