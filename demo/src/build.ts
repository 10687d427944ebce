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
  type Trial,
} from '@frijol/core/model'
import { stepFrom } from '@frijol/core/reading'
import { resultOf, tastedOf } from '@frijol/core/sensory'
import { library } from '@frijol/library'
import { ideas } from './ideas'
import { sauceSeries } from './series'
import { menu } from './menu'
import { panel, tastingsOf } from './tastings'
import { current, packs, prices, trials } from './moussaka'
import type { WrittenDish, WrittenPart, WrittenTrial } from './written'

const kitchen: Kitchen = {
  ...defaultKitchen,
  name: 'Saltmarsh Row Test Kitchen',
  panel,
  packs: packs.map(([ingredientId, massG, label]) => ({ ingredientId, massG, label })),
  prices: prices.map(([ingredientId, price, perG]) => ({ ingredientId, price, perG })),
}
const reader = { index: indexFoods(library.ingredients.values()), ingredients: library.ingredients, kitchen }

const slug = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '-')
    .replace(/^-|-$/g, '')

/** A part with ids that a line and a step keep from trial to trial, as they do in the application. */
function partFrom(written: WrittenPart, id: string): Part {
  const taken = new Map<string, number>()
  const own = (words: string): string => {
    const name = `${id}-${slug(words)}`.slice(0, 60)
    const count = (taken.get(name) ?? 0) + 1
    taken.set(name, count)
    return count === 1 ? name : `${name}-${count}`
  }
  return {
    ...blankPart(id, written.name),
    family: written.family,
    originalId: written.originalId,
    lines: written.lines.map((text) => {
      const line = lineFrom(text, { reader, newId: () => 'new' })
      return { ...line, id: own(line.ingredientId ?? line.food) }
    }),
    steps: written.steps.map((text) => stepFrom(text, own(text.split(' ').slice(0, 3).join(' ')))),
  }
}

const partsOf = (id: string, trial: WrittenTrial): Part[] =>
  trial.parts.map((part) => partFrom(part, `${id}-${slug(part.name)}`))

const dishOf = (written: WrittenDish): Dish => ({
  format: 'frijol/dish',
  version: 1,
  id: written.id,
  name: written.name,
  menu: 'Aegean summer menu',
  note: written.note,
  createdAt: '2026-06-02T08:00:00Z',
  updatedAt: `${written.current.date}T15:30:00Z`,
  trial: { number: written.current.number, fromNumber: written.current.fromNumber, why: [] },
  aim: {
    matters: written.matters,
    never: written.never,
    portions: written.portions,
    portionMassG: written.portionMassG,
    limits: { ...noLimits(), sodiumMgMax: written.sodiumMgMax },
    excluded: [...written.excluded],
    without: [],
  },
  parts: partsOf(written.id, written.current),
  written: [],
  settled: [],
  series: [],
  extra: {},
})

const plain = dishOf({
  id: 'moussaka',
  name: 'Moussaka',
  note: 'Mince layer under white sauce, baked with sliced aubergine for the lunch counter.',
  matters: 'Separate granules with a bite, lamb richness, a sauce that coats and sets to a soft gel.',
  never: 'Pasty mince, or a sauce that tastes of raw flour.',
  portions: 6,
  portionMassG: 200,
  sodiumMgMax: 600,
  excluded: ['peanut'],
  trials,
  current,
})
const moussaka: Dish = {
  ...plain,
  series: [sauceSeries(plain, assess(plain, library, kitchen))],
  aim: { ...plain.aim, limits: { ...plain.aim.limits, proteinGMin: 16, costMax: 1.6 } },
}

const asMadeOf = (parts: readonly Part[], made: NonNullable<WrittenTrial['made']>): Trial['asMade'] =>
  Object.entries(made).map(([food, massG]) => {
    const line = parts.flatMap(({ lines }) => lines).find(({ ingredientId }) => ingredientId === food)
    if (line === undefined) throw new Error(`No line of ${food} was made.`)
    return { lineId: line.id, massG, instead: null }
  })

const trialsOf = (dish: Dish, made: readonly WrittenTrial[]): Trial[] =>
  made.map((trial) => ({
    format: 'frijol/trial',
    version: 1,
    id: `${dish.id}-t${trial.number}`,
    dishId: dish.id,
    number: trial.number,
    fromNumber: trial.fromNumber,
    state: trial.isSetAside === true ? 'set-aside' : 'made',
    date: trial.date,
    aim: dish.aim,
    parts: partsOf(dish.id, trial),
    written: [],
    asMade: asMadeOf(partsOf(dish.id, trial), trial.made ?? {}),
    photoIds: [],
    notes: trial.notes,
    why: [],
    decision: trial.decision,
  }))

const others = menu.map((written) => ({ dish: dishOf(written), written }))
const dishes = [moussaka, ...others.map(({ dish }) => dish)]
const made = [
  ...trialsOf(moussaka, trials),
  ...others.flatMap(({ dish, written }) => trialsOf(dish, written.trials)),
]
const tastings = tastingsOf(dishes, made, kitchen)

const content = BackupContent.parse({
  kitchen: {
    ...kitchen,
    ideas,
    // What the profile of the moussaka taught: the model read its umami, its roast and its chew too high.
    tasted: tastings.flatMap((tasting) =>
      tastedOf(tasting, resultOf(tasting).observed, tasting.createdAt.slice(0, 10)),
    ),
  },
  dishes,
  trials: made,
  ingredients: [],
  tastings,
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
