import type { OperationId, Step, StepSettings } from '../model'
import { LEXICON } from './lexicon'
import { masked, operationIn, TO_BOIL } from './operationIn'
import { untilIn } from './stepEnds'
import { settingsIn } from './stepSettings'
import { durationsIn, temperatureIn } from './stepTimes'

/** What a step's words say of how it is done. */
export type StepFacts = Pick<Step, 'operation' | 'durationMin' | 'tempC' | 'until' | 'settings'>

const BOILING_C = 99
const SIMMERING_C = 95

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
    tempC: temperatureIn(text) ?? (operation === 'heat' ? toBoilC(text) : steepC(text, operation)),
    until: untilIn(text, operation),
    settings: settingsIn(text, operation),
  }
}

/** Water that is poured on hot cools in the bowl. @source practice */
const STEEPED_BOILING_C = 85
const STEEPED_HOT_C = 65
function steepC(text: string, operation: OperationId | null): number | null {
  if (operation !== 'soak' && operation !== 'hydrate' && operation !== 'infuse') return null
  if (/\b(?:just[- ])?boil(?:ing|ed) (?:hot )?(?:water|stock|broth)\b/i.test(text)) return STEEPED_BOILING_C
  return /\bhot (?:water|stock|broth|liquid)\b/i.test(text) ? STEEPED_HOT_C : null
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
  const words = LEXICON.find(({ id }) => id === operation)?.words
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
