import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { ColourFact } from '../model'
import { beside, colourWords, deltaE, hexOf, type Lab, mixed, withPieces } from './mix'
import { brownShare, coloursOf } from './pigments'

const WHITE: Lab = [90, 0, 10]
const DARK: Lab = [20, 14, 16]
const lab = fc.tuple(
  fc.double({ min: 5, max: 98, noNaN: true }),
  fc.double({ min: -30, max: 40, noNaN: true }),
  fc.double({ min: -20, max: 60, noNaN: true }),
)

describe('delta E 2000', () => {
  // Pairs of the published test data of Sharma, Wu and Dalal (2005).
  it.each([
    [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
    [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1.0],
    [[50, 2.5, 0], [73, 25, -18], 27.1492],
    [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
    [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
  ] as [Lab, Lab, number][])('%j to %j is %d', (one, other, expected) => {
    expect(deltaE(one, other)).toBeCloseTo(expected, 3)
  })
})

describe('a mix with pieces in it', () => {
  const white = [{ lab: WHITE, weight: 80 }]
  const dark = [{ lab: DARK, weight: 20 }]
  it('is the paste where there are none, and nothing where nothing has a weight', () => {
    expect(withPieces(white, 100, [])).toEqual(mixed(white))
    expect(withPieces([], 0, [])).toBeNull()
    expect(withPieces([], 10, [{ colours: [], massG: 5, mm: 8 }])).toBeNull()
  })
  it('stays lighter than a paste of the same foods: dark pieces do not tint it', () => {
    const blended = mixed([...white, ...dark])?.[0] ?? 0
    const chopped = withPieces(white, 80, [{ colours: dark, massG: 20, mm: 40 }])?.[0] ?? 0
    expect(chopped).toBeGreaterThan(blended + 5)
    expect(chopped).toBeLessThan(WHITE[0])
  })
  it('coats crumbs in a dark sauce, and large pieces less', () => {
    const tofu = (mm: number) => ({ colours: white, massG: 80, mm })
    const light = (mm: number): number => withPieces(dark, 20, [tofu(mm)])?.[0] ?? 0
    expect(light(4)).toBeLessThan(light(20))
    expect(light(20)).toBeLessThan(light(60))
    expect(light(60)).toBeLessThan(WHITE[0])
  })
})

describe('mixing', () => {
  it('gives a food its own colour back', () => {
    const alone = mixed([{ lab: [60, 10, 30], weight: 5 }])
    expect(deltaE(alone ?? WHITE, [60, 10, 30])).toBeLessThan(0.5)
    expect(mixed([])).toBeNull()
    expect(mixed([{ lab: WHITE, weight: 0 }])).toBeNull()
  })
  it('darkens with every gram of a dark food, and dark wins', () => {
    let before = 100
    for (const dark of [0, 1, 2, 5, 10, 30]) {
      const [l = 0] =
        mixed([
          { lab: WHITE, weight: 100 },
          { lab: DARK, weight: dark },
        ]) ?? []
      expect(l).toBeLessThan(before)
      before = l
    }
    expect(
      mixed([
        { lab: WHITE, weight: 50 },
        { lab: DARK, weight: 50 },
      ])?.[0],
    ).toBeLessThan(50)
  })
  it('goes by mass alone, not by the order of listing', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ lab, weight: fc.double({ min: 0.1, max: 100, noNaN: true }) }), {
          minLength: 1,
          maxLength: 6,
        }),
        (foods) => {
          const forth = mixed(foods)
          const back = mixed([...foods].reverse())
          const twice = mixed(foods.map((food) => ({ ...food, weight: food.weight * 2 })))
          forth?.forEach((value, at) => {
            expect(back?.[at]).toBeCloseTo(value, 6)
            expect(twice?.[at]).toBeCloseTo(value, 6)
          })
        },
      ),
    )
  })
  it('puts a surface between what is under it and what is on it', () => {
    const [l] = beside(WHITE, DARK, brownShare(1))
    expect(l).toBeGreaterThan(DARK[0])
    expect(l).toBeLessThan(WHITE[0])
    expect(deltaE(beside(WHITE, DARK, 0), WHITE)).toBeLessThan(0.01)
  })
})

describe('pigments', () => {
  const beet: ColourFact = { lab: [26, 32, 4], strength: 7, pigment: 'betalain' }
  const leaf: ColourFact = { lab: [38, -16, 24], strength: 2.5, pigment: 'chlorophyll' }
  const base = { lab: [88, -1, 12] as Lab, weight: 100 }
  const colour = (fact: ColourFact, cooked: { peakC: number; pH: number } | null): Lab =>
    mixed([base, ...coloursOf(fact, 3, cooked)]) ?? WHITE
  it('of beetroot fade in heat and outside pH 4 to 6', () => {
    const raw = colour(beet, null)
    const hot = colour(beet, { peakC: 98, pH: 5.5 })
    const alkaline = colour(beet, { peakC: 20, pH: 8 })
    expect(hot[1]).toBeLessThan(raw[1])
    expect(alkaline[1]).toBeLessThan(raw[1])
    expect(colour(beet, { peakC: 20, pH: 5 })).toEqual(raw)
  })
  it('of leaves turn olive in heat, more so in acid', () => {
    const raw = colour(leaf, null)
    const hot = colour(leaf, { peakC: 95, pH: 6.5 })
    const sour = colour(leaf, { peakC: 95, pH: 4.2 })
    expect(hot[1]).toBeGreaterThan(raw[1])
    expect(sour[1]).toBeGreaterThan(hot[1])
  })
  it('of red cabbage and berries are red in acid and blue in soda', () => {
    const cabbage: ColourFact = { lab: [36, 16, 0], strength: 2, pigment: 'anthocyanin' }
    expect(colour(cabbage, { peakC: 20, pH: 3 })[1]).toBeGreaterThan(colour(cabbage, { peakC: 20, pH: 6 })[1])
    expect(colour(cabbage, { peakC: 20, pH: 8 })[2]).toBeLessThan(colour(cabbage, { peakC: 20, pH: 6 })[2])
  })
  it('of carrot and turmeric stand', () => {
    const turmeric: ColourFact = { lab: [60, 22, 72], strength: 12, pigment: 'curcumin' }
    expect(colour(turmeric, { peakC: 180, pH: 3 })).toEqual(colour(turmeric, null))
  })
})

describe('words', () => {
  it('say which way and how plainly it is seen', () => {
    expect(colourWords([60, 5, 20], [80, 2, 13])).toMatch(/^darker and yellower, seen at once$/)
    expect(colourWords([80, 2, 13], [80, 2, 14])).toBe('a match')
  })
  it('a swatch is a colour that a screen can show', () => {
    fc.assert(
      fc.property(lab, (of) => {
        expect(hexOf(of)).toMatch(/^#[0-9a-f]{6}$/)
      }),
    )
  })
})
