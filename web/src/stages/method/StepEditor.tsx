import type { Part, Step, StepReading, Until } from '@frijol/core/model'
import { dialC, fanAirC } from '@frijol/core/measure'
import { guidanceOf, specOf } from '@frijol/core/program'
import { followWords, type HandChange } from '@frijol/core/reading'
import { useState } from 'react'
import { kitchenWords, methodCommands, run, useDish, useKitchenStore } from '../../store'
import { Button, Field, NumberField, SelectInput, TextArea } from '../../ui'
import { stateOfLot } from './format'
import { NO_OPERATION, PickOperation } from './PickOperation'
import { Additions, type PieceProps, SettingField, SETTINGS } from './SettingField'
import { Takes } from './Takes'
import { TeachWord } from './TeachWord'
import { Weighing } from './Weighing'

export interface StepEditorProps {
  partId: string
  step: Step
  number: number
  reading: StepReading | null
}

/** Everything of one step that its words can leave unsaid. */
export function StepEditor({ partId, step, number, reading }: StepEditorProps) {
  const part = useDish().parts.find(({ id }) => id === partId)
  return part === undefined ? null : <Editor part={part} step={step} number={number} reading={reading} />
}

function Editor({ part, step, number, reading }: Omit<StepEditorProps, 'partId'> & { part: Part }) {
  const [isPicking, setPicking] = useState(false)
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
          {({ id }) => (
            <>
              <Button
                id={id}
                aria-haspopup="dialog"
                aria-label={`What is done: ${spec === null ? NO_OPERATION : spec.name}`}
                className="w-full !justify-start truncate !rounded-lg !border !border-edge !bg-paper !px-2.5 !text-[15px] !font-normal"
                onClick={() => setPicking(true)}
              >
                {spec === null ? NO_OPERATION : spec.name}
              </Button>
              <PickOperation
                isOpen={isPicking}
                withNone
                onClose={() => setPicking(false)}
                onPick={(operation) => {
                  setPicking(false)
                  set({ operation })
                }}
              />
            </>
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
        <Ends step={step} reading={reading} onChange={set} />
        {spec !== null &&
          SETTINGS[spec.medium].map((setting) => (
            <SettingField key={setting} setting={setting} step={step} onChange={set} />
          ))}
        {step.operation === 'water-saute' && <Additions step={step} onChange={set} />}
      </div>
      <TeachWord step={step} />
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
              onBlur={() => step.cue === '' && write({ cue: null }, 'write a cue')}
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
              onBlur={() => step.remedy === '' && write({ remedy: null }, 'write a remedy')}
            />
          )}
        </Field>
      </div>
      {reading !== null && reading.takes.length > 0 && (
        <p className="m-0 text-[13px] text-ink-2">
          <b className="text-ink">After it:</b> {stateOfLot(reading).join(', ')}
          {reading.energyKWh > 0.005 && `; ${reading.energyKWh.toFixed(2)} kWh`}
          {reading.observations > 0 &&
            `; foretold from ${reading.observations} weighing${reading.observations > 1 ? 's' : ''} of this kitchen`}
          .
        </p>
      )}
      {step.byHand.length > 0 && (
        <p className="m-0 flex flex-wrap items-center gap-2 text-[13px] text-ink-2">
          Set by hand: {step.byHand.map((field) => HAND_NAMES[field] ?? field).join(', ')}.
          <Button
            tone="quiet"
            className="min-h-7"
            onClick={() =>
              run(
                methodCommands.replaceStep(
                  part.id,
                  followWords(step, kitchenWords()),
                  'follow the words again',
                ),
              )
            }
          >
            Follow the words again
          </Button>
        </p>
      )}
    </div>
  )
}

/** Own words, or null where they are the operation's again. Empty while they are being written. */
const ownText = (text: string, usual: string | undefined): string | null => (text === usual ? null : text)

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

function Ends({ step, reading, onChange }: PieceProps & { reading: StepReading | null }) {
  const { until } = step
  const kind = until?.kind ?? 'clock'
  // Another kind of end starts from what the step does now.
  const massG = Math.max(1, Math.round(reading?.massG ?? 0))
  const kept = reading === null || reading.massInG <= 0 ? 1 : reading.massG / reading.massInG
  const now = { massG, kept: Math.min(20, Math.max(0.02, Number(kept.toFixed(3)))) }
  const choose = (next: string) => {
    const made: Record<string, Until | null> = {
      clock: null,
      keeps: { kind: 'keeps', fraction: now.kept },
      mass: { kind: 'mass', massG: now.massG },
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
            onChange({ until: { ...until, fraction: percent / 100 } })
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
