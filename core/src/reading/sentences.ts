import type { Span } from './subordinates'

/** Words after which a full stop does not end a sentence. */
const ABBREVIATED =
  /(?:\b(?:approx|min|mins|hrs?|tbsp|tsp|oz|lb|no|ca|e\.g|i\.e|deg|w|incl|temp|med|vs)|\b[a-z]|\d)\.$/iu
/** "Simmer 20 min. Lid off, …": a time ends a sentence where the next word is written large. */
const TIMED = /\d\s*(?:min|mins|hrs?|h|secs?|s)\.$/iu
const sentenceEnds = new Intl.Segmenter('en', { granularity: 'sentence' })

/** Sentences of one line or paragraph, as stretches of it. */
export function sentencesIn(text: string): Span[] {
  const spans: { from: number; to: number }[] = []
  const parts = [...sentenceEnds.segment(text)].flatMap(({ segment, index }) => {
    // "Wrap in a blanket. 12 h, somewhere warm."
    let from = 0
    return segment.split(/(?<=\p{L}{3}[.!?]\s)(?=\d)/u).map((piece) => {
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
    if (last !== undefined && (isAbbreviated || /^\p{Ll}/u.test(words))) last.to = to
    else spans.push({ from, to })
  }
  return spans
}
