import { workDish } from '../assess'
import type { Dish } from '../model'
import { viscosityAt } from '../texture'
import { type Bench, CONSISTENCIES, type Consistency, type TuneAsk, TuneFault } from './ask'
import type { Output } from './problemTypes'

/** Points of thickness of a viscosity, without the ends of the kitchen scale. @source see `thickness` in texture */
export const consistencyPoints = (paS: number): number => 5.8 + 2.2 * Math.log10(Math.max(paS, 1e-6))

/** A line spread does not tell sauces apart that are nearer than this. @source ± 2 cm in the trough, about a fifth of a point; practice */
const CONSISTENCY_POINTS = 0.1

/** The consistency that is asked for, where the focus is on thickness. @throws TuneFault where no sauce can be so */
export function consistencyOf({ focus, consistency }: TuneAsk): Consistency | null {
  if (focus !== 'thickness' || consistency === null) return null
  const { paS, tempC } = consistency
  const { leastPaS, mostPaS } = CONSISTENCIES
  if (!(paS >= leastPaS && paS <= mostPaS))
    throw new TuneFault(
      `No sauce comes to ${paS} Pa·s.`,
      `Give ${leastPaS} to ${mostPaS} Pa·s: cream is about 0.05, a coating sauce 0.3, a dip 4.`,
    )
  if (!(tempC >= 0 && tempC <= 95))
    throw new TuneFault(`A thickness at ${tempC} °C is not foretold.`, 'Give 0 to 95 °C.')
  return consistency
}

export const consistencyOutput = ({ paS, tempC }: Consistency): Output => ({
  kind: 'attribute',
  id: 'viscosity',
  label: `Thickness at ${Math.round(tempC)} °C`,
  unit: '',
  low: consistencyPoints(paS) - CONSISTENCY_POINTS,
  high: consistencyPoints(paS) + CONSISTENCY_POINTS,
  weight: 1,
  scale: 1,
})

/** What a part comes to at the temperature that is asked for, Pa.s, before and after; null where none is. */
export function consistencies(
  before: Dish,
  after: Dish,
  ask: TuneAsk,
  { library, kitchen }: Bench,
): { before: number; after: number } | null {
  const consistency = consistencyOf(ask)
  if (consistency === null) return null
  const of = (dish: Dish): number => {
    const work = workDish(dish, library, kitchen).find(({ assessment }) => assessment.partId === ask.partId)
    return work === undefined ? 0 : viscosityAt(work.method.state, consistency.tempC)
  }
  return { before: of(before), after: of(after) }
}

/** How far off a consistency is, in points of thickness. */
export const pointsOff = (paS: number, { consistency }: TuneAsk): number =>
  consistency === null ? 0 : Math.abs(consistencyPoints(paS) - consistencyPoints(consistency.paS))
