import type { ReadContext } from '../src/interchange'
import { indexFoods, lineFrom, type LineReader } from '../src/measure'
import { blankDish, blankPart, type Dish, type FamilyId, type Part, type Step } from '../src/model'
import { readRecipeMethod, stepFrom } from '../src/reading'
import { testKitchen, testLibrary } from './foods'

export const testReader: LineReader = {
  index: indexFoods(testLibrary.ingredients.values()),
  ingredients: testLibrary.ingredients,
  kitchen: testKitchen,
}

export const NOW = '2026-06-14T12:00:00Z'
let count = 0
export const newId = (): string => `t${(count += 1)}`

/** A step from its words, with what is set by hand. */
export const stepOf = (text: string, known: Partial<Step> = {}): Step => ({
  ...stepFrom(text, newId()),
  ...known,
})

/** A part of written lines. */
export const partOf = (
  lines: readonly string[],
  family: FamilyId | null = null,
  known: Partial<Part> = {},
): Part => ({
  ...blankPart(newId(), 'Part'),
  family,
  originalId: family === 'crumble-mince' ? 'mince' : null,
  lines: lines.map((text) => lineFrom(text, { reader: testReader, newId })),
  ...known,
})

export const dishOf = (...parts: Part[]): Dish => ({ ...blankDish(newId(), 'Test dish', NOW), parts })

/** What reading a recipe needs, with made-up foods. */
export const testContext: ReadContext = {
  reader: testReader,
  newId,
  now: NOW,
  readStep: stepFrom,
  readMethod: readRecipeMethod,
}
