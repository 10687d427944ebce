import type { StepReading } from '../../model'
import { LAST_WATER } from '../laws/drying'
import { lawOf, MODEL_LN_SD } from '../laws/rates'
import { type Lot, lotSums, type LotSums } from '../lots/lot'
import { rateKey, type StepContext } from './context'

type Fitted = NonNullable<StepReading['fit']>

/** Brings a lot to the mass that the scale showed: the step's own gain or loss of water takes the difference. */
function bringTo(lot: Lot, weighedG: number, { ledger, spec }: StepContext): number {
  const { massG, waterG } = lotSums(lot)
  const more = weighedG - massG
  if (more === 0) return 0
  const isVapour = spec.medium !== 'none' && spec.medium !== 'cold' && spec.medium !== 'steam'
  if (more > 0) {
    const what = isVapour ? 'evaporated' : 'pressed out'
    const booked = ledger.lost.get(what)
    const undone = Math.min(more, booked?.waterG ?? 0)
    if (undone > 0) {
      ledger.lose(what, -undone, -undone)
      if (booked !== undefined && Math.abs(booked.massG) < 1e-9) ledger.lost.delete(what)
    }
    if (more > undone) ledger.gain('water taken up', more - undone, more - undone)
    for (const item of lot.items) {
      const share = waterG > 0 ? item.waterG / waterG : 1 / lot.items.length
      item.waterG += more * share
      if (isVapour) item.evaporatedG = Math.max(0, item.evaporatedG - undone * share)
    }
    return 0
  }
  const taken = ledger.gained.get('water taken up') ?? ledger.gained.get('broth taken up')
  const less = Math.min(-more, waterG)
  const undone = Math.min(less, taken?.massG ?? 0)
  if (undone > 0)
    ledger.gain(ledger.gained.has('water taken up') ? 'water taken up' : 'broth taken up', -undone, -undone)
  if (less > undone) ledger.lose(isVapour ? 'evaporated' : 'pressed out', less - undone, less - undone)
  for (const item of lot.items) {
    const share = waterG > 0 ? item.waterG / waterG : 0
    item.waterG -= less * share
    if (isVapour) item.evaporatedG += (less - undone) * share
  }
  return -more - less
}

/** How much the observed water needs a faster or slower drying than was predicted, as ln of the two constants. */
function dryingRatio(before: LotSums, predictedG: number, observedG: number): number | null {
  const last = Math.min(before.waterG, LAST_WATER * before.solidsG)
  const span = before.waterG - last
  const predicted = (predictedG - last) / span
  const observed = (observedG - last) / span
  if (!(predicted > 0 && predicted < 1 && observed > 0 && observed < 1)) return null
  return Math.log(Math.log(observed) / Math.log(predicted))
}

/** A change that both have in the same direction, as ln of the two. */
const changeRatio = (predicted: number, observed: number): number | null =>
  predicted * observed > 0 ? Math.log(observed / predicted) : null

/**
 * Takes the scale's word for a lot, and says what it means for the operation's constant.
 *
 * @param before sums of the lot as it went in
 * @param scaleG reading error of the scale, g
 * @returns ln(observed / default constant) with its sd; null where the operation has no constant or the change has another sign
 * @source one weighing: u(ln k) = u(m) / ((m1 − me) k t), with a model error of 0.10 in quadrature
 */
export function weigh(
  context: StepContext,
  lot: Lot,
  before: LotSums,
  weighedG: number,
  scaleG: number,
): Fitted {
  const predicted = lotSums(lot)
  const impossibleG = bringTo(lot, weighedG, context)
  const observed = lotSums(lot)
  const isDrying = lawOf(rateKey(context)) === 'drying'
  const isEvaporating = context.spec.medium === 'liquid'
  const hasConstant = isDrying || isEvaporating || lawOf(rateKey(context)) !== null
  const ratio = !hasConstant
    ? null
    : isDrying
      ? dryingRatio(before, predicted.waterG, observed.waterG)
      : changeRatio(predicted.massG - before.massG, observed.massG - before.massG)
  const last = LAST_WATER * before.solidsG
  const change = isDrying
    ? (observed.waterG - last) *
      Math.abs(Math.log(Math.max(1e-9, (observed.waterG - last) / Math.max(1e-9, before.waterG - last))))
    : Math.abs(observed.massG - before.massG)
  const reading = change > 0 ? scaleG / change : 1
  return {
    predictedG: predicted.massG,
    weighedG,
    lnRatio: ratio === null ? null : Math.max(-4, Math.min(4, ratio + context.fit.lnRatio)),
    sd: Math.min(5, Math.sqrt(reading ** 2 + MODEL_LN_SD ** 2)),
    impossibleG: Math.max(0, impossibleG),
  }
}
