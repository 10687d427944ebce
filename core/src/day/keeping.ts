import type { FamilyId, FoodClass } from '../model'

/**
 * Usual life of cooked food in the fridge at 5 C or below, days; the shortest that applies counts. Labels and local codes
 * go before it.
 * @source usual guidance for home and small kitchens; practice
 */
const BY_CLASS: Readonly<Partial<Record<FoodClass, number>>> = {
  pulse: 4,
  soy: 4,
  gluten: 5,
  nut: 3,
  seed: 4,
  grain: 1,
  'plant-milk': 3,
  mushroom: 4,
  vegetable: 4,
}
const USUAL_DAYS = 3
/** Cultured and brined parts keep for longer. */
const BY_FAMILY: Readonly<Partial<Record<FamilyId, number>>> = {
  'cultured-thick': 7,
  'crumbly-brined': 7,
}
/** In the freezer, days: about three months. Practice. */
const FROZEN_DAYS = 90

export interface Kept {
  readonly days: number
  /** What sets it, in words. */
  readonly because: string
}

/**
 * How long what is left of a part keeps.
 * @param classes of the foods that are more than a trace of it
 * @param where the fridge, the freezer, or the counter: there it does not keep
 */
export function keeps(
  family: FamilyId | null,
  classes: readonly FoodClass[],
  where: 'fridge' | 'freezer' | 'counter',
): Kept {
  if (where === 'counter') return { days: 0, because: 'it stands warm: use it within two hours, or chill it' }
  if (where === 'freezer') return { days: FROZEN_DAYS, because: 'frozen at −18 °C' }
  const cultured = family === null ? undefined : BY_FAMILY[family]
  if (cultured !== undefined)
    return { days: cultured, because: 'cultured or brined, while its pH is 4.6 or less' }
  const shortest = classes
    .flatMap((one) => {
      const days = BY_CLASS[one]
      return days === undefined
        ? []
        : [{ days, because: `it holds ${one === 'nut' ? 'nut cream' : `cooked ${one}`}` }]
    })
    .sort((a, b) => a.days - b.days)[0]
  return shortest ?? { days: USUAL_DAYS, because: 'usual for cooked food' }
}
