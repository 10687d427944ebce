import { repeated } from '@frijol/core/ideas'
import type { Assessment, Idea } from '@frijol/core/model'
import { useMemo } from 'react'
import { useAssessment, useDish } from './assessed'
import { changeKitchen, useKitchenStore } from './kitchen'

const MOST_IDEAS = 2000
const NONE: readonly Idea[] = []

/** Keeps an idea in mind; one of the same id is replaced. */
export const keepIdea = (idea: Idea): boolean =>
  changeKitchen(idea.verdict === 'kept' ? 'keep an idea' : 'set an idea aside', (kitchen) => ({
    ...kitchen,
    ideas: [...kitchen.ideas.filter(({ id }) => id !== idea.id), idea].slice(-MOST_IDEAS),
  }))

/** No longer kept in mind. */
export const forgetIdea = (id: string): boolean =>
  changeKitchen('forget an idea', (kitchen) => ({
    ...kitchen,
    ideas: kitchen.ideas.filter((idea) => idea.id !== id),
  }))

/** Ideas that were set aside and that a proposal would bring back to the open dish. */
export function useBroughtBack(proposed: Assessment | null): readonly Idea[] {
  const dish = useDish()
  const now = useAssessment()
  const ideas = useKitchenStore((state) => state.kitchen.ideas)
  return useMemo(
    () =>
      proposed === null || ideas.length === 0
        ? NONE
        : [...new Set(repeated(dish, now, proposed, ideas).map(({ idea }) => idea))],
    [dish, now, proposed, ideas],
  )
}
