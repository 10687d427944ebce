import type { Form, RateConstant, RefusePart } from '../model'
import type { FoodEntry } from './foods'
import type { Row, RowConstants } from './program'
import { lawOf, rateFor } from './rates'
import { solidsLost, uptakeTau } from './uptake'

const REFERENCE_C = 20
const BOILING_C = 98

/** Lots of these forms dry as one body; others as the foods that they are. */
const BODIES: ReadonlySet<Form> = new Set(['patty', 'ball', 'log', 'loaf', 'strip', 'crumble', 'breaded'])
/** Foods without a constant dry like this, 1/min, and their scatter. Practice. */
const UNKNOWN_PER_MIN = 0.02
const UNKNOWN_LN_SD = 0.5
const MOST_LN_SD = 0.6
/** What is left on bowl and jug after blending goes by how thick it is. */
const BLENDED = { thin: 'liquid', thick: 'puree' } as const

export interface ConstantsQuery {
  readonly rates: readonly RateConstant[]
  /** The operation's key among the fitted constants. */
  readonly key: string
  readonly form: Form
  readonly rows: readonly Row[]
  readonly isWet: boolean
  readonly isInBowl: boolean
  readonly isDough: boolean
  readonly isMixed: boolean
  readonly isWrapped: boolean
  readonly refuse: readonly RefusePart[]
}

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

function refuseShare(row: Row, parts: readonly RefusePart[]): number {
  const refuse = row.source.entry.fact?.refuse ?? null
  if (!row.isWhole || refuse === null) return 0
  return Math.min(
    0.95,
    parts.reduce((sum, part) => sum + refuse[part], 0),
  )
}

function partingRate(
  query: ConstantsQuery,
  entry: FoodEntry,
  body: RateConstant | null,
): RateConstant | null {
  const { rates, key, isWet, isDough, isMixed, isWrapped, isInBowl } = query
  if (BOWLED.has(key) && isInBowl) return null
  if (key === 'blend' || key === 'mash')
    return rateFor(rates, 'blend', null, isWet || key === 'mash' ? BLENDED.thin : BLENDED.thick)
  if ((key === 'steam' || key === 'steam-wrapped') && isMixed)
    return isDough || isWrapped ? rateFor(rates, isWrapped ? 'steam-wrapped' : 'steam', null, 'gluten') : null
  return body ?? rateFor(rates, key, entry.food?.id ?? null, entry.group)
}

/** The constants of an operation for each of its rows; NaN where nothing is known of a food in it. */
export function rowConstants(query: ConstantsQuery): RowConstants {
  const { rates, key, form, rows, refuse } = query
  const count = rows.length
  const nothing = () => new Float64Array(count).fill(Number.NaN)
  const made: RowConstants = {
    saturation: nothing(),
    tauMin: nothing(),
    lost: new Float64Array(count),
    perMin: nothing(),
    keeps: nothing(),
    refuse: new Float64Array(count),
    lnSd: new Float64Array(count),
  }
  const law = lawOf(key)
  const bodyRate = BODIES.has(form) ? rateFor(rates, key, null, form) : null
  const body = bodyRate?.group == null ? null : bodyRate
  const uptake = uptakeKey(key)
  rows.forEach((row, at) => {
    const { entry } = row.source
    const foodId = entry.food?.id ?? null
    let lnSd = 0
    if (entry.isDry) {
      const rate = uptakeRate(rates, uptake, entry)
      if (rate !== null) {
        made.saturation[at] = rate.value
        made.tauMin[at] = uptakeTau(uptake, entry.group, law === 'uptake' ? REFERENCE_C : BOILING_C)
        made.lost[at] = solidsLost(uptake, entry.group)
        lnSd = rate.lnSd
      }
    }
    if (law === 'drying') {
      const rate = body ?? rateFor(rates, key, foodId, entry.group)
      made.perMin[at] = rate?.value ?? UNKNOWN_PER_MIN
      lnSd = rate?.lnSd ?? UNKNOWN_LN_SD
    } else if (law === 'parting') {
      const rate = partingRate(query, entry, body)
      if (rate !== null) {
        made.keeps[at] = rate.value
        lnSd = rate.lnSd
      }
    } else if (law === 'uptake' && !entry.isDry && !entry.isLiquid) {
      const rate = rateFor(rates, 'boil-wet', foodId, entry.group)
      if (rate !== null) {
        made.keeps[at] = rate.value
        lnSd = rate.lnSd
      }
    }
    if (refuse.length > 0) made.refuse[at] = refuseShare(row, refuse)
    made.lnSd[at] = Math.min(MOST_LN_SD, lnSd)
  })
  return made
}
