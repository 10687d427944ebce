import { clsx } from 'clsx'
import type { ComponentProps, ReactNode } from 'react'

export const Card = ({ className, ...rest }: ComponentProps<'section'>) => (
  <section className={clsx('rounded-card border border-line bg-paper', className)} {...rest} />
)

export interface CardTitleProps {
  id?: string
  title: string
  aside?: ReactNode
}

export const CardTitle = ({ id, title, aside }: CardTitleProps) => (
  <div className="mb-1.5 flex items-baseline justify-between gap-3">
    <h2 id={id} className="m-0 text-[15px]">
      {title}
    </h2>
    {aside !== undefined && <span className="text-[13px] text-ink-2">{aside}</span>}
  </div>
)

const CHIPS = {
  husk: 'bg-husk',
  aubergine: 'bg-aubergine-soft',
  mung: 'bg-mung-soft text-mung-deep',
  turmeric: 'bg-turmeric-soft text-turmeric-deep',
  adzuki: 'bg-adzuki-soft text-adzuki-deep',
  sky: 'bg-sky-soft text-sky-deep',
} as const
export type ChipTone = keyof typeof CHIPS

export const Chip = ({ tone = 'husk', className, ...rest }: ComponentProps<'span'> & { tone?: ChipTone }) => (
  <span
    className={clsx(
      'inline-flex items-center gap-1.5 rounded-full px-2.5 py-0.5 text-[13px]',
      CHIPS[tone],
      className,
    )}
    {...rest}
  />
)

/** A short word in a small box, for the kind of a message. */
export const Tag = ({ tone, children }: { tone: ChipTone; children: ReactNode }) => (
  <span className={clsx('shrink-0 rounded-lg px-[7px] text-xs leading-5 font-[650]', CHIPS[tone])}>
    {children}
  </span>
)
