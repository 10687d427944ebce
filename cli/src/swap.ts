import type { Dish, FormulaLine, Kitchen } from '@frijol/core/model'
import { foodPhrase } from '@frijol/core/measure'
import { isExcluded } from '@frijol/core/rules'
import {
  convert,
  proposeSwaps,
  SWAP_MATCHES,
  type SwapProposal,
  type Toward,
  TOWARDS,
} from '@frijol/core/swap'
import { library } from '@frijol/library'
import { InputFault, type Options } from './options'
import { foodId } from './tune'

const printed = ({ replaces, with: parts, score, process, differences, reasons }: SwapProposal) => ({
  replaces,
  with: parts.map(({ food, massG }) => ({
    foodId: food.id,
    massG,
    text: `${Number(massG.toPrecision(3))} g ${foodPhrase(food)}`,
  })),
  score,
  process,
  differences,
  reasons,
})

/** Lines that are asked about: the one that is named, or those that hold what must go. */
function linesOf(dish: Dish, { food, line, without }: Options): FormulaLine[] {
  const lines = dish.parts.flatMap((part) => part.lines)
  if (line !== null) {
    const found = lines[line - 1]
    if (found === undefined)
      throw new InputFault(`There is no line ${line}.`, '--line', `Give a number from 1 to ${lines.length}.`)
    return [found]
  }
  if (food !== null) {
    const id = lines.some(({ ingredientId }) => ingredientId === food) ? food : foodId(food, '--food')
    const found = lines.filter(({ ingredientId }) => ingredientId === id)
    if (found.length === 0)
      throw new InputFault(`No line holds “${food}”.`, '--food', 'Name a food of the recipe.')
    return found
  }
  if (without.length > 0)
    return lines.filter(({ ingredientId }) => {
      const known = ingredientId === null ? undefined : library.ingredients.get(ingredientId)
      return known !== undefined && without.some((one) => isExcluded(known, one, library))
    })
  throw new InputFault(
    'Nothing says what to swap.',
    'arguments',
    'Give --food ID, --line N, or --without gluten,soy.',
  )
}

/** What `frijol swap` prints: for each line that is asked about what can stand in for it, best first. */
export function swaps(dish: Dish, kitchen: Kitchen, options: Options) {
  const match = SWAP_MATCHES.find((one) => one === (options.match ?? 'usual'))
  if (match === undefined)
    throw new InputFault(`--match is “${options.match ?? ''}”.`, '--match', `Use ${SWAP_MATCHES.join(', ')}.`)
  return linesOf(dish, options)
    .flatMap(({ id }) =>
      proposeSwaps(dish, { lineId: id, without: options.without, match }, { library, kitchen }),
    )
    .sort((a, b) => b.score - a.score)
    .map((proposal) => ({ ...printed(proposal), dish: proposal.dish }))
}

/** What `frijol convert` prints: the whole dish without some foods, what was swapped, and what nothing stands in for. */
export function converted(dish: Dish, kitchen: Kitchen, { without, toward: asked }: Options) {
  const toward = asked.map((one): Toward => {
    const known = TOWARDS.find((id) => id === one)
    if (known === undefined)
      throw new InputFault(`--toward is “${one}”.`, '--toward', `Use ${TOWARDS.join(', ')}.`)
    return known
  })
  if (without.length + toward.length === 0)
    throw new InputFault(
      'Nothing says what it is to do without, or which way it is to go.',
      '--without',
      'Give --without animal,gluten, or --toward lower-sodium.',
    )
  const { dish: made, swaps: done, left } = convert(dish, { without, toward }, { library, kitchen })
  return {
    dish: made,
    swaps: done.map(printed),
    left,
  }
}
