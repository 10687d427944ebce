import { FAT, POOL_COUNT, type Row, WATER } from '../program'
import { uptakeAfter } from './laws/uptake'
import {
  ACID_KEPT,
  COARSE,
  DEVELOPMENT,
  EMULSIFIED,
  EVAPORATED_G,
  GEL,
  LOOSE,
  PARTICLE_UM,
  PEAK_C,
  PIECE_MM,
  PRESSED_FROM_G,
  PROTEIN_SET,
  SOAKED,
  STRAND,
  STRIDE,
  SWOLLEN,
} from './workspace'
import { ROOM_C } from './warmth'

const COOKED_C = 98
/** Intact foods and homogenised drinks hold their fat in fine drops; bought fat is one drop. */
const WITHIN = 1
/** Mashed food keeps so much in pieces. Practice. */
const MASHED_COARSE = 0.15
/** Strands that part under the teeth before anyone pulls them apart. Practice. */
const UNPULLED = 0.35

/** Fills a row with so many grams of its food as it is listed. */
export function fillLine(rows: Float64Array, at: number, row: Row, massG: number): void {
  const from = at * STRIDE
  const { entry } = row.source
  const first = entry.isLiquid || entry.isSolute ? LOOSE : 0
  for (let pool = 0; pool < POOL_COUNT; pool += 1)
    rows[from + first + pool] = (entry.pools[pool] ?? 0) * massG
  rows[from + DEVELOPMENT] = entry.glutenDevelopment
  rows[from + PEAK_C] = entry.isCooked ? COOKED_C : ROOM_C
  rows[from + SWOLLEN] = entry.isCooked ? 1 : 0
  rows[from + PROTEIN_SET] = entry.isCooked ? 1 : 0
  rows[from + ACID_KEPT] = 1
  rows[from + SOAKED] = row.isSoaked ? 1 : 0
  rows[from + EMULSIFIED] = entry.food?.foodClass === 'fat' ? 0 : WITHIN
  const { particle } = entry
  const listed = row.pieceMm === null ? particle.pieceMm : Math.min(row.pieceMm, particle.pieceMm)
  rows[from + PIECE_MM] = listed
  rows[from + COARSE] = particle.pieceMm > 0 ? 1 - (1 - MASHED_COARSE) * row.mashed : 0
  rows[from + PARTICLE_UM] = particle.groundUm
  rows[from + STRAND] = entry.isStrandy ? (row.isPulled ? 1 : UNPULLED) : 0
  rows[from + GEL] = entry.gels === 'stands' || (entry.gels === 'heat' && entry.isCooked) ? 1 : 0
  if (row.presoak !== null) soakFirst(rows, from, row.presoak)
}

/** "60 g raw cashews, soaked 4 hours" comes to its first step soaked. */
function soakFirst(
  rows: Float64Array,
  from: number,
  { saturation, tauMin, minutes }: NonNullable<Row['presoak']>,
): void {
  let solids = 0
  for (let pool = FAT; pool < POOL_COUNT; pool += 1) solids += rows[from + pool] ?? 0
  if (solids <= 0) return
  const water = rows[from + WATER] ?? 0
  const after = solids * uptakeAfter(water / solids, saturation, minutes, tauMin)
  if (after > water) rows[from + WATER] = after
  rows[from + SOAKED] = 1 - Math.exp(-minutes / tauMin)
}

/** Fills a row with a share of another; what that one has been through stays with it, its vapour is its own record. */
export function fillWith(
  rows: Float64Array,
  at: number,
  others: Float64Array,
  other: number,
  share: number,
): void {
  const to = at * STRIDE
  const from = other * STRIDE
  for (let cell = 0; cell < STRIDE; cell += 1) {
    const isAmount = cell <= PRESSED_FROM_G
    rows[to + cell] = (others[from + cell] ?? 0) * (isAmount ? share : 1)
  }
  if (others !== rows) rows[to + EVAPORATED_G] = 0
}
