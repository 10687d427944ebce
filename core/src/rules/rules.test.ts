import { describe, expect, it } from 'vitest'
import { dishOf, partOf, stepOf } from '../../test/dishes'
import { beans, egg, gluten, oil, salt, testKitchen, testLibrary, walnut } from '../../test/foods'
import { assess } from '../assess'
import { type Dish, noLimits } from '../model'
import { dietsOf, isExcluded } from './aim'
import { findingKey } from './finding'

const rulesOf = (dish: Dish) => assess(dish, testLibrary, testKitchen).findings.map(({ rule }) => rule)
const MINCE = ['400 g white beans', '200 g mushrooms', '100 g walnuts', '6 g salt']

describe('slips', () => {
  it('asks whether a quarter teaspoon was meant by a quarter cup', () => {
    const { findings } = assess(dishOf(partOf([...MINCE, '1/4 cup garlic powder'])), testLibrary, testKitchen)
    const slip = findings.find(({ rule }) => rule === 'unit-slip')
    expect(slip?.message).toContain('¼ tsp')
    expect(slip?.severity).toBe('caution')
  })

  it('asks about a salt spoon, and not about a usual amount', () => {
    expect(rulesOf(dishOf(partOf(['400 g white beans', '1/2 cup salt'])))).toContain('unit-slip')
    expect(
      rulesOf(dishOf(partOf(['400 g white beans', '1 tsp salt', '1/2 tsp garlic powder']))),
    ).not.toContain('unit-slip')
  })

  it('leaves a seasoning mix alone', () => {
    expect(rulesOf(dishOf(partOf(['2 tbsp garlic powder', '1 tbsp salt'])))).not.toContain('unit-slip')
  })

  it('names a line that no step uses', () => {
    const steps = (text: string) => [stepOf(text)]
    expect(
      rulesOf(dishOf(partOf(MINCE, null, { steps: steps('Brown the mushrooms, add beans and salt.') }))),
    ).toContain('listed-unused')
    expect(
      rulesOf(
        dishOf(partOf(MINCE, null, { steps: steps('Brown the mushrooms, add beans, walnuts and salt.') })),
      ),
    ).not.toContain('listed-unused')
    expect(rulesOf(dishOf(partOf(MINCE, null, { steps: steps('Mix everything.') })))).not.toContain(
      'listed-unused',
    )
    expect(rulesOf(dishOf(partOf(MINCE)))).not.toContain('listed-unused')
  })
})

describe('lines that cannot be counted', () => {
  it.each([
    ['100 g zorbel', 'unknown-food'],
    ['salt to taste', 'amount-open'],
    ['white beans', 'amount-open'],
    ['0.3 g salt', 'below-scale'],
    ['2 heads salt', 'no-piece-mass'],
  ])('%j is found', (line, rule) => {
    expect(rulesOf(dishOf(partOf(['400 g white beans', line])))).toContain(rule)
  })

  it('names an ingredient that the library does not hold', () => {
    const part = partOf(['100 g white beans'])
    const lines = part.lines.map((line) => ({ ...line, ingredientId: 'gone' }))
    expect(rulesOf(dishOf({ ...part, lines }))).toContain('missing-ingredient')
  })
})

describe('packs', () => {
  it('says when the pack at hand is not the formula’s', () => {
    const kitchen = { ...testKitchen, packs: [{ ingredientId: 'beans', massG: 500, label: 'tin' }] }
    const dish = dishOf(partOf(['1 (400 g) can white beans, drained', '1 can white beans']))
    const found = assess(dish, testLibrary, kitchen).findings.filter(({ rule }) => rule === 'pack-differs')
    expect(found).toHaveLength(1)
    expect(found[0]?.remedy).toContain('Weigh out 240 g')
    expect(rulesOf(dish)).not.toContain('pack-differs')
  })
})

describe('safety', () => {
  it('stops at raw kidney beans and names the local food code', () => {
    const { findings } = assess(dishOf(partOf(['200 g dried kidney beans'])), testLibrary, testKitchen)
    expect(findings[0]).toMatchObject({ rule: 'safety-raw-kidney-bean', severity: 'stop' })
    expect(findings[0]?.remedy).toMatch(/boil hard for 30 minutes.*local food code/)
    expect(rulesOf(dishOf(partOf(['200 g cooked kidney beans'])))).not.toContain('safety-raw-kidney-bean')
  })
})

describe('aim', () => {
  const withAim = (dish: Dish, change: Partial<Dish['aim']>): Dish => ({
    ...dish,
    aim: { ...dish.aim, ...change },
  })

  it('holds a portion against each limit', () => {
    const dish = withAim(dishOf(partOf(MINCE)), {
      portions: 2,
      portionMassG: 100,
      limits: { ...noLimits(), sodiumMgMax: 500, proteinGMin: 60, costMax: 0.5 },
    })
    expect(rulesOf(dish)).toEqual(
      expect.arrayContaining(['limit-sodium', 'limit-protein', 'limit-cost', 'portion-mass']),
    )
    const loose = withAim(dish, {
      portionMassG: 353,
      limits: { ...noLimits(), sodiumMgMax: 5000, proteinGMin: 10, costMax: 5 },
    })
    expect(rulesOf(loose).filter((rule) => /^limit|^portion/.test(rule))).toEqual([])
  })

  it('does not claim too little protein where some of it is unknown', () => {
    const dish = withAim(dishOf(partOf(['100 g white beans', '100 g zorbel'])), {
      portions: 1,
      limits: { ...noLimits(), sodiumMgMax: null, proteinGMin: 20, costMax: null },
    })
    expect(rulesOf(dish)).not.toContain('limit-protein')
  })

  it('stops at what is excluded, by allergen, group, diet mark or food', () => {
    const dish = dishOf(partOf(['50 g vital wheat gluten', '20 g walnuts', '2 eggs', '1 tbsp olive oil']))
    for (const excluded of [
      'gluten',
      'gluten-wheat',
      'tree-nuts',
      'nuts',
      'egg',
      'animal',
      'added-oil',
      'walnut',
    ]) {
      const { findings } = assess(withAim(dish, { excluded: [excluded] }), testLibrary, testKitchen)
      expect(
        findings.filter(({ rule, severity }) => rule === 'allergen-conflict' && severity === 'stop'),
        excluded,
      ).toHaveLength(1)
    }
    expect(rulesOf(withAim(dish, { excluded: ['soy', 'peanut'] }))).not.toContain('allergen-conflict')
  })

  it('claims diets only where every food is known', () => {
    expect(dietsOf([beans, salt], false, testLibrary)).toEqual([
      'plant-based',
      'gluten-free',
      'soy-free',
      'nut-free',
      'no-added-oil',
    ])
    expect(dietsOf([beans, gluten, oil], false, testLibrary)).toEqual(['plant-based', 'soy-free', 'nut-free'])
    expect(dietsOf([beans, egg], false, testLibrary)).not.toContain('plant-based')
    expect(dietsOf([beans], true, testLibrary)).toEqual([])
    expect(dietsOf([], false, testLibrary)).toEqual([])
    expect(isExcluded(walnut, 'tree-nuts', testLibrary)).toBe(true)
  })
})

describe('settling', () => {
  it('keeps the reason beside the finding', () => {
    const dish = dishOf(partOf(['400 g white beans', '1/2 cup salt']))
    const slip = assess(dish, testLibrary, testKitchen).findings.find(({ rule }) => rule === 'unit-slip')
    if (slip === undefined) throw new Error('no slip')
    const settled = { ...dish, settled: [{ key: findingKey(slip), reason: 'a brine' }] }
    const again = assess(settled, testLibrary, testKitchen).findings.find(({ rule }) => rule === 'unit-slip')
    expect(again?.settled).toBe('a brine')
  })

  it('puts harm first', () => {
    const { findings } = assess(
      dishOf(partOf(['200 g dried kidney beans', '100 g zorbel', '2 eggs'])),
      testLibrary,
      testKitchen,
    )
    const order = findings.map(({ severity }) => ['stop', 'caution', 'info'].indexOf(severity))
    expect(order).toEqual([...order].sort((a, b) => a - b))
  })
})
