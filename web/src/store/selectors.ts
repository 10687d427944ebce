import { assess, explain, type Asked, type Explanation, nextAct, type NextAct } from '@frijol/core/assess'
import type { Assessment, Dish, PartAssessment } from '@frijol/core/model'
import { useMemo } from 'react'
import { useKitchenStore, useLibrary } from './kitchen'
import { useOpenDish } from './openDish'

/** The open dish; stages are shown only while there is one. */
export function useDish(): Dish {
  const dish = useOpenDish((state) => state.value)
  if (dish === null) throw new Error('no dish is open')
  return dish
}

/** The assessment of the open dish. Parts are memoised in core, so this is cheap on each change. */
export function useAssessment(): Assessment {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  return useMemo(() => assess(dish, library, kitchen), [dish, library, kitchen])
}

export const partOf = (assessment: Assessment, partId: string): PartAssessment | null =>
  assessment.parts.find((part) => part.partId === partId) ?? null

/** The answer to "why?" for a figure; worked out only while it is asked. */
export function useExplanation(asked: Asked | null): Explanation | null {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  return useMemo(
    () => (asked === null ? null : explain(dish, library, kitchen, asked)),
    [asked, dish, library, kitchen],
  )
}

/** What to do next with a dish, for the shelf. */
export function nextActOf(dish: Dish): NextAct | null {
  const { library, kitchen } = useKitchenStore.getState()
  return library === null ? null : nextAct(dish, assess(dish, library, kitchen))
}
