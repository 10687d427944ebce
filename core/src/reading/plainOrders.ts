/** Orders in other words than orders: what is said around them is blanked or turned round, and every word keeps its place. */
import { verbOf } from './lexicon/verbs'

const blank = (found: string): string => ' '.repeat(found.length)

/** "What we're going to do is", "the next thing you want to do is", "all you have to do is". */
const THE_THING_IS =
  /\b(?:so,?\s+)?(?:what|(?:the (?:first|next|last|only) thing|all))\s+(?:that\s+)?(?:you|i|we)(?:['’](?:ll|d|re|m|ve)|\s+will|\s+would)?\s+(?:[a-zß-ɏ]+\s+){0,4}?(?:do|want|need|like)(?:\s+(?:here|now|then|next|to do))?\s+is,?\s+(?:to\s+)?/giu
/** "You'll want to", "make sure to", "go ahead and": what follows is what is to be done. */
const MODALS =
  /\b(?:(?:you|i|we)(?:['’](?:ll|d|re|m)|\s+will|\s+would)?\s+(?:(?:just|then|also|first|now|only)\s+)*(?:want|need|have|got|ought|going|like)\s+to\s+(?:(?:just|then|also|first)\s+)*|(?:you|i|we)(?:['’](?:ll|d|re|m|ve))?\s+(?:(?:just|then|also|first|now|only)\s+)*(?:gonna|wanna|gotta)\s+(?:wanna\s+)?(?:(?:just|then|also|first)\s+)*|(?:make|be) sure (?:to|you)\s+|go (?:ahead|on) and\s+|remember to\s+|try to\s+|take care to\s+|it(?:['’]s| is) time to\s+|having\s+(?=[a-zß-ɏ]+ed\b)|blast\s+(?=chill))(?=[a-zß-ɏ]{3})/giu
/** "**Boil the veg.** Put …": what stands bold above a step names it. */
const BOLD_TITLE = /^\s*(?:\*\*|__)[^*_\n]{2,60}(?:\*\*|__)[:.]?(?=\s+\S)/u
export const withoutModals = (text: string): string =>
  text
    .replace(BOLD_TITLE, blank)
    .replace(THE_THING_IS, blank)
    .replace(MODALS, blank)
    .replace(OFF_THE_HEAT, blank)
    .replace(
      ARROW,
      (found, at: number) =>
        `${STATE.test(text.slice(at + found.length)) ? ',' : ';'}${' '.repeat(found.length - 1)}`,
    )

/** "Off: + vinegar", "off the heat: add the salt". */
const OFF_THE_HEAT = /^\s*off(?: the)?(?: heat)?\s*:/iu
const ARROW = /(?:^|\s)(?:→|⇒|➜|->|=>)\s/gu
/** "Fry the tofu → golden": how far, and nothing more to do. */
const STATE =
  /^\s*(?:(?:nicely|very|just|deep|light) )?(?:golden|brown\w*|soft|crisp\w*|tender|done|thick|smooth|dry|dark|light|glossy|sticky|until|till)\b(?! (?:the|in)\b)/iu

/** "T-5 h:", "T minus 30 min –", "09:15", "Stage 3.": when it is done, or which step it is. */
const LEAD =
  /^\s*(?:T\s?(?:[-–−+]|minus|plus)\s?\d+(?:[.,]\d+)?\s?(?:h|hrs?|hours?|d|days?|min|mins|minutes?)?(?:\s?\d{1,2}(?:\s?(?:min|mins))?)?|(?:at\s+)?(?:[01]?\d|2[0-3])[:.h][0-5]\d(?:\s?(?:h|hrs|am|pm|uhr))?|(?:stage|phase|step)\s+\d{1,2}|(?!1\/[2348]|[23]\/[348])\d{1,2}\/(?:1[0-2]|\d)(?:\s?[-–]\s?\d{1,2}\/\d{1,2})?(?=\s+\p{L}))\s*(?:[:.)–—-]\s+|\s(?=\p{Lu})|(?<=\d\/\d{1,2})\s)/iu

/** "After draining, the beans are spread out": they are drained first. */
const AFTER_DOING = /(^|[.;]\s+)after (drain|rins|squeez)ing(?: them| it| well)?,/iu
const AFTER_BARE: Readonly<Record<string, string>> = { drain: 'drain', rins: 'rinse', squeez: 'squeeze' }

/** "Resting: 20 min, covered": what is done stands first as a label. */
const LABEL =
  /^(\s*)(mixing|kneading|resting|bulk(?: fermentation)?|proofing|proving|proof|cooling|chilling|baking|roasting|steaming|frying|simmering|boiling|soaking|draining|pressing|marinating|blending|toasting|cutting|shaping|drying|freezing|dividing|grinding)(\s*:\s*)(?=([a-zß-ɏ-]*))/iu
const LABELS: Readonly<Record<string, string>> = {
  bulk: 'rest',
  'bulk fermentation': 'rest',
  proof: 'rest',
  proofing: 'rest',
  proving: 'rest',
}
const ING = /ing$/u
const bareOf = (label: string): string => {
  const known = LABELS[label]
  if (known !== undefined) return known
  const found = verbOf(label)
  return found === null ? label.replace(ING, '') : found.verb.word
}

/** "Cook 2 minutes before adding the stock": first the one, then the other. */
const BEFORE_PUT =
  /(,?\s+before )((?:add|stir|pour|fold|tipp|whisk|spoon|scatter|sprinkl|spread|turn)ing)(?=\s+(?:in\b|on\b|over\b|the\b|[a-zß-ɏ]+))/giu
const BARE: Readonly<Record<string, string>> = { tipp: 'tip', sprinkl: 'sprinkle' }

/** "To knead 5 minutes; to rest 20 minutes": an order, where no other follows it. */
const INFINITIVE = /(^|[.;]\s*)(to\s+)(?=([a-zß-ɏ-]+)\b([^.;]*))/giu
/** "To serve, …", "to make the sauce: …" tell what for. */
const WHAT_FOR = /^(?:serve|make|finish|store|test|use|check|garnish|assemble|taste)$/iu
const HAS_ORDER_AFTER = /[,:]/u
const isOrder = (verb: string, rest: string): boolean => {
  if (WHAT_FOR.test(verb) || verbOf(verb)?.form !== 'bare') return false
  const mark = HAS_ORDER_AFTER.exec(rest)
  if (mark === null) return true
  const next = /\p{L}+/u.exec(rest.slice(mark.index))?.[0] ?? ''
  return mark[0] === ',' && verbOf(next)?.form !== 'bare'
}

/** "At that time roast the onion": what follows is an order. */
const AT_THAT_TIME =
  /(^|[.;]\s+)(?:at (?:that|this|the same) (?:time|point|moment)|in the meantime|meantime)\b,?(?=\s+[a-zß-ɏ])/giu
/** "Drop 'em in". */
const EM = /(?<=\s)['’]em\b/gu
/** "Add balance coconut milk": what is left of it. */
const BALANCE = /(?<=\b(?:add|in|the|with|pour|and) )balance(?= (?!of\b)[a-zß-ɏ]{3})/giu
/** "Wet stuff (not the syrup)". */
const NOT_THAT = /\((?:but )?not the ([^()]{2,30})\)/giu

/** What few texts say: looked for only where its word stands. */
function seldomSaid(text: string): string {
  let said = text
  if (/time|point|moment/iu.test(said))
    said = said.replace(AT_THAT_TIME, (found, mark: string) => `${mark}${blank(found.slice(mark.length))}`)
  if (/['’]em/u.test(said)) said = said.replace(EM, 'it ')
  if (said.includes('balance')) said = said.replace(BALANCE, 'rest of')
  if (said.includes('not the '))
    said = said.replace(NOT_THAT, (found, what: string) => ` except ${what}`.padEnd(found.length))
  return said
}

/** Every word keeps its place. */
export const inOrder = (text: string): string =>
  seldomSaid(text)
    .replace(LEAD, blank)
    .replace(/(?<=[a-zß-ɏ]) n (?=[a-zß-ɏ])/giu, ' & ')
    .replace(LABEL, (found, space: string, label: string, _mark: string, next: string) =>
      verbOf(next)?.form === 'bare' ? found : `${space}${bareOf(label.toLowerCase())}`.padEnd(found.length),
    )
    .replace(AFTER_DOING, (found, space: string, stem: string) =>
      `${space}${AFTER_BARE[stem.toLowerCase()] ?? ''},`.padEnd(found.length),
    )
    .replace(INFINITIVE, (found, mark: string, to: string, verb: string, rest: string) =>
      isOrder(verb, rest) ? `${mark}${blank(to)}` : found,
    )
    .replace(BEFORE_PUT, (_, before: string, gerund: string) => {
      const stem = gerund.slice(0, -3)
      return `,${' '.repeat(before.length - 1)}${(BARE[stem] ?? stem).padEnd(gerund.length)}`
    })
