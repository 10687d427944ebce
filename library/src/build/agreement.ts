import type { Composition, Conversion, Ingredient } from '@frijol/core/model'
import type { Row } from './table'

/** One food kept in two states: dry and cooked, raw and tinned. */
interface Pair {
  readonly from: Ingredient
  readonly to: Ingredient
  /** Mass of the second from 1 g of the first; null where no conversion is listed. */
  readonly factor: number | null
}

interface Compared {
  readonly name: string
  readonly of: readonly (keyof Composition)[]
  /** Share of the larger value, and g per 100 g of dry matter below which rounding speaks. */
  readonly share: number
  readonly leastG: number
}
/** Tables split fibre from carbohydrate by different methods: their sum is held tighter than the fibre. Practice. */
const COMPARED: readonly Compared[] = [
  { name: 'protein', of: ['proteinG'], share: 0.1, leastG: 2 },
  { name: 'fat', of: ['fatG'], share: 0.1, leastG: 2 },
  { name: 'carbohydrate with fibre', of: ['carbohydrateG', 'fibreG'], share: 0.1, leastG: 3 },
  { name: 'fibre', of: ['fibreG'], share: 0.25, leastG: 3 },
]
/** Of the solids that go into the pot, what a drained food keeps: some leaves with the water, none appears. Practice. */
const LEAST_SOLIDS = 0.82
const MOST_SOLIDS = 1.04

const solids = (food: Ingredient): number => 100 - (food.per100g.waterG ?? 0)
const perDryMatter = (food: Ingredient, of: readonly (keyof Composition)[]): number =>
  (100 * of.reduce((sum, nutrient) => sum + (food.per100g[nutrient] ?? 0), 0)) / solids(food)

/** Foods that share their names by a reference in foods.psv, and foods joined by a conversion. */
export function statePairs(
  ingredients: readonly Ingredient[],
  foods: readonly Row[],
  conversions: readonly Conversion[],
): Pair[] {
  const byId = new Map(ingredients.map((food) => [food.id, food]))
  const factors = new Map(conversions.map(({ fromId, toId, factor }) => [`${fromId} ${toId}`, factor]))
  for (const { id = '', names = '' } of foods) {
    if (!names.startsWith('=')) continue
    const key = `${names.slice(1).split('!')[0] ?? ''} ${id}`
    if (!factors.has(key)) factors.set(key, Number.NaN)
  }
  return [...factors].flatMap(([key, factor]) => {
    const [from, to] = key.split(' ').map((id) => byId.get(id))
    return from === undefined || to === undefined
      ? []
      : [{ from, to, factor: Number.isNaN(factor) ? null : factor }]
  })
}

/**
 * Where two states of one food disagree per dry matter, without a reason that is written down.
 * @param reasons rows of `agreement.csv`: from, to, what, reason
 */
export function disagreements(pairs: readonly Pair[], reasons: readonly Row[]): string[] {
  const explained = new Set(reasons.map(({ from = '', to = '', what = '' }) => `${from} ${to} ${what}`))
  const faults: string[] = []
  const used = new Set<string>()
  const say = ({ from, to }: Pair, what: string, detail: string): void => {
    const key = `${from.id} ${to.id} ${what}`
    used.add(key)
    if (!explained.has(key)) faults.push(`${from.id} and ${to.id} disagree in ${what}: ${detail}`)
  }
  for (const pair of pairs) {
    for (const { name, of, share, leastG } of COMPARED) {
      const [a, b] = [perDryMatter(pair.from, of), perDryMatter(pair.to, of)]
      if (Math.abs(a - b) > Math.max(share * Math.max(a, b), leastG))
        say(pair, name, `${a.toFixed(1)} and ${b.toFixed(1)} g per 100 g of dry matter`)
    }
    if (pair.factor === null) continue
    const kept = (pair.factor * solids(pair.to)) / solids(pair.from)
    if (kept < LEAST_SOLIDS || kept > MOST_SOLIDS)
      say(pair, 'solids', `the conversion keeps ${kept.toFixed(2)} of them`)
  }
  for (const key of explained) if (!used.has(key)) faults.push(`agreement: “${key}” needs no reason any more`)
  return faults
}
