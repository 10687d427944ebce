import { describe, expect, it } from 'vitest'
import type { GroupKin, Estimate, OfOperation } from './fitKin'
import { kinRates, weighed } from './fitKin'

const kin: ReadonlyMap<string, GroupKin> = new Map([
  ['loaf', { kin: ['patty'], sizeMm: 80 }],
  ['patty', { kin: ['ball'], sizeMm: 20 }],
  ['ball', { kin: ['patty'], sizeMm: 30 }],
  ['tofu', { kin: [], sizeMm: 20 }],
])
const operation = (
  byGroup: Record<string, Estimate>,
  byFood: Record<string, Estimate & { group: string }> = {},
): OfOperation => ({ byGroup: new Map(Object.entries(byGroup)), byFood: new Map(Object.entries(byFood)) })
const found = (
  fitted: Record<string, OfOperation>,
  name: string,
  group: string,
  food: string | null = null,
) =>
  kinRates(new Map(Object.entries(fitted)), kin).find(
    (rate) => rate.operation === name && rate.group === group && rate.ingredientId === food,
  )

describe('a group without rows of its own', () => {
  const roast = operation({ patty: { ln: Math.log(0.02), sd: 0.2 } })

  it('takes its kin’s drying constant, smaller where its pieces are thicker, with more scatter', () => {
    const loaf = found({ roast }, 'roast', 'loaf')
    const ball = found({ roast }, 'roast', 'ball')
    expect(loaf?.value).toBeLessThan(0.02)
    expect(loaf?.value).toBeLessThan(ball?.value ?? 0)
    expect(loaf?.lnSd).toBeGreaterThan(0.2)
    expect(loaf?.rows).toBe(0)
  })

  it('takes all groups where no kin has rows, with wide scatter', () => {
    expect(found({ roast }, 'roast', 'tofu')).toMatchObject({ value: 0.02, lnSd: 0.6 })
  })

  it('gets nothing from strangers where food is parted from what it holds', () => {
    const press = operation({ patty: { ln: -0.1, sd: 0.1 } })
    expect(found({ press }, 'press', 'tofu')).toBeUndefined()
    expect(found({ press }, 'press', 'loaf')?.value).toBeCloseTo(Math.exp(-0.1))
  })

  it('gets nothing where what is cut away or clings is each food’s own', () => {
    const trim = operation({ patty: { ln: -0.1, sd: 0.1 } })
    expect(found({ trim }, 'trim', 'loaf')).toBeUndefined()
  })

  it('takes its own constant in an operation alike, moved by what both know', () => {
    const fitted = {
      press: operation({ tofu: { ln: -0.1, sd: 0.1 } }),
      squeeze: operation({ tofu: { ln: -0.3, sd: 0.1 } }),
      drain: operation({ patty: { ln: -0.5, sd: 0.1 }, ball: { ln: -0.6, sd: 0.1 } }),
      rinse: operation({ ball: { ln: -0.7, sd: 0.1 } }),
    }
    // rinse stands 0.1 below drain in the group that both know; the kin (ball) says −0.7 as well
    const { ln, sd } = weighed([
      { ln: -0.7, sd: Math.hypot(0.1, 0.2) },
      { ln: -0.6, sd: Math.hypot(0.1, 0.35) },
    ])
    const rinsed = found(fitted, 'rinse', 'patty')
    expect(rinsed?.value).toBeCloseTo(Math.exp(ln), 4)
    expect(rinsed?.lnSd).toBeCloseTo(sd, 3)
  })
})

describe('a food without rows of its own', () => {
  it('stands to its group as it does in an operation alike', () => {
    const bean = { ln: 0.4, sd: 0.2 }
    const fitted = {
      boil: operation({ bean }, { mung: { ln: 0.7, sd: 0.05, group: 'bean' } }),
      'pressure-cook': operation({ bean }),
    }
    const mung = found(fitted, 'pressure-cook', 'bean', 'mung')
    expect(mung?.value).toBeGreaterThan(Math.exp(0.4))
    expect(mung?.value).toBeLessThan(Math.exp(0.7))
    expect(found(fitted, 'boil', 'bean', 'mung')).toBeUndefined()
  })
})
