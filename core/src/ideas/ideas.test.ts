import { describe, expect, it } from 'vitest'
import { dishOf, partOf, stepOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { assess } from '../assess'
import { Idea, type IdeaWhat, type Kitchen } from '../model'
import { heldIdeas, repeated, warning, ratioIdeasOf, whatOf, whatWords } from '.'

const LINES = ['300 g white beans', '80 g walnuts', '40 g olive oil', '6 g salt']
const dish = dishOf(
  partOf(LINES, 'crumble-mince', {
    name: 'Mince',
    steps: [stepOf('Mash the beans with the oil.'), stepOf('Bake at 180 °C for 20 minutes.')],
  }),
)
const food = (text: string): string => partOf([text]).lines[0]?.ingredientId ?? text
const ideaOf = (what: IdeaWhat, known: Partial<Idea> = {}): Idea =>
  Idea.parse({
    id: 'i1',
    verdict: 'rejected',
    what,
    words: 'walnuts for richness',
    reason: 'reads as sausage.',
    scope: { kind: 'kitchen' },
    dishId: dish.id,
    dishName: dish.name,
    trialNumber: 4,
    date: '2026-06-12',
    ...known,
  })
const nutId = food('80 g walnuts')
const walnuts: IdeaWhat = { kind: 'food', foodId: nutId, name: 'Walnuts', side: 'any', pct: 0 }
const assessed = (of = dish, kitchen: Kitchen = testKitchen) => assess(of, testLibrary, kitchen)
const isHeld = (what: IdeaWhat, known: Partial<Idea> = {}): boolean =>
  heldIdeas(dish, assessed(), [ideaOf(what, known)]).length > 0

describe('an idea that is kept in mind', () => {
  it('is met again in the dish, the family or the kitchen that it is kept for, and nowhere else', () => {
    expect(isHeld(walnuts)).toBe(true)
    expect(isHeld(walnuts, { scope: { kind: 'dish', dishId: dish.id } })).toBe(true)
    expect(isHeld(walnuts, { scope: { kind: 'dish', dishId: 'other' } })).toBe(false)
    expect(isHeld(walnuts, { scope: { kind: 'family', family: 'crumble-mince' } })).toBe(true)
    expect(isHeld(walnuts, { scope: { kind: 'family', family: 'foam' } })).toBe(false)
  })

  it('warns of what was rejected, not of what was kept', () => {
    expect(isHeld(walnuts, { verdict: 'kept' })).toBe(false)
  })

  it.each([
    ['above less than there is', { ...walnuts, side: 'above', pct: 10 }, true],
    ['above more than there is', { ...walnuts, side: 'above', pct: 30 }, false],
    ['below more than there is', { ...walnuts, side: 'below', pct: 30 }, true],
    ['a food that is not in it', { ...walnuts, foodId: 'nothing' }, false],
  ] as const)('looks at how much of a food: %s', (_, what, expected) => expect(isHeld(what)).toBe(expected))

  it('knows a swap by what is in and what is out', () => {
    const swap = (fromId: string, toId: string): IdeaWhat => ({
      kind: 'swap',
      fromId,
      toId,
      fromName: '',
      toName: '',
    })
    expect(isHeld(swap('almonds', nutId))).toBe(true)
    expect(isHeld(swap(food('40 g olive oil'), nutId))).toBe(false)
  })

  it('knows a doing, on a food or any, and how long', () => {
    const bake = (known: object): IdeaWhat => ({
      kind: 'method',
      operation: 'roast',
      foodId: null,
      foodName: '',
      field: null,
      side: 'any',
      value: 0,
      ...known,
    })
    expect(isHeld(bake({}))).toBe(true)
    expect(isHeld(bake({ operation: 'steam' }))).toBe(false)
    expect(isHeld(bake({ field: 'minutes', side: 'above', value: 15 }))).toBe(true)
    expect(isHeld(bake({ field: 'minutes', side: 'above', value: 25 }))).toBe(false)
    expect(isHeld({ ...bake({}), operation: 'mash', foodId: food('300 g white beans') } as IdeaWhat)).toBe(
      true,
    )
    expect(isHeld({ ...bake({}), operation: 'mash', foodId: food('80 g walnuts') } as IdeaWhat)).toBe(false)
  })

  it('knows a ratio by its side of a bound', () => {
    const ratio = assessed().parts[0]?.ratios[0]
    if (ratio === undefined) throw new Error('no ratio')
    const idea = (side: 'above' | 'below', value: number): IdeaWhat => ({
      kind: 'ratio',
      ratioId: ratio.id,
      label: ratio.label,
      side,
      value,
      unit: ratio.unit,
    })
    expect(isHeld(idea('above', ratio.value - 1))).toBe(true)
    expect(isHeld(idea('below', ratio.value - 1))).toBe(false)
  })

  it('is a finding where the dish repeats it, with the trial that showed it, and can be settled', () => {
    const kitchen = { ...testKitchen, ideas: [ideaOf(walnuts)] }
    const found = assessed(dish, kitchen).findings.find(({ rule }) => rule.startsWith('kept-in-mind'))
    expect(found?.message).toBe('Walnuts for richness was set aside in trial 4: reads as sausage.')
    expect(found?.line).toBe(dish.parts[0]?.lines[1]?.id)
    expect(warning(ideaOf(walnuts, { dishId: 'other', dishName: 'Souvlaki strips' }), dish)).toContain(
      'trial 4 of Souvlaki strips',
    )
  })

  it('is asked about before a proposal brings it, not where the dish has it already', () => {
    const without = {
      ...dish,
      parts: dish.parts.map((part) => ({ ...part, lines: part.lines.filter((_, at) => at !== 1) })),
    }
    expect(repeated(without, assessed(without), assessed(), [ideaOf(walnuts)])).toHaveLength(1)
    expect(repeated(dish, assessed(), assessed(), [ideaOf(walnuts)])).toHaveLength(0)
  })
})

describe('a change of a trial as an idea', () => {
  const sideOf = (of: typeof dish) => {
    const [reading] = assessed(of).parts
    if (reading === undefined) throw new Error('no part')
    return { reading, steps: of.parts[0]?.steps ?? [] }
  }
  const more = dishOf(
    partOf(['300 g white beans', '160 g walnuts', '40 g olive oil', '6 g salt'], 'crumble-mince', {
      steps: [
        dish.parts[0]?.steps[0] ?? stepOf('Mash.'),
        { ...stepOf('Bake at 180 °C for 40 minutes.'), id: dish.parts[0]?.steps[1]?.id ?? '' },
      ],
    }),
  )
  const nuts = more.parts[0]?.lines[1]?.id ?? ''
  const bake = more.parts[0]?.steps[1]?.id ?? ''
  const name = (operation: string) => operation

  it('is a food, or more of it than halfway', () => {
    const fresh = whatOf({ kind: 'new-food', id: nuts }, sideOf(dish), sideOf(more))
    expect(fresh).toMatchObject({ kind: 'food', side: 'any' })
    const amount = whatOf({ kind: 'amount', id: nuts }, sideOf(dish), sideOf(more))
    expect(amount).toMatchObject({ kind: 'food', side: 'above' })
    // 80 of 426 g and 160 of 506 g.
    expect(amount?.kind === 'food' && amount.pct).toBeCloseTo((100 * (80 / 426 + 160 / 506)) / 2, 0)
  })

  it('is a ratio, too, where it moved one across its window: halfway between what was and is', () => {
    const ideas = ratioIdeasOf({ kind: 'amount', id: nuts }, sideOf(dish), sideOf(more))
    expect(ideas.length).toBeGreaterThan(0)
    for (const what of ideas) {
      if (what.kind !== 'ratio') throw new Error(what.kind)
      const of = (side: typeof dish) =>
        sideOf(side).reading.ratios.find(({ id }) => id === what.ratioId)?.value ?? NaN
      expect(what.value).toBeCloseTo((of(dish) + of(more)) / 2, 1)
      expect(what.side).toBe(of(more) > of(dish) ? 'above' : 'below')
      // It warns of the trial that it is of, and not of the one before it.
      expect(heldIdeas(more, assessed(more), [ideaOf(what)])).toHaveLength(1)
      expect(heldIdeas(dish, assessed(), [ideaOf(what)])).toHaveLength(0)
    }
  })

  it('is no ratio where a doing changed, or nothing moved far enough', () => {
    expect(ratioIdeasOf({ kind: 'step', id: bake }, sideOf(dish), sideOf(more))).toEqual([])
    expect(ratioIdeasOf({ kind: 'amount', id: nuts }, sideOf(dish), sideOf(dish))).toEqual([])
    expect(ratioIdeasOf({ kind: 'amount', id: nuts }, null, sideOf(more))).toEqual([])
  })

  it('is a doing, longer than halfway', () => {
    const what = whatOf({ kind: 'step', id: bake }, sideOf(dish), sideOf(more))
    expect(what).toMatchObject({
      kind: 'method',
      operation: 'roast',
      field: 'minutes',
      side: 'above',
      value: 30,
    })
    expect(what === null ? '' : whatWords(what, name)).toContain('roast')
  })

  it('is nothing where it could not be met again', () => {
    expect(whatOf({ kind: 'batch', id: null }, sideOf(dish), sideOf(more))).toBeNull()
    expect(whatOf({ kind: 'gone-food', id: 'x' }, sideOf(dish), sideOf(more))).toBeNull()
  })
})
