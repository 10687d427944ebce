import type { Dish } from '@frijol/core/model'
import {
  roundDish,
  type RoundedLine,
  scaleDish,
  type ScaleNote,
  scaleNotes,
  type ShoppingItem,
  shoppingList,
} from '@frijol/core/scale'
import { useMemo } from 'react'
import { useKitchenStore, useLibrary } from './kitchen'
import { useDish } from './assessed'
import { useOtherDishes } from './shelf'

/** A proposal: the dish scaled, what rounding did to each line, and what does not scale. */
export interface ScaledDish {
  readonly dish: Dish
  readonly lines: readonly RoundedLine[]
  readonly notes: readonly ScaleNote[]
}

/** The open dish times a factor; null without one. Nothing is changed by asking. */
export function useScaled(factor: number | null, isRounded: boolean): ScaledDish | null {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  return useMemo(() => {
    if (factor === null) return null
    const notes = scaleNotes(dish, library, kitchen, factor)
    const exact = scaleDish(dish, factor)
    return isRounded ? { ...roundDish(exact, library, kitchen), notes } : { dish: exact, lines: [], notes }
  }, [factor, isRounded, dish, library, kitchen])
}

/** What to buy for the open dish, with left-overs that other dishes on the shelf could take. */
export function useShopping(): readonly ShoppingItem[] {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const others = useOtherDishes(dish.id)
  return useMemo(() => shoppingList(dish, library, kitchen, others), [dish, library, kitchen, others])
}
