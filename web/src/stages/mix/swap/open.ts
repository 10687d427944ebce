import { create } from 'zustand'

/** The line whose food is to be replaced; null while none is. */
export const useSwapping = create<{ lineId: string | null; wasAsked: boolean }>(() => ({
  lineId: null,
  wasAsked: false,
}))
/** Once asked for, the sheet stays: it gives the focus back when it closes. */
export const askSwap = (lineId: string | null): void => useSwapping.setState({ lineId, wasAsked: true })
