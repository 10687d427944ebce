import { randomFrom } from '../chance'
import { exchanged } from '../experiment'
import type { Dish, PartAssessment, Series, SeriesRun } from '../model'
import { type Rounding, ROUNDING_MATTERS, roundingOf, weighable } from './runs'
import {
  boundsFault,
  candidateSettings,
  centreOf,
  coordinates,
  isInside,
  type Setting,
  termsFor,
  termValue,
  unreached,
} from './space'

export type SeriesPlan = Omit<Series, 'runs'>

export interface Designed {
  readonly runs: SeriesRun[]
  readonly days: number
  /** Terms that the model has. */
  readonly p: number
  readonly rounding: Rounding
  /** What to mind before it is begun. */
  readonly cautions: readonly string[]
}

/** Runs beyond the terms, for lack of fit; and repeats of the middle, for the error. @source experiments page 2.2; practice */
const BEYOND = 3
const REPEATS = 2
const STARTS = 6
const SHUFFLES = 300

/** The setting of the formula as it is, for the control. */
export function controlSetting(plan: Pick<Series, 'factors'>, dish: Dish, reading: PartAssessment): number[] {
  const part = dish.parts.find(({ id }) => id === reading.partId)
  const massOf = (id: string): number => reading.lines.find(({ lineId }) => lineId === id)?.massG ?? 0
  const whole = plan.factors.reduce((sum, { kind, id }) => sum + (kind === 'share' ? massOf(id) : 0), 0)
  return plan.factors.map(({ kind, id, low, high }) => {
    if (kind === 'share') return whole > 0 ? massOf(id) / whole : 0
    if (kind === 'grams') return massOf(id)
    const step = part?.steps.find((one) => one.id === id)
    return (kind === 'minutes' ? step?.durationMin : step?.tempC) ?? (low + high) / 2
  })
}

/** How uneven days are: how far the middle of each lies from the middle of all, in coordinates. */
function uneven(days: readonly (readonly (readonly number[])[])[], middle: readonly number[]): number {
  return days.reduce((sum, day) => {
    if (day.length === 0) return sum
    return (
      sum +
      middle.reduce((of, value, at) => {
        const mean = day.reduce((total, point) => total + (point[at] ?? 0), 0) / day.length
        return of + (mean - value) ** 2
      }, 0)
    )
  }, 0)
}

/** Runs over days so that each day spans the region; the order within a day is drawn. Deterministic for a seed. */
function allocated(plan: SeriesPlan, settings: readonly Setting[], seed: number): number[][] {
  const cap = Math.max(1, plan.perDay - 1)
  const count = Math.ceil(settings.length / cap)
  const points = settings.map((setting) => coordinates(plan, setting))
  const middle = (points[0] ?? []).map(
    (_, at) => points.reduce((sum, point) => sum + (point[at] ?? 0), 0) / points.length,
  )
  const random = randomFrom(seed)
  let best: { order: number[][]; value: number } | null = null
  for (let shuffle = 0; shuffle < SHUFFLES; shuffle += 1) {
    const order = settings.map((_, at) => at)
    for (let at = order.length - 1; at > 0; at -= 1) {
      const other = Math.floor(random() * (at + 1))
      ;[order[at], order[other]] = [order[other] ?? 0, order[at] ?? 0]
    }
    const days = Array.from({ length: count }, (_, day) => order.filter((_one, at) => at % count === day))
    const value = uneven(
      days.map((day) => day.map((at) => points[at] ?? [])),
      middle,
    )
    if (best === null || value < best.value - 1e-12) best = { order: days, value }
  }
  return best?.order ?? []
}

/**
 * Lays a series out: runs by exchange for the model, repeats of the middle, the control first each day, rounded to what
 * can be weighed and spread over days.
 *
 * @param control setting of the formula as it is
 * @param stepG division of the scale, g
 * @param newId an id for each run
 * @throws Error where the bounds leave no room; see `boundsFault`
 */
export function designSeries(
  plan: SeriesPlan,
  control: Setting,
  stepG: number,
  newId: () => string,
): Designed {
  const fault = boundsFault(plan)
  if (fault !== null) throw new Error(fault)
  const terms = termsFor(plan)
  const candidates = candidateSettings(plan)
  const rows = candidates.map((setting) => {
    const at = coordinates(plan, setting)
    return terms.map((term) => termValue(term, at))
  })
  const n = terms.length + BEYOND
  const chosen = exchanged(rows, n, plan.seed, STARTS).runs.map((at) => candidates[at] ?? [])
  const planned = [...chosen, ...Array.from({ length: REPEATS }, () => centreOf(plan))]
  const rounded = planned.map((setting) => weighable(plan, setting, stepG))
  const rounding = roundingOf(plan, planned, stepG)
  const days = allocated(plan, rounded, plan.seed)
  const kept = weighable(plan, control, stepG)
  const run = (day: number, place: number, setting: readonly number[], isControl: boolean): SeriesRun => ({
    id: newId(),
    day,
    place,
    isControl,
    isConfirmation: false,
    setting: [...setting],
    trialNumber: null,
    scores: {},
    failed: '',
  })
  return {
    runs: days.flatMap((day, at) => [
      run(at + 1, 1, kept, true),
      ...day.map((index, place) => run(at + 1, place + 2, rounded[index] ?? [], false)),
    ]),
    days: days.length,
    p: terms.length,
    rounding,
    cautions: cautionsOf(plan, control, rounding, days.length, terms.length, rounded.length),
  }
}

function cautionsOf(
  plan: SeriesPlan,
  control: Setting,
  { most, name, merged, outside }: Rounding,
  days: number,
  p: number,
  n: number,
): string[] {
  return [
    ...unreached(plan),
    ...(most > ROUNDING_MATTERS
      ? [
          `Rounding to the scale moves ${name} by ${Math.round(100 * most)} % of its range: weigh finer, or make a larger batch.`,
        ]
      : []),
    ...(merged > 0
      ? [`Rounding makes ${merged === 1 ? 'one run' : `${merged} runs`} the same as another.`]
      : []),
    ...(outside > 0
      ? [`Rounding takes ${outside === 1 ? 'one run' : `${outside} runs`} out of the bounds.`]
      : []),
    ...(isInside(plan, control)
      ? []
      : ['The formula as it is lies outside of these bounds: it still stands as the control.']),
    ...(days > 1 && n - p - (days - 1) < 2
      ? ['So few runs over so many days leave little to tell days from mixes: taste more a day.']
      : []),
    ...(plan.factors.some(({ kind }) => kind === 'tempC') && plan.perDay > 3
      ? [
          'An oven that is set anew for each run takes the day: where several runs share one heat, they share its error.',
        ]
      : []),
  ]
}
