import { PlanFault, type PlanProblem } from './model'

/** s_to >= s_from + lag. */
export interface Arc {
  readonly from: number
  readonly to: number
  readonly lag: number
}

/** A resource that more than two may share, with those that use it. */
export interface Shared {
  readonly id: string
  readonly capacity: number
  readonly tasks: readonly number[]
  readonly uses: readonly number[]
  /** Minutes in which nothing may run on it, sorted and apart. */
  readonly away: readonly (readonly [from: number, to: number])[]
}

/** A problem as numbers: times between starts, pairs that may not overlap, capacities. */
export interface Network {
  readonly ids: readonly string[]
  readonly duration: Int32Array
  /** Starts are no earlier, and no later, than these by the problem itself. */
  readonly fromMin: Int32Array
  readonly untilMin: Int32Array
  readonly arcs: readonly Arc[]
  /** Times in which a task may not run, sorted and apart, each [from, to). */
  readonly closed: readonly (readonly (readonly [from: number, to: number])[])[]
  /** Pairs i < j that can never overlap: together they pass a capacity, or share no temperature. */
  readonly pairs: readonly (readonly [number, number])[]
  readonly resources: readonly Shared[]
  /** Sets of tasks of which no two can overlap: one resource of capacity 1 each, beside the resources. */
  readonly cliques: readonly Shared[]
  /** Everything one after the other ends by then. */
  readonly horizon: number
}

function merged(windows: readonly (readonly [number, number])[]): [number, number][] {
  const sorted = windows.filter(([from, to]) => to > from).sort((a, b) => a[0] - b[0])
  const found: [number, number][] = []
  for (const [from, to] of sorted) {
    const last = found.at(-1)
    if (last !== undefined && from <= last[1]) last[1] = Math.max(last[1], to)
    else found.push([from, to])
  }
  return found
}

/** Later than any start. */
const ANY_TIME = 0x3fffffff

const listed = (names: readonly string[]): string => names.map((name) => `“${name}”`).join(', ')

/** Slips that make a problem no problem: told before anything is planned. */
function checkWords({ resources, tasks, away }: PlanProblem): void {
  const twice = (ids: readonly string[]) => ids.filter((id, at) => ids.indexOf(id) !== at)
  const [again] = twice(tasks.map(({ id }) => id))
  if (again !== undefined)
    throw new PlanFault(`Two tasks are called “${again}”.`, 'Give each task an id of its own.')
  const [same] = twice(resources.map(({ id }) => id))
  if (same !== undefined)
    throw new PlanFault(`Two resources are called “${same}”.`, 'Give each an id of its own.')
  const known = new Set(resources.map(({ id }) => id))
  const named = new Set(tasks.map(({ id }) => id))
  for (const { id, uses, after, tempC, window } of tasks) {
    if (window?.untilMin != null && window.untilMin < window.fromMin)
      throw new PlanFault(
        `“${id}” is to start from ${window.fromMin} on and until ${window.untilMin}.`,
        'Give a window that does not run backwards.',
        [id],
      )
    const lost = Object.keys(uses).filter((resource) => !known.has(resource))
    if (lost.length > 0)
      throw new PlanFault(
        `“${id}” uses ${listed(lost)}, which is no resource here.`,
        `Name one of ${listed([...known])}, or add it.`,
      )
    if (tempC !== null && tempC.low > tempC.high)
      throw new PlanFault(`The temperatures of “${id}” run backwards.`, 'Give the lower one as low.')
    for (const lag of after) {
      if (!named.has(lag.id))
        throw new PlanFault(
          `“${id}” waits for “${lag.id}”, which is no task here.`,
          'Name a task of the problem.',
        )
      if (lag.maxLagMin !== null && lag.maxLagMin < lag.minLagMin)
        throw new PlanFault(
          `“${id}” is to start at least ${lag.minLagMin} and at most ${lag.maxLagMin} min after “${lag.id}”.`,
          'Give a longest wait that is no shorter than the least.',
          [lag.id, id],
        )
    }
  }
  for (const { resource, fromMin, toMin } of away) {
    if (!known.has(resource))
      throw new PlanFault(
        `“${resource}” is away, but is no resource here.`,
        `Name one of ${listed([...known])}.`,
      )
    if (toMin < fromMin)
      throw new PlanFault(
        `A time away of “${resource}” ends before it begins.`,
        'Give its beginning as fromMin.',
      )
  }
}

/** Whether two tasks can be on one resource at the same time. */
function clash(problem: PlanProblem, i: number, j: number): boolean {
  const [a, b] = [problem.tasks[i], problem.tasks[j]]
  if (a === undefined || b === undefined || a.durationMin === 0 || b.durationMin === 0) return false
  return problem.resources.some(({ id, capacity, sharedTemperature }) => {
    const [of, other] = [a.uses[id] ?? 0, b.uses[id] ?? 0]
    if (of === 0 || other === 0) return false
    if (of + other > capacity) return true
    if (!sharedTemperature || a.tempC === null || b.tempC === null) return false
    return Math.max(a.tempC.low, b.tempC.low) > Math.min(a.tempC.high, b.tempC.high)
  })
}

/** Sets of tasks that clash two by two, grown from the longest on, until every clash lies in one. */
function cliquesOf(duration: Int32Array, pairs: readonly (readonly [number, number])[]): Shared[] {
  const n = duration.length
  const clashes = new Uint8Array(n * n)
  for (const [i, j] of pairs) {
    clashes[i * n + j] = 1
    clashes[j * n + i] = 1
  }
  const byLength = Array.from({ length: n }, (_, at) => at).sort(
    (a, b) => (duration[b] ?? 0) - (duration[a] ?? 0),
  )
  const covered = new Uint8Array(n * n)
  const found: Shared[] = []
  for (const [i, j] of pairs) {
    if (covered[i * n + j] === 1) continue
    const members = [i, j]
    for (const task of byLength)
      if (!members.includes(task) && members.every((other) => clashes[task * n + other] === 1))
        members.push(task)
    for (const a of members) for (const b of members) covered[a * n + b] = 1
    if (members.length > 2)
      found.push({ id: '', capacity: 1, tasks: members, uses: members.map(() => 1), away: [] })
  }
  return found
}

/**
 * Groups of tasks that longest waits tie together, each way: they have to fit by themselves.
 * @returns groups of two or more
 */
export function tiedGroups({ ids, arcs }: Pick<Network, 'ids' | 'arcs'>): number[][] {
  const n = ids.length
  const reaches = Array.from({ length: n }, (_, i) => {
    const seen = new Set<number>([i])
    const open = [i]
    for (let at = open.pop(); at !== undefined; at = open.pop())
      for (const { from, to } of arcs)
        if (from === at && !seen.has(to)) {
          seen.add(to)
          open.push(to)
        }
    return seen
  })
  const grouped = new Set<number>()
  return reaches.flatMap((seen, i) => {
    if (grouped.has(i)) return []
    const group = [...seen].filter((j) => reaches[j]?.has(i) === true).sort((a, b) => a - b)
    for (const j of group) grouped.add(j)
    return group.length > 1 ? [group] : []
  })
}

/**
 * The problem as numbers. Bands of temperature that meet two by two have a common temperature, so pairs say all of it.
 * @throws PlanFault where its words are at fault, or a task needs more than there is
 */
export function networkOf(problem: PlanProblem): Network {
  checkWords(problem)
  const { tasks, resources, away } = problem
  const at = new Map(tasks.map(({ id }, index) => [id, index]))
  for (const { id, uses } of tasks)
    for (const { id: resource, capacity } of resources) {
      const needed = uses[resource] ?? 0
      if (needed > capacity)
        throw new PlanFault(
          `“${id}” needs ${needed} of “${resource}”, and there ${capacity === 1 ? 'is 1' : capacity === 0 ? 'is none' : `are ${capacity}`}.`,
          'Split it into batches, or say what else it can be done on.',
          [id],
        )
    }
  const duration = Int32Array.from(tasks, ({ durationMin }) => durationMin)
  const fromMin = Int32Array.from(tasks, ({ window }) => window?.fromMin ?? 0)
  const untilMin = Int32Array.from(tasks, ({ window }) => window?.untilMin ?? ANY_TIME)
  const arcs: Arc[] = []
  tasks.forEach(({ after }, to) => {
    for (const { id, minLagMin, maxLagMin } of after) {
      const from = at.get(id) ?? 0
      const ownMin = duration[from] ?? 0
      arcs.push({ from, to, lag: ownMin + minLagMin })
      if (maxLagMin !== null) arcs.push({ from: to, to: from, lag: -(ownMin + maxLagMin) })
    }
  })
  const windowsOf = (id: string) =>
    merged(
      away.filter(({ resource }) => resource === id).map(({ fromMin, toMin }) => [fromMin, toMin] as const),
    )
  const closed = tasks.map(({ uses, durationMin }) =>
    durationMin === 0
      ? []
      : merged(resources.flatMap(({ id }) => ((uses[id] ?? 0) > 0 ? windowsOf(id) : []))),
  )
  const pairs: [number, number][] = []
  for (let i = 0; i < tasks.length; i += 1)
    for (let j = i + 1; j < tasks.length; j += 1) if (clash(problem, i, j)) pairs.push([i, j])
  const shared = resources.flatMap(({ id, capacity }): Shared[] => {
    const users = tasks.flatMap(({ uses, durationMin }, index) =>
      (uses[id] ?? 0) > 0 && durationMin > 0 ? [index] : [],
    )
    // What all of them together do not fill is no limit.
    const wanted = users.reduce((sum, index) => sum + (tasks[index]?.uses[id] ?? 0), 0)
    if (wanted <= capacity) return []
    return [
      {
        id,
        capacity,
        tasks: users,
        uses: users.map((index) => tasks[index]?.uses[id] ?? 0),
        away: windowsOf(id),
      },
    ]
  })
  const lastAway = away.reduce((last, { toMin }) => Math.max(last, toMin), 0)
  const longest = arcs.reduce((sum, { lag }) => sum + Math.max(0, lag), 0)
  const horizon = Math.max(lastAway, ...fromMin) + longest + duration.reduce((sum, one) => sum + one, 0)
  const alone = new Set(
    shared.filter(({ capacity }) => capacity === 1).map(({ tasks: users }) => users.join()),
  )
  const cliques = cliquesOf(duration, pairs).filter(
    ({ tasks: members }) => !alone.has([...members].sort((a, b) => a - b).join()),
  )
  return {
    ids: tasks.map(({ id }) => id),
    duration,
    fromMin,
    untilMin,
    arcs,
    closed,
    pairs,
    resources: shared,
    cliques,
    horizon,
  }
}
