import { ALCOHOL, FAT, INERT, POOL_COUNT, PROTEIN, SALT, SOLID, SOLUBLE, STARCH, WATER } from '../program'
import { TAKEN_UP, WASHED, WHEY } from './accounts'
import type { Bench } from './bench'
import { bind } from './solutes'
import { COARSE, DEVELOPMENT, LOOSE, STRIDE } from './workspace'

const JUICE = [WATER, SALT, SOLUBLE, ALCOHOL] as const

/** Gluten that washing keeps of a flour's protein, and the starch that stays in it. @source recovery 0.75 to 0.85; rest of starch 10 to 20 % of the dry mass; process 3.27 */
const WASHED_PROTEIN = 0.8
const WASHED_STARCH = 0.06
const WASHED_SOLID = 0.25
const WASHED_FAT = 0.7
const WASHED_DEVELOPMENT = 0.7
/** Water of wet gluten, share of its mass. @source 65 to 70 %; ISO 21415-1 */
const GLUTEN_WATER = 0.66

export function wash(bench: Bench): void {
  const { op, rows } = bench
  for (const row of op.rows) {
    const from = row * STRIDE
    if (!bench.entry(row).hasGluten) {
      bench.shedAll(row, 1, WASHED)
      continue
    }
    bench.shedLoose(row, 1, WASHED)
    bench.shed(row, PROTEIN, 1 - WASHED_PROTEIN, WASHED)
    bench.shed(row, STARCH, 1 - WASHED_STARCH, WASHED)
    bench.shed(row, SOLID, 1 - WASHED_SOLID, WASHED)
    bench.shed(row, FAT, 1 - WASHED_FAT, WASHED)
    for (const pool of [SALT, SOLUBLE, ALCOHOL]) bench.shed(row, pool, 1, WASHED)
    const dry = bench.heldG(row) - (rows[from + WATER] ?? 0)
    const wanted = (dry * GLUTEN_WATER) / (1 - GLUTEN_WATER)
    const water = rows[from + WATER] ?? 0
    if (wanted > water) bench.gain(row, WATER, wanted - water, TAKEN_UP)
    else if (water > 0) bench.shed(row, WATER, 1 - wanted / water, WASHED)
    rows[from + DEVELOPMENT] = Math.max(rows[from + DEVELOPMENT] ?? 0, WASHED_DEVELOPMENT)
  }
}

/** Of the milk's solids, what the curd keeps; its water. @source 0.6 to 0.75 of milk solids; firm curd 75 to 80 % water; process 3.26 */
const CURD_KEEPS: readonly (readonly [pool: number, share: number])[] = [
  [PROTEIN, 0.88],
  [FAT, 0.92],
  [STARCH, 0.6],
  [SOLID, 0.55],
  [INERT, 1],
]

/** Milk parts into curd and whey: the curd takes its constant's share of the mass. */
export function curdle(bench: Bench): void {
  const { op, rows } = bench
  const keeps = [...op.constants.keeps].find((known) => !Number.isNaN(known))
  if (keeps === undefined) return
  bench.sum()
  const target = bench.massG * keeps * Math.exp(bench.lnRate)
  for (const row of op.rows) {
    for (let pool = 0; pool < POOL_COUNT; pool += 1)
      bench.move(row, LOOSE + pool, pool, rows[row * STRIDE + LOOSE + pool] ?? 0)
    for (const [pool, share] of CURD_KEEPS) bench.shed(row, pool, 1 - share, WHEY)
    rows[row * STRIDE + COARSE] = 1
  }
  bench.sum()
  const dry = bench.massG - bench.waterG
  const juice = bench.waterG > 0 ? Math.min(1, Math.max(0, 1 - (target - dry) / bench.waterG)) : 0
  for (const row of op.rows) for (const pool of JUICE) bench.shed(row, pool, juice, WHEY)
}

/** Flour and crumbs take up what lies loose round coated food from this share of it on, g dry per g water. Practice. */
const COATING = 0.3
/** Batter and breaded coats hold their liquid; glaze and marinade lie loose. */
export function cling(bench: Bench): void {
  bench.sum()
  if (bench.looseWaterG <= 0) return
  let dryG = 0
  for (const row of bench.op.rows) {
    const { particle, isDry, food } = bench.entry(row)
    const isPowder = isDry && particle.pieceMm === 0
    if (
      !isPowder &&
      food?.foodClass !== 'flour' &&
      food?.foodClass !== 'starch' &&
      food?.foodClass !== 'grain'
    )
      continue
    for (const pool of [PROTEIN, STARCH, SOLID])
      dryG += (bench.rows[row * STRIDE + LOOSE + pool] ?? 0) + (bench.rows[row * STRIDE + pool] ?? 0)
  }
  if (dryG > COATING * bench.looseWaterG) bind(bench, 'body')
}

/** What is dropped into the bath holds its liquid from then on. */
export function gel(bench: Bench): void {
  for (const row of bench.op.gelRows)
    for (let pool = 0; pool < POOL_COUNT; pool += 1)
      bench.move(row, LOOSE + pool, pool, bench.rows[row * STRIDE + LOOSE + pool] ?? 0)
}
