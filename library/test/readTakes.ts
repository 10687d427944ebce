import { workDish } from '@frijol/core/assess'
import { readRecipes } from '@frijol/core/interchange'
import { defaultKitchen, type Dish } from '@frijol/core/model'
import { readRecipeMethod, stepFrom } from '@frijol/core/reading'
import { library } from '../src'
import { reader } from './dishes'

/** A recipe as a person would paste it. */
export function pasted(text: string): Dish {
  let count = 0
  const result = readRecipes(text, {
    reader,
    newId: () => `p${(count += 1)}`,
    now: '2026-06-14T12:00:00Z',
    readStep: stepFrom,
    readMethod: readRecipeMethod,
  })
  const dish = result.ok ? result.value[0] : undefined
  if (dish === undefined) throw new Error(result.ok ? 'no dish' : result.issues[0]?.message)
  return dish
}

/** What each doing takes, in words: "fry: onion, oil 0.5, 1", where a number alone is an earlier doing. */
export function takesOf(text: string): string[] {
  const dish = pasted(text)
  const works = workDish(dish, library, defaultKitchen)
  const order = dish.written.flatMap(({ stepIds }) => stepIds)
  const number = (id: string): string => String(order.indexOf(id) + 1)
  const lines = new Map(dish.parts.flatMap((part) => part.lines.map((line) => [line.id, line.food] as const)))
  const told = new Map<string, string>()
  works.forEach(({ asRead }, at) =>
    dish.parts[at]?.steps.forEach(({ id, operation }, index) => {
      const uses = (asRead[index] ?? []).map((use) => {
        const name =
          use.kind === 'line'
            ? (lines.get(use.id) ?? '')
            : use.kind === 'step'
              ? number(use.id)
              : (dish.parts.find((part) => part.id === use.id)?.name ?? '')
        return use.share === null ? name : `${name} ${Number(use.share.toFixed(2))}`
      })
      told.set(id, `${operation ?? 'none'}: ${uses.join(', ')}`)
    }),
  )
  return order.map((id) => told.get(id) ?? '')
}
