import type { ResolvedLine } from '../composition'
import type { Step } from '../model'
import { wordsOfLine } from '../reading'
import { compileOp } from './compileOp'
import type { LineInput, Program } from './program'
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
    before.isEaten === now.isEaten
  )
}

const isSameList = <T>(a: readonly T[], b: readonly T[], same: (x: T, y: T) => boolean): boolean =>
  a.length === b.length &&
  a.every((one, at) => {
    const other = b[at]
    return other !== undefined && same(one, other)
  })

/** Whether a program holds for other masses: the same foods and words, and no choice of shape that would turn. */
function holds({ input, program }: Remembered, next: CompileInput): boolean {
  if (input.library !== next.library || input.kitchen !== next.kitchen) return false
  if (input.uses !== next.uses && JSON.stringify(input.uses) !== JSON.stringify(next.uses)) return false
  if (!isSameList(input.others, next.others, (a, b) => a === b)) return false
  if (!isSameList(input.granted, next.granted, (a, b) => a === b)) return false
  if (!isSameList(input.lines, next.lines, isSameLine)) return false
  let up = 0
  let down = 0
  for (let at = 0; at < next.lines.length; at += 1) {
    const before = input.lines[at]?.mass?.value ?? 0
    const now = next.lines[at]?.mass?.value ?? 0
    if (before === now) continue
    if (before <= 0 || now <= 0) return false
    const change = Math.log(now / before)
    up = Math.max(up, change)
    down = Math.max(down, -change)
  }
  // The two sides of a choice are sums of masses: their ratio moves no further than the two together.
  return up + down < program.slack
}

/** The same program with other masses in it. */
function withMasses(program: Program, { part, lines: resolved }: CompileInput): Program {
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
    part,
    resolved,
    lines,
    rawG,
    inputs: { ...program.inputs, masses: Float64Array.from(lines, ({ massG }) => massG) },
  }
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
  if (known?.input.part.id === input.part.id && holds(known, input)) return withMasses(known.program, input)
  const program = write(input)
  remembered.set(input.part.steps, { input, program })
  return program
}
