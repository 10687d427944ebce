import { CookDay, Dish, Kitchen, Tasting } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { KEYS, merge } from './merge'

/** Items of each kind of list that a document holds, two that are apart by what tells them apart. */
const LISTS: readonly (readonly [string, object, object, object])[] = [
  ['lines', { id: 'a', massG: 1 }, { id: 'a', massG: 2 }, { id: 'b', massG: 3 }],
  [
    'steps that a day does otherwise',
    { dishId: 'd', partId: 'p', stepId: 'a', operation: 'steam' },
    { dishId: 'd', partId: 'p', stepId: 'a', operation: 'boil' },
    { dishId: 'd', partId: 'p', stepId: 'b', operation: 'steam' },
  ],
  [
    'what a taster marked',
    { code: 381, ask: 'firmness', value: 4 },
    { code: 381, ask: 'firmness', value: 6 },
    { code: 381, ask: 'chew', value: 2 },
  ],
  [
    'swaps turned down',
    { replaces: 'milk', foodId: 'oat-milk', reason: '' },
    { replaces: 'milk', foodId: 'oat-milk', reason: 'thin' },
    { replaces: 'cream', foodId: 'oat-milk', reason: '' },
  ],
  [
    'goals of a series',
    { attribute: 'chew', low: 2, high: 3 },
    { attribute: 'chew', low: 3, high: 4 },
    { attribute: 'firmness', low: 2, high: 3 },
  ],
  [
    'what the recipe says',
    { heading: '', text: 'Fry the onion.', stepIds: ['a'] },
    { heading: '', text: 'Fry the onion.', stepIds: [] },
    { heading: '', text: 'Add the beans.', stepIds: ['b'] },
  ],
]

/** Lists that are one value: nobody adds to them by halves. */
const WHOLE: ReadonlySet<string> = new Set([
  // The terms of one amount.
  'terms',
  // What the scale gained, one after another, while one line was weighed.
  'additions',
  // What is put before a taster, drawn at once.
  'glasses',
])

/** Every list of things in a document, by the names on the way to it. */
function* listsIn(schema: z.core.$ZodType, path: readonly string[] = []): Generator<[string, z.ZodObject]> {
  if (schema instanceof z.ZodArray) {
    const items = unwrapped(schema.element)
    for (const item of items) {
      if (item instanceof z.ZodObject) yield [path.join('.'), item]
      yield* listsIn(item, path)
    }
  } else if (schema instanceof z.ZodObject) {
    for (const [name, field] of Object.entries(schema.shape))
      for (const one of unwrapped(field as z.core.$ZodType)) yield* listsIn(one, [...path, name])
  }
}
/** What a field may hold, without "or nothing" and "or as it was before". */
function unwrapped(schema: z.core.$ZodType): z.core.$ZodType[] {
  if (schema instanceof z.ZodNullable || schema instanceof z.ZodOptional || schema instanceof z.ZodDefault)
    return unwrapped(schema.def.innerType)
  if (schema instanceof z.ZodPipe) return unwrapped(schema.def.out)
  if (schema instanceof z.ZodUnion) return schema.def.options.flatMap(unwrapped)
  return [schema]
}

describe('the lists of the documents', () => {
  const lists = Object.entries({ dish: Dish, kitchen: Kitchen, day: CookDay, tasting: Tasting }).flatMap(
    ([name, schema]) => [...listsIn(schema, [name])],
  )
  it('are all found', () => {
    const names = lists.map(([path]) => path)
    for (const known of ['dish.parts.lines', 'kitchen.prices', 'day.settings.ways', 'tasting.answers.marks'])
      expect(
        names.some((name) => name.endsWith(known.split('.').slice(1).join('.'))),
        known,
      ).toBe(true)
  })
  it.each(lists)('%s: its things can be told apart', (path, item) => {
    if (WHOLE.has(path.split('.').at(-1) ?? '')) return
    const known = Object.keys(item.shape)
    expect(
      KEYS.some((names) => names.every((name) => known.includes(name))),
      `${path} holds ${known.join(', ')}`,
    ).toBe(true)
  })
})

describe('two sides of one document', () => {
  it.each(LISTS)('%s: one changed here and one added there are both kept', (_, item, changed, added) => {
    const { value, conflicts } = merge({ of: [item] }, { of: [changed] }, { of: [item, added] }, 'mine')
    expect(value.of).toEqual([changed, added])
    expect(conflicts).toEqual([])
  })

  it.each(LISTS)('%s: one taken out here and one added there', (_, item, __, added) => {
    const { value, conflicts } = merge({ of: [item] }, { of: [] }, { of: [item, added] }, 'theirs')
    expect(value.of).toEqual([added])
    expect(conflicts).toEqual([])
  })

  it('asks where both changed one thing, and the preferred side stands', () => {
    const sides = (prefer: 'mine' | 'theirs') =>
      merge({ of: [{ id: 'a', g: 1 }] }, { of: [{ id: 'a', g: 2 }] }, { of: [{ id: 'a', g: 3 }] }, prefer)
    expect(sides('mine').value.of).toEqual([{ id: 'a', g: 2 }])
    expect(sides('theirs').value.of).toEqual([{ id: 'a', g: 3 }])
    expect(sides('mine').conflicts).toEqual([{ path: ['of', 'a', 'g'], mine: 2, theirs: 3 }])
  })

  it('takes a list whose items cannot be told apart as one value, and asks', () => {
    const { value, conflicts } = merge({ of: [1, 2] }, { of: [1, 3] }, { of: [4, 2] }, 'mine')
    expect(value.of).toEqual([1, 3])
    expect(conflicts).toHaveLength(1)
  })

  it('keeps both orders where one side moved and the other added', () => {
    const was = { of: ['a', 'b', 'c'] }
    const { value } = merge(was, { of: ['c', 'a', 'b'] }, { of: ['a', 'new', 'b', 'c'] }, 'mine')
    expect(value.of).toEqual(['c', 'a', 'new', 'b'])
  })
})
