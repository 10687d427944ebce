import { type Inputs, type Op, type Program, type Row, type Take, WATER } from '../program'
import { BOOK_SIZE } from './accounts'
import { Bench } from './bench'
import { fillLine, fillWith } from './fillRows'
import {
  BATH_MIN,
  COLD_H,
  COLDEST_C,
  CORE_C,
  CULTURE_PH,
  EVAPORATED_G,
  FROM_PARTS_G,
  FROM_PARTS_WATER_G,
  LOOSE,
  LOT_STRIDE,
  OVERRUN_PCT,
  type Placed,
  RECORD_STRIDE,
  rowMass,
  type Snapshots,
  STRIDE,
  SURFACE_DRY,
  type Workspace,
} from './workspace'
import { runOp } from './act'
import { ROOM_C } from './warmth'

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

/** Brings what the operation takes into its lot: shares are split off, warmth and air are mixed by mass. */
function gather(bench: Bench, op: Op, evaluation: Evaluation, takenG: Float64Array, firstTake: number): void {
  const { rows, lots, records } = bench
  const lot = op.at * LOT_STRIDE
  const record = op.at * RECORD_STRIDE
  let all = 0
  let warm = 0
  let air = 0
  let dry = 0
  let coldH = 0
  let coldest = 0
  lots[lot + BATH_MIN] = 0
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
      coldest += massG * (made?.coreC ?? ROOM_C)
      continue
    }
    const from = take.op * LOT_STRIDE
    warm += massG * (lots[from + CORE_C] ?? ROOM_C)
    air += massG * (lots[from + OVERRUN_PCT] ?? 0)
    dry += massG * (lots[from + SURFACE_DRY] ?? 0)
    coldH += massG * (lots[from + COLD_H] ?? 0)
    coldest += massG * (lots[from + COLDEST_C] ?? ROOM_C)
    if (take.op !== op.mainOp) continue
    lots[lot + CULTURE_PH] = lots[from + CULTURE_PH] ?? Number.NaN
    lots[lot + BATH_MIN] = lots[from + BATH_MIN] ?? 0
  }
  lots[lot + CORE_C] = all > 0 ? warm / all : ROOM_C
  lots[lot + OVERRUN_PCT] = all > 0 ? air / all : 0
  lots[lot + SURFACE_DRY] = all > 0 ? dry / all : 0
  lots[lot + COLD_H] = all > 0 ? coldH / all : 0
  lots[lot + COLDEST_C] = all > 0 ? coldest / all : ROOM_C
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
