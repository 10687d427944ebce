import { type Dish, type Ingredient, type Kitchen, type Trial, upgradeParts } from '@frijol/core/model'
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
    // Steps got their settings, and parts their other ways. Kept changes name places of the first shape: they go.
    this.version(2)
      .stores({})
      .upgrade(async (transaction) => {
        await transaction
          .table<{ dish: { parts: unknown }; past: unknown[]; future: unknown[] }>('dishes')
          .toCollection()
          .modify((row) => {
            row.dish.parts = upgradeParts(row.dish.parts)
            row.past = []
            row.future = []
          })
        await transaction
          .table<{ parts: unknown }>('trials')
          .toCollection()
          .modify((trial) => {
            trial.parts = upgradeParts(trial.parts)
          })
      })
  }
}

export const database = new FrijolDatabase()
