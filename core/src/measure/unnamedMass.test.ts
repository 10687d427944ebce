import { describe, expect, it } from 'vitest'
import { testReader } from '../../test/dishes'
import { defaultKitchen, type FormulaLine } from '../model'
import { readLine } from './readLine'
import { unnamedMass } from './unnamedMass'

const massOf = (text: string, region: 'us' | 'metric' = 'us') => {
  const { amount, food } = readLine(text, testReader)
  return unnamedMass({ amount, food } as FormulaLine, { ...defaultKitchen, region })
}

describe('the mass of a food that is open', () => {
  it.each([
    ['180 ml plant milk', 185],
    ['1 cup dairy-free drink of choice', 244],
    ['2 tbsp birch syrup', 40],
    ['300 ml mushroom broth of your own', 303],
    ['120 ml drinking yoghurt', 122],
    ['150 g plant milk', 150],
  ])('%s: about %i g', (text, grams) => {
    expect(massOf(text)?.value).toBeGreaterThan(grams * 0.97)
    expect(massOf(text)?.value).toBeLessThan(grams * 1.03)
  })

  it('is as unsure as its kind is wide, and a mass is sure', () => {
    const { value = 0, sd = 0 } = massOf('2 tbsp birch syrup') ?? {}
    expect(sd / value).toBeGreaterThan(0.05)
    expect(massOf('150 g plant milk')?.sd).toBe(0)
  })

  it('goes by the cup of the kitchen', () => {
    expect(massOf('1 cup plant milk', 'metric')?.value).toBeGreaterThan(
      massOf('1 cup plant milk')?.value ?? 0,
    )
  })

  it.each([
    '1 cup fenugreek greens',
    '2 tbsp milk powder of oats',
    '1 unheard-of fruit',
    '1 cup broth granules',
  ])('%s: nobody knows', (text) => {
    expect(massOf(text)).toBeNull()
  })
})
