import { describe, expect, it } from 'vitest'
import { randomFrom } from '../chance'
import { original, sample, seats, settings, setOut, answersOf } from '../../test/tastings'
import type { AttributeId, Tasted } from '../model'
import { resultOf, tastedOf } from '../sensory'
import { familyTable, learnedOf } from './index'

const table = familyTable('crumble-mince')
if (table === null) throw new Error('There is no table of minces.')

const tasted = (
  tastingId: string,
  predicted: number,
  observed: number,
  more: Partial<Tasted> = {},
): Tasted => ({
  id: `${tastingId}/3/chewiness/${predicted}`,
  tastingId,
  family: 'crumble-mince',
  attribute: 'chewiness',
  predicted,
  observed,
  sd: 0.5,
  people: 8,
  label: 'Trial 3',
  date: '2026-06-12',
  dishId: 'dish',
  trialNumber: 3,
  partId: 'part',
  by: 'tasters',
  ...more,
})

describe('what tastings teach a family', () => {
  it('is nothing without a tasting', () => {
    expect(learnedOf(table, { tasted: [] }).size).toBe(0)
    expect(learnedOf(table, { tasted: [tasted('a', 5, 4, { family: 'bound-patty' })] }).size).toBe(0)
  })

  it('moves by a share of the difference, the more the surer the tasting', () => {
    const shift = (sd: number) => {
      const one = learnedOf(table, { tasted: [tasted('a', 5, 4, { sd })] }).get('chewiness')
      return (one?.slope ?? 1) * 5 + (one?.offset ?? 0) - 5
    }
    expect(shift(0.3)).toBeLessThan(-0.6)
    expect(shift(0.3)).toBeGreaterThan(-1)
    expect(shift(2)).toBeGreaterThan(shift(0.3))
    expect(shift(2)).toBeLessThan(-0.1)
  })

  it('grows surer with every tasting and is never less sure than before', () => {
    const sds = [1, 2, 4, 8].map((count) => {
      const values = Array.from({ length: count }, (_, at) => tasted(`t${at}`, 4 + (at % 3), 3.4 + (at % 3)))
      return learnedOf(table, { tasted: values }).get('chewiness')?.sd ?? 9
    })
    expect(sds).toEqual([...sds].sort((a, b) => b - a))
    expect(Math.max(...sds)).toBeLessThanOrEqual(
      table.attributes.find(({ id }) => id === 'chewiness')?.sd ?? 0,
    )
  })

  it('tells its error by leaving each tasting out: better where they agree, worse where they do not', () => {
    const steady = learnedOf(table, {
      tasted: ['a', 'b', 'c', 'd'].map((id, at) => tasted(id, 4 + at, 2.9 + at)),
    }).get('chewiness')
    expect(steady?.before).toBeCloseTo(1.1, 6)
    expect(steady?.after).toBeLessThan(0.5)
    const torn = learnedOf(table, { tasted: [tasted('a', 5, 7), tasted('b', 5, 3)] }).get('chewiness')
    expect(torn?.after ?? 0).toBeGreaterThan(torn?.before ?? 9)
    expect(learnedOf(table, { tasted: [tasted('a', 5, 7)] }).get('chewiness')).toMatchObject({
      before: null,
      after: null,
      tastings: 1,
    })
  })
})

const ATTRIBUTES: readonly AttributeId[] = ['juiciness', 'chewiness', 'firmness', 'umami']

/** A kitchen whose foods and tasters lie off the model by so much, unknown to it. */
function kitchen(seed: number) {
  const chance = randomFrom(seed)
  const normal = () => Math.sqrt(-2 * Math.log(1 - chance())) * Math.cos(2 * Math.PI * chance())
  const truths = new Map(
    ATTRIBUTES.map((id) => [id, { offset: 1.1 * normal(), slope: 1 + 0.2 * normal() }] as const),
  )
  const truthOf = (id: AttributeId, predicted: number): number => {
    const { offset, slope } = truths.get(id) ?? { offset: 0, slope: 1 }
    return Math.min(10, Math.max(0, 5 + slope * (predicted - 5) + offset + 0.5 * normal()))
  }
  const mix = () => new Map(ATTRIBUTES.map((id) => [id, 2.5 + 5 * chance()] as const))
  return { truthOf, mix, seed: () => Math.floor(chance() * 1e9) }
}

describe('50 simulated kitchens with offsets that nobody knows', () => {
  it('six tastings bring the prediction of mixes not yet tasted nearer in more than 80 of 100', () => {
    let nearer = 0
    for (let at = 0; at < 50; at += 1) {
      const { truthOf, mix, seed } = kitchen(1000 + at)
      const learned: Tasted[] = []
      for (let round = 0; round < 6; round += 1) {
        const said = mix()
        const predicted = Object.fromEntries([...said].map(([id, value]) => [id, { value, sd: 1.2 }]))
        const profile = Object.fromEntries(ATTRIBUTES.map((id) => [id, { value: 5, sd: 0 }]))
        const tasting = {
          ...setOut(
            settings('profile', {
              attributes: [...ATTRIBUTES],
              tasters: seats(6),
              samples: [original({ predicted: profile }), sample('3', { predicted })],
              seed: round,
            }),
          ),
          id: `t${round}`,
        }
        const truth = new Map([...said].map(([id, value]) => [id as string, truthOf(id, value)]))
        const place = (sampleId: string, ask: string) => (sampleId === 'original' ? 5 : (truth.get(ask) ?? 5))
        const answers = answersOf(tasting, { place, scatter: 1.3, leans: 1 }, seed())
        learned.push(...tastedOf(tasting, resultOf({ ...tasting, answers }).observed, '2026-06-12'))
      }
      const by = learnedOf(table, { tasted: learned })
      let before = 0
      let after = 0
      for (let fresh = 0; fresh < 12; fresh += 1)
        for (const [id, value] of mix()) {
          const truth = truthOf(id, value)
          const { offset = 0, slope = 1 } = by.get(id) ?? {}
          before += Math.abs(truth - value)
          after += Math.abs(truth - (slope * value + offset))
        }
      if (after < before) nearer += 1
    }
    expect(nearer).toBeGreaterThanOrEqual(40)
  })
})
