import { batchPerGram, type Batch } from '../composition'
import type { Agent, Facts, FoodFact, Ingredient, ParticleFact, StarchFact } from '../model'
import {
  type Carried,
  carriedFields,
  carriedNutrients,
  FAT,
  matterOf,
  poolsPerGram,
  SALT,
  SOLUBLE,
  WATER,
} from './pools'

/** From this water content on a food is wet: it cooks in its own water instead of taking much up. Practice. */
const WET_PCT = 50
/** Crystals that dissolve: salt, sugar, acid. Practice. */
const SOLUTE_SHARE = 0.8
/** A food with less own water than this takes water up; a wetter one only gives it. Practice. */
const DRY_FOOD_WATER = 0.3
/** Acid equivalents of a gram of the usual acids, and of a gram of soda. @source citric, lactic and acetic acid 11 to 17; NaHCO3 11.9 */
const MEQ_PER_G_ACID = 14
const MEQ_PER_G_SODA = 11.9
const NO_TRAITS: ReadonlySet<string> = new Set()
const NO_PARTICLES: ParticleFact = {
  pieceMm: 10,
  groundUm: 300,
  blendedUm: 60,
  hardness: 0.5,
  volumeMlPerG: 1.5,
}
/** Starch of a food that names none. */
const USUAL_STARCH: StarchFact = {
  lowC: 58,
  highC: 72,
  swellingMlPerG: 8,
  isAmylose: false,
  thinsC: null,
  thinsMin: null,
  source: 'practice',
}

/** What a food's pools carry, as columns: index of the field or nutrient, its pool, and how much a gram of the pool brings. */
export interface CarriedTable {
  readonly at: Int32Array
  readonly pool: Int32Array
  readonly perGram: Float64Array
}
const tableOf = (all: readonly Carried[]): CarriedTable => ({
  at: Int32Array.from(all, ({ at }) => at),
  pool: Int32Array.from(all, ({ pool }) => pool),
  perGram: Float64Array.from(all, ({ perGram }) => perGram),
})

/** All that the engine knows of a food, as numbers and tables. */
export interface FoodEntry {
  readonly food: Ingredient | null
  readonly group: string
  readonly traits: ReadonlySet<string>
  readonly fact: FoodFact | null
  readonly agent: Agent | null
  readonly starch: StarchFact
  readonly particle: ParticleFact
  readonly isLiquid: boolean
  /** Takes water up when it is soaked or boiled. */
  readonly isDry: boolean
  /** Dissolves in what surrounds it. */
  readonly isSolute: boolean
  /** Comes cooked: its starch is swollen, its protein set. */
  readonly isCooked: boolean
  /** Its gluten can be developed. */
  readonly hasGluten: boolean
  readonly isGluten: boolean
  readonly glutenDevelopment: number
  /** Grams of each pool in a gram; they sum to 1. */
  readonly pools: Float64Array
  readonly matter: number
  readonly fields: CarriedTable
  readonly nutrients: CarriedTable
  /** Per gram of its matter pool: water held cold and hot, binder strengths, own water. */
  readonly holdCold: number
  readonly holdHot: number
  readonly binderCold: number
  readonly binderHot: number
  readonly ownWater: number
  /** Takes water up hot: its capacity is above what it brings. */
  readonly isThirsty: boolean
  /** Acid less alkali, meq per gram of its soluble pool (of its matter, where it has none). */
  readonly meqPerSoluble: number
  readonly meqPool: number
  /** Notes per gram of its soluble matter (of its matter, where it has none), in the order of AROMAS; null where it brings none. */
  readonly aromas: readonly number[] | null
  readonly aromaPool: number
  /** Solid share of its fat at each of FAT_TEMPS; null for oils. */
  readonly solidFat: readonly number[] | null
  /** How its protein makes a gel: it stands as one already, sets with heat, sets when it is curdled, or not at all. */
  readonly gels: 'stands' | 'heat' | 'curdling' | 'none'
  /** Its dry matter pulls apart in strands. */
  readonly isStrandy: boolean
  /** Its sheets stay chewy. */
  readonly isSheet: boolean
  readonly isFoamer: boolean
  /** Its sulphur notes leave with heat. */
  readonly isVolatile: boolean
}

const memo = new WeakMap<Facts, WeakMap<Ingredient, FoodEntry>>()
const unknownFoods = new WeakMap<Facts, FoodEntry>()

/** Group of a food: its own row of the facts table, else its class's. */
export const groupOf = (food: Ingredient, facts: Facts): string => {
  const own = facts.foods.get(food.id)?.group
  return own === undefined || own === '' ? (facts.classGroups.get(food.foodClass) ?? 'other') : own
}

type GramFields = Pick<Batch, 'holdColdG' | 'holdHotG' | 'binderColdEE' | 'binderHotEE'>
function gramFields(food: Ingredient): GramFields {
  const gram = Object.fromEntries(batchPerGram(food)) as Partial<Batch>
  return {
    holdColdG: gram.holdColdG ?? 0,
    holdHotG: gram.holdHotG ?? 0,
    binderColdEE: gram.binderColdEE ?? 0,
    binderHotEE: gram.binderHotEE ?? 0,
  }
}

function particleOf(food: Ingredient | null, fact: FoodFact | null, facts: Facts): ParticleFact {
  const usual = (food === null ? undefined : facts.particles.get(food.foodClass)) ?? NO_PARTICLES
  return fact?.pieceMm == null ? usual : { ...usual, pieceMm: fact.pieceMm }
}

function gelOf(traits: ReadonlySet<string>): FoodEntry['gels'] {
  if (traits.has('curd')) return 'stands'
  if (traits.has('sets') || traits.has('pulse-flour')) return 'heat'
  return traits.has('soy-milk') ? 'curdling' : 'none'
}

function entryOf(food: Ingredient | null, facts: Facts): FoodEntry {
  const pools = poolsPerGram(food)
  const matter = matterOf(pools)
  const body = pools[matter] ?? 1
  const fact = food === null ? null : (facts.foods.get(food.id) ?? null)
  const traits = fact?.traits ?? NO_TRAITS
  const group = food === null ? 'other' : groupOf(food, facts)
  const waterPct = 100 * (pools[WATER] ?? 0)
  const isLiquid = group === 'liquid'
  const isCooked = traits.has('cooked')
  const gram = food === null ? null : gramFields(food)
  const ownWater = pools[WATER] ?? 0
  const acid = ((food?.per100g.organicAcidG ?? 0) / 100) * MEQ_PER_G_ACID
  const soda = traits.has('alkali') ? MEQ_PER_G_SODA * (traits.has('baking-powder') ? 0.05 : 1) : 0
  const soluble = pools[SOLUBLE] ?? 0
  const meqPool = soluble > 0 ? SOLUBLE : matter
  const aromas = food === null ? undefined : facts.aromas.get(food.id)
  // What dissolves carries the notes; fat carries its own.
  const aromaPool = matter === FAT ? FAT : meqPool
  return {
    food,
    group,
    traits,
    fact,
    agent: food === null ? null : (facts.agents.get(food.id) ?? null),
    starch: facts.starches.get(food?.starchClass ?? 'cereal') ?? USUAL_STARCH,
    particle: particleOf(food, fact, facts),
    isLiquid,
    isDry:
      food !== null &&
      food.foodClass !== 'fat' &&
      (pools[SALT] ?? 0) < SOLUTE_SHARE &&
      !isLiquid &&
      waterPct < WET_PCT &&
      !isCooked,
    isSolute: (pools[SALT] ?? 0) + soluble > SOLUTE_SHARE,
    isCooked,
    hasGluten: food?.proteinClass === 'gluten' || food?.starchClass === 'wheat',
    isGluten: food?.proteinClass === 'gluten',
    glutenDevelopment: food?.glutenDevelopment ?? 0,
    pools,
    matter,
    fields: tableOf(food === null ? [] : carriedFields(food, pools)),
    nutrients: tableOf(food === null ? [] : carriedNutrients(food, pools)),
    holdCold: (gram?.holdColdG ?? 0) / body,
    holdHot: (gram?.holdHotG ?? 0) / body,
    binderCold: (gram?.binderColdEE ?? 0) / body,
    binderHot: (gram?.binderHotEE ?? 0) / body,
    ownWater: ownWater / body,
    isThirsty: ownWater < DRY_FOOD_WATER,
    meqPerSoluble: (acid - soda) / (pools[meqPool] ?? 1),
    meqPool,
    aromas: aromas?.map((dose) => dose / (pools[aromaPool] ?? 1)) ?? null,
    aromaPool,
    solidFat: food === null ? null : (facts.solidFats.get(food.id) ?? null),
    gels: gelOf(traits),
    isStrandy: traits.has('strand'),
    isSheet: traits.has('soy-sheet') || traits.has('chewy-sheet'),
    isFoamer: traits.has('foaming'),
    isVolatile: traits.has('black-salt'),
  }
}

/** The food as the engine sees it; kept for each ingredient object and facts table. */
export function foodEntry(food: Ingredient | null, facts: Facts): FoodEntry {
  if (food === null) {
    const known = unknownFoods.get(facts)
    if (known !== undefined) return known
    const made = entryOf(null, facts)
    unknownFoods.set(facts, made)
    return made
  }
  let of = memo.get(facts)
  if (of === undefined) {
    of = new WeakMap()
    memo.set(facts, of)
  }
  const known = of.get(food)
  if (known !== undefined) return known
  const made = entryOf(food, facts)
  of.set(food, made)
  return made
}
