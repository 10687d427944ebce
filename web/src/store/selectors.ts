import { explain, type Asked, type Explanation } from '@frijol/core/assess'
import { useMemo } from 'react'
import { useDish } from './assessed'
import { useKitchenStore, useLibrary } from './kitchen'

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
