import type { Assessment } from '@frijol/core/model'
import { create } from 'zustand'

/** What the dish would come to by the proposal on the screen; null where there is none. The totals show it beside the present. */
export const useProposal = create<{ assessment: Assessment | null }>(() => ({ assessment: null }))
export const showProposal = (assessment: Assessment | null): void => useProposal.setState({ assessment })
