import type { TastingSettings } from '@frijol/core/model'
import { protocolTable } from '@frijol/core/sensory'
import { runTasting, tastingCommands } from '../../store/tasting'
import { Card, CardTitle, Choice, Field, NumberField, TextInput, ToggleChip } from '../../ui'
import { By } from './By'
import { within } from './within'

const RISKS = ['0.05', '0.1', '0.2'] as const
const RISK_NAMES = { '0.05': 'once in 20', '0.1': 'once in 10', '0.2': 'once in 5' } as const

/** How it is served: alike for all, so that only the food differs. */
export function Serving({ settings }: { settings: TastingSettings }) {
  const { portionG, servedC, vessel, rinse, restS, warmsUp, protocol, alpha } = settings
  const set = (label: string, change: Partial<TastingSettings>, merge: string) =>
    runTasting(tastingCommands.changePlan(label, change, merge))
  return (
    <Card className="px-4 py-3">
      <CardTitle title="How it is served" />
      {(protocol === 'paired' || protocol === 'ranking') && <By settings={settings} />}
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 sm:grid-cols-3">
        <NumberField
          label="Portion"
          unit="g"
          value={portionG}
          onChange={(value) =>
            within(value, 1, 500, (next) => set('set the portion', { portionG: next }, 'portion'))
          }
        />
        <NumberField
          label="Served at"
          unit="°C"
          value={servedC}
          onChange={(value) =>
            within(value, -20, 90, (next) => set('set how warm it is', { servedC: next }, 'warm'))
          }
        />
        <NumberField
          label="Rest between"
          unit="s"
          value={restS}
          onChange={(value) =>
            within(value, 0, 900, (next) => set('set the rest', { restS: Math.round(next) }, 'rest'))
          }
        />
        <Field label="In">
          {(props) => (
            <TextInput
              {...props}
              value={vessel}
              onChange={({ target }) => set('set the cups', { vessel: target.value.slice(0, 80) }, 'vessel')}
            />
          )}
        </Field>
        <Field label="To rinse with" className="sm:col-span-2">
          {(props) => (
            <TextInput
              {...props}
              value={rinse}
              onChange={({ target }) => set('set the rinse', { rinse: target.value.slice(0, 120) }, 'rinse')}
            />
          )}
        </Field>
      </div>
      <div className="mt-3 flex flex-wrap items-end gap-x-4">
        <div className="mb-2">
          <ToggleChip
            tone="mung"
            isOn={warmsUp}
            onChange={() => set('begin with a warm-up', { warmsUp: !warmsUp }, 'warm-up')}
          >
            a warm-up first, not asked about
          </ToggleChip>
        </div>
        <div>
          <p className="m-0 mb-1 text-[13px] font-semibold text-ink-2">A false alarm may come</p>
          <Choice
            label="A false alarm may come"
            value={RISKS.find((one) => Number(one) === alpha) ?? '0.05'}
            options={RISKS}
            names={RISK_NAMES}
            onChange={(next) => set('set the risk of a false alarm', { alpha: Number(next) }, 'risk')}
          />
        </div>
      </div>
      <p className="m-0 text-[13px] text-ink-2">
        {protocolTable(protocol).source}. Cold samples at 5 °C or below, hot ones at 60 °C or above, nothing
        out of it for more than two hours: your local food code has the last word. Clean spoons, no ill
        tasters, no raw flour, a cup to spit into; stop at any reaction.
      </p>
    </Card>
  )
}
