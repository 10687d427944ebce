import type { Diagnosis, Met } from '@frijol/core/diagnosis'
import type { Dish, Series, Trial } from '@frijol/core/model'
import type { Designed, SeriesPlan, SeriesReading } from '@frijol/core/series'
import { useMemo, useState } from 'react'
import { runJob } from '../../workers'
import type { NextResult } from '../../workers/jobs'
import { type Aside, useAside } from '../aside'
import { useKitchenStore } from '../kitchen'

interface DiagnosisQuestion {
  readonly dish: Dish
  readonly asMade: Trial['asMade']
  readonly parent: { readonly dish: Dish; readonly asMade: Trial['asMade']; readonly number: number } | null
  readonly partId: string
  readonly met: readonly Met[]
}
const lookForCauses = (ask: DiagnosisQuestion, signal: AbortSignal): Promise<Diagnosis | null> => {
  const { kitchen, own } = useKitchenStore.getState()
  return runJob('diagnose', { ask, kitchen, own }, { signal })
}

/** What went wrong in a part of a trial; null while nothing is said of it. Everything in it is kept by the caller. */
export function useDiagnosis(question: DiagnosisQuestion | null): Aside<Diagnosis | null> {
  return useAside(question, lookForCauses)
}
export type { DiagnosisQuestion }

/** The latest trials tell enough. */
const MOST_TRIED = 24

interface NextQuestion {
  readonly dish: Dish
  readonly partId: string
  readonly trials: readonly Trial[]
}
const lookForNext = ({ dish, partId, trials }: NextQuestion, signal: AbortSignal): Promise<NextResult> => {
  const { kitchen, own } = useKitchenStore.getState()
  return runJob('nextTrials', { dish, partId, trials, kitchen, own }, { signal })
}

/** What to make next, from a formula on; worked out beside the screen. */
export function useNextTrials(
  dish: Dish,
  partId: string,
  trials: readonly Trial[],
  isAsked: boolean,
): Aside<NextResult> {
  const kitchen = useKitchenStore((state) => state.kitchen)
  const question = useMemo(
    // What was tasted is asked of the kitchen: a tasting asks anew.
    () => (isAsked ? { dish, partId, trials: trials.slice(-MOST_TRIED), kitchen } : null),
    [dish, partId, trials, kitchen, isAsked],
  )
  return useAside<NextQuestion, NextResult>(question, lookForNext)
}

interface LayOutQuestion {
  readonly plan: SeriesPlan
  readonly control: readonly number[]
  readonly stepG: number
}
const layOut = (question: LayOutQuestion, signal: AbortSignal): Promise<Designed> =>
  runJob('layOut', question, { signal })

/** A series laid out beside the screen; null while nothing can be, or while it is worked out. The question is kept by the caller. */
export const useLayOut = (question: LayOutQuestion | null): Aside<Designed> => useAside(question, layOut)

const read = (series: Series, signal: AbortSignal): Promise<SeriesReading> =>
  runJob('readSeries', { series }, { signal })

/** What the runs of a series say, worked out beside the screen; what was read last stays until the next is there. */
export function useSeriesReading(series: Series): {
  readonly value: SeriesReading | null
  readonly hasFailed: boolean
} {
  const { value, hasFailed } = useAside(series, read)
  const [kept, setKept] = useState<{ readonly id: string; readonly value: SeriesReading } | null>(null)
  if (value !== null && value !== kept?.value) setKept({ id: series.id, value })
  return { value: value ?? (kept?.id === series.id ? kept.value : null), hasFailed }
}
