/** Unit operations that a step's words name. */
const WORDS: readonly (readonly [string, RegExp])[] = [
  ['soak', /\bsoak/i],
  ['press', /\bpress(?:es|ed)?\b/i],
  ['knead', /\bknead/i],
  ['blend', /\b(?:blend|puree|purée|process until|whizz)/i],
  ['bake', /\b(?:bake|oven|roast)/i],
  ['steam', /\bsteam(?! (?:rises|is|escapes))/i],
  ['fry', /\b(?:deep[- ]?fry|fry)\b/i],
  ['brown', /\b(?:brown|sear|saut[eé]|sweat|soften)/i],
  ['simmer', /\b(?:simmer|boil|reduce|thicken|cook)/i],
  ['set', /\b(?:chill|set|refrigerate|cool)\b/i],
  ['rest', /\b(?:rest|stand|marinate|leave)\b/i],
  ['mix', /\b(?:mix|stir|fold|combine|whisk|toss|season|add)\b/i],
]

/** Said beside nearly every other operation: they count only where nothing else is said. */
const MINOR: ReadonlySet<string> = new Set(['mix', 'rest', 'set'])

/** The unit operation a step's text is about: the first that it names, or null. */
export function operationIn(text: string): string | null {
  const found = WORDS.flatMap(([operation, pattern]) => {
    const at = text.search(pattern)
    return at < 0 ? [] : [{ operation, at }]
  }).sort((a, b) => a.at - b.at)
  return (found.find(({ operation }) => !MINOR.has(operation)) ?? found[0])?.operation ?? null
}

const HEATED: ReadonlySet<string> = new Set(['bake', 'steam', 'fry', 'brown', 'simmer'])
export const isHeating = (operation: string | null): boolean => operation !== null && HEATED.has(operation)
