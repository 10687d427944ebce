import { describe, expect, it } from 'vitest'
import { mince } from '../../test/foods'
import { Original } from '../model'
import { type OwnOriginal, ownOriginal } from './ownOriginal'

const own = (change: Partial<OwnOriginal> = {}): OwnOriginal => ({
  id: 'own-one',
  name: ' House mince ',
  from: mince,
  servingTempC: 60,
  tasted: { umami: 7, melt: null },
  measured: {},
  composition: { waterPct: 58, proteinPct: 24, fatPct: 15, saturatedFatPct: 6, carbohydratePct: 0 },
  sodiumMgPer100g: 400,
  viscosityPaS: null,
  source: '',
  ...change,
})
const made = (change: Partial<OwnOriginal> = {}): Original => {
  const result = ownOriginal(own(change))
  if (!result.ok) throw new Error(result.issues[0]?.message)
  return result.value
}
const fault = (change: Partial<OwnOriginal>): string => {
  const result = ownOriginal(own(change))
  return result.ok ? 'none' : result.issues.map(({ message }) => message).join(' ')
}

describe('an original of one’s own', () => {
  it('is an original like any other, with what was tasted and computed energy', () => {
    const original = made()
    expect(Original.parse(original)).toEqual(original)
    expect(original).toMatchObject({ name: 'House mince', group: 'own', energyKcal: 231, confidence: 'C' })
    expect(original.attributes).toEqual({ umami: 7 })
    expect(original.importance).toEqual({ umami: mince.importance.umami })
    expect(original.sodiumMgPer100g).toEqual({ typical: 400, low: 340, high: 459.99999999999994 })
  })
  it('takes a measurement in place of points', () => {
    const original = made({ tasted: { firmness: 9 }, measured: { firmness: 20 }, viscosityPaS: 2 })
    expect(original.attributes.firmness).toBeCloseTo(4.9, 1)
    expect(original.viscosityPaS).toEqual({ typical: 2, low: 1, high: 4 })
  })
  it('says what does not fit', () => {
    expect(fault({ name: ' ' })).toContain('Name')
    expect(fault({ tasted: { umami: 11 } })).toContain('0 to 10')
    expect(fault({ measured: { firmness: -1 } })).toContain('Press force')
    expect(fault({ composition: { ...own().composition, waterPct: 90 } })).toContain('come to 129 g')
    expect(fault({ composition: { ...own().composition, saturatedFatPct: 20 } })).toContain('part of the fat')
  })
})
