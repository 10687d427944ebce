import { minutesWords, pairedSteps, verbOf } from '../history'
import type { OperationId, Step } from '../model'
import { type Against, type Deviation, inPart, MOST_Z } from './deviation'
import { foodsOfStep, type PartFacts } from './side'

/** How far times and heats stray without meaning anything. Practice. */
const MINUTES_LN = 0.25
const DRY_HEAT_C = 12
const WET_HEAT_C = 5
const MISSING_Z = 4
const YIELD_LN = 0.05
const WET: ReadonlySet<OperationId> = new Set([
  'simmer',
  'boil',
  'steam',
  'thicken',
  'heat',
  'culture',
  'absorb',
  'infuse',
  'coagulate',
])

const stepBack =
  (own: PartFacts, stepId: string, change: (step: Step) => Step): Deviation['revert'] =>
  (dish) =>
    inPart(dish, own.part.id, (part) => ({
      ...part,
      steps: part.steps.map((step) => (step.id === stepId ? change(step) : step)),
    }))

export function stepDeviations(own: PartFacts, other: PartFacts, against: Against): Deviation[] {
  const pairs = pairedSteps(other.part.steps, own.part.steps)
  const than = against.kind === 'plan' ? 'than written' : `than in ${against.words}`
  const base = (step: Step, of: PartFacts) => ({
    against: against.kind,
    id: step.id,
    about: [step.id],
    food: foodsOfStep(of, step)[0] ?? null,
    operation: step.operation,
  })
  return pairs.flatMap(({ before, after }): Deviation[] => {
    if (after === null) {
      if (before === null) return []
      const place = other.part.steps.indexOf(before)
      return [
        {
          ...base(before, other),
          key: `step ${before.id}`,
          kind: 'missing',
          field: null,
          side: -1,
          z: MISSING_Z,
          words: `no step to ${verbOf(before)} as in ${against.words}`,
          back: `${verbOf(before)} again`,
          revert: (dish) =>
            inPart(dish, own.part.id, (part) => ({
              ...part,
              steps: [
                ...part.steps.slice(0, place),
                { ...before, weighedG: null },
                ...part.steps.slice(place),
              ],
            })),
        },
      ]
    }
    if (before === null)
      return [
        {
          ...base(after, own),
          key: `step ${after.id}`,
          kind: 'extra',
          field: null,
          side: 1,
          z: MISSING_Z,
          words: `a step to ${verbOf(after)} that was not in ${against.words}`,
          back: `no step to ${verbOf(after)}`,
          revert: (dish) =>
            inPart(dish, own.part.id, (part) => ({
              ...part,
              steps: part.steps.filter(({ id }) => id !== after.id),
            })),
        },
      ]
    if (before.operation !== after.operation) {
      const whole = {
        ...base(after, own),
        key: `step ${after.id}`,
        field: null,
        z: MISSING_Z,
        back: `${verbOf(before)} again, not ${verbOf(after)}`,
        revert: stepBack(own, after.id, () => before),
      }
      return [
        {
          ...whole,
          kind: 'extra',
          side: 1,
          words: `a step to ${verbOf(after)} where ${against.words} has one to ${verbOf(before)}`,
        },
        {
          ...whole,
          kind: 'missing',
          operation: before.operation,
          side: -1,
          words: `no step to ${verbOf(before)} as in ${against.words}`,
        },
      ]
    }
    const found: Deviation[] = []
    if (before.settings.isWrapped && !after.settings.isWrapped)
      found.push({
        ...base(after, own),
        key: `step ${after.id} wrap`,
        kind: 'missing',
        operation: 'wrap',
        field: null,
        side: -1,
        z: MISSING_Z,
        words: `not wrapped as in ${against.words}`,
        back: 'wrapped again',
        revert: stepBack(own, after.id, () => before),
      })
    const [minutesWas, minutesIs] = [minutesOf(other, before), minutesOf(own, after)]
    if (minutesWas > 0 && minutesIs > 0 && Math.abs(Math.log(minutesIs / minutesWas)) > 1e-6)
      found.push({
        ...base(after, own),
        key: `step ${after.id}`,
        kind: 'step',
        field: 'minutes',
        side: minutesIs > minutesWas ? 1 : -1,
        z: Math.min(MOST_Z, Math.abs(Math.log(minutesIs / minutesWas)) / MINUTES_LN),
        words: `${verbOf(after)} ${minutesWords(Math.abs(minutesIs - minutesWas))} ${minutesIs > minutesWas ? 'longer' : 'shorter'} ${than}`,
        back: `${verbOf(after)} ${minutesWords(minutesWas)} again`,
        revert: stepBack(own, after.id, (step) => ({
          ...step,
          text: before.text,
          durationMin: before.durationMin,
          until: before.until,
        })),
      })
    if (before.tempC !== null && after.tempC !== null && before.tempC !== after.tempC) {
      const isWet = after.operation !== null && WET.has(after.operation)
      found.push({
        ...base(after, own),
        key: `step ${after.id} heat`,
        kind: 'step',
        field: 'tempC',
        side: after.tempC > before.tempC ? 1 : -1,
        z: Math.min(MOST_Z, Math.abs(after.tempC - before.tempC) / (isWet ? WET_HEAT_C : DRY_HEAT_C)),
        words: `${verbOf(after)} at ${Math.round(after.tempC)} °C in place of ${Math.round(before.tempC)}`,
        back: `${verbOf(after)} at ${Math.round(before.tempC)} °C again`,
        revert: stepBack(own, after.id, (step) => ({ ...step, text: before.text, tempC: before.tempC })),
      })
    }
    return found
  })
}

const minutesOf = ({ reading, part }: PartFacts, step: Step): number =>
  step.durationMin ?? reading.steps[part.steps.indexOf(step)]?.minutes ?? 0

/** What was weighed after cooking, beside what the method should have left. */
export function yieldDeviations(own: PartFacts): Deviation[] {
  return own.reading.steps.flatMap((step): Deviation[] => {
    const { fit, stepId, operation } = step
    if (fit === null || fit.predictedG <= 0) return []
    const ln = Math.log(fit.weighedG / fit.predictedG)
    const z = Math.min(MOST_Z, Math.abs(ln) / YIELD_LN)
    if (z < 1) return []
    const name = own.part.steps.find(({ id }) => id === stepId)
    return [
      {
        key: `yield ${stepId}`,
        kind: 'yield',
        against: 'plan',
        id: stepId,
        about: [stepId],
        food: null,
        operation: operation === null ? null : (operation as OperationId),
        field: null,
        side: ln > 0 ? 1 : -1,
        z,
        words: `came out at ${Math.round(fit.weighedG)} g after ${name === undefined ? 'the step' : `the ${verbOf(name)}`}, ${Math.round(fit.predictedG)} expected`,
        back: '',
        revert: null,
      },
    ]
  })
}
