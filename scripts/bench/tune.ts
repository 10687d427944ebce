// Tuning against a long multi-start and against a derivative-free one, on the same problems in the same run.
import { createSolver } from '@frijol/core/solver'
import { CLOSEST, closestFrom, distanceOf, type Problem, problemOf, search, tune } from '@frijol/core/tune'
import { library } from '@frijol/library'
import minimizePowell from 'minimize-powell'
import { pricedKitchen, tuneProblems } from '../../library/test/tuneProblems'

const COUNT = Number(process.argv[2] ?? 30)
const LONG_STARTS = Number(process.argv[3] ?? 40)
/** Most beginnings of the derivative-free search: it ends where it comes within 1 % of the best. */
const FREE_STARTS = 40
const FREE_ROUNDS = 20
const FREE_TOLERANCE = 1e-3

/** What both searches make small: the distance, with a penalty for what is broken. */
function penalised(problem: Problem, x: Float64Array): number {
  const y = problem.look(x)
  let broken = 0
  problem.outputs.forEach(({ kind, low, high, scale }, at) => {
    if (kind === 'attribute' || kind === 'cost') return
    broken += Math.max(0, low - (y[at] ?? 0), (y[at] ?? 0) - high) / scale
  })
  return distanceOf(problem.outputs, y) + 60 * broken
}

function random(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648
    return state / 2_147_483_648
  }
}

function startAt(problem: Problem, next: () => number, at: number): Float64Array {
  return problem.start.map((value, index) => {
    const knob = problem.knobs[index]
    return at === 0 || knob === undefined ? value : knob.low + next() * (knob.high - knob.low)
  })
}

/** A search along changing directions from several beginnings, within the same bounds. */
function derivativeFree(problem: Problem, target: number): { best: number; evaluations: number } {
  const next = random(7)
  let best = Number.POSITIVE_INFINITY
  const before = problem.count.evaluations
  const span = problem.knobs.map(({ low, high }) => Math.max(1e-12, high - low))
  const real = (u: readonly number[]): Float64Array =>
    Float64Array.from(problem.knobs, ({ low }, at) => low + (u[at] ?? 0) * (span[at] ?? 1))
  const bounds = problem.knobs.map(() => [0, 1] as const)
  for (let at = 0; at < FREE_STARTS; at += 1) {
    const from = Array.from(
      startAt(problem, next, at),
      (value, index) => (value - (problem.knobs[index]?.low ?? 0)) / (span[index] ?? 1),
    )
    const u = minimizePowell((point) => penalised(problem, real(point)), from, {
      maxIter: FREE_ROUNDS,
      tolerance: FREE_TOLERANCE,
      lineTolerance: FREE_TOLERANCE,
      bounds,
    })
    const reached = penalised(problem, real(u))
    if (reached < best) best = reached
    if (best <= target) break
  }
  return { best, evaluations: problem.count.evaluations - before }
}

const solve = await createSolver()
const bench = { library, kitchen: pricedKitchen }
const rows: string[] = []
let within = 0
let open = 0
let told = 0
let colliding = 0
let allTuned = 0
let allFree = 0
let allClosest = 0
for (const { name, family, dish, ask, collides } of tuneProblems(COUNT)) {
  const started = performance.now()
  let firstAt = Number.NaN
  const found = tune(dish, ask, bench, solve, {
    onProgress: () => {
      if (Number.isNaN(firstAt)) firstAt = performance.now() - started
    },
  })
  const tunedMs = performance.now() - started
  const problem = problemOf(dish, ask, bench)
  const t = performance.now()
  for (let at = 0; at < 50; at += 1) problem.look(problem.start)
  const lookMs = (performance.now() - t) / 50
  if (collides) {
    colliding += 1
    if (found.collisions !== null) told += 1
    rows.push(
      `${name.padEnd(26)} ${family.padEnd(18)} collide: ${found.collisions?.collide.map(({ id }) => id).join(', ') ?? 'NOT TOLD'}; loosen ${found.collisions?.loosen.map(({ id, possible }) => `${id} to ${possible.toPrecision(3)}`).join(', ') ?? ''}`,
    )
    continue
  }
  open += 1
  const closestStart = performance.now()
  closestFrom(
    problem,
    ask.starts,
    ask.seed,
    solve,
    () => false,
    () => undefined,
  )
  const closestMs = performance.now() - closestStart
  const next = random(3)
  let long = Number.POSITIVE_INFINITY
  for (let at = 0; at < LONG_STARTS; at += 1)
    long = Math.min(
      long,
      (() => {
        const { x } = search(problem, startAt(problem, next, at), { ...CLOSEST, change: 0 }, solve)
        return penalised(problem, x)
      })(),
    )
  const freeStart = performance.now()
  const free = derivativeFree(problem, 1.01 * long + 0.005)
  const freeMs = performance.now() - freeStart
  long = Math.min(long, free.best)
  allTuned += tunedMs
  allClosest += closestMs
  allFree += freeMs
  const objective = found.best.distance
  const isWithin = objective <= long * 1.01 + 0.005
  if (isWithin) within += 1
  rows.push(
    `${name.padEnd(26)} ${family.padEnd(18)} before ${(found.answers[0]?.objective.before ?? 0).toFixed(2)} tuned ${objective.toFixed(3)} in steps ${(found.answers[0]?.objective.after ?? Number.NaN).toFixed(3)} long ${long.toFixed(3)} free ${free.best.toFixed(3)} (${free.evaluations}) ${isWithin ? '' : 'OFF '}time x${(closestMs / freeMs).toFixed(2)} all answers x${(tunedMs / freeMs).toFixed(2)} first ${(firstAt / lookMs).toFixed(0)} looks, all ${found.evaluations}`,
  )
}
console.log(rows.join('\n'))
console.log(`within 1 % of the long multi-start: ${within} of ${open}`)
console.log(`colliding limits told: ${told} of ${colliding}`)
console.log(
  `time to the derivative-free multi-start: closest x${(allClosest / allFree).toFixed(3)}, every answer x${(allTuned / allFree).toFixed(3)}`,
)
