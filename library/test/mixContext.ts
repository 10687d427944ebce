import type { ReadContext } from '@frijol/core/interchange'
import { indexFoods } from '@frijol/core/measure'
import { defaultKitchen } from '@frijol/core/model'
import { ownWordsOf, readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { library } from '../src'

const index = indexFoods(library.ingredients.values())

/** Reads recipes as the command line does, with ids that count up. */
export function mixContext(): ReadContext {
  let count = 0
  return {
    reader: { index, ingredients: library.ingredients, kitchen: defaultKitchen },
    newId: () => `m${(count += 1)}`,
    now: '2026-06-14T12:00:00Z',
    readStep: (text, id) => stepFrom(text, id, ownWordsOf(defaultKitchen)),
    readMethod: readRecipeMethod,
  }
}
