import { clsx } from 'clsx'
import type { ComponentProps } from 'react'

type Tone = 'plain' | 'primary' | 'quiet' | 'danger'

export interface ButtonProps extends ComponentProps<'button'> {
  tone?: Tone
}

const TONES: Record<Tone, string> = {
  plain: 'border-ink bg-transparent hover:bg-husk data-[state=on]:bg-aubergine-soft',
  primary: 'border-aubergine bg-aubergine text-paper hover:opacity-90',
  quiet: 'border-transparent bg-transparent text-ink-2 hover:bg-husk hover:text-ink',
  danger: 'border-adzuki bg-transparent text-adzuki-deep hover:bg-adzuki-soft',
}

export const buttonClass = (tone: Tone = 'plain'): string =>
  clsx(
    'inline-flex min-h-9 items-center justify-center gap-1.5 rounded-full border-[1.5px] px-3.5 py-1 text-sm font-semibold whitespace-nowrap no-underline disabled:opacity-50',
    TONES[tone],
  )

export const Button = ({ tone = 'plain', className, type = 'button', ...rest }: ButtonProps) => (
  <button type={type} className={clsx(buttonClass(tone), className)} {...rest} />
)

export interface IconButtonProps extends ComponentProps<'button'> {
  label: string
}

/** A small button that shows only an icon; its label is spoken and shown as a title. */
export const IconButton = ({ label, className, type = 'button', ...rest }: IconButtonProps) => (
  <button
    type={type}
    aria-label={label}
    title={label}
    className={clsx(
      'grid size-7 place-items-center rounded-full text-ink-2 hover:bg-husk hover:text-ink disabled:opacity-30',
      className,
    )}
    {...rest}
  />
)
