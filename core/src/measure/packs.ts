import type { Amount, AmountTerm, Ingredient } from '../model'
import { readAmountAt } from './readAmount'
import { PACK_UNITS, unitKind } from './units'

export const kindOf = (term: AmountTerm | undefined): 'mass' | 'volume' | 'count' =>
  unitKind(term?.unit ?? null)

/** An aside that is only an amount: "(about 1 cup)", "(7 oz)", "(150 g each)". */
export function asideAmount(aside: string, count: number): AmountTerm | null {
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

/** Packs hold so much or more, g or ml: less is what is taken of one. Practice. */
const LEAST_PACK = 250
const PER_UNIT: Readonly<Record<string, number>> = { g: 1, ml: 1, oz: 28.35 }
/** "½ block tofu (140 g)", "½ tin (200 ml)": what half of it weighs, told as the whole pack's content; "½ block (14 oz)" is the pack's. */
export function ofPartOfPack(term: AmountTerm, counted: AmountTerm | undefined): AmountTerm {
  const share = counted?.low ?? 1
  const size = term.low * (PER_UNIT[term.unit ?? ''] ?? Number.NaN)
  return share > 0 && share < 1 && size < LEAST_PACK
    ? { ...term, low: term.low / share, high: term.high / share }
    : term
}

const MASS_FIRST = /^(?:about|around|roughly|approx(?:imately)?\.?|ca\.?|c\.|~|weighing)?\s*(?=[\d½¼¾])/iu

/** "1 celeriac, about 900 g", "3 aubergines, 250 g each, cut in cubes": what the pieces that are counted weigh. */
export function statedInPrep(prep: string, amount: Amount | null): { term: AmountTerm; rest: string } | null {
  const counted = amount?.terms[0]
  if (counted === undefined || kindOf(counted) !== 'count' || counted.pack !== null) return null
  const lead = MASS_FIRST.exec(prep)?.[0] ?? ''
  const [first = '', ...more] = prep.slice(lead.length).split(/\s*[,;]\s*/u)
  const term = asideAmount(
    first.replace(/\b(?:whole|trimmed|unpeeled|peeled|in all|altogether)\s*$/iu, ''),
    counted.low,
  )
  if (term === null || kindOf(term) !== 'mass') return null
  return { term, rest: more.join(', ') }
}

const UNDRAINED =
  /\b(?:undrained|not drained|do not drain|with (?:its|their|the) (?:own )?(?:liquid|juices?|brine|can liquid))\b/i

/** A tin taken with its liquid counts whole: as a pack of its net content. */
export function asWhole(amount: Amount | null, written: string, food: Ingredient | undefined): Amount | null {
  const first = amount?.terms[0]
  if (amount === null || first === undefined || (first.unit !== 'can' && first.unit !== 'jar')) return amount
  if (!UNDRAINED.test(written)) return amount
  const net = food?.packs[0]?.netG
  const pack = first.pack ?? (net === undefined ? null : { quantity: net, unit: 'g' as const })
  return pack === null
    ? amount
    : { ...amount, terms: [{ ...first, unit: 'pack', pack }, ...amount.terms.slice(1)] }
}

/** "The liquid from one can of chickpeas": what pulses were cooked in, and not the pulses. */
export const CAN_LIQUID =
  /\b(?:the\s+)?(?:liquid|water|brine|juice)\s+(?:from|of|out of|in)\s+(?:(?:a|an|one|two|the|\d+)\s+)?(?:\d+\s?(?:g|oz|ml)\s+)?(?:cans?|tins?|jars?)\s+(?:of\s+)?(?:chickpeas?|garbanzos?|garbanzo beans|white beans|cannellini beans|beans)\b/iu

/** "1 can chickpeas, drained (240 g)", "1 tin (240 g drained)": what is left of a pack once it is drained. */
const DRAINED_TO =
  /\bdrained\b[^,;()]*\(([^()]*)\)|\(([^()]*?)\s+(?:when\s+)?drained(?:\s+weight)?\)|\([^()]*[,;/]\s*drained(?:\s+weight)?:?\s+([^(),;]*)\)/iu

const TIMES = /^(\d{1,2})\s*[x×*]\s*(?=\d)/iu
/** "3 tins (3 x 240 g)": the same three, each of them so heavy. */
export const ofOnePack = (aside: string, count: number | undefined): string =>
  Number(TIMES.exec(aside)?.[1]) === count ? aside.replace(TIMES, '') : aside

export function drainedTo(text: string, amount: Amount | null): Amount | null {
  const first = amount?.terms[0]
  if (amount === null || first?.unit == null || !PACK_UNITS.has(first.unit) || first.low !== first.high)
    return amount
  const found = DRAINED_TO.exec(text)
  const term =
    found === null ? null : asideAmount(ofOnePack(found[1] ?? found[2] ?? found[3] ?? '', first.low), 1)
  if (term === null || kindOf(term) !== 'mass') return amount
  return { ...amount, terms: [{ ...term, low: term.low * first.low, high: term.high * first.high }] }
}
