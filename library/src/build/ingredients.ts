import {
  type CountMeasure,
  FoodClass,
  Ingredient,
  ProteinClass,
  StarchClass,
  type VolumeMeasure,
} from '@frijol/core/model'
import { fromPublicTable, fromTyped } from './composition'
import { joinMeasures, type Measures } from './measures'
import { listIn, numberIn, type Row } from './table'

export interface Tables {
  readonly foods: readonly Row[]
  readonly publicTable: ReadonlyMap<string, Row>
  readonly measures: ReadonlyMap<string, Row>
  readonly functional: ReadonlyMap<string, Row>
  readonly binders: ReadonlyMap<string, Row>
  readonly umami: ReadonlyMap<string, Row>
  readonly classHolding: ReadonlyMap<string, Row>
}

export interface Joined {
  readonly ingredients: Ingredient[]
  /** Ids of joined tables that no food uses: each must be listed as left out on purpose. */
  readonly unused: { measures: string[]; functional: string[]; binders: string[]; umami: string[] }
}

const PROTEIN_BY_CLASS: Partial<Record<FoodClass, ProteinClass>> = {
  gluten: 'gluten',
  soy: 'soy',
  pulse: 'pulse',
  nut: 'nut-seed',
  seed: 'nut-seed',
  grain: 'cereal',
  flour: 'cereal',
  starch: 'cereal',
  mushroom: 'fungal',
  egg: 'animal',
  dairy: 'animal',
  meat: 'animal',
  fish: 'animal',
}
const STARCH_BY_CLASS: Partial<Record<FoodClass, StarchClass>> = {
  pulse: 'pulse',
  soy: 'pulse',
  nut: 'nut',
  seed: 'nut',
  grain: 'cereal',
  flour: 'cereal',
  vegetable: 'root',
  fruit: 'root',
}

const extrasOf = (row: Row): ReadonlyMap<string, string> =>
  new Map(
    listIn(row, 'extras').map((entry) => {
      const [key = '', value = ''] = entry.split('=')
      return [key, value]
    }),
  )

function functionalOf(row: Row | undefined): Ingredient['functional'] {
  if (row === undefined) return null
  return {
    roles: listIn(row, 'roles'),
    usualLowPct: numberIn(row, 'typical_pct_low'),
    usualHighPct: numberIn(row, 'typical_pct_high'),
    activation: row['activation'] ?? '',
    gelSetC: row['gel_set_c'] ?? '',
    gelMeltC: row['gel_melt_c'] ?? '',
    incompatibleWith: listIn(row, 'incompatible_with'),
    source: row['source'] ?? 'practice',
  }
}

function holdingOf(functional: Row | undefined, usual: Row | undefined): Ingredient['holding'] {
  const cold = functional === undefined ? null : numberIn(functional, 'water_binding_cold')
  const hot = functional === undefined ? null : numberIn(functional, 'water_binding_hot')
  if (functional !== undefined && cold !== null && hot !== null) {
    return {
      coldGPerG: cold,
      hotGPerG: hot,
      isClassDefault: false,
      source: functional['source'] ?? 'practice',
    }
  }
  if (usual === undefined) return null
  const coldGPerG = numberIn(usual, 'cold_g_per_g')
  const hotGPerG = numberIn(usual, 'hot_g_per_g')
  if (coldGPerG === null || hotGPerG === null) return null
  return { coldGPerG, hotGPerG, isClassDefault: true, source: usual['source'] ?? 'practice' }
}

/** Fresh leaves hold about their own water, whatever dried herbs do. */
function wetAdjusted(
  holding: Ingredient['holding'],
  foodClass: FoodClass,
  waterG: number | null,
): Ingredient['holding'] {
  if (holding === null || !holding.isClassDefault || waterG === null) return holding
  const own = waterG / 100
  const isWetDryClass = own > 0.5 && (foodClass === 'herb' || foodClass === 'grain' || foodClass === 'nut')
  const isDryWetClass =
    own < 0.3 &&
    (foodClass === 'pulse' || foodClass === 'vegetable' || foodClass === 'soy' || foodClass === 'fruit')
  if (isWetDryClass) return { ...holding, coldGPerG: own * 0.97, hotGPerG: own * 0.97 }
  return isDryWetClass ? { ...holding, coldGPerG: 1.5, hotGPerG: 2 } : holding
}

/** "spear:16:30/bunch:300:25": pieces with grams and relative sd in percent. */
const typedCounts = (cell: string | undefined): CountMeasure[] =>
  (cell ?? '')
    .split('/')
    .filter((entry) => entry !== '')
    .map((entry) => {
      const [unit = '', massG, rsd] = entry.split(':')
      return {
        form: null,
        unit,
        massG: Number(massG),
        rsd: Number(rsd) / 100,
        edibleFraction: null,
        source: 'practice',
      }
    })
/** "0.55:7/0.17:25@chopped": densities with relative sd in percent, some for one form alone. */
const typedDensity = (cell: string | undefined): VolumeMeasure[] =>
  (cell ?? '')
    .split('/')
    .filter((entry) => entry !== '')
    .map((entry) => {
      const [measure = '', form = null] = entry.split('@')
      const [gPerMl, rsd] = measure.split(':')
      return { form, gPerMl: Number(gPerMl), rsd: Number(rsd) / 100, source: 'practice' }
    })

/** "=beetroot!raw beetroot": the names of another row, without those that say another state. */
function namesOf(row: Row, rows: ReadonlyMap<string, Row>): string[] {
  const names = row['names'] ?? ''
  if (!names.startsWith('=')) return listIn(row, 'names')
  const [id = '', ...without] = names.slice(1).split('!')
  const other = rows.get(id)
  if (other === undefined) throw new Error(`${row['id']}: names refer to no food`)
  return listIn(other, 'names').filter((name) => !without.includes(name))
}

/** Joins the tables into ingredients. Throws on a reference to nothing or on a value outside its schema. */
export function joinIngredients(tables: Tables): Joined {
  const used = {
    measures: new Set<string>(),
    functional: new Set<string>(),
    binders: new Set<string>(),
    umami: new Set<string>(),
  }
  const rows = new Map(tables.foods.map((row) => [row['id'] ?? '', row]))
  const take = (table: ReadonlyMap<string, Row>, seen: Set<string>, id: string): Row | undefined => {
    const row = table.get(id)
    if (row !== undefined) seen.add(id)
    return row
  }
  const measuresOf = (row: Row): Measures => {
    const like = extrasOf(row).get('measurelike')
    const source = like === undefined ? row : rows.get(like)
    if (source === undefined) throw new Error(`${row['id']}: measurelike names no food`)
    return joinMeasures(source['measures'] ?? '', tables.measures, used.measures)
  }

  const ingredients = tables.foods.map((row) => {
    const id = row['id'] ?? ''
    const extras = extrasOf(row)
    const foodClass = FoodClass.parse(row['class'])
    const code = row['src'] ?? ''
    const tableRow = code === 'T' ? null : tables.publicTable.get(code)
    if (tableRow === undefined) throw new Error(`${id}: the public table has no ${code}`)
    const composition =
      tableRow === null ? fromTyped(id, row['comp'] ?? '', extras) : fromPublicTable(tableRow)
    const functional = take(tables.functional, used.functional, extras.get('fn') ?? id)
    const similar = extras.has('fnlike') ? tables.functional.get(extras.get('fnlike') ?? '') : functional
    const binder = take(tables.binders, used.binders, id)
    const umami = take(tables.umami, used.umami, id)
    const measures = measuresOf(row)
    const texture = Number(extras.get('developed') ?? 0)
    return Ingredient.parse({
      id,
      name: row['name'],
      otherNames: namesOf(row, rows),
      state: row['state'] === '' ? null : row['state'],
      foodClass,
      per100g: composition.per100g,
      statedEnergyKcal: composition.statedEnergyKcal,
      aminoAcidsGPer100g: composition.aminoAcidsGPer100g,
      proteinClass: extras.get('protein') ?? PROTEIN_BY_CLASS[foodClass] ?? 'other',
      starchClass:
        (composition.per100g.starchG ?? 0) === 0
          ? null
          : StarchClass.parse(extras.get('starch') ?? STARCH_BY_CLASS[foodClass] ?? 'root'),
      isSolidFat: extras.has('solidfat'),
      isGum: extras.has('gum'),
      isTexturised: extras.has('texturised'),
      glutenDevelopment: texture,
      volumes: [...measures.volumes, ...typedDensity(extras.get('density'))],
      counts: [
        ...measures.counts.filter(({ unit }) => unit !== 'can' || !extras.has('wholetin')),
        ...typedCounts(extras.get('count')),
      ],
      packs: extras.has('wholetin')
        ? measures.packs.map((pack) => ({ ...pack, drainedG: pack.netG }))
        : measures.packs,
      holding: wetAdjusted(
        holdingOf(similar, tables.classHolding.get(foodClass)),
        foodClass,
        composition.per100g.waterG,
      ),
      binder:
        binder === undefined
          ? null
          : {
              coldPerG: numberIn(binder, 'cold_per_g'),
              hotPerG: numberIn(binder, 'hot_per_g'),
              source: binder['source'],
            },
      umami:
        umami === undefined
          ? null
          : {
              glutamateMg: numberIn(umami, 'glutamate_mg'),
              impMg: numberIn(umami, 'imp_mg'),
              gmpMg: numberIn(umami, 'gmp_mg'),
              ampMg: numberIn(umami, 'amp_mg'),
              source: umami['source'],
            },
      functional: functionalOf(functional),
      allergens: (extras.get('al') ?? '').split(',').filter((entry) => entry !== ''),
      mayHold: (extras.get('may') ?? '').split(',').filter((entry) => entry !== ''),
      cautions: [
        ...(extras.has('caution') ? [extras.get('caution') ?? ''] : []),
        ...(extras.has('fortified') ? [`fortified-${extras.get('fortified')}`] : []),
      ],
      source: composition.source,
      origin: 'library',
    })
  })
  const left = (table: ReadonlyMap<string, Row>, seen: Set<string>) =>
    [...table.keys()].filter((id) => !seen.has(id))
  return {
    ingredients,
    unused: {
      measures: left(tables.measures, used.measures),
      functional: left(tables.functional, used.functional),
      binders: left(tables.binders, used.binders),
      umami: left(tables.umami, used.umami),
    },
  }
}
