import type { DayBatch, Dish, Trial } from '../model'
import { dishOfRun, settingWords } from '../series'

/**
 * The batches of a day that are runs of a dish's series, each as a dish of its own that has the varied part alone,
 * which goes by the name of the batch.
 * A batch whose series or part is gone is left out.
 */
export function batchDishes(dish: Dish, batches: readonly DayBatch[]): Dish[] {
  return batches.flatMap(({ id, dishId, seriesId, runId, trialNumber }): Dish[] => {
    const series = dish.series.find((one) => one.id === seriesId)
    const run = series?.runs.find((one) => one.id === runId)
    if (dishId !== dish.id || series === undefined || run === undefined) return []
    const part = dishOfRun(dish, series, run).parts.find((one) => one.id === series.partId)
    if (part === undefined) return []
    const words = run.isControl ? 'the control' : settingWords(series, run.setting)
    const name = `${part.name}, batch ${run.place}${run.isControl ? ' (control)' : ''}`.slice(0, 120)
    return [
      {
        ...dish,
        id,
        name,
        trial: {
          number: trialNumber,
          fromNumber: dish.trial.fromNumber,
          why: [`series “${series.name}”, day ${run.day}: ${words}`.slice(0, 300)],
        },
        parts: [
          {
            ...part,
            name,
            cookedMassG: null,
            steps: part.steps.map((step) => ({ ...step, weighedG: null })),
          },
        ],
        written: [],
        settled: [],
        series: [],
      },
    ]
  })
}

/** What a day cooks of a dish: itself, or the batches of its series where there are any. */
export function dishesOfDay(dish: Dish, batches: readonly DayBatch[]): Dish[] {
  const own = batchDishes(dish, batches)
  return own.length > 0 ? own : [dish]
}

/**
 * A batch's trial as a trial of the dish that it is of: with the other parts as the dish has them now.
 * @param dish null where it is gone: then the trial has its own part alone
 */
export function trialOfBatch(trial: Trial, { dishId }: DayBatch, dish: Dish | null): Trial {
  const made = new Map(trial.parts.map((part) => [part.id, part]))
  return {
    ...trial,
    dishId,
    parts:
      dish === null
        ? trial.parts
        : dish.parts.map((part) => ({ ...(made.get(part.id) ?? part), name: part.name })),
    written: dish?.written ?? [],
  }
}
