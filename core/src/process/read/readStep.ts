import {
  type Form,
  NO_SETTINGS,
  type OperationId,
  type Step,
  type StepSettings,
  type Until,
} from '../../model'
import { fahrenheitC, gasMarkC } from '../laws/conduction'
import { SPECS } from '../operations/specs'

/** What a step's words say of how it is done. */
export type StepFacts = Pick<Step, 'operation' | 'durationMin' | 'tempC' | 'until' | 'settings'>

/** Said beside nearly every other operation: they count only where nothing else is said. */
const MINOR: ReadonlySet<OperationId> = new Set([
  'mix',
  'rest',
  'cool',
  'heat',
  'drain',
  'wrap',
  'chop',
  'trim',
  'thicken',
  'hold',
])
/** They tell how, beside one that tells what: "form patties and bake" is baking of patties. */
const LESSER: ReadonlySet<OperationId> = new Set([
  'shape',
  'coat',
  'chill',
  'squeeze',
  'press',
  'toast',
  'whip',
  'absorb',
  'grate',
  'mash',
])
/** Words that only look like an operation. */
const NOT_OPERATIONS =
  /\b(?:baking (?:powder|soda|sheet|tray|paper|dish)|frying pan|saut[eé] pan|roasting tin|food processor|steam(?:er)? basket|boiling (?:water|stock)|toasted|roasted|soaked|drained|pressed|mashed|chopped|sliced|cooked|browned|fried|baked|smoked|marinated|blended|grated|dried|shredded|crumbled|no steam|cooled?|chilled|the press|to press|reduced[- ](?:salt|sodium)|cream(?:ed)?|set aside|the rest|rest of|a rolling boil|(?:comes?|brings?|bring (?:it|them|the \p{L}+)|return) (?:just |back |up )*to (?:a|the) (?:gentle |rolling |full )?(?:boil|simmer)|to the boil|to a (?:simmer|boil)|cutting board|pastry brush|hot water|brown (?:rice|sugar|lentils?)|golden brown|(?:deep|lightly|nicely|well|edges?) brown|until (?:the edges |they |it |evenly |just )?(?:brown|browns|browned)|grill pan|heat[- ]?proof|over (?:a )?(?:low|medium|high|gentle)[- ]?(?:high|low)? heat|off the heat)\b/giu

const masked = (text: string): string => text.replace(NOT_OPERATIONS, (found) => ' '.repeat(found.length))

/** "Bring to the boil": heating with an end of its own. */
const TO_BOIL =
  /\b(?:bring|comes?|heat|return)\b[^.;]{0,40}\bto (?:a|the) (?:gentle |rolling |full )?(boil|simmer)\b/i
const BOILING_C = 99
const SIMMERING_C = 95

/** A step that is no more than an operation's name, with or without a heat: "Pulse.", "Steam at 100 °C." */
const BY_NAME: ReadonlyMap<string, OperationId> = new Map(
  SPECS.map(({ id, name }) => [name.toLowerCase(), id]),
)
const NAME_END = /(?:\s+at\s+-?\d+\s*°?\s*C)?\s*\.?\s*$/i

/** The unit operation that a text is about: the first one that is named in earnest, or null. */
export function operationIn(text: string): OperationId | null {
  const bareName = BY_NAME.get(text.replace(NAME_END, '').trim().toLowerCase())
  if (bareName !== undefined) return bareName
  const bare = masked(text)
  const found = SPECS.flatMap(({ id, words }) => {
    const at = bare.search(words)
    return at < 0 ? [] : [{ id, at }]
  }).sort((a, b) => a.at - b.at)
  const earnest = found.filter(({ id }) => !MINOR.has(id))
  const strong = preferred(earnest.filter(({ id }) => !LESSER.has(id)))
  if (strong !== null) return strong
  const lesser = earnest[0]?.id
  if (lesser !== undefined) return lesser
  if (TO_BOIL.test(text)) return 'heat'
  return (found.find(({ id }) => id !== 'mix') ?? found[0])?.id ?? null
}

/** Names that hold another's word: "deep-fry" holds "fry", "pressure-cook" holds "cook". */
const HOLDS: readonly (readonly [OperationId, readonly OperationId[]])[] = [
  ['deep-fry', ['shallow-fry']],
  ['air-fry', ['shallow-fry']],
  ['pressure-cook', ['heat', 'simmer', 'boil']],
  ['water-saute', ['brown', 'sweat']],
  ['wash-gluten', ['rinse']],
  ['toast', ['roast']],
]
function preferred(found: readonly { readonly id: OperationId }[]): OperationId | null {
  for (const [id, others] of HOLDS)
    if (found.some((one) => one.id === id) && found.every((one) => one.id === id || others.includes(one.id)))
      return id
  return found[0]?.id ?? null
}

const NUMBER = String.raw`(\d+(?:[.,]\d+)?|½|¼|¾|a|an|one|two|three|four|five|six|eight|ten|twelve|fifteen|twenty|thirty|forty|a couple of|(?:a )?quarter of an|three[- ]quarters of an|half an?)(?:\s*(½|¼|¾))?`
const UNIT = String.raw`(seconds?|secs?|s\b|minutes?|mins?|min|hours?|hrs?|hr|h\b|days?|weeks?)`
const DURATION = new RegExp(
  String.raw`(?<![\p{L}\d])${NUMBER}(?:\s*(?:-|–|to|or)\s*${NUMBER})?[\s-]*${UNIT}`,
  'giu',
)
const WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  'a couple of': 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  eight: 8,
  ten: 10,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
  'quarter of an': 0.25,
  'a quarter of an': 0.25,
  'three quarters of an': 0.75,
  'three-quarters of an': 0.75,
  'half a': 0.5,
  'half an': 0.5,
}
const OVERNIGHT_MIN = 600
const MOST_MIN = 100_000

const valueOf = (word: string | undefined, fraction: string | undefined): number | null => {
  if (word === undefined) return null
  const whole = WORDS[word.toLowerCase()] ?? Number(word.replace(',', '.'))
  return Number.isFinite(whole) ? whole + (fraction === undefined ? 0 : (WORDS[fraction] ?? 0)) : null
}
const UNIT_MIN: Readonly<Record<string, number>> = { s: 1 / 60, m: 1, h: 60, d: 1440, w: 10_080 }
const perUnit = (unit: string): number => UNIT_MIN[unit.charAt(0).toLowerCase()] ?? 1

/** Durations that a text states, in min; the middle of a range. */
export function durationsIn(text: string): { readonly minutes: number; readonly at: number }[] {
  const found: { minutes: number; at: number; end: number }[] = []
  for (const match of text.matchAll(DURATION)) {
    const low = valueOf(match[1], match[2])
    const high = valueOf(match[3], match[4]) ?? low
    const unit = match[5] ?? 'min'
    if (low === null || high === null) continue
    // "As" is no second: a number in letters stands apart from its unit.
    if (/\p{L}$/u.test(match[1] ?? '') && /^\p{L}/u.test(match[0].slice((match[1] ?? '').length))) continue
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
  const overnight = /\bover-?night\b/i.exec(text)
  if (overnight !== null) found.push({ minutes: OVERNIGHT_MIN, at: overnight.index, end: overnight.index })
  return found.map(({ minutes, at }) => ({ minutes: Math.min(MOST_MIN, minutes), at }))
}

const CELSIUS = /(-?\d{1,4})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:°|º|degrees?|deg)?\s*C\b(?!up)/
const FAHRENHEIT = /(\d{2,4})(?:\s*(?:-|–|to)\s*(\d{2,3}))?\s*(?:°|º|degrees?|deg)?\s*F\b/
const GAS = /\bgas(?: mark)?\s*(\d+|½|¼)/i
/** "900 degrees": three digits or more, whatever the scale. */
const ABSURD = /\b\d{3,}\s*(?:°|º|degrees?\b|deg\b)/i
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
  const bare = BARE_OVEN.exec(text)
  if (bare === null) return null
  const value = Number(bare[1])
  return sensible(value >= 275 ? fahrenheitC(value) : value)
}
/** Whether a text states a temperature, sensible or not. */
export const statesHeat = (text: string): boolean =>
  CELSIUS.test(text) || FAHRENHEIT.test(text) || ABSURD.test(text)
const sensible = (value: number): number | null => (value >= -40 && value <= 400 ? value : null)

const PERCENT_LIGHTER =
  /(\d{1,2})\s*%\s*(?:lighter|less|of (?:its|the|their) (?:weight|mass|water) (?:is |has )?(?:gone|lost))|loses?\s+(\d{1,2})\s*%/i
const PERCENT_LEFT = /\bto\s+(\d{1,2})\s*%\s*(?:of (?:its|the|their))?|(\d{1,2})\s*% (?:is |are )?left/i
const TO_MASS =
  /\b(?:to|until (?:it |they )?(?:weighs?|shows?)|down to|weighing)\s+(?:about\s+)?(\d+(?:[.,]\d+)?)\s*(g|kg|grams?)\b(?!\s*(?:each|pieces?|balls?|patties|portions?|per|of ))/i
const BY_FRACTION: readonly (readonly [RegExp, number])[] = [
  [
    /\b(?:reduced? )?by (?:a |one )?half\b|\buntil (?:it (?:is|has) )?(?:reduced (?:by|to) )?half(?:ed)?\b|\bhalved\b|\breduce to half\b/i,
    0.5,
  ],
  [/\bby (?:a |one )?third\b/i, 2 / 3],
  [/\bby (?:a |one )?quarter\b/i, 0.75],
  [/\bby two[- ]thirds\b/i, 1 / 3],
]
const DRY_PAN =
  /\buntil (?:the )?(?:pan|mushrooms?|mix|mince|bottom|water|liquid|juices?|they|it)?\s*(?:is|are|has|have|runs?)?\s*(?:completely |all |quite )?(?:dry|evaporated|cooked off|boiled off|gone)\b|\bno (?:more )?steam\b|\buntil dry\b/i

/** What ends a step besides the clock. */
export function untilIn(text: string, operation: OperationId | null): Until | null {
  const lighter = PERCENT_LIGHTER.exec(text)
  if (lighter !== null) {
    const fraction = 1 - Number(lighter[1] ?? lighter[2]) / 100
    return fraction >= 0.02 ? { kind: 'keeps', fraction } : null
  }
  const left = PERCENT_LEFT.exec(text)
  if (left !== null) return { kind: 'keeps', fraction: Math.max(0.02, Number(left[1] ?? left[2]) / 100) }
  const mass = operation === 'shape' || operation === 'mix' ? null : TO_MASS.exec(text)
  if (mass !== null) {
    const massG = Number((mass[1] ?? '').replace(',', '.')) * (/^kg/i.test(mass[2] ?? '') ? 1000 : 1)
    if (massG > 0 && massG <= 1e6) return { kind: 'mass', massG }
  }
  if (operation === 'reduce' || operation === 'simmer')
    for (const [words, fraction] of BY_FRACTION) if (words.test(text)) return { kind: 'keeps', fraction }
  return DRY_PAN.test(text) ? { kind: 'dry' } : null
}

const FORMS: readonly (readonly [RegExp, Form])[] = [
  [/\bpatt(?:y|ies)\b|\bburgers?\b|\bcutlets?\b|\bsteaks?\b/i, 'patty'],
  [/\bballs?\b|\bkeftedes\b|\bfalafels?\b|\bdumplings?\b/i, 'ball'],
  [/\blogs?\b|\bsausages?\b|\broulades?\b/i, 'log'],
  [/\bloa(?:f|ves)\b|\bterrine\b/i, 'loaf'],
  [/\bstrips?\b|\brashers?\b|\bribbons?\b/i, 'strip'],
  [/\bcubes?\b/i, 'cube'],
  [/\bnuggets?\b|\bbreaded\b/i, 'breaded'],
  [/\bspread\b.{0,30}\b(?:thin|tray|sheet|out)\b|\bcrumbles?\b|\bin a thin layer\b/i, 'crumble'],
]
const CM = /(\d+(?:\.\d+)?)\s*-?\s*cm\b/i
const MM = /(\d+(?:\.\d+)?)\s*-?\s*mm\b/i
const ADDITIONS =
  /(\d+|two|three|four|five|six|eight)\s+(?:additions?|splashes)[^.]{0,24}?(\d+)\s*(?:g|ml)\b|(\d+)\s*(?:g|ml)\s+(?:of \w+ )?(?:at a time|additions?|splashes)/i
const WATER =
  /\b(?:pour in|add|with|in)\s+(\d+(?:[.,]\d+)?)\s*(ml|g|l|litres?|liters?)\s+(?:of\s+)?(?:cold |hot |boiling |warm |fresh )?water\b/i

function settingsIn(text: string, operation: OperationId | null): StepSettings {
  const cm = CM.exec(text)
  const mm = MM.exec(text)
  const isPan =
    cm !== null &&
    /^\s*(?:frying |saut[eé] |wide |dry |non-?stick |cast-iron )*(?:pan|skillet|pot|saucepan|casserole)/i.test(
      text.slice((cm.index || 0) + cm[0].length),
    )
  const additions = ADDITIONS.exec(text)
  const water = WATER.exec(text)
  const form = FORMS.find(([words]) => words.test(text))?.[1] ?? null
  return {
    ...NO_SETTINGS,
    vessel: /\bfood processor\b/i.test(text)
      ? 'processor'
      : /\bair[- ]?fryer\b/i.test(text)
        ? 'air-fryer'
        : /\bsaucepan|\bpot\b|\bcasserole\b/i.test(text)
          ? 'pot'
          : /\b(?:frying |saut[eé] |dry |wide )?(?:pan|skillet)\b/i.test(text)
            ? 'pan'
            : null,
    vesselCm: isPan ? Number(cm[1]) : null,
    heat: /\b(?:high|fierce|strong) heat\b|\bover high\b|\bhigh\b(?=[^.]{0,12}(?:,|min))/i.test(text)
      ? 'high'
      : /\b(?:low|gentle) heat\b|\bgently\b|\bover low\b/i.test(text)
        ? 'low'
        : /\bmedium(?:-high)? heat\b/i.test(text)
          ? 'medium'
          : null,
    lid: /\blid (?:ajar|half)|\bhalf[- ]covered|\bpart(?:ly|ially) covered/i.test(text)
      ? 'ajar'
      : /\b(?:uncovered|lid off|without (?:a|the) lid|take the lid off)\b/i.test(text)
        ? 'off'
        : /\b(?:covered|lid on|with (?:a|the) lid|cover(?: the pan| it)? and|under a lid)\b/i.test(text) &&
            !/\bcovered? with (?:water|cold|plenty)/i.test(text)
          ? 'on'
          : null,
    isFan: /\bfan\b|\bconvection\b/i.test(text)
      ? true
      : /\b(?:no fan|conventional|top and bottom heat)\b/i.test(text)
        ? false
        : null,
    isWrapped: /\bwrap(?:ped)?\b|\bin foil\b|\bfoil parcel/i.test(text) && operation !== 'rest',
    form,
    thicknessMm:
      mm !== null
        ? Number(mm[1])
        : cm !== null && !isPan && /\bthick|\bslices?|\blayer|\bpieces?|\bcubes?|\blogs?|\bacross/i.test(text)
          ? Number(cm[1]) * 10
          : null,
    layer: /\b(?:single|one|thin|even) layer\b|\bwithout crowding\b|\bspread (?:out )?thin/i.test(text)
      ? 'single'
      : /\b(?:deep|thick) layer\b|\bpiled?\b/i.test(text)
        ? 'deep'
        : null,
    waterG:
      water === null
        ? null
        : Math.min(
            1e6,
            Number((water[1] ?? '0').replace(',', '.')) * (/^l/i.test(water[2] ?? '') ? 1000 : 1),
          ),
    additions:
      additions === null
        ? null
        : {
            count: Math.min(60, Math.max(1, valueOf(additions[1], undefined) ?? 4)),
            massG: Math.min(5000, Number(additions[2] ?? additions[3] ?? 20) || 20),
          },
    isDrained: isDrainedAfter(text, operation) ? true : null,
  }
}

const DRAINED_AFTER: ReadonlySet<OperationId> = new Set([
  'soak',
  'boil',
  'simmer',
  'pressure-cook',
  'hydrate',
  'absorb',
])
const DRAINS =
  /\bdrain(?:ed)?\b|\bstrain off\b|\b(?:discard|pour off|throw out) the (?:water|liquid|soaking)/i

/** "Boil 30 minutes, then drain" pours the pot off at the end; "drain the beans and boil them" does not. */
function isDrainedAfter(text: string, operation: OperationId | null): boolean {
  if (operation === null || !DRAINED_AFTER.has(operation)) return false
  const at = masked(text).search(SPECS.find(({ id }) => id === operation)?.words ?? /^/)
  return DRAINS.test(text.slice(Math.max(0, at)))
}

/** Times said of something else than the step's own operation: "soaked 4 hours", "turn every 5 minutes". */
const NOT_ITS_TIME =
  /\b(?:every|each|after|soaked|stir(?:red|ring)? (?:at|after)|turn(?:ed|ing)? (?:at|after)|for the last|within)\s+(?:the first\s+)?$/i

/**
 * Reads one step: what is done, for how long, how hot, until when, and in what.
 *
 * @param text words of a cook; a recipe's sentence or a short note like "roast 200C fan 25 min, single layer"
 * @returns every field null that the words do not state; times in min (the middle of a range), temperatures in C
 */
export function readStep(text: string): StepFacts {
  const operation = operationIn(text)
  const times = durationsIn(text).filter(({ at }) => !NOT_ITS_TIME.test(text.slice(Math.max(0, at - 28), at)))
  return {
    operation,
    durationMin: mainTime(text, operation, times),
    tempC: temperatureIn(text) ?? (operation === 'heat' ? toBoilC(text) : null),
    until: untilIn(text, operation),
    settings: settingsIn(text, operation),
  }
}

function toBoilC(text: string): number | null {
  const found = TO_BOIL.exec(text)
  return found === null ? null : found[1]?.toLowerCase() === 'boil' ? BOILING_C : SIMMERING_C
}

/** Of several times, the one that stands after the operation's own word, before another is named. */
function mainTime(
  text: string,
  operation: OperationId | null,
  times: readonly { minutes: number; at: number }[],
): number | null {
  const [first] = times
  if (first === undefined) return null
  const words = SPECS.find(({ id }) => id === operation)?.words
  const at = words === undefined ? 0 : Math.max(0, masked(text).search(words))
  return (times.find((time) => time.at > at) ?? first).minutes
}

/** A step read anew from its words; what was set by hand stays. */
export function rereadStep(step: Step, text: string): Step {
  const read = readStep(text)
  const hand = new Set<string>(step.byHand)
  const settings = Object.fromEntries(
    Object.entries(read.settings).map(([key, value]) => [
      key,
      hand.has(key) ? step.settings[key as keyof StepSettings] : value,
    ]),
  ) as StepSettings
  return {
    ...step,
    text,
    operation: hand.has('operation') ? step.operation : read.operation,
    durationMin: hand.has('durationMin') ? step.durationMin : read.durationMin,
    tempC: hand.has('tempC') ? step.tempC : read.tempC,
    until: hand.has('until') ? step.until : read.until,
    settings,
  }
}

/** What a person can set on a step against its words. */
export type HandChange = Partial<Pick<Step, 'operation' | 'durationMin' | 'tempC' | 'until'> & StepSettings>

/** A step with some of its facts set by hand: from now on new words leave those alone. */
export function setByHand(step: Step, change: HandChange): Step {
  const { operation, durationMin, tempC, until, ...settings } = change
  const named = Object.keys(change) as (typeof step.byHand)[number][]
  return {
    ...step,
    ...(operation === undefined ? {} : { operation }),
    ...(durationMin === undefined ? {} : { durationMin }),
    ...(tempC === undefined ? {} : { tempC }),
    ...(until === undefined ? {} : { until }),
    settings: { ...step.settings, ...settings },
    byHand: [...new Set([...step.byHand, ...named])],
  }
}

/** A step that follows its words again in everything. */
export const followWords = (step: Step): Step => rereadStep({ ...step, byHand: [] }, step.text)

/** A new step from its words. */
export function stepFrom(text: string, id: string): Step {
  return {
    id,
    text: text.slice(0, 4000),
    ...readStep(text.slice(0, 4000)),
    byHand: [],
    uses: null,
    weighedG: null,
    cue: null,
    remedy: null,
  }
}
