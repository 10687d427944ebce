import { NO_WORDS, type OwnWords } from './lexicon/ownWords'
import { ADVERBS, CONNECTIVES, DETERMINERS, PREPOSITIONS, SUBJECTS } from './lexicon/particles'
import { type FoundVerb, isPastToo, type Verb, verbOf } from './lexicon/verbs'
import type { Token } from './tokens'

/** Foods and things of the kitchen that are verbs as well: only an object after them tells. */
const STRICT = new Set(
  'oil butter salt flour water rice stone pod shell skin batter cream brine core zest husk stem pickle crown finish form top mould mold line season bread age paste'.split(
    ' ',
  ),
)

/** They are adjectives or nouns before another noun: "brown sauce", "roast dinner". */
const SOFT = new Set([
  'brown',
  'toast',
  'roast',
  'grill',
  'colour',
  'color',
  'steam',
  'batch',
  'rest',
  'stir',
])

export const COMPOUNDS = new Set(
  'dry-roast dry-fry stir-fry deep-fry pan-fry shallow-fry air-fry pressure-cook pre-bake par-bake blind-bake bulk-ferment bulk-proof bulk-prove par-boil pre-soak pre-heat char-grill top-and-tail'.split(
    ' ',
  ),
)

export const isQuantity = (token: Token | undefined): boolean =>
  token !== undefined && (token.kind === 'number' || DETERMINERS.has(token.text))

export interface At {
  readonly tokens: readonly Token[]
  readonly index: number
  readonly length: number
}

export const isAdverb = (word: string): boolean =>
  ADVERBS.has(word) || (word.endsWith('ly') && word.length > 5)

export const before = ({ tokens, index }: At): Token | undefined => {
  let at = index - 1
  while (at >= 0 && tokens[at]?.kind === 'word' && isAdverb(tokens[at]?.text ?? '')) at -= 1
  return tokens[at]
}

export const after = ({ tokens, index, length }: At): Token | undefined => tokens[index + length]

const FORMED =
  /^(?:patties|balls|burgers|logs|cakes|rounds|loaves|discs|koftas|nuggets|sausages|dumplings|meatballs|cutlets|croquettes|walnut-sized)$/

/** Whether a word that is also a noun is a verb here, by what follows it. */
function isFollowedAsVerb(at: At, word: string, isFirst: boolean): boolean {
  const next = after(at)
  // "Mince into hot stock": what is called so.
  if (
    /^(?:mince|mash|crumb|shred|puree|purée)$/.test(word) &&
    /^(?:in|into|back|over|on)$/.test(next?.text ?? '')
  )
    return false
  // "Mash with the milk and spread": what is spread on bread.
  if (word === 'spread' && !isFirst && (next === undefined || next.kind === 'mark')) return false
  // "Mash and form patties".
  if (/^(?:form|shape|roll)$/.test(word) && FORMED.test(next?.text ?? '')) return true
  // "Dry stuff in a bowl", "the wet bits": things, and nothing done.
  if (word === 'dry' && /^(?:stuff|things?|bits|goods|ingredients?|ones|mix|mixture)$/.test(next?.text ?? ''))
    return false
  // "Core 75C": how warm it is inside.
  if (
    word === 'core' &&
    (/^(?:temp|temperature|at|to|of|above|over)$/.test(next?.text ?? '') || next?.kind === 'number')
  )
    return false
  // "Glaze: all into a pan" names what follows.
  if (isFirst && next?.text === ':') return false
  // "Core and slice the peppers": two orders.
  const second = at.tokens[at.index + at.length + 1]
  if (
    isFirst &&
    word === 'core' &&
    /^(?:and|&)$/.test(next?.text ?? '') &&
    verbOf(second?.text ?? '')?.form === 'bare'
  )
    return true
  if (STRICT.has(word) && !(isFirst && /^(?:season|pulse|top|finish|form|coat|glaze|crown)$/.test(word)))
    return (
      (isQuantity(next) && next?.text !== 'in') ||
      (/^(?:well|generously|to|with)$/.test(next?.text ?? '') &&
        /^(?:season|finish|top|crown|glaze|coat)$/.test(word))
    )
  if (next === undefined || next.kind === 'mark') return true
  if (SOFT.has(word) && !isFirst)
    return (
      isQuantity(next) ||
      PREPOSITIONS.has(next.text) ||
      next.text.endsWith('ly') ||
      /^(?:un)?covered$/.test(next.text)
    )
  if (next.text === 'of') return false
  if (CONNECTIVES.has(next.text))
    return isFirst || verbOf(at.tokens[at.index + at.length + 1]?.text ?? '') !== null
  return (
    isFirst ||
    isQuantity(next) ||
    PREPOSITIONS.has(next.text) ||
    next.text.endsWith('ly') ||
    verbOf(next.text) === null
  )
}

export const PREPOSITION_FIRST =
  /^(?:in|into|on|onto|off|with|from|over|to|for|using|under|at|by|back|meanwhile|now|through|after)$/

/** They stand among verbs that are nouns, too, and are none. */
const NEVER_NOUNS: ReadonlySet<string> = new Set(['combine', 'incorporate', 'stir', 'beat'])

/** Whether the words before a verb are a phrase that may open an order: "In a jug beat …". */
function isAfterPhrase(at: At, sentenceStart: number, isNoun: boolean): boolean {
  const first = at.tokens[sentenceStart]
  const last = at.tokens[at.index - 1]
  if (first === undefined || last === undefined || !PREPOSITION_FIRST.test(first.text)) return false
  if (DETERMINERS.has(last.text) || PREPOSITIONS.has(last.text)) return false
  const next = after(at)
  return (
    !at.tokens.slice(sentenceStart, at.index).some(({ text }) => /[,;:]/.test(text)) &&
    (isQuantity(next) || (!isNoun && next?.kind === 'word' && !PREPOSITIONS.has(next.text)))
  )
}

const SMOKES = /^(?:the|it|them|for|over|at|in|until|till|with|\d+)$/
const POURED_WARM = /^(?:water|milk|stock|broth)$/

/** The verb that stands at a token in the place of a verb, or null. */
export function verbAt(
  at: At,
  sentenceStart: number,
  isPast: boolean,
  own: OwnWords = NO_WORDS,
): FoundVerb | null {
  const word = at.tokens
    .slice(at.index, at.index + at.length)
    .map(({ text }) => text)
    .join('-')
  const found = own.get(word) ?? verbOf(word)
  if (found === null) return null
  const previous = before(at)
  const isFirst =
    at.index === sentenceStart ||
    (previous !== undefined && at.index > sentenceStart ? /[.;:!?–—]/.test(previous.text) : true)
  const isOpen =
    isFirst || previous === undefined || previous.kind === 'mark' || CONNECTIVES.has(previous.text)
  const isSubject = previous !== undefined && SUBJECTS.has(previous.text)
  const { form, verb } = found
  // "Crumbs, purée, thyme and salt": one of several things.
  if (isInAList(at, verb)) return null
  if (word === 'stuff' && /^(?:dry|wet)$/.test(at.tokens[at.index - 1]?.text ?? '')) return null
  // "Whisk the soy, syrup, smoke and oil": one of several things.
  if (word === 'smoke' && previous?.text === ',' && /^(?:,|and|&)$/.test(after(at)?.text ?? '')) return null
  // "The water, soy sauce and smoke together".
  if (word === 'smoke' && previous?.text === 'and' && !SMOKES.test(after(at)?.text ?? 'the')) return null
  // "Whisk in the tahini and warm water": what kind of water.
  if (word === 'warm' && previous?.text === 'and' && POURED_WARM.test(after(at)?.text ?? '')) return null
  if (form === 'bare' || word === 'goes') {
    // "In go the herbs".
    if (/^go(?:es)?$/.test(word) && previous?.text === 'in' && isQuantity(after(at))) return found
  }
  if (form === 'bare') {
    // "The chickpeas were spread on towels".
    if (isPastToo(verb) && isPassive(at, verb)) return { verb, form: 'past' }
    if (isSubject) return found
    if (isOpen) return !verb.isNoun || isFollowedAsVerb(at, verb.word, isFirst) ? found : null
    return isAfterPhrase(at, sentenceStart, verb.isNoun && !NEVER_NOUNS.has(word)) ? found : null
  }
  // "The lentils want rinsing", "they have been soaking".
  if (form === 'gerund' && WANTS.has(previous?.text ?? '')) return found
  if (form === 'gerund')
    return previous?.text === 'by' && /^(?:start|begin)/.test(at.tokens[at.index - 2]?.text ?? '')
      ? found
      : null
  if (form === 'past') {
    if (isPassive(at, verb)) return found
    // "Grated the carrots" tells what was done; "grated carrots" names a food.
    const isTold = at.index === sentenceStart && isQuantity(after(at))
    return isSubject || isTold || (isPast && isOpen) ? found : null
  }
  return isThird(previous, at, sentenceStart) &&
    (verb.kind !== 'do' ||
      previous?.text === 'and' ||
      TIME_AFTER.test(
        at.tokens
          .slice(at.index + 1)
          .map(({ text }) => text)
          .join(' '),
      ) ||
      sentenceStart === at.index - 1)
    ? found
    : null
}

/** "Beans soaked 10 h, drained": a participle that is told as a doing, for nothing that it could describe follows it. */
export function participleAt(at: At, own: OwnWords = NO_WORDS): FoundVerb | null {
  const word = at.tokens[at.index]?.text ?? ''
  const found = own.get(word) ?? verbOf(word)
  if (found === null || !(found.form === 'past' || isPastToo(found.verb))) return null
  const { verb } = found
  if (!(verb.kind === 'put' || verb.kind === 'do' || verb.word === 'leave')) return null
  const next = after(at)
  const isAlone =
    next === undefined ||
    next.kind !== 'word' ||
    PREPOSITIONS.has(next.text) ||
    CONNECTIVES.has(next.text) ||
    isAdverb(next.text)
  // "No grain of rice left".
  if (
    verb.word === 'leave' &&
    next?.kind !== 'number' &&
    !/^(?:to|for|until|overnight)$/.test(next?.text ?? '')
  )
    return null
  // "Golden and cooked through" tells how far.
  const isThrough = next?.text === 'through' && /^(?:cook|warm|heat|bake)$/.test(verb.word)
  return isAlone && !isThrough ? { verb, form: 'past' } : null
}

const WANTS: ReadonlySet<string> = new Set(['want', 'wants', 'need', 'needs', 'require', 'requires', 'been'])
/** "They want rinsing": told of the food, and done all the same. */
export const isWanted = (at: At): boolean => WANTS.has(before(at)?.text ?? '')

const BE: ReadonlySet<string> = new Set(['is', 'are', 'was', 'were', 'be', 'gets', 'get'])
/** "The beans are soaked": what is done with them, told as it is done. */
export const isPassive = (at: At, verb: Verb): boolean =>
  BE.has(before(at)?.text ?? '') &&
  !/^(?:what|whatever|which|that|there)$/.test(at.tokens[at.index - 2]?.text ?? '') &&
  (verb.kind === 'put' || verb.senses.some(({ operation }) => operation !== null))

/** Foods that are verbs as well. */
const MADE_FOODS: ReadonlySet<string> = new Set([
  'puree',
  'purée',
  'zest',
  'mash',
  'spread',
  'batter',
  'glaze',
  'marinade',
])
/** "Crumbs, purée, thyme": between two others, none of which is a verb. */
function isInAList({ tokens, index, length }: At, { word }: Verb): boolean {
  const isMark = (text = ''): boolean => /^(?:,|and|&)$/.test(text)
  if (!MADE_FOODS.has(word) || !isMark(tokens[index - 1]?.text) || !isMark(tokens[index + length]?.text))
    return false
  return [tokens[index - 2], tokens[index + length + 1]].every(
    (one) => one?.kind === 'word' && verbOf(one.text)?.form !== 'bare',
  )
}

/** What tells an order in the third person from a remark: a time, an end. */
const TIME_AFTER = /^[^.;]{0,60}\b(?:\d+|half|quarter|hour|hours|minutes?|min|until|till|overnight)\b/u

const THIRD_AFTER = new Set([
  'it',
  'that',
  'this',
  'everything',
  'lot',
  'mixture',
  'all',
  'he',
  'she',
  'dough',
])

/** "It sits for an hour", "everything goes in and simmers". */
function isThird(previous: Token | undefined, { tokens, index }: At, sentenceStart: number): boolean {
  if (previous === undefined) return false
  if (THIRD_AFTER.has(previous.text)) return true
  const hasThird = tokens.slice(sentenceStart, index).some(({ text }) => verbOf(text)?.form === 'third')
  if (previous.text === 'and') return hasThird
  return (
    previous.kind === 'word' &&
    /^(?:goes|gets)$/.test(tokens[index]?.text ?? '') &&
    !DETERMINERS.has(previous.text)
  )
}
