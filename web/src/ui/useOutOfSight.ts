import { useEffect, useState } from 'react'

const NONE: ReadonlySet<string> = new Set()
/** What is nearer to the window than this counts as in sight, so that nothing stale is scrolled into. */
const MARGIN = '300px'

/**
 * Which of the things under an element are out of sight now, by the id in their `data-far`: what is new in them can
 * wait until the hand rests. Where a browser cannot tell, none is.
 * @param ids those that are there; looked through again when they change
 * @returns the ids out of sight, and the ref of the element that they stand in
 */
export function useOutOfSight(
  ids: readonly string[],
): readonly [ReadonlySet<string>, (place: HTMLElement | null) => void] {
  const [place, setPlace] = useState<HTMLElement | null>(null)
  const [far, setFar] = useState(NONE)
  useEffect(() => {
    if (place === null || typeof IntersectionObserver === 'undefined') return
    const observer = new IntersectionObserver(
      (entries) => {
        setFar((before) => {
          const now = new Set(before)
          for (const { target, isIntersecting } of entries) {
            const id = target instanceof HTMLElement ? target.dataset.far : undefined
            if (id === undefined) continue
            if (isIntersecting) now.delete(id)
            else now.add(id)
          }
          return now
        })
      },
      { rootMargin: MARGIN },
    )
    for (const one of place.querySelectorAll('[data-far]')) observer.observe(one)
    return () => {
      observer.disconnect()
      setFar(NONE)
    }
  }, [place, ids])
  return [far, setPlace]
}
