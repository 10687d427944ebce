import { act } from '@testing-library/react'
import { afterEach, beforeEach } from 'vitest'

/**
 * Stands in for the browser's observer of what is in sight, for the tests of a `describe`: everything is, until a test
 * says otherwise.
 * @returns tells that the watched element of that id has gone out of sight, or has come back
 */
export function standInForSight(): (far: string, isIntersecting?: boolean) => void {
  let tell: IntersectionObserverCallback = () => undefined
  let watched: HTMLElement[] = []
  class Watching {
    constructor(told: IntersectionObserverCallback) {
      tell = told
    }
    observe(element: HTMLElement) {
      watched.push(element)
    }
    disconnect() {
      watched = []
    }
  }
  const real = globalThis.IntersectionObserver
  beforeEach(() => {
    watched = []
    Object.assign(globalThis, { IntersectionObserver: Watching })
  })
  afterEach(() => void Object.assign(globalThis, { IntersectionObserver: real }))
  return (far, isIntersecting = false) => {
    const target = watched.find(({ dataset }) => dataset.far === far)
    if (target === undefined) throw new Error(`${far} is not watched`)
    const entry = { target, isIntersecting } as Partial<IntersectionObserverEntry>
    act(() => tell([entry as IntersectionObserverEntry], {} as IntersectionObserver))
  }
}
