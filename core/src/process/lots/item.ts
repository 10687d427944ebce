import { type Batch, type BatchField, batchPerGram, emptyBatch } from '../../composition'
import type { Ingredient } from '../../model'
import { processKind, type ProcessKind } from './groups'

/**
 * What moves apart when food is cooked: water leaves as vapour, soluble matter and salt with juice, fat as drip.
 * `inertG` is food of unknown composition: it has mass and nothing else.
 */
export const POOLS = ['waterG', 'alcoholG', 'fatG', 'saltG', 'solubleG', 'solidG', 'inertG'] as const
export type Pool = (typeof POOLS)[number]

/** NaCl of a gram of sodium. @source Regulation (EU) 1169/2011: salt = sodium x 2.5 */
const SALT_PER_SODIUM = 2.5

/** Fields of a batch by the pool that carries them. What is not named here stays with the solids. */
const POOL_OF: Partial<Record<BatchField, Pool>> = {
  waterG: 'waterG',
  alcoholG: 'alcoholG',
  fatG: 'fatG',
  solidFatG: 'fatG',
  sodiumMg: 'saltG',
  sugarsG: 'solubleG',
  organicAcidG: 'solubleG',
  glutamateMg: 'solubleG',
  impMg: 'solubleG',
  gmpMg: 'solubleG',
  ampMg: 'solubleG',
  unknownG: 'inertG',
}
/** Foods whose composition is known for only a part still have a mass: their unknown share stays with the solids. */
const carrierOf = (field: BatchField): Pool => POOL_OF[field] ?? 'solidG'

type Pools = Readonly<Record<Pool, number>>
const UNKNOWN_FOOD: Pools = { waterG: 0, alcoholG: 0, fatG: 0, saltG: 0, solubleG: 0, solidG: 0, inertG: 1 }
const pools = new WeakMap<Ingredient, Pools>()

/** One gram of a food by pools; they sum to 1. */
export function poolsPerGram(food: Ingredient | null): Pools {
  if (food === null) return UNKNOWN_FOOD
  const known = pools.get(food)
  if (known !== undefined) return known
  const gram = Object.fromEntries(batchPerGram(food)) as Partial<Batch>
  const dry = Math.max(0, 1 - (gram.waterG ?? 0) - (gram.alcoholG ?? 0))
  const fatG = Math.min(gram.fatG ?? 0, dry)
  const saltG = Math.min(((gram.sodiumMg ?? 0) / 1000) * SALT_PER_SODIUM, dry - fatG)
  const solubleG = Math.min((gram.sugarsG ?? 0) + (gram.organicAcidG ?? 0), dry - fatG - saltG)
  const made: Pools = {
    waterG: 1 - dry - (gram.alcoholG ?? 0),
    alcoholG: gram.alcoholG ?? 0,
    fatG,
    saltG,
    solubleG,
    solidG: dry - fatG - saltG - solubleG,
    inertG: 0,
  }
  pools.set(food, made)
  return made
}

/** Where an item comes from: a line of this part or of another, or something that a step brought in. */
export interface Source {
  readonly id: string
  readonly name: string
  readonly food: Ingredient | null
  readonly kind: ProcessKind
}

const NO_KIND: ProcessKind = {
  group: 'other',
  isLiquid: false,
  isDry: false,
  starchG: 0,
  proteinG: 0,
  organicAcidG: 0,
  hasGluten: false,
}
export const sourceOf = (id: string, name: string, food: Ingredient | null): Source => ({
  id,
  name,
  food,
  kind: food === null ? NO_KIND : processKind(food),
})

/** Temperatures from which time is counted, C. */
export const HOT_C = [75, 80, 90, 95] as const

/** A food's share in a lot: what is left of it, and what it has been through. Owned and changed by one run. */
export interface Item extends Record<Pool, number> {
  readonly source: Source
  /** Grams as listed that this share comes from. */
  rawG: number
  evaporatedG: number
  /** Mass before it was first pressed: pressing again goes on from there. */
  pressedFromG: number
  /** How far its gluten is developed, 0 to 1. */
  development: number
  peakC: number
  /** Temperature of what it was first wetted with, C; NaN while dry. */
  wetC: number
  restMin: number
  /** Minutes at or above each of HOT_C. */
  readonly hotMin: number[]
}

const ROOM_C = 20
const COOKED_C = 98

/** An item without mass. Every item is made here, so that all have one layout and engines stay quick with them. */
const emptyItem = (source: Source): Item => ({
  source,
  rawG: 0,
  waterG: 0,
  alcoholG: 0,
  fatG: 0,
  saltG: 0,
  solubleG: 0,
  solidG: 0,
  inertG: 0,
  evaporatedG: 0,
  pressedFromG: 0,
  development: 0,
  peakC: ROOM_C,
  wetC: Number.NaN,
  restMin: 0,
  hotMin: [0, 0, 0, 0],
})

/** A fresh item of so many grams. */
export function itemOf(source: Source, massG: number): Item {
  const per = poolsPerGram(source.food)
  const item = emptyItem(source)
  item.rawG = massG
  for (const pool of POOLS) item[pool] = per[pool] * massG
  item.development = source.food?.glutenDevelopment ?? 0
  item.peakC = source.kind.group === 'cooked-pulse' ? COOKED_C : ROOM_C
  return item
}

/** A share of an item as a copy; the item itself stays as it is. */
export function portionOf(item: Item, share: number): Item {
  const copy = emptyItem(item.source)
  for (const pool of POOLS) copy[pool] = item[pool] * share
  copy.rawG = item.rawG * share
  copy.evaporatedG = item.evaporatedG * share
  copy.pressedFromG = item.pressedFromG * share
  copy.development = item.development
  copy.peakC = item.peakC
  copy.wetC = item.wetC
  copy.restMin = item.restMin
  item.hotMin.forEach((minutes, at) => {
    copy.hotMin[at] = minutes
  })
  return copy
}

export const massOf = (item: Item): number =>
  item.waterG + item.alcoholG + item.fatG + item.saltG + item.solubleG + item.solidG + item.inertG
/** Solids that hold water back while a food dries: all but fat and water. */
export const solidsOf = (item: Item): number => item.saltG + item.solubleG + item.solidG

/** Takes a share off an item, leaving the rest. */
export function splitOff(item: Item, share: number): Item {
  const taken = portionOf(item, share)
  for (const pool of POOLS) item[pool] -= taken[pool]
  item.rawG -= taken.rawG
  item.evaporatedG -= taken.evaporatedG
  item.pressedFromG -= taken.pressedFromG
  return taken
}

/** What is left of a pool, per what the raw food brought; a pool that it lacks goes with its solids. */
export function keptOf(item: Item, pool: Pool): number {
  const raw = poolsPerGram(item.source.food)[pool] * item.rawG
  if (raw > 0) return item[pool] / raw
  return pool === 'solidG' ? 1 : keptOf(item, 'solidG')
}

/** Binder strength of gluten doubles while it is developed: raw powder counts half. Practice. */
const developed = (item: Item): number =>
  item.source.food?.proteinClass === 'gluten' ? 1 + Math.min(1, item.development) : 1

/** Water that a food would still take up or give off when hot, after it gained or lost some. */
function holdWater(target: Batch, item: Item, waterG: number): void {
  const { food } = item.source
  if (food === null) return
  const gram = gramOf(food)
  const raw = item.rawG * keptOf(item, 'solidG')
  const gained = waterG - gram.waterG * raw
  const uptake = gram.uptakeHotG * raw
  const released = gram.releasedHotG * raw
  const taken = Math.min(Math.max(0, gained), uptake)
  target.uptakeHotG += uptake - taken
  target.releasedHotG += Math.max(0, released + gained - taken)
}

const grams = new WeakMap<Ingredient, Batch>()
/** One gram of a food, every field of it. */
function gramOf(food: Ingredient): Batch {
  const known = grams.get(food)
  if (known !== undefined) return known
  const made = emptyBatch()
  for (const [field, value] of batchPerGram(food)) made[field] = value
  grams.set(food, made)
  return made
}

function addItem(target: Batch, item: Item): void {
  const { food } = item.source
  target.massG += massOf(item)
  target.waterG += item.waterG
  if (food === null) {
    target.unknownG += item.inertG
    return
  }
  const solid = keptOf(item, 'solidG')
  const kept: Record<Pool, number> = {
    waterG: 0,
    alcoholG: keptOf(item, 'alcoholG'),
    fatG: keptOf(item, 'fatG'),
    saltG: keptOf(item, 'saltG'),
    solubleG: keptOf(item, 'solubleG'),
    solidG: solid,
    inertG: 1,
  }
  for (const [field, value] of batchPerGram(food))
    if (!SKIPPED.has(field)) target[field] += value * item.rawG * kept[carrierOf(field)]
  target.dryMatterG += item.fatG + item.saltG + item.solubleG + item.solidG
  if (food.proteinClass === 'gluten') {
    const gram = gramOf(food)
    const protein = gram.glutenProteinG * item.rawG * solid
    target.developedGlutenG += protein * Math.max(item.development, food.glutenDevelopment)
    const extra = (developed(item) - 1) * item.rawG * solid
    target.binderColdEE += gram.binderColdEE * extra
    target.binderHotEE += gram.binderHotEE * extra
  }
  holdWater(target, item, item.waterG)
}

/** Fields that are summed from the pools, not from the food. */
const SKIPPED: ReadonlySet<BatchField> = new Set([
  'massG',
  'waterG',
  'dryMatterG',
  'developedGlutenG',
  'releasedHotG',
  'uptakeHotG',
])

/** Items as one batch. */
export function batchOf(items: readonly Item[]): Batch {
  const batch = emptyBatch()
  for (const item of items) addItem(batch, item)
  return batch
}

/** The same batch with the water put back that left as vapour: the mix as it would weigh uncooked. */
export function withVapour(cooked: Batch, items: readonly Item[]): Batch {
  const batch: Batch = { ...cooked }
  batch.uptakeHotG = 0
  batch.releasedHotG = 0
  for (const item of items) {
    batch.massG += item.evaporatedG
    batch.waterG += item.evaporatedG
    if (item.source.food !== null) holdWater(batch, item, item.waterG + item.evaporatedG)
  }
  return batch
}
