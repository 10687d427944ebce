import { type VineEntry } from '@frijol/core/history'
import type { Dish, Trial } from '@frijol/core/model'
import { useEffect, useMemo, useState } from 'react'
import { runJob } from '../../workers'
import { type Aside, useAside } from '../aside'
import { useKitchenStore } from '../kitchen'

export interface Vine {
  /** Kept trials by number, and the formula in work at the end, as far as they are worked out. */
  readonly entries: readonly VineEntry[]
  /** Kept trials that are still being worked out. */
  readonly waiting: number
  readonly hasFailed: boolean
}

interface NowQuestion {
  readonly dish: Dish
  readonly trials: readonly Trial[]
}
const lookNow = async ({ dish, trials }: NowQuestion, signal: AbortSignal): Promise<readonly VineEntry[]> => {
  const { kitchen, own } = useKitchenStore.getState()
  return runJob('vine', { dish, nowFrom: trials, kitchen, own }, { signal })
}

/** The kept trials of a dish, each beside the one that it came from, worked out beside the screen; the latest come first. */
function useKept(dish: Dish, trials: readonly Trial[]): Aside<readonly VineEntry[]> {
  const kitchen = useKitchenStore((state) => state.kitchen)
  // Nothing of the formula in work is in the kept ones.
  const dishId = dish.id
  const [state, setState] = useState<Aside<readonly VineEntry[]> & { of: readonly Trial[] | null }>({
    of: null,
    value: null,
    hasFailed: false,
    isWorking: true,
  })
  useEffect(() => {
    if (trials.length === 0) return
    const control = new AbortController()
    const { own } = useKitchenStore.getState()
    let found: readonly VineEntry[] = []
    const add = (some: readonly VineEntry[]) => {
      found = [...some].reverse().concat(found)
      if (!control.signal.aborted) setState({ of: trials, value: found, hasFailed: false, isWorking: true })
    }
    runJob(
      'vine',
      // They are read where they are worked out: three hundred of them take their time to hand over.
      { dish: { ...dish, id: dishId }, nowFrom: null, kitchen, own },
      { signal: control.signal, onProgress: add },
    ).then(
      (all) => {
        if (!control.signal.aborted)
          setState({ of: trials, value: [...all].reverse(), hasFailed: false, isWorking: false })
      },
      (error: unknown) => {
        if (control.signal.aborted) return
        console.error(error)
        setState({ of: trials, value: null, hasFailed: true, isWorking: false })
      },
    )
    return () => control.abort()
    // The dish's own formula is no part of its kept trials: a change of it asks for nothing anew.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [dishId, trials, kitchen])
  return state
}

export function useVine(dish: Dish, trials: readonly Trial[]): Vine {
  const kept = useKept(dish, trials)
  const parent = useMemo(
    () => trials.filter(({ number }) => number === dish.trial.fromNumber),
    [trials, dish.trial.fromNumber],
  )
  const now = useAside(
    useMemo((): NowQuestion => ({ dish, trials: parent }), [dish, parent]),
    lookNow,
  )
  return useMemo(() => {
    const entries = [...(kept.value ?? []), ...(now.value ?? [])]
    return {
      entries,
      waiting: Math.max(0, trials.length - (kept.value?.length ?? 0)),
      hasFailed: kept.hasFailed || now.hasFailed,
    }
  }, [kept, now, trials])
}
