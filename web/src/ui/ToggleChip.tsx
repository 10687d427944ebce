import { clsx } from 'clsx'
import { Toggle } from 'radix-ui'
import type { ReactNode } from 'react'

/** A word that is kept out when it is pressed. */
export const ToggleChip = ({
  isOn,
  onChange,
  children,
  tone = 'adzuki',
}: {
  isOn: boolean
  onChange: () => void
  children: ReactNode
  /** Red keeps out, green lets in. */
  tone?: 'adzuki' | 'mung'
}) => (
  <Toggle.Root
    pressed={isOn}
    onPressedChange={onChange}
    className={clsx(
      'min-h-8 rounded-full border-[1.5px] px-3 text-[13px] font-semibold first-letter:uppercase',
      isOn
        ? tone === 'adzuki'
          ? 'border-adzuki bg-adzuki-soft text-adzuki-deep'
          : 'border-mung bg-mung-soft text-mung-deep'
        : 'border-edge bg-paper text-ink-2 hover:border-ink-2',
    )}
  >
    {children}
  </Toggle.Root>
)
