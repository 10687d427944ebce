import type { Original } from '@frijol/core/model'
import { changeKitchen, useKitchenStore } from './kitchen'
import { ownId } from './pantry'

/** An id for a new original of one's own. */
export const ownOriginalId = ownId

/** Keeps an original of one's own, new or changed. @returns false where the change was refused */
export const keepOwnOriginal = (made: Original): boolean =>
  changeKitchen(`keep ${made.name}`, (kitchen) => ({
    ...kitchen,
    originals: [...kitchen.originals.filter((one) => one.id !== made.id), made].slice(-200),
  }))

/** Takes an own original away; parts that aim at it keep its name in their document and have no bands until it is back. */
export const removeOwnOriginal = (id: string): boolean =>
  changeKitchen('take away an original', (kitchen) => ({
    ...kitchen,
    originals: kitchen.originals.filter((one) => one.id !== id),
  }))

export const useOwnOriginals = (): readonly Original[] => useKitchenStore((state) => state.kitchen.originals)
