import type { RecipeText } from './recipe'
import { PartGatherer, sectionKind, type SectionKind, statedYield } from './sections'

const NUMBERED = /^\s*(?:step\s*)?\d{1,2}\s*[.):]\s+(?=\D)/i
const STARTS_LIKE_AMOUNT =
  /^\s*(?:[-*•–]\s*)?(?:[\d½¼¾⅓⅔⅛⅜⅝⅞]|a\s|an\s|one\s|two\s|three\s|half\s|pinch|handful|juice of|zest of|salt\b|oil\b)/i
const HEADING = /^(?:for the [^.]{1,60}|[^.,;\d]{1,60}):$/i
/** A line this long, or one that reads as a sentence, is a step or a note and not an ingredient. */
const LONGEST_INGREDIENT = 140

const isSentence = (line: string): boolean =>
  line.length > LONGEST_INGREDIENT || /[a-z]{2}\.\s+[A-Z]|[a-z]{3}\.$/.test(line)

/** A recipe pasted as plain text: a title, ingredient lines, steps; "For the sauce:" starts a part. */
export function fromPlainText(text: string): RecipeText {
  const gatherer = new PartGatherer()
  const notes: string[] = []
  let name = ''
  let portions: number | null = null
  let kind: SectionKind | null = null
  for (const raw of text.split(/\r?\n/)) {
    const line = raw.trim()
    if (line === '') continue
    const announced = sectionKind(line)
    if (announced !== 'part') {
      kind = announced
    } else if (HEADING.test(line) || /^for the [a-z ]{2,50}$/i.test(line)) {
      gatherer.heading(line)
      if (kind === null || kind === 'notes') kind = 'ingredients'
    } else if (kind === 'notes') notes.push(line)
    else if (kind !== 'method' && statedYield(line) !== null && line.length < 60)
      portions ??= statedYield(line)
    else if (NUMBERED.test(line) || kind === 'method') gatherer.step(line.replace(NUMBERED, ''))
    else if (isSentence(line) && !/^[-*•]/.test(line)) {
      if (gatherer.parts.length > 0) gatherer.step(line)
      else notes.push(line)
    } else if (name === '' && gatherer.parts.length === 0 && kind === null && !STARTS_LIKE_AMOUNT.test(line))
      name = line
    else gatherer.line(line)
  }
  return {
    name,
    menu: '',
    note: notes.join('\n'),
    portions,
    parts: gatherer.parts.map((part) => ({ ...part, own: null })),
    aim: null,
    extra: {},
  }
}
