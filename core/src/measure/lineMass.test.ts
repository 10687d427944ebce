import { describe, expect, it } from 'vitest'
import { beans, egg, food, gluten, mushroom, oil, salt, testKitchen, walnut, water } from '../../test/foods'
import type { Ingredient } from '../model'
import { lineMass } from './lineMass'
import { readAmount } from './readAmount'

const massOf = (text: string, item: Ingredient, words = '', kitchen = testKitchen) => {
  const amount = readAmount(text)
  if (amount === null) throw new Error(`${text} is no amount`)
  return lineMass(amount, item, words, kitchen)
}

describe('lineMass', () => {
  it.each<[string, Ingredient, number]>([
    ['1 cup', beans, 236.588 * 0.75],
    ['6 tbsp', gluten, 6 * 14.78676 * 0.5],
    ['60 g', gluten, 60],
    ['1 lb 2 oz', beans, 453.59237 + 2 * 28.349523125],
    ['2 tbsp plus 1 tsp', oil, (2 * 14.78676 + 4.92892) * 0.91],
    ['1 cup less 1 tbsp', water, 236.588 - 14.78676],
    ['1 (400 g) can', beans, 240],
    ['1 can', beans, 240],
    ['2 x 400 g cans', beans, 480],
    ['3', egg, 150],
    ['2 large', mushroom, 2 * 18 * 1.4],
    ['1 pinch', salt, 0.35],
    ['8 oz', beans, 8 * 28.349523125],
    ['250 mL', water, 250],
  ])('%s of a food', (text, item, grams) => {
    expect(massOf(text, item).mass?.value).toBeCloseTo(grams, 3)
  })

  it('takes the form that the words before the comma name', () => {
    expect(massOf('1 cup', walnut, 'walnuts').mass?.value).toBeCloseTo(236.588 * 0.42, 3)
    expect(massOf('1 cup', walnut, 'chopped walnuts').mass?.value).toBeCloseTo(236.588 * 0.5, 3)
  })

  it('follows the region of the kitchen for cups and tablespoons', () => {
    expect(massOf('1 cup', water, '', { ...testKitchen, region: 'metric' }).mass?.value).toBeCloseTo(250, 6)
    expect(massOf('1 tbsp', water, '', { ...testKitchen, region: 'australian' }).mass?.value).toBeCloseTo(
      20,
      6,
    )
    expect(massOf('1 metric cup', water).mass?.value).toBeCloseTo(250, 6)
  })

  it('knows that a heap changes a powder and not a liquid', () => {
    expect(massOf('1 heaped tbsp', gluten).mass?.value).toBeCloseTo(14.78676 * 0.5 * 2, 3)
    const heapedOil = massOf('1 heaped tbsp', oil)
    expect(heapedOil.mass?.value).toBeCloseTo(14.78676 * 0.91, 3)
    expect(heapedOil.notes[0]?.code).toBe('liquid-heaped')
  })

  it('reads ounces of a liquid as fluid ounces and says so', () => {
    const found = massOf('8 oz', water)
    expect(found.mass?.value).toBeCloseTo(8 * 29.5735, 2)
    expect(found.notes[0]?.code).toBe('fluid-ounce-guess')
  })

  it('is surer of grams than of spoons, and of spoons than of handfuls', () => {
    const spread = (text: string) => {
      const { mass } = massOf(text, gluten)
      return (mass?.sd ?? 0) / (mass?.value ?? 1)
    }
    expect(spread('60 g')).toBeLessThan(spread('6 tbsp'))
    expect(spread('6 tbsp')).toBeLessThan(spread('2 handfuls'))
  })

  it('gives a range as the text states it, else two standard deviations', () => {
    expect(massOf('100 to 120 g', beans)).toMatchObject({ low: 100, high: 120 })
    const single = massOf('1 cup', beans)
    expect(single.high - single.low).toBeCloseTo(4 * (single.mass?.sd ?? 0), 6)
  })

  it('takes the packs of this kitchen, and a stated content over them', () => {
    const kitchen = { ...testKitchen, packs: [{ ingredientId: 'beans', massG: 255, label: 'tin' }] }
    expect(massOf('2 cans', beans, '', kitchen).mass?.value).toBeCloseTo(510, 6)
    expect(massOf('1 (400 g) can', beans, '', kitchen).mass?.value).toBeCloseTo(240, 6)
  })

  it('does not guess what is not known', () => {
    const unknown = food('strange', { foodClass: 'meat' })
    expect(massOf('2 slices', unknown).mass).not.toBeNull()
    const piece = massOf('1 head', unknown)
    expect(piece.mass).toBeNull()
    expect(piece.notes[0]).toMatchObject({ code: 'no-piece-mass' })
  })
})
