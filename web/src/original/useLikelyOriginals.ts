import { likelyOriginals } from '@frijol/core/assess'
import type { Original, Part } from '@frijol/core/model'
import { useMemo } from 'react'
import { useAssessment, useDish, useLibrary } from '../store'

/** Originals that a part of the open dish is likely to replace, the likeliest first. */
export function useLikelyOriginals(part: Part): Original[] {
  const library = useLibrary()
  const dish = useDish()
  const { parts } = useAssessment()
  return useMemo(() => {
    const lines = parts.find(({ partId }) => partId === part.id)?.lines ?? []
    const masses = new Map(lines.map(({ lineId, massG }) => [lineId, massG ?? 0]))
    return likelyOriginals(dish, part, masses, library)
  }, [dish, part, parts, library])
}
