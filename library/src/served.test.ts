import { assess } from '@frijol/core/assess'
import { readRecipes, toJsonLd } from '@frijol/core/interchange'
import {
  type Aim,
  Assessment,
  defaultKitchen,
  type Dish,
  type Kitchen,
  noLimits,
  nothingMoved,
  Original,
  type Part,
} from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { mixContext } from '../test/mixContext'
import { library } from '.'
import { withOriginals } from './libraryFrom'

const WHITE = `# White sauce

## Ingredients

- 600 g soy milk, unsweetened
- 45 g corn starch
- 30 g sunflower oil
- 5 g agar powder
- 5 g salt

## Method

1. Whisk everything in a saucepan and bring to the boil.
2. Simmer for 3 minutes, stirring.
`

function dishOf(text: string, change: Partial<Part> = {}, aim: Partial<Aim> = {}): Dish {
  const read = readRecipes(text, mixContext())
  const dish = read.ok ? read.value[0] : undefined
  if (dish === undefined) throw new Error('the recipe cannot be read')
  return {
    ...dish,
    aim: { ...dish.aim, ...aim },
    parts: dish.parts.map((part, at) => (at > 0 ? part : { ...part, ...change })),
  }
}
const sauce = { family: 'coating-sauce', originalId: 'sauce_white' } as const
const first = (dish: Dish, kitchen: Kitchen = defaultKitchen, of = library) => {
  const [part] = assess(dish, of, kitchen).parts
  if (part === undefined) throw new Error('no part')
  return part
}
const rules = (dish: Dish): string[] => assess(dish, library, defaultKitchen).findings.map(({ rule }) => rule)

describe('a part that is served two ways', () => {
  const twice = dishOf(WHITE, { ...sauce, alsoServed: { originalId: 'cheese_brined', coldH: 12 } })
  it('is read hot against one original and set and cold against the other', () => {
    const part = first(twice)
    expect(part.also).toMatchObject({ originalId: 'cheese_brined', family: 'crumbly-brined' })
    const set = part.also?.behaviour.find(({ id }) => id === 'set')
    expect(set?.value).not.toBe('not set')
    const firm = part.also?.attributes.find(({ id }) => id === 'firmness')?.value ?? 0
    expect(firm).toBeGreaterThan(2)
    expect(part.also?.servingC).toBeLessThan(30)
    expect(Assessment.safeParse(assess(twice, library, defaultKitchen)).error).toBeUndefined()
  })
  it('leaves the first reading as it is', () => {
    const part = first(twice)
    const alone = first(dishOf(WHITE, sauce))
    expect(alone.also).toBeNull()
    const plain = (of: typeof alone) => JSON.stringify([of.ratios, of.attributes, of.cookedMassG, of.totals])
    expect(plain(part)).toBe(plain(alone))
  })
  it('has no second reading where its original is not known', () => {
    expect(first(dishOf(WHITE, { ...sauce, alsoServed: { originalId: 'gone', coldH: 1 } })).also).toBeNull()
  })
})

describe('what a person moved', () => {
  const moved = {
    ...nothingMoved(),
    bands: { saltiness: { low: 9, high: 10 } },
    importance: { saltiness: 3, creaminess: 0 },
    windows: { viscosity: { low: 5, bestLow: 6, bestHigh: 7, high: 8 } },
  } as const
  it('moves distance, states and windows', () => {
    const plain = first(dishOf(WHITE, sauce))
    const part = first(dishOf(WHITE, { ...sauce, moved }))
    const salt = part.attributes.find(({ id }) => id === 'saltiness')
    expect(salt).toMatchObject({ weight: 3, state: 'out', target: { low: 9, high: 10 } })
    expect(part.attributes.find(({ id }) => id === 'creaminess')?.weight).toBe(0)
    expect(part.ratios.find(({ id }) => id === 'viscosity')).toMatchObject({ low: 5, high: 8 })
    expect(part.distance).toBeGreaterThan(plain.distance ?? Number.NaN)
  })
  it('goes out with the file and comes back', () => {
    const dish = dishOf(WHITE, { ...sauce, moved, alsoServed: { originalId: 'cheese_brined', coldH: 12 } })
    const back = readRecipes(toJsonLd(dish, null), mixContext())
    expect(back.ok ? back.value[0]?.parts[0] : null).toMatchObject({
      moved,
      alsoServed: { originalId: 'cheese_brined', coldH: 12 },
    })
  })
})

describe('a kitchen’s own original', () => {
  it('judges like a shipped one', () => {
    const shipped = library.originals.get('sauce_white')
    const own = Original.parse({ ...shipped, id: 'own-sauce', name: 'Our house sauce', source: 'our panel' })
    const of = withOriginals(library, [own])
    const part = first(dishOf(WHITE, { ...sauce, originalId: 'own-sauce' }), defaultKitchen, of)
    expect(part.originalName).toBe('Our house sauce')
    expect(part.distance).toBe(first(dishOf(WHITE, sauce)).distance)
    expect(withOriginals(library, [])).toBe(library)
  })
})

describe('what the aim allows', () => {
  const limited = (limits: Partial<Aim['limits']>, more: Partial<Aim> = {}) =>
    rules(dishOf(WHITE, sauce, { portions: 1, limits: { ...noLimits(), ...limits }, ...more }))
  it.each([
    ['limit-saturated-fat', { saturatedFatGMax: 1 }, { saturatedFatGMax: 100 }],
    ['limit-fibre', { fibreGMin: 50 }, { fibreGMin: 0.5 }],
    ['limit-energy-high', { energyKcalMax: 100 }, { energyKcalMax: 5000 }],
    ['limit-energy-low', { energyKcalMin: 5000 }, { energyKcalMin: 100 }],
    ['limit-time', { totalMinMax: 2 }, { totalMinMax: 500 }],
    ['limit-hands', { handsMinMax: 0.5 }, { handsMinMax: 500 }],
  ] as const)('%s', (rule, tight, loose) => {
    expect(limited(tight)).toContain(rule)
    expect(limited(loose)).not.toContain(rule)
  })
  it('does without equipment', () => {
    expect(limited({}, { without: ['pot', 'pan'] })).toContain('without-equipment')
    expect(limited({}, { without: ['oven'] })).not.toContain('without-equipment')
  })
  it('keeps isolates and additives out, and one food by itself', () => {
    const gummed = WHITE.replace('5 g agar powder', '2 g xanthan gum')
    const excluded = (text: string, one: string): boolean =>
      rules(dishOf(text, sauce, { excluded: [one] })).includes('allergen-conflict')
    expect(excluded(gummed, 'additives')).toBe(true)
    expect(excluded(WHITE, 'additives')).toBe(false)
    expect(excluded(WHITE, 'corn-starch')).toBe(true)
  })
})

it('a filled part says what of it is judged', () => {
  const filled = dishOf(`# Filled buns

## Filling

- 200 g cooked brown lentils
- 100 g mushrooms, chopped
- 10 g olive oil
- 3 g salt

## Dough

- 200 g vital wheat gluten
- 220 g water
- 4 g salt

## Method

1. Fry the lentils and mushrooms in the oil with the salt for 8 minutes.
2. Knead the gluten with the water and salt for 5 minutes.
3. Wrap the filling in the dough and steam for 40 minutes.
`)
  const judged = (families: readonly Part['family'][]) =>
    assess(
      { ...filled, parts: filled.parts.map((part, at) => ({ ...part, family: families[at] ?? null })) },
      library,
      defaultKitchen,
    ).parts.map((part) => part.judged)
  const [filling, dough] = judged(['crumble-mince', 'bound-dough-slice'])
  expect(filling).toBeNull()
  expect(dough).toMatch(/one bite, with Filling \(\d+ %\) in it/)
  expect(judged(['bound-dough-slice', 'bound-dough-slice'])).toEqual([null, null])
})
