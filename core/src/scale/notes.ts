import { resolveLines } from '../composition'
import type { Dish, Kitchen, Library } from '../model'
import { isHeating } from '../program'

/** What does not scale with the amounts. */
export interface ScaleNote {
  readonly code: 'evaporation' | 'spice' | 'thickener' | 'cooking-time' | 'batches' | 'scale-limit'
  readonly message: string
}

/** Below and above these factors the departures are worth saying. Practice. */
const NOTABLE_UP = 1.5
const NOTABLE_DOWN = 0.67
/** Least mass that the finest scale still weighs to about 5 %, g. @source 14 x its step; practice */
const LEAST_STEPS = 14

/** What a cook must watch when a dish is made times `factor`: amounts scale, pans, times and tongues do not. Practice. */
export function scaleNotes(dish: Dish, library: Library, kitchen: Kitchen, factor: number): ScaleNote[] {
  const notes: ScaleNote[] = []
  const lines = dish.parts.flatMap((part) => resolveLines(part, library, kitchen))
  const hasClass = (...classes: string[]): boolean =>
    lines.some(({ food }) => food !== null && classes.includes(food.foodClass))
  const isHeated = dish.parts.some(({ steps }) => steps.some(({ operation }) => isHeating(operation)))
  const isUp = factor >= NOTABLE_UP
  const isDown = factor <= NOTABLE_DOWN
  if (isHeated && (isUp || isDown)) {
    notes.push({
      code: 'evaporation',
      message: isUp
        ? 'Water leaves by the pan’s area, not by the mass: brown in batches or use a wider pan, and weigh the cooked part.'
        : 'A small batch dries out faster in the same pan: use a smaller one, and weigh the cooked part.',
    })
    notes.push({
      code: 'cooking-time',
      message: isUp
        ? 'Thicker layers and fuller ovens take longer; go by the core and the cue, not by the clock.'
        : 'Thin layers are done sooner; look early.',
    })
  }
  if (isUp && hasClass('spice', 'herb')) {
    notes.push({
      code: 'spice',
      message: 'Strong spice grows on the tongue: start with four fifths of it, taste, then add the rest.',
    })
  }
  if ((isUp || isDown) && hasClass('starch', 'gum')) {
    notes.push({
      code: 'thickener',
      message: 'Thickeners follow the water that is left: hold some back until the sauce has cooked down.',
    })
  }
  const step = kitchen.fineScaleStepG ?? kitchen.scaleStepG
  const tooSmall = lines.filter(
    ({ food, mass }) =>
      food !== null &&
      mass !== null &&
      mass.value > 0 &&
      mass.value * factor < LEAST_STEPS * step &&
      mass.value >= LEAST_STEPS * step,
  )
  const [first] = tooSmall
  if (first?.food != null) {
    notes.push({
      code: 'scale-limit',
      message: `${first.food.name} falls below what a scale of ${step} g weighs well: mix a larger batch and divide it.`,
    })
  }
  return notes
}
