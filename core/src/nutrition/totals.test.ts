import { describe, expect, it } from 'vitest'
import { partOf } from '../../test/dishes'
import { composition, food, testKitchen, testLibrary } from '../../test/foods'
import { resolveLines } from '../composition'
import type { Ingredient } from '../model'
import { addSums, energyKcal, sumLines, totalsPer } from './totals'

const lines = (texts: string[]) => resolveLines(partOf(texts), testLibrary, testKitchen)
const weighed = (item: Ingredient, massG: number) => {
  const [line] = lines(['1 g salt'])
  if (line === undefined) throw new Error('no line')
  return { ...line, food: item, mass: { value: massG, sd: 0 } }
}

describe('sums', () => {
  it('adds nutrients by mass', () => {
    const sums = sumLines(lines(['200 g white beans', '100 g walnuts']), testKitchen)
    expect(sums.massG).toBeCloseTo(300, 9)
    expect(sums.values.proteinG).toBeCloseTo(2 * 9 + 15, 9)
    expect(sums.values.sodiumMg).toBeCloseTo(2 * 4 + 2, 9)
    expect(sums.atLeast.has('proteinG')).toBe(false)
  })

  it('does not read missing as zero', () => {
    const unknownIron = food('x', { per100g: composition({ waterG: 50, carbohydrateG: 50, ironMg: null }) })
    const some = sumLines([weighed(unknownIron, 100), ...lines(['100 g white beans'])], testKitchen)
    expect(some.atLeast.has('ironMg')).toBe(true)
    const none = sumLines([weighed(unknownIron, 100)], testKitchen)
    expect(none.values.ironMg).toBeNull()
  })

  it('makes every total a lower bound where a food is unknown', () => {
    const sums = sumLines(lines(['100 g white beans', '100 g zorbel']), testKitchen)
    expect(sums.massG).toBe(200)
    expect(sums.atLeast.has('sodiumMg')).toBe(true)
  })

  it('costs what is priced and says what is not', () => {
    const walnutsOnly = sumLines(lines(['500 g walnuts', '1 L water']), testKitchen)
    expect(walnutsOnly.cost).toBeCloseTo(6, 9)
    expect(walnutsOnly.atLeast.has('cost')).toBe(false)
    const mixed = sumLines(lines(['500 g walnuts', '500 g white beans']), testKitchen)
    expect(mixed.atLeast.has('cost')).toBe(true)
    expect(sumLines(lines(['500 g white beans']), testKitchen).cost).toBeNull()
  })

  it('adds parts, keeping what is unknown', () => {
    const whole = addSums([
      sumLines(lines(['100 g white beans']), testKitchen),
      sumLines(lines(['100 g walnuts']), testKitchen),
    ])
    expect(whole.values.proteinG).toBeCloseTo(24, 9)
    expect(whole.cost).toBeCloseTo(1.2, 9)
  })
})

// Energy per 100 g: protein 18.2, fat 9.4, available carbohydrate 13.7 (14.1 less 0.4 organic acid), fibre 7.5, alcohol 0.6,
// organic acid 0.4 (Regulation (EU) 1169/2011 Annex XIV): 232.6 kcal
it('computes energy by the EU factors', () => {
  const values = {
    proteinG: 18.2,
    fatG: 9.4,
    saturatedFatG: null,
    carbohydrateG: 13.7,
    sugarsG: null,
    fibreG: 7.5,
    sodiumMg: null,
    potassiumMg: null,
    calciumMg: null,
    ironMg: null,
    alcoholG: 0.6,
    organicAcidG: 0.4,
  }
  expect(energyKcal(values)).toBeCloseTo(232.6, 6)
  expect(energyKcal({ ...values, fatG: null })).toBeNull()
})

// A patty batch of six: cooked chickpea 400, gluten 80, walnut 40, soy sauce 30, water 50, oil 10 g; baked 610 to 520 g.
// Totals by hand: protein 104.11, fat 48.091, saturated 4.509, fibre 33.80, sodium 1732 mg, iron 17.319 mg
it('meets a reference batch on the cooked basis', () => {
  const item = (
    id: string,
    proteinG: number,
    fatG: number,
    saturatedFatG: number,
    fibreG: number,
    sodiumMg: number,
    ironMg: number,
  ) =>
    food(id, {
      per100g: composition({ waterG: 50, proteinG, fatG, saturatedFatG, fibreG, sodiumMg, ironMg }),
    })
  const sums = sumLines(
    [
      weighed(item('chickpea', 8.86, 2.59, 0.27, 7.6, 7, 2.89), 400),
      weighed(item('gluten', 75.2, 1.85, 0.27, 0.6, 29, 5.2), 80),
      weighed(item('walnut', 15.2, 65.2, 6.13, 6.7, 2, 2.91), 40),
      weighed(item('soy', 8.1, 0.57, 0.07, 0.8, 5600, 1.45), 30),
      weighed(item('oil', 0, 100, 7.4, 0, 0, 0), 10),
    ],
    testKitchen,
  )
  const portion = totalsPer(sums, 6, 520 / 6)
  expect((portion.proteinG ?? 0) * 6).toBeCloseTo(104.11, 2)
  expect((portion.fatG ?? 0) * 6).toBeCloseTo(48.091, 2)
  expect((portion.saturatedFatG ?? 0) * 6).toBeCloseTo(4.509, 2)
  expect((portion.fibreG ?? 0) * 6).toBeCloseTo(33.8, 2)
  expect(portion.sodiumMg).toBeCloseTo(288.67, 1)
  expect((portion.ironMg ?? 0) * 6).toBeCloseTo(17.319, 2)
  const per100g = totalsPer(sums, 5.2, 100)
  expect(per100g.proteinG).toBeCloseTo(20.02, 2)
  expect(totalsPer(sums, 0, 0).proteinG).toBeNull()
})
