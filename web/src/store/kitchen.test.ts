import { defaultKitchen, type Kitchen, type Price } from '@frijol/core/model'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { KITCHEN_ID, kitchenRepository, saveIngredients } from '../data'
import {
  changeKitchen,
  flushKitchen,
  redoKitchen,
  teachName,
  undoKitchen,
  useKitchenDocument,
  useKitchenStore,
} from './kitchen'
import { loadKitchen } from './load'
import { keepOwnFood } from './pantry'
import { useRefusal } from './document'

const price = (ingredientId: string, amount: number): Price => ({ ingredientId, price: amount, perG: 1000 })
const priceOf = (kitchen: Kitchen, id: string) =>
  kitchen.prices.find(({ ingredientId }) => ingredientId === id)?.price
const setPrice = (id: string, amount: number) =>
  changeKitchen('set a price', (kitchen) => ({
    ...kitchen,
    prices: [...kitchen.prices.filter(({ ingredientId }) => ingredientId !== id), price(id, amount)],
  }))
const stored = async () => {
  const found = await kitchenRepository.read(KITCHEN_ID)
  if (found.kind !== 'row') throw new Error(found.kind)
  return found.row
}
/** Changes the stored kitchen as another tab would: on what is stored now. */
const inAnotherTab = async (change: (kitchen: Kitchen) => Kitchen): Promise<void> => {
  const row = await stored()
  await kitchenRepository.save({
    ...row,
    value: change(row.value),
    base: row.revision,
    put: [],
    remove: [],
    mark: 'theirs',
  })
}
const rested = () =>
  vi.waitFor(() => expect(useKitchenDocument.getState().save).toBe('saved'), { timeout: 20_000 })

beforeEach(async () => {
  await loadKitchen()
  changeKitchen('reset', () => ({ ...defaultKitchen }))
  await flushKitchen()
})

describe('a change of the kitchen', () => {
  it('keeps what other tabs set meanwhile: a price in one, a weighing in a second, a name in a third', async () => {
    setPrice('salt', 2)
    await inAnotherTab((kitchen) => ({
      ...kitchen,
      observations: [{ id: 'o1', operation: 'boil', vessel: 'pot', lnRatio: 0.1, sd: 0.05 }],
    }))
    await inAnotherTab((kitchen) => ({ ...kitchen, names: [{ name: 'my salt', ingredientId: 'salt' }] }))
    await flushKitchen()
    await rested()
    expect((await stored()).value).toMatchObject({
      prices: [price('salt', 2)],
      observations: [{ id: 'o1' }],
      names: [{ name: 'my salt' }],
    })
    expect(useKitchenStore.getState().kitchen.observations).toHaveLength(1)
  })

  it('of the same price stands if it is the later one, and nobody is asked', async () => {
    setPrice('salt', 2)
    await inAnotherTab((kitchen) => ({ ...kitchen, prices: [price('salt', 9), price('walnuts', 7)] }))
    await flushKitchen()
    await rested()
    expect(priceOf((await stored()).value, 'salt')).toBe(2)
    expect(priceOf((await stored()).value, 'walnuts')).toBe(7)
  })

  it('made in another tab is followed, by what reads lines too', async () => {
    await inAnotherTab((kitchen) => ({
      ...kitchen,
      names: [{ name: 'frying mix', ingredientId: 'olive-oil' }],
    }))
    await vi.waitFor(() => expect(useKitchenStore.getState().kitchen.names).toHaveLength(1))
    expect(useKitchenStore.getState().reader?.kitchen.names).toHaveLength(1)
  })

  it('is undone and done again', async () => {
    setPrice('salt', 2)
    teachName('my salt', 'salt')
    expect(undoKitchen()).toBe('teach a name')
    expect(undoKitchen()).toBe('set a price')
    expect(useKitchenStore.getState().kitchen.prices).toEqual([])
    expect(redoKitchen()).toBe('set a price')
    await flushKitchen()
    expect(priceOf((await stored()).value, 'salt')).toBe(2)
  })

  it('that does not fit is refused with its reason', () => {
    expect(changeKitchen('set the currency', (kitchen) => ({ ...kitchen, currency: 'euro' }))).toBe(false)
    expect(useRefusal.getState()?.words).toMatch(/three-letter currency code.*Nothing was changed/)
    expect(useKitchenStore.getState().kitchen.currency).toBe('EUR')
  })
})

it('foods of one’s own are followed across tabs', async () => {
  const made = await keepOwnFood(
    {
      name: 'Bean paste',
      foodClass: 'savoury',
      per100g: { proteinG: 6, fatG: 1 },
      allergens: [],
      source: 'pack',
    },
    null,
  )
  if (!made.ok) throw new Error(made.issues[0]?.message)
  expect(useKitchenStore.getState().library?.ingredients.get(made.value.id)?.name).toBe('Bean paste')
  await saveIngredients([{ ...made.value, name: 'Bean paste, smoked' }])
  await vi.waitFor(() =>
    expect(useKitchenStore.getState().library?.ingredients.get(made.value.id)?.name).toBe(
      'Bean paste, smoked',
    ),
  )
})
