import { FoodClass } from '@frijol/core/model'
import { Button, SelectInput, TextInput } from '../ui'
import { type PantryFilter, useRoles } from './usePantry'

const WITHOUT: readonly (readonly [string, string])[] = [
  ['gluten', 'without gluten'],
  ['soy', 'without soy'],
  ['nuts', 'without nuts'],
  ['sesame', 'without sesame'],
  ['animal', 'plants only'],
  ['added-oil', 'without added oil'],
]

export interface PantryFiltersProps {
  filter: PantryFilter
  onChange: (filter: PantryFilter) => void
  count: number
}

/** Search and filters: by name in any region, kind, role, allergen or diet. */
export function PantryFilters({ filter, onChange, count }: PantryFiltersProps) {
  const roles = useRoles()
  const set = (change: Partial<PantryFilter>) => onChange({ ...filter, ...change })
  return (
    <div className="mb-3 flex flex-wrap items-center gap-2">
      <TextInput
        type="search"
        aria-label="Search the pantry"
        placeholder="Zucchini, besan, miso …"
        className="max-w-72 min-w-40 flex-1"
        value={filter.query}
        onChange={(event) => set({ query: event.target.value })}
      />
      <SelectInput
        aria-label="Kind"
        className="max-w-40"
        value={filter.kind}
        onChange={(event) => set({ kind: event.target.value })}
      >
        <option value="">every kind</option>
        {FoodClass.options.map((kind) => (
          <option key={kind} value={kind}>
            {kind.replace('-', ' ')}
          </option>
        ))}
      </SelectInput>
      <SelectInput
        aria-label="Role"
        className="max-w-44"
        value={filter.role}
        onChange={(event) => set({ role: event.target.value })}
      >
        <option value="">every role</option>
        {roles.map((role) => (
          <option key={role} value={role}>
            {role.replaceAll('-', ' ')}
          </option>
        ))}
      </SelectInput>
      <SelectInput
        aria-label="Without"
        className="max-w-44"
        value={filter.without}
        onChange={(event) => set({ without: event.target.value })}
      >
        <option value="">nothing kept out</option>
        {WITHOUT.map(([id, label]) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </SelectInput>
      <Button
        tone={filter.isOwnOnly ? 'primary' : 'quiet'}
        aria-pressed={filter.isOwnOnly}
        onClick={() => set({ isOwnOnly: !filter.isOwnOnly })}
      >
        yours only
      </Button>
      <span role="status" className="ml-auto text-[13px] text-ink-2">
        {count === 1 ? '1 fits' : `${count} fit`}
      </span>
    </div>
  )
}
