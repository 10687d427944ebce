import type { FormulaLine, Kitchen, Measured } from '../model'
import { GRAMS_PER, VOLUME_UNITS } from './units'

/**
 * Liquids by the word that names their kind, g per mL with its relative standard deviation: the kinds that a name leaves
 * open ("plant milk") differ by no more than that.
 * @source measures.csv, the range of the liquids of each kind; practice
 */
const BY_KIND: readonly (readonly [words: RegExp, gPerMl: number, rsd: number])[] = [
  [/\bsyrup\b|\bnectar\b|\bhoney\b/iu, 1.35, 0.06],
  [/\boil\b/iu, 0.92, 0.02],
  [/\bmilk\b|\bbuttermilk\b|\bcreamer\b|\bdrink\b/iu, 1.03, 0.02],
  [/\bcream\b|\byogh?urt\b|\bkefir\b|\bcustard\b/iu, 1.02, 0.04],
  [/\bketchup\b|\bpassata\b|\bsauce\b/iu, 1.08, 0.06],
  [
    /\b(?:stock|broth|bouillon|dashi|water|tea|coffee|wine|beer|ale|cider|juice|vinegar|brine)\b/iu,
    1.01,
    0.03,
  ],
]
/** What is dry though its name holds a liquid's. */
const IS_DRY = /\b(?:powder|powdered|cubes?|granules?|crumbs?|flour|seeds?|zest|leaf|leaves|bags?)\b/iu

/**
 * Grams of a line whose food is open: where the amount is a mass, or the volume of a liquid that its name tells the kind
 * of.
 * @returns g with sd; null where neither is so
 */
export function unnamedMass({ amount, food }: FormulaLine, { region }: Kitchen): Measured | null {
  if (amount === null) return null
  const kind = IS_DRY.test(food) ? undefined : BY_KIND.find(([words]) => words.test(food))
  let value = 0
  let variance = 0
  for (const { unit, low, high, sign } of amount.terms) {
    const grams = unit === null ? undefined : GRAMS_PER[unit]
    const volume = unit === null ? undefined : VOLUME_UNITS[unit]
    if (grams === undefined && (volume === undefined || kind === undefined)) return null
    const perUnit = grams ?? (volume?.mL[region] ?? 0) * (kind?.[1] ?? 1)
    const termG = (perUnit * (low + high)) / 2
    value += sign * termG
    if (grams === undefined) variance += ((kind?.[2] ?? 0) * termG) ** 2
  }
  return { value: Math.max(0, value), sd: Math.sqrt(variance) }
}
