import { describe, expect, it } from 'vitest'
import { dishOf, partOf } from '../../test/dishes'
import { testKitchen, testLibrary } from '../../test/foods'
import { Assessment, type Dish } from '../model'
import { assess } from './assess'
import { explain } from './explain'
import { nextAct } from './nextAct'

const MINCE = [
  '2 cups white beans',
  '250 g mushrooms',
  '1 cup walnuts',
  '6 tbsp vital wheat gluten',
  '1 tsp salt',
]
const mincePart = () => partOf(MINCE, 'crumble-mince')
const done = (dish: Dish) => assess(dish, testLibrary, testKitchen)

describe('assess', () => {
  it('fits its own schema, for a full, an empty and an unknown dish', () => {
    for (const dish of [
      dishOf(mincePart()),
      dishOf(partOf([])),
      dishOf(partOf(['3 zorbels', 'salt to taste'])),
    ]) {
      const parsed = Assessment.safeParse(done(dish))
      expect(parsed.error?.issues ?? []).toEqual([])
    }
  })

  it('reads ratios, attributes and water of a crumble against its original', () => {
    const [part] = done(dishOf(mincePart())).parts
    expect(part?.ratios.map(({ id }) => id)).toEqual([
      'free-water',
      'piece-size',
      'fat',
      'binder-hold',
      'coarse-share',
      'chew',
      'salt',
    ])
    expect(part?.attributes.length).toBeGreaterThanOrEqual(4)
    expect(
      part?.attributes
        .filter(({ target }) => target !== null)
        .map(({ id }) => id)
        .sort(),
    ).toEqual(['chewiness', 'crumbliness', 'firmness', 'juiciness', 'richness', 'saltiness', 'umami'])
    const water = part?.water
    expect((water?.heldG ?? 0) + (water?.freeG ?? 0) + (water?.cookedOffG ?? 0)).toBeCloseTo(
      water?.totalG ?? -1,
      6,
    )
    expect(part?.cookedBasis).toBe('family')
  })

  it('lets the whiskers of before stand in between two keys, and then works them out', () => {
    const before = dishOf(mincePart())
    const [part] = before.parts
    if (part === undefined) throw new Error('no part')
    const after = dishOf({
      ...part,
      lines: part.lines.map((line) =>
        line.food.includes('walnuts') ? { ...line, food: 'sunflower seeds', ingredientId: null } : line,
      ),
    })
    const was = done(before)
    const between = assess(after, testLibrary, testKitchen, was)
    const whole = done({ ...after, parts: after.parts.map((one) => ({ ...one })) })
    const sdsOf = ({ parts: [one] }: Assessment) => [
      one?.cookedSdG,
      ...(one?.ratios ?? []).map(({ sd }) => sd),
      ...(one?.attributes ?? []).map(({ sd }) => sd),
    ]
    const withoutSds = (one: Assessment) =>
      JSON.parse(
        JSON.stringify(one, (key, value: unknown) => (/^(?:cookedSdG|sd)$/.test(key) ? 0 : value)),
      ) as unknown
    expect(sdsOf(between)).toEqual(sdsOf(was))
    expect(withoutSds(between)).toEqual(withoutSds(whole))
    expect(sdsOf(whole)).not.toEqual(sdsOf(was))
    expect(done(after)).toEqual(whole)
    // What is settled stays so.
    expect(assess(after, testLibrary, testKitchen, was)).toEqual(whole)
  })

  it('divides by cooked mass and by portions', () => {
    const dish = dishOf(partOf(['200 g white beans'], null, { cookedMassG: 180 }))
    const { perPortion, per100g } = done({ ...dish, aim: { ...dish.aim, portions: 2 } })
    expect(perPortion.massG).toBeCloseTo(90, 9)
    expect(perPortion.proteinG).toBeCloseTo(9, 9)
    expect(per100g.proteinG).toBeCloseTo((18 / 180) * 100, 9)
  })

  it('works out only the part that changed', () => {
    const dish = dishOf(mincePart(), partOf(['100 g walnuts']))
    const before = done(dish)
    const [first, second] = dish.parts
    if (first === undefined || second === undefined) throw new Error('two parts wanted')
    const after = done({ ...dish, parts: [first, { ...second, name: 'Topping' }] })
    expect(after.parts[0]).toBe(before.parts[0])
    expect(after.parts[1]).not.toBe(before.parts[1])
  })

  it('gives the same dish the same assessment, whatever was assessed before', () => {
    const dish = dishOf(mincePart())
    const copy = structuredClone(dish)
    expect(done(copy)).toEqual(done(dish))
  })

  it('does not change the dish', () => {
    const dish = dishOf(mincePart())
    const before = structuredClone(dish)
    done(dish)
    expect(dish).toEqual(before)
  })

  it('does not depend on the order of the lines', () => {
    const there = done(dishOf(partOf(MINCE, 'crumble-mince')))
    const back = done(dishOf(partOf([...MINCE].reverse(), 'crumble-mince')))
    there.parts[0]?.attributes.forEach(({ id, value }) => {
      expect(back.parts[0]?.attributes.find((one) => one.id === id)?.value).toBeCloseTo(value, 9)
    })
  })

  it('scales: twice of everything has the same ratios', () => {
    const twice = [
      '4 cups white beans',
      '500 g mushrooms',
      '2 cups walnuts',
      '12 tbsp vital wheat gluten',
      '2 tsp salt',
    ]
    const one = done(dishOf(partOf(MINCE, 'crumble-mince'))).parts[0]
    const two = done(dishOf(partOf(twice, 'crumble-mince'))).parts[0]
    expect(two?.rawMassG).toBeCloseTo(2 * (one?.rawMassG ?? 0), 6)
    one?.ratios.forEach(({ value }, at) => expect(two?.ratios[at]?.value).toBeCloseTo(value, 9))
  })

  it('finds allergens and a weighed mass that cannot be', () => {
    const dish = dishOf(partOf(MINCE, 'crumble-mince', { cookedMassG: 50 }))
    const { allergens, findings } = done(dish)
    expect(allergens).toEqual(['gluten-wheat', 'tree-nut-walnut'])
    expect(findings.map(({ rule }) => rule)).toContain('cooked-mass-impossible')
  })
})

describe('explain', () => {
  const dish = dishOf(mincePart())
  const [part] = dish.parts
  const partId = part?.id ?? ''
  const ask = (asked: Parameters<typeof explain>[3]) => explain(dish, testLibrary, testKitchen, asked)

  it('answers for a line: what was written, the density, the source', () => {
    const line = part?.lines[0]
    const answer = ask({ kind: 'line', partId, lineId: line?.id ?? '' })
    expect(answer?.title).toContain('g')
    expect(answer?.inputs.map(({ label }) => label)).toEqual(['As written', 'Read as', 'Density'])
    expect(answer?.source).toContain('made up for tests')
  })

  it('answers for a ratio and an attribute with what moves them most', () => {
    const fat = ask({ kind: 'ratio', partId, id: 'fat' })
    expect(fat?.levers[0]).toMatchObject({ label: 'Walnuts +10 %' })
    expect(fat?.levers[0]?.change.startsWith('+')).toBe(true)
    const salt = ask({ kind: 'attribute', partId, id: 'saltiness' })
    expect(salt?.levers[0]?.label).toBe('Salt +10 %')
    expect(salt?.inputs[0]?.label).toBe('Minced meat')
  })

  it('answers for a portion: the shares of its sources add up to it', () => {
    const sodium = ask({ kind: 'portion', nutrient: 'sodiumMg' })
    expect(sodium?.inputs[0]?.label).toBe('Salt')
    const sum = sodium?.inputs.reduce((total, { value }) => total + Number.parseFloat(value), 0) ?? 0
    expect(sum).toBeCloseTo(done(dish).perPortion.sodiumMg ?? 0, 0)
    expect(ask({ kind: 'portion', nutrient: 'cost' })?.inputs).toHaveLength(1)
    expect(ask({ kind: 'portion', nutrient: 'energyKcal' })?.source).toContain('1169/2011')
  })

  it('has no answer for what is not there', () => {
    expect(ask({ kind: 'ratio', partId, id: 'none' })).toBeNull()
    expect(ask({ kind: 'line', partId: 'none', lineId: 'none' })).toBeNull()
    expect(ask({ kind: 'attribute', partId, id: 'hardness' })).toBeNull()
  })
})

describe('nextAct', () => {
  const next = (dish: Dish) => nextAct(dish, done(dish)).act
  it('follows the order of the work', () => {
    expect(next(dishOf(partOf([])))).toBe('Write the formula')
    expect(next(dishOf(partOf(['100 g white beans'])))).toBe('Choose the original')
    expect(next(dishOf(partOf([...MINCE, '200 g dried kidney beans'], 'crumble-mince')))).toBe(
      'Settle a stop',
    )
    expect(next(dishOf(partOf([...MINCE, '100 g zorbel'], 'crumble-mince')))).toBe('Name 1 food')
    expect(next(dishOf(partOf([...MINCE, '1/4 cup garlic powder'], 'crumble-mince')))).toBe('Check an amount')
    expect(next(dishOf(partOf(['400 g white beans', '200 g water'], 'crumble-mince')))).toMatch(
      /^Bring \w+ (?:up|down)$/,
    )
  })
  it('proposes what counts, and the heavier of two gaps', () => {
    const dish = dishOf(partOf(['400 g white beans', '200 g water'], 'crumble-mince'))
    const read = done(dish)
    const withGaps = (gaps: Readonly<Record<string, number>>) => ({
      ...read,
      findings: [],
      parts: read.parts.map((part) => ({
        ...part,
        attributes: part.attributes.map((one) => ({ ...one, gap: gaps[one.id] ?? 0 })),
      })),
    })
    const act = (gaps: Readonly<Record<string, number>>) => nextAct(dish, withGaps(gaps)).act
    expect(act({ saltiness: -4, umami: -1 })).toBe('Bring umami up')
    expect(act({ richness: -1, umami: 1.2 })).toBe('Bring richness up')
  })
})
