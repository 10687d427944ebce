import { lazy, Suspense } from 'react'
import type { FinderProps } from './FinderList'

export type { FinderGroup, FinderItem } from './FinderList'

const FinderList = lazy(async () => ({ default: (await import('./FinderList')).FinderList }))

/** A search field over grouped choices, all by keyboard; fetched when it is first opened. */
export const Finder = (props: FinderProps) => (
  <Suspense
    fallback={
      <p role="status" className="m-0 min-h-10 py-2 text-sm text-ink-2">
        Looking …
      </p>
    }
  >
    <FinderList {...props} />
  </Suspense>
)
