import { COUNT_WORDS, fahrenheitC, gasMarkC } from '../measure'

const NUMBER = String.raw`(\d+\s+\d\/\d|\d\/\d|\d+(?:[.,]\d+)?|½|¼|¾|a couple(?: of)?|a few|(?:twenty|thirty|forty|fifty)[- ](?:one|two|three|four|five|six|seven|eight|nine)|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety|(?:a )?half(?= hours?\b)|an|a|(?:a )?quarter of an|three[- ]quarters of an|half an?)(?:\s*(½|¼|¾))?`
const UNIT = String.raw`(seconds?|secs?|s\b|minutes?|mins?|min|hours?|hrs?|hr|h\b|days?|weeks?)`
const DURATION = new RegExp(
  String.raw`(?<![a-zß-ɏ\d])${NUMBER}(?:\s*(?:-|–|to|or)\s*${NUMBER})?[\s-]*(?:(?:good|full|whole|further|more|extra) )?${UNIT}`,
  'giu',
)
const WORDS: Readonly<Record<string, number>> = {
  ...COUNT_WORDS,
  a: 1,
  an: 1,
  'a couple of': 2,
  'a couple': 2,
  'a few': 3,
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
  'quarter of an': 0.25,
  'a quarter of an': 0.25,
  'three quarters of an': 0.75,
  'three-quarters of an': 0.75,
  'half a': 0.5,
  'half an': 0.5,
  half: 0.5,
  'a half': 0.5,
}
const PARTS_OF_AN_HOUR: Readonly<Record<string, number>> = {
  'a half': 0.5,
  half: 0.5,
  'a quarter': 0.25,
  'three quarters': 0.75,
}
const OVERNIGHT_MIN = 600
const MOST_MIN = 100_000

export const valueOf = (word: string | undefined, fraction: string | undefined): number | null => {
  if (word === undefined) return null
  const ascii = /^(?:(\d+)\s+)?(\d)\/(\d)$/.exec(word)
  if (ascii !== null) return Number(ascii[1] ?? 0) + Number(ascii[2]) / Math.max(1, Number(ascii[3]))
  const whole = WORDS[word.toLowerCase()] ?? Number(word.replace(',', '.'))
  return Number.isFinite(whole) ? whole + (fraction === undefined ? 0 : (WORDS[fraction] ?? 0)) : null
}
const UNIT_MIN: Readonly<Record<string, number>> = { s: 1 / 60, m: 1, h: 60, d: 1440, w: 10_080 }
const perUnit = (unit: string): number => UNIT_MIN[unit.charAt(0).toLowerCase()] ?? 1

/** A text without any of these states no time. */
const OVERNIGHT =
  /\bover-?night\b|\bo\/n\b|\b(?:for |the |during )?(?:a|one|the whole|all) night\b(?! before)|\bsince (?:last night|yesterday)\b/iu
const NAMES_TIME =
  /\d\s?['′](?![\da-zß-ɏ])|\bo\/n\b|(?:seconds?|secs?|minutes?|mins?|hours?|hrs?|days?|weeks?|over-?night|\bnight\b)|[\d½¼¾\s-][smh]\b/iu
/** "2'" is two minutes, "o/n" overnight. */
const PRIME = /(?<![\d\p{L}.])(\d{1,3})(?:\s?-\s?(\d{1,3}))?\s?['′](?![\d\p{L}'])/gu

/** "Cooks down for five.": a number in letters at the end of its clause is minutes. */
const BARE =
  /\b(?:cook|simmer|bubble|fry|fries|bake|roast|steam|rest|stand|sit|blip|go|drain|cool|soak|chill)(?:s|es|ing)?\b[^.;,\d]{0,16}\bfor (?:about |another )?(two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty)(?=\s*(?:[.,;:]|$))/giu

/** "For the last three", "give them another five": a number at the end of its clause is minutes. */
const MORE_BARE =
  /\b(?:(?:for|in) the (?:last|final)|(?:for |give (?:it|them) |have )(?:another|a further)) (\d{1,2}|two|three|four|five|six|seven|eight|nine|ten|twelve|fifteen|twenty|thirty)(?=\s*(?:[.,;:!]|or so\b|$|on (?:the|each) (?:other|second|side)\b))/giu

const BEFORE_THE_MEAL = /^\s*before (?:dinner|lunch|supper|breakfast|the meal|(?:the |your )?guests)\b/iu

/** Durations that a text states, in min; the middle of a range. */
export function durationsIn(
  text: string,
): { readonly minutes: number; readonly at: number; readonly end: number }[] {
  const found: { minutes: number; at: number; end: number }[] = []
  for (const match of [...text.matchAll(BARE), ...text.matchAll(MORE_BARE)]) {
    const minutes = valueOf(match[1], undefined)
    const end = match.index + match[0].length
    if (minutes !== null) found.push({ minutes, at: end - (match[1] ?? '').length, end })
  }
  if (!NAMES_TIME.test(text)) return found
  for (const match of text.matchAll(DURATION)) {
    const low = valueOf(match[1], match[2])
    const high = valueOf(match[3], match[4]) ?? low
    const unit = match[5] ?? 'min'
    if (low === null || high === null) continue
    // "As" is no second: a number in letters stands apart from its unit.
    if (/\p{L}$/u.test(match[1] ?? '') && /^\p{L}/u.test(match[0].slice((match[1] ?? '').length))) continue
    // "But for 2 minutes less" is no time of its own.
    if (/^\s*(?:less|fewer|short|shy)\b/iu.test(text.slice(match.index + match[0].length))) continue
    // "An hour before dinner" is when.
    if (BEFORE_THE_MEAL.test(text.slice(match.index + match[0].length))) continue
    // "A second pan" is another one.
    if (/^a$/iu.test(match[1] ?? '') && /^second$/iu.test(unit)) continue
    const minutes = ((low + high) / 2) * perUnit(unit)
    const last = found.at(-1)
    // "1 h 30 min" is one time.
    if (
      last !== undefined &&
      match.index - last.end <= 5 &&
      /^[\s,]*(?:and\s*)?$/.test(text.slice(last.end, match.index)) &&
      minutes < last.minutes
    ) {
      last.minutes += minutes
      last.end = match.index + match[0].length
    } else found.push({ minutes, at: match.index, end: match.index + match[0].length })
  }
  // "1 h 45".
  for (const one of found) {
    const rest = /^\s?([0-5]\d)\b(?!\s*(?:°|C\b|F\b|g\b|ml\b|%))/u.exec(text.slice(one.end))
    if (rest === null || one.minutes % 60 !== 0 || !/h(?:ours?|rs?)?$/iu.test(text.slice(one.at, one.end)))
      continue
    one.minutes += Number(rest[1])
    one.end += rest[0].length
  }
  const more = /\b(?:a|an|one) (?:minute|hour) and (a half|half|a quarter|three[- ]quarters)\b/iu.exec(text)
  if (more !== null) {
    const last = found.find(({ at }) => at === more.index)
    if (last !== undefined) {
      last.minutes *= 1 + (PARTS_OF_AN_HOUR[more[1]?.toLowerCase().replace('-', ' ') ?? ''] ?? 0)
      last.end = more.index + more[0].length
    }
  }
  // "For another minute".
  for (const match of text.matchAll(/\b(?:another|last|final|further) (minute|hour)\b/giu))
    found.push({ minutes: perUnit(match[1] ?? 'm'), at: match.index, end: match.index + match[0].length })
  for (const match of text.matchAll(PRIME)) {
    const [low, high] = [Number(match[1]), Number(match[2] ?? match[1])]
    found.push({ minutes: (low + high) / 2, at: match.index, end: match.index + match[0].length })
  }
  // "A minute or two".
  if (/ or (?:two|three)\b/iu.test(text))
    for (const match of text.matchAll(/\b(?:a|an|one) (second|minute|hour|day) or (two|three|so)\b/giu)) {
      const first = found.find(({ at }) => at === match.index)
      if (first === undefined || match[2] === 'so') continue
      first.minutes = ((1 + (WORDS[match[2] ?? ''] ?? 1)) / 2) * perUnit(match[1] ?? 'm')
      first.end = match.index + match[0].length
    }
  // "5 mins, toss, 5 more".
  if (found.length > 0 && / (?:more|longer)\b/iu.test(text))
    for (const match of text.matchAll(
      /\b(\d{1,2}|two|three|four|five|six|eight|ten) (?:more|longer)\b(?=\s*(?:[.,;!)]|$))/giu,
    )) {
      const minutes = valueOf(match[1], undefined)
      if (minutes !== null && !found.some(({ at, end }) => match.index >= at && match.index < end))
        found.push({ minutes, at: match.index, end: match.index + match[0].length })
    }
  found.sort((a, b) => a.at - b.at)
  const overnight = OVERNIGHT.exec(text)
  if (overnight !== null) found.push({ minutes: OVERNIGHT_MIN, at: overnight.index, end: overnight.index })
  return found.map(({ minutes, at, end }) => ({ minutes: Math.min(MOST_MIN, minutes), at, end }))
}

/** "This should take about 3 minutes." */
export const TAKES_SO_LONG =
  /^\s*(?:this|it|that|the whole thing)\s+(?:should |will |may |can |usually |normally )*takes? (?:only |just |about |around |roughly |up to |between )*(?:\d|a |an |two|three|four|five|six|eight|ten|twelve|fifteen|twenty|thirty)/iu

const CELSIUS = /(-?\d{1,4})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:°|º|degrees?|deg)?\s*C\b(?!up)/
const FAHRENHEIT = /(\d{2,4})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:°|º|degrees?|deg)?\s*F\b/
const GAS = /\bgas(?: mark)?\s*(\d+|½|¼)/i
/** "900 degrees": three digits or more, whatever the scale. */
const ABSURD = /\b\d{3,}\s*(?:°|º|degrees?\b|deg\b)/i
/** "43 degrees", "180°": the scale is told by what is done. */
const BARE_DEGREES =
  /\b(\d{2,3})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:°|º|degrees?\b|deg\b)(?!\s*(?:[CF]\b|angle))/i
const IS_ANGLE = /\bangle|\bturn|\brotat|\bdiagonal|\bbias\b|\bslant/i
/** From here on an oven, or oil, can only be meant in the other scale. */
const SURELY_F = 275
/** Warm milk, yeast and cultures of kitchens that count in the other scale. */
const WARM_F: readonly [number, number] = [95, 130]
const IS_WARMED = /\b(?:warm|lukewarm|yogh?urt|yeast|culture|incubat\w*|tepid)\b/i
const BARE_OVEN = /\b(?:oven|bake|roast)[^.]{0,40}?\bat\s+(\d{3})\b(?!\s*(?:g|ml|min))/i

const middle = (low: string | undefined, high: string | undefined): number =>
  (Number(low) + Number(high ?? low)) / 2

/** The temperature that a text states, in C; null where it states none that makes sense. */
export function temperatureIn(text: string): number | null {
  const celsius = CELSIUS.exec(text)
  if (celsius !== null) return sensible(middle(celsius[1], celsius[2]))
  const fahrenheit = FAHRENHEIT.exec(text)
  if (fahrenheit !== null) return sensible(fahrenheitC(middle(fahrenheit[1], fahrenheit[2])))
  const gas = GAS.exec(text)
  if (gas !== null) return sensible(gasMarkC(valueOf(gas[1], undefined) ?? 4))
  const degrees = IS_ANGLE.test(text) ? null : BARE_DEGREES.exec(text)
  if (degrees !== null) {
    const value = middle(degrees[1], degrees[2])
    const isF = value >= SURELY_F || (value >= WARM_F[0] && value <= WARM_F[1] && IS_WARMED.test(text))
    return sensible(isF ? fahrenheitC(value) : value)
  }
  const bare = BARE_OVEN.exec(text)
  if (bare === null) return null
  const value = Number(bare[1])
  return sensible(value >= 275 ? fahrenheitC(value) : value)
}
/** Whether a text states a temperature, sensible or not. */
export const statesHeat = (text: string): boolean =>
  CELSIUS.test(text) || FAHRENHEIT.test(text) || ABSURD.test(text)
const sensible = (value: number): number | null => (value >= -40 && value <= 400 ? value : null)
