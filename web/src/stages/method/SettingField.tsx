import { EquipmentKind, Form, type Step } from '@frijol/core/model'
import type { Medium } from '@frijol/core/program'
import type { HandChange } from '@frijol/core/reading'
import { Field, NumberField, SelectInput } from '../../ui'

export interface PieceProps {
  step: Step
  onChange: (change: HandChange) => void
}

export type Setting =
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
export const SETTINGS: Readonly<Record<Medium, readonly Setting[]>> = {
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

/** One setting of a step that its words may leave unsaid. */
export function SettingField({ setting, step, onChange }: PieceProps & { setting: Setting }) {
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

/** Water by the spoon: how often, and how much. */
export function Additions({ step, onChange }: PieceProps) {
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
