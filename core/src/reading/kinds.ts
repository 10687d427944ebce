import { DRY } from './lexicon/things'
import type { Named } from './named'

/** Water of the list. */
export const isWater = (of: Named): boolean =>
  of.foodClass === 'water' || of.names.slice(0, of.own).some((name) => name.at(-1) === 'water')

/** Foods without loose water: what cooks call the dry ingredients. */
export const isDry = (of: Named): boolean => {
  const food = of.line?.food
  if (food == null) return false
  return (
    DRY.has(food.foodClass) ||
    ((food.per100g.waterG ?? 100) < 16 &&
      food.foodClass !== 'fat' &&
      food.foodClass !== 'sweetener' &&
      food.foodClass !== 'nut')
  )
}
