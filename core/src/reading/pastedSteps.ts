import type { Kitchen, Step } from '../model'
import { doingsIn } from './doings'
import { type MethodText, type PartLines, readMethod, wordsOf } from './method'

/** Numbers, bullets and headings of a pasted text go; every other line is a written step. */
const NUMBERED = /^\s*(?:(?:step\s*)?\d{1,2}\s*[.):-]\s+|step\s+\d{1,2}\s*[:.]?\s*|[-–•*▢]\s+)/i

const HEADING = /^[^.!?]{1,60}:$/

const linesOf = (text: string): string[] =>
  text
    .split(/\r?\n/)
    .map((line) => line.replace(NUMBERED, '').trim())
    .filter((line) => line !== '' && !HEADING.test(line))

/** The words of each doing of an instruction text, in order; empty for a text without any. */
export const splitInstructions = (text: string): string[] =>
  linesOf(text).flatMap((line) => doingsIn(line).map(wordsOf))

/**
 * The method of a part as it is proposed from a pasted text, for a person to confirm.
 * @param newId makes an id for each step
 * @returns steps of all the doings, in order, with the temperature of the oven where it was heated before
 */
export function proposeSteps(text: string, newId: () => string, part: PartLines, kitchen: Kitchen): Step[] {
  const method = linesOf(text).map((line): MethodText => ({ text: line, heading: null, part: 0 }))
  return [...(readMethod([part], method, kitchen, newId).steps[0] ?? [])].slice(0, 300)
}
