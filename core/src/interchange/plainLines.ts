const BULLET = /^\s*(?:(?:[-*•▢☐□☑✓✔●◦‣·►▶→➡➜–—+]|\p{Extended_Pictographic})\uFE0F?|\[[ xX]?\])\s+/u
export const NUMBERED =
  /^\s*(?:(?:step\s*)?\d{1,2}\s*[.):]\s+(?=\D)|step\s+\d{1,2}\s*[:.)]?\s*|[a-z]\)\s+|[ivx]{1,4}[.)]\s+)/i
export const STARTS_LIKE_AMOUNT =
  /^(?:[\d½¼¾⅓⅔⅛⅜⅝⅞]|(?:about|approx\.?|ca\.?)\s+\d|an?\s|one\s|two\s|three\s|four\s|half\s|a?\s?pinch|handful|juice of|zest of|salt\b|oil\b|pepper\b|few\b|some\b|(?:four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|sixteen|seventeen|eighteen|nineteen|twenty|thirty|forty|fifty|sixty|seventy|eighty|ninety)\b(?! minutes)|(?:good |big |small |large |generous |heaped |scant )?(?:tbsps?|tsps?|cups?|blocks?|bunch|handful|tins?|cans?|knob|cloves?|sprigs?|pinch|splash|dash|glug|drizzle|pack|packet|jar|stick|thumb)(?: of)? \p{L})/iu
export const COLON_HEADING = /^(?:for the [^.]{1,60}|[^.,;\d]{1,60}):$/i
/** A line this long, or one that reads as a sentence, is a step or a note and not an ingredient. */
const LONGEST_INGREDIENT = 140
const SPEAKS =
  /[a-z]{2}[.!?]\s+[A-Z]|[a-z]{2}[.!]$|\b(?:min|mins|minutes|sec|hours?|hr|h)\.?$|\d\s*(?:cm|C|F)\.$/

/** "1 block tofu, pressed 20 min", "150 g cashews, soaked for 4 hours": how a food comes, and how long that took. */
const COMES =
  /^[^.!?]*,\s*(?:\p{L}+ly )?(?:pressed|soaked|drained|steamed|boiled|chilled|rested|frozen|marinated|salted|dried|cooked|thawed|simmered|roasted)\b[^,.]*$/iu

export const isSentence = (line: string): boolean =>
  line.length > LONGEST_INGREDIENT ||
  (SPEAKS.test(line) && !(STARTS_LIKE_AMOUNT.test(line.replace(BULLET, '')) && COMES.test(line)))

/** "Day 2", "Stage 1". */
const COUNTED_HEAD = /^(?:day|evening|stage|phase|part)\s+\d{1,2}$/iu

/** Short words alone on a line, without an amount: they may head what follows. */
export const couldHead = (line: string): boolean =>
  line.length <= 50 &&
  line.split(/\s+/).length <= 6 &&
  !/[.!?,;]$/.test(line) &&
  (!/\d/.test(line) || COUNTED_HEAD.test(line)) &&
  !BULLET.test(line) &&
  !STARTS_LIKE_AMOUNT.test(line)

export const NOTES =
  /^(?:tips?|notes?|storage|to store|make ahead|variations?|nutrition|to serve|serving|cook'?s notes?)\s*[:.–—-]\s*\S/i
export const GROUP_INLINE =
  /^([\p{L}][\p{L} ]{2,28}):\s+(?=[\d½¼¾⅓⅔⅛]|a |an )(?![\d½¼¾⅓⅔⅛.,/\s–-]+\p{L}{0,10}\.?\s*(?:\([^)]*\)\s*)?$)/u

export const YIELD_FIRST =
  /^(?:\(?\s*)?(?:makes|serves|feeds|fills|yields?|gives|quantity|portions?|servings?|enough|(?:for|per|pour|para|für|voor) \d|\d+ (?:to share|persons?|people|pax|covers)|(?:prep|total|cook)(?=\b[^a-z]*\d|\s+time|\s*[:|]))\b/iu

export interface Line {
  readonly raw: string
  readonly words: string
  readonly isNumbered: boolean
  readonly isBullet: boolean
  readonly isAfterGap: boolean
  readonly isBeforeGap: boolean
  /** The next line that is not empty. */
  readonly next: string | null
  /** It and the lines below it, up to the next gap. */
  readonly block: readonly string[]
}

/** Stands where a group that was written in one line is over. */
export const GROUP_ENDS = '\u2060'

/** "Serves 4. You need: 8 peppers; …": the yield, and what opens the list. */
const NEEDED =
  /^(?:((?:serves|makes|feeds|for)\b[^.:;]{1,30})\.\s*)?(?:(?:you(?: will|['’]ll)? need|ingredients|needed|take)\s*(?:\([^)]*\)\s*)?:\s*|(?:you(?: will|['’]ll)? need|take)\s+(?=\d+\s?(?:g|kg|ml|l|oz)\b[^.:;]*,))/iu

const AMOUNTED = /[\d½¼¾⅓⅔⅛]|\bpinch\b|\bto taste\b|\bhandful\b/iu

/** "Yield: 1 roll, 10 portions" is no list of foods. */
const NO_GROUP =
  /^(?:yields?|makes?|serves?|servings?|portions?|feeds?|times?|prep\w*|cook\w*|total|active|ready|skill|level|cost)\b|\s\S+\s\S+\s/iu
const NO_FOODS = /\b(?:min|mins|minutes?|hours?|hrs?|fan|portions?|servings?|people)\b|°/iu
/** "That dip: 2 tins beans, 3 tbsp tahini, 1 lemon, 1 tsp salt", "got 2 tins beans, …": words, and then a list. */
const BEFORE_A_LIST = /(?::|\b(?:got|have|need|use|used|take|buy|with))\s*$/iu
const MOST_WORDS = 60
const LEAST_LISTED = 4
function listedAfterWords(line: string): string[] | null {
  const at = line.search(/(?<![\d½¼¾⅓⅔.,/\p{L}])[\d½¼¾⅓⅔]/u)
  const lead = at <= 0 ? '' : line.slice(0, at)
  if (lead === '' || lead.length > MOST_WORDS || !BEFORE_A_LIST.test(lead)) return null
  const parts = line
    .slice(at)
    .replace(/\.$/u, '')
    .split(/,\s+(?:and\s+)?(?![^()]*\))|\s+(?:and|&|\+)\s+(?=[\d½¼¾⅓⅔])/u)
  const isList =
    parts.length >= LEAST_LISTED &&
    parts.every((part) => part.length < 60 && !/[.;!?]\s/u.test(part)) &&
    parts.filter((part) => STARTS_LIKE_AMOUNT.test(part)).length >= parts.length - 1
  return isList ? [lead.replace(/[\s:]+$/u, ''), ...parts] : null
}

/** "150 g cashews · 250 ml water · 1 tsp salt" are three lines. */
function inOneLine(line: string): string[] {
  const commas = /^(?:([\p{L}][\p{L} ]{1,30}):\s*)?(.+)$/u.exec(line)
  const byCommas = (commas?.[2] ?? '').split(
    /,\s+(?=(?:[\d½¼¾⅓⅔]|a?\s?pinch\b|handful|splash|drizzle|dash|salt\b|oil\b|juice of|zest of))/u,
  )
  const isCommas =
    byCommas.length >
      (commas?.[1] === undefined || NO_GROUP.test(commas[1]) || NO_FOODS.test(line) ? 2 : 1) &&
    byCommas.every((part) => STARTS_LIKE_AMOUNT.test(part) && part.length < 60) &&
    !/[.;]\s/.test(line)
  // A group in one line ends with it.
  if (isCommas) return commas?.[1] === undefined ? byCommas : [`${commas[1]}:`, ...byCommas, GROUP_ENDS]
  const needs = NEEDED.exec(line)
  const semis = (needs === null ? line : line.slice(needs[0].length)).replace(/\.$/u, '').split(/\s*[;]\s+/u)
  if (semis.length > 2 && semis.every((part) => STARTS_LIKE_AMOUNT.test(part) && part.length < 60))
    return needs?.[1] === undefined ? semis : [needs[1], ...semis]
  // "Ingredients: oyster mushrooms 600 g torn, peanut butter 60 g, …": announced, and each with an amount.
  if (needs !== null) {
    const told = line.slice(needs[0].length).replace(/\.$/u, '')
    const named = told.split(/[,;]\s+(?![^()]*\))|\s+(?:and|&)\s+(?=[\d½¼¾⅓⅔⅛])/u)
    if (
      named.length > 2 &&
      !/\.\s/.test(told) &&
      named.every((part) => AMOUNTED.test(part) && part.length < 60)
    )
      return needs[1] === undefined ? named : [needs[1], ...named]
  }
  const listed = needs === null ? listedAfterWords(line) : null
  if (listed !== null) return listed
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
export const ORDER = new RegExp(String.raw`^${ORDERS}\s+(?!for\b)\p{L}[^:]*(?:\s\S+){2}`, 'iu')

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

const blockEnd = (lines: readonly string[], at: number): number => {
  const gap = lines.indexOf('', at)
  return gap < 0 ? lines.length : gap
}

/** Words of a line that no food has: they stand in what is done. */
const DOES = /\b(?:in|into|with|over|under|until|till|for|then|and|onto|through)\b/giu
const LEAST_WORDS = 4
/** Lines below a gap that begin with no amount, in words enough to tell what is done: a method without stops. */
export const isMethodBlock = (block: readonly string[]): boolean => {
  if (
    block.length < 2 ||
    block.some((line) => BULLET.test(line) || STARTS_LIKE_AMOUNT.test(line) || endsWithAmount(line))
  )
    return false
  const telling = block.filter(
    (line) => line.split(/\s+/u).length >= LEAST_WORDS && (line.match(DOES)?.length ?? 0) >= 1,
  )
  return telling.length >= 0.75 * block.length && block.join(' ').split(/\s+/u).length >= 6 * block.length
}

export function linesOf(text: string): Line[] {
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
        block: all.slice(at, blockEnd(all, at)),
      },
    ]
  })
}

/** "Onion, diced 600 g": the amount stands last. */
const ENDS_WITH_AMOUNT =
  /\p{L}[^.;]*[\s,:–—-]\d+(?:[.,]\d+)?\s*(?:g|kg|ml|l|cl|dl|tbsp|tsp|cups?|oz|lb|pcs?|nos?)$/iu
/** Told first by its end: a sentence is not walked through for it. */
const UNIT_LAST = /\d\s*(?:g|kg|ml|l|cl|dl|tbsp|tsp|cups?|oz|lb|pcs?|nos?)$/iu
export const endsWithAmount = (line: string): boolean => UNIT_LAST.test(line) && ENDS_WITH_AMOUNT.test(line)

/** "rolled oats (120 g)", "mushrooms (400 g), chopped fine". */
const NAMED_FIRST =
  /^\p{L}[\p{L} '’-]{1,40}\((?:about |ca\.? )?[\d½¼¾][\d.,/½¼¾ ]*\s?(?:g|kg|ml|l|oz|lb|tbsp|tsp|cups?)\)(?:,[^.]{0,40})?$/iu
export const likeIngredient = (line: string | null): boolean =>
  line !== null &&
  (endsWithAmount(line) ||
    NAMED_FIRST.test(line) ||
    STARTS_LIKE_AMOUNT.test(line.replace(BULLET, '').replace(NUMBERED, '')) ||
    BULLET.test(line)) &&
  !isSentence(line)
