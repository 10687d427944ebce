import { FAR, Windows } from './windows'

/** What a search may do, and what stops it. */
export interface SearchLimits {
  /** The plan ends by then. */
  readonly deadline: number
  /** Partial plans to look at. */
  readonly most: number
  /** Orders that are held, each "from ends before to starts". */
  readonly held?: readonly (readonly [from: number, to: number])[]
  /** Numbers from 0 to 1: chance has a say in which conflict and which way comes first. Without, there is one order. */
  readonly random?: () => number
  readonly shouldStop?: () => boolean
  /** Go on for shorter plans after the first. */
  readonly isThorough: boolean
}

export interface SearchResult {
  /** Starts of the shortest plan found, null where none was. */
  readonly best: Int32Array | null
  /** Everything was looked at: there is no plan (or none shorter than the best). */
  readonly isExhausted: boolean
  readonly looked: number
}

/** Ways to settle a conflict at most; a capacity that more than two pass is settled by pairs of a smallest such set. */
interface Way {
  readonly from: number
  readonly to: number
  readonly slack: number
}

/** How much chance has a say in which conflict is settled first, min. Practice. */
const NOISE = 40
const STOP_EVERY = 256

/**
 * Branch and bound over conflicts: starts are as early as the orders so far allow; where two tasks or more cannot be at the
 * same time, one of them is put behind another.
 *
 * @source De Reyck & Herroelen 1998, Eur. J. Oper. Res. 111:152 (delaying modes under generalised precedence)
 */
export class PlanSearch extends Windows {
  private limits: SearchLimits = { deadline: 0, most: 0, isThorough: false }
  private looked = 0
  private isCut = false
  private best: Int32Array | null = null

  /** Looks for the shortest plan that ends by the deadline. */
  run(limits: SearchLimits): SearchResult {
    this.limits = limits
    this.deadline = limits.deadline
    this.looked = 0
    this.isCut = false
    this.best = null
    this.begin()
    for (const [from, to] of limits.held ?? []) this.addArc(from, to)
    if (this.narrow()) this.branch()
    return {
      best: this.best,
      isExhausted: !this.isCut,
      looked: this.looked,
    }
  }

  private overlaps(i: number, j: number): boolean {
    const { est } = this
    const { duration } = this.network
    return (
      (est[i] ?? 0) < (est[j] ?? 0) + (duration[j] ?? 0) && (est[j] ?? 0) < (est[i] ?? 0) + (duration[i] ?? 0)
    )
  }

  private way(from: number, to: number): Way {
    const ends = this.network.duration[from] ?? 0
    const byWindow = (this.lst[to] ?? 0) - (this.est[from] ?? 0) - ends
    const byLags = -(this.apart[to * this.n + from] ?? 0) - ends
    return { from, to, slack: Math.min(byWindow, byLags) }
  }

  /** The conflict to settle next in the plan of earliest starts, as the ways to settle it; null where there is none. */
  private conflict(): Way[] | null {
    const { pairI, pairJ, settled } = this
    const { random } = this.limits
    let tightest = FAR
    let found: Way[] | null = null
    for (let pair = 0; pair < pairI.length; pair += 1) {
      if (settled[pair] !== 0) continue
      const i = pairI[pair] ?? 0
      const j = pairJ[pair] ?? 0
      if (!this.overlaps(i, j)) continue
      const [before, after] = [this.way(i, j), this.way(j, i)]
      const low = Math.min(before.slack, after.slack)
      const high = Math.max(before.slack, after.slack)
      // Little room left, and much between the two ways: settled with least regret.
      const tight =
        low + Math.sqrt(Math.max(0, low)) - 0.3 * (high - low) + (random === undefined ? 0 : NOISE * random())
      if (tight < tightest) {
        tightest = tight
        found = [before, after]
      }
    }
    return found ?? this.crowd()
  }

  /** A smallest set of tasks that together pass a capacity at the earliest time at which any do. */
  private crowd(): Way[] | null {
    const { est } = this
    const { duration, resources } = this.network
    let earliest = FAR
    let crowd: number[] | null = null
    for (const { capacity, tasks, uses } of resources) {
      for (const at of tasks) {
        const time = est[at] ?? 0
        if (time >= earliest) continue
        let used = 0
        const there: number[] = []
        tasks.forEach((task, index) => {
          const start = est[task] ?? 0
          if (start > time || start + (duration[task] ?? 0) <= time) return
          used += uses[index] ?? 0
          there.push(index)
        })
        if (used <= capacity) continue
        earliest = time
        // Those with most room are left out first, as long as the rest is too much still.
        const byRoom = [...there].sort((a, b) => this.room(tasks[b] ?? 0) - this.room(tasks[a] ?? 0))
        let kept = there
        for (const index of byRoom) {
          if (used - (uses[index] ?? 0) <= capacity) continue
          used -= uses[index] ?? 0
          kept = kept.filter((one) => one !== index)
        }
        crowd = kept.map((index) => tasks[index] ?? 0)
      }
    }
    if (crowd === null) return null
    const members = crowd
    return members.flatMap((from) => members.flatMap((to) => (from === to ? [] : [this.way(from, to)])))
  }

  private room(task: number): number {
    return (this.lst[task] ?? 0) - (this.est[task] ?? 0)
  }

  private branch(): void {
    this.looked += 1
    if (
      this.looked > this.limits.most ||
      (this.looked % STOP_EVERY === 0 && this.limits.shouldStop?.() === true)
    ) {
      this.isCut = true
      return
    }
    const ways = this.conflict()
    if (ways === null) {
      this.best = this.est.slice()
      this.deadline = this.endOf(this.best) - 1
      if (!this.limits.isThorough) this.isCut = true
      return
    }
    const { random } = this.limits
    ways.sort((a, b) => b.slack - a.slack)
    const [first, second] = ways
    if (random !== undefined && first !== undefined && second !== undefined) {
      // The nearer two ways are, the more chance decides.
      const lead = first.slack - second.slack
      if (random() < 0.5 * Math.exp(-lead / 10)) [ways[0], ways[1]] = [second, first]
    }
    const est = this.est.slice()
    const lst = this.lst.slice()
    const apart = this.apart.slice()
    const settled = this.settled.slice()
    const arcs = this.from.length
    for (const { from, to, slack } of ways) {
      if (slack < 0) continue
      this.addArc(from, to)
      this.bound()
      if (this.narrow()) this.branch()
      if (this.isCut) return
      this.est.set(est)
      this.lst.set(lst)
      this.settled.set(settled)
      this.apart.set(apart)
      this.from.length = arcs
      this.to.length = arcs
      this.lag.length = arcs
    }
  }

  /** Latest starts by the deadline as it is now. */
  private bound(): void {
    for (let i = 0; i < this.n; i += 1) {
      const latest = this.deadline - (this.network.duration[i] ?? 0)
      if (latest < (this.lst[i] ?? 0)) this.lst[i] = this.openUntil(i, latest)
    }
  }
}
