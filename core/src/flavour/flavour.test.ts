import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { richness, saltiness, umamiScore } from './taste'
import { equivalentUmami } from './umami'

const inputs = (glu: number, imp = 0, gmp = 0) => ({
  glutamateGPer100g: glu / 1000,
  impGPer100g: imp / 1000,
  gmpGPer100g: gmp / 1000,
  ampGPer100g: 0,
})

describe('equivalentUmami', () => {
  // Checks computed from the published equation (Yamaguchi et al. 1971): mg per 100 g in, g MSG per 100 g out
  it.each([
    [inputs(100, 0, 5), 1.501],
    [inputs(100, 10), 1.318],
    [inputs(50), 0.05],
    [inputs(40.6, 0, 1.5), 0.211],
  ])('of %j is %d', (given, y) => {
    expect(equivalentUmami(given)).toBeCloseTo(y, 3)
  })

  it('falls with the square of dilution in its product term', () => {
    const whole = equivalentUmami(inputs(100, 10)) - 0.1
    const half = equivalentUmami(inputs(50, 5)) - 0.05
    expect(whole / half).toBeCloseTo(4, 6)
  })
})

describe('scales of the mouth', () => {
  it('meet their anchors', () => {
    expect(richness(12)).toBeCloseTo(5, 1)
    expect(richness(82)).toBeCloseTo(10, 6)
    expect(richness(0)).toBe(0)
    expect(saltiness(0)).toBe(0)
    expect(saltiness(0.85)).toBeGreaterThan(3.8)
    expect(saltiness(0.85)).toBeLessThan(5.2)
    expect(saltiness(4)).toBeGreaterThan(8.5)
    expect(umamiScore(0.3)).toBeCloseTo(5, 0)
    expect(umamiScore(5)).toBeGreaterThan(9)
  })

  it('never fall while their cause grows, and stay within 0 and 10', () => {
    for (const scale of [richness, saltiness, umamiScore]) {
      fc.assert(
        fc.property(
          fc.double({ min: 0, max: 100, noNaN: true }),
          fc.double({ min: 0, max: 10, noNaN: true }),
          (x, more) => {
            expect(scale(x + more)).toBeGreaterThanOrEqual(scale(x))
            expect(scale(x)).toBeGreaterThanOrEqual(0)
            expect(scale(x)).toBeLessThanOrEqual(10)
          },
        ),
      )
    }
  })
})
