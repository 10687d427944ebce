import { assess } from '../assess'
import type { Assessment, Dish, Ingredient, Kitchen } from '../model'
import { isExcluded } from '../rules'
import { proposeSwaps, type SwapAsk, type SwapProposal } from './propose'
import type { SwapBench } from './replace'

export interface Converted {
  readonly dish: Dish
  /** One for each line that was swapped, in the order in which they were. */
  readonly swaps: readonly SwapProposal[]
  /** Lines that go against what is asked, and that nothing may stand in for. */
  readonly left: readonly { readonly lineId: string; readonly name: string }[]
}

/** Ways that a whole dish can go beside doing without foods. */
export const TOWARDS = ['lower-sodium', 'cheaper', 'pantry'] as const
export type Toward = (typeof TOWARDS)[number]

export interface ConvertAsk {
  /** Allergens, kinds of food and single foods, as aims name them: "animal", "gluten", "added-oil". */
  readonly without: readonly string[]
  readonly toward: readonly Toward[]
}

/** What a kitchen keeps: foods that it has a price or a pack of, its own names for foods; water and salt are always there. */
export function keeps({ prices, packs, names }: Kitchen): (food: Ingredient) => boolean {
  const known = new Set([...prices, ...packs, ...names].map(({ ingredientId }) => ingredientId))
  return ({ id, foodClass }) => foodClass === 'water' || foodClass === 'salt' || known.has(id)
}

/** A line of less than this share of what is to fall is let be. Practice. */
const LEAST_SHARE = 0.08
/** What stands in spares at least so much of the line's own. Practice. */
const LEAST_SPARED = 0.25
/** A portion that holds no more than this is low already, mg. @source 21 CFR 101.61: low sodium, 140 mg */
const LOW_SODIUM_MG = 140
/** A stand-in that does less of the job is no way to spare. Practice. */
const LEAST_SCORE = 0.5

type Figure = 'sodiumMg' | 'cost'

/** What seasons by its salt; a body food that was tinned in brine is rinsed, not swapped. Practice. */
const SALTY_MG = 600
const isSalty = ({ foodClass, per100g: { sodiumMg } }: Ingredient): boolean =>
  foodClass === 'savoury' || (sodiumMg ?? 0) >= SALTY_MG

/** Lines that bring most of a figure of a portion, the greatest first. */
function bringers(
  dish: Dish,
  before: Assessment,
  figure: Figure,
  { library, kitchen }: SwapBench,
): { id: string; share: number }[] {
  if (figure === 'sodiumMg' && (before.perPortion.sodiumMg ?? 0) <= LOW_SODIUM_MG) return []
  const priceOf = (id: string): number => {
    const found = kitchen.prices.find(({ ingredientId }) => ingredientId === id)
    return found === undefined ? 0 : found.price / found.perG
  }
  const masses = new Map(before.parts.flatMap(({ lines }) => lines.map((line) => [line.lineId, line.massG])))
  const brought = dish.parts
    .flatMap(({ lines }) => lines)
    .flatMap(({ id, ingredientId }) => {
      const food = ingredientId === null ? undefined : library.ingredients.get(ingredientId)
      const massG = masses.get(id) ?? null
      if (food === undefined || massG === null) return []
      // Salt itself is weighed, not swapped: Tune takes it down.
      if (figure === 'sodiumMg' && (food.foodClass === 'salt' || !isSalty(food))) return []
      return [
        { id, amount: massG * (figure === 'cost' ? priceOf(food.id) : (food.per100g.sodiumMg ?? 0) / 100) },
      ]
    })
  const all = brought.reduce((sum, { amount }) => sum + amount, 0)
  return brought
    .filter(({ amount }) => amount > LEAST_SHARE * all)
    .sort((a, b) => b.amount - a.amount)
    .map(({ id, amount }) => ({ id, share: amount / all }))
}

/** The stand-in for a line that spares most of a figure and still does its job; null where none does. */
function sparer(
  dish: Dish,
  ask: SwapAsk,
  before: Assessment,
  figure: Figure,
  share: number,
  bench: SwapBench,
): SwapProposal | null {
  const was = before.perPortion[figure]
  if (was === null || was <= 0) return null
  // Matched by salt it would bring as much again: by its spoons it brings less.
  const matches = figure === 'sodiumMg' ? (['umami', 'volume'] as const) : (['usual'] as const)
  const found = matches
    .flatMap((match) => proposeSwaps(dish, { ...ask, match }, bench))
    .flatMap((proposal) => {
      const is = proposal.assessment.perPortion[figure]
      const isKnown =
        is !== null &&
        (!proposal.assessment.perPortion.atLeast.includes(figure) ||
          before.perPortion.atLeast.includes(figure))
      const spared = isKnown ? (was - is) / was : 0
      return (proposal.isKnown || figure === 'cost') &&
        proposal.score >= LEAST_SCORE &&
        spared >= LEAST_SPARED * share
        ? [{ proposal, spared }]
        : []
    })
    .sort((a, b) => b.spared * b.proposal.score - a.spared * a.proposal.score)
  return found[0]?.proposal ?? null
}

/**
 * A whole dish another way: every line that goes against what is asked gets the best that may stand in for it.
 *
 * Without some foods; and, where it is asked for, with what this kitchen keeps alone, lower in sodium, cheaper: there a
 * line stays as it is where nothing that does its job spares anything.
 */
export function convert(dish: Dish, { without, toward }: ConvertAsk, bench: SwapBench): Converted {
  const { library, kitchen } = bench
  const barred = [...new Set([...dish.aim.excluded, ...without])]
  const isKept = toward.includes('pantry') ? keeps(kitchen) : () => true
  const swaps: SwapProposal[] = []
  const left: Converted['left'][number][] = []
  let now = dish
  const take = (proposal: SwapProposal): void => {
    swaps.push(proposal)
    now = proposal.dish
  }
  for (const { lines } of dish.parts)
    for (const line of lines) {
      const food = line.ingredientId === null ? undefined : library.ingredients.get(line.ingredientId)
      if (food === undefined) continue
      if (isKept(food) && !barred.some((one) => isExcluded(food, one, library))) continue
      const best = proposeSwaps(now, { lineId: line.id, without: barred }, bench).find(({ with: parts }) =>
        parts.every(({ food: other }) => isKept(other)),
      )
      if (best === undefined) left.push({ lineId: line.id, name: line.food === '' ? food.name : line.food })
      else take(best)
    }
  for (const figure of [
    ...(toward.includes('lower-sodium') ? (['sodiumMg'] as const) : []),
    ...(toward.includes('cheaper') ? (['cost'] as const) : []),
  ]) {
    const first = assess(now, library, kitchen)
    for (const { id: lineId, share } of bringers(now, first, figure, bench)) {
      // What was just put in is not swapped again.
      if (swaps.some((one) => one.lineId === lineId)) continue
      const before = assess(now, library, kitchen)
      const best = sparer(now, { lineId, without: barred }, before, figure, share, bench)
      if (best !== null && best.with.every(({ food }) => isKept(food))) take(best)
    }
  }
  return { dish: { ...now, aim: { ...now.aim, excluded: barred } }, swaps, left }
}
