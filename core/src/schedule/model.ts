import { z } from 'zod'
import { PlanTask } from '../model'

export { PlanLag, PlanTask } from '../model'

const minute = z.number().int('Times are whole minutes.').min(0).max(100_000)
const id = z.string().min(1).max(120)

/** Something that tasks need at the same time: a cook's hands, burners, shelves. */
export const PlanResource = z.strictObject({
  id,
  /** So many units at once; 0 where the kitchen has none. */
  capacity: z.number().int().min(0).max(10_000),
  /** Tasks in it at the same time need a temperature that suits all: an oven. */
  sharedTemperature: z.boolean().default(false),
})
export type PlanResource = z.infer<typeof PlanResource>

/** No task that uses the resource runs in the minutes from to to - 1. */
export const PlanAway = z.strictObject({ resource: id, fromMin: minute, toMin: minute })
export type PlanAway = z.infer<typeof PlanAway>

/** What is to be planned: resource-constrained project scheduling with minimum and maximum lags and times away. */
export const PlanProblem = z.strictObject({
  resources: z.array(PlanResource).max(60),
  tasks: z.array(PlanTask).min(1, 'There is nothing to plan.').max(400),
  away: z.array(PlanAway).max(400).default([]),
})
export type PlanProblem = z.infer<typeof PlanProblem>

/** When each task starts, in the order of the problem's tasks, min from 0. */
export type Starts = Int32Array

export interface Planned {
  readonly tasks: readonly { readonly id: string; readonly startMin: number; readonly endMin: number }[]
  /** End of the last task. */
  readonly makespanMin: number
  /** No plan ends earlier than that. */
  readonly lowerBoundMin: number
  /** The makespan is the lower bound: proven. */
  readonly isOptimal: boolean
  /** It was stopped, or its budget ran out, before it was proven. */
  readonly isCut: boolean
  /** How many partial plans were looked at. */
  readonly looked: number
}

/** A problem that cannot be planned: said to the person as it is, with the fewest tasks that cannot all be kept. */
export class PlanFault extends Error {
  readonly hint: string
  /** Leave out any one of these and a plan exists; empty where the problem itself is at fault. */
  readonly collide: readonly string[]
  constructor(message: string, hint: string, collide: readonly string[] = []) {
    super(message)
    this.hint = hint
    this.collide = collide
  }
}
