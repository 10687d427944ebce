import type { Amount, AmountTerm, Ingredient, Kitchen, OpenAmount, UnitId } from '../model'
import { findFood, type FoodChoice, type FoodIndex, type FoundFood } from './findFood'
import { foodTokens, PREP_WORDS } from './foodWords'
import { lineMass } from './lineMass'
import { type FoundAmount, readAmountAt } from './readAmount'
import { GRAMS_PER, PACK_UNITS, unitKind, unitNamed, VOLUME_UNITS } from './units'

export interface ReadFinding {
  readonly rule: string
  readonly severity: 'info' | 'caution'
  readonly message: string
  readonly remedy: string
}

/** A recipe line as understood. `text` is what was written, to the letter. */
export interface ReadLine {
  readonly text: string
  readonly amount: Amount | null
  readonly open: OpenAmount | null
  readonly food: string
  readonly prep: string
  readonly ingredientId: string | null
  readonly choices: readonly FoodChoice[]
  readonly isOptional: boolean
  readonly findings: readonly ReadFinding[]
}

export interface LineReader {
  readonly index: FoodIndex
  readonly ingredients: ReadonlyMap<string, Ingredient>
  readonly kitchen: Kitchen
}

/** Longest line that is read; more is kept as text with a finding. */
export const LONGEST_LINE = 500

const BULLET = /^\s*(?:[-*+•▢☐□◦‣·–—]|\[[ xX]?\]|\(\s?\))\s+(?=\S)/
const OPEN: readonly (readonly [RegExp, OpenAmount])[] = [
  [/\b(?:to taste|as you like)\b/i, 'to-taste'],
  [/\bfor (?:deep[\s-]|shallow[\s-]|pan[\s-])?(?:frying|saut[eé]ing|searing)\b/i, 'for-frying'],
  [/\b(?:as needed|as required|if needed|as necessary|for greasing|for brushing|for oiling)\b/i, 'as-needed'],
  [/\bfor (?:dusting|rolling|flouring|dredging)\b/i, 'for-dusting'],
  [/\b(?:to serve|for serving|to garnish|for garnish(?:ing)?|for topping)\b/i, 'to-serve'],
]
const OPTIONAL = /\boptional\b/i
const JUICED =
  /^(?:the\s+)?(?:(finely\s+grated\s+|grated\s+)?(juice|zest|rind))(?:\s+and\s+(juice|zest|rind))?\s+(?:of|from)\s+/i
/** "½ lemon (juice)" */
const JUICE_ASIDE = /\s*\((?:the\s+)?(juice|zest)(?:d|ed)?(?:\s+only)?\)/i
const JUICED_AFTER = /\b(?:juiced|juice only|juice of)\b/i
const ZESTED_AFTER = /\b(?:zested|zest only)\b/i
const CITRUS = /\b(lemon|lime|orange)s?\b/i
const TRAILING = /(?:\s*(?:[-–—:,=…]|\.{2,})\s*|\s+)((?:about |approx\.? |~ ?)?[\d.½¼¾⅓⅔⅛⅜⅝⅞][^,;:]*)$/i
const TIMES_COUNT = /^(.*\S)\s*[x×]\s*(\d{1,3})$/i

interface Split {
  readonly rest: string
  readonly asides: readonly string[]
}

/** Takes bracketed asides out of a text. Unclosed brackets stay as they are. */
function takeAsides(text: string): Split {
  const asides: string[] = []
  let rest = ''
  let depth = 0
  let start = 0
  for (let at = 0; at < text.length; at += 1) {
    const character = text[at]
    if (character === '(' || character === '[') {
      if (depth === 0) start = at
      depth += 1
    } else if ((character === ')' || character === ']') && depth > 0) {
      depth -= 1
      if (depth === 0) {
        asides.push(text.slice(start + 1, at).trim())
        rest += ' '
      }
    } else if (depth === 0) rest += text.charAt(at)
  }
  if (depth > 0) rest += text.slice(start)
  return { rest, asides }
}

const kindOf = (term: AmountTerm | undefined): 'mass' | 'volume' | 'count' => unitKind(term?.unit ?? null)
const isSI = (term: AmountTerm): boolean =>
  term.unit === 'g' || term.unit === 'kg' || term.unit === 'mL' || term.unit === 'L'

/** Which of several wordings of one amount counts: grams over ounces over volumes; a stated mL over cups. */
function preferred(amount: Amount, alternates: readonly AmountTerm[]): Amount {
  const first = amount.terms[0]
  if (first === undefined || alternates.length === 0) return amount
  if (first.unit !== null && PACK_UNITS.has(first.unit) && first.pack === null) {
    const content = alternates.find((term) => kindOf(term) !== 'count' && term.unit !== null)
    if (content?.unit == null || amount.terms.length > 1) return amount
    const pack = { quantity: (content.low + content.high) / 2, unit: content.unit }
    return { ...amount, terms: [{ ...first, pack }] }
  }
  if (first.pack !== null) return amount
  const mass =
    alternates.find((term) => kindOf(term) === 'mass' && isSI(term)) ??
    alternates.find((term) => kindOf(term) === 'mass')
  if (mass !== undefined && (kindOf(first) !== 'mass' || (isSI(mass) && !isSI(first)))) {
    return { terms: [mass], isApproximate: amount.isApproximate || kindOf(first) === 'count' }
  }
  const stated = alternates.find((term) => term.unit === 'mL' || term.unit === 'L')
  return stated !== undefined && kindOf(first) === 'volume' && !isSI(first)
    ? { terms: [stated], isApproximate: amount.isApproximate }
    : amount
}

/** An aside that is only an amount: "(about 1 cup)", "(7 oz)", "(150 g each)". */
function asideAmount(aside: string, count: number): AmountTerm | null {
  const text = aside
    .replace(
      /\b(?:total|in total|net|drained|drained weight|dry weight|dry|weight|after draining)\b\s*$/i,
      '',
    )
    .trim()
  const isEach = /\beach\b\s*$/i.test(text)
  const found = readAmountAt(text.replace(/\beach\b\s*$/i, ''), 0, { isDecimalComma: false })
  const first = found?.amount.terms[0]
  if (found === null || first === undefined || first.unit === null) return null
  if (
    text
      .slice(found.end)
      .replace(/\beach\b/i, '')
      .trim() !== ''
  ) {
    if (!/^[\s,;]/.test(text.slice(found.end))) return null
  }
  return isEach ? { ...first, low: first.low * count, high: first.high * count } : first
}

/** Splits the food from its preparation at the first comma, semicolon or dash. */
function splitPrep(text: string): { food: string; prep: string } {
  const at = text.search(/\s*[,;]\s|\s+[-–—]\s+|[,;]$/)
  if (at <= 0) return { food: text.trim(), prep: '' }
  return {
    food: text.slice(0, at).trim(),
    prep: text
      .slice(at)
      .replace(/^\s*[,;–—-]\s*/, '')
      .trim(),
  }
}

const TRAILING_PIECES =
  /\s(cloves?|heads?|bunch(?:es)?|sprigs?|stalks?|ribs?|cans?|tins?|blocks?|cubes?|sheets?|slices?|caps?|jars?|leaves)$/i

interface Measured {
  readonly amount: Amount | null
  readonly alternates: readonly AmountTerm[]
  readonly rest: string
}

/** Finds the amount at the front of a line, else at its end ("flour: 200 g", "eggs x 2"). */
function takeAmount(text: string): Measured {
  const options = { isDecimalComma: /\d,\d(?!\d{2})/.test(text) }
  const front = readAmountAt(text, 0, options)
  if (front !== null) return fromFound(front, text)
  const times = TIMES_COUNT.exec(text)
  if (times !== null) {
    const end = readAmountAt(times[2] ?? '', 0, options)
    if (end !== null) return { amount: end.amount, alternates: [], rest: times[1] ?? '' }
  }
  const trailing = TRAILING.exec(text)
  if (trailing === null) return { amount: null, alternates: [], rest: text }
  const written = trailing[1] ?? ''
  const end = readAmountAt(written, 0, options)
  const left = end === null ? '' : written.slice(end.end).trim()
  const isWholeEnd = end !== null && (left === '' || foodTokens(left).every((token) => PREP_WORDS.has(token)))
  const hasSeparator = /[-–—:,=…]|\.\./.test(trailing[0].slice(0, trailing[0].length - written.length))
  if (!isWholeEnd || (end.amount.terms[0]?.unit == null && !hasSeparator))
    return { amount: null, alternates: [], rest: text }
  return {
    amount: end.amount,
    alternates: end.alternates,
    rest: `${text.slice(0, trailing.index)}${left === '' ? '' : `, ${left}`}`,
  }
}

const fromFound = (found: FoundAmount, text: string): Measured => ({
  amount: found.amount,
  alternates: found.alternates,
  rest: text
    .slice(found.end)
    .replace(/^\s*(?:of\b\s*(?:the\b\s*)?|[-–—:.]\s+|,\s*)/i, ' ')
    .trim(),
})

/** "juice of 1 lemon", "1 lemon, juiced": the juice, counted by fruit. */
function readJuiced(text: string): { amount: Amount; food: string; prep: string; isBoth: boolean } | null {
  const led = JUICED.exec(text)
  const measured = takeAmount(led === null ? text : text.slice(led[0].length))
  const fruit = CITRUS.exec(measured.rest)
  const term = measured.amount?.terms[0]
  if (fruit === null) return null
  const isBare = term === undefined || (term.unit === null && term.pack === null)
  if (!isBare) return null
  const name = (fruit[1] ?? '').toLowerCase()
  const after = measured.rest.slice(fruit.index + fruit[0].length)
  const isZest =
    led === null
      ? ZESTED_AFTER.test(after) && !JUICED_AFTER.test(after)
      : !/juice/i.test(`${led[2] ?? ''}${led[3] ?? ''}`)
  if (led === null && !isZest && !JUICED_AFTER.test(after)) return null
  const unit: UnitId = isZest ? 'zested' : 'juiced'
  const base = term ?? {
    sign: 1 as const,
    low: 1,
    high: 1,
    unit: null,
    qualifier: null,
    size: null,
    pack: null,
  }
  return {
    amount: { terms: [{ ...base, unit }], isApproximate: measured.amount?.isApproximate ?? false },
    food: `${name} ${isZest ? 'zest' : 'juice'}`,
    prep: after.replace(/^[\s,]+/, ''),
    isBoth: led?.[3] !== undefined || (ZESTED_AFTER.test(after) && JUICED_AFTER.test(after)),
  }
}

const hintsOf = (amount: Amount | null, prep: string, asides: readonly string[]): string[] => {
  const own = asides.filter((aside) => !/^or\b/i.test(aside))
  const words = `${prep} ${own.join(' ')}`.toLowerCase()
  const hints: string[] = []
  const unit = amount?.terms[0]?.unit
  if (unit === 'can') hints.push('canned')
  if (unit === 'sprig' || unit === 'bunch' || unit === 'handful') hints.push('fresh')
  if (/\bfresh\b/.test(words)) hints.push('fresh')
  if (/\bfrozen\b|\bthawed\b/.test(words)) hints.push('frozen')
  if (/\b(?:canned|tinned)\b|\bfrom (?:a|one|1) (?:can|tin)\b/.test(words)) hints.push('canned')
  if (/\bcooked\b|\bboiled\b/.test(words)) hints.push('cooked')
  if (/\bdry\b|\bdried\b|\bdry weight\b|\buncooked\b|\bsoaked\b|\bsoak\b/.test(words)) hints.push('dry')
  if (hints.length === 0 && /\bdrained\b|\brinsed and drained\b/.test(words)) hints.push('canned')
  return hints
}

/** The food of "soy or oat milk" and "tamari/soy sauce": the first named, and that there were several. */
function firstAlternative(reader: LineReader, food: string, hints: readonly string[]) {
  const whole = findFood(reader.index, food, hints)
  const [first, second] = food.split(/\s+or\s+|\s*\/\s*/i).filter((part) => part.trim() !== '')
  if (first === undefined || second === undefined) return { found: whole, isSeveral: false }
  const alone = findFood(reader.index, first, hints)
  const joined = borrowed(reader, first, second, hints)
  const kindOfFood = (found: FoundFood | null): string | undefined =>
    found?.ingredientId == null ? undefined : reader.ingredients.get(found.ingredientId)?.foodClass
  const other = findFood(reader.index, second, hints)
  const isShortened =
    joined !== null && joined.ingredientId !== alone.ingredientId && kindOfFood(joined) === kindOfFood(other)
  if (joined !== null && (alone.ingredientId === null || isShortened))
    return { found: joined, isSeveral: true }
  return { found: alone.ingredientId === null ? whole : alone, isSeveral: true }
}

/** "white wine or cider vinegar": the first with the last word of the second, when that has one to lend. */
function borrowed(reader: LineReader, first: string, second: string, hints: readonly string[]) {
  const words = second.split(/\s+/)
  const head = words.at(-1)
  if (words.length < 2 || head === undefined) return null
  const joined = findFood(reader.index, `${first} ${head}`, hints)
  return joined.ingredientId === null ? null : joined
}

const rough = (grams: number): string => (grams >= 10 ? String(Math.round(grams)) : grams.toFixed(1))

function disagreement(
  reader: LineReader,
  ingredientId: string | null,
  amount: Amount,
  others: readonly AmountTerm[],
  words: string,
): ReadFinding[] {
  const food = ingredientId === null ? undefined : reader.ingredients.get(ingredientId)
  if (food === undefined) return []
  const own = lineMass(amount, food, words, reader.kitchen)
  for (const term of others) {
    if (kindOf(term) === 'count' || own.mass === null) continue
    const other = lineMass({ terms: [term], isApproximate: false }, food, words, reader.kitchen)
    if (other.mass === null || other.mass.value === 0 || own.mass.value === 0) continue
    const apart = own.mass.value / other.mass.value
    if (apart < 0.72 || apart > 1.38) {
      return [
        {
          rule: 'amounts-disagree',
          severity: 'caution',
          message: `The line states two amounts that differ: ${rough(own.mass.value)} g and ${rough(other.mass.value)} g.`,
          remedy: `The first is used. Weigh it once and write grams.`,
        },
      ]
    }
  }
  return []
}

const PACKED_AFTER = /^(?:(firmly|tightly|loosely|lightly|well)[\s-]+)?(packed|heaped|heaping)\b/i

/** "1 cup brown sugar, packed": the qualifier written after the food. */
function withLateQualifier(amount: Amount | null, prep: string): Amount | null {
  const first = amount?.terms[0]
  const found = PACKED_AFTER.exec(prep)
  if (amount === null || first === undefined || found === null) return amount
  if (first.qualifier !== null || unitKind(first.unit) !== 'volume') return amount
  const manner = (found[1] ?? '').toLowerCase()
  const packed = manner === 'loosely' || manner === 'lightly' ? 'loosely-packed' : 'packed'
  const qualifier = /heap/i.test(found[2] ?? '') ? 'heaping' : packed
  return { ...amount, terms: [{ ...first, qualifier }, ...amount.terms.slice(1)] }
}

/** Two foods joined by "and", neither being part of one name: "salt and pepper". */
function isTwoFoods(reader: LineReader, food: string, whole: string | null): boolean {
  const parts = food.split(/\s+(?:and|&)\s+/i)
  const [first, second] = parts
  if (parts.length !== 2 || first === undefined || second === undefined) return false
  const left = findFood(reader.index, first).ingredientId
  const right = findFood(reader.index, second).ingredientId
  return (
    left !== null && right !== null && left !== right && (whole === null || whole === left || whole === right)
  )
}

const SECOND_AMOUNT =
  /(?<!\b(?:cut|slic|dic|chop|torn|tear|broken|split|cub|crumbl)\w*)\s+(?:\+|plus|and|mixed with|with|in)\s+(?=[\d½¼¾⅓⅔⅛])/i
const PACKING_LIQUID =
  /\s+in\s+(?:brine|water|salted water|(?:its|their)(?: own)? juices?|juice|syrup|a can|tomato juice)\b/i

const UNDRAINED =
  /\b(?:undrained|not drained|do not drain|with (?:its|their|the) (?:own )?(?:liquid|juices?|brine|can liquid))\b/i

/** A tin taken with its liquid counts whole: as a pack of its net content. */
function asWhole(amount: Amount | null, written: string, food: Ingredient | undefined): Amount | null {
  const first = amount?.terms[0]
  if (amount === null || first === undefined || (first.unit !== 'can' && first.unit !== 'jar')) return amount
  if (!UNDRAINED.test(written)) return amount
  const net = food?.packs[0]?.netG
  const pack = first.pack ?? (net === undefined ? null : { quantity: net, unit: 'g' as const })
  return pack === null
    ? amount
    : { ...amount, terms: [{ ...first, unit: 'pack', pack }, ...amount.terms.slice(1)] }
}

/** Said where a tin has a liquid that is usually poured off and the line is silent about it. */
function drainedFinding(amount: Amount | null, written: string, food: Ingredient | undefined): ReadFinding[] {
  const pack = food?.packs[0]
  const isSilent = !/drain|liquid|juice|brine|rins/i.test(written)
  if (amount?.terms[0]?.unit !== 'can' || pack === undefined || pack.drainedG >= pack.netG || !isSilent)
    return []
  return [
    {
      rule: 'drained-guess',
      severity: 'info',
      message: 'The tin was counted drained.',
      remedy: 'Write “undrained” if its liquid goes in too.',
    },
  ]
}

const openOf = (text: string): OpenAmount | null => OPEN.find(([pattern]) => pattern.test(text))?.[1] ?? null

/**
 * Reads one ingredient line as people write it: amount, unit, food and preparation in the usual orders.
 *
 * @param written one line, up to 500 characters; longer text comes back unread with a finding
 * @param reader food index, ingredients and the kitchen's measures
 * @returns the reading; unknown foods have ingredientId null and a finding. Never throws for any text
 */
export function readLine(written: string, reader: LineReader): ReadLine {
  if (written.length > LONGEST_LINE) {
    return {
      text: written.slice(0, LONGEST_LINE),
      amount: null,
      open: 'unstated',
      food: written.slice(0, LONGEST_LINE),
      prep: '',
      ingredientId: null,
      choices: [],
      isOptional: false,
      findings: [
        {
          rule: 'line-too-long',
          severity: 'caution',
          message: `Only the first ${LONGEST_LINE} characters of this line are kept.`,
          remedy: 'Split it into one line for each ingredient.',
        },
      ],
    }
  }
  const text = written.replace(BULLET, '').replace(/\s+/g, ' ').trim()
  const juiced = readJuiced(text.replace(JUICE_ASIDE, ', $1 only'))
  if (juiced !== null) return finish(written, reader, { ...juiced, alternates: [], asides: [], rest: text })
  return readPlain(written, text, reader)
}

function readPlain(written: string, text: string, reader: LineReader): ReadLine {
  const lead = takeAmount(text)
  const { rest, asides } = takeAsides(lead.rest)
  let measured: Measured = { ...lead, rest: rest.replace(/\s+/g, ' ').trim() }
  if (measured.amount === null && asides.length > 0) {
    const again = takeAmount(measured.rest)
    if (again.amount !== null) measured = again
  }
  const count = measured.amount?.terms[0]?.low ?? 1
  const inAsides = asides.flatMap((aside) => asideAmount(aside, count) ?? [])
  const alternates = [...measured.alternates, ...inAsides]
  let amount = measured.amount
  if (amount === null && inAsides[0] !== undefined) amount = { terms: [inAsides[0]], isApproximate: false }
  const more = measured.rest.replace(
    /[,;]?\s*\b(?:plus|\+|and)\s+(?:more|extra|a little more|some)\b.*$/i,
    '',
  )
  const stripped = OPEN.reduce((left, [pattern]) => left.replace(pattern, ''), more.replace(OPTIONAL, ''))
  const second = SECOND_AMOUNT.exec(stripped)
  const single = (second === null ? stripped : stripped.slice(0, second.index)).replace(PACKING_LIQUID, '')
  let split = splitPrep(single.replace(/\s+([,;])/g, '$1').replace(/[\s,;:.-]+$/, ''))
  if (amount === null && split.prep !== '') {
    const inPrep = takeAmount(split.prep)
    if (inPrep.amount !== null) {
      amount = inPrep.amount
      split = { food: split.food, prep: inPrep.rest.replace(/^[\s,]+/, '') }
    }
  }
  const piece = amount?.terms[0]?.unit == null && amount !== null ? TRAILING_PIECES.exec(split.food) : null
  const unit = piece === null ? null : unitNamed(piece[1] ?? '')
  const first = amount?.terms[0]
  if (unit !== null && first !== undefined && amount !== null) {
    amount = { ...amount, terms: [{ ...first, unit }, ...amount.terms.slice(1)] }
  }
  return finish(written, reader, {
    amount,
    alternates,
    asides,
    food: split.food,
    prep: split.prep,
    rest: measured.rest,
    isBoth: second !== null,
  })
}

interface Pieces {
  readonly amount: Amount | null
  readonly alternates: readonly AmountTerm[]
  readonly asides: readonly string[]
  readonly food: string
  readonly prep: string
  readonly rest: string
  readonly isBoth: boolean
}

/** A stick is of butter unless the food is a stalk or a quill. */
function fixStick(amount: Amount | null, food: string): Amount | null {
  const first = amount?.terms[0]
  if (amount === null || first === undefined || first.unit !== 'stick') return amount
  return /butter|margarine|fat/i.test(food) ? amount : { ...amount, terms: [{ ...first, unit: 'stalk' }] }
}

function finish(written: string, reader: LineReader, pieces: Pieces): ReadLine {
  const { asides, prep } = pieces
  const stuck = withLateQualifier(fixStick(pieces.amount, pieces.food), prep)
  const chosen = stuck === null ? null : preferred(stuck, pieces.alternates)
  const hints = hintsOf(chosen, prep, asides)
  const words = pieces.food.toLowerCase()
  let { found, isSeveral } = firstAlternative(reader, pieces.food, hints)
  if (found.ingredientId === null && prep !== '') {
    const wider = findFood(reader.index, `${pieces.food} ${prep}`, hints)
    if (wider.ingredientId !== null) found = wider
  }
  isSeveral &&= found.ingredientId !== null
  const isPair = isTwoFoods(reader, pieces.food, found.ingredientId)
  if (isPair) found = { ...found, ingredientId: null }
  const item = found.ingredientId === null ? undefined : reader.ingredients.get(found.ingredientId)
  const amount = asWhole(chosen, written, item)
  const notes = asides.filter((aside) => asideAmount(aside, 1) === null)
  const open = amount === null ? (openOf(written) ?? 'unstated') : null
  const findings: ReadFinding[] = [
    ...(isPair ? [TWO_FOODS] : readFindings(found.ingredientId, found.choices, pieces.food, reader)),
    ...(amount === null
      ? []
      : disagreement(
          reader,
          found.ingredientId,
          amount,
          [
            ...pieces.alternates,
            ...(stuck?.terms.length === 1 && stuck !== amount ? stuck.terms : []),
          ].filter(
            (term) =>
              term.pack === null &&
              (term.unit === null || !PACK_UNITS.has(term.unit)) &&
              amount.terms[0]?.pack === null &&
              term !== amount.terms[0],
          ),
          words,
        )),
  ]
  findings.push(...drainedFinding(amount, written, item))
  if (found.isStateGuessed && amount !== null) findings.push(stateFinding(found.ingredientId, reader))
  if (isSeveral)
    findings.push({
      rule: 'alternatives',
      severity: 'info',
      message: 'The line offers alternatives; the first is used.',
      remedy: 'Choose another food on the line if you use it.',
    })
  if (pieces.isBoth)
    findings.push({
      rule: 'second-food',
      severity: 'info',
      message: 'The line names a second food with its own amount; only the first is counted here.',
      remedy: 'Write the second food on a line of its own.',
    })
  return {
    text: written,
    amount,
    open,
    food: pieces.food,
    prep: [prep, ...notes].filter((piece) => piece !== '').join(', '),
    ingredientId: found.ingredientId,
    choices: found.choices,
    isOptional: OPTIONAL.test(written),
    findings,
  }
}

const TWO_FOODS: ReadFinding = {
  rule: 'two-foods',
  severity: 'caution',
  message: 'The line names two foods.',
  remedy: 'Write each on a line of its own.',
}

function stateFinding(ingredientId: string | null, reader: LineReader): ReadFinding {
  const state = (ingredientId === null ? null : reader.ingredients.get(ingredientId)?.state) ?? 'usual'
  return {
    rule: 'state-unstated',
    severity: 'info',
    message: `The line does not say dry, cooked or canned; it was read as ${state}.`,
    remedy: 'Add the word, or choose the food on the line.',
  }
}

function readFindings(
  ingredientId: string | null,
  choices: readonly FoodChoice[],
  food: string,
  reader: LineReader,
): ReadFinding[] {
  if (ingredientId !== null) return []
  if (food === '') {
    return [
      {
        rule: 'no-food',
        severity: 'caution',
        message: 'The line names no food.',
        remedy: 'Write what it is.',
      },
    ]
  }
  const names = choices.slice(0, 3).flatMap(({ ingredientId: id }) => reader.ingredients.get(id)?.name ?? [])
  return [
    {
      rule: 'unknown-food',
      severity: 'caution',
      message:
        names.length === 0 ? `“${food}” is not in the library.` : `“${food}” could be ${names.join(' or ')}.`,
      remedy:
        names.length === 0
          ? 'Choose a food for it, or add your own ingredient.'
          : 'Choose one for this line.',
    },
  ]
}

/** Whether a unit stands for a mass or a volume that scales and sums. */
export const isMeasuredUnit = (unit: UnitId | null): boolean =>
  unit !== null && (GRAMS_PER[unit] !== undefined || VOLUME_UNITS[unit] !== undefined)
