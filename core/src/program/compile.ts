import equal from 'fast-deep-equal'
import type { ResolvedLine } from '../composition'
import type { Part, Step } from '../model'
import { piecesOfStep, wordsOfLine } from '../reading'
import { compileOp } from './compileOp'
import type { LineInput, Program } from './program'
import { saysWide } from './vessels'
import { type CompileInput, isWeighed, Writer } from './writer'

function write(input: CompileInput): Program {
  const writer = new Writer(input)
  input.part.steps.forEach((step, at) => {
    compileOp(writer, step, at, input.uses[at] ?? [])
  })
  return writer.finish()
}

interface Remembered {
  readonly input: CompileInput
  readonly program: Program
}
/** The last program of a method, by its steps: an edit of an amount leaves them as they are. */
const remembered = new WeakMap<readonly Step[], Remembered>()

const isSameLine = (a: ResolvedLine, b: ResolvedLine): boolean => {
  if (a === b) return true
  if (a.line.id !== b.line.id || a.food !== b.food || a.line.food !== b.line.food) return false
  if (isWeighed(a) !== isWeighed(b)) return false
  const [before, now] = [wordsOfLine(a.line), wordsOfLine(b.line)]
  return (
    before.soakedMin === now.soakedMin &&
    before.cutMm === now.cutMm &&
    before.mashed === now.mashed &&
    before.isEaten === now.isEaten &&
    before.isForFrying === now.isForFrying &&
    before.isForCooking === now.isForCooking
  )
}

const isSameList = <T>(a: readonly T[], b: readonly T[], same: (x: T, y: T) => boolean): boolean =>
  a.length === b.length &&
  a.every((one, at) => {
    const other = b[at]
    return other !== undefined && same(one, other)
  })

const CHANGED = Number.POSITIVE_INFINITY

/**
 * How far other masses lie from those that a program was written for, as a logarithm; infinite where anything else
 * changed. Below the program's slack no choice of shape turns, and it holds as it is.
 */
function drift(input: CompileInput, next: CompileInput): number {
  if (input.library !== next.library || input.kitchen !== next.kitchen) return CHANGED
  if (input.uses !== next.uses && JSON.stringify(input.uses) !== JSON.stringify(next.uses)) return CHANGED
  if (!isSameList(input.others, next.others, (a, b) => a === b)) return CHANGED
  if (!isSameList(input.granted, next.granted, (a, b) => a === b)) return CHANGED
  if (!isSameList(input.lines, next.lines, isSameLine)) return CHANGED
  let up = 0
  let down = 0
  for (let at = 0; at < next.lines.length; at += 1) {
    const before = input.lines[at]?.mass?.value ?? 0
    const now = next.lines[at]?.mass?.value ?? 0
    if (before === now) continue
    if (before <= 0 || now <= 0) return CHANGED
    const change = Math.log(now / before)
    up = Math.max(up, change)
    down = Math.max(down, -change)
  }
  // The two sides of a choice are sums of masses: their ratio moves no further than the two together.
  return up + down
}

/** The same program with other masses in it, nearer to its next choice by how far they moved. */
function withMasses(program: Program, { part, lines: resolved }: CompileInput, moved: number): Program {
  const lines = program.lines.map((line, at): LineInput => {
    const mass = resolved[at]?.mass ?? null
    return { ...line, massG: Math.max(0, mass?.value ?? 0), sdG: mass?.sd ?? 0 }
  })
  const rawG = program.rows.map(({ line, fraction }, at) =>
    line < 0 ? (program.rawG[at] ?? 0) : fraction * (lines[line]?.massG ?? 0),
  )
  for (const { from, to, share } of program.copies) {
    rawG[to] = (rawG[from] ?? 0) * share
    rawG[from] = (rawG[from] ?? 0) * (1 - share)
  }
  return {
    ...program,
    slack: program.slack - moved,
    part,
    resolved,
    lines,
    rawG,
    inputs: { ...program.inputs, masses: Float64Array.from(lines, ({ massG }) => massG) },
  }
}

/** What each program was written from. */
const writtenFrom = new WeakMap<Program, CompileInput>()

/**
 * The program for another mass of one line: shapes, dough and vessels are chosen anew where that turns a choice.
 * @param program one that `compile` returned
 * @throws where it is not
 */
export function withLineMass(program: Program, line: number, massG: number): Program {
  const input = writtenFrom.get(program)
  if (input === undefined)
    throw new Error('A program can only be written anew from what it was compiled from.')
  const lines = input.lines.map((one, at) =>
    at === line && one.mass !== null ? { ...one, mass: { ...one.mass, value: massG } } : one,
  )
  const changed = { ...input, lines }
  const moved = drift(input, changed)
  return moved < program.slack ? withMasses(program, changed, moved) : write(changed)
}

/** Whether two steps differ in their words alone, and in none that a program reads beside the step's own fields. */
const runsAlike = (a: Step, b: Step): boolean =>
  a === b ||
  (equal({ ...a, text: '' }, { ...b, text: '' }) &&
    saysWide(a.text) === saysWide(b.text) &&
    equal(piecesOfStep(a), piecesOfStep(b)))

/**
 * The same program for a part whose steps are said in other words.
 *
 * @param program one that `compile` returned
 * @param part its part with the same lines, uses and steps but for the words of these
 * @returns null where the words change what is done: it has to be compiled anew
 */
export function withWords(program: Program, part: Part): Program | null {
  const { steps } = part
  const input = writtenFrom.get(program)
  if (input === undefined || program.ops.length !== steps.length) return null
  if (!program.ops.every(({ step }, at) => runsAlike(step, steps[at] ?? step))) return null
  const ops = program.ops.map((op, at) => ({ ...op, step: steps[at] ?? op.step }))
  const again = { ...program, part, ops }
  writtenFrom.set(again, { ...input, part })
  return again
}

/**
 * Writes a part's program: every word is read, every use, share, constant and vessel resolved to numbers.
 *
 * Lines and lots are handed out once: a step that asks for more than is left gets what is left, and `overdrawn` says so.
 * A changed amount of the same food uses the program again, as long as it would come out the same.
 *
 * @param input lines with foods and grams, uses as read, and the parts that it may take
 * @returns numbers for `evaluate`; ids of lines and steps are the document's own
 */
export function compile(input: CompileInput): Program {
  const known = remembered.get(input.part.steps)
  const moved = known?.input.part.id === input.part.id ? drift(known.input, input) : CHANGED
  if (known !== undefined && moved < known.program.slack) {
    const again = withMasses(known.program, input, moved)
    writtenFrom.set(again, input)
    return again
  }
  const program = write(input)
  remembered.set(input.part.steps, { input, program })
  writtenFrom.set(program, input)
  return program
}
