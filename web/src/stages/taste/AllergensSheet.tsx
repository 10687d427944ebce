import type { TastingSample } from '@frijol/core/model'
import { useState } from 'react'
import { useLibrary } from '../../store'
import { Button, Sheet, ToggleChip } from '../../ui'

/** What a sample holds: worked out for a mix, usual for an original; whoever sets the table has the last word. */
export function AllergensSheet({
  sample,
  onChange,
}: {
  sample: TastingSample
  onChange: (sample: TastingSample) => void
}) {
  const { allergens } = useLibrary()
  const [isOpen, setOpen] = useState(false)
  const nameOf = (id: string): string => allergens.get(id)?.name ?? id
  const said = sample.allergens.map((id) =>
    nameOf(id)
      .replace(/ \(.*\)$/, '')
      .toLowerCase(),
  )
  return (
    <>
      <Button
        tone="quiet"
        className="min-h-7 px-2.5 text-[13px]"
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        {said.length === 0
          ? 'no allergen known'
          : `holds ${said.slice(0, 3).join(', ')}${said.length > 3 ? ` and ${said.length - 3} more` : ''}`}
      </Button>
      <Sheet
        title={`What ${sample.label} holds`}
        description={
          sample.kind === 'original'
            ? 'What it usually holds. Read the label of what you bought, and the recipe of what you cooked: blinding never hides an allergen.'
            : sample.kind === 'other'
              ? 'Nothing is known of it: say what it holds.'
              : 'As the formula has it, the whole dish. Add what may have come in otherwise.'
        }
        isOpen={isOpen}
        onClose={() => setOpen(false)}
      >
        <div className="flex flex-wrap gap-1.5">
          {[...allergens.values()].map(({ id, name }) => (
            <ToggleChip
              key={id}
              isOn={sample.allergens.includes(id)}
              onChange={() =>
                onChange({
                  ...sample,
                  allergens: sample.allergens.includes(id)
                    ? sample.allergens.filter((one) => one !== id)
                    : [...sample.allergens, id],
                })
              }
            >
              {name.replace(/ \(.*\)$/, '')}
            </ToggleChip>
          ))}
          <ToggleChip
            isOn={sample.isAnimal}
            onChange={() => onChange({ ...sample, isAnimal: !sample.isAnimal })}
          >
            of animals
          </ToggleChip>
        </div>
      </Sheet>
    </>
  )
}
