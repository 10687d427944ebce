import { writeFileSync } from 'node:fs'
import { fitRates } from '@frijol/core/process'
import { lawOf } from '@frijol/core/program'
import type { Allergen, Conversion } from '@frijol/core/model'
import { readPublicTable } from './composition'
import { disagreements, statePairs } from './agreement'
import { readFacts } from './facts'
import { readSwaps } from './swaps'
import { joinIngredients } from './ingredients'
import { originalFrom } from './originals'
import { provenancePage } from './provenance'
import { revised } from './revisions'
import { numberIn, readTable, type Row } from './table'
import { compositionFaults } from './validate'
import { cookedWater, readKin, readYields } from './yields'

const data = (name: string): URL => new URL(`../../data/${name}`, import.meta.url)
const byId = (rows: readonly Row[], column = 'id'): ReadonlyMap<string, Row> =>
  new Map(rows.map((row) => [row[column] ?? '', row]))

const rows = readTable(data('foods.psv'), '|')
const { ingredients: joined, unused } = joinIngredients({
  foods: rows,
  publicTable: readPublicTable(),
  measures: byId(readTable(data('measures.csv'))),
  functional: byId(readTable(data('functional.csv'))),
  binders: byId(readTable(data('binders.csv'))),
  umami: byId(readTable(data('umami.csv'))),
  classHolding: byId(readTable(data('class-holding.csv')), 'food_class'),
})
const revisions = readTable(data('revisions.csv'))
const { ingredients, faults: revisionFaults } = revised(joined, revisions)
const allergens = readTable(data('allergens.csv')).map((row): Allergen => ({
  id: row['id'] ?? '',
  name: row['name'] ?? '',
  group: row['group'] ?? '',
  isEuListed: row['eu_annex_ii'] === 'yes',
  isUsListed: row['us_major'] === 'yes',
}))
const conversions = readTable(data('conversions.csv')).map((row): Conversion => ({
  fromId: row['from'] ?? '',
  toId: row['to'] ?? '',
  factor: numberIn(row, 'factor') ?? 0,
  low: numberIn(row, 'low') ?? 0,
  high: numberIn(row, 'high') ?? 0,
  soakMin: numberIn(row, 'soak_min') ?? 0,
  cookMin: numberIn(row, 'cook_min') ?? 0,
  how: row['how'] ?? '',
  source: row['source'] ?? '',
}))
const foods = new Map(ingredients.map((ingredient) => [ingredient.id, ingredient]))
const yields = readYields(data('yields.csv'), foods)
const rates = fitRates(yields, cookedWater(conversions, foods), readKin(data('group-kin.csv')))
const facts = readFacts(new Set(foods.keys()))
const swaps = readSwaps(data('swaps.csv'), new Set(foods.keys()))
const traces = byId(readTable(data('original-traces.csv')))
const originals = readTable(data('originals.csv')).map((row) =>
  originalFrom(row, traces.get(row['id'] ?? '')),
)

const originalIds = new Set(originals.map(({ id }) => id))
for (const [id] of facts.signatures.originals)
  if (!originalIds.has(id)) throw new Error(`original-signatures: no original ${id}`)

const known = new Set(allergens.map(({ id }) => id))
const faults = [
  ...revisionFaults,
  ...disagreements(statePairs(ingredients, rows, conversions), readTable(data('agreement.csv'))),
  ...ingredients.flatMap((ingredient) => [
    ...compositionFaults(ingredient),
    ...[...ingredient.allergens, ...ingredient.mayHold]
      .filter((id) => !known.has(id))
      .map((id) => `${ingredient.id}: unknown allergen ${id}`),
  ]),
]
for (const { fromId, toId, factor, low, high, source } of conversions) {
  for (const id of [fromId, toId]) {
    if (!ingredients.some((ingredient) => ingredient.id === id)) faults.push(`conversions: no food ${id}`)
  }
  if (!(low <= factor && factor <= high && low > 0) || source === '')
    faults.push(`conversions: ${fromId} has no sound factor`)
}
for (const { id, factor, low, high, operation, pot } of yields) {
  if (!(low <= factor && factor <= high && low > 0)) faults.push(`yields: ${id} has no sound factor`)
  if (pot === null && lawOf(operation) === null && operation !== 'cook-liquid')
    faults.push(`yields: ${id} names no operation with a law: ${operation}`)
}
const ids = new Set<string>()
for (const { id } of ingredients) {
  if (ids.has(id)) faults.push(`${id} stands twice`)
  ids.add(id)
}
for (const [table, left] of Object.entries(unused)) {
  if (left.length > 0) faults.push(`${table}: no food uses ${left.join(', ')}`)
}
if (faults.length > 0) {
  console.error(`The library was not written: ${faults.length} faults.\n${faults.join('\n')}`)
  process.exit(1)
}
const sorted = [...ingredients].sort((a, b) => a.id.localeCompare(b.id))
writeFileSync(
  new URL('../generated/library.json', import.meta.url),
  `${JSON.stringify({ ingredients: sorted, originals, allergens, conversions, rates, facts, swaps })}\n`,
)
writeFileSync(
  new URL('../../../docs/library-provenance.md', import.meta.url),
  provenancePage({
    ingredients: sorted,
    originals,
    yields: readTable(data('yields.csv')),
    facts: (table) => readTable(data(`${table}.csv`)),
    revisions,
    agreement: readTable(data('agreement.csv')),
  }),
)
console.log(`${sorted.length} ingredients, ${originals.length} originals, ${allergens.length} allergens`)
