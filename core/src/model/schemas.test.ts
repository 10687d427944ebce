import { describe, expect, it } from 'vitest'
import { Amount, blankDish, defaultKitchen, Dish, Kitchen } from '.'

const dish = blankDish('d', 'Dish', '2026-06-14T12:00:00Z')
const faultsOf = (value: unknown): string[] => {
  const parsed = Dish.safeParse(value)
  return parsed.success ? [] : parsed.error.issues.map(({ path }) => path.join('.'))
}

describe('Dish', () => {
  it('takes a blank dish, and comes back from JSON the same', () => {
    expect(Dish.parse(JSON.parse(JSON.stringify(dish)))).toEqual(dish)
  })

  it.each([
    [{ ...dish, format: 'frijol/other' }, 'format'],
    [{ ...dish, version: 2 }, 'version'],
    [{ ...dish, name: 'x'.repeat(201) }, 'name'],
    [{ ...dish, createdAt: 'yesterday' }, 'createdAt'],
    [{ ...dish, trial: { number: 0, fromNumber: null } }, 'trial.number'],
    [{ ...dish, parts: [] }, 'parts'],
    [{ ...dish, aim: { ...dish.aim, portions: 0 } }, 'aim.portions'],
    [{ ...dish, aim: { ...dish.aim, portions: Number.NaN } }, 'aim.portions'],
    [{ ...dish, parts: [{ ...dish.parts[0], cookedMassG: -4 }] }, 'parts.0.cookedMassG'],
    [{ ...dish, parts: [{ ...dish.parts[0], lines: [{ text: '1 egg' }] }] }, 'parts.0.lines.0.id'],
  ])('says where a document does not fit (%#)', (value, path) => {
    expect(faultsOf(value)).toContain(path)
  })

  it('takes no fields that it does not know, except where it keeps foreign ones', () => {
    expect(faultsOf({ ...dish, onclick: 'x' })).toEqual([''])
    expect(faultsOf({ ...dish, extra: { keywords: ['winter'], nutrition: { a: 1 } } })).toEqual([])
  })
})

describe('Amount', () => {
  const term = { sign: 1, low: 1, high: 2, unit: 'cup', qualifier: null, size: null, pack: null }
  const fits = (terms: unknown[]): boolean => Amount.safeParse({ terms, isApproximate: false }).success

  it('takes terms of known units and no others', () => {
    expect(fits([term])).toBe(true)
    expect(fits([{ ...term, unit: 'inch' }])).toBe(true)
    expect(fits([{ ...term, unit: 'bucket' }])).toBe(false)
    expect(fits([{ ...term, low: -1 }])).toBe(false)
    expect(fits([{ ...term, high: Number.POSITIVE_INFINITY }])).toBe(false)
    expect(fits([])).toBe(false)
  })
})

describe('Kitchen', () => {
  it('has a usual one that fits', () => {
    expect(Kitchen.parse(defaultKitchen)).toEqual(defaultKitchen)
  })

  it.each([
    { ...defaultKitchen, region: 'moon' },
    { ...defaultKitchen, scaleStepG: 0 },
    { ...defaultKitchen, prices: [{ ingredientId: 'walnuts', price: -1, perG: 1000 }] },
    { ...defaultKitchen, prices: [{ ingredientId: 'walnuts', price: 1, perG: 0 }] },
  ])('refuses what no kitchen can be (%#)', (kitchen) => {
    expect(Kitchen.safeParse(kitchen).success).toBe(false)
  })
})
