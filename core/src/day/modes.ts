import { assess, swapped, swapsOf } from '../assess'
import type { DayWay, Dish, FoodClass, Kitchen, Library, OperationId, Part, StepReading } from '../model'
import { specOf } from '../program'

interface Bench {
  readonly library: Library
  readonly kitchen: Kitchen
}

/** A step that other means would do in another time, as the kitchen stands. */
export interface Mode extends DayWay {
  readonly dish: string
  /** "Pressure cook instead of boil: chickpeas". */
  readonly label: string
  readonly ownMin: number
  readonly minutes: number
}

/** What comes out much the same by other means: cooked through in water, steam or pressure. Practice. */
const WET: ReadonlySet<string> = new Set<OperationId>(['boil', 'simmer', 'steam', 'pressure-cook'])
/** Shorter ones are not worth another pot. Practice. */
const LEAST_SAVED_MIN = 10
const MOST_MODES = 4
const MOST_FOODS = 2

const POURED: ReadonlySet<FoodClass> = new Set(['water', 'plant-milk', 'savoury', 'acid'])

/** Whether a line is poured: what simmers in it cannot be steamed. */
const isPoured = (part: Part, lineId: string, library: Library): boolean => {
  const foodId = part.lines.find(({ id }) => id === lineId)?.ingredientId ?? null
  const food = foodId === null ? undefined : library.ingredients.get(foodId)
  return food !== undefined && POURED.has(food.foodClass)
}

/** What a step is about, for its label: its heaviest foods, and not what they lie in. */
const foodsOf = ({ takes }: StepReading, part: Part, library: Library): string =>
  takes
    .filter(({ kind, id }) => kind === 'line' && !isPoured(part, id, library))
    .sort((a, b) => b.massG - a.massG)
    .slice(0, MOST_FOODS)
    .map(({ name }) => name.toLowerCase())
    .join(', ')

/** Other means for the long wet steps of dishes, of what this kitchen has; those that save most first, four at most. */
export function modesOf(dishes: readonly Dish[], { library, kitchen }: Bench): Mode[] {
  const has = (operation: OperationId): boolean => {
    const { vessel } = specOf(operation)
    return vessel === null || kitchen.equipment.some(({ kind, count }) => kind === vessel && count > 0)
  }
  const found = dishes.flatMap((dish) => {
    const { parts } = assess(dish, library, kitchen)
    return dish.parts.flatMap((part): Mode[] => {
      const readings = parts.find(({ partId }) => partId === part.id)?.steps ?? []
      return swapsOf(part).flatMap(({ at, operation }): Mode[] => {
        const [step, reading] = [part.steps[at], readings[at]]
        if (step?.operation == null || reading === undefined || step.until !== null) return []
        if (!WET.has(step.operation) || !WET.has(operation) || !has(operation)) return []
        if (operation === 'steam' && reading.takes.some(({ id }) => isPoured(part, id, library))) return []
        const minutes = specOf(operation).usualMin
        const ownMin = Math.round(reading.minutes)
        if (ownMin - minutes < LEAST_SAVED_MIN) return []
        const foods = foodsOf(reading, part, library)
        const words = `${specOf(operation).name} instead of ${specOf(step.operation).name.toLowerCase()}`
        return [
          {
            dishId: dish.id,
            partId: part.id,
            stepId: step.id,
            operation,
            dish: dish.name,
            label: `${words}: ${foods === '' ? part.name.toLowerCase() : foods}`,
            ownMin,
            minutes,
          },
        ]
      })
    })
  })
  return found.sort((a, b) => b.ownMin - b.minutes - (a.ownMin - a.minutes)).slice(0, MOST_MODES)
}

/** A dish with some of its steps done by other means: their foods stay, heat and time are the usual ones of those means. */
export function inOtherWays(dish: Dish, ways: readonly DayWay[], { library, kitchen }: Bench): Dish {
  return ways
    .filter(({ dishId }) => dishId === dish.id)
    .reduce((now, { partId, stepId, operation }) => {
      const part = now.parts.find(({ id }) => id === partId)
      const at = part?.steps.findIndex(({ id }) => id === stepId) ?? -1
      const reading = assess(now, library, kitchen).parts.find((one) => one.partId === partId)
      // A step that is gone, or is done so already, is left as it is.
      if (part === undefined || reading === undefined || part.steps[at]?.operation === operation || at < 0)
        return now
      const ids = part.steps.map(({ id }) => id)
      const steps = swapped(part, reading, { at, operation, label: '' }, () => ids.shift() ?? stepId)
      return { ...now, parts: now.parts.map((one) => (one === part ? { ...part, steps } : one)) }
    }, dish)
}
