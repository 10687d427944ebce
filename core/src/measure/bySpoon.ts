import type { Amount, Ingredient } from '../model'
import type { FoundFood } from './findFood'
import { lineMass } from './lineMass'
import type { LineReader, ReadFinding } from './lineTypes'

/** Two foods of one name are told apart by the amount where one is the concentrate of the other: points of water between them. Practice. */
const CONCENTRATE_POINTS = 10
/** Up to this mass a concentrate is meant: four spoons, a small tube. g, practice. */
const SPOONED_G = 70
const SAME = 1e-9

/**
 * "2 tbsp tomato puree" is paste, "400 g tomato puree" is passata: of two foods that bear one name, one much drier than
 * the other, a little of it is the drier one.
 * @returns the food by its amount, and a finding that says so; null where the name is not such a one
 */
export function bySpoon(
  { choices }: FoundFood,
  amount: Amount | null,
  name: string,
  reader: LineReader,
): { readonly ingredientId: string; readonly finding: ReadFinding } | null {
  const [first, second, third] = choices
  if (amount === null || first === undefined || second === undefined) return null
  if (first.score - second.score > SAME || (third !== undefined && second.score - third.score <= SAME))
    return null
  const foods = [first, second].flatMap(({ ingredientId }) => reader.ingredients.get(ingredientId) ?? [])
  const byWater = foods.sort((a, b) => water(a) - water(b))
  const [dry, wet] = byWater
  if (dry === undefined || wet === undefined || water(wet) - water(dry) < CONCENTRATE_POINTS) return null
  const massG = lineMass(amount, dry, name.toLowerCase(), reader.kitchen).mass?.value ?? null
  if (massG === null) return null
  const meant = massG <= SPOONED_G ? dry : wet
  return {
    ingredientId: meant.id,
    finding: {
      rule: 'name-of-two',
      severity: 'info',
      message: `“${name}” names ${dry.name.toLowerCase()} and ${wet.name.toLowerCase()}; by its amount it was read as ${meant.name.toLowerCase()}.`,
      remedy: 'Choose the other on the line if you use that.',
    },
  }
}
const water = ({ per100g }: Ingredient): number => per100g.waterG ?? 0
