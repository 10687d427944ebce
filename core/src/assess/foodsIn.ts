import type { Ingredient } from '../model'
import type { PartWork } from './workPart'

/** A food of a part: of its own list, or in its share of another part that it takes. */
export interface FoodIn {
  readonly lineId: string
  readonly food: Ingredient
  readonly massG: number
  /** What of it is no water, g. */
  readonly solidsG: number
  /** The part that lists it. */
  readonly from: PartWork
}

/** Water of a food of which none is stated, share. Practice. */
const USUAL_WATER = 0.5

/** Every food of a part as weighed in, with its share of what it takes of others. */
export function foodsIn(work: PartWork, works: readonly PartWork[], share = 1, depth = 0): FoodIn[] {
  const own = work.lines.flatMap(({ line, food, mass }): FoodIn[] => {
    if (food === null || mass === null || mass.value <= 0) return []
    const { waterG } = food.per100g
    const massG = share * mass.value
    const dry = waterG === null ? 1 - USUAL_WATER : Math.max(0, 1 - waterG / 100)
    return [{ lineId: line.id, food, massG, solidsG: massG * dry, from: work }]
  })
  // Rings of parts are cut where they are worked out; this ends all the same.
  if (depth > works.length) return own
  const taken = [...work.takes].flatMap(([id, of]) => {
    const other = works.find(({ assessment }) => assessment.partId === id)
    return other === undefined || of <= 0 ? [] : foodsIn(other, works, share * of, depth + 1)
  })
  return [...own, ...taken]
}
