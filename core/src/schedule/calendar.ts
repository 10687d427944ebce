/** Minutes in which a resource is there, counted from 0. Times are whole and may be below 0. */
export interface Calendar {
  /** Of those between two times. */
  readonly open: (start: number, end: number) => number
  /** When so many of them have gone by from a time on. */
  readonly end: (start: number, work: number) => number
  /** From when on so many of them go by until a time. */
  readonly begin: (end: number, work: number) => number
}

const ALWAYS: Calendar = {
  open: (start, end) => end - start,
  end: (start, work) => start + work,
  begin: (end, work) => end - work,
}

/** @param away sorted and apart, each [from, to) with whole minutes of 0 or more */
export function calendarOf(away: readonly (readonly [from: number, to: number])[]): Calendar {
  const last = away.at(-1)?.[1] ?? 0
  if (away.length === 0) return ALWAYS
  /** Open minutes up to a time, and the time of each open minute. */
  const upTo = new Int32Array(last + 1)
  const times: number[] = []
  let window = 0
  for (let time = 0; time < last; time += 1) {
    while ((away[window]?.[1] ?? last) <= time) window += 1
    const isOpen = time < (away[window]?.[0] ?? last)
    if (isOpen) times.push(time)
    upTo[time + 1] = times.length
  }
  const all = times.length
  const count = (time: number): number =>
    time <= 0 ? time : time <= last ? (upTo[time] ?? 0) : all + time - last
  /** The time of the open minute of a number, from 0. */
  const at = (minute: number): number =>
    minute < 0 ? minute : minute < all ? (times[minute] ?? 0) : last + minute - all
  return {
    open: (start, end) => count(end) - count(start),
    end: (start, work) => (work <= 0 ? start : at(count(start) + work - 1) + 1),
    begin: (end, work) => (work <= 0 ? end : at(count(end) - work)),
  }
}
