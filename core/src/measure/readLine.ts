import { bySpoon } from './bySpoon'
import type { Amount, AmountTerm, OpenAmount, UnitId } from '../model'
import { moreOfIt, wordingsOf } from './combined'
import { unescaped } from './entities'
import { firstAlternative, isTwoFoods } from './alternatives'
import { readJuiced } from './citrus'
import { findFood } from './findFood'
import { disagreement, drainedFinding, readFindings, stateFinding, TWO_FOODS } from './lineFindings'
import { type Measured, splitPrep, takeAmount, takeAsides } from './lineText'
import type { LineReader, ReadFinding, ReadLine } from './lineTypes'
import {
  asideAmount,
  asWhole,
  CAN_LIQUID,
  drainedTo,
  kindOf,
  ofOnePack,
  ofPartOfPack,
  statedInPrep,
} from './packs'
import { readAmountAt } from './readAmount'
import { GRAMS_PER, PACK_UNITS, unitKind, unitNamed, VOLUME_UNITS, LENGTH_MM } from './units'

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

/** A glug, a splash, a knob: measured by nobody. */
const BY_EYE: ReadonlySet<string> = new Set(['glug', 'splash', 'drizzle', 'knob', 'handful', 'dash', 'pinch'])
const isByEye = ({ unit }: AmountTerm): boolean => unit !== null && BY_EYE.has(unit)
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
  // "A glug of oil (about 3 tbsp)": what it comes to.
  const spoons = alternates.find((term) => kindOf(term) === 'volume' && !isByEye(term))
  if (spoons !== undefined && isByEye(first)) return { terms: [spoons], isApproximate: true }
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

const TRAILING_PIECES =
  /\s(cloves?|heads?|bunch(?:es)?|sprigs?|stalks?|ribs?|cans?|tins?|blocks?|cubes?|sheets?|slices?|caps?|jars?|leaves)$/i

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

const PACKED_AFTER = /^\(?(?:(firmly|tightly|loosely|lightly|well)[\s-]+)?(packed|heaped|heaping)\b\)?/i

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

const SECOND_AMOUNT =
  /(?<!\b(?:cut|slic|dic|chop|torn|tear|broken|split|cub|crumbl)\w*)\s+(?:\+|plus|and|mixed with|with|in)\s+(?=[\d½¼¾⅓⅔⅛])/i
const PACKING_LIQUID =
  /\s+in\s+(?:brine|water|salted water|(?:its|their)(?: own)? juices?|juice|syrup|a can|tomato juice)\b/i

/** "Aquafaba from a tin of chickpeas": where it is taken from. */
const OUT_OF = /\s+((?:from|out of) (?:a|an|one|the|1) (?:tin|can|jar|carton|packet|pack|tub|bottle)\b.*)$/i

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
  const text = unescaped(written)
    .replace(BULLET, '')
    .replace(/\s+/g, ' ')
    .trim()
    .replace(CAN_LIQUID, 'chickpea liquid')
  const more = moreOfIt(text)
  if (more !== null) {
    const read = readSingle(written, more.rest, reader)
    const extra = readAmountAt(more.amount, 0, { isDecimalComma: false })
    if (read.amount !== null && extra !== null) {
      const why = `${more.amount} of it${more.why === '' ? '' : ` ${more.why}`}`
      return {
        ...read,
        amount: { ...read.amount, terms: [...read.amount.terms, ...extra.amount.terms] },
        prep: [read.prep, why].filter((words) => words !== '').join(', '),
      }
    }
  }
  return readSingle(written, text, reader)
}

/** The foods of a line, each with its own amount; one for most lines. Every reading keeps the whole written text. */
export function readLines(written: string, reader: LineReader): ReadLine[] {
  const wordings = wordingsOf(written)
  if (wordings.length === 1 || written.length > LONGEST_LINE) return [readLine(written, reader)]
  return wordings.map((wording) => ({ ...readLine(wording, reader), text: written }))
}

function readSingle(written: string, text: string, reader: LineReader): ReadLine {
  const juiced = readJuiced(text)
  if (juiced !== null) return finish(written, reader, { ...juiced, alternates: [], asides: [], rest: text })
  return readPlain(written, text, reader)
}

const MASS_LAST = /^(.*\b\d+(?:[.,]\d+)?\s?(?:mm|cm|inch)\b.*?)\s(\d+(?:[.,]\d+)?\s?(?:kg|g|lb|oz))$/iu
const ANY_MASS_LAST = /^(.*)\s(\d+(?:[.,]\d+)?\s?(?:kg|g|lb|oz))$/iu
function readPlain(written: string, text: string, reader: LineReader): ReadLine {
  const lead = takeAmount(text)
  const { rest, asides } = takeAsides(lead.rest)
  let measured: Measured = { ...lead, rest: rest.replace(/\s+/g, ' ').trim() }
  if (measured.amount === null && asides.length > 0) {
    const again = takeAmount(measured.rest)
    if (again.amount !== null) measured = again
  }
  const counted = measured.amount?.terms[0]
  // What stands beside tins is one tin's content, with "each" or without.
  const isPacks = counted?.unit != null && PACK_UNITS.has(counted.unit)
  const count = isPacks ? 1 : (counted?.low ?? 1)
  const inAsides = asides.flatMap((aside) => {
    const term = asideAmount(isPacks ? ofOnePack(aside, counted.low) : aside, count)
    return term === null ? [] : [isPacks ? ofPartOfPack(term, counted) : term]
  })
  const alternates = [...measured.alternates, ...inAsides]
  let amount = measured.amount
  if (amount === null && inAsides[0] !== undefined) amount = { terms: [inAsides[0]], isApproximate: false }
  const more = measured.rest.replace(
    /[,;]?\s*(?:\bplus|\+|\band)\s+(?:more|extra|a little more|some)\b.*$/i,
    '',
  )
  const stripped = OPEN.reduce((left, [pattern]) => left.replace(pattern, ''), more.replace(OPTIONAL, ''))
  const second = SECOND_AMOUNT.exec(stripped)
  const single = (second === null ? stripped : stripped.slice(0, second.index)).replace(PACKING_LIQUID, '')
  let split = splitPrep(
    single
      .replace(/\s+([,;])/g, '$1')
      .replace(/[\s,;:.-]+$/, '')
      .replace(OUT_OF, ', $1'),
  )
  if (amount === null && split.prep !== '') {
    const inPrep = takeAmount(split.prep)
    if (inPrep.amount !== null) {
      amount = inPrep.amount
      split = { food: split.food, prep: inPrep.rest.replace(/^[\s,]+/, '') }
    }
  }
  // "Carrots, diced 5 mm 1.5 kg": the last of two figures is how much.
  const isOnlyLength = amount !== null && LENGTH_MM[amount.terms[0]?.unit ?? 'g'] !== undefined
  const last =
    amount === null ? MASS_LAST.exec(split.prep) : isOnlyLength ? ANY_MASS_LAST.exec(split.prep) : null
  const weighed = last === null ? null : takeAmount(last[2] ?? '')
  if (last !== null && weighed !== null && weighed.amount !== null) {
    amount = weighed.amount
    split = { food: split.food, prep: (last[1] ?? '').trim() }
  }
  amount = drainedTo(text, amount)
  const inPrep = statedInPrep(split.prep, amount)
  if (inPrep !== null) {
    alternates.push(inPrep.term)
    split = { ...split, prep: inPrep.rest }
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
  if (found.ingredientId === null)
    // "Lait de coco (coconut milk)": the name in brackets may be the one that is known.
    for (const aside of asides) {
      const other = /\d/.test(aside) ? null : findFood(reader.index, aside, hints)
      if (other?.ingredientId == null || other.isStateGuessed) continue
      found = other
      break
    }
  isSeveral &&= found.ingredientId !== null
  const spooned = found.ingredientId === null ? bySpoon(found, chosen, pieces.food, reader) : null
  if (spooned !== null) found = { ...found, ingredientId: spooned.ingredientId }
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
  if (spooned !== null) findings.push(spooned.finding)
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

/** Whether a unit stands for a mass or a volume that scales and sums. */
export const isMeasuredUnit = (unit: UnitId | null): boolean =>
  unit !== null && (GRAMS_PER[unit] !== undefined || VOLUME_UNITS[unit] !== undefined)
