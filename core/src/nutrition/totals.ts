import type { ResolvedLine } from '../composition'
import type { Kitchen, Totals } from '../model'
import { CARRIED_NUTRIENTS, type CarriedNutrient } from '../program'

/** kcal per g. @source Regulation (EU) 1169/2011 Annex XIV */
export const ENERGY_KCAL_PER_G = {
  protein: 4,
  fat: 9,
  carbohydrate: 4,
  fibre: 2,
  alcohol: 7,
  organicAcid: 3,
} as const

const SUMMED = CARRIED_NUTRIENTS
type Summed = CarriedNutrient
const NOTHING_KNOWN = Object.fromEntries(SUMMED.map((nutrient) => [nutrient, null])) as Record<Summed, null>

/** A line of more than this share of the mass that lacks a value makes the total a lower bound. @source practice */
const NOTABLE_SHARE = 0.01
/** A spoon of these can hold as much as all else: a line without a figure counts however small it is. */
const CONCENTRATED: ReadonlySet<Summed> = new Set(['sodiumMg'])

/** Sums that can be added to others before they are divided. null = nothing known. */
export interface Sums {
  readonly massG: number
  readonly values: Readonly<Record<Summed, number | null>>
  readonly cost: number | null
  readonly atLeast: ReadonlySet<string>
}

function costOf(lines: readonly ResolvedLine[], kitchen: Kitchen) {
  let cost: number | null = null
  let isPartial = false
  for (const { food, mass } of lines) {
    if (mass === null) continue
    const price =
      food === null ? undefined : kitchen.prices.find(({ ingredientId }) => ingredientId === food.id)
    if (price !== undefined) cost = (cost ?? 0) + (price.price * mass.value) / price.perG
    else if (food?.foodClass !== 'water' && mass.value > 0) isPartial = true
  }
  return { cost, isPartial }
}

const isNotable = (nutrient: Summed, lineG: number, wholeG: number): boolean =>
  lineG > (CONCENTRATED.has(nutrient) ? 0 : NOTABLE_SHARE * wholeG)

/**
 * Sums a part's lines: nutrients, cost and the mass as added.
 *
 * @param lines resolved lines; those without a mass or a food are not counted and make every sum a lower bound
 * @returns g, mg and money; a nutrient that no line states is null, one that some notable line lacks is in `atLeast`
 */
export function sumLines(lines: readonly ResolvedLine[], kitchen: Kitchen): Sums {
  let massG = 0
  for (const { mass } of lines) massG += mass?.value ?? 0
  const values: Record<Summed, number | null> = { ...NOTHING_KNOWN }
  const atLeast = new Set<string>()
  for (const { food, mass, line } of lines) {
    if (food === null || mass === null) {
      const isOpen = food !== null && line.amount === null && line.open !== 'unstated'
      if (!isOpen && (mass === null || mass.value > 0)) for (const nutrient of SUMMED) atLeast.add(nutrient)
      continue
    }
    for (const nutrient of SUMMED) {
      const per100g = food.per100g[nutrient]
      if (per100g !== null) values[nutrient] = (values[nutrient] ?? 0) + (per100g * mass.value) / 100
      else if (nutrient !== 'organicAcidG' && isNotable(nutrient, mass.value, massG)) atLeast.add(nutrient)
    }
  }
  const { cost, isPartial } = costOf(lines, kitchen)
  if (isPartial) atLeast.add('cost')
  return { massG, values, cost, atLeast }
}

/**
 * A part's sums after its method: what cooking took away is gone, what it brought in is there.
 * @param raw sums of the lines, for cost and for what is not known
 * @param cooked nutrients that are left, in the order of CARRIED_NUTRIENTS
 * @param taken sums of what came from other parts, each as a share of that part
 */
export function sumCooked(
  raw: Sums,
  cooked: Float64Array,
  taken: readonly { sums: Sums; share: number }[],
): Sums {
  const values: Record<Summed, number | null> = { ...NOTHING_KNOWN }
  CARRIED_NUTRIENTS.forEach((nutrient, at) => {
    const left = cooked[at] ?? 0
    const isStated =
      left > 0 || raw.values[nutrient] !== null || taken.some(({ sums }) => sums.values[nutrient] !== null)
    if (isStated) values[nutrient] = left
  })
  const atLeast = new Set(raw.atLeast)
  let { cost, massG } = raw
  for (const { sums, share } of taken) {
    massG += sums.massG * share
    if (sums.cost !== null) cost = (cost ?? 0) + sums.cost * share
    for (const name of sums.atLeast) atLeast.add(name)
  }
  return { massG, values, cost, atLeast }
}

/** A share of what was summed. @param share 0 to 1 */
export function shareOfSums(sums: Sums, share: number): Sums {
  const values: Record<Summed, number | null> = { ...sums.values }
  for (const nutrient of SUMMED) {
    const value = values[nutrient]
    if (value !== null) values[nutrient] = value * share
  }
  return { ...sums, massG: sums.massG * share, values, cost: sums.cost === null ? null : sums.cost * share }
}

/** Adds the sums of parts. */
export function addSums(all: readonly Sums[]): Sums {
  const values: Record<Summed, number | null> = { ...NOTHING_KNOWN }
  const atLeast = new Set<string>()
  let massG = 0
  let cost: number | null = null
  for (const sums of all) {
    massG += sums.massG
    if (sums.cost !== null) cost = (cost ?? 0) + sums.cost
    for (const nutrient of SUMMED) {
      const value = sums.values[nutrient]
      if (value !== null) values[nutrient] = (values[nutrient] ?? 0) + value
    }
    for (const name of sums.atLeast) atLeast.add(name)
  }
  return { massG, values, cost, atLeast }
}

/** What a food's energy is made of, g; what is null besides protein, fat and carbohydrate counts as none. */
export type Energetic = Readonly<
  Record<'proteinG' | 'fatG' | 'carbohydrateG' | 'fibreG' | 'alcoholG' | 'organicAcidG', number | null>
>

/** Energy by the EU factors, kcal; null unless protein, fat and carbohydrate are known. */
export function energyKcal(values: Energetic): number | null {
  const { proteinG, fatG, carbohydrateG, fibreG, alcoholG, organicAcidG } = values
  if (proteinG === null || fatG === null || carbohydrateG === null) return null
  const e = ENERGY_KCAL_PER_G
  return (
    proteinG * e.protein +
    fatG * e.fat +
    carbohydrateG * e.carbohydrate +
    (fibreG ?? 0) * e.fibre +
    (alcoholG ?? 0) * e.alcohol +
    (organicAcidG ?? 0) * e.organicAcid
  )
}

/**
 * Sums on a basis: divides every value by a number of portions, or by hundreds of grams cooked.
 * @param sums of the cooked food
 * @param basis how many of the wanted unit the food makes, above 0
 * @param massG mass of one unit, g
 */
export function totalsPer(sums: Sums, basis: number, massG: number): Totals {
  const divided = (value: number | null): number | null =>
    value === null || basis <= 0 ? null : value / basis
  const { values } = sums
  const atLeast = [...sums.atLeast].filter((name) => name !== 'alcoholG' && name !== 'organicAcidG')
  if (['proteinG', 'fatG', 'carbohydrateG'].some((name) => sums.atLeast.has(name))) atLeast.push('energyKcal')
  return {
    massG,
    energyKcal: divided(energyKcal(values)),
    proteinG: divided(values.proteinG),
    fatG: divided(values.fatG),
    saturatedFatG: divided(values.saturatedFatG),
    carbohydrateG: divided(values.carbohydrateG),
    sugarsG: divided(values.sugarsG),
    fibreG: divided(values.fibreG),
    alcoholG: divided(values.alcoholG),
    organicAcidG: divided(values.organicAcidG),
    sodiumMg: divided(values.sodiumMg),
    potassiumMg: divided(values.potassiumMg),
    calciumMg: divided(values.calciumMg),
    ironMg: divided(values.ironMg),
    cost: divided(sums.cost),
    atLeast,
  }
}
