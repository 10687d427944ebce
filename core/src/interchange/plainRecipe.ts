import type { MethodLine, RecipeText } from './recipe'
import { PartGatherer, partName, sectionKind, statedYield, statesPieces } from './sections'

const BULLET = /^\s*(?:(?:[-*•▢☐□☑✓✔●◦‣·►▶→➡➜–—+]|\p{Extended_Pictographic})\uFE0F?|\[[ xX]?\])\s+/u
const NUMBERED =
  /^\s*(?:(?:step\s*)?\d{1,2}\s*[.):]\s+(?=\D)|step\s+\d{1,2}\s*[:.)]?\s*|[a-z]\)\s+|[ivx]{1,4}[.)]\s+)/i
const STARTS_LIKE_AMOUNT =
  /^(?:[\d½¼¾⅓⅔⅛⅜⅝⅞]|(?:about|approx\.?|ca\.?)\s+\d|an?\s|one\s|two\s|three\s|four\s|half\s|a?\s?pinch|handful|juice of|zest of|salt\b|oil\b|pepper\b|few\b|some\b|(?:four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)\b(?! minutes)|(?:good |big |small |large |generous |heaped |scant )?(?:tbsps?|tsps?|cups?|blocks?|bunch|handful|tins?|cans?|knob|cloves?|sprigs?|pinch|splash|dash|glug|drizzle|pack|packet|jar|stick|thumb)(?: of)? \p{L})/iu
const COLON_HEADING = /^(?:for the [^.]{1,60}|[^.,;\d]{1,60}):$/i
/** A line this long, or one that reads as a sentence, is a step or a note and not an ingredient. */
const LONGEST_INGREDIENT = 140
const SPEAKS =
  /[a-z]{2}[.!?]\s+[A-Z]|[a-z]{2}[.!]$|\b(?:min|mins|minutes|sec|hours?|hr|h)\.?$|\d\s*(?:cm|C|F)\.$/

const isSentence = (line: string): boolean => line.length > LONGEST_INGREDIENT || SPEAKS.test(line)

/** Short words alone on a line, without an amount: they may head what follows. */
const couldHead = (line: string): boolean =>
  line.length <= 50 &&
  line.split(/\s+/).length <= 6 &&
  !/[.!?,;]$/.test(line) &&
  !/\d/.test(line) &&
  !BULLET.test(line) &&
  !STARTS_LIKE_AMOUNT.test(line)

const NOTES =
  /^(?:tips?|notes?|storage|to store|make ahead|variations?|nutrition|to serve|serving|cook'?s notes?)\s*[:.–—-]\s*\S/i
const GROUP_INLINE = /^([\p{L}][\p{L} ]{2,28}):\s+(?=[\d½¼¾⅓⅔⅛]|a |an )/u

const YIELD_FIRST =
  /^(?:\(?\s*)?(?:makes|serves|feeds|fills|yields?|gives|quantity|portions?|servings?|enough|for \d|prep|total|cook)\b/iu

interface Line {
  readonly raw: string
  readonly words: string
  readonly isNumbered: boolean
  readonly isBullet: boolean
  readonly isAfterGap: boolean
  readonly isBeforeGap: boolean
  /** The next line that is not empty. */
  readonly next: string | null
}

/** Stands where a group that was written in one line is over. */
const GROUP_ENDS = '\u2060'

/** "Serves 4. You need: 8 peppers; …": the yield, and what opens the list. */
const NEEDED =
  /^(?:((?:serves|makes|feeds|for)\b[^.:;]{1,30})\.\s*)?(?:you(?: will|['’]ll)? need|ingredients|needed|take)\s*:\s*/iu

/** "150 g cashews · 250 ml water · 1 tsp salt" are three lines. */
function inOneLine(line: string): string[] {
  const commas = /^(?:([\p{L}][\p{L} ]{1,30}):\s*)?(.+)$/u.exec(line)
  const listed = (commas?.[2] ?? '').split(/,\s+(?=(?:[\d½¼¾⅓⅔]|a?\s?pinch\b|juice of|zest of))/u)
  const isCommas =
    listed.length > 2 &&
    listed.every((part) => STARTS_LIKE_AMOUNT.test(part) && part.length < 60) &&
    !/[.;]\s/.test(line)
  // A group in one line ends with it.
  if (isCommas) return commas?.[1] === undefined ? listed : [`${commas[1]}:`, ...listed, GROUP_ENDS]
  const needs = NEEDED.exec(line)
  const semis = (needs === null ? line : line.slice(needs[0].length)).replace(/\.$/u, '').split(/\s*[;]\s+/u)
  if (semis.length > 2 && semis.every((part) => STARTS_LIKE_AMOUNT.test(part) && part.length < 60))
    return needs?.[1] === undefined ? semis : [needs[1], ...semis]
  const parts = line.split(/\s+[·•|]\s+/)
  const isList =
    parts.length > 2 && parts.filter((part) => STARTS_LIKE_AMOUNT.test(part)).length >= parts.length - 1
  return isList ? parts : [line]
}

/** A count and an order: "1 boil", never "1 onion". */
const COUNTED = /^(\d{1,2})\s+(?=\p{L}{3})/u
const ORDERS = String.raw`(?:add|blitz|crumble|drop|fish|grease|meanwhile|next|once|then|when|bake|beat|blend|boil|bring|brown|chill|chop|coat|combine|cook|cool|cover|cut|dice|drain|fold|form|freeze|fry|grate|grill|grind|heat|knead|leave|let|make|marinate|mash|melt|mix|peel|place|pour|preheat|press|process|pulse|put|rest|rinse|roast|roll|serve|set|shape|simmer|slice|soak|spread|sprinkle|squeeze|steam|stir|strain|sweat|taste|tip|toast|toss|use|whisk|wrap)\b`
const COUNTED_ORDER = new RegExp(String.raw`^\d{1,2}\s+${ORDERS}`, 'iu')
/** An order without a full stop: "Fry tofu in 2 tbsp oil → golden". */
const ORDER = new RegExp(String.raw`^${ORDERS}\s+(?!for\b)\p{L}[^:]*(?:\s\S+){2}`, 'iu')

/** Lines that count 1, 2, 3 without a mark: "1 boil the cashews". */
function countedLines(lines: readonly string[]): ReadonlySet<number> {
  const filled = lines.flatMap((line, at) => (line === '' ? [] : [{ line, at }]))
  const found = new Set<number>()
  let run: number[] = []
  filled.forEach(({ line, at }) => {
    const number = COUNTED.exec(line)?.[1]
    if (number !== undefined && Number(number) === run.length + 1) run.push(at)
    else run = number === '1' ? [at] : []
    const orders = run.filter((one) => COUNTED_ORDER.test(lines[one] ?? '')).length
    if (run.length >= 3 && orders >= 2) for (const one of run) found.add(one)
  })
  return found
}

function linesOf(text: string): Line[] {
  const all = text
    .split(/\r?\n/)
    .map((line) => line.trim())
    // A rule between groups is a gap; a list in one line is a list.
    .flatMap((line) => (/^[-–—=*_~]{2,}$/.test(line) ? [''] : inOneLine(line)))
  const counted = countedLines(all)
  return all.flatMap((raw, at): Line[] => {
    if (raw === '') return []
    const isNumbered = NUMBERED.test(raw) || counted.has(at)
    return [
      {
        raw,
        words: (counted.has(at) ? raw.replace(/^\d{1,2}\s+/, '') : raw.replace(NUMBERED, ''))
          .replace(BULLET, '')
          .trim(),
        isNumbered,
        isBullet: BULLET.test(raw),
        isAfterGap: at === 0 || all[at - 1] === '',
        isBeforeGap: all[at + 1] === '',
        next: all.slice(at + 1).find((line) => line !== '') ?? null,
      },
    ]
  })
}

/** "Onion, diced 600 g": the amount stands last. */
const ENDS_WITH_AMOUNT =
  /\p{L}[^.;:]*[\s,–—-]\d+(?:[.,]\d+)?\s*(?:g|kg|ml|l|cl|dl|tbsp|tsp|cups?|oz|lb|pcs?|nos?)$/iu

const likeIngredient = (line: string | null): boolean =>
  line !== null &&
  (ENDS_WITH_AMOUNT.test(line) ||
    STARTS_LIKE_AMOUNT.test(line.replace(BULLET, '').replace(NUMBERED, '')) ||
    BULLET.test(line)) &&
  !isSentence(line)

/** Reads a plain text from top to bottom. */
class Reader {
  readonly gatherer = new PartGatherer()
  readonly notes: string[] = []
  readonly method: MethodLine[] = []
  name = ''
  portions: number | null = null
  #kind: 'start' | 'ingredients' | 'method' | 'notes' = 'start'
  #heading: string | null = null
  #wasNumbered = false
  #hasBullets = false
  /** Lines in a row under a heading that opened within a list. */
  #inGroup = 0

  line(line: Line): void {
    if (line.raw === GROUP_ENDS) {
      if (this.#kind === 'ingredients') this.gatherer.back()
      return
    }
    // "To serve:" above foods is a list of its own.
    const isList = this.#kind !== 'method' && likeIngredient(line.next) && !NUMBERED.test(line.next ?? '')
    const said = sectionKind(line.words)
    const announced = said === 'notes' && isList ? 'part' : said
    if (announced !== 'part' && !line.isBullet) {
      this.#announced(announced)
      return
    }
    switch (this.#kind) {
      case 'notes':
        this.#inNotes(line)
        break
      case 'method':
        this.#inMethod(line)
        break
      default:
        this.#inList(line)
    }
  }

  #announced(kind: 'ingredients' | 'method' | 'notes'): void {
    this.#kind = kind
    this.#wasNumbered = false
  }

  #inNotes(line: Line): void {
    if (line.isAfterGap && COLON_HEADING.test(line.words) && likeIngredient(line.next)) {
      this.gatherer.heading(line.words)
      this.#kind = 'ingredients'
    } else if (
      this.method.length === 0 &&
      this.gatherer.parts.length > 0 &&
      line.isAfterGap &&
      ORDER.test(line.words)
    ) {
      this.#kind = 'method'
      this.#inMethod(line)
    } else this.notes.push(line.raw)
  }

  #inMethod(line: Line): void {
    if (NOTES.test(line.words) && !line.isNumbered) {
      this.#kind = 'notes'
      this.notes.push(line.raw)
      return
    }
    const isHead =
      COLON_HEADING.test(line.words) ||
      (couldHead(line.words) &&
        !line.isNumbered &&
        !line.isBullet &&
        line.next !== null &&
        line.next.length > line.words.length &&
        !likeIngredient(line.next) &&
        /^(?:for |to |the |[A-Z])/.test(line.words) &&
        (line.isAfterGap || (line.next.length > 40 && line.words.split(/\s+/).length <= 3)))
    if (isHead) {
      if (COLON_HEADING.test(line.words) && likeIngredient(line.next) && !NUMBERED.test(line.next ?? '')) {
        this.gatherer.heading(line.words)
        this.#kind = 'ingredients'
        return
      }
      this.#heading = partName(line.words)
      return
    }
    // What stands below a numbered method is no step of it.
    if (this.#wasNumbered && !line.isNumbered && line.isAfterGap) {
      this.#kind = 'notes'
      this.notes.push(line.raw)
      return
    }
    this.#wasNumbered ||= line.isNumbered
    if (this.#wasNumbered && !line.isNumbered && !line.isBullet && this.method.length > 0) {
      // A numbered step that goes on in the next line.
      const last = this.method.pop()
      if (last !== undefined) this.method.push({ ...last, text: `${last.text} ${line.words}` })
      return
    }
    this.method.push({ text: line.words, heading: this.#heading, part: null })
    this.#heading = null
  }

  #inList(line: Line): void {
    const { words } = line
    const hasList = this.gatherer.parts.length > 0
    // "A nut rissole": words that stand alone above everything are the title.
    if (
      this.name === '' &&
      !hasList &&
      (line.isBeforeGap || YIELD_FIRST.test(line.next ?? '')) &&
      !line.isBullet &&
      !/\d/.test(words) &&
      !COLON_HEADING.test(words)
    ) {
      this.name = words
      return
    }
    if (
      statedYield(words) !== null &&
      words.length < 70 &&
      !/^[\d½¼¾].*\b(?:g|ml|tbsp|tsp|cup)\b/i.test(words)
    ) {
      this.portions ??= statedYield(words)
      // "Bean chilli (serves 4)" is the title as well.
      if (this.name === '' && !hasList && !YIELD_FIRST.test(words))
        this.name = words
          .replace(/\s*\((?=[^)]*\d)[^)]*\)\s*$|[.,–—-]\s+(?:for|serves|makes|yields?|feeds)\b.*$/iu, '')
          .trim()
      return
    }
    const isPieces = !hasList && !line.isBullet && this.name !== '' && statesPieces(words)
    if ((YIELD_FIRST.test(words) && words.length < 70) || isPieces) {
      this.notes.push(line.raw)
      return
    }
    if (
      COLON_HEADING.test(words) ||
      /^for (?:the )?[a-z ]{2,50}$/i.test(words) ||
      (/^[\p{Lu} ]{3,30}$/u.test(words) && likeIngredient(line.next) && hasList) ||
      (line.isAfterGap &&
        !line.isBullet &&
        couldHead(words) &&
        likeIngredient(line.next) &&
        (hasList || this.name !== ''))
    ) {
      if (
        this.name === '' &&
        !hasList &&
        !COLON_HEADING.test(words) &&
        line.next !== null &&
        !/^for /i.test(words)
      )
        this.name = words
      else {
        this.gatherer.heading(words)
        this.#inGroup = hasList ? 1 : 0
      }
      this.#kind = 'ingredients'
      return
    }
    // Orders below the list, or an arrow between doings, are the method.
    const isOrder =
      hasList &&
      line.isAfterGap &&
      !(line.isBullet && this.#hasBullets) &&
      (ORDER.test(words) || /\s(?:→|->|=>)\s/u.test(words))
    if (isOrder && !STARTS_LIKE_AMOUNT.test(words)) {
      this.#kind = 'method'
      this.#inMethod(line)
      return
    }
    this.#hasBullets ||= line.isBullet
    // A heading above a sentence opens the method.
    if (
      hasList &&
      line.isAfterGap &&
      couldHead(words) &&
      line.next !== null &&
      isSentence(line.next) &&
      line.next.length > words.length
    ) {
      this.#kind = 'method'
      this.#heading = partName(words)
      return
    }
    if (line.isNumbered && !STARTS_LIKE_AMOUNT.test(words)) {
      this.#kind = 'method'
      this.#inMethod(line)
      return
    }
    const inline = GROUP_INLINE.exec(words)
    if (inline !== null && !isSentence(words)) {
      this.gatherer.heading(inline[1] ?? '')
      this.gatherer.line(words.slice(inline[0].length))
      this.#kind = 'ingredients'
      return
    }
    if (this.name === '' && !hasList && this.#kind === 'start' && !STARTS_LIKE_AMOUNT.test(words)) {
      this.name = words
      return
    }
    if (isSentence(words) && !(line.isBullet && likeIngredient(words))) {
      if (hasList && (line.isAfterGap || this.method.length > 0 || line.isBullet)) {
        this.#kind = 'method'
        this.#inMethod(line)
      } else this.notes.push(line.raw)
      return
    }
    if (
      !hasList &&
      this.#kind === 'start' &&
      !STARTS_LIKE_AMOUNT.test(words) &&
      !ENDS_WITH_AMOUNT.test(words) &&
      !line.isBullet &&
      line.isAfterGap &&
      line.next !== null &&
      !likeIngredient(line.next)
    ) {
      this.notes.push(line.raw)
      return
    }
    // "For the glaze: …", a gap, and the list goes on: the group is over.
    if (line.isAfterGap && this.#inGroup > 2) {
      this.gatherer.back()
      this.#inGroup = 0
    }
    if (this.#inGroup > 0) this.#inGroup = line.isAfterGap && this.#inGroup > 1 ? 0 : this.#inGroup + 1
    this.gatherer.line(words)
  }
}

/** A recipe pasted as plain text: a title, ingredient lines in groups, a method with or without headings, notes. */
export function fromPlainText(text: string): RecipeText {
  const reader = new Reader()
  for (const line of linesOf(text)) reader.line(line)
  return {
    name: reader.name,
    menu: '',
    note: reader.notes.join('\n'),
    portions: reader.portions,
    parts: reader.gatherer.parts.map((part) => ({ ...part, own: null })),
    method: reader.method,
    written: null,
    aim: null,
    extra: {},
  }
}
