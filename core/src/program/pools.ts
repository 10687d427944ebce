import { BATCH_FIELDS, type BatchField, batchPerGram } from '../composition'
import type { Composition, Ingredient } from '../model'

/**
 * What moves apart when food is cooked: water leaves as vapour, soluble matter and salt with juice, fat as drip, starch
 * when dough is washed. `inert` is food of unknown composition: it has mass and nothing else.
 */
export const POOLS = [
  'water',
  'alcohol',
  'fat',
  'salt',
  'soluble',
  'protein',
  'starch',
  'solid',
  'inert',
] as const
export type PoolName = (typeof POOLS)[number]
export const POOL_COUNT = POOLS.length
export const WATER = 0
export const ALCOHOL = 1
export const FAT = 2
export const SALT = 3
export const SOLUBLE = 4
export const PROTEIN = 5
export const STARCH = 6
export const SOLID = 7
export const INERT = 8

/** NaCl of a gram of sodium. @source Regulation (EU) 1169/2011: salt = sodium x 2.5 */
const SALT_PER_SODIUM = 2.5

/** A quantity of a food that goes with one of its pools: so much per gram of the pool. */
export interface Carried {
  /** Index of the batch field or nutrient. */
  readonly at: number
  readonly pool: number
  readonly perGram: number
}

/** One gram of a food by pools; they sum to 1. Unknown foods, and own foods without water stated, are inert. */
export function poolsPerGram(food: Ingredient | null): Float64Array {
  const pools = new Float64Array(POOL_COUNT)
  if (food === null || food.per100g.waterG === null) {
    pools[INERT] = 1
    return pools
  }
  const c = food.per100g
  const per = (value: number | null): number => (value ?? 0) / 100
  let left = Math.max(0, 1 - per(c.waterG) - per(c.alcoholG))
  const take = (pool: number, grams: number): void => {
    pools[pool] = Math.min(grams, left)
    left -= pools[pool] ?? 0
  }
  pools[ALCOHOL] = per(c.alcoholG)
  pools[WATER] = 1 - left - per(c.alcoholG)
  take(FAT, per(c.fatG))
  take(SALT, (per(c.sodiumMg) / 1000) * SALT_PER_SODIUM)
  take(SOLUBLE, per(c.sugarsG) + per(c.organicAcidG))
  take(PROTEIN, per(c.proteinG))
  take(STARCH, per(c.starchG))
  pools[SOLID] = left
  return pools
}

/** The pool that makes most of a food's body: what it binds and holds goes with it. */
export function matterOf(pools: Float64Array): number {
  let best = SOLID
  for (const pool of [PROTEIN, STARCH, FAT, SOLUBLE, SALT, INERT])
    if ((pools[pool] ?? 0) > (pools[best] ?? 0)) best = pool
  return (pools[best] ?? 0) > 0 ? best : WATER
}

const FIELD_POOL: Partial<Record<BatchField, number>> = {
  fatG: FAT,
  solidFatG: FAT,
  sugarsG: SOLUBLE,
  fibreG: SOLID,
  gumG: SOLID,
  sodiumMg: SALT,
  organicAcidG: SOLUBLE,
  alcoholG: ALCOHOL,
  glutenProteinG: PROTEIN,
  soyProteinG: PROTEIN,
  pulseProteinG: PROTEIN,
  nutSeedProteinG: PROTEIN,
  cerealProteinG: PROTEIN,
  fungalProteinG: PROTEIN,
  animalProteinG: PROTEIN,
  otherProteinG: PROTEIN,
  developedGlutenG: PROTEIN,
  wheatStarchG: STARCH,
  maizeStarchG: STARCH,
  potatoStarchG: STARCH,
  tapiocaStarchG: STARCH,
  riceStarchG: STARCH,
  arrowrootStarchG: STARCH,
  oatStarchG: STARCH,
  cerealStarchG: STARCH,
  pulseStarchG: STARCH,
  pulseFlourStarchG: STARCH,
  nutStarchG: STARCH,
  rootStarchG: STARCH,
  glutamateMg: SOLUBLE,
  impMg: SOLUBLE,
  gmpMg: SOLUBLE,
  ampMg: SOLUBLE,
}
/** Fields that are summed from pools and state, not from the food. */
const SUMMED: ReadonlySet<BatchField> = new Set([
  'massG',
  'waterG',
  'dryMatterG',
  'unknownG',
  'developedGlutenG',
  'binderColdEE',
  'binderHotEE',
  'holdColdG',
  'holdHotG',
  'releasedHotG',
  'uptakeHotG',
])

const carried = (at: number, pools: Float64Array, pool: number, amount: number): Carried => {
  const carrier = (pools[pool] ?? 0) > 0 ? pool : matterOf(pools)
  return { at, pool: carrier, perGram: amount / (pools[carrier] ?? 1) }
}

/** The fields of a batch that a food brings, each with the pool that carries it. */
export function carriedFields(food: Ingredient, pools: Float64Array): Carried[] {
  const found: Carried[] = []
  const protein = pools[PROTEIN] ?? 0
  for (const [field, value] of batchPerGram(food)) {
    if (SUMMED.has(field)) continue
    const at = BATCH_FIELDS.indexOf(field)
    if (field.endsWith('SolidsG') || field === 'texturisedG') {
      // Dry particle solids are protein and the rest: each leaves with its own pool.
      const ofProtein = Math.min(protein, value)
      if (ofProtein > 0) found.push(carried(at, pools, PROTEIN, ofProtein))
      if (value > ofProtein) found.push(carried(at, pools, SOLID, value - ofProtein))
    } else found.push(carried(at, pools, FIELD_POOL[field] ?? matterOf(pools), value))
  }
  return found
}

/** Nutrients that a food's pools carry, in the order in which they are summed. */
export const CARRIED_NUTRIENTS = [
  'proteinG',
  'fatG',
  'saturatedFatG',
  'carbohydrateG',
  'sugarsG',
  'fibreG',
  'sodiumMg',
  'potassiumMg',
  'calciumMg',
  'ironMg',
  'alcoholG',
  'organicAcidG',
] as const satisfies readonly (keyof Composition)[]
export type CarriedNutrient = (typeof CARRIED_NUTRIENTS)[number]

const NUTRIENT_POOL: Readonly<Record<CarriedNutrient, number>> = {
  proteinG: PROTEIN,
  fatG: FAT,
  saturatedFatG: FAT,
  carbohydrateG: STARCH,
  sugarsG: SOLUBLE,
  fibreG: SOLID,
  sodiumMg: SALT,
  potassiumMg: SOLUBLE,
  calciumMg: SOLID,
  ironMg: SOLID,
  alcoholG: ALCOHOL,
  organicAcidG: SOLUBLE,
}

/**
 * The nutrients of a food, each with the pool that carries it away when it is drained, pressed or trimmed.
 * @source retention by what leaves with water, salt and fat: process 1.6, 1.8; practice
 */
export function carriedNutrients(food: Ingredient, pools: Float64Array): Carried[] {
  const found: Carried[] = []
  CARRIED_NUTRIENTS.forEach((nutrient, at) => {
    const value = (food.per100g[nutrient] ?? 0) / 100
    if (value === 0) return
    if (nutrient !== 'carbohydrateG') {
      found.push(carried(at, pools, NUTRIENT_POOL[nutrient], value))
      return
    }
    const sugars = Math.min((food.per100g.sugarsG ?? 0) / 100, value)
    const starch = Math.min((food.per100g.starchG ?? 0) / 100, value - sugars)
    if (sugars > 0) found.push(carried(at, pools, SOLUBLE, sugars))
    if (starch > 0) found.push(carried(at, pools, STARCH, starch))
    if (value - sugars - starch > 1e-12) found.push(carried(at, pools, SOLID, value - sugars - starch))
  })
  return found
}
