import { weighingKey } from '@frijol/core/day'
import type {
  CookDay,
  CookSession,
  DayBatch,
  DayEvent,
  DayMeasure,
  DayNote,
  DaySettings,
  DayWay,
  Leftover,
  TimedTask,
  Trial,
  Weighing,
} from '@frijol/core/model'
import type { Draft } from 'immer'
import type { DayCommand } from './openDay'

const inSession =
  (change: (session: Draft<CookSession>) => void) =>
  (day: Draft<CookDay>): void => {
    if (day.session !== null) change(day.session)
  }

/** Changes how a day is planned. */
export const changeSettings = (label: string, change: Partial<DaySettings>): DayCommand => ({
  label,
  apply: ({ settings }) => {
    Object.assign(settings, change)
  },
})

/** The runs of a series that a day makes, in the place of their dish. @param batches none = the dish itself */
export const setBatches = (dishId: string, batches: readonly DayBatch[]): DayCommand => ({
  label: batches.length === 0 ? 'cook the dish itself' : 'cook runs of a series',
  apply: (day) => {
    day.batches = [...day.batches.filter((one) => one.dishId !== dishId), ...batches]
    day.settings.held = []
  },
})

/** Which dishes a day cooks. Tasks that were held of a dish that goes, and its batches, go with it. */
export const setDishes = (dishIds: readonly string[]): DayCommand => ({
  label: 'change the dishes of the day',
  apply: (day) => {
    day.dishIds = [...dishIds]
    day.batches = day.batches.filter(({ dishId }) => dishIds.includes(dishId))
    day.settings.held = day.settings.held.filter(({ id }) => dishIds.some((one) => id.startsWith(`${one}:`)))
  },
})

/** Puts a task at a time, or lets it go again with null. */
export const holdTask = (taskId: string, startMin: number | null): DayCommand => ({
  label: startMin === null ? 'let a task go' : 'put a task at a time',
  apply: ({ settings }) => {
    settings.held = settings.held.filter(({ id }) => id !== taskId)
    if (startMin !== null) settings.held.push({ id: taskId, startMin })
  },
})

/** Does a step by other means than its dish says, this day. */
export const doOtherwise = (way: DayWay): DayCommand => ({
  label: 'do a step otherwise',
  apply: ({ settings }) => {
    settings.ways = [...settings.ways.filter(({ stepId }) => stepId !== way.stepId), way]
  },
})
/** Does a step as its dish says again. */
export const doAsWritten = (stepId: string): DayCommand => ({
  label: 'do a step as written',
  apply: ({ settings }) => {
    settings.ways = settings.ways.filter((way) => way.stepId !== stepId)
  },
})

/** Begins the day: dishes and plan as they are now. */
export const beginDay = (session: CookSession): DayCommand => ({
  label: 'begin the day',
  apply: (day) => {
    day.session = session
  },
})

/** Writes down what was done with tasks. */
export const logTasks = (label: string, events: readonly DayEvent[]): DayCommand => ({
  label,
  apply: inSession(({ log }) => {
    log.push(...events)
  }),
})

/** Takes over what is left of the day as it is planned now. */
export const takePlan = (tasks: readonly TimedTask[], serveMin: number): DayCommand => ({
  label: 'plan the rest anew',
  apply: inSession((session) => {
    session.tasks = [...tasks] as Draft<TimedTask[]>
    session.serveMin = serveMin
  }),
})

/** Writes down a weighing; one of the same thing before it is replaced. */
export const weigh = (weighing: Weighing): DayCommand => ({
  label: `weigh ${weighing.massG.toFixed(1)} g`,
  apply: inSession((session) => {
    const key = weighingKey(weighing)
    session.weighings = session.weighings.filter((one) => weighingKey(one) !== key)
    session.weighings.push(weighing)
  }),
})

export const note = (entry: DayNote): DayCommand => ({
  label: 'note',
  apply: inSession(({ notes }) => {
    notes.push(entry)
  }),
})

export const measure = (entry: DayMeasure): DayCommand => ({
  label: 'write a measured figure',
  apply: inSession(({ measures }) => {
    measures.push(entry)
  }),
})

export const keepLeftover = (leftover: Leftover): DayCommand => ({
  label: 'keep what is left',
  apply: inSession(({ leftovers }) => {
    leftovers.push(leftover)
  }),
})

export const dropLeftover = (leftoverId: string): DayCommand => ({
  label: 'take a left-over off the list',
  apply: inSession((session) => {
    session.leftovers = session.leftovers.filter(({ id }) => id !== leftoverId)
  }),
})

/** Closes the day; its trials come with it, and go when it is undone. */
export const closeDay = (closedAt: number, trials: readonly Trial[]): DayCommand => ({
  label: 'close the day',
  apply: inSession((session) => {
    session.closedAt = closedAt
  }),
  besides: trials.map((trial) => ({ trial })),
})
