import type { OperationId } from '../model'
import type { PartRun } from '../process'
import type { Knob } from './problemTypes'

/** How far the time of an operation may go either way, as a share of what is stated. Practice: nothing that makes food safe is cut short. */
const MAY_CHANGE: Readonly<Partial<Record<OperationId, readonly [least: number, most: number]>>> = {
  knead: [0.5, 2],
  blend: [0.5, 2],
  whip: [0.6, 1.6],
  press: [0.5, 2],
  rest: [0.5, 2],
  roast: [0.7, 1.5],
  'air-fry': [0.7, 1.5],
  brown: [0.6, 1.6],
  sweat: [0.7, 1.6],
  sear: [0.7, 1.5],
  'shallow-fry': [0.8, 1.5],
  reduce: [0.5, 2],
  dehydrate: [0.7, 1.5],
  toast: [0.7, 1.4],
  // Longer only: these cook through.
  boil: [1, 1.4],
  simmer: [1, 1.6],
  steam: [1, 1.4],
}
const KEEPS_STEP = 0.01
/** A share of the mass that is kept may change by so much. Practice. */
const KEEPS_LEAST = 0.75
const KEEPS_MOST = 1.3
/** Times are set to the minute, longer ones to five. Practice. */
const minuteStep = (minutes: number): number => (minutes < 5 ? 0.5 : minutes <= 30 ? 1 : 5)

/** Times and ends of a part's method that a search may change. */
export function settingKnobs({ program }: PartRun): Knob[] {
  return program.ops.flatMap(({ at, step, spec }): Knob[] => {
    if (spec === null || step.weighedG !== null) return []
    const range = MAY_CHANGE[spec.id]
    if (range === undefined) return []
    const common = { id: step.id, at, name: spec.name, mLPerG: null }
    if (step.until?.kind === 'keeps') {
      const { fraction } = step.until
      return [
        {
          ...common,
          kind: 'keeps',
          now: fraction,
          low: Math.max(0.05, KEEPS_LEAST * fraction),
          high: Math.min(0.98, KEEPS_MOST * fraction),
          scale: fraction,
          step: KEEPS_STEP,
        },
      ]
    }
    const minutes = program.inputs.minutes[at] ?? Number.NaN
    if (step.until !== null || Number.isNaN(minutes) || minutes <= 0) return []
    return [
      {
        ...common,
        kind: 'minutes',
        now: minutes,
        low: range[0] * minutes,
        high: range[1] * minutes,
        scale: minutes,
        step: minuteStep(minutes),
      },
    ]
  })
}
