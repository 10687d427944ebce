import { ToggleChip } from '../../../ui'

export interface ToggleChipsProps<T extends string> {
  options: readonly (readonly [id: T, label: string])[]
  chosen: readonly T[]
  onChange: (chosen: readonly T[]) => void
  tone?: 'adzuki' | 'mung'
}

/** Any of a few, each on or off. */
export const ToggleChips = <T extends string>({
  options,
  chosen,
  onChange,
  tone = 'adzuki',
}: ToggleChipsProps<T>) =>
  options.map(([id, label]) => (
    <ToggleChip
      key={id}
      tone={tone}
      isOn={chosen.includes(id)}
      onChange={() => onChange(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])}
    >
      {label}
    </ToggleChip>
  ))
