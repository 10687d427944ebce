import type { Amount, AmountTerm } from '../model'
import { foodTokens, PREP_WORDS } from './foodWords'
import { type FoundAmount, readAmountAt } from './readAmount'

const TRAILING = /(?:\s*(?:[-–—:,=…]|\.{2,})\s*|\s+)((?:about |approx\.? |~ ?)?[\d.½¼¾⅓⅔⅛⅜⅝⅞][^,;:]*)$/i

const TIMES_COUNT = /^(.*\S)\s*[x×]\s*(\d{1,3})$/i

interface Split {
  readonly rest: string
  readonly asides: readonly string[]
}

/** Takes bracketed asides out of a text. Unclosed brackets stay as they are. */
export function takeAsides(text: string): Split {
  const asides: string[] = []
  let rest = ''
  let depth = 0
  let start = 0
  for (let at = 0; at < text.length; at += 1) {
    const character = text[at]
    if (character === '(' || character === '[') {
      if (depth === 0) start = at
      depth += 1
    } else if ((character === ')' || character === ']') && depth > 0) {
      depth -= 1
      if (depth === 0) {
        asides.push(text.slice(start + 1, at).trim())
        rest += ' '
      }
    } else if (depth === 0) rest += text.charAt(at)
  }
  if (depth > 0) rest += text.slice(start)
  return { rest, asides }
}

/** Splits the food from its preparation at the first comma, semicolon or dash. */
export function splitPrep(text: string): { food: string; prep: string } {
  const at = text.search(/\s*[,;]\s|\s+[-–—]\s+|[,;]$/)
  if (at <= 0) return { food: text.trim(), prep: '' }
  return {
    food: text.slice(0, at).trim(),
    prep: text
      .slice(at)
      .replace(/^\s*[,;–—-]\s*/, '')
      .trim(),
  }
}

export interface Measured {
  readonly amount: Amount | null
  readonly alternates: readonly AmountTerm[]
  readonly rest: string
}

/** Finds the amount at the front of a line, else at its end ("flour: 200 g", "eggs x 2"). */
export function takeAmount(text: string): Measured {
  const options = { isDecimalComma: /\d,\d(?!\d{2})/.test(text) }
  const front = readAmountAt(text, 0, options)
  // "75% dark chocolate 50 g": a strength in front is part of the name.
  if (front !== null && !/^\s*%/.test(text.slice(front.end))) return fromFound(front, text)
  const times = TIMES_COUNT.exec(text)
  if (times !== null) {
    const end = readAmountAt(times[2] ?? '', 0, options)
    if (end !== null) return { amount: end.amount, alternates: [], rest: times[1] ?? '' }
  }
  const end = atEnd(text, options)
  if (end.amount !== null) return end
  // "Walnuts 100 g, chopped": the amount stands behind the food, before what is done to it.
  const comma = text.search(/[,;]\s/)
  if (comma <= 0) return end
  const before = atEnd(text.slice(0, comma), options)
  return before.amount === null || before.amount.terms[0]?.unit == null
    ? end
    : { ...before, rest: `${before.rest}${text.slice(comma)}` }
}

type AmountOptions = Parameters<typeof readAmountAt>[2]

/** The amount at the end of a text: "flour: 200 g". */
function atEnd(text: string, options: AmountOptions): Measured {
  const none: Measured = { amount: null, alternates: [], rest: text }
  const trailing = TRAILING.exec(text)
  if (trailing === null) return none
  const written = trailing[1] ?? ''
  const end = readAmountAt(written, 0, options)
  const left = end === null ? '' : written.slice(end.end).trim()
  const words = foodTokens(left)
  // "Oyster mushrooms 600 g torn in strips": what is done to it stands behind.
  const isPrep =
    words.every((token) => PREP_WORDS.has(token)) || (PREP_WORDS.has(words[0] ?? '') && words.length <= 4)
  const isWholeEnd = end !== null && (left === '' || isPrep)
  const hasSeparator = /[-–—:,=…]|\.\./.test(trailing[0].slice(0, trailing[0].length - written.length))
  if (!isWholeEnd || (end.amount.terms[0]?.unit == null && !hasSeparator)) {
    // "Lactic acid 80% 2 g": a strength is no amount; what stands behind it may be.
    const strength = /^[\d.,]+\s*%\s*/.exec(written)?.[0]
    if (strength === undefined) return none
    const at = text.length - written.length + strength.length
    const behind = readAmountAt(text.slice(at), 0, options)
    return behind?.amount.terms[0]?.unit == null || text.slice(at + behind.end).trim() !== ''
      ? none
      : { amount: behind.amount, alternates: behind.alternates, rest: text.slice(0, at).trim() }
  }
  return {
    amount: end.amount,
    alternates: end.alternates,
    rest: `${text.slice(0, trailing.index)}${left === '' ? '' : `, ${left}`}`,
  }
}

const fromFound = (found: FoundAmount, text: string): Measured => ({
  amount: found.amount,
  alternates: found.alternates,
  rest: text
    .slice(found.end)
    .replace(/^\s*(?:of\b\s*(?:the\b\s*)?|[-–—:.]\s+|,\s*)/i, ' ')
    .trim(),
})
