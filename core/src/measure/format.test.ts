import { describe, expect, it } from 'vitest'
import { gluten, salt, testKitchen, water } from '../../test/foods'
import { formatGrams, formatNumber, formatSpread } from './format'
import { kitchenMeasure } from './kitchenMeasure'

describe('formatNumber', () => {
  it.each([
    [1.5, '1 ½'],
    [0.25, '¼'],
    [1 / 3, '⅓'],
    [2, '2'],
    [1.1, '1.1'],
    [1234, '1234'],
  ])('writes %d as %s', (value, text) => {
    expect(formatNumber(value)).toBe(text)
  })
})

describe('grams for reading', () => {
  it.each([
    [{ value: 48.3, sd: 5 }, '48', '±5'],
    [{ value: 3.44, sd: 0.6 }, '3.4', '±0.6'],
    [{ value: 0.95, sd: 0.14 }, '0.95', '±0.1'],
    [{ value: 250, sd: 0.7 }, '250', ''],
    [{ value: 342, sd: 17 }, '340', '±17'],
  ])('shows %j with the digits it deserves', (mass, grams, spread) => {
    expect(formatGrams(mass)).toBe(grams)
    expect(formatSpread(mass)).toBe(spread)
  })
})

describe('kitchenMeasure', () => {
  it.each([
    [236.588, water, '1 cup'],
    [14.8, water, '1 tbsp'],
    [45, gluten, '6 tbsp'],
    [266, water, '1 cup plus 2 tbsp'],
  ])('measures %d g', (grams, item, text) => {
    const found = kitchenMeasure(grams, item, testKitchen)
    expect(found?.text).toBe(text)
    expect(Math.abs(found?.errorFraction ?? 1)).toBeLessThan(0.05)
  })

  it('states how far the rounding is off', () => {
    const found = kitchenMeasure(7, salt, testKitchen)
    expect(found?.text).toBe('1 tsp')
    expect(found?.errorFraction).toBeCloseTo((4.92892 * 1.2) / 7 - 1, 6)
  })

  it('leaves out what no spoon measures', () => {
    expect(kitchenMeasure(0.05, salt, testKitchen)).toBeNull()
    expect(kitchenMeasure(5000, water, testKitchen)).toBeNull()
  })
})
