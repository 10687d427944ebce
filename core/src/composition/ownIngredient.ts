import {
  type Composition,
  fail,
  type FoodClass,
  type Ingredient,
  type Issue,
  NUTRIENTS,
  ok,
  type Result,
} from '../model'
import type { ResolvedLine } from './resolve'

/** What a person knows of a food of their own: a name, a kind, and what its label says per 100 g. */
export interface OwnFood {
  readonly id: string
  readonly name: string
  readonly foodClass: FoodClass
  readonly per100g: Partial<Composition>
  readonly allergens: readonly string[]
  /** Allergens that its parts may hold by their labels. */
  readonly mayHold?: readonly string[]
  readonly source: string
}

/** A label's sum may be off by this much: salt, acids and rounding are not all on it. g per 100 g, practice. */
const SUM_TOLERANCE_G = 5
const MASS_PARTS = [
  'waterG',
  'proteinG',
  'fatG',
  'carbohydrateG',
  'fibreG',
  'ashG',
  'alcoholG',
  'organicAcidG',
] as const
const SALT_PER_SODIUM = 2.5

const issue = (code: string, path: string, message: string): Issue => ({
  code,
  path: ['per100g', path],
  message,
})

/** Water that is left when all else is known: labels seldom state it. */
function withWater(per100g: Partial<Composition>): Partial<Composition> {
  const { proteinG, fatG, carbohydrateG } = per100g
  if (per100g.waterG != null || proteinG == null || fatG == null || carbohydrateG == null) return per100g
  const saltG = ((per100g.sodiumMg ?? 0) / 1000) * SALT_PER_SODIUM
  const ashG = per100g.ashG ?? Math.max(saltG, 0.5)
  const dry = proteinG + fatG + carbohydrateG + (per100g.fibreG ?? 0) + ashG
  return { ...per100g, ashG, waterG: Math.max(0, 100 - dry) }
}

function faults(per100g: Composition): Issue[] {
  const found: Issue[] = []
  const sum = MASS_PARTS.reduce((total, part) => total + (per100g[part] ?? 0), 0)
  const isShort = per100g.waterG !== null && sum < 100 - SUM_TOLERANCE_G
  if (isShort || sum > 100 + SUM_TOLERANCE_G) {
    found.push(
      issue(
        'sum',
        'waterG',
        `These values add up to ${sum.toFixed(1)} g, not 100 g. Check them against the label, which must be per 100 g.`,
      ),
    )
  }
  if ((per100g.saturatedFatG ?? 0) > (per100g.fatG ?? 100) + 0.1) {
    found.push(issue('saturated', 'saturatedFatG', 'Saturated fat cannot be more than the fat.'))
  }
  if ((per100g.sugarsG ?? 0) + (per100g.starchG ?? 0) > (per100g.carbohydrateG ?? 100) + 1) {
    found.push(issue('sugars', 'sugarsG', 'Sugars and starch cannot be more than the carbohydrate.'))
  }
  for (const nutrient of NUTRIENTS) {
    if ((per100g[nutrient] ?? 0) < 0) found.push(issue('negative', nutrient, 'A value cannot be below 0.'))
  }
  return found
}

const LIKE: Partial<Record<FoodClass, Pick<Ingredient, 'proteinClass' | 'starchClass'>>> = {
  pulse: { proteinClass: 'pulse', starchClass: 'pulse' },
  soy: { proteinClass: 'soy', starchClass: 'pulse' },
  gluten: { proteinClass: 'gluten', starchClass: 'wheat' },
  nut: { proteinClass: 'nut-seed', starchClass: 'nut' },
  seed: { proteinClass: 'nut-seed', starchClass: 'nut' },
  grain: { proteinClass: 'cereal', starchClass: 'cereal' },
  flour: { proteinClass: 'cereal', starchClass: 'cereal' },
  mushroom: { proteinClass: 'fungal', starchClass: null },
}

/**
 * A person's own ingredient. What the label leaves out stays unknown; water is what the rest leaves, where protein, fat
 * and carbohydrate are stated.
 * @returns the ingredient, or what does not fit and what to check
 */
export function ownIngredient(own: OwnFood): Result<Ingredient> {
  if (own.name.trim() === '')
    return fail({ code: 'no-name', path: ['name'], message: 'Name the ingredient.' })
  const per100g = Object.fromEntries(NUTRIENTS.map((nutrient) => [nutrient, null])) as Composition
  Object.assign(per100g, withWater(own.per100g))
  const [first, ...more] = faults(per100g)
  if (first !== undefined) return fail(first, ...more)
  const like = LIKE[own.foodClass] ?? { proteinClass: 'other' as const, starchClass: null }
  const waterG = per100g.waterG
  return ok({
    id: own.id,
    name: own.name.trim(),
    otherNames: [],
    state: null,
    foodClass: own.foodClass,
    per100g,
    statedEnergyKcal: null,
    aminoAcidsGPer100g: null,
    ...like,
    isSolidFat: false,
    isGum: own.foodClass === 'gum',
    isTexturised: false,
    glutenDevelopment: 0,
    volumes: [],
    counts: [],
    packs: [],
    holding:
      waterG === null
        ? null
        : {
            coldGPerG: waterG / 100,
            hotGPerG: waterG / 100,
            isClassDefault: true,
            source: 'taken to hold its own water; practice',
          },
    binder: null,
    umami: null,
    functional: null,
    allergens: [...own.allergens],
    mayHold: [...(own.mayHold ?? [])],
    cautions: [],
    source: own.source,
    origin: 'own',
  })
}

/**
 * An ingredient made of others: the composition of what was mixed, per 100 g of the finished mass.
 * @param lines resolved lines of the mix; every one needs a food and a mass
 * @param cookedMassG finished mass in g; what is less than the sum is taken as water that left
 */
export function mixedIngredient(
  id: string,
  name: string,
  lines: readonly ResolvedLine[],
  cookedMassG: number,
): Result<Ingredient> {
  const counted = lines.flatMap(({ food, mass }) =>
    food === null || mass === null ? [] : [{ food, massG: mass.value }],
  )
  if (counted.length === 0 || counted.length < lines.length || !(cookedMassG > 0)) {
    return fail({
      code: 'not-counted',
      path: ['lines'],
      message: 'Every line needs a known food and an amount before the mix can stand as an ingredient.',
    })
  }
  const rawG = counted.reduce((sum, { massG }) => sum + massG, 0)
  const total = (nutrient: keyof Composition): number | null =>
    counted.some(({ food, massG }) => food.per100g[nutrient] === null && massG > 0.01 * rawG)
      ? null
      : counted.reduce((sum, { food, massG }) => sum + ((food.per100g[nutrient] ?? 0) * massG) / 100, 0)
  const per100g = Object.fromEntries(
    NUTRIENTS.map((nutrient) => {
      const sum = total(nutrient)
      const kept = sum === null ? null : nutrient === 'waterG' ? Math.max(0, sum - (rawG - cookedMassG)) : sum
      return [nutrient, kept === null ? null : (kept * 100) / cookedMassG]
    }),
  ) as Composition
  const [heaviest] = [...counted].sort((a, b) => b.massG - a.massG)
  return ownIngredient({
    id,
    name,
    foodClass: heaviest?.food.foodClass ?? 'savoury',
    per100g,
    allergens: [...new Set(counted.flatMap(({ food }) => food.allergens))],
    mayHold: [...new Set(counted.flatMap(({ food }) => food.mayHold))],
    source: `mixed of ${counted
      .map(({ food }) => food.name.toLowerCase())
      .join(', ')
      .slice(0, 300)}`,
  })
}
