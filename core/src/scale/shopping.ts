import { resolveLines } from '../composition'
import type { Dish, Ingredient, Kitchen, Library } from '../model'
import { conversionOf, converted, type Converted } from '../composition'

/** What to buy of one food: its mass, packs and what is left of them, and the dry food it is cooked from. */
export interface ShoppingItem {
  readonly food: Ingredient
  readonly massG: number
  /** Packs of this kitchen to buy; null where no pack size is known. */
  readonly packs: {
    readonly count: number
    readonly massG: number
    readonly label: string
    readonly leftG: number
  } | null
  /** The dry food to start from, with the range and times; null where it is bought as it is. */
  readonly dry: Converted | null
  /** Dishes on the shelf that could use what is left, with what they take. */
  readonly uses: readonly { readonly dishId: string; readonly name: string; readonly massG: number }[]
}

/** Grams of each food over all parts of a dish. */
function massesOf(dish: Dish, library: Library, kitchen: Kitchen): Map<string, number> {
  const masses = new Map<string, number>()
  for (const part of dish.parts) {
    for (const { food, mass } of resolveLines(part, library, kitchen)) {
      if (food !== null && mass !== null) masses.set(food.id, (masses.get(food.id) ?? 0) + mass.value)
    }
  }
  return masses
}

const WATER = 'water'
/** Left-over below this is not worth a thought. g, practice. */
const NOTABLE_LEFT_G = 5

/**
 * What to buy for a dish, what is left over of each pack, and where that could go today.
 * @param others dishes on the shelf, this one excepted
 */
export function shoppingList(
  dish: Dish,
  library: Library,
  kitchen: Kitchen,
  others: readonly Dish[],
): ShoppingItem[] {
  const otherMasses = others.map((other) => ({ other, masses: massesOf(other, library, kitchen) }))
  return [...massesOf(dish, library, kitchen)].flatMap(([foodId, massG]): ShoppingItem[] => {
    const food = library.ingredients.get(foodId)
    if (food === undefined || food.foodClass === WATER || massG <= 0) return []
    const pack = kitchen.packs.find(({ ingredientId }) => ingredientId === foodId)
    const count = pack === undefined ? 0 : Math.ceil(massG / pack.massG - 1e-9)
    const leftG = pack === undefined ? 0 : count * pack.massG - massG
    const found = conversionOf(library, foodId)
    const dry =
      found === null || found.direction === 'forward' || pack !== undefined
        ? null
        : converted(found.conversion, massG, 'back')
    return [
      {
        food,
        massG,
        packs: pack === undefined ? null : { count, massG: pack.massG, label: pack.label, leftG },
        dry,
        uses:
          leftG < NOTABLE_LEFT_G
            ? []
            : otherMasses.flatMap(({ other, masses }) => {
                const uses = masses.get(foodId)
                return uses === undefined ? [] : [{ dishId: other.id, name: other.name, massG: uses }]
              }),
      },
    ]
  })
}
