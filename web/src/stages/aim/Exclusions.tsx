import { clsx } from 'clsx'
import { Toggle } from 'radix-ui'
import { commands, run, useDish, useLibrary } from '../../store'
import { Card, CardTitle } from '../../ui'

/** Groups first: what most kitchens exclude. */
const GROUPS: readonly (readonly [string, string])[] = [
  ['gluten', 'Gluten'],
  ['soy', 'Soy'],
  ['tree-nuts', 'Tree nuts'],
  ['peanut', 'Peanut'],
  ['sesame', 'Sesame'],
  ['animal', 'Animal foods'],
  ['added-oil', 'Added oil'],
  ['nutritional-yeast', 'Nutritional yeast'],
]

function Exclusion({ label, isOn, onChange }: { label: string; isOn: boolean; onChange: () => void }) {
  return (
    <Toggle.Root
      pressed={isOn}
      onPressedChange={onChange}
      className={clsx(
        'min-h-8 rounded-full border-[1.5px] px-3 text-[13px] font-semibold',
        isOn
          ? 'border-adzuki bg-adzuki-soft text-adzuki-deep'
          : 'border-edge bg-paper text-ink-2 hover:border-ink-2',
      )}
    >
      {isOn ? `no ${label.toLowerCase()}` : label}
    </Toggle.Root>
  )
}

/** Allergens and diets that the dish may not hold. */
export function Exclusions() {
  const { aim } = useDish()
  const library = useLibrary()
  const excluded = new Set(aim.excluded)
  const toggle = (id: string) =>
    run(
      commands.changeAim(excluded.has(id) ? 'allow again' : 'exclude', (draft) => {
        draft.excluded = excluded.has(id)
          ? draft.excluded.filter((one) => one !== id)
          : [...draft.excluded, id]
      }),
    )
  const groupIds = new Set(GROUPS.map(([id]) => id))
  const others = [...library.allergens.values()].filter(
    ({ id }) => !groupIds.has(id) && !id.startsWith('tree-nut-') && !id.startsWith('gluten-'),
  )
  return (
    <Card className="p-4">
      <CardTitle title="Kept out" aside={excluded.size === 0 ? 'nothing yet' : `${excluded.size} excluded`} />
      <div className="flex flex-wrap gap-1.5">
        {GROUPS.map(([id, label]) => (
          <Exclusion key={id} label={label} isOn={excluded.has(id)} onChange={() => toggle(id)} />
        ))}
      </div>
      <details className="mt-2">
        <summary className="text-[13px] text-ink-2">Other allergens</summary>
        <div className="mt-2 flex flex-wrap gap-1.5">
          {others.map(({ id, name }) => (
            <Exclusion key={id} label={name} isOn={excluded.has(id)} onChange={() => toggle(id)} />
          ))}
        </div>
      </details>
      <p className="m-0 mt-2 text-xs text-ink-2">
        From the library’s allergens. Check every label: traces and recipes change. Follow your local food
        code.
      </p>
    </Card>
  )
}
