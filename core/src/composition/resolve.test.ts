import { describe, expect, it } from 'vitest'
import { partOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { resolveLines } from './resolve'

describe('resolveLines', () => {
  it('gives each line its food and grams', () => {
    const [beans, salt] = resolveLines(
      partOf(['200 g white beans', 'salt to taste']),
      testLibrary,
      testKitchen,
    )
    expect(beans).toMatchObject({ food: { id: 'beans' }, mass: { value: 200 } })
    expect(salt).toMatchObject({ food: { id: 'salt' }, mass: null })
  })

  it('keeps the mass of an unknown food where it is weighed, and no other', () => {
    const [weighed, measured] = resolveLines(
      partOf(['100 g zorbel', '1 cup zorbel']),
      testLibrary,
      testKitchen,
    )
    expect(weighed).toMatchObject({ food: null, mass: { value: 100 } })
    expect(measured).toMatchObject({ food: null, mass: null })
  })

  it('resolves an unchanged line once, and again for another kitchen', () => {
    const part = partOf(['1 cup water'])
    const [first] = resolveLines(part, testLibrary, testKitchen)
    const [again] = resolveLines({ ...part, name: 'Other' }, testLibrary, testKitchen)
    const [metric] = resolveLines(part, testLibrary, { ...testKitchen, region: 'metric' })
    expect(again).toBe(first)
    expect(metric?.mass?.value).toBeCloseTo(250, 6)
  })
})
