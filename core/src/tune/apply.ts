import { formatNumber, gramsLine, volumeMeasure, withAmount } from '../measure'
import type { Dish, FormulaLine, Kitchen, Part, Step } from '../model'
import type { Knob } from './problemTypes'

/** Less than this share of a step is no change. */
const SAME = 0.25

/** Whether a knob is not where it was. */
export const isMoved = (knob: Knob, value: number): boolean => Math.abs(value - knob.now) > SAME * knob.step

/** A volume in spoons that is off by no more than this share is written in spoons. Practice. */
const MOST_SPOON_ERROR = 0.01
const rounded = (value: number): number => Number(value.toFixed(value < 10 ? 2 : 1))

function lineAt(line: FormulaLine, { mLPerG }: Knob, massG: number, kitchen: Kitchen): FormulaLine {
  const spoons = mLPerG === null ? null : volumeMeasure(massG * mLPerG, kitchen.region)
  return spoons !== null && Math.abs(spoons.errorFraction) <= MOST_SPOON_ERROR
    ? withAmount(line, { ...spoons.amount, isApproximate: line.amount?.isApproximate ?? false })
    : gramsLine(line, rounded(massG))
}

/** "Bake for 12 minutes" with another time: only where the words state the old one in whole minutes. */
function wordsWith(text: string, before: number, after: number): string {
  const said = new RegExp(`\\b${formatNumber(before)}(?=[\\s-]*min)`)
  return said.test(text) ? text.replace(said, formatNumber(after)) : text
}

function stepAt(step: Step, { kind, now }: Knob, value: number): Step {
  const field = kind === 'keeps' ? 'until' : 'durationMin'
  const set: Step =
    kind === 'keeps'
      ? {
          ...step,
          until: { ...(step.until?.kind === 'keeps' ? step.until : { kind: 'keeps' }), fraction: value },
        }
      : { ...step, durationMin: value, text: wordsWith(step.text, now, value) }
  return { ...set, byHand: step.byHand.includes(field) ? step.byHand : [...step.byHand, field] }
}

/**
 * A dish with a part's amounts, times and ends set to what a search found. Lines that come to nothing are left out.
 * @param values one for each knob; what did not move is left as it was written
 */
export function applied(
  dish: Dish,
  partId: string,
  knobs: readonly Knob[],
  values: ArrayLike<number>,
  kitchen: Kitchen,
): Dish {
  const moved = new Map<string, { knob: Knob; value: number }[]>()
  knobs.forEach((knob, at) => {
    const value = values[at] ?? knob.now
    if (isMoved(knob, value)) moved.set(knob.id, [...(moved.get(knob.id) ?? []), { knob, value }])
  })
  const change = (part: Part): Part => ({
    ...part,
    lines: part.lines.map((line) => {
      const found = moved.get(line.id)?.[0]
      return found === undefined ? line : lineAt(line, found.knob, found.value, kitchen)
    }),
    steps: part.steps.map((step) =>
      (moved.get(step.id) ?? []).reduce((now, { knob, value }) => stepAt(now, knob, value), step),
    ),
  })
  return {
    ...dish,
    parts: dish.parts.map((part) => (part.id === partId ? change(part) : part)),
    written: dish.written.map((written) => ({
      ...written,
      text: written.stepIds.reduce(
        (text, id) =>
          (moved.get(id) ?? []).reduce(
            (now, { knob, value }) => (knob.kind === 'minutes' ? wordsWith(now, knob.now, value) : now),
            text,
          ),
        written.text,
      ),
    })),
  }
}
