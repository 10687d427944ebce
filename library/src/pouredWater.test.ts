import { describe, expect, it } from 'vitest'
import { assessed } from '../test/pasted'

const massOf = (list: string, method: string): number => assessed(list, method).cookedMassG
/** What the steps' own words pour in beside the list, g. */
const pouredBy = (list: string, method: string): number =>
  massOf(list, method) - massOf(list, method.replace(/[^.]*\bwater\b[^.]*\./giu, ''))

describe('water that a step names', () => {
  it.each([
    ['Mix the flour with 100 ml of water.', 'Mix the flour with the water.'],
    ['Mix the flour with 100 ml cold water.', 'Mix the flour with the cold water.'],
  ])('is the water of the list, and no more: %s', (withAmount, without) => {
    const list = '200 g plain flour\n100 ml water'
    expect(massOf(list, withAmount)).toBeCloseTo(massOf(list, without), 6)
    expect(massOf(list, withAmount)).toBeLessThan(301)
  })

  it.each([
    ['Stir the flour together. Stir in 100 ml water.', 100],
    ['Stir the flour together. Stir in half a cup of cold water.', 120],
    ['Stir the flour together. Stir in three tablespoons of water.', 45],
    ['Stir the flour together. Stir in 0.25 litres of lukewarm water.', 250],
  ])('comes in by its amount where the list has none: %s', (method, grams) => {
    expect(pouredBy('200 g plain flour', method)).toBeGreaterThan(0.93 * grams)
    expect(pouredBy('200 g plain flour', method)).toBeLessThan(1.07 * grams)
  })

  it('comes in beside another food of the same clause', () => {
    const list = '1 onion, chopped\n1 tbsp oil\n300 g tinned tomatoes'
    const wet = massOf(list, 'Fry the onion in the oil for 8 minutes. Stir in the tomatoes and 150 ml water.')
    const dry = massOf(list, 'Fry the onion in the oil for 8 minutes. Stir in the tomatoes.')
    expect(wet - dry).toBeGreaterThan(140)
  })

  it('does not come in where it goes out', () => {
    const list = '400 g firm tofu'
    const pressed = massOf(list, 'Press the tofu for 20 minutes.')
    expect(massOf(list, 'Press the tofu for 20 minutes. Drain off 30 ml of water.')).toBeLessThanOrEqual(
      pressed + 0.01,
    )
  })

  it('is as much of the kept cooking water as was kept', () => {
    const list = '1 potato, diced\n70 g cashews'
    const boiled = 'Boil the potato and cashews for 12 minutes. '
    const kept = massOf(
      list,
      `${boiled}Scoop out 1 cup of the cooking water, then drain. Blend the potato and cashews with the reserved water.`,
    )
    const none = massOf(list, `${boiled}Drain. Blend the potato and cashews.`)
    expect(kept - none).toBeGreaterThan(210)
    expect(kept - none).toBeLessThan(260)
    const splash = massOf(
      list,
      `${boiled}Scoop out 1 cup of the cooking water, then drain. Blend the potato and cashews with a splash of the cooking water.`,
    )
    expect(splash - none).toBeLessThan(60)
  })

  it('comes in after something was drained in the same words', () => {
    const list = '200 g firm tofu'
    const poured = massOf(list, 'Drain the tofu and blend with 100 ml water.')
    expect(poured - massOf(list, 'Drain the tofu and blend.')).toBeGreaterThan(90)
  })

  it('joins what is blended, whatever the point in its number', () => {
    const { parts } = assessed(
      '300 g dry soybeans\n2.4 litres water',
      'Soak the soybeans for 10 hours, then drain. Blend with the 2.4 litres of water.',
    )
    expect(
      parts[0]?.steps
        .at(-1)
        ?.takes.map(({ kind }) => kind)
        .sort(),
    ).toEqual(['line', 'step'])
  })
})
