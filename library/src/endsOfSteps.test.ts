import { assess } from '@frijol/core/assess'
import { defaultKitchen, type PartAssessment } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { assessed, dishOf } from '../test/pasted'
import { library } from '.'

function made(list: readonly string[], steps: readonly string[]): PartAssessment {
  const method = steps.map((step, at) => `${at + 1}. ${step}`)
  const [part] = assessed(list.join('\n'), method.join('\n')).parts
  if (part === undefined) throw new Error('no part')
  return part
}

describe('what a step leaves', () => {
  const TOFU = ['400 g firm tofu', '80 g rolled oats']
  it('is everything where a mix is squeezed together, and less where it is squeezed out', () => {
    const mixed = ['Crumble the tofu and mix in the oats.']
    const together = made(TOFU, [...mixed, 'Squeeze together well.'])
    expect(together.steps.at(-1)?.lost).toEqual([])
    expect(made(TOFU, [...mixed, 'Squeeze it firmly into balls.']).cookedMassG).toBeGreaterThan(460)
    expect(made(TOFU, [...mixed, 'Squeeze it into a ball to get the liquid out.']).cookedMassG).toBeLessThan(
      460,
    )
    expect(made(TOFU, ['Squeeze the water out of the tofu.', 'Mix in the oats.']).cookedMassG).toBeLessThan(
      420,
    )
  })

  const SEITAN = ['180 g vital wheat gluten', '230 g water']
  const KNEADED = ['Mix the gluten with the water and knead for 5 minutes.']
  it('is the food without the broth that it was cooked in', () => {
    const words = made(
      [...SEITAN, '1.5 litres vegetable stock for cooking'],
      [...KNEADED, 'Simmer the dough in the stock for 50 minutes.'],
    )
    expect(words.cookedMassG).toBeLessThan(800)
    const unsaid = made(
      [...SEITAN, '1.5 litres vegetable stock'],
      [...KNEADED, 'Simmer the dough in the stock for 50 minutes.'],
    )
    expect(unsaid.cookedMassG).toBeCloseTo(words.cookedMassG, 0)
  })

  it('is the food with its sauce, and a soup with its broth', () => {
    const sauced = made(
      [...SEITAN, '400 g tomato passata'],
      [...KNEADED, 'Simmer the dough in the passata for 10 minutes.'],
    )
    expect(sauced.cookedMassG).toBeGreaterThan(700)
    const soup = made(
      ['200 g potatoes, diced', '1 litre vegetable stock'],
      ['Simmer the potatoes in the stock for 15 minutes.'],
    )
    expect(soup.cookedMassG).toBeGreaterThan(1000)
  })

  it('is the whole stew where oil or a little wine is for cooking', () => {
    const stew = ['400 g tomato passata', '400 g cooked chickpeas', '2 tbsp oil for cooking']
    const method = [
      'Fry the chickpeas in the oil for 3 minutes.',
      'Add the passata and simmer for 5 minutes.',
    ]
    expect(made(stew, method).cookedMassG).toBeGreaterThan(700)
    expect(
      made([...stew, '60 ml red wine for cooking'], ['Simmer everything for 5 minutes.']).cookedMassG,
    ).toBeGreaterThan(750)
  })

  it('is the water of the list where it is what food soaks in, and of the tap where it is wanted later', () => {
    const soaked = made(
      ['100 g dried soya mince', '400 ml hot water'],
      ['Soak the mince in hot water for 15 minutes, then drain.'],
    )
    expect(soaked.unused).toEqual([])
    const creamed = made(
      ['140 g raw cashews', '240 ml water', '3 g salt'],
      ['Soak the cashews in boiling water for 30 minutes and drain.', 'Blend everything until smooth.'],
    )
    expect(creamed.cookedMassG).toBeGreaterThan(380)
  })

  it('is what the words say is left of a curd in its cloth', () => {
    const list = ['1 kg soy milk', '40 g live soy yogurt']
    const cultured = ['Stir the yogurt into the soy milk.', 'Culture at 42 C for 9 hours.']
    const before = made(list, cultured).cookedMassG
    const third = made(list, [...cultured, 'Strain through a cloth until it has lost a third.'])
    expect(third.cookedMassG / before).toBeCloseTo(2 / 3, 2)
    const kept = made(list, [...cultured, 'Strain through a cloth until it keeps 60 % of its mass.'])
    expect(kept.cookedMassG / before).toBeCloseTo(0.6, 2)
    // Water that is lost is another matter than mass.
    expect(
      made(list, [...cultured, 'Strain until it has lost half of its water.']).cookedMassG,
    ).not.toBeCloseTo(before / 2, 0)
  })

  it('takes longer where it is to be silky, and hardly any time where it is done briefly', () => {
    const minutes = (words: string): number =>
      made(['200 g cooked white beans', '60 g water'], [`Blend the beans with the water ${words}`]).steps[0]
        ?.minutes ?? 0
    expect(minutes('until completely smooth.')).toBeGreaterThan(2 * minutes('well.'))
    expect(minutes('briefly.')).toBeLessThan(0.5 * minutes('well.'))
    expect(minutes('for 3 minutes until silky.')).toBe(3)
  })

  it('holds together where pulses were ground raw, and sets from the outside in', () => {
    const holdOf = (pulses: string, first: string, minutes: number): number => {
      const dish = dishOf(
        `A dish\n\nIngredients\n${pulses}\n1 tsp salt\noil for deep-frying\n\nMethod\n1. ${first}\n2. Pulse the chickpeas with the salt in a food processor to coarse crumbs.\n3. Shape into 20 balls.\n4. Deep-fry at 175 C for ${minutes} minutes.`,
      )
      const parts = dish.parts.map((part) => ({ ...part, family: 'bound-patty' as const }))
      const [part] = assess({ ...dish, parts }, library, defaultKitchen).parts
      return part?.ratios.find(({ id }) => id === 'hold-hot')?.value ?? Number.NaN
    }
    const raw = holdOf('250 g dried chickpeas', 'Soak the chickpeas overnight and drain.', 6)
    const boiled = holdOf('500 g cooked chickpeas', 'Drain the chickpeas.', 6)
    expect(raw).toBeGreaterThan(boiled + 0.2)
    const cooked = holdOf(
      '250 g dried chickpeas',
      'Soak the chickpeas overnight, drain and boil for 60 minutes, then drain.',
      6,
    )
    expect(raw).toBeGreaterThan(cooked + 0.2)
    const hardly = holdOf('250 g dried chickpeas', 'Soak the chickpeas overnight and drain.', 1)
    const through = holdOf('250 g dried chickpeas', 'Soak the chickpeas overnight and drain.', 12)
    expect(hardly).toBeLessThan(raw)
    expect(through).toBeGreaterThan(raw)
  })

  it('is crisp where sheets of rice paper are baked, whatever they were dipped in', () => {
    const part = made(
      ['64 g rice paper', '40 g soy sauce', '20 g oil', '20 g maple syrup'],
      [
        'Whisk the soy sauce, the oil and the maple syrup.',
        'Dip the rice paper in it and cut into strips.',
        'Bake on a tray at 200 C for 8 minutes.',
      ],
    )
    const evaporated = part.steps.at(-1)?.lost.find(({ what }) => what === 'evaporated')?.massG ?? 0
    expect(evaporated).toBeGreaterThan(14)
  })
})
