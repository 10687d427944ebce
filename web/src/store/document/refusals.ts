import { create } from 'zustand'

/** The last change that was refused, in words, for the screen to tell. */
export const useRefusal = create<{ words: string; at: number } | null>(() => null)
