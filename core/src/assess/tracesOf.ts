import type { Dish, Ingredient, Kitchen, Library, TraceFact } from '../model'
import { foodsIn } from './foodsIn'
import { workDish } from './workDish'
import type { PartWork } from './workPart'

/** Trace nutrients of a part as served; each a low and a high end where foods differ much. */
export interface TraceReading {
  readonly zincMg: number
  readonly seleniumUg: number
  readonly iodineUg: number
  readonly iodineLowUg: number
  readonly iodineHighUg: number
  /** From fortified and animal foods alone. */
  readonly b12Ug: number
  /** From mushrooms, fortified and animal foods alone. */
  readonly vitaminDUg: number
  /** Share of the solids whose food has a row of its own, 0 to 1: the rest is by class. */
  readonly ownShare: number
}

const NAMES = [
  'zincMg',
  'seleniumUg',
  'iodineUg',
  'iodineLowUg',
  'iodineHighUg',
  'b12Ug',
  'vitaminDUg',
] as const
/** Of what stays in the flesh; the others go with the liquor. */
const STAYING: ReadonlySet<string> = new Set(['zincMg', 'vitaminDUg'])

const factOf = ({ facts }: Library, { id, foodClass }: Ingredient): [TraceFact | undefined, boolean] => {
  const own = facts.traces.get(id)
  return own === undefined ? [facts.traces.get(`class:${foodClass}`), false] : [own, true]
}

/** What steps left of what dissolves, by potassium, and of what stays in the flesh, by calcium, 0 to 1. */
function keptShares(work: PartWork): { dissolving: number; staying: number } {
  const share = (nutrient: 'potassiumMg' | 'calciumMg'): number => {
    let raw = 0
    for (const { food, mass } of work.lines)
      raw += ((food?.per100g[nutrient] ?? 0) * (mass?.value ?? 0)) / 100
    // What was taken of other parts is in the sums as well: it leaches like the rest.
    const left = work.sums.values[nutrient] ?? 0
    return raw > 0 ? Math.min(1, left / raw) : 1
  }
  return { dissolving: share('potassiumMg'), staying: share('calciumMg') }
}

/**
 * Trace nutrients of a whole part, by the dry matter of its foods and what its steps leached.
 * @returns null for a part that is not there, or has no solids
 */
export function tracesOf(
  dish: Dish,
  partId: string,
  library: Library,
  kitchen: Kitchen,
): TraceReading | null {
  const works = workDish(dish, library, kitchen)
  const work = works.find(({ assessment }) => assessment.partId === partId)
  if (work === undefined) return null
  const kept = new Map<PartWork, ReturnType<typeof keptShares>>(works.map((one) => [one, keptShares(one)]))
  const sum = Object.fromEntries(NAMES.map((name) => [name, 0])) as Record<(typeof NAMES)[number], number>
  let wholeG = 0
  let ownG = 0
  for (const { food, solidsG, from } of foodsIn(work, works)) {
    const [fact, isOwn] = factOf(library, food)
    wholeG += solidsG
    if (isOwn) ownG += solidsG
    if (fact === undefined) continue
    const { dissolving, staying } = kept.get(from) ?? { dissolving: 1, staying: 1 }
    for (const name of NAMES)
      sum[name] += (fact[name] * solidsG * (STAYING.has(name) ? staying : dissolving)) / 100
  }
  return wholeG > 0 ? { ...sum, ownShare: ownG / wholeG } : null
}
