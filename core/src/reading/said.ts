import { lineMass, readAmountAt } from '../measure'
import type { Kitchen } from '../model'
import type { Named } from './named'
import { inDigits, roughly } from './roughly'
import type { Reading } from './rests'

/** How much of a thing the words before its name say. */
export interface Said {
  /** Share of the whole; null = all that is left. */
  readonly share: number | null
  readonly isStated: boolean
  /** Grams or millilitres that the words state, for what no list weighs. */
  readonly amountG?: number
}
export const ALL_OF_IT: Said = { share: null, isStated: false }

const OF = String.raw`(?: of)?(?: (?:it|them|the|that|this|your|those|these|remaining|reserved|same|other))*\s*$`
const SHARES: readonly (readonly [RegExp, number])[] = [
  [new RegExp(String.raw`(?:\bthree[- ]quarters|\b3\/4|¾)${OF}`, 'iu'), 0.75],
  [new RegExp(String.raw`(?:\btwo[- ]thirds|\b2\/3|⅔)${OF}`, 'iu'), 2 / 3],
  [
    new RegExp(String.raw`\b(?:a |one |the first |the other )?half\b${OF}|½\s*(?:of )?(?:the)?\s*$`, 'iu'),
    0.5,
  ],
  [new RegExp(String.raw`\b(?:a |one |another )?third\b${OF}|⅓\s*(?:of )?(?:the)?\s*$`, 'iu'), 1 / 3],
  [new RegExp(String.raw`\b(?:a |one |another )?quarter\b${OF}|¼\s*(?:of )?(?:the)?\s*$`, 'iu'), 0.25],
  [new RegExp(String.raw`\bmost\b(?: \([^)]*\))?${OF}`, 'iu'), 0.75],
  [new RegExp(String.raw`\b(?:some|a few)\b${OF}`, 'iu'), 0.5],
  [
    new RegExp(
      String.raw`\b(?:splash|dash|spoonful|ladleful|ladle|knob|drizzle|drop|little|lick|bit)\b(?: (?:more|extra))?(?: \([^)]*\))?${OF}`,
      'iu',
    ),
    0.1,
  ],
]
/** Without any of these words no share is said. */
const MAY_SHARE =
  /half|third|quarter|most|some|few|splash|dash|spoonful|ladle|knob|drizzle|drop|little|lick|bit|[¾⅔½⅓¼]|\d\/\d/iu
const REST =
  /\b(?:rest|remaining|remainder|other half|last|leftover|left-over|reserved|what is left)\b(?: of)?(?: (?:it|the|that))*\s*$/iu
const LAST_AMOUNT = /\blast\b[^,.;]{0,24}$/iu
const ALL_BUT = /\ball but (?:(?:a|an|one) )?/iu
/** How far before a name its share or amount can stand, in characters. */
const REACH = 44

/** The share of a line that an amount in words before its name is, or null where there is none. */
function amountShare(clause: string, of: Named, kitchen: Kitchen, reading: Reading): number | null {
  const { line } = of
  const whole = line?.mass?.value ?? 0
  if (line?.food == null || whole <= 0) return null
  const digits = inDigits(clause)
  const start = digits.search(/[\d½¼¾⅓⅔⅛][\d.,/½¼¾⅓⅔⅛ ]*[^\d½¼¾⅓⅔⅛]*$/u)
  if (start < 0) return null
  const read = readAmountAt(digits, start, { isDecimalComma: false })
  if (read?.amount.terms[0]?.unit == null) return null
  const { mass } = lineMass(read.amount, line.food, line.line.food.toLowerCase(), kitchen)
  if (mass === null || mass.value <= 0) return null
  reading.amounts.set(of.id, whole)
  return mass.value / whole
}

/** So many times what the list has is something else: water of the tap. */
const MORE_THAN_LISTED = 1.6

/** An amount before a preposition is of what stands between. */
const ANOTHERS =
  /^.*[\d½¼¾⅓⅔][^\d½¼¾⅓⅔]*[a-zß-ɏ][^\d½¼¾⅓⅔]*\s(?:in|into|with|over|onto|through)\s(?=[^\d½¼¾⅓⅔]*$)/iu
const SHARE_OF_AMOUNT = /\b(?:half|thirds?|quarters?)\b of the [\d½¼¾]/iu
/** "Fill each shell with a spoonful of the ricotta". */
const FOR_EACH =
  /\b(?:each|every)\b[^,;.]{0,24}\bwith (?:a|an|one) (?:[a-zß-ɏ]+ ){0,2}(?:spoonful|teaspoon|tablespoon|dollop|little|bit)\b[^,;.]{0,16}$/iu
const EACH =
  /^[^.;,]{0,24}\b(?:on|into|over|to|for|in|onto) (?:(?:the (?:middle|centre|center|top|base) of|one (?:half|side|end) of) )?each\b/iu

/**
 * The share of a thing that the words around its name state.
 * @param before words of the clause before the name
 * @param after words after it
 */
export function saidOf(
  before: string,
  after: string,
  of: Named | null,
  kitchen: Kitchen,
  reading: Reading,
): Said {
  const near = before
    .replace(/\s+/gu, ' ')
    .slice(-REACH)
    .replace(/\([^)]*$/u, '')
  const clause = near.slice(
    Math.max(near.lastIndexOf(','), near.lastIndexOf(';'), near.search(/\band (?=[^,;]*$)/u)) + 1,
  )
  // "A quarter of the filling on each" of four is all of it.
  if (EACH.test(after) || FOR_EACH.test(near)) return ALL_OF_IT
  if (ALL_BUT.test(near)) {
    const share = of === null ? null : amountShare(near, of, kitchen, reading)
    return { share: share === null ? 0.9 : Math.max(0.05, 1 - share), isStated: true }
  }
  if (REST.test(clause) || LAST_AMOUNT.test(clause)) return { share: null, isStated: true }
  // "Half of the 2 litres": the share is meant, not the amount.
  if (SHARE_OF_AMOUNT.test(clause))
    for (const [words, share] of SHARES)
      if (words.test(clause.replace(/\b[\d½¼¾][^a-z]*[a-zß-ɏ]+\s+of\s*(?:the\s*)?$/iu, '')))
        return { share, isStated: true }
  // "60 g salt in the water": the grams are the salt's.
  const own = clause.replace(ANOTHERS, '')
  const rough = of === null || of.kind === 'part' ? roughly(own) : null
  if (rough !== null) return { share: null, isStated: true, amountG: rough }
  const amount = of === null ? null : amountShare(own, of, kitchen, reading)
  // An amount close to the whole list entry, or above it, is the whole of it.
  if (amount !== null && amount > MORE_THAN_LISTED)
    return { share: null, isStated: true, amountG: amount * (of?.line?.mass?.value ?? 0) }
  if (amount !== null) return amount > 0.97 ? ALL_OF_IT : { share: amount, isStated: true }
  if (MAY_SHARE.test(clause))
    for (const [words, share] of SHARES) if (words.test(clause)) return { share, isStated: true }
  return ALL_OF_IT
}
