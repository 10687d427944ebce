import type { Aim, Assessment, Ingredient, Library } from '../model'
import type { Found } from './finding'

type PerPortion = Assessment['perPortion']

const ANIMAL: ReadonlySet<string> = new Set(['egg', 'dairy', 'meat', 'fish'])
export const isAnimal = ({ foodClass }: Ingredient): boolean => ANIMAL.has(foodClass)
const isAddedOil = ({ foodClass, per100g }: Ingredient): boolean =>
  foodClass === 'fat' && (per100g.fatG ?? 0) > 50

/** Exclusions that name a kind of food and not one allergen. */
const GROUPS: Readonly<Record<string, (food: Ingredient, library: Library) => boolean>> = {
  gluten: ({ allergens }) => allergens.some((id) => id.startsWith('gluten-')),
  'tree-nuts': ({ allergens }) => allergens.some((id) => id.startsWith('tree-nut-') || id === 'pine-nut'),
  nuts: ({ allergens }) =>
    allergens.some((id) => id.startsWith('tree-nut-') || id === 'pine-nut' || id === 'peanut'),
  animal: isAnimal,
  'added-oil': isAddedOil,
  'nutritional-yeast': ({ id }, { facts }) => facts.foods.get(id)?.traits.has('nutritional-yeast') ?? false,
}

/** Whether a food is of an excluded allergen, group, diet mark or ingredient id. */
export const isExcluded = (food: Ingredient, exclusion: string, library: Library): boolean =>
  GROUPS[exclusion]?.(food, library) ?? (food.id === exclusion || food.allergens.includes(exclusion))

const exclusionName = (id: string, library: Library): string =>
  library.allergens.get(id)?.name ?? id.replaceAll('-', ' ')

/** Foods that the aim excludes. */
export function exclusionFindings(
  foods: readonly { readonly food: Ingredient; readonly lineId: string }[],
  { excluded }: Aim,
  library: Library,
): Found[] {
  return foods.flatMap(({ food, lineId }) =>
    excluded
      .filter((exclusion) => isExcluded(food, exclusion, library))
      .map((exclusion): Found => ({
        rule: 'allergen-conflict',
        severity: 'stop',
        lineId,
        message: `${food.name} goes against the aim: ${exclusionName(exclusion, library).toLowerCase()} is excluded.`,
        remedy: 'Swap the food, or change the aim.',
      })),
  )
}

/** Diets that hold for every food of a dish. Empty when some line is not known: nothing is claimed then. */
export function dietsOf(foods: readonly Ingredient[], hasUnknown: boolean, library: Library): string[] {
  if (hasUnknown || foods.length === 0) return []
  const none = (exclusion: string): boolean => !foods.some((food) => isExcluded(food, exclusion, library))
  const diets: readonly (readonly [string, boolean])[] = [
    ['plant-based', none('animal')],
    ['gluten-free', none('gluten')],
    ['soy-free', none('soy')],
    ['nut-free', none('nuts')],
    ['no-added-oil', none('added-oil')],
  ]
  return diets.filter(([, holds]) => holds).map(([id]) => id)
}

const PORTION_TOLERANCE = 0.1

/** Limits of the aim against a portion. A lower bound that already breaks a limit breaks it. */
export function limitFindings({ limits, portionMassG }: Aim, portion: PerPortion, currency: string): Found[] {
  const found: Found[] = []
  const { sodiumMgMax, proteinGMin, costMax } = limits
  if (sodiumMgMax !== null && portion.sodiumMg !== null && portion.sodiumMg > sodiumMgMax) {
    found.push({
      rule: 'limit-sodium',
      severity: 'caution',
      message: `A portion holds ${Math.round(portion.sodiumMg)} mg of sodium; the aim allows ${sodiumMgMax} mg.`,
      remedy: 'Cut added salt first, then soy sauce, miso, stock or brine.',
    })
  }
  if (
    proteinGMin !== null &&
    portion.proteinG !== null &&
    portion.proteinG < proteinGMin &&
    !portion.atLeast.includes('proteinG')
  ) {
    found.push({
      rule: 'limit-protein',
      severity: 'caution',
      message: `A portion holds ${portion.proteinG.toFixed(1)} g of protein; the aim asks for ${proteinGMin} g.`,
      remedy: 'Add pulses, tofu, gluten or seeds, or make the portion larger.',
    })
  }
  if (costMax !== null && portion.cost !== null && portion.cost > costMax) {
    found.push({
      rule: 'limit-cost',
      severity: 'caution',
      message: `A portion costs ${portion.cost.toFixed(2)} ${currency}; the aim allows ${costMax.toFixed(2)}.`,
      remedy: 'Look at the dearest lines first.',
    })
  }
  if (
    portionMassG !== null &&
    portion.massG > 0 &&
    Math.abs(portion.massG / portionMassG - 1) > PORTION_TOLERANCE
  ) {
    found.push({
      rule: 'portion-mass',
      severity: 'info',
      message: `A portion comes to ${Math.round(portion.massG)} g; the aim is ${portionMassG} g.`,
      remedy: 'Change the number of portions, or the amounts.',
    })
  }
  return found
}
