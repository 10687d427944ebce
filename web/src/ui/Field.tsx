import { clsx } from 'clsx'
import { type ComponentProps, type ReactNode, useId, useState } from 'react'

const BOX =
  'min-h-9 w-full rounded-lg border border-edge bg-paper px-2.5 py-1.5 hover:border-ink-2 aria-[invalid=true]:border-adzuki'

export interface FieldProps {
  label: string
  hint?: ReactNode
  error?: string | null
  /** The label is spoken, not shown. */
  isLabelHidden?: boolean
  /** One line in small type. */
  isLabelSmall?: boolean
  children: (props: {
    id: string
    'aria-describedby': string | undefined
    'aria-invalid': boolean
  }) => ReactNode
  className?: string
}

/** A label with its control, hint and error, tied together for reading aloud. */
export function Field({
  label,
  hint,
  error,
  isLabelHidden = false,
  isLabelSmall = false,
  children,
  className,
}: FieldProps) {
  const id = useId()
  const isWrong = error !== undefined && error !== null
  const describes = hint !== undefined || isWrong ? `${id}-note` : undefined
  return (
    <div className={className}>
      <label
        htmlFor={id}
        className={clsx(
          isLabelHidden ? 'sr-only' : 'block text-ink-2',
          isLabelSmall ? 'truncate text-xs' : 'mb-1 text-[13px] font-semibold',
        )}
      >
        {label}
      </label>
      {children({ id, 'aria-describedby': describes, 'aria-invalid': isWrong })}
      {describes !== undefined && (
        <p
          id={describes}
          className={clsx('m-0 mt-1 text-[13px]', isWrong ? 'text-adzuki-deep' : 'text-ink-2')}
        >
          {isWrong ? error : hint}
        </p>
      )}
    </div>
  )
}

export const TextInput = ({ className, ...rest }: ComponentProps<'input'>) => (
  <input className={clsx(BOX, className)} {...rest} />
)
export const TextArea = ({ className, ...rest }: ComponentProps<'textarea'>) => (
  <textarea className={clsx(BOX, 'leading-snug', className)} rows={2} {...rest} />
)
export const SelectInput = ({ className, ...rest }: ComponentProps<'select'>) => (
  <select className={clsx(BOX, className)} {...rest} />
)

export interface NumberFieldProps {
  label: string
  unit?: string
  hint?: ReactNode
  value: number | null
  /** Returns what is wrong with a number, or null. An empty field is null. */
  onChange: (value: number | null) => string | null
  className?: string
  isLabelHidden?: boolean
  isLabelSmall?: boolean
}

/** A number that is kept as it is typed while it is not yet valid. A decimal comma is understood. */
export function NumberField({
  label,
  unit,
  hint,
  value,
  onChange,
  className,
  isLabelHidden = false,
  isLabelSmall = false,
}: NumberFieldProps) {
  /** What is being typed; null shows the value itself. */
  const [draft, setDraft] = useState<string | null>(null)
  const [error, setError] = useState<string | null>(null)
  const change = (typed: string) => {
    setDraft(typed)
    const trimmed = typed.trim().replace(',', '.')
    const number = trimmed === '' ? null : Number(trimmed)
    if (number !== null && !Number.isFinite(number)) setError('Enter a number.')
    else setError(onChange(number))
  }
  return (
    <Field
      label={unit === undefined ? label : `${label}, ${unit}`}
      hint={hint}
      error={error}
      isLabelHidden={isLabelHidden}
      isLabelSmall={isLabelSmall}
      {...(className === undefined ? {} : { className })}
    >
      {(props) => (
        <TextInput
          {...props}
          inputMode="decimal"
          value={draft ?? (value === null ? '' : String(value))}
          onBlur={() => {
            setDraft(null)
            setError(null)
          }}
          onChange={(event) => change(event.target.value)}
        />
      )}
    </Field>
  )
}
