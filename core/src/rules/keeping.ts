import { COUNT_WORDS } from '../measure'
import type { FamilyId, FoodClass } from '../model'
import type { Found } from './finding'

/**
 * Usual life of cooked food in the fridge at 5 C or below, days; the shortest that applies counts. Labels and local codes
 * go before it.
 * @source usual guidance for home and small kitchens; practice
 */
const BY_CLASS: Readonly<Partial<Record<FoodClass, number>>> = {
  pulse: 4,
  soy: 4,
  gluten: 5,
  nut: 3,
  seed: 4,
  grain: 1,
  'plant-milk': 3,
  mushroom: 4,
  vegetable: 4,
}
const USUAL_DAYS = 3
/** Cultured and brined parts keep for longer. */
const BY_FAMILY: Readonly<Partial<Record<FamilyId, number>>> = {
  'cultured-thick': 7,
  'crumbly-brined': 7,
}
/** In the freezer, days: about three months. Practice. */
const FROZEN_DAYS = 90

export interface Kept {
  readonly days: number
  /** What sets it, in words. */
  readonly because: string
}

/**
 * How long what is left of a part keeps.
 * @param classes of the foods that are more than a trace of it
 * @param where the fridge, the freezer, or the counter: there it does not keep
 */
export function keeps(
  family: FamilyId | null,
  classes: readonly FoodClass[],
  where: 'fridge' | 'freezer' | 'counter',
): Kept {
  if (where === 'counter') return { days: 0, because: 'it stands warm: use it within two hours, or chill it' }
  if (where === 'freezer') return { days: FROZEN_DAYS, because: 'frozen at −18 °C' }
  const cultured = family === null ? undefined : BY_FAMILY[family]
  if (cultured !== undefined)
    return { days: cultured, because: 'cultured or brined, while its pH is 4.6 or less' }
  const shortest = classes
    .flatMap((one) => {
      const days = BY_CLASS[one]
      return days === undefined
        ? []
        : [{ days, because: `it holds ${one === 'nut' ? 'nut cream' : `cooked ${one}`}` }]
    })
    .sort((a, b) => a.days - b.days)[0]
  return shortest ?? { days: USUAL_DAYS, because: 'usual for cooked food' }
}

const NUMBERS: Readonly<Record<string, number>> = { ...COUNT_WORDS, a: 1, an: 1, couple: 2, few: 3 }
const DAYS_IN: Readonly<Record<string, number>> = { day: 1, week: 7, fortnight: 14, month: 30 }
// The longest first: "twenty-one" is no range.
const WORDS = Object.keys(NUMBERS).sort((a, b) => b.length - a.length)
const ONE = `(\\d+|${WORDS.join('|')})`
const LASTS = new RegExp(
  `\\b${ONE}(?:\\s*(?:-|–|to|or)\\s*${ONE})?(?: (?:full|whole|good|more|of))*[ -](day|week|fortnight|month)s?\\b`,
  'giu',
)
const IS_KEPT =
  /\b(?:keeps?|kept|stores?|stored|lasts?|stays? (?:good|fresh)|good for|use within|eat within)\b/iu
const COLD = /\b(?:fridge|refrigerat\w*|chilled|cold)\b/iu
const FREEZER = /\b(?:freez\w*|frozen)\b/iu
const numberOf = (word: string): number => NUMBERS[word.toLowerCase()] ?? Number(word)

/**
 * How long the words of a recipe keep it in the fridge, days; the longest where they say more than once. null where they
 * say nothing of it: what the freezer keeps, and what a step rests for, is something else.
 */
export function saidToKeep(texts: readonly string[]): number | null {
  let most: number | null = null
  const told = texts.filter((text) => COLD.test(text) && IS_KEPT.test(text))
  for (const sentence of told.flatMap((text) => text.split(/(?<=[.!?;])\s+|\n/u))) {
    // "In the fridge for 4 days or in the freezer for 3 months": each place has its own.
    for (const clause of sentence.split(/,| (?:or|and) (?=[^,.;]{0,28}freez)/iu)) {
      if (FREEZER.test(clause) || !IS_KEPT.test(sentence) || !COLD.test(sentence)) continue
      for (const [, low = '', high, unit = ''] of clause.matchAll(LASTS))
        most = Math.max(most ?? 0, numberOf(high ?? low) * (DAYS_IN[unit.toLowerCase()] ?? 1))
    }
  }
  return most
}

/** What a part is like when it is put away. */
export interface PutAway {
  readonly family: FamilyId | null
  readonly classes: readonly FoodClass[]
  readonly waterPct: number
  readonly fatPct: number
  readonly pH: number
}
/** Drier than that, fatter than that, or as sour: it keeps by other means than the cold. Practice. */
const [DRY_PCT, FATTY_PCT, SOUR_PH] = [15, 65, 4.2]
/** More water than that, and it is a drink, %. Practice. */
const DRINK_PCT = 85
/** Days more than usual that nobody is told of: labels and ways of counting differ. */
const GRACE_DAYS = 1

/** Words that keep a dish for longer than is usual. @param texts what the recipe says */
export function keptTooLong(texts: readonly string[], made: PutAway): Found[] {
  const said = saidToKeep(texts)
  if (said === null || made.waterPct < DRY_PCT || made.fatPct > FATTY_PCT || made.pH <= SOUR_PH) return []
  // A drink of oats is no cooked grain.
  const classes = made.waterPct > DRINK_PCT ? made.classes.filter((one) => one !== 'grain') : made.classes
  const { days, because } = keeps(made.family, classes, 'fridge')
  if (said <= days + GRACE_DAYS) return []
  return [
    {
      rule: 'kept-too-long',
      severity: 'caution',
      message: `The recipe keeps it for ${said} days in the fridge; ${days} ${days === 1 ? 'day is' : 'days are'} usual at 5 °C or below: ${because}.`,
      remedy: 'Freeze what is not eaten by then. Smell does not tell: follow your local food code.',
    },
  ]
}
