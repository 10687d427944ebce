import { foodTokens } from '../measure'

/** A word, a number or a mark of a text, and where it stands. */
export interface Token {
  /** Lower case, as written. */
  readonly text: string
  readonly at: number
  readonly end: number
  readonly kind: 'word' | 'number' | 'mark'
  /** Comparable form of a word: singular, without accents. */
  readonly stem: string
}

const TOKEN = /[\p{L}][\p{L}\u0300-\u036f'’-]*|[\d½¼¾⅓⅔⅛](?:[\d.,/½¼¾⅓⅔⅛]*[\d½¼¾⅓⅔⅛])?|[^\s\p{L}\d]/gu

/** Words, numbers and marks of a text, in order. */
export function tokensOf(text: string): Token[] {
  return [...text.matchAll(TOKEN)].map(({ 0: word, index }) => {
    const lower = word.toLowerCase().replaceAll('’', "'")
    const kind = /^\p{L}/u.test(word) ? 'word' : /^[\d½¼¾⅓⅔⅛]/u.test(word) ? 'number' : 'mark'
    return {
      text: lower,
      at: index,
      end: index + word.length,
      kind,
      stem: kind === 'word' ? (stemsOf(lower)[0] ?? lower) : lower,
    }
  })
}

const stems = new Map<string, string[]>()
const MOST_STEMS = 20_000
/** Comparable words of a food's name or of a word; kept, because kitchens write the same few hundred over and over. */
export function stemsOf(text: string): string[] {
  const known = stems.get(text)
  if (known !== undefined) return known
  const made = foodTokens(text).map((word) =>
    word.length > 5 && word.endsWith('as') ? word.slice(0, -1) : word,
  )
  if (stems.size >= MOST_STEMS) stems.clear()
  stems.set(text, made)
  return made
}
