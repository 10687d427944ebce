import { indexFoods, lineFrom, type LineReader } from '@frijol/core/measure'
import {
  blankPart,
  defaultKitchen,
  type FamilyId,
  type Kitchen,
  type Part,
  type Step,
} from '@frijol/core/model'
import { stepFrom } from '@frijol/core/reading'
import { library } from '../src'
import { resolveLines } from '@frijol/core/composition'
import { type PartRun, runPart } from '@frijol/core/process'
import { compile } from '@frijol/core/program'
import { usesOf } from '@frijol/core/reading'

export const reader: LineReader = {
  index: indexFoods(library.ingredients.values()),
  ingredients: library.ingredients,
  kitchen: defaultKitchen,
}

/** A part of the shipped library's foods, as written, with its method. */
export function written(
  lines: readonly string[],
  steps: readonly (string | Step)[],
  family: FamilyId | null = null,
): Part {
  let count = 0
  const newId = () => `w${(count += 1)}`
  return {
    ...blankPart('part', 'Main'),
    family,
    lines: lines.map((text) => lineFrom(text, { reader, newId })),
    steps: steps.map((step) => (typeof step === 'string' ? stepFrom(step, newId()) : step)),
  }
}

export const kitchenWith = (known: Partial<Kitchen>): Kitchen => ({ ...defaultKitchen, ...known })

/** A part run by itself, as `assess` runs it. */
export function runOf(
  part: Part,
  kitchen: Kitchen = defaultKitchen,
  usualYield: number | null = null,
): PartRun {
  const lines = resolveLines(part, library, kitchen)
  const uses = part.steps.length === 0 ? [] : usesOf(part, lines, [], kitchen)
  const program = compile({ part, lines, uses, library, kitchen, others: [], granted: [] })
  return runPart({ program, made: [], usualYield })
}
