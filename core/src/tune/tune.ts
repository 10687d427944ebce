import { assess } from '../assess'
import type { Assessment, Dish } from '../model'
import type { SolveLinear } from '../solver'
import { addFoods } from './addFoods'
import { cheapest, closestFrom, fewest, sparing, stepped, type Steps } from './answers'
import { applied, isMoved } from './apply'
import type { Bench, LimitedId, TuneAsk } from './ask'
import { type Bind, bindsOf } from './binds'
import { collisions, type Collisions, KEPT, LEAST_BREACH } from './collide'
import { type Addition, additionsFor } from './little'
import { problemOf } from './problem'
import type { Problem } from './problemTypes'
import { type Answer, answerOf, isKept } from './proposal'
import { CLOSEST, distanceOf, type Found, search, type ShouldStop } from './search'

export interface Tuned {
  /** Closest first; none where bounds collide. */
  readonly answers: readonly Answer[]
  readonly binds: readonly Bind[]
  /** What to add next to the mix as it is, where nothing can be taken out again. */
  readonly additions: readonly Addition[]
  /** Set where the bounds that were asked for cannot all be kept, with the dish that breaks them least. */
  readonly collisions: (Pick<Collisions, 'collide' | 'loosen'> & { readonly nearest: Dish }) | null
  readonly before: Assessment
  /** The closest before amounts are rounded: its distance, and how it was reached. */
  readonly best: { readonly distance: number }
  /** Limits of the aim that could not be kept, for what they rest on is not known. */
  readonly unknown: readonly LimitedId[]
  readonly evaluations: number
  /** It was stopped, or cut short, before it was done. */
  readonly isCut: boolean
}

export interface TuneOptions {
  readonly shouldStop?: ShouldStop
  /** Told how many mixes were looked at, and the first and every better answer. */
  readonly onProgress?: (told: { readonly evaluations: number; readonly answer: Answer | null }) => void
}

/** How often a search begins again from what it proposed, where the words of the method then read otherwise. */
const MOST_RESTARTS = 3
/** Breaches count this much more where a mix that has none is left. */
const STERN = 30
/** Each time it begins nearer to the present mix, by this share. */
const NEARER = 0.75

/**
 * Looks for amounts, and where allowed times and ends of steps, that bring a part to its goal.
 *
 * Attributes come into their bands by importance; limits, deciding windows and the size of the batch hold; few lines
 * change, and little; amounts come out as they are weighed or spooned. Anytime: `onProgress` is told of the first answer
 * and of better ones, and what was found stands when it is stopped. Deterministic for a seed.
 *
 * @param ask limits are of a portion, bounds in g
 * @param solve see `createSolver`
 * @throws TuneFault where there is nothing to tune, or nothing to tune to
 */
export function tune(
  dish: Dish,
  ask: TuneAsk,
  bench: Bench,
  solve: SolveLinear,
  { shouldStop = () => false, onProgress = () => undefined }: TuneOptions = {},
): Tuned {
  const { library, kitchen } = bench
  const before = assess(dish, library, kitchen)
  const open = ask.allow.length === 0 ? dish : addFoods(dish, ask, bench)
  let problem = problemOf(open, ask, bench)
  let evaluations = 0
  const made = (steps: Steps): Answer =>
    answerOf(
      steps.kind,
      dish,
      before,
      withoutEmpty(applied(open, ask.partId, problem.knobs, steps.x, kitchen), steps.x, problem),
      problem,
      steps.x,
      ask,
      bench,
    )
  const tell = (found: Found): void => {
    const steps = found.breach > LEAST_BREACH ? null : stepped(problem, 'closest', found, CLOSEST, solve)
    const answer = steps === null ? null : made(steps)
    onProgress({ evaluations: problem.count.evaluations, answer })
  }
  const best = freed(closestFrom(problem, ask.starts, ask.seed, solve, shouldStop, tell))
  if (best.breach > LEAST_BREACH) {
    const { collide, loosen, nearest } = collisions(problem, best, solve, shouldStop)
    return {
      answers: [],
      binds: [],
      additions: [],
      collisions: {
        collide,
        loosen,
        nearest: withoutEmpty(applied(open, ask.partId, problem.knobs, nearest, kitchen), nearest, problem),
      },
      before,
      best: { distance: best.distance },
      unknown: problem.unknown,
      evaluations: problem.count.evaluations,
      isCut: shouldStop(),
    }
  }
  const additions = additionsFor(problem)
  const closest = settled(sparing(problem, best, solve, shouldStop))
  const answers: Answer[] = []
  if (closest !== null) answers.push(closest.answer)
  const changes =
    closest === null || closest.steps.changes === 0 ? problem.knobs.length : closest.steps.changes
  for (const steps of [
    fewest(problem, best, changes, solve, shouldStop),
    cheapest(problem, best, solve, shouldStop),
  ]) {
    if (steps === null) continue
    const answer = made(steps)
    if (isKept(problem, steps, answer, before) && !answers.some((other) => isAlike(other, answer)))
      answers.push(answer)
  }
  const binds = best.distance > MATCHED ? bindsOf(problem, best, solve, shouldStop) : []
  evaluations += problem.count.evaluations
  return {
    answers: nearestFirst(answers),
    binds,
    additions,
    collisions: null,
    before,
    best: { distance: best.distance },
    unknown: problem.unknown,
    evaluations,
    isCut: shouldStop(),
  }

  /** The closest in whole steps, looked for anew where the proposal does not keep what was promised of it. */
  function settled(from: Found): { steps: Steps; answer: Answer } | null {
    let found = from
    for (let again = 0; again <= MOST_RESTARTS; again += 1) {
      const steps = stepped(problem, 'closest', found, CLOSEST, solve) ?? stay()
      const answer = made(steps)
      if (isKept(problem, steps, answer, before)) return { steps, answer }
      // The words of the proposed dish read otherwise, or its method would do harm: looked for again from there, nearer by.
      const share = NEARER ** again
      const near = found.x.map((value, at) => {
        const now = problem.knobs[at]?.now ?? value
        return problem.knobs[at]?.kind === 'line' ? now + (value - now) * share : now
      })
      evaluations += problem.count.evaluations
      problem = problemOf(
        open,
        { ...ask, method: ask.method && again === 0 },
        bench,
        applied(open, ask.partId, problem.knobs, near, kitchen),
      )
      found = freed(search(problem, near.slice(0, problem.knobs.length), CLOSEST, solve, shouldStop))
    }
    const steps = stay()
    return { steps, answer: made(steps) }
  }

  /** A mix that keeps every bound, where the first one found breaks some and there is one. */
  function freed(found: Found): Found {
    if (found.breach <= LEAST_BREACH) return found
    const kept = search(problem, found.x, KEPT, solve, shouldStop)
    if (kept.breach > LEAST_BREACH) return found
    const again = search(problem, kept.x, { ...CLOSEST, stern: STERN }, solve, shouldStop)
    return again.breach > LEAST_BREACH ? kept : again
  }

  /** Nothing changed. */
  function stay(): Steps {
    const x = problem.start.slice()
    return { kind: 'closest', x, distance: distanceOf(problem.outputs, problem.look(x)), changes: 0 }
  }
}

/** Another answer is nearer only where it is by so much. Practice: less than cooks tell apart. */
const NEARER_BY = 0.02

/**
 * Where what was found first could not be kept in steps that can be weighed, another answer may lie nearer than what is
 * left of it: then that one is the closest, and what it stands for is not told twice.
 */
function nearestFirst(answers: readonly Answer[]): Answer[] {
  const [first, ...others] = answers
  if (first === undefined) return []
  const nearest = others.reduce(
    (best, one) => (one.objective.after < best.objective.after - NEARER_BY ? one : best),
    first,
  )
  return nearest === first
    ? [...answers]
    : [{ ...nearest, kind: 'closest' }, ...others.filter((one) => one !== nearest)]
}

/** Closer than this there is nothing to be held back from. */
const MATCHED = 0.01

/** Lines that were let in and that the answer does not use are not in the dish. */
function withoutEmpty(dish: Dish, x: ArrayLike<number>, { knobs }: Problem): Dish {
  const unused = new Set(
    knobs.flatMap((knob, at) =>
      knob.kind === 'line' && knob.now === 0 && !isMoved(knob, x[at] ?? 0) ? [knob.id] : [],
    ),
  )
  if (unused.size === 0) return dish
  return {
    ...dish,
    parts: dish.parts.map((part) => ({
      ...part,
      lines: part.lines.filter(({ id }) => !unused.has(id)),
      steps: part.steps.map((step) =>
        step.uses === null ? step : { ...step, uses: step.uses.filter(({ id }) => !unused.has(id)) },
      ),
    })),
  }
}

const isAlike = (a: Answer, b: Answer): boolean =>
  a.lines.length === b.lines.length &&
  a.lines.every(
    (line, at) => Math.abs(line.afterG - (b.lines[at]?.afterG ?? 0)) < 0.005 * Math.max(1, line.afterG),
  )
