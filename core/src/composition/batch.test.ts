import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { beans, gluten, mushroom, oil, salt, testLibrary, walnut, water } from '../../test/foods'
import { addInto, type Batch, BATCH_FIELDS, batchPerGram, emptyBatch, evaporate } from './batch'

const foods = [...testLibrary.ingredients.values()]
const mixes = fc.array(fc.tuple(fc.constantFrom(...foods), fc.double({ min: 0.1, max: 900, noNaN: true })), {
  minLength: 1,
  maxLength: 12,
})

const batchOf = (mix: [(typeof foods)[number], number][]): Batch => {
  const batch = emptyBatch()
  for (const [item, grams] of mix) addInto(batch, batchPerGram(item), grams)
  return batch
}

describe('batch', () => {
  it('holds the mass that went in, water and dry matter apart', () => {
    fc.assert(
      fc.property(mixes, (mix) => {
        const batch = batchOf(mix)
        const grams = mix.reduce((sum, [, mass]) => sum + mass, 0)
        expect(batch.massG).toBeCloseTo(grams, 6)
        expect(batch.waterG + batch.dryMatterG + batch.alcoholG).toBeCloseTo(grams, 6)
      }),
    )
  })

  it('does not depend on the order of the lines', () => {
    fc.assert(
      fc.property(mixes, (mix) => {
        const there = batchOf(mix)
        const back = batchOf([...mix].reverse())
        for (const field of BATCH_FIELDS) expect(back[field]).toBeCloseTo(there[field], 6)
      }),
    )
  })

  it('scales every field alike', () => {
    fc.assert(
      fc.property(mixes, fc.double({ min: 0.1, max: 20, noNaN: true }), (mix, factor) => {
        const one = batchOf(mix)
        const many = batchOf(mix.map(([item, grams]) => [item, grams * factor]))
        for (const field of BATCH_FIELDS) expect(many[field]).toBeCloseTo(one[field] * factor, 4)
      }),
    )
  })

  it('puts protein and starch into their classes', () => {
    const batch = batchOf([
      [beans, 100],
      [gluten, 100],
      [walnut, 100],
    ])
    expect(batch.pulseProteinG).toBeCloseTo(9, 9)
    expect(batch.glutenProteinG).toBeCloseTo(75, 9)
    expect(batch.nutSeedProteinG).toBeCloseTo(15, 9)
    expect(batch.wheatStarchG).toBeCloseTo(13, 9)
    expect(batch.pulseStarchG).toBeCloseTo(15, 9)
  })

  it('counts unkneaded gluten as half a binder', () => {
    expect(batchOf([[gluten, 10]]).binderHotEE).toBeCloseTo(10 * 0.11 * 0.5, 9)
  })

  it('lets wet foods give water up and dry foods take it up', () => {
    expect(batchOf([[mushroom, 100]])).toMatchObject({
      releasedHotG: expect.closeTo(42, 6) as number,
      uptakeHotG: 0,
    })
    expect(batchOf([[gluten, 100]])).toMatchObject({
      releasedHotG: 0,
      uptakeHotG: expect.closeTo(162, 6) as number,
    })
    expect(batchOf([[water, 100]]).releasedHotG).toBeCloseTo(100, 6)
    expect(
      batchOf([
        [oil, 50],
        [salt, 5],
      ]).releasedHotG,
    ).toBe(0)
  })

  it('loses only water to vapour, and not more than there is', () => {
    const raw = batchOf([[mushroom, 100]])
    const dried = evaporate(raw, 40)
    expect(dried.massG).toBeCloseTo(60, 9)
    expect(dried.waterG).toBeCloseTo(52, 9)
    expect(dried.sodiumMg).toBe(raw.sodiumMg)
    expect(() => evaporate(raw, 93)).toThrow(/93 g of 92 g/)
    expect(() => evaporate(raw, -1)).toThrow(RangeError)
  })
})
