import type { Dish, TurnedDown } from '@frijol/core/model'
import type { ConvertAsk, Converted, SwapMatch, SwapProposal, Toward } from '@frijol/core/swap'
import { useEffect, useMemo, useState } from 'react'
import { runJob } from '../workers'
import { useDish } from './assessed'
import { changeKitchen, useKitchenStore } from './kitchen'

/** What a job beside the screen has come to; null while it works. */
export interface Aside<T> {
  readonly value: T | null
  readonly hasFailed: boolean
}

/** Does work for a question beside the screen; what was found for another question is no answer. */
function useAside<Q extends object, T>(
  question: Q | null,
  work: (question: Q, signal: AbortSignal) => Promise<T>,
): Aside<T> {
  const [kept, setKept] = useState<Aside<T> & { question: Q | null }>({
    question: null,
    value: null,
    hasFailed: false,
  })
  useEffect(() => {
    if (question === null) return
    const control = new AbortController()
    work(question, control.signal).then(
      (value) => {
        if (!control.signal.aborted) setKept({ question, value, hasFailed: false })
      },
      (error: unknown) => {
        if (control.signal.aborted) return
        console.error(error)
        setKept({ question, value: null, hasFailed: true })
      },
    )
    return () => control.abort()
  }, [question, work])
  return kept.question === question ? kept : { value: null, hasFailed: false }
}

interface SwapQuestion {
  readonly dish: Dish
  readonly lineId: string
  readonly foodId: string
  readonly without: readonly string[]
  readonly match: SwapMatch
}
const lookForSwaps = (
  { dish, lineId, foodId, without, match }: SwapQuestion,
  signal: AbortSignal,
): Promise<SwapProposal[]> => {
  const { kitchen, own } = useKitchenStore.getState()
  const turnedDown = kitchen.turnedDown.filter(({ replaces }) => replaces === foodId)
  return runJob('swap', { dish, ask: { lineId, without, match, turnedDown }, kitchen, own }, { signal })
}

/** What can stand in for a line's food, best first. @param without a space between ids */
export function useSwaps(
  lineId: string,
  foodId: string,
  without: string,
  match: SwapMatch,
): Aside<SwapProposal[]> {
  const dish = useDish()
  const turnedDown = useKitchenStore((state) => state.kitchen.turnedDown)
  const question = useMemo(
    (): SwapQuestion & { turnedDown: readonly TurnedDown[] } => ({
      dish,
      lineId,
      foodId,
      without: without.split(' ').filter((id) => id !== ''),
      match,
      turnedDown,
    }),
    [dish, lineId, foodId, without, match, turnedDown],
  )
  return useAside(question, lookForSwaps)
}

interface ConvertQuestion {
  readonly dish: Dish
  readonly ask: ConvertAsk
}
const lookForConversion = ({ dish, ask }: ConvertQuestion, signal: AbortSignal): Promise<Converted> => {
  const { kitchen, own } = useKitchenStore.getState()
  return runJob('convert', { dish, ask, kitchen, own }, { signal })
}

/** The open dish another way; null while nothing is asked, or while it is worked out. The lists are kept by the caller. */
export function useConversion(without: readonly string[], toward: readonly Toward[]): Aside<Converted> {
  const dish = useDish()
  const question = useMemo(
    () => (without.length + toward.length === 0 ? null : { dish, ask: { without, toward } }),
    [dish, without, toward],
  )
  return useAside(question, lookForConversion)
}

/** From now on this food comes last when that one is to be replaced, with the reason beside it. */
export const turnDown = (entry: TurnedDown): boolean =>
  changeKitchen('turn a swap down', (kitchen) => ({
    ...kitchen,
    turnedDown: [
      ...kitchen.turnedDown.filter(
        ({ replaces, foodId }) => replaces !== entry.replaces || foodId !== entry.foodId,
      ),
      entry,
    ].slice(-2000),
  }))

/** It may come first again. */
export const takeBackTurnDown = (replaces: string, foodId: string): boolean =>
  changeKitchen('let a swap in again', (kitchen) => ({
    ...kitchen,
    turnedDown: kitchen.turnedDown.filter((one) => one.replaces !== replaces || one.foodId !== foodId),
  }))
