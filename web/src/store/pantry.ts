import { mixedIngredient, type OwnFood, ownIngredient, resolveLines } from '@frijol/core/composition'
import type { PantryRow } from '@frijol/core/interchange'
import { fail, type Ingredient, type Result } from '@frijol/core/model'
import { assess } from '@frijol/core/assess'
import { removeIngredient, saveIngredients } from '../data'
import { newId } from './ids'
import { changeKitchen, useKitchenStore } from './kitchen'
import { refreshFoods } from './load'
import { useOpenDish } from './openDish'

export const ownId = (): string =>
  `own-${newId()
    .toLowerCase()
    .replace(/[^a-z0-9]/g, 'x')}`

/** Keeps an ingredient of one's own, new or changed. */
export async function keepOwnFood(own: Omit<OwnFood, 'id'>, id: string | null): Promise<Result<Ingredient>> {
  const made = ownIngredient({ ...own, id: id ?? ownId() })
  if (!made.ok) return made
  await saveIngredients([made.value])
  await refreshFoods()
  return made
}

/** Takes an own ingredient away; returns the way to put it back. */
export async function removeOwnFood(food: Ingredient): Promise<() => Promise<void>> {
  await removeIngredient(food.id)
  await refreshFoods()
  return async () => {
    await saveIngredients([food])
    await refreshFoods()
  }
}

/** Keeps a part of the open dish as an ingredient: its composition per 100 g as cooked. */
export async function keepPartAsFood(partId: string): Promise<Result<Ingredient>> {
  const dish = useOpenDish.getState().value
  const { library, kitchen } = useKitchenStore.getState()
  const part = dish?.parts.find(({ id }) => id === partId)
  if (dish === null || part === undefined || library === null) {
    return fail({ code: 'no-part', path: [], message: 'This part is no longer there. Nothing was changed.' })
  }
  const cookedMassG =
    assess(dish, library, kitchen).parts.find((one) => one.partId === partId)?.cookedMassG ?? 0
  const made = mixedIngredient(
    ownId(),
    `${part.name} of ${dish.name}`.slice(0, 120),
    resolveLines(part, library, kitchen),
    cookedMassG,
  )
  if (!made.ok) return made
  await saveIngredients([made.value])
  await refreshFoods()
  return made
}

/** Takes rows over: prices and packs of library foods, new own ingredients for the rest. Returns how many. */
export async function importPantry(rows: readonly PantryRow[], source: string): Promise<number> {
  const good = rows.filter(({ fault }) => fault === null)
  const made: Ingredient[] = []
  const ids = good.map(({ name, food, per100g }) => {
    if (food !== null && Object.keys(per100g).length === 0) return food.id
    const own = ownIngredient({ id: ownId(), name, foodClass: 'savoury', per100g, allergens: [], source })
    if (own.ok) made.push(own.value)
    return own.ok ? own.value.id : null
  })
  await saveIngredients(made)
  changeKitchen('import prices and packs', (kitchen) => {
    const prices = new Map(kitchen.prices.map((price) => [price.ingredientId, price]))
    const packs = new Map(kitchen.packs.map((pack) => [pack.ingredientId, pack]))
    good.forEach(({ price, perG, packG }, at) => {
      const ingredientId = ids[at]
      if (ingredientId == null) return
      if (price !== null && perG !== null) prices.set(ingredientId, { ingredientId, price, perG })
      if (packG !== null && packG > 0) packs.set(ingredientId, { ingredientId, massG: packG, label: 'pack' })
    })
    return { ...kitchen, prices: [...prices.values()], packs: [...packs.values()] }
  })
  await refreshFoods()
  return good.length
}
