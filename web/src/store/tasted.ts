import type { AttributeId, FamilyId, Part } from '@frijol/core/model'
import { useMemo } from 'react'
import { useDish } from './assessed'
import { changeKitchen, useKitchenStore } from './kitchen'

/** Where tasters put an attribute, on the scale of the marks. */
export interface TastedPlace {
  readonly value: number
  /** "tasted 3.4 in trial 2". */
  readonly words: string
}

const NOTHING: ReadonlyMap<AttributeId, TastedPlace> = new Map()

/** What was tasted last of a part, by attribute: to be shown beside what the model says. */
export function useTastedPlaces(part: Pick<Part, 'id' | 'family'>): ReadonlyMap<AttributeId, TastedPlace> {
  const { id: dishId } = useDish()
  const tasted = useKitchenStore((state) => state.kitchen.tasted)
  const { id, family } = part
  return useMemo(() => {
    if (tasted.length === 0) return NOTHING
    const own = tasted
      .filter((one) => one.dishId === dishId && (one.partId === id || one.family === family))
      .sort((a, b) => (a.date < b.date ? -1 : 1))
    return new Map(
      own.map(({ attribute, observed, trialNumber, by }) => {
        const value = Math.min(10, Math.max(0, observed))
        const where = trialNumber === null ? '' : ` in trial ${trialNumber}`
        return [
          attribute,
          { value, words: `${by === 'check' ? 'measured' : 'tasted'} ${value.toFixed(1)}${where}` },
        ]
      }),
    )
  }, [tasted, dishId, id, family])
}

/** Forgets what tastings taught of one attribute of a family. */
export const forgetTasted = (family: FamilyId, attribute: AttributeId): boolean =>
  changeKitchen('forget what was tasted', (kitchen) => ({
    ...kitchen,
    tasted: kitchen.tasted.filter((one) => one.family !== family || one.attribute !== attribute),
  }))
