import { describe, expect, it } from 'vitest'
import { merge } from './merge'

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
    { code: '381', ask: 'firmness', value: 4 },
    { code: '381', ask: 'firmness', value: 6 },
    { code: '381', ask: 'chew', value: 2 },
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
]

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
