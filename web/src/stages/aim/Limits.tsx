import { Aim } from '@frijol/core/model'
import { commands, run, useDish, useKitchenStore } from '../../store'
import { Card, CardTitle, NumberField } from '../../ui'

/** Portions, portion mass and the three limits of a portion. */
export function Limits() {
  const { aim } = useDish()
  const currency = useKitchenStore((state) => state.kitchen.currency)

  const change = (next: Aim, label: string, merge: string): string | null => {
    const checked = Aim.safeParse(next)
    if (!checked.success) return checked.error.issues[0]?.message ?? 'This does not fit.'
    run(commands.changeAim(label, (draft) => Object.assign(draft, checked.data), merge))
    return null
  }
  const limit = (name: keyof Aim['limits']) => (value: number | null) =>
    change({ ...aim, limits: { ...aim.limits, [name]: value } }, 'set a limit', name)
  return (
    <Card className="p-4">
      <CardTitle title="Portion and limits" aside="a portion" />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Portions"
          value={aim.portions}
          onChange={(value) =>
            value === null
              ? 'Enter a number of portions.'
              : change({ ...aim, portions: value }, 'set the portions', 'portions')
          }
        />
        <NumberField
          label="Portion mass"
          unit="g"
          value={aim.portionMassG}
          onChange={(value) =>
            change({ ...aim, portionMassG: value }, 'set the portion mass', 'portionMassG')
          }
        />
        <NumberField
          label="Sodium, at most"
          unit="mg"
          value={aim.limits.sodiumMgMax}
          onChange={limit('sodiumMgMax')}
        />
        <NumberField
          label="Protein, at least"
          unit="g"
          value={aim.limits.proteinGMin}
          onChange={limit('proteinGMin')}
        />
        <NumberField
          label="Cost, at most"
          unit={currency}
          value={aim.limits.costMax}
          onChange={limit('costMax')}
          hint="From the prices in your pantry."
        />
      </div>
    </Card>
  )
}
