import type { Dish, Ingredient, OperationId, Part } from '../model'
import type { Side } from './symptom'

/** One way in which a trial is not as it was planned, or not as the trial that it came from. */
export interface Deviation {
  readonly key: string
  readonly kind: 'line' | 'step' | 'missing' | 'extra' | 'cut' | 'yield'
  readonly against: 'plan' | 'parent'
  /** Line or step. */
  readonly id: string
  /** It, and the steps that do it. */
  readonly about: readonly string[]
  readonly food: Ingredient | null
  readonly operation: OperationId | null
  readonly field: 'minutes' | 'tempC' | null
  readonly side: Side
  /** How far off, in what kitchens usually vary by. 0 upward. */
  readonly z: number
  /** "60 g more water than in trial 3". */
  readonly words: string
  /** What putting it back is: "black-eyed peas half mashed, as in trial 3". */
  readonly back: string
  /** The dish with only this put back; null where nothing can be put back. */
  readonly revert: ((dish: Dish) => Dish) | null
}

/** What the other side is called: "than written", "than in trial 3". */
export interface Against {
  readonly kind: Deviation['against']
  readonly words: string
}

/** However far off, more says no more. */
export const MOST_Z = 6

export const inPart = (dish: Dish, partId: string, change: (part: Part) => Part): Dish => ({
  ...dish,
  parts: dish.parts.map((part) => (part.id === partId ? change(part) : part)),
})
