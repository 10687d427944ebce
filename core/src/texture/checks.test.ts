import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ATTRIBUTES } from '../model'
import { ATTRIBUTE_SCALES } from './attributeScale'
import { checkOf, KITCHEN_CHECKS } from './checks'

const points = (id: string, value: number): number => {
  const check = KITCHEN_CHECKS.find((one) => one.id === id)
  if (check === undefined) throw new Error(id)
  return check.points(value)
}

describe('kitchen checks', () => {
  it.each([
    ['press', 0.7, 2],
    ['press', 20, 4.9],
    ['press', 300, 10],
    ['spring-back', 80, 2],
    ['spring-back', 90, 6],
    ['strands', 40, 4],
    ['line-spread', 5, 4.5],
    ['string', 10, 5],
    ['sieve', 6, 6],
    ['snap', 30, 7],
    ['pressed-out', 2, 3],
  ])('%s of %d is %d points', (id, value, expected) => {
    expect(points(id, value)).toBeCloseTo(expected, 0)
  })
  it('stay on the scale and go one way', () => {
    for (const { points: of, low, high } of KITCHEN_CHECKS) {
      const way = Math.sign(of(high) - of(low))
      fc.assert(
        fc.property(
          fc.double({ min: low, max: high, noNaN: true }),
          fc.double({ min: 0, max: 1, noNaN: true }),
          (value, share) => {
            const further = value + share * (high - value)
            expect(of(value)).toBeGreaterThanOrEqual(0)
            expect(of(value)).toBeLessThanOrEqual(10)
            expect(way * (of(further) - of(value))).toBeGreaterThanOrEqual(-1e-9)
          },
        ),
        { numRuns: 50 },
      )
    }
  })
  it('are found by the attribute that they speak of', () => {
    expect(checkOf('stretch')?.id).toBe('string')
    expect(checkOf('umami')).toBeNull()
  })
})

it('every attribute has a meaning, anchors and a way to judge it', () => {
  for (const id of ATTRIBUTES) {
    const { meaning, anchors, judge } = ATTRIBUTE_SCALES[id]
    expect(new Set([meaning, judge, ...anchors]).size).toBe(5)
  }
})
