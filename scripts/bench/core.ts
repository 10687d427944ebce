// Ratios of core's work to a baseline measured in the same run. Machines are shared and noisy: read ratios, not times.
import { assess } from '@frijol/core/assess'
import { resolveLines } from '@frijol/core/composition'
import { indexFoods, lineMass, type LineReader, readLine } from '@frijol/core/measure'
import { blankDish, type Dish, defaultKitchen, type FormulaLine, type Part } from '@frijol/core/model'
import { evaluate, runPart, scratchFor } from '@frijol/core/process'
import { compile } from '@frijol/core/program'
import { readRecipes } from '@frijol/core/interchange'
import { readRecipeMethod, stepFrom, usesOf } from '@frijol/core/reading'
import { demoKitchen } from '@frijol/demo'
import { library } from '@frijol/library'
import { parseIngredient } from 'parse-ingredient'

const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0

function timeOnce(work: () => unknown, calls: number): number {
  const start = performance.now()
  for (let at = 0; at < calls; at += 1) work()
  return performance.now() - start
}

/** Median ratio of `work` to `base`, each pair timed back to back so that a busy machine slows both. */
function ratioOf(work: () => unknown, base: () => unknown, pairs = 41, calls = 30, warming = 4): number {
  timeOnce(work, calls * warming)
  timeOnce(base, calls * warming)
  return median(Array.from({ length: pairs }, () => timeOnce(work, calls) / timeOnce(base, calls)))
}

/** The demo's two parts twice: 40 lines in 4 parts. */
function largeDish(): Dish {
  const { dishes } = demoKitchen()
  const [moussaka] = dishes
  if (moussaka === undefined) throw new Error('the demo holds no dish')
  const parts = [...moussaka.parts, ...moussaka.parts].map((part, at) => ({
    ...structuredClone(part),
    id: `p${at}`,
    lines: structuredClone(part.lines).map((line, index) => ({ ...line, id: `p${at}l${index}` })),
  }))
  return { ...blankDish('bench', 'Bench', '2026-06-14T12:00:00Z'), aim: moussaka.aim, parts }
}

const { kitchen } = demoKitchen()
const dish = largeDish()
const freshLines = (part: Dish['parts'][number]) => ({
  ...part,
  lines: part.lines.map((line) => ({ ...line })),
})
/** The dish after the mass of one line of one part was changed: the other parts keep their identity, as in the application. */
let turn = 0
const edited = (): Dish => {
  turn += 1
  const more = 1 + (turn % 7) / 100
  return {
    ...dish,
    parts: dish.parts.map((part, at) =>
      at > 0
        ? part
        : { ...part, lines: part.lines.map((line, index) => (index === 4 ? scaled(line, more) : line)) },
    ),
  }
}
const scaled = (line: FormulaLine, by: number): FormulaLine => ({
  ...line,
  amount:
    line.amount === null
      ? null
      : {
          ...line.amount,
          terms: line.amount.terms.map((term) => ({ ...term, low: term.low * by, high: term.high * by })),
        },
})
const cold = (): Dish => ({ ...dish, parts: dish.parts.map(freshLines) })

const text = JSON.stringify(dish)
const copy = () => JSON.stringify(JSON.parse(text))
const afterEdit = ratioOf(() => assess(edited(), library, kitchen), copy)
const asItWas = assess(dish, library, kitchen)
const betweenKeys = ratioOf(() => assess(edited(), library, kitchen, asItWas), copy)
/** Dishes never seen before, made outside the timing. */
const unseen = Array.from({ length: 41 * 30 + 30 * 4 }, cold)
const fromCold = ratioOf(() => {
  const next = unseen.pop()
  if (next === undefined) throw new Error('no unseen dish left')
  return assess(next, library, kitchen)
}, copy)
const lineCount = dish.parts.reduce((count, part) => count + part.lines.length, 0)
console.log(
  `assess, ${lineCount} lines in ${dish.parts.length} parts, against JSON.parse + stringify of the same document:`,
)
console.log(`  between two keys           x${betweenKeys.toFixed(2)}   (aim: at most x2)`)
console.log(`  after an edit of one mass  x${afterEdit.toFixed(2)}   (aim: at most x2)`)
console.log(`  nothing remembered         x${fromCold.toFixed(2)}   (aim: at most x5)`)

/** The mince of the demo with its method said over and over: every step takes what the one before made. */
function longPart(count: number): Part {
  const [mince] = dish.parts
  if (mince === undefined) throw new Error('the demo holds no part')
  const more = [
    'Sweat it for 2 minutes.',
    'Stir it for 1 minute.',
    'Simmer it for 3 minutes, covered.',
    'Let it rest 5 minutes.',
  ]
  const steps = Array.from(
    { length: count },
    (_unused, at) => mince.steps[at] ?? stepFrom(more[at % more.length] ?? '', `long-${at}`),
  )
  return { ...structuredClone(mince), steps: steps.map((step, at) => ({ ...step, id: `step-${at}` })) }
}
/** A part compiled and placed once; what is timed is its evaluation alone. */
function evaluationOf(part: Part): () => void {
  const lines = resolveLines(part, library, kitchen)
  const uses = usesOf(part, lines, [], kitchen)
  const program = compile({ part, lines, uses, library, kitchen, others: [], granted: [] })
  const { places } = runPart({ program, made: [], usualYield: null })
  const space = scratchFor(program)
  return () => {
    evaluate(program, space, {
      inputs: program.inputs,
      places,
      made: [],
      lnRates: null,
      usualYield: null,
      from: null,
    })
  }
}
const [moussaka] = demoKitchen().dishes
if (moussaka === undefined) throw new Error('the demo holds no dish')
const demoText = JSON.stringify(moussaka)
const demoParts = moussaka.parts.map(evaluationOf)
const evaluateDemo = (): void => {
  for (const run of demoParts) run()
}
const demoRatio = ratioOf(evaluateDemo, () => JSON.stringify(JSON.parse(demoText)), 41, 60, 20)
console.log(
  `evaluating the demo dish, against JSON.parse + stringify of the same document: x${demoRatio.toFixed(2)}   (aim: at most x0.35)`,
)
const sixty = evaluationOf(longPart(60))
const sixtyText = JSON.stringify({ ...dish, parts: [longPart(60)] })
const sixtySteps = ratioOf(sixty, () => JSON.stringify(JSON.parse(sixtyText)), 41, 30, 40)
console.log(
  `evaluating a method of 60 steps, against JSON.parse + stringify of the same document: x${sixtySteps.toFixed(2)}   (aim: at most x1)`,
)
const longer = [120, 240].map((count) => ratioOf(evaluationOf(longPart(count)), sixty))
console.log(
  `  of 120 and 240 steps against 60: ${longer.map((ratio) => `x${ratio.toFixed(2)}`).join(' and ')}   (linear: x2 and x4)`,
)
timeOnce(evaluateDemo, 2000)
const startTime = timeOnce(evaluateDemo, 5000)
const startHeap = process.memoryUsage().heapUsed
timeOnce(evaluateDemo, 90_000)
const endTime = timeOnce(evaluateDemo, 5000)
console.log(
  `100,000 evaluations: time of a call at the end against the start x${(endTime / startTime).toFixed(2)}; heap grew ${((process.memoryUsage().heapUsed - startHeap) / 1e6).toFixed(1)} MB`,
)

const reader: LineReader = {
  index: indexFoods(library.ingredients.values()),
  ingredients: library.ingredients,
  kitchen: defaultKitchen,
}
const written = dish.parts.flatMap((part) => part.lines.map((line) => line.text))
const read = (line: string): void => {
  const { amount, ingredientId, food } = readLine(line, reader)
  const item = ingredientId === null ? undefined : library.ingredients.get(ingredientId)
  if (amount !== null && item !== undefined) lineMass(amount, item, food, defaultKitchen)
}
const reading = ratioOf(
  () => written.forEach(read),
  () => written.forEach((line) => parseIngredient(line)),
  41,
  10,
)
console.log(
  `reading a line to food and grams, against the parse-ingredient package alone: x${reading.toFixed(2)}   (aim: at most x3)`,
)

/** A pasted recipe of 30 lines and 12 steps; every number and every step differs from the ones before it. */
const LISTED =
  'walnuts|chestnut mushrooms|onions, chopped|cooked green lentils|vegetable stock|olive oil|tomato paste|smoked paprika|soy sauce|ground flaxseed'.split(
    '|',
  )
const ORDERED = [
  'Heat the olive oil in a large pan and soften the onions for 8 minutes, stirring now and then.',
  'Add the mushrooms and cook over a high heat until their liquid has gone, about 10 minutes.',
  'Stir in the paprika and half of the tomato paste and cook for 2 minutes before adding the lentils and stock.',
  'Simmer gently for 20 minutes until thick, then take off the heat and leave to cool.',
  'Meanwhile, pulse the walnuts to a coarse crumb and toast them in a dry pan for 4 minutes.',
  'Mix everything with the flaxseed, the soy sauce and the rest of the tomato paste and let it stand for 15 minutes.',
]
let pastes = 0
const pastedRecipe = (): { text: string; lines: string[] } => {
  pastes += 1
  const lines = Array.from(
    { length: 30 },
    (_unused, at) => `${10 + ((pastes * 31 + at) % 480)} g ${LISTED[at % 10] ?? ''}`,
  )
  const steps = Array.from(
    { length: 12 },
    (_unused, at) => `${at + 1}. ${ORDERED[at % 6] ?? ''} (Batch ${pastes}.)`,
  )
  const group = (at: number): string => lines.slice(10 * at, 10 * at + 10).join('\n')
  return {
    lines,
    text: `Mince ${pastes}\n\n${group(0)}\n\nFor the second:\n${group(1)}\n\nFor the third:\n${group(2)}\n\nMethod\n${steps.join('\n')}`,
  }
}
const PASTES = 41 * 3 + 3 * 4
const recipes = Array.from({ length: PASTES + 8 }, pastedRecipe)
let recipeAt = 0
let lineAt = 0
let ids = 0
const readWhole = ratioOf(
  () => {
    const result = readRecipes(recipes[(recipeAt += 1)]?.text ?? '', {
      reader,
      newId: () => `b${(ids += 1)}`,
      now: '2026-06-14T12:00:00Z',
      readStep: stepFrom,
      readMethod: readRecipeMethod,
    })
    if (!result.ok || result.value[0]?.written.length !== 12) throw new Error('the recipe was not read')
  },
  () => recipes[(lineAt += 1)]?.lines.forEach((line) => parseIngredient(line)),
  41,
  3,
)
console.log(
  `reading a whole recipe of 30 lines and 12 steps, against parse-ingredient alone on its lines: x${readWhole.toFixed(1)}   (aim: at most x25)`,
)

/** Every line differs, so that nothing can be remembered. */
const many = Array.from(
  { length: 10_000 },
  (_unused, at) =>
    `${1 + (at % 7)} ${['cups', 'tbsp', 'g', 'tsp'][at % 4] ?? 'g'} ${['cooked chickpeas', 'wallnuts', 'fresh basil', 'vital wheat gluten', `zorbel${at}`][at % 5] ?? ''}, batch ${at}`,
)
const timeFor = (lines: readonly string[]): number => {
  const start = performance.now()
  lines.forEach(read)
  return (performance.now() - start) / lines.length
}
timeFor(many.slice(0, 500))
const early = timeFor(many.slice(500, 2500))
const before = process.memoryUsage().heapUsed
timeFor(many.slice(2500, 8000))
const late = timeFor(many.slice(8000))
console.log(
  `10,000 different lines: time a line at the end against the start x${(late / early).toFixed(2)}; heap grew ${((process.memoryUsage().heapUsed - before) / 1e6).toFixed(1)} MB`,
)
