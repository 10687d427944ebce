import { COUNT_WORDS } from '../measure'
/** Headings that say what follows, and are no part of the dish. */
const INGREDIENTS = /^(?:ingredients?|you(?:’|')?ll need|you will need|shopping list)\s*:?$/i
const METHOD =
  /^(?:method|instructions?|directions?|steps?|preparation|preparing|what to do|the method|how to make(?: it)?|to make|procedure|how|how to(?: make (?:it|them))?|here['’]s how)\s*:?$/i
const NOTES = /^(?:notes?|tips?|storage|nutrition|to serve|serving(?: suggestions?)?)\s*:?$/i

export type SectionKind = 'ingredients' | 'method' | 'notes' | 'part'

/** What a heading announces. */
export function sectionKind(heading: string): SectionKind {
  if (INGREDIENTS.test(heading)) return 'ingredients'
  if (METHOD.test(heading)) return 'method'
  return NOTES.test(heading) ? 'notes' : 'part'
}

/** "For the white sauce:" is the part "White sauce". */
export function partName(heading: string): string {
  const bare = heading
    .replace(/^for\s+(?:the\s+)?|^to (?:make|prepare) (?:the\s+)?/i, '')
    .replace(/\s*:$/, '')
    .trim()
  return bare === '' ? 'Part' : bare.charAt(0).toUpperCase() + bare.slice(1)
}

const NUMBER_WORDS: Readonly<Record<string, number>> = { ...COUNT_WORDS, dozen: 12 }
const COUNT = String.raw`(\d+(?:\.\d+)?|${Object.keys(NUMBER_WORDS).join('|')})(?:\s*(?:-|–|to)\s*(\d+))?`
/** Who eats of it comes before how many pieces it makes. */
const YIELDS: readonly RegExp[] = [
  new RegExp(
    String.raw`(?:\b(?:serves|feeds|per|pour|para|für|voor|enough for|servings?:|portions?:)|^for|[(.,–—-]\s*for)\s+(?:about |up to )?${COUNT}\b(?!\s*(?:g|ml|kg|cm|mm|min|minutes|hours?|h|tacos|days?|the)\b)`,
    'iu',
  ),
  // "1 large or 2 small servings" are two.
  new RegExp(String.raw`\bor\s+${COUNT}\s+(?:small |little |modest )(?:servings?|portions?)`, 'iu'),
  new RegExp(
    String.raw`${COUNT}\s+(?:(?:small|large|generous|big|main|starter|side)[- ](?:course )?)?(?:servings?|portions?|people|eaters|p\.)`,
    'iu',
  ),
  new RegExp(
    String.raw`\b(?:makes|yields?|gives|quantity)\b[^\d]{0,20}?\b${COUNT}\b(?!\s*(?:g|ml|kg|l|litres?|cups?|grams?)\b)`,
    'iu',
  ),
]

/** "8 buns", "about 12 large patties", "1 loaf": how many pieces, and nothing more. */
const PIECES =
  /^(?:about |approx\.? |ca\.? )?(\d{1,3}|one|two|three|four|six|eight|ten|twelve|a dozen)(?:\s*(?:-|–|to)\s*\d{1,3})?\s+(?:dozen\s+)?(?!(?:k?g|ml|l|oz|lbs?|cups?|tbsp|tsp|tins?|cans?|packs?)\b)(?:\p{L}+[ -]){0,2}(?:buns|rolls|loaf|loaves|burgers|patties|balls|cakes|muffins|pancakes|crepes|cookies|biscuits|sausages|wedges|dumplings|tacos|wraps|steaks|cutlets|nuggets|bars|skewers|squares|fritters|falafels?|koftas|jars?|glasses|bowls|pies|tarts?|pasties|rounds|wheels?|blocks?|logs?|roasts?|terrine|waffles|arancini|croquettes|samosas|empanadas|slices|tapas|pieces|nuggets|moulds|ramekins|verrines)\b(?:\s*[(,;–—-]\D{0,40}|\s+(?:each|in all|in total|altogether|or so|for|to)\b\D{0,30})?\.?$/iu
const HOW_MANY: Readonly<Record<string, number>> = { ...NUMBER_WORDS, 'a dozen': 12 }
/** How many pieces a line says that there are, and nothing more; null where it says no such thing. */
export function piecesIn(text: string): number | null {
  const found = PIECES.exec(text.trim())
  if (found === null) return null
  const count = HOW_MANY[(found[1] ?? '').toLowerCase()] ?? Number(found[1])
  const number = /\bdozen\b/iu.test(text) && count < 12 ? count * 12 : count
  return number > 0 ? number : null
}

const NO_PORTIONS =
  /^(?:[^\d-]{0,30}\b(?:serves|feeds|makes|yields?|portions?|servings?|for)\b\D{0,12}?)?(?:[-−–]\s*\d|0(?![\d.,/]))/iu
/** "Serves 0", "-2 servings": no number of portions that can be. */
export const saysNoPortions = (text: string): boolean => NO_PORTIONS.test(text.trim())

/** What is kept of a yield that cannot be: it is asked, not guessed. */
export const askPortions = (said: string, assumed: number): string =>
  `“${said.trim()}” is no number of portions: ${assumed} are assumed. Set them in Aim.`

/** The portions that a sentence states, or null. "Makes 20, serves 4" is 4; "makes about 600 g" states none. */
export function statedYield(text: string): number | null {
  if (saysNoPortions(text)) return null
  for (const words of YIELDS) {
    const found = words.exec(text)
    if (found === null) continue
    const low = NUMBER_WORDS[(found[1] ?? '').toLowerCase()] ?? Number(found[1])
    const high = found[2] === undefined ? low : Number(found[2])
    const number = (low + high) / 2
    if (number > 0 && number <= 10_000) return number
  }
  return null
}

interface Gathered {
  name: string
  lines: string[]
}

/** Collects lines into named parts as a file is read from top to bottom. */
export class PartGatherer {
  readonly parts: Gathered[] = []
  #pending = 'Main'
  #before = 'Main'

  /** The part that a heading would name, by its place; null where none is called so. */
  at(heading: string): number | null {
    const found = this.parts.findIndex(({ name }) => name === partName(heading))
    return found < 0 ? null : found
  }

  /** A heading holds no longer: lines go where they went before it. */
  back(): void {
    this.#pending = this.#before
  }

  heading(name: string): void {
    this.#before = this.#pending
    this.#pending = partName(name)
  }

  #current(): Gathered {
    const known = this.parts.find(({ name }) => name === this.#pending)
    if (known !== undefined) return known
    const made = { name: this.#pending, lines: [] }
    this.parts.push(made)
    return made
  }

  /** Place of the part that lines go to now; null where it has none yet. */
  current(): number | null {
    return this.at(this.#pending)
  }

  line(text: string): void {
    if (text.trim() !== '') this.#current().lines.push(text.trim())
  }
}
