import type { Assessment, Dish, Idea, IdeaWhat, PartAssessment } from '../model'

/** An idea that a dish would repeat, and where. */
export interface Held {
  readonly idea: Idea
  readonly partId: string
  /** Line that it is about; null for a ratio or a doing. */
  readonly lineId: string | null
  readonly stepId: string | null
}

/** A value that only touches the bound of an idea does not repeat it. */
const TOUCHES = 1e-6

const past = (value: number, side: 'any' | 'above' | 'below', bound: number): boolean =>
  side === 'any' || (side === 'above' ? value > bound - TOUCHES : value < bound + TOUCHES)

type Place = Pick<Held, 'lineId' | 'stepId'>

/** Where a part holds what an idea is about; null where it does not. */
export function placeOf(part: PartAssessment, what: IdeaWhat): Place | null {
  const nowhere = { lineId: null, stepId: null }
  const lineOf = (foodId: string) => part.lines.find((line) => line.foodId === foodId)
  if (what.kind === 'food') {
    const lines = part.lines.filter(({ foodId }) => foodId === what.foodId)
    const [first] = lines
    if (first === undefined) return null
    const pct = 100 * lines.reduce((sum, { share }) => sum + (share ?? 0), 0)
    return past(pct, what.side, what.pct) ? { ...nowhere, lineId: first.lineId } : null
  }
  if (what.kind === 'swap') {
    const to = lineOf(what.toId)
    return to !== undefined && lineOf(what.fromId) === undefined ? { ...nowhere, lineId: to.lineId } : null
  }
  if (what.kind === 'ratio') {
    const ratio = part.ratios.find(({ id }) => id === what.ratioId)
    return ratio !== undefined && past(ratio.value, what.side, what.value) ? nowhere : null
  }
  const found = part.steps.find(
    ({ operation, takes, minutes, state }) =>
      operation === what.operation &&
      (what.foodId === null ||
        takes.some(
          ({ kind, id }) =>
            kind === 'line' && part.lines.some((line) => line.lineId === id && line.foodId === what.foodId),
        )) &&
      (what.field === null || past(what.field === 'minutes' ? minutes : state.coreC, what.side, what.value)),
  )
  return found === undefined ? null : { lineId: null, stepId: found.stepId }
}

const isInScope = ({ scope }: Idea, dishId: string, part: PartAssessment): boolean =>
  scope.kind === 'kitchen' || (scope.kind === 'dish' ? scope.dishId === dishId : scope.family === part.family)

/** Ideas of the kitchen, not wanted again, that a dish holds; those that are about an open amount are left out. */
export function heldIdeas(
  dish: Pick<Dish, 'id'>,
  { parts }: Pick<Assessment, 'parts'>,
  ideas: readonly Idea[],
): Held[] {
  return ideas.flatMap((idea): Held[] => {
    if (idea.verdict !== 'rejected') return []
    return parts.flatMap((part): Held[] => {
      if (!isInScope(idea, dish.id, part)) return []
      const place = placeOf(part, idea.what)
      return place === null ? [] : [{ idea, partId: part.partId, ...place }]
    })
  })
}

/** Ideas that a proposal would repeat and the present dish does not hold: to be asked before. */
export function repeated(
  dish: Pick<Dish, 'id'>,
  now: Pick<Assessment, 'parts'>,
  proposed: Pick<Assessment, 'parts'>,
  ideas: readonly Idea[],
): Held[] {
  const held = new Set(heldIdeas(dish, now, ideas).map(({ idea, partId }) => `${idea.id} ${partId}`))
  return heldIdeas(dish, proposed, ideas).filter(({ idea, partId }) => !held.has(`${idea.id} ${partId}`))
}

/** Where an idea was shown: "trial 4", "trial 2 of Souvlaki strips". */
export function shownIn({ trialNumber, dishId, dishName }: Idea, dish: Pick<Dish, 'id'>): string {
  const trial = trialNumber === null ? 'the formula in work' : `trial ${trialNumber}`
  return dishId === dish.id ? trial : `${trial} of ${dishName}`
}

/** "Smoked paprika for the lamb note was set aside in trial 4: reads as sausage." */
export const warning = (idea: Idea, dish: Pick<Dish, 'id'>): string =>
  `${idea.words.charAt(0).toUpperCase()}${idea.words.slice(1)} was set aside in ${shownIn(idea, dish)}: ${idea.reason.replace(/[.]$/, '')}.`
