import { DRY } from './lexicon/things'
import type { Named } from './named'

/** Water of the list. */
export const isWater = (of: Named): boolean =>
  of.foodClass === 'water' || of.names.slice(0, of.own).some((name) => name.at(-1) === 'water')

/** Ground to a paste: it is stirred in with what is wet. */
const SPREAD = /(?:^|-)(?:tahini|butter)(?:-|$)/
export const isSpread = ({ line }: Named): boolean => SPREAD.test(line?.food?.id ?? '')
/** Foods without loose water: what cooks call the dry ingredients. */
export const isDry = (of: Named): boolean => {
  const food = of.line?.food
  if (food == null || isSpread(of)) return false
  return (
    DRY.has(food.foodClass) ||
    ((food.per100g.waterG ?? 100) < 16 &&
      food.foodClass !== 'fat' &&
      food.foodClass !== 'sweetener' &&
      food.foodClass !== 'nut')
  )
}

/** Salts that curdle soy milk. */
export const isCoagulant = ({ line }: Named): boolean =>
  /^(?:nigari|gypsum|calcium-sulfate|magnesium-chloride|glucono-delta-lactone|gdl)$/.test(
    line?.food?.id ?? '',
  )
