import type { ReactNode } from 'react'

/**
 * A field of a long page that is typed into: a form of its own, without a box. Without a form round it browsers look
 * through every field of the page at each key, for what they might fill in.
 */
export const LoneField = ({ children }: { children: ReactNode }) => (
  <form className="contents" onSubmit={(event) => event.preventDefault()}>
    {children}
  </form>
)
