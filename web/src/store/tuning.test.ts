import { blankDish, type Dish } from '@frijol/core/model'
import { gramsLine, foodLine } from '@frijol/core/measure'
import type { Answer } from '@frijol/core/tune'
import { stepFrom } from '@frijol/core/reading'
import { library } from '@frijol/library'
import { describe, expect, it } from 'vitest'
import { isCooked, withoutChanges } from './tuning'

const food = (id: string) => {
  const found = library.ingredients.get(id)
  if (found === undefined) throw new Error(id)
  return found
}

function dishes(): { dish: Dish; answer: Answer } {
  const blank = blankDish('d', 'Patties', '2026-06-14T12:00:00Z')
  const [first] = blank.parts
  if (first === undefined) throw new Error('no part')
  const beans = foodLine(food('black-beans-cooked'), 300, 'beans')
  const oats = foodLine(food('oats-rolled'), 80, 'oats')
  const oil = foodLine(food('olive-oil'), 12, 'new-oil')
  const mix = { ...stepFrom('Mix the beans and oats for 4 minutes.', 'mix'), durationMin: 4 }
  const dish: Dish = { ...blank, parts: [{ ...first, lines: [beans, oats], steps: [mix] }] }
  const longer = {
    ...mix,
    durationMin: 6,
    text: 'Mix the beans and oats for 6 minutes.',
    uses: ['beans', 'oats', 'new-oil'].map((id) => ({ kind: 'line' as const, id, share: null })),
  }
  const proposed: Dish = {
    ...dish,
    parts: [{ ...first, lines: [gramsLine(beans, 250), gramsLine(oats, 100), oil], steps: [longer] }],
  }
  return {
    dish,
    answer: {
      kind: 'closest',
      dish: proposed,
      lines: [],
      process: [{ stepId: 'mix', step: longer.text, parameter: 'minutes', before: 4, after: 6 }],
      attributes: [],
      objective: { before: 1, after: 0 },
      limits: [],
      consistency: null,
      assessment: null as never,
    },
  }
}
const texts = ({ parts }: Dish) => parts[0]?.lines.map(({ text }) => text)

describe('an answer taken in part', () => {
  it('is the whole proposal where nothing is left out', () => {
    const { dish, answer } = dishes()
    expect(withoutChanges(dish, answer, new Set())).toBe(answer.dish)
  })

  it('leaves single lines as they are', () => {
    const { dish, answer } = dishes()
    const taken = withoutChanges(dish, answer, new Set(['oats']))
    expect(texts(taken)).toEqual([
      '250 g cooked black beans',
      '80 g rolled oats',
      '12 g extra virgin olive oil',
    ])
  })

  it('takes a food that was let in out of its step with it', () => {
    const { dish, answer } = dishes()
    const taken = withoutChanges(dish, answer, new Set(['new-oil']))
    expect(texts(taken)).toEqual(['250 g cooked black beans', '100 g rolled oats'])
    expect(taken.parts[0]?.steps[0]?.uses?.map(({ id }) => id)).toEqual(['beans', 'oats'])
  })

  it('leaves a step as it is', () => {
    const { dish, answer } = dishes()
    const [step] = withoutChanges(dish, answer, new Set(['mix'])).parts[0]?.steps ?? []
    expect(step).toMatchObject({ durationMin: 4, text: 'Mix the beans and oats for 4 minutes.' })
  })
})

it('a formula of which something was weighed was cooked', () => {
  const { dish } = dishes()
  expect(isCooked(dish)).toBe(false)
  const weighed = (change: object) => ({ parts: dish.parts.map((part) => ({ ...part, ...change })) })
  expect(isCooked(weighed({ cookedMassG: 280 }))).toBe(true)
  expect(isCooked(weighed({ steps: dish.parts[0]?.steps.map((step) => ({ ...step, weighedG: 300 })) }))).toBe(
    true,
  )
})
