import type { Form, RateConstant, RefusePart } from '../model'
import type { FoodEntry } from './foods'
import type { Row, RowConstants } from './program'
import { lawOf, rateFor } from './rates'
import { solidsLost, uptakeTau } from './uptake'

const REFERENCE_C = 20
const BOILING_C = 98

/** Lots of these forms dry as one body; others as the foods that they are. */
const BODIES: ReadonlySet<Form> = new Set(['patty', 'ball', 'log', 'loaf', 'strip', 'crumble', 'breaded'])
/** Of these forms a dough bakes as bread does; balls, logs and patties have constants of their own. */
const BREADY: ReadonlySet<Form> = new Set(['pieces', 'loaf'])
/** Foods without a constant dry like this, 1/min, and their scatter. Practice. */
const UNKNOWN_PER_MIN = 0.02
const UNKNOWN_LN_SD = 0.5
const MOST_LN_SD = 0.6
/** What is left on bowl and jug after blending goes by how thick it is. */
export const BLENDED = { thin: 'liquid', thick: 'puree' } as const

export interface ConstantsQuery {
  readonly rates: readonly RateConstant[]
  /** The operation's key among the fitted constants. */
  readonly key: string
  readonly form: Form
  readonly rows: readonly Row[]
  readonly isInBowl: boolean
  readonly isDough: boolean
  /** A kneaded or stirred dough, of flour or gluten. */
  readonly isBready: boolean
  /** Whipped to a foam that dries through, not in at its face. */
  readonly isFoam: boolean
  readonly isMixed: boolean
  readonly isWrapped: boolean
  readonly refuse: readonly RefusePart[]
  /** Heat has softened it before. */
  readonly isCooked: boolean
  /** No step has cut it up. */
  readonly isUncut: boolean
  /** The step says that it cooks whole. */
  readonly saysWhole: boolean
}

const FOAM = 'foam'
const WHOLE: ReadonlySet<string> = new Set(['firm-vegetable'])
const BOWLED: ReadonlySet<string> = new Set(['blend', 'mash', 'rice'])

/** The operation whose uptake constants hold for a dry food: soaking in the cold, boiling on the fire. */
const uptakeKey = (key: string): string => (lawOf(key) === 'uptake' ? key : 'boil')

/** What a food takes up in one kind of water tells what it takes up in another: the nearest that is known. */
const UPTAKES = ['boil', 'absorb', 'pressure-cook', 'soak', 'hydrate'] as const
function uptakeRate(
  rates: ConstantsQuery['rates'],
  key: string,
  { food, group }: FoodEntry,
): RateConstant | null {
  for (const one of [key, ...UPTAKES]) {
    const rate = rateFor(rates, one, food?.id ?? null, group)
    if (rate !== null) return rate
  }
  return null
}

/** A root boiled or baked in its skin loses the skin alone, where a knife takes flesh with it. @source practice: 6 to 9 % of boiled potatoes */
const SKIN_ALONE = 0.5

function refuseShare(
  { isWhole, source: { entry } }: Row,
  { refuse: parts, isCooked }: ConstantsQuery,
): number {
  const refuse = entry.fact?.refuse ?? null
  if (!isWhole || refuse === null) return 0
  const slips = isCooked && WHOLE.has(entry.group)
  return Math.min(
    0.95,
    parts.reduce((sum, part) => sum + refuse[part] * (slips && part === 'peel' ? SKIN_ALONE : 1), 0),
  )
}

function partingRate(
  query: ConstantsQuery,
  entry: FoodEntry,
  body: RateConstant | null,
): RateConstant | null {
  const { rates, key, isDough, isMixed, isWrapped, isInBowl } = query
  if (BOWLED.has(key) && isInBowl) return null
  if (key === 'blend' || key === 'mash')
    return rateFor(rates, 'blend', null, key === 'mash' ? BLENDED.thin : BLENDED.thick)
  if ((key === 'steam' || key === 'steam-wrapped') && isMixed)
    return isDough || isWrapped ? rateFor(rates, isWrapped ? 'steam-wrapped' : 'steam', null, 'gluten') : null
  return body ?? rateFor(rates, key, entry.food?.id ?? null, entry.group)
}

/** Constants of one food in one operation; NaN where nothing is known. */
interface FoodConstants {
  readonly saturation: number
  readonly tauMin: number
  readonly lost: number
  readonly perMin: number
  readonly keeps: number
  readonly lnSd: number
}
/** Found once for each food, operation and way of lying. */
const found = new WeakMap<readonly RateConstant[], WeakMap<FoodEntry, Map<string, FoodConstants>>>()

function lookUp(query: ConstantsQuery, entry: FoodEntry, isWhole: boolean): FoodConstants {
  const { rates, key, form } = query
  const law = lawOf(key)
  const foodId = entry.food?.id ?? null
  const foam = query.isFoam ? rateFor(rates, key, null, FOAM) : null
  const bodyRate = BODIES.has(form) ? rateFor(rates, key, null, form) : null
  // A loaf of dough bakes as bread, not as a loaf of pulses.
  const bread = query.isBready && BREADY.has(form) ? rateFor(rates, key, null, 'dough') : null
  const body =
    foam?.group === FOAM ? foam : bread?.group === 'dough' ? bread : bodyRate?.group == null ? null : bodyRate
  const made = {
    saturation: Number.NaN,
    tauMin: Number.NaN,
    lost: 0,
    perMin: Number.NaN,
    keeps: Number.NaN,
    lnSd: 0,
  }
  if (entry.isDry) {
    const uptake = uptakeKey(key)
    const rate = uptakeRate(rates, uptake, entry)
    if (rate !== null) {
      made.saturation = rate.value
      made.tauMin = uptakeTau(uptake, entry.group, law === 'uptake' ? REFERENCE_C : BOILING_C)
      made.lost = solidsLost(uptake, entry.group)
      made.lnSd = rate.lnSd
    }
  }
  if (law === 'drying') {
    // What roasts in its skin, or as a whole head, gives off less than pieces.
    const whole = isWhole && WHOLE.has(entry.group) ? rateFor(rates, key, null, 'whole-root') : null
    const rate =
      body ?? (whole?.group === 'whole-root' ? whole : null) ?? rateFor(rates, key, foodId, entry.group)
    made.perMin = rate?.value ?? UNKNOWN_PER_MIN
    made.lnSd = rate?.lnSd ?? UNKNOWN_LN_SD
  } else if (law === 'parting' || (law === 'uptake' && !entry.isDry && !entry.isLiquid)) {
    const rate =
      law === 'parting' ? partingRate(query, entry, body) : rateFor(rates, 'boil-wet', foodId, entry.group)
    if (rate !== null) {
      made.keeps = rate.value
      made.lnSd = rate.lnSd
    }
  }
  made.lnSd = Math.min(MOST_LN_SD, made.lnSd)
  return made
}

/** The constants of an operation for each of its rows; NaN where nothing is known of a food in it. */
export function rowConstants(query: ConstantsQuery): RowConstants {
  const { rates, rows, refuse } = query
  const saturation: number[] = []
  const tauMin: number[] = []
  const lost: number[] = []
  const perMin: number[] = []
  const keeps: number[] = []
  const lnSd: number[] = []
  const cutAway: number[] = []
  const { key, form, isInBowl, isDough, isMixed, isWrapped } = query
  const lying = `${key} ${form} ${Number(isInBowl)}${Number(isDough)}${Number(query.isBready)}${Number(query.isFoam)}${Number(isMixed)}${Number(isWrapped)}`
  const [cut, whole] = [`${lying}0`, `${lying}1`]
  let ofRates = found.get(rates)
  if (ofRates === undefined) {
    ofRates = new WeakMap()
    found.set(rates, ofRates)
  }
  for (const row of rows) {
    const { entry } = row.source
    const isWhole = query.isUncut && row.pieceMm === null && (row.isBig || query.saysWhole)
    const way = isWhole ? whole : cut
    let ways = ofRates.get(entry)
    if (ways === undefined) {
      ways = new Map()
      ofRates.set(entry, ways)
    }
    let of = ways.get(way)
    if (of === undefined) {
      of = lookUp(query, entry, isWhole)
      ways.set(way, of)
    }
    saturation.push(of.saturation)
    tauMin.push(of.tauMin)
    lost.push(of.lost)
    perMin.push(of.perMin)
    keeps.push(of.keeps)
    lnSd.push(of.lnSd)
    cutAway.push(refuse.length > 0 ? refuseShare(row, query) : 0)
  }
  return { saturation, tauMin, lost, perMin, keeps, lnSd, refuse: cutAway }
}
