import { type Inputs, type Op, type Program, type Row, type Take, WATER } from '../program'
import { ADDITIONS, BOOK_SIZE, EVAPORATED, FRYING_OIL, IN_PAN, POURED } from './accounts'
import { Bench } from './bench'
import { change } from './change'
import { bringDown, Drying, MOST_MINUTES } from './drying'
import { wantedLoss } from './ends'
import { fillLine, fillWith } from './fillRows'
import { fryIn, leaveInPan } from './frying'
import { fill, inLiquid } from './inLiquid'
import { drain, leaveLiquor, part } from './parting'
import { bind, evenOut } from './solutes'
import { coreAfter, remember } from './warmth'
import { bringWithoutOperation, weigh } from './weigh'
import {
  CORE_C,
  CULTURE_PH,
  EVAPORATED_G,
  FROM_PARTS_G,
  FROM_PARTS_WATER_G,
  IMPOSSIBLE_G,
  LN_RATIO,
  LOOSE,
  LOT_STRIDE,
  MASS_IN,
  MASS_OUT,
  MINUTES,
  OVERRUN_PCT,
  type Placed,
  PREDICTED_G,
  RECORD_STRIDE,
  rowMass,
  type Snapshots,
  START_C,
  STRIDE,
  SURFACE_DRY,
  TEMP_C,
  WATER_IN,
  WATER_OUT,
  type Workspace,
} from './workspace'

/** By hand a cook cuts so many grams a minute; a machine three times as many, and is washed. @source 100 to 200 g/min; practice */
const CUT_G_PER_MIN = 150
const LEAST_CUT_MIN = 1
const MOST_UNTIMED_CUT_MIN = 60
const ROOM_C = 20
const RESTING: ReadonlySet<string> = new Set(['rest', 'chill', 'soak', 'hydrate', 'marinate', 'cool'])
const CUT: ReadonlySet<string> = new Set(['chop', 'trim', 'grate'])
/** Food lies still in these: what is in a liquid with it evens out. */
const LIES: ReadonlySet<string> = new Set(['rest', 'chill', 'cool', 'hold'])
const STEEPS: ReadonlySet<string> = new Set(['soak', 'hydrate', 'infuse'])

/** A part that another may take: its rows after its own method, and its warmth. */
export interface Made {
  readonly program: Program
  readonly rows: Float64Array
  readonly coreC: number
}

/** Where a run begins that differs from another only later on. */
export interface Start {
  readonly op: number
  readonly snapshots: Snapshots
  readonly lines: readonly number[]
}

/** What an evaluation runs on. */
export interface Evaluation {
  readonly inputs: Inputs
  readonly places: readonly Placed[]
  readonly made: readonly Made[]
  /** ln of a factor on each operation's constants: a scatter or a search's. */
  readonly lnRates: Float64Array | null
  /** Cooked per raw mass where no step says otherwise; null where the family has none. */
  readonly usualYield: number | null
  /** Begins at this operation, from how things stood before it; lines whose mass changed are filled anew. */
  readonly from: Start | null
}

/** Called before and after each operation: to place it, or to read what it did. */
export interface Observer {
  /** Called before each operation gathers its lot, and with null when the last is done. */
  readonly start?: (op: Op | null) => void
  readonly before?: (op: Op, bench: Bench) => Placed
  readonly after?: (op: Op, bench: Bench) => void
}

const untimed = (bench: Bench): number => {
  const { spec } = bench.op
  if (spec === null) return 0
  if (!CUT.has(spec.id)) return spec.usualMin
  bench.sum()
  return Math.min(MOST_UNTIMED_CUT_MIN, Math.max(LEAST_CUT_MIN, bench.massG / CUT_G_PER_MIN))
}

/** Brings what the operation takes into its lot: shares are split off, warmth and air are mixed by mass. */
function gather(bench: Bench, op: Op, evaluation: Evaluation, takenG: Float64Array, firstTake: number): void {
  const { rows, lots, records } = bench
  const lot = op.at * LOT_STRIDE
  const record = op.at * RECORD_STRIDE
  let all = 0
  let warm = 0
  let air = 0
  let dry = 0
  lots[lot + CULTURE_PH] = Number.NaN
  for (let index = 0; index < op.takes.length; index += 1) {
    const take = op.takes[index] as Take
    const made = take.kind === 'part' ? evaluation.made[take.part] : undefined
    if (take.kind === 'step' && take.from !== null) splitOff(rows, take.from, take.rows, take.moved)
    else if (take.kind === 'part' && made !== undefined) takeOver(rows, made.rows, take)
    let massG = 0
    let waterG = 0
    const which = take.rows
    for (let at = 0; at < which.length; at += 1) {
      const row = which[at] ?? 0
      massG += rowMass(rows, row)
      waterG += (rows[row * STRIDE + WATER] ?? 0) + (rows[row * STRIDE + LOOSE + WATER] ?? 0)
    }
    takenG[firstTake + index] = massG
    all += massG
    if (take.kind === 'part') {
      records[record + FROM_PARTS_G] = (records[record + FROM_PARTS_G] ?? 0) + massG
      records[record + FROM_PARTS_WATER_G] = (records[record + FROM_PARTS_WATER_G] ?? 0) + waterG
    }
    if (take.kind !== 'step') {
      warm += massG * (made?.coreC ?? ROOM_C)
      continue
    }
    const from = take.op * LOT_STRIDE
    warm += massG * (lots[from + CORE_C] ?? ROOM_C)
    air += massG * (lots[from + OVERRUN_PCT] ?? 0)
    dry += massG * (lots[from + SURFACE_DRY] ?? 0)
    if (take.op === op.mainOp) lots[lot + CULTURE_PH] = lots[from + CULTURE_PH] ?? Number.NaN
  }
  lots[lot + CORE_C] = all > 0 ? warm / all : ROOM_C
  lots[lot + OVERRUN_PCT] = all > 0 ? air / all : 0
  lots[lot + SURFACE_DRY] = all > 0 ? dry / all : 0
}

/** A share of another part's rows comes into rows of this one. */
function takeOver(rows: Float64Array, others: Float64Array, { from, rows: to, moved }: PartTake): void {
  for (let at = 0; at < from.length; at += 1) fillWith(rows, to[at] ?? 0, others, from[at] ?? 0, moved)
}
type PartTake = Extract<Take, { kind: 'part' }>

/** A share of some rows goes to others; what they have been through is the same. */
function splitOff(rows: Float64Array, from: readonly number[], to: readonly number[], share: number): void {
  from.forEach((row, at) => {
    fillWith(rows, to[at] ?? 0, rows, row, share)
    for (let cell = 0; cell <= EVAPORATED_G + 1; cell += 1) {
      const source = row * STRIDE + cell
      rows[source] = (rows[source] ?? 0) * (1 - share)
    }
  })
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
  const left = bringDown(bench, Math.max(0, wanted))
  bench.impossibleG = Math.max(bench.impossibleG, Math.abs(wanted) - left)
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
  if (op.step.until === null) part(bench, taken)
  else followWords(bench)
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

function runOp(bench: Bench): void {
  const { op, records, lots } = bench
  const record = op.at * RECORD_STRIDE
  bench.sum()
  records[record + MASS_IN] = bench.massG
  records[record + WATER_IN] = bench.waterG
  records[record + TEMP_C] = bench.tempC
  records[record + START_C] = lots[bench.lotAt + CORE_C] ?? ROOM_C
  records[record + LN_RATIO] = Number.NaN
  let minutes: number
  if (op.spec === null) minutes = idle(bench)
  else {
    if (op.leavesLiquor) leaveLiquor(bench)
    if (op.waterG > 0 && op.waterRow >= 0) bench.gain(op.waterRow, LOOSE + WATER, op.waterG, POURED)
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

/**
 * Runs a part's program: each operation takes lines, lots or other parts, changes them, and leaves a lot for the next.
 * Pure arithmetic on the workspace's buffers; the same inputs give the same numbers.
 *
 * Every move is booked in every pool: what went in, came in and left is what is there.
 *
 * @param space buffers of this program; what they held is overwritten
 * @param observer called round each operation: to place it, or to read what it did
 */
export function evaluate(
  program: Program,
  space: Workspace,
  evaluation: Evaluation,
  observer: Observer = {},
): void {
  const { places, inputs, lnRates } = evaluation
  const first = begin(program, space, evaluation)
  const bench = new Bench(program, space)
  let firstTake = 0
  for (const op of program.ops) {
    if (op.at < first) {
      firstTake += op.takes.length
      continue
    }
    observer.start?.(op)
    bench.op = op
    bench.isStale = true
    gather(bench, op, evaluation, space.takenG, firstTake)
    firstTake += op.takes.length
    bench.sum()
    const placed = observer.before === undefined ? places[op.at] : observer.before(op, bench)
    if (placed === undefined) throw new Error(`evaluate: operation ${op.at} has no place`)
    bench.at(op, placed, inputs, lnRates?.[op.at] ?? 0)
    runOp(bench)
    observer.after?.(op, bench)
  }
  observer.start?.(null)
  settleEnd(program, space, evaluation)
}

/** Fills the lines, or goes back to a snapshot. Returns the first operation to run. */
function begin(program: Program, space: Workspace, { inputs, from }: Evaluation): number {
  const rows = from?.snapshots.rows[from.op]
  const lots = from?.snapshots.lots[from.op]
  if (from !== null && rows !== undefined && lots !== undefined) {
    space.rows.set(rows)
    space.lots.set(lots)
    space.books.fill(0, from.op * BOOK_SIZE)
    space.records.fill(0, from.op * RECORD_STRIDE)
    for (let at = 0; at < program.rows.length; at += 1) {
      const row = program.rows[at] as Row
      if (row.line >= 0 && from.lines.includes(row.line))
        fillLine(space.rows, at, row, row.fraction * (inputs.masses[row.line] ?? 0))
    }
    return from.op
  }
  space.books.fill(0)
  space.records.fill(0)
  space.rows.fill(0)
  let massG = 0
  let waterG = 0
  for (let at = 0; at < program.rows.length; at += 1) {
    const row = program.rows[at] as Row
    fillLine(space.rows, at, row, row.line < 0 ? 0 : row.fraction * (inputs.masses[row.line] ?? 0))
    massG += rowMass(space.rows, at)
    waterG += (space.rows[at * STRIDE + WATER] ?? 0) + (space.rows[at * STRIDE + LOOSE + WATER] ?? 0)
  }
  space.start[0] = massG
  space.start[1] = waterG
  return 0
}

/** Brings the finished part to the mass that was weighed, or to the family's usual yield where there is no method. */
function settleEnd(program: Program, space: Workspace, { usualYield }: Evaluation): void {
  const { part: document, finalRows } = program
  if (document.cookedMassG === null && (program.ops.length > 0 || usualYield === null)) return
  const { rows } = space
  let massG = 0
  let waterG = 0
  let vapourG = 0
  for (const row of finalRows) {
    massG += rowMass(rows, row)
    waterG += (rows[row * STRIDE + WATER] ?? 0) + (rows[row * STRIDE + LOOSE + WATER] ?? 0)
    vapourG += rows[row * STRIDE + EVAPORATED_G] ?? 0
  }
  const less = massG - (document.cookedMassG ?? massG * (usualYield ?? 1))
  // Water that left as vapour can be there after all; more than that cannot.
  const share = less >= 0 ? Math.min(1, less / Math.max(waterG, LEAST_G)) : 0
  const back = less < 0 ? Math.min(1, -less / Math.max(vapourG, LEAST_G)) : 0
  for (const row of finalRows) {
    const gone = row * STRIDE + EVAPORATED_G
    const returned = (rows[gone] ?? 0) * back
    let left = 0
    for (const cell of [WATER, LOOSE + WATER]) {
      const at = row * STRIDE + cell
      const leaving = (rows[at] ?? 0) * share
      rows[at] = (rows[at] ?? 0) - leaving
      left += leaving
    }
    rows[row * STRIDE + WATER] = (rows[row * STRIDE + WATER] ?? 0) + returned
    rows[gone] = (rows[gone] ?? 0) + left - returned
  }
}
/** Less than this is arithmetic, g. */
const LEAST_G = 1e-9
