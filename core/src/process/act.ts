import { WATER } from '../program'
import { ADDITIONS, EVAPORATED, FRYING_OIL, IN_PAN, POURED, STRAINED } from './accounts'
import { Bench } from './bench'
import { change, handle } from './change'
import { bringDown, Drying, MOST_MINUTES } from './drying'
import { wantedLoss } from './ends'
import { fryIn, leaveBed, leaveInPan } from './frying'
import { fill, inLiquid } from './inLiquid'
import { drain, leaveLiquor, part, strainTo } from './parting'
import { bind, evenOut } from './solutes'
import { coreAfter, remember, ROOM_C } from './warmth'
import { bringWithoutOperation, weigh } from './weigh'
import {
  CORE_C,
  IMPOSSIBLE_G,
  LN_RATIO,
  LOOSE,
  MASS_IN,
  MASS_OUT,
  MINUTES,
  PREDICTED_G,
  RECORD_STRIDE,
  START_C,
  TEMP_C,
  WATER_IN,
  WATER_OUT,
} from './workspace'

/** By hand a cook cuts so many grams a minute; a machine three times as many, and is washed. @source 100 to 200 g/min; practice */
const CUT_G_PER_MIN = 150
const LEAST_CUT_MIN = 1
const MOST_UNTIMED_CUT_MIN = 60
const RESTING: ReadonlySet<string> = new Set(['rest', 'chill', 'soak', 'hydrate', 'marinate', 'cool'])
const CUT: ReadonlySet<string> = new Set(['chop', 'trim', 'grate'])
/** Food lies still in these: what is in a liquid with it evens out. */
const LIES: ReadonlySet<string> = new Set(['rest', 'chill', 'cool', 'hold'])
const STEEPS: ReadonlySet<string> = new Set(['soak', 'hydrate', 'infuse'])

const untimed = (bench: Bench): number => {
  const { spec } = bench.op
  if (spec === null) return 0
  if (!CUT.has(spec.id)) return spec.usualMin * bench.op.lasts
  bench.sum()
  return Math.min(MOST_UNTIMED_CUT_MIN, Math.max(LEAST_CUT_MIN, bench.massG / CUT_G_PER_MIN))
}

/** Drying with a stated end, or for its minutes. Returns minutes of one load. */
function dryOut(bench: Bench): number {
  const { op } = bench
  const usual = op.spec?.usualMin ?? 0
  const tempC = Number.isNaN(bench.tempC) ? ROOM_C : bench.tempC
  const stated = bench.minutes
  bench.sum()
  if (bench.looseWaterG > 0) fill(bench, Number.isNaN(stated) ? usual : stated, Math.min(tempC, 98), false)
  bench.sum()
  const drying = new Drying(bench)
  const wanted = wantedLoss(bench)
  if (wanted > 0) {
    const needed = Number.isNaN(stated) ? drying.minutesTo(wanted) : stated
    const left = bringDown(bench, wanted)
    bench.impossibleG = Math.max(bench.impossibleG, wanted - left)
    return Number.isNaN(needed) ? usual : needed
  }
  const taken = Number.isNaN(stated) ? usual : stated
  drying.run(taken)
  return taken
}

/** Lets an operation without a law of its own follow a stated end. */
function followWords(bench: Bench): void {
  const wanted = wantedLoss(bench)
  if (Number.isNaN(wanted) || bench.op.step.until?.kind === 'dry') return
  if (bench.op.spec?.id === 'strain') {
    keepOf(bench, Math.max(0, wanted))
    return
  }
  const left = bringDown(bench, Math.max(0, wanted))
  bench.impossibleG = Math.max(bench.impossibleG, Math.abs(wanted) - left)
}

/** What the cloth holds back of a liquid beside its pulp. */
function keepOf(bench: Bench, lossG: number): void {
  bench.sum()
  const share = bench.massG > 0 ? Math.min(1, lossG / bench.massG) : 0
  for (const row of bench.op.rows) bench.shedAll(row, share, STRAINED)
}

/** What the operation itself does. Returns minutes of one load. */
function act(bench: Bench): number {
  const { op } = bench
  const spec = op.spec
  if (spec === null) return 0
  switch (spec.medium) {
    case 'oven':
      if (spec.id === 'hold') break
      return dryOut(bench)
    case 'pan':
    case 'fryer-air':
    case 'grill':
    case 'oil':
    case 'dry-air':
      if (spec.id === 'toast' && op.step.until === null) break
      return dryOut(bench)
    case 'liquid':
    case 'pressure':
      return inLiquid(bench)
    case 'none':
      if (STEEPS.has(spec.id)) return inLiquid(bench)
      break
    default:
      break
  }
  const taken = Number.isNaN(bench.minutes) ? untimed(bench) : bench.minutes
  if (LIES.has(spec.id)) {
    if (op.phase === 'pieces') evenOut(bench, taken, Number.isNaN(bench.tempC) ? ROOM_C : bench.tempC, 0)
  }
  const { until } = op.step
  if (spec.id === 'strain' && until !== null && until.kind !== 'dry' && strainTo(bench, wantedLoss(bench)))
    return taken
  if (until === null || spec.id === 'strain') part(bench, taken)
  if (until !== null) followWords(bench)
  return taken
}

/** A step without an operation changes nothing, unless its end says so. */
function idle(bench: Bench): number {
  const { until } = bench.op.step
  bench.sum()
  const wanted = !Number.isNaN(bench.weighedG)
    ? bench.weighedG
    : until?.kind === 'keeps'
      ? bench.massG * bench.end
      : until?.kind === 'mass'
        ? bench.end
        : Number.NaN
  if (!Number.isNaN(wanted) && bench.op.rows.length > 0) {
    const predicted = bench.massG
    bringWithoutOperation(bench, wanted)
    bench.records[bench.op.at * RECORD_STRIDE + PREDICTED_G] = predicted
  }
  return Number.isNaN(bench.minutes) ? 0 : bench.minutes
}

/** The end of a step by mass holds for all that happened in it: oil that came in, too. */
function holdEnd(bench: Bench): void {
  const { until } = bench.op.step
  if (until?.kind !== 'mass' || bench.op.spec === null) return
  bench.sum()
  if (bench.massG > bench.end) bringDown(bench, bench.massG - bench.end)
}

/** Runs one operation on what was gathered for it, and books what came of it. */
export function runOp(bench: Bench): void {
  const { op, records, lots } = bench
  const record = op.at * RECORD_STRIDE
  bench.sum()
  records[record + MASS_IN] = bench.massG
  records[record + WATER_IN] = bench.waterG
  records[record + TEMP_C] = bench.tempC
  records[record + START_C] = lots[bench.lotAt + CORE_C] ?? ROOM_C
  records[record + LN_RATIO] = Number.NaN
  let minutes: number
  if (op.spec === null) {
    // "Tie it in knots" is no operation, and still draws strands.
    handle(bench, 0)
    minutes = idle(bench)
  } else {
    if (op.leavesLiquor) leaveLiquor(bench)
    if (op.waterG > 0 && op.waterRow >= 0) bench.gain(op.waterRow, LOOSE + WATER, op.waterG, POURED)
    bench.sum()
    leaveBed(bench, IN_PAN)
    bench.sum()
    const before = { massG: bench.massG, waterG: bench.waterG, solidsG: bench.solidsG }
    if (op.binds !== 'none') bind(bench, op.binds)
    minutes = Math.min(MOST_MINUTES * 60, act(bench))
    if (op.additionsG > 0 && op.waterRow >= 0) {
      bench.book(ADDITIONS, WATER, op.additionsG)
      bench.book(EVAPORATED, WATER, op.additionsG)
    }
    bench.sum()
    fryIn(bench, before.massG - bench.massG, FRYING_OIL)
    leaveInPan(bench, IN_PAN)
    if (op.isDrained) drain(bench)
    holdEnd(bench)
    change(bench, minutes)
    if (!Number.isNaN(bench.weighedG)) weigh(bench, before, bench.program.kitchen.scaleStepG)
    bench.sum()
    const core = coreAfter(bench, minutes)
    lots[bench.lotAt + CORE_C] = core
    const lost = before.massG > 0 ? Math.max(0, (before.waterG - bench.waterG) / before.massG) : 0
    remember(bench, core, minutes, RESTING.has(op.spec.id), lost)
  }
  bench.sum()
  records[record + MASS_OUT] = bench.massG
  records[record + WATER_OUT] = bench.waterG
  records[record + MINUTES] = minutes * bench.placed.loads
  records[record + IMPOSSIBLE_G] = bench.impossibleG
}
