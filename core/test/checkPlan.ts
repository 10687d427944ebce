import type { PlanProblem } from '../src/schedule'

/** What is wrong with a plan, minute by minute and in plain words; shares nothing with the planner. */
export function faultsOf(
  problem: PlanProblem,
  tasks: readonly { readonly id: string; readonly startMin: number; readonly endMin: number }[],
): string[] {
  const faults: string[] = []
  const placed = new Map(tasks.map((task) => [task.id, task]))
  for (const { id, durationMin, after, window } of problem.tasks) {
    const own = placed.get(id)
    if (own === undefined) {
      faults.push(`${id} is not planned`)
      continue
    }
    if (own.startMin < 0 || !Number.isInteger(own.startMin)) faults.push(`${id} starts at ${own.startMin}`)
    if (own.endMin - own.startMin !== durationMin) faults.push(`${id} does not last ${durationMin}`)
    if (window != null && !(own.startMin >= window.fromMin && own.startMin <= (window.untilMin ?? Infinity)))
      faults.push(`${id} starts at ${own.startMin}, outside of its window`)
    for (const { id: other, minLagMin, maxLagMin } of after) {
      const wait = own.startMin - (placed.get(other)?.endMin ?? Number.NaN)
      if (!(wait >= minLagMin)) faults.push(`${id} starts ${wait} after ${other}, at least ${minLagMin}`)
      if (maxLagMin !== null && !(wait <= maxLagMin))
        faults.push(`${id} starts ${wait} after ${other}, at most ${maxLagMin}`)
    }
  }
  const last = Math.max(0, ...tasks.map(({ endMin }) => endMin))
  for (let minute = 0; minute < last; minute += 1) {
    const running = problem.tasks.filter(({ id }) => {
      const own = placed.get(id)
      return own !== undefined && own.startMin <= minute && minute < own.endMin
    })
    for (const { id, capacity, sharedTemperature } of problem.resources) {
      const there = running.filter(({ uses }) => (uses[id] ?? 0) > 0)
      const used = there.reduce((sum, { uses }) => sum + (uses[id] ?? 0), 0)
      if (used > capacity) faults.push(`${id} holds ${used} of ${capacity} at ${minute}`)
      if (
        there.length > 0 &&
        problem.away.some((one) => one.resource === id && one.fromMin <= minute && minute < one.toMin)
      )
        faults.push(`${id} is away at ${minute}`)
      if (!sharedTemperature) continue
      const bands = there.flatMap(({ tempC }) => (tempC === null ? [] : [tempC]))
      const low = Math.max(...bands.map((band) => band.low))
      const high = Math.min(...bands.map((band) => band.high))
      if (bands.length > 1 && low > high) faults.push(`${id} has no common temperature at ${minute}`)
    }
  }
  return faults
}
