import { numericQuantity } from 'numeric-quantity'

/** A number or a range found in a text, and where it ends. */
export interface FoundNumber {
  readonly low: number
  readonly high: number
  readonly end: number
}

const VULGAR = '¼½¾⅐⅑⅒⅓⅔⅕⅖⅗⅘⅙⅚⅛⅜⅝⅞'
const MIXED_VULGAR = new RegExp(`(\\d+)[ \\u00a0-]?([${VULGAR}])`, 'y')
const MIXED_ASCII = /(\d+)(?:[ \u00a0-]+|\s+(?:and|&)\s+)(\d{1,2})\s?[/⁄∕]\s?(\d{1,2})(?!\d)/y
const MIXED_AND_VULGAR = new RegExp(`(\\d+)\\s+(?:and|&)\\s+([${VULGAR}])`, 'y')
const FRACTION = /(\d{1,2})\s?[/⁄∕]\s?(\d{1,2})(?:ths?\b)?(?![\d.,]*\d)/y
const LONE_VULGAR = new RegExp(`[${VULGAR}]`, 'y')
const THOUSANDS_COMMA = /\d{1,3}(?:,\d{3})+(?!\d)(?:\.\d+)?/y
const THOUSANDS_DOT = /[1-9]\d{0,2}(?:\.\d{3})+(?!\d)(?:,\d+)?/y
const DECIMAL = /\d*[.,]\d+/y
const WHOLE = /\d+/y
const WORD = /[a-z]+/iy

const NUMBER_WORDS: ReadonlyMap<string, number> = new Map(
  Object.entries<number>({
    a: 1,
    an: 1,
    one: 1,
    two: 2,
    three: 3,
    four: 4,
    five: 5,
    six: 6,
    seven: 7,
    eight: 8,
    nine: 9,
    ten: 10,
    eleven: 11,
    twelve: 12,
    dozen: 12,
    several: 4,
    half: 0.5,
    quarter: 0.25,
    third: 1 / 3,
  }),
)
const FRACTION_WORDS: Record<string, number> = {
  half: 0.5,
  quarter: 0.25,
  third: 1 / 3,
  quarters: 0.25,
  thirds: 1 / 3,
}
const DENOMINATORS = new Set([2, 3, 4, 5, 6, 8, 10, 12, 16])

const matchAt = (pattern: RegExp, text: string, at: number): RegExpExecArray | null => {
  pattern.lastIndex = at
  return pattern.exec(text)
}

/** Evaluates "1 1/2" or "1½" exactly; the package rounds to three decimals unless told not to. */
const evaluate = (written: string): number => numericQuantity(written, { round: false })

export interface NumberOptions {
  /** True where the recipe writes 1.000 for a thousand and 1,5 for one and a half. */
  readonly isDecimalComma: boolean
}

function digitsAt(text: string, at: number, options: NumberOptions): FoundNumber | null {
  const mixed = matchAt(MIXED_VULGAR, text, at) ?? matchAt(MIXED_AND_VULGAR, text, at)
  if (mixed !== null) return exact(Number(mixed[1]) + evaluate(mixed[2] ?? ''), at + mixed[0].length)
  const ascii = matchAt(MIXED_ASCII, text, at)
  if (ascii !== null && Number(ascii[2]) < Number(ascii[3]) && DENOMINATORS.has(Number(ascii[3]))) {
    return exact(Number(ascii[1]) + Number(ascii[2]) / Number(ascii[3]), at + ascii[0].length)
  }
  const fraction = matchAt(FRACTION, text, at)
  if (fraction !== null && DENOMINATORS.has(Number(fraction[2]))) {
    return exact(Number(fraction[1]) / Number(fraction[2]), at + fraction[0].length)
  }
  const vulgar = matchAt(LONE_VULGAR, text, at)
  if (vulgar !== null) return exact(evaluate(vulgar[0]), at + vulgar[0].length)
  return decimalAt(text, at, options)
}

function decimalAt(text: string, at: number, { isDecimalComma }: NumberOptions): FoundNumber | null {
  const grouped = isDecimalComma ? matchAt(THOUSANDS_DOT, text, at) : matchAt(THOUSANDS_COMMA, text, at)
  if (grouped !== null) {
    const plain = isDecimalComma
      ? grouped[0].replaceAll('.', '').replace(',', '.')
      : grouped[0].replaceAll(',', '')
    return exact(Number(plain), at + grouped[0].length)
  }
  const decimal = matchAt(DECIMAL, text, at)
  if (decimal !== null) return exact(Number(decimal[0].replace(',', '.')), at + decimal[0].length)
  const whole = matchAt(WHOLE, text, at)
  return whole === null ? null : exact(Number(whole[0]), at + whole[0].length)
}

const exact = (value: number, end: number): FoundNumber | null =>
  Number.isFinite(value) && value <= 1e6 ? { low: value, high: value, end } : null

const SPELT: ReadonlyMap<string, number> = new Map(
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'
    .split(' ')
    .map((word, value): [string, number] => [word, value])
    .concat(
      'twenty thirty forty fifty sixty seventy eighty ninety'
        .split(' ')
        .map((word, index): [string, number] => [word, 20 + 10 * index]),
    ),
)
const SPELT_WORD = /([a-z]+)(?:[\s-]+|$)/iy
const skipBlank = (text: string, at: number): number => at + (/^\s*/.exec(text.slice(at))?.[0].length ?? 0)

/** "Fifty", "two hundred and fifty", "seventy-five": numbers above twelve in words. */
function speltAt(text: string, at: number): FoundNumber | null {
  let value = 0
  let end = at
  let next = at
  let isLong = false
  for (let words = 0; words < 6; words += 1) {
    const found = matchAt(SPELT_WORD, text, next)
    const word = found?.[1]?.toLowerCase() ?? ''
    const known = SPELT.get(word)
    if (found === null) break
    if (known !== undefined) {
      if (value % 100 !== 0 && !(value % 10 === 0 && value % 100 >= 20 && known < 10)) break
      value += known
      isLong ||= known > 12
    } else if (word === 'hundred' && value > 0 && value < 20) {
      value *= 100
      isLong = true
    } else if (!(word === 'and' && value > 0 && value % 100 === 0)) break
    next += found[0].length
    if (word !== 'and') end = next - (/[\s-]+$/.exec(found[0])?.[0].length ?? 0)
  }
  return isLong ? exact(value, end) : null
}

function wordAt(text: string, at: number): FoundNumber | null {
  const word = matchAt(WORD, text, at)
  if (word === null) return null
  const first = word[0].toLowerCase()
  let end = at + word[0].length
  const rest = text.slice(end, end + 24).toLowerCase()
  if (first === 'a' || first === 'an') {
    const hundred = /^\s+hundred(?:\s+and)?\b/.exec(rest)
    if (hundred !== null) {
      const more = speltAt(text, skipBlank(text, end + hundred[0].length))
      return /and$/.test(hundred[0]) && more !== null
        ? exact(100 + more.low, more.end)
        : exact(100, end + hundred[0].replace(/\s+and$/, '').length)
    }
    const vague = /^\s+(couple|few|dozen|half|quarter|third)\b(?:\s+of\b(?:\s+an?\b)?)?/.exec(rest)
    if (vague !== null) {
      end += vague[0].length
      if (vague[1] === 'couple') return exact(2, end)
      if (vague[1] === 'few') return { low: 2, high: 4, end }
      return exact(NUMBER_WORDS.get(vague[1] ?? '') ?? 1, end)
    }
    return exact(1, end)
  }
  const spelt = speltAt(text, at)
  if (spelt !== null) return spelt
  const value = NUMBER_WORDS.get(first)
  if (value === undefined) return null
  if (value < 1) {
    const dozen = /^\s+(?:of\s+)?a\s+dozen\b/.exec(rest)
    if (dozen !== null) return exact(value * 12, end + dozen[0].length)
    const ofA = /^\s+(?:of\s+)?an?\b/.exec(rest)
    return exact(value, end + (ofA === null ? 0 : ofA[0].length))
  }
  const tail = /^\s+and\s+(?:an?\s+|one\s+)?(half|quarter|third)\b/.exec(rest)
  if (tail !== null) return exact(value + (FRACTION_WORDS[tail[1] ?? ''] ?? 0), end + tail[0].length)
  const times = /^[\s-]+(quarters?|thirds?|half|dozen)\b(?:\s+of\s+an?\b)?/.exec(rest)
  if (times !== null) {
    const factor = times[1] === 'dozen' ? 12 : (FRACTION_WORDS[times[1] ?? ''] ?? 1)
    return exact(value * factor, end + times[0].length)
  }
  return exact(value, end)
}

const CONNECTOR = /\s*(?:-|–|—|~|\bto\b|\bor\b|\bbis\b)\s*/iy

const BETWEEN = /between\s+/iy

/** "between 2 and 3": what follows "between". */
function betweenAt(text: string, at: number, options: NumberOptions): FoundNumber | null {
  const low = digitsAt(text, at, options) ?? wordAt(text, at)
  const and = low === null ? null : matchAt(/\s+and\s+/iy, text, low.end)
  if (low === null || and === null) return null
  const start = low.end + and[0].length
  const high = digitsAt(text, start, options) ?? wordAt(text, start)
  return high === null || high.high <= low.low ? null : { low: low.low, high: high.high, end: high.end }
}

/**
 * Reads a number or a range at a place in a text: "1 1/2", "1½", "2–3", "1 or 2", "1,5", "half a", "a couple of".
 *
 * @param text any text
 * @param at index to read at; white space is not skipped
 * @param options how the recipe writes decimals
 * @returns the number (low = high) or range (low < high), up to 1e6, with the index after it; null if there is none
 */
export function readNumber(text: string, at: number, options: NumberOptions): FoundNumber | null {
  const digits = digitsAt(text, at, options)
  const dozen = digits === null ? null : matchAt(/\s+dozen\b/iy, text, digits.end)
  if (digits !== null && dozen !== null) return exact(digits.low * 12, digits.end + dozen[0].length)
  const led = matchAt(BETWEEN, text, at)
  if (led !== null) return betweenAt(text, at + led[0].length, options)
  const first = digits ?? wordAt(text, at)
  if (first === null) return null
  const connector = matchAt(CONNECTOR, text, first.end)
  if (connector === null || connector[0].trim() === '') return first
  const start = first.end + connector[0].length
  const isWord = /[a-z]/i.test(connector[0])
  const second = digitsAt(text, start, options) ?? (isWord ? wordAt(text, start) : null)
  if (second === null || second.high <= first.low) return first
  return { low: first.low, high: second.high, end: second.end }
}
