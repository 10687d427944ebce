import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import { original, sample, seat, seats, settings, setOut } from '../../test/tastings'
import { Tasting } from '../model'
import { blindingCodes, checkOrders, williams } from './orders'
import { blocks, cannotBegin, designTasting, evennessOf, mustNotTaste } from './index'

describe('serving orders', () => {
  it.each([2, 3, 4, 5, 6, 7, 8])('%i samples: balanced for place and for carry-over', (t) => {
    const check = checkOrders(t, williams(t))
    expect(check).toMatchObject({
      eachSampleOncePerRow: true,
      positionBalanced: true,
      carryOverBalanced: true,
    })
    expect(check.pairCountMin).toBe(t % 2 === 0 ? 1 : 2)
  })

  it.each([
    ['triangle', 6],
    ['tetrad', 6],
    ['duotrio', 2],
    ['paired', 2],
  ] as const)(
    '%s: every order equally often over a whole set of tasters, as even as it goes else',
    (protocol, set) => {
      const orders = (tasters: number) => {
        const tasting = setOut(settings(protocol, { tasters: seats(tasters) }))
        const counts = new Map<string, number>()
        for (const { glasses } of tasting.design?.servings ?? []) {
          const key = glasses.map(({ sampleId }) => sampleId).join()
          counts.set(key, (counts.get(key) ?? 0) + 1)
        }
        return [...counts.values()]
      }
      expect(orders(2 * set)).toEqual(Array.from({ length: set }, () => 2))
      const uneven = orders(2 * set + 1)
      expect(Math.max(...uneven) - Math.min(...uneven)).toBe(1)
    },
  )

  it('says how even it comes out, and what would balance it', () => {
    const of = (tasters: number) => {
      const asked = settings('profile', {
        samples: [original(), sample('3'), sample('4')],
        tasters: seats(tasters),
      })
      const servings = designTasting(asked)
      return servings.ok ? evennessOf(asked, servings.value) : null
    }
    expect(of(6)).toEqual({ isEven: true, words: 'balanced for place and for what comes before' })
    expect(of(5)?.isEven).toBe(false)
    expect(of(5)?.words).toContain('a multiple of 6 tastings')
  })
})

describe('codes', () => {
  it('are three digits, all different, none with a meaning, the same for the same seed', () => {
    fc.assert(
      fc.property(fc.nat({ max: 4_294_967_295 }), fc.integer({ min: 1, max: 800 }), (seed, count) => {
        const codes = blindingCodes(count, seed)
        expect(new Set(codes).size).toBe(count)
        expect(codes.every((code) => code >= 100 && code <= 999)).toBe(true)
        for (const telling of [100, 200, 666, 911, 123, 777]) expect(codes).not.toContain(telling)
        expect(blindingCodes(count, seed)).toEqual(codes)
      }),
      { numRuns: 40 },
    )
    expect(blindingCodes(20, 1)).not.toEqual(blindingCodes(20, 2))
    expect(() => blindingCodes(901, 1)).toThrow(RangeError)
  })

  it('belong to one glass each over the whole session, warm-ups too, and the design is what the schema keeps', () => {
    const tasting = setOut(
      settings('profile', { rounds: 3, warmsUp: true, samples: [original(), sample('3')] }),
    )
    const codes = tasting.design?.servings.flatMap(({ glasses }) => glasses.map(({ code }) => code)) ?? []
    expect(codes).toHaveLength(8 * (3 * 2 + 1))
    expect(new Set(codes).size).toBe(codes.length)
    expect(Tasting.safeParse(tasting).success).toBe(true)
    expect(setOut(tasting.settings).design).toEqual(tasting.design)
    expect(setOut({ ...tasting.settings, seed: 8 }).design).not.toEqual(tasting.design)
  })
})

describe('what keeps a tasting from beginning', () => {
  it.each([
    [settings('triangle', { samples: [original()] }), /takes 2 samples; there are 1/],
    [settings('triangle', { controlId: null }), /held against/],
    [settings('triangle', { tasters: [] }), /Nobody/],
    [settings('triangle', { tasters: [seat('P1'), seat('P1')] }), /same mark/],
    [settings('own', { tasters: seats(2) }), /one taster/],
    [settings('jar', { asksLiking: false }), /beside liking/],
    [settings('profile', { attributes: [] }), /Choose what is rated/],
    [settings('ranking'), /takes 3 to 6/],
    [settings('tetrad', { tasters: seats(40), rounds: 6 }), /code each/],
    [settings('paired', { expectedId: 'gone' }), /not among the samples/],
  ])('%#', (asked, said) => {
    expect(cannotBegin(asked).join(' ')).toMatch(said)
    expect(designTasting(asked).ok).toBe(false)
  })

  it('is nothing for a tasting that is in order', () => {
    expect(cannotBegin(settings('triangle'))).toEqual([])
  })
})

describe('who must not taste', () => {
  const names = new Map([
    ['soy', 'soybeans'],
    ['lupin', 'lupin'],
    ['peanut', 'peanuts'],
  ])
  const nameOf = (id: string) => names.get(id) ?? id
  const all = [original({ allergens: ['milk'] }), sample('3', { allergens: ['soy', 'lupin'] })]
  it('names the allergen, blocks, and does not hide it behind a code', () => {
    const [first] = mustNotTaste([seat('P4', { avoids: ['soy'] })], all, nameOf)
    expect(first).toMatchObject({ tasterId: 'P4', kind: 'allergen', allergens: ['soy'] })
    expect(first?.message).toContain('soybeans')
    expect(first !== undefined && blocks(first)).toBe(true)
  })
  it('says that who avoids peanuts may react to lupin, without deciding it', () => {
    const [first] = mustNotTaste([seat('P2', { avoids: ['peanut'] })], all, nameOf)
    expect(first?.kind).toBe('cross')
    expect(first !== undefined && blocks(first)).toBe(false)
  })
  it('lets nobody taste meat who has not said yes to it', () => {
    const vegan = seat('P5', { eats: 'no-animal', agreesToAnimal: false })
    expect(mustNotTaste([vegan], all, nameOf).map(({ kind }) => kind)).toEqual(['animal'])
    expect(mustNotTaste([{ ...vegan, agreesToAnimal: true }], all, nameOf)).toEqual([])
    expect(
      mustNotTaste([seat('P6', { agreesToAnimal: false })], all, nameOf).map(({ kind }) => kind),
    ).toEqual(['ask'])
  })
})
