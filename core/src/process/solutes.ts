import { ALCOHOL, POOL_COUNT, SALT, SOLUBLE, WATER } from '../program'
import type { Bench } from './bench'
import { LOOSE, PIECE_MM, STRIDE } from './workspace'

/** Diffusion of salt and sugar in food at 20 C, m2/s; half as fast again for every 18 C. @source 0.5 to 1.2e-9; process 1.6 */
const DIFFUSION_M2_S = 0.8e-9
const REFERENCE_C = 20
const QUICKER_PER_C = Math.log(1.5) / 18
/** A slab is even after its half thickness squared over this times the diffusion. @source tau = L2 / (2.5 D); process 1.6 */
const SLAB = 2.5
const LEAST_MM = 1
/** A whole block is reached from all sides through its pieces' gaps, not deeper than this, mm. Practice. */
const MOST_MM = 30
const DRY_SHARE = 1e-9
const DISSOLVED = [SALT, SOLUBLE, ALCOHOL] as const

/** Time in which solutes go 63 % of the way to even, min. */
function evenTau(pieceMm: number, tempC: number): number {
  const half = Math.min(MOST_MM, Math.max(LEAST_MM, pieceMm)) / 2000
  const diffusion = DIFFUSION_M2_S * Math.exp(QUICKER_PER_C * (tempC - REFERENCE_C))
  return (half * half) / (SLAB * diffusion) / 60
}

/**
 * Salt and soluble matter even out between what the pieces hold and the liquid round them.
 *
 * @param tapG water of the tap that the food lies in beside its own liquid, g
 * @param tempC of the bath
 * @source equal concentration in all water at the end, first-order before it: process 1.6
 */
export function evenOut(bench: Bench, minutes: number, tempC: number, tapG: number): void {
  const { op, rows } = bench
  let held = 0
  let loose = tapG
  let pieces = 0
  let size = 0
  for (const row of op.rows) {
    const from = row * STRIDE
    const water = rows[from + WATER] ?? 0
    held += water
    loose += rows[from + LOOSE + WATER] ?? 0
    const piece = rows[from + PIECE_MM] ?? 0
    if (piece > 0) {
      const grams = bench.heldG(row)
      pieces += grams
      size += grams * piece
    }
  }
  // Bone dry but for rounding: nothing moves in food without water.
  if (held <= DRY_SHARE * (held + loose)) return
  bench.isStale = true
  const inside = held / (held + loose)
  const progress = 1 - Math.exp(-minutes / evenTau(pieces > 0 ? size / pieces : LEAST_MM, tempC))
  for (const row of op.rows) {
    const from = row * STRIDE
    for (const pool of DISSOLVED) {
      const own = rows[from + pool] ?? 0
      const all = own + (rows[from + LOOSE + pool] ?? 0)
      if (all <= 0) continue
      const moved = progress * (inside * all - own)
      rows[from + pool] = own + moved
      rows[from + LOOSE + pool] = all - own - moved
    }
  }
}

/** A row takes up water that lies loose in the lot, with what is dissolved in it. Returns grams of water taken. */
export function takeUp(bench: Bench, into: number, grams: number): number {
  const { op, rows } = bench
  let available = 0
  for (const row of op.rows) available += rows[row * STRIDE + LOOSE + WATER] ?? 0
  if (grams <= 0 || available <= 0) return 0
  const taken = Math.min(grams, available)
  bench.isStale = true
  // Where the last drop goes in, all that was dissolved in it goes with it.
  const share = taken / available
  for (const row of op.rows) {
    const from = row * STRIDE
    const water = (rows[from + LOOSE + WATER] ?? 0) * share
    rows[from + LOOSE + WATER] = (rows[from + LOOSE + WATER] ?? 0) - water
    for (const pool of DISSOLVED)
      bench.move(row, LOOSE + pool, pool, (rows[from + LOOSE + pool] ?? 0) * share)
  }
  rows[into * STRIDE + WATER] = (rows[into * STRIDE + WATER] ?? 0) + taken
  return taken
}

/** All that lies loose is worked into the body, or all that is held becomes one liquid. */
export function bind(bench: Bench, into: 'body' | 'liquid'): void {
  const { rows, op } = bench
  bench.isStale = true
  const to = into === 'body' ? 0 : LOOSE
  const away = into === 'body' ? LOOSE : 0
  for (const row of op.rows) {
    const from = row * STRIDE
    for (let pool = 0; pool < POOL_COUNT; pool += 1) {
      const grams = rows[from + away + pool] ?? 0
      if (grams === 0) continue
      rows[from + to + pool] = (rows[from + to + pool] ?? 0) + grams
      rows[from + away + pool] = 0
    }
  }
}
