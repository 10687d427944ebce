import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addInto, batchPerGram, emptyBatch } from '../composition'
import { cornStarch, water } from '../../test/foods'
import { runMix } from '../../test/mixes'
import { fall, peak, rise, smoothFloor } from './responses'
import { emulsionFactor, starchViscosity, suspensionFactor, thickness, viscosityPaS } from './viscosity'
import { waterBudget } from './water'

describe('response shapes', () => {
  it('pass through their named points', () => {
    expect(rise(2, 2, 8)).toBeCloseTo(0.1, 9)
    expect(rise(8, 2, 8)).toBeCloseTo(0.9, 9)
    expect(fall(2, 2, 8)).toBeCloseTo(0.9, 9)
    expect(fall(8, 2, 8)).toBeCloseTo(0.1, 9)
    expect(peak(5, 2, 5, 9)).toBeCloseTo(1, 9)
    expect(peak(2, 2, 5, 9)).toBeCloseTo(0.5, 9)
    expect(peak(9, 2, 5, 9)).toBeCloseTo(0.5, 9)
    expect(peak(0, 2, 5, 9)).toBe(0)
  })

  it('the smooth floor is nothing up to 0, and never above x or far below it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: 0.1, max: 20, noNaN: true }),
        (x, scale) => {
          const value = smoothFloor(x, scale)
          expect(value).toBeLessThanOrEqual(Math.max(0, x))
          expect(value).toBeGreaterThanOrEqual(Math.max(0, x - scale) - 1e-9)
          if (x <= 0) expect(value).toBe(0)
        },
      ),
    )
  })
})

/** Corn starch in water, brought to the boil; % of the sauce. */
const starchSauce = (pct: number, steps: readonly string[] = ['Heat the starch and water to 95 °C.']) =>
  viscosityPaS(
    runMix(
      [
        [cornStarch, pct * 10],
        [water, 1000 - pct * 10],
      ],
      1,
      steps,
    ).state,
  )

describe('viscosity', () => {
  // Corn starch in water, % of the sauce, and the consistency band it is used for (practice)
  it.each([
    [1.5, 0.02, 0.1],
    [3.5, 0.15, 0.6],
    [5, 0.6, 2],
    [7, 2, 8],
    [9, 8, 30],
  ])('of %d % corn starch lies in its band', (pct, low, high) => {
    expect(starchSauce(pct)).toBeGreaterThan(low * 0.8)
    expect(starchSauce(pct)).toBeLessThan(high * 1.2)
  })

  it('of raw starch is that of thin milk', () => {
    expect(starchSauce(4, ['Mix the starch and water.'])).toBeLessThan(0.2 * starchSauce(4))
  })

  it('grows with starch, particles and fat', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 3, noNaN: true }),
        fc.double({ min: 0.001, max: 0.3, noNaN: true }),
        (x, more) => {
          expect(starchViscosity(x + more)).toBeGreaterThanOrEqual(starchViscosity(x))
          expect(suspensionFactor(x + more)).toBeGreaterThanOrEqual(suspensionFactor(x))
          expect(emulsionFactor(x + more)).toBeGreaterThanOrEqual(emulsionFactor(x))
        },
      ),
    )
  })

  it('is read as thickness on the kitchen scale', () => {
    expect(thickness(1)).toBeCloseTo(5.8, 9)
    expect(thickness(10)).toBeCloseTo(8, 9)
    expect(thickness(1e9)).toBe(10)
    expect(thickness(0)).toBe(0)
  })
})

describe('waterBudget', () => {
  it('splits all the water and nothing more', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 800, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (grams, off) => {
          const batch = emptyBatch()
          addInto(batch, batchPerGram(water), grams)
          const { totalG, heldG, freeG, cookedOffG } = waterBudget(batch, grams * off)
          expect(heldG + freeG + cookedOffG).toBeCloseTo(totalG, 6)
          expect(Math.min(heldG, freeG, cookedOffG)).toBeGreaterThanOrEqual(-1e-9)
        },
      ),
    )
  })
})
