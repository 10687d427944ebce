import { assess } from '@frijol/core/assess'
import { findFood, indexFoods, readLine } from '@frijol/core/measure'
import { defaultKitchen, type Ingredient } from '@frijol/core/model'
import { describe, expect, it } from 'vitest'
import { reader } from '../test/dishes'
import { pasted } from '../test/readTakes'
import { disagreements, statePairs } from './build/agreement'
import { revised } from './build/revisions'
import { readTable, type Row } from './build/table'
import { library } from './index'

const foods = [...library.ingredients.values()]
const foodOf = (id: string): Ingredient => {
  const food = library.ingredients.get(id)
  if (food === undefined) throw new Error(`no ${id}`)
  return food
}
const data = (name: string) =>
  readTable(new URL(`../data/${name}`, import.meta.url), name.endsWith('psv') ? '|' : ',')

describe('a revision of one value', () => {
  const [food] = [foodOf('oats-rolled')]
  const row = (change: Row): Row => ({
    id: food.id,
    field: 'fibreG',
    was: String(food.per100g.fibreG),
    value: '11',
    low: '10',
    high: '12',
    taken: 'yes',
    ...change,
  })

  it('replaces it, and says so in the source once', () => {
    const { ingredients, faults } = revised(
      [food],
      [
        row({}),
        row({
          field: 'statedEnergyKcal',
          was: String(food.statedEnergyKcal),
          value: '370',
          low: '',
          high: '',
        }),
      ],
    )
    expect(faults).toEqual([])
    expect(ingredients[0]?.per100g.fibreG).toBe(11)
    expect(ingredients[0]?.statedEnergyKcal).toBe(370)
    expect(ingredients[0]?.source).toBe(`${food.source}; single values revised`)
    expect(food.per100g.fibreG).not.toBe(11)
  })

  it('that was left changes nothing', () => {
    const left = row({ taken: 'no', left_because: 'kinds differ' })
    expect(revised([food], [left])).toEqual({ ingredients: [food], faults: [] })
  })

  it.each([
    ['names no food', { id: 'nothing' }, 'no such food'],
    ['names no field', { field: 'colour' }, 'no such field'],
    ['has no value', { value: '' }, 'no value'],
    ['names another former value', { was: '3' }, 'named as the former value'],
    ['lies outside its own range', { value: '14' }, 'outside its own range'],
    ['is left without a reason', { taken: 'no', left_because: '' }, 'without a reason'],
  ])('that %s is a fault', (_what, change, words) => {
    expect(revised([food], [row(change)]).faults.join()).toContain(words)
  })

  it('is in the library that ships', () => {
    const rows = data('revisions.csv')
    expect(rows.length).toBeGreaterThan(571)
    for (const { id = '', field = '', value = '', taken } of rows) {
      if (taken !== 'yes') continue
      const { per100g, statedEnergyKcal } = foodOf(id)
      const now = field === 'statedEnergyKcal' ? statedEnergyKcal : per100g[field as 'fibreG']
      expect(now, `${id} ${field}`).toBe(Number(value))
    }
  })
})

describe('two states of one food', () => {
  const state = (id: string, waterG: number, proteinG: number): Ingredient => ({
    ...foodOf('mung-beans-dry'),
    id,
    per100g: {
      ...foodOf('mung-beans-dry').per100g,
      waterG,
      proteinG,
      fatG: 0,
      carbohydrateG: (100 - waterG) * 0.5,
      fibreG: 0,
    },
  })
  const pair = (proteinG: number, factor: number | null) => [
    { from: state('bean-dry', 10, 22), to: state('bean-cooked', 65, proteinG), factor },
  ]

  it('agree per dry matter', () => {
    expect(disagreements(pair(8.5, 2.4), [])).toEqual([])
  })

  it('that do not are named, unless a reason is written down', () => {
    const [fault = '', ...more] = disagreements(pair(11, null), [])
    expect(more).toEqual([])
    expect(fault).toContain('bean-dry and bean-cooked disagree in protein: 24.4 and 31.4')
    const reason = { from: 'bean-dry', to: 'bean-cooked', what: 'protein', reason: 'sugars leave' }
    expect(disagreements(pair(11, null), [reason])).toEqual([])
    expect(disagreements(pair(8.5, null), [reason]).join()).toContain('needs no reason any more')
  })

  it('whose conversion makes or loses solids are named', () => {
    expect(disagreements(pair(8.5, 3), []).join()).toContain('keeps 1.17')
    expect(disagreements(pair(8.5, 1.8), []).join()).toContain('keeps 0.70')
  })

  it('are found by shared names and by conversions', () => {
    const pairs = statePairs(foods, data('foods.psv'), library.conversions)
    const named = pairs.map(({ from, to }) => `${from.id} ${to.id}`)
    expect(named).toContain('chickpeas-dry chickpeas-canned')
    expect(named).toContain('oats-rolled oatmeal-cooked')
    expect(new Set(named).size).toBe(named.length)
    expect(disagreements(pairs, data('agreement.csv'))).toEqual([])
  })
})

describe('a name', () => {
  const index = indexFoods(foods)
  it('that several foods of one state bear is asked, never guessed', () => {
    const owners = new Map<string, Ingredient[]>()
    for (const food of foods)
      for (const name of new Set([food.name, ...food.otherNames].map((text) => text.toLowerCase())))
        owners.set(name, [...(owners.get(name) ?? []), food])
    const shared = [...owners].filter(([, of]) => new Set(of.map(({ state }) => state)).size < of.length)
    expect(shared.length).toBeGreaterThan(1)
    for (const [name] of shared) {
      const { ingredientId, choices } = findFood(index, name)
      const taken = ingredientId === null ? null : foodOf(ingredientId)
      const rivals = owners.get(name)?.filter(({ state }) => state === taken?.state)
      if (taken !== null) expect(rivals, `${name} is read as ${taken.id}`).toEqual([taken])
      expect(choices.length, name).toBeGreaterThan(1)
    }
  })

  it.each([
    ['miso', 'miso-medium'],
    ['barley miso', 'miso-barley'],
    ['white miso', 'miso-white'],
    ['toor dal', 'toor-dal-dry'],
    ['urad dal', 'urad-dal-dry'],
    ['masa harina', 'masa-harina'],
    ['greek yogurt', 'greek-yogurt'],
    ['double cream', 'cream-double'],
    ['dark soy sauce', 'soy-sauce-dark'],
    ['english mustard', 'mustard-hot-prepared'],
    ['kalamata olives', 'olives-brined'],
    ['aleppo pepper', 'chilli-flakes-oiled'],
    ['chipotle flakes', 'chipotle-dried'],
    ['chipotle in adobo', 'chipotle-adobo'],
    ['sweet chilli sauce', 'sweet-chilli-sauce'],
    ['jackfruit', null],
    ['red beans', null],
  ])('%s is %s', (name, id) => {
    expect(findFood(index, name).ingredientId).toBe(id)
  })
})

describe('labels', () => {
  const findingsOf = (text: string) => {
    const dish = pasted(text)
    return assess(dish, library, defaultKitchen).findings.filter(({ rule }) => rule === 'read-the-label')
  }
  it('of bought foods are asked for in one finding, but not for what the dish holds anyway', () => {
    const [found, ...more] = findingsOf(
      'Spread\n\n400 g tofu\n30 g ketchup\n20 g vegan mayonnaise\n\nMethod\nMix.',
    )
    expect(more).toEqual([])
    expect(found).toMatchObject({ severity: 'info' })
    expect(found?.message).toContain('Tomato ketchup (celery')
    expect(found?.message).toContain('Plant mayonnaise (mustard)')
    expect(found?.message).not.toContain('soy')
    expect(found?.remedy).toContain('label')
  })
  it('say nothing of a plain dish', () => {
    expect(findingsOf('Spread\n\n400 g tofu\n30 g tomato paste\n\nMethod\nMix.')).toEqual([])
  })
})

describe('one name for a food and its concentrate', () => {
  it.each([
    ['1 tbsp tomato puree', 'tomato-paste'],
    ['2 tbsp tomato purée', 'tomato-paste'],
    ['30 g tomato puree', 'tomato-paste'],
    ['1 cup tomato puree', 'tomato-passata'],
    ['500 g tomato puree', 'tomato-passata'],
  ])('%s is %s by its amount, and says so', (text, id) => {
    const { ingredientId, findings } = readLine(text, reader)
    expect(ingredientId).toBe(id)
    expect(findings.find(({ rule }) => rule === 'name-of-two')?.message).toMatch(
      /names tomato paste and tomato puree/,
    )
  })

  it('is not told apart where both are alike, or nothing is measured', () => {
    expect(readLine('1 cup plant milk', reader).ingredientId).toBeNull()
    expect(readLine('tomato puree', reader).ingredientId).toBeNull()
  })
})
