/** Headings that say what follows, and are no part of the dish. */
const INGREDIENTS = /^(?:ingredients?|you(?:’|')?ll need|you will need|shopping list)\s*:?$/i
const METHOD = /^(?:method|instructions?|directions?|steps?|preparation|how to make(?: it)?)\s*:?$/i
const NOTES = /^(?:notes?|tips?|storage|nutrition)\s*:?$/i

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
    .replace(/^for\s+(?:the\s+)?/i, '')
    .replace(/\s*:$/, '')
    .trim()
  return bare === '' ? 'Part' : bare.charAt(0).toUpperCase() + bare.slice(1)
}

const YIELD =
  /\b(?:serves|makes|yields?|servings?|portions?)\b[^\d]{0,20}(\d+(?:\.\d+)?)|(\d+(?:\.\d+)?)\s+(?:servings?|portions?)\b/i

/** The portions that a sentence states, or null. */
export function statedYield(text: string): number | null {
  const found = YIELD.exec(text)
  const number = Number(found?.[1] ?? found?.[2] ?? 0)
  return number > 0 && number <= 10_000 ? number : null
}

interface Gathered {
  name: string
  lines: string[]
  steps: string[]
}

/** Collects lines and steps into named parts as a file is read from top to bottom. */
export class PartGatherer {
  readonly parts: Gathered[] = []
  #pending = 'Main'

  heading(name: string): void {
    this.#pending = partName(name)
  }

  #current(): Gathered {
    const known = this.parts.find(({ name }) => name === this.#pending)
    if (known !== undefined) return known
    const made = { name: this.#pending, lines: [], steps: [] }
    this.parts.push(made)
    return made
  }

  line(text: string): void {
    if (text.trim() !== '') this.#current().lines.push(text.trim())
  }

  step(text: string): void {
    if (text.trim() !== '') this.#current().steps.push(text.trim())
  }
}
