import { useEffect, useRef } from 'react'

/** Whether a key press belongs to a field that takes text. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable)
  )
}

/** Calls `act` on a plain key press outside text fields. `key` is compared in lower case. */
export function useShortcut(key: string, act: (event: KeyboardEvent) => void): void {
  const latest = useRef(act)
  useEffect(() => {
    latest.current = act
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.altKey || event.ctrlKey || event.metaKey || event.defaultPrevented || isTyping(event.target))
        return
      if (event.key.toLowerCase() !== key) return
      event.preventDefault()
      latest.current(event)
    }
    document.addEventListener('keydown', pressed)
    return () => document.removeEventListener('keydown', pressed)
  }, [key])
}
