import type { Facts, Ingredient, YieldRow } from '@frijol/core/model'
import type { GroupKin } from '@frijol/core/process'
import { listIn, numberIn, readTable, type Row } from './table'

const LIDS = ['off', 'ajar', 'on'] as const
const BUBBLING = ['warm', 'gentle', 'rapid', 'boil'] as const

const oneOf = <T extends string>(row: Row, column: string, known: readonly T[]): T => {
  const found = known.find((one) => one === row[column])
  if (found === undefined) throw new Error(`${row['id'] ?? '?'}: ${column} is “${row[column] ?? ''}”`)
  return found
}

function needed(row: Row, column: string): number {
  const value = numberIn(row, column)
  if (value === null) throw new Error(`${row['id'] ?? '?'}: ${column} is empty`)
  return value
}

const potOf = (row: Row): YieldRow['pot'] => {
  const chargeG = numberIn(row, 'charge_g')
  return chargeG === null
    ? null
    : {
        chargeG,
        areaDm2: needed(row, 'area_dm2'),
        lid: oneOf(row, 'lid', LIDS),
        bubbling: oneOf(row, 'bubbling', BUBBLING),
      }
}

/** The yields table: mass out per mass in of a food in an operation, with the water that the food starts from. */
export function readYields(path: URL, ingredients: ReadonlyMap<string, Ingredient>): YieldRow[] {
  return readTable(path).map((row) => {
    const ingredientId = row['ingredient'] === '' ? null : (row['ingredient'] ?? null)
    const waterPct =
      numberIn(row, 'water_pct') ??
      (ingredientId === null ? null : (ingredients.get(ingredientId)?.per100g.waterG ?? null))
    const pot = potOf(row)
    if (waterPct === null && row['group'] !== '')
      throw new Error(`yields: ${row['id'] ?? '?'} has no water content`)
    return {
      id: row['id'] ?? '',
      food: row['food'] ?? '',
      ingredientId,
      group: row['group'] ?? '',
      operation: row['operation'] ?? '',
      waterPct: waterPct ?? 90,
      soakedPct: numberIn(row, 'soaked_pct'),
      oilPct: numberIn(row, 'oil_pct') ?? 0,
      factor: needed(row, 'factor'),
      low: needed(row, 'low'),
      high: needed(row, 'high'),
      minutes: needed(row, 'time_min'),
      tempC: needed(row, 'temp_c'),
      liquidGPerG: numberIn(row, 'liquid_g_per_g'),
      pot,
    }
  })
}

/** Groups of foods that speak for one another, and the usual thickness of their pieces. */
export const readKin = (path: URL): Map<string, GroupKin> =>
  new Map(
    readTable(path).map((row) => [
      row['group'] ?? '',
      { kin: listIn(row, 'kin'), sizeMm: needed(row, 'size_mm') },
    ]),
  )

/** Share of each whole food that is left when its refuse is cut away. */
export const eatenShares = ({ foods }: Facts): Map<string, number> =>
  new Map(
    [...foods].flatMap(([id, { refuse }]) =>
      refuse === null ? [] : [[id, 1 - Object.values(refuse).reduce((sum, share) => sum + share, 0)]],
    ),
  )

/** Water of the cooked state of each dry food that has one, g per 100 g. */
export function cookedWater(
  conversions: readonly { readonly fromId: string; readonly toId: string }[],
  ingredients: ReadonlyMap<string, Ingredient>,
): Map<string, number> {
  const known = new Map<string, number>()
  for (const { fromId, toId } of conversions) {
    const water = ingredients.get(toId)?.per100g.waterG ?? null
    if (water !== null && toId.endsWith('-cooked')) known.set(fromId, water)
  }
  return known
}
