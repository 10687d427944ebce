import { fromPlainText } from './plainRecipe'
import type { RecipeText } from './recipe'
import { sectionKind, statedYield } from './sections'

/** A ruled line or a page break between recipes; or only two empty lines. */
const RULE = /\n[ \t]*(?:[-–—=_*~#•]{3,}|(?:[-*_] ){2,}[-*_])[ \t]*(?=\n)|\f/u
const GAP = /\n[ \t]*\n[ \t]*\n(?=\s*\S)/u
const BETWEEN = new RegExp(`(${RULE.source})|${GAP.source}`, 'gu')
const FIRST_HEADING = /^#\s+\S/mu

const isWhole = ({ parts, method, name }: RecipeText): boolean =>
  name !== '' && parts.reduce((sum, { lines }) => sum + lines.length, 0) >= 2 && method.length > 0

/** A block that opens with a title of its own: a few words without an amount. */
const hasTitle = (block: string): boolean => {
  const first = titleOf(block)
  return /^\p{L}[^.!?]{2,80}$/u.test(first) && !/:$|^for the\b/iu.test(first)
}
const titleOf = (block: string): string => block.trim().split('\n')[0]?.trim() ?? ''
/** Parts of one dish stand apart as well: a title of one word, with no yield and no headings, names a part. */
const isOwnDish = (block: string): boolean =>
  titleOf(block).includes(' ') ||
  block.split('\n').some((line) => statedYield(line) !== null || sectionKind(line.trim()) === 'method')

/**
 * The recipes of a plain text, one after another: every block between rules or wide gaps that has a title, a list and a
 * method of its own is a recipe; a block that has not belongs to the one before it.
 */
export function plainRecipes(text: string): RecipeText[] {
  const clean = text.replace(/\r\n?/g, '\n')
  const cuts = [...clean.matchAll(BETWEEN)]
  const joined: string[] = []
  let from = 0
  let isRuled = false
  for (const cut of [...cuts, null]) {
    const block = clean.slice(from, cut?.index)
    const last = joined.at(-1)
    const begins =
      last === undefined ||
      (hasTitle(block) &&
        (isRuled || isOwnDish(block)) &&
        isWhole(fromPlainText(block)) &&
        isWhole(fromPlainText(last)))
    if (begins) joined.push(block)
    else joined[joined.length - 1] = `${last}\n\n${block}`
    from = cut === null ? clean.length : cut.index + cut[0].length
    isRuled = cut?.[1] !== undefined
  }
  return joined.length < 2 ? [fromPlainText(text)] : joined.map(fromPlainText)
}

/** The recipes of a Markdown text: each heading of the first level that has a list and a method below it opens one. */
export function markdownTexts(text: string): string[] {
  const starts = [...text.matchAll(new RegExp(FIRST_HEADING, 'gmu'))].map(({ index }) => index)
  if (starts.length < 2) return [text]
  const sections = starts.map((from, at) => text.slice(at === 0 ? 0 : from, starts[at + 1]))
  // Headings of the first level that only part one recipe hold no method each.
  const isEach = sections.every(
    (one) => /^\s*[-*+]\s/mu.test(one) && /^\s*\d+[.)]\s|method|steps/imu.test(one),
  )
  return isEach ? sections : [text]
}
