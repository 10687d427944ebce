import type { ProcessLaw, RateConstant } from '../model'

/** Which law an operation follows. Operations that are not named change no mass by themselves. */
const LAW: Readonly<Record<string, ProcessLaw>> = {
  soak: 'uptake',
  hydrate: 'uptake',
  boil: 'uptake',
  simmer: 'uptake',
  absorb: 'uptake',
  'pressure-cook': 'uptake',
  toast: 'parting',
  'boil-wet': 'parting',
  'steam-wrapped': 'parting',
  sweat: 'drying',
  brown: 'drying',
  'water-saute': 'drying',
  roast: 'drying',
  'roast-wrapped': 'drying',
  'air-fry': 'drying',
  grill: 'drying',
  sear: 'drying',
  'shallow-fry': 'drying',
  'deep-fry': 'drying',
  broil: 'drying',
  dehydrate: 'drying',
  rinse: 'parting',
  drain: 'parting',
  desalt: 'parting',
  press: 'parting',
  squeeze: 'parting',
  trim: 'parting',
  chop: 'parting',
  grate: 'parting',
  rice: 'parting',
  blend: 'parting',
  mash: 'parting',
  strain: 'parting',
  'wash-gluten': 'parting',
  'freeze-thaw': 'parting',
  coagulate: 'parting',
  steam: 'parting',
  chill: 'parting',
  culture: 'parting',
  spherify: 'parting',
  marinate: 'parting',
  coat: 'parting',
}
/** Operations that stand in for one without constants of its own. */
const LIKE: Readonly<Record<string, string>> = {
  grate: 'rice',
  mash: 'blend',
  broil: 'grill',
  absorb: 'boil',
  simmer: 'boil',
  sear: 'brown',
}

export const lawOf = (operation: string): ProcessLaw | null => LAW[operation] ?? null

/** Constants of one operation. */
interface OfOperation {
  readonly byFood: Map<string, RateConstant>
  readonly byGroup: Map<string, RateConstant>
  whole: RateConstant | null
}
const indexes = new WeakMap<readonly RateConstant[], ReadonlyMap<string, OfOperation>>()

function indexOf(rates: readonly RateConstant[]): ReadonlyMap<string, OfOperation> {
  const known = indexes.get(rates)
  if (known !== undefined) return known
  const made = new Map<string, OfOperation>()
  for (const rate of rates) {
    let of = made.get(rate.operation)
    if (of === undefined) {
      of = { byFood: new Map(), byGroup: new Map(), whole: null }
      made.set(rate.operation, of)
    }
    if (rate.ingredientId !== null) of.byFood.set(rate.ingredientId, rate)
    else if (rate.group !== null) of.byGroup.set(rate.group, rate)
    else of.whole = rate
  }
  indexes.set(rates, made)
  return made
}

/**
 * The constant for a food in an operation: its own, else its group's, else the operation's for drying.
 * Uptake and parting have no constant where neither food nor group is known: the food is then left as it is.
 */
export function rateFor(
  rates: readonly RateConstant[],
  operation: string,
  ingredientId: string | null,
  group: string,
): RateConstant | null {
  const of = indexOf(rates).get(operation)
  const own = ingredientId === null ? undefined : of?.byFood.get(ingredientId)
  const known = own ?? of?.byGroup.get(group)
  if (known !== undefined) return known
  const like = LIKE[operation]
  if (like !== undefined) {
    const found = rateFor(rates, like, ingredientId, group)
    if (found !== null && (found.group !== null || found.ingredientId !== null)) return found
  }
  return lawOf(operation) === 'drying' ? (of?.whole ?? null) : null
}

/** Standard deviation of ln(this kitchen / default) before anything was weighed. @source practice */
export const PRIOR_LN_SD = 0.35

export interface Fit {
  /** ln(this kitchen's constant / default). */
  readonly lnRatio: number
  readonly sd: number
  readonly observations: number
}

/**
 * What a kitchen's weighings say of a constant, shrunk toward the default by their number and their spread.
 * @source combination by inverse variance on ln k; prior sd 0.35
 */
export function shrunk(observations: readonly { readonly lnRatio: number; readonly sd: number }[]): Fit {
  let weight = 1 / PRIOR_LN_SD ** 2
  let sum = 0
  for (const { lnRatio, sd } of observations) {
    weight += 1 / sd ** 2
    sum += lnRatio / sd ** 2
  }
  return { lnRatio: sum / weight, sd: Math.sqrt(1 / weight), observations: observations.length }
}

/** Error that the laws keep even when the scale is right, on ln k. @source practice */
export const MODEL_LN_SD = 0.1
