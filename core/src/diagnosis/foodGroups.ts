import type { Ingredient } from '../model'

const classes =
  (...all: Ingredient['foodClass'][]) =>
  ({ foodClass }: Ingredient): boolean =>
    all.includes(foodClass)
const ids =
  (pattern: RegExp) =>
  ({ id }: Ingredient): boolean =>
    pattern.test(id)

/** Foods as the symptom table groups them. @source classes and ids of the library; practice */
const GROUPS = {
  gluten: classes('gluten'),
  starch: classes('starch'),
  flour: classes('flour'),
  seedBinder: ids(/flax|chia|psyllium/),
  gum: classes('gum'),
  agar: ids(/^agar/),
  /** All that binds: not the body of pulses itself. */
  binder: (food: Ingredient) =>
    classes('gluten', 'starch', 'flour', 'gum')(food) ||
    ids(/flax|chia|psyllium|aquafaba|breadcrumb|cracker|oats/)(food),
  crumbs: ids(/crumb|cracker|oats|bulgur|rice-cooked|quinoa/),
  fat: classes('fat'),
  solidFat: ids(/coconut-oil|cocoa-butter|margarine|shortening|coconut-cream/),
  nut: classes('nut', 'seed'),
  pulse: classes('pulse'),
  soy: classes('soy'),
  tofu: ids(/tofu|yuba/),
  vegetable: classes('vegetable'),
  mushroom: classes('mushroom'),
  liquid: (food: Ingredient) => classes('water', 'plant-milk')(food) || ids(/stock|broth|soaking/)(food),
  milk: classes('plant-milk'),
  acid: classes('acid'),
  salt: (food: Ingredient) => food.foodClass === 'salt' && food.id !== 'msg',
  salty: (food: Ingredient) =>
    (food.foodClass === 'salt' && food.id !== 'msg') ||
    ids(/soy-sauce|tamari|miso|aminos|brine|stock-powder/)(food),
  sweet: (food: Ingredient) =>
    classes('sweetener')(food) || ids(/carrot|squash|oat-milk|oat-drink|dates/)(food),
  savoury: (food: Ingredient) =>
    classes('savoury')(food) || ids(/mushroom-powder|msg|tomato-paste|shiitake/)(food),
  yeast: ids(/nutritional-yeast|yeast-extract/),
  blackSalt: ids(/black-salt/),
  leavening: classes('leavening'),
  soda: ids(/baking-soda|baking-powder/),
  spice: classes('spice', 'herb'),
  smoke: ids(/smok|chipotle/),
  seaweed: classes('seaweed'),
  colour: ids(/turmeric|beetroot|annatto|paprika|cocoa-powder|soy-sauce-dark/),
  lecithin: ids(/lecithin|mustard/),
  foamer: ids(/aquafaba|methylcellulose|potato-protein/),
  sugar: classes('sweetener'),
  onion: ids(/onion|shallot|garlic|leek/),
} as const satisfies Record<string, (food: Ingredient) => boolean>

export type FoodGroup = keyof typeof GROUPS

export const isOf = (food: Ingredient, groups: readonly FoodGroup[]): boolean =>
  groups.some((group) => GROUPS[group](food))
