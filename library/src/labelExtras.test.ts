import { addedSugarsG, assess, labelExtras, tracesOf } from '@frijol/core/assess'
import { defaultKitchen, type Dish } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { aimedDish, aimedMix as mix } from '../test/aimedMix'
import { library } from '.'

const extras = (dish: Dish) => labelExtras(dish, library, defaultKitchen)

describe('added sugars', () => {
  it('are all of a syrup’s, none of a fruit’s', () => {
    expect(extras(mix(['100 g maple syrup', '100 g water'], ['Stir.'])).addedShare).toBeCloseTo(1, 6)
    expect(extras(mix(['100 g dates', '100 g water'], ['Blend.'])).addedShare).toBe(0)
    const both = extras(mix(['40 g white sugar', '200 g apple sauce'], ['Stir.'])).addedShare ?? 0
    expect(both).toBeGreaterThan(0.5)
    expect(both).toBeLessThan(0.8)
  })
  it('are not known where there are no sugars', () => {
    const oil = extras(mix(['100 g olive oil'], ['Warm it.']))
    expect(oil.addedShare).toBeNull()
    expect(addedSugarsG(0, oil)).toBe(0)
    expect(addedSugarsG(3, oil)).toBeNull()
    expect(addedSugarsG(null, { addedShare: 0.5, vitaminDUg: 0 })).toBeNull()
  })
  it('count what is left of a brine, not what is poured off', () => {
    const soaked = mix(
      ['300 g carrots', '400 g water', '60 g sugar'],
      ['Slice the carrots and simmer in the water with the sugar for 5 minutes.', 'Drain.'],
    )
    const kept = mix(
      ['300 g carrots', '400 g water', '60 g sugar'],
      ['Slice the carrots and simmer in the water with the sugar for 5 minutes.'],
    )
    const grams = (dish: Dish): number =>
      addedSugarsG(assess(dish, library, defaultKitchen).perPortion.sugarsG, extras(dish)) ?? 0
    // Two portions of 60 g.
    expect(grams(kept)).toBeCloseTo(30, 0)
    expect(grams(soaked)).toBeLessThan(18)
    expect(grams(soaked)).toBeGreaterThan(1)
  })
  it('count a sauce once that another part takes', () => {
    const dish = aimedDish(
      [
        '# Glazed tofu',
        'Serves 2',
        '## Glaze',
        '### Ingredients',
        '- 50 g sugar',
        '- 50 g soy sauce',
        '### Method',
        '1. Stir together.',
        '## Tofu',
        '### Ingredients',
        '- 400 g firm tofu',
        '### Method',
        '1. Bake the tofu at 200 °C for 20 minutes.',
        '2. Toss with all the glaze.',
      ].join('\n\n'),
    )
    const { perPortion } = assess(dish, library, defaultKitchen)
    expect(addedSugarsG(perPortion.sugarsG, extras(dish))).toBeCloseTo(25, 0)
  })
})

describe('vitamin D', () => {
  const perPortion = (lines: string[]): number => extras(mix(lines, ['Stir together.'])).vitaminDUg
  it('comes of fortified milk and of maitake, and of no bean', () => {
    expect(perPortion(['400 g cooked chickpeas', '20 g olive oil'])).toBe(0)
    // 1 µg in 100 g.
    expect(perPortion(['400 g fortified soy milk'])).toBeCloseTo(2, 0)
    expect(perPortion(['100 g maitake'])).toBeCloseTo(14, 0)
  })
  it('is the sum of what the parts hold', () => {
    const dish = mix(['200 g fortified soy milk', '10 g corn starch'], ['Simmer for 5 minutes, stirring.'])
    const [part] = dish.parts
    const traces = tracesOf(dish, part?.id ?? '', library, defaultKitchen)
    expect(extras(dish).vitaminDUg).toBeCloseTo((traces?.vitaminDUg ?? 0) / 2, 6)
  })
})
