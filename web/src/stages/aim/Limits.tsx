import { Aim } from '@frijol/core/model'
import { commands, run, useDish, useKitchenStore } from '../../store'
import { Card, CardTitle, NumberField } from '../../ui'

const LIMITS: readonly (readonly [name: keyof Aim['limits'], label: string, unit: string])[] = [
  ['sodiumMgMax', 'Sodium, at most', 'mg'],
  ['saturatedFatGMax', 'Saturated fat, at most', 'g'],
  ['proteinGMin', 'Protein, at least', 'g'],
  ['fibreGMin', 'Fibre, at least', 'g'],
  ['energyKcalMin', 'Energy, at least', 'kcal'],
  ['energyKcalMax', 'Energy, at most', 'kcal'],
  ['totalMinMax', 'Whole time, at most', 'min'],
  ['handsMinMax', 'Hands, at most', 'min'],
  ['costMax', 'Cost, at most', 'currency'],
]

/** Portions, portion mass and the limits of a portion and of the method. */
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
        {LIMITS.map(([name, label, unit]) => (
          <NumberField
            key={name}
            label={label}
            unit={unit === 'currency' ? currency : unit}
            value={aim.limits[name]}
            onChange={limit(name)}
            {...(name === 'costMax' ? { hint: 'From the prices in your pantry.' } : {})}
          />
        ))}
      </div>
    </Card>
  )
}
