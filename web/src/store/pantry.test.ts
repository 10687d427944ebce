import { guessColumns, pantryCsv, pantryRows, readTable } from '@frijol/core/interchange'
import { blankDish, defaultKitchen } from '@frijol/core/model'
import { beforeEach, describe, expect, it } from 'vitest'
import { addDishes } from '../data'
import * as commands from './commands'
import { changeKitchen, lineReader, useKitchenStore } from './kitchen'
import { loadKitchen } from './load'
import { typedLine } from './lines'
import { closeDish, openDish, run, useOpenDish } from './openDish'
import { importPantry, keepOwnFood, keepPartAsFood, removeOwnFood } from './pantry'

const store = () => useKitchenStore.getState()
const table = (text: string) => {
  const read = readTable(text)
  if (!read.ok) throw new Error(read.issues[0]?.message)
  return read.value
}
const rowsOf = (text: string) => {
  const read = table(text)
  return pantryRows(read, guessColumns(read), lineReader())
}
const label = {
  name: 'House lentil paste',
  foodClass: 'savoury',
  per100g: { waterG: 60, proteinG: 10, fatG: 8, carbohydrateG: 14, fibreG: 6, sodiumMg: 400 },
  allergens: ['soy'],
  source: 'label',
} as const

beforeEach(async () => {
  await closeDish()
  await loadKitchen()
  for (const food of store().own) await removeOwnFood(food)
  changeKitchen('reset', () => ({ ...defaultKitchen }))
})

describe('own ingredients', () => {
  it('are known at once to the library and to the reading of lines', async () => {
    const kept = await keepOwnFood(label, null)
    if (!kept.ok) throw new Error('not kept')
    expect(kept.value).toMatchObject({ origin: 'own', allergens: ['soy'] })
    expect(store().library?.ingredients.get(kept.value.id)?.name).toBe('House lentil paste')
    expect(typedLine('120 g house lentil paste').ingredientId).toBe(kept.value.id)
  })

  it('are changed under the same id', async () => {
    const kept = await keepOwnFood(label, null)
    if (!kept.ok) throw new Error('not kept')
    const again = await keepOwnFood({ ...label, name: 'Paste' }, kept.value.id)
    expect(again).toMatchObject({ ok: true, value: { id: kept.value.id, name: 'Paste' } })
    expect(store().own).toHaveLength(1)
  })

  it('that cannot be are refused, and nothing is kept', async () => {
    const kept = await keepOwnFood({ ...label, per100g: { proteinG: 80, fatG: 50 } }, null)
    expect(kept.ok).toBe(false)
    expect(store().own).toEqual([])
  })

  it('are taken away and put back', async () => {
    const kept = await keepOwnFood(label, null)
    if (!kept.ok) throw new Error('not kept')
    const putBack = await removeOwnFood(kept.value)
    expect(store().library?.ingredients.has(kept.value.id)).toBe(false)
    await putBack()
    expect(store().own.map(({ id }) => id)).toEqual([kept.value.id])
  })
})

describe('a part kept as an ingredient', () => {
  it('has the composition of its lines, by mass', async () => {
    const dish = { ...blankDish('pantry-part', 'Batch', '2026-06-14T12:00:00Z') }
    await addDishes([dish], [])
    await openDish(dish.id)
    const partId = useOpenDish.getState().value?.parts[0]?.id ?? ''
    run(commands.addLines(partId, ['100 g olive oil', '300 g water'].map(typedLine)))
    const kept = await keepPartAsFood(partId)
    if (!kept.ok) throw new Error(kept.issues[0]?.message)
    expect(kept.value.per100g.fatG).toBeCloseTo(25, 6)
    expect(kept.value.per100g.waterG).toBeCloseTo(75, 1)
    expect(kept.value.name).toContain('Batch')
  })

  it('that is gone is refused in words', async () => {
    expect(await keepPartAsFood('nowhere')).toMatchObject({ ok: false, issues: [{ code: 'no-part' }] })
  })
})

describe('a table', () => {
  it('is matched by the names of its columns, each field once', () => {
    expect(
      guessColumns(
        table('Product,Price EUR,g,Pack,Fat,of which saturated fat,Protein,Note\na,1,1,1,1,1,1,x\n'),
      ),
    ).toEqual(['name', 'price', 'grams', 'pack', 'fatG', 'saturatedFatG', 'proteinG', null])
    expect(guessColumns(table('name,name\na,b\n'))).toEqual(['name', null])
  })

  it('says for each row what keeps it out', () => {
    const faults = rowsOf(
      'name,price,grams,protein\nwalnuts,12,1000,\n,3,500,\nwalnuts,many,1000,\nwalnuts,-2,1000,\nwalnuts,2,0,\nzorbel,3,500,\nwalnuts,,1000,\n',
    ).map(({ fault }) => fault)
    expect(faults).toEqual([
      null,
      'no name',
      'a value is no number',
      'a value is below 0',
      'grams must be above 0',
      'not in the library, and no composition',
      'nothing to take over',
    ])
  })

  it('brings prices and packs of library foods and new foods with a composition', async () => {
    const rows = rowsOf(
      'name,price,grams,pack,protein,fat,carb,water\nwalnuts,12.5,1000,200,,,,\nHouse crumb,4,500,,20,10,44,24\nzorbel,1,1,,,,,\n',
    )
    expect(await importPantry(rows, 'test.csv')).toBe(2)
    expect(store().kitchen.prices).toContainEqual({ ingredientId: 'walnuts', price: 12.5, perG: 1000 })
    expect(store().kitchen.packs).toContainEqual({ ingredientId: 'walnuts', massG: 200, label: 'pack' })
    const [own] = store().own
    expect(own).toMatchObject({ name: 'House crumb', per100g: { proteinG: 20, fatG: 10 } })
    expect(store().kitchen.prices.some(({ ingredientId }) => ingredientId === own?.id)).toBe(true)
  })

  it('overwrites a price and keeps the others', async () => {
    await importPantry(rowsOf('name,price,grams\nwalnuts,12,1000\ntofu,3,400\n'), 'a.csv')
    await importPantry(rowsOf('name,price,grams\nwalnuts,14,1000\n'), 'b.csv')
    const prices = new Map(store().kitchen.prices.map(({ ingredientId, price }) => [ingredientId, price]))
    expect(prices.get('walnuts')).toBe(14)
    expect(prices.size).toBe(2)
  })

  it('goes out as CSV and comes back the same', async () => {
    await importPantry(
      rowsOf(
        'name,price,grams,pack,protein,fat,carb,water\nwalnuts,12.5,1000,200,,,,\nHouse crumb,4,500,,20,10,44,24\n',
      ),
      'a.csv',
    )
    const before = { prices: store().kitchen.prices.length, own: store().own[0]?.per100g }
    const { kitchen, library, own } = store()
    if (library === null) throw new Error('no library')
    const text = pantryCsv(kitchen, library, own)
    for (const food of store().own) await removeOwnFood(food)
    changeKitchen('reset', () => ({ ...defaultKitchen }))
    const rows = rowsOf(text)
    expect(rows.map(({ fault }) => fault)).toEqual([null, null])
    await importPantry(rows, 'b.csv')
    expect(store().kitchen.prices).toHaveLength(before.prices)
    expect(store().own[0]?.per100g).toEqual(before.own)
  })
})
