import type { Ingredient, Library, SwapBasis, SwapRow } from '../model'

/** How much of a basis 100 g of a food hold; null where it is not known. */
function heldBy({ per100g, starchClass }: Ingredient, basis: SwapBasis, { facts }: Library): number | null {
  switch (basis) {
    case 'mass':
      return 100
    case 'fat':
      return per100g.fatG
    case 'sodium':
      return per100g.sodiumMg
    case 'sweet':
      return per100g.sugarsG
    case 'acid':
      return per100g.organicAcidG
    case 'protein':
      return per100g.proteinG
    case 'dry':
      return per100g.waterG === null ? null : 100 - per100g.waterG
    case 'thick': {
      const starch = starchClass === null ? undefined : facts.starches.get(starchClass)
      return starch === undefined || per100g.starchG === null ? null : per100g.starchG * starch.swellingMlPerG
    }
  }
}

/** A basis that a food hardly has cannot be matched by it. */
const LEAST_HELD = 0.05
/** Matched amounts further off than this from the food's own mass are no stand-in. Practice. */
const MOST_FACTOR = 60

/** One food of a stand-in with its mass. */
export interface SwapPart {
  readonly food: Ingredient
  readonly massG: number
}

/**
 * What of a row's foods does as much as a mass of the food that they stand in for.
 * @param massG of the food, g
 * @returns null where a food is not known, or holds nothing of what is matched
 */
export function matched(food: Ingredient, massG: number, row: SwapRow, library: Library): SwapPart[] | null {
  const parts = row.with.flatMap(({ foodId, share }) => {
    const found = library.ingredients.get(foodId)
    return found === undefined ? [] : [{ food: found, share }]
  })
  if (parts.length < row.with.length) return null
  const own = heldBy(food, row.basis, library)
  let theirs = 0
  for (const { food: other, share } of parts) {
    const held = heldBy(other, row.basis, library)
    // Water and the like hold none of it: that is known, whether stated or not.
    theirs += share * (held ?? 0)
  }
  const factor =
    own === null || own < LEAST_HELD || theirs < LEAST_HELD
      ? row.basis === 'mass'
        ? row.ratio
        : null
      : (row.ratio * own) / theirs
  if (factor === null || factor > MOST_FACTOR) return null
  return parts.map(({ food: other, share }) => ({ food: other, massG: massG * factor * share }))
}
