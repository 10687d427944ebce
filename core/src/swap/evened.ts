import { resolveLines } from '../composition'
import { gramsLine, weighingStep } from '../measure'
import type { Dish, FormulaLine, Ingredient } from '../model'
import type { SwapPart } from './amounts'
import type { SwapBench } from './replace'

const waterIn = ({ per100g: { waterG } }: Ingredient, massG: number): number => ((waterG ?? 0) * massG) / 100

/** What the water of a mix was changed by, so that as much is in it as before. */
export interface Evened {
  readonly dish: Dish
  /** Added to its line of water, or taken out of it, g; 0 where nothing was, or where it has no water of its own. */
  readonly waterG: number
}

/**
 * A dish after a swap with as much water as before: its own water makes up for what stands in.
 * @param lineId the line that was swapped
 */
export function waterEvened(
  dish: Dish,
  lineId: string,
  was: SwapPart,
  parts: readonly SwapPart[],
  { library, kitchen }: SwapBench,
): Evened {
  const part = dish.parts.find(({ lines }) => lines.some(({ id }) => id === lineId))
  if (part === undefined) return { dish, waterG: 0 }
  const short =
    waterIn(was.food, was.massG) - parts.reduce((sum, { food, massG }) => sum + waterIn(food, massG), 0)
  const own = resolveLines(part, library, kitchen)
    .flatMap(({ line, food, mass }) =>
      food?.foodClass === 'water' && mass !== null && line.id !== lineId && !line.id.startsWith(`${lineId}-`)
        ? [{ line, massG: mass.value }]
        : [],
    )
    .sort((a, b) => b.massG - a.massG)[0]
  if (own === undefined) return { dish, waterG: 0 }
  const step = weighingStep(own.massG, kitchen)
  const massG = Math.round((own.massG + short) / step) * step
  if (massG <= 0 || massG === own.massG) return { dish, waterG: 0 }
  const line = gramsLine(own.line, Number(massG.toFixed(3)))
  const replace = (other: FormulaLine): FormulaLine => (other.id === line.id ? line : other)
  return {
    dish: {
      ...dish,
      parts: dish.parts.map((one) => (one.id === part.id ? { ...one, lines: one.lines.map(replace) } : one)),
    },
    waterG: massG - own.massG,
  }
}
