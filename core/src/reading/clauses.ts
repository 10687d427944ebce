import { CONNECTIVES, SUBJECTS } from './lexicon/particles'
import { NO_WORDS, type OwnWords } from './lexicon/ownWords'
import { type FoundVerb, isPastToo, type Verb, verbOf } from './lexicon/verbs'
import { inOrder, withoutModals } from './plainOrders'
import { sentencesIn } from './sentences'
import { type Span, type Subordinate, subordinatesOf, without } from './subordinates'
import { type Token, tokensOf } from './tokens'
import {
  COMPOUNDS,
  isAdverb,
  isPassive,
  participleAt,
  isQuantity,
  isWanted,
  PREPOSITION_FIRST,
  verbAt,
} from './verbPosition'

/** A verb with its words, or words without a verb that name foods or times. */
export interface Clause extends Span {
  readonly verb: Verb | null
  readonly verbFrom: number
  readonly verbTo: number
  /** Sentence of the text, from 0. */
  readonly sentence: number
  /** It follows the one before with "and" and nothing between: they share an object. */
  readonly isJoined: boolean
  /** It holds only where a condition does. */
  readonly isOptional: boolean
  /** "The beans are soaked": its object stands before it. */
  readonly isTold?: boolean
  /** It tells something; nobody is told to do it. */
  readonly isRemark: boolean
  /** It tells of another way to do what was told before: no word of it counts. */
  readonly isOtherWay: boolean
  /** One of several bowls that are set out: what is in it, by itself. */
  readonly isBowl?: boolean
}

/** A text cut into clauses, with the words of each that name nothing blanked. */
export interface Parsed {
  readonly text: string
  /** Subordinates blanked, mark for mark. */
  readonly bare: string
  readonly subordinates: readonly Subordinate[]
  readonly clauses: readonly Clause[]
}

const REMARK =
  /^(?!(?:\w+,? ){0,3}(?:i|we|you)\b)[^,;:.!?]{1,60}?\b(?:should|will|must|may|might|can|could|is|are|was|were|has|have|wants?|looks?|becomes?|turns?|travels?|freezes?|keeps?|(?<!\bthe )lasts?|needs?|makes?|does|foams?|relaxes|it'll|they'll|that's|mustn't|don't|doesn't|isn't|aren't|won't|drinks?|takes?|deserves?|feels?|tastes?|smells?)\b/iu
/** What may be, or is so by custom: no order. */
const PERHAPS =
  /\b(?:can|may|could|might|would|often|usually|traditionally|originally|typically|classically|best|sometimes|commonly|never|not|if|sure|check|why|how|that)\b/iu
/** "How long do I blend?" */
const ASKS = /^(?:how|when|why|what|where|who|which|does|do|can|should|is|are|and|then)\b[^.;!]*\?$/iu
/** "Simmer 25 minutes, adding a splash of water if it gets too thick": the condition is the splash's. */
const BY_THE_WAY = /,\s*[a-zß-ɏ]+ing\b[^.;,]*$/iu
/** A word that may be a participle, and no finite verb beside it. */
const TERSE =
  /^(?![^.;]*\b(?:is|are|was|were|will|should|must|may|might|can|could|has|have|works?|makes?|keeps?|tastes?|best|served)\b)(?=[^.;]*(?:[a-zß-ɏ]{2}ed|cut|ground|left|spread|beaten|kept)\b)/iu
const SHOULD = /^(?:should|must|ought|want|it['’]ll|they['’]ll)\b/iu
const KEEPS = /^(?:keeps|lasts|freezes|stores|will keep|leftovers|any left)\b/iu
/** "It keeps for up to five days in the fridge." */
const STORED =
  /^(?:it|they|these|this|those|leftovers|any left(?:overs)?|extras?|(?:the|any|your) (?:[a-zß-ɏ-]+ ){0,3}[a-zß-ɏ-]+)\s+(?:will |can be |should |also |then |both )*(?:keeps?|kept|lasts?|freezes?|frozen|stores?|stored)\b[^.;]*\b(?:days?|weeks?|months?|fridge|freezer|well)\b/iu
/** "Keep in a clean jar in the fridge for up to a week." */
const TO_STORE =
  /^(?:keep|store|freeze)\b[^.;]*\b(?:for )?up to (?:[a-zß-ɏ\d–-]+ ){1,3}(?:days?|weeks?|months?)\b/iu
/** "Keep warm while you fry the rest." */
const NEXT_BATCH = /^keep (?:it |them |the first batch |the cooked ones |these )?warm while (?:you|the)\b/iu
const NO_ORDER =
  /^(?:probe\b|core (?:temp\w*|check)|do not|don't|never|no|avoid|be careful|take care|mind|remember|nb|serves?\b|enjoy)\b|^(?:tip|note|storage)s?\s*[:.–—-]/iu

/** "Or bake at 180 C": another way of what was told before. */
const OTHER_WAY = /^(?:or|alternatively|otherwise)\b/iu
const TO_COOK =
  /^\W*(?:to (?:bake|grill|fry|pan-?fry|air-?fry|deep-?fry|roast|steam|barbecue|microwave)|(?:oven|air fryer|grill|stovetop|pan) method)\s*:/iu
const TO_COOK_BEFORE =
  /(?:^|[.!?\n]\s*)(?:to (?:bake|grill|fry|pan-?fry|air-?fry|deep-?fry|roast|steam|barbecue|microwave)|(?:oven|air fryer|grill|stovetop|pan) method)\s*:/iu

/** "Grill for 10 min, or bake at 190 C for 20": the second is another way. */
const OR_ELSE = /,\s*or\s*$/iu
const COOKS = /^(?:bake|roast|grill|fry|pan-fry|deep-fry|air-fry|steam|broil|microwave|barbecue)$/

/** "Serve as it is, or blend until smooth": what may be done with it. */
const SERVED = /^(?:serve|use|eat|enjoy)$/

const FORBIDS = /\b(?:do not|don['’]t|never|nor|no need to)\s*(?:\w+\s+)?$/iu

interface Cut {
  readonly found: FoundVerb
  /** "The beans are soaked." */
  readonly isTold: boolean
  /** Where its clause begins: at the verb, or at the subject of a third person. */
  readonly start: number
  readonly at: Token
  to: number
}

/** "I cut it, pulled each piece …": told of what was done, where the next verb is. */
const PAST_TELLERS: ReadonlySet<string> = new Set(['i', 'we', 'then'])

const isFoodLast = (tokens: readonly Token[], index: number): boolean =>
  /^(?:mince|mix|blend|cream|batter|crumble|mash)$/.test(tokens[index]?.text ?? '') &&
  /^(?:and|&|\+)$/.test(tokens[index - 1]?.text ?? '') &&
  (tokens[index + 1]?.kind ?? 'mark') === 'mark'

const isWetOrDry = (tokens: readonly Token[], index: number): boolean => {
  const word = (by: number): string => tokens[index + by]?.text ?? ''
  const into = /^(?:into|to|onto|in)$/.test(word(1)) ? (word(2) === 'the' ? word(3) : word(2)) : ''
  return /^(?:wet|dry)$/.test(word(0)) && /^(?:wet|dry)$/.test(into) && word(0) !== into
}

/** Verbs of a sentence that open a clause. */
function cutsIn(bare: string, { from, to }: Span, own: OwnWords, isTerse = false): Cut[] {
  const tokens = tokensOf(bare.slice(from, to))
  const cuts: Cut[] = []
  const isPast = tokens.some(({ text }, index) => {
    const found = own.get(text) ?? verbOf(text)
    if (found == null) return false
    if (
      found.form !== 'past' &&
      !(found.form === 'bare' && isPastToo(found.verb) && PAST_TELLERS.has(tokens[index - 1]?.text ?? ''))
    )
      return false
    // "Poured it over and stirred": a step of its own.
    if (found.form === 'past' && index === firstWord(tokens) && isQuantity(tokens[index + 1])) return true
    return SUBJECTS.has(tokens[index - 1]?.text ?? '') || isPassive({ tokens, index, length: 1 }, found.verb)
  })
  for (let index = 0; index < tokens.length; index += 1) {
    const token = tokens[index]
    if (token?.kind !== 'word') continue
    const pair = `${token.text}-${tokens[index + 1]?.text ?? ''}`
    const length = COMPOUNDS.has(pair) ? 2 : 1
    const found =
      verbAt({ tokens, index, length }, firstWord(tokens), isPast, own) ??
      (isTerse ? participleAt({ tokens, index, length }, own) : null)
    if (found === null) continue
    // "Crumble or cube the cheese" is one doing.
    if (tokens[index - 1]?.text === 'or' && cuts.at(-1)?.to === (tokens[index - 2]?.end ?? -1) + from)
      continue
    // "Tomatoes and mince.": two foods.
    if (cuts.length === 0 && index > 1 && isFoodLast(tokens, index)) continue
    // "Wet into dry": what is wet.
    if (isWetOrDry(tokens, index)) continue
    // "Mix, mix, mix!" is one doing.
    const before = cuts.at(-1)
    if (
      before?.found.verb === found.verb &&
      before.to === (tokens[index - 2]?.end ?? -1) + from &&
      /^(?:,|and|&|-)$/.test(tokens[index - 1]?.text ?? '')
    ) {
      before.to = token.end + from
      continue
    }
    const last = tokens[index + length - 1] ?? token
    let first = index
    const at = { tokens, index, length }
    const isTold =
      (found.form === 'past' && (isTerse || isPassive(at, found.verb))) ||
      (found.form === 'gerund' && isWanted(at))
    // "The beans can be soaked in advance" tells nobody to.
    if (isTold && PERHAPS.test(bare.slice(from, to))) continue
    if (found.form === 'third' || isTold)
      while (
        first > 0 &&
        tokens[first - 1]?.kind === 'word' &&
        !CONNECTIVES.has(tokens[first - 1]?.text ?? '')
      )
        first -= 1
    cuts.push({
      found,
      isTold,
      start: (tokens[first]?.at ?? token.at) + from,
      at: { ...token, at: token.at + from, end: token.end + from },
      to: last.end + from,
    })
    index += length - 1
  }
  return cuts
}
/** "Next day drain …", "The night before, soak …": when, before what. */
function leadDays(tokens: readonly Token[]): number {
  const words = tokens.slice(0, 4).map(({ text }) => text)
  const first = words[0] === 'the' ? 1 : 0
  if (
    /^(?:next|following)$/.test(words[first] ?? '') &&
    /^(?:day|morning|evening)$/.test(words[first + 1] ?? '')
  )
    return first + 2
  if (words[first] === 'night' && words[first + 1] === 'before') return first + 2
  return 0
}
const firstWord = (tokens: readonly Token[]): number => {
  let at = leadDays(tokens)
  // "Day 3 Work in the miso".
  if (tokens[0]?.text === 'day' && tokens[1]?.kind === 'number')
    at = /^onwards?$/.test(tokens[2]?.text ?? '') ? 3 : 2
  while (at < tokens.length && (tokens[at]?.kind === 'mark' || isAdverb(tokens[at]?.text ?? ''))) at += 1
  return Math.min(at, Math.max(0, tokens.length - 1))
}

const LINK =
  /(?:[\s,;:–—.]|\b(?:and|then|or|but|so|plus|i|we|you|they|just|also|now|next|finally|meanwhile|again|gently|slowly|carefully|quickly|immediately|lightly|first)\b)+$/iu

const SUBJECT_LAST = /\b(?:i|we)\s*$/iu
const firstOf = (words: string): string => /\p{L}+/u.exec(words)?.[0].toLowerCase() ?? ''

/** Where a fragment that names a time ends before the verb: "Cumin in hot oil 30 s, leek, sweat". */
const TIMED =
  /\b(?:\d+(?:[.,]\d+)?\s*(?:-\s*\d+\s*)?(?:s|min|mins|h|hrs?)|(?:\d+|one|two|three|four|five|ten|fifteen|twenty|thirty|forty)\s+(?:secs?|seconds?|minutes?|hours?))\b[^,;]*[,;]/giu

const SETS_BOWLS =
  /^\W*(?:(?:set (?:up|out)|prepare|put out|arrange|get(?: out| ready)?|have|line up|take|lay out|fill|use|you(?:'ll| will)? need)\s+)(?:two|three|four|2|3|4)\s+(?:[a-zß-ɏ]+ ){0,2}(?:bowls|plates|dishes|stations)\b/iu
const BOWL_OPENS =
  /^\W*(?:and )?(?:one|another|a second|a third|the (?:second|third|fourth|other|last|next))\s+(?:bowl |plate |dish )?with\b/iu
const ONE_BOWL =
  /(?:\band )?\b(?:one|another|a second|a third|the (?:first|second|third|fourth|other|last|next))\s+(?:bowl |plate |dish |one )?(?:with|for|of|holding|containing|holds|gets)\s+/giu
const SEVERAL_IN_IT = /\b(?:and|plus|mixed with|together)\b|[,&+]/iu
/** "Dry stuff in one bowl, wet stuff in another." */
const DRY_AND_WET =
  /^\W*(?:(?:mix|whisk|stir|combine|put|get) )?(?:(?:all|your|the) )*dry\b[^.;]{0,40}\bin (?:one|a) (?:big |large |small )?(?:bowl|jug)?\s*(?:,|and|&)\s*(?=(?:(?:all|your|the) )*wet\b[^.;]{0,60}\bin (?:another|a second|a jug|the other)\b)/iu
/** "Set up three bowls: one with the flour, one with the milk and vinegar": a clause for each; a food alone is no doing. */
function bowlsIn(text: string, { from, to }: Span, sentence: number): Clause[] {
  const words = text.slice(from, to)
  const dry = DRY_AND_WET.exec(words)
  if (dry === null && !SETS_BOWLS.test(words) && !BOWL_OPENS.test(words)) return []
  const starts =
    dry === null
      ? [...words.matchAll(ONE_BOWL)].map(({ index }) => from + index)
      : [from, from + dry[0].length]
  return starts.map((start, at) => {
    const end =
      (starts[at + 1] ?? to) - (/[\s,;]*$/u.exec(text.slice(start, starts[at + 1] ?? to))?.[0].length ?? 0)
    const held = text.slice(start, end).replace(/^and /iu, '')
    return {
      from: start,
      to: end,
      verb: null,
      verbFrom: start,
      verbTo: start,
      sentence,
      isJoined: false,
      isOptional: false,
      isRemark: dry === null && !SEVERAL_IN_IT.test(held),
      isOtherWay: false,
      isBowl: true,
    }
  })
}

function clausesOf(
  text: string,
  bare: string,
  sentence: Span,
  number: number,
  subordinates: readonly Subordinate[],
  own: OwnWords,
): Clause[] {
  const bowls = bowlsIn(text, sentence, number)
  if (bowls.length > 0) return bowls
  const plain = cutsIn(bare, sentence, own)
  // "Beans soaked 10 h, drained, rinsed.": nothing else is told.
  const isTerse = plain.length === 0 && TERSE.test(bare.slice(sentence.from, sentence.to))
  const cuts = isTerse ? cutsIn(bare, sentence, own, true) : plain
  const words = text.slice(sentence.from, sentence.to)
  const isOptional = (from: number, to: number): boolean =>
    subordinates.some(
      (one) =>
        one.kind === 'condition' &&
        one.from >= sentence.from &&
        one.from < to &&
        // "…, which takes ten minutes if you do not rush it": no condition of the doing.
        !BY_THE_WAY.test(text.slice(from, one.from)) &&
        !subordinates.some(
          ({ kind, from: at, to: end }) => kind === 'aside' && at < one.from && end >= one.to,
        ) &&
        (one.to > from || /^[\s,:]*$/u.test(text.slice(one.to, from))),
    )
  const hasOrder = cuts[0] !== undefined && bare.slice(sentence.from, cuts[0].at.at).trim() === ''
  const isStored = STORED.test(words)
  const isRemark =
    TO_STORE.test(words) ||
    NEXT_BATCH.test(words) ||
    (!hasOrder &&
      cuts[0]?.isTold !== true &&
      (isStored ||
        REMARK.test(bare.slice(sentence.from, sentence.to).trim()) ||
        NO_ORDER.test(words) ||
        KEEPS.test(words) ||
        (SHOULD.test(words) && !/^should (?:it|they|the)\b/iu.test(words))))
  // "To bake: 190 C for 20 minutes. To grill: 8 minutes a side.": the first is done.
  const isAnotherTo = TO_COOK.test(words) && TO_COOK_BEFORE.test(text.slice(0, sentence.from))
  const isOtherWay = ASKS.test(words) || (number > 0 && (OTHER_WAY.test(words) || isAnotherTo))
  const clauses: Clause[] = []
  let from = sentence.from
  let isElse = false
  /** "Fry the onions until soft and golden and add the garlic": the end is the first one's. */
  const tailOf = (start: number, end: number): number =>
    Math.max(
      0,
      ...subordinates
        .filter(
          (one) =>
            one.from >= start &&
            one.to <= end &&
            one.kind !== 'condition' &&
            !LEADS_ON.test(text.slice(one.from, one.to)),
        )
        .map((one) => one.to),
    )
  const push = (to: number, cut: Cut | null, isJoined: boolean, remark: boolean): void => {
    if (text.slice(from, to).replace(/[\s,;:.]/gu, '') === '') return
    clauses.push({
      from,
      to,
      verb: cut?.found.verb ?? null,
      verbFrom: cut?.at.at ?? from,
      verbTo: cut?.to ?? from,
      sentence: number,
      isJoined,
      isOptional: isOptional(from, to),
      ...(cut?.isTold === true ? { isTold: true } : {}),
      isRemark: remark || isOtherWay || isElse,
      isOtherWay: isOtherWay || isElse,
    })
  }
  cuts.forEach((cut, index) => {
    const next = cuts[index + 1]
    if (index === 0) {
      TIMED.lastIndex = 0
      const leadFrom = from
      const lead = bare.slice(from, cut.at.at)
      const timed = TIMED.exec(lead)
      const colon = lead.lastIndexOf(':')
      if (isRemark) {
        push(cut.at.at, null, false, true)
        from = cut.start
      } else if (
        SUBJECT_LAST.test(lead) &&
        /[a-zß-ɏ]{3}[\s\S]*\b(?:and|then)\s+(?:i|we)\s*$/iu.test(lead) &&
        !PREPOSITION_FIRST.test(firstOf(lead))
      ) {
        const end = from + (/(?:,?\s*\b(?:and|then)\s+(?:i|we)\s*)$/iu.exec(lead)?.index ?? 0)
        push(end, null, false, false)
        from = cut.at.at
      } else if (timed !== null && colon < 0) {
        for (let found: RegExpExecArray | null = timed; found !== null; found = TIMED.exec(lead)) {
          const end = leadFrom + found.index + found[0].length - 1
          push(end, null, false, false)
          from = end + 1
        }
      }
    }
    const gap = bare.slice(cut.to, next?.start ?? sentence.to)
    const link = next === undefined ? null : LINK.exec(gap)
    const gapEnd = next === undefined ? sentence.to : link === null ? next.start : cut.to + link.index
    const to = next === undefined ? gapEnd : Math.max(gapEnd, tailOf(cut.to, next.start))
    const previous = cuts[index - 1]
    const between = text.slice(previous?.to ?? cut.at.at, cut.at.at)
    isElse =
      previous !== undefined &&
      ((COOKS.test(cut.found.verb.word) && COOKS.test(previous.found.verb.word) && OR_ELSE.test(between)) ||
        (index === 1 && SERVED.test(previous.found.verb.word) && /\bor\s*$/iu.test(between)))
    const isJoined =
      previous !== undefined && /^\s*(?:,|,?\s*(?:and|&|then))\s*$/iu.test(text.slice(previous.to, cut.at.at))
    push(
      Math.max(to, cut.to),
      cut,
      isJoined,
      FORBIDS.test(text.slice(Math.max(sentence.from, cut.at.at - 12), cut.at.at)) ||
        NO_ORDER.test(text.slice(from, to)) ||
        isStored ||
        (isRemark && index === 0 && cut.at.at === sentence.from),
    )
    from = next === undefined ? sentence.to : Math.max(next.start, cut.to)
  })
  if (cuts.length === 0) push(sentence.to, null, false, isRemark)
  return clauses
}

/** "Fry it, and once it is soft, add …": when the next begins. */
const LEADS_ON = /^[\s,.;]*(?:and |then )?(?:when|once|while|whilst|as|after|now|by the time|if)\b/iu

const parsedBy = new WeakMap<OwnWords, Map<string, Parsed>>()
const keptFor = (own: OwnWords): Map<string, Parsed> => {
  const known = parsedBy.get(own)
  if (known !== undefined) return known
  const made = new Map<string, Parsed>()
  parsedBy.set(own, made)
  return made
}
const MOST_PARSED = 4000

/** A text of instructions cut into its clauses. Kept by its words: reading happens when they change. */
export function parse(text: string, own: OwnWords = NO_WORDS): Parsed {
  const parsed = keptFor(own)
  const known = parsed.get(text)
  if (known !== undefined) return known
  const ordered = inOrder(text)
  const plain = withoutModals(ordered)
  const subordinates = subordinatesOf(plain)
  const bare = without(plain, subordinates)
  const clauses = sentencesIn(ordered).flatMap((sentence, number) =>
    clausesOf(ordered, bare, sentence, number, subordinates, own),
  )
  const made = { text, bare, subordinates, clauses }
  if (parsed.size >= MOST_PARSED) parsed.clear()
  parsed.set(text, made)
  return made
}
