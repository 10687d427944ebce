import type { Amount, AmountTerm, QualifierId, SizeId, UnitId } from '../model'
import { type NumberOptions, readNumber } from './numbers'
import { QUALIFIER_WORDS, SIZE_WORDS } from './qualifiers'
import { GRAMS_PER, LENGTH_MM, PACK_UNITS, unitKind, unitNamed, VOLUME_UNITS } from './units'

/** An amount found at a place in a text, other wordings of it ("/ 14 oz"), and where it ends. */
export interface FoundAmount {
  readonly amount: Amount
  readonly alternates: readonly AmountTerm[]
  readonly end: number
}

interface FoundTerm {
  readonly term: AmountTerm
  readonly end: number
}

const APPROXIMATE =
  /(?:about|approximately|approx\.?|roughly|around|circa|ca\.|nearly|almost|up to|at least|~|≈)\s*/iy
const TIMES = /\s*[x×*]\s*(?=\d)/iy
const GESTURE =
  /(?:(heaping|heaped|generous|large|small|big|good|little)\s+)?(pinch(?:es)?|dash(?:es)?|handfuls?|splash(?:es)?|drizzle|glugs?|knob|sprigs?|bunch|squeeze|drops?|tad|smidgen)\b/iy
const SPACE = /[\s\u00a0]*/y
const LETTERS = /[A-Za-zµ]+\.?/y
const LONG_UNITS: readonly (readonly [RegExp, UnitId])[] = [
  [/fl(?:uid)?\.?\s*(?:oz|ounces?)\b\.?/iy, 'fl-oz'],
  [/metric\s+cups?\b/iy, 'metric-cup'],
  [/(?:us|u\.s\.|american)\s+cups?\b/iy, 'us-cup'],
  [/(?:australian|aussie|au)\s+(?:tablespoons?|tbsps?)\b/iy, 'au-tbsp'],
  [/(?:rice\s+cooker\s+cups?|go)\b/iy, 'go'],
]
/** What a length is a length of, once the food says the rest: "2 cm knob ginger". */
const LENGTH_OF = /[\s-]*(?:long\s+)?(?:pieces?|knobs?|chunks?|lengths?|strips?|sheets?|thumbs?)\b/iy
const QUALIFIER =
  /(?:(firmly|tightly|loosely|lightly|well)[\s-]+)?(level|levelled|scant|scanty|generous|good|rounded|heaping|heaped|packed|sifted|dipped)\b/iy
const SIZE =
  /(thumb|extra[\s-]large|medium[\s-]sized?|small|smallish|little|medium|large|big|jumbo|(?:sm|med|lge?)(?:\.|(?=\s)))(?![\p{L}])(?:[\s-]sized?\b)?/iuy
const PLUS = /\s*(?:,\s*)?(plus|\+|and|&|less|minus)\s+/iy
const SLASH = /\s*(?:\/|\||=|\bor\b)\s*(?:about\s+)?/iy
const TO = /\s*(?:to|–|-|—)\s*/iy

const stick = (pattern: RegExp, text: string, at: number): RegExpExecArray | null => {
  pattern.lastIndex = at
  return pattern.exec(text)
}
const skipSpace = (text: string, at: number): number => at + (stick(SPACE, text, at)?.[0].length ?? 0)

const BARE_SPOON = /(?:tbsp|tbs|tsp|tablespoon|teaspoon|cup)\b\.?\s+(?:of\s+)?[a-z]{3}/iy

/** Words of a measure that begin the name of a food. */
const NAMES_A_FOOD = /(?:bottle gourds?|stem (?:ginger|lettuce)|glass (?:noodles?|vermicelli))\b/iy

/** Reads a unit word at a place, over a joining hyphen ("14-oz"). */
export function readUnit(text: string, at: number): { unit: UnitId; end: number } | null {
  if (/["″”]/.test(text[at] ?? '')) return { unit: 'inch', end: at + 1 }
  let start = skipSpace(text, at)
  if (text[start] === '-' && /[A-Za-z]/.test(text[start + 1] ?? '')) start += 1
  for (const [pattern, unit] of LONG_UNITS) {
    const long = stick(pattern, text, start)
    if (long !== null) return { unit, end: start + long[0].length }
  }
  const word = stick(LETTERS, text, start)
  if (word === null || /[A-Za-z'’]/.test(text[start + word[0].length] ?? '')) return null
  const unit = unitNamed(word[0])
  return unit === null || stick(NAMES_A_FOOD, text, start) !== null
    ? null
    : { unit, end: start + word[0].length }
}

function readQualifier(text: string, at: number): { qualifier: QualifierId; end: number } | null {
  const start = skipSpace(text, at)
  const found = stick(QUALIFIER, text, start)
  if (found === null) return null
  const end = start + found[0].length
  const manner = found[1]?.toLowerCase()
  const qualifier = QUALIFIER_WORDS[(found[2] ?? '').toLowerCase()] ?? 'level'
  if (qualifier !== 'packed') return { qualifier, end }
  if (manner === 'loosely' || manner === 'lightly') return { qualifier: 'loosely-packed', end }
  return { qualifier: manner === 'firmly' || manner === 'tightly' ? 'firmly-packed' : 'packed', end }
}

function readSize(text: string, at: number): { size: SizeId; end: number } | null {
  const start = skipSpace(text, at)
  const found = stick(SIZE, text, start)
  if (found === null) return null
  const word = (found[1] ?? '').toLowerCase().replace('.', '').replace(/\s/g, '-')
  return { size: SIZE_WORDS[word] ?? 'medium', end: start + found[0].length }
}

const term = (part: Partial<AmountTerm> & { low: number; high: number }): AmountTerm => ({
  sign: 1,
  unit: null,
  qualifier: null,
  size: null,
  pack: null,
  ...part,
})

/** "14-oz can", "(400 g) tin", "400 g / 14 oz tin": the stated content of one container, and the container. */
function readPack(
  text: string,
  at: number,
  options: NumberOptions,
):
  | (Omit<FoundTerm, 'term'> & {
      unit: UnitId
      pack: { quantity: number; unit: UnitId }
    })
  | null {
  let start = skipSpace(text, at)
  const isBracketed = text[start] === '('
  if (isBracketed) start += 1
  const quantity = readNumber(text, start, options)
  if (quantity === null) return null
  const unit = readUnit(text, quantity.end)
  if (unit === null || unitKind(unit.unit) === 'count') return null
  let end = unit.end
  let best = { quantity: (quantity.low + quantity.high) / 2, unit: unit.unit }
  const slash = stick(SLASH, text, end)
  if (slash !== null) {
    const other = readNumber(text, end + slash[0].length, options)
    const otherUnit = other === null ? null : readUnit(text, other.end)
    if (other !== null && otherUnit !== null && unitKind(otherUnit.unit) !== 'count') {
      end = otherUnit.end
      if (otherUnit.unit === 'g' || otherUnit.unit === 'mL')
        best = { quantity: other.low, unit: otherUnit.unit }
    }
  }
  if (isBracketed) {
    if (text[end] !== ')') return null
    end += 1
  }
  const container = readUnit(text, end)
  if (container === null || !PACK_UNITS.has(container.unit)) return null
  return { unit: container.unit, pack: best, end: container.end }
}

/** "1 (2-inch) piece", "two 3 cm knobs": so many of a stated length. */
function readLengths(text: string, low: number, high: number, at: number, options: NumberOptions) {
  let start = skipSpace(text, at)
  const isBracketed = text[start] === '('
  if (isBracketed) start += 1
  const length = readNumber(text, start, options)
  const unit = length === null ? null : readUnit(text, length.end)
  if (length === null || unit === null || LENGTH_MM[unit.unit] === undefined) return null
  if (isBracketed && text[unit.end] !== ')') return null
  const end = isBracketed ? unit.end + 1 : unit.end
  const of = stick(LENGTH_OF, text, end)
  if (of === null) return null
  return {
    term: term({ low: low * length.low, high: high * length.high, unit: unit.unit }),
    end: end + of[0].length,
  }
}

function readCounted(
  text: string,
  low: number,
  high: number,
  at: number,
  options: NumberOptions,
): FoundTerm | null {
  const times = stick(TIMES, text, at)
  const pack = readPack(text, times === null ? at : at + times[0].length, options)
  if (pack !== null) return { term: term({ low, high, unit: pack.unit, pack: pack.pack }), end: pack.end }
  const lengths = readLengths(text, low, high, times === null ? at : at + times[0].length, options)
  if (lengths !== null) return lengths
  if (times === null) return null
  const inner = readTerm(text, at + times[0].length, options)
  if (inner === null || inner.term.unit === null) return null
  return { term: { ...inner.term, low: low * inner.term.low, high: high * inner.term.high }, end: inner.end }
}

/** "Tbsp oil", "teaspoon of salt": a spoon or a cup without a number is one. */
function bareSpoon(text: string, at: number): { low: number; high: number; end: number } | null {
  const spoon = stick(BARE_SPOON, text, at)
  return spoon === null || at !== 0 ? null : { low: 1, high: 1, end: at }
}

function readTerm(text: string, at: number, options: NumberOptions): FoundTerm | null {
  const number = readNumber(text, at, options) ?? bareSpoon(text, at)
  if (number === null) return null
  const { low, high } = number
  const counted = readCounted(text, low, high, number.end, options)
  if (counted !== null) return counted
  const whole = readPack(text, at, options)
  if (whole !== null && unitKind(whole.pack.unit) !== 'count') {
    return { term: term({ low: 1, high: 1, unit: whole.unit, pack: whole.pack }), end: whole.end }
  }
  let end = number.end
  let qualifier: QualifierId | null = null
  let size: SizeId | null = null
  for (let isMore = true; isMore;) {
    const before: number = end
    const next: ReturnType<typeof readQualifier> = qualifier === null ? readQualifier(text, before) : null
    const sized: ReturnType<typeof readSize> = size === null ? readSize(text, before) : null
    qualifier = next?.qualifier ?? qualifier
    size = next === null ? (sized?.size ?? size) : size
    end = next?.end ?? sized?.end ?? before
    isMore = end > before
  }
  const unit = readUnit(text, end)
  if (unit !== null && LENGTH_MM[unit.unit] !== undefined) {
    const of = stick(LENGTH_OF, text, unit.end)
    return { term: term({ low, high, unit: unit.unit, size }), end: unit.end + (of?.[0].length ?? 0) }
  }
  if (unit !== null) {
    end = unit.end
    if (size !== null && unit.unit !== 'handful' && unitKind(unit.unit) !== 'count') {
      if (size === 'large') qualifier ??= 'generous'
      if (size === 'small') qualifier ??= 'scant'
      size = null
    }
    const after = qualifier === null ? readQualifier(text, text[end] === ',' ? end + 1 : end) : null
    if (after !== null && after.qualifier !== 'sifted') {
      qualifier = after.qualifier
      end = after.end
    }
  }
  return { term: term({ low, high, unit: unit?.unit ?? null, qualifier, size }), end }
}

/** "scant 1 cup", "heaping ½ tsp": the qualifier before the number. */
function readLedTerm(text: string, at: number, options: NumberOptions): FoundTerm | null {
  const led = readQualifier(text, at)
  const found = led === null ? null : readTerm(text, skipSpace(text, led.end), options)
  if (led === null || found === null || found.term.unit === null) return null
  return { ...found, term: { ...found.term, qualifier: found.term.qualifier ?? led.qualifier } }
}

const unitSize = (unit: UnitId): number => GRAMS_PER[unit] ?? VOLUME_UNITS[unit]?.mL.us ?? 1

/** "100 g to 120 g", "1 tsp to 1 tbsp": the range in the first term's unit. */
function readUnitRange(text: string, first: FoundTerm, options: NumberOptions): FoundTerm {
  if (first.term.unit === null || first.term.low !== first.term.high) return first
  const to = stick(TO, text, first.end)
  if (to === null) return first
  const second = readTerm(text, first.end + to[0].length, options)
  if (second === null || second.term.unit === null) return first
  if (unitKind(second.term.unit) !== unitKind(first.term.unit)) return first
  const high = (second.term.high * unitSize(second.term.unit)) / unitSize(first.term.unit)
  return high > first.term.low ? { term: { ...first.term, high }, end: second.end } : first
}

const joins = (first: UnitId | null, second: UnitId | null): boolean =>
  first !== null &&
  second !== null &&
  unitKind(first) !== 'count' &&
  unitKind(first) === unitKind(second) &&
  unitSize(second) < unitSize(first)

/** Adds "plus 1 tsp", "less 1 tbsp" and run-on "1 lb 2 oz". */
function readFurtherTerms(
  text: string,
  first: FoundTerm,
  options: NumberOptions,
): { terms: AmountTerm[]; end: number } {
  const terms = [first.term]
  let end = first.end
  while (terms.length < 4) {
    const plus = stick(PLUS, text, end)
    const start = plus === null ? skipSpace(text, end) : end + plus[0].length
    const next = readTerm(text, start, options)
    if (next === null || next.term.unit === null) break
    if (plus === null && !joins(terms.at(-1)?.unit ?? null, next.term.unit)) break
    if (plus !== null && unitKind(next.term.unit) === 'count') break
    const isLess = plus !== null && /less|minus/i.test(plus[1] ?? '')
    terms.push({ ...next.term, sign: isLess ? -1 : 1 })
    end = next.end
  }
  return { terms, end }
}

/**
 * Reads an amount at a place in a text: numbers in every spelling, qualifiers, sizes, units, packs, sums, ranges and
 * the same amount in another system after a slash.
 *
 * @param text any text
 * @param at index to read at
 * @param options how the recipe writes decimals
 * @returns the amount, its other wordings and the index after it; null if the text has none there
 */
export function readAmountAt(text: string, at: number, options: NumberOptions): FoundAmount | null {
  let start = skipSpace(text, at)
  const approximate = stick(APPROXIMATE, text, start)
  if (approximate !== null) start += approximate[0].length
  const first =
    readTerm(text, start, options) ?? readLedTerm(text, start, options) ?? readGesture(text, start)
  if (first === null) return null
  const ranged = readUnitRange(text, first, options)
  const { terms, end: afterTerms } = readFurtherTerms(text, ranged, options)
  let end = afterTerms
  const alternates: AmountTerm[] = []
  for (let slash = stick(SLASH, text, end); slash !== null; slash = stick(SLASH, text, end)) {
    const other = readTerm(text, end + slash[0].length, options)
    if (other === null || other.term.unit === null) break
    const further = readFurtherTerms(text, other, options)
    if (further.terms.length === 1) alternates.push(other.term)
    end = further.end
  }
  return { amount: { terms, isApproximate: approximate !== null }, alternates, end }
}

/** "pinch of salt", "large handful of basil": one, without saying so. */
function readGesture(text: string, at: number): FoundTerm | null {
  const found = stick(GESTURE, text, at)
  if (found === null) return null
  const word = (found[2] ?? '').toLowerCase()
  const unit: UnitId | null = word === 'squeeze' ? 'splash' : unitNamed(word)
  if (unit === null) return null
  const size = SIZE_WORDS[(found[1] ?? '').toLowerCase()] ?? null
  const qualifier = QUALIFIER_WORDS[(found[1] ?? '').toLowerCase()] ?? null
  return { term: term({ low: 1, high: 1, unit, qualifier, size }), end: at + found[0].length }
}

/** Reads a text that is an amount and nothing else, such as a figure typed into a cell. */
export function readAmount(text: string, options: NumberOptions = { isDecimalComma: false }): Amount | null {
  const found = readAmountAt(text, 0, options)
  if (found === null || text.slice(found.end).trim() !== '') return null
  return found.amount
}
