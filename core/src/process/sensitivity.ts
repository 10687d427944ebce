import type { Inputs, Program } from '../program'
import { evaluate, type Start } from './evaluate'
import { placeAll } from './place'
import type { PartRun } from './runPart'
import { partState } from './state'
import type { PartState } from './stateTypes'
import { rowMass, type Workspace, workspaceFor } from './workspace'

/** What is changed against the run: a line's mass, or the logarithm of an operation's constants. */
export type Change =
  | { readonly kind: 'line'; readonly line: number; readonly massG: number }
  | { readonly kind: 'rate'; readonly op: number; readonly ln: number }
  | {
      readonly kind: 'setting'
      readonly op: number
      readonly field: 'minutes' | 'tempC' | 'end' | 'weighedG'
      readonly value: number
    }

const spaces = new WeakMap<Program, Workspace>()

/** Buffers for trying changes of a program: one set, used again. What they hold is good until the next call. */
export function scratchFor(program: Program): Workspace {
  const known = spaces.get(program)
  if (known !== undefined) return known
  const made = workspaceFor(program)
  spaces.set(program, made)
  return made
}

const withValue = (values: Float64Array, at: number, value: number): Float64Array => {
  const copy = values.slice()
  copy[at] = value
  return copy
}

/** Inputs and factors after some changes. */
function applied(run: PartRun, changes: readonly Change[]): { inputs: Inputs; lnRates: Float64Array | null } {
  let { inputs } = run.program
  let lnRates: Float64Array | null = null
  for (const change of changes) {
    if (change.kind === 'line')
      inputs = { ...inputs, masses: withValue(inputs.masses, change.line, change.massG) }
    else if (change.kind === 'setting')
      inputs = { ...inputs, [change.field]: withValue(inputs[change.field], change.op, change.value) }
    else {
      lnRates ??= new Float64Array(run.program.ops.length)
      lnRates[change.op] = (lnRates[change.op] ?? 0) + change.ln
    }
  }
  return { inputs, lnRates }
}

/** Operation with which each line joins first, by line; after the last for what none takes. Kept for each program. */
const joins = new WeakMap<Program, Int32Array>()
function joinsOf(program: Program): Int32Array {
  const known = joins.get(program)
  if (known !== undefined) return known
  const made = new Int32Array(program.lines.length).fill(program.ops.length)
  for (const { at, takes } of program.ops)
    for (const { kind, rows } of takes)
      if (kind === 'line')
        for (const row of rows) {
          const line = program.rows[row]?.line ?? -1
          if (line >= 0 && (made[line] ?? 0) > at) made[line] = at
        }
  joins.set(program, made)
  return made
}

/** Where a run with these changes begins to differ; null where it must be run from the first step. */
function startOf(run: PartRun, changes: readonly Change[]): Start | null {
  const { snapshots, program } = run
  if (snapshots === null) return null
  let op = program.ops.length
  const lines: number[] = []
  for (const change of changes) {
    const first = change.kind === 'line' ? (joinsOf(program)[change.line] ?? 0) : change.op
    op = Math.min(op, first)
    if (change.kind === 'line') lines.push(change.line)
  }
  return { op, snapshots, lines }
}

/**
 * The part's state with some inputs changed: the one way in which scatter, levers and searches look at neighbours.
 * @param replace choose vessels and loads anew, as a cook would for another amount; else they stay as they are
 */
export function stateWith(run: PartRun, changes: readonly Change[], replace = false): PartState {
  const { program, places, made, usualYield } = run
  const space = scratchFor(program)
  const { inputs, lnRates } = applied(run, changes)
  if (replace) placeAll(program, space, { inputs, made, usualYield })
  else {
    const from = startOf(run, changes)
    evaluate(program, space, {
      inputs,
      places,
      made,
      lnRates,
      usualYield,
      from,
    })
  }
  return partState(program, space)
}

/** One independent scatter of a part: a line as it is measured, or an operation as kitchens differ. */
export interface Scatter {
  readonly change: Change
  /** Where it comes from, for "why?". */
  readonly what: 'measuring' | 'method'
}

/** Rate of an open pot between kitchens, sd of its logarithm. @source surface rates 1.5 (1 to 2.5); practice */
const POT_LN_SD = 0.28
/** Lines and operations that move the mass by less than this share are not worth following. */
const NEGLIGIBLE_SHARE = 1e-3
const NEGLIGIBLE_SALT_SHARE = 5e-5
const LEAST_LN_SD = 0.02

/** sd of an operation's constants, by the rows that it moves most. */
function opLnSd(run: PartRun, op: number): number {
  const of = run.program.ops[op]
  const traced = run.trace[op]
  if (of?.spec == null || traced === undefined) return 0
  const { reading, step } = traced
  if (step.weighedG !== null || (step.until !== null && step.until.kind !== 'dry')) return 0
  const moved = [...reading.gained, ...reading.lost].reduce((sum, { massG }) => sum + Math.abs(massG), 0)
  if (moved < NEGLIGIBLE_SHARE * Math.max(1, run.massG)) return 0
  const known = traced.placed.fit.observations > 0 ? traced.placed.fit.sd : Number.POSITIVE_INFINITY
  let sum = 0
  let weight = 0
  of.rows.forEach((row, at) => {
    const grams = run.program.rawG[row] ?? 0
    const lnSd = of.constants.lnSd[at] ?? 0
    sum += grams * lnSd
    weight += lnSd > 0 ? grams : 0
  })
  const usual = weight > 0 ? sum / weight : of.spec.medium === 'liquid' ? POT_LN_SD : 0
  return Math.min(known, usual)
}

/** Every scatter of a part that can move a reading. */
export function scattersOf(run: PartRun): Scatter[] {
  const { program } = run
  const whole = program.lines.reduce((sum, { massG }) => sum + massG, 0)
  const lines = program.lines.flatMap(({ sdG, massG, entry }, line): Scatter[] => {
    const isSalty = entry.isSolute || entry.food?.foodClass === 'salt'
    const least = (isSalty ? NEGLIGIBLE_SALT_SHARE : NEGLIGIBLE_SHARE) * whole
    return sdG <= least ? [] : [{ what: 'measuring', change: { kind: 'line', line, massG: massG + sdG } }]
  })
  const ops = program.ops.flatMap(({ at }): Scatter[] => {
    const ln = opLnSd(run, at)
    return ln < LEAST_LN_SD ? [] : [{ what: 'method', change: { kind: 'rate', op: at, ln } }]
  })
  return [...lines, ...ops]
}

/** The mass of the part with one scatter applied, g: where nothing else is read. */
export function massWith(run: PartRun, change: Change): number {
  const { program, places, made, usualYield } = run
  const space = scratchFor(program)
  const from = startOf(run, [change])
  const { inputs, lnRates } = applied(run, [change])
  evaluate(program, space, { inputs, places, made, lnRates, usualYield, from })
  let massG = 0
  for (const row of program.finalRows) massG += rowMass(space.rows, row)
  return massG
}
