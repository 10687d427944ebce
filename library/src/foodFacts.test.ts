import { similarFoods } from '@frijol/core/composition'
import type { Ingredient } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { library } from '.'

const all = [...library.ingredients.values()]
const of = (id: string): Ingredient => {
  const food = library.ingredients.get(id)
  if (food === undefined) throw new Error(`the library lacks ${id}`)
  return food
}
const named = (foods: readonly Ingredient[]): string[] => foods.map(({ id }) => id)

/** Facts of the trade that hold for whole groups: a typing mistake in a table breaks one of them. */
describe('groups of foods', () => {
  it('dry pulses hold little water, cooked ones much', () => {
    const dry = all.filter(({ foodClass, state }) => foodClass === 'pulse' && state === 'dry')
    const cooked = all.filter(
      ({ foodClass, state }) => foodClass === 'pulse' && (state === 'cooked' || state === 'canned'),
    )
    expect(dry.length).toBeGreaterThan(10)
    expect(cooked.length).toBeGreaterThan(10)
    expect(named(dry.filter(({ per100g }) => (per100g.waterG ?? 0) > 16))).toEqual([])
    expect(
      named(cooked.filter(({ per100g }) => (per100g.waterG ?? 100) < 55 || (per100g.waterG ?? 0) > 85)),
    ).toEqual([])
  })

  it('cooking a pulse adds water and never protein per gram', () => {
    for (const dry of all.filter(({ foodClass, state }) => foodClass === 'pulse' && state === 'dry')) {
      const cooked = library.ingredients.get(dry.id.replace(/-dry$/, '-cooked'))
      if (cooked === undefined) continue
      expect(cooked.per100g.proteinG ?? 0, cooked.id).toBeLessThan(dry.per100g.proteinG ?? 0)
      expect(cooked.per100g.waterG ?? 0, cooked.id).toBeGreaterThan(dry.per100g.waterG ?? 100)
    }
  })

  it('oils are nearly all fat; fats with water say so', () => {
    const oils = all.filter(({ id, foodClass }) => foodClass === 'fat' && /(?:^|-)oil(?:-|$)/.test(id))
    expect(oils.length).toBeGreaterThan(6)
    expect(named(oils.filter(({ per100g }) => (per100g.fatG ?? 0) < 99))).toEqual([])
  })

  it('fruit, vegetables and mushrooms that are fresh hold mostly water', () => {
    const wet = all.filter(
      ({ foodClass, state, name }) =>
        foodClass === 'mushroom' && state !== 'dry' && !/dried|powder|mycoprotein/i.test(name),
    )
    expect(wet.length).toBeGreaterThan(5)
    expect(named(wet.filter(({ per100g }) => (per100g.waterG ?? 0) < 80))).toEqual([])
  })

  it('parts are never more than the whole', () => {
    for (const { id, per100g } of all) {
      expect(per100g.saturatedFatG ?? 0, id).toBeLessThanOrEqual((per100g.fatG ?? 0) + 1e-9)
      const sugarsAndStarch = (per100g.sugarsG ?? 0) + (per100g.starchG ?? 0)
      expect(sugarsAndStarch, id).toBeLessThanOrEqual((per100g.carbohydrateG ?? 0) + 5)
    }
  })

  it('densities and pieces are those of food', () => {
    for (const { id, volumes, counts } of all) {
      for (const { gPerMl, rsd } of volumes) {
        expect(gPerMl, id).toBeGreaterThan(0.03)
        expect(gPerMl, id).toBeLessThan(2.3)
        expect(rsd, id).toBeLessThanOrEqual(0.5)
      }
      for (const { massG } of counts) expect(massG, id).toBeGreaterThan(0)
    }
  })
})

describe('allergens', () => {
  it.each([
    [
      'gluten-wheat',
      ['vital-wheat-gluten', 'seitan', 'wheat-flour', 'panko', 'bread-wholemeal', 'burger-bun'],
    ],
    ['soy', ['tofu-firm', 'tempeh', 'soy-sauce', 'miso-white', 'soy-milk', 'doenjang']],
    ['sesame', ['tahini', 'sesame-seeds', 'sesame-oil', 'hoisin-sauce']],
    ['tree-nut-cashew', ['cashews-raw', 'cashew-butter', 'cashew-cream', 'cashew-milk']],
    ['tree-nut-walnut', ['walnuts']],
    ['peanut', ['peanut-butter']],
    ['mustard', ['mustard', 'mustard-seed', 'mustard-powder']],
    ['celery', ['celery', 'celeriac', 'celery-seed']],
    ['lupin', ['lupin-flour']],
    ['sulphites', ['wine-white', 'wine-red', 'sherry-dry']],
    ['egg', ['egg-whole', 'egg-white', 'egg-yolk']],
    ['milk', ['milk-whole', 'butter', 'cream-heavy', 'cheese-hard']],
  ])('%s stands on every food that has it', (allergen, ids) => {
    expect(ids.filter((id) => !of(id).allergens.includes(allergen))).toEqual([])
  })

  it('of animals stand on no plant food', () => {
    const plants = all.filter(({ foodClass }) => !['egg', 'dairy', 'meat', 'fish'].includes(foodClass))
    const odd = plants.filter(({ allergens }) => allergens.includes('milk') || allergens.includes('egg'))
    expect(named(odd)).toEqual([])
  })
})

describe('stand-ins', () => {
  it('share jobs, and say which allergens they bring and spare', () => {
    const found = similarFoods(of('vital-wheat-gluten'), library)
    expect(found.length).toBeGreaterThan(0)
    for (const { food, overlap, spares } of found) {
      expect(food.id).not.toBe('vital-wheat-gluten')
      expect(overlap).toBeGreaterThanOrEqual(0.34)
      expect(overlap).toBeLessThanOrEqual(1)
      expect(spares.includes('gluten-wheat')).toBe(!food.allergens.includes('gluten-wheat'))
    }
    expect(found.map(({ overlap }) => overlap)).toEqual(
      found.map(({ overlap }) => overlap).sort((a, b) => b - a),
    )
  })

  it('are none where nothing is known of a food’s jobs', () => {
    const idle = all.find(({ functional }) => functional === null)
    if (idle === undefined) throw new Error('every food has functions')
    expect(similarFoods(idle, library)).toEqual([])
  })

  it('are at most as many as asked for', () => {
    expect(similarFoods(of('tapioca-starch'), library, 2).length).toBeLessThanOrEqual(2)
  })
})
