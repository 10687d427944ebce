import { type Equipment, EquipmentKind, type Kitchen } from '@frijol/core/model'
import { ChevronDown, Plus, X } from 'lucide-react'
import { useState } from 'react'
import { newId } from '../store'
import { Button, Card, CardTitle, Field, IconButton, NumberField, SelectInput, TextInput } from '../ui'

const KINDS: Record<EquipmentKind, string> = {
  pan: 'Pan',
  pot: 'Pot',
  tray: 'Oven tray',
  oven: 'Oven',
  hob: 'Hob',
  'air-fryer': 'Air fryer',
  dehydrator: 'Dehydrator',
  steamer: 'Steamer',
  'pressure-pot': 'Pressure pot',
  blender: 'Blender',
  processor: 'Food processor',
  press: 'Press',
}
type Limit = 'areaDm2' | 'capacityG' | 'powerKw'
/** What limits a batch in each kind. */
const LIMITS: Record<EquipmentKind, readonly Limit[]> = {
  pan: ['areaDm2'],
  pot: ['areaDm2', 'capacityG'],
  tray: ['areaDm2'],
  oven: ['powerKw'],
  hob: ['powerKw'],
  'air-fryer': ['areaDm2', 'powerKw'],
  dehydrator: ['areaDm2', 'powerKw'],
  steamer: ['areaDm2', 'capacityG'],
  'pressure-pot': ['areaDm2', 'capacityG', 'powerKw'],
  blender: ['capacityG', 'powerKw'],
  processor: ['capacityG', 'powerKw'],
  press: ['capacityG'],
}
const NAMES: Record<Limit, readonly [label: string, unit: string]> = {
  areaDm2: ['Base', 'dm²'],
  capacityG: ['Takes up to', 'g'],
  powerKw: ['Draws', 'kW'],
}

export interface EquipmentCardProps {
  equipment: readonly Equipment[]
  /** Returns what is wrong with the change, or null. */
  onChange: (change: Partial<Kitchen>) => string | null
}

/** What the kitchen cooks in: its sizes split a batch, its oven's own warmth sets the dial. */
export function EquipmentCard({ equipment, onChange }: EquipmentCardProps) {
  const [openId, setOpenId] = useState<string | null>(null)
  const [kind, setKind] = useState<EquipmentKind>('pan')
  const change = (id: string, wanted: Partial<Equipment>): string | null =>
    onChange({ equipment: equipment.map((one) => (one.id === id ? { ...one, ...wanted } : one)) })
  const add = () => {
    const id = newId()
    const made: Equipment = {
      id,
      kind,
      label: KINDS[kind],
      count: 1,
      areaDm2: null,
      capacityG: null,
      powerKw: null,
      isFan: kind === 'oven',
      offsetC: 0,
    }
    if (onChange({ equipment: [...equipment, made] }) === null) setOpenId(id)
  }
  return (
    <Card className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-2 p-4">
      <CardTitle title="Equipment" aside="a step that does not fit is split into loads" />
      <ul className="m-0 list-none ps-0">
        {equipment.map((one) => (
          <li key={one.id} className="border-b border-line/70 py-1">
            <div className="flex items-center gap-2">
              <span className="min-w-0 flex-1 truncate">
                {one.label === '' ? KINDS[one.kind] : one.label}
                <span className="text-[13px] text-ink-2"> {summary(one)}</span>
              </span>
              <IconButton
                label={openId === one.id ? `Close ${one.label}` : `Change ${one.label}`}
                aria-expanded={openId === one.id}
                onClick={() => setOpenId(openId === one.id ? null : one.id)}
              >
                <ChevronDown size={16} />
              </IconButton>
              <IconButton
                label={`Take out ${one.label}`}
                onClick={() => onChange({ equipment: equipment.filter(({ id }) => id !== one.id) })}
              >
                <X size={15} />
              </IconButton>
            </div>
            {openId === one.id && <Details one={one} onChange={(wanted) => change(one.id, wanted)} />}
          </li>
        ))}
      </ul>
      <div className="flex items-end gap-2">
        <Field label="Kind" className="flex-1">
          {(props) => (
            <SelectInput
              {...props}
              value={kind}
              onChange={(event) => setKind(EquipmentKind.parse(event.target.value))}
            >
              {EquipmentKind.options.map((id) => (
                <option key={id} value={id}>
                  {KINDS[id]}
                </option>
              ))}
            </SelectInput>
          )}
        </Field>
        <Button onClick={add}>
          <Plus size={15} aria-hidden="true" /> Add
        </Button>
      </div>
    </Card>
  )
}

function summary({ count, areaDm2, capacityG, powerKw, kind, isFan, offsetC }: Equipment): string {
  return [
    count > 1 ? `× ${count}` : '',
    areaDm2 === null ? '' : `${areaDm2} dm²`,
    capacityG === null ? '' : `${capacityG} g`,
    powerKw === null ? '' : `${powerKw} kW`,
    kind === 'oven' ? (isFan ? 'fan' : 'still air') : '',
    offsetC === 0 ? '' : `runs ${offsetC > 0 ? '+' : '−'}${Math.abs(offsetC)} °C`,
  ]
    .filter((word) => word !== '')
    .join(' · ')
}

/** Base of a round pan of so many cm, dm2, to two digits. */
const areaOf = (cm: number): number => Number((Math.PI * (cm / 20) ** 2).toPrecision(2))

function Details({
  one,
  onChange,
}: {
  one: Equipment
  onChange: (change: Partial<Equipment>) => string | null
}) {
  const isRound = one.kind === 'pan' || one.kind === 'pot'
  return (
    <div className="grid grid-cols-2 gap-3 py-2 sm:grid-cols-3">
      <Field label="Name" className="col-span-2">
        {(props) => (
          <TextInput
            {...props}
            value={one.label}
            maxLength={60}
            onChange={(event) => onChange({ label: event.target.value })}
          />
        )}
      </Field>
      <NumberField
        label="How many"
        value={one.count}
        onChange={(count) => onChange({ count: count ?? Number.NaN })}
      />
      {isRound && (
        <NumberField
          label="Across"
          unit="cm"
          value={one.areaDm2 === null ? null : Math.round(20 * Math.sqrt(one.areaDm2 / Math.PI))}
          onChange={(cm) =>
            cm !== null && (cm <= 0 || cm > 150)
              ? 'Enter up to 150 cm.'
              : onChange({ areaDm2: cm === null ? null : areaOf(cm) })
          }
        />
      )}
      {LIMITS[one.kind]
        .filter((field) => !(isRound && field === 'areaDm2'))
        .map((field) => (
          <NumberField
            key={field}
            label={NAMES[field][0]}
            unit={NAMES[field][1]}
            value={one[field]}
            onChange={(value) => onChange({ [field]: value })}
          />
        ))}
      {one.kind === 'oven' && (
        <>
          <Field label="Air">
            {(props) => (
              <SelectInput
                {...props}
                value={one.isFan ? 'fan' : 'still'}
                onChange={(event) => onChange({ isFan: event.target.value === 'fan' })}
              >
                <option value="fan">Fan</option>
                <option value="still">Still</option>
              </SelectInput>
            )}
          </Field>
          <NumberField
            label="Above its dial"
            unit="°C"
            value={one.offsetC}
            hint="What a thermometer inside shows, less the dial."
            onChange={(offsetC) => onChange({ offsetC: offsetC ?? 0 })}
          />
        </>
      )}
    </div>
  )
}
