import type { Ingredient, Library } from '../model'

/** A food that does some of the same jobs, and the allergens it brings or takes away. */
export interface SimilarFood {
  readonly food: Ingredient
  /** Share of the two foods' jobs that both do, 0 to 1. */
  readonly overlap: number
  readonly brings: readonly string[]
  readonly spares: readonly string[]
}

/** Fewer shared jobs than this are no stand-in. Practice. */
const LEAST_OVERLAP = 0.34

/**
 * Foods with the same roles as one, nearest first. Amounts and process differ: this names candidates, it matches nothing.
 * @returns empty where the food has no functional data
 */
export function similarFoods(food: Ingredient, library: Library, most = 6): SimilarFood[] {
  const roles = new Set(food.functional?.roles ?? [])
  if (roles.size === 0) return []
  const found: SimilarFood[] = []
  for (const other of library.ingredients.values()) {
    const theirs = other.functional?.roles ?? []
    if (other.id === food.id || theirs.length === 0) continue
    const shared = theirs.filter((role) => roles.has(role)).length
    const overlap = shared / new Set([...roles, ...theirs]).size
    if (overlap < LEAST_OVERLAP) continue
    found.push({
      food: other,
      overlap,
      brings: other.allergens.filter((id) => !food.allergens.includes(id)),
      spares: food.allergens.filter((id) => !other.allergens.includes(id)),
    })
  }
  const isSameClass = ({ food: other }: SimilarFood): number => (other.foodClass === food.foodClass ? 1 : 0)
  return found
    .sort(
      (a, b) =>
        b.overlap - a.overlap || isSameClass(b) - isSameClass(a) || a.food.id.localeCompare(b.food.id),
    )
    .slice(0, most)
}
