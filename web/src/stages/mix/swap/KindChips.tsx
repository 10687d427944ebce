import { ToggleChips } from './ToggleChips'
import { KINDS } from './words'

export interface KindChipsProps {
  chosen: readonly string[]
  /** Kinds that are kept out already, and not offered. */
  barred?: readonly string[]
  onChange: (chosen: readonly string[]) => void
}

/** Kinds of food to do without. */
export const KindChips = ({ chosen, barred = [], onChange }: KindChipsProps) => (
  <ToggleChips options={KINDS.filter(([id]) => !barred.includes(id))} chosen={chosen} onChange={onChange} />
)
