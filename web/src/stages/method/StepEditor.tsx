import {
  EquipmentKind,
  Form,
  type OperationId,
  OperationId as Operations,
  type Part,
  type Step,
  type StepReading,
  type Until,
} from '@frijol/core/model'
import {
  dialC,
  fanAirC,
  followWords,
  guidanceOf,
  type HandChange,
  type Medium,
  SPECS,
  specOf,
} from '@frijol/core/process'
import { methodCommands, run, useKitchenStore } from '../../store'
import { Button, Field, NumberField, SelectInput, TextArea } from '../../ui'
import { Takes } from './Takes'

type Setting =
  | 'vessel'
  | 'vesselCm'
  | 'heat'
  | 'lid'
  | 'isFan'
  | 'layer'
  | 'form'
  | 'thicknessMm'
  | 'isWrapped'
  | 'waterG'
  | 'isDrained'

const PIECE: readonly Setting[] = ['form', 'thicknessMm']
/** Which settings matter to an operation, by what surrounds the food. */
const SETTINGS: Readonly<Record<Medium, readonly Setting[]>> = {
  none: ['vessel', 'waterG', 'isDrained'],
  pan: ['vesselCm', 'heat', 'lid', ...PIECE, 'waterG'],
  liquid: ['vesselCm', 'heat', 'lid', 'waterG', 'isDrained'],
  oven: ['isFan', 'layer', ...PIECE, 'isWrapped'],
  'fryer-air': ['layer', ...PIECE],
  grill: ['heat', ...PIECE],
  oil: ['vesselCm', ...PIECE],
  steam: [...PIECE, 'isWrapped'],
  pressure: ['waterG', 'isDrained', 'isWrapped'],
  'dry-air': ['layer', ...PIECE],
  cold: PIECE,
}
const VESSELS: readonly EquipmentKind[] = ['pan', 'pot', 'blender', 'processor']
const cap = (word: string): string => word.charAt(0).toUpperCase() + word.slice(1)
const byName = [...SPECS].sort((a, b) => a.name.localeCompare(b.name))

export interface StepEditorProps {
  part: Part
  step: Step
  number: number
  reading: StepReading | null
}

/** Everything of one step that its words can leave unsaid. */
export function StepEditor({ part, step, number, reading }: StepEditorProps) {
  const set = (change: HandChange) => run(methodCommands.setStepFacts(part.id, step, change))
  const write = (change: Partial<Step>, label: string) =>
    run(methodCommands.replaceStep(part.id, { ...step, ...change }, label, `${label} ${step.id}`))
  const spec = step.operation === null ? null : specOf(step.operation)
  const guidance = step.operation === null ? null : guidanceOf(step.operation)
  return (
    <div
      className="grid gap-3 border-t border-line/70 pt-3 pb-1"
      role="group"
      aria-label={`Details of step ${number}`}
    >
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-4">
        <Field label="What is done">
          {(props) => (
            <SelectInput
              {...props}
              value={step.operation ?? ''}
              onChange={(event) => {
                const parsed = Operations.safeParse(event.target.value)
                set({ operation: parsed.success ? parsed.data : null })
              }}
            >
              <option value="">Nothing that changes mass</option>
              {byName.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </SelectInput>
          )}
        </Field>
        <NumberField
          label="Time"
          unit="min"
          value={step.durationMin}
          hint={
            step.durationMin === null && reading !== null
              ? `reckoned with ${Math.round(reading.minutes)}`
              : undefined
          }
          onChange={(durationMin) => {
            if (durationMin !== null && (durationMin < 0 || durationMin > 100_000))
              return 'Enter 0 min or more.'
            set({ durationMin })
            return null
          }}
        />
        <Temperature step={step} onChange={set} />
        <Ends step={step} onChange={set} />
        {spec !== null &&
          SETTINGS[spec.medium].map((setting) => (
            <SettingField key={setting} setting={setting} step={step} onChange={set} />
          ))}
        {step.operation === 'water-saute' && <Additions step={step} onChange={set} />}
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Takes part={part} step={step} reading={reading} />
        <Weighing part={part} step={step} reading={reading} />
      </div>
      <div className="grid gap-3 sm:grid-cols-2">
        <Field
          label="Done when"
          hint={step.cue === null ? 'The usual cue; write your own over it.' : undefined}
        >
          {(props) => (
            <TextArea
              {...props}
              value={step.cue ?? guidance?.cue ?? ''}
              maxLength={400}
              onChange={(event) => write({ cue: ownText(event.target.value, guidance?.cue) }, 'write a cue')}
            />
          )}
        </Field>
        <Field
          label="If not"
          hint={step.remedy === null ? 'The usual remedy; write your own over it.' : undefined}
        >
          {(props) => (
            <TextArea
              {...props}
              value={step.remedy ?? guidance?.remedy ?? ''}
              maxLength={400}
              onChange={(event) =>
                write({ remedy: ownText(event.target.value, guidance?.remedy) }, 'write a remedy')
              }
            />
          )}
        </Field>
      </div>
      {step.byHand.length > 0 && (
        <p className="m-0 flex flex-wrap items-center gap-2 text-[13px] text-ink-2">
          Set by hand: {step.byHand.map((field) => HAND_NAMES[field] ?? field).join(', ')}.
          <Button
            tone="quiet"
            className="min-h-7"
            onClick={() =>
              run(methodCommands.replaceStep(part.id, followWords(step), 'follow the words again'))
            }
          >
            Follow the words again
          </Button>
        </p>
      )}
    </div>
  )
}

/** Own words, or null where they are the operation's again. */
const ownText = (text: string, usual: string | undefined): string | null =>
  text.trim() === '' || text === usual ? null : text

const HAND_NAMES: Readonly<Record<string, string>> = {
  operation: 'what is done',
  durationMin: 'time',
  tempC: 'temperature',
  until: 'end',
  vessel: 'vessel',
  vesselCm: 'size',
  heat: 'heat',
  lid: 'lid',
  isFan: 'fan',
  isWrapped: 'wrapping',
  form: 'shape',
  thicknessMm: 'thickness',
  layer: 'layer',
  waterG: 'water',
  additions: 'additions',
  isDrained: 'draining',
}

interface PieceProps {
  step: Step
  onChange: (change: HandChange) => void
}

/** The temperature, and where the kitchen's own oven must be set for it. */
function Temperature({ step, onChange }: PieceProps) {
  const oven = useKitchenStore((state) => state.kitchen.equipment.find(({ kind }) => kind === 'oven'))
  const isOven = step.operation !== null && specOf(step.operation).medium === 'oven'
  const dial =
    isOven && oven !== undefined && step.tempC !== null
      ? dialC(fanAirC(step.tempC, step.settings.isFan ?? oven.isFan, 0), oven.isFan, oven.offsetC)
      : null
  const hint = dial === null || dial === step.tempC ? undefined : `dial ${dial} °C on your oven`
  return (
    <NumberField
      label="Temperature"
      unit="°C"
      value={step.tempC}
      hint={hint}
      onChange={(tempC) => {
        if (tempC !== null && (tempC < -40 || tempC > 400)) return 'Enter −40 to 400 °C.'
        onChange({ tempC })
        return null
      }}
    />
  )
}

const ENDS = { clock: 'by the clock', keeps: '% left', mass: 'g on the scale', dry: 'dry' } as const

function Ends({ step, onChange }: PieceProps) {
  const { until } = step
  const kind = until?.kind ?? 'clock'
  const choose = (next: string) => {
    const made: Record<string, Until | null> = {
      clock: null,
      keeps: { kind: 'keeps', fraction: 0.8 },
      mass: { kind: 'mass', massG: 300 },
      dry: { kind: 'dry' },
    }
    onChange({ until: made[next] ?? null })
  }
  return (
    <div className="flex items-end gap-1.5">
      <Field label="Ends" className="min-w-0 flex-1">
        {(props) => (
          <SelectInput {...props} value={kind} onChange={(event) => choose(event.target.value)}>
            {Object.entries(ENDS).map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </SelectInput>
        )}
      </Field>
      {until?.kind === 'keeps' && (
        <NumberField
          label="% left"
          className="w-20"
          value={Number((until.fraction * 100).toFixed(1))}
          onChange={(percent) => {
            if (percent === null || percent < 2 || percent > 2000) return '2 to 2000'
            onChange({ until: { kind: 'keeps', fraction: percent / 100 } })
            return null
          }}
        />
      )}
      {until?.kind === 'mass' && (
        <NumberField
          label="To, g"
          className="w-20"
          value={Number(until.massG.toFixed(1))}
          onChange={(massG) => {
            if (massG === null || massG <= 0 || massG > 1e6) return 'above 0'
            onChange({ until: { kind: 'mass', massG } })
            return null
          }}
        />
      )}
    </div>
  )
}

interface ChoiceProps {
  label: string
  value: string | null
  options: readonly (readonly [value: string, name: string])[]
  onChange: (value: string) => void
}
const Choice = ({ label, value, options, onChange }: ChoiceProps) => (
  <Field label={label}>
    {(props) => (
      <SelectInput {...props} value={value ?? ''} onChange={(event) => onChange(event.target.value)}>
        <option value="">not said</option>
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectInput>
    )}
  </Field>
)
const yesNo = (yes: string, no: string) => [['yes', yes] as const, ['no', no] as const]
const flag = (value: boolean | null): string | null => (value === null ? null : value ? 'yes' : 'no')
const unflag = (value: string): boolean | null => (value === '' ? null : value === 'yes')
const oneOf = <T extends string>(value: string, all: readonly T[]): T | null =>
  all.find((one) => one === value) ?? null

function SettingField({ setting, step, onChange }: PieceProps & { setting: Setting }) {
  const { settings } = step
  const number = (label: string, unit: string, most: number, key: 'vesselCm' | 'thicknessMm' | 'waterG') => (
    <NumberField
      label={label}
      unit={unit}
      value={settings[key]}
      onChange={(value) => {
        const isLow = value !== null && (key === 'waterG' ? value < 0 : value <= 0)
        if (isLow || (value !== null && value > most)) return `Enter up to ${most} ${unit}.`
        onChange({ [key]: value })
        return null
      }}
    />
  )
  switch (setting) {
    case 'vesselCm':
      return number('Across', 'cm', 200, 'vesselCm')
    case 'thicknessMm':
      return number('Thick', 'mm', 500, 'thicknessMm')
    case 'waterG':
      return number('Water poured in', 'g', 1e6, 'waterG')
    case 'vessel':
      return (
        <Choice
          label="Done in"
          value={settings.vessel}
          options={VESSELS.map((kind) => [kind, cap(kind)])}
          onChange={(value) => onChange({ vessel: oneOf(value, EquipmentKind.options) })}
        />
      )
    case 'heat':
      return (
        <Choice
          label="Heat"
          value={settings.heat}
          options={(['low', 'medium', 'high'] as const).map((heat) => [heat, cap(heat)])}
          onChange={(value) => onChange({ heat: oneOf(value, ['low', 'medium', 'high']) })}
        />
      )
    case 'lid':
      return (
        <Choice
          label="Lid"
          value={settings.lid}
          options={(['on', 'ajar', 'off'] as const).map((lid) => [lid, cap(lid)])}
          onChange={(value) => onChange({ lid: oneOf(value, ['on', 'ajar', 'off']) })}
        />
      )
    case 'layer':
      return (
        <Choice
          label="Layer"
          value={settings.layer}
          options={[
            ['single', 'Single'],
            ['deep', 'Deep'],
          ]}
          onChange={(value) => onChange({ layer: oneOf(value, ['single', 'deep']) })}
        />
      )
    case 'form':
      return (
        <Choice
          label="Shape"
          value={settings.form}
          options={Form.options.map((form) => [form, cap(form)])}
          onChange={(value) => onChange({ form: oneOf(value, Form.options) })}
        />
      )
    case 'isFan':
      return (
        <Choice
          label="Air"
          value={flag(settings.isFan)}
          options={yesNo('Fan', 'Still')}
          onChange={(value) => onChange({ isFan: unflag(value) })}
        />
      )
    case 'isWrapped':
      return (
        <Choice
          label="Wrapped"
          value={flag(settings.isWrapped)}
          options={yesNo('In foil or cloth', 'Bare')}
          onChange={(value) => onChange({ isWrapped: unflag(value) === true })}
        />
      )
    case 'isDrained':
      return (
        <Choice
          label="Liquid after"
          value={flag(settings.isDrained)}
          options={yesNo('Poured away', 'Kept')}
          onChange={(value) => onChange({ isDrained: unflag(value) })}
        />
      )
  }
}

function Additions({ step, onChange }: PieceProps) {
  const { additions } = step.settings
  const now = additions ?? { count: 4, massG: 20 }
  return (
    <>
      <NumberField
        label="Additions of water"
        value={additions?.count ?? null}
        onChange={(count) => {
          if (count !== null && (!Number.isInteger(count) || count < 1 || count > 60)) return 'Enter 1 to 60.'
          onChange({ additions: count === null ? null : { ...now, count } })
          return null
        }}
      />
      <NumberField
        label="Each"
        unit="g"
        value={additions?.massG ?? null}
        onChange={(massG) => {
          if (massG !== null && (massG <= 0 || massG > 5000)) return 'Enter up to 5000 g.'
          onChange({ additions: massG === null ? null : { ...now, massG } })
          return null
        }}
      />
    </>
  )
}

/** The mass that the scale showed after a step, and what it says of the model. */
function Weighing({ part, step, reading }: { part: Part; step: Step; reading: StepReading | null }) {
  return (
    <NumberField
      label="Weighed after this step"
      unit="g"
      value={step.weighedG}
      onChange={(massG) => {
        if (massG !== null && (massG <= 0 || massG > 1e6)) return 'Enter a mass above 0 g, or clear it.'
        run(methodCommands.weighStep(part.id, step, massG))
        return null
      }}
      hint={
        reading === null
          ? undefined
          : reading.fit === null
            ? `The model says ${Math.round(reading.massG)} g. Weigh it once: the step is fixed, and this kitchen’s own constant is learned.`
            : weighedWords(step.operation, reading.fit)
      }
    />
  )
}

/** How far the model was off, and what was learned. */
export function weighedWords(operation: OperationId | null, fit: NonNullable<StepReading['fit']>): string {
  const off = fit.predictedG > 0 ? (100 * (fit.weighedG - fit.predictedG)) / fit.predictedG : 0
  const said = `The model said ${Math.round(fit.predictedG)} g (${off >= 0 ? '+' : '−'}${Math.abs(off).toFixed(1)} %).`
  if (fit.impossibleG > 0.5)
    return `${said} ${Math.round(fit.impossibleG)} g more would have to leave than there is water: check the scale and the list.`
  if (fit.lnRatio === null || operation === null)
    return `${said} Nothing to learn from it: this operation has no constant.`
  return `${said} This kitchen’s ${specOf(operation).name.toLowerCase()} ran ${Math.exp(fit.lnRatio).toFixed(2)} times the default; the next prediction leans that way.`
}
