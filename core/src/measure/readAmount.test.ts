import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { AmountTerm, type UnitId } from '../model'
import { formatAmount } from './format'
import { readAmount } from './readAmount'

const first = (text: string): AmountTerm | undefined => readAmount(text)?.terms[0]

describe('readAmount', () => {
  it.each<[string, Partial<AmountTerm>]>([
    ['6 tbsp', { low: 6, unit: 'tbsp' }],
    ['60 g', { low: 60, unit: 'g' }],
    ['500g', { low: 500, unit: 'g' }],
    ['1 T', { unit: 'tbsp' }],
    ['1 t', { unit: 'tsp' }],
    ['2 heaped tablespoons', { low: 2, unit: 'tbsp', qualifier: 'heaping' }],
    ['1 scant cup', { unit: 'cup', qualifier: 'scant' }],
    ['1 cup packed', { unit: 'cup', qualifier: 'packed' }],
    ['1 cup loosely packed', { unit: 'cup', qualifier: 'loosely-packed' }],
    ['1 metric cup', { unit: 'metric-cup' }],
    ['8 fl. oz', { unit: 'fl-oz' }],
    ['2 large', { low: 2, unit: null, size: 'large' }],
    ['a large handful', { low: 1, unit: 'handful', size: 'large' }],
    ['pinch', { low: 1, unit: 'pinch' }],
    ['1 (14 oz) can', { low: 1, unit: 'can', pack: { quantity: 14, unit: 'oz' } }],
    ['1 14-oz can', { low: 1, unit: 'can', pack: { quantity: 14, unit: 'oz' } }],
    ['2 x 400 g tins', { low: 2, unit: 'can', pack: { quantity: 400, unit: 'g' } }],
    ['400g/14oz tin', { low: 1, unit: 'can', pack: { quantity: 400, unit: 'g' } }],
    ['3 x 200 g', { low: 600, unit: 'g' }],
    ['1 tsp to 1 tbsp', { low: 1, unit: 'tsp' }],
  ])('reads %j', (text, wanted) => {
    expect(first(text)).toMatchObject(wanted)
  })

  it('adds and takes away', () => {
    expect(readAmount('2 tbsp plus 1 tsp')?.terms).toMatchObject([
      { low: 2, unit: 'tbsp', sign: 1 },
      { low: 1, unit: 'tsp', sign: 1 },
    ])
    expect(readAmount('1 cup less 1 tbsp')?.terms[1]).toMatchObject({ low: 1, unit: 'tbsp', sign: -1 })
    expect(readAmount('1 lb 2 oz')?.terms).toMatchObject([
      { low: 1, unit: 'lb' },
      { low: 2, unit: 'oz' },
    ])
  })

  it('carries a range over different units into the first', () => {
    expect(first('1 tsp to 1 tbsp')?.high).toBeCloseTo(3, 3)
  })

  it('says when an amount is only about', () => {
    expect(readAmount('about 2 cups')?.isApproximate).toBe(true)
    expect(readAmount('2 cups')?.isApproximate).toBe(false)
  })

  it.each(['', 'salt', '2 cups flour', 'g', 'six and'])('is null for %j', (text) => {
    expect(readAmount(text)).toBeNull()
  })

  it('reads back what it writes', () => {
    const units: UnitId[] = ['g', 'kg', 'tsp', 'tbsp', 'cup', 'oz', 'mL', 'clove', 'sprig', 'can']
    const quantity = fc.oneof(
      fc.integer({ min: 1, max: 900 }),
      fc.integer({ min: 1, max: 63 }).map((eighths) => eighths / 8),
    )
    const terms = fc.record({
      sign: fc.constant(1 as const),
      low: quantity,
      unit: fc.constantFrom(...units, null),
      qualifier: fc.constant(null),
      size: fc.constant(null),
      pack: fc.constant(null),
    })
    fc.assert(
      fc.property(terms, fc.boolean(), (term, isApproximate) => {
        const amount = { terms: [{ ...term, high: term.low }], isApproximate }
        const again = readAmount(formatAmount(amount))
        expect(again?.isApproximate).toBe(isApproximate)
        expect(again?.terms[0]).toMatchObject({ unit: term.unit })
        expect(again?.terms[0]?.low).toBeCloseTo(term.low, 5)
        expect(AmountTerm.safeParse(again?.terms[0]).success).toBe(true)
      }),
    )
  })
})
