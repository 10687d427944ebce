import { describe, expect, it } from 'vitest'
import { partOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { Ingredient } from '../model'
import { mixedIngredient, ownIngredient } from './ownIngredient'
import { resolveLines } from './resolve'

const label = {
  id: 'own-crumbs',
  name: 'Crumbs',
  foodClass: 'grain' as const,
  allergens: ['gluten-wheat'],
  source: 'label',
}
const values = {
  proteinG: 12,
  fatG: 4,
  saturatedFatG: 0.6,
  carbohydrateG: 70,
  sugarsG: 5,
  fibreG: 4,
  sodiumMg: 600,
}

describe('ownIngredient', () => {
  it('takes a label, leaves the unstated unknown, and finds the water', () => {
    const made = ownIngredient({ ...label, per100g: values })
    if (!made.ok) throw new Error(made.issues[0]?.message)
    expect(Ingredient.safeParse(made.value).success).toBe(true)
    expect(made.value.per100g.waterG).toBeCloseTo(100 - 12 - 4 - 70 - 4 - 1.5, 9)
    expect(made.value.per100g.ironMg).toBeNull()
    expect(made.value).toMatchObject({ origin: 'own', proteinClass: 'cereal', allergens: ['gluten-wheat'] })
  })

  it.each([
    [{ ...values, waterG: 60 }, 'sum'],
    [{ ...values, proteinG: 60 }, 'sum'],
    [{ proteinG: 80, fatG: 50 }, 'sum'],
    [{ ...values, saturatedFatG: 5 }, 'saturated'],
    [{ ...values, sugarsG: 90 }, 'sugars'],
    [{ ...values, sodiumMg: -1 }, 'negative'],
  ])('says what does not fit (%#)', (per100g, code) => {
    const made = ownIngredient({ ...label, per100g })
    expect(made.ok ? [] : made.issues.map((issue) => issue.code)).toContain(code)
  })

  it('needs a name', () => {
    expect(ownIngredient({ ...label, name: ' ', per100g: values })).toMatchObject({
      ok: false,
      issues: [{ code: 'no-name' }],
    })
  })
})

describe('mixedIngredient', () => {
  const lines = (texts: string[]) => resolveLines(partOf(texts), testLibrary, testKitchen)
  it('is what was mixed, less the water that left', () => {
    const made = mixedIngredient('own-mix', 'Mix', lines(['200 g white beans', '100 g walnuts']), 250)
    if (!made.ok) throw new Error(made.issues[0]?.message)
    expect(made.value.per100g.proteinG).toBeCloseTo(((18 + 15) / 250) * 100, 9)
    expect(made.value.per100g.waterG).toBeCloseTo(((130 + 4 - 50) / 250) * 100, 9)
    expect(made.value.foodClass).toBe('pulse')
    expect(made.value.allergens).toEqual(['tree-nut-walnut'])
  })
  it('needs every line counted', () => {
    expect(mixedIngredient('x', 'X', lines(['200 g white beans', '1 cup zorbel']), 200)).toMatchObject({
      ok: false,
    })
    expect(mixedIngredient('x', 'X', [], 200)).toMatchObject({ ok: false })
  })
})
