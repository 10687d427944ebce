import type { OperationId } from '../model'
import { type Clause, parse, type Parsed } from './clauses'
import { NO_WORDS, type OwnWords } from './lexicon/ownWords'
import { HOT } from './lexicon/things'
import { timeIn } from './fragments'
import { type Read, readClause, TREMBLES } from './senses'

/** One doing of a text: its main clause, and the clauses around it that belong to it. */
export interface DoingText {
  readonly from: number
  readonly to: number
  readonly parsed: Parsed
  readonly clauses: readonly Clause[]
  /** Those of them that bring foods in or work them. */
  readonly active: readonly Clause[]
  /** The clause that says what is done. */
  readonly main: Clause
  /** Null where the words bring foods in or tell a time, and nothing more: what was going on goes on. */
  readonly operation: OperationId | null
  readonly isOptional: boolean
  /** The clause before says no object of its own and shares the next doing's: "drain and rinse the beans". */
  readonly sharesNext: boolean
}

/** Where a clause goes on with another time after a comma: "bring up slowly, 5 min on low", "…, 2 h in the fridge". */
const GOES_ON =
  /,\s*(?:then\s+)?(?=(?:about\s+)?[\d½¼¾]+(?:[.,]\d+)?\s*(?:-\s*\d+\s*)?(?:min|mins|minutes|h|hrs?|hours?)\b[^,.;]*\b(?:on|in|at|over) (?:a |the )?(?:low|simmer|fridge|refrigerator|oven|medium|room|warm|\d+))|\s+(?:and )?then\s+(?=(?:for )?(?:about\s+)?\d+(?:\s*-\s*\d+)?\s*(?:min|mins|minutes|h|hrs?|hours?)\b[^,.;]*\bin the (?:fridge|freezer|refrigerator|oven)\b)|,\s*(?:then\s+|and\s+)?(?=(?:in|into) the (?:fridge|refrigerator|oven)\b)|,\s*(?=\d+(?:[.,]\d+)?\s*-?\s*(?:cm|mm)\s+(?:cubes|dice|slices|strips))/iu

/** "Onion: fine dice, into the batter". */
const INTO = /,\s*(?=into (?:the )?(?:batter|bowl|pan|pot|mix|mixture|dough|sauce)\b)/iu

const THEN_MORE = /,\s*then\s+(?=the\b)/iu
/** "Stir in the curry powder for 30 sec, then tomatoes, coconut milk and salt": they are put in next. */
const THEN_FOODS_FROM =
  /\b(?:\d+(?:\.\d+)?\s*-?\s*(?:s|min|mins)|(?:\d+|a|one|two|three|five|ten)\s*(?:secs?|seconds?|minutes?))\b[^,;]*$/iu
const THEN_FOODS =
  /,\s*then\s+(?=(?!(?:for|to|on|at|in|into|over|under|again|another|about|a further|until)\b)[a-zß-ɏ]{3,})/iu

const FRIES_ON = /^(?:saut[eé]|fry|sweat|soften|brown|toast|cook|sizzle)$/
/** "Sauté the garlic until brown, then half of the onion for 1 minute". */
const THEN_FOR =
  /,\s*(?:and )?then\s+(?=(?:the|half|all|your)\b[^,;]*\bfor (?:about |another )?(?:\d|an?|one|two|three|five)\b)/iu

function split(parsed: Parsed): Clause[] {
  return parsed.clauses.flatMap((clause): Clause[] => {
    if (clause.isRemark) return [clause]
    // Notes without verbs: "oil, hot pan; half the batter, 4 min".
    const gap = clause.verb === null ? parsed.bare.slice(clause.from, clause.to).indexOf(';') : -1
    if (gap > 0) {
      const from = clause.from + gap + 1
      return [
        { ...clause, to: clause.from + gap },
        ...split({
          ...parsed,
          clauses: [{ ...clause, from, verbFrom: from, verbTo: from, isJoined: false }],
        }),
      ]
    }
    const semicolon = clause.verb === null ? -1 : parsed.bare.slice(clause.verbTo, clause.to).indexOf(';')
    if (semicolon >= 0) {
      const from = clause.verbTo + semicolon
      const more = parsed.bare.slice(from + 1, clause.to)
      const brings = /\b(?:in|into|over|back|on top)\s*[.;]|^\s*(?:the )?[a-zß-ɏ]+ (?:in|into|over)\b/iu.test(
        more,
      )
      return [
        ...split({ ...parsed, clauses: [{ ...clause, to: from }] }),
        {
          ...clause,
          from: from + 1,
          verb: null,
          verbFrom: from + 1,
          verbTo: from + 1,
          isJoined: false,
          isRemark: !brings && timeIn(more) === null,
        },
      ]
    }
    const words = parsed.bare.slice(clause.verbTo, clause.to)
    const at =
      clause.verb === null
        ? (INTO.exec(words) ?? thenFoods(words))
        : (GOES_ON.exec(words) ??
          (clause.verb.kind === 'let'
            ? THEN_MORE.exec(words)
            : clause.verb.kind === 'put' ||
                clause.verb.word === 'stir' ||
                STIRS_IN.test(parsed.bare.slice(clause.verbFrom, clause.to))
              ? thenFoods(words)
              : FRIES_ON.test(clause.verb.word)
                ? THEN_FOR.exec(words)
                : null))
    if (at === null) return [clause]
    const from = clause.verbTo + at.index + at[0].length
    return [
      { ...clause, to: clause.verbTo + at.index },
      { ...clause, from, verb: null, verbFrom: from, verbTo: from, isJoined: false },
    ]
  })
}

/** "Stir in the spices and toast 3 minutes": they are put in for it. */
const STIRS_IN =
  /^(?:stir|mix|fold|whisk|beat|scatter|sprinkle)\s+(?:in|through)\b|\b(?:stir|mix|whisk|work)\s+(?:the |in the )?(?:[a-zß-ɏ]+ )?flour\s+into\b/iu

function thenFoods(words: string): RegExpExecArray | null {
  const found = THEN_FOODS.exec(words)
  return found !== null && THEN_FOODS_FROM.test(words.slice(0, found.index)) ? found : null
}

interface Group {
  clauses: Read[]
  main: Read | null
}

const hasOwnObject = ({ clause, words }: Read, parsed: Parsed): boolean => {
  const rest = parsed.bare.slice(clause.verbTo, clause.to)
  return (
    words !== '' &&
    /^\s*(?:the|a|an|half|\d(?![\d–-]*\s*(?:min|mins|minutes?|h|hours?|s|seconds?)\b)|two|three|your|each|all the)\b/iu.test(
      rest,
    )
  )
}

const doingsBy = new WeakMap<OwnWords, Map<string, readonly DoingText[]>>()
const keptFor = (own: OwnWords): Map<string, readonly DoingText[]> => {
  const known = doingsBy.get(own)
  if (known !== undefined) return known
  const made = new Map<string, readonly DoingText[]>()
  doingsBy.set(own, made)
  return made
}
const MOST = 4000

/** The doings of a text, in order. Together they hold all its words. Kept by the words. */
export function doingsIn(text: string, own: OwnWords = NO_WORDS): readonly DoingText[] {
  const doingsOfText = keptFor(own)
  const known = doingsOfText.get(text)
  if (known !== undefined) return known
  const made = gather(parse(text, own))
  if (doingsOfText.size >= MOST) doingsOfText.clear()
  doingsOfText.set(text, made)
  return made
}

function gather(parsed: Parsed): DoingText[] {
  const clauses = split(parsed)
  const reads = clauses.map((clause, at) =>
    readClause(
      parsed,
      clause,
      clauses.slice(at + 1).find((one) => !one.isRemark),
      clauses[at - 1],
    ),
  )
  const groups: Group[] = []
  let lead: Read[] = []
  reads.forEach((told, at) => {
    const last = groups.at(-1)
    // "Pulse the mushrooms. Repeat with the walnuts."
    const again = isRepeatedWith(told, parsed) ? { ...told, ...againAs(last) } : told
    const read: Read = isLeftToSimmer(last, again, parsed)
      ? { ...again, role: 'do', operation: 'simmer' }
      : isLeftAlone(last, again)
        ? { ...again, ...leftAlone(again) }
        : again
    const { clause } = read
    if (clause.isOtherWay) return
    if (read.role === 'none') {
      const next = reads[at + 1]
      const opens =
        next !== undefined &&
        next.clause.sentence === clause.sentence &&
        reads[at - 1]?.clause.sentence !== clause.sentence
      // "Cover, reduce to low and simmer": the lid is on for what goes on under it.
      const under = reads.slice(at + 1).find(({ role }) => role !== 'none')
      const covers =
        clause.verb?.word === 'cover' &&
        under !== undefined &&
        under.clause.sentence === clause.sentence &&
        (isHotRead(under) || /^(?:roast|steam|simmer|boil)$/.test(under.operation ?? ''))
      // "Out onto a plate.": what was fried is.
      const isOut = last !== undefined && lead.length === 0 && /^\W*out (?:on|in)?to\b/iu.test(read.words)
      if (!isOut && (last === undefined || opens || covers || lead.length > 0)) lead.push(read)
      else last.clauses.push(read)
      return
    }
    // "Heat the oil in a pan, lift the slices out of the marinade and fry": the oil waits for what is fried.
    if (
      last?.main?.role === 'fat' &&
      read.operation === 'drain' &&
      last.main.clause.sentence === clause.sentence
    ) {
      groups.pop()
      lead.push(...last.clauses.map((one): Read => ({ ...one, role: 'none' })))
    }
    const isOpen = last !== undefined && (last.main?.role === 'put' || last.main?.role === 'fat')
    const isStirredIn =
      last?.main?.role === 'do' &&
      last.main.operation === 'mix' &&
      STIRS_IN.test(last.main.words.trim()) &&
      read.role === 'do' &&
      isHotRead(read) &&
      !hasOwnObject(read, parsed) &&
      timeIn(read.words) !== null
    const isFatFirst =
      last?.main?.role === 'fat' &&
      (read.role !== 'do' || isHotRead(read) || read.operation === 'grill' || read.operation === 'broil')
    const isKept =
      read.operation !== null &&
      ALONE.has(read.operation) &&
      !(read.operation === 'rest' && last?.clauses.some(({ words }) => POURED.test(words)))
    const isSame = last?.main?.clause.sentence === clause.sentence
    // "Cover with boiling water. Stand 30 mins."
    const isLeftThere =
      read.operation === 'rest' &&
      timeIn(read.words) !== null &&
      !hasOwnObject(read, parsed) &&
      last?.clauses.some(({ words }) => POURED.test(words)) === true &&
      last.clauses.every(({ words }) => timeIn(words) === null)
    const joins =
      (isStirredIn && isSame) ||
      (isOpen &&
        !isKept &&
        (isSame ||
          isFatFirst ||
          isLeftThere ||
          (read.role === 'do' &&
            !hasOwnObject(read, parsed) &&
            read.operation !== null &&
            !AFTER_PUT.has(read.operation))))
    if (read.role === 'go-on' && (last?.main?.role === 'put' || last?.main?.role === 'fat')) {
      // "Oil, hot pan; half the batter, 4 min": it fries.
      last.clauses.push(...lead, read)
      const isFried = last.main.role === 'fat' || isInHotPan(last.clauses)
      last.main = isFried ? { ...read, role: 'do', operation: 'shallow-fry' } : read
    } else if (
      read.role === 'go-on' &&
      last !== undefined &&
      !isRise(last.main) &&
      last.main !== null &&
      !last.clauses.some(
        (one) => timeIn(parsed.text.slice(one.clause.from, one.clause.to)) !== null && one.role !== 'none',
      )
    ) {
      last.clauses.push(...lead, read)
    } else if (joins) {
      last.clauses.push(...lead, read)
      last.main = read
    } else if (last?.main != null && isSame && (isTopped(last.main, read) || isLeftIn(last, read, parsed))) {
      last.clauses.push(...lead, read)
    } else if (
      last?.main != null &&
      last.main.operation !== null &&
      last.main.operation === read.operation &&
      MERGES.has(read.operation) &&
      (isSame || isLayering(last.main, read))
    ) {
      last.clauses.push(...lead, read)
    } else groups.push({ clauses: [...lead, read], main: read })
    lead = []
  })
  if (lead.length > 0) {
    const last = groups.at(-1)
    if (last === undefined) return []
    last.clauses.push(...lead)
  }
  return groups.flatMap(({ clauses: of, main }, at) =>
    doing(parsed, of, main, groups[at + 1]?.main ?? null, groups[at + 1]),
  )
}
const leftAlone = ({ words }: Read): Partial<Read> => ({
  role: timeIn(words) === null ? 'none' : 'go-on',
  operation: null,
})
/** With other food, not with what is left of the same. */
const isRepeatedWith = ({ clause }: Read, { bare }: Parsed): boolean =>
  clause.verb?.word === 'repeat' &&
  /^\s*(?:this |the same |the process )?with (?:the|your)\s+(?!(?:remaining|rest|other|second|third|next|remainder|leftover)\b)/iu.test(
    bare.slice(clause.verbTo, clause.to),
  )
const againAs = (last: Group | undefined): Partial<Read> =>
  last?.main?.role === 'do' && last.main.operation !== null
    ? { role: 'do', operation: last.main.operation }
    : {}
/** "Bring to the boil, 6 minutes on low": the time is of what follows. */
const isRise = (main: Read | null): boolean =>
  (main?.operation === 'heat' && /^(?:bring|heat)$/.test(main.clause.verb?.word ?? '')) ||
  (main?.operation != null && (BRIEF.has(main.operation) || main.clause.verb?.word === 'crumble'))
const BRIEF: ReadonlySet<OperationId> = new Set(['coat', 'shape', 'chop'])
const isHotRead = ({ operation, clause }: Read): boolean =>
  (operation !== null && HOT.has(operation)) || /^(?:cook|let|stir)$/.test(clause.verb?.word ?? '')
/** They are doings of their own after a put: what was put in is mixed first. */
/** Liquid poured over what then stands in it. */
const POURED =
  /\bwater\b|\b(?:to|into|in) (?:the )?(?:boiling|simmering|hot) (?:[a-zß-ɏ]+ )?(?:stock|broth|milk)\b|\b(?:pour|cover)\b[^.;]*\b(?:stock|broth|soy milk|milk)\b[^.;]*\bover\b|\b(?:pour|cover)\b[^.;]*\bover\b[^.;]*\b(?:stock|broth)\b/iu
const ALONE: ReadonlySet<OperationId> = new Set(['hold', 'chill', 'cool', 'rest', 'drain'])
/** What follows a put in another sentence, and is a doing of its own all the same. */
const AFTER_PUT: ReadonlySet<OperationId> = new Set([
  'chill',
  'cool',
  'rest',
  'mix',
  'coat',
  'shape',
  'chop',
  'wrap',
  'drain',
])
const isLayering = (a: Read, b: Read): boolean =>
  /^(?:spread|layer|top|press|pile|line|assemble)$/.test(a.clause.verb?.word ?? '') &&
  /^(?:spread|layer|top|press|pile|assemble)$/.test(b.clause.verb?.word ?? '')
/** "Pour the marinade over and leave for two hours": the time is the marinade's. */
const isLeftIn = (last: Group, read: Read, parsed: Parsed): boolean =>
  last.main?.operation === 'marinate' &&
  (read.operation === 'rest' || read.operation === 'chill') &&
  !hasOwnObject(read, parsed) &&
  timeIn(read.words) !== null &&
  last.clauses.every(({ words }) => timeIn(words) === null)
/** "Divide the salad between four slices and top with the rest": it is built in one go. */
const isTopped = (a: Read, b: Read): boolean =>
  /^(?:spread|layer|pile|divide|spoon|fill|assemble)$/.test(a.clause.verb?.word ?? '') &&
  a.operation === 'shape' &&
  /^(?:top|sandwich)$/.test(b.clause.verb?.word ?? '')
/** Said twice in a sentence they are one doing. */
const MERGES: ReadonlySet<OperationId> = new Set(['chop', 'freeze-thaw', 'shape', 'drain'])

/** "Hot pan, oil in, and the tofu goes in": it fries. */
const isInHotPan = (reads: readonly Read[]): boolean =>
  reads.some(
    ({ clause, words }) =>
      /\bhot (?:\w+ )?(?:pan|skillet|wok)\b[^.;]*\b(?:oil|fat)\b/iu.test(words) && clause.verb?.kind !== 'do',
  )

/** "Now leave it! Five minutes.": it is left alone where it fries. */
const isLeftAlone = (last: Group | undefined, { clause, words, operation }: Read): boolean =>
  operation === 'rest' &&
  clause.verb?.word === 'leave' &&
  last !== undefined &&
  (FRIES.test(last.main?.operation ?? '') || isInHotPan(last.clauses)) &&
  last.clauses.every((one) => timeIn(one.words) === null) &&
  !/\b(?:off|out|rest|aside|stand|cool|lid|cover\w*|set|paper|plate|rack)\b/iu.test(words)
/** "Laid them in the stock, which was just trembling. I left them there for 50 minutes." */
const isLeftToSimmer = (
  last: Group | undefined,
  { clause, operation, words }: Read,
  { text }: Parsed,
): boolean =>
  operation === 'rest' &&
  clause.verb?.word === 'leave' &&
  timeIn(words) !== null &&
  last?.main?.role === 'put' &&
  TREMBLES.test(text.slice(last.main.clause.from, last.main.clause.to))
const FRIES = /^(?:shallow-fry|sear|brown|grill|simmer)$/

/** "Add the beans, 4 min": what was going on goes on with them. */
const ENDS_TIMED =
  /[a-zß-ɏ][^.;]*,\s*(?:about |for |another )?\d+(?:\s*-\s*\d+)?\s*(?:min|mins|minutes?)(?: more| longer)?\s*[.;]?\s*$|^\W*(?:(?:add|throw|tip|put)\b[^.;]*|[^.;]*\bin )\bfor (?:the (?:last|final) |another |a further |about |around )?(?:\d+|two|three|four|five|six|eight|ten|fifteen|twenty)(?:\s*(?:min|mins|minutes?))?\s*[.;]?\s*$/iu

function doing(
  parsed: Parsed,
  reads: readonly Read[],
  main: Read | null,
  next: Read | null,
  following: Group | undefined,
): DoingText[] {
  if (main === null) return []
  const [first] = reads
  const last = reads.at(-1)
  const isBareVerb =
    main.clause.verb !== null && parsed.bare.slice(main.clause.verbTo, main.clause.to).trim() === ''
  const start = first?.clause.from ?? 0
  // "If you are using agar, whisk it in": the condition says what "it" is.
  const condition = parsed.subordinates.find(
    (one) => one.kind === 'condition' && one.from < start && one.to >= start - 2,
  )
  return [
    {
      from: condition?.from ?? start,
      to: last?.clause.to ?? 0,
      parsed,
      clauses: reads.map(({ clause }) => clause),
      active: reads.flatMap(({ clause, role }) => (role === 'none' ? [] : [clause])),
      main: main.clause,
      operation:
        main.operation ??
        (main.role === 'put'
          ? ENDS_TIMED.test(main.words)
            ? null
            : isInHotPan(reads)
              ? 'shallow-fry'
              : 'mix'
          : main.role === 'fat'
            ? 'heat'
            : null),
      isOptional: main.clause.isOptional,
      sharesNext:
        isBareVerb &&
        reads.filter(({ role }) => role !== 'none').length === 1 &&
        last === main &&
        next !== null &&
        next.clause.isJoined &&
        following?.clauses[0] === next,
    },
  ]
}
