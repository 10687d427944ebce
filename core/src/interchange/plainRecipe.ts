import type { MethodLine, RecipeText } from './recipe'
import {
  NUMBERED,
  STARTS_LIKE_AMOUNT,
  COLON_HEADING,
  isMethodBlock,
  isSentence,
  couldHead,
  NOTES,
  GROUP_INLINE,
  YIELD_FIRST,
  type Line,
  GROUP_ENDS,
  ORDER,
  linesOf,
  endsWithAmount,
  likeIngredient,
} from './plainLines'
import { PartGatherer, partName, saysNoPortions, sectionKind, statedYield, piecesIn } from './sections'

const SAYS_SERVINGS =
  /\b\d{1,3}\s+(?:generous |large |small )?(?:servings|portions)\b|\b(?:serves|feeds)\s+(?:about |up to )?\d/iu

/** "GET STARTED": a few words in capitals. */
const isTitle = (words: string): boolean =>
  couldHead(words) && words === words.toUpperCase() && words.split(/\s+/).length <= 5

/** "A proper dal" above the list is no amount of it; "A pinch of salt" is. */
const isArticled = ({ words, next, isBullet }: Line): boolean =>
  !isBullet &&
  next !== null &&
  likeIngredient(next) &&
  /^[\d½¼¾⅓⅔]/u.test(next) &&
  /^an?\s/iu.test(words) &&
  !/\d|\bof\b|[,;:]/u.test(words) &&
  !A_MEASURE.test(words)
const A_MEASURE =
  /^an?\s+(?:(?:good|big|small|large|medium|little|generous|heaped|scant|few)\s+)*(?:pinch|handful|few|splash|knob|bunch|tin|can|cup|dash|glug|drizzle|clove|piece|sprig|stick|block|pack|packet|jar|slice|thumb|squeeze|grating|onion|carrot|lemon|lime|leek|shallot|aubergine|courgette|potato|tomato|pepper|chilli|bay)\b/iu

/** "2-Minute Mug Omelette", "5 Ingredient Seitan": a number that counts no food. */
const COUNTS_IN_A_TITLE =
  /^\d{1,3}(?:-(?!(?:oz|ounces?|g|kg|ml|l|lbs?|pounds?|inch|cm|mm|cups?|litres?|liters?)\b)\p{L}|\s+(?:min(?:ute)?s?|ingredients?|beans?|layers?|steps?|cheeses?|hours?|days?|ways?)\s+\p{Lu})/iu

/** What groups of a list are called, with no mark and no gap: "Wet ingredients", "To assemble", "Crispy topping". */
const GROUP_WORDS =
  /^(?:(?:the )?(?:wet|dry|other|main)(?: (?:ingredients?|mix|bits))?|(?!(?:soy|soya|hot|chilli|chili|sweet chilli|fish|oyster|hoisin|barbecue|bbq|teriyaki|worcester\p{L}*|tomato|cranberry|apple|brown|pasta|pizza|enchilada|mint|duck|plum|black bean|stir[- ]fry) )(?:\p{L}+ ){1,2}sauce|to (?:assemble|finish|garnish|coat|glaze|fry|top|bread|dip|decorate|bind|layer|serve)(?: (?:with|the|it|up|\p{L}+)){0,3}|(?:the )?(?:sauce|dressing|broth|base|dough|garnish|assembly|seasoning)|(?:the )?(?:\p{L}+ ){0,2}(?:filling|topping|marinade|glaze|coating|breading|crust|batter|pastry|dredge|brine|tempering|crumble topping|spice (?:mix|blend|paste)))$/iu

const SUB_BULLET = /^\s*[-*•◦‣–—]\s+/u
/** "2) Dry the beans:" above bullets that are no list of foods: a step, and the bullets are what is done in it. */
const isStepHead = ({ words, isNumbered, next }: Line): boolean =>
  isNumbered &&
  COLON_HEADING.test(words) &&
  next !== null &&
  SUB_BULLET.test(next) &&
  !STARTS_LIKE_AMOUNT.test(next.replace(SUB_BULLET, ''))

/** Reads a plain text from top to bottom. */
class Reader {
  readonly gatherer = new PartGatherer()
  readonly notes: string[] = []
  readonly method: MethodLine[] = []
  name = ''
  portions: number | null = null
  saidYield: string | null = null
  #kind: 'start' | 'ingredients' | 'method' | 'notes' = 'start'
  #heading: string | null = null
  #wasNumbered = false
  #hasBullets = false
  /** A numbered heading stands above: the next line begins its own step. */
  #opens = false
  /** The step above has its doings in bullets below it. */
  #hasBulletsBelow = false
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
    if (this.gatherer.parts.length > 0 && isStepHead(line)) {
      this.#kind = 'method'
      this.#wasNumbered = true
      this.#hasBulletsBelow = true
      this.method.push({ text: line.words, heading: null, part: null })
      return
    }
    const step = this.#hasBulletsBelow && SUB_BULLET.test(line.raw) ? this.method.pop() : undefined
    if (step !== undefined) {
      const told = line.words.replace(/[.;]\s*$/u, '')
      this.method.push({ ...step, text: `${step.text} ${told.charAt(0).toUpperCase()}${told.slice(1)}.` })
      return
    }
    this.#hasBulletsBelow = false
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
        (line.isAfterGap ||
          ((line.next.length > 40 || line.words === line.words.toUpperCase()) &&
            line.words.split(/\s+/).length <= 3)))
    if (isHead) {
      if (COLON_HEADING.test(line.words) && likeIngredient(line.next) && !NUMBERED.test(line.next ?? '')) {
        this.gatherer.heading(line.words)
        this.#kind = 'ingredients'
        return
      }
      this.#heading = partName(line.words)
      return
    }
    // "2. ROAST" above its own sentences is their heading.
    if (
      line.isNumbered &&
      isTitle(line.words) &&
      line.next !== null &&
      !NUMBERED.test(line.next) &&
      isSentence(line.next)
    ) {
      this.#heading = partName(line.words)
      this.#opens = true
      return
    }
    // What stands below a numbered method is no step of it.
    if (this.#wasNumbered && !line.isNumbered && line.isAfterGap) {
      this.#kind = 'notes'
      this.notes.push(line.raw)
      return
    }
    this.#wasNumbered ||= line.isNumbered
    if (this.#wasNumbered && !line.isNumbered && !line.isBullet && this.method.length > 0 && !this.#opens) {
      // A numbered step that goes on in the next line.
      const last = this.method.pop()
      if (last !== undefined) this.method.push({ ...last, text: `${last.text} ${line.words}` })
      return
    }
    this.#opens = false
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
      this.name === '' &&
      !hasList &&
      this.#kind === 'start' &&
      (isArticled(line) || (!line.isBullet && line.isBeforeGap && COUNTS_IN_A_TITLE.test(words)))
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
    const pieces = !hasList && !line.isBullet && this.name !== '' ? piecesIn(words) : null
    if (YIELD_FIRST.test(words) && saysNoPortions(words)) {
      this.saidYield = words
      return
    }
    if ((YIELD_FIRST.test(words) && words.length < 70) || pieces !== null) {
      // A single loaf is for more than one.
      if ((pieces ?? 0) > 1) this.portions ??= pieces
      this.notes.push(line.raw)
      return
    }
    if (
      COLON_HEADING.test(words) ||
      /^for (?:the )?[a-z ]{2,50}$/i.test(words) ||
      (hasList && !line.isBullet && GROUP_WORDS.test(words) && likeIngredient(line.next)) ||
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
    if (hasList && line.isAfterGap && !line.isBullet && isMethodBlock(line.block)) {
      this.#kind = 'method'
      this.#inMethod(line)
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
      } else {
        // "… so this one is for her. About 10 servings."
        if (SAYS_SERVINGS.test(words)) this.portions ??= statedYield(words)
        this.notes.push(line.raw)
      }
      return
    }
    if (
      !hasList &&
      this.#kind === 'start' &&
      !STARTS_LIKE_AMOUNT.test(words) &&
      !endsWithAmount(words) &&
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
    saidYield: reader.saidYield,
    parts: reader.gatherer.parts.map((part) => ({ ...part, own: null })),
    method: reader.method,
    written: null,
    aim: null,
    extra: {},
  }
}
