import type { ResolvedLine } from '../composition'
import type { Composition, Dish, Kitchen, Library } from '../model'
import { ENERGY_KCAL_PER_G } from '../nutrition'
import { assess } from './assess'
import type { PortionFigure } from './explanation'
import { workDish } from './workDish'
import type { PartWork } from './workPart'

/** What one line of a dish brings into a portion. */
export interface Contributor {
  readonly lineId: string
  readonly name: string
  readonly source: string
  /** A portion, in the figure's unit. */
  readonly each: number
  /** Of what all lines bring, 0 to 1. */
  readonly share: number
}

export interface Contributors {
  /** The most first. Lines without a figure are left out. */
  readonly rows: readonly Contributor[]
  /** What a portion holds as served, and what the lines bring beyond it: drained, pressed, left behind. */
  readonly servedEach: number
  readonly leftEach: number
  readonly unit: string
}

const UNITS: Record<PortionFigure, string> = {
  proteinG: 'g',
  fatG: 'g',
  saturatedFatG: 'g',
  carbohydrateG: 'g',
  fibreG: 'g',
  sodiumMg: 'mg',
  energyKcal: 'kcal',
  cost: '',
}

function energyPer100g(c: Composition): number {
  const e = ENERGY_KCAL_PER_G
  return (
    (c.proteinG ?? 0) * e.protein +
    (c.fatG ?? 0) * e.fat +
    (c.carbohydrateG ?? 0) * e.carbohydrate +
    (c.fibreG ?? 0) * e.fibre +
    (c.alcoholG ?? 0) * e.alcohol +
    (c.organicAcidG ?? 0) * e.organicAcid
  )
}

function contribution(
  { food, mass }: ResolvedLine,
  nutrient: PortionFigure,
  kitchen: Kitchen,
): number | null {
  if (food === null || mass === null) return null
  if (nutrient === 'cost') {
    const price = kitchen.prices.find(({ ingredientId }) => ingredientId === food.id)
    return price === undefined ? null : (price.price * mass.value) / price.perG
  }
  if (nutrient === 'energyKcal') return (energyPer100g(food.per100g) * mass.value) / 100
  const per100g = food.per100g[nutrient]
  return per100g === null ? null : (per100g * mass.value) / 100
}

/** Who brings how much of a figure of the portion. @param works the parts as worked out for the same dish */
export function contributorsOf(
  dish: Dish,
  works: readonly PartWork[],
  nutrient: PortionFigure,
  library: Library,
  kitchen: Kitchen,
): Contributors {
  const { portions } = dish.aim
  const found = works
    .flatMap(({ lines }) => lines)
    .flatMap((line) => {
      const value = contribution(line, nutrient, kitchen)
      return value === null || line.food === null
        ? []
        : [{ lineId: line.line.id, name: line.food.name, source: line.food.source, each: value / portions }]
    })
    .sort((a, b) => b.each - a.each)
  const total = found.reduce((sum, { each }) => sum + each, 0)
  const servedEach = assess(dish, library, kitchen).perPortion[nutrient] ?? total
  return {
    rows: found.map((row) => ({ ...row, share: total > 0 ? row.each / total : 0 })),
    servedEach,
    leftEach: total - servedEach,
    unit: nutrient === 'cost' ? kitchen.currency : UNITS[nutrient],
  }
}

/** The same for a dish by itself. */
export const contributors = (
  dish: Dish,
  library: Library,
  kitchen: Kitchen,
  nutrient: PortionFigure,
): Contributors => contributorsOf(dish, workDish(dish, library, kitchen), nutrient, library, kitchen)
