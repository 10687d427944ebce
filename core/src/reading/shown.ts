import { parse } from './clauses'

/** A piece of a written text: whose doing it tells of, and whether its words only tell how, when or why. */
export interface Piece {
  readonly text: string
  /** Doing that it belongs to, by its place among the texts given; null = none. */
  readonly doing: number | null
  readonly isQuiet: boolean
}

interface Stretch {
  readonly from: number
  readonly to: number
  readonly doing: number
}

/** Where the words of each doing stand in a written text; doings whose words were changed stand nowhere. */
function stretches(text: string, doings: readonly string[]): Stretch[] {
  const found: Stretch[] = []
  let after = 0
  doings.forEach((words, doing) => {
    const from = text.indexOf(words, after)
    if (words === '' || from < 0) return
    found.push({ from, to: from + words.length, doing })
    after = from + words.length
  })
  return found
}

/**
 * A written text cut into pieces for showing: together they are the text, to the letter.
 * @param doings words of its doings, in order
 */
export function piecesOfText(text: string, doings: readonly string[]): Piece[] {
  const spans = stretches(text, doings)
  const { subordinates, clauses } = parse(text)
  const quiet = [...subordinates, ...clauses.filter(({ isRemark }) => isRemark)]
  const edges = new Set([0, text.length])
  for (const { from, to } of [...spans, ...quiet]) {
    edges.add(Math.max(0, from))
    edges.add(Math.min(text.length, to))
  }
  const sorted = [...edges].sort((a, b) => a - b)
  return sorted.slice(1).map((to, at) => {
    const from = sorted[at] ?? 0
    const doing = spans.find((one) => one.from <= from && one.to >= to)?.doing ?? null
    const isQuiet = doing === null || quiet.some((one) => one.from <= from && one.to >= to)
    return { text: text.slice(from, to), doing, isQuiet }
  })
}
