import {
  type Agent,
  SCORED_AMINO_ACIDS,
  type ScoredAminoAcid,
  AROMAS,
  type ClassUsual,
  type Culture,
  FAT_TEMPS,
  FoodClass,
  type ColourFact,
  type ParticleFact,
  PIGMENTS,
  type TraceFact,
  ProteinClass,
  type ProteinFact,
  REFUSE_PARTS,
  type RefusePart,
  StarchClass,
  type StarchFact,
} from '@frijol/core/model'
import type { StoredSignatures } from '../signatures'
import { readSignatures } from './signatures'
import { listIn, numberIn, readTable, type Row } from './table'

/** The facts tables as they stand in the generated file: maps and sets as plain values. */
export interface StoredFacts {
  readonly foods: readonly {
    readonly id: string
    readonly group: string
    readonly traits: readonly string[]
    readonly restMin: number | null
    readonly cookedC: number | null
    readonly pieceMm: number | null
    readonly refuse: Readonly<Record<RefusePart, number>> | null
  }[]
  readonly classGroups: readonly (readonly [FoodClass, string])[]
  readonly agents: readonly Agent[]
  readonly starches: readonly (readonly [StarchClass, StarchFact])[]
  readonly particles: readonly (readonly [FoodClass, ParticleFact])[]
  readonly cultures: readonly Culture[]
  readonly usual: readonly (readonly [FoodClass, ClassUsual])[]
  readonly proteins: readonly (readonly [ProteinClass, ProteinFact])[]
  readonly aromas: readonly (readonly [foodId: string, doses: readonly number[]])[]
  readonly solidFats: readonly (readonly [foodId: string, shares: readonly number[]])[]
  readonly colours: readonly (readonly [key: string, fact: ColourFact])[]
  readonly traces: readonly (readonly [key: string, fact: TraceFact])[]
  readonly pungency: readonly (readonly [foodId: string, mgPerG: number])[]
  readonly beany: readonly (readonly [key: string, perG: number])[]
  readonly addedSugars: readonly (readonly [foodId: string, share: number])[]
  readonly signatures: StoredSignatures
}

const data = (name: string): URL => new URL(`../../data/${name}`, import.meta.url)

function needed(row: Row, column: string): number {
  const value = numberIn(row, column)
  if (value === null) throw new Error(`${Object.values(row)[0] ?? '?'}: ${column} is empty`)
  return value
}
function oneOf<T extends string>(row: Row, column: string, known: readonly T[]): T {
  const found = known.find((one) => one === row[column])
  if (found === undefined)
    throw new Error(`${Object.values(row)[0] ?? '?'}: ${column} is “${row[column] ?? ''}”`)
  return found
}

const agentOf = (row: Row): Agent => ({
  foodId: row['id'] ?? '',
  family: row['family'] ?? '',
  strength: needed(row, 'strength'),
  hydrates: oneOf(row, 'hydrates', ['hot', 'cold']),
  hydrateC: needed(row, 'hydrate_c'),
  hydrateMin: needed(row, 'hydrate_min'),
  sets: oneOf(row, 'sets', ['cooling', 'heating', 'calcium', 'none']),
  setC: numberIn(row, 'set_c'),
  meltC: numberIn(row, 'melt_c'),
  acidPH: needed(row, 'acid_ph'),
  acidKeeps: needed(row, 'acid_keeps'),
  floorPct: needed(row, 'floor_pct'),
  source: row['source'] ?? '',
})
const starchOf = (row: Row): StarchFact => ({
  lowC: needed(row, 'low_c'),
  highC: needed(row, 'high_c'),
  swellingMlPerG: needed(row, 'swelling_ml_per_g'),
  isAmylose: oneOf(row, 'is_amylose', ['yes', 'no']) === 'yes',
  thinsC: numberIn(row, 'thins_c'),
  thinsMin: numberIn(row, 'thins_min'),
  source: row['source'] ?? '',
})
const particleOf = (row: Row): ParticleFact => ({
  pieceMm: needed(row, 'piece_mm'),
  groundUm: needed(row, 'ground_um'),
  blendedUm: needed(row, 'blended_um'),
  hardness: needed(row, 'hardness'),
  volumeMlPerG: needed(row, 'volume_ml_per_g'),
})
const cultureOf = (row: Row): Culture => ({
  id: row['culture'] ?? '',
  bestC: needed(row, 'best_c'),
  halfwayH: needed(row, 'halfway_h'),
  spreadH: needed(row, 'spread_h'),
  freshPH: needed(row, 'fresh_ph'),
  ripePH: needed(row, 'ripe_ph'),
})

const proteinOf = (row: Row): readonly [ProteinClass, ProteinFact] => [
  ProteinClass.parse(row['protein_class']),
  {
    mgPerG: Object.fromEntries(SCORED_AMINO_ACIDS.map((id) => [id, needed(row, id)])) as Record<
      ScoredAminoAcid,
      number
    >,
    digestibility: needed(row, 'digestibility'),
    ileal: {
      lys: needed(row, 'ileal_lys'),
      saa: needed(row, 'ileal_saa'),
      others: needed(row, 'ileal_others'),
    },
    source: row['source'] ?? '',
  },
]
const snakeCase = (name: string): string => name.replace(/[A-Z]/gu, (letter) => `_${letter.toLowerCase()}`)
const aromasOf = (row: Row): readonly [string, number[]] => [
  row['id'] ?? '',
  AROMAS.map((aroma) => needed(row, snakeCase(aroma))),
]
const solidFatOf = (row: Row): readonly [string, number[]] => [
  row['id'] ?? '',
  FAT_TEMPS.map((tempC) => needed(row, `sfc_${tempC}`) / 100),
]

const colourOf = (row: Row): readonly [string, ColourFact] => [
  row['key'] ?? '',
  {
    lab: [needed(row, 'lab_l'), needed(row, 'lab_a'), needed(row, 'lab_b')],
    strength: needed(row, 'strength'),
    pigment: (row['pigment'] ?? '') === '' ? null : oneOf(row, 'pigment', PIGMENTS),
  },
]
const traceOf = (row: Row): readonly [string, TraceFact] => [
  row['key'] ?? '',
  {
    zincMg: needed(row, 'zinc_mg'),
    seleniumUg: needed(row, 'selenium_ug'),
    iodineUg: needed(row, 'iodine_ug'),
    iodineLowUg: needed(row, 'iodine_low_ug'),
    iodineHighUg: needed(row, 'iodine_high_ug'),
    b12Ug: needed(row, 'b12_ug'),
    vitaminDUg: needed(row, 'vitamin_d_ug'),
    source: row['source'] ?? '',
  },
]
const doseOf = (row: Row, key: string, column: string): readonly [string, number] => [
  row[key] ?? '',
  needed(row, column),
]
const CLASS_KEYS: ReadonlySet<string> = new Set(FoodClass.options.map((id) => `class:${id}`))

/** Reads every facts table; throws where a row names no food or holds no figure that it needs. */
export function readFacts(foodIds: ReadonlySet<string>): StoredFacts {
  const refuse = new Map(readTable(data('refuse.csv')).map((row) => [row['id'] ?? '', row]))
  const rows = new Map(readTable(data('facts.csv')).map((row) => [row['id'] ?? '', row]))
  const agents = readTable(data('agents.csv')).map(agentOf)
  const aromas = readTable(data('aromas.csv')).map(aromasOf)
  const solidFats = readTable(data('fats.csv')).map(solidFatOf)
  const colours = readTable(data('colours.csv')).map(colourOf)
  const traces = readTable(data('traces.csv')).map(traceOf)
  const pungency = readTable(data('pungency.csv')).map((row) => doseOf(row, 'id', 'mg_per_g'))
  const addedSugars = readTable(data('added-sugars.csv')).map((row) => doseOf(row, 'id', 'share'))
  const beany = readTable(data('beany.csv')).map((row) => doseOf(row, 'key', 'per_g_solids'))
  const named = [
    ...agents.map(({ foodId }) => foodId),
    ...[...aromas, ...solidFats, ...pungency, ...addedSugars].map(([id]) => id),
    ...[...colours, ...traces, ...beany].map(([key]) => key).filter((key) => !CLASS_KEYS.has(key)),
  ]
  for (const id of [...rows.keys(), ...refuse.keys(), ...named])
    if (!foodIds.has(id)) throw new Error(`facts: no food ${id}`)
  return {
    foods: [...new Set([...rows.keys(), ...refuse.keys()])].sort().map((id) => {
      const row = rows.get(id) ?? {}
      const waste = refuse.get(id)
      return {
        id,
        group: row['group'] ?? '',
        traits: listIn(row, 'traits'),
        restMin: numberIn(row, 'rest_min'),
        cookedC: numberIn(row, 'cooked_c'),
        pieceMm: numberIn(row, 'piece_mm'),
        refuse:
          waste === undefined
            ? null
            : (Object.fromEntries(REFUSE_PARTS.map((part) => [part, needed(waste, part)])) as Record<
                RefusePart,
                number
              >),
      }
    }),
    classGroups: readTable(data('class-groups.csv')).map((row) => [
      FoodClass.parse(row['food_class']),
      row['group'] ?? '',
    ]),
    agents,
    starches: readTable(data('starches.csv')).map((row) => [StarchClass.parse(row['starch']), starchOf(row)]),
    particles: readTable(data('class-particles.csv')).map((row) => [
      FoodClass.parse(row['food_class']),
      particleOf(row),
    ]),
    usual: readTable(data('class-usual.csv')).map((row) => [
      FoodClass.parse(row['food_class']),
      {
        glutamateMg: needed(row, 'glutamate_mg'),
        glutamateSd: needed(row, 'glutamate_sd'),
        sodiumMostMg: needed(row, 'sodium_most_mg'),
      },
    ]),
    cultures: readTable(data('cultures.csv')).map(cultureOf),
    proteins: readTable(data('proteins.csv')).map(proteinOf),
    aromas,
    solidFats,
    colours,
    traces,
    pungency,
    beany,
    addedSugars,
    signatures: readSignatures(foodIds),
  }
}
