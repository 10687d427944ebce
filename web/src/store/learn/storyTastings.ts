import type { StoryTasting } from '@frijol/core/history'
import { protocolTable, resultOf } from '@frijol/core/sensory'
import { useMemo } from 'react'
import { useTastings } from '../tasting'

const NONE: readonly StoryTasting[] = []

/** What closed tastings of a dish found, the oldest first. */
export function useStoryTastings(dishId: string): readonly StoryTasting[] {
  const read = useTastings(dishId)
  return useMemo(
    () =>
      read === null
        ? NONE
        : read.tastings
            .flatMap((tasting): StoryTasting[] =>
              tasting.closedAt === null
                ? []
                : [
                    {
                      date: new Date(tasting.closedAt).toISOString().slice(0, 10),
                      name: protocolTable(tasting.settings.protocol).name.toLowerCase(),
                      headline: resultOf(tasting).verdict.headline,
                    },
                  ],
            )
            .reverse(),
    [read],
  )
}
