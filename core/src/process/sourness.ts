import { poolOf } from './workspace'
import { INERT, POOL_COUNT, WATER } from '../program'
import type { Bench } from './bench'
import { CULTURE_PH } from './workspace'

/** The two constants of a food's buffering, and its neutral point. @source curve through lemon juice 2.4, yogurt 4.3; practice, ± 0.6 */
const NEUTRAL_PH = 6.6
const BUFFER_PH = 0.8
const BUFFER_MEQ_PER_KG = 5
/** Food is never more sour or more alkaline than this; the way there is smooth. */
const LEAST_PH = 1
const MOST_PH = 12
const SOFT = 0.3

/** Holds a value inside bounds without a corner. */
const within = (value: number): number => {
  const low = LEAST_PH + SOFT * Math.log1p(Math.exp((value - LEAST_PH) / SOFT))
  return MOST_PH - SOFT * Math.log1p(Math.exp((MOST_PH - low) / SOFT))
}

/**
 * A rough pH from the acids and alkalis in some rows.
 * @returns 1 to 12
 */
export function pHOf(bench: Pick<Bench, 'rows' | 'entry'>, rows: ArrayLike<number>): number {
  let meq = 0
  let wet = 0
  for (let at = 0; at < rows.length; at += 1) {
    const row = rows[at] ?? 0
    const { meqPerSoluble, meqPool } = bench.entry(row)
    if (meqPerSoluble !== 0) meq += meqPerSoluble * poolOf(bench.rows, row, meqPool)
    for (let pool = 0; pool < POOL_COUNT; pool += 1)
      if (pool === WATER || pool > 3) if (pool !== INERT) wet += poolOf(bench.rows, row, pool)
  }
  if (wet <= 0) return NEUTRAL_PH
  const perKg = (1000 * meq) / wet
  const away = BUFFER_PH * Math.log(1 + Math.abs(perKg) / BUFFER_MEQ_PER_KG)
  return within(NEUTRAL_PH - Math.sign(perKg) * away)
}

/** The pH of the lot at work: its culture's where one has soured it. */
export function reckonedPH(bench: Bench): number {
  const cultured = bench.lots[bench.lotAt + CULTURE_PH] ?? Number.NaN
  const acid = pHOf(bench, bench.op.rows)
  return Number.isNaN(cultured) ? acid : Math.min(cultured, acid)
}
