import type { Ingredient, Original } from '@frijol/core/model'
import type { Row } from './table'

const cell = (value: number | null): string => (value === null ? '–' : String(Number(value.toPrecision(3))))

/** The page that says where every figure of the library comes from. */
export function provenancePage(
  ingredients: readonly Ingredient[],
  originals: readonly Original[],
  yields: readonly Row[],
): string {
  const typed = ingredients.filter(({ source }) => source.startsWith('typed')).length
  const rows = ingredients.map((food) => {
    const { waterG, proteinG, fatG, carbohydrateG, fibreG, sodiumMg } = food.per100g
    const values = [waterG, proteinG, fatG, carbohydrateG, fibreG, sodiumMg].map(cell).join(' | ')
    const functions = food.functional === null ? '–' : food.functional.roles.join(', ')
    const measure = [
      ...new Set([...food.volumes, ...food.counts, ...food.packs].map(({ source }) => source)),
    ].join('; ')
    return `| ${food.id} | ${values} | ${food.source} | ${measure === '' ? '–' : measure} | ${functions} |`
  })
  return [
    '# Where the library’s figures come from',
    '',
    'Written by `npm run library`; do not edit. Values are per 100 g edible portion. A dash is “not stated”, which is never read as 0.',
    '',
    `${ingredients.length} ingredients: ${ingredients.length - typed} from a public table by food code, ${typed} typed from public composition tables and rounded. ${originals.length} originals. “practice” marks kitchen judgement; “recalled” marks household weights written down from memory of a public table: check a row before citing it.`,
    '',
    'The build refuses a composition that does not sum to 100 ± 4 g, an energy more than 12 % off its macronutrients, amino acids above the protein, a value without a source, and a table row that no food uses.',
    '',
    '| id | water g | protein g | fat g | carbohydrate g | fibre g | sodium mg | composition | measures | roles |',
    '|---|---|---|---|---|---|---|---|---|---|',
    ...rows,
    '',
    '## Yields of the unit operations',
    '',
    `${yields.length} rows: mass out per mass in, with the range that about nine of ten kitchens stay in. The constants of the process model are fitted to them; \`npm run bench\` prints every row beside what the model says.`,
    '',
    '| food | operation | factor | range | conditions | source |',
    '|---|---|---|---|---|---|',
    ...yields.map((row) => {
      const {
        food = '',
        operation = '',
        factor = '',
        low = '',
        high = '',
        conditions = '',
        source = '',
      } = row
      return `| ${food} | ${operation} | ${factor} | ${low} to ${high} | ${conditions} | ${source} |`
    }),
    '',
  ].join('\n')
}
