import { describe, expect, it } from 'vitest'
import { MeasureRegion, UnitId } from '../model'
import { GRAMS_PER, LENGTH_MM, unitKind, unitLabel, unitNamed, VOLUME_UNITS } from './units'

const regions = MeasureRegion.options

describe('unitNamed', () => {
  it.each([
    ['T', 'tbsp'],
    ['t', 'tsp'],
    ['Tbsp.', 'tbsp'],
    ['TBSP', 'tbsp'],
    ['tablespoonful', 'tbsp'],
    ['tsps', 'tsp'],
    ['C', 'cup'],
    ['gms', 'g'],
    ['Kilos', 'kg'],
    ['lbs', 'lb'],
    ['ounces', 'oz'],
    ['millilitres', 'mL'],
    ['dl', 'dL'],
    ['tins', 'can'],
    ['packets', 'pack'],
    ['punnet', 'pack'],
    ['ribs', 'stalk'],
    ['leaves', 'leaf'],
    ['centimetres', 'cm'],
    ['inches', 'inch'],
  ])('%s is %s', (word, unit) => {
    expect(unitNamed(word)).toBe(unit)
  })

  it.each(['zorbel', '', '.', 'cupboard', 'gram.s'])('“%s” is none', (word) => {
    expect(unitNamed(word)).toBeNull()
  })

  it('reads back every label that it writes, in singular and plural', () => {
    for (const unit of UnitId.options) {
      for (const quantity of [1, 3]) {
        const label = unitLabel(unit, quantity)
        const named = unitNamed(label)
        if (named !== null) expect(named, label).toBe(unit)
      }
    }
  })
})

describe('kinds', () => {
  it('part the units into mass, volume and count', () => {
    for (const unit of UnitId.options) {
      const isMass = GRAMS_PER[unit] !== undefined
      const isVolume = VOLUME_UNITS[unit] !== undefined
      expect(isMass && isVolume, unit).toBe(false)
      expect(unitKind(unit)).toBe(isMass ? 'mass' : isVolume ? 'volume' : 'count')
    }
    expect(unitKind(null)).toBe('count')
  })

  it('hold lengths in millimetres apart from all three', () => {
    for (const unit of Object.keys(LENGTH_MM)) expect(unitKind(unit as UnitId)).toBe('count')
    expect(LENGTH_MM).toEqual({ cm: 10, inch: 25.4 })
  })
})

describe('sizes', () => {
  const mL = (unit: UnitId, region: (typeof regions)[number]) => VOLUME_UNITS[unit]?.mL[region] ?? Number.NaN

  it('keep the legal steps of the US and the imperial system', () => {
    expect(mL('cup', 'us') / mL('tbsp', 'us')).toBeCloseTo(16, 3)
    expect(mL('tbsp', 'us') / mL('tsp', 'us')).toBeCloseTo(3, 4)
    expect(mL('quart', 'us') / mL('cup', 'us')).toBeCloseTo(4, 3)
    expect(mL('gallon', 'imperial') / mL('pint', 'imperial')).toBeCloseTo(8, 4)
    expect(mL('fl-oz', 'us') * 8).toBeCloseTo(mL('cup', 'us'), 2)
    expect((GRAMS_PER.lb ?? 0) / (GRAMS_PER.oz ?? 1)).toBeCloseTo(16, 9)
  })

  it('give Australia four teaspoons to the tablespoon', () => {
    expect(mL('tbsp', 'australian')).toBe(20)
    expect(mL('tbsp', 'australian') / mL('tsp', 'australian')).toBe(4)
    for (const region of regions) expect(mL('au-tbsp', region)).toBe(20)
  })

  it('rise from gestures to cups in every region', () => {
    const rising: UnitId[] = [
      'drop',
      'smidgen',
      'pinch',
      'dash',
      'tad',
      'tsp',
      'dessertspoon',
      'tbsp',
      'cup',
      'L',
    ]
    for (const region of regions) {
      const sizes = rising.map((unit) => mL(unit, region))
      expect(sizes).toEqual([...sizes].sort((a, b) => a - b))
    }
  })
})
