import { useSortable } from '@dnd-kit/sortable'
import type { Finding, FormulaLine, LineReading } from '@frijol/core/model'
import { formatGrams, formatSpread } from '@frijol/core/measure'
import { clsx } from 'clsx'
import { ArrowLeftRight, GripVertical, X } from 'lucide-react'
import { memo } from 'react'
import { classColour } from '../../charts'
import { askWhy, commands, run, undo, useLibrary, withGrams } from '../../store'
import { DragNumber, IconButton, neighbourFocus, sameProps, toast } from '../../ui'
import { AmountCell } from './AmountCell'
import { FoodCell } from './FoodCell'
import { askSwap } from './swap/open'

export interface LineRowProps {
  partId: string
  line: FormulaLine
  reading: LineReading
  /** Share of the part, measured by the largest line's. */
  shareOfMost: number
  finding: Finding | null
}

export const LineRow = memo(function LineRow({ partId, line, reading, shareOfMost, finding }: LineRowProps) {
  const library = useLibrary()
  const sortable = useSortable({ id: line.id })
  const food = reading.foodId === null ? undefined : library.ingredients.get(reading.foodId)
  const colour = classColour(food?.foodClass ?? null)
  const { massG, sdG } = reading
  const mass = massG === null ? null : { value: massG, sd: sdG ?? 0 }
  return (
    <li
      ref={sortable.setNodeRef}
      style={{
        transform: sortable.transform === null ? undefined : `translateY(${sortable.transform.y}px)`,
        transition: sortable.transition,
      }}
      className={clsx(
        'far-row grid min-h-[41px] [contain-intrinsic-size:auto_41px] grid-cols-[24px_112px_92px_minmax(0,1fr)_84px_28px_28px] items-center gap-1 border-b border-line/60 bg-paper px-2 focus-within:bg-oat max-sm:grid-cols-[24px_minmax(0,1fr)_84px_28px] max-sm:py-1',
        sortable.isDragging && 'relative z-10 shadow-lg',
      )}
    >
      <button
        type="button"
        className="grid h-8 w-6 cursor-grab max-sm:row-span-2 touch-manipulation place-items-center rounded text-edge hover:text-ink-2"
        {...sortable.attributes}
        {...sortable.listeners}
        aria-label={`Move ${reading.name}`}
      >
        <GripVertical size={14} aria-hidden="true" />
      </button>
      <AmountCell partId={partId} line={line} />
      {mass === null ? (
        <span className="pr-2 text-right text-ink-2 max-sm:col-start-3 max-sm:row-start-2">–</span>
      ) : (
        <DragNumber
          label={`Grams of ${reading.name}`}
          value={mass.value}
          shown={formatGrams(mass)}
          spread={formatSpread(mass)}
          unit="g"
          className={clsx(
            'py-1 max-sm:col-start-3 max-sm:row-start-2',
            finding !== null && 'text-adzuki-deep',
          )}
          onChange={(next) => run(commands.rewriteLine(partId, withGrams(line, next), `grams ${line.id}`))}
          onWhy={() => askWhy({ kind: 'line', partId, lineId: line.id })}
        />
      )}
      <FoodCell partId={partId} line={line} name={reading.name} colour={colour} finding={finding} />
      <span
        className="relative h-2 overflow-hidden rounded-md bg-husk max-sm:hidden"
        title={`${((reading.share ?? 0) * 100).toFixed(1)} %`}
      >
        <i
          className="block h-full rounded-md"
          style={{ width: `${shareOfMost * 100}%`, background: colour }}
        />
      </span>
      {food === undefined || mass === null ? (
        <span className="max-sm:hidden" />
      ) : (
        <IconButton
          label={`Swap ${reading.name}`}
          className="max-sm:col-start-4 max-sm:row-start-1"
          aria-haspopup="dialog"
          onClick={() => askSwap(line.id)}
        >
          <ArrowLeftRight size={14} />
        </IconButton>
      )}
      <IconButton
        label={`Take out ${reading.name}`}
        className="max-sm:col-start-4 max-sm:row-start-2"
        data-act="remove"
        onClick={(event) => {
          const focus = neighbourFocus(event.currentTarget)
          if (!run(commands.removeLine(partId, line.id))) return
          toast(`${reading.name} is taken out.`, { action: { label: 'Undo', onClick: () => void undo() } })
          focus()
        }}
      >
        <X size={15} />
      </IconButton>
    </li>
  )
}, sameProps)
