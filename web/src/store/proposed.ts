import { assess } from '@frijol/core/assess'
import type { Part, PartAssessment, Step } from '@frijol/core/model'
import { useMemo } from 'react'
import { useKitchenStore, useLibrary } from './kitchen'
import { partOf, useDish } from './assessed'

/** What a part would be by another method; null without one. Nothing is changed by asking. */
export function useProposedPart(partId: string, steps: readonly Step[] | null): PartAssessment | null {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  return useMemo(() => {
    if (steps === null) return null
    const parts = dish.parts.map((part) => (part.id === partId ? { ...part, steps: [...steps] } : part))
    return partOf(assess({ ...dish, parts }, library, kitchen), partId)
  }, [dish, library, kitchen, partId, steps])
}

export interface WayReading {
  readonly id: string
  readonly name: string
  readonly steps: readonly Step[]
  readonly reading: PartAssessment
}

/** Every other way of a part, worked out beside the present one. */
export function useWays(part: Part): readonly WayReading[] {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  return useMemo(
    () =>
      part.ways.flatMap((way) => {
        const parts = dish.parts.map((one) => (one.id === part.id ? { ...one, steps: way.steps } : one))
        const reading = partOf(assess({ ...dish, parts }, library, kitchen), part.id)
        return reading === null ? [] : [{ id: way.id, name: way.name, steps: way.steps, reading }]
      }),
    [dish, library, kitchen, part],
  )
}
