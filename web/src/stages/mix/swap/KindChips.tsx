import { ToggleChip } from '../../../ui'
import { KINDS } from './words'

export interface KindChipsProps {
  chosen: readonly string[]
  /** Kinds that are kept out already, and not offered. */
  barred?: readonly string[]
  onChange: (chosen: readonly string[]) => void
}

/** Kinds of food to do without. */
export const KindChips = ({ chosen, barred = [], onChange }: KindChipsProps) =>
  KINDS.filter(([id]) => !barred.includes(id)).map(([id, label]) => (
    <ToggleChip
      key={id}
      isOn={chosen.includes(id)}
      onChange={() => onChange(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])}
    >
      {label}
    </ToggleChip>
  ))
