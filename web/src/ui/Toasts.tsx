import { useEffect } from 'react'
import { toast as show, Toaster } from 'sonner'
import { takeTold } from './told'

/** The messages themselves. `count` grows with each that waits. */
export function Toasts({ count }: { count: number }) {
  useEffect(() => {
    for (const { words, options } of takeTold()) show(words, options)
  }, [count])
  return (
    <Toaster
      position="bottom-center"
      // Above the ribbon, and on narrow screens above the pod as well.
      offset={{ bottom: 72 }}
      mobileOffset={{ bottom: 138 }}
      style={{ fontFamily: 'inherit' }}
      toastOptions={{ style: { background: 'var(--color-ink)', color: 'var(--color-paper)', border: 0 } }}
    />
  )
}
