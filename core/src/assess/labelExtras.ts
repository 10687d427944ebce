import type { Dish, Kitchen, Library } from '../model'
import { foodsCarried } from '../process'
import { servedBeside } from './beside'
import { tracesOf } from './tracesOf'
import { takenShares, workDish } from './workDish'
import type { PartWork } from './workPart'

/** What a label asks for and totals do not carry, of a portion. */
export interface LabelExtras {
  /** Sugars that were added as such, or within a food, 0 to 1 of all sugars; null without sugars. */
  readonly addedShare: number | null
  readonly vitaminDUg: number
}

/** Added sugars of a portion, g, of so much sugar in it; null where that is not known. @param sugarsG g in the portion */
export function addedSugarsG(sugarsG: number | null, { addedShare }: LabelExtras): number | null {
  if (sugarsG === null) return null
  if (addedShare === null) return sugarsG > 0 ? null : 0
  return sugarsG * addedShare
}

interface Sugars {
  readonly all: number
  readonly added: number
}

/** Sugars that are left in a part, and those of them that are added ones, g: the liquor that is poured off takes its share. */
function sugarsOf({ method }: PartWork, { facts }: Library): Sugars {
  let all = 0
  let added = 0
  for (const { entry, dissolvedG } of foodsCarried(method)) {
    if (entry.food === null) continue
    const sugars = ((entry.food.per100g.sugarsG ?? 0) * dissolvedG) / 100
    all += sugars
    added += sugars * (facts.addedSugars.get(entry.food.id) ?? 0)
  }
  return { all, added }
}

/**
 * Added sugars and vitamin D of a portion of the dish, as it is served.
 * @source 21 CFR 101.9(c)(6)(iii) for what counts as added; library/data/added-sugars.csv and traces.csv
 */
export function labelExtras(dish: Dish, library: Library, kitchen: Kitchen): LabelExtras {
  const works = workDish(dish, library, kitchen)
  const taken = takenShares(works)
  const beside = servedBeside(dish, works, taken)
  let all = 0
  let added = 0
  let vitaminDUg = 0
  for (const work of works) {
    const { partId } = work.assessment
    // What another part takes is in that part.
    const share = taken.has(partId) ? (beside.get(partId) ?? 0) : 1
    if (share <= 0) continue
    const sugars = sugarsOf(work, library)
    all += share * sugars.all
    added += share * sugars.added
    vitaminDUg += share * (tracesOf(dish, partId, library, kitchen)?.vitaminDUg ?? 0)
  }
  return { addedShare: all > 0 ? added / all : null, vitaminDUg: vitaminDUg / dish.aim.portions }
}
