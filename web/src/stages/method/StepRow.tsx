import type { Step, StepReading } from '@frijol/core/model'
import { ArrowDown, ArrowUp, X } from 'lucide-react'
import { Chip, IconButton, NumberField, TextArea } from '../../ui'

export interface StepRowProps {
  step: Step
  number: number
  rawMassG: number
  reading: StepReading | null
  isFirst: boolean
  isLast: boolean
  onText: (text: string) => void
  onKeeps: (fraction: number | null) => void
  onMove: (by: -1 | 1) => void
  onRemove: () => void
}

/** One step: its words, what is read from them, and the mass and water after it. */
export function StepRow({
  step,
  number,
  rawMassG,
  reading,
  isFirst,
  isLast,
  onText,
  onKeeps,
  onMove,
  onRemove,
}: StepRowProps) {
  const keeps = (percent: number | null): string | null => {
    if (percent !== null && (percent < 5 || percent > 300)) return 'Enter 5 to 300 %, or clear it.'
    onKeeps(percent === null ? null : percent / 100)
    return null
  }
  const lost = reading?.lost[0]?.massG ?? 0
  return (
    <li className="grid grid-cols-[28px_minmax(0,1fr)_150px_30px] gap-3 border-b border-line/70 px-3.5 py-3 max-sm:grid-cols-[28px_minmax(0,1fr)_30px]">
      <span className="pt-1 font-display text-lg font-[650] text-ink-2">{number}</span>
      <div className="min-w-0">
        <TextArea
          aria-label={`Step ${number}`}
          className="-ml-2.5 field-sizing-content resize-none border-transparent"
          value={step.text}
          maxLength={4000}
          onChange={(event) => onText(event.target.value)}
        />
        <div className="mt-1 flex flex-wrap items-center gap-1.5 text-[13px] text-ink-2">
          {step.operation !== null && <Chip>{step.operation}</Chip>}
          {step.durationMin !== null && <span>{step.durationMin} min</span>}
          {step.tempC !== null && <span>{step.tempC} °C</span>}
          {reading !== null && (
            <MassAfter massG={reading.massG} waterG={reading.waterG} lostG={lost} rawMassG={rawMassG} />
          )}
        </div>
      </div>
      <NumberField
        label="Keeps, % of mass"
        value={step.until?.kind === 'keeps' ? Number((step.until.fraction * 100).toFixed(1)) : null}
        onChange={keeps}
        className="max-sm:col-start-2"
      />
      <div className="flex flex-col max-sm:col-start-3 max-sm:row-start-1">
        <IconButton label={`Move step ${number} up`} disabled={isFirst} onClick={() => onMove(-1)}>
          <ArrowUp size={15} />
        </IconButton>
        <IconButton label={`Move step ${number} down`} disabled={isLast} onClick={() => onMove(1)}>
          <ArrowDown size={15} />
        </IconButton>
        <IconButton label={`Take out step ${number}`} onClick={onRemove}>
          <X size={15} />
        </IconButton>
      </div>
    </li>
  )
}

function MassAfter({
  massG,
  waterG,
  lostG,
  rawMassG,
}: {
  massG: number
  waterG: number
  lostG: number
  rawMassG: number
}) {
  const share = (grams: number): string => `${rawMassG > 0 ? (100 * grams) / rawMassG : 0}%`
  return (
    <span className="flex min-w-40 flex-1 items-center gap-2">
      <span className="flex h-2.5 flex-1 overflow-hidden rounded-full bg-husk" aria-hidden="true">
        <i style={{ width: share(massG - waterG) }} className="bg-turmeric/70" />
        <i style={{ width: share(waterG) }} className="bg-sky/70" />
      </span>
      <span className="shrink-0">
        {Math.round(massG)} g, {Math.round(waterG)} g of it water
        {lostG > 0.5 ? `; −${Math.round(lostG)} g as steam` : ''}
      </span>
    </span>
  )
}
