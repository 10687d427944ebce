import type { OperationId } from '../model'
import { parse } from './clauses'
import { type DoingText, doingsIn } from './doings'
import { NO_WORDS, type OwnWords } from './lexicon/ownWords'

/** The words of a step as one doing, whatever they say: what was set by hand stands even where they say nothing. */
export function asOne(text: string, own: OwnWords = NO_WORDS): DoingText | null {
  const all = doingsIn(text, own)
  const [first] = all
  const last = all.at(-1)
  if (first === undefined || last === undefined) {
    const parsed = parse(text, own)
    const [main] = parsed.clauses
    return main === undefined
      ? null
      : {
          from: 0,
          to: text.length,
          parsed,
          clauses: parsed.clauses,
          active: [main],
          main,
          operation: null,
          isOptional: false,
          sharesNext: false,
        }
  }
  if (all.length === 1) return first
  const strong = strongest(all)
  return {
    ...strong,
    from: first.from,
    to: last.to,
    clauses: all.flatMap(({ clauses }) => clauses),
    active: all.flatMap(({ active }) => active),
    sharesNext: false,
  }
}

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

/** The doing of several that changes the food most. */
function strongest(all: readonly DoingText[]): DoingText {
  const real = all.filter(({ operation }) => operation !== null)
  const earnest = real.filter(({ operation }) => operation !== null && !MINOR.has(operation))
  const found =
    earnest.find(({ operation }) => operation !== null && !LESSER.has(operation)) ??
    earnest[0] ??
    real.find(({ operation }) => operation !== 'mix') ??
    real[0] ??
    all[0]
  if (found === undefined) throw new Error('strongest: no doing')
  return found
}
