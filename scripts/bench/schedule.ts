// The planner against a mixed-integer programme of the same days in the same run; and many small days by a checker of its own.
//   tsx scripts/bench/schedule.ts [days] [seconds a day for the programme] [small days]
import { writeFileSync } from 'node:fs'
import load, { type Highs } from 'highs'
import { plan, PlanFault, type PlanProblem } from '@frijol/core/schedule'
import { faultsOf } from '../../core/test/checkPlan'
import { planInstance } from '../../core/test/planInstances'

const DAYS = Number(process.argv[2] ?? 36)
const SECONDS = Number(process.argv[3] ?? 60)
const SMALL = Number(process.argv[4] ?? 10_000)
/** Where the proven ends are kept, for the tests. */
const OUT = process.argv[5] ?? null

interface Proven {
  readonly isProven: boolean
  readonly makespan: number | null
  readonly ms: number
}

/** Time-indexed: one column for each task and start; each minute of each resource is a row. */
function byProgramme(highs: Highs, { tasks, resources, away }: PlanProblem, horizon: number): Proven {
  const began = performance.now()
  const columns: { task: number; start: number }[] = []
  const of: number[][] = tasks.map(() => [])
  const isClosed = (task: number, start: number): boolean =>
    away.some(
      ({ resource, fromMin, toMin }) =>
        (tasks[task]?.uses[resource] ?? 0) > 0 &&
        start < toMin &&
        start + (tasks[task]?.durationMin ?? 0) > fromMin,
    )
  tasks.forEach(({ durationMin }, task) => {
    for (let start = 0; start + durationMin <= horizon; start += 1)
      if (!isClosed(task, start)) {
        of[task]?.push(columns.length)
        columns.push({ task, start })
      }
  })
  const end = columns.length
  const rows: { lower: number; upper: number; terms: [number, number][] }[] = []
  const startTerms = (task: number, sign: number): [number, number][] =>
    (of[task] ?? []).map((column) => [column, sign * (columns[column]?.start ?? 0)])
  tasks.forEach(({ durationMin, after }, task) => {
    rows.push({ lower: 1, upper: 1, terms: (of[task] ?? []).map((column) => [column, 1]) })
    rows.push({ lower: durationMin, upper: highs.infinity, terms: [[end, 1], ...startTerms(task, -1)] })
    for (const { id, minLagMin, maxLagMin } of after) {
      const other = tasks.findIndex((one) => one.id === id)
      const ends = tasks[other]?.durationMin ?? 0
      rows.push({
        lower: ends + minLagMin,
        upper: maxLagMin === null ? highs.infinity : ends + maxLagMin,
        terms: [...startTerms(task, 1), ...startTerms(other, -1)],
      })
    }
  })
  const running = (task: number, minute: number): number[] =>
    (of[task] ?? []).filter((column) => {
      const start = columns[column]?.start ?? 0
      return start <= minute && minute < start + (tasks[task]?.durationMin ?? 0)
    })
  for (let minute = 0; minute < horizon; minute += 1)
    for (const { id, capacity, sharedTemperature } of resources) {
      const users = tasks.flatMap((task, at) => ((task.uses[id] ?? 0) > 0 ? [at] : []))
      rows.push({
        lower: -highs.infinity,
        upper: capacity,
        terms: users.flatMap((at) =>
          running(at, minute).map((column): [number, number] => [column, tasks[at]?.uses[id] ?? 0]),
        ),
      })
      if (!sharedTemperature || capacity < 2) continue
      for (const a of users)
        for (const b of users) {
          const [one, other] = [tasks[a]?.tempC, tasks[b]?.tempC]
          if (a >= b || one == null || other == null) continue
          if (Math.max(one.low, other.low) <= Math.min(one.high, other.high)) continue
          rows.push({
            lower: -highs.infinity,
            upper: 1,
            terms: [...running(a, minute), ...running(b, minute)].map((column): [number, number] => [
              column,
              1,
            ]),
          })
        }
    }
  const starts = [0]
  const indices: number[] = []
  const values: number[] = []
  for (const { terms } of rows) {
    for (const [column, value] of terms) {
      if (value === 0) continue
      indices.push(column)
      values.push(value)
    }
    starts.push(indices.length)
  }
  const count = end + 1
  return highs.withModel(
    {
      numCols: count,
      numRows: rows.length,
      sense: highs.constants.objectiveSense.minimize,
      colCost: Array.from({ length: count }, (_, at) => (at === end ? 1 : 0)),
      colLower: Array.from({ length: count }, () => 0),
      colUpper: Array.from({ length: count }, (_, at) => (at === end ? horizon : 1)),
      rowLower: rows.map(({ lower }) => lower),
      rowUpper: rows.map(({ upper }) => upper),
      matrix: { format: 'csr', numRows: rows.length, numCols: count, starts, indices, values },
      integrality: Array.from({ length: count }, (_, at) => (at === end ? 0 : 1)),
    },
    (model) => {
      model.options.set({ output_flag: false, time_limit: SECONDS, mip_rel_gap: 0, mip_abs_gap: 0.9 })
      model.run()
      const isProven = model.getModelStatus() === highs.constants.modelStatus.optimal
      const { colValue } = model.getSolution()
      const makespan = isProven ? Math.round(colValue[end] ?? 0) : null
      return { isProven, makespan, ms: performance.now() - began }
    },
  )
}

const highs = await load()
const proven: { seed: number; size: number; machines: number; makespan: number }[] = []
const ratios: number[] = []
let same = 0
let worst = 0
let unproven = 0
for (let day = 0; day < DAYS; day += 1) {
  const [seed, size, machines] = [5000 + day, 10 + Math.round((50 * day) / Math.max(1, DAYS - 1)), day % 4]
  const problem = planInstance(seed, size, machines)
  let at = 0
  const began = performance.now()
  try {
    const found = plan(problem, {
      effort: 20_000,
      onBetter: () => {
        at = performance.now() - began
      },
    })
    const whole = performance.now() - began
    const other = byProgramme(highs, problem, Math.ceil(1.1 * found.makespanMin))
    const known = found.isOptimal ? found.makespanMin : other.makespan
    if (other.makespan !== null && found.isOptimal && other.makespan !== found.makespanMin)
      console.log(`day ${seed}: TWO PROOFS DISAGREE, ${found.makespanMin} and ${other.makespan}`)
    if (known === null) unproven += 1
    else {
      proven.push({ seed, size, machines, makespan: known })
      if (found.makespanMin === known) same += 1
      worst = Math.max(worst, found.makespanMin / known - 1)
      ratios.push(at / other.ms)
    }
    console.log(
      `day ${seed}: ${size} tasks, ${machines + 1} resources: ${found.makespanMin} min${found.isOptimal ? ', proven' : ` (bound ${found.lowerBoundMin})`}; best at ${(at / whole).toFixed(2)} of its time; programme ${other.isProven ? other.makespan : 'not proven'}; to that plan x${(at / other.ms).toFixed(4)} of the programme's time`,
    )
  } catch (error) {
    if (!(error instanceof PlanFault)) throw error
    console.log(`day ${seed}: ${size} tasks: no plan (${error.collide.length} collide)`)
  }
}
ratios.sort((a, b) => a - b)
console.log(
  `plan: as short as proven in ${same} of ${proven.length}, at worst ${(100 * worst).toFixed(1)} % longer; ${unproven} that nothing proves; time to the plan x${(ratios[ratios.length >> 1] ?? 0).toFixed(4)} of a mixed-integer programme (median), x${(ratios.at(-1) ?? 0).toFixed(4)} at most`,
)
if (OUT !== null) writeFileSync(OUT, `${JSON.stringify(proven)}\n`)

let kept = 0
let impossible = 0
let broken = 0
for (let seed = 1; seed <= SMALL; seed += 1) {
  const problem = planInstance(seed, 3 + (seed % 18), seed % 4)
  try {
    const faults = faultsOf(problem, plan(problem, { effort: 300, seed }).tasks)
    if (faults.length === 0) kept += 1
    else {
      broken += 1
      console.log(`day ${seed}: ${faults[0]}`)
    }
  } catch (error) {
    if (!(error instanceof PlanFault)) throw error
    impossible += 1
  }
}
console.log(
  `plan: ${SMALL} small days: ${kept} kept everything, ${broken} did not, ${impossible} have no plan`,
)
