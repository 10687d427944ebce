import { readAmountAt } from '../measure'

const NUMBER_WORDS: readonly (readonly [RegExp, string])[] = [
  [/\bhalf an? /giu, '1/2 '],
  [/\ba quarter /giu, '1/4 '],
  [/\banother (?=(?:tablespoon|teaspoon|tbsp|tsp|cup)\b)/giu, '1 '],
  [/\b(?:a|an|one) (?=(?:tablespoon|teaspoon|tbsp|tsp|cup|pinch))/giu, '1 '],
  [/\ba few (?=(?:big |heaped |good )?(?:tablespoon|teaspoon|spoonful|tbsp|tsp|spoon))/giu, '3 '],
  [/\ba couple of (?=(?:big |heaped |good )?(?:tablespoon|teaspoon|spoonful|tbsp|tsp|cup|spoon))/giu, '2 '],
  [/\btwo /giu, '2 '],
  [/\bthree /giu, '3 '],
  [/\bfour /giu, '4 '],
  [/\bfive /giu, '5 '],
  [/\bsix /giu, '6 '],
  [/\beight /giu, '8 '],
  [/\bten /giu, '10 '],
]
const IN_WORDS = /\b(?:half|quarter|another|an?|one|two|three|four|five|six|eight|ten) /iu
/** Amounts in words as digits: "half a cup", "three tablespoons". */
export const inDigits = (text: string): string =>
  IN_WORDS.test(text)
    ? NUMBER_WORDS.reduce((said, [words, digits]) => said.replace(words, digits), text)
    : text

/** Millilitres or grams of one unit, for lots that no list weighs. @source practice */
const ROUGHLY: Readonly<Record<string, number>> = {
  mL: 1,
  L: 1000,
  cup: 240,
  tbsp: 15,
  tsp: 5,
  g: 1,
  kg: 1000,
}
/** What an amount in words before a lot's name weighs, roughly; null where there is none. */
export function roughly(clause: string): number | null {
  const digits = inDigits(clause)
  const start = digits.search(/[\d½¼¾⅓⅔⅛][\d.,/½¼¾⅓⅔⅛ ]*[^\d½¼¾⅓⅔⅛]*$/u)
  const term = start < 0 ? undefined : readAmountAt(digits, start, { isDecimalComma: false })?.amount.terms[0]
  const each = term?.unit == null ? undefined : ROUGHLY[term.unit]
  return term === undefined || each === undefined ? null : ((term.low + term.high) / 2) * each
}

const KEPT =
  /\b(?:reserv|sav|keep|scoop|ladl|dip|set aside|hold back)\w*\b([^.;]{0,36}?)\b(?:(?:cooking|pasta|boiling|starchy|their|its) )?(?:water|liquid|liquor)\b/iu
/** "Scoop out 1 cup of the cooking water": how much of what is poured off is kept, g; null where no amount is said. */
export function keptG(text: string): number | null {
  const before = KEPT.exec(text)?.[1]
  return before === undefined ? null : roughly(before)
}

const WATER = /water/iu
const POURED =
  /((?:\d[\d.,/]*|[½¼¾⅓⅔⅛]|\b(?:an?|one|two|three|four|five|six|half an?|a quarter|a few|a couple of))[\d\s½¼¾⅓⅔⅛/–-]*(?:ml|millilitres?|milliliters?|g|grams?|l|litres?|liters?|cups?|tbsp|tablespoons?|tsp|teaspoons?)\.?)\s+(?:of\s+)?(?:(?:cold|hot|boiling|warm|fresh|lukewarm|tepid|iced|ice-cold|salted|just-boiled|cool|more|extra)\s+)*water\b/iu
const GOES_OUT =
  /\b(?:reserv|sav|keep|scoop|ladl|squeez|drain|discard|press|evaporat|releas|los|pour(?:ed|ing)? (?:off|away|out))\w*\b(?:(?!\b(?:add|stir|pour in|put|mix|whisk|blend|with|then)\b)[^,;.])*$/iu
/**
 * Water that the words pour in: "and 100 ml water", "with half a cup of cold water".
 * @returns g; null where no amount is said
 */
export function pouredG(text: string): number | null {
  if (!WATER.test(text)) return null
  const found = POURED.exec(text)
  if (found === null || GOES_OUT.test(text.slice(0, found.index))) return null
  return roughly(`${found[1] ?? ''} `)
}
