import { FoodClass } from '@frijol/core/model'
import { Toggle } from 'radix-ui'
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
      <Choice
        label="Kind"
        all="every kind"
        value={filter.kind}
        options={FoodClass.options.map((kind) => [kind, kind.replace('-', ' ')])}
        onChoose={(kind) => set({ kind })}
      />
      <Choice
        label="Role"
        all="every role"
        value={filter.role}
        options={roles.map((role) => [role, role.replaceAll('-', ' ')])}
        onChoose={(role) => set({ role })}
      />
      <Choice
        label="Without"
        all="nothing kept out"
        value={filter.without}
        options={WITHOUT}
        onChoose={(without) => set({ without })}
      />
      <Toggle.Root asChild pressed={filter.isOwnOnly} onPressedChange={(isOwnOnly) => set({ isOwnOnly })}>
        <Button tone={filter.isOwnOnly ? 'primary' : 'quiet'}>yours only</Button>
      </Toggle.Root>
      <span role="status" className="ml-auto text-[13px] text-ink-2">
        {count === 1 ? '1 fits' : `${count} fit`}
      </span>
    </div>
  )
}

interface ChoiceProps {
  label: string
  all: string
  value: string
  options: readonly (readonly [id: string, name: string])[]
  onChoose: (id: string) => void
}

function Choice({ label, all, value, options, onChoose }: ChoiceProps) {
  return (
    <SelectInput
      aria-label={label}
      className="max-w-44"
      value={value}
      onChange={(event) => onChoose(event.target.value)}
    >
      <option value="">{all}</option>
      {options.map(([id, name]) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </SelectInput>
  )
}
