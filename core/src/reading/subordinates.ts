import { verbOf } from './lexicon/verbs'
import { DETERMINERS } from './lexicon/particles'
import { tokensOf } from './tokens'

/** A stretch of a text. */
export interface Span {
  readonly from: number
  readonly to: number
}
/** Words that tell when, why or how, and name neither a doing nor a food. */
export interface Subordinate extends Span {
  readonly kind: 'until' | 'condition' | 'aside'
}

const UNTIL = /\b(?:until|till|'til|til)\b/giu
/** A new clause begins here, also within an until-clause. */
const CLOSES = /[,.;:–—()]|\bthen\b/giu
const ASIDES: readonly RegExp[] = [
  /\([^)]*\)/gu,
  // why and what for
  /,?\s*\b(?:so that|so (?:it|they|the|you|as to|that|there)|because|since|in order to|or (?:it|they|the|you)\b)[^.;:,!?]*/giu,
  /\b(?:which|who|whose|where|whereby|although|though|whether|unless|rather than|instead of|unlike)\b[^.;,!?]*/giu,
  /\bthat (?:is|are|was|were|has|have|should|will|can|you|they|it)\b[^.;,!?]*/giu,
  // likeness
  /\b(?:like|resembl\w+|as if|as though|such as)\b[^.;,!?]*/giu,
  /\bas (?:\w+ ){1,3}as\b[^.;,!?]*/giu,
  /\bas (?:makes?|will make|is needed|needed|it needs|you need|it takes|it will take|brings?|gives?)\b[^.;,!?]*/giu,
  /\b(?:the )?(?:size|thickness|width|length|colour|color|texture|consistency|shape|brown|look) of\b[^.;,!?]*/giu,
  /\babout the (?:size|thickness) of\b[^.;,!?]*/giu,
  /\b(?<=(?:mould|tin|tray|bowl|sieve|dish|pan|cloth|jug|colander|ring|sheet|plate)s? )(?:rinsed|lined|greased|set|filled|dusted|oiled|covered)\b(?: (?:with|over|in|into|on))[^.;,!?]*/giu,
  /\bin (?:a |an |one )(?:single |even |thin |thick |deep )*layers?\b/giu,
  /\b\w+ side (?:up|down)(?:wards)?\b/giu,
  // how
  /\bwithout\b[^.;,!?]*/giu,
  /\b(?:before|after)\s+(?:\w+ing|you|it|they|the|cutting|use|serving|ten|five|that|each)\b[^.;,!?]*/giu,
  /\b(?:just )?before use\b/giu,
  /\bfor (?:dusting|frying|basting|dipping|serving|garnish|later|another (?:day|time|use)|the (?:freezer|table))\b/giu,
  /,?\s*\b(?:discarding|removing)\b(?! (?:the |any |its |all )?(?:\w+ )?(?:water|liquid|marinade|brine|liquor|oil|whey|juices?|soaking)\b)[^.;,!?]*/giu,
  /,?\s*\bor (?:up to |even |better |ideally |preferably |for )*(?:overnight|longer|more)\b[^.;,!?]*/giu,
  /\bnot (?:too|the|a|for|to|so|from|its?|even)\b[^.;,!?]*/giu,
  /\b(?:nothing but|no more|no other|anything)\b[^.;,!?]*/giu,
]
const WHEN =
  /(?:^|[.;]\s*|,\s*(?:and |then )?)(?:when|once|while|as soon as|by the time|whilst|as|after|now that)\b[^.;,!?]*,?/giu
const WHEN_INSIDE =
  /\b(?:while|when|once) (?:still )?(?:hot|warm|cool|cold)(?= and\b)|\b(?:while|whilst|when|once|as)\s+(?:it|they|the|you|still|that|there|cool|cold|warm|hot|ready|done|set|everything|nudged|needed|necessary|required|you|he|she|we|i)\b[^.;:,!?]*/giu
const IF =
  /(?:^|[.;]\s*|,\s*(?:and |then )?|\band )(?:if|should (?:it|they|the)|in case)\b[^.;,!?]*[,:]?|\bif (?:it|they|the|you|need|necessary|not|liked|desired|using)\b[^.;,!?]*|\btoo [\w ]{1,20}\?/giu
/** Participles that bring foods in, or put them away; all others only tell how. */
const ACTING =
  /^(?:adding|keeping|reserving|saving|discarding|using|basting|brushing|dusting|sprinkling|including|leaving|starting|beginning)$/iu
/** Participles that are part of a thing's name: "boiling water", "frying pan". */
const NAMING =
  /^(?:(?:boiling|cooking|soaking|simmering|running|frying|baking|roasting|mixing|serving|rolling|chilling|grilling|steaming|poaching|melting|dipping|washing|stuffing|dressing|icing|pudding|seasoning|filling|topping|coating|spring|string|marinating|cutting|sweetening|raising|thickening|warming|loosening|slicing|ring|wing)s?\b\s*(?:hot\s+)?(?:salted\s+)?(?:water|liquid|liquor|oil|pan|pans|sheet|sheets|tray|tins?|tin|dish|paper|powder|soda|bowl|stock|broth|pot|board|sugar|onions?|point|hot|juice|juices|mix|mixture|salt|fat|rack|basket|spoon|beans)|(?:pudding|stuffing|dressing|icing|seasoning|filling|topping|coating|spring|string|ring)\b)/iu
const NO_PARTICIPLES =
  /^(?:remaining|following|morning|evening|during|nothing|something|anything|everything|thing|string|spring|pudding|tempering|frosting|herring|ring|wing|king|sibling|ceiling|dumpling|seasoning|topping|filling|stuffing|icing|shortening|lightning)$/iu
const PARTICIPLE =
  /(?:,\s*|\bby\s+|\bthen\s+|\s)(?:(?:constantly|all the time|often|occasionally|gently|still|slowly)\s+)?([a-zß-ɏ]+ing)\b[^.;,!?]*/giu

const IS_WANTED = /\b(?:wants?|needs?|requires?|been)\s*$/iu

/** Where an until-clause ends: at a mark, or where "and" opens the next doing. */
function untilEnd(text: string, from: number): number {
  CLOSES.lastIndex = from
  return doingWithin(text, from, CLOSES.exec(text)?.index ?? text.length)
}

const IN_PLACES =
  /^\s+(?:in (?:places|parts|spots|patches)|(?:at|around|round|on) the (?:edges?|outside|top|bottom|ends|tips)|on (?:top|both sides|all sides|each side))\b/iu
/** Where "and" opens the next doing within a stretch; its end where none does. */
function doingWithin(text: string, from: number, mark: number): number {
  for (const { 0: word, index } of text.slice(from, mark).matchAll(/\s(?:and|or)\s+|\s(?=(?:I|we)\s)/gu)) {
    if (word.trim() === '' && index < 4) continue
    // "Before you slice or grate it" is one.
    if (word.trim() === 'or' && /^\W*before\b/iu.test(text.slice(from))) continue
    const all = tokensOf(text.slice(from + index + word.length, mark))
    const [first, second] = /^(?:i|we|you)$/.test(all[0]?.text ?? '') ? all.slice(1) : all
    const found = first === undefined ? null : verbOf(first.text)
    if (word.trim() === '' && (found?.form === 'past' || found?.form === 'bare')) return from + index
    if (first === undefined || found?.form !== 'bare') continue
    // "Until dry and crisp in places".
    if (IN_PLACES.test(text.slice(from + index + word.length + first.end, mark))) continue
    const isDoing =
      second === undefined
        ? !found.verb.isNoun
        : DETERMINERS.has(second.text) ||
          /^(?:in|out|off|into|with|over|aside|to|on|up|for|until|till|well)$/.test(second.text) ||
          (!found.verb.isNoun && /^(?:back|gently|at|under)$/.test(second.text)) ||
          (found.verb.word === 'keep' && /^(?:warm|hot)$/.test(second.text))
    if (isDoing) return from + index
  }
  return mark
}

/** "When this boils pour it over": where an order follows without a mark; the stretch's end where none does. */
function orderWithin(text: string, { from, to }: Span): number {
  const tokens = tokensOf(text.slice(from, to))
  for (let index = 3; index < tokens.length - 1; index += 1) {
    const found = verbOf(tokens[index]?.text ?? '')
    const next = tokens[index + 1]
    // "While they boil chop the onions".
    const isAfterVerb =
      /^(?:boil|cook|simmer|bake|roast|rest|stand|soak|chill|cool|steam|fry|drain)$/.test(
        tokens[index - 1]?.text ?? '',
      ) && /^(?:they|it|these|those|that)$/.test(tokens[index - 2]?.text ?? '')
    const isOrder =
      found?.form === 'bare' &&
      // "When it is low add the rest".
      (found.verb.word === 'add' ||
        (next !== undefined &&
          (found.verb.isNoun && !isAfterVerb
            ? found.verb.kind === 'put' &&
              /^(?:throw|tip|pour|return|chuck|bung|dump|slip)$/.test(found.verb.word)
              ? /^(?:it|them|this|the|in)$/
              : /^(?:it|them|this)$/
            : found.verb.kind === 'put'
              ? /^(?:it|them|this|the|in|over|a|an|some|more|another|\d.*)$/
              : /^(?:it|them|this|the|in|over)$/
          ).test(next.text))) &&
      !/^(?:to|and|or|the|a|you|they|will|can|not)$/.test(tokens[index - 1]?.text ?? '')
    if (isOrder) return from + (tokens[index]?.at ?? 0)
  }
  return to
}

const stretch = (text: string, words: RegExp, kind: Subordinate['kind']): Subordinate[] =>
  [...text.matchAll(words)].map(({ 0: found, index }) => ({
    from: index + (/^[.;,\s]+/u.exec(found)?.[0].length ?? 0),
    to: found.startsWith('(') ? index + found.length : doingWithin(text, index, index + found.length),
    kind,
  }))

/** Stretches of a sentence that tell when, why or how. They may overlap. */
export function subordinatesOf(text: string): Subordinate[] {
  const found: Subordinate[] = []
  for (const { index, 0: word } of text.matchAll(UNTIL))
    found.push({ from: index, to: untilEnd(text, index + word.length), kind: 'until' })
  for (const words of ASIDES) found.push(...stretch(text, words, 'aside'))
  found.push(
    ...stretch(text, WHEN, 'aside').map((one) => ({ ...one, to: orderWithin(text, one) })),
    ...stretch(text, WHEN_INSIDE, 'aside').map((one) => ({ ...one, to: orderWithin(text, one) })),
  )
  found.push(...stretch(text, IF, 'condition').map((one) => ({ ...one, to: orderWithin(text, one) })))
  for (const match of text.matchAll(PARTICIPLE)) {
    const word = match[1] ?? ''
    const known = verbOf(word)
    if (
      NO_PARTICIPLES.test(word) ||
      known?.form === 'bare' ||
      ACTING.test(word) ||
      NAMING.test(text.slice(match.index + match[0].indexOf(word)))
    )
      continue
    // "The lentils want rinsing".
    if (IS_WANTED.test(text.slice(0, match.index))) continue
    if (known === null && !/^,|^by/i.test(match[0])) continue
    if (/\b(?:start|begin)s?\s*$/iu.test(text.slice(0, match.index))) continue
    const end = /\band\s+/iu.exec(match[0])
    const after =
      end === null ? null : verbOf(tokensOf(match[0].slice(end.index + end[0].length))[0]?.text ?? '')
    const to =
      after?.form === 'bare' && end !== null ? match.index + end.index : match.index + match[0].length
    found.push({ from: match.index, to, kind: 'aside' })
  }
  return found
}

/** The text with its stretches blanked, mark for mark: places stay the same. */
export function without(text: string, spans: readonly Span[]): string {
  let bare = text
  for (const { from, to } of spans)
    bare = bare.slice(0, from) + bare.slice(from, to).replace(/[^.;!?]/gu, ' ') + bare.slice(to)
  return bare
}
