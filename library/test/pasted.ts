import { assess } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { type Assessment, defaultKitchen, type Dish } from '@frijol/core/model'
import { library } from '../src'
import { mixContext } from './mixContext'

/** The first recipe of a pasted text; a text that is not read is an error of the test. */
export function dishOf(text: string): Dish {
  const found = readRecipes(text, mixContext())
  const dish = found.ok ? found.value[0] : undefined
  if (dish === undefined) throw new Error(`not read: ${text}`)
  return dish
}

/** A list and a method, pasted, as this kitchen's usual equipment makes it. */
export const assessed = (list: string, method: string): Assessment =>
  assess(dishOf(`A dish\n\nIngredients\n${list}\n\nMethod\n${method}`), library, defaultKitchen)
