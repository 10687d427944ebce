import { randomFrom } from '../chance'
import { explain, tiedFault } from './explain'
import { lookAround } from './improve'
import { PlanFault, type Planned, type PlanProblem } from './model'
import { type Network, networkOf } from './network'
import { PlanSearch } from './search'

export interface PlanOptions {
  /** The same seed gives the same plan. */
  readonly seed?: number
  /** Partial plans to look at, at most; what was found by then stands. */
  readonly effort?: number
  readonly shouldStop?: () => boolean
  /** Told of the first plan and of every shorter one. */
  readonly onBetter?: (plan: Planned) => void
}

/** Partial plans that a plan is worth. Practice: a few seconds. */
const EFFORT = 60_000
/** Partial plans for the first plan; a part of it for other beginnings and the first try at a proof. */
const FIRST_LOOK = 4_000
/** Looks around a plan that found nothing shorter, before another one is begun from. */
const BARREN = 80
/** Another beginning may be so much longer than the best. */
const LONGER = 1.2
/** Proof by the search from the ground up gets this share of the effort. */
const PROOF_SHARE = 0.3

const plannedOf = (
  { ids, duration }: Network,
  starts: ArrayLike<number>,
  lowerBoundMin: number,
  looked: number,
  isCut: boolean,
): Planned => {
  const tasks = ids.map((id, at) => {
    const startMin = starts[at] ?? 0
    return { id, startMin, endMin: startMin + (duration[at] ?? 0) }
  })
  const makespanMin = tasks.reduce((end, { endMin }) => Math.max(end, endMin), 0)
  return { tasks, makespanMin, lowerBoundMin, isOptimal: lowerBoundMin >= makespanMin, isCut, looked }
}

/** The least deadline that lags, times away, pairs and loads do not rule out. */
function lowerBound(search: PlanSearch, earliest: Int32Array, known: number): number {
  let low = search.endOf(earliest)
  let high = known
  // What rules out a deadline rules out every earlier one.
  while (low < high) {
    const middle = (low + high) >> 1
    if (search.isRuledOut(middle)) low = middle + 1
    else high = middle
  }
  return low
}

/**
 * Plans tasks on the clock: the shortest plan that keeps every lag, capacity, common temperature and time away.
 *
 * A first plan by branch and bound over conflicts; shorter ones around it; the proof by the same search from the ground up
 * with more and more effort in between. Anytime and deterministic for a seed.
 *
 * @returns times in whole minutes from 0, with a lower bound of every plan's end
 * @throws PlanFault where no plan exists, with the fewest tasks that collide
 */
export function plan(
  problem: PlanProblem,
  { seed = 1, effort = EFFORT, shouldStop = () => false, onBetter = () => undefined }: PlanOptions = {},
): Planned {
  const network = networkOf(problem)
  const search = new PlanSearch(network)
  const earliest = search.earliest()
  if (earliest === null) throw explain(problem)
  const tied = tiedFault(problem)
  if (tied !== null) throw tied
  const random = randomFrom(seed)
  let looked = 0
  const proof = { isThere: false }
  const first = firstPlan()
  if (first === null) throw explain(problem)
  let best = first
  let end = search.endOf(best)
  let bound = lowerBound(search, earliest, end)
  const tell = (): void => onBetter(plannedOf(network, best, bound, looked, false))
  tell()
  const isDone = (): boolean => end <= bound || proof.isThere || looked >= effort || shouldStop()
  let ground = FIRST_LOOK / 8
  for (let start: Int32Array | null = best; !isDone(); start = anew()) {
    if (start !== null) climb(start)
    if (!isDone() && ground < PROOF_SHARE * looked) prove()
  }
  if (proof.isThere) bound = end
  return plannedOf(network, best, bound, looked, end > bound)

  /** Goes on from a plan to shorter ones around it, until nothing shorter is found for a while. */
  function climb(from: Int32Array): void {
    let now = from
    let length = search.endOf(now)
    for (let barren = 0; barren < BARREN && !isDone();) {
      // As often as not a plan as long is good enough to go on from: it is another one.
      const isSideways = random() < 0.5
      const found = lookAround(network, search, now, isSideways ? length : length - 1, random)
      looked += found.looked
      barren += 1
      if (found.best === null) continue
      now = found.best
      if (search.endOf(now) >= length) continue
      length = search.endOf(now)
      barren = 0
      if (length < end) take(now)
    }
  }

  /** Another plan to begin from, not much longer than the best. */
  function anew(): Int32Array | null {
    const { best: found, looked: seen } = search.run({
      deadline: Math.ceil(LONGER * end),
      most: FIRST_LOOK / 8,
      random: () => 0.6 * random(),
      isThorough: false,
    })
    looked += seen
    return found
  }

  /** From the ground up: a shorter plan, or that there is none. */
  function prove(): void {
    const result = search.run({
      deadline: end - 1,
      most: Math.min(ground, effort - looked),
      shouldStop,
      isThorough: true,
    })
    looked += result.looked
    ground *= 2
    if (result.best !== null) take(result.best)
    if (result.isExhausted) proof.isThere = true
  }

  function take(starts: Int32Array): void {
    best = starts
    end = search.endOf(best)
    tell()
  }

  /** Any plan at all: with more and more effort, in another order each time. */
  function firstPlan(): Int32Array | null {
    for (let most = FIRST_LOOK; ; most *= 2) {
      const {
        best: found,
        isExhausted,
        looked: seen,
      } = search.run({
        deadline: network.horizon,
        most,
        ...(most === FIRST_LOOK ? {} : { random }),
        isThorough: false,
      })
      looked += seen
      if (found !== null) return found
      if (isExhausted) return null
      if (looked > effort || shouldStop())
        throw new PlanFault(
          'No plan was found in the time that was given, and none was ruled out.',
          'Give it longer, or loosen a longest wait.',
        )
    }
  }
}
