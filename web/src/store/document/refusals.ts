import { create } from 'zustand'

/** The last change that was refused, in words, for the screen to tell. */
export const useRefusal = create<{ words: string; at: number } | null>(() => null)

/** The name of what a storage library wraps. */
const innerName = (error: Error): string =>
  'inner' in error && error.inner instanceof Error ? error.inner.name : ''

/** Words for what a browser says when it refuses to store. */
export function refusalWords(error: unknown): string {
  const name = error instanceof Error ? `${error.name} ${innerName(error)}` : ''
  if (name.includes('Quota'))
    return 'The browser has no room left. Nothing is lost while this tab stays open: save a file, then make room.'
  if (name.includes('DatabaseClosed') || name.includes('InvalidState'))
    return 'The browser closed its storage, perhaps for a newer version in another tab. Save a file, then load the page again.'
  return 'The browser’s storage refused it. Nothing is lost while this tab stays open: try again, or save a file.'
}
