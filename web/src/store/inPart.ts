import type { Dish, Part } from '@frijol/core/model'
import type { Draft } from 'immer'

/** A change of one part of a dish; nothing where the part is gone. */
export const inPart = (partId: string, change: (part: Draft<Part>) => void) => (dish: Draft<Dish>) => {
  const part = dish.parts.find(({ id }) => id === partId)
  if (part !== undefined) change(part)
}
