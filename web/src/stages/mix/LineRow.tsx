import { useSortable } from '@dnd-kit/sortable'
import type { Finding, FormulaLine, LineReading } from '@frijol/core/model'
import { formatGrams, formatSpread } from '@frijol/core/measure'
import { clsx } from 'clsx'
import { createContext, memo, useContext } from 'react'
import { classColour } from '../../charts'
import { askWhy, commands, partOf, run, undo, useAssessed, useLibrary, withGrams } from '../../store'
import { DragNumber, IconButton, neighbourFocus, RowMark, sameProps, toast } from '../../ui'
import { AmountCell } from './AmountCell'
import { FoodCell } from './FoodCell'
import { askSwap } from './swap/open'

/** Grams of the largest line, for the bars of all. */
export const MostG = createContext(1)

export interface LineRowProps extends Pick<LineReading, 'name' | 'foodId' | 'massG' | 'sdG'> {
  partId: string
  line: FormulaLine
  finding: Finding | null
}

/** Share of the part as it is now, said when it is pointed at: told as a prop, every key would draw every row anew. */
function sayShare(element: HTMLElement, partId: string, lineId: string): void {
  const { assessment } = useAssessed.getState()
  const part = assessment === null ? null : partOf(assessment, partId)
  const share = part?.lines.find((line) => line.lineId === lineId)?.share ?? 0
  element.title = `${(share * 100).toFixed(1)} %`
}

interface ShareBarProps {
  partId: string
  lineId: string
  massG: number
  colour: string
}

/** The line's mass beside the largest line's. */
function ShareBar({ partId, lineId, massG, colour }: ShareBarProps) {
  const mostG = useContext(MostG)
  return (
    <span
      data-share
      className="h-2 rounded-md max-sm:hidden"
      style={{
        // One box and no clip: forty of them are drawn anew where the largest line changes.
        background: `linear-gradient(to right, ${colour} ${Math.min(100, (100 * massG) / mostG)}%, var(--color-husk) 0)`,
      }}
      onPointerEnter={(event) => sayShare(event.currentTarget, partId, lineId)}
    />
  )
}

/** A line as measured, in grams, its food and its share. */
export const LineRow = memo(function LineRow({
  partId,
  line,
  name,
  foodId,
  massG,
  sdG,
  finding,
}: LineRowProps) {
  const library = useLibrary()
  const { setNodeRef, transform, transition, isDragging, attributes, listeners } = useSortable({
    id: line.id,
  })
  const food = foodId === null ? undefined : library.ingredients.get(foodId)
  const colour = classColour(food?.foodClass ?? null)
  const mass = massG === null ? null : { value: massG, sd: sdG ?? 0 }
  return (
    <li
      ref={setNodeRef}
      style={{
        transform: transform === null ? undefined : `translateY(${transform.y}px)`,
        transition,
      }}
      className={clsx(
        'far-row grid min-h-[41px] [contain-intrinsic-size:auto_41px] grid-cols-[24px_112px_92px_minmax(0,1fr)_84px_28px_28px] items-center gap-1 border-b border-line/60 bg-paper px-2 focus-within:bg-oat max-sm:grid-cols-[24px_minmax(0,1fr)_84px_28px] max-sm:py-1',
        isDragging && 'relative z-10 shadow-lg',
      )}
    >
      <button
        type="button"
        className="grid h-8 w-6 cursor-grab max-sm:row-span-2 touch-manipulation place-items-center rounded hover:bg-husk"
        {...attributes}
        {...listeners}
        aria-label={`Move ${name}`}
      >
        <RowMark of="grip" />
      </button>
      <AmountCell partId={partId} line={line} />
      {mass === null ? (
        <span className="pr-2 text-right text-ink-2 max-sm:col-start-3 max-sm:row-start-2">–</span>
      ) : (
        <DragNumber
          label={`Grams of ${name}`}
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
      <FoodCell partId={partId} line={line} name={name} colour={colour} finding={finding} />
      <ShareBar partId={partId} lineId={line.id} massG={massG ?? 0} colour={colour} />
      {food === undefined || mass === null ? (
        <span className="max-sm:hidden" />
      ) : (
        <IconButton
          label={`Swap ${name}`}
          className="max-sm:col-start-4 max-sm:row-start-1"
          aria-haspopup="dialog"
          onClick={() => askSwap(line.id)}
        >
          <RowMark of="swap" />
        </IconButton>
      )}
      <IconButton
        label={`Take out ${name}`}
        className="max-sm:col-start-4 max-sm:row-start-2"
        data-act="remove"
        onClick={(event) => {
          const focus = neighbourFocus(event.currentTarget)
          if (!run(commands.removeLine(partId, line.id))) return
          toast(`${name} is taken out.`, { action: { label: 'Undo', onClick: () => void undo() } })
          focus()
        }}
      >
        <RowMark of="remove" />
      </IconButton>
    </li>
  )
}, sameProps)
