import {
  BROWNED,
  beside,
  brownShare,
  type Coloured,
  coloursOf,
  colourWords,
  type Cooked,
  deltaE,
  type Lab,
  mixed,
  type Piece,
  withPieces,
} from '../colour'
import { type CarriedFood, foodsCarried } from '../process'
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

/** Smaller than this nothing is seen as a piece, mm. Practice. */
const SEEN_MM = 2

/** What is left of each food after the method, as the eye meets it: paste, and what lies in it in pieces. */
function inPieces(
  foods: readonly CarriedFood[],
  cooked: Cooked,
  library: Library,
  overrunPct: number,
): Lab | null {
  const paste: Coloured[] = []
  const pieces: Piece[] = []
  let pasteG = 0
  for (const { entry, leftG, solidsG, inPieces: share, pieceMm } of foods) {
    const fact = entry.food === null ? undefined : factOf(library, entry.food)
    const piece = pieceMm > SEEN_MM ? share : 0
    pasteG += leftG * (1 - piece)
    if (fact === undefined) continue
    paste.push(...coloursOf(fact, solidsG * (1 - piece), cooked))
    if (piece > 0)
      pieces.push({ colours: coloursOf(fact, solidsG * piece, cooked), massG: leftG * piece, mm: pieceMm })
  }
  return withPieces(paste, pasteG, pieces, overrunPct)
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
  const before = mixed(
    foods.flatMap(({ food, solidsG }): Coloured[] => {
      const fact = factOf(library, food)
      return fact === undefined ? [] : coloursOf(fact, solidsG, null)
    }),
  )
  const inside = inPieces(foodsCarried(work.method), cooked, library, state.overrunPct)
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
