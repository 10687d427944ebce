import type { Ingredient } from '../model'

/** The most of a food class that a whole part usually holds, %. Practice. */
const CLASS_MOST_PCT: Partial<Record<Ingredient['foodClass'], number>> = {
  salt: 2.5,
  spice: 2,
  leavening: 3,
  gum: 4,
}
/** Roles whose share is small by nature, so that far too much of them is a slip and not a choice. */
const SMALL_ROLES: ReadonlySet<string> = new Set([
  'aroma',
  'salt',
  'smoke',
  'colour',
  'emulsifier',
  'gel-cold-set',
  'acid',
])

/** The usual highest share of a food in a part, %; null where any share can be meant. */
export function usualMostPct({ functional, foodClass }: Ingredient): number | null {
  const byClass = CLASS_MOST_PCT[foodClass] ?? null
  const own = functional?.usualHighPct ?? null
  if (own === null) return byClass
  const isSmall =
    functional?.roles.every((role) => SMALL_ROLES.has(role) || role === 'umami' || role === 'sweet') ?? false
  return isSmall && own <= 4 ? own : byClass
}
