import type { Answer, AnswerKind, ChangedLine } from '@frijol/core/tune'

const COUNTS = ['No', 'One', 'Two', 'Three', 'Four'] as const

/** What each way is called. */
export const ANSWER_NAMES: Readonly<Record<AnswerKind, (changes: number) => string>> = {
  closest: () => 'Closest',
  fewest: (changes) => `${COUNTS[changes] ?? changes} change${changes === 1 ? '' : 's'}`,
  cheapest: () => 'Cheapest',
}

/** A change that shows. */
export const isChanged = ({ beforeG, afterG }: ChangedLine): boolean => Math.abs(afterG - beforeG) > 1e-6

export const changeCount = ({ lines, process }: Answer): number =>
  lines.filter(isChanged).length + process.length

/** Grams as a cook reads them: 342, 26, 3.9. */
export const shownGrams = (massG: number): string =>
  massG >= 20 ? String(Math.round(massG)) : String(Number(massG.toFixed(massG < 1 ? 2 : 1)))

export const signedGrams = (grams: number): string => `${grams < 0 ? '−' : '+'}${shownGrams(Math.abs(grams))}`

/** The spoons and cups that a line is written in, where it is. */
export function spoonsOf(text: string): string | null {
  return /^[\d¼½¾⅓⅔⅛ .,/]+(?:tsp|tbsp|cups?)\b/.exec(text)?.[0] ?? null
}

/** A figure of a limit: two digits, three from a hundred on. */
export const figure = (value: number): string => String(Number(value.toPrecision(value >= 100 ? 3 : 2)))
