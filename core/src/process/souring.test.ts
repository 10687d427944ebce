import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Culture } from '../model'
import { cultureNear, hoursToPH, ripePH } from './souring'

const thermophilic: Culture = {
  id: 'warm',
  bestC: 43,
  halfwayH: 4.5,
  spreadH: 0.9,
  freshPH: 6.6,
  ripePH: 4.3,
}
const mesophilic: Culture = { id: 'cool', bestC: 30, halfwayH: 14, spreadH: 4, freshPH: 6.3, ripePH: 4.3 }

describe('souring', () => {
  it('reaches pH 4.6 in an evening at 43 °C, and overnight at 35 °C', () => {
    const warm = hoursToPH(4.6, 43, thermophilic) ?? Number.NaN
    expect(warm).toBeGreaterThan(5)
    expect(warm).toBeLessThan(8)
    expect(hoursToPH(4.6, 35, thermophilic)).toBeCloseTo(2 * warm, 9)
  })
  it('is the same curve read both ways', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 4.35, max: 6.2, noNaN: true }),
        fc.double({ min: 18, max: 46, noNaN: true }),
        fc.constantFrom(thermophilic, mesophilic),
        (pH, tempC, culture) => {
          const hours = hoursToPH(pH, tempC, culture)
          if (hours === null || hours === 0) return
          expect(ripePH(hours, tempC, culture)).toBeCloseTo(pH, 6)
        },
      ),
    )
  })
  it('never passes what the culture can stand, and needs no time where it begins', () => {
    expect(hoursToPH(4.2, 43, thermophilic)).toBeNull()
    expect(hoursToPH(6.8, 43, thermophilic)).toBe(0)
  })
  it('goes by the culture that likes the warmth', () => {
    expect(cultureNear([thermophilic, mesophilic], 42)?.id).toBe('warm')
    expect(cultureNear([thermophilic, mesophilic], 26)?.id).toBe('cool')
    expect(cultureNear([], 26)).toBeNull()
  })
})
