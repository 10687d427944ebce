import type { LineReading, Part, PartAssessment } from '../model'
import { type Change, foodWords, gramsWords, STEP_SIZE } from './change'

/** Masses closer than this share of the line, or this many grams, were meant to be the same. Practice. */
const SAME_SHARE = 0.02
const SAME_G = 0.05
/** Lines that moved together by so much are a larger or smaller batch. Practice. */
const BATCH_LN = 0.04
const BATCH_LINES = 0.6
/** Salt, spice and gums do more than their mass. Practice. */
const SMALL_LINE = 0.03
const SMALL_WEIGHT = 4
/** One food in the place of another is of about the same mass. Practice. */
const SWAP_RATIO = 2.5

interface PairedLine {
  readonly before: LineReading | null
  readonly after: LineReading | null
}

/** Lines of both by id, else by food. */
export function pairedLines(before: readonly LineReading[], after: readonly LineReading[]): PairedLine[] {
  const rest = [...before]
  const take = (is: (line: LineReading) => boolean): LineReading | null => {
    const at = rest.findIndex(is)
    return at < 0 ? null : (rest.splice(at, 1)[0] ?? null)
  }
  const byId = after.map((line) => take((one) => one.lineId === line.lineId && one.foodId === line.foodId))
  const found = after.map((line, at): PairedLine => ({
    after: line,
    before:
      byId[at] ?? take((one) => (line.foodId === null ? one.name === line.name : one.foodId === line.foodId)),
  }))
  return [...found, ...rest.map((line): PairedLine => ({ before: line, after: null }))]
}

/** How much larger the batch became, where most lines moved together; else 1. */
export function batchFactor(lines: readonly PairedLine[]): number {
  const lns = lines.flatMap(({ before, after }) =>
    before?.massG != null && after?.massG != null && before.massG > 0 && after.massG > 0
      ? [Math.log(after.massG / before.massG)]
      : [],
  )
  if (lns.length < 3) return 1
  const median = [...lns].sort((a, b) => a - b)[Math.floor(lns.length / 2)] ?? 0
  const together = lns.filter((ln) => Math.abs(ln - median) < 2 * SAME_SHARE).length
  return Math.abs(median) > BATCH_LN && together >= BATCH_LINES * lns.length ? Math.exp(median) : 1
}

export function lineChanges(
  partId: string,
  part: string,
  before: PartAssessment,
  after: PartAssessment,
  prepOf: Prep,
): Change[] {
  const lines = pairedLines(before.lines, after.lines)
  const factor = batchFactor(lines)
  const whole = Math.max(1, after.rawMassG)
  const weighed = (grams: number, mass: number): number =>
    (Math.abs(grams) / whole) * (mass < SMALL_LINE * whole ? SMALL_WEIGHT : 1)
  const changes: Change[] =
    factor === 1
      ? []
      : [
          {
            partId,
            part,
            kind: 'batch',
            words: `batch × ${Number(factor.toPrecision(2))}`,
            id: null,
            size: Math.abs(Math.log(factor)) / 10,
          },
        ]
  for (const { before: was, after: is } of lines) {
    if (is === null) {
      if (was === null) continue
      const mass = was.massG ?? 0
      changes.push({
        partId,
        part,
        kind: 'gone-food',
        words: `no ${foodWords(was.name)}${was.massG === null ? '' : ` (was ${gramsWords(mass)})`}`,
        id: was.lineId,
        size: weighed(mass, mass),
      })
      continue
    }
    const mass = is.massG ?? 0
    if (was === null) {
      changes.push({
        partId,
        part,
        kind: 'new-food',
        words:
          is.massG === null
            ? `new: ${foodWords(is.name)}`
            : `+${gramsWords(mass)} ${foodWords(is.name)} (new)`,
        id: is.lineId,
        size: weighed(mass, mass),
      })
      continue
    }
    const more = was.massG === null || is.massG === null ? 0 : is.massG - was.massG * factor
    if (Math.abs(more) > Math.max(SAME_G, SAME_SHARE * mass))
      changes.push({
        partId,
        part,
        kind: 'amount',
        words: `${more > 0 ? '+' : '−'}${gramsWords(more)} ${foodWords(is.name)}`,
        id: is.lineId,
        size: weighed(more, Math.min(mass, was.massG ?? mass)),
      })
    const [prepWas, prepIs] = [prepOf.before(was.lineId), prepOf.after(is.lineId)]
    if (prepWas !== prepIs && prepWas + prepIs !== '')
      changes.push({
        partId,
        part,
        kind: 'prep',
        words: `${foodWords(is.name)} ${prepIs === '' ? `no longer ${prepWas}` : prepIs}`,
        id: is.lineId,
        size: STEP_SIZE * 0.6,
      })
  }
  return withSwaps(changes, lines)
}

/** A food that went and one that came in its place are one change. */
function withSwaps(changes: readonly Change[], lines: readonly PairedLine[]): Change[] {
  const lineOf = ({ id }: Change): LineReading | null =>
    lines.map(({ before, after }) => after ?? before).find((line) => line?.lineId === id) ?? null
  const gone = changes.filter(({ kind }) => kind === 'gone-food').sort((a, b) => b.size - a.size)
  const fresh = changes.filter(({ kind }) => kind === 'new-food').sort((a, b) => b.size - a.size)
  const [was, is] = [gone[0], fresh[0]]
  if (was === undefined || is === undefined) return [...changes]
  const [lineWas, lineIs] = [lineOf(was), lineOf(is)]
  const [from, to] = [lineWas?.massG ?? 0, lineIs?.massG ?? 0]
  if (from <= 0 || to <= 0 || from / to > SWAP_RATIO || to / from > SWAP_RATIO) return [...changes]
  const swap: Change = {
    ...is,
    kind: 'swap',
    ...(was.id === null ? {} : { wasId: was.id }),
    words: `${gramsWords(to)} ${foodWords(lineIs?.name ?? '')} in place of ${gramsWords(from)} ${foodWords(lineWas?.name ?? '')}`,
    size: was.size + is.size,
  }
  return [...changes.filter((one) => one !== was && one !== is), swap]
}

interface Prep {
  readonly before: (lineId: string) => string
  readonly after: (lineId: string) => string
}

export const prepIn =
  (part: Part) =>
  (lineId: string): string =>
    part.lines
      .find(({ id }) => id === lineId)
      ?.prep.trim()
      .toLowerCase() ?? ''
