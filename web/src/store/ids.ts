import { nanoid } from 'nanoid'
import { holdTab as hold } from '../data'

export const newId = (): string => nanoid(12)
/** This browser tab, for telling what it keeps aside from what another tab does. */
export const tabId = nanoid(8)
export const nowIso = (): string => new Date().toISOString()
/** Says that this tab is open, for as long as it is. */
export const holdTab = (): void => hold(tabId)
