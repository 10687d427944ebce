import { PlanFault, type PlanProblem, type PlanTask } from './model'
import { networkOf, tiedGroups } from './network'
import { PlanSearch } from './search'

/** Partial plans for one question whether some tasks can be planned: it is answered where their number is small. */
const LOOKS = 3_000

/** The problem with some of its tasks; lags to the others fall away. */
function reduced(problem: PlanProblem, kept: ReadonlySet<string>): PlanProblem {
  return {
    ...problem,
    tasks: problem.tasks
      .filter(({ id }) => kept.has(id))
      .map((task): PlanTask => ({ ...task, after: task.after.filter(({ id }) => kept.has(id)) })),
  }
}

/** Whether it is certain that a problem has no plan. */
function isImpossible(problem: PlanProblem): boolean {
  const network = networkOf(problem)
  const { best, isExhausted } = new PlanSearch(network).run({
    deadline: network.horizon,
    most: LOOKS,
    isThorough: false,
  })
  return best === null && isExhausted
}

/** A part of a problem that certainly cannot be planned by itself: tasks that longest waits tie together. */
export function tiedFault(problem: PlanProblem): PlanFault | null {
  const network = networkOf(problem)
  for (const group of tiedGroups(network)) {
    const part = reduced(problem, new Set(group.map((at) => network.ids[at] ?? '')))
    if (isImpossible(part)) return explain(part)
  }
  return null
}

/** Tasks of which none can be left out without a plan being there: a smallest set that collides. */
function smallest(problem: PlanProblem): string[] {
  let kept = problem.tasks.map(({ id }) => id)
  // By halves first, then one by one.
  for (let size = Math.ceil(kept.length / 2); size >= 1; size = size === 1 ? 0 : Math.ceil(size / 2))
    for (let at = 0; at < kept.length;) {
      const without = [...kept.slice(0, at), ...kept.slice(at + size)]
      if (without.length > 0 && isImpossible(reduced(problem, new Set(without)))) kept = without
      else at += size
    }
  return kept
}

const joined = (ids: readonly string[]): string => {
  const named = ids.map((id) => `“${id}”`)
  return named.length < 2 ? (named[0] ?? '') : `${named.slice(0, -1).join(', ')} and ${named.at(-1) ?? ''}`
}

/** Whether tasks wait for one another in a ring. */
function isRing({ tasks }: PlanProblem): boolean {
  const open = new Map(tasks.map(({ id, after }) => [id, new Set(after.map((lag) => lag.id))]))
  for (let isFreed = true; isFreed;) {
    isFreed = false
    for (const [id, waits] of open)
      if ([...waits].every((other) => !open.has(other))) {
        open.delete(id)
        isFreed = true
      }
  }
  return open.size > 0
}

/** Without this they could be planned: what they collide on. */
function causes(problem: PlanProblem): string[] {
  const without: readonly (readonly [string, PlanProblem])[] = [
    ...problem.resources.flatMap((resource): [string, PlanProblem][] => {
      const others = (change: Partial<typeof resource>) =>
        problem.resources.map((one) => (one.id === resource.id ? { ...one, ...change } : one))
      return [
        ...(resource.sharedTemperature
          ? [
              [
                `the temperature of “${resource.id}”`,
                { ...problem, resources: others({ sharedTemperature: false }) },
              ] as [string, PlanProblem],
            ]
          : []),
        [
          `room on “${resource.id}” (${resource.capacity})`,
          { ...problem, resources: others({ capacity: 1e4 }) },
        ],
      ]
    }),
    ...[...new Set(problem.away.map(({ resource }) => resource))].map((id): [string, PlanProblem] => [
      `times away of “${id}”`,
      { ...problem, away: problem.away.filter(({ resource }) => resource !== id) },
    ]),
  ]
  return without.flatMap(([what, loosened]) => (isImpossible(loosened) ? [] : [what]))
}

/** Why no plan exists: the fewest tasks that cannot all be kept, and what they collide on. */
export function explain(problem: PlanProblem): PlanFault {
  const collide = smallest(problem)
  const core = reduced(problem, new Set(collide))
  if (isRing(core))
    return new PlanFault(
      `${joined(collide)} wait for one another in a ring: none of them can start.`,
      'Take one of their waits out.',
      collide,
    )
  const longest = core.tasks.flatMap(({ id, after }) =>
    after.flatMap(({ id: other, maxLagMin }) =>
      maxLagMin === null ? [] : [`“${id}” must start at most ${maxLagMin} min after “${other}” ends`],
    ),
  )
  const why = causes(core)
  return new PlanFault(
    `${joined(collide)} cannot all be kept${longest.length > 0 ? `: ${longest.join(', ')}` : ''}${
      why.length > 0 ? `; they collide on ${why.join(' and ')}` : ', and what lies between takes longer'
    }.`,
    longest.length > 0 ? 'Allow a longer wait, or take one of them out.' : 'Take one of them out.',
    collide,
  )
}
