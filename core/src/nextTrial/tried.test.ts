import { describe, expect, it } from 'vitest'
import { dishOf, partOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { assess } from '../assess'
import { residualAt, type TriedPart } from '.'
import { axesOf, placeOf } from './tried'

const dish = dishOf(
  partOf(['300 g white beans', '80 g walnuts', '40 g olive oil', '6 g salt'], 'crumble-mince'),
)
const [reading] = assess(dish, testLibrary, testKitchen).parts
if (reading === undefined) throw new Error('no part')
const axes = axesOf(reading)
const here = placeOf(reading, axes)
const far = here.map((value) => value + 8)
const value = reading.attributes.find(({ id }) => id === 'firmness')?.value ?? 0
const tried = (error: number, sd = 0.3): TriedPart => ({
  number: 1,
  reading,
  tasted: new Map([['firmness', { value: value + error, sd }]]),
})

describe('what the model errs by', () => {
  it('is nothing, and as little known as the model, before any tasting', () => {
    expect(residualAt('firmness', [], axes, 1.2, [here])).toEqual({ mean: [0], sd: [1.2] })
  })

  it('is what was tasted where it was tasted, and nothing far away', () => {
    const { mean, sd } = residualAt('firmness', [tried(1.5)], axes, 1.2, [here, far])
    expect(mean[0]).toBeCloseTo(1.5 * (1.2 ** 2 / (1.2 ** 2 + 0.3 ** 2)), 6)
    expect(sd[0]).toBeLessThan(0.35)
    expect(Math.abs(mean[1] ?? 9)).toBeLessThan(0.05)
    expect(sd[1]).toBeGreaterThan(1.15)
  })

  it('believes a large panel more, and several tastings more than one', () => {
    const one = residualAt('firmness', [tried(1, 1)], axes, 1.2, [here])
    const sure = residualAt('firmness', [tried(1, 0.2)], axes, 1.2, [here])
    const many = residualAt('firmness', [tried(1, 1), tried(1, 1), tried(1, 1)], axes, 1.2, [here])
    expect(sure.mean[0]).toBeGreaterThan(one.mean[0] ?? 9)
    expect(many.mean[0]).toBeGreaterThan(one.mean[0] ?? 9)
    expect(many.sd[0]).toBeLessThan(one.sd[0] ?? 0)
  })

  it('says nothing of an attribute that was not tasted', () => {
    expect(residualAt('juiciness', [tried(1)], axes, 1.2, [here])).toEqual({ mean: [0], sd: [1.2] })
  })
})
