import { findFood } from '@frijol/core/measure'
import type { Ingredient } from '@frijol/core/model'
import { isExcluded } from '@frijol/core/rules'
import { useMemo } from 'react'
import { useKitchenStore, useLibrary } from '../store'

export interface PantryFilter {
  readonly query: string
  readonly kind: string
  readonly role: string
  readonly without: string
  readonly isOwnOnly: boolean
}

export const noFilter: PantryFilter = { query: '', kind: '', role: '', without: '', isOwnOnly: false }

interface Searchable {
  readonly food: Ingredient
  readonly text: string
}

/** The ingredients that pass a filter, those that the words name first. */
export function usePantry({ query, kind, role, without, isOwnOnly }: PantryFilter): readonly Ingredient[] {
  const library = useLibrary()
  const index = useKitchenStore((state) => state.reader?.index ?? null)
  const sorted = useMemo(
    (): readonly Searchable[] =>
      [...library.ingredients.values()]
        .sort((a, b) => a.name.localeCompare(b.name))
        .map((food) => ({
          food,
          text: [food.name, food.foodClass, ...food.otherNames].join('\n').toLowerCase(),
        })),
    [library],
  )
  return useMemo(() => {
    const words = query.trim().toLowerCase()
    const passing = sorted.filter(
      ({ food, text }) =>
        (kind === '' || food.foodClass === kind) &&
        (role === '' || (food.functional?.roles.includes(role) ?? false)) &&
        (without === '' || !isExcluded(food, without, library)) &&
        (!isOwnOnly || food.origin === 'own') &&
        (words === '' || text.includes(words)),
    )
    if (words === '' || index === null) return passing.map(({ food }) => food)
    const named = new Set(findFood(index, words).choices.map(({ ingredientId }) => ingredientId))
    const isNamed = ({ food }: Searchable): boolean => named.has(food.id)
    const extra =
      kind === '' && role === '' && without === '' && !isOwnOnly
        ? sorted.filter((one) => isNamed(one) && !passing.includes(one))
        : []
    return [...extra, ...passing.filter(isNamed), ...passing.filter((one) => !isNamed(one))].map(
      ({ food }) => food,
    )
  }, [sorted, query, kind, role, without, isOwnOnly, index, library])
}

/** Every role that some ingredient has, by name. */
export function useRoles(): readonly string[] {
  const library = useLibrary()
  return useMemo(() => {
    const roles = new Set<string>()
    for (const { functional } of library.ingredients.values())
      for (const role of functional?.roles ?? []) roles.add(role)
    return [...roles].sort()
  }, [library])
}
