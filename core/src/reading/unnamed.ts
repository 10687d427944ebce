import type { ResolvedLine } from '../composition'
import type { FoodClass, OperationId, Step, StepUse } from '../model'

/** These are done in fat, whether the step says so or not. */
const IN_FAT: ReadonlySet<OperationId> = new Set(['deep-fry', 'shallow-fry'])
const SALTED_WATER = /\bsalt(?:ed|y)\s+(?:\w+\s+)?water\b/i
/** Warming the oven or the pan works on no food. */
const ON_NOTHING =
  /\b(?:preheat|pre-heat|heat|warm)\b[^.]*\b(?:oven|grill|pan|pot|skillet|steamer|broiler)\b/i

const isClass = (lines: readonly ResolvedLine[], id: string, foodClass: FoodClass): boolean =>
  lines.some(({ line, food }) => line.id === id && food?.foodClass === foodClass)

/**
 * Gives what no step names to the step that cannot do without: listed fat to a frying step without any, listed salt to
 * salted water, and the only line of a list to a first step that would work on nothing.
 *
 * @param uses as the words say, step by step; those set by hand stay as they are
 */
export function withUnnamed(
  steps: readonly Step[],
  lines: readonly ResolvedLine[],
  uses: readonly StepUse[][],
): StepUse[][] {
  const used = new Set(uses.flatMap((of) => of.map(({ id }) => id)))
  const unnamed = lines.filter(({ line, mass }) => mass !== null && mass.value > 0 && !used.has(line.id))
  if (unnamed.length === 0) return [...uses]
  const given = uses.map((of) => [...of])
  const give = (at: number, which: (line: ResolvedLine) => boolean): void => {
    for (const line of unnamed.filter(which)) {
      given[at]?.push({ kind: 'line', id: line.line.id, share: null })
      unnamed.splice(unnamed.indexOf(line), 1)
    }
  }
  const has = (at: number, foodClass: FoodClass): boolean =>
    (uses[at] ?? []).some(({ id }) => isClass(lines, id, foodClass))
  steps.forEach((step, at) => {
    if (step.uses !== null || (given[at]?.length ?? 0) === 0 || step.operation === null) return
    if (IN_FAT.has(step.operation) && !has(at, 'fat')) give(at, ({ food }) => food?.foodClass === 'fat')
    if (SALTED_WATER.test(step.text) && !has(at, 'salt')) give(at, ({ food }) => food?.foodClass === 'salt')
  })
  const first = steps.findIndex(({ operation, text }) => operation !== null && !ON_NOTHING.test(text))
  // Of several lines the words must say which: a guess would be taken for a reading.
  const isOnly = lines.length === 1
  if (
    isOnly &&
    first >= 0 &&
    steps[first]?.uses === null &&
    given.slice(0, first + 1).every((of) => of.length === 0)
  )
    give(first, () => true)
  return given
}
