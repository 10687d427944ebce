import { assess, explain } from '@frijol/core/assess'
import { readRecipes, toJsonLd } from '@frijol/core/interchange'
import { type Assessment, blankDish, defaultKitchen, type Dish, type Part } from '@frijol/core/model'
import { observationId } from '@frijol/core/program'
import { readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { describe, expect, it } from 'vitest'
import { kitchenWith, reader, written } from '../test/dishes'
import { library } from '.'

let count = 0
const newId = () => `id${(count += 1)}`
/** A part with ids of its own: a dish's parts never share them. */
function partNamed(name: string, lines: readonly string[], steps: readonly string[]): Part {
  const part = written(lines, [])
  return {
    ...part,
    id: newId(),
    name,
    lines: part.lines.map((line) => ({ ...line, id: newId() })),
    steps: steps.map((text) => stepFrom(text, newId())),
  }
}
const dishOf = (...parts: Part[]): Dish => ({ ...blankDish('d', 'Bake', '2026-06-14T12:00:00Z'), parts })
const done = (dish: Dish, kitchen = defaultKitchen): Assessment => assess(dish, library, kitchen)
const sauce = () =>
  partNamed(
    'White sauce',
    ['400 ml soy milk', '30 g wheat flour', '4 g salt'],
    ['Simmer the soy milk, flour and salt 5 minutes.'],
  )

describe('a part that takes another', () => {
  const top = (step: string) => partNamed('Gratin', ['300 g cooked white beans'], ['Mash the beans.', step])

  it('whole: its mass and salt come along, and nothing is counted twice', () => {
    const parts = [sauce(), top('Fold the white sauce into the beans.')]
    const together = done(dishOf(...parts))
    const apart = done(dishOf(sauce(), top('Stir the beans.')))
    const [first, second] = together.parts
    expect(first?.takenG).toBeCloseTo(first?.cookedMassG ?? 0, 6)
    expect(first?.leftoverG).toBeCloseTo(0, 6)
    expect(second?.steps[1]?.takes.map(({ kind }) => kind).sort()).toEqual(['part', 'step'])
    expect(together.rawMassG).toBeCloseTo(apart.rawMassG, 6)
    expect(together.cookedMassG).toBeCloseTo(apart.cookedMassG, 0)
    const whole = ({ perPortion, portions }: Assessment) => (perPortion.sodiumMg ?? 0) * portions
    expect(whole(together)).toBeCloseTo(whole(apart), 0)
  })

  it('half: the rest is kept as left over', () => {
    const base = sauce()
    const gratin = top('Fold the sauce in.')
    const [, fold] = gratin.steps
    if (fold === undefined) throw new Error('no step')
    const steps = gratin.steps.map((step) =>
      step.id === fold.id
        ? {
            ...step,
            uses: [
              { kind: 'step' as const, id: gratin.steps[0]?.id ?? '', share: null },
              { kind: 'part' as const, id: base.id, share: 0.5 },
            ],
          }
        : step,
    )
    const { parts } = done(dishOf(base, { ...gratin, steps }))
    expect(parts[0]?.takenG).toBeCloseTo((parts[0]?.cookedMassG ?? 0) / 2, 6)
    expect(parts[0]?.leftoverG).toBeCloseTo((parts[0]?.cookedMassG ?? 0) / 2, 6)
  })

  it('in a ring: neither can be first, and both are still worked out', () => {
    const a = partNamed('Alpha paste', ['100 g tahini'], ['Mix the tahini with the beta paste.'])
    const b = partNamed('Beta paste', ['100 g walnuts'], ['Mix the walnuts with the alpha paste.'])
    const { parts } = done(dishOf(a, b))
    expect(parts.map(({ cookedMassG }) => cookedMassG > 0)).toEqual([true, true])
  })
})

describe('an ingredient split across steps', () => {
  it('is taken by share, and what no step takes is named with its mass', () => {
    const part = written(['100 g olive oil', '200 g onion'], ['Sweat the onion.', 'Stir in the oil.'])
    const [oil, onion] = part.lines
    const [sweat, stir] = part.steps
    if (oil === undefined || onion === undefined || sweat === undefined || stir === undefined)
      throw new Error('incomplete')
    const steps = [
      {
        ...sweat,
        uses: [
          { kind: 'line' as const, id: oil.id, share: 0.3 },
          { kind: 'line' as const, id: onion.id, share: null },
        ],
      },
      {
        ...stir,
        uses: [
          { kind: 'step' as const, id: sweat.id, share: null },
          { kind: 'line' as const, id: oil.id, share: 0.5 },
        ],
      },
    ]
    const [reading] = done(dishOf({ ...part, steps })).parts
    const taken = reading?.steps.flatMap(({ takes }) => takes.filter(({ id }) => id === oil.id))
    expect(taken?.map(({ massG }) => Math.round(massG))).toEqual([30, 50])
    expect(reading?.unused).toMatchObject([{ lineId: oil.id }])
    expect(reading?.unused[0]?.massG).toBeCloseTo(20, 6)
  })
})

describe('nutrition and yield of the cooked batch', () => {
  it('loses the salt that is poured away, and keeps what only water left', () => {
    const lines = ['300 g cooked chickpeas', '300 ml vegetable stock', '6 g salt']
    const sodium = (steps: string[]) => {
      const { perPortion, portions } = done(dishOf(written(lines, steps)))
      return (perPortion.sodiumMg ?? 0) * portions
    }
    const all = sodium(['Combine all the ingredients.'])
    expect(sodium(['Simmer all the ingredients for 15 minutes.'])).toBeCloseTo(all, 0)
    expect(sodium(['Combine all the ingredients.', 'Drain the chickpeas.'])).toBeLessThan(0.7 * all)
  })

  it('follows the steps: the portion is a share of what is left', () => {
    const dish = dishOf(written(['500 g button mushrooms'], ['Brown the mushrooms until 40 % lighter.']))
    const { perPortion, portions, cookedMassG } = done(dish)
    expect(cookedMassG).toBeCloseTo(300, 6)
    expect(perPortion.massG).toBeCloseTo(300 / portions, 6)
  })
})

describe('a weighed step', () => {
  const part = written(['500 g button mushrooms'], ['Brown the mushrooms in a 32 cm pan for 10 minutes.'])
  const weighed = (massG: number | null): Dish =>
    dishOf({ ...part, steps: part.steps.map((step) => ({ ...step, weighedG: massG })) })
  const reading = (massG: number | null, kitchen = defaultKitchen) =>
    done(weighed(massG), kitchen).parts[0]?.steps[0]

  it('is not foretold by itself, but an earlier weighing of another step foretells it', () => {
    const model = reading(null)
    const fit = reading((model?.massG ?? 0) * 0.8)?.fit
    const observation = {
      operation: 'brown' as const,
      vessel: model?.vesselId ?? '',
      lnRatio: fit?.lnRatio ?? 0,
      sd: fit?.sd ?? 1,
    }
    const own = kitchenWith({
      observations: [{ ...observation, id: observationId(part.steps[0]?.id ?? '', 1) }],
    })
    const others = kitchenWith({ observations: [{ ...observation, id: observationId('another', 1) }] })
    expect(reading(200, own)?.fit?.predictedG).toBeCloseTo(model?.massG ?? 0, 6)
    expect(reading(200, others)?.fit?.predictedG).toBeLessThan((model?.massG ?? 0) - 1)
    expect(reading(null, own)?.massG).toBeLessThan((model?.massG ?? 0) - 1)
  })

  it('that nothing explains is said, and keeps what is there', () => {
    const fit = reading(5)?.fit
    expect(fit?.impossibleG).toBeGreaterThan(1)
  })
})

describe('a method in a file', () => {
  it('comes back with its uses, other ways and hand settings', () => {
    const part = written(
      ['500 g button mushrooms', '20 g olive oil'],
      ['Brown the mushrooms 9 minutes.', 'Stir in the oil.'],
    )
    const [first, second] = part.steps
    const [, oil] = part.lines
    if (first === undefined || second === undefined || oil === undefined) throw new Error('incomplete')
    const own: Part = {
      ...part,
      steps: [
        { ...first, durationMin: 14, byHand: ['durationMin'], cue: 'Deep gold at the rims.', weighedG: 260 },
        {
          ...second,
          uses: [
            { kind: 'step', id: first.id, share: null },
            { kind: 'line', id: oil.id, share: 0.5 },
          ],
        },
      ],
      ways: [
        {
          id: 'way',
          name: 'In the oven',
          steps: [stepFrom('Roast the mushrooms at 200 °C for 25 minutes.', 'w')],
        },
      ],
    }
    const dish = dishOf(own)
    const read = readRecipes(toJsonLd(dish, null), {
      reader,
      newId,
      now: dish.createdAt,
      readStep: stepFrom,
      readMethod: readRecipeMethod,
    })
    if (!read.ok) throw new Error(read.issues[0]?.message)
    const [back] = read.value[0]?.parts ?? []
    expect(back?.steps[0]).toMatchObject({
      durationMin: 14,
      byHand: ['durationMin'],
      cue: 'Deep gold at the rims.',
      weighedG: 260,
    })
    expect(back?.steps[1]?.uses).toEqual([
      { kind: 'step', id: back?.steps[0]?.id, share: null },
      { kind: 'line', id: back?.lines[1]?.id, share: 0.5 },
    ])
    expect(back?.ways).toMatchObject([{ name: 'In the oven', steps: [{ operation: 'roast', tempC: 200 }] }])
    const massOf = (one: Dish) => done(one).parts[0]?.cookedMassG
    expect(massOf(read.value[0] ?? dish)).toBeCloseTo(massOf(dish) ?? 0, 6)
  })
})

describe('why a step weighs what it weighs', () => {
  const part = written(
    ['500 g button mushrooms', '400 ml soy milk', '5 g salt'],
    [
      'Brown the mushrooms in a 32 cm pan for 10 minutes.',
      'Simmer the soy milk 10 minutes.',
      'Stir in the mushrooms.',
    ],
  )
  const ask = (at: number, dish = dishOf(part), kitchen = defaultKitchen) =>
    explain(dish, library, kitchen, {
      kind: 'step',
      partId: part.id,
      stepId: dish.parts[0]?.steps[at]?.id ?? '',
    })

  it('names the law, the constant with its source, what left, and what would move it', () => {
    const why = ask(0)
    const reading = done(dishOf(part)).parts[0]?.steps[0]
    expect(why?.title).toBe(`After brown: ${Math.round(reading?.massG ?? 0)} g`)
    expect(why?.equation).toContain('e^(−k × minutes)')
    expect(why?.inputs.map(({ label }) => label)).toEqual(
      expect.arrayContaining(['button mushrooms', 'Time, 2 loads', 'Done in', 'evaporated']),
    )
    expect(why?.inputs.find(({ label }) => label.startsWith('Constant'))?.source).toMatch(/fitted to \d+ row/)
    const longer = why?.levers.find(({ label }) => label === 'a quarter longer')
    expect(longer?.change.startsWith('−')).toBe(true)
  })

  it('for a pot speaks of its surface, and a lid keeps more', () => {
    expect(ask(1)?.equation).toContain('area × lid')
    expect(
      ask(1)
        ?.levers.find(({ label }) => label === 'with the lid on')
        ?.change.startsWith('+'),
    ).toBe(true)
  })

  it('for a weighed step names the scale, and for a learned one the weighings', () => {
    const [first] = part.steps
    const weighed = dishOf({
      ...part,
      steps: part.steps.map((step) => (step === first ? { ...step, weighedG: 260 } : step)),
    })
    expect(ask(0, weighed)).toMatchObject({ title: 'After brown: 260 g', levers: [] })
    expect(ask(0, weighed)?.equation).toContain('the scale decides')
    const kitchen = kitchenWith({
      observations: [{ id: 'x@1', operation: 'brown', vessel: 'pan-32', lnRatio: 0.3, sd: 0.13 }],
    })
    expect(
      ask(0, dishOf(part), kitchen)?.inputs.find(({ label }) => label === 'This kitchen')?.source,
    ).toContain('1 weighing')
  })

  it('has no answer for a step that is gone', () => {
    expect(ask(9)).toBeNull()
  })

  it('a portion’s sources add up to it, less what was poured away', () => {
    const drained = dishOf(
      written(
        ['300 g cooked chickpeas', '300 ml vegetable stock', '6 g salt'],
        ['Combine all the ingredients.', 'Drain the chickpeas.'],
      ),
    )
    const why = explain(drained, library, defaultKitchen, { kind: 'portion', nutrient: 'sodiumMg' })
    const sum =
      why?.inputs.reduce((total, { value }) => total + Number.parseFloat(value.replace('−', '-')), 0) ?? 0
    const served = done(drained).perPortion.sodiumMg ?? 0
    expect(Math.abs(sum - served) / served).toBeLessThan(0.02)
    expect(why?.inputs.at(-1)?.source).toBe('the method')
  })
})
