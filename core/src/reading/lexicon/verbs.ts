import { OperationId } from '../../model'
import { PHRASES, RESTS, VERB_TABLE } from './verbTable'

/** What a verb opens: a doing, the putting in of foods, a doing by other words ("let it cool"), or none. */
export type VerbKind = 'do' | 'put' | 'let' | 'give' | 'none'

/** A sense that holds where the words of the clause fit. The first that fits counts. */
export interface Sense {
  readonly when: RegExp | null
  readonly operation: OperationId | null
}

export interface Verb {
  readonly word: string
  readonly kind: VerbKind
  readonly senses: readonly Sense[]
  /** It joins what it names to the lot in hand. */
  readonly joins: boolean
  /** The word is a food, a thing or an adjective as well: it is a verb only where its object follows. */
  readonly isNoun: boolean
}

const sensesOf = (lines: readonly string[]): Sense[] =>
  lines.flatMap((line): Sense[] => {
    if (line === '{rests}') return sensesOf(rows(RESTS))
    const at = line.indexOf(' ')
    const operation = at < 0 ? line : line.slice(0, at)
    const when =
      at < 0 ? null : line.slice(at + 1).replace(/\{(\w+)\}/gu, (_, name: string) => PHRASES[name] ?? '')
    return [
      {
        operation: operation === 'none' ? null : OperationId.parse(operation),
        when: when === null ? null : new RegExp(when, 'iu'),
      },
    ]
  })
const rows = (table: string): string[] =>
  table
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')

const KINDS: ReadonlySet<string> = new Set<VerbKind>(['put', 'let', 'give', 'none'])
/** "words [flags] = operation", or without an operation: its senses stand below. */
const HEAD = /^([^[=]+?)(?:\s*\[([^\]]*)\])?(?:\s*=\s*(\S+))?$/u

function verbsOf(head: string, below: readonly string[]): Verb[] {
  const [, words = '', flags = '', operation] = HEAD.exec(head) ?? []
  const said = new Set(flags.split(/\s+/u))
  const kind = [...said].find((flag): flag is VerbKind => KINDS.has(flag)) ?? 'do'
  const senses = sensesOf(operation === undefined ? below : [operation])
  return words
    .trim()
    .split(/\s+/u)
    .map((word) => ({ word, kind, senses, joins: said.has('joins'), isNoun: said.has('noun') }))
}

/** The verbs of the table. */
function readTable(table: string): Verb[] {
  const found: { head: string; below: string[] }[] = []
  for (const line of table.split('\n').filter((one) => one.trim() !== '')) {
    const last = found.at(-1)
    if (line.startsWith('  ')) last?.below.push(line.trim())
    else if (line.startsWith('+ ') && last !== undefined) last.head += ` ${line.slice(2)}`
    else found.push({ head: line, below: [] })
  }
  return found.flatMap(({ head, below }) => verbsOf(head, below))
}

const PAST: Readonly<Record<string, string>> = {
  beat: 'beat',
  cut: 'cut',
  put: 'put',
  let: 'let',
  set: 'set',
  split: 'split',
  bring: 'brought',
  grind: 'ground',
  break: 'broke',
  freeze: 'froze',
  give: 'gave',
  get: 'got',
  take: 'took',
  leave: 'left',
  stand: 'stood',
  sit: 'sat',
  hold: 'held',
  keep: 'kept',
  make: 'made',
  throw: 'threw',
  go: 'went',
  tear: 'tore',
  wring: 'wrung',
  spread: 'spread',
  shake: 'shook',
  sink: 'sank',
  eat: 'ate',
  run: 'ran',
  lay: 'laid',
  sow: 'sowed',
  feed: 'fed',
  do: 'did',
  see: 'saw',
}
const thirdOf = (word: string): string =>
  word === 'go' || word === 'do'
    ? `${word}es`
    : /(?:s|sh|ch|x|z)$/.test(word)
      ? `${word}es`
      : /[^aeiou]y$/.test(word)
        ? `${word.slice(0, -1)}ies`
        : `${word}s`
const DOUBLES = /(?:^|[^aeiou])[aeiou][bdgmnprt]$/
const pastOf = (word: string): string =>
  PAST[word] ??
  (word.endsWith('e')
    ? `${word}d`
    : /[^aeiou]y$/.test(word)
      ? `${word.slice(0, -1)}ied`
      : DOUBLES.test(word) && !/(?:en|er|ten|ken)$/.test(word)
        ? `${word}${word.at(-1) ?? ''}ed`
        : `${word}ed`)
const gerundOf = (word: string): string =>
  DOUBLES.test(word) && !/(?:en|er)$/.test(word)
    ? `${word}${word.at(-1) ?? ''}ing`
    : `${word.endsWith('e') ? word.slice(0, -1) : word}ing`

/** How a verb stands in a text: bare ("bake"), third person ("bakes"), past ("baked"), gerund ("baking"). */
export type VerbForm = 'bare' | 'third' | 'past' | 'gerund'
export interface FoundVerb {
  readonly verb: Verb
  readonly form: VerbForm
}

/** "Cut", "spread": said of what was done as of what is to be done. */
export const isPastToo = ({ word }: Verb): boolean => PAST[word] === word

/** "Bake", "bakes", "baked", "baking". */
export const formsOf = (word: string): readonly (readonly [text: string, form: VerbForm])[] => [
  [word, 'bare'],
  [thirdOf(word), 'third'],
  [pastOf(word), 'past'],
  [gerundOf(word), 'gerund'],
]

const FORMS = new Map<string, FoundVerb>()
for (const verb of readTable(VERB_TABLE))
  for (const [text, form] of formsOf(verb.word)) if (!FORMS.has(text)) FORMS.set(text, { verb, form })

/** The verb that a word is a form of, or null. */
export const verbOf = (word: string): FoundVerb | null => FORMS.get(word.toLowerCase()) ?? null
