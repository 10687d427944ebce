import type { ReactNode } from 'react'

/** An empty place that teaches: one sentence and the one next action. */
export const Empty = ({ sentence, children }: { sentence: string; children?: ReactNode }) => (
  <div className="grid place-items-center gap-3 px-6 py-10 text-center">
    <i aria-hidden="true" className="seed-shape block h-6 w-9 bg-mung-line" />
    <p className="m-0 max-w-[46ch] text-ink-2">{sentence}</p>
    {children}
  </div>
)
