import type { Span } from './subordinates'

/** Words after which a full stop does not end a sentence. */
const ABBREVIATED =
  /(?:\b(?:approx|min|mins|hrs?|tbsp|tsp|oz|lb|no|ca|e\.g|i\.e|deg|w|incl|temp|med|vs)|\b[a-z]|\d)\.$/iu
/** "Simmer 20 min. Lid off, …": a time ends a sentence where the next word is written large. */
const TIMED = /\d\s*(?:min|mins|hrs?|h|secs?|s)\.$/iu
const sentenceEnds = new Intl.Segmenter('en', { granularity: 'sentence' })

/** Who begins without a capital begins sentences so: "press the tofu. in a bowl mix the rest". */
const NO_CAPITALS = /^\P{L}*\p{Ll}/u
const AFTER_A_STOP = /(?<=\p{L}{3}[.!?]\s)(?=\d)/u
const AFTER_ANY_STOP = /(?<=\p{L}{2}[.!?]\)?\s+)(?=[\d\p{Ll}])/u

/** Sentences of one line or paragraph, as stretches of it. */
export function sentencesIn(text: string): Span[] {
  const spans: { from: number; to: number }[] = []
  const isSmall = NO_CAPITALS.test(text)
  const parts = [...sentenceEnds.segment(text)].flatMap(({ segment, index }) => {
    // "Wrap in a blanket. 12 h, somewhere warm."
    let from = 0
    return segment.split(isSmall ? AFTER_ANY_STOP : AFTER_A_STOP).map((piece) => {
      const at = index + from
      from += piece.length
      return { segment: piece, index: at }
    })
  })
  for (const { segment, index } of parts) {
    const words = segment.trim()
    const last = spans.at(-1)
    if (words === '') continue
    const before = last === undefined ? '' : text.slice(last.from, last.to).trim()
    const from = index + segment.indexOf(words)
    const to = from + words.length
    const isAbbreviated =
      ABBREVIATED.test(before) && !/\d\.$/.test(before) && !(TIMED.test(before) && /^\p{Lu}/u.test(words))
    if (last !== undefined && (isAbbreviated || (!isSmall && /^\p{Ll}/u.test(words)))) last.to = to
    else spans.push({ from, to })
  }
  return spans
}
