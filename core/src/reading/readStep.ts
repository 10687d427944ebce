import { NO_SETTINGS, type OperationId, type Step, type StepSettings } from '../model'
import { doingsIn, type DoingText } from './doings'
import { factsOf, type StepFacts } from './facts'
import { NO_WORDS, type OwnWords } from './lexicon/ownWords'
import { OPERATION_NAMES } from './lexicon/operations'
import { refined } from './refine'
import { asOne } from './asOne'
import { nothingTaken } from './takes'

/** A step that is no more than an operation's name, with or without a heat: "Pulse.", "Steam at 100 °C." */
const BY_NAME: ReadonlyMap<string, OperationId> = new Map(
  (Object.entries(OPERATION_NAMES) as [OperationId, string][]).map(([id, name]) => [name.toLowerCase(), id]),
)
const NAME_END = /(?:\s+at\s+-?\d+\s*°?\s*C)?\s*\.?\s*$/i

const DRAINED_AFTER: ReadonlySet<OperationId> = new Set([
  'soak',
  'boil',
  'simmer',
  'pressure-cook',
  'hydrate',
  'absorb',
])

/** "Boil 30 minutes, then drain" pours the pot off at the end; "drain the beans and boil them" does not. */
const isDrainedAfter = (text: string, main: DoingText, own: OwnWords): boolean =>
  doingsIn(text, own).some(
    ({ operation, from }) => (operation === 'drain' || operation === 'strain') && from > main.from,
  )

/**
 * Reads one step: what is done, for how long, how hot, until when, and in what.
 *
 * @param text words of a cook; a recipe's sentence or a short note like "roast 200C fan 25 min, single layer". Of several
 *   doings the one that changes the food most is meant.
 * @param own verbs that the kitchen has taught
 * @returns every field null that the words do not state; times in min (the middle of a range), temperatures in C
 */
export function readStep(text: string, own: OwnWords = NO_WORDS): StepFacts {
  const named = BY_NAME.get(text.replace(NAME_END, '').trim().toLowerCase())
  const doing = asOne(text, own)
  if (doing === null)
    return { operation: null, durationMin: null, tempC: null, until: null, settings: NO_SETTINGS }
  // Words that only name things tell of no doing by themselves.
  const isFragment =
    doing.main.verb === null &&
    doing.operation === 'mix' &&
    !/\b(?:in|into|over|on top|with)\b|\+/iu.test(text)
  const read = isFragment || doing.operation === null ? null : refined(doing, nothingTaken(), null, null)
  const operation = named ?? read
  const facts = factsOf(doing, operation)
  const isDrained = operation !== null && DRAINED_AFTER.has(operation) && isDrainedAfter(text, doing, own)
  return isDrained ? { ...facts, settings: { ...facts.settings, isDrained: true } } : facts
}

/** A step read anew from its words; what was set by hand stays. */
export function rereadStep(step: Step, text: string, own: OwnWords = NO_WORDS): Step {
  const read = readStep(text, own)
  // What the list made of "cook" stays while the words say no other doing.
  const isSame = readStep(step.text, own).operation === read.operation
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
    operation: hand.has('operation') || isSame ? step.operation : read.operation,
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
export const followWords = (step: Step, own: OwnWords = NO_WORDS): Step =>
  rereadStep(
    {
      ...step,
      byHand: [],
      operation: step.byHand.includes('operation') ? readStep(step.text, own).operation : step.operation,
    },
    step.text,
    own,
  )

/** A new step from its words. */
export function stepFrom(text: string, id: string, own: OwnWords = NO_WORDS): Step {
  return {
    id,
    text: text.slice(0, 4000),
    ...readStep(text.slice(0, 4000), own),
    byHand: [],
    uses: null,
    weighedG: null,
    cue: null,
    remedy: null,
  }
}
