import type { Aim, Assessment, EquipmentKind, Ingredient, Library, Limits } from '../model'
import type { Found } from './finding'

type PerPortion = Assessment['perPortion']

const ANIMAL: ReadonlySet<string> = new Set(['egg', 'dairy', 'meat', 'fish'])
/** A food of an animal, or made of one: fish sauce, gelatine, honey. */
export const isAnimal = ({ id, foodClass }: Ingredient, { facts }: Library): boolean =>
  ANIMAL.has(foodClass) || (facts.foods.get(id)?.traits.has('animal-made') ?? false)
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
  additives: ({ id }, { facts }) => facts.foods.get(id)?.traits.has('additive') ?? false,
  'nutritional-yeast': ({ id }, { facts }) => facts.foods.get(id)?.traits.has('nutritional-yeast') ?? false,
}

/** Whether a food is of an excluded allergen, group, diet mark or ingredient id. */
export const isExcluded = (food: Ingredient, exclusion: string, library: Library): boolean =>
  GROUPS[exclusion]?.(food, library) ?? (food.id === exclusion || food.allergens.includes(exclusion))

/** What an exclusion is called in a sentence: an allergen, a kind of food, or one food. */
export const exclusionName = (id: string, library: Library): string =>
  library.allergens.get(id)?.name ?? library.ingredients.get(id)?.name ?? id.replaceAll('-', ' ')

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

/** A limit of the aim on a figure of a portion. */
interface PortionLimit {
  readonly limit: keyof Limits
  readonly figure: Exclude<keyof PerPortion, 'massG' | 'atLeast'>
  readonly side: 'most' | 'least'
  readonly rule: string
  /** What a portion holds, as a sentence names it. */
  readonly of: string
  readonly unit: string
  readonly digits: number
  readonly remedy: string
}

const PORTION_LIMITS: readonly PortionLimit[] = [
  {
    limit: 'sodiumMgMax',
    figure: 'sodiumMg',
    side: 'most',
    rule: 'limit-sodium',
    of: 'of sodium',
    unit: 'mg',
    digits: 0,
    remedy: 'Cut added salt first, then soy sauce, miso, stock or brine.',
  },
  {
    limit: 'saturatedFatGMax',
    figure: 'saturatedFatG',
    side: 'most',
    rule: 'limit-saturated-fat',
    of: 'of saturated fat',
    unit: 'g',
    digits: 1,
    remedy: 'Trade coconut and cocoa fat for oil, nuts or seeds as far as the texture allows.',
  },
  {
    limit: 'proteinGMin',
    figure: 'proteinG',
    side: 'least',
    rule: 'limit-protein',
    of: 'of protein',
    unit: 'g',
    digits: 1,
    remedy: 'Add pulses, tofu, gluten or seeds, or make the portion larger.',
  },
  {
    limit: 'fibreGMin',
    figure: 'fibreG',
    side: 'least',
    rule: 'limit-fibre',
    of: 'of fibre',
    unit: 'g',
    digits: 1,
    remedy: 'Trade refined starch and oil for whole pulses, grains or vegetables.',
  },
  {
    limit: 'energyKcalMax',
    figure: 'energyKcal',
    side: 'most',
    rule: 'limit-energy-high',
    of: 'of energy',
    unit: 'kcal',
    digits: 0,
    remedy: 'Oil and nuts first: they weigh most. Or make the portion smaller.',
  },
  {
    limit: 'energyKcalMin',
    figure: 'energyKcal',
    side: 'least',
    rule: 'limit-energy-low',
    of: 'of energy',
    unit: 'kcal',
    digits: 0,
    remedy: 'Nuts, seeds, oil or grains; or make the portion larger.',
  },
]

/** Limits of the aim against a portion. A lower bound that already breaks a limit breaks it. */
export function limitFindings({ limits, portionMassG }: Aim, portion: PerPortion, currency: string): Found[] {
  const found = PORTION_LIMITS.flatMap(({ limit, figure, side, rule, of, unit, digits, remedy }): Found[] => {
    const bound = limits[limit]
    const value = portion[figure]
    if (bound === null || value === null) return []
    const isBroken = side === 'most' ? value > bound : value < bound && !portion.atLeast.includes(figure)
    if (!isBroken) return []
    const asks = side === 'most' ? `allows ${bound} ${unit}` : `asks for ${bound} ${unit}`
    return [
      {
        rule,
        severity: 'caution',
        message: `A portion holds ${value.toFixed(digits)} ${unit} ${of}; the aim ${asks}.`,
        remedy,
      },
    ]
  })
  if (limits.costMax !== null && portion.cost !== null && portion.cost > limits.costMax) {
    found.push({
      rule: 'limit-cost',
      severity: 'caution',
      message: `A portion costs ${portion.cost.toFixed(2)} ${currency}; the aim allows ${limits.costMax.toFixed(2)}.`,
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

/** Time of a part, and of the longest chain of parts that it waits for, min. */
export interface PartTime {
  readonly handsMin: number
  readonly totalMin: number
}

/** Time that the aim allows. @param time least that the whole dish takes: parts that do not wait for each other side by side */
export function timeFindings({ limits }: Aim, time: PartTime): Found[] {
  const rows = [
    [
      'limit-time',
      limits.totalMinMax,
      time.totalMin,
      'The method takes at least',
      'Soak, chill or bake what can be done the day before, or cut a rest.',
    ],
    [
      'limit-hands',
      limits.handsMinMax,
      time.handsMin,
      'Hands are busy for',
      'Grate and chop by machine, or buy what is made by hand here.',
    ],
  ] as const
  return rows.flatMap(([rule, most, minutes, begins, remedy]): Found[] =>
    most === null || minutes <= most
      ? []
      : [
          {
            rule,
            severity: 'caution',
            message: `${begins} ${Math.round(minutes)} min; the aim allows ${most} min.`,
            remedy,
          },
        ],
  )
}

/** Steps that need equipment which the aim does without; a tray needs its oven. */
export function equipmentFindings(
  { without }: Aim,
  steps: readonly { readonly stepId: string; readonly name: string; readonly kind: EquipmentKind | null }[],
): Found[] {
  if (without.length === 0) return []
  return steps.flatMap(({ stepId, name, kind: vessel }): Found[] => {
    const kind = vessel === 'tray' ? 'oven' : vessel
    return kind === null || !without.includes(kind)
      ? []
      : [
          {
            rule: 'without-equipment',
            severity: 'caution',
            stepId,
            message: `${name} is done in the ${kind.replaceAll('-', ' ')}, which this dish is to do without.`,
            remedy: 'Another way to do the step, or change the aim.',
          },
        ]
  })
}
