import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { faultsOf } from '../../test/checkPlan'
import cases from '../../test/plan-cases.json'
import proven from '../../test/plan-optima.json'
import { planInstance } from '../../test/planInstances'
import { plan, PlanFault, type Planned, PlanProblem } from '.'

interface Case {
  readonly id: string
  readonly problem: unknown
  readonly optimalMakespanMin?: number
  readonly naiveMakespanMin?: number
  readonly pathBoundMin?: number
  readonly collides?: readonly string[]
}
const CASES: readonly Case[] = cases.cases

const faultFor = (problem: unknown): PlanFault => {
  try {
    plan(PlanProblem.parse(problem))
  } catch (error) {
    if (error instanceof PlanFault) return error
    throw error
  }
  throw new Error('a plan was found')
}

/** The plan as soon as it is as short as that; the proof that nothing shorter exists is not waited for. */
function planUntil(problem: PlanProblem, wanted: number): Planned {
  let isThere = false
  return plan(problem, {
    shouldStop: () => isThere,
    onBetter: ({ makespanMin }) => {
      isThere = makespanMin <= wanted
    },
  })
}

describe('known cases', () => {
  it.each(CASES.filter(({ collides }) => collides === undefined).map((one) => [one.id, one] as const))(
    '%s: as short as is proven to be possible',
    (_, { problem, optimalMakespanMin = 0, pathBoundMin = 0 }) => {
      const parsed = PlanProblem.parse(problem)
      const planned = planUntil(parsed, optimalMakespanMin)
      expect(faultsOf(parsed, planned.tasks)).toEqual([])
      expect(planned.makespanMin).toBe(optimalMakespanMin)
      expect(planned.lowerBoundMin).toBeLessThanOrEqual(optimalMakespanMin)
      expect(planned.lowerBoundMin).toBeGreaterThanOrEqual(pathBoundMin)
    },
    60_000,
  )

  it.each(CASES.flatMap((one) => (one.collides === undefined ? [] : [[one.id, one, one.collides] as const])))(
    '%s: names the fewest tasks that collide',
    (_, { problem }, collides) => {
      expect([...faultFor(problem).collide].sort()).toEqual([...collides].sort())
    },
  )
})

describe('days of 10 to 60 tasks whose shortest plan is proven', () => {
  // A quarter of them, and not the longest: the bench has them all.
  it.each(proven.filter(({ size }, at) => at % 2 === 0 && size <= 50).map((one) => [one.size, one] as const))(
    '%i tasks: as short as that',
    (_, { seed, size, machines, makespan }) => {
      const problem = planInstance(seed, size, machines)
      const planned = planUntil(problem, makespan)
      expect(faultsOf(problem, planned.tasks)).toEqual([])
      expect(planned.makespanMin).toBe(makespan)
    },
    60_000,
  )
})

const instance = fc
  .tuple(fc.integer({ min: 1, max: 1e9 }), fc.integer({ min: 3, max: 14 }), fc.integer({ min: 0, max: 3 }))
  .map((args) => planInstance(...args))
const quick = (problem: PlanProblem, seed = 1): Planned | null => {
  try {
    return plan(problem, { effort: 400, seed })
  } catch (error) {
    if (error instanceof PlanFault) return null
    throw error
  }
}

describe('any day', () => {
  it('keeps every lag, capacity, temperature and time away; ends no earlier than the bound', () => {
    let planned = 0
    fc.assert(
      fc.property(instance, (problem) => {
        const found = quick(problem)
        if (found === null) return
        planned += 1
        expect(faultsOf(problem, found.tasks)).toEqual([])
        expect(found.makespanMin).toBeGreaterThanOrEqual(found.lowerBoundMin)
        expect(found.makespanMin).toBe(Math.max(...found.tasks.map(({ endMin }) => endMin)))
      }),
      { numRuns: 500 },
    )
    expect(planned).toBeGreaterThan(300)
  })

  it('is never shorter with a task more, nor with less of a resource', () => {
    fc.assert(
      fc.property(instance, fc.nat(), (problem, pick) => {
        const whole = quick(problem)
        if (whole?.isOptimal !== true) return
        const gone = problem.tasks[pick % problem.tasks.length]?.id
        // A task that nothing waits for can go without freeing others of their waits.
        if (problem.tasks.some(({ after }) => after.some(({ id }) => id === gone))) return
        const fewer = { ...problem, tasks: problem.tasks.filter(({ id }) => id !== gone) }
        if (fewer.tasks.length === 0) return
        const less = quick(fewer)
        expect(less?.lowerBoundMin ?? 0).toBeLessThanOrEqual(whole.makespanMin)
        const roomier = {
          ...problem,
          resources: problem.resources.map((one) => ({ ...one, capacity: one.capacity + 1 })),
        }
        expect(quick(roomier)?.lowerBoundMin ?? 0).toBeLessThanOrEqual(whole.makespanMin)
      }),
      { numRuns: 150 },
    )
  })

  it('is planned the same for the same seed, and stands when it is stopped', () => {
    const problem = planInstance(7, 24, 3)
    expect(plan(problem, { effort: 2000, seed: 3 })).toEqual(plan(problem, { effort: 2000, seed: 3 }))
    const told: Planned[] = []
    const stopped = plan(problem, { shouldStop: () => told.length > 0, onBetter: (one) => told.push(one) })
    expect(faultsOf(problem, stopped.tasks)).toEqual([])
    expect(told[0]?.makespanMin).toBe(stopped.makespanMin)
  })

  it('says, of every group that it calls impossible, that a plan exists without any one of them', () => {
    let seen = 0
    fc.assert(
      fc.property(instance, (problem) => {
        // Waits so short that many days are impossible.
        const tight = {
          ...problem,
          tasks: problem.tasks.map((task) => ({
            ...task,
            after: task.after.map((lag) => ({ ...lag, maxLagMin: lag.minLagMin + 2 })),
          })),
        }
        let collide: readonly string[]
        try {
          plan(tight, { effort: 400 })
          return
        } catch (error) {
          if (!(error instanceof PlanFault)) throw error
          collide = error.collide
        }
        seen += 1
        const core = tight.tasks.filter(({ id }) => collide.includes(id))
        for (const gone of collide) {
          const rest = core.filter(({ id }) => id !== gone)
          if (rest.length === 0) continue
          const kept = new Set(rest.map(({ id }) => id))
          const problemLeft = {
            ...tight,
            tasks: rest.map((task) => ({ ...task, after: task.after.filter(({ id }) => kept.has(id)) })),
          }
          expect(quick(problemLeft)).not.toBeNull()
        }
      }),
      { numRuns: 120 },
    )
    expect(seen).toBeGreaterThan(5)
  })
})

describe('a problem that is none', () => {
  const task = (id: string, more: object = {}) => ({ id, durationMin: 5, uses: {}, after: [], ...more })
  const cook = { id: 'cook', capacity: 1 }
  it.each([
    ['two tasks of one name', { resources: [], tasks: [task('a'), task('a')] }, /Two tasks/],
    [
      'an unknown resource',
      { resources: [cook], tasks: [task('a', { uses: { oven: 1 } })] },
      /no resource here/,
    ],
    ['an unknown task', { resources: [], tasks: [task('a', { after: [{ id: 'b' }] })] }, /no task here/],
    [
      'a wait that is longer than its longest',
      { resources: [], tasks: [task('a'), task('b', { after: [{ id: 'a', minLagMin: 9, maxLagMin: 3 }] })] },
      /at least 9 and at most 3/,
    ],
    [
      'bands that run backwards',
      { resources: [cook], tasks: [task('a', { tempC: { low: 200, high: 100 } })] },
      /backwards/,
    ],
    [
      'times away that run backwards',
      { resources: [cook], tasks: [task('a')], away: [{ resource: 'cook', fromMin: 9, toMin: 3 }] },
      /before it begins/,
    ],
    [
      'no oven at all',
      { resources: [{ id: 'oven', capacity: 0 }], tasks: [task('a', { uses: { oven: 1 } })] },
      /is none/,
    ],
  ])('%s', (_, problem, words) => {
    expect(faultFor(problem).message).toMatch(words)
    expect(faultFor(problem).hint).not.toBe('')
  })

  it('refuses times that are no whole minutes, and an empty day', () => {
    expect(PlanProblem.safeParse({ resources: [], tasks: [task('a', { durationMin: 2.5 })] }).success).toBe(
      false,
    )
    expect(PlanProblem.safeParse({ resources: [], tasks: [] }).success).toBe(false)
  })
})
