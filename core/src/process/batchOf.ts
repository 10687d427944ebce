import { type Batch, BATCH_FIELDS } from '../composition'
import {
  CARRIED_NUTRIENTS,
  FAT,
  type FoodEntry,
  INERT,
  type Program,
  PROTEIN,
  SALT,
  SOLID,
  SOLUBLE,
  STARCH,
  WATER,
} from '../program'
import {
  DEVELOPMENT,
  EVAPORATED_G,
  HYDRATED,
  LOOSE,
  PROTEIN_SET,
  rowMass,
  STRIDE,
  SWOLLEN,
} from './workspace'

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

/** Share of a binder's hold that heat and water have switched on, 0 to 1. */
function active(entry: FoodEntry, rows: Float64Array, from: number): number {
  if (entry.agent !== null) return rows[from + HYDRATED] ?? 0
  if (entry.matter === STARCH) return rows[from + SWOLLEN] ?? 0
  if (entry.isGluten || entry.traits.has('pulse-flour')) return rows[from + PROTEIN_SET] ?? 0
  return 1
}
/** A binder that was never switched on holds half of what it holds raw. */
const RAW_SHARE = 0.5

function addRow(
  sums: Float64Array,
  program: Program,
  rows: Float64Array,
  row: number,
  vapourBack: boolean,
): void {
  const of = program.rows[row]
  if (of === undefined) return
  const { entry } = of.source
  const from = row * STRIDE
  const pool = (index: number): number => (rows[from + index] ?? 0) + (rows[from + LOOSE + index] ?? 0)
  const add = (field: number, amount: number): void => {
    sums[field] = (sums[field] ?? 0) + amount
  }
  const vapour = vapourBack ? (rows[from + EVAPORATED_G] ?? 0) : 0
  const water = pool(WATER) + vapour
  add(MASS, rowMass(rows, row) + vapour)
  add(WATER_AT, water)
  add(UNKNOWN, pool(INERT))
  add(DRY, pool(FAT) + pool(SALT) + pool(SOLUBLE) + pool(PROTEIN) + pool(STARCH) + pool(SOLID))
  for (const { at: field, pool: carrier, perGram } of entry.fields) {
    const washed = of.isWashed && field === CEREAL ? GLUTEN : field
    add(washed, perGram * pool(carrier))
  }
  const matter = pool(entry.matter)
  const developed = Math.max(rows[from + DEVELOPMENT] ?? 0, entry.glutenDevelopment)
  if (entry.isGluten || of.isWashed) add(DEVELOPED, pool(PROTEIN) * developed)
  const worked = entry.isGluten ? 1 + Math.min(1, rows[from + DEVELOPMENT] ?? 0) : 1
  if (of.isWashed) {
    add(COLD, WASHED_BINDS * pool(PROTEIN))
    add(HOT, WASHED_BINDS * pool(PROTEIN))
  } else if (entry.binderHot > 0 || entry.binderCold > 0) {
    const on = active(entry, rows, from)
    add(COLD, entry.binderCold * matter * worked)
    add(HOT, (entry.binderHot * on + RAW_SHARE * entry.binderCold * (1 - on)) * matter * worked)
  }
  add(HOLD_COLD, entry.holdCold * matter)
  add(HOLD_HOT, entry.holdHot * matter)
  const capacity = entry.isThirsty ? entry.holdHot : Math.min(entry.holdHot, entry.ownWater)
  const held = (entry.food?.holding === null ? entry.ownWater : capacity) * matter
  if (water > held) add(RELEASED, water - held)
  else if (entry.isThirsty) add(UPTAKE, held - water)
}

/** Rows as one batch. @param vapourBack with the water that left as vapour put back: the mix as it would weigh uncooked */
export function batchOf(
  program: Program,
  rows: Float64Array,
  which: ArrayLike<number>,
  vapourBack = false,
): Batch {
  const sums = new Float64Array(BATCH_FIELDS.length)
  for (let index = 0; index < which.length; index += 1)
    addRow(sums, program, rows, which[index] ?? 0, vapourBack)
  const batch = {} as Batch
  for (let field = 0; field < BATCH_FIELDS.length; field += 1) {
    const name = BATCH_FIELDS[field]
    if (name !== undefined) batch[name] = sums[field] ?? 0
  }
  return batch
}

/** Nutrients of some rows, in the order of CARRIED_NUTRIENTS, g and mg. */
export function nutrientsOf(program: Program, rows: Float64Array, which: ArrayLike<number>): Float64Array {
  const sums = new Float64Array(CARRIED_NUTRIENTS.length)
  for (let index = 0; index < which.length; index += 1) {
    const row = which[index] ?? 0
    const entry = program.rows[row]?.source.entry
    if (entry === undefined) continue
    for (const { at: nutrient, pool, perGram } of entry.nutrients)
      sums[nutrient] =
        (sums[nutrient] ?? 0) +
        perGram * ((rows[row * STRIDE + pool] ?? 0) + (rows[row * STRIDE + LOOSE + pool] ?? 0))
  }
  return sums
}
