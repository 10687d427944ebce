import type { Dish } from '../model'
import { isExcluded } from '../rules'
import { proposeSwaps, type SwapProposal } from './propose'
import type { SwapBench } from './replace'

export interface Converted {
  readonly dish: Dish
  /** One for each line that was swapped, in the order in which they were. */
  readonly swaps: readonly SwapProposal[]
  /** Lines that go against what is asked, and that nothing may stand in for. */
  readonly left: readonly { readonly lineId: string; readonly name: string }[]
}

/**
 * A whole dish without some foods: every line that goes against what is asked gets the best that may stand in for it.
 * @param without allergens, kinds of food and single foods, as aims name them: "animal", "gluten", "added-oil"
 */
export function convert(dish: Dish, without: readonly string[], bench: SwapBench): Converted {
  const { library } = bench
  const barred = [...new Set([...dish.aim.excluded, ...without])]
  const swaps: SwapProposal[] = []
  const left: Converted['left'][number][] = []
  let now = dish
  for (const { id, lines } of dish.parts)
    for (const line of lines) {
      const food = line.ingredientId === null ? undefined : library.ingredients.get(line.ingredientId)
      if (food === undefined || !barred.some((one) => isExcluded(food, one, library))) continue
      const [best] = proposeSwaps(now, { lineId: line.id, without: barred }, bench)
      if (best === undefined) {
        left.push({ lineId: line.id, name: line.food === '' ? food.name : line.food })
        continue
      }
      if (now.parts.every((part) => part.id !== id)) continue
      swaps.push(best)
      now = best.dish
    }
  return { dish: { ...now, aim: { ...now.aim, excluded: barred } }, swaps, left }
}
