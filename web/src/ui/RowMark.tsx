import { clsx } from 'clsx'

const MARKS = {
  grip: 'bg-(image:--mark-grip)',
  swap: 'bg-(image:--mark-swap)',
  remove: 'bg-(image:--mark-remove)',
  fold: 'bg-(image:--mark-fold)',
} as const

export interface RowMarkProps {
  of: keyof typeof MARKS
  className?: string
}

/**
 * The mark of a button that every row of a list has. A background and no drawing of its own: for each drawing in the
 * page browsers keep a clip and a transform, and go through all of them at each key.
 */
export const RowMark = ({ of, className }: RowMarkProps) => (
  <i aria-hidden="true" className={clsx('row-mark', MARKS[of], className)} />
)
