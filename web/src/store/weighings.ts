import { assess } from '@frijol/core/assess'
import type { Dish, Observation, Step } from '@frijol/core/model'
import { observationId } from '@frijol/core/program'
import { changeKitchen, useKitchenStore } from './kitchen'
import { onAct } from './openDish'

const stepsOf = (dish: Dish): Step[] => dish.parts.flatMap(({ steps }) => steps)

/** Steps whose weighed mass changed between two states of one trial of one dish. */
function newlyWeighed(before: Dish, now: Dish): Step[] {
  if (before === now || before.id !== now.id) return []
  if (before.trial.number !== now.trial.number || before.parts === now.parts) return []
  const was = new Map(stepsOf(before).map(({ id, weighedG }) => [id, weighedG]))
  return stepsOf(now).filter(({ id, weighedG }) => was.has(id) && was.get(id) !== weighedG)
}

/** What the weighed steps say of this kitchen's constants. */
function observationsOf(dish: Dish, steps: readonly Step[]): Observation[] {
  const { library, kitchen } = useKitchenStore.getState()
  if (library === null) return []
  const readings = assess(dish, library, kitchen).parts.flatMap((part) => part.steps)
  return steps.flatMap((step): Observation[] => {
    const reading = readings.find(({ stepId }) => stepId === step.id)
    const lnRatio = reading?.fit?.lnRatio ?? null
    if (reading?.fit == null || lnRatio === null || step.operation === null) return []
    return [
      {
        id: observationId(step.id, dish.trial.number),
        operation: step.operation,
        vessel: reading.vesselId ?? '',
        lnRatio,
        sd: reading.fit.sd,
      },
    ]
  })
}

/**
 * Keeps the kitchen's observations in step with what is weighed, undone or cleared in the open dish, in the tab
 * where that is done.
 * @returns the way to stop
 */
export function watchWeighings(): () => void {
  return onAct((before, dish) => {
    const changed = newlyWeighed(before, dish)
    if (changed.length > 0) learnFrom(dish, changed)
  })
}

/** What weighed steps of a dish say of this kitchen is kept, in the place of what they said before. */
export function learnFrom(dish: Dish, steps: readonly Step[]): void {
  const ids = new Set(steps.map(({ id }) => observationId(id, dish.trial.number)))
  const made = observationsOf(dish, steps)
  changeKitchen('learn from a weighing', (kitchen) => ({
    ...kitchen,
    observations: [...kitchen.observations.filter(({ id }) => !ids.has(id)), ...made].slice(-2000),
  }))
}

/** Forgets what was learned of an operation in a vessel: the default constant holds again. */
export const forgetLearned = (operation: string, vessel: string): boolean =>
  changeKitchen('forget what was learned', (kitchen) => ({
    ...kitchen,
    observations: kitchen.observations.filter((one) => one.operation !== operation || one.vessel !== vessel),
  }))
