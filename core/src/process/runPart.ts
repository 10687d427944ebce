import type { Form, Step, StepReading } from '../model'
import { type OperationSpec, type Program, type Source, specOf } from '../program'
import { ACCOUNT_COUNT, bookedG } from './accounts'
import { nutrientsOf } from './batchOf'
import type { Made, Observer } from './evaluate'
import { placeAll } from './place'
import { partState } from './state'
import type { PartState } from './stateTypes'
import { readingOf } from './stepReading'
import {
  CORE_C,
  FROM_PARTS_G,
  FROM_PARTS_WATER_G,
  IMPOSSIBLE_G,
  LOT_STRIDE,
  type Placed,
  RECORD_STRIDE,
  type Snapshots,
  rowMass,
  type Workspace,
  workspaceFor,
} from './workspace'

/** One step as rules see it. */
export interface Traced {
  readonly step: Step
  readonly spec: OperationSpec | null
  readonly placed: Placed
  readonly tempC: number | null
  readonly reading: StepReading
  /** What the lot holds during the step, and what joined it now. */
  readonly holds: readonly Source[]
  readonly added: readonly Source[]
  readonly isMixed: boolean
  readonly form: Form
}

/** A part after its method: what it has become, what each step did to it, and what the cooked mass rests on. */
export interface PartRun {
  readonly program: Program
  readonly space: Workspace
  readonly places: readonly Placed[]
  readonly made: readonly Made[]
  readonly usualYield: number | null
  /** Kept while scatters are followed; dropped with `letGo`, for a document's history holds many runs. */
  snapshots: Snapshots | null
  readonly state: PartState
  readonly massG: number
  /** In the order of CARRIED_NUTRIENTS, g and mg. */
  readonly nutrients: Float64Array
  readonly trace: readonly Traced[]
  readonly start: { readonly massG: number; readonly waterG: number }
  readonly basis: 'weighed' | 'steps' | 'family' | 'raw'
  /** Grams that a stated mass asks to leave, or to be there, and that it cannot. */
  readonly impossibleG: number
  readonly unused: readonly { readonly lineId: string; readonly name: string; readonly massG: number }[]
  readonly time: { readonly handsMin: number; readonly totalMin: number; readonly energyKWh: number }
}

export interface RunInput {
  readonly program: Program
  /** The parts that it may take, as they came out: one for each of `program.others`. */
  readonly made: readonly Made[]
  /** Cooked per raw mass where the part has no method; null where its family has none. */
  readonly usualYield: number | null
}

/** Warmth of a finished part, C, by mass. */
export function coreOf(program: Program, space: Workspace): number {
  let mass = 0
  let warm = 0
  for (const { op, rows } of program.finals) {
    let grams = 0
    for (const row of rows) grams += rowMass(space.rows, row)
    mass += grams
    warm += grams * (op < 0 ? 20 : (space.lots[op * LOT_STRIDE + CORE_C] ?? 20))
  }
  return mass > 0 ? warm / mass : 20
}

/** A finished part as another takes it. */
export const madeOf = ({ program, space }: Pick<PartRun, 'program' | 'space'>): Made => ({
  program,
  rows: space.rows,
  coreC: coreOf(program, space),
})

function hasChange({ books }: Workspace, ops: number): boolean {
  for (let op = 0; op < ops; op += 1)
    for (let account = 0; account < ACCOUNT_COUNT; account += 1)
      if (Math.abs(bookedG(books, op, account)) > 0) return true
  return false
}

function totals(trace: readonly Traced[]): PartRun['time'] {
  const time = { handsMin: 0, totalMin: 0, energyKWh: 0 }
  for (const { reading } of trace) {
    time.handsMin += reading.handsMin
    time.totalMin += reading.minutes
    time.energyKWh += reading.energyKWh
  }
  return time
}

/** Mass and water of the whole part after each step: what is in work, and what waits. */
function followWhole(trace: readonly Traced[], space: Workspace): void {
  let massG = space.start[0] ?? 0
  let waterG = space.start[1] ?? 0
  trace.forEach(({ reading }, at) => {
    const record = at * RECORD_STRIDE
    massG += space.records[record + FROM_PARTS_G] ?? 0
    waterG += space.records[record + FROM_PARTS_WATER_G] ?? 0
    for (const gain of reading.gained) {
      massG += gain.massG
      waterG += gain.waterG
    }
    for (const loss of reading.lost) {
      massG -= loss.massG
      waterG -= loss.waterG
    }
    reading.partMassG = massG
    reading.partWaterG = waterG
  })
}

/**
 * Runs a part's program once and tells what came of it, step by step. Explanations stand on this run; searches and
 * sensitivities call `evaluate` with its places.
 *
 * @param isFollowed keeps how things stood before each operation, so that neighbours begin where they differ
 *
 * A weighed cooked mass wins over the model, a weighed step over its prediction; a part without a method falls back to
 * its family's usual yield.
 */
export function runPart({ program, made, usualYield }: RunInput, isFollowed = false): PartRun {
  const space = workspaceFor(program)
  const { names } = program
  const trace: Traced[] = []
  let firstTake = 0
  const placing = { inputs: program.inputs, made, usualYield }
  const snapshots: Snapshots = { rows: [], lots: [] }
  const keep = (): void => {
    snapshots.rows.push(space.rows.slice())
    snapshots.lots.push(space.lots.slice())
  }
  const after: Observer['after'] = (op, bench) => {
    const { placed } = bench
    const reading = readingOf(op, bench, space, placed, names, firstTake)
    firstTake += op.takes.length
    trace.push({
      step: op.step,
      spec: op.step.operation === null ? null : specOf(op.step.operation),
      placed,
      tempC: Number.isNaN(bench.tempC) ? null : bench.tempC,
      reading,
      holds: op.holds,
      added: op.added,
      isMixed: op.isMixed,
      form: op.form,
    })
  }
  const places = placeAll(program, space, placing, isFollowed ? { start: keep, after } : { after })
  followWhole(trace, space)
  const state = partState(program, space)
  const { massG } = state.cooked
  const { part } = program
  let impossibleG = part.cookedMassG === null ? 0 : Math.abs(massG - part.cookedMassG)
  for (let op = 0; op < program.ops.length; op += 1)
    impossibleG += space.records[op * RECORD_STRIDE + IMPOSSIBLE_G] ?? 0
  const changes = hasChange(space, program.ops.length)
  return {
    program,
    space,
    places,
    made,
    usualYield,
    snapshots: isFollowed ? snapshots : null,
    state,
    massG,
    nutrients: nutrientsOf(program, space.rows, program.finalRows),
    trace,
    start: { massG: space.start[0] ?? 0, waterG: space.start[1] ?? 0 },
    basis:
      part.cookedMassG !== null
        ? 'weighed'
        : program.ops.length === 0
          ? usualYield === null
            ? 'raw'
            : 'family'
          : changes
            ? 'steps'
            : 'raw',
    impossibleG,
    unused: program.unusedLines.map(({ line, row }) => ({
      lineId: program.lines[line]?.id ?? '',
      name: names.get(program.lines[line]?.id ?? '') ?? '',
      massG: rowMass(space.rows, row),
    })),
    time: totals(trace),
  }
}
