import { findFood, indexFoods, lineMass, readAmount } from '@frijol/core/measure'
import type { Dish, Kitchen } from '@frijol/core/model'
import { roundDish, scaleDish, scaleFactor, scaleNotes, type ScaleTarget } from '@frijol/core/scale'
import { library } from '@frijol/library'
import { InputFault, type Options } from './options'

/** "walnuts=60 g" as a food of the library and its grams. */
function readHave(text: string, kitchen: Kitchen): { foodId: string; massG: number } {
  const at = text.lastIndexOf('=')
  const name = text.slice(0, at).trim()
  const found = library.ingredients.has(name)
    ? name
    : findFood(indexFoods(library.ingredients.values()), name).ingredientId
  const food = found === null ? undefined : library.ingredients.get(found)
  const amount = readAmount(text.slice(at + 1).trim())
  if (at <= 0 || amount === null)
    throw new InputFault(`--have is “${text}”.`, '--have', 'Write --have "walnuts=60 g".')
  if (food === undefined)
    throw new InputFault(`“${name}” is not in the library.`, '--have', 'Search with: frijol library WORD')
  const { mass } = lineMass(amount, food, '', kitchen)
  if (mass === null) throw new InputFault(`What “${text}” weighs is not known.`, '--have', 'Give grams.')
  return { foodId: food.id, massG: mass.value }
}

function targetOf({ portions, mass, have }: Options, kitchen: Kitchen): ScaleTarget {
  if (have.length > 0) return { to: 'have', have: have.map((text) => readHave(text, kitchen)) }
  if (mass !== null) return { to: 'mass', cookedMassG: mass }
  if (portions !== null) return { to: 'portions', portions }
  throw new InputFault(
    'Nothing says what to scale to.',
    'arguments',
    'Give --portions N, --mass G or --have "food=200 g".',
  )
}

/** What `frijol scale` prints: the scaled dish, the same rounded to kitchen measures, and what to watch. */
export function scaled(dish: Dish, kitchen: Kitchen, options: Options) {
  const found = scaleFactor(dish, library, kitchen, targetOf(options, kitchen))
  if (!found.ok)
    throw new InputFault(
      found.issues[0]?.message ?? 'It cannot be scaled to that.',
      'arguments',
      'See docs/guide/cli.md.',
    )
  const { factor, reason } = found.value
  const exact = scaleDish(dish, factor)
  const rounded = roundDish(exact, library, kitchen)
  return {
    factor,
    reason,
    dish: exact,
    notes: scaleNotes(dish, library, kitchen, factor),
    rounded: { dish: rounded.dish, lines: rounded.lines },
  }
}
