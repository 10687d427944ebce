import type { Original, Result } from '@frijol/core/model'
import { type OwnOriginal, ownOriginal } from '@frijol/core/texture'
import { changeKitchen, useKitchenStore } from './kitchen'
import { ownId } from './pantry'

/** Keeps an original of one's own, new or changed. */
export function keepOwnOriginal(own: Omit<OwnOriginal, 'id'>, id: string | null): Result<Original> {
  const made = ownOriginal({ ...own, id: id ?? ownId() })
  if (!made.ok) return made
  changeKitchen(id === null ? 'make an original' : 'change an original', (kitchen) => ({
    ...kitchen,
    originals: [...kitchen.originals.filter((one) => one.id !== made.value.id), made.value].slice(-200),
  }))
  return made
}

/** Takes an own original away; parts that aim at it keep its name in their document and have no bands until it is back. */
export const removeOwnOriginal = (id: string): boolean =>
  changeKitchen('take away an original', (kitchen) => ({
    ...kitchen,
    originals: kitchen.originals.filter((one) => one.id !== id),
  }))

export const useOwnOriginals = (): readonly Original[] => useKitchenStore((state) => state.kitchen.originals)
