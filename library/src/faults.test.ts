import { assess } from '@frijol/core/assess'
import {
  type Assessment,
  blankDish,
  defaultKitchen,
  type FamilyId,
  type Part,
  type PartAssessment,
} from '@frijol/core/model'
import { roundDish } from '@frijol/core/scale'
import { stepFrom } from '@frijol/core/reading'
import { describe, expect, it } from 'vitest'
import { written } from '../test/dishes'
import { library } from '.'

let count = 0
const newId = () => `f${(count += 1)}`
function part(
  name: string,
  lines: readonly string[],
  steps: readonly string[],
  family: FamilyId | null = null,
): Part {
  const made = written(lines, [], family)
  return {
    ...made,
    id: newId(),
    name,
    lines: made.lines.map((line) => ({ ...line, id: newId() })),
    steps: steps.map((text) => stepFrom(text, newId())),
  }
}
const done = (...parts: Part[]): Assessment =>
  assess({ ...blankDish('d', 'Tried', '2026-06-14T12:00:00Z'), parts }, library, defaultKitchen)
const only = (
  lines: readonly string[],
  steps: readonly string[],
  family: FamilyId | null = null,
): PartAssessment => {
  const [found] = done(part('Main', lines, steps, family)).parts
  if (found === undefined) throw new Error('no part')
  return found
}
const cooked = (lines: readonly string[], steps: readonly string[]): number => only(lines, steps).cookedMassG
const attribute = ({ attributes }: PartAssessment, id: string) => {
  const found = attributes.find((one) => one.id === id)
  if (found === undefined) throw new Error(`no ${id}`)
  return found
}
const saltOf = ({ perPortion, portions }: Assessment): number => (perPortion.sodiumMg ?? 0) * portions

it('a tin’s content is one tin’s, with “each” or without', () => {
  for (const text of ['2 cans (400 g each) chickpeas', '2 cans (400 g) chickpeas'])
    expect(only([text], []).rawMassG, text).toBeCloseTo(480, 6)
})

describe('what is shared', () => {
  const sauce = () =>
    part(
      'Pepper sauce',
      ['400 g vegetable stock', '40 g cornflour'],
      ['Simmer the stock and cornflour 4 minutes.'],
    )

  it('by two takers is handed out once', () => {
    const assessed = done(
      sauce(),
      part('Beans', ['300 g cooked white beans'], ['Fold the pepper sauce into the beans.']),
      part('Lentils', ['300 g cooked brown lentils'], ['Fold the pepper sauce into the lentils.']),
    )
    const [first] = assessed.parts
    expect(first?.takenG).toBeCloseTo(first?.cookedMassG ?? 0, 6)
    expect(assessed.cookedMassG).toBeLessThan(400 + 40 + 300 + 300 + 1e-6)
  })

  it('nests: a sauce in a filling in a dish is in the raw mass once', () => {
    const assessed = done(
      sauce(),
      part('Bean filling', ['300 g cooked white beans'], ['Mix the beans with the pepper sauce.']),
      part('Bake', ['200 g cooked rice'], ['Layer the rice with the bean filling.']),
    )
    expect(assessed.parts[2]?.rawMassG).toBeCloseTo(400 + 40 + 300 + 200, 6)
    expect(assessed.rawMassG).toBeCloseTo(940, 6)
  })

  it('is found by its name in the plural as in the singular', () => {
    const assessed = done(
      part('Lentil balls', ['300 g cooked brown lentils'], ['Mash the lentils.']),
      part('Bowl', ['200 g cooked rice'], ['Top the rice with the lentil balls.']),
    )
    expect(assessed.parts[1]?.rawMassG).toBeCloseTo(500, 6)
  })

  it('is rounded with what it stands in: the ratios of the taker hold', () => {
    const lines = [
      '312.4 g cooked black beans',
      '61.3 g walnuts',
      '41.7 g vital wheat gluten',
      '23 g olive oil',
    ]
    const dish = {
      ...blankDish('d', 'Tried', '2026-06-14T12:00:00Z'),
      parts: [
        part(
          'Seasoning',
          ['37.7 g soy sauce', '4.3 g salt', '51 g water'],
          ['Stir the soy sauce, salt and water.'],
        ),
        part(
          'Mince',
          lines,
          [
            'Mash the beans.',
            'Mix in the walnuts, gluten, oil and the seasoning.',
            'Bake at 180 C for 25 minutes.',
          ],
          'crumble-mince',
        ),
      ],
    }
    const rank = { in: 0, drift: 1, out: 2 }
    const before = assess(dish, library, defaultKitchen).parts[1]?.ratios ?? []
    const rounded = roundDish(dish, library, defaultKitchen)
    const after = assess(rounded.dish, library, defaultKitchen).parts[1]?.ratios ?? []
    expect(after).toHaveLength(before.length)
    after.forEach(({ id, state }, at) => {
      expect(rank[state], id).toBeLessThanOrEqual(rank[before[at]?.state ?? 'out'])
    })
  })
})

describe('what is poured away', () => {
  it('is not eaten: salted boiling water, listed or not', () => {
    const listed = done(
      part(
        'Beans',
        ['200 g potatoes, peeled', '1500 g water', '15 g salt'],
        ['Boil the potatoes in the salted water for 15 minutes, then drain.'],
      ),
    )
    expect(saltOf(listed)).toBeLessThan(0.25 * 15 * 388)
    expect(saltOf(listed)).toBeGreaterThan(0)
  })

  it('nor a brine, of which the cheese takes a little up', () => {
    const brined = done(
      part(
        'Block',
        ['300 g firm tofu', '600 g water', '36 g salt'],
        ['Soak the tofu in the water and salt overnight, then drain.'],
      ),
    )
    expect(saltOf(brined)).toBeLessThan(0.5 * 36 * 388)
    expect(saltOf(brined)).toBeGreaterThan(0.02 * 36 * 388)
  })

  it('nor what a deep fryer holds: the oil that stays in the pan is not in the food', () => {
    const fried = only(
      ['300 g firm tofu', '1000 g sunflower oil'],
      ['Deep-fry the tofu at 180 C for 4 minutes.'],
    )
    expect(fried.cookedMassG).toBeLessThan(300)
    const kept = fried.steps[0]?.lost.find(({ what }) => what === 'left in the pan')
    expect(kept?.massG, JSON.stringify(fried.steps[0]?.lost)).toBeGreaterThan(900)
  })
})

describe('what cooking takes', () => {
  it('is less under a wrap, and less under sauce', () => {
    const bare = cooked(['400 g celeriac, diced'], ['Roast at 200 C for 40 minutes.'])
    const wrapped = cooked(['400 g celeriac, diced'], ['Wrap in foil and roast at 200 C for 40 minutes.'])
    const sauced = cooked(
      ['400 g celeriac, diced', '400 g tomato passata'],
      ['Mix the celeriac with the passata.', 'Bake in a dish at 200 C for 40 minutes.'],
    )
    expect(wrapped).toBeGreaterThan(bare)
    expect((800 - sauced) / 800).toBeLessThan((400 - bare) / 400)
  })

  it('is at least as much in a pan of fat as browning takes from wet food', () => {
    const browned = cooked(['300 g courgette, sliced'], ['Brown the courgette for 8 minutes.'])
    const fried = cooked(
      ['300 g courgette, sliced', '10 g olive oil'],
      ['Fry the courgette in the oil for 8 minutes.'],
    )
    expect(fried - 10).toBeLessThan(1.1 * browned)
  })

  it('stops exactly at a stated mass, and says so where oil cannot go', () => {
    const { cookedMassG } = only(['900 g tomato passata'], ['Reduce until it weighs 300 g.'])
    expect(cookedMassG).toBeCloseTo(300, 6)
    const oil = only(['200 g olive oil'], ['Reduce by half.'])
    expect(Number.isFinite(oil.steps[0]?.minutes)).toBe(true)
    expect(oil.cookedMassG).toBeCloseTo(200, 3)
  })

  it('takes the refuse of a whole food and none of a prepared one', () => {
    const whole = cooked(['1000 g butternut squash'], ['Peel and seed the squash.'])
    const eaten = cooked(['1000 g butternut squash, peeled and seeded'], ['Cut the squash into cubes.'])
    expect(whole).toBeLessThan(900)
    expect(eaten).toBeGreaterThan(980)
  })
})

describe('the state of what is eaten', () => {
  const sauceOf = (lines: readonly string[], steps: readonly string[]) => only(lines, steps, 'coating-sauce')

  it('raw starch does not thicken', () => {
    const lines = ['500 g soy milk', '30 g cornflour']
    const raw = sauceOf(lines, ['Whisk the soy milk and cornflour.'])
    const hot = sauceOf(lines, ['Whisk the soy milk and cornflour.', 'Simmer 5 minutes.'])
    expect(hot.viscosityPaS ?? 0).toBeGreaterThan(10 * (raw.viscosityPaS ?? Number.POSITIVE_INFINITY))
  })

  it('nuts that were not blended are grainier', () => {
    const lines = ['300 g soy milk', '90 g raw cashews', '10 g cornflour']
    const chopped = sauceOf(lines, ['Chop the cashews.', 'Simmer everything 5 minutes.'])
    const blended = sauceOf(lines, ['Blend everything 4 minutes.', 'Simmer 5 minutes.'])
    expect(attribute(chopped, 'graininess').value).toBeGreaterThan(attribute(blended, 'graininess').value)
  })

  it('a cultured milk is a curd, and gives up its whey', () => {
    const yogurt = ['Warm the soy milk to 43 C.', 'Stir in the yogurt and culture for 8 hours at 43 C.']
    const lines = ['1000 g soy milk', '30 g soy yogurt']
    const strained = cooked(lines, [...yogurt, 'Strain through cloth for 6 hours in the fridge.'])
    expect(cooked(lines, yogurt)).toBeGreaterThan(990)
    expect(strained).toBeGreaterThan(400)
    expect(strained).toBeLessThan(750)
  })

  it('a stock that stands alone needs no first name', () => {
    const steps = ['Boil down the stock and soy sauce to 350 g.']
    expect(cooked(['600 g mushroom stock', '30 g soy sauce'], steps)).toBeCloseTo(350, 6)
  })

  it('agar that was never boiled sets nothing', () => {
    const lines = ['400 g soy milk', '4 g agar powder']
    const boiled = only(lines, ['Boil everything 3 minutes.', 'Chill 3 hours.'])
    const cold = only(lines, ['Whisk everything together.', 'Chill 3 hours.'])
    expect(boiled.steps.at(-1)?.state.gels.map(({ state }) => state)).toEqual(['set'])
    expect(cold.steps.at(-1)?.state.gels.map(({ state }) => state)).not.toContain('set')
  })
})

describe('what is not known', () => {
  it('may be the liquid: nothing comes from the tap beside it', () => {
    const jelly = cooked(
      ['500 g zorbel juice', '5 g agar powder'],
      ['Simmer the juice and the agar 3 minutes.'],
    )
    expect(jelly).toBeLessThanOrEqual(505)
  })

  const base = [
    '300 g cooked black beans',
    '60 g walnuts',
    '40 g vital wheat gluten',
    '25 g olive oil',
    '5 g salt',
  ]
  const steps = ['Mash the beans and mix in everything.', 'Bake at 180 C for 25 minutes.']

  it('never makes a reading more certain, and is never counted as nothing without a word', () => {
    const known = only([...base, '120 g button mushrooms'], steps, 'crumble-mince')
    const unknown = only([...base, '120 g zorbel'], steps, 'crumble-mince')
    for (const reading of unknown.attributes) {
      const other = known.attributes.find(({ id }) => id === reading.id)
      if (other === undefined) continue
      expect(reading.known, reading.id).toBe('partly')
      expect(reading.sd, reading.id).toBeGreaterThanOrEqual(0.999 * other.sd)
    }
  })

  it('more water never firms, a binder less never holds better', () => {
    const plain = only(base, steps, 'crumble-mince')
    const wetter = only([...base, '60 g water'], steps, 'crumble-mince')
    const unbound = only(
      base.filter((line) => !line.includes('gluten')),
      steps,
      'crumble-mince',
    )
    expect(attribute(wetter, 'chewiness').value).toBeLessThanOrEqual(
      attribute(plain, 'chewiness').value + 1e-9,
    )
    expect(attribute(unbound, 'chewiness').value).toBeLessThanOrEqual(
      attribute(plain, 'chewiness').value + 1e-9,
    )
    expect(attribute(unbound, 'crumbliness').value).toBeGreaterThanOrEqual(
      attribute(plain, 'crumbliness').value - 1e-9,
    )
  })
})
