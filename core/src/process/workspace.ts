import type { Equipment } from '../model'
import { type Fit, POOL_COUNT, type Program } from '../program'
import { BOOK_SIZE } from './accounts'

/** Layout of a row: pools that the pieces hold, pools that lie loose in the liquid, and what the food has been through. */
export const HELD = 0
export const LOOSE = POOL_COUNT
export const EVAPORATED_G = 2 * POOL_COUNT
export const PRESSED_FROM_G = EVAPORATED_G + 1
/** How far its gluten is developed, 0 to 1. */
export const DEVELOPMENT = EVAPORATED_G + 2
export const PEAK_C = EVAPORATED_G + 3
/** Size of its pieces, mm, and the share of it that is pieces, 0 to 1. */
export const PIECE_MM = EVAPORATED_G + 4
export const COARSE = EVAPORATED_G + 5
/** Coarse end of its particles where it is no pieces, um. */
export const PARTICLE_UM = EVAPORATED_G + 6
export const BROWNED = EVAPORATED_G + 7
/** Shares of its starch that are swollen and that have thinned again, and of its protein that has set, 0 to 1. */
export const SWOLLEN = EVAPORATED_G + 8
export const THINNED = EVAPORATED_G + 9
export const PROTEIN_SET = EVAPORATED_G + 10
/** An agent: share dissolved, and what acid and heat left of its strength, 0 to 1. */
export const HYDRATED = EVAPORATED_G + 11
export const ACID_KEPT = EVAPORATED_G + 12
/** Dry kernels that lay in water blend finer, 0 to 1. */
export const SOAKED = EVAPORATED_G + 13
/** Share of its fat in fine droplets, 0 to 1. */
export const EMULSIFIED = EVAPORATED_G + 14
/** How far its strands are drawn out or pulled apart, 0 to 1. */
export const STRAND = EVAPORATED_G + 15
/** How far its protein stands as one gel, 0 to 1: broken by blending, set again by heat. */
export const GEL = EVAPORATED_G + 16
/** Minutes that it has been above 80 C. */
export const HOT_MIN = EVAPORATED_G + 17
export const STRIDE = EVAPORATED_G + 18

/** Layout of a lot. */
export const CORE_C = 0
/** Set by cultures; NaN where it is reckoned from the acids. */
export const CULTURE_PH = 1
export const OVERRUN_PCT = 2
export const SURFACE_DRY = 3
/** Hours below 8 C since it was last hot. */
export const COLD_H = 4
/** Coldest that it has been since it was last hot, C. */
export const COLDEST_C = 5
/** Minutes in a setting bath. */
export const BATH_MIN = 6
export const LOT_STRIDE = 7

/** Layout of the record of an operation. */
export const MASS_IN = 0
export const WATER_IN = 1
export const MASS_OUT = 2
export const WATER_OUT = 3
export const MINUTES = 4
export const IMPOSSIBLE_G = 5
export const TEMP_C = 6
export const START_C = 7
export const PREDICTED_G = 8
export const LN_RATIO = 9
export const FIT_SD = 10
/** Mass and water that came from other parts. */
export const FROM_PARTS_G = 11
export const FROM_PARTS_WATER_G = 12
export const RECORD_STRIDE = 13

/** Where an operation is done: fixed before a search begins, so that nothing jumps while masses change. */
export interface Placed {
  readonly vessel: Equipment | null
  readonly oven: Equipment | null
  /** Loads one after another. */
  readonly loads: number
  /** Surface from which vapour leaves in each load, dm2. */
  readonly areaDm2: number
  /** Raw load of the vessel, g per dm2 when all of it goes in at once; null without an area. */
  readonly gPerDm2: number | null
  readonly fit: Fit
}

/** Buffers of one evaluation: made once for a program and used again by every call. */
export interface Workspace {
  readonly rows: Float64Array
  readonly lots: Float64Array
  readonly books: Float64Array
  readonly records: Float64Array
  /** Mass of each taken entry, in the order of operations and takes. */
  readonly takenG: Float64Array
  /** Mass and water of the lines as they come to the first step, g. */
  readonly start: Float64Array
}

/** Rows and lots as they stood before each operation: a change that begins late starts from there. */
export interface Snapshots {
  readonly rows: Float64Array[]
  readonly lots: Float64Array[]
}

export const workspaceFor = (program: Program): Workspace => ({
  rows: new Float64Array(program.rows.length * STRIDE),
  lots: new Float64Array(program.ops.length * LOT_STRIDE),
  books: new Float64Array(program.ops.length * BOOK_SIZE),
  records: new Float64Array(program.ops.length * RECORD_STRIDE),
  takenG: new Float64Array(program.ops.reduce((count, { takes }) => count + takes.length, 0)),
  start: new Float64Array(2),
})

export function rowMass(rows: Float64Array, row: number): number {
  let sum = 0
  const from = row * STRIDE
  const to = from + EVAPORATED_G
  for (let at = from; at < to; at += 1) sum += rows[at] ?? 0
  return sum
}
/** Grams of a pool in a row, held and loose. */
export const poolOf = (rows: Float64Array, row: number, pool: number): number =>
  (rows[row * STRIDE + pool] ?? 0) + (rows[row * STRIDE + LOOSE + pool] ?? 0)
