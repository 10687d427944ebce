import { assess } from '../assess'
import type { Dish, Kitchen, Library, StepReading } from '../model'
import { OVEN_BAND_C } from './table'

/** A step that is done at another oven temperature than its own, so that it can share the oven. */
export interface Stretched {
  readonly dishId: string
  readonly stepId: string
  readonly ownC: number
  readonly tempC: number
  readonly ownMin: number
  readonly minutes: number
}

/** Dishes as they would be cooked at a common temperature. */
export interface OvenChoice {
  readonly dishes: readonly Dish[]
  readonly stretched: readonly Stretched[]
}

/** A roast is moved by so much at most: further off it is another dish. Practice. */
const MOST_SHIFT_C = 30
/** Longest and shortest that a time is stretched to, of its own. Practice. */
const STRETCH = [0.5, 2] as const
const HALVINGS = 9
/** Common temperatures that are looked at. */
const MOST_CHOICES = 4

interface Roast {
  readonly dish: Dish
  readonly reading: StepReading
  readonly tempC: number
}

const withStep = (dish: Dish, stepId: string, tempC: number, durationMin: number): Dish => ({
  ...dish,
  parts: dish.parts.map((part) =>
    part.steps.every(({ id }) => id !== stepId)
      ? part
      : {
          ...part,
          steps: part.steps.map((step) => (step.id === stepId ? { ...step, tempC, durationMin } : step)),
        },
  ),
})

/**
 * Minutes at another temperature after which a step has come to the same: as much water gone; where hardly any goes, the
 * same core temperature.
 * @returns whole minutes; null where no time within half and twice its own does
 */
function sameDone(
  { dish, reading }: Roast,
  tempC: number,
  library: Library,
  kitchen: Kitchen,
): number | null {
  const LEAST_LOSS = 0.02
  const lossOf = ({ massInG, massG }: StepReading): number => (massInG > 0 ? 1 - massG / massInG : 0)
  const isByLoss = lossOf(reading) > LEAST_LOSS
  const doneOf = (one: StepReading): number => (isByLoss ? lossOf(one) : one.state.coreC)
  const wanted = doneOf(reading)
  const at = (minutes: number): number => {
    const { parts } = assess(withStep(dish, reading.stepId, tempC, minutes), library, kitchen)
    const found = parts.flatMap(({ steps }) => steps).find(({ stepId }) => stepId === reading.stepId)
    return found === undefined ? Number.NaN : doneOf(found)
  }
  let [low, high] = [reading.minutes * STRETCH[0], reading.minutes * STRETCH[1]]
  const TOLERANCE = isByLoss ? 0.002 : 0.5
  if (!(at(low) <= wanted + TOLERANCE) || !(at(high) >= wanted - TOLERANCE)) return null
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const middle = (low + high) / 2
    if (at(middle) < wanted) low = middle
    else high = middle
  }
  return Math.max(1, Math.round((low + high) / 2))
}

/**
 * Ways to bring roasts that are too far apart to one temperature, the times stretched by the laws of the process.
 * @returns one for each temperature that more than one roast could share; empty where all agree already
 */
export function ovenChoices(dishes: readonly Dish[], library: Library, kitchen: Kitchen): OvenChoice[] {
  const roasts = dishes.flatMap((dish) => {
    const steps = new Map(dish.parts.flatMap((part) => part.steps.map((step) => [step.id, step])))
    return assess(dish, library, kitchen)
      .parts.flatMap((part) => part.steps)
      .flatMap((reading): Roast[] => {
        const step = steps.get(reading.stepId)
        // What ends by its mass or its look has no time to stretch.
        return reading.operation === 'roast' && step?.tempC != null && step.until === null
          ? [{ dish, reading, tempC: step.tempC }]
          : []
      })
  })
  const temperatures = [...new Set(roasts.map(({ tempC }) => tempC))].sort((a, b) => a - b)
  const isApart = temperatures.some((a) => temperatures.some((b) => Math.abs(a - b) > 2 * OVEN_BAND_C))
  if (roasts.length < 2 || !isApart) return []
  return temperatures.slice(0, MOST_CHOICES).flatMap((tempC): OvenChoice[] => {
    const stretched = roasts
      .filter((one) => one.tempC !== tempC && Math.abs(one.tempC - tempC) <= MOST_SHIFT_C)
      .flatMap((roast): Stretched[] => {
        const minutes = sameDone(roast, tempC, library, kitchen)
        const { dish, reading } = roast
        const ownMin = Math.round(reading.minutes)
        return minutes === null
          ? []
          : [{ dishId: dish.id, stepId: reading.stepId, ownC: roast.tempC, tempC, ownMin, minutes }]
      })
    if (stretched.length === 0) return []
    const moved = (dish: Dish): Dish =>
      stretched
        .filter(({ dishId }) => dishId === dish.id)
        .reduce((now, one) => withStep(now, one.stepId, one.tempC, one.minutes), dish)
    return [{ dishes: dishes.map(moved), stretched }]
  })
}
