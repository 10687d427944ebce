import type { Ingredient, Original } from '@frijol/core/model'
import type { Row } from './table'

const cell = (value: number | null): string => (value === null ? '–' : String(Number(value.toPrecision(3))))

/** Tables of facts that the engine and the rules stand on, and what each holds. */
export const FACT_TABLES = [
  [
    'facts',
    'group of a food, traits by which rules find it, size of its pieces, rest and heat that it needs',
  ],
  ['class-groups', 'group of a class’s foods that have no row of their own'],
  [
    'group-kin',
    'groups that speak for one another where the yields have no rows, and the thickness of their pieces',
  ],
  [
    'agents',
    'gelling and thickening agents: strength, what they need to dissolve and set, what acid leaves of them',
  ],
  ['starches', 'how starches swell, and when they thin again'],
  ['class-particles', 'sizes of pieces, ground and blended, and how much of it the tongue feels'],
  ['class-usual', 'what foods of a class usually hold where a row is silent, with its scatter'],
  ['refuse', 'share of a whole food that its peel, core, seeds, stem or shell are'],
  [
    'aromas',
    'notes of smoke, sea, spice, butter, sulphur, bitterness, roast and culture that a gram of a food brings',
  ],
  ['fats', 'share of a food’s fat that is solid from 5 to 35 °C'],
  ['proteins', 'amino acids and digestibility of classes of protein, where a food lists none of its own'],
  ['colours', 'colour of a food, how strongly it tints a mix, and its pigment'],
  [
    'traces',
    'zinc, selenium, iodine, B12 and vitamin D of a food’s dry matter, by class where it has no row',
  ],
  ['added-sugars', 'share of a food’s sugars that a US label counts as added'],
  ['pungency', 'what of a food bites, as capsaicin'],
  ['beany', 'beany and grassy notes of a food’s solids'],
  [
    'signatures',
    'what carries the aroma of an original, in what dose, and what too much of it reads as; `original-signatures` says which original has which',
  ],
  ['cultures', 'temperature, time and acidity of souring cultures'],
] as const

/** The page that says where every figure of the library comes from. */
export function provenancePage({
  ingredients,
  originals,
  yields,
  facts,
  revisions,
  agreement,
}: {
  readonly ingredients: readonly Ingredient[]
  readonly originals: readonly Original[]
  readonly yields: readonly Row[]
  readonly facts: (table: (typeof FACT_TABLES)[number][0]) => readonly Row[]
  readonly revisions: readonly Row[]
  readonly agreement: readonly Row[]
}): string {
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
    '## Facts for the engine and the rules',
    '',
    'Each row of these tables in `library/data/` names its source beside it.',
    '',
    '| table | rows | holds | sources |',
    '|---|---|---|---|',
    ...FACT_TABLES.map(([table, holds]) => {
      const rows = facts(table)
      const sources = [...new Set(rows.map((row) => row['source'] ?? ''))].filter((source) => source !== '')
      return `| ${table} | ${rows.length} | ${holds} | ${sources.slice(0, 4).join('; ')}${sources.length > 4 ? '; …' : ''} |`
    }),
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
    ...secondLook(revisions, agreement),
    '',
  ].join('\n')
}

const plain = (cell: string | undefined): string => (cell ?? '').replaceAll('|', '/')

/** What a second look at the tables changed, what it left and why, and where two states of one food still differ. */
function secondLook(revisions: readonly Row[], agreement: readonly Row[]): string[] {
  const of = (taken: string): readonly Row[] => revisions.filter((row) => row['taken'] === taken)
  const changed = [...of('yes'), ...of('tables')]
  return [
    '## Second look',
    '',
    `${of('yes').length} single values were replaced, ${of('tables').length} names, allergens, densities, pieces and conversions were mended in their tables, ${of('no').length} proposals were left. The build refuses a revision whose former value is not what the table holds.`,
    '',
    '| food | field | was | now | range | confidence | why |',
    '|---|---|---|---|---|---|---|',
    ...changed.map(
      ({ id, field, was, value, low, high, confidence, why }) =>
        `| ${id} | ${field} | ${plain(was)} | ${plain(value)} | ${low === '' ? '–' : `${low} to ${high}`} | ${confidence} | ${plain(why)} |`,
    ),
    '',
    '### Left as it was',
    '',
    '| food | field | stands | proposed | why it was left |',
    '|---|---|---|---|---|',
    ...of('no').map(
      ({ id, field, was, value, left_because: why }) =>
        `| ${id} | ${field} | ${plain(was)} | ${plain(value)} | ${plain(why)} |`,
    ),
    '',
    '### Two states of one food that differ per dry matter',
    '',
    'Beyond 10 % of protein, fat, carbohydrate with fibre, or 25 % of fibre, the build asks for a reason.',
    '',
    '| from | to | what | reason |',
    '|---|---|---|---|',
    ...agreement.map(({ from, to, what, reason }) => `| ${from} | ${to} | ${what} | ${plain(reason)} |`),
  ]
}
