import { describe, expect, it } from 'vitest'
import { walnut } from '../../test/foods'
import { testLibrary } from '../../test/foods'
import type { FoodClass, Ingredient, Library, TraceFact } from '../model'
import { doseFindings } from './doses'

const food = (id: string, foodClass: FoodClass = 'spice', cautions: string[] = []): Ingredient => ({
  ...walnut,
  id,
  name: id,
  foodClass,
  cautions,
  per100g: { ...walnut.per100g, waterG: 0 },
})
const trace = (known: Partial<TraceFact>): TraceFact => ({
  zincMg: 0,
  seleniumUg: 0,
  iodineUg: 0,
  iodineLowUg: 0,
  iodineHighUg: 0,
  b12Ug: 0,
  vitaminDUg: 0,
  source: 'test',
  ...known,
})
const library: Library = {
  ...testLibrary,
  facts: {
    ...testLibrary.facts,
    traces: new Map([
      ['kelp', trace({ iodineLowUg: 100_000, iodineHighUg: 800_000 })],
      ['nori', trace({ iodineLowUg: 1200, iodineHighUg: 10_000 })],
      ['wakame', trace({ iodineLowUg: 3000, iodineHighUg: 43_000 })],
      ['brazil', trace({ seleniumUg: 1900 })],
    ]),
  },
}
/** Findings of so much of one food in a portion of 250 g. */
const found = (of: Ingredient, massG: number, portionG = 250) =>
  doseFindings([{ food: of, lineId: 'l', massG }], library, { massG: portionG, fibreG: 5 }).map(
    ({ rule, severity }) => `${rule} ${severity}`,
  )

describe('doses of a portion', () => {
  const kelp = food('kelp', 'seaweed')
  const brazil = food('brazil', 'nut', ['selenium'])
  it.each([
    ['kombu 5 g in 6 portions', kelp, 5 / 6, ['dose-iodine caution']],
    ['kombu 0.3 g', kelp, 0.3, ['dose-iodine caution']],
    ['nori 3 g', food('nori', 'seaweed'), 3, []],
    ['wakame 4 g in 2 portions', food('wakame', 'seaweed'), 2, ['dose-iodine caution']],
    ['three Brazil nuts', brazil, 12, []],
    ['four Brazil nuts', brazil, 16, ['dose-selenium caution']],
    ['cassia 3 g', food('cinnamon'), 3, ['dose-coumarin caution']],
    ['cassia 1 g', food('cinnamon'), 1, []],
    ['nutmeg 0.2 g', food('nutmeg'), 0.2, []],
    ['nutmeg 1.5 g', food('nutmeg'), 1.5, ['dose-nutmeg caution']],
    ['nutmeg 6 g', food('nutmeg'), 6, ['dose-nutmeg stop']],
    ['ground linseed 20 g', food('flaxseed-ground', 'seed'), 20, ['dose-linseed caution']],
    ['ground linseed 10 g', food('flaxseed-ground', 'seed'), 10, []],
    ['MSG 2.5 g', food('msg', 'salt'), 2.5, ['dose-glutamate info']],
    ['MSG 2 g', food('msg', 'salt'), 2, []],
    ['liquid smoke 0.4 %', food('liquid-smoke', 'savoury'), 1, []],
    ['liquid smoke 0.8 %', food('liquid-smoke', 'savoury'), 2, ['dose-smoke caution']],
    ['hijiki', food('hijiki-dried', 'seaweed'), 0.1, ['dose-arsenic stop']],
  ] as const)('%s', (_name, of, massG, expected) => {
    expect(found(of, massG)).toEqual(expected)
  })
  it('say the dose, the limit and what to do', () => {
    const [iodine] = doseFindings([{ food: kelp, lineId: 'l', massG: 1 }], library, {
      massG: 250,
      fibreG: null,
    })
    expect(iodine?.message).toContain('1000 to 8000 µg of iodine')
    expect(iodine?.lineId).toBe('l')
    expect(iodine?.remedy).toContain('local food code')
    expect(doseFindings([], library, { massG: 300, fibreG: 20 })[0]).toMatchObject({
      rule: 'dose-fibre',
      severity: 'info',
    })
  })
})
