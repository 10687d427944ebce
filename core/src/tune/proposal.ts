import { assess } from '../assess'
import type { AttributeId, Assessment, Dish, PartAssessment } from '../model'
import type { AnswerKind, Steps } from './answers'
import { isMoved } from './apply'
import { aimLimits, type Bench, LIMITED, type Limit, type TuneAsk } from './ask'
import { consistencies, consistencyPoints, pointsOff } from './consistency'
import { countedBy } from './focus'
import type { Problem } from './problemTypes'

export interface ChangedLine {
  readonly lineId: string
  readonly text: string
  readonly foodId: string | null
  readonly name: string
  readonly beforeG: number
  readonly afterG: number
}
export interface ChangedSetting {
  readonly stepId: string
  readonly step: string
  readonly parameter: 'minutes' | 'keeps'
  readonly before: number
  readonly after: number
}
export interface TunedAttribute {
  readonly id: AttributeId
  readonly before: number
  readonly after: number
  readonly target: { readonly low: number; readonly high: number }
  readonly weight: number
}
export interface KeptLimit {
  readonly id: string
  readonly label: string
  readonly unit: string
  readonly value: number
  readonly limit: number
  readonly side: 'most' | 'least'
  readonly holds: boolean
}

/** One way to get closer: a dish, and what it differs in. Figures are those of `assess` for that dish. */
export interface Answer {
  readonly kind: AnswerKind
  readonly dish: Dish
  /** Every line with a mass, changed or not. */
  readonly lines: readonly ChangedLine[]
  readonly process: readonly ChangedSetting[]
  readonly attributes: readonly TunedAttribute[]
  readonly objective: { readonly before: number; readonly after: number }
  readonly limits: readonly KeptLimit[]
  /** Where a consistency was asked for: at its temperature, Pa.s. */
  readonly consistency: { readonly before: number; readonly after: number } | null
  readonly assessment: Assessment
}

/** What a proposal promises is kept to this many points. */
const PROMISE = 0.15

function keptLimits(limits: readonly Limit[], { perPortion }: Assessment): KeptLimit[] {
  return limits.flatMap(({ id, least, most }) => {
    const value = perPortion[id]
    if (value === null) return []
    const { label, unit } = LIMITED[id]
    const sides: KeptLimit[] = []
    if (most !== null)
      sides.push({ id, label, unit, value, limit: most, side: 'most', holds: value <= most + 1e-9 })
    if (least !== null)
      sides.push({ id, label, unit, value, limit: least, side: 'least', holds: value >= least - 1e-9 })
    return sides
  })
}

const partOf = ({ parts }: Assessment, partId: string) => parts.find((one) => one.partId === partId)

export function answerOf(
  kind: AnswerKind,
  first: Dish,
  before: Assessment,
  dish: Dish,
  problem: Problem,
  x: ArrayLike<number>,
  ask: TuneAsk,
  { library, kitchen }: Bench,
): Answer {
  const assessment = assess(dish, library, kitchen)
  const was = partOf(before, ask.partId)
  const is = partOf(assessment, ask.partId)
  const consistency = consistencies(first, dish, ask, { library, kitchen })
  const stepText = (id: string): string =>
    dish.parts.flatMap(({ steps }) => steps).find((step) => step.id === id)?.text ?? ''
  return {
    kind,
    dish,
    lines: (is?.lines ?? []).flatMap((line): ChangedLine[] => {
      if (line.massG === null) return []
      const beforeG = was?.lines.find(({ lineId }) => lineId === line.lineId)?.massG ?? 0
      return [
        {
          lineId: line.lineId,
          text: line.text,
          foodId: line.foodId,
          name: line.name,
          beforeG,
          afterG: line.massG,
        },
      ]
    }),
    process: problem.knobs.flatMap((knob, at): ChangedSetting[] => {
      const after = x[at] ?? knob.now
      if (knob.kind === 'line' || !isMoved(knob, after)) return []
      const original = first.parts.flatMap(({ steps }) => steps).find(({ id }) => id === knob.id)
      return [
        {
          stepId: knob.id,
          step: stepText(knob.id),
          parameter: knob.kind,
          before:
            knob.kind === 'keeps' && original?.until?.kind === 'keeps'
              ? original.until.fraction
              : (original?.durationMin ?? knob.now),
          after,
        },
      ]
    }),
    attributes: (consistency === null ? countedBy(is?.attributes ?? [], ask.focus) : []).map(
      ({ id, value, target, weight }): TunedAttribute => ({
        id,
        before: was?.attributes.find((one) => one.id === id)?.value ?? value,
        after: value,
        target,
        weight,
      }),
    ),
    objective:
      consistency === null
        ? { before: offBy(was, ask), after: offBy(is, ask) }
        : { before: pointsOff(consistency.before, ask), after: pointsOff(consistency.after, ask) },
    consistency,
    limits: keptLimits([...aimLimits(dish), ...ask.limits], assessment),
    assessment,
  }
}

/** How far a part is from what is looked at: its distance, or that of the attributes of a focus alone. */
function offBy(part: PartAssessment | undefined, { focus }: TuneAsk): number {
  if (part === undefined) return 0
  if (focus === 'all') return part.distance ?? 0
  let sum = 0
  let weights = 0
  for (const { gap, weight } of countedBy(part.attributes, focus)) {
    sum += weight * Math.abs(gap)
    weights += weight
  }
  return weights === 0 ? 0 : sum / weights
}

const stopsIn = ({ findings }: Assessment): Set<string> =>
  new Set(findings.flatMap(({ severity, rule }) => (severity === 'stop' ? [rule] : [])))

/** Whether a proposal is as it was promised, once its words are read and its dish is assessed anew. */
export function isKept(problem: Problem, steps: Steps, answer: Answer, before: Assessment): boolean {
  const promised = problem.look(steps.x)
  const keeps = problem.outputs.every(({ kind, id }, at) => {
    if (kind !== 'attribute') return true
    if (answer.consistency !== null)
      return Math.abs(consistencyPoints(answer.consistency.after) - (promised[at] ?? 0)) <= PROMISE
    const after = answer.attributes.find((one) => one.id === id)?.after
    return after === undefined || Math.abs(after - (promised[at] ?? after)) <= PROMISE
  })
  const stops = stopsIn(before)
  return (
    keeps &&
    answer.limits.every(({ holds }) => holds) &&
    [...stopsIn(answer.assessment)].every((rule) => stops.has(rule)) &&
    windowsHold(before, answer.assessment, problem.part.partId, answer.consistency !== null)
  )
}

/** No deciding window that was kept is left. */
function windowsHold(before: Assessment, after: Assessment, partId: string, isThinned: boolean): boolean {
  const was = partOf(before, partId)?.ratios ?? []
  return (partOf(after, partId)?.ratios ?? []).every(
    ({ id, value, low, high, state }) =>
      state !== 'out' ||
      (isThinned && id === 'viscosity') ||
      was.some(
        (one) =>
          one.id === id &&
          value >= Math.min(low, one.value) - 1e-9 &&
          value <= Math.max(high, one.value) + 1e-9,
      ),
  )
}
