import { writeFileSync } from 'node:fs'
import { assess } from '@frijol/core/assess'
import { makeBackup, toCsv, toJsonLd, toMarkdown } from '@frijol/core/interchange'
import { indexFoods, lineFrom } from '@frijol/core/measure'
import {
  BackupContent,
  blankPart,
  defaultKitchen,
  type Dish,
  type Kitchen,
  noLimits,
  type Part,
} from '@frijol/core/model'
import { stepFrom } from '@frijol/core/reading'
import { library } from '@frijol/library'
import { current, packs, prices, trials, type WrittenPart, type WrittenTrial } from './moussaka'

const kitchen: Kitchen = {
  ...defaultKitchen,
  name: 'Saltmarsh Row Test Kitchen',
  packs: packs.map(([ingredientId, massG, label]) => ({ ingredientId, massG, label })),
  prices: prices.map(([ingredientId, price, perG]) => ({ ingredientId, price, perG })),
}
const reader = { index: indexFoods(library.ingredients.values()), ingredients: library.ingredients, kitchen }

function partFrom(written: WrittenPart, id: string): Part {
  let count = 0
  const newId = () => `${id}-${(count += 1)}`
  return {
    ...blankPart(id, written.name),
    family: written.family,
    originalId: written.originalId,
    lines: written.lines.map((text) => lineFrom(text, { reader, newId })),
    steps: written.steps.map((text) => stepFrom(text, newId())),
  }
}

const partsOf = (trial: WrittenTrial): Part[] =>
  trial.parts.map((part, at) => partFrom(part, `moussaka-t${trial.number}-p${at + 1}`))

const moussaka: Dish = {
  format: 'frijol/dish',
  version: 1,
  id: 'moussaka',
  name: 'Moussaka',
  menu: 'Aegean summer menu',
  note: 'Mince layer under white sauce, baked with sliced aubergine for the lunch counter.',
  createdAt: '2026-06-02T08:00:00Z',
  updatedAt: '2026-06-14T15:30:00Z',
  trial: { number: current.number, fromNumber: current.fromNumber, why: [] },
  aim: {
    matters: 'Separate granules with a bite, lamb richness, a sauce that coats and sets to a soft gel.',
    never: 'Pasty mince, or a sauce that tastes of raw flour.',
    portions: 6,
    portionMassG: 200,
    limits: { ...noLimits(), sodiumMgMax: 600, proteinGMin: 16, costMax: 1.6 },
    excluded: ['peanut'],
    without: [],
  },
  parts: partsOf(current),
  written: [],
  settled: [],
  extra: {},
}

const content = BackupContent.parse({
  kitchen,
  dishes: [moussaka],
  trials: trials.map((trial) => ({
    format: 'frijol/trial',
    version: 1,
    id: `moussaka-t${trial.number}`,
    dishId: 'moussaka',
    number: trial.number,
    fromNumber: trial.fromNumber,
    state: 'made',
    date: trial.date,
    aim: moussaka.aim,
    parts: partsOf(trial),
    asMade: [],
    notes: trial.notes,
    why: [],
    decision: trial.decision,
  })),
  ingredients: [],
})

const write = (name: string, text: string) =>
  writeFileSync(new URL(`../files/${name}`, import.meta.url), text)
write('saltmarsh-row.backup.json', makeBackup(content, '2026-06-14T15:30:00Z'))
write('moussaka.jsonld', toJsonLd(moussaka, assess(moussaka, library, kitchen).perPortion))
write('moussaka.md', toMarkdown(moussaka))
write(
  'pantry-prices.csv',
  toCsv(
    ['name', 'price', 'currency', 'grams'],
    prices.map(([id, price, perG]) => [library.ingredients.get(id)?.name ?? id, price, 'EUR', perG]),
  ),
)
console.log('demo/files written')
