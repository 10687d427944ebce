import type { Trial } from '@frijol/core/model'
import { useEffect, useState } from 'react'
import { readTrials, saveTrial } from '../data'
import { startNextTrial } from './commands'
import { newId, nowIso } from './ids'
import { run, useOpenDish } from './openDish'

/** The kept trials of the open dish, by number. */
export function useTrials(dishId: string, trialNumber: number): readonly Trial[] {
  const [trials, setTrials] = useState<readonly Trial[]>([])
  useEffect(() => {
    let isCurrent = true
    void readTrials(dishId).then((found) => {
      if (isCurrent) setTrials(found)
    })
    return () => {
      isCurrent = false
    }
  }, [dishId, trialNumber])
  return trials
}

/** Keeps the formula as a made or set-aside trial, frozen, and goes on as the next one. */
export async function keepTrial(state: Trial['state'], notes: string, decision: string): Promise<void> {
  const { dish } = useOpenDish.getState()
  if (dish === null) return
  const kept = await readTrials(dish.id)
  const trial: Trial = {
    format: 'frijol/trial',
    version: 1,
    id: newId(),
    dishId: dish.id,
    number: dish.trial.number,
    fromNumber: dish.trial.fromNumber,
    state,
    date: nowIso().slice(0, 10),
    aim: dish.aim,
    parts: dish.parts,
    written: dish.written,
    asMade: [],
    notes,
    decision,
  }
  await saveTrial(trial)
  const highest = Math.max(dish.trial.number, ...kept.map(({ number }) => number))
  run(startNextTrial(highest + 1, dish.trial.number))
}
