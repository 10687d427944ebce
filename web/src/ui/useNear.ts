import { type RefObject, useEffect, useState } from 'react'

/** True once an element has come near the window, and from then on: what is far away need not be worked out. */
export function useNear(element: RefObject<Element | null>): boolean {
  const [isNear, setNear] = useState(() => typeof IntersectionObserver === 'undefined')
  useEffect(() => {
    if (isNear || element.current === null) return
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ isIntersecting }) => isIntersecting)) setNear(true)
      },
      { rootMargin: '400px' },
    )
    observer.observe(element.current)
    return () => observer.disconnect()
  }, [element, isNear])
  return isNear
}
