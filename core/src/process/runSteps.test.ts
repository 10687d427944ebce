import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newId, partOf } from '../../test/dishes'
import { beans, mushroom, testLibrary } from '../../test/foods'
import { addInto, batchPerGram, emptyBatch } from '../composition'
import type { Step } from '../model'
import { conversionOf, converted } from './convert'
import { isHeating, operationIn } from './operations'
import { runSteps } from './runSteps'

const raw = () => {
  const batch = emptyBatch()
  addInto(batch, batchPerGram(mushroom), 500)
  addInto(batch, batchPerGram(beans), 300)
  return batch
}
const step = (keepsFraction: number | null): Step => ({
  id: newId(),
  text: 'Cook',
  operation: 'simmer',
  durationMin: null,
  tempC: null,
  keepsFraction,
})

describe('runSteps', () => {
  it('conserves mass: raw = cooked + what left', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.5, max: 1, noNaN: true }), { minLength: 1, maxLength: 5 }),
        (fractions) => {
          const batch = raw()
          const run = runSteps(partOf([], null, { steps: fractions.map(step) }), batch, null)
          const left = run.steps.flatMap(({ lost }) => lost).reduce((sum, { massG }) => sum + massG, 0)
          expect(run.cooked.massG + left).toBeCloseTo(batch.massG, 6)
          expect(run.cooked.waterG).toBeGreaterThanOrEqual(0)
          expect(run.cooked.massG - run.cooked.waterG).toBeCloseTo(batch.massG - batch.waterG, 6)
        },
      ),
    )
  })

  it('follows the weighed mass over the steps, and the steps over the family', () => {
    const weighed = runSteps(partOf([], null, { steps: [step(0.9)], cookedMassG: 600 }), raw(), 0.75)
    expect(weighed).toMatchObject({ basis: 'weighed', cooked: { massG: 600 } })
    expect(runSteps(partOf([], null, { steps: [step(0.9)] }), raw(), 0.75)).toMatchObject({ basis: 'steps' })
    expect(runSteps(partOf([], null, { steps: [step(null)] }), raw(), 0.75)).toMatchObject({
      basis: 'family',
    })
    expect(runSteps(partOf([]), raw(), null)).toMatchObject({ basis: 'raw', cooked: { massG: 800 } })
  })

  it('books water that is taken up', () => {
    const run = runSteps(partOf([], null, { cookedMassG: 900 }), raw(), null)
    expect(run.cooked.waterG - raw().waterG).toBeCloseTo(100, 6)
  })

  it('says how much of a wanted loss is impossible', () => {
    const run = runSteps(partOf([], null, { cookedMassG: 50 }), raw(), null)
    expect(run.cooked.waterG).toBeCloseTo(0, 6)
    expect(run.impossibleG).toBeCloseTo(run.cooked.massG - 50, 6)
  })
})

describe('operationIn', () => {
  it.each([
    ['Brown the mushrooms until no steam rises', 'brown'],
    ['Add the onion and sweat for 6 minutes', 'brown'],
    ['Fold in the beans', 'mix'],
    ['Spread on a tray and bake at 190 °C', 'bake'],
    ['Blend with the milk until smooth', 'blend'],
    ['Steam the logs for 40 minutes', 'steam'],
    ['Leave overnight', 'rest'],
    ['Serve', null],
  ])('reads %j', (text, operation) => {
    expect(operationIn(text)).toBe(operation)
  })

  it('knows which operations heat', () => {
    expect(isHeating('bake')).toBe(true)
    expect(isHeating('soak')).toBe(false)
    expect(isHeating(null)).toBe(false)
  })
})

describe('converted', () => {
  const found = conversionOf(testLibrary, 'kidney-beans-cooked')
  it('goes both ways and returns where it began', () => {
    if (found === null) throw new Error('no conversion')
    const dry = converted(found.conversion, 500, 'back')
    expect(dry).toMatchObject({ foodId: 'kidney-beans-dry', massG: 200 })
    expect(dry.lowG).toBeLessThan(dry.massG)
    expect(dry.highG).toBeGreaterThan(dry.massG)
    expect(converted(found.conversion, dry.massG, 'forward').massG).toBeCloseTo(500, 9)
  })
  it('knows which way a food goes', () => {
    expect(found?.direction).toBe('back')
    expect(conversionOf(testLibrary, 'kidney-beans-dry')?.direction).toBe('forward')
    expect(conversionOf(testLibrary, 'walnut')).toBeNull()
  })
})
