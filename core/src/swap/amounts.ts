import type { Ingredient, Library, SwapBasis, SwapRow } from '../model'

/** What amounts are matched by: what the table says for the job, or one thing that is asked for. */
export const SWAP_MATCHES = ['usual', 'sodium', 'umami', 'volume'] as const
export type SwapMatch = (typeof SWAP_MATCHES)[number]
type Basis = SwapBasis | 'umami' | 'volume'

/** How much of a basis 100 g of a food hold; null where it is not known. */
function heldBy(
  { per100g, starchClass, umami, volumes }: Ingredient,
  basis: Basis,
  { facts }: Library,
): number | null {
  switch (basis) {
    case 'umami':
      // Nucleotides lift the glutamate of the whole dish, not of the bottle alone.
      return umami === null ? null : umami.glutamateMg
    case 'volume': {
      const measure = volumes.find(({ form }) => form === null) ?? volumes[0]
      return measure === undefined ? null : 100 / measure.gPerMl
    }
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
/** Where one thing alone is matched: no more of it than that, and no more than that much of the salt. Practice. */
const MOST_MATCHED = { factor: 6, sodium: 1.5 } as const

/** One food of a stand-in with its mass. */
export interface SwapPart {
  readonly food: Ingredient
  readonly massG: number
}

/**
 * What of a row's foods does as much as a mass of the food that they stand in for.
 * @param match by what: the row's own basis and ratio, or as much of one thing
 * @param massG of the food, g
 * @returns null where a food is not known, or holds nothing of what is matched
 */
export function matched(
  food: Ingredient,
  massG: number,
  row: SwapRow,
  library: Library,
  match: SwapMatch = 'usual',
): SwapPart[] | null {
  const basis = match === 'usual' ? row.basis : match
  const ratio = match === 'usual' ? row.ratio : 1
  const parts = row.with.flatMap(({ foodId, share }) => {
    const found = library.ingredients.get(foodId)
    return found === undefined ? [] : [{ food: found, share }]
  })
  if (parts.length < row.with.length) return null
  const own = heldBy(food, basis, library)
  let theirs = 0
  for (const { food: other, share } of parts) {
    const held = heldBy(other, basis, library)
    // Water and the like hold none of it: that is known, whether stated or not.
    theirs += share * (held ?? 0)
  }
  const factor =
    own === null || own < LEAST_HELD || theirs < LEAST_HELD
      ? basis === 'mass'
        ? ratio
        : null
      : (ratio * own) / theirs
  if (factor === null || factor > MOST_FACTOR) return null
  const found = parts.map(({ food: other, share }) => ({ food: other, massG: massG * factor * share }))
  if (match === 'usual') return found
  const theirSodium = found.reduce((sum, one) => sum + (one.food.per100g.sodiumMg ?? 0) * one.massG, 0)
  const isTooMuch =
    factor > MOST_MATCHED.factor || theirSodium > MOST_MATCHED.sodium * massG * (food.per100g.sodiumMg ?? 0)
  return isTooMuch ? null : found
}
