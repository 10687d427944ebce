import { type Attendance, attendanceOf } from '../assess'
import type { Dish, Kitchen, OperationId, PartAssessment, Step, StepReading } from '../model'
import { specOf } from '../program'
import type { PlanLag, PlanResource, PlanTask } from '../schedule'
import { checkFor, LEAST_MIN, mostWaitMin, OVEN_BAND_C, PLATE_MIN, SET_UP_MIN, STATIONS } from './table'

/** What a task of the day is, beside its times. */
export interface DayTask {
  readonly id: string
  readonly kind: 'work' | 'by-itself' | 'check' | 'plate'
  readonly dishId: string
  readonly dish: string
  readonly part: string
  readonly stepId: string | null
  /** "Mash: black-eyed peas, oats". */
  readonly label: string
  /** The step's own words; what to do, for a check. */
  readonly text: string
  /** Where it happens: a resource's id. */
  readonly station: string
  readonly attendance: Attendance
  readonly tempC: number | null
  readonly task: PlanTask
}

export const COOK = 'cook'
/** Somebody has to be near; any number of things can be kept an eye on. */
export const NEAR = 'near'
const COUNTER = 'counter'
const FRIDGE = 'fridge'
const FRIDGE_SPACE = 12
const MOST_NAMES = 2

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

/** What a step is about: its heaviest foods, else the other parts that it takes, else its own part. */
const names = ({ takes }: StepReading, part: string): string => {
  const lines = takes.filter(({ kind }) => kind === 'line').sort((a, b) => b.massG - a.massG)
  const named = lines.length > 0 ? lines : takes.filter(({ kind }) => kind === 'part')
  if (named.length === 0) return part.charAt(0).toLowerCase() + part.slice(1)
  const chosen = named.slice(0, MOST_NAMES).map(({ name }) => {
    const plain = (name.split(/[,(]/)[0] ?? name).trim()
    return plain.charAt(0).toLowerCase() + plain.slice(1)
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
    for (const kind of STATIONS[known.medium]) {
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

/**
 * The tasks of one dish: each doing as work of the hands, or as what goes by itself after it is set up, looked after from
 * time to time; at the end the dish is plated.
 */
export function tasksOf(
  dish: Dish,
  parts: readonly PartAssessment[],
  resources: readonly PlanResource[],
): DayTask[] {
  const found: DayTask[] = []
  const endOfStep = new Map<string, { id: string; operation: OperationId | null }>()
  const lastOfPart = new Map<string, { id: string; operation: OperationId | null }[]>()
  const waits: (() => void)[] = []
  const afterOf = new Map<string, PlanLag[]>()
  const wait = (id: string, other: string, minLagMin: number, maxLagMin: number | null): void => {
    const lags = afterOf.get(id) ?? []
    if (other !== id && lags.every((lag) => lag.id !== other)) lags.push({ id: other, minLagMin, maxLagMin })
    afterOf.set(id, lags)
  }
  for (const reading of parts) {
    const part = dish.parts.find(({ id }) => id === reading.partId)
    if (part === undefined) continue
    const taken = new Set(
      parts.flatMap(({ steps }) =>
        steps.flatMap(({ takes }) => takes.flatMap(({ kind, id }) => (kind === 'step' ? [id] : []))),
      ),
    )
    for (const one of reading.steps) {
      const step = part.steps.find(({ id }) => id === one.stepId)
      if (step === undefined) continue
      const operation = one.operation as OperationId | null
      const attendance = attendanceOf(one)
      const { station, uses, tempC } = placing(one, step, resources)
      const minutes = wholeMin(one.minutes)
      const verb = operation === null ? 'Do' : specOf(operation).name
      // A dish of one part is told by its own name.
      const of = names(one, dish.parts.length === 1 ? dish.name : part.name)
      const key = `${dish.id}:${one.stepId}`
      const add = (
        id: string,
        kind: DayTask['kind'],
        durationMin: number,
        held: Record<string, number>,
        label: string,
        text: string,
      ): void => {
        found.push({
          id,
          kind,
          dishId: dish.id,
          dish: dish.name,
          part: part.name,
          stepId: one.stepId,
          label,
          text,
          station,
          attendance: kind === 'by-itself' ? attendance : 'hands',
          tempC,
          task: {
            id,
            durationMin,
            uses: held,
            tempC: tempC === null ? null : { low: tempC - OVEN_BAND_C, high: tempC + OVEN_BAND_C },
            after: [],
          },
        })
      }
      const label = of === '' ? verb : `${verb}: ${of}`
      let first = key
      let last = key
      if (attendance === 'hands' || minutes <= SET_UP_MIN)
        add(key, 'work', minutes, { ...uses, [COOK]: 1 }, label, step.text)
      else {
        first = `${key}:set-up`
        add(
          first,
          'work',
          SET_UP_MIN,
          { [COOK]: 1 },
          `Begin to ${label.charAt(0).toLowerCase()}${label.slice(1)}`,
          step.text,
        )
        add(
          key,
          'by-itself',
          minutes,
          attendance === 'near' ? { ...uses, [NEAR]: 1 } : uses,
          label,
          step.text,
        )
        wait(key, first, 0, 0)
        const check = checkFor(operation)
        if (check !== null)
          for (
            let at = check.everyMin, count = 1;
            at <= minutes - check.handsMin && count <= 12;
            at += check.everyMin, count += 1
          ) {
            const id = `${key}:check-${count}`
            add(
              id,
              'check',
              check.handsMin,
              { [COOK]: 1 },
              `${of === '' ? verb : of}: ${check.act}`,
              check.act,
            )
            // A little early or late does no harm.
            const slack = Math.max(1, Math.round(check.everyMin / 4))
            wait(id, first, at - slack, Math.min(at + slack, minutes - check.handsMin))
          }
        last = key
      }
      endOfStep.set(one.stepId, { id: last, operation })
      if (!taken.has(one.stepId))
        lastOfPart.set(part.id, [...(lastOfPart.get(part.id) ?? []), { id: last, operation }])
      const entry = first
      waits.push(() => {
        for (const { kind, id } of one.takes) {
          const before =
            kind === 'step' ? [endOfStep.get(id)] : kind === 'part' ? (lastOfPart.get(id) ?? []) : []
          for (const other of before)
            if (other !== undefined) wait(entry, other.id, 0, mostWaitMin(other.operation))
        }
      })
    }
  }
  for (const run of waits) run()
  const takenParts = new Set(
    parts.flatMap(({ steps }) =>
      steps.flatMap(({ takes }) => takes.flatMap(({ kind, id }) => (kind === 'part' ? [id] : []))),
    ),
  )
  const plate = `${dish.id}:plate`
  found.push({
    id: plate,
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
    task: { id: plate, durationMin: PLATE_MIN, uses: { [COOK]: 1 }, tempC: null, after: [] },
  })
  for (const [partId, ends] of lastOfPart)
    if (!takenParts.has(partId))
      for (const { id, operation } of ends) wait(plate, id, 0, mostWaitMin(operation))
  return found.map((one) => ({ ...one, task: { ...one.task, after: afterOf.get(one.id) ?? [] } }))
}
