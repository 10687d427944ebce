import type { OperationId } from '../model'
import { LEXICON } from './lexicon'

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
/** Words that only look like an operation. */
const NOT_OPERATIONS =
  /\b(?:baking (?:powder|soda|sheet|tray|paper|dish)|soaking (?:water|liquid|liquor)|cooking (?:water|liquid)|tofu skin|yuba skin|bean curd skin|frying pan|saut[eé] pan|roasting tin|food processor|steam(?:er)? basket|boiling (?:water|stock)|toasted|roasted|soaked|drained|pressed|mashed|chopped|sliced|cooked|browned|fried|baked|smoked|marinated|blended|grated|dried|shredded|crumbled|no steam|cooled?|chilled|the press|to press|reduced[- ](?:salt|sodium)|cream(?:ed)?|set aside|the rest|rest of|a rolling boil|(?:comes?|brings?|bring (?:it|them|the \p{L}+)|return) (?:just |back |up )*to (?:a|the) (?:gentle |rolling |full )?(?:boil|simmer)|to the boil|to a (?:simmer|boil)|cutting board|pastry brush|hot water|brown (?:rice|sugar|lentils?)|golden brown|(?:deep|lightly|nicely|well|edges?) brown|until (?:the edges |they |it |evenly |just )?(?:brown|browns|browned)|grill pan|heat[- ]?proof|over (?:a )?(?:low|medium|high|gentle)[- ]?(?:high|low)? heat|off the heat)\b/giu

export const masked = (text: string): string =>
  text.replace(NOT_OPERATIONS, (found) => ' '.repeat(found.length))

/** "Bring to the boil": heating with an end of its own. */
export const TO_BOIL =
  /\b(?:bring|comes?|heat|return)\b[^.;]{0,40}\bto (?:a|the) (?:gentle |rolling |full )?(boil|simmer)\b/i
/** A step that is no more than an operation's name, with or without a heat: "Pulse.", "Steam at 100 °C." */
const BY_NAME: ReadonlyMap<string, OperationId> = new Map(
  LEXICON.map(({ id, name }) => [name.toLowerCase(), id]),
)
const NAME_END = /(?:\s+at\s+-?\d+\s*°?\s*C)?\s*\.?\s*$/i

/** The unit operation that a text is about: the first one that is named in earnest, or null. */
export function operationIn(text: string): OperationId | null {
  const bareName = BY_NAME.get(text.replace(NAME_END, '').trim().toLowerCase())
  if (bareName !== undefined) return bareName
  const bare = masked(text)
  const found = LEXICON.flatMap(({ id, words }) => {
    const at = bare.search(words)
    return at < 0 ? [] : [{ id, at }]
  }).sort((a, b) => a.at - b.at)
  const earnest = found.filter(({ id }) => !MINOR.has(id))
  const strong = preferred(earnest.filter(({ id }) => !LESSER.has(id)))
  if (strong !== null) return strong
  const lesser = earnest[0]?.id
  if (lesser !== undefined) return lesser
  if (TO_BOIL.test(text)) return 'heat'
  return (found.find(({ id }) => id !== 'mix') ?? found[0])?.id ?? null
}

/** Names that hold another's word: "deep-fry" holds "fry", "pressure-cook" holds "cook". */
const HOLDS: readonly (readonly [OperationId, readonly OperationId[]])[] = [
  ['deep-fry', ['shallow-fry']],
  ['air-fry', ['shallow-fry']],
  ['pressure-cook', ['heat', 'simmer', 'boil']],
  ['water-saute', ['brown', 'sweat']],
  ['wash-gluten', ['rinse']],
  ['toast', ['roast']],
]
function preferred(found: readonly { readonly id: OperationId }[]): OperationId | null {
  for (const [id, others] of HOLDS)
    if (found.some((one) => one.id === id) && found.every((one) => one.id === id || others.includes(one.id)))
      return id
  return found[0]?.id ?? null
}

const DRAINED_AFTER: ReadonlySet<OperationId> = new Set([
  'soak',
  'boil',
  'simmer',
  'pressure-cook',
  'hydrate',
  'absorb',
])
const DRAINS =
  /\bdrain(?:ed)?\b|\bstrain off\b|\b(?:discard|pour off|throw out) the (?:water|liquid|soaking)/i

/** "Boil 30 minutes, then drain" pours the pot off at the end; "drain the beans and boil them" does not. */
export function isDrainedAfter(text: string, operation: OperationId | null): boolean {
  if (operation === null || !DRAINED_AFTER.has(operation)) return false
  const at = masked(text).search(LEXICON.find(({ id }) => id === operation)?.words ?? /^/)
  return DRAINS.test(text.slice(Math.max(0, at)))
}
