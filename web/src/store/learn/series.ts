import type { AttributeId, Series, SeriesRun } from '@frijol/core/model'
import type { Draft } from 'immer'
import type { Command } from '../openDish'

const inRun =
  (seriesId: string, runId: string, change: (run: Draft<SeriesRun>) => void): Command['apply'] =>
  (dish) => {
    const run = dish.series.find(({ id }) => id === seriesId)?.runs.find(({ id }) => id === runId)
    if (run !== undefined) change(run)
  }

export const addSeries = (series: Series): Command => ({
  label: 'lay a series out',
  apply: (dish) => {
    dish.series.push(series)
  },
})

export const removeSeries = (id: string): Command => ({
  label: 'take a series away',
  apply: (dish) => {
    dish.series = dish.series.filter((one) => one.id !== id)
  },
})

export const addRun = (seriesId: string, run: SeriesRun): Command => ({
  label: 'add a run to a series',
  apply: (dish) => {
    dish.series.find(({ id }) => id === seriesId)?.runs.push(run)
  },
})

/** A run is made as the trial that is in work. */
export const madeAs = (seriesId: string, runId: string, trialNumber: number): Command => ({
  label: 'make a run of a series',
  apply: inRun(seriesId, runId, (run) => {
    run.trialNumber = trialNumber
  }),
})

/**
 * Runs are to be made on one day: each has the number of its trial from here on, and the formula in work comes after
 * them.
 * @param from the first number that is free
 */
export const planRuns = (seriesId: string, runIds: readonly string[], from: number): Command => ({
  label: 'put runs of a series on a day',
  apply: (dish) => {
    const runs = dish.series.find(({ id }) => id === seriesId)?.runs ?? []
    runIds.forEach((runId, at) => {
      const run = runs.find(({ id }) => id === runId)
      if (run !== undefined) run.trialNumber = from + at
    })
    dish.trial.number = from + runIds.length
  },
})

/** Runs that were on a day and are not made. */
export const freeRuns = (seriesId: string, runIds: readonly string[]): Command => ({
  label: 'take runs of a series off a day',
  apply: (dish) => {
    for (const run of dish.series.find(({ id }) => id === seriesId)?.runs ?? [])
      if (runIds.includes(run.id)) run.trialNumber = null
  },
})

/** @param value null = not scored */
export const scoreRun = (
  seriesId: string,
  runId: string,
  attribute: AttributeId,
  value: number | null,
): Command => ({
  label: 'score a run of a series',
  merge: `score ${runId} ${attribute}`,
  apply: inRun(seriesId, runId, (run) => {
    if (value === null)
      run.scores = Object.fromEntries(Object.entries(run.scores).filter(([id]) => id !== attribute))
    else run.scores[attribute] = value
  }),
})

/** @param reason empty = it did not fail after all */
export const failRun = (seriesId: string, runId: string, reason: string): Command => ({
  label: reason === '' ? 'take back that a run failed' : 'note that a run failed',
  merge: `fail ${runId}`,
  apply: inRun(seriesId, runId, (run) => {
    run.failed = reason.slice(0, 300)
  }),
})
