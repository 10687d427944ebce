import { assess } from '../assess'
import type { CookSession, Dish, Kitchen, Library, Part, Tasted } from '../model'
import { checked, type CheckedValue, KITCHEN_CHECKS } from '../texture'
import { withMasses } from './masses'
import { asWeighed, weighedOf, weighLines } from './weigh'

/** What was measured of a part as it is served, on the scale of an attribute. */
export interface PartCheck extends CheckedValue {
  readonly partId: string
  readonly part: string
}

/** Figures that were written down at the end of a part: what is measured halfway says nothing of what is served. */
function valuesOf(
  { measures }: Pick<CookSession, 'measures'>,
  dishId: string,
  part: Part,
  kind: string,
): number[] {
  const last = part.steps.at(-1)?.id ?? null
  return measures.flatMap((one) =>
    one.dishId === dishId &&
    one.partId === part.id &&
    one.kind === kind &&
    (one.stepId === null || one.stepId === last)
      ? [one.value]
      : [],
  )
}

/** The kitchen checks that a day made of a dish; the median where one was repeated. */
export const checksOfDay = (session: Pick<CookSession, 'measures'>, dish: Dish): PartCheck[] =>
  dish.parts.flatMap((part) =>
    KITCHEN_CHECKS.flatMap((check): PartCheck[] => {
      const found = checked(check, valuesOf(session, dish.id, part, check.kind))
      return found === null ? [] : [{ ...found, partId: part.id, part: part.name }]
    }),
  )

export interface CheckedTrial {
  /** Of the day, so that a day that is closed again teaches once. */
  readonly dayId: string
  /** The trial that it became, and the dish that this is of. */
  readonly dishId: string
  readonly trialNumber: number
  readonly date: string
}

/**
 * What the families of a kitchen learn from the checks of a day: each beside what the model, as it is shipped, says of
 * what was really made.
 */
export function tastedByChecks(
  session: CookSession,
  dish: Dish,
  { library, kitchen }: { readonly library: Library; readonly kitchen: Kitchen },
  { dayId, dishId, trialNumber, date }: CheckedTrial,
): Tasted[] {
  const checks = checksOfDay(session, dish)
  if (checks.length === 0) return []
  const lines = weighLines(dish, assess(dish, library, kitchen), kitchen)
  const newest = weighedOf(session.weighings.filter((one) => one.dishId === dish.id))
  const masses = new Map([...newest].map(([key, { massG }]) => [key, massG]))
  const made = withMasses(session, asWeighed(dish, lines, masses))
  const { parts } = assess(made, library, { ...kitchen, tasted: [] })
  return checks.flatMap(({ check, partId, part, points, sd, times }): Tasted[] => {
    const reading = parts.find((one) => one.partId === partId)
    const said = reading?.attributes.find(({ id }) => id === check.attribute)
    if (reading?.family == null || said === undefined) return []
    return [
      {
        id: `${dayId}/${dish.id}/${partId}/${check.attribute}`.slice(0, 200),
        tastingId: dayId,
        family: reading.family,
        attribute: check.attribute,
        predicted: said.value,
        observed: points,
        sd,
        people: Math.max(1, Math.min(40, times)),
        label: `Trial ${trialNumber}${dish.parts.length > 1 ? `, ${part.toLowerCase()}` : ''}`,
        date,
        dishId,
        trialNumber,
        partId,
        by: 'check',
      },
    ]
  })
}
