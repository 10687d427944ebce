import type { Assessment, Dish, PartAssessment } from '@frijol/core/model'
import { create } from 'zustand'

interface Assessed {
  readonly dish: Dish | null
  readonly assessment: Assessment | null
}

/**
 * The open dish and what it comes to, always of one another. Written by the engine alone; screens take slices.
 * null while no dish is open or the engine has not arrived.
 */
export const useAssessed = create<Assessed>(() => ({ dish: null, assessment: null }))

/** The open dish; stages are shown only while there is one. */
export function useDish(): Dish {
  const dish = useAssessed((state) => state.dish)
  if (dish === null) throw new Error('no dish is open')
  return dish
}

/** The assessment of the open dish. */
export function useAssessment(): Assessment {
  const assessment = useAssessed((state) => state.assessment)
  if (assessment === null) throw new Error('no dish is assessed')
  return assessment
}

export const partOf = (assessment: Assessment, partId: string): PartAssessment | null =>
  assessment.parts.find((part) => part.partId === partId) ?? null
