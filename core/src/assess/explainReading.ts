import { attributeName } from '../model'
import { type Change, type PartRun, type PartState, runPart, stateWith } from '../process'
import { isHeating, withLineMass } from '../program'
import {
  attributeEquation,
  attributeSource,
  type AttributeTable,
  familyTable,
  type FamilyTable,
  type InputId,
  inputOf,
  isInput,
  ratioEquation,
  served,
  type Values,
  valuesOf,
  weightOf,
} from '../texture'
import type { Explained, Explanation } from './explanation'
import type { PartWork } from './workPart'

const round = (value: number, digits = 3): string =>
  String(Number(value.toPrecision(digits))).replace('-', '−')
const signed = (value: number): string => `${value >= 0 ? '+' : '−'}${round(Math.abs(value), 2)}`
const MORE_MASS = 1.1
const LONGER = 1.25
const LEAST_CHANGE = 1e-4
const MOST_LEVERS = 4

/** One thing that a cook can change, and what it is called. */
export interface Lever {
  readonly label: string
  readonly change: Change
}

/** A tenth more of each line, a quarter longer for each step that cooks. */
export function leversOf({ program, trace }: PartRun): Lever[] {
  const lines = program.lines.flatMap(({ entry, massG }, line): Lever[] =>
    entry.food === null || massG <= 0
      ? []
      : [
          {
            label: `${entry.food.name} +10 %`,
            change: { kind: 'line', line, massG: massG * MORE_MASS },
          },
        ],
  )
  const steps = program.ops.flatMap(({ at, step, spec }): Lever[] => {
    const reading = trace[at]?.reading
    if (reading === undefined || spec === null || !isHeating(spec.id)) return []
    if (step.until !== null || step.weighedG !== null) return []
    const minutes = step.durationMin ?? reading.minutes / Math.max(1, reading.loads)
    return [
      {
        label: `${spec.name} a quarter longer`,
        change: { kind: 'setting', op: at, field: 'minutes', value: minutes * LONGER },
      },
    ]
  })
  return [...lines, ...steps]
}

/** The part's state once a lever is pulled: the whole part is worked out again, by the same arithmetic. */
export function pulled(run: PartRun, { change }: Lever): PartState {
  if (change.kind !== 'line') return stateWith(run, [change], true)
  const { program, made, usualYield } = run
  return runPart({ program: withLineMass(program, change.line, change.massG), made, usualYield }).state
}

/** Other attributes that a lever moves by less than this are not worth a word, points. Practice. */
const LEAST_SIDE_EFFECT = 0.1
const MOST_SIDE_EFFECTS = 2

/** What a lever does beside what it is pulled for: the strongest first, those that the original weighs before others. */
function sideEffects(
  { attributes }: FamilyTable,
  work: PartWork,
  now: Float64Array,
  then: Float64Array,
  asked: number,
): string {
  const weight = (id: AttributeTable['id']): number => 1 + weightOf(work.goal, id)
  return attributes
    .map(({ id }, at) => ({ id, at, change: (then[at] ?? 0) - (now[at] ?? 0) }))
    .filter(({ at, change }) => at !== asked && Math.abs(change) >= LEAST_SIDE_EFFECT)
    .sort((a, b) => weight(b.id) * Math.abs(b.change) - weight(a.id) * Math.abs(a.change))
    .slice(0, MOST_SIDE_EFFECTS)
    .map(({ id, change }) => `${attributeName(id)} ${signed(change)}`)
    .join(', ')
}

/** What each lever does to one reading, strongest first, and what else it does. */
function effects(
  work: PartWork,
  table: FamilyTable,
  kind: 'ratio' | 'attribute',
  at: number,
  unit: string,
): Explanation['levers'] {
  const read = (state: PartWork['state']) =>
    valuesOf(table, served(table, state, work.goal), work.calibrations)
  const now = read(work.state)
  const of = (values: Values): number => (kind === 'ratio' ? values.ratios : values.attributes)[at] ?? 0
  return leversOf(work.method)
    .map((lever) => {
      const then = read(pulled(work.method, lever))
      return { label: lever.label, then: then.attributes, change: of(then) - of(now) }
    })
    .filter(({ change }) => Math.abs(change) > LEAST_CHANGE)
    .sort((a, b) => Math.abs(b.change) - Math.abs(a.change))
    .slice(0, MOST_LEVERS)
    .map(({ label, change, then }) => ({
      label,
      change: `${signed(change)}${unit === '' ? '' : ` ${unit}`}`,
      besides: sideEffects(table, work, now.attributes, then, kind === 'attribute' ? at : -1),
    }))
}

const massInputs = ({ assessment }: PartWork): Explained[] => [
  { label: 'Raw mass', value: `${round(assessment.rawMassG)} g`, source: 'sum of the lines' },
  {
    label: 'Cooked mass',
    value: `${round(assessment.cookedMassG)} g`,
    source: {
      weighed: 'weighed',
      steps: 'the steps',
      family: 'usual for the family; practice',
      raw: 'nothing cooks off',
    }[assessment.cookedBasis],
  },
]

/** What a logarithm is taken of: a cook reads "fat 12 %", not its logarithm. */
const plainOf = (id: InputId): InputId => {
  const plain = id.startsWith('log_') ? id.slice('log_'.length) : id
  return isInput(plain) ? plain : id
}

/** The inputs of an equation with their values now. */
function inputValues(work: PartWork, table: FamilyTable, inputs: readonly InputId[]): Explained[] {
  const at = served(table, work.state, work.goal)
  return [...new Set(inputs.map(plainOf))].map((id) => {
    const { label, unit, source, value } = inputOf(id)
    return { label, value: `${round(value(at))} ${unit}`.trim(), source }
  })
}

const PARTLY: Explained = {
  label: 'Partly known',
  value: 'wider band',
  source: 'some foods have no figure of their own for this',
}

function explainRatio(work: PartWork, table: FamilyTable, id: string): Explanation | null {
  const at = table.ratios.findIndex((one) => one.id === id)
  const ratio = table.ratios[at]
  const reading = work.assessment.ratios.find((one) => one.id === id)
  if (ratio === undefined || reading === undefined) return null
  const windowSource = work.goal.moved.windows[id] === undefined ? ratio.source : 'set in Aim'
  const range = (low: number, high: number): string => `${round(low)} to ${round(high)} ${ratio.unit}`
  return {
    title: `${ratio.label}: ${round(reading.value)} ${ratio.unit}`.trim(),
    equation: ratioEquation(ratio),
    inputs: [
      { label: 'Works well', value: range(reading.bestLow, reading.bestHigh), source: windowSource },
      { label: 'Works', value: range(reading.low, reading.high), source: windowSource },
      {
        label: 'Uncertainty',
        value: `± ${round(reading.sd, 2)} ${ratio.unit}`,
        source: 'measuring scatter of the lines, and how kitchens differ in the steps',
      },
      ...(reading.known === 'partly' ? [PARTLY] : []),
      ...massInputs(work),
    ],
    levers: effects(work, table, 'ratio', at, ratio.unit),
    source: ratio.source,
  }
}

/** Whose band it is: the person's own, or the original's. */
const targetOf = ({ goal: { original, moved } }: PartWork, id: AttributeTable['id']) =>
  moved.bands[id] !== undefined || original === null
    ? { label: 'Your band', source: 'set in Aim' }
    : { label: original.name, source: original.source }

/** How sure the model is of itself, and what this kitchen's tastings moved. */
function modelInput({ calibrations }: PartWork, { id, sd }: AttributeTable): Explained {
  const learned = calibrations.get(id)
  if (learned === undefined)
    return { label: 'Model', value: `± ${sd}`, source: 'before it learns from your tastings; practice' }
  const { offset, slope, sd: left } = learned
  return {
    label: 'Your tastings',
    value: `${slope.toFixed(2)} × the model ${offset < 0 ? '−' : '+'} ${Math.abs(offset).toFixed(1)}, ± ${left.toFixed(1)}`,
    source: `learned in Taste; ± ${sd} before`,
  }
}

function explainAttribute(work: PartWork, table: FamilyTable, id: string): Explanation | null {
  const at = table.attributes.findIndex((one) => one.id === id)
  const attribute = table.attributes[at]
  const reading = work.assessment.attributes.find((one) => one.id === id)
  if (attribute === undefined || reading === undefined) return null
  const goal = reading.target
  return {
    title: `${attributeName(attribute.id)}: ${reading.value.toFixed(1)} ± ${reading.sd.toFixed(1)}`,
    equation: attributeEquation(attribute),
    inputs: [
      ...(goal === null ? [] : [{ ...targetOf(work, attribute.id), value: `${goal.low} to ${goal.high}` }]),
      ...inputValues(
        work,
        table,
        attribute.terms.map(({ input }) => input),
      ),
      modelInput(work, attribute),
      ...(reading.known === 'partly' ? [PARTLY] : []),
      ...massInputs(work),
    ],
    levers: effects(work, table, 'attribute', at, 'points'),
    source: attributeSource(attribute),
  }
}

/** Answers "why?" for a ratio or an attribute; null where the part has no such reading. */
export function explainReading(work: PartWork, kind: 'ratio' | 'attribute', id: string): Explanation | null {
  const table = familyTable(work.assessment.family)
  if (table === null) return null
  return kind === 'ratio' ? explainRatio(work, table, id) : explainAttribute(work, table, id)
}
