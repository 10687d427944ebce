import { type ClipboardEvent, type ReactNode, type RefObject, useRef } from 'react'
import { useShortcut } from './useShortcut'

export interface AddFieldProps {
  label: string
  placeholder: string
  maxLength: number
  value: string
  /** How the text would be understood, told while it is typed. */
  reading: string
  readingId: string
  onChange: (text: string) => void
  onAdd: () => void
  /** Returns true when it has taken the pasted text itself. */
  onPaste: (text: string) => boolean
  inputRef?: RefObject<HTMLInputElement | null>
  /** Another way to add, beside the field. */
  children?: ReactNode
}

/** The field under a list that adds to it: typed with a live reading, or pasted. The key A leads to it. */
export function AddField({
  label,
  placeholder,
  maxLength,
  value,
  reading,
  readingId,
  onChange,
  onAdd,
  onPaste,
  inputRef,
  children,
}: AddFieldProps) {
  const own = useRef<HTMLInputElement>(null)
  const input = inputRef ?? own
  useShortcut('a', () => input.current?.focus())
  const paste = (event: ClipboardEvent) => {
    if (onPaste(event.clipboardData.getData('text'))) event.preventDefault()
  }
  return (
    <form
      className="px-3.5 py-2.5"
      onSubmit={(event) => {
        event.preventDefault()
        onAdd()
      }}
    >
      <div className="flex flex-wrap items-center gap-2.5">
        <input
          ref={input}
          aria-label={label}
          aria-describedby={readingId}
          className="min-h-9 min-w-40 scroll-mb-32 flex-1 rounded-lg border border-transparent bg-transparent px-1.5 placeholder:text-ink-2 hover:border-edge focus:border-aubergine"
          placeholder={placeholder}
          maxLength={maxLength}
          value={value}
          onChange={(event) => onChange(event.target.value)}
          onPaste={paste}
        />
        {children}
        <kbd className="rounded-md border border-line bg-paper px-1.5 text-xs text-ink-2" aria-hidden="true">
          A
        </kbd>
      </div>
      <p id={readingId} aria-live="polite" className="m-0 min-h-5 px-1.5 text-[13px] text-sky-deep">
        {reading}
      </p>
    </form>
  )
}
