import type { Seat, TastingSample } from '../model'

/** Why somebody must not taste, or has to be asked first. */
export interface MustNot {
  readonly tasterId: string
  readonly kind: 'allergen' | 'animal' | 'ask' | 'cross'
  readonly sampleId: string
  readonly allergens: readonly string[]
  readonly message: string
}

/** Who reacts to one may react to another. @source Regulation (EU) 1169/2011 recitals; reviews of peanut and lupin; practice */
const CROSSES: readonly { readonly avoids: string; readonly holds: string }[] = [
  { avoids: 'peanut', holds: 'lupin' },
  { avoids: 'lupin', holds: 'peanut' },
]

/**
 * Who must not taste what: blinding never hides an allergen. `allergen` and `animal` block; `ask` and `cross` are said.
 * @param nameOf what an allergen is called
 */
export function mustNotTaste(
  tasters: readonly Seat[],
  samples: readonly TastingSample[],
  nameOf: (allergenId: string) => string,
): MustNot[] {
  const found: MustNot[] = []
  for (const { id: tasterId, avoids, eats, agreesToAnimal } of tasters)
    for (const { id: sampleId, label, allergens, isAnimal } of samples) {
      const holds = allergens.filter((allergen) => avoids.includes(allergen))
      if (holds.length > 0)
        found.push({
          tasterId,
          sampleId,
          kind: 'allergen',
          allergens: holds,
          message: `${tasterId} must not taste: ${label} holds ${holds.map(nameOf).join(', ')}.`,
        })
      for (const cross of CROSSES)
        if (avoids.includes(cross.avoids) && allergens.includes(cross.holds) && holds.length === 0)
          found.push({
            tasterId,
            sampleId,
            kind: 'cross',
            allergens: [cross.holds],
            message: `${tasterId} avoids ${nameOf(cross.avoids)} and may react to ${nameOf(cross.holds)} in ${label}: ask first.`,
          })
      if (isAnimal && eats !== 'everything' && !agreesToAnimal)
        found.push({
          tasterId,
          sampleId,
          kind: 'animal',
          allergens: [],
          message: `${tasterId} eats ${eats === 'no-animal' ? 'nothing of animals' : 'no meat or fish'}: ${label} only with an express yes.`,
        })
      else if (isAnimal && !agreesToAnimal)
        found.push({
          tasterId,
          sampleId,
          kind: 'ask',
          allergens: [],
          message: `${label} is of animals: say so to ${tasterId} before the tasting.`,
        })
    }
  return found
}

/** Whether somebody is kept from tasting. */
export const blocks = ({ kind }: MustNot): boolean => kind === 'allergen' || kind === 'animal'
