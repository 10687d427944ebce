import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readNumber } from './numbers'

const point = { isDecimalComma: false }
const comma = { isDecimalComma: true }

describe('readNumber', () => {
  it.each([
    ['1 1/2 cups', 1.5],
    ['1-1/2 cups', 1.5],
    ['1½ cups', 1.5],
    ['1 ½', 1.5],
    ['½ tsp', 0.5],
    ['1/3 cup', 1 / 3],
    ['⅔', 2 / 3],
    ['1⁄2', 0.5],
    ['2 and 1/2', 2.5],
    ['2.5', 2.5],
    ['.5', 0.5],
    ['1,5 dl', 1.5],
    ['1,000 g', 1000],
    ['half a lemon', 0.5],
    ['a quarter cup', 0.25],
    ['one', 1],
    ['a dozen', 12],
    ['2 dozen', 24],
    ['a couple of', 2],
    ['one and a half cups', 1.5],
    ['three quarters', 0.75],
  ])('reads %j', (text, value) => {
    const found = readNumber(text, 0, point)
    expect(found?.low).toBeCloseTo(value, 9)
    expect(found?.high).toBeCloseTo(value, 9)
  })

  it.each([
    ['1 to 2 tbsp', 1, 2],
    ['2–3', 2, 3],
    ['2-3', 2, 3],
    ['1 or 2', 1, 2],
    ['½ to ¾', 0.5, 0.75],
    ['a few', 2, 4],
  ])('reads the range %j', (text, low, high) => {
    expect(readNumber(text, 0, point)).toMatchObject({ low, high })
  })

  it('takes a dot for thousands only where the recipe writes decimal commas', () => {
    expect(readNumber('1.500 g', 0, point)?.low).toBe(1.5)
    expect(readNumber('1.500 g', 0, comma)?.low).toBe(1500)
  })

  it.each(['cups', '', '-', 'salt'])('finds no number in %j', (text) => {
    expect(readNumber(text, 0, point)).toBeNull()
  })

  it('does not read a pack size as a range', () => {
    expect(readNumber('1 14-oz can', 0, point)).toMatchObject({ low: 1, high: 1, end: 1 })
  })

  it('reads every mixed fraction of eighths that it is given', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99 }), fc.integer({ min: 1, max: 7 }), (whole, part) => {
        expect(readNumber(`${whole} ${part}/8 cup`, 0, point)?.low).toBeCloseTo(whole + part / 8, 9)
      }),
    )
  })
})
