import { describe, expect, it } from 'vitest'
import { dishOf, partOf } from '../../test/dishes'
import { mince, testKitchen, testLibrary } from '../../test/foods'
import type { AttributeId, AttributeReading } from '../model'
import { assess } from './assess'
import { besideOriginal, standingOf } from './besideOriginal'
import { explain } from './explain'
import { likelyOriginals } from './likelyOriginals'
import { readingOrder } from './readingOrder'

const reading = (id: AttributeId, gap: number, sd = 1.2): AttributeReading => ({
  id,
  value: 5,
  sd,
  target: { low: 4, high: 6 },
  weight: mince.importance[id] ?? 0,
  gap,
  state: gap === 0 ? 'in' : Math.abs(gap) > 1 ? 'out' : 'drift',
  known: 'known',
})

describe('readingOrder', () => {
  it('puts what counts first, then what is surely off, and folds the rest', () => {
    const weights = mince.importance
    const [heaviest] = Object.entries(weights).sort((a, b) => b[1] - a[1])
    const all = [
      reading('sweetness', 2),
      reading('graininess', 1.5, 2),
      reading('smokiness', 0),
      ...(Object.keys(weights) as AttributeId[]).map((id) => reading(id, 0)),
    ]
    const { counts, off, rest } = readingOrder(all)
    expect(counts.map(({ id }) => id).sort()).toEqual(Object.keys(weights).sort())
    expect(counts[0] === undefined ? 0 : weights[counts[0].id]).toBe(heaviest?.[1])
    expect(off.map(({ id }) => id)).toEqual(['sweetness'])
    expect(rest.map(({ id }) => id)).toEqual(['graininess', 'smokiness'])
    expect(counts.length + off.length + rest.length).toBe(all.length)
  })
  it('does not change the order of what counts while figures move', () => {
    const ids = Object.keys(mince.importance) as AttributeId[]
    const order = (gap: number) =>
      readingOrder(ids.map((id, at) => reading(id, at % 2 === 0 ? gap : 0))).counts.map(({ id }) => id)
    expect(order(0)).toEqual(order(3))
  })
  it('shows the family’s own first where there is no original', () => {
    const all = Array.from({ length: 12 }, () => ({ ...reading('umami', 0), weight: 0 }))
    expect(readingOrder(all)).toMatchObject({ counts: { length: 8 }, off: [], rest: { length: 4 } })
  })
})

describe('besideOriginal', () => {
  it('tells what is gained and lost in 100 g', () => {
    const [part] = assess(
      dishOf(partOf(['200 g white beans', '20 g olive oil'], 'crumble-mince', { cookedMassG: 200 })),
      testLibrary,
      testKitchen,
    ).parts
    if (part === undefined) throw new Error('no part')
    const rows = new Map(besideOriginal(part, mince).map((row) => [row.label, row]))
    expect([...rows.keys()]).toEqual([
      'Energy',
      'Water',
      'Protein',
      'Fat',
      'Saturated fat',
      'Carbohydrate',
      'Fibre',
      'Sodium',
    ])
    const protein = rows.get('Protein')
    expect(protein?.mine).toBeCloseTo(((part.totals.proteinG ?? 0) * 100) / 200, 9)
    expect(protein?.change).toBeCloseTo((protein?.mine ?? 0) - mince.proteinPct.typical, 9)
    expect(protein?.isWithin).toBe(false)
    expect(besideOriginal({ ...part, cookedMassG: 0 }, mince)).toEqual([])
    const portion = new Map(besideOriginal(part, mince, 50).map((row) => [row.label, row]))
    expect(portion.get('Protein')?.mine).toBeCloseTo((protein?.mine ?? 0) / 2, 9)
    expect(portion.get('Protein')?.theirs.typical).toBeCloseTo(mince.proteinPct.typical / 2, 9)
  })
  // A portion of 85 g of a plant mince beside beef: corrected protein, iron, zinc, B12, saturated fat, sodium, fibre.
  it.each([
    [14 * 0.59, 22 * 0.92, 'proteinG', 'good', 'lost'],
    [3.1, 2.2, 'ironMg', 'good', 'gained'],
    [1.4, 5.3, 'zincMg', 'good', 'lost'],
    [0, 2.4, 'b12Ug', 'good', 'lost'],
    [0.6, 5.8, 'saturatedFatG', 'limited', 'better'],
    [135, 65, 'sodiumMg', 'limited', 'worse'],
    [5.6, 0, 'fibreG', 'good', 'gained'],
    [20, 19, 'seleniumUg', 'good', null],
    [2, 1, 'sodiumMg', 'limited', null],
    [null, 5, 'ironMg', 'good', null],
  ] as const)('%s beside %s of %s (%s) is %s', (mine, theirs, figure, kind, expected) => {
    expect(standingOf(mine, theirs, figure, kind)).toBe(expected)
  })
})

describe('likelyOriginals', () => {
  const named = (name: string, lines: string[] = []) => {
    const part = { ...partOf(lines), name: 'Main' }
    return likelyOriginals({ ...dishOf(part), name }, part, new Map(), testLibrary).map(({ id }) => id)
  }
  it('goes by the words of the title, and says nothing where nothing speaks', () => {
    expect(named('Minced beef filling')).toContain('mince')
    expect(named('Two meats')).toContain('mince')
    expect(named('Green leaves')).toEqual([])
  })
})

describe('levers', () => {
  it('say what else they move', () => {
    const part = partOf(
      ['2 cups white beans', '250 g mushrooms', '1 cup walnuts', '6 tbsp vital wheat gluten', '1 tsp salt'],
      'crumble-mince',
    )
    const why = explain(dishOf(part), testLibrary, testKitchen, {
      kind: 'attribute',
      partId: part.id,
      id: 'chewiness',
    })
    const levers = why?.levers ?? []
    expect(levers.length).toBeGreaterThan(1)
    const besides = levers.map((lever) => lever.besides ?? '').filter((text) => text !== '')
    expect(besides.length).toBeGreaterThan(0)
    for (const text of besides) {
      expect(text).toMatch(/[a-z -]+ [+−]\d/)
      expect(text).not.toContain('chewiness')
    }
  })
})
