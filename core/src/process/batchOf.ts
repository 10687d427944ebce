import { type Batch, BATCH_FIELDS, batchFrom } from '../composition'
import {
  ALCOHOL,
  CARRIED_NUTRIENTS,
  FAT,
  type FoodEntry,
  INERT,
  POOL_COUNT,
  type Program,
  PROTEIN,
  type Row,
  SOLID,
  SOLUBLE,
  STARCH,
  WATER,
} from '../program'
import { COARSE, DEVELOPMENT, EVAPORATED_G, HYDRATED, LOOSE, PROTEIN_SET, STRIDE, SWOLLEN } from './workspace'

const at = (field: keyof Batch): number => BATCH_FIELDS.indexOf(field)
const MASS = at('massG')
const WATER_AT = at('waterG')
const DRY = at('dryMatterG')
const UNKNOWN = at('unknownG')
const DEVELOPED = at('developedGlutenG')
const GLUTEN = at('glutenProteinG')
const CEREAL = at('cerealProteinG')
const COLD = at('binderColdEE')
const HOT = at('binderHotEE')
const HOLD_COLD = at('holdColdG')
const HOLD_HOT = at('holdHotG')
const RELEASED = at('releasedHotG')
const UPTAKE = at('uptakeHotG')
/** Gluten protein binds like this when it was washed from flour, eq per g. @source gluten powder 0.11 at 75 % protein; practice */
const WASHED_BINDS = 0.11 / 0.75
/**
 * A pulse that was ground raw binds by its fine share, eq per g of dry matter, cold and set.
 * @source chickpea flour 0.015 and 0.05 per g at a tenth of water; practice
 */
const MILLED_BINDS = { cold: 0.015 / 0.9, hot: 0.05 / 0.9 } as const
/** Water that it holds, g per g of its dry matter. @source mung beans, soaked and ground: 0.62 and 1.4 per g at 58 % of water; practice */
const MILLED_HOLDS = { cold: 0.62 / 0.42, hot: 1.4 / 0.42 } as const
/** A binder that was never switched on holds half of what it holds raw. */
const RAW_SHARE = 0.5

/** Share of a binder's hold that heat and water have switched on, 0 to 1. */
function active(entry: FoodEntry, rows: Float64Array, from: number): number {
  if (entry.agent !== null) return rows[from + HYDRATED] ?? 0
  if (entry.matter === STARCH) return rows[from + SWOLLEN] ?? 0
  if (entry.isGluten || entry.traits.has('pulse-flour')) return rows[from + PROTEIN_SET] ?? 0
  return 1
}

/** Scratch of one batch: filled, turned into a batch, and cleared for the next. */
const sums = new Float64Array(BATCH_FIELDS.length)
const pools = new Float64Array(POOL_COUNT)
function put(field: number, amount: number): void {
  sums[field] = (sums[field] ?? 0) + amount
}

/** Water held back hot, and what a food gives up or still takes, before and after its vapour left. */
const balance = { released: 0, uptake: 0, mixedReleased: 0, mixedUptake: 0 }
function addWater(entry: FoodEntry, matter: number, water: number, vapour: number): void {
  const capacity = entry.isThirsty ? entry.holdHot : Math.min(entry.holdHot, entry.ownWater)
  const held = (entry.food?.holding === null ? entry.ownWater : capacity) * matter
  if (water > held) balance.released += water - held
  else if (entry.isThirsty) balance.uptake += held - water
  const whole = water + vapour
  if (whole > held) balance.mixedReleased += whole - held
  else if (entry.isThirsty) balance.mixedUptake += held - whole
}

function addBinders(
  entry: FoodEntry,
  { isWashed, isMilled }: Row,
  rows: Float64Array,
  from: number,
  matter: number,
): void {
  const protein = pools[PROTEIN] ?? 0
  if (entry.isGluten || isWashed)
    put(DEVELOPED, protein * Math.max(rows[from + DEVELOPMENT] ?? 0, entry.glutenDevelopment))
  if (isWashed) {
    put(COLD, WASHED_BINDS * protein)
    put(HOT, WASHED_BINDS * protein)
  } else if (isMilled) {
    const dry = protein + (pools[STARCH] ?? 0) + (pools[SOLID] ?? 0) + (pools[SOLUBLE] ?? 0)
    const fine = dry * (1 - (rows[from + COARSE] ?? 0))
    const set = rows[from + PROTEIN_SET] ?? 0
    put(COLD, MILLED_BINDS.cold * fine)
    put(HOT, (MILLED_BINDS.hot * set + RAW_SHARE * MILLED_BINDS.cold * (1 - set)) * fine)
  } else if (entry.binderHot > 0 || entry.binderCold > 0) {
    const worked = entry.isGluten ? 1 + Math.min(1, rows[from + DEVELOPMENT] ?? 0) : 1
    const on = active(entry, rows, from)
    put(COLD, entry.binderCold * matter * worked)
    put(HOT, (entry.binderHot * on + RAW_SHARE * entry.binderCold * (1 - on)) * matter * worked)
  }
}

/** Adds a row; returns the vapour that has left it. */
function addRow(program: Program, rows: Float64Array, row: number): number {
  const of = program.rows[row]
  if (of === undefined) return 0
  const { entry } = of.source
  const from = row * STRIDE
  let massG = 0
  for (let pool = 0; pool < POOL_COUNT; pool += 1) {
    const grams = (rows[from + pool] ?? 0) + (rows[from + LOOSE + pool] ?? 0)
    pools[pool] = grams
    massG += grams
  }
  const water = pools[WATER] ?? 0
  const inert = pools[INERT] ?? 0
  put(MASS, massG)
  put(WATER_AT, water)
  put(UNKNOWN, inert)
  put(DRY, massG - water - inert - (pools[ALCOHOL] ?? 0))
  const { at: fields, pool: carriers, perGram } = entry.fields
  for (let index = 0; index < fields.length; index += 1) {
    const field = fields[index] ?? 0
    const washed = of.isWashed && field === CEREAL ? GLUTEN : field
    put(washed, (perGram[index] ?? 0) * (pools[carriers[index] ?? 0] ?? 0))
  }
  const matter = pools[entry.matter] ?? 0
  addBinders(entry, of, rows, from, matter)
  const vapour = rows[from + EVAPORATED_G] ?? 0
  const fine = of.isMilled ? 1 - (rows[from + COARSE] ?? 0) : 0
  const fineDry = fine * (massG - water - (pools[FAT] ?? 0))
  put(HOLD_COLD, entry.holdCold * matter * (1 - fine) + MILLED_HOLDS.cold * fineDry)
  put(HOLD_HOT, entry.holdHot * matter * (1 - fine) + MILLED_HOLDS.hot * fineDry)
  addWater(entry, matter * (1 - fine), water * (1 - fine), vapour * (1 - fine))
  return vapour
}

/** Some rows as one batch, and the same with the water put back that left as vapour: as the mix would weigh uncooked. */
export function batchesOf(
  program: Program,
  rows: Float64Array,
  which: ArrayLike<number>,
): { readonly cooked: Batch; readonly mixed: Batch } {
  sums.fill(0)
  balance.released = balance.uptake = balance.mixedReleased = balance.mixedUptake = 0
  let vapour = 0
  for (let index = 0; index < which.length; index += 1) vapour += addRow(program, rows, which[index] ?? 0)
  sums[RELEASED] = balance.released
  sums[UPTAKE] = balance.uptake
  const cooked = batchFrom(sums)
  put(MASS, vapour)
  put(WATER_AT, vapour)
  sums[RELEASED] = balance.mixedReleased
  sums[UPTAKE] = balance.mixedUptake
  return { cooked, mixed: batchFrom(sums) }
}

/** Nutrients of some rows, in the order of CARRIED_NUTRIENTS, g and mg. */
export function nutrientsOf(program: Program, rows: Float64Array, which: ArrayLike<number>): Float64Array {
  const totals = new Float64Array(CARRIED_NUTRIENTS.length)
  for (let index = 0; index < which.length; index += 1) {
    const row = which[index] ?? 0
    const table = program.rows[row]?.source.entry.nutrients
    if (table === undefined) continue
    for (let of = 0; of < table.at.length; of += 1) {
      const nutrient = table.at[of] ?? 0
      const cell = row * STRIDE + (table.pool[of] ?? 0)
      totals[nutrient] =
        (totals[nutrient] ?? 0) + (table.perGram[of] ?? 0) * ((rows[cell] ?? 0) + (rows[cell + LOOSE] ?? 0))
    }
  }
  return totals
}
