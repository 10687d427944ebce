import type { AttributeId, AttributeReading, Ingredient } from '../model'
import type { Focus } from './ask'

/** Attributes that a focus looks at; those that the original does not weigh count once. */
const LOOKED_AT: Readonly<Record<Focus, ReadonlySet<AttributeId> | null>> = {
  all: null,
  seasoning: new Set([
    'saltiness',
    'umami',
    'sweetness',
    'sourness',
    'bitterness',
    'smokiness',
    'spice_warm',
  ]),
  thickness: new Set(['thickness']),
}

/** Classes of foods whose amounts a focus may change. */
const SEASONS: ReadonlySet<string> = new Set([
  'salt',
  'acid',
  'sweetener',
  'savoury',
  'spice',
  'herb',
  'seaweed',
])
const FLOWS: ReadonlySet<string> = new Set(['water', 'plant-milk', 'starch', 'gum', 'flour'])

/** What counts under a focus, and how often. */
export function countedBy(
  attributes: readonly AttributeReading[],
  focus: Focus,
): (AttributeReading & { readonly target: NonNullable<AttributeReading['target']> })[] {
  const looked = LOOKED_AT[focus]
  return attributes.flatMap((reading) => {
    const { id, target, weight } = reading
    if (target === null) return []
    if (looked === null) return weight > 0 ? [{ ...reading, target }] : []
    return looked.has(id) ? [{ ...reading, target, weight: Math.max(1, weight) }] : []
  })
}

/** Whether a focus may change the amount of a food. */
export function mayChange({ foodClass, functional }: Ingredient, focus: Focus): boolean {
  if (focus === 'all') return true
  if (focus === 'seasoning') return SEASONS.has(foodClass)
  return FLOWS.has(foodClass) || (functional?.roles.includes('thickener') ?? false)
}
