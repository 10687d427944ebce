import type { CookSession, Dish } from '../model'

/** The newest of what was measured of a kind, for a part or step where one is named. */
export const measured = (
  { measures }: CookSession,
  dishId: string,
  kind: CookSession['measures'][number]['kind'],
  of: { readonly partId?: string; readonly stepId?: string } = {},
): number | null =>
  measures.findLast(
    (one) =>
      one.dishId === dishId &&
      one.kind === kind &&
      (of.partId === undefined || one.partId === of.partId) &&
      (of.stepId === undefined || one.stepId === of.stepId),
  )?.value ?? null

/** The dish as it was made but for its lines: steps and parts with the masses that were weighed after them. */
export function withMasses(session: CookSession, dish: Dish): Dish {
  return {
    ...dish,
    parts: dish.parts.map((part) => ({
      ...part,
      cookedMassG: positive(measured(session, dish.id, 'yield', { partId: part.id })) ?? part.cookedMassG,
      steps: part.steps.map((step) => ({
        ...step,
        weighedG: positive(measured(session, dish.id, 'step-mass', { stepId: step.id })) ?? step.weighedG,
      })),
    })),
  }
}
const positive = (value: number | null): number | null => (value !== null && value > 0 ? value : null)
