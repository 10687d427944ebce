import { readFileSync } from 'node:fs'
import { assess } from '@frijol/core/assess'
import { makeBackup, toCsv, toJsonLd, toMarkdown } from '@frijol/core/interchange'
import { findFood, indexFoods } from '@frijol/core/measure'
import type { Assessment, Dish, Kitchen } from '@frijol/core/model'
import { library } from '@frijol/library'
import { contextFor, dishesFrom, dishesOf, kitchenFor, readInput, withAim, type Streams } from './input'
import { experimented } from './experiment'
import { linesEntry } from './lines'
import { scaled } from './scale'
import { InputFault, type Options, readOptions, USAGE } from './options'
import { asPlanProblem, plannedDay, plannedProblem } from './plan'
import { converted, swaps } from './swap'
import { tasted } from './taste'
import { tuned } from './tune'

const one = (dishes: readonly Dish[]): Dish => {
  const first = dishes[0]
  if (first === undefined) throw new InputFault('The input holds no dish.', 'input', 'Give one recipe.')
  return first
}

/** An assessment as it is printed: a step's masses are of the whole part, what the step itself made stands beside them. */
const printed = (assessment: Assessment) => ({
  ...assessment,
  parts: assessment.parts.map((part) => ({
    ...part,
    steps: part.steps.map(({ massG, waterG, partMassG, partWaterG, ...step }) => ({
      ...step,
      massG: partMassG,
      waterG: partWaterG,
      lot: { massG, waterG },
    })),
  })),
})

function exported(dish: Dish, kitchen: Kitchen, as: string | null): string {
  const assessment = assess(dish, library, kitchen)
  switch (as) {
    case 'jsonld':
      return toJsonLd(dish, assessment.perPortion)
    case 'md':
      return toMarkdown(dish)
    case 'csv':
      return toCsv(
        ['part', 'text', 'food_id', 'mass_g', 'sd_g', 'share'],
        assessment.parts.flatMap((part) =>
          part.lines.map(({ text, foodId, massG, sdG, share }) => [
            part.name,
            text,
            foodId,
            massG,
            sdG,
            share,
          ]),
        ),
      )
    case 'backup':
      return makeBackup({ kitchen, dishes: [dish], trials: [], ingredients: [] }, new Date().toISOString())
    default:
      throw new InputFault(`--as is “${as ?? ''}”.`, '--as', 'Use jsonld, md, csv or backup.')
  }
}

function libraryEntries({ food, file }: Options) {
  if (food !== null) {
    const found = library.ingredients.get(food)
    if (found === undefined)
      throw new InputFault(
        `There is no ingredient “${food}”.`,
        '--food',
        'Search with a word: frijol library tofu',
      )
    return [found]
  }
  if (file === null) return [...library.ingredients.values()]
  const found = findFood(indexFoods(library.ingredients.values()), file)
  const words = file.toLowerCase()
  const named = [...library.ingredients.values()].filter(
    ({ id, name }) => id.includes(words) || name.toLowerCase().includes(words),
  )
  const ids = new Set([
    ...found.choices.map(({ ingredientId }) => ingredientId),
    ...named.map(({ id }) => id),
  ])
  return [...ids].flatMap((id) => library.ingredients.get(id) ?? [])
}

/** What a command prints: a JSON value, or a file's text. */
function run(options: Options, streams: Streams): unknown {
  const kitchen = kitchenFor(options, streams)
  const dish = () => one(dishesFrom(options, kitchen, streams))
  switch (options.command) {
    case 'lines': {
      const { reader } = contextFor(kitchen)
      const lines = readInput(options.file, streams)
        .split(/\r?\n/)
        .filter((line) => line.trim() !== '')
      return lines.map((line) => linesEntry(line, reader))
    }
    case 'read':
      return dishesFrom(options, kitchen, streams)
    case 'assess':
      return printed(assess(withAim(dish(), options), library, kitchen))
    case 'scale':
      return scaled(withAim(dish(), { ...options, portions: null }), kitchen, options)
    case 'tune':
      return tuned(withAim(dish(), options), kitchen, options)
    case 'swap':
      return swaps(withAim(dish(), options), kitchen, options)
    case 'convert':
      return converted(withAim(dish(), options), kitchen, options)
    case 'plan': {
      const text = readInput(options.file, streams)
      const problem = asPlanProblem(text)
      return problem === null
        ? plannedDay(dishesOf(text, { ...options, isBackupRead: true }, kitchen), kitchen, options)
        : plannedProblem(problem, options)
    }
    case 'experiment':
      return experimented(readInput(options.file, streams))
    case 'taste':
      return tasted(readInput(options.file, streams))
    case 'export':
      return exported(withAim(dish(), options), kitchen, options.as)
    case 'library':
      return libraryEntries(options)
    default:
      throw new InputFault(`There is no command “${options.command}”.`, 'arguments', USAGE)
  }
}

const standard: Streams = {
  input: () => readFileSync(0, 'utf8'),
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
}

/** Runs a command. Exit code 0 done, 2 the input is at fault; a defect throws. */
export async function main(argv: readonly string[], streams: Streams = standard): Promise<number> {
  try {
    if (argv.includes('--help') || argv.includes('-h')) {
      streams.out(`${USAGE}\n`)
      return 0
    }
    const result = await run(readOptions(argv), streams)
    const text = typeof result === 'string' ? result : JSON.stringify(result, null, 2)
    streams.out(text.endsWith('\n') ? text : `${text}\n`)
    return 0
  } catch (error) {
    if (!(error instanceof InputFault)) throw error
    streams.err(
      `${JSON.stringify({ error: error.message, at: error.at, hint: error.hint, ...error.more })}\n`,
    )
    return 2
  }
}
