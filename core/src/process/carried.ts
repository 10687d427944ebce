import { type FoodEntry, SOLUBLE, WATER } from '../program'
import type { PartRun } from './runPart'
import { BROWNED, COARSE, HOT_MIN, LOOSE, PIECE_MM, rowMass, STRIDE } from './workspace'

/** A food as it has come through the method, in the part that is served. */
export interface CarriedFood {
  readonly entry: FoodEntry
  /** Of what carries its aroma, as much is left as this mass of the food brought, g: boiling liquor and drippings took the rest. */
  readonly massG: number
  /** By what dissolves, g: as much is left as this mass of the food brought. */
  readonly dissolvedG: number
  /** What is left of it now, g, and of that what is no water, g. */
  readonly leftG: number
  readonly solidsG: number
  /** Share of it that is in pieces, 0 to 1, and their size, mm. */
  readonly inPieces: number
  readonly pieceMm: number
  /** Browned share, 0 to 1. */
  readonly browned: number
  /** How long it was above 80 C, min. */
  readonly hotMin: number
}

const LEAST_G = 1e-9

/** What of each food is left in a part as it is served, row by row: one food may come in several. */
export function foodsCarried({ program, space }: Pick<PartRun, 'program' | 'space'>): CarriedFood[] {
  const { rows } = space
  return program.finalRows.flatMap((row): CarriedFood[] => {
    const entry = program.rows[row]?.source.entry
    if (entry === undefined) return []
    const from = row * STRIDE
    const { aromaPool, pools } = entry
    const leftBy = (pool: number): number => {
      const carrier = (rows[from + pool] ?? 0) + (rows[from + LOOSE + pool] ?? 0)
      const perGram = pools[pool] ?? 0
      return perGram > 0 ? carrier / perGram : 0
    }
    const leftG = rowMass(rows, row)
    if (!(leftG > LEAST_G)) return []
    const waterG = (rows[from + WATER] ?? 0) + (rows[from + LOOSE + WATER] ?? 0)
    return [
      {
        entry,
        massG: leftBy(aromaPool),
        dissolvedG: leftBy(SOLUBLE),
        leftG,
        solidsG: Math.max(0, leftG - waterG),
        inPieces: rows[from + COARSE] ?? 0,
        pieceMm: rows[from + PIECE_MM] ?? 0,
        browned: rows[from + BROWNED] ?? 0,
        hotMin: rows[from + HOT_MIN] ?? 0,
      },
    ]
  })
}
