import { type ReactNode, useState } from 'react'

export interface FoldedProps {
  /** What the fold says of itself, open or closed. */
  summary: ReactNode
  className?: string
  summaryClass?: string
  children: () => ReactNode
}

/** What is folded away under a line of words, and made only once it is opened. */
export function Folded({
  summary,
  className,
  summaryClass = 'min-h-6 text-[13px] text-ink-2',
  children,
}: FoldedProps) {
  const [isOpen, setOpen] = useState(false)
  return (
    <details className={className} onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className={summaryClass}>{summary}</summary>
      {isOpen && children()}
    </details>
  )
}
