import { type Calendar, calendarOf } from './calendar'
import type { Network, Shared } from './network'

/** Tasks that follow one another, kept in the order of their latest ends. */
interface Single {
  readonly byEnd: Int32Array
  readonly calendar: Calendar
  readonly longest: number
}

/** No way there, and later than any time. */
export const FAR = 0x3fffffff
const MOST_PUSHES = 1

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
 * Windows of starts, from the earliest to the latest, and what narrows them: lags, times away, pairs that only one order is
 * left for, and what a resource can do between two times.
 *
 * @source Baptiste, Le Pape & Nuijten 2001, Constraint-Based Scheduling, ch. 2 and 3 (disjunctive and energetic reasoning)
 */
export class Windows {
  protected readonly n: number
  protected readonly from: number[]
  protected readonly to: number[]
  protected readonly lag: number[]
  protected readonly fixedArcs: number
  protected readonly est: Int32Array
  protected readonly lst: Int32Array
  protected readonly pairI: Int32Array
  protected readonly pairJ: Int32Array
  protected readonly settled: Uint8Array
  /** Longest way from start to start by lags and orders, row by row; -FAR where there is none. */
  protected readonly apart: Int32Array
  protected readonly apartAtFirst: Int32Array
  protected readonly singles: readonly Single[]
  protected readonly inside: Uint8Array
  protected readonly loads: readonly Shared[]
  protected deadline = 0

  protected readonly network: Network

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

  protected begin(): void {
    this.from.length = this.fixedArcs
    this.to.length = this.fixedArcs
    this.lag.length = this.fixedArcs
    this.settled.fill(0)
    this.apart.set(this.apartAtFirst)
    for (let i = 0; i < this.n; i += 1) {
      const { duration, fromMin, untilMin } = this.network
      this.est[i] = this.openFrom(i, fromMin[i] ?? 0)
      this.lst[i] = this.openUntil(i, Math.min(untilMin[i] ?? FAR, this.deadline - (duration[i] ?? 0)))
    }
  }

  protected addArc(from: number, to: number): void {
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
  protected openFrom(task: number, time: number): number {
    const duration = this.network.duration[task] ?? 0
    let start = time
    for (const [from, to] of this.network.closed[task] ?? [])
      if (start + duration > from && start < to) start = to
    return start
  }

  /** The last start up to a time that keeps clear of times away. */
  protected openUntil(task: number, time: number): number {
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
  protected narrowByArcs(): boolean {
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
  protected narrowByPairs(): boolean | null {
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

  protected narrow(): boolean {
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
  protected isOverloaded({ capacity, tasks, uses, away }: Shared): boolean {
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
  protected push(single: Single): boolean | null {
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
}
