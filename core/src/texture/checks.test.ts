import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ATTRIBUTES } from '../model'
import { ATTRIBUTE_SCALES } from './attributeScale'
import { checked, checkOf, checkOfKind, KITCHEN_CHECKS } from './checks'

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
  it('are written down at the counter each under a kind of its own', () => {
    expect(new Set(KITCHEN_CHECKS.map(({ kind }) => kind)).size).toBe(KITCHEN_CHECKS.length)
    for (const check of KITCHEN_CHECKS) expect(checkOfKind(check.kind)).toBe(check)
    expect(checkOfKind('yield')).toBeNull()
  })
  it('take the median of repeats, and are the surer for them', () => {
    const ring = checkOf('thickness')
    if (ring === null) throw new Error('no ring')
    const once = checked(ring, [4])
    const thrice = checked(ring, [4, 9, 3.8])
    expect(once).toMatchObject({ value: 4, times: 1 })
    expect(once?.points).toBeCloseTo(8.5 - 0.8 * 4, 9)
    expect(thrice).toMatchObject({ value: 4, times: 3 })
    expect(thrice?.sd).toBeLessThan(once?.sd ?? 0)
    expect(checked(ring, [4, 5])?.value).toBe(4.5)
  })
  it('leave figures out that the check cannot show', () => {
    const spring = KITCHEN_CHECKS.find(({ id }) => id === 'spring-back')
    if (spring === undefined) throw new Error('no check')
    expect(checked(spring, [20])).toBeNull()
    expect(checked(spring, [20, 90])).toMatchObject({ value: 90, times: 1 })
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
