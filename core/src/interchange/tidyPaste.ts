import { endsWithAmount, likeIngredient } from './plainLines'

/** Text as it comes out of pages, messages, scans and tables, set in the lines that were meant. */

/** So much of a text stands behind ">" where it was quoted. */
const QUOTED = 0.6
const unquoted = (lines: readonly string[]): string[] => {
  const filled = lines.filter((line) => line.trim() !== '')
  const quoted = filled.filter((line) => /^\s*>/u.test(line))
  return quoted.length < 3 || quoted.length < QUOTED * filled.length
    ? [...lines]
    : lines.map((line) => line.replace(/^\s*(?:>\s?)+/u, ''))
}

const KEYCAP = /^(\s*)(\d)\uFE0F?\u20E3\uFE0F?\s*/u
/** Pictures among the words; one that opens a line is its bullet. */
const PICTURES = /(?<=\S)\s*(?:\p{Extended_Pictographic}|\p{Emoji_Modifier}|\uFE0F|\u200D)+/gu
/** Signs that are words, too. */
const KEPT = /[©®™↔→➜➡▶]/u
const withoutPictures = (line: string): string =>
  line
    .replace(KEYCAP, '$1$2. ')
    .replace(PICTURES, (found) => (KEPT.test(found) ? found : ''))
    .trimEnd()

/** "#vegan #plantbased", ratings and buttons of a page: nothing of the recipe. */
const TAGS = /(?:(?:^|\s+)#\p{L}[\p{L}\d_]*){2,}\s*$/u
/** What a caption asks of its readers before its tags. */
const ASKS = /^(?:(?:save|share|follow|tag|like|comment)\b[^.;\d]{0,40})?$/iu
const BUTTONS =
  /^(?:\d(?:\.\d+)?\s*(?:stars?\s*)?from\s*\d+\s*(?:votes?|reviews?|ratings?)|us customary\b.*|metric\s*[-–|/]\s*us.*|cook mode\b.*|prevent your screen.*|(?:jump to recipe|print(?: recipe)?|pin(?: recipe)?|rate(?: this recipe)?|save(?: recipe)?|share)\s*|(?:1\s?x\s*)?2\s?x\s*3\s?x|½x\s*1x\s*2x|(?:author|course|cuisine|keyword|calories|category|diet|difficulty)\s*:.*)$/iu
/** The words stay where tags stand behind a step. */
const untagged = (line: string): string[] => {
  const words = line.replace(TAGS, '')
  return words !== line && ASKS.test(words.trim()) ? [] : [words]
}
const isOfThePage = (line: string): boolean => BUTTONS.test(line.trim())

const COLUMN: readonly (readonly [key: 'amount' | 'unit' | 'food' | 'note', words: RegExp])[] = [
  ['amount', /^(?:qty|quantity|amount|amt|menge)\.?$/iu],
  ['unit', /^(?:units?|measure|uom)$/iu],
  ['food', /^(?:ingredients?|items?|foods?|product|what)$/iu],
  ['note', /^(?:notes?|prep(?:aration)?|comments?|remarks?)$/iu],
]
type Column = (typeof COLUMN)[number][0] | null
const columnsOf = (line: string): readonly Column[] | null => {
  const cells = line.split('\t').map((cell) => cell.trim())
  const columns = cells.map((cell): Column => COLUMN.find(([, words]) => words.test(cell))?.[0] ?? null)
  return cells.length > 1 && columns.includes('food') && columns.filter((one) => one !== null).length > 1
    ? columns
    : null
}
/** Rows below a head of columns, each as a line: "150 g cashews, soaked". */
function untabled(lines: readonly string[]): string[] {
  let columns: readonly Column[] | null = null
  return lines.flatMap((line): string[] => {
    const head = line.includes('\t') ? columnsOf(line) : null
    if (head !== null) {
      columns = head
      return []
    }
    if (columns === null || !line.includes('\t')) {
      if (!line.includes('\t')) columns = null
      return [line]
    }
    const cells = line.split('\t').map((cell) => cell.trim())
    const of = (key: Column): string =>
      cells
        .filter((_, at) => columns?.[at] === key)
        .join(' ')
        .trim()
    const named = [of('amount'), of('unit'), of('food')].filter((one) => one !== '').join(' ')
    return [of('note') === '' ? named : `${named}, ${of('note')}`]
  })
}

/** Words whose hyphen is their own: "all-purpose". */
const OWN_HYPHEN =
  /\b(?:all|self|extra|semi|non|low|high|half|full|well|sun|oven|air|deep|pan|stir|gluten|dairy|egg|oil|two|three|pre|par|dry)-$/iu
const LONG = 34
const isHeadLike = (line: string): boolean => line.length < LONG || /[.!?:;]["”')]?$/u.test(line)
const OPENS_MORE =
  /(?:,|\b(?:and|or|with|the|in|add|of|for|to|about|then|into|over|another|a|an|at|on|until|stir|cook|bake|simmer))$/iu
const STARTS_ANEW = /^(?:[-–•*▢]|\d{1,2}[.)]\s|step\s+\d)/iu
const isBroken = (line: string, next: string | undefined): boolean =>
  next !== undefined &&
  next !== '' &&
  !isHeadLike(line) &&
  !STARTS_ANEW.test(next) &&
  !likeIngredient(line) &&
  !endsWithAmount(line) &&
  (/^\p{Ll}/u.test(next) || (OPENS_MORE.test(line) && /^[\p{L}\d½¼¾(]/u.test(next)))

/** So many lines end in the middle of a sentence where the writer's paper did. */
const LEAST_BROKEN = 2

/**
 * Lines that a page's width has broken, put together again; words that it parted, too.
 * A text is left alone whose lines begin small: there each is what its writer set.
 */
function unwrapped(lines: readonly string[]): string[] {
  const trimmed = lines.map((line) => line.trim())
  const opens = trimmed.filter((line, at) => line !== '' && (at === 0 || trimmed[at - 1] === ''))
  const small = opens.filter((line) => /^\p{Ll}/u.test(line)).length
  const parted = (at: number): boolean =>
    /\p{L}-$/u.test(trimmed[at] ?? '') && /^\p{Ll}/u.test(trimmed[at + 1] ?? '')
  const broken = trimmed.filter((line, at) => parted(at) || isBroken(line, trimmed[at + 1])).length
  if (broken < LEAST_BROKEN || small > opens.length / 2) return [...lines]
  const made: string[] = []
  let isOpen = false
  trimmed.forEach((line, at) => {
    const last = made.at(-1)
    if (isOpen && last !== undefined) {
      const isParted = parted(at - 1)
      const joined = isParted && !OWN_HYPHEN.test(last) ? last.slice(0, -1) : last
      made[made.length - 1] = isParted ? `${joined}${line}` : `${joined} ${line}`
    } else made.push(line)
    isOpen = parted(at) || isBroken(line, trimmed[at + 1])
  })
  return made
}

/** A pasted text in the lines that were meant. Nothing is lost but what a page or a message puts around a recipe. */
export function tidied(text: string): string {
  const lines = untabled(unquoted(text.split(/\r?\n/)))
    .map(withoutPictures)
    .flatMap(untagged)
    .filter((line) => !isOfThePage(line))
  return unwrapped(lines).join('\n')
}
