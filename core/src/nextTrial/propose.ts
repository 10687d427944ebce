import { randomFrom } from '../chance'
import { changesBetween, changeWords, stepNames } from '../history'
import { assess } from '../assess'
import { type AttributeId, attributeName, type AttributeReading, type Dish } from '../model'
import type { SolveLinear } from '../solver'
import {
  applied,
  type Bench,
  CLOSEST,
  type Problem,
  problemOf,
  search,
  type TuneAsk,
  usualAsk,
} from '../tune'
import { type Candidate, candidates } from './candidates'
import { type Axis, axesOf, placeOf, residualAt, type TriedPart } from './tried'

export interface NextAsk {
  /** The formula to go on from. */
  readonly dish: Dish
  readonly partId: string
  /** What the dish's other trials came to, as made. */
  readonly tried: readonly TriedPart[]
  readonly hold?: TuneAsk['hold']
  readonly method?: boolean
  /** The same seed gives the same proposals. */
  readonly seed: number
  /** Solver of linear programmes: with it, the way to the closest mix is among what is tried. */
  readonly solve?: SolveLinear
}

/** A trial that is worth making next. */
export interface NextTrial {
  readonly kind: 'safe' | 'bold'
  readonly dish: Dish
  /** "+10 g oats, steam 45 instead of 60 min". */
  readonly changes: string
  /** Likely distance from the original, and how far off that may be. */
  readonly distance: number
  readonly sd: number
  /** How much nearer it is expected to come, 0 upward, points. */
  readonly expectedImprovement: number
  /** Chance that it comes nearer, 0 to 1. */
  readonly chance: number
  readonly reason: string
}

export interface NextTrials {
  readonly proposals: readonly NextTrial[]
  /** Where the formula that it goes on from stands, as far as is known. */
  readonly now: { readonly distance: number; readonly sd: number }
  /** Tastings of the dish that it rests on. */
  readonly tastings: number
  /** Nothing is expected to come nearer by what matters. */
  readonly isDone: boolean
}

/** Draws of what the model may err by. */
const DRAWS = 96
/** Nearer by less than this is not worth a trial, points of distance. @source smallest difference that matters 0.2 on a scale of 9; practice */
export const MATTERS = 0.05
/** A safe trial changes so few things at most. */
const SAFE_CHANGES = 2
/** How much a point of doubt counts against a safe trial. Practice. */
const DOUBT = 0.7
/** Each thing that is changed costs so much of what is gained: one lever at a time. @source one lever per trial, originals page; practice */
const CHANGE_COST = 0.012
/** And so much for each usual change of a knob that it is moved by: what is near is better known. Practice. */
const SIZE_COST = 0.03

function normals(count: number, seed: number): Float64Array {
  const random = randomFrom(seed)
  return Float64Array.from(
    { length: count },
    () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random()),
  )
}

interface Judged {
  readonly candidate: Candidate
  readonly mean: number
  readonly sd: number
  readonly improvement: number
  readonly chance: number
  /** What it teaches most: the attribute whose error is least known there. */
  readonly teaches: AttributeId | null
}

interface Counted {
  readonly id: AttributeId
  readonly low: number
  readonly high: number
  readonly weight: number
  readonly modelSd: number
  /** Its place among the outputs. */
  readonly at: number
}

/** Attributes that count, with how far the model may be off for each. */
function countedIn(problem: Problem, attributes: readonly AttributeReading[]): Counted[] {
  return problem.outputs.flatMap(({ kind, id, low, high, weight }, at): Counted[] => {
    const reading = attributes.find((one) => one.id === id)
    return kind === 'attribute' && reading !== undefined && weight > 0
      ? [{ id: reading.id, low, high, weight, modelSd: reading.sd, at }]
      : []
  })
}

/** Ratios of a look as a place on the axes. */
const placeIn = ({ outputs }: Problem, axes: readonly Axis[], y: Float64Array): number[] =>
  axes.map(({ id, scale }) => {
    const at = outputs.findIndex((output) => output.kind === 'window' && output.id === id)
    return (at < 0 ? 0 : (y[at] ?? 0)) / scale
  })

const beyond = ({ low, high }: Counted, value: number): number => Math.max(0, low - value, value - high)

/** Distances of one mix under every draw. */
function distances(
  counted: readonly Counted[],
  values: readonly number[],
  sds: readonly number[],
  draws: readonly Float64Array[],
): Float64Array {
  const weights = counted.reduce((sum, { weight }) => sum + weight, 0)
  return Float64Array.from({ length: DRAWS }, (_, draw) =>
    counted.reduce((sum, one, at) => {
      const value = (values[at] ?? 0) + (sds[at] ?? 0) * (draws[at]?.[draw] ?? 0)
      return sum + (one.weight * beyond(one, Math.min(10, Math.max(0, value)))) / weights
    }, 0),
  )
}

const meanOf = (values: Float64Array): number => values.reduce((sum, value) => sum + value, 0) / values.length
const sdOf = (values: Float64Array, mean: number): number =>
  Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / Math.max(1, values.length - 1))

/**
 * The next trial of a part, without a design: mixes around the present one, judged by the engine with what this
 * kitchen's tastings taught of the family and what the dish's own trials taught beside it.
 *
 * Expected improvement is over draws of what the model may err by. The safe one is near, changes little and is likely to
 * help; the bold one has the most to gain. Limits, deciding windows and the batch hold. Deterministic for a seed.
 *
 * @throws TuneFault where there is nothing to tune, or nothing to tune to
 * @source Jones, Schonlau & Welch 1998 for expected improvement; weights are practice
 */
export function nextTrials(ask: NextAsk, bench: Bench): NextTrials {
  const { dish, partId, tried, seed } = ask
  const question: TuneAsk = { ...usualAsk(partId), hold: ask.hold ?? [], method: ask.method ?? true }
  const problem = problemOf(dish, question, bench)
  const axes = axesOf(problem.part)
  const counted = countedIn(problem, problem.part.attributes)
  const draws = counted.map((_, at) => normals(DRAWS, seed * 31 + at))
  const here = problem.look(problem.start)

  const fieldAt = (places: readonly (readonly number[])[]) =>
    counted.map(({ id, modelSd }) => residualAt(id, tried, axes, modelSd, places))
  const hereField = fieldAt([placeIn(problem, axes, here)])
  const valuesAt = (y: Float64Array, field: ReturnType<typeof fieldAt>, at: number): number[] =>
    counted.map((one, index) => (y[one.at] ?? 0) + (field[index]?.mean[at] ?? 0))
  const sdsAt = (field: ReturnType<typeof fieldAt>, at: number): number[] =>
    counted.map((_, index) => field[index]?.sd[at] ?? 0)

  const nowDraws = distances(counted, valuesAt(here, hereField, 0), sdsAt(hereField, 0), draws)
  const now = meanOf(nowDraws)
  // Climbing follows the mean alone, with the error as it is at the present mix.
  const merit = (y: Float64Array): number => {
    const values = valuesAt(y, hereField, 0)
    const weights = counted.reduce((sum, { weight }) => sum + weight, 0)
    return counted.reduce((sum, one, at) => sum + (one.weight * beyond(one, values[at] ?? 0)) / weights, 0)
  }
  const all = candidates(problem, merit, seed, ask.solve === undefined ? [] : wayTo(problem, ask.solve))
  const field = fieldAt(all.map(({ y }) => placeIn(problem, axes, y)))
  const best = bestTried(tried, counted, axes, now)
  const judged = all.map((candidate, at): Judged => {
    const sds = sdsAt(field, at)
    const drawn = distances(counted, valuesAt(candidate.y, field, at), sds, draws)
    const mean = meanOf(drawn)
    let gain = 0
    let nearer = 0
    // One draw moves both: what is not known of the model makes no mix better than another.
    drawn.forEach((value, draw) => {
      const stands = best < now ? Math.min(best, nowDraws[draw] ?? best) : (nowDraws[draw] ?? now)
      gain += Math.max(0, stands - value) / DRAWS
      if (value < stands - 1e-9) nearer += 1 / DRAWS
    })
    const cost = costOf(candidate, problem)
    const most = counted.map(({ weight }, index) => weight * (sds[index] ?? 0))
    const widest = most.indexOf(Math.max(...most))
    return {
      candidate,
      mean,
      sd: sdOf(drawn, mean),
      improvement: Math.max(0, gain - cost),
      chance: nearer,
      teaches: counted[widest]?.id ?? null,
    }
  })
  const bold = bestBy(judged, ({ improvement }) => improvement)
  const safe = bestBy(
    judged.filter(
      ({ candidate }) =>
        candidate.moved.length <= SAFE_CHANGES &&
        (bold === null || !isAlike(candidate, bold.candidate, problem)),
    ),
    ({ mean, sd, candidate }) => best - mean - DOUBT * Math.max(0, sd - 0.1) - costOf(candidate, problem),
  )
  const words = (candidate: Candidate): { changes: string; dish: Dish } => {
    const next = applied(dish, partId, problem.knobs, candidate.x, bench.kitchen)
    const worked = (of: Dish) => ({ dish: of, assessment: assess(of, bench.library, bench.kitchen) })
    const part = next.parts.find(({ id }) => id === partId)
    const changes = changesBetween(worked(dish), worked(next), stepNames(part?.steps ?? [], null)).filter(
      (one) => one.partId === partId,
    )
    return { dish: next, changes: changeWords(changes, 4) }
  }
  const proposals = [
    ...(safe === null ? [] : [proposalOf('safe', safe, words(safe.candidate), best)]),
    ...(bold === null || bold.improvement <= 0
      ? []
      : [proposalOf('bold', bold, words(bold.candidate), best)]),
  ]
  return {
    proposals,
    now: { distance: now, sd: sdOf(nowDraws, now) },
    tastings: tried.filter(({ tasted }) => tasted.size > 0).length,
    isDone: Math.max(0, ...judged.map(({ improvement }) => improvement)) < MATTERS,
  }
}

/** Shares of the way from the present mix to the closest one. */
const WAY = [0.25, 0.5, 0.75, 1] as const

/** Mixes on the way to the closest one by the model alone. */
function wayTo(problem: Problem, solve: SolveLinear): Float64Array[] {
  const { x } = search(problem, problem.start, CLOSEST, solve, () => false)
  return WAY.map((share) => problem.start.map((from, at) => from + share * ((x[at] ?? from) - from)))
}

/** The nearest of what was tried and the present mix, by what is known of each. @source highest posterior mean at tried points, experiments page */
function bestTried(
  tried: readonly TriedPart[],
  counted: readonly Counted[],
  axes: readonly Axis[],
  now: number,
): number {
  const weights = counted.reduce((sum, { weight }) => sum + weight, 0)
  let best = now
  for (const one of tried) {
    if (one.tasted.size === 0) continue
    const place = [placeOf(one.reading, axes)]
    const distance = counted.reduce((sum, each) => {
      const value = one.reading.attributes.find(({ id }) => id === each.id)?.value ?? 0
      const error = residualAt(each.id, tried, axes, each.modelSd, place).mean[0] ?? 0
      return sum + (each.weight * beyond(each, value + error)) / weights
    }, 0)
    best = Math.min(best, distance)
  }
  return best
}

function bestBy(all: readonly Judged[], goodness: (one: Judged) => number): Judged | null {
  let best: Judged | null = null
  for (const one of all) if (best === null || goodness(one) > goodness(best)) best = one
  return best
}

/** What it costs to change so much. */
const costOf = ({ x, moved }: Candidate, { knobs }: Problem): number =>
  moved.reduce((sum, at) => {
    const knob = knobs[at]
    return knob === undefined
      ? sum
      : sum + CHANGE_COST + (SIZE_COST * Math.abs((x[at] ?? knob.now) - knob.now)) / knob.scale
  }, 0)

/** Two candidates that differ by less than a fifth of a usual change in everything are one. */
const isAlike = (a: Candidate, b: Candidate, { knobs }: Problem): boolean =>
  knobs.every(({ scale }, at) => Math.abs((a.x[at] ?? 0) - (b.x[at] ?? 0)) < 0.2 * scale)

function proposalOf(
  kind: NextTrial['kind'],
  { mean, sd, improvement, chance, teaches }: Judged,
  { dish, changes }: { dish: Dish; changes: string },
  best: number,
): NextTrial {
  const percent = Math.round(100 * chance)
  const teach = teaches === null ? '' : `; teaches most about ${attributeName(teaches)}`
  return {
    kind,
    dish,
    changes,
    distance: mean,
    sd,
    expectedImprovement: improvement,
    chance,
    reason:
      kind === 'safe'
        ? mean < best
          ? `likely ${(best - mean).toFixed(1)} nearer, nearer in ${percent} of 100 such trials`
          : `the least that could help: nearer in ${percent} of 100 such trials`
        : `most to gain: ${improvement.toFixed(2)} on average, nearer in ${percent} of 100 such trials${teach}`,
  }
}
