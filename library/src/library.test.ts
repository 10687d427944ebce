import { waterSlack } from '@frijol/core/texture'
import { addInto, batchPerGram, emptyBatch } from '@frijol/core/composition'
import { findFood, indexFoods } from '@frijol/core/measure'
import { AMINO_ACIDS, Ingredient, Original } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { compositionFaults } from './build/validate'
import { library, withOwnIngredients } from './index'

const foods = [...library.ingredients.values()]

describe('the generated library', () => {
  it('fits its schemas', () => {
    expect(foods.flatMap((item) => Ingredient.safeParse(item).error?.issues ?? [])).toEqual([])
    expect(
      [...library.originals.values()].flatMap((item) => Original.safeParse(item).error?.issues ?? []),
    ).toEqual([])
  })

  it('holds what a kitchen needs', () => {
    expect(foods.length).toBeGreaterThanOrEqual(330)
    expect(library.originals.size).toBe(41)
    for (const kind of [
      'pulse',
      'soy',
      'gluten',
      'flour',
      'starch',
      'gum',
      'nut',
      'seed',
      'grain',
      'vegetable',
      'mushroom',
      'fruit',
      'herb',
      'spice',
      'fat',
      'acid',
      'sweetener',
      'plant-milk',
      'savoury',
      'seaweed',
      'salt',
      'leavening',
      'egg',
      'dairy',
      'meat',
      'fish',
    ]) {
      expect(
        foods.some(({ foodClass }) => foodClass === kind),
        kind,
      ).toBe(true)
    }
  })

  it('has no faulty composition and no value without a source', () => {
    expect(foods.flatMap(compositionFaults)).toEqual([])
    for (const { volumes, counts, packs, holding, binder, umami } of foods) {
      for (const sourced of [...volumes, ...counts, ...packs, holding, binder, umami])
        if (sourced !== null) expect(sourced.source).not.toBe('')
    }
  })

  it('names only allergens that it lists, and finds each food by its own name', () => {
    const index = indexFoods(foods)
    for (const item of foods) {
      for (const id of item.allergens) expect(library.allergens.has(id), `${item.id}: ${id}`).toBe(true)
      const { ingredientId, choices } = findFood(index, item.name)
      expect([ingredientId, ...choices.map((choice) => choice.ingredientId)], item.id).toContain(item.id)
    }
  })

  it('keeps essential amino acids within the protein', () => {
    for (const { id, aminoAcidsGPer100g, per100g } of foods) {
      const sum = AMINO_ACIDS.reduce((total, name) => total + (aminoAcidsGPer100g?.[name] ?? 0), 0)
      expect(sum, id).toBeLessThanOrEqual(per100g.proteinG ?? 0)
    }
    expect(foods.filter(({ aminoAcidsGPer100g }) => aminoAcidsGPer100g !== null).length).toBeGreaterThan(40)
  })
})

describe('the check of a composition', () => {
  const [sound] = foods
  if (sound === undefined) throw new Error('the library is empty')
  const spoilt = (change: Partial<Ingredient['per100g']>, more: Partial<Ingredient> = {}) =>
    compositionFaults({ ...sound, ...more, per100g: { ...sound.per100g, ...change } })
  it.each([
    ['a sum that is off', () => spoilt({ waterG: (sound.per100g.waterG ?? 0) + 9 }), 'sums to'],
    [
      'an energy that is off',
      () => spoilt({}, { statedEnergyKcal: (sound.statedEnergyKcal ?? 100) * 1.6 }),
      'states',
    ],
    ['a missing value', () => spoilt({ proteinG: null }), 'no value'],
    ['more saturated fat than fat', () => spoilt({ saturatedFatG: 60 }), 'saturated'],
    ['no source', () => spoilt({}, { source: ' ' }), 'no source'],
  ])('finds %s', (_what, faults, words) => {
    expect(faults().join()).toContain(words)
  })
})

// Reference formulas, g; slack per 100 g computed with each ingredient's tabulated own water (practice). The library's
// composition gives slightly other own waters, hence the tolerance of 2.5.
describe('water slack of reference formulas', () => {
  it.each([
    [
      'dough',
      {
        'vital-wheat-gluten': 100,
        water: 130,
        'soy-sauce': 15,
        'oil-neutral-refined': 10,
        'nutritional-yeast-fortified': 10,
      },
      -17.8,
      -16.7,
    ],
    [
      'dough with beans',
      {
        'vital-wheat-gluten': 100,
        water: 100,
        'white-beans-cooked': 100,
        'soy-sauce': 15,
        'oil-neutral-refined': 15,
        'nutritional-yeast-fortified': 10,
      },
      -24.5,
      -25.0,
    ],
    [
      'ricotta style',
      {
        'tofu-firm': 80,
        'olive-oil': 5,
        'lemon-juice': 4,
        'nutritional-yeast-fortified': 3,
        'plant-yogurt-cultured': 8,
      },
      0.9,
      4.1,
    ],
    [
      'bean spread',
      { 'chickpeas-cooked': 60, tahini: 15, 'lemon-juice': 6, water: 16, 'olive-oil': 3 },
      7.9,
      2.8,
    ],
    [
      'omelette batter',
      {
        'chickpea-flour': 26,
        water: 66,
        'olive-oil': 5,
        'nutritional-yeast-fortified': 2,
        'black-salt': 0.6,
      },
      25.8,
      -34.6,
    ],
  ] as const)('%s', (_name, formula, cold, hot) => {
    const batch = emptyBatch()
    for (const [id, grams] of Object.entries(formula)) {
      const item = library.ingredients.get(id)
      if (item === undefined) throw new Error(`no ${id}`)
      addInto(batch, batchPerGram(item), grams)
    }
    expect(Math.abs(waterSlack(batch, 'cold') - cold)).toBeLessThan(2.5)
    expect(Math.abs(waterSlack(batch, 'hot') - hot)).toBeLessThan(2.5)
  })
})

describe('conversions', () => {
  it.each(library.conversions.map((conversion) => [conversion.fromId, conversion] as const))(
    'of %s keep the dry matter, less what goes into the water',
    (_from, { fromId, toId, factor }) => {
      const waterOf = (id: string) => (library.ingredients.get(id)?.per100g.waterG ?? Number.NaN) / 100
      const keptSolids = (factor * (1 - waterOf(toId))) / (1 - waterOf(fromId))
      expect(keptSolids).toBeGreaterThan(0.68)
      expect(keptSolids).toBeLessThan(1.15)
    },
  )
})

describe('own ingredients', () => {
  it('stand beside the library’s, and in place of one of the same id', () => {
    const [first] = foods
    if (first === undefined) throw new Error('the library is empty')
    const own = { ...first, id: 'my-crumbs', name: 'My crumbs', origin: 'own' as const }
    const mixed = withOwnIngredients([own, { ...first, name: 'Mine' }])
    expect(mixed.ingredients.size).toBe(foods.length + 1)
    expect(mixed.ingredients.get(first.id)?.name).toBe('Mine')
    expect(withOwnIngredients([])).toBe(library)
  })
})
