import { type TuneAsk, usualAsk } from '@frijol/core/tune'
import { create } from 'zustand'

/** What is asked of the search for each part, as long as the page is open. */
const useAsks = create<{ asks: Readonly<Record<string, TuneAsk>> }>(() => ({ asks: {} }))
const usual = new Map<string, TuneAsk>()

/** The same object for the same part, so that nothing is looked for twice. */
function usualFor(partId: string): TuneAsk {
  const known = usual.get(partId)
  if (known !== undefined) return known
  const made = usualAsk(partId)
  usual.set(partId, made)
  return made
}

export const useAsk = (partId: string): TuneAsk => useAsks(({ asks }) => asks[partId] ?? usualFor(partId))

/** Changes what is asked; the search begins anew. */
export function changeAsk(partId: string, change: Partial<TuneAsk>): void {
  useAsks.setState(({ asks }) => ({
    asks: { ...asks, [partId]: { ...(asks[partId] ?? usualFor(partId)), ...change } },
  }))
}

/** Holds a line, or lets it go. */
export function toggleHold(ask: TuneAsk, lineId: string): void {
  const hold = ask.hold.includes(lineId) ? ask.hold.filter((id) => id !== lineId) : [...ask.hold, lineId]
  changeAsk(ask.partId, { hold })
}
