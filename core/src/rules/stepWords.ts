import { readAmountAt, unitKind } from '../measure'
import type { Amount, Step } from '../model'
import { wordsOf } from './foodWords'

/** An amount that a step states, and the words around it. */
export interface StepAmount {
  readonly amount: Amount
  /** Words that follow it within its clause. */
  readonly after: readonly string[]
  /** "200 ml of the milk", "half", "the rest": a part of what is listed. */
  readonly isPartial: boolean
}

/** What a step says, read once for each step object. */
export interface StepWords {
  readonly words: readonly string[]
  readonly amounts: readonly StepAmount[]
}

const NUMBER_START = /(?<![\p{L}\d.,/])[\d½¼¾⅓⅔⅛]/gu
const TEMPERATURE = /^\d{2,3}\s*(?:[°º]\s*)?[CF]\b/
const PARTIAL = /\b(?:of the|half|rest|remaining|some|first|about)\b/i
/** "A 3-litre baking dish", "a 900 g loaf tin": the size of a vessel. */
const OF_A_VESSEL =
  /^\s*(?:\p{L}+[ -]){0,3}(?:(?:dish(?:es)?|pans?|pots?|bowls?|moulds?|molds?|casseroles?|saucepans?|ramekins?|trays?|basins?|terrines?)\b|(?:tins?|jars?|jugs?)\b(?!\s+(?:of\s+)?(?!and\b|with\b|lined\b|greased\b|or\b)\p{L}))/iu
/** Words after an amount within which its food is looked for. */
const REACH_WORDS = 6

function amountsIn(text: string): StepAmount[] {
  return [...text.matchAll(NUMBER_START)].flatMap(({ index }): StepAmount[] => {
    if (TEMPERATURE.test(text.slice(index, index + 8))) return []
    const found = readAmountAt(text, index, { isDecimalComma: false })
    const unit = found?.amount.terms[0]?.unit ?? null
    if (found === null || unit === null || unitKind(unit) === 'count') return []
    if (OF_A_VESSEL.test(text.slice(found.end, found.end + 60).replace(/^[-–]/u, ''))) return []
    const clause =
      text.slice(found.end, found.end + 80).split(/[.;,]|\b(?:and|plus|with|in|into|to|for)\b/)[0] ?? ''
    const after = clause
      .split(/\s+/)
      .slice(0, REACH_WORDS + 1)
      .join(' ')
    const around = `${text.slice(Math.max(0, index - 14), index)} ${after.slice(0, 18)}`
    return [{ amount: found.amount, after: wordsOf(after), isPartial: PARTIAL.test(around) }]
  })
}

const memo = new WeakMap<Step, StepWords>()

export function stepWords(step: Step): StepWords {
  const known = memo.get(step)
  if (known !== undefined) return known
  const made = { words: wordsOf(step.text), amounts: amountsIn(step.text) }
  memo.set(step, made)
  return made
}
