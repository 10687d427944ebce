import { attendanceOf } from '../assess'
import type {
  DayTask,
  Dish,
  Kitchen,
  OperationId,
  PartAssessment,
  PlanLag,
  Step,
  StepReading,
} from '../model'
import { specOf } from '../program'
import type { PlanResource } from '../schedule'
import {
  checkFor,
  DRIER_MOST_C,
  DRIPS,
  DRIPS_MIN,
  LEAST_MIN,
  mostWaitMin,
  OVEN_BAND_C,
  PLATE_MIN,
  SET_UP_MIN,
  STATIONS,
} from './table'

export const COOK = 'cook'
/** Somebody has to be near; any number of things can be kept an eye on. */
export const NEAR = 'near'
const COUNTER = 'counter'
const FRIDGE = 'fridge'
const FRIDGE_SPACE = 12
const MOST_NAMES = 2
const MOST_CHECKS = 12

/** What the kitchen has, as resources of a plan. Vessels stand for their kind: two pans of one size are two. */
export function resourcesOf({ equipment }: Kitchen, cooks: number): PlanResource[] {
  const trays = equipment.filter(({ kind }) => kind === 'tray').reduce((sum, { count }) => sum + count, 0)
  const resource = (id: string, capacity: number, sharedTemperature = false): PlanResource => ({
    id,
    capacity,
    sharedTemperature,
  })
  return [
    resource(COOK, cooks),
    resource(NEAR, 1000),
    resource(COUNTER, 1000),
    resource(FRIDGE, FRIDGE_SPACE),
    ...equipment.flatMap(({ id, kind, count }): PlanResource[] =>
      // An oven takes as many trays as there are, all at one temperature.
      kind === 'oven'
        ? [resource(id, Math.max(1, Math.min(3, trays)) * count, true)]
        : kind === 'tray' || kind === 'press'
          ? []
          : [resource(id, count)],
    ),
  ]
}

/** A name inside a sentence; a heading that shouts ("CRUMBLES") says it plainly. */
const inSentence = (name: string): string =>
  /^\P{Ll}{4,}$/u.test(name) ? name.toLowerCase() : name.charAt(0).toLowerCase() + name.slice(1)

/** What a step is about: its heaviest foods, else the other parts that it takes, else its own part. */
const names = ({ takes }: StepReading, part: string): string => {
  const massOf = (made: boolean): number =>
    takes.filter(({ kind }) => (kind !== 'line') === made).reduce((sum, { massG }) => sum + massG, 0)
  // Oil for what is seared is not what the step is about.
  const isOfMade = massOf(true) > massOf(false)
  const lines = isOfMade ? [] : takes.filter(({ kind }) => kind === 'line').sort((a, b) => b.massG - a.massG)
  const named = lines.length > 0 ? lines : takes.filter(({ kind }) => kind === 'part')
  if (named.length === 0) return inSentence(part)
  const chosen = named.slice(0, MOST_NAMES).map(({ name }) => {
    const plain = (name.split(/[,(]/)[0] ?? name).trim()
    // An abbreviation stays as it is.
    return /^[A-Z]{2}/.test(plain) ? plain : inSentence(plain)
  })
  return chosen.filter((name) => name !== '').join(', ')
}

interface Placing {
  readonly station: string
  readonly uses: Record<string, number>
  readonly tempC: number | null
}

/** What a step holds while it runs, of what the kitchen has. */
function placing(
  { operation, vesselId }: StepReading,
  step: Step,
  resources: readonly PlanResource[],
): Placing {
  const known = operation === null ? null : specOf(operation as OperationId)
  const uses: Record<string, number> = {}
  const has = (id: string): boolean => resources.some((one) => one.id === id)
  const ofKind = (kind: string): string | undefined =>
    resources.find(({ id, sharedTemperature }) => (kind === 'oven' ? sharedTemperature : id === kind))?.id
  let station = COUNTER
  if (known !== null) {
    const isOvenDried = known.medium === 'dry-air' && (step.tempC ?? 0) > DRIER_MOST_C
    for (const kind of isOvenDried ? (['oven'] as const) : STATIONS[known.medium]) {
      // Without one of its own the kitchen is taken to have what the words ask for: Method says what is missing.
      const id = ofKind(kind)
      if (id === undefined) continue
      uses[id] = 1
      station = id
    }
    if (vesselId !== null && has(vesselId) && uses[vesselId] === undefined) {
      uses[vesselId] = 1
      if (station === COUNTER) station = vesselId
    }
  }
  const tempC = step.tempC ?? known?.usualC ?? null
  return {
    station,
    uses,
    tempC: resources.some(({ id, sharedTemperature }) => sharedTemperature && id in uses) ? tempC : null,
  }
}

const wholeMin = (minutes: number): number => Math.max(LEAST_MIN, Math.round(minutes))

/** The last task of a step, with what it was: what it made may wait so long. */
interface StepEnd {
  readonly id: string
  readonly operation: OperationId | null
}

/** Waits between tasks, by the one that waits. */
class Waits {
  private readonly byTask = new Map<string, PlanLag[]>()

  add(id: string, other: string, minLagMin: number, maxLagMin: number | null): void {
    const lags = this.of(id)
    if (other !== id && lags.every((lag) => lag.id !== other)) lags.push({ id: other, minLagMin, maxLagMin })
    this.byTask.set(id, lags)
  }

  /** It may wait as long as what was made keeps. */
  addEnd(id: string, { id: other, operation }: StepEnd): void {
    this.add(id, other, 0, mostWaitMin(operation))
  }

  of(id: string): PlanLag[] {
    return this.byTask.get(id) ?? []
  }
}

/** The tasks of one step, in order: what begins it is the first, what ends it the last of those that are no checks. */
interface StepTasks {
  readonly tasks: readonly DayTask[]
  readonly first: string
  readonly end: StepEnd
}

/** What a step that goes by itself is looked after by. Times are from its beginning. */
function checksOf(
  { id, label, task: { durationMin } }: DayTask,
  operation: OperationId | null,
  of: string,
): {
  readonly id: string
  readonly atMin: number
  readonly slackMin: number
  readonly handsMin: number
  readonly label: string
  readonly act: string
}[] {
  const check = checkFor(operation)
  if (check === null) return []
  const { everyMin, handsMin, act } = check
  const count = Math.min(MOST_CHECKS, Math.floor((durationMin - handsMin) / everyMin))
  return Array.from({ length: Math.max(0, count) }, (_, index) => ({
    id: `${id}:check-${index + 1}`,
    // One look alone is best in the middle.
    atMin: count === 1 ? Math.min(everyMin, Math.round(durationMin / 2)) : (index + 1) * everyMin,
    // A little early or late does no harm.
    slackMin: Math.max(1, Math.round(everyMin / 4)),
    handsMin,
    label: `${of === '' ? label : of}: ${act}`,
    act,
  }))
}

function stepTasks(
  dish: Dish,
  part: Dish['parts'][number],
  step: Step,
  reading: StepReading,
  resources: readonly PlanResource[],
  waits: Waits,
): StepTasks {
  const operation = reading.operation as OperationId | null
  // What drips through a cloth for an hour needs nobody, whatever a minute of it would.
  const drips = operation !== null && DRIPS.has(operation) && reading.minutes > DRIPS_MIN
  const attendance = drips ? 'alone' : attendanceOf(reading)
  const { station, uses, tempC } = placing(reading, step, resources)
  const minutes = wholeMin(reading.minutes)
  const verb = operation === null ? 'Do' : specOf(operation).name
  // A dish of one part is told by its own name.
  const of = names(reading, dish.parts.length === 1 ? dish.name : part.name)
  const label = of === '' ? verb : `${verb}: ${of}`
  const key = `${dish.id}:${reading.stepId}`
  const made = (
    id: string,
    kind: DayTask['kind'],
    durationMin: number,
    held: Record<string, number>,
    words: Pick<DayTask, 'label' | 'text'>,
  ): DayTask => ({
    ...words,
    id,
    kind,
    dishId: dish.id,
    dish: dish.name,
    part: part.name,
    stepId: reading.stepId,
    station,
    attendance: kind === 'by-itself' ? attendance : 'hands',
    tempC,
    task: {
      id,
      durationMin,
      uses: held,
      tempC: tempC === null ? null : { low: tempC - OVEN_BAND_C, high: tempC + OVEN_BAND_C },
      after: [],
      window: null,
    },
  })
  const words = { label, text: step.text }
  const end = { id: key, operation }
  if (attendance === 'hands' || minutes <= SET_UP_MIN)
    return { tasks: [made(key, 'work', minutes, { ...uses, [COOK]: 1 }, words)], first: key, end }
  const first = `${key}:set-up`
  const begin = { label: `Begin to ${label.charAt(0).toLowerCase()}${label.slice(1)}`, text: step.text }
  const main = made(key, 'by-itself', minutes, attendance === 'near' ? { ...uses, [NEAR]: 1 } : uses, words)
  waits.add(key, first, 0, 0)
  const checks = checksOf(main, operation, of).map((check) => {
    waits.add(
      check.id,
      first,
      check.atMin - check.slackMin,
      Math.min(check.atMin + check.slackMin, minutes - check.handsMin),
    )
    return made(check.id, 'check', check.handsMin, { [COOK]: 1 }, { label: check.label, text: check.act })
  })
  return { tasks: [made(first, 'work', SET_UP_MIN, { [COOK]: 1 }, begin), main, ...checks], first, end }
}

function plating(dish: Dish): DayTask {
  const id = `${dish.id}:plate`
  return {
    id,
    kind: 'plate',
    dishId: dish.id,
    dish: dish.name,
    part: '',
    stepId: null,
    label: `Plate ${dish.name}`,
    text: `Plate ${dish.aim.portions} portions.`,
    station: COUNTER,
    attendance: 'hands',
    tempC: null,
    task: { id, durationMin: PLATE_MIN, uses: { [COOK]: 1 }, tempC: null, after: [], window: null },
  }
}

/** Ids of the steps, or the parts, that some step takes. */
const takenIds = (parts: readonly PartAssessment[], wanted: 'step' | 'part'): ReadonlySet<string> =>
  new Set(
    parts.flatMap(({ steps }) =>
      steps.flatMap(({ takes }) => takes.flatMap(({ kind, id }) => (kind === wanted ? [id] : []))),
    ),
  )

/**
 * The tasks of one dish: each doing as work of the hands, or as what goes by itself after it is set up, looked after from
 * time to time; at the end the dish is plated.
 */
export function tasksOf(
  dish: Dish,
  parts: readonly PartAssessment[],
  resources: readonly PlanResource[],
): DayTask[] {
  const waits = new Waits()
  const takenSteps = takenIds(parts, 'step')
  const takenParts = takenIds(parts, 'part')
  const ends = new Map<string, StepEnd>()
  const lastOf = new Map<string, StepEnd[]>()
  const done: { readonly reading: StepReading; readonly made: StepTasks }[] = []
  for (const { partId, steps } of parts) {
    const part = dish.parts.find(({ id }) => id === partId)
    for (const reading of steps) {
      const step = part?.steps.find(({ id }) => id === reading.stepId)
      if (part === undefined || step === undefined) continue
      const made = stepTasks(dish, part, step, reading, resources, waits)
      done.push({ reading, made })
      ends.set(reading.stepId, made.end)
      if (!takenSteps.has(reading.stepId)) lastOf.set(partId, [...(lastOf.get(partId) ?? []), made.end])
    }
  }
  // A step may take what is made further down: waits come when every end is known.
  for (const { reading, made } of done)
    for (const { kind, id } of reading.takes) {
      const step = ends.get(id)
      const before =
        kind === 'part' ? (lastOf.get(id) ?? []) : kind === 'step' && step !== undefined ? [step] : []
      for (const end of before) waits.addEnd(made.first, end)
    }
  const plate = plating(dish)
  for (const [partId, last] of lastOf)
    if (!takenParts.has(partId)) for (const end of last) waits.addEnd(plate.id, end)
  return [...done.flatMap(({ made }) => made.tasks), plate].map((one) => ({
    ...one,
    task: { ...one.task, after: waits.of(one.id) },
  }))
}
