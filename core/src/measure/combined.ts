import { takeAsides } from './lineText'
import { unescaped } from './entities'

/**
 * Mixtures that go by one name, for each "1": ground seed and water by volume.
 * @source 1 tbsp (7 g) ground flaxseed or chia with 3 tbsp (45 mL) water for one egg; practice
 */
const MADE: readonly (readonly [name: RegExp, of: readonly string[]])[] = [
  [/^(?:(\d+)|an?|one|two)\s+(?:fla[xk]s?(?:seed)?|linseed)\s+["“”']?eggs?["“”']?/iu, ['ground flaxseed']],
  [/^(?:(\d+)|an?|one|two)\s+chia\s+["“”']?eggs?["“”']?/iu, ['chia seeds']],
]
const EGG_WATER_TBSP = 3

const LEAD = /^\s*(?:[-*+•▢☐□◦‣·–—]|\[[ xX]?\])\s+/u

/** "1 flax egg": the seed and its water; a line that writes them out in brackets says them itself. */
function madeThing(text: string): string[] | null {
  for (const [name, [seed]] of MADE) {
    const found = name.exec(text)
    if (found === null || seed === undefined) continue
    const [aside] = takeAsides(text.slice(found[0].length)).asides
    const written = aside === undefined ? null : second(aside)
    if (written !== null) return written
    if (/\b(?:tbsp|tsp|g|ml|tablespoons?)\b/iu.test(text.slice(found[0].length))) return null
    const count = found[1] === undefined ? (/^two/iu.test(text) ? 2 : 1) : Number(found[1])
    if (count < 1 || count > 40) return null
    return [`${count} tbsp ${seed}`, `${EGG_WATER_TBSP * count} tbsp water`]
  }
  return null
}

const SALT_PEPPER =
  /^((?:a )?(?:(?:good |big |generous |large |small )?pinch(?:es)? of|few pinches of|plenty of)?\s*)((?:(?:fine|flaky|coarse|sea|kosher|table|rock|black)\s+){0,3}salt)\s*(?:,|and|&|\+)\s*((?:(?:freshly|fresh|ground|cracked|milled|black|white)[\s-]+){0,4}pepper)\b(.*)$/iu

const SALT_AND_A_GRIND =
  /^([\d½¼¾⅓⅔].*?\bsalt)\s*(?:,|and|&|\+|plus)\s+((?:an?|some|plenty of|lots of|a little|a few)\b[^,\d]{0,28}?)((?:(?:freshly|ground|cracked|black|white)\s+){0,3}pepper)\b(.*)$/iu

/** "Salt and black pepper, to taste"; "1 tsp salt and a grind of pepper". */
function saltAndPepper(text: string): string[] | null {
  const grind = SALT_AND_A_GRIND.exec(text)
  if (grind !== null && !/\d/.test(grind[4] ?? '')) {
    const [, salt = '', lead = '', pepper = '', rest = ''] = grind
    return [salt, `${lead}${/\bwhite\b/iu.test(pepper) ? 'white' : 'black'} pepper${rest}`]
  }
  const found = SALT_PEPPER.exec(text)
  if (found === null || /\d/.test(found[4] ?? '')) return null
  const [, lead = '', salt = '', pepper = '', rest = ''] = found
  const named = /\bwhite\b/iu.test(pepper) ? 'white pepper' : 'black pepper'
  const tail = rest.trimEnd()
  return [`${lead}${salt}${tail}`, `${lead}${/ground/iu.test(pepper) ? 'ground ' : ''}${named}${tail}`]
}

const ZEST_JUICE =
  /^(?:finely |grated )*(?:the )?(zest|juice|rind)\s*(?:and|&|\+|,)\s*(?:the )?(zest|juice|rind)\s+(?:of|from)\s+(.+)$/iu
const FRUIT_BOTH =
  /^(.*\b(?:lemons?|limes?|oranges?)\b)\s*[,(:–-]*\s*(?:(?:finely|grated|the|both)\s+)*(?:zest(?:ed)?|rind|juiced?)\s*(?:and|&|\+|,)\s*(?:(?:the|its|their)\s+)?(?:zest(?:ed)?|rind|juiced?)\)?\s*(?:only)?\s*$/iu

/** "Juice and zest of 1 lemon", "2 limes, zested and juiced". */
function zestAndJuice(text: string): string[] | null {
  const of = ZEST_JUICE.exec(text)
  const fruit =
    of !== null && of[1]?.toLowerCase() !== of[2]?.toLowerCase() ? of[3] : FRUIT_BOTH.exec(text)?.[1]
  return fruit === undefined ? null : [`juice of ${fruit}`, `zest of ${fruit}`]
}

const EACH_FIRST = /^(.{1,24}?)\s+each(?:\s+of)?\s*[:,]?\s+(.+)$/iu
const EACH_LAST = /^([^\d]+?)\s*[,:–-]?\s+([\d½¼¾⅓⅔][^,]{0,20}?)\s+(?:of\s+)?each\s*$/iu
const LISTED = /\s*,\s*(?:and\s+)?|\s+(?:and|&)\s+/iu

/** "1 tsp each cumin, coriander and salt", "walnuts and oats, 50 g each". */
function each(text: string): string[] | null {
  const first = EACH_FIRST.exec(text)
  const last = first === null ? EACH_LAST.exec(text) : null
  const amount = first?.[1] ?? last?.[2]
  const foods = (first?.[2] ?? last?.[1] ?? '').split(LISTED).filter((food) => food.trim() !== '')
  if (amount === undefined || !/[\d½¼¾⅓⅔]|\b(?:a|an|one|two|pinch|handful)\b/iu.test(amount)) return null
  if (foods.length < 2 || foods.length > 8 || foods.some((food) => /\d/.test(food) || food.length > 40))
    return null
  return foods.map((food) => `${amount} ${food.trim()}`)
}

const SECOND =
  /^(.*?\p{L}{2}.*?)\s*(?:[,;]\s*)?(?:\+|\bplus|\band|\bmixed with|\bwith|\bin)\s+((?:about |an? (?=extra|additional)|extra |another )?[\d½¼¾⅓⅔⅛].*)$/iu
/** A line without it holds one amount. */
const HAS_SECOND = /(?:\+|plus|and|with|in)\s+(?:about |an? |extra |another )?[\d½¼¾⅓⅔⅛]/iu
const secondIn = (line: string): RegExpExecArray | null => (HAS_SECOND.test(line) ? SECOND.exec(line) : null)
/** Ways to cut that carry a number of their own: "carrot, cut in 2 cm dice". */
const CUT_BEFORE =
  /\b(?:cut|slic|dic|chop|torn|tear|broken|split|cub|crumbl|halv|quarter|divid|soak|roll|press)\w*\s*$/iu
const AMOUNT_ONLY =
  /^(?:about |extra |another )?[\d½¼¾⅓⅔⅛][\d\s./½¼¾⅓⅔⅛-]*\s*(?:g|kg|ml|l|dl|tbsp|tbs|tsp|tablespoons?|teaspoons?|cups?|oz|lb|pinch(?:es)?)?\b\.?/iu
const UNIT =
  /\d\s*(?:g|kg|ml|l|dl|tbsp|tbs|tsp|tablespoons?|teaspoons?|cups?|oz|lb|pinch(?:es)?)\b|[½¼¾⅓⅔⅛]\s*\p{L}/iu
/** "1 onion and 2 carrots": joined by a plain word, and a food follows the count. */
const isCountOfAnother = (whole: string, count: string, tail: string): boolean =>
  /(?:\band|\bplus|\+)\s+(?:about )?[\d½¼¾⅓⅔⅛][^,]*$/iu.test(whole) &&
  /^\s*[\d½¼¾⅓⅔⅛\s./-]+$/u.test(count) &&
  /^\s*(?!cm\b|mm\b|inch|x\b|more\b|extra\b|other)\p{L}{3}/iu.test(tail)
const MORE = /^\s*(?:(?:extra|more|additional)\b\s*)?(?=$|[,;]|(?:to|for)\b)/iu

interface Second {
  readonly one: string
  readonly food: string
  /** The second amount, and what stands after it. */
  readonly amount: string
  readonly tail: string
  readonly whole: string
}

/** A second amount within a line, behind the first one's food. */
function secondAmount(text: string): Second | null {
  const { rest } = takeAsides(text)
  // An amount in two terms, "1 cup plus 2 tbsp flour", is one food.
  const found = secondIn(rest.trim())
  if (found === null || CUT_BEFORE.test(found[1] ?? '')) return null
  const [whole, one = '', other = ''] = found
  const first = AMOUNT_ONLY.exec(one.trim())
  const food = first === null ? '' : one.trim().slice(first[0].length).trim()
  if (!/\p{L}{3}/u.test(food) || /^(?:g|kg|ml|cups?|tbsp|tsp|oz|lb)$/iu.test(food)) return null
  const measured = AMOUNT_ONLY.exec(other.trim())
  if (measured === null) return null
  return {
    one: one.trim(),
    food,
    amount: measured[0].trim(),
    tail: other.trim().slice(measured[0].length),
    whole,
  }
}

/** "2 tbsp chia seeds + 5 tbsp water", "1 onion and 2 carrots", "2 tbsp paprika + 1 tsp cumin + ½ tsp oregano". */
function second(text: string): string[] | null {
  const found = secondAmount(text)
  if (found === null) return null
  const { one, amount, tail, whole } = found
  const other = `${amount} ${tail.trim()}`
  const isAnother = UNIT.test(amount)
    ? !MORE.test(tail) && /^\s*(?:of\s+)?\p{L}{3}/u.test(tail)
    : isCountOfAnother(whole, amount, tail)
  return isAnother ? [one, ...(second(other) ?? [other])] : null
}

/**
 * "150 g flour, plus 2 tbsp for dusting": more of the same food.
 * @returns the line without its second amount, that amount, and what it is for; null where there is none
 */
export function moreOfIt(text: string): { rest: string; amount: string; why: string } | null {
  const found = secondAmount(text)
  const more = found === null ? null : MORE.exec(found.tail)
  if (found === null || more === null || !UNIT.test(found.amount)) return null
  return {
    rest: found.one,
    amount: found.amount.replace(/^(?:extra|another)\s+/iu, ''),
    why: found.tail.slice(more[0].length).replace(/^[\s,;]+/u, ''),
  }
}

const RULES = [madeThing, saltAndPepper, zestAndJuice, each, second] as const

/**
 * The wordings of a line that names more than one food, each with its own amount.
 *
 * @param written one ingredient line
 * @returns one wording for each food, in order; only the line itself where it names one
 */
export function wordingsOf(written: string): readonly string[] {
  const text = unescaped(written).replace(LEAD, '').replace(/\s+/gu, ' ').trim()
  for (const rule of RULES) {
    const found = rule(text)
    if (found !== null) return found
  }
  return [written]
}
