import type { IdeaChange } from '../ideas'

/** One thing that is otherwise than in the trial before. */
export interface Change extends IdeaChange {
  readonly partId: string
  readonly part: string
  /** "+40 g soy milk", "steam 45 instead of 60 min". */
  readonly words: string
  /** How much it is, for the order: share of the batch, or of the step. */
  readonly size: number
}

/** How much a changed step counts among changed masses. Practice. */
export const STEP_SIZE = 0.12

/** Grams as a cook says them: 0.3 g, 12 g, 340 g. */
export function gramsWords(grams: number): string {
  const size = Math.abs(grams)
  const rounded = size < 1 ? size.toFixed(2) : size < 10 ? size.toFixed(1) : String(Math.round(size))
  return `${Number(rounded)} g`
}

/** A food's name inside a sentence. */
export const foodWords = (name: string): string => {
  const plain = name.replace(/\s*\([^)]*\)/g, '').split(', ')
  const [first = name] = plain
  return first.charAt(0).toLowerCase() + first.slice(1)
}
