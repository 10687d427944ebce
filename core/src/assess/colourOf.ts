import {
  BROWNED,
  beside,
  brownShare,
  type Coloured,
  coloursOf,
  colourWords,
  deltaE,
  type Lab,
  mixed,
} from '../colour'
import type { ColourFact, Dish, Ingredient, Kitchen, Library } from '../model'
import { foodsIn } from './foodsIn'
import { workDish } from './workDish'

/** What a part looks like, by its foods, its heat and its acid. */
export interface ColourReading {
  /** As it is mixed, before any heat. */
  readonly before: Lab
  /** After cooking: inside, and on the browned surface. */
  readonly inside: Lab
  readonly surface: Lab
  /** How brown the surface is, 0 to 1. */
  readonly browned: number
  /** The original's colour where it was looked at; null where the part has none. */
  readonly target: {
    readonly lab: Lab
    readonly site: string
    /** Which of the part's own is laid beside it. */
    readonly compared: 'inside' | 'surface'
    readonly deltaE: number
    readonly words: string
  } | null
  /** Standard deviation of the difference, in units of delta E. */
  readonly sd: number
}

/** How far a colour by rule of mixing is from a photograph, delta E. @source batch spread of dL 5, da 3, db 5 and the rule's own; practice */
const COLOUR_SD = 7
/** Surfaces that were looked at from outside. */
const OUTSIDE = /brown|sear|grill|crust|skin|outer|slice face/u

function factOf({ facts }: Library, food: Ingredient): ColourFact | undefined {
  return facts.colours.get(food.id) ?? facts.colours.get(`class:${food.foodClass}`)
}

/**
 * The colour of a part before and after cooking, beside its original's.
 * @returns null where no food of it has a colour
 */
export function colourOf(
  dish: Dish,
  partId: string,
  library: Library,
  kitchen: Kitchen,
): ColourReading | null {
  const works = workDish(dish, library, kitchen)
  const work = works.find(({ assessment }) => assessment.partId === partId)
  if (work === undefined) return null
  const foods = foodsIn(work, works)
  const { state, goal } = work
  const cooked = { peakC: state.peakC, pH: state.pH.value }
  const paste = (of: typeof cooked | null): Lab | null =>
    mixed(
      foods.flatMap(({ food, solidsG }): Coloured[] => {
        const fact = factOf(library, food)
        return fact === undefined ? [] : coloursOf(fact, solidsG, of)
      }),
      of === null ? 0 : state.overrunPct,
    )
  const before = paste(null)
  const inside = paste(cooked)
  if (before === null || inside === null) return null
  const { browned } = state.surface
  const surface = beside(inside, BROWNED, brownShare(browned))
  const theirs = goal.original?.colour ?? null
  const compared = theirs !== null && OUTSIDE.test(theirs.site) ? 'surface' : 'inside'
  const mine = compared === 'surface' ? surface : inside
  return {
    before,
    inside,
    surface,
    browned,
    target:
      theirs === null
        ? null
        : {
            lab: theirs.lab,
            site: theirs.site,
            compared,
            deltaE: deltaE(mine, theirs.lab),
            words: colourWords(mine, theirs.lab),
          },
    sd: COLOUR_SD,
  }
}
