import { gramsLine } from '../measure'
import type { Dish, FormulaLine, Series, SeriesRun, Step } from '../model'
import { isInside, placesOf, type Setting } from './space'

const MINUTE_STEP = 1
const SHORT_MIN = 5
const HEAT_STEP_C = 5

const toStep = (value: number, step: number): number => Number((Math.round(value / step) * step).toFixed(6))

/**
 * A setting as it can be weighed and set: grams in whole divisions, what is left over on the largest line so that the
 * total holds, whole minutes, heats in steps of a dial.
 * @param stepG division of the scale, g
 * @source experiments page, section 9
 */
export function weighable(
  series: Pick<Series, 'factors' | 'variableG'>,
  setting: Setting,
  stepG: number,
): number[] {
  const { shares } = placesOf(series)
  const grams = shares.map((at) => toStep((setting[at] ?? 0) * series.variableG, stepG))
  const left = series.variableG - grams.reduce((sum, value) => sum + value, 0)
  const largest = grams.indexOf(Math.max(...grams))
  const whole = grams.map((value, at) => (at === largest ? value + left : value))
  return series.factors.map(({ kind }, at) => {
    const value = setting[at] ?? 0
    if (kind === 'share') return (whole[shares.indexOf(at)] ?? 0) / Math.max(1e-9, series.variableG)
    if (kind === 'grams') return toStep(value, stepG)
    if (kind === 'minutes')
      return Math.max(MINUTE_STEP / 2, toStep(value, value < SHORT_MIN ? MINUTE_STEP / 2 : MINUTE_STEP))
    return toStep(value, HEAT_STEP_C)
  })
}

/** What rounding does to a series. */
export interface Rounding {
  /** The largest move of a factor, as a share of its own range. */
  readonly most: number
  readonly name: string
  /** Runs that became one with another that they differed from. */
  readonly merged: number
  /** Runs that left the bounds. */
  readonly outside: number
}

/** Moves of a factor by more than this share of its range are warned of. @source experiments page, section 9 */
export const ROUNDING_MATTERS = 0.05

export function roundingOf(
  series: Pick<Series, 'factors' | 'variableG'>,
  planned: readonly Setting[],
  stepG: number,
): Rounding {
  let [most, name] = [0, '']
  const rounded = planned.map((setting) => weighable(series, setting, stepG))
  planned.forEach((setting, run) =>
    series.factors.forEach((factor, at) => {
      const moved = Math.abs((rounded[run]?.[at] ?? 0) - (setting[at] ?? 0)) / (factor.high - factor.low)
      if (moved > most) [most, name] = [moved, factor.name]
    }),
  )
  const keys = (all: readonly Setting[]) =>
    new Set(all.map((one) => one.map((value) => value.toFixed(6)).join()))
  return {
    most,
    name,
    merged: keys(planned).size - keys(rounded).size,
    outside: rounded.filter((setting) => !isInside(series, setting)).length,
  }
}

/** What a step says, with another number of minutes or another heat. */
function stepWith(step: Step, field: 'durationMin' | 'tempC', value: number): Step {
  const now = step[field]
  const unit = field === 'durationMin' ? '(?=[\\s-]*min)' : '(?=\\s*°)'
  const text =
    now === null
      ? step.text
      : step.text.replace(new RegExp(`\\b${String(now).replace('.', '\\.')}${unit}`), String(value))
  return {
    ...step,
    [field]: value,
    text,
    byHand: step.byHand.includes(field) ? step.byHand : [...step.byHand, field],
  }
}

/** A step that says how many grams of a line go in, with the grams of a run. */
function withGrams(text: string, line: FormulaLine, grams: number): string {
  const was = /^\s*(\d+(?:\.\d+)?)\s*g\b/.exec(line.text)?.[1]
  const words = line.food.toLowerCase().match(/\p{L}{3,}/gu) ?? []
  if (was === undefined || words.length === 0) return text
  return text.replace(
    new RegExp(`\\b${was.replace('.', '\\.')}(?=\\s*g\\b[^.,;]*\\b(?:${words.join('|')}))`, 'giu'),
    String(grams),
  )
}

/** The dish as one run makes it. */
export function dishOfRun(dish: Dish, series: Series, { setting }: Pick<SeriesRun, 'setting'>): Dish {
  const change = new Map(
    series.factors.map((factor, at) => [`${factor.kind} ${factor.id}`, setting[at] ?? 0]),
  )
  const tidy = (grams: number): number => Number(grams.toFixed(2))
  const gramsOf = ({ id }: FormulaLine): number | undefined => {
    const share = change.get(`share ${id}`)
    const grams = share === undefined ? change.get(`grams ${id}`) : share * series.variableG
    return grams === undefined ? undefined : tidy(grams)
  }
  const said = (text: string, lines: readonly FormulaLine[]): string =>
    lines.reduce((now, line) => {
      const grams = gramsOf(line)
      return grams === undefined ? now : withGrams(now, line, grams)
    }, text)
  return {
    ...dish,
    parts: dish.parts.map((part) =>
      part.id !== series.partId
        ? part
        : {
            ...part,
            lines: part.lines.map((line) => {
              const grams = gramsOf(line)
              return grams === undefined ? line : gramsLine(line, grams)
            }),
            steps: part.steps.map((plain) => {
              const text = said(plain.text, part.lines)
              const step = text === plain.text ? plain : { ...plain, text }
              const minutes = change.get(`minutes ${step.id}`)
              const heat = change.get(`tempC ${step.id}`)
              const timed = minutes === undefined ? step : stepWith(step, 'durationMin', minutes)
              return heat === undefined ? timed : stepWith(timed, 'tempC', heat)
            }),
          },
    ),
  }
}

const round = (value: number): string => String(Number(value.toPrecision(3)))

/** "oats 40 g, soy milk 560 g, simmer 8 min". */
export const settingWords = (
  { factors, variableG }: Pick<Series, 'factors' | 'variableG'>,
  setting: Setting,
): string =>
  factors
    .map(({ kind, name }, at) => {
      const value = setting[at] ?? 0
      const said = name.charAt(0).toLowerCase() + name.slice(1)
      if (kind === 'share') return `${said} ${round(value * variableG)} g`
      return `${said} ${round(value)} ${kind === 'grams' ? 'g' : kind === 'minutes' ? 'min' : '°C'}`
    })
    .join(', ')
