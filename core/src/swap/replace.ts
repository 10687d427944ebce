import { workDish } from '../assess'
import { foodLine, foodName, weighingStep } from '../measure'
import type { Dish, FormulaLine, Kitchen, Library, Part, Step, StepUse, SwapRow, Written } from '../model'
import { followWords, stepFrom } from '../reading'
import type { SwapPart } from './amounts'
import { listed, namesOf, renamed } from './words'

/** What a replacement works with beside the dish. */
export interface SwapBench {
  readonly library: Library
  readonly kitchen: Kitchen
}

const rounded = (massG: number, kitchen: Kitchen): number => {
  const step = weighingStep(massG, kitchen)
  return Number((Math.max(1, Math.round(massG / step)) * step).toFixed(3))
}

/** Takes of one line as takes of those that stand in for it. */
const handedOn = (uses: readonly StepUse[], lineId: string, ids: readonly string[]): StepUse[] =>
  uses.flatMap((use) =>
    use.kind === 'line' && use.id === lineId ? ids.map((id) => ({ ...use, id })) : [use],
  )

/** Takes of one line as takes of the steps that make ready what stands in for it, and of what goes in as it is. */
const takenFrom = (
  uses: readonly StepUse[],
  lineId: string,
  stepIds: readonly string[],
  asTheyAre: readonly string[],
): StepUse[] =>
  uses.flatMap((use): StepUse[] =>
    use.kind === 'line' && use.id === lineId
      ? [
          ...stepIds.map((id) => ({ ...use, kind: 'step' as const, id })),
          ...asTheyAre.map((id) => ({ ...use, id })),
        ]
      : [use],
  )

/** "Blend very smooth." with what is blended: a step says what it takes. */
function spelledOut(text: string, lines: readonly FormulaLine[], foods: readonly string[]): string {
  const named = lines.filter(({ ingredientId }) => foods.includes(ingredientId ?? '')).map(({ food }) => food)
  return text.replace(/^(Blend|Whisk|Mix|Pulse)(?= (?!the\b))/, `$1 the ${listed(named)}`)
}

/**
 * A dish with other foods in the place of one line's: the first takes over its line, steps take them where they took it,
 * and the words of steps name them.
 *
 * @param row the steps that make some of them ready before the first step that takes them
 * @returns the dish as it is where the line is not there or has no food
 */
export function replaced(
  dish: Dish,
  lineId: string,
  parts: readonly SwapPart[],
  { readies }: Pick<SwapRow, 'readies'>,
  { library, kitchen }: SwapBench,
): Dish {
  const part = dish.parts.find(({ lines }) => lines.some(({ id }) => id === lineId))
  const line = part?.lines.find(({ id }) => id === lineId)
  const food = line?.ingredientId == null ? undefined : library.ingredients.get(line.ingredientId)
  if (part === undefined || line === undefined || food === undefined || parts.length === 0) return dish
  const asRead = new Map(
    workDish(dish, library, kitchen).map(({ assessment, asRead: uses }) => [assessment.partId, uses]),
  )
  const lines = parts.map(({ food: other, massG }, at): FormulaLine => ({
    ...foodLine(other, rounded(massG, kitchen), at === 0 ? lineId : `${lineId}-${at + 1}`),
    isOptional: line.isOptional,
  }))
  const ids = lines.map(({ id }) => id)
  const makeReady = readies.map(({ foods, text }, at): Step => ({
    ...followWords(stepFrom(spelledOut(text, lines, foods), `${lineId}-ready-${at + 1}`)),
    uses: lines.flatMap(({ id, ingredientId }) =>
      foods.includes(ingredientId ?? '') ? [{ kind: 'line', id, share: null }] : [],
    ),
  }))
  const readyIds = makeReady.map(({ id }) => id)
  const readied = new Set(makeReady.flatMap(({ uses }) => uses?.map(({ id }) => id) ?? []))
  const names = namesOf(line, food)
  const others = dish.parts.flatMap((one) =>
    one.lines.flatMap((other) => {
      const known = other.ingredientId === null ? undefined : library.ingredients.get(other.ingredientId)
      return other.id === lineId || known === undefined ? [] : namesOf(other, known, false)
    }),
  )
  const by = listed(
    parts.filter(({ food: other }) => other.foodClass !== 'water').map(({ food: other }) => foodName(other)),
  )
  const ready = { isPlaced: false }
  const touched = new Set<string>()
  const changedPart = (one: Part): Part => {
    const uses = asRead.get(one.id) ?? []
    const steps = one.steps.flatMap((step, at): Step[] => {
      const own = uses[at] ?? []
      const takes = own.some(({ kind, id }) => kind === 'line' && id === lineId)
      const text = renamed(step.text, names, others, by)
      if (!takes) return [text === step.text ? step : { ...step, text }]
      touched.add(step.id)
      const next = {
        ...step,
        text,
        uses:
          makeReady.length > 0
            ? takenFrom(
                own,
                lineId,
                readyIds,
                ids.filter((id) => !readied.has(id)),
              )
            : handedOn(own, lineId, ids),
      }
      if (makeReady.length === 0 || ready.isPlaced) return [next]
      ready.isPlaced = true
      return [...makeReady, next]
    })
    return {
      ...one,
      lines: one.lines.flatMap((other) => (other.id === lineId ? lines : [other])),
      steps,
    }
  }
  const changed = dish.parts.map(changedPart)
  const written: Written[] = []
  for (const entry of dish.written) {
    const text = renamed(entry.text, names, others, by)
    const isFirst =
      ready.isPlaced &&
      entry.stepIds.some((id) => touched.has(id)) &&
      written.every(({ stepIds }) => !stepIds.some((id) => readyIds.includes(id)))
    if (isFirst) {
      const before = makeReady.map((step, at): Written => ({
        heading: at === 0 ? entry.heading : null,
        text: step.text,
        stepIds: [step.id],
      }))
      written.push(...before, { ...entry, heading: null, text })
    } else written.push(text === entry.text ? entry : { ...entry, text })
  }
  return { ...dish, parts: changed, written }
}
