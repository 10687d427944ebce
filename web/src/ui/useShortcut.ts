import { useEffect, useRef } from 'react'
import { useSingleKeys } from './keys'

/** Whether a key press belongs to a field that takes text. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable)
  )
}

/** Whether a sheet stands over the page: its keys are its own. */
export const isSheetOpen = (): boolean => document.querySelector('[role="dialog"]') !== null

/** Calls `act` on a plain key press outside text fields and sheets, unless such keys are switched off. */
export function useShortcut(key: string, act: (event: KeyboardEvent) => void): void {
  const latest = useRef(act)
  useEffect(() => {
    latest.current = act
  })
  useEffect(() => {
    const pressed = (event: KeyboardEvent) => {
      if (event.altKey || event.ctrlKey || event.metaKey || event.defaultPrevented || isTyping(event.target))
        return
      if (event.key.toLowerCase() !== key || !useSingleKeys.getState().isOn || isSheetOpen()) return
      event.preventDefault()
      latest.current(event)
    }
    document.addEventListener('keydown', pressed)
    return () => document.removeEventListener('keydown', pressed)
  }, [key])
}
