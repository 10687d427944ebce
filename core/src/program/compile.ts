import { compileOp } from './compileOp'
import type { Program } from './program'
import { type CompileInput, Writer } from './writer'

/**
 * Writes a part's program: every word is read, every use, share, constant and vessel resolved to numbers.
 *
 * Lines and lots are handed out once: a step that asks for more than is left gets what is left, and `overdrawn` says so.
 *
 * @param input lines with foods and grams, uses as read, and the parts that it may take
 * @returns numbers for `evaluate`; ids of lines and steps are the document's own
 */
export function compile(input: CompileInput): Program {
  const writer = new Writer(input)
  input.part.steps.forEach((step, at) => {
    compileOp(writer, step, at, input.uses[at] ?? [])
  })
  return writer.finish()
}
