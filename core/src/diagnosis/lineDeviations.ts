import { batchFactor, foodWords, gramsWords, pairedLines } from '../history'
import { gramsLine } from '../measure'
import type { FormulaLine, LineReading, Step } from '../model'
import { type Against, type Deviation, inPart, MOST_Z } from './deviation'
import type { PartFacts } from './side'
import type { Side } from './symptom'

/** How far lines stray without meaning anything. Practice. */
const LINE_LN = 0.12
const NEW_Z = 5
/** A line of less than this share that does nothing but flavour is not what broke a texture. Practice. */
const TRACE_SHARE = 0.004
const TRACE_Z = 0.5

function lineBack(
  own: PartFacts,
  other: PartFacts,
  lineId: string,
  wasId: string | null,
  massG: number | null,
): Deviation['revert'] {
  const was = wasId === null ? null : (other.part.lines.find(({ id }) => id === wasId) ?? null)
  return (dish) =>
    inPart(dish, own.part.id, (part) => {
      if (was === null || massG === null)
        return {
          ...part,
          lines: part.lines.filter(({ id }) => id !== lineId),
          steps: withoutUse(part.steps, lineId),
        }
      const back: FormulaLine = gramsLine(
        part.lines.find(({ id }) => id === lineId) ?? was,
        Number(massG.toPrecision(3)),
      )
      const has = part.lines.some(({ id }) => id === lineId)
      return {
        ...part,
        lines: has ? part.lines.map((line) => (line.id === lineId ? back : line)) : [...part.lines, back],
      }
    })
}

const withoutUse = (steps: readonly Step[], lineId: string): Step[] =>
  steps.map((step) =>
    step.uses === null
      ? step
      : { ...step, uses: step.uses.filter(({ kind, id }) => kind !== 'line' || id !== lineId) },
  )

export function lineDeviations(own: PartFacts, other: PartFacts, against: Against): Deviation[] {
  const pairs = pairedLines(other.reading.lines, own.reading.lines)
  const factor = batchFactor(pairs)
  return pairs.flatMap(({ before, after }): Deviation[] => {
    const line: LineReading | null = after ?? before
    if (line === null) return []
    const food = (after === null ? other : own).foodOf(line.lineId)
    const [was, is] = [(before?.massG ?? 0) * factor, after?.massG ?? 0]
    if (was <= 0 && is <= 0) return []
    const share = Math.max(was, is) / Math.max(1, own.reading.rawMassG)
    const off = was > 0 && is > 0 ? Math.abs(Math.log(is / was)) / LINE_LN : NEW_Z
    const weight =
      share < TRACE_SHARE && food !== null && ['spice', 'herb'].includes(food.foodClass) ? TRACE_Z : 1
    const z = Math.min(MOST_Z, off) * weight
    const side: Side = is > was ? 1 : -1
    const name = foodWords(line.name)
    const words =
      was <= 0
        ? `${gramsWords(is)} ${name} that ${against.kind === 'plan' ? 'is not written' : `was not in ${against.words}`}`
        : is <= 0
          ? `no ${name}: ${gramsWords(was)} ${against.kind === 'plan' ? 'is written' : `in ${against.words}`}`
          : `${gramsWords(is - was)} ${side > 0 ? 'more' : 'less'} ${name} than ${against.kind === 'plan' ? 'written' : `in ${against.words}`}`
    return [
      {
        key: `line ${line.lineId}`,
        kind: 'line',
        against: against.kind,
        id: line.lineId,
        about: [line.lineId],
        food,
        operation: null,
        field: null,
        side,
        z,
        words,
        back: was > 0 ? `${name} ${is > 0 ? 'back to' : 'again,'} ${gramsWords(was)}` : `no ${name}`,
        revert: lineBack(own, other, line.lineId, before?.lineId ?? null, was > 0 ? was : null),
      },
    ]
  })
}
