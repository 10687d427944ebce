import type { TimedTask } from '@frijol/core/model'

const isHot = ({ tempC, station }: TimedTask): 'oven' | 'hob' | null =>
  tempC !== null ? 'oven' : station === 'hob' ? 'hob' : null

/** What is to be done when the time of a task is up. */
export const dueWords = (task: TimedTask): string =>
  isHot(task) === 'oven' ? 'take it out' : isHot(task) === 'hob' ? 'take it off' : 'it is ready'

/** What a cook says when a task is over. */
export const overWords = (task: TimedTask): string =>
  task.kind === 'check'
    ? 'Looked at it'
    : task.id.endsWith(':set-up')
      ? isHot(task) === null
        ? 'It has begun'
        : 'It is on'
      : task.kind !== 'by-itself'
        ? 'Done'
        : isHot(task) === 'oven'
          ? 'It is out'
          : isHot(task) === 'hob'
            ? 'It is off'
            : 'It is done'
