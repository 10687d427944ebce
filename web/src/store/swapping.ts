import type { Dish, TurnedDown } from '@frijol/core/model'
import type { ConvertAsk, Converted, SwapMatch, SwapProposal, Toward } from '@frijol/core/swap'
import { useMemo } from 'react'
import { type Aside, useAside } from './aside'
import { runJob } from '../workers'
import { useDish } from './assessed'
import { changeKitchen, useKitchenStore } from './kitchen'

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
