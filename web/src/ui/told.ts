export interface ToastOptions {
  /** How long it stays, ms. */
  readonly duration?: number
  readonly action?: { readonly label: string; readonly onClick: () => void }
}

export interface Told {
  readonly words: string
  readonly options: ToastOptions
}

/** What waits for the host of messages, which is fetched with the first of them. */
const waiting: Told[] = []
let onWaiting: (() => void) | null = null

/** Tells something in passing: what was done, with a way to take it back. Spoken by screen readers. */
export function toast(words: string, options: ToastOptions = {}): void {
  waiting.push({ words, options })
  onWaiting?.()
}

/** Hands over what waits. */
export const takeTold = (): Told[] => waiting.splice(0)

/** Calls back when something waits, now or later. Returns the way to stop. */
export function watchTold(listener: () => void): () => void {
  onWaiting = listener
  if (waiting.length > 0) listener()
  return () => {
    onWaiting = null
  }
}
