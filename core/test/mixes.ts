import { resolveLines } from '../src/composition'
import { type FormulaLine, type Ingredient, type Kitchen, type Part, blankPart } from '../src/model'
import { type PartRun, runPart } from '../src/process'
import { compile } from '../src/program'
import { stepFrom, usesOf } from '../src/reading'
import { testKitchen, testLibrary } from './foods'

const lineOf = (food: Ingredient, grams: number, at: number): FormulaLine => ({
  id: `l${at}`,
  text: `${grams} g ${food.name}`,
  amount: {
    terms: [{ sign: 1, low: grams, high: grams, unit: 'g', qualifier: null, size: null, pack: null }],
    isApproximate: false,
  },
  open: null,
  food: food.name,
  prep: '',
  ingredientId: food.id,
  choice: 'chosen',
  isOptional: false,
})

export type Mix = readonly (readonly [Ingredient, number])[]

/** Runs a part by itself, as `assess` does. */
export function runOf(part: Part, kitchen: Kitchen = testKitchen): PartRun {
  const lines = resolveLines(part, testLibrary, kitchen)
  const uses = part.steps.length === 0 ? [] : usesOf(part, lines, [], kitchen)
  const program = compile({ part, lines, uses, library: testLibrary, kitchen, others: [], granted: [] })
  return runPart({ program, made: [], usualYield: null })
}

/** A mix of test foods in grams, cooked down to a share of its mass, after some steps. */
export function runMix(mix: Mix, keeps = 1, steps: readonly string[] = []): PartRun {
  const massG = mix.reduce((sum, [, grams]) => sum + grams, 0)
  return runOf({
    ...blankPart('p', 'Mix'),
    lines: mix.map(([food, grams], at) => lineOf(food, grams, at)),
    steps: steps.map((text, at) => stepFrom(text, `s${at}`)),
    cookedMassG: keeps < 1 && massG > 0 ? massG * keeps : null,
  })
}
