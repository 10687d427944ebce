import type { Kitchen, Library, Part, ProcessLaw, Step, StepReading } from '../model'
import { fitOf, lawOf, rateFor, specOf } from '../program'
import { setByHand, type HandChange } from '../reading'
import type { Explained, Explanation } from './explanation'
import type { PartWork } from './workPart'

const EQUATIONS: Readonly<Record<ProcessLaw, string>> = {
  drying:
    'water = last + (water before − last) × e^(−k × minutes); never more than the hob or the air can drive off',
  uptake: 'water per solids = saturation + (before − saturation) × e^(−minutes ÷ τ)',
  parting: 'mass after = mass before × what stays after a long time, as far as the minutes allow',
}
const BY_SURFACE = 'vapour = g a minute and dm² × area × lid × minutes; never more than the hob can drive off'
const STATED = 'a stated end decides: the mass is as said, the time follows'
const WEIGHED = 'the scale decides: the mass is as weighed'
const NOTHING = 'nothing leaves and nothing comes in by itself'

const grams = (value: number): string => `${value < 10 ? Number(value.toPrecision(2)) : Math.round(value)} g`

function equationOf(step: Step): string {
  if (step.weighedG !== null) return WEIGHED
  if (step.until !== null) return STATED
  if (step.operation === null) return NOTHING
  const { medium, id } = specOf(step.operation)
  const law = lawOf(id)
  if (law === 'uptake' && medium === 'liquid') return `${EQUATIONS.uptake}. ${BY_SURFACE}`
  if (law !== null) return EQUATIONS[law]
  return medium === 'liquid' ? BY_SURFACE : NOTHING
}

/** The fitted constants of the heaviest foods of a step. */
function constants(work: PartWork, step: Step, library: Library): Explained[] {
  const { operation } = step
  const traced = work.method.trace.find((one) => one.step.id === step.id)
  if (operation === null || lawOf(operation) === null || traced === undefined) return []
  const foods = traced.holds
    .filter(({ food }) => food !== null)
    .map(({ food, entry, name }) => ({
      name,
      rate: rateFor(library.rates, operation, food?.id ?? null, entry.group),
      massG: work.lines.find(({ food: own }) => own?.id === food?.id)?.mass?.value ?? 0,
    }))
    .sort((a, b) => b.massG - a.massG)
    .slice(0, 3)
  return foods.flatMap(({ name, rate }) =>
    rate === null
      ? []
      : [
          {
            label: `Constant of ${name.toLowerCase()}`,
            value: `${Number(rate.value.toPrecision(3))} ± ${Math.round(rate.lnSd * 100)} %`,
            source:
              rate.rows === 0
                ? 'composition of the cooked food'
                : `fitted to ${rate.rows} row${rate.rows === 1 ? '' : 's'} of the yields table`,
          },
        ],
  )
}

function learned(step: Step, reading: StepReading, kitchen: Kitchen): Explained[] {
  if (step.operation === null || reading.observations === 0) return []
  const { lnRatio, sd, observations } = fitOf(
    kitchen,
    step.operation,
    reading.vesselId ?? '',
    step.weighedG === null ? null : step.id,
  )
  return [
    {
      label: 'This kitchen',
      value: `×${Math.exp(lnRatio).toFixed(2)} ± ${Math.round(sd * 100)} %`,
      source: `${observations} weighing${observations === 1 ? '' : 's'}, shrunk toward the default`,
    },
  ]
}

/** Changes of a step that a cook would try, and what they are called. */
function trials(step: Step, reading: StepReading): { label: string; change: HandChange }[] {
  const { operation, tempC, durationMin } = step
  if (operation === null || step.weighedG !== null || step.until !== null) return []
  const spec = specOf(operation)
  const minutes = durationMin ?? reading.minutes / Math.max(1, reading.loads)
  const heat = tempC ?? spec.usualC
  return [
    { label: 'a quarter longer', change: { durationMin: minutes * 1.25 } },
    ...(heat === null || spec.medium === 'none'
      ? []
      : [{ label: '10 °C hotter', change: { tempC: heat + 10 } }]),
    ...(spec.medium === 'liquid' ? [{ label: 'with the lid on', change: { lid: 'on' as const } }] : []),
  ]
}

/** What a change of the step does to the mass after it. */
function leversOf(
  part: Part,
  step: Step,
  reading: StepReading,
  run: (part: Part) => PartWork | undefined,
): Explanation['levers'] {
  return trials(step, reading).flatMap(({ label, change }) => {
    const steps = part.steps.map((one) => (one.id === step.id ? setByHand(one, change) : one))
    const after = run({ ...part, steps })?.assessment.steps.find(({ stepId }) => stepId === step.id)
    const more = (after?.massG ?? reading.massG) - reading.massG
    return Math.abs(more) < 0.05 ? [] : [{ label, change: `${more > 0 ? '+' : '−'}${grams(Math.abs(more))}` }]
  })
}

/**
 * Answers "why does it weigh that after this step?".
 * @param run works the part out with another method
 * @returns null where the step is not there or took nothing
 */
export function explainStep(
  part: Part,
  work: PartWork,
  stepId: string,
  library: Library,
  kitchen: Kitchen,
  run: (part: Part) => PartWork | undefined,
): Explanation | null {
  const step = part.steps.find(({ id }) => id === stepId)
  const reading = work.assessment.steps.find((one) => one.stepId === stepId)
  if (step === undefined || reading === undefined || reading.takes.length === 0) return null
  const name = step.operation === null ? 'this step' : specOf(step.operation).name.toLowerCase()
  const moved = (moves: StepReading['lost'], sign: string): Explained[] =>
    moves.map(({ what, massG }) => ({ label: what, value: `${sign}${grams(massG)}`, source: 'this step' }))
  return {
    title: `After ${name}: ${grams(reading.massG)}`,
    equation: equationOf(step),
    inputs: [
      ...reading.takes.map(({ name: of, massG, kind }) => ({
        label: of,
        value: grams(massG),
        source: kind === 'line' ? 'the list' : kind === 'step' ? 'an earlier step' : 'another part',
      })),
      {
        label: reading.loads > 1 ? `Time, ${reading.loads} loads` : 'Time',
        value: `${Number(reading.minutes.toPrecision(3))} min`,
        source: step.durationMin === null ? 'usual for it, or from its end' : 'the step',
      },
      ...(reading.vessel === null
        ? []
        : [{ label: 'Done in', value: reading.vessel, source: 'your kitchen' }]),
      ...constants(work, step, library),
      ...learned(step, reading, kitchen),
      ...moved(reading.gained, '+'),
      ...moved(reading.lost, '−'),
    ],
    levers: leversOf(part, step, reading, run),
    source: 'laws and constants: the process model; yields table of the library, practice',
  }
}
