import type { Worked } from '@frijol/core/assess'
import { type Dish, dishOfTrial, type Trial } from '@frijol/core/model'
import { useEffect, useMemo, useState } from 'react'
import { type ReadTrials, readTrials, watchTrials } from '../data'
import { startNextTrial } from './commands'
import { newId, nowIso } from './ids'
import { useKitchenStore } from './kitchen'
import { flush, run, useOpenDish } from './openDish'

const NONE: ReadTrials = { trials: [], bad: [] }

/** The kept trials of a dish by number, and rows that cannot be read; both follow every tab. */
export function useTrials(dishId: string): ReadTrials & { readonly isRead: boolean } {
  const [read, setRead] = useState<{ of: string; found: ReadTrials } | null>(null)
  useEffect(() => watchTrials(dishId, (found) => setRead({ of: dishId, found })), [dishId])
  const isRead = read?.of === dishId
  const { trials, bad } = isRead ? read.found : NONE
  return { trials, bad, isRead }
}

/** What a dish, or one of its trials, comes to; null until the engine is there, or without a dish. */
export function useWorked(dish: Dish | null, trial: Trial | null): Worked | null {
  const { engine, library, kitchen } = useKitchenStore()
  return useMemo(() => {
    if (engine === null || library === null || dish === null) return null
    const shown = trial === null ? dish : dishOfTrial(dish, trial)
    return { dish: shown, assessment: engine.assess(shown, library, kitchen) }
  }, [engine, library, kitchen, dish, trial])
}

interface WorkedTrial {
  readonly key: string
  readonly worked: Worked
}

/**
 * Several trials of a dish, and the formula in work where it is asked for, with what each comes to; in the order of
 * their numbers. One is worked out a frame, so that no frame waits for all. null until all are there.
 */
export function useWorkedAll(
  dish: Dish,
  trials: readonly Trial[],
  withNow: boolean,
): readonly WorkedTrial[] | null {
  const { engine, library, kitchen } = useKitchenStore()
  const [done, setDone] = useState<{ dish: Dish; all: readonly WorkedTrial[] } | null>(null)
  useEffect(() => {
    if (engine === null || library === null) return
    const shown = [
      ...trials.map((trial) => ({ key: trial.id, shown: dishOfTrial(dish, trial) })),
      ...(withNow ? [{ key: 'now', shown: dish }] : []),
    ]
    const all: WorkedTrial[] = []
    let asked = requestAnimationFrame(function next() {
      const one = shown[all.length]
      if (one === undefined) {
        setDone({ dish, all })
        return
      }
      all.push({
        key: one.key,
        worked: { dish: one.shown, assessment: engine.assess(one.shown, library, kitchen) },
      })
      asked = requestAnimationFrame(next)
    })
    return () => cancelAnimationFrame(asked)
  }, [engine, library, kitchen, dish, trials, withNow])
  // What was there before stays on the screen until the new ones are.
  return done !== null && done.dish === dish ? done.all : null
}

/**
 * Keeps the formula as a made or set-aside trial, frozen, and goes on as the next one. Trial and dish are saved
 * together; undo takes both back.
 * @returns the number that it is kept under, null where nothing was kept
 */
export async function keepTrial(
  state: Trial['state'],
  notes: string,
  decision: string,
): Promise<number | null> {
  // What waits may hold the undo of an earlier keeping, whose number is free only then.
  await flush()
  const dish = useOpenDish.getState().value
  if (dish === null) return null
  const { trials } = await readTrials(dish.id)
  const numbers = trials.map(({ number }) => number)
  const highest = Math.max(0, ...numbers)
  const number = numbers.includes(dish.trial.number) ? highest + 1 : dish.trial.number
  const trial: Trial = {
    format: 'frijol/trial',
    version: 1,
    id: newId(),
    dishId: dish.id,
    number,
    fromNumber: dish.trial.fromNumber,
    state,
    date: nowIso().slice(0, 10),
    aim: dish.aim,
    parts: dish.parts,
    written: dish.written,
    asMade: [],
    photoIds: [],
    notes,
    why: dish.trial.why,
    decision,
  }
  const next = startNextTrial(Math.max(number, highest) + 1, number)
  if (!run({ ...next, label: `keep trial ${number}`, besides: [{ trial }] })) return null
  await flush()
  return number
}
