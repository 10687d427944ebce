import { workDish } from '../assess'
import { foodLine } from '../measure'
import type { Dish, Ingredient, Step, StepUse } from '../model'
import { type Bench, type TuneAsk, TuneFault } from './ask'
import { NEW_LINE } from './problem'

/** A food that may come in stands at so much of the batch while it is looked for: enough to be read as there. */
const STAND_IN_SHARE = 0.004
const LEAST_STAND_IN_G = 0.5

/** The line that a new food goes along with: of its class, else the one that weighs most. */
function hostOf(
  lines: readonly { readonly id: string; readonly food: Ingredient | null; readonly massG: number }[],
  food: Ingredient,
): string | null {
  const kin = lines.filter((line) => line.food?.foodClass === food.foodClass)
  const among = kin.length > 0 ? kin : lines
  return [...among].sort((a, b) => b.massG - a.massG)[0]?.id ?? null
}

/**
 * A dish with a line for each food that may come in, taken by the step that takes the food most like it.
 * @throws TuneFault where the library does not know a food
 */
export function addFoods(dish: Dish, { partId, allow }: TuneAsk, { library, kitchen }: Bench): Dish {
  const work = workDish(dish, library, kitchen).find(({ assessment }) => assessment.partId === partId)
  const part = dish.parts.find(({ id }) => id === partId)
  if (work === undefined || part === undefined) return dish
  const there = new Set(part.lines.map(({ ingredientId }) => ingredientId))
  const known = work.lines.map(({ line, food, mass }) => ({ id: line.id, food, massG: mass?.value ?? 0 }))
  const massG = Math.max(LEAST_STAND_IN_G, STAND_IN_SHARE * work.assessment.rawMassG)
  const added = [...new Set(allow)].flatMap((id) => {
    const food = library.ingredients.get(id)
    if (food === undefined)
      throw new TuneFault(
        `There is no food “${id}” in the library.`,
        'Choose it in Pantry, or search the library.',
      )
    if (there.has(id)) return []
    return [{ line: foodLine(food, massG, `${NEW_LINE}${id}`), host: hostOf(known, food) }]
  })
  const uses: StepUse[][] = work.asRead.map((of) => [...of])
  const changed = new Set<number>()
  for (const { line, host } of added) {
    const step = uses.findIndex((of) => of.some(({ kind, id }) => kind === 'line' && id === host))
    if (step < 0) continue
    uses[step]?.push({ kind: 'line', id: line.id, share: null })
    changed.add(step)
  }
  const steps = part.steps.map((step, at): Step =>
    changed.has(at) ? { ...step, uses: uses[at] ?? [] } : step,
  )
  return {
    ...dish,
    parts: dish.parts.map((one) =>
      one.id === partId ? { ...one, lines: [...one.lines, ...added.map(({ line }) => line)], steps } : one,
    ),
  }
}
