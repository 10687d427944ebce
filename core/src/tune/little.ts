import type { Knob, Output, Problem } from './problemTypes'
import { distanceOf } from './search'

/** The next small addition of one food: what it does, and where to stop. */
export interface Addition {
  readonly lineId: string
  readonly name: string
  /** Goes in now, g. */
  readonly addG: number
  /** What the distance falls by. */
  readonly gain: number
  /** What moves most: "thickness −0.4". */
  readonly moves: readonly string[]
  /** Not more than this in all, g. */
  readonly stopG: number
  readonly why: string
}

/** One addition is about so much of the line, and never less than a step of the scale. Practice. */
const PART_OF_LINE = 0.06
const MOST_ADDITIONS = 12
const LEAST_GAIN = 0.004
const MOST_TOLD = 4
const LEAST_MOVE = 0.05
const MOST_MOVES = 2

const nice = (massG: number, step: number): number =>
  Math.max(1, Math.round((PART_OF_LINE * massG) / step)) * step

/** The bound that a mix breaks and the one before it did not; null where none is. */
function passed(outputs: readonly Output[], before: Float64Array, after: Float64Array): Output | null {
  return (
    outputs.find(({ kind, low, high }, at) => {
      if (kind !== 'window' && kind !== 'limit') return false
      const [was, is] = [before[at] ?? 0, after[at] ?? 0]
      const isOut = (value: number): boolean => value < low - 1e-9 || value > high + 1e-9
      return isOut(is) && !isOut(was)
    }) ?? null
  )
}

function movesOf({ outputs }: Problem, before: Float64Array, after: Float64Array): string[] {
  return outputs
    .flatMap(({ kind, label, weight }, at) =>
      kind === 'attribute' ? [{ label, weight, change: (after[at] ?? 0) - (before[at] ?? 0) }] : [],
    )
    .filter(({ change }) => Math.abs(change) >= LEAST_MOVE)
    .sort((a, b) => b.weight * Math.abs(b.change) - a.weight * Math.abs(a.change))
    .slice(0, MOST_MOVES)
    .map(
      ({ label, change }) =>
        `${label.charAt(0).toLowerCase()}${label.slice(1)} ${change < 0 ? '−' : '+'}${Math.abs(change).toFixed(1)}`,
    )
}

function additionOf(problem: Problem, knob: Knob, at: number, y: Float64Array): Addition | null {
  const { outputs, start, look } = problem
  const addG = nice(knob.now, knob.step)
  const after = (times: number): Float64Array => {
    const x = start.slice()
    x[at] = knob.now + times * addG
    return look(x)
  }
  const first = after(1)
  const gain = distanceOf(outputs, y) - distanceOf(outputs, first)
  if (gain < LEAST_GAIN || passed(outputs, y, first) !== null) return null
  let before = first
  let times = 1
  let why = 'that is as much as is foretold'
  while (times < MOST_ADDITIONS) {
    const next = after(times + 1)
    const bound = passed(outputs, before, next)
    if (bound !== null) {
      why = `${bound.label.toLowerCase()} would leave its ${bound.kind === 'limit' ? 'limit' : 'window'}`
      break
    }
    if (distanceOf(outputs, next) > distanceOf(outputs, before) - LEAST_GAIN / 4) {
      why = 'more brings nothing'
      break
    }
    before = next
    times += 1
  }
  return {
    lineId: knob.id,
    name: knob.name,
    addG: Number(addG.toFixed(3)),
    gain,
    moves: movesOf(problem, y, first),
    stopG: Number((times * addG).toFixed(3)),
    why,
  }
}

/**
 * What to add next, little by little, from the mix as it is: for a dough, a batter or a sauce in hand, where nothing can be
 * taken out again. The most helpful first.
 */
export function additionsFor(problem: Problem): Addition[] {
  const y = problem.look(problem.start)
  return problem.knobs
    .flatMap((knob, at) => {
      if (knob.kind !== 'line' || knob.now <= 0) return []
      return additionOf(problem, knob, at, y) ?? []
    })
    .sort((a, b) => b.gain - a.gain)
    .slice(0, MOST_TOLD)
}
