import type { Asked } from '@frijol/core/assess'
import { create } from 'zustand'

/** The figure that is asked about, on whatever screen. */
export const useWhy = create<{ asked: Asked | null }>(() => ({ asked: null }))
export const askWhy = (asked: Asked | null): void => useWhy.setState({ asked })
