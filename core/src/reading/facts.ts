import type { OperationId, Step, StepSettings } from '../model'
import type { DoingText } from './doings'
import { ON_HEAT, SLOW_COOKER } from './lexicon/things'
import { comesOut, untilIn } from './stepEnds'
import { settingsIn } from './stepSettings'
import { durationsIn, TAKES_SO_LONG, temperatureIn } from './stepTimes'

/** What a step's words say of how it is done. */
export type StepFacts = Pick<Step, 'operation' | 'durationMin' | 'tempC' | 'until' | 'settings'>

const BOILING_C = 99
const SIMMERING_C = 95
/** Water that is poured on hot cools in the bowl. @source practice */
const STEEPED_BOILING_C = 85
const STEEPED_HOT_C = 65
/** Times said of something else than the doing itself: "soaked 4 hours", "turn every 5 minutes". */
const NOT_ITS_TIME =
  /\b(?:every|after|soaked|stir(?:red|ring)? (?:at|after)|turn(?:ed|ing)? (?:at|after)|for the last|for last|(?<!\d ?°? ?[CF] )within|ahead|before|keeps?|lasts?)\s+(?:the first\s+|another\s+)?$/iu
const EACH_SIDE =
  /^[^.;,]{0,4}\s*(?:\/|a |per |each |on each |on either |on both |every )\s*(?:sides?|faces?)\b/iu
const BARE_MINUTES = /\b(?:for|another|for another|for a further)\s+(\d{1,3})(?=\s*(?:[.;,]|$))/iu
/** "Simmer 50", "boil 10 hard". */
const TERSE_MINUTES =
  /^(?:boil|simmer|steam|fry|rest|soak|poach|blanch|cook|chill|knead|stand|sweat) (\d{1,2})(?=\s*(?:$|[.,;)]|->|→|hard\b|gently\b|more\b|covered\b|then\b))/iu
const COUNTS = /\bcount(?:ing)? to (ten|twenty|thirty|\d+)\b/iu
const COUNT: Readonly<Record<string, number>> = { ten: 10, twenty: 20, thirty: 30 }

function minutesIn(text: string): number | null {
  for (const { minutes, at, end } of durationsIn(text)) {
    if (NOT_ITS_TIME.test(text.slice(Math.max(0, at - 28), at))) continue
    return EACH_SIDE.test(text.slice(end)) ? minutes * 2 : minutes
  }
  const last = durationsIn(text).find(({ at }) =>
    /\bfor (?:the )?last\s+$/iu.test(text.slice(Math.max(0, at - 16), at)),
  )
  if (
    last !== undefined &&
    /^\s*(?:(?:put|return|add|place|slide|drop|throw|tip)\b|[^.;]*\bin for (?:the )?last\b)/iu.test(text)
  )
    return last.minutes
  const bare = BARE_MINUTES.exec(text)
  return bare === null ? null : Number(bare[1])
}

/** Minutes of a doing: of its own clause first, then of what follows, last of what came before. */
function durationOf({ parsed, clauses, main }: DoingText): number | null {
  const of = ({ from, to }: { from: number; to: number }): number | null =>
    minutesIn(parsed.text.slice(from, to))
  const own = of(main)
  if (own !== null) return own
  for (const clause of clauses) {
    const isSaid = !clause.isRemark || TAKES_SO_LONG.test(parsed.text.slice(clause.from, clause.to))
    if (clause === main || !isSaid) continue
    const minutes = of(clause)
    if (minutes !== null) return minutes
  }
  const terse = TERSE_MINUTES.exec(parsed.text.slice(main.verbFrom, main.to))
  if (terse !== null) return Number(terse[1])
  const count = COUNTS.exec(parsed.text.slice(clauses[0]?.from, clauses.at(-1)?.to))
  return count === null ? null : (COUNT[count[1] ?? ''] ?? Number(count[1])) / 60
}

const OVEN_LEAD = /\b(?:oven|preheat|pre-heat)\b/iu
/** The words of a doing that tell how it is done: without those that heat the oven for a later one. */
function words({ parsed, clauses, main }: DoingText): string {
  return clauses
    .filter((clause) => clause === main || !clause.isRemark)
    .filter(
      (clause) => clause.from >= main.from || !OVEN_LEAD.test(parsed.text.slice(clause.from, clause.to)),
    )
    .map(({ from, to }) => parsed.text.slice(from, to))
    .join(', ')
}

const HEATS: ReadonlySet<OperationId> = new Set([
  'roast',
  'broil',
  'grill',
  'air-fry',
  'deep-fry',
  'shallow-fry',
  'heat',
  'hold',
  'culture',
  'dehydrate',
  'simmer',
  'boil',
  'cool',
  'chill',
  'infuse',
  'toast',
  'steam',
  'thicken',
  'rest',
  'soak',
  'hydrate',
  'coagulate',
  'marinate',
  'sear',
  'brown',
  'sweat',
  'mix',
  'blend',
  'pressure-cook',
  'reduce',
  'freeze-thaw',
  'drain',
  'whip',
])

function tempOf(text: string, operation: OperationId | null, isMain: string): number | null {
  if (operation !== null && !HEATS.has(operation)) return null
  const stated = temperatureIn(text)
  if (stated !== null) return stated
  if (operation === 'heat' || operation === 'boil') {
    if (/\bto (?:a|the) (?:gentle |rolling |full |slow |bare )*boil\b|\bto a bubble\b/iu.test(isMain))
      return BOILING_C
    if (/\bto (?:a|the) (?:gentle |bare )*simmer\b/iu.test(isMain)) return SIMMERING_C
  }
  if (operation !== 'soak' && operation !== 'hydrate' && operation !== 'infuse') return null
  if (/\b(?:just[- ])?boil(?:ing|ed) (?:hot )?(?:water|stock|broth)\b/iu.test(text)) return STEEPED_BOILING_C
  return /\bhot (?:water|stock|broth|liquid)\b/iu.test(text) ? STEEPED_HOT_C : null
}

const COVERED_BY =
  /^\s*(?:it|them|the (?:pan|pot|dish|casserole|bowl|slow cooker|wok|skillet))?\s*(?:tightly|again|partly|loosely)?\s*(?:with (?:a|the|its) (?:\w+ )?(?:lid|plate))?\s*(?:[.,;]|$)/iu

/** "Cover and cook 20 minutes": a clause of its own puts the lid on. A slow cooker has one. */
function withLid(settings: StepSettings, doing: DoingText, operation: OperationId | null): StepSettings {
  if (settings.lid !== null || operation === null || !ON_HEAT.has(operation)) return settings
  const isCovered = doing.clauses.some(
    ({ verb, verbTo, to, isRemark }) =>
      verb?.word === 'cover' && !isRemark && COVERED_BY.test(doing.parsed.bare.slice(verbTo, to)),
  )
  const isSlow = SLOW_COOKER.test(doing.parsed.text.slice(doing.from, doing.to))
  return isCovered || isSlow ? { ...settings, lid: 'on' } : settings
}

/**
 * How a doing is done, by its words: for how long, how hot, until when, and in what.
 * @returns every field null that the words do not state; times in min (the middle of a range), temperatures in C
 */
export function factsOf(doing: DoingText, operation: OperationId | null): StepFacts {
  const text = words(doing)
  const main = doing.parsed.text.slice(doing.main.from, doing.main.to)
  return {
    operation,
    durationMin: durationOf(doing),
    tempC: tempOf(text, operation, main),
    until: untilIn(text, operation) ?? comesOut(doing.parsed.text.slice(doing.from, doing.to)),
    settings: withLid(settingsIn(text, operation), doing, operation),
  }
}
