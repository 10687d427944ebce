/** One thing that is otherwise than in the trial before. */
export interface Change {
  readonly partId: string
  readonly part: string
  readonly kind:
    | 'batch'
    | 'amount'
    | 'new-food'
    | 'gone-food'
    | 'prep'
    | 'swap'
    | 'step'
    | 'reworded'
    | 'new-step'
    | 'gone-step'
    | 'order'
  /** "+40 g soy milk", "steam 45 instead of 60 min". */
  readonly words: string
  /** Line or step that it is about; null for the batch. */
  readonly id: string | null
  /** Line of the trial before that it stands in for. */
  readonly wasId?: string
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
