import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { dialC, fahrenheitC, fanAirC, gasMarkC } from '../../measure'
import { shrunk, uptakeTau } from '../../program'
import { coreTemperature } from './conduction'
import { dryingConstant, minutesToWater, temperatureScale, waterAfterDrying } from './drying'
import { airLimit, hobLimit, SURFACE_G_PER_MIN_DM2, stillSurface, surfaceRate } from './evaporation'
import { longTimeFraction, partingFraction } from './parting'
import { saturationFrom, uptakeAfter } from './uptake'

describe('core temperature', () => {
  const STEAM = { startC: 15, mediumC: 100, h: 1000 }
  it.each([
    ['log of 60 mm in steam, 45 min', { ...STEAM, thicknessMm: 60, shape: 'cylinder', minutes: 45 }, 85],
    ['log of 60 mm in steam, 54 min', { ...STEAM, thicknessMm: 60, shape: 'cylinder', minutes: 54 }, 90],
    ['sausage of 28 mm in steam, 10 min', { ...STEAM, thicknessMm: 28, shape: 'cylinder', minutes: 10 }, 85],
    [
      'patty of 20 mm from 10 °C, 20 min at a felt 135 °C',
      { startC: 10, mediumC: 135, h: 30, thicknessMm: 20, shape: 'slab', minutes: 20 },
      77,
    ],
  ] as const)('%s', (_name, heating, expected) => {
    expect(Math.abs(coreTemperature(heating) - expected)).toBeLessThan(3)
  })

  it('rises with time, never past the medium, and slower in thicker pieces', () => {
    const any = fc.record({
      startC: fc.double({ min: 0, max: 40, noNaN: true }),
      mediumC: fc.double({ min: 60, max: 230, noNaN: true }),
      thicknessMm: fc.double({ min: 2, max: 120, noNaN: true }),
      shape: fc.constantFrom('slab' as const, 'cylinder' as const, 'sphere' as const),
      h: fc.double({ min: 8, max: 2000, noNaN: true }),
      minutes: fc.double({ min: 0, max: 240, noNaN: true }),
    })
    fc.assert(
      fc.property(any, (heating) => {
        const core = coreTemperature(heating)
        const later = coreTemperature({ ...heating, minutes: heating.minutes + 5 })
        const thicker = coreTemperature({ ...heating, thicknessMm: heating.thicknessMm * 1.5 })
        expect(core).toBeGreaterThanOrEqual(heating.startC - 1e-9)
        expect(later).toBeLessThanOrEqual(heating.mediumC + 1e-9)
        expect(later).toBeGreaterThanOrEqual(core - 1e-9)
        expect(thicker).toBeLessThanOrEqual(core + 1e-6)
      }),
    )
  })
})

describe('oven temperatures', () => {
  it.each([
    [1, 135],
    [4, 177],
    [6, 204],
    [9, 246],
    [0.5, 121],
  ])('gas mark %d is %d °C', (mark, celsius) => {
    expect(gasMarkC(mark)).toBe(celsius)
  })
  it('reads Fahrenheit, drops for a fan, and adds what the kitchen’s own oven is off', () => {
    expect(fahrenheitC(350)).toBe(177)
    expect(fanAirC(200, false, 0)).toBe(180)
    expect(fanAirC(200, true, 0)).toBe(200)
    // An oven that runs 15 °C cold must be set 15 °C higher; a still one 20 more.
    expect(dialC(180, true, -15)).toBe(195)
    expect(dialC(180, false, -15)).toBe(215)
  })
})

describe('evaporation', () => {
  it('below the simmer goes by the vapour pressure: hardly any from warm milk, near the simmer at 85 C', () => {
    expect(stillSurface(35)).toBeCloseTo(0.1, 2)
    expect(stillSurface(70)).toBeCloseTo(0.68, 1)
    expect(stillSurface(4)).toBeGreaterThan(0)
    expect(stillSurface(98)).toBe(SURFACE_G_PER_MIN_DM2.gentle)
    for (let tempC = 20; tempC < 90; tempC += 5)
      expect(stillSurface(tempC + 5)).toBeGreaterThanOrEqual(stillSurface(tempC))
  })

  it('takes what a wide pan gives off at a rapid simmer: 800 g of sauce come to 564 in 15 min', () => {
    const rate = surfaceRate(SURFACE_G_PER_MIN_DM2.rapid, 4.5, 'off', 0.1, hobLimit(2))
    expect(rate).toBeCloseTo(15.75, 2)
    expect(800 - 15 * rate).toBeCloseTo(564, 0)
  })
  it('is bounded by the hob, held back by a lid, and slower from a paste', () => {
    expect(hobLimit(2)).toBeCloseTo(29.2, 1)
    expect(surfaceRate(SURFACE_G_PER_MIN_DM2.boil, 8, 'off', 0, hobLimit(2))).toBeCloseTo(hobLimit(2), 9)
    expect(surfaceRate(SURFACE_G_PER_MIN_DM2.gentle, 4, 'on', 0, 99)).toBeCloseTo(0.9, 9)
    expect(surfaceRate(SURFACE_G_PER_MIN_DM2.gentle, 4, 'off', 0.4, 99)).toBeCloseTo(3.6, 9)
  })
  it('of a tray is bounded by the air', () => {
    expect(airLimit(175, 'still')).toBeGreaterThan(0.4)
    expect(airLimit(175, 'fan')).toBeGreaterThan(airLimit(175, 'still'))
    expect(airLimit(80, 'fan')).toBe(0)
  })
})

describe('falling-rate drying', () => {
  const lot = fc.record({
    water: fc.double({ min: 1, max: 1000, noNaN: true }),
    solids: fc.double({ min: 0, max: 500, noNaN: true }),
    perMin: fc.double({ min: 1e-4, max: 0.2, noNaN: true }),
    minutes: fc.double({ min: 0.5, max: 120, noNaN: true }),
  })
  it('never raises water, and its constant and time are found again', () => {
    fc.assert(
      fc.property(lot, ({ water, solids, perMin, minutes }) => {
        const after = waterAfterDrying(water, solids, perMin, minutes)
        expect(after).toBeLessThanOrEqual(water)
        expect(after).toBeGreaterThanOrEqual(0)
        fc.pre(after < water * 0.999 && after - Math.min(water, 0.06 * solids) > 1e-3 * water)
        expect(dryingConstant(water, solids, after, minutes)).toBeCloseTo(perMin, 6)
        expect(minutesToWater(water, solids, after, perMin)).toBeCloseTo(minutes, 3)
      }),
    )
  })
  it('never reaches what cannot leave', () => {
    expect(minutesToWater(100, 100, 2, 0.05)).toBeNull()
    expect(minutesToWater(100, 100, 120, 0.05)).toBe(0)
  })
  it('goes faster in hotter air, within bounds, and alike where temperature is not stated', () => {
    expect(temperatureScale('roast', 190)).toBe(1)
    expect(temperatureScale('roast', 220)).toBeGreaterThan(1)
    expect(temperatureScale('roast', 60)).toBe(0.15)
    expect(temperatureScale('roast', null)).toBe(1)
    expect(temperatureScale('press', 80)).toBe(1)
  })
})

describe('uptake and parting', () => {
  it('find the saturation and the long-time fraction behind one weighing', () => {
    const tau = uptakeTau('soak', 'bean', 20)
    expect(tau).toBe(150)
    expect(uptakeTau('soak', 'bean', 38)).toBeCloseTo(75, 9)
    expect(saturationFrom(0.1, uptakeAfter(0.1, 1.2, 300, tau), 300, tau)).toBeCloseTo(1.2, 9)
    expect(saturationFrom(0.1, 0.1, 2, tau)).toBeNull()
    expect(partingFraction('press', longTimeFraction('press', 0.85, 20), 20)).toBeCloseTo(0.85, 9)
    expect(partingFraction('squeeze', 0.6, 1)).toBe(0.6)
  })
})

describe('what weighings say of a constant', () => {
  it('one weighing moves it part of the way: 0.0120 and 0.0161 make 0.0155', () => {
    const fit = shrunk([{ lnRatio: Math.log(0.01613 / 0.012), sd: 0.133 }])
    expect(0.012 * Math.exp(fit.lnRatio)).toBeCloseTo(0.0155, 4)
    expect(fit.sd).toBeCloseTo(0.124, 3)
  })
  it('none leaves the default; many alike bring it there', () => {
    expect(shrunk([])).toEqual({ lnRatio: 0, sd: 0.35, observations: 0 })
    const many = shrunk(Array.from({ length: 40 }, () => ({ lnRatio: 0.3, sd: 0.133 })))
    expect(many.lnRatio).toBeCloseTo(0.3, 2)
    expect(many.sd).toBeLessThan(0.03)
  })
})
