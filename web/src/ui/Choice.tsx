import { RadioGroup } from 'radix-ui'
import { Button } from './Button'

export interface ChoiceProps<T extends string> {
  label: string
  value: T
  options: readonly T[]
  /** What an option is called; its own text where there is none. */
  names?: Readonly<Record<T, string>>
  onChange: (value: T) => void
}

/** One of a few, side by side; arrow keys move between them. */
export const Choice = <T extends string>({ label, value, options, names, onChange }: ChoiceProps<T>) => (
  <RadioGroup.Root
    aria-label={label}
    className="mb-2 flex flex-wrap gap-1.5"
    value={value}
    onValueChange={(next) => {
      const option = options.find((one) => one === next)
      if (option !== undefined) onChange(option)
    }}
  >
    {options.map((option) => (
      <RadioGroup.Item key={option} value={option} asChild>
        <Button tone={option === value ? 'primary' : 'plain'} className="min-h-7 px-3">
          {names?.[option] ?? option}
        </Button>
      </RadioGroup.Item>
    ))}
  </RadioGroup.Root>
)
