import type { Network } from './network'
import type { PlanSearch } from './search'

/** Partial plans of one look around a plan: from about so many to twenty times as many, mostly few. Practice. */
const LOOK_AROUND = 10
/** Of the span of a plan, what is planned anew: at least and at most. Practice. */
const SPAN = [0.15, 0.6] as const

/** Orders of a plan among tasks that stay as they are: of those that could get in each other's way. */
function heldOrders(
  { pairs, resources, duration }: Network,
  starts: ArrayLike<number>,
  isFree: Uint8Array,
): [number, number][] {
  const held: [number, number][] = []
  const seen = new Set<number>()
  const n = duration.length
  const hold = (i: number, j: number): void => {
    if (isFree[i] === 1 || isFree[j] === 1 || seen.has(i * n + j)) return
    seen.add(i * n + j)
    if ((starts[i] ?? 0) + (duration[i] ?? 0) <= (starts[j] ?? 0)) held.push([i, j])
    else if ((starts[j] ?? 0) + (duration[j] ?? 0) <= (starts[i] ?? 0)) held.push([j, i])
  }
  for (const [i, j] of pairs) hold(i, j)
  for (const { tasks, capacity } of resources)
    if (capacity > 1)
      for (const [at, i] of tasks.entries())
        for (const j of tasks.slice(at + 1)) hold(Math.min(i, j), Math.max(i, j))
  return held
}

/** Tasks to plan anew: those in a stretch of time, or of one resource and a few others. */
function freed(network: Network, starts: ArrayLike<number>, end: number, random: () => number): Uint8Array {
  const { duration, resources } = network
  const n = duration.length
  const isFree = new Uint8Array(n)
  const share = SPAN[0] + (SPAN[1] - SPAN[0]) * random()
  const kind = random()
  if (kind < 0.55) {
    const from = random() * (1 - share) * end
    const to = from + share * end
    for (let i = 0; i < n; i += 1)
      if ((starts[i] ?? 0) < to && (starts[i] ?? 0) + (duration[i] ?? 0) > from) isFree[i] = 1
  } else if (kind < 0.8 && resources.length > 0) {
    const chosen = resources[Math.floor(random() * resources.length)]
    for (const task of chosen?.tasks ?? []) isFree[task] = random() < 0.8 ? 1 : 0
    for (let i = 0; i < n; i += 1) if (random() < 0.15) isFree[i] = 1
  } else for (let i = 0; i < n; i += 1) if (random() < share) isFree[i] = 1
  return isFree
}

/**
 * One look around a plan: some tasks are planned anew while the others keep their order.
 * @param deadline the new plan ends by then
 * @returns starts, or null where none was found
 * @source large neighbourhood search, Shaw 1998; for schedules Godard, Laborie & Nuijten 2005
 */
export function lookAround(
  network: Network,
  search: PlanSearch,
  starts: Int32Array,
  deadline: number,
  random: () => number,
): { best: Int32Array | null; looked: number } {
  const isFree = freed(network, starts, search.endOf(starts), random)
  const { best, looked } = search.run({
    deadline,
    most: Math.round(LOOK_AROUND / (random() + 0.05)),
    held: heldOrders(network, starts, isFree),
    random,
    isThorough: true,
  })
  return { best, looked }
}
