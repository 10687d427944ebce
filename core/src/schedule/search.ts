import { type Calendar, calendarOf } from './calendar'
import type { Network, Shared } from './network'

/** What a search may do, and what stops it. */
export interface SearchLimits {
  /** The plan ends by then. */
  readonly deadline: number
  /** Partial plans to look at. */
  readonly most: number
  /** Orders that are held, each "from ends before to starts". */
  readonly held?: readonly (readonly [from: number, to: number])[]
  /** 0 to 1; above 0 ways are tried in an order that chance has a say in. */
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

/** Tasks that follow one another, kept in the order of their latest ends. */
interface Single {
  readonly byEnd: Int32Array
  readonly calendar: Calendar
  readonly longest: number
}

const FAR = 0x3fffffff
/** How much chance has a say in which conflict is settled first, min. Practice. */
const NOISE = 40
const MOST_PUSHES = 1
const STOP_EVERY = 256

/** Longest ways between starts by the lags of a problem. */
function longestWays({ ids, arcs }: Network): Int32Array {
  const n = ids.length
  const apart = new Int32Array(n * n).fill(-FAR)
  for (let i = 0; i < n; i += 1) apart[i * n + i] = 0
  for (const { from, to, lag } of arcs) apart[from * n + to] = Math.max(apart[from * n + to] ?? 0, lag)
  for (let k = 0; k < n; k += 1)
    for (let i = 0; i < n; i += 1) {
      const before = apart[i * n + k] ?? 0
      if (before <= -FAR) continue
      for (let j = 0; j < n; j += 1) {
        const after = apart[k * n + j] ?? 0
        if (after > -FAR && before + after > (apart[i * n + j] ?? 0)) apart[i * n + j] = before + after
      }
    }
  return apart
}

/**
 * Branch and bound over conflicts: starts are as early as the orders so far allow; where two tasks or more cannot be at the
 * same time, one of them is put behind another. Windows of starts are narrowed by lags, by times away, by pairs that only
 * one order is left for, and by what a resource can do between two times.
 *
 * @source De Reyck & Herroelen 1998, Eur. J. Oper. Res. 111:152 (delaying modes under generalised precedence); Baptiste,
 *   Le Pape & Nuijten 2001, Constraint-Based Scheduling, ch. 2 and 3 (disjunctive and energetic reasoning)
 */
export class PlanSearch {
  private readonly n: number
  private readonly from: number[]
  private readonly to: number[]
  private readonly lag: number[]
  private readonly fixedArcs: number
  private readonly est: Int32Array
  private readonly lst: Int32Array
  private readonly pairI: Int32Array
  private readonly pairJ: Int32Array
  private readonly settled: Uint8Array
  /** Longest way from start to start by lags and orders, row by row; -FAR where there is none. */
  private readonly apart: Int32Array
  private readonly apartAtFirst: Int32Array
  private readonly singles: readonly Single[]
  private readonly inside: Uint8Array
  private readonly loads: readonly Shared[]
  private limits: SearchLimits = { deadline: 0, most: 0, isThorough: false }
  private deadline = 0
  private looked = 0
  private isCut = false
  private best: Int32Array | null = null

  private readonly network: Network

  constructor(network: Network) {
    this.network = network
    this.n = network.ids.length
    this.from = network.arcs.map(({ from }) => from)
    this.to = network.arcs.map(({ to }) => to)
    this.lag = network.arcs.map(({ lag }) => lag)
    this.fixedArcs = this.from.length
    this.est = new Int32Array(this.n)
    this.lst = new Int32Array(this.n)
    this.pairI = Int32Array.from(network.pairs, ([i]) => i)
    this.pairJ = Int32Array.from(network.pairs, ([, j]) => j)
    this.settled = new Uint8Array(network.pairs.length)
    this.apart = new Int32Array(this.n * this.n)
    this.apartAtFirst = longestWays(network)
    this.inside = new Uint8Array(this.n)
    this.singles = [...network.resources.filter(({ capacity }) => capacity === 1), ...network.cliques].map(
      ({ tasks, away }) => ({
        byEnd: Int32Array.from(tasks),
        calendar: calendarOf(away),
        longest: Math.max(...tasks.map((task) => network.duration[task] ?? 0)),
      }),
    )
    this.loads = network.resources.filter(({ capacity }) => capacity > 1)
  }

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

  /** Whether lags, times away, pairs and loads alone rule a deadline out. */
  isRuledOut(deadline: number): boolean {
    this.deadline = deadline
    this.begin()
    return !this.narrow()
  }

  /** Earliest starts by lags and times away alone; null where the lags cannot all be kept. */
  earliest(): Int32Array | null {
    this.deadline = this.network.horizon
    this.begin()
    return this.narrowByArcs() ? this.est.slice() : null
  }

  endOf(starts: ArrayLike<number>): number {
    let end = 0
    for (let i = 0; i < this.n; i += 1)
      end = Math.max(end, (starts[i] ?? 0) + (this.network.duration[i] ?? 0))
    return end
  }

  private begin(): void {
    this.from.length = this.fixedArcs
    this.to.length = this.fixedArcs
    this.lag.length = this.fixedArcs
    this.settled.fill(0)
    this.apart.set(this.apartAtFirst)
    for (let i = 0; i < this.n; i += 1) {
      this.est[i] = this.openFrom(i, 0)
      this.lst[i] = this.openUntil(i, this.deadline - (this.network.duration[i] ?? 0))
    }
  }

  private addArc(from: number, to: number): void {
    const { n, apart } = this
    const lag = this.network.duration[from] ?? 0
    this.from.push(from)
    this.to.push(to)
    this.lag.push(lag)
    if ((apart[from * n + to] ?? 0) >= lag) return
    for (let i = 0; i < n; i += 1) {
      const before = apart[i * n + from] ?? 0
      if (before <= -FAR) continue
      const reach = before + lag
      for (let j = 0; j < n; j += 1) {
        const after = apart[to * n + j] ?? 0
        if (after > -FAR && reach + after > (apart[i * n + j] ?? 0)) apart[i * n + j] = reach + after
      }
    }
  }

  /** The first start from a time on that keeps clear of times away. */
  private openFrom(task: number, time: number): number {
    const duration = this.network.duration[task] ?? 0
    let start = time
    for (const [from, to] of this.network.closed[task] ?? [])
      if (start + duration > from && start < to) start = to
    return start
  }

  /** The last start up to a time that keeps clear of times away. */
  private openUntil(task: number, time: number): number {
    const windows = this.network.closed[task] ?? []
    const duration = this.network.duration[task] ?? 0
    let start = time
    for (let at = windows.length - 1; at >= 0; at -= 1) {
      const [from, to] = windows[at] ?? [0, 0]
      if (start + duration > from && start < to) start = from - duration
    }
    return start
  }

  /** Narrows by lags and times away. @returns false where nothing is left */
  private narrowByArcs(): boolean {
    const { from, to, lag, est, lst } = this
    // A cycle of lags that asks for more than it has pushes starts past the deadline: it ends.
    for (let isChanged = true; isChanged;) {
      isChanged = false
      for (let arc = 0; arc < from.length; arc += 1) {
        const a = from[arc] ?? 0
        const b = to[arc] ?? 0
        const wait = lag[arc] ?? 0
        const early = (est[a] ?? 0) + wait
        if (early > (est[b] ?? 0)) {
          const start = this.openFrom(b, early)
          if (start > (lst[b] ?? 0)) return false
          est[b] = start
          isChanged = true
        }
        const late = (lst[b] ?? 0) - wait
        if (late < (lst[a] ?? 0)) {
          const start = this.openUntil(a, late)
          if (start < (est[a] ?? 0)) return false
          lst[a] = start
          isChanged = true
        }
      }
    }
    return true
  }

  /** Settles pairs that one order alone is left for. @returns null where none is, else whether any was settled */
  private narrowByPairs(): boolean | null {
    const { pairI, pairJ, settled, est, lst, apart, n } = this
    const { duration } = this.network
    let isSettled = false
    for (let pair = 0; pair < pairI.length; pair += 1) {
      if (settled[pair] !== 0) continue
      const i = pairI[pair] ?? 0
      const j = pairJ[pair] ?? 0
      const [ownI, ownJ] = [duration[i] ?? 0, duration[j] ?? 0]
      const isBefore = (est[i] ?? 0) + ownI <= (lst[j] ?? 0) && ownI + (apart[j * n + i] ?? 0) <= 0
      const isAfter = (est[j] ?? 0) + ownJ <= (lst[i] ?? 0) && ownJ + (apart[i * n + j] ?? 0) <= 0
      if (isBefore && isAfter) continue
      if (!isBefore && !isAfter) return null
      settled[pair] = 1
      if (isBefore) this.addArc(i, j)
      else this.addArc(j, i)
      isSettled = true
    }
    return isSettled
  }

  private narrow(): boolean {
    for (let i = 0; i < this.n; i += 1) if ((this.est[i] ?? 0) > (this.lst[i] ?? 0)) return false
    for (let pushes = 0; ;) {
      if (!this.narrowByArcs()) return false
      const isSettled = this.narrowByPairs()
      if (isSettled === null) return false
      if (isSettled) continue
      // Each push costs much and another brings little: what it would find is found further down.
      if (pushes >= MOST_PUSHES) break
      pushes += 1
      let isPushed = false
      for (const one of this.singles) {
        const pushed = this.push(one)
        if (pushed === null) return false
        isPushed ||= pushed
      }
      if (!isPushed) break
    }
    for (const resource of this.loads) if (this.isOverloaded(resource)) return false
    return true
  }

  /** Whether tasks that must lie between two times need more of a resource than there is between them. */
  private isOverloaded({ capacity, tasks, uses, away }: Shared): boolean {
    const { est, lst } = this
    const { duration } = this.network
    const byEnd = tasks
      .map((task, at) => ({
        start: est[task] ?? 0,
        end: (lst[task] ?? 0) + (duration[task] ?? 0),
        work: (duration[task] ?? 0) * (uses[at] ?? 0),
      }))
      .sort((a, b) => a.end - b.end)
    for (const { start } of byEnd) {
      let work = 0
      for (const one of byEnd) {
        if (one.start < start) continue
        work += one.work
        let open = one.end - start
        if (work <= capacity * open && away.length === 0) continue
        for (const [from, to] of away) open -= Math.max(0, Math.min(to, one.end) - Math.max(from, start))
        if (work > capacity * open) return true
      }
    }
    return false
  }

  /**
   * Of tasks that follow one another: those that cannot come before the end of a set of others start after all of it, or end
   * before all of it. @returns null where they do not fit, else whether any was pushed
   * @source edge finding, Carlier & Pinson 1990, in the plain form over pairs of times
   */
  private push(single: Single): boolean | null {
    const { est, lst, inside } = this
    const { duration } = this.network
    const { byEnd, calendar } = single
    let isPushed = false
    // Nearly in order from the last time: put right by insertion.
    for (let at = 1; at < byEnd.length; at += 1) {
      const task = byEnd[at] ?? 0
      const end = (lst[task] ?? 0) + (duration[task] ?? 0)
      let to = at
      for (; to > 0; to -= 1) {
        const other = byEnd[to - 1] ?? 0
        if ((lst[other] ?? 0) + (duration[other] ?? 0) <= end) break
        byEnd[to] = other
      }
      byEnd[to] = task
    }
    for (const first of byEnd) {
      const start = est[first] ?? 0
      let work = 0
      let end = 0
      inside.fill(0)
      for (const last of byEnd) {
        if ((est[last] ?? 0) < start) continue
        inside[last] = 1
        work += duration[last] ?? 0
        // Windows may have closed since they were put in order.
        end = Math.max(end, (lst[last] ?? 0) + (duration[last] ?? 0))
        const open = calendar.open(start, end)
        if (work > open) return null
        if (work + single.longest <= open) continue
        for (const task of byEnd) {
          if (inside[task] === 1) continue
          const own = duration[task] ?? 0
          if (work + own <= open) continue
          const early = est[task] ?? 0
          const late = lst[task] ?? 0
          // It cannot end by then, wherever it begins: it comes after all of them.
          if (work + own > calendar.open(Math.min(start, early), end)) {
            const after = this.openFrom(task, calendar.end(start, work))
            if (after > late) return null
            if (after > early) {
              est[task] = after
              isPushed = true
            }
          }
          // It cannot begin then, whenever it ends: it comes before all of them.
          if (work + own > calendar.open(start, Math.max(end, late + own))) {
            const before = this.openUntil(task, calendar.begin(end, work) - own)
            if (before < (est[task] ?? 0)) return null
            if (before < late) {
              lst[task] = before
              isPushed = true
            }
          }
        }
      }
    }
    return isPushed
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
