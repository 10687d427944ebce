import {
  type Composition,
  type Ingredient,
  type Kitchen,
  type Library,
  type Original,
  defaultKitchen,
  NUTRIENTS,
} from '../src/model'
import { testFacts } from './facts'

/** Foods made up for tests: round figures whose sums can be checked by hand. */
export const composition = (known: Partial<Composition>): Composition => ({
  ...(Object.fromEntries(NUTRIENTS.map((nutrient) => [nutrient, 0])) as Composition),
  ...known,
})

export const food = (id: string, known: Partial<Ingredient> = {}): Ingredient => ({
  id,
  name: id.replaceAll('-', ' '),
  otherNames: [],
  state: null,
  foodClass: 'vegetable',
  per100g: composition({ waterG: 90, carbohydrateG: 8, fibreG: 2 }),
  statedEnergyKcal: null,
  aminoAcidsGPer100g: null,
  proteinClass: 'other',
  starchClass: null,
  isSolidFat: false,
  isGum: false,
  isTexturised: false,
  glutenDevelopment: 0,
  volumes: [],
  counts: [],
  packs: [],
  holding: null,
  binder: null,
  umami: null,
  functional: null,
  allergens: [],
  mayHold: [],
  cautions: [],
  source: 'made up for tests',
  origin: 'library',
  ...known,
})

export const beans = food('beans', {
  otherNames: ['white beans', 'cannellini'],
  foodClass: 'pulse',
  proteinClass: 'pulse',
  starchClass: 'pulse',
  per100g: composition({
    waterG: 65,
    proteinG: 9,
    fatG: 1,
    saturatedFatG: 0.2,
    carbohydrateG: 17,
    starchG: 15,
    sugarsG: 1,
    fibreG: 7,
    ashG: 1,
    sodiumMg: 4,
  }),
  volumes: [{ form: null, gPerMl: 0.75, rsd: 0.05, source: 'test' }],
  packs: [{ form: null, netG: 400, drainedG: 240, source: 'test' }],
  holding: { coldGPerG: 0.71, hotGPerG: 0.76, isClassDefault: false, source: 'test' },
})
export const gluten = food('gluten-powder', {
  name: 'Wheat gluten',
  otherNames: ['vital wheat gluten'],
  foodClass: 'gluten',
  proteinClass: 'gluten',
  starchClass: 'wheat',
  per100g: composition({
    waterG: 8,
    proteinG: 75,
    fatG: 2,
    carbohydrateG: 14,
    starchG: 13,
    ashG: 1,
    sodiumMg: 30,
  }),
  volumes: [{ form: null, gPerMl: 0.5, rsd: 0.11, source: 'test' }],
  holding: { coldGPerG: 1.75, hotGPerG: 1.7, isClassDefault: false, source: 'test' },
  binder: { coldPerG: 0.08, hotPerG: 0.11, source: 'test' },
  allergens: ['gluten-wheat'],
})
export const walnut = food('walnut', {
  name: 'Walnuts',
  foodClass: 'nut',
  proteinClass: 'nut-seed',
  per100g: composition({
    waterG: 4,
    proteinG: 15,
    fatG: 65,
    saturatedFatG: 6,
    carbohydrateG: 9,
    starchG: 1,
    sugarsG: 3,
    fibreG: 5,
    ashG: 2,
    sodiumMg: 2,
  }),
  volumes: [
    { form: null, gPerMl: 0.42, rsd: 0.08, source: 'test' },
    { form: 'chopped', gPerMl: 0.5, rsd: 0.08, source: 'test' },
  ],
  counts: [{ form: null, unit: 'half', massG: 2, rsd: 0.15, edibleFraction: null, source: 'test' }],
  holding: { coldGPerG: 0.25, hotGPerG: 0.3, isClassDefault: false, source: 'test' },
  umami: { glutamateMg: 500, impMg: 0, gmpMg: 0, ampMg: 0, source: 'test' },
  allergens: ['tree-nut-walnut'],
})
export const mushroom = food('mushroom', {
  name: 'Mushrooms',
  otherNames: ['button mushrooms'],
  foodClass: 'mushroom',
  proteinClass: 'fungal',
  per100g: composition({
    waterG: 92,
    proteinG: 3,
    carbohydrateG: 3,
    sugarsG: 2,
    fibreG: 1,
    ashG: 1,
    sodiumMg: 5,
  }),
  volumes: [{ form: null, gPerMl: 0.3, rsd: 0.1, source: 'test' }],
  counts: [{ form: null, unit: 'medium', massG: 18, rsd: 0.3, edibleFraction: null, source: 'test' }],
  holding: { coldGPerG: 0.88, hotGPerG: 0.5, isClassDefault: false, source: 'test' },
  umami: { glutamateMg: 90, impMg: 0, gmpMg: 5, ampMg: 0, source: 'test' },
})
export const oil = food('oil', {
  name: 'Olive oil',
  foodClass: 'fat',
  per100g: composition({ fatG: 100, saturatedFatG: 14 }),
  volumes: [{ form: null, gPerMl: 0.91, rsd: 0.03, source: 'test' }],
  holding: { coldGPerG: 0, hotGPerG: 0, isClassDefault: false, source: 'test' },
})
export const salt = food('salt', {
  name: 'Salt',
  foodClass: 'salt',
  per100g: composition({ ashG: 100, sodiumMg: 38_800 }),
  volumes: [{ form: null, gPerMl: 1.2, rsd: 0.05, source: 'test' }],
  counts: [{ form: null, unit: 'pinch', massG: 0.35, rsd: 0.4, edibleFraction: null, source: 'test' }],
  holding: { coldGPerG: 0, hotGPerG: 0, isClassDefault: false, source: 'test' },
})
export const water = food('water', {
  name: 'Water',
  foodClass: 'water',
  per100g: composition({ waterG: 100 }),
  volumes: [{ form: null, gPerMl: 1, rsd: 0.02, source: 'test' }],
  holding: { coldGPerG: 0, hotGPerG: 0, isClassDefault: false, source: 'test' },
})
export const cornStarch = food('corn-starch', {
  name: 'Corn starch',
  otherNames: ['cornflour'],
  foodClass: 'starch',
  starchClass: 'maize',
  per100g: composition({ waterG: 10, carbohydrateG: 90, starchG: 90 }),
  volumes: [{ form: null, gPerMl: 0.54, rsd: 0.09, source: 'test' }],
  holding: { coldGPerG: 0.9, hotGPerG: 16, isClassDefault: false, source: 'test' },
})
export const garlicPowder = food('garlic-powder', {
  name: 'Garlic powder',
  foodClass: 'spice',
  per100g: composition({ waterG: 6, proteinG: 17, carbohydrateG: 64, fibreG: 9, ashG: 4, sodiumMg: 60 }),
  volumes: [{ form: null, gPerMl: 0.63, rsd: 0.12, source: 'test' }],
  functional: {
    roles: ['aroma', 'umami'],
    usualLowPct: 0.2,
    usualHighPct: 1,
    activation: '',
    gelSetC: '',
    gelMeltC: '',
    incompatibleWith: [],
    source: 'test',
  },
})
export const kidneyDry = food('kidney-beans-dry', {
  name: 'Kidney beans, dry',
  otherNames: ['kidney beans'],
  state: 'dry',
  foodClass: 'pulse',
  cautions: ['raw-kidney-bean'],
})
export const kidneyCooked = food('kidney-beans-cooked', {
  name: 'Kidney beans, cooked',
  otherNames: ['kidney beans'],
  state: 'cooked',
  foodClass: 'pulse',
})
export const egg = food('egg', {
  name: 'Egg',
  foodClass: 'egg',
  allergens: ['egg'],
  counts: [{ form: null, unit: 'large', massG: 50, rsd: 0.07, edibleFraction: null, source: 'test' }],
})

export const mince: Original = {
  id: 'mince',
  name: 'Minced meat',
  family: 'crumble-mince',
  group: 'meat',
  servingTempC: 65,
  waterPct: { typical: 56, low: 53, high: 60 },
  proteinPct: { typical: 25, low: 22, high: 28 },
  fatPct: { typical: 16, low: 12, high: 20 },
  saturatedFatPct: { typical: 6, low: 5, high: 8 },
  carbohydratePct: { typical: 0, low: 0, high: 0.5 },
  sodiumMgPer100g: { typical: 340, low: 75, high: 500 },
  energyKcal: 245,
  viscosityPaS: null,
  attributes: {
    firmness: 5,
    chewiness: 5,
    juiciness: 5,
    crumbliness: 6,
    richness: 6,
    umami: 6,
    saltiness: 4,
  },
  importance: { richness: 3, crumbliness: 3, umami: 2, chewiness: 2 },
  colour: { site: 'crumb surface, browned', lab: [40, 8, 13] },
  traces: null,
  source: 'made up for tests',
  confidence: 'B',
}

export const testLibrary: Library = {
  swaps: [],
  rates: [],
  facts: testFacts,
  ingredients: new Map(
    [
      beans,
      gluten,
      walnut,
      mushroom,
      oil,
      salt,
      water,
      cornStarch,
      garlicPowder,
      kidneyDry,
      kidneyCooked,
      egg,
    ].map((item) => [item.id, item]),
  ),
  originals: new Map([[mince.id, mince]]),
  allergens: new Map(
    [
      { id: 'gluten-wheat', name: 'Wheat', group: 'cereals-gluten', isEuListed: true, isUsListed: true },
      { id: 'tree-nut-walnut', name: 'Walnut', group: 'tree-nuts', isEuListed: true, isUsListed: true },
      { id: 'egg', name: 'Egg', group: 'egg', isEuListed: true, isUsListed: true },
    ].map((item) => [item.id, item]),
  ),
  conversions: [
    {
      fromId: 'kidney-beans-dry',
      toId: 'kidney-beans-cooked',
      factor: 2.5,
      low: 2.25,
      high: 2.7,
      soakMin: 600,
      cookMin: 75,
      how: 'soak and boil',
      source: 'test',
    },
  ],
}

export const testKitchen: Kitchen = {
  ...defaultKitchen,
  prices: [{ ingredientId: 'walnut', price: 12, perG: 1000 }],
}
