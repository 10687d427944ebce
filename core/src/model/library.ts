import type { Facts } from './facts'
import type { Ingredient } from './ingredient'
import type { Original } from './original'
import type { SwapRow } from './swap'

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

/** How an operation changes mass: water taken up, water dried off, or a part that leaves or clings. */
export type ProcessLaw = 'uptake' | 'drying' | 'parting'

/** A measured or usual factor of one food in one operation, as the library's yields table lists it. */
export interface YieldRow {
  readonly id: string
  readonly food: string
  readonly ingredientId: string | null
  readonly group: string
  /** An operation, with "-wrapped" behind it where the food is wrapped. */
  readonly operation: string
  /** Water of the food going in, g per 100 g. */
  readonly waterPct: number
  /** Water of what was soaked before it goes in, g per 100 g, where the factor still counts from the dry food. */
  readonly soakedPct: number | null
  /** Oil that the factor includes, g per 100 g of the product. */
  readonly oilPct: number
  readonly factor: number
  readonly low: number
  readonly high: number
  readonly minutes: number
  readonly tempC: number
  /** Water given with the food, where it limits what is taken up, g per g. */
  readonly liquidGPerG: number | null
  /** For liquids that boil down: how much, in what. */
  readonly pot: {
    readonly chargeG: number
    readonly areaDm2: number
    readonly lid: 'off' | 'ajar' | 'on'
    readonly bubbling: 'warm' | 'gentle' | 'rapid' | 'boil'
  } | null
}

/**
 * The constant of a law for an operation, and for a food or a group of foods where they are named.
 * uptake: g water per g dry solids at saturation; drying: 1/min at the operation's reference; parting: fraction kept.
 */
export interface RateConstant {
  readonly operation: string
  readonly law: ProcessLaw
  readonly group: string | null
  readonly ingredientId: string | null
  readonly value: number
  /** Standard deviation of its logarithm over kitchens. */
  readonly lnSd: number
  readonly rows: number
}

/** Everything `assess` looks up: foods, originals, allergens. Own ingredients come first in `ingredients`. */
export interface Library {
  readonly ingredients: ReadonlyMap<string, Ingredient>
  readonly originals: ReadonlyMap<string, Original>
  readonly allergens: ReadonlyMap<string, Allergen>
  readonly conversions: readonly Conversion[]
  /** Constants of the unit operations, fitted to the yields table. */
  readonly rates: readonly RateConstant[]
  readonly facts: Facts
  /** What can stand in for what. */
  readonly swaps: readonly SwapRow[]
}
