import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Totals } from '../model'
import { euClaims, usClaims } from './claims'
import { euEnergy, labelRows, usEnergyKcal } from './label'
import {
  euGrams,
  euSalt,
  euSaturates,
  nearest,
  usCholesterol,
  usEnergy,
  usFat,
  usGrams,
  usPercent,
  usSodium,
} from './rounding'

const totals = (known: Partial<Totals>): Totals => ({
  massG: 100,
  energyKcal: null,
  proteinG: null,
  fatG: null,
  saturatedFatG: null,
  carbohydrateG: null,
  sugarsG: null,
  fibreG: null,
  alcoholG: null,
  organicAcidG: null,
  sodiumMg: null,
  potassiumMg: null,
  calciumMg: null,
  ironMg: null,
  cost: null,
  atLeast: [],
  ...known,
})

/** Published roundings, each "from → to". */
const pairs = (text: string): [number, string][] =>
  text.split(' ').map((pair) => {
    const [from = '', to = ''] = pair.split('→')
    return [Number(from), to]
  })

describe('rounding as the laws ask', () => {
  it.each([
    [
      'US energy',
      usEnergy,
      '0→0 4.9→0 5→5 7.4→5 7.5→10 47→45 47.5→50 50→50 50.1→50 52→50 54.9→50 55→60 105→110 247→250',
    ],
    [
      'US fat',
      usFat,
      '0.49→0 0.5→0.5 0.74→0.5 0.75→1 1.25→1.5 4.7→4.5 4.74→4.5 4.75→5 4.9→5 5→5 5.2→5 5.5→6 10.4→10',
    ],
    [
      'US sodium',
      usSodium,
      '4→0 4.9→0 5→5 7.5→10 137→135 137.5→140 140→140 140.1→140 142→140 145→150 153→150 155→160 620.4→620',
    ],
    ['US grams', usGrams, '0.49→0 0.5→<1 0.99→<1 1→1 1.49→1 1.5→2 12.5→13'],
    ['US cholesterol', usCholesterol, '1.9→0 2→<5 4.9→<5 5→5 7.5→10'],
    ['US percent', usPercent, '1.9→0 2→2 3→4 9.9→10 10.1→10 12.4→10 12.5→15 22.5→25 50.1→50 54.9→50 55→60'],
    ['EU grams', euGrams, '0→0 0.5→<0.5 0.51→0.5 0.55→0.6 9.94→9.9 9.96→10 12.5→13'],
    ['EU saturates', euSaturates, '0.1→<0.1 0.11→0.1 0.15→0.2'],
    ['EU salt', euSalt, '0.0125→<0.01 0.013→0.01 0.125→0.13 0.994→0.99 0.996→1.0 1.025→1.0 1.05→1.1'],
  ] as const)('%s', (_name, declared, cases) => {
    for (const [from, to] of pairs(cases)) expect(`${from}→${declared(from)}`).toBe(`${from}→${to}`)
  })
  it('never moves a value by more than half a step, and keeps multiples', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 100_000 }),
        fc.constantFrom(0.01, 0.1, 0.5, 1, 5, 10),
        (n, step) => {
          const value = n / 1000
          expect(Math.abs(nearest(value, step) - value)).toBeLessThanOrEqual(step / 2 + 1e-6)
          expect(nearest(nearest(value, step), step)).toBe(nearest(value, step))
        },
      ),
    )
  })
})

describe('energy', () => {
  it('by the US methods on total carbohydrate', () => {
    const published = totals({
      proteinG: 18.2,
      fatG: 9.4,
      carbohydrateG: 21.6 - 7.5,
      fibreG: 7.5,
      alcoholG: 0.6,
      organicAcidG: 0.4,
    })
    expect(usEnergyKcal(published, 'B')).toBeCloseTo(248, 1)
    expect(usEnergyKcal(published, 'C', 2.5)).toBeCloseTo(223, 1)
  })
  it('by the EU factors, kJ by their own', () => {
    const published = totals({
      proteinG: 18.2,
      fatG: 9.4,
      carbohydrateG: 13.7,
      fibreG: 7.5,
      alcoholG: 0.6,
      organicAcidG: 0.4,
    })
    expect(euEnergy(published)?.kcal).toBeCloseTo(232.6, 1)
    expect(euEnergy(published)?.kJ).toBeCloseTo(972.7, 1)
    expect(euEnergy(totals({ proteinG: 1 }))).toBeNull()
  })
})

/** A batch of patties, 520 g baked, six portions. */
const patty = (share: number): Totals =>
  totals({
    massG: 520 * share,
    energyKcal: 1,
    proteinG: 104.11 * share,
    fatG: 48.091 * share,
    saturatedFatG: 4.509 * share,
    carbohydrateG: (127.662 - 33.8) * share,
    fibreG: 33.8 * share,
    sugarsG: 20.36 * share,
    sodiumMg: 1732 * share,
    ironMg: 17.319 * share,
  })
const declared = (of: Totals, region: 'us' | 'eu', pdcaas: number | null = null) =>
  Object.fromEntries(
    labelRows({ totals: of, pdcaas, isPlantBased: true }, region).map(({ id, amount, percent }) => [
      id,
      [amount, percent],
    ]),
  )

describe('labels', () => {
  it('prints the patties’ portion as the US asks', () => {
    expect(declared(patty(1 / 6), 'us', 0.59)).toMatchObject({
      energy: ['230', null],
      fat: ['8 g', '10 %'],
      saturates: ['1 g', '4 %'],
      sodium: ['290 mg', '13 %'],
      carbohydrate: ['21 g', '8 %'],
      fibre: ['6 g', '20 %'],
      sugars: ['3 g', null],
      protein: ['17 g', '20 %'],
      iron: ['2.9 mg', '15 %'],
      calcium: [null, null],
    })
  })
  it('prints their 100 g as the EU asks', () => {
    expect(declared(patty(1 / 5.2), 'eu')).toMatchObject({
      energy: ['1041 kJ / 249 kcal', '12 %'],
      fat: ['9.2 g', '13 %'],
      saturates: ['0.9 g', '4 %'],
      carbohydrate: ['18 g', '7 %'],
      sugars: ['3.9 g', '4 %'],
      fibre: ['6.5 g', null],
      protein: ['20 g', '40 %'],
      salt: ['0.83 g', '14 %'],
      iron: ['3.3 mg', '24 %'],
    })
  })
  it('leaves cholesterol open where there are animal foods', () => {
    const row = (isPlantBased: boolean) =>
      labelRows({ totals: patty(1), pdcaas: null, isPlantBased }, 'us').find(({ id }) => id === 'cholesterol')
    expect(row(true)?.amount).toBe('0 mg')
    expect(row(false)?.amount).toBeNull()
  })
  it('gives added sugars and vitamin D of the portion with their share of the day, and leaves open what is not known', () => {
    const rows = (more: object) =>
      Object.fromEntries(
        labelRows({ totals: patty(1 / 6), pdcaas: null, isPlantBased: true, ...more }, 'us').map(
          ({ id, amount, percent }) => [id, [amount, percent]],
        ),
      )
    expect(rows({ addedSugarsG: 12.4, vitaminDUg: 1.96 })).toMatchObject({
      'added-sugars': ['12 g', '25 %'],
      'vitamin-d': ['2 µg', '10 %'],
      trans: ['0 g', null],
    })
    expect(rows({ addedSugarsG: 0.6, vitaminDUg: 0.3 })).toMatchObject({
      'added-sugars': ['<1 g', '1 %'],
      'vitamin-d': ['0.3 µg', '0 %'],
    })
    expect(rows({})).toMatchObject({ 'added-sugars': [null, null], 'vitamin-d': [null, null] })
    expect(rows({ isPlantBased: false })).toMatchObject({ trans: [null, null] })
  })
  it('says where a value is a lower bound', () => {
    const rows = declared({ ...patty(1), atLeast: ['fibreG'] }, 'eu')
    expect(rows['fibre']?.[0]).toBe('≥ 34 g')
  })
})

describe('claims', () => {
  const racc = totals({
    massG: 85,
    energyKcal: 165,
    proteinG: 14,
    fatG: 4.2,
    saturatedFatG: 0.6,
    fibreG: 5.6,
    carbohydrateG: 13.2,
    sodiumMg: 135,
    ironMg: 3.1,
    potassiumMg: 100,
    calciumMg: 20,
    sugarsG: 2,
  })
  const us = (of: Totals, pdcaas: number | null = 0.59) => usClaims(of, pdcaas).claims.map(({ id }) => id)
  it('hold in the US by the reference amount', () => {
    expect(us(racc)).toEqual(
      expect.arrayContaining(['low-sodium', 'low-saturated-fat', 'high-fibre', 'good-protein', 'good-iron']),
    )
    expect(us(racc)).not.toContain('low-fat')
    expect(us({ ...racc, sodiumMg: 141 })).not.toContain('low-sodium')
    expect(us(racc, null)).not.toContain('good-protein')
    const fibre = usClaims(racc, 0.59).claims.find(({ id }) => id === 'high-fibre')
    expect(fibre?.note).toContain('4.2 g')
    expect(usClaims({ ...racc, sodiumMg: 600, saturatedFatG: 5 }, null).disclose).toEqual([
      '5 g of saturated fat',
      '600 mg of sodium',
    ])
  })
  it('hold in the EU by 100 g, the stronger in place of the weaker', () => {
    const factor = 100 / 85
    const per100 = totals({
      ...Object.fromEntries(
        Object.entries(racc).map(([key, value]) => [key, typeof value === 'number' ? value * factor : value]),
      ),
    })
    const ids = euClaims(per100).map(({ id }) => id)
    expect(ids).toEqual(
      expect.arrayContaining(['high-protein', 'high-fibre', 'low-saturated-fat', 'source-of-iron']),
    )
    expect(ids).not.toContain('source-of-protein')
    expect(ids).not.toContain('low-sodium')
  })
  it('are not made on what is known in part', () => {
    expect(us({ ...racc, atLeast: ['sodiumMg', 'fibreG'] })).not.toContain('low-sodium')
    expect(us({ ...racc, atLeast: ['sodiumMg', 'fibreG'] })).not.toContain('high-fibre')
  })
})
