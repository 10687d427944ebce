import { randomFrom } from '../chance'
import { desirabilityOf, type Fit, fitRows, type NoFit, overallDesirability } from '../experiment'
import { type AttributeId, type Series, type SeriesRun } from '../model'
import { centreOf, coordinates, isInside, placesOf, type Setting, termsFor, termValue } from './space'

/** What the runs of a series say of one attribute. */
export interface Analysis {
  readonly attribute: AttributeId
  /** Runs that were scored, and those that failed and are told apart. */
  readonly runs: readonly SeriesRun[]
  readonly failed: number
  readonly fit: Fit
  readonly termNames: readonly string[]
  /** The day is in the model. */
  readonly isBlocked: boolean
  /** What may be made of it, a sentence each. */
  readonly words: readonly string[]
}

export interface Predicted {
  readonly value: number
  /** Where a new batch would lie in 95 of 100 such analyses; null without residual degrees of freedom. */
  readonly low: number | null
  readonly high: number | null
}

interface Model {
  readonly names: readonly string[]
  readonly row: (setting: Setting, day: number | null) => number[]
}

/** Terms of the model, and days coded so that they sum to zero. */
function modelOf(series: Series, days: readonly number[]): Model {
  const terms = termsFor(series)
  const last = days.at(-1)
  const blocks = days.slice(0, -1)
  return {
    names: [...terms.map(({ name }) => name), ...blocks.map((day) => `day ${day}`)],
    row: (setting, day) => {
      const at = coordinates(series, setting)
      return [
        ...terms.map((term) => termValue(term, at)),
        ...blocks.map((block) => (day === null ? 0 : day === block ? 1 : day === last ? -1 : 0)),
      ]
    },
  }
}

const scored = (series: Series, attribute: AttributeId): { run: SeriesRun; y: number }[] =>
  series.runs.flatMap((run) => {
    const y = run.scores[attribute]
    return y === undefined || run.failed !== '' || !isInside(series, run.setting) ? [] : [{ run, y }]
  })

/** Days go into the model from so many spare degrees of freedom on. Practice. */
const SPARE = 1

function fitted(series: Series, attribute: AttributeId, at: readonly Setting[]) {
  const known = scored(series, attribute)
  const days = [...new Set(known.map(({ run }) => run.day))].sort((a, b) => a - b)
  const p = termsFor(series).length
  const isBlocked = days.length > 1 && known.length - p - (days.length - 1) >= SPARE
  const model = modelOf(series, isBlocked ? days : [])
  const nothing: NoFit = {
    termNames: model.names,
    n: 0,
    p: model.names.length,
    rank: 0,
    coefficients: null,
    status: 'singular',
  }
  if (known.length === 0) return { known, isBlocked, model, fit: nothing as Fit }
  const fit: Fit = fitRows(
    model.names,
    known.map(({ run }) => model.row(run.setting, run.day)),
    known.map(({ y }) => y),
    known.map(
      ({ run }) => `${run.setting.map((value) => value.toFixed(6)).join()} ${isBlocked ? run.day : ''}`,
    ),
    at.map((setting) => model.row(setting, null)),
  )
  return { known, isBlocked, model, fit }
}

const percent = (value: number): string => `${Math.round(100 * value)} %`

/** Honest words for a fit. @source experiments page, sections 3 and 10 */
function wordsOf(fit: Fit, n: number, isBlocked: boolean, failed: number): string[] {
  const words: string[] = []
  if (fit.coefficients === null)
    return [
      `${n} scored ${n === 1 ? 'run' : 'runs'} for ${fit.p} terms: ${n < fit.p ? 'too few' : 'not separable with these runs'}. Score more of them.`,
    ]
  if (fit.status === 'saturated')
    words.push('As many terms as runs: the surface only joins the points. Nothing is tested.')
  else if (fit.dfError < 3)
    words.push(`${fit.dfError} degrees of freedom are left for the error: orientation only.`)
  if (fit.status === 'zero-variance') words.push('Every run was scored the same: nothing in it moved this.')
  if (fit.r2 !== null) {
    const noise = (fit.p - 1) / Math.max(1, fit.n - 1)
    words.push(`It takes up ${percent(fit.r2)} of what varied; pure noise would give ${percent(noise)}.`)
  }
  if (fit.predR2 !== null)
    words.push(
      fit.predR2 <= 0
        ? 'It foretells a run that was left out no better than the mean: no predictive value yet.'
        : `Of runs left out in turn it foretells ${percent(fit.predR2)}.`,
    )
  const { F, p } = fit.lackOfFit
  if (F !== null && p !== null)
    words.push(
      p < 0.05
        ? 'Repeats agree better than the surface fits: the shape is more bent than this model.'
        : 'The surface fits as well as repeats agree.',
    )
  if (isBlocked) words.push('What one day scored higher than another is taken out.')
  if (failed > 0)
    words.push(
      `${failed === 1 ? 'One run' : `${failed} runs`} failed and ${failed === 1 ? 'is' : 'are'} not in it; that is a result, too.`,
    )
  return words
}

export function analyse(series: Series, attribute: AttributeId): Analysis {
  const { known, isBlocked, model, fit } = fitted(series, attribute, [])
  const failed = series.runs.filter((run) => run.failed !== '').length
  return {
    attribute,
    runs: known.map(({ run }) => run),
    failed,
    fit,
    termNames: model.names,
    isBlocked,
    words: wordsOf(fit, known.length, isBlocked, failed),
  }
}

/** What an attribute would come to at some settings; null where it cannot be fitted. */
export function predictAt(
  series: Series,
  attribute: AttributeId,
  at: readonly Setting[],
): readonly Predicted[] | null {
  const { fit } = fitted(series, attribute, at)
  return fit.coefficients === null
    ? null
    : fit.predictions.map(({ fit: value, pi95 }) => ({
        value,
        low: pi95?.[0] ?? null,
        high: pi95?.[1] ?? null,
      }))
}

/** A grid over everything that keeps the bounds: shares in steps of the simplex, all else in five levels. */
export function gridOf(series: Pick<Series, 'factors'>, steps = 16): number[][] {
  const { shares, others } = placesOf(series)
  const own = shares.flatMap((at) => series.factors[at] ?? [])
  const free = 1 - own.reduce((sum, { low }) => sum + low, 0)
  const blends: number[][] = []
  const go = (left: number, done: readonly number[]): void => {
    if (done.length === own.length - 1) {
      const point = [...done, left].map((count, at) => (own[at]?.low ?? 0) + (free * count) / steps)
      blends.push(point)
      return
    }
    for (let count = 0; count <= left; count += 1) go(left - count, [...done, count])
  }
  if (own.length > 0) go(steps, [])
  else blends.push([])
  const levels = others.reduce<number[][]>(
    (all, at) => {
      const factor = series.factors[at]
      return factor === undefined
        ? all
        : all.flatMap((one) =>
            [0, 0.25, 0.5, 0.75, 1].map((share) => [...one, factor.low + share * (factor.high - factor.low)]),
          )
    },
    [[]],
  )
  return blends
    .flatMap((blend) =>
      levels.map((level) =>
        series.factors.map((_, at) => blend[shares.indexOf(at)] ?? level[others.indexOf(at)] ?? 0),
      ),
    )
    .filter((setting) => isInside(series, setting))
}

export interface BestGuess {
  readonly setting: number[]
  /** 0 to 1: the geometric mean of what is wanted. */
  readonly desirability: number
  readonly each: readonly {
    readonly attribute: AttributeId
    readonly predicted: Predicted
    readonly desirability: number
  }[]
  /** Share of likely worlds in which nothing wanted is missed altogether, 0 to 1. */
  readonly chance: number
}

const DRAWS = 200
/** Steps of the simplex by how many shares vary, so that a grid stays small. */
const GRID_STEPS = [16, 16, 16, 16, 10, 8] as const

/** The best guess so far, for all that is wanted at once; null while nothing can be fitted. @source Derringer & Suich 1980 */
export function bestGuess(series: Series): BestGuess | null {
  const goals = series.goals.filter(({ importance }) => importance > 0)
  const settings = [
    ...gridOf(series, GRID_STEPS[Math.min(5, placesOf(series).shares.length)]),
    centreOf(series),
  ]
  const known = goals.flatMap((goal) => {
    const predicted = predictAt(series, goal.attribute, settings)
    return predicted === null ? [] : [{ goal, predicted }]
  })
  if (known.length === 0) return null
  const wanted = known.map(({ goal: { low, target, high, importance } }) => ({
    kind: 'target' as const,
    low,
    target,
    high,
    weightLow: 1,
    weightHigh: 1,
    importance,
  }))
  let best = { at: 0, value: -1 }
  settings.forEach((_, at) => {
    const d = known.map(({ predicted }, index) => {
      const goal = wanted[index]
      return goal === undefined ? 0 : desirabilityOf(goal, predicted[at]?.value ?? 0)
    })
    const value = overallDesirability(wanted, d)
    if (value > best.value + 1e-9) best = { at, value }
  })
  const random = randomFrom(series.seed + 1)
  const normal = (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  let holds = 0
  for (let draw = 0; draw < DRAWS; draw += 1) {
    const isAny = known.every(({ predicted }, index) => {
      const one = predicted[best.at]
      const goal = wanted[index]
      if (one === undefined || goal === undefined) return false
      const sd = one.high === null || one.low === null ? 0 : (one.high - one.low) / 4
      return desirabilityOf(goal, one.value + sd * normal()) > 0
    })
    if (isAny) holds += 1
  }
  return {
    setting: settings[best.at] ?? [],
    desirability: Math.max(0, best.value),
    chance: holds / DRAWS,
    each: known.map(({ goal, predicted }, index) => ({
      attribute: goal.attribute,
      predicted: predicted[best.at] ?? { value: 0, low: null, high: null },
      desirability:
        wanted[index] === undefined ? 0 : desirabilityOf(wanted[index], predicted[best.at]?.value ?? 0),
    })),
  }
}

/** How far the repeats of the control lie from each other over the days, for one attribute: the drift of the series. */
export function controlsOf(
  series: Series,
  attribute: AttributeId,
): readonly { readonly day: number; readonly value: number }[] {
  return series.runs.flatMap(({ isControl, day, scores }) => {
    const value = scores[attribute]
    return isControl && value !== undefined ? [{ day, value }] : []
  })
}
