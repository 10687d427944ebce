import type { Ingredient } from '../../model'

/** Groups of foods that behave alike in water and heat: the yields table names the same ones. */
const BY_ID: readonly (readonly [group: string, ids: RegExp])[] = [
  ['cooked-pulse', /^(?!mushrooms).*-cooked$|-canned$|^beans-mashed|^edamame|^seitan$|-soaked/],
  ['textured-soy', /^textured-soy/],
  ['soybean', /^soybeans-/],
  ['lentil', /^(?:lentils|split-peas|mung-dal|urad)/],
  ['tempeh', /^tempeh/],
  ['tofu', /^tofu/],
  ['dried-soy', /^yuba-dried/],
  ['dried-mushroom', /^(?:shiitake|porcini)-dried/],
  ['gel-seed', /^(?:flaxseed-ground|chia)/],
  ['dried-fruit', /^(?:sun-dried-tomato|raisins|dates|prunes|apricots-dried|cranberries-dried)/],
  ['pasta', /^(?:pasta|rice-noodles|lasagne)/],
  ['porridge', /^(?:oats|oat-bran|cornmeal|semolina)/],
  ['canned-vegetable', /^(?:jackfruit|palm-hearts|artichoke|bamboo)/],
  ['allium', /^(?:onion|shallot|leek|spring-onion|garlic-raw|garlic-roasted)/],
  ['leafy', /^(?:spinach|kale|cabbage|lettuce|sauerkraut|kimchi)/],
  [
    'soft-vegetable',
    /^(?:aubergine|courgette|bell-pepper|tomato-fresh|tomato-cherry|tomatoes|cucumber|okra|fennel|asparagus|celery|chilli|roasted-peppers|bean-sprouts)/,
  ],
  ['pickle', /^(?:capers|olives|gherkins)/],
  ['bread', /^(?:bread(?!-flour)|burger-bun)/],
]
const BY_CLASS: Partial<Record<Ingredient['foodClass'], string>> = {
  pulse: 'bean',
  soy: 'soybean',
  gluten: 'gluten',
  flour: 'flour',
  starch: 'flour',
  gum: 'gum',
  nut: 'nut',
  seed: 'nut',
  grain: 'grain',
  vegetable: 'firm-vegetable',
  mushroom: 'mushroom',
  fruit: 'soft-vegetable',
  spice: 'spice',
  herb: 'spice',
  seaweed: 'seaweed',
}
const LIQUID: ReadonlySet<Ingredient['foodClass']> = new Set(['water', 'plant-milk', 'acid'])
const LIQUID_ID =
  /stock|aquafaba|-wine|passata|tomato-sauce|soy-sauce|tamari|-juice|marinade|coconut-milk|milk-whole|cream-heavy|mirin/
/** From this water content on a food is wet: it cooks in its own water instead of taking much up. Practice. */
export const WET_PCT = 50

export interface ProcessKind {
  readonly group: string
  readonly isLiquid: boolean
  /** Takes water up when it is soaked or boiled. */
  readonly isDry: boolean
  /** Of a gram. */
  readonly starchG: number
  readonly proteinG: number
  readonly organicAcidG: number
  /** Its gluten can be developed. */
  readonly hasGluten: boolean
}

const kinds = new WeakMap<Ingredient, ProcessKind>()

/** How a food behaves in the unit operations. Kept for each ingredient object. */
export function processKind(food: Ingredient): ProcessKind {
  const known = kinds.get(food)
  if (known !== undefined) return known
  const waterPct = food.per100g.waterG ?? 0
  const isLiquid = (LIQUID.has(food.foodClass) && waterPct > 40) || LIQUID_ID.test(food.id)
  const named = BY_ID.find(([, ids]) => ids.test(food.id))?.[0]
  const group = isLiquid ? 'liquid' : (named ?? BY_CLASS[food.foodClass] ?? 'other')
  const made: ProcessKind = {
    group,
    isLiquid,
    isDry: !isLiquid && waterPct < WET_PCT && group !== 'cooked-pulse',
    starchG: (food.per100g.starchG ?? 0) / 100,
    proteinG: (food.per100g.proteinG ?? 0) / 100,
    organicAcidG: (food.per100g.organicAcidG ?? 0) / 100,
    hasGluten: food.proteinClass === 'gluten' || food.starchClass === 'wheat',
  }
  kinds.set(food, made)
  return made
}
