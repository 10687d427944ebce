import { useDraggable } from '@dnd-kit/core'
import type { PartAssessment } from '@frijol/core/model'
import { clsx } from 'clsx'
import { grams } from './format'

type Left = PartAssessment['unused'][number]

export const ChipFace = ({ name, massG }: Pick<Left, 'name' | 'massG'>) => (
  <span className="inline-flex cursor-grab items-center gap-1.5 rounded-full border border-turmeric bg-turmeric-soft px-2.5 py-0.5 text-sm whitespace-nowrap">
    {name.replace(/,.*$/, '')} <span className="text-ink-2">{grams(massG)}</span>
  </span>
)

function DragChip({ lineId, name, massG }: Left) {
  const { setNodeRef, listeners, attributes, isDragging } = useDraggable({ id: `line:${lineId}` })
  return (
    <span
      ref={setNodeRef}
      {...listeners}
      {...attributes}
      aria-label={`${name}: drag onto a step`}
      className={clsx('touch-none', isDragging && 'opacity-40')}
    >
      <ChipFace name={name} massG={massG} />
    </span>
  )
}

export interface UnusedProps {
  unused: PartAssessment['unused']
  stepCount: number
  /** Gives a line to the step at an index. */
  onAssign: (lineId: string, at: number) => void
}

/** What no step takes yet: dragged onto a step, or given to one by number. */
export function Unused({ unused, stepCount, onAssign }: UnusedProps) {
  if (unused.length === 0) return null
  return (
    <div className="flex flex-wrap items-center gap-2 border-b border-line bg-turmeric-soft/40 px-3.5 py-2 text-sm">
      <span className="text-ink-2">In no step yet:</span>
      {unused.map((left) => (
        <span key={left.lineId} className="inline-flex items-center gap-1">
          <DragChip {...left} />
          <select
            aria-label={`Give ${left.name} to a step`}
            className="min-h-7 rounded-lg border border-line bg-paper px-1 text-[13px]"
            value=""
            onChange={(event) => onAssign(left.lineId, Number(event.target.value))}
          >
            <option value="">to …</option>
            {Array.from({ length: stepCount }, (_unused, at) => (
              <option key={at} value={at}>
                step {at + 1}
              </option>
            ))}
          </select>
        </span>
      ))}
    </div>
  )
}
