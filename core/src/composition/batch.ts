import type { Ingredient, ProteinClass, StarchClass } from '../model'

/**
 * What a mass of food is made of: every field is a sum over ingredients, so batches add and scale.
 * Grams unless the name says otherwise. Nothing unknown is added as 0 silently: `unknownG` counts the mass of lines
 * whose composition lacks a value that texture needs.
 */
export const BATCH_FIELDS = [
  'massG',
  'waterG',
  'fatG',
  'solidFatG',
  'sugarsG',
  'fibreG',
  'gumG',
  'sodiumMg',
  'organicAcidG',
  'alcoholG',
  'dryMatterG',
  'unknownG',
  // protein by class
  'glutenProteinG',
  'soyProteinG',
  'pulseProteinG',
  'nutSeedProteinG',
  'cerealProteinG',
  'fungalProteinG',
  'animalProteinG',
  'otherProteinG',
  /** Gluten protein times how far it is developed as bought. */
  'developedGlutenG',
  /** Dry matter of texturised protein. */
  'texturisedG',
  // starch by class
  'wheatStarchG',
  'maizeStarchG',
  'potatoStarchG',
  'tapiocaStarchG',
  'riceStarchG',
  'arrowrootStarchG',
  'oatStarchG',
  'cerealStarchG',
  'pulseStarchG',
  'pulseFlourStarchG',
  'nutStarchG',
  'rootStarchG',
  // dry solids without fat, sugar and starch, by class: the particles of a sauce
  'nutSolidsG',
  'pulseSolidsG',
  'soySolidsG',
  'milkSolidsG',
  'vegetableSolidsG',
  'fungalSolidsG',
  'cerealSolidsG',
  'otherSolidsG',
  // water that foods hold or give up
  'holdColdG',
  'holdHotG',
  'releasedHotG',
  'uptakeHotG',
  // hen's-egg equivalents
  'binderColdEE',
  'binderHotEE',
  // umami, mg
  'glutamateMg',
  'impMg',
  'gmpMg',
  'ampMg',
] as const
export type BatchField = (typeof BATCH_FIELDS)[number]
export type Batch = Record<BatchField, number>

/** Holding is capped so that gums, which thicken rather than soak up, do not dominate. Practice. */
const HOLDING_CAP_G_PER_G = 10
/** A food with less own water than this takes water up; a wetter one only gives it. Practice. */
const DRY_FOOD_WATER = 0.3
/** Gluten binds half as much until it is kneaded. Practice. */
const UNKNEADED_BINDER_SHARE = 0.5

const PROTEIN_FIELD: Record<ProteinClass, BatchField> = {
  gluten: 'glutenProteinG',
  soy: 'soyProteinG',
  pulse: 'pulseProteinG',
  'nut-seed': 'nutSeedProteinG',
  cereal: 'cerealProteinG',
  fungal: 'fungalProteinG',
  animal: 'animalProteinG',
  other: 'otherProteinG',
}
const STARCH_FIELD: Record<StarchClass, BatchField> = {
  wheat: 'wheatStarchG',
  maize: 'maizeStarchG',
  potato: 'potatoStarchG',
  tapioca: 'tapiocaStarchG',
  rice: 'riceStarchG',
  arrowroot: 'arrowrootStarchG',
  oat: 'oatStarchG',
  cereal: 'cerealStarchG',
  pulse: 'pulseStarchG',
  'pulse-flour': 'pulseFlourStarchG',
  nut: 'nutStarchG',
  root: 'rootStarchG',
}
const SOLIDS_FIELD: Partial<Record<Ingredient['foodClass'], BatchField>> = {
  nut: 'nutSolidsG',
  seed: 'nutSolidsG',
  pulse: 'pulseSolidsG',
  soy: 'soySolidsG',
  'plant-milk': 'milkSolidsG',
  dairy: 'milkSolidsG',
  vegetable: 'vegetableSolidsG',
  fruit: 'vegetableSolidsG',
  mushroom: 'fungalSolidsG',
  grain: 'cerealSolidsG',
  flour: 'cerealSolidsG',
  gluten: 'cerealSolidsG',
}

const EMPTY: Readonly<Batch> = Object.fromEntries(BATCH_FIELDS.map((field) => [field, 0])) as Batch

/** A batch of values in the order of BATCH_FIELDS: written out, so that every batch has one layout. */
export const batchFrom = (values: Float64Array): Batch => ({
  massG: values[0] ?? 0,
  waterG: values[1] ?? 0,
  fatG: values[2] ?? 0,
  solidFatG: values[3] ?? 0,
  sugarsG: values[4] ?? 0,
  fibreG: values[5] ?? 0,
  gumG: values[6] ?? 0,
  sodiumMg: values[7] ?? 0,
  organicAcidG: values[8] ?? 0,
  alcoholG: values[9] ?? 0,
  dryMatterG: values[10] ?? 0,
  unknownG: values[11] ?? 0,
  glutenProteinG: values[12] ?? 0,
  soyProteinG: values[13] ?? 0,
  pulseProteinG: values[14] ?? 0,
  nutSeedProteinG: values[15] ?? 0,
  cerealProteinG: values[16] ?? 0,
  fungalProteinG: values[17] ?? 0,
  animalProteinG: values[18] ?? 0,
  otherProteinG: values[19] ?? 0,
  developedGlutenG: values[20] ?? 0,
  texturisedG: values[21] ?? 0,
  wheatStarchG: values[22] ?? 0,
  maizeStarchG: values[23] ?? 0,
  potatoStarchG: values[24] ?? 0,
  tapiocaStarchG: values[25] ?? 0,
  riceStarchG: values[26] ?? 0,
  arrowrootStarchG: values[27] ?? 0,
  oatStarchG: values[28] ?? 0,
  cerealStarchG: values[29] ?? 0,
  pulseStarchG: values[30] ?? 0,
  pulseFlourStarchG: values[31] ?? 0,
  nutStarchG: values[32] ?? 0,
  rootStarchG: values[33] ?? 0,
  nutSolidsG: values[34] ?? 0,
  pulseSolidsG: values[35] ?? 0,
  soySolidsG: values[36] ?? 0,
  milkSolidsG: values[37] ?? 0,
  vegetableSolidsG: values[38] ?? 0,
  fungalSolidsG: values[39] ?? 0,
  cerealSolidsG: values[40] ?? 0,
  otherSolidsG: values[41] ?? 0,
  holdColdG: values[42] ?? 0,
  holdHotG: values[43] ?? 0,
  releasedHotG: values[44] ?? 0,
  uptakeHotG: values[45] ?? 0,
  binderColdEE: values[46] ?? 0,
  binderHotEE: values[47] ?? 0,
  glutamateMg: values[48] ?? 0,
  impMg: values[49] ?? 0,
  gmpMg: values[50] ?? 0,
  ampMg: values[51] ?? 0,
})

export const emptyBatch = (): Batch => ({ ...EMPTY })

function fillWater(batch: Batch, { holding }: Ingredient, waterG: number): void {
  const cold = Math.min(holding?.coldGPerG ?? waterG, HOLDING_CAP_G_PER_G)
  const hot = Math.min(holding?.hotGPerG ?? waterG, HOLDING_CAP_G_PER_G)
  batch.holdColdG = cold
  batch.holdHotG = hot
  batch.releasedHotG = Math.max(0, waterG - hot)
  batch.uptakeHotG = waterG < DRY_FOOD_WATER ? Math.max(0, hot - waterG) : 0
}

/** One gram of an ingredient as a batch. */
function gramOf(food: Ingredient): Batch {
  const batch = emptyBatch()
  const per = (value: number | null): number => (value ?? 0) / 100
  const c = food.per100g
  const protein = per(c.proteinG)
  const starch = per(c.starchG)
  batch.massG = 1
  batch.waterG = per(c.waterG)
  batch.fatG = per(c.fatG)
  batch.solidFatG = food.isSolidFat ? batch.fatG : 0
  batch.sugarsG = per(c.sugarsG)
  batch.fibreG = per(c.fibreG)
  batch.gumG = food.isGum ? batch.fibreG : 0
  batch.sodiumMg = per(c.sodiumMg)
  batch.organicAcidG = per(c.organicAcidG)
  batch.alcoholG = per(c.alcoholG)
  batch.dryMatterG = 1 - batch.waterG - batch.alcoholG
  batch.unknownG = c.waterG === null || c.proteinG === null || c.fatG === null ? 1 : 0
  batch[PROTEIN_FIELD[food.proteinClass]] = protein
  if (food.proteinClass === 'gluten') batch.developedGlutenG = protein * food.glutenDevelopment
  if (food.isTexturised) batch.texturisedG = batch.dryMatterG
  if (food.starchClass !== null) batch[STARCH_FIELD[food.starchClass]] = starch
  const salt = (batch.sodiumMg / 1000) * 2.5
  const solids = Math.max(
    0,
    batch.dryMatterG - batch.fatG - batch.sugarsG - starch - salt - batch.organicAcidG,
  )
  batch[SOLIDS_FIELD[food.foodClass] ?? 'otherSolidsG'] += solids
  fillWater(batch, food, batch.waterG)
  const kneading = food.proteinClass === 'gluten' ? UNKNEADED_BINDER_SHARE : 1
  batch.binderColdEE = (food.binder?.coldPerG ?? 0) * kneading
  batch.binderHotEE = (food.binder?.hotPerG ?? 0) * kneading
  batch.glutamateMg = per(food.umami?.glutamateMg ?? 0)
  batch.impMg = per(food.umami?.impMg ?? 0)
  batch.gmpMg = per(food.umami?.gmpMg ?? 0)
  batch.ampMg = per(food.umami?.ampMg ?? 0)
  return batch
}

/** A per-gram batch as the fields it has, so that adding it touches no empty ones. */
export type PerGram = readonly (readonly [field: BatchField, perGram: number])[]

const grams = new WeakMap<Ingredient, PerGram>()

/**
 * One gram of an ingredient as a batch, without its empty fields; every value is per gram. Kept for each ingredient object.
 * @source constituents as in docs/guide/model.md; caps and classes: practice
 */
export function batchPerGram(food: Ingredient): PerGram {
  const known = grams.get(food)
  if (known !== undefined) return known
  const whole = gramOf(food)
  const made = BATCH_FIELDS.flatMap((field) => (whole[field] === 0 ? [] : [[field, whole[field]] as const]))
  grams.set(food, made)
  return made
}

/** Adds `massG` grams of a per-gram batch into `target`, in place. */
export function addInto(target: Batch, perGram: PerGram, massG: number): void {
  for (const [field, value] of perGram) target[field] += value * massG
}

/**
 * A batch after water has left it as vapour; nothing else leaves with it.
 * @param evaporatedG g, 0 up to the batch's water; more is an error of the caller and throws
 */
export function evaporate(batch: Batch, evaporatedG: number): Batch {
  if (evaporatedG < 0 || evaporatedG > batch.waterG + 1e-9) {
    throw new RangeError(`evaporate: ${evaporatedG} g of ${batch.waterG} g water`)
  }
  return { ...batch, massG: batch.massG - evaporatedG, waterG: Math.max(0, batch.waterG - evaporatedG) }
}
