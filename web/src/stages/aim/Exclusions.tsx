import { exclusionName } from '@frijol/core/rules'
import { useState } from 'react'
import { FoodFinder } from '../../parts'
import { commands, run, useDish, useLibrary } from '../../store'
import { Button, Card, CardTitle, Sheet, ToggleChip } from '../../ui'

/** Groups first: what most kitchens exclude. */
const GROUPS: readonly (readonly [string, string])[] = [
  ['gluten', 'Gluten'],
  ['soy', 'Soy'],
  ['tree-nuts', 'Tree nuts'],
  ['peanut', 'Peanut'],
  ['sesame', 'Sesame'],
  ['animal', 'Animal foods'],
  ['added-oil', 'Added oil'],
  ['additives', 'Isolates and additives'],
  ['nutritional-yeast', 'Nutritional yeast'],
]
const GROUP_IDS = new Set(GROUPS.map(([id]) => id))

/** Allergens, kinds of food and single foods that the dish may not hold. */
export function Exclusions() {
  const { aim } = useDish()
  const library = useLibrary()
  const [isFinding, setFinding] = useState(false)
  const excluded = new Set(aim.excluded)
  const toggle = (id: string) =>
    run(
      commands.changeAim(excluded.has(id) ? 'allow again' : 'exclude', (draft) => {
        draft.excluded = excluded.has(id)
          ? draft.excluded.filter((one) => one !== id)
          : [...draft.excluded, id]
      }),
    )
  const others = [...library.allergens.values()].filter(
    ({ id }) => !GROUP_IDS.has(id) && !id.startsWith('tree-nut-') && !id.startsWith('gluten-'),
  )
  const foods = aim.excluded.filter((id) => !GROUP_IDS.has(id) && !library.allergens.has(id))
  const chip = (id: string, label: string) => (
    <ToggleChip key={id} isOn={excluded.has(id)} onChange={() => toggle(id)}>
      {excluded.has(id) ? `no ${label.toLowerCase()}` : label}
    </ToggleChip>
  )
  return (
    <Card className="p-4">
      <CardTitle
        title="Never in it"
        aside={excluded.size === 0 ? 'nothing yet' : `${excluded.size} kept out`}
      />
      <div className="flex flex-wrap gap-1.5">
        {GROUPS.map(([id, label]) => chip(id, label))}
        {foods.map((id) => chip(id, exclusionName(id, library)))}
      </div>
      <Button tone="quiet" className="mt-1.5 min-h-7" aria-haspopup="dialog" onClick={() => setFinding(true)}>
        Keep out a food
      </Button>
      <details className="mt-1">
        <summary className="text-[13px] text-ink-2">Other allergens</summary>
        <div className="mt-2 flex flex-wrap gap-1.5">{others.map(({ id, name }) => chip(id, name))}</div>
      </details>
      <p className="m-0 mt-2 text-xs text-ink-2">
        From the library’s allergens. Check every label: traces and recipes change. Follow your local food
        code.
      </p>
      <Sheet
        title="Which food is never in it?"
        isOpen={isFinding}
        onClose={() => setFinding(false)}
        width="wide"
      >
        <FoodFinder
          label="Foods"
          placeholder="Coconut oil, walnuts …"
          onPick={(id) => {
            if (!excluded.has(id)) toggle(id)
            setFinding(false)
          }}
        />
      </Sheet>
    </Card>
  )
}
