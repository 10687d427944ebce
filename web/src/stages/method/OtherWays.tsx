import { swapped, swapsOf } from '@frijol/core/assess'
import type { AttributeId, Part, PartAssessment } from '@frijol/core/model'
import { X } from 'lucide-react'
import { methodCommands, newId, run, useWays, type WayReading } from '../../store'
import { Button, Field, IconButton, SelectInput, Sheet, toast } from '../../ui'
import { grams, spoken, wayName } from './format'

interface Column {
  readonly id: string | null
  readonly name: string
  readonly reading: PartAssessment
}
interface Row {
  readonly name: string
  readonly of: (reading: PartAssessment) => string
}

const ROWS: readonly Row[] = [
  { name: 'Hands', of: ({ time }) => spoken(time.handsMin) },
  { name: 'In all', of: ({ time }) => spoken(time.totalMin) },
  { name: 'Energy', of: ({ time }) => `${time.energyKWh.toFixed(1)} kWh` },
  { name: 'Cooked', of: ({ cookedMassG }) => grams(cookedMassG) },
  { name: 'Water left', of: ({ water }) => grams(Math.max(0, water.totalG - water.cookedOffG)) },
]

const attribute = (id: AttributeId): Row => ({
  name: id.charAt(0).toUpperCase() + id.slice(1).replaceAll('-', ' '),
  of: ({ attributes }) => {
    const found = attributes.find((one) => one.id === id)
    return found === undefined ? '–' : `${found.value.toFixed(1)} ±${found.sd.toFixed(1)}`
  },
})

export interface OtherWaysProps {
  part: Part
  reading: PartAssessment
  isOpen: boolean
  onClose: () => void
}

/** Ways of making a part side by side: time, energy, mass and texture; any of them can be worked. */
export function OtherWays({ part, reading, isOpen, onClose }: OtherWaysProps) {
  return (
    <Sheet
      title="Other ways"
      description="The same formula by other means. A step that dries is taken to the same mass; others to their usual time."
      isOpen={isOpen}
      onClose={onClose}
      width="wide"
    >
      <Ways part={part} reading={reading} />
    </Sheet>
  )
}

function Ways({ part, reading }: Pick<OtherWaysProps, 'part' | 'reading'>) {
  const ways = useWays(part)
  const swaps = swapsOf(part)
  const columns: Column[] = [{ id: null, name: `Now: ${wayName(part)}`, reading }, ...ways]
  const rows = [
    ...ROWS,
    ...reading.attributes.map(({ id }) => attribute(id)),
    ...(reading.distance === null
      ? []
      : [
          {
            name: 'Distance to the original',
            of: ({ distance }: PartAssessment) => distance?.toFixed(2) ?? '–',
          },
        ]),
  ]
  const differs = ({ of }: Row): boolean => columns.some((column) => of(column.reading) !== of(reading))
  const alike = rows.filter((row) => !differs(row))
  const add = (index: number) => {
    const swap = swaps[index]
    if (swap === undefined) return
    const steps = swapped(part, reading, swap, newId)
    run(methodCommands.addWay(part.id, swap.label, steps))
  }
  return (
    <div className="grid gap-3">
      <Field label="Try another way">
        {(props) => (
          <SelectInput {...props} value="" onChange={(event) => add(Number(event.target.value))}>
            <option value="">
              {swaps.length === 0 ? 'No step here has another way' : 'Choose what to do otherwise …'}
            </option>
            {swaps.map(({ label }, at) => (
              <option key={label} value={at}>
                {label}
              </option>
            ))}
          </SelectInput>
        )}
      </Field>
      {ways.length > 0 && (
        <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Ways side by side">
          <table className="w-full border-collapse text-sm">
            <thead>
              <tr className="border-b border-line text-left align-bottom">
                <td />
                {columns.map((column) => (
                  <th key={column.id ?? 'now'} scope="col" className="px-2 py-1.5 font-semibold">
                    {column.name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows.filter(differs).map(({ name, of }) => (
                <tr key={name} className="border-b border-line/60">
                  <th scope="row" className="py-1 pr-2 text-left font-normal text-ink-2">
                    {name}
                  </th>
                  {columns.map((column) => (
                    <td key={column.id ?? 'now'} className="px-2 py-1">
                      {of(column.reading)}
                    </td>
                  ))}
                </tr>
              ))}
              <tr>
                <td />
                <td />
                {ways.map((way) => (
                  <td key={way.id} className="px-2 py-2">
                    <WayActions part={part} way={way} />
                  </td>
                ))}
              </tr>
            </tbody>
          </table>
          {alike.length > 0 && (
            <p className="m-0 mt-2 text-[13px] text-ink-2">
              The same in each:{' '}
              {alike.map(({ name, of }) => `${name.toLowerCase()} ${of(reading)}`).join(', ')}.
            </p>
          )}
        </div>
      )}
    </div>
  )
}

function WayActions({ part, way }: { part: Part; way: WayReading }) {
  return (
    <span className="flex items-center gap-1">
      <Button
        onClick={() => {
          run(methodCommands.takeWay(part.id, way.id, wayName(part)))
          toast('The present method is kept beside it.')
        }}
      >
        Work this way
      </Button>
      <IconButton
        label={`Take out ${way.name}`}
        onClick={() => run(methodCommands.removeWay(part.id, way.id))}
      >
        <X size={15} />
      </IconButton>
    </span>
  )
}
