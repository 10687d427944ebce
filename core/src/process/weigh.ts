import { lawOf, MODEL_LN_SD, POOL_COUNT, WATER } from '../program'
import { BOOK_SIZE, BROTH_TAKEN_UP, EVAPORATED, PRESSED, TAKEN_UP } from './accounts'
import type { Bench } from './bench'
import { LAST_WATER } from './laws/drying'
import {
  EVAPORATED_G,
  FIT_SD,
  IMPOSSIBLE_G,
  LN_RATIO,
  LOOSE,
  PREDICTED_G,
  RECORD_STRIDE,
  STRIDE,
} from './workspace'

const MOST_LN = 4
const MOST_SD = 5
const QUIET: ReadonlySet<string> = new Set(['none', 'cold', 'steam'])

const bookedWater = (bench: Bench, account: number): number =>
  bench.books[bench.op.at * BOOK_SIZE + account * POOL_COUNT + WATER] ?? 0

/** Less than this is arithmetic, g. */
const LEAST_G = 1e-9

/** Water that left as vapour is there after all: each food has its own back. */
function giveBack(bench: Bench, grams: number): void {
  const { rows, op } = bench
  let gone = 0
  for (const row of op.rows) gone += rows[row * STRIDE + EVAPORATED_G] ?? 0
  const share = Math.min(1, grams / Math.max(gone, LEAST_G))
  for (const row of op.rows) {
    const at = row * STRIDE
    const back = (rows[at + EVAPORATED_G] ?? 0) * share
    rows[at + WATER] = (rows[at + WATER] ?? 0) + back
    rows[at + EVAPORATED_G] = (rows[at + EVAPORATED_G] ?? 0) - back
  }
  bench.isStale = true
  bench.book(EVAPORATED, WATER, -gone * share)
}

/** Water of the lot changes by so much, in step with what each food has; it is booked under an account. */
function shift(bench: Bench, grams: number, account: number, sign: 1 | -1): void {
  const { rows, op } = bench
  bench.sum()
  bench.isStale = true
  const byWater = bench.waterG > LEAST_G
  const whole = byWater ? bench.waterG : bench.massG
  if (whole <= 0) return
  const isAll = byWater && Math.abs(1 + grams / whole) < 1e-9
  for (const row of op.rows) {
    const at = row * STRIDE
    const own = byWater ? (rows[at + WATER] ?? 0) : bench.massOf(row)
    const loose = byWater ? (rows[at + LOOSE + WATER] ?? 0) : 0
    // All of it is all of it: what rounding leaves would count as a liquid.
    rows[at + WATER] = isAll ? 0 : (rows[at + WATER] ?? 0) + (grams * own) / whole
    rows[at + LOOSE + WATER] = isAll ? 0 : (rows[at + LOOSE + WATER] ?? 0) + (grams * loose) / whole
    if (account === EVAPORATED)
      rows[at + EVAPORATED_G] = (rows[at + EVAPORATED_G] ?? 0) - (grams * (own + loose)) / whole
  }
  bench.book(account, WATER, sign * grams)
}

/**
 * Brings the lot to the mass that the scale showed: the step's own gain or loss of water takes the difference. More than
 * was there, and could have come in, is not made up: it is told as impossible.
 */
function bringTo(bench: Bench, weighedG: number): number {
  bench.sum()
  const more = weighedG - bench.massG
  const spec = bench.op.spec
  const leaves = spec !== null && !QUIET.has(spec.medium) ? EVAPORATED : PRESSED
  const comes = bookedWater(bench, BROTH_TAKEN_UP) > 0 ? BROTH_TAKEN_UP : TAKEN_UP
  if (more >= 0) {
    const undone = Math.min(more, Math.max(0, bookedWater(bench, leaves)))
    if (undone > 0) {
      if (leaves === EVAPORATED) giveBack(bench, undone)
      else shift(bench, undone, leaves, -1)
    }
    // A food that drinks from the tap may have drunk more; no other lot grows.
    const drunk = bench.op.tapRatio > 0 || bookedWater(bench, comes) > 0 ? more - undone : 0
    if (drunk > 0) shift(bench, drunk, comes, 1)
    return more - undone - drunk
  }
  const less = Math.min(-more, bench.waterG)
  const undone = Math.min(less, bookedWater(bench, comes))
  if (undone > 0) shift(bench, -undone, comes, 1)
  if (less > undone) shift(bench, -(less - undone), leaves, -1)
  return -more - less
}

/** How much the observed water needs a faster or slower drying than was predicted, as ln of the two constants. */
function dryingRatio(span: number, last: number, predictedG: number, observedG: number): number {
  const predicted = (predictedG - last) / span
  const observed = (observedG - last) / span
  if (!(predicted > 0 && predicted < 1 && observed > 0 && observed < 1)) return Number.NaN
  return Math.log(Math.log(observed) / Math.log(predicted))
}

/** A change that both have in the same direction, as ln of the two. */
const changeRatio = (predicted: number, observed: number): number =>
  predicted * observed > 0 ? Math.log(observed / predicted) : Number.NaN

/** Sums of a lot as it went in. */
export interface Before {
  readonly massG: number
  readonly waterG: number
  readonly solidsG: number
}

/**
 * Takes the scale's word for a lot, and records what it means for the operation's constant.
 *
 * @param before sums of the lot as it went in
 * @param scaleG reading error of the scale, g
 * @source one weighing: u(ln k) = u(m) / ((m1 − me) k t), with a model error of 0.10 in quadrature
 */
export function weigh(bench: Bench, before: Before, scaleG: number): void {
  bench.sum()
  const { op } = bench
  const predictedMass = bench.massG
  const predictedWater = bench.waterG
  const impossible = bringTo(bench, bench.weighedG)
  bench.impossibleG = Math.max(bench.impossibleG, impossible)
  bench.sum()
  const isDrying = lawOf(op.rateKey) === 'drying'
  const hasConstant = isDrying || op.spec?.medium === 'liquid' || lawOf(op.rateKey) !== null
  const last = Math.min(before.waterG, LAST_WATER * before.solidsG)
  const span = before.waterG - last
  const ratio = !hasConstant
    ? Number.NaN
    : isDrying
      ? dryingRatio(span, last, predictedWater, bench.waterG)
      : changeRatio(predictedMass - before.massG, bench.massG - before.massG)
  const over = bench.waterG - last
  const change = isDrying
    ? over * Math.abs(Math.log(Math.max(1e-9, over / Math.max(1e-9, span))))
    : Math.abs(bench.massG - before.massG)
  const reading = change > 0 ? scaleG / change : 1
  const at = op.at * RECORD_STRIDE
  bench.records[at + PREDICTED_G] = predictedMass
  bench.records[at + LN_RATIO] = Math.max(-MOST_LN, Math.min(MOST_LN, ratio + bench.lnRate))
  bench.records[at + FIT_SD] = Math.min(MOST_SD, Math.hypot(reading, MODEL_LN_SD))
  bench.records[at + IMPOSSIBLE_G] = bench.impossibleG
}

/** Without an operation, the scale's or the words' end still holds; only water leaves. */
export function bringWithoutOperation(bench: Bench, wantedG: number): void {
  bench.sum()
  const less = bench.massG - wantedG
  const left = Math.min(Math.max(0, less), bench.waterG)
  if (left > 0) shift(bench, -left, EVAPORATED, -1)
  bench.impossibleG = Math.max(bench.impossibleG, Math.abs(less) - left)
}
