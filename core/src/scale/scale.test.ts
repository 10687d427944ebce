import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dishOf, partOf, stepOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { assess } from '../assess'
import { resolveLines } from '../composition'
import type { Dish } from '../model'
import { scaleNotes } from './notes'
import { roundDish } from './rounding'
import { scaleDish } from './scaleDish'
import { scaleStep, scaleWords } from './scaleStep'
import { shoppingList } from './shopping'
import { scaleFactor, type ScaleTarget } from './targets'

const UNITS = ['g', 'cup', 'tbsp', 'tsp', 'oz', 'mL']
const FOODS = [
  'white beans',
  'walnuts',
  'vital wheat gluten',
  'mushrooms',
  'olive oil',
  'salt',
  'water',
  'cornflour',
]
const line = fc
  .tuple(fc.integer({ min: 1, max: 40 }), fc.constantFrom(...UNITS), fc.constantFrom(...FOODS))
  .map(([amount, unit, food]) => `${amount / 4} ${unit} ${food}`)
const dishes = fc
  .array(fc.array(line, { minLength: 1, maxLength: 8 }), { minLength: 1, maxLength: 3 })
  .map((parts) => dishOf(...parts.map((lines) => partOf(lines, 'crumble-mince'))))

const gramsOf = (dish: Dish): number[] =>
  dish.parts.flatMap((part) =>
    resolveLines(part, testLibrary, testKitchen).map(({ mass }) => mass?.value ?? 0),
  )
const done = (dish: Dish) => assess(dish, testLibrary, testKitchen)
const factorOf = (dish: Dish, target: ScaleTarget) => scaleFactor(dish, testLibrary, testKitchen, target)

describe('scaleDish', () => {
  it('returns the same grams after times 3.7 and divided by 3.7, to 1e-9', () => {
    fc.assert(
      fc.property(dishes, (dish) => {
        const before = gramsOf(dish)
        gramsOf(scaleDish(scaleDish(dish, 3.7), 1 / 3.7)).forEach((grams, at) => {
          expect(Math.abs(grams - (before[at] ?? 0))).toBeLessThanOrEqual(1e-9 * Math.max(1, before[at] ?? 0))
        })
      }),
    )
  })

  it('keeps ratios, attributes and the portion', () => {
    fc.assert(
      fc.property(dishes, fc.double({ min: 0.2, max: 12, noNaN: true }), (dish, factor) => {
        const one = done(dish)
        const many = done(scaleDish(dish, factor))
        expect(many.rawMassG).toBeCloseTo(one.rawMassG * factor, 5)
        expect(many.perPortion.massG).toBeCloseTo(one.perPortion.massG, 6)
        one.parts.forEach((part, index) => {
          part.ratios.forEach(({ value }, at) =>
            expect(many.parts[index]?.ratios[at]?.value).toBeCloseTo(value, 6),
          )
          part.attributes.forEach(({ value }, at) =>
            expect(many.parts[index]?.attributes[at]?.value).toBeCloseTo(value, 6),
          )
        })
      }),
    )
  })

  it('scales the number of packs and not what stands on them, and a weighed mass', () => {
    const dish = dishOf(partOf(['2 x 400 g tins white beans', 'salt to taste'], null, { cookedMassG: 300 }))
    const [part] = scaleDish(dish, 1.5).parts
    expect(part?.lines[0]).toMatchObject({
      text: '3 x 400 g cans white beans',
      amount: { terms: [{ low: 3, pack: { quantity: 400 } }] },
    })
    expect(part?.lines[1]).toBe(dish.parts[0]?.lines[1])
    expect(part?.cookedMassG).toBe(450)
  })

  it.each([0, -1, Number.NaN, Number.POSITIVE_INFINITY])('throws for %d', (factor) => {
    expect(() => scaleDish(dishOf(partOf(['1 g salt'])), factor)).toThrow(RangeError)
  })
})

describe('scaleFactor', () => {
  const dish = dishOf(partOf(['400 g white beans', '100 g walnuts'], 'crumble-mince', { cookedMassG: 400 }))
  const partId = dish.parts[0]?.id ?? ''

  it('reaches portions and a finished mass', () => {
    expect(factorOf(dish, { to: 'portions', portions: 10 })).toMatchObject({
      ok: true,
      value: { factor: 2.5 },
    })
    expect(factorOf(dish, { to: 'mass', cookedMassG: 1000 })).toMatchObject({
      ok: true,
      value: { factor: expect.closeTo(2.5, 9) as number },
    })
  })

  it('finds the ingredient that is shortest', () => {
    const short = factorOf(dish, {
      to: 'have',
      have: [
        { foodId: 'beans', massG: 300 },
        { foodId: 'walnut', massG: 60 },
      ],
    })
    expect(short).toMatchObject({
      ok: true,
      value: { factor: 0.6, reason: 'Limited by walnuts: 60 g are there, the formula takes 100 g.' },
    })
  })

  it('fills a vessel to what it should hold', () => {
    const pot = factorOf(dish, { to: 'vessel', vessel: 'pot', capacityML: 2000, partId })
    expect(pot.ok && pot.value.factor).toBeCloseTo((2000 * 0.7 * 0.6) / 500, 6)
  })

  it.each<[ScaleTarget, string]>([
    [{ to: 'portions', portions: 0 }, 'no-portions'],
    [{ to: 'mass', cookedMassG: -1 }, 'no-mass'],
    [{ to: 'have', have: [] }, 'nothing-named'],
    [{ to: 'have', have: [{ foodId: 'salt', massG: 5 }] }, 'not-in-formula'],
    [{ to: 'have', have: [{ foodId: 'beans', massG: 0 }] }, 'nothing-there'],
    [{ to: 'vessel', vessel: 'pot', capacityML: 0, partId }, 'no-capacity'],
    [{ to: 'vessel', vessel: 'pot', capacityML: 100, partId: 'none' }, 'no-part'],
  ])('says what to enter for %j', (target, code) => {
    expect(factorOf(dish, target)).toMatchObject({ ok: false, issues: [{ code }] })
  })
})

describe('roundDish', () => {
  it('reports every error and never takes a ratio out of its window', () => {
    const rank = { in: 0, drift: 1, out: 2 }
    fc.assert(
      fc.property(dishes, fc.double({ min: 0.3, max: 6, noNaN: true }), (dish, factor) => {
        const scaled = scaleDish(dish, factor)
        const { dish: rounded, lines } = roundDish(scaled, testLibrary, testKitchen)
        const exact = gramsOf(scaled)
        const now = gramsOf(rounded)
        expect(lines).toHaveLength(exact.filter((grams) => grams > 0).length)
        const reported = lines.reduce(
          (sum, { exactG, errorFraction }) => sum + exactG * (1 + errorFraction),
          0,
        )
        expect(reported).toBeCloseTo(
          now.reduce((sum, grams) => sum + grams, 0),
          6,
        )
        const before = done(scaled)
        done(rounded).parts.forEach((part, index) => {
          part.ratios.forEach(({ state, id }, at) => {
            expect(rank[state], id).toBeLessThanOrEqual(rank[before.parts[index]?.ratios[at]?.state ?? 'out'])
          })
        })
      }),
      { numRuns: 60 },
    )
  })

  it('keeps a salt ratio in its window that a tenth of a gram would push out', () => {
    const edge = scaleDish(
      dishOf(
        partOf(['7 tsp cornflour', '2.75 tbsp mushrooms', '3 cup water', '6.75 mL salt'], 'crumble-mince', {
          originalId: null,
        }),
      ),
      0.6735,
    )
    const saltOf = (dish: Dish) => done(dish).parts[0]?.ratios.find(({ id }) => id === 'salt')
    expect(saltOf(edge)).toMatchObject({ state: 'in' })
    const { dish, lines } = roundDish(edge, testLibrary, testKitchen)
    expect(saltOf(dish)).toMatchObject({ state: 'in' })
    expect(lines.find(({ name }) => name === 'Salt')?.roundedG).toBeCloseTo(5.455, 6)
  })

  it('keeps salt to the gram and rounds the rest to what a kitchen measures', () => {
    const { dish, lines } = roundDish(
      scaleDish(dishOf(partOf(['1 cup white beans', '1 tsp salt', '1 tbsp olive oil'])), 1.37),
      testLibrary,
      testKitchen,
    )
    expect(dish.parts[0]?.lines.map(({ text }) => text)).toEqual([
      '1 ⅓ cups white beans',
      '8.1 g salt',
      '1 tbsp plus 1 tsp olive oil',
    ])
    expect(lines.find(({ name }) => name === 'Salt')).toMatchObject({ kept: 'exact' })
    expect(Math.abs(lines.find(({ name }) => name === 'Salt')?.errorFraction ?? 1)).toBeLessThan(0.01)
    expect(lines[0]?.errorFraction).toBeCloseTo(4 / 3 / 1.37 - 1, 6)
  })

  it('leaves usable amounts alone', () => {
    const dish = dishOf(partOf(['1 cup white beans', '1 tsp salt', '250 g mushrooms']))
    expect(roundDish(dish, testLibrary, testKitchen).dish).toEqual(dish)
  })
})

describe('scaleNotes', () => {
  const steps = [stepOf('Simmer 10 minutes')]
  const dish = dishOf(
    partOf(['400 g white beans', '20 g cornflour', '1 tsp garlic powder', '2 g salt'], null, { steps }),
  )
  const codes = (factor: number) => scaleNotes(dish, testLibrary, testKitchen, factor).map(({ code }) => code)

  it('says what does not scale, and is silent near 1', () => {
    expect(codes(3)).toEqual(['evaporation', 'cooking-time', 'spice', 'thickener'])
    expect(codes(0.4)).toEqual(['evaporation', 'cooking-time', 'thickener', 'scale-limit'])
    expect(codes(1.1)).toEqual([])
  })
})

describe('shoppingList', () => {
  const kitchen = { ...testKitchen, packs: [{ ingredientId: 'walnut', massG: 150, label: 'bag' }] }
  it('counts packs, what is left of them, and who could use it', () => {
    const dish = dishOf(partOf(['200 g walnuts', '300 g cooked kidney beans', '100 g water']))
    const other = { ...dishOf(partOf(['40 g walnuts'])), name: 'Topping' }
    const [walnuts, beans, ...rest] = shoppingList(dish, testLibrary, kitchen, [other])
    expect(walnuts).toMatchObject({
      massG: 200,
      packs: { count: 2, label: 'bag' },
      uses: [{ name: 'Topping', massG: 40 }],
    })
    expect(walnuts?.packs?.leftG).toBeCloseTo(100, 6)
    expect(beans).toMatchObject({ packs: null, dry: { foodId: 'kidney-beans-dry' }, uses: [] })
    expect(beans?.dry?.massG).toBeCloseTo(120, 6)
    expect(rest).toEqual([])
  })

  it('leaves nothing over of a pack that fits', () => {
    const [walnuts] = shoppingList(dishOf(partOf(['300 g walnuts'])), testLibrary, kitchen, [])
    expect(walnuts?.packs).toMatchObject({ count: 2 })
    expect(walnuts?.packs?.leftG).toBeCloseTo(0, 6)
  })
})

describe('scaling a method', () => {
  it('scales amounts of food in the words, never times, sizes or what a piece weighs', () => {
    expect(scaleWords('Blend with 200 ml of the soy milk for 90 seconds in a 28 cm pan.', 2)).toBe(
      'Blend with 400 ml of the soy milk for 90 seconds in a 28 cm pan.',
    )
    expect(scaleWords('Shape 90 g patties, 8 g oil each, with 1,5 kg mince at 180 °C.', 2)).toBe(
      'Shape 90 g patties, 16 g oil each, with 3 kg mince at 180 °C.',
    )
  })

  it('makes of a weighed step an end at the scaled mass, and leaves nothing weighed', () => {
    const step = stepOf('Brown the mushrooms 9 minutes', { weighedG: 120 })
    const scaled = scaleStep(step, 3)
    expect(scaled).toMatchObject({ weighedG: null, until: { kind: 'mass', massG: 360 }, durationMin: 9 })
    expect(scaled.byHand).toContain('until')
    expect(scaleStep(step, 1)).toBe(step)
  })

  it('scales water of the tap and water by the spoon', () => {
    const step = stepOf('Sweat the onion in water, 3 additions of 20 ml, then add 100 ml water')
    const scaled = scaleStep(step, 2)
    expect(scaled.settings.waterG).toBe((step.settings.waterG ?? Number.NaN) * 2)
    expect(scaleStep(scaled, 0.5).settings).toEqual(step.settings)
  })

  it('finds the factor for a finished mass although a fuller pan yields otherwise', () => {
    const part = partOf(['300 g mushrooms'], null)
    const dish = dishOf({ ...part, steps: [stepOf('Brown the mushrooms in a 28 cm pan for 10 minutes')] })
    const found = factorOf(dish, { to: 'mass', cookedMassG: 900 })
    if (!found.ok) throw new Error('no factor')
    expect(done(scaleDish(dish, found.value.factor)).cookedMassG).toBeCloseTo(900, 0)
  })
})
