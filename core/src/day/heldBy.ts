import { plan, PlanFault, type Planned, type PlanOptions, type PlanProblem } from '../schedule'
import { COOK } from './tasks'

/** Effort of the question what would make it shorter, for each resource. */
const ASIDE = 250
const LEAST_SHORTER = 3

/** The same day run backwards: what is as early as can be there, is as late as can be here. */
function mirrored(problem: PlanProblem): PlanProblem {
  return {
    ...problem,
    tasks: problem.tasks.map((task) => ({
      ...task,
      after: problem.tasks.flatMap(({ id, after }) =>
        after.flatMap((lag) => (lag.id === task.id ? [{ ...lag, id }] : [])),
      ),
    })),
  }
}

/** Starts of the tasks, min from the anchor. */
export function timed(
  problem: PlanProblem,
  isServe: boolean,
  options: PlanOptions,
): { planned: Planned; starts: number[] } {
  const planned = plan(isServe ? mirrored(problem) : problem, options)
  const starts = planned.tasks.map(({ startMin, endMin }) => (isServe ? -endMin : startMin))
  return { planned, starts }
}

/** How long the day would be otherwise, with little effort; null where that little finds no plan. */
function endWith(problem: PlanProblem, isServe: boolean): number | null {
  try {
    return timed(problem, isServe, { effort: ASIDE }).planned.makespanMin
  } catch (error) {
    // More room cannot make a day impossible: it was not found in time, and nothing is said of it.
    if (error instanceof PlanFault) return null
    throw error
  }
}

/** With more of that the day would be so much shorter. */
export interface Held {
  readonly what: string
  readonly shorterMin: number
}

/** What would make the day shorter, the most first. */
export function heldBy(
  problem: PlanProblem,
  isServe: boolean,
  spanMin: number,
  label: (id: string) => string,
): Held[] {
  // What all tasks together do not fill holds nothing up.
  const used = problem.resources.filter(
    ({ id, capacity, sharedTemperature }) =>
      problem.tasks.reduce((sum, { uses }) => sum + (uses[id] ?? 0), 0) > (sharedTemperature ? 1 : capacity),
  )
  const attempts = used.flatMap((resource) => {
    const others = (change: Partial<typeof resource>) =>
      problem.resources.map((one) => (one.id === resource.id ? { ...one, ...change } : one))
    return [
      {
        what: resource.id === COOK ? 'another pair of hands' : `one more: ${label(resource.id)}`,
        resources: others({ capacity: resource.capacity + 1 }),
      },
      ...(resource.sharedTemperature
        ? [
            {
              what: `one temperature for all in the ${label(resource.id)}`,
              resources: others({ sharedTemperature: false }),
            },
          ]
        : []),
    ]
  })
  return attempts
    .flatMap(({ what, resources }) => {
      const shorterMin = spanMin - (endWith({ ...problem, resources }, isServe) ?? spanMin)
      return shorterMin >= LEAST_SHORTER ? [{ what, shorterMin }] : []
    })
    .sort((a, b) => b.shorterMin - a.shorterMin)
}
