import { randomFrom } from '@frijol/core/chance'
import type { Assessment, AttributeId, Dish, Series, SeriesFactor } from '@frijol/core/model'
import { controlSetting, coordinates, designSeries, type SeriesPlan } from '@frijol/core/series'

const SCATTER = 0.25
/** Days that were cooked and tasted so far. */
const DONE = 2

/** What P1 to P6 said of a blend of flour, cashews and oil, before their scatter. Written for the demo. */
const SAID: Readonly<Partial<Record<AttributeId, (at: readonly number[]) => number>>> = {
  thickness: ([flour = 0, cashews = 0, oil = 0]) =>
    8.6 * flour + 5.2 * cashews + 3.4 * oil + 2 * flour * cashews,
  creaminess: ([flour = 0, cashews = 0, oil = 0]) => 3.4 * flour + 6 * cashews + 5 * oil + 6 * cashews * oil,
}

/** The series that is half done: what thickens and what makes creamy in the white sauce. */
export function sauceSeries(dish: Dish, { parts }: Assessment): Series {
  const part = dish.parts.find(({ name }) => name === 'White sauce')
  const reading = parts.find(({ partId }) => partId === part?.id)
  if (part === undefined || reading === undefined) throw new Error('There is no white sauce.')
  const share = (food: string, name: string, low: number, high: number): SeriesFactor => {
    const line = part.lines.find(({ ingredientId }) => ingredientId === food)
    if (line === undefined) throw new Error(`There is no ${food} in the sauce.`)
    return { kind: 'share', id: line.id, name, low, high }
  }
  const plan: SeriesPlan = {
    id: 'series-white-sauce',
    name: 'flour, cashews and oil in the sauce',
    partId: part.id,
    createdAt: '2026-06-13T08:00:00Z',
    factors: [
      share('wheat-flour', 'Flour', 0.15, 0.45),
      share('cashews-raw', 'Cashews', 0.3, 0.65),
      share('olive-oil', 'Olive oil', 0.15, 0.4),
    ],
    model: 'quadratic',
    variableG: 125,
    perDay: 6,
    seed: 13,
    goals: [
      { attribute: 'thickness', low: 3.5, target: 6, high: 8.5, importance: 3 },
      { attribute: 'creaminess', low: 3.5, target: 6.5, high: 9.5, importance: 2 },
    ],
  }
  let count = 0
  const { runs } = designSeries(
    plan,
    controlSetting(plan, dish, reading),
    1,
    () => `sauce-run-${(count += 1)}`,
  )
  const random = randomFrom(61)
  const scatter = (): number =>
    SCATTER * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
  return {
    ...plan,
    runs: runs.map((run) => {
      if (run.day > DONE) return run
      const at = coordinates(plan, run.setting)
      const scores = Object.fromEntries(
        Object.entries(SAID).map(([attribute, law]) => {
          const value = law(at) + scatter() + (run.day === 1 ? 0.3 : 0)
          return [attribute, Number(Math.min(10, Math.max(0, value)).toFixed(1))]
        }),
      )
      return { ...run, scores }
    }),
  }
}
