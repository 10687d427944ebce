import type { OperationId } from '../model'
import { type Clause, parse, type Parsed } from './clauses'
import { durationsIn } from './stepTimes'
import { HOT, VESSEL_ONLY } from './lexicon/things'

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

/** What a clause is within the chain of a text. */
type Role = 'do' | 'put' | 'fat' | 'go-on' | 'none'
interface Read {
  readonly clause: Clause
  readonly role: Role
  readonly operation: OperationId | null
  readonly words: string
}

const FRIDGE = /\b(?:fridge|refrigerator|icebox)\b/iu
const OVEN = /\b(?:in|into|to)\b[^.;]{0,16}\boven\b/iu
const UNDER_GRILL = /\bunder (?:a |the )?(?:\w+ ){0,2}(?:grill|broiler)\b/iu
const CUT_TO =
  /\b\d+(?:[.,]\d+)?\s*-?\s*(?:cm|mm|inch)\s+(?:cubes?|dice|slices?|strips?|slabs?|pieces?|chunks?|batons?)\b/iu
const WATER = /\bwater\b/iu
const FAT = /\b(?:oil|fat|margarine|ghee|lard|butter)\b/iu
const SEPARATES =
  /\b(?:out of|from) the (?:liquid|liquor|water|marinade|brine|stock|bath)\b|\bout with a (?:slotted|skimmer|tea strainer)|\bout onto (?:paper|kitchen)/iu

const LIES_IN =
  /\bin (?:the|its|their) (?:hot |cooking |own )?(?:stock|liquid|liquor|water|marinade|brine|syrup|bath|broth)\b|\bin the (?:hot|cold) oil\b|^\s*oil back\b/iu

const timeIn = (words: string): number | null => durationsIn(words)[0]?.minutes ?? null

/** What words without a verb tell to do: "under a hot grill, 12 min", "fridge 2 h". */
function fragment(words: string): OperationId | null {
  const minutes = timeIn(words)
  if (UNDER_GRILL.test(words)) return 'broil'
  if (CUT_TO.test(words)) return 'chop'
  if (/\b(?:blender|food processor)\b/iu.test(words)) return 'blend'
  if (
    /^\s*\d+ (?:[\p{L}-]+ )?(?:cakes|balls|patties|burgers|logs|sausages|discs|rounds|dumplings|koftas)\b/iu.test(
      words,
    )
  )
    return 'shape'
  if (FRIDGE.test(words)) return minutes !== null && minutes > 10_000 ? null : 'chill'
  if (minutes === null) return null
  if (/\boven\b|\b(?:1[4-9]|2[0-6])\d\s*°?\s*C\b|\b[34]\d\d\s*°?\s*F\b/u.test(words)) return 'roast'
  if (/\bsteamer\b/iu.test(words)) return 'steam'
  if (minutes >= 240 && /\b(?:warm|yog|(?:2[0-9]|3\d|4\d)\s*°?\s*C\b)/iu.test(words)) return 'culture'
  if (WATER.test(words) && minutes >= 10 && !/\b(?:boil|simmer)/iu.test(words)) return 'soak'
  if (/\bhot\b[^,;]*\b(?:oil|fat)\b/iu.test(words)) return 'toast'
  if (/\bpan\b[^,;]*\b(?:oil|fat)\b|\b(?:min|minutes)\s*(?:\/|a |per |each )\s*side\b/iu.test(words))
    return 'shallow-fry'
  return null
}

/** What "let it …" lets happen. */
function lets(words: string): OperationId | null {
  if (/\bcomes?\b[^.;]{0,16}\bto (?:the|a) (?:boil|simmer)\b/iu.test(words)) return 'heat'
  if (/\b(?:flame|hob|low heat|medium heat)\b/iu.test(words) && /\bset\b/iu.test(words)) return 'shallow-fry'
  if (/\b(?:bubble|boil|cook|simmer|reduce)\w*\b[^.;]{0,24}\b(?:away|down|off)\b/iu.test(words))
    return 'reduce'
  if (/\b(?:limp|soft|translucent|wilt|collapse|sweat|soften|flop)\w*\b/iu.test(words)) return 'sweat'
  if (/\b(?:sizzle|crackle|splutter|pop|foam)\b/iu.test(words)) return 'toast'
  if (/\b(?:brown|colour|color|caramelise|caramelize)\b/iu.test(words)) return 'brown'
  if (/\bmelt\b/iu.test(words)) return 'heat'
  if (/\bdown with\b/iu.test(words)) return 'mix'
  if (/\b(?:boil)\b/iu.test(words)) return 'boil'
  if (/\b(?:simmer|bubble|blip|tick|plop|stew|drink up)\b/iu.test(words)) return 'simmer'
  if (/\b(?:ferment|culture)\b/iu.test(words)) return 'culture'
  if (/\brun\b|\bwhizz\b/iu.test(words)) return 'blend'
  if (/\bsoak\b/iu.test(words)) return 'soak'
  if (/\binfuse|steep\b/iu.test(words)) return 'infuse'
  if (/\bmarinate\b/iu.test(words)) return 'marinate'
  if (/\b(?:excess|extra)\b/iu.test(words)) return null
  if (/\bdrain|drip\b/iu.test(words)) return 'drain'
  if (/\bknead\b/iu.test(words)) return 'knead'
  if (/\bthaw|defrost\b/iu.test(words)) return 'freeze-thaw'
  if (FRIDGE.test(words) || /\bchill\b/iu.test(words)) return 'chill'
  if (
    /\b(?:cool|cold|hand-?warm|room temperature|lukewarm)\b/iu.test(
      words.replace(/\bat (?:cool )?room temperature\b/iu, ''),
    )
  )
    return 'cool'
  return timeIn(words) !== null ||
    /\b(?:stand|sit|rest|swell|absorb|settle|drink|relax|thicken|set|firm|prove|rise|dry|steam)\b/iu.test(
      words,
    )
    ? 'rest'
    : null
}

/** A put-in clause that says where: into the fridge, the oven, or nowhere special. */
function puts(words: string, clauseText: string): OperationId | null {
  const minutes = timeIn(words)
  if (FRIDGE.test(words)) return 'chill'
  if (/\bfreezer\b/iu.test(words)) return 'freeze-thaw'
  if (UNDER_GRILL.test(words) && minutes !== null) return 'broil'
  if (OVEN.test(words) && minutes !== null) return 'roast'
  if (/\b(?:to one side|aside)\b/iu.test(words) && minutes !== null) return 'rest'
  if (/\b(?:sieve|colander)\b/iu.test(words) && minutes !== null) return 'drain'
  if (/\b(?:pour|tip) (?:off|away)\b/iu.test(clauseText)) return 'drain'
  if (
    /\b(?:brine|marinade)\b/iu.test(clauseText) &&
    /^(?:pour|lay|put|place|submerge|cover|tip|slide|drop)/iu.test(clauseText)
  )
    return 'marinate'
  if (/\b(?:in|into) the (?:\w+ )?(?:sauce|gravy|stock|broth|soup)\b/iu.test(clauseText) && minutes !== null)
    return 'simmer'
  if (/\binto (?:a |the |\w+ )*moulds?\b/iu.test(clauseText)) return 'shape'
  if (/\bcalcium\b|\balginate bath\b/iu.test(words) && /^drop/iu.test(clauseText)) return 'spherify'
  return null
}

function readClause(
  parsed: Parsed,
  clause: Clause,
  next: Clause | undefined,
  previous: Clause | undefined,
): Read {
  const words = parsed.bare.slice(clause.from, clause.to)
  const rest = parsed.bare.slice(clause.verbTo, clause.to)
  const full = parsed.text.slice(clause.verbTo, clause.to)
  const { verb } = clause
  const read = (role: Role, operation: OperationId | null = null): Read => ({
    clause,
    role,
    operation,
    words,
  })
  if (clause.isRemark) return read('none')
  if (verb === null) {
    const operation = fragment(words)
    if (operation !== null) return read('do', operation)
    if (timeIn(words) !== null) return read('go-on')
    return /^\s*(?:out with|lid|\S+ \w+s (?:the|a|an|it|them)\b|done|right|bowls?|jar|bottle|natural release|days?\b|ok)\b/iu.test(
      words,
    ) || !/\p{L}/u.test(words)
      ? read('none')
      : read('put')
  }
  if (
    VESSEL_ONLY.test(rest) &&
    !WATER.test(rest) &&
    /^(?:heat|warm|get|bring|put|lay|cover|set|brush|place|peel|grease|oil|line|return|rub|wipe|preheat|turn|take|reduce|lower)$/.test(
      verb.word,
    )
  ) {
    return timeIn(rest) !== null && /\b(?:oven)\b/iu.test(rest) && /^(?:return|put|set)$/.test(verb.word)
      ? read('do', 'roast')
      : read('none')
  }
  switch (verb.kind) {
    case 'none':
      if (
        /^\s*out the (?:\w+ )?(?:bay|cardamom|cinnamon|star anise|leaf|leaves|pods?|sprigs?|stalks?|herbs|spices|lemongrass|clove|garlic|kombu|rind)/iu.test(
          rest,
        )
      )
        return read('none')
      if (verb.word === 'pass' && /\b(?:sieve|strainer|muslin|cloth)\b/iu.test(rest))
        return read('do', 'strain')
      if (/^(?:move|transfer|put|return)$/.test(verb.word) && /\b(?:warm|low) oven\b/iu.test(rest))
        return read('do', 'hold')
      if (
        /^(?:discard|bin|throw|save)$/.test(verb.word) &&
        verb.word !== 'save' &&
        /^\s*(?:away )?the (?:\w+ )?(?:brine|marinade|water|liquid|liquor|soaking)/iu.test(rest)
      )
        return read('do', 'drain')
      return SEPARATES.test(rest) ||
        (/^(?:lift|take|remove|scoop)$/.test(verb.word) &&
          /^\s*(?:it |them |the [\w ]{1,24})?out\b(?! of the (?:pan|oven|tin))/iu.test(rest) &&
          LIES_IN.test(parsed.bare.slice(Math.max(0, clause.from - 70), clause.from))) ||
        (verb.word === 'fish' && /\bout\b/u.test(rest))
        ? read('do', 'drain')
        : read(
            verb.word === 'turn' && /^\s*(?:it|them|the \w+) in the\b/iu.test(rest) ? 'do' : 'none',
            verb.word === 'turn' ? 'coat' : null,
          )
    case 'let': {
      const operation = lets(full.replace(/\([^)]*\)/gu, ''))
      return read(operation === null ? 'none' : 'do', operation)
    }
    case 'give':
      return timeIn(words) !== null
        ? read('go-on')
        : isFat(verb.word, rest, next)
          ? read('fat')
          : read('none')
    case 'put': {
      const sense = verb.senses.find(({ when }) => when?.test(rest) === true)
      if (sense?.operation != null) return read('do', sense.operation)
      if (
        /\b(?:blender|processor)\b[^.;]{0,12}\b(?:running|on|going)\b/iu.test(
          parsed.text.slice(clause.from, clause.to),
        )
      )
        return read('do', 'blend')
      if (verb.word === 'go' && /\baway\b/u.test(rest)) return read('do', 'rest')
      if (
        /^(?:ladle|scoop)$/.test(verb.word) &&
        /\b(?:out|up|off)\b[^.;]*\b(?:water|liquid|liquor)\b/iu.test(rest)
      )
        return read('none')
      if (verb.word === 'cover' && !WATER.test(rest)) return read('none')
      if (
        /^\s*(?:the )?(?:\w+ ){0,3}(?:away|down the (?:sink|drain))\b/iu.test(rest) &&
        !/^\s*(?:off|away)/iu.test(rest)
      )
        return read('none')
      const operation = puts(words, parsed.bare.slice(clause.verbFrom, clause.to))
      return operation === null ? read('put') : read('do', operation)
    }
    case 'do': {
      // "Put the pan in the oven and heat it": nothing is heated but the pan.
      if (
        /^(?:heat|warm)$/.test(verb.word) &&
        /^\s*it\b/iu.test(rest) &&
        previous?.verb != null &&
        VESSEL_ONLY.test(parsed.bare.slice(previous.verbTo, previous.to))
      )
        return read('none')
      // "Heat a grill pan and brush it with oil": the pan is brushed.
      if (
        /^(?:brush|oil|grease|coat)$/.test(verb.word) &&
        /^\s*(?:it|this)\b/iu.test(rest) &&
        previous?.verb != null &&
        /^(?:heat|get|warm|take|light)$/.test(previous.verb.word) &&
        VESSEL_ONLY.test(parsed.bare.slice(previous.verbTo, previous.to))
      )
        return read('fat')
      if (verb.word === 'crumble' && /\b(?:stock|bouillon) cubes?\b/iu.test(rest)) return read('put')
      if (
        /^(?:crush|rub)$/.test(verb.word) &&
        /\bbetween (?:your|the) (?:palms|fingers|hands)\b/iu.test(rest)
      )
        return read('put')
      if (isFat(verb.word, rest, next))
        return isBath(verb.word, rest, parsed.text) ? read('none') : read('fat')
      const sense = verb.senses.find(
        ({ when }) => when === null || when.test(/until|where/.test(when.source) ? full : rest),
      )
      const operation = sense?.operation ?? null
      return read(operation === null ? 'none' : 'do', operation)
    }
  }
}

/** Fat warmed for what is fried in it next is no doing of its own. */
const isFat = (verb: string, rest: string, next: Clause | undefined): boolean =>
  /^(?:heat|warm|melt|get)$/.test(verb) &&
  FAT.test(rest) &&
  !/\b(?:milk|cream|sugar|flour|water|chocolate|stock)\b/iu.test(rest) &&
  next !== undefined &&
  (verb === 'melt' ? startsHot(next) && !/\d\s*°?\s*[CF]\b/u.test(rest) : true)
/** Oil heated for a bath of frying, said before the food is ready: what is fried takes it. */
const isBath = (verb: string, rest: string, text: string): boolean =>
  verb === 'heat' && /\b1[4-9]\d\s*°?\s*C\b|\b3[0-9]\d\s*°?\s*F\b/u.test(rest) && /\bfry\b/iu.test(text)
const startsHot = ({ verb }: Clause): boolean =>
  verb !== null &&
  (verb.kind === 'put' ||
    /^(?:stir|cook|let|whisk)$/.test(verb.word) ||
    verb.senses.some(({ operation }) => operation !== null && HOT.has(operation)))

/** Where a clause goes on with another time after a comma: "bring up slowly, 5 min on low", "…, 2 h in the fridge". */
const GOES_ON =
  /,\s*(?:then\s+)?(?=(?:about\s+)?[\d½¼¾]+(?:[.,]\d+)?\s*(?:-\s*\d+\s*)?(?:min|mins|minutes|h|hrs?|hours?)\b[^,.;]*\b(?:on|in|at|over) (?:a |the )?(?:low|fridge|refrigerator|oven|medium|room|warm|\d+))|,\s*(?:then\s+|and\s+)?(?=(?:in|into) the (?:fridge|refrigerator|oven)\b)|,\s*(?=\d+(?:[.,]\d+)?\s*-?\s*(?:cm|mm)\s+(?:cubes|dice|slices|strips))/iu

const THEN_MORE = /,\s*then\s+(?=the\b)/iu

function split(parsed: Parsed): Clause[] {
  return parsed.clauses.flatMap((clause): Clause[] => {
    if (clause.isRemark) return [clause]
    const semicolon = clause.verb === null ? -1 : parsed.bare.slice(clause.verbTo, clause.to).indexOf(';')
    if (semicolon >= 0) {
      const from = clause.verbTo + semicolon
      const more = parsed.bare.slice(from + 1, clause.to)
      const brings = /\b(?:in|into|over|back|on top)\s*[.;]|^\s*(?:the )?\p{L}+ (?:in|into|over)\b/iu.test(
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
          isRemark: !brings,
        },
      ]
    }
    const words = parsed.bare.slice(clause.verbTo, clause.to)
    const at =
      clause.verb === null
        ? null
        : (GOES_ON.exec(words) ?? (clause.verb.kind === 'let' ? THEN_MORE.exec(words) : null))
    if (at === null) return [clause]
    const from = clause.verbTo + at.index + at[0].length
    return [
      { ...clause, to: clause.verbTo + at.index },
      { ...clause, from, verb: null, verbFrom: from, verbTo: from, isJoined: false },
    ]
  })
}

interface Group {
  clauses: Read[]
  main: Read | null
}

const hasOwnObject = ({ clause, words }: Read, parsed: Parsed): boolean => {
  const rest = parsed.bare.slice(clause.verbTo, clause.to)
  return words !== '' && /^\s*(?:the|a|an|half|\d|two|three|your|each|all the)\b/iu.test(rest)
}

const doingsOfText = new Map<string, readonly DoingText[]>()
const MOST = 4000

/** The doings of a text, in order. Together they hold all its words. Kept by the words. */
export function doingsIn(text: string): readonly DoingText[] {
  const known = doingsOfText.get(text)
  if (known !== undefined) return known
  const made = gather(parse(text))
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
  reads.forEach((read, at) => {
    const last = groups.at(-1)
    const { clause } = read
    if (read.role === 'none') {
      const next = reads[at + 1]
      const opens =
        next !== undefined &&
        next.clause.sentence === clause.sentence &&
        reads[at - 1]?.clause.sentence !== clause.sentence
      if (last === undefined || opens || lead.length > 0) lead.push(read)
      else last.clauses.push(read)
      return
    }
    const isOpen = last !== undefined && (last.main?.role === 'put' || last.main?.role === 'fat')
    const isFatFirst = last?.main?.role === 'fat' && (read.role !== 'do' || isHotRead(read))
    const isKept =
      read.operation !== null &&
      ALONE.has(read.operation) &&
      !(read.operation === 'rest' && last?.clauses.some(({ words }) => WATER.test(words)))
    const isSame = last?.main?.clause.sentence === clause.sentence
    const joins =
      isOpen &&
      !isKept &&
      (isSame ||
        isFatFirst ||
        (read.role === 'do' &&
          !hasOwnObject(read, parsed) &&
          read.operation !== null &&
          !AFTER_PUT.has(read.operation)))
    if (read.role === 'go-on' && last?.main?.role === 'put') {
      last.clauses.push(...lead, read)
      last.main = read
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
/** "Bring to the boil, 6 minutes on low": the time is of what follows. */
const isRise = (main: Read | null): boolean =>
  (main?.operation === 'heat' && /^(?:bring|heat)$/.test(main.clause.verb?.word ?? '')) ||
  (main?.operation != null && BRIEF.has(main.operation))
const BRIEF: ReadonlySet<OperationId> = new Set(['coat', 'shape', 'chop'])
const isHotRead = ({ operation, clause }: Read): boolean =>
  (operation !== null && HOT.has(operation)) || /^(?:cook|let|stir)$/.test(clause.verb?.word ?? '')
/** They are doings of their own after a put: what was put in is mixed first. */
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
/** Said twice in a sentence they are one doing. */
const MERGES: ReadonlySet<OperationId> = new Set(['chop', 'freeze-thaw', 'shape'])

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
  return [
    {
      from: first?.clause.from ?? 0,
      to: last?.clause.to ?? 0,
      parsed,
      clauses: reads.map(({ clause }) => clause),
      active: reads.flatMap(({ clause, role }) => (role === 'none' ? [] : [clause])),
      main: main.clause,
      operation: main.operation ?? (main.role === 'put' ? 'mix' : main.role === 'fat' ? 'heat' : null),
      isOptional: main.clause.isOptional,
      sharesNext:
        isBareVerb &&
        reads.length === 1 &&
        next !== null &&
        next.clause.isJoined &&
        following?.clauses[0] === next,
    },
  ]
}
