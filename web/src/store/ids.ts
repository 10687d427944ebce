import { nanoid } from 'nanoid'

export const newId = (): string => nanoid(12)
/** This browser tab, for telling its own writes from another tab's. */
export const tabId = nanoid(8)
export const nowIso = (): string => new Date().toISOString()
