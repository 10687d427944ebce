import { regionMeasures } from '@frijol/core/measure'
import { Kitchen, MeasureRegion } from '@frijol/core/model'
import { changeKitchen, useKitchenStore } from '../store'
import { Card, CardTitle, Field, NumberField, SelectInput, TextInput } from '../ui'
import { BackupCard } from './BackupCard'
import { EquipmentCard } from './EquipmentCard'
import { LearnedCard } from './LearnedCard'
import { TastedCard } from './TastedCard'
import { OriginalsCard } from './OriginalsCard'
import { WordsCard } from './WordsCard'

const REGIONS: Record<MeasureRegion, string> = {
  us: 'US',
  metric: 'Metric',
  australian: 'Australian',
  imperial: 'Old British',
}
const regionWords = (region: MeasureRegion): string => {
  const { cupMl, tbspMl } = regionMeasures(region)
  return `${REGIONS[region]}: cup ${Math.round(cupMl)} mL, tablespoon ${Math.round(tbspMl)} mL`
}
const CURRENCIES = [
  'EUR',
  'GBP',
  'USD',
  'AUD',
  'CAD',
  'CHF',
  'DKK',
  'INR',
  'JPY',
  'NOK',
  'NZD',
  'PLN',
  'SEK',
  'TRY',
]

const LABELS: Readonly<Record<string, string>> = {
  name: 'rename the kitchen',
  region: 'set cups and spoons',
  scaleStepG: 'set the scale',
  fineScaleStepG: 'set the fine scale',
  currency: 'set the currency',
  equipment: 'change the equipment',
}

/** Kitchen: how it measures, weighs and counts money; and its backup. */
export function KitchenPage() {
  const kitchen = useKitchenStore((state) => state.kitchen)
  /** Each field is joined with itself while it is typed, so that one undo takes it back. */
  const set = (change: Partial<Kitchen>): string | null => {
    const checked = Kitchen.safeParse({ ...kitchen, ...change })
    if (!checked.success) return checked.error.issues[0]?.message ?? 'This does not fit.'
    const field = Object.keys(change).join()
    changeKitchen(LABELS[field] ?? 'change the kitchen', (now) => ({ ...now, ...change }), field)
    return null
  }
  return (
    <div className="py-5 pr-5 pl-1.5 max-md:px-3">
      <div className="text-sm text-ink-2">How do I measure, cook and avoid?</div>
      <h1 className="mt-0 mb-4 text-[26px] leading-tight">Kitchen</h1>
      <div className="grid items-start gap-4 lg:grid-cols-2">
        <div className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-4">
          <Card className="grid gap-3 p-4">
            <CardTitle title="Measuring" />
            <Field label="Name of the kitchen">
              {(props) => (
                <TextInput
                  {...props}
                  value={kitchen.name}
                  maxLength={120}
                  onChange={(event) => set({ name: event.target.value })}
                />
              )}
            </Field>
            <Field
              label="A bare “cup” and “tablespoon” mean"
              hint="Words in a recipe’s own text win: “metric cup”, “20 mL”."
            >
              {(props) => (
                <SelectInput
                  {...props}
                  value={kitchen.region}
                  onChange={(event) => set({ region: MeasureRegion.parse(event.target.value) })}
                >
                  {MeasureRegion.options.map((region) => (
                    <option key={region} value={region}>
                      {regionWords(region)}
                    </option>
                  ))}
                </SelectInput>
              )}
            </Field>
            <div className="grid grid-cols-2 gap-3">
              <NumberField
                label="Scale reads to"
                unit="g"
                value={kitchen.scaleStepG}
                onChange={(value) => set({ scaleStepG: value ?? Number.NaN })}
              />
              <NumberField
                label="Fine scale reads to"
                unit="g"
                value={kitchen.fineScaleStepG}
                onChange={(value) => set({ fineScaleStepG: value })}
                hint="Empty if there is none."
              />
            </div>
            <Field label="Currency">
              {(props) => (
                <SelectInput
                  {...props}
                  value={kitchen.currency}
                  onChange={(event) => set({ currency: event.target.value })}
                >
                  {[...new Set([kitchen.currency, ...CURRENCIES])].map((code) => (
                    <option key={code}>{code}</option>
                  ))}
                </SelectInput>
              )}
            </Field>
          </Card>
          <LearnedCard kitchen={kitchen} />
          <TastedCard kitchen={kitchen} />
          <WordsCard kitchen={kitchen} />
          <OriginalsCard />
          <BackupCard />
        </div>
        <EquipmentCard equipment={kitchen.equipment} onChange={set} />
      </div>
    </div>
  )
}
