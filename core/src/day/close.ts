import { assess } from '../assess'
import { keeps } from '../rules'
import { attributeName } from '../model'
import type { Assessment, CookSession, Dish, Kitchen, Leftover, Library, Trial } from '../model'
import { checksOfDay, type PartCheck } from './checked'
import { measured, withMasses } from './masses'
import { asMadeOf, weighLines } from './weigh'

const DAY_MS = 86_400_000
/** Of the part's mass; a food below it does not set how long the part keeps. */
const TRACE = 0.03

/** A line that went in otherwise than it is written. */
export interface MadeDifference {
  readonly name: string
  readonly writtenG: number
  readonly madeG: number
  readonly instead: string | null
}

export interface PartYield {
  readonly partId: string
  readonly part: string
  readonly predictedG: number
  readonly sdG: number
  /** null where it was not weighed. */
  readonly measuredG: number | null
}

/** What came of a dish, against what was written and predicted. */
export interface DishClosing {
  readonly dish: Dish
  readonly asMade: Trial['asMade']
  readonly weighed: number
  readonly toWeigh: number
  readonly differences: readonly MadeDifference[]
  readonly yields: readonly PartYield[]
  readonly checks: readonly PartCheck[]
  readonly portions: number | null
}

interface Bench {
  readonly library: Library
  readonly kitchen: Kitchen
}

export function closingOf(session: CookSession, dish: Dish, { library, kitchen }: Bench): DishClosing {
  const assessment = assess(dish, library, kitchen)
  const lines = weighLines(dish, assessment, kitchen)
  const asMade = asMadeOf(session, dish, lines)
  const off = new Map<string, { written: number; tolerance: number; name: string }>()
  for (const { lineId, targetG, toleranceG, name } of lines) {
    const before = off.get(lineId)
    off.set(lineId, {
      written: (before?.written ?? 0) + targetG,
      tolerance: (before?.tolerance ?? 0) + toleranceG,
      name,
    })
  }
  return {
    dish,
    asMade,
    weighed: asMade.length,
    toWeigh: off.size,
    differences: asMade.flatMap(({ lineId, massG, instead }): MadeDifference[] => {
      const line = off.get(lineId)
      if (line === undefined) return []
      const isOff = Math.abs(massG - line.written) > line.tolerance || instead !== null
      return isOff ? [{ name: line.name, writtenG: line.written, madeG: massG, instead }] : []
    }),
    yields: assessment.parts.map(({ partId, name, cookedMassG, cookedSdG }) => ({
      partId,
      part: name,
      predictedG: cookedMassG,
      sdG: cookedSdG,
      measuredG: measured(session, dish.id, 'yield', { partId }),
    })),
    checks: checksOfDay(session, dish),
    portions: measured(session, dish.id, 'portions'),
  }
}

const grams = (value: number): string => `${value >= 100 ? Math.round(value) : Number(value.toFixed(1))} g`

/** What was made otherwise, a sentence each. */
export const differenceWords = ({ differences, yields, checks }: DishClosing): string[] => [
  ...differences.map(
    ({ name, writtenG, madeG, instead }) =>
      `${name}: ${grams(madeG)} in place of ${grams(writtenG)}${instead === null ? '' : `, as ${instead}`}.`,
  ),
  ...yields.flatMap(({ part, predictedG, measuredG }) =>
    measuredG === null ? [] : [`${part} came to ${grams(measuredG)}; ${grams(predictedG)} was predicted.`],
  ),
  ...checks.map(
    ({ check, value, times, points, part }) =>
      `${part}, ${check.label.toLowerCase()}: ${Number(value.toPrecision(3))} ${check.unit}${times > 1 ? `, median of ${times}` : ''}: ${attributeName(check.attribute)} ${points.toFixed(1)}.`,
  ),
]

const MOST_NOTES = 20_000
const MOST_PHOTOS = 200

/** Pictures of a dish; one that was taken of nothing named belongs to it where it was the only dish. */
const photosOf = ({ notes, dishes }: CookSession, dishId: string): string[] =>
  notes
    .flatMap((note) =>
      note.photoId !== null && (note.dishId === dishId || (note.dishId === null && dishes.length === 1))
        ? [note.photoId]
        : [],
    )
    .slice(-MOST_PHOTOS)

/** The trial that a day makes of a dish: the formula as written, with what was really weighed beside it. */
export function madeTrial(
  session: CookSession,
  dish: Dish,
  bench: Bench,
  { id, date, clock }: { readonly id: string; readonly date: string; readonly clock: (ms: number) => string },
): Trial {
  const closing = closingOf(session, dish, bench)
  const notes = session.notes
    .filter(({ dishId, text }) => (dishId === null || dishId === dish.id) && text !== '')
    .map(({ at, text }) => `${clock(at)} ${text}`)
  const made = withMasses(session, dish)
  return {
    format: 'frijol/trial',
    version: 1,
    id,
    dishId: dish.id,
    number: dish.trial.number,
    fromNumber: dish.trial.fromNumber,
    state: 'made',
    date,
    aim: dish.aim,
    parts: made.parts,
    written: dish.written,
    asMade: closing.asMade,
    photoIds: photosOf(session, dish.id),
    notes: [...differenceWords(closing), ...notes].join('\n').slice(0, MOST_NOTES),
    why: dish.trial.why,
    decision: '',
  }
}

/** What is written on a tub. */
export interface TubLabel {
  readonly name: string
  readonly madeOn: Date
  readonly useBy: Date | null
  readonly because: string
  readonly allergens: readonly string[]
  readonly massG: number | null
}

/** A label for what is left. @param assessment of its dish @param madeMs when it was made */
export function tubLabel(
  { what, massG, where }: Leftover,
  dish: Dish,
  assessment: Assessment,
  { library }: Bench,
  madeMs: number,
): TubLabel {
  const part = dish.parts.find(({ name }) => name === what)
  const readings = assessment.parts.filter(({ partId }) => part === undefined || partId === part.id)
  const foods = readings.flatMap(({ lines, rawMassG }) =>
    lines.flatMap(({ foodId, massG: mass }) => {
      const food = foodId === null ? undefined : library.ingredients.get(foodId)
      return food === undefined ? [] : [{ food, share: (mass ?? 0) / Math.max(1, rawMassG) }]
    }),
  )
  const { days, because } = keeps(
    part?.family ?? null,
    foods.flatMap(({ food, share }) => (share >= TRACE ? [food.foodClass] : [])),
    where,
  )
  return {
    name: what === dish.name ? what : `${dish.name}: ${what}`,
    madeOn: new Date(madeMs),
    useBy: days === 0 ? null : new Date(madeMs + days * DAY_MS),
    because,
    allergens: [...new Set(foods.flatMap(({ food }) => food.allergens))].sort(),
    massG,
  }
}
