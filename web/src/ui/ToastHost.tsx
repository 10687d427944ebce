import { type ComponentType, useEffect, useState } from 'react'
import { watchTold } from './told'

/** Where messages are shown; what shows them is fetched with the first. */
export function ToastHost() {
  const [Host, setHost] = useState<ComponentType<{ count: number }> | null>(null)
  const [count, setCount] = useState(0)
  useEffect(
    () =>
      watchTold(() => {
        setCount((now) => now + 1)
        void import('./Toasts').then(({ Toasts }) => setHost(() => Toasts))
      }),
    [],
  )
  return Host === null ? null : <Host count={count} />
}
