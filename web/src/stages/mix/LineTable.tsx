import { closestCenter, DndContext, type DragEndEvent } from '@dnd-kit/core'
import { restrictToVerticalAxis } from '@dnd-kit/modifiers'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import type { Finding, LineReading, Part } from '@frijol/core/model'
import { useCallback, useMemo } from 'react'
import { isOfMethod } from '@frijol/core/rules'
import { commands, partOf, run, useAssessed } from '../../store'
import { dragWords, useDragSensors, useSettled } from '../../ui'
import { LineRow, MostG } from './LineRow'

const MODIFIERS = [restrictToVerticalAxis]
/** After this long without a change, ms, the bars are drawn beside the largest line's as it is now. */
const RESTS_MS = 250

/** Asked when a line is dragged: told as a prop, every key would set the whole list up anew. */
function nameOfLine(partId: string, id: string): string {
  const { assessment } = useAssessed.getState()
  const part = assessment === null ? null : partOf(assessment, partId)
  return part?.lines.find(({ lineId }) => lineId === id)?.name ?? 'the line'
}

export interface LineTableProps {
  part: Part
  readings: readonly LineReading[]
  findings: readonly Finding[]
}

/** The formula of a part, one row a line, in an order that is changed by dragging or with the keyboard. */
export function LineTable({ part, readings, findings }: LineTableProps) {
  const sensors = useDragSensors()
  const byLine = useMemo(() => {
    const open = findings.filter(
      // What the method does wrong with a food is no fault of its amount: it is shown on the step.
      (finding) =>
        finding.settled === null &&
        finding.line !== null &&
        finding.severity !== 'info' &&
        !isOfMethod(finding),
    )
    return new Map(open.map((finding) => [finding.line, finding]))
  }, [findings])
  // Once the hand rests: with every digit of an amount the bars of all lines would jump, and be painted.
  const mostG = useSettled(Math.max(0.01, ...readings.map(({ massG }) => massG ?? 0)), RESTS_MS)
  const order = part.lines.map(({ id }) => id).join(' ')
  const ids = useMemo(() => order.split(' ').filter((id) => id !== ''), [order])
  const dropped = useCallback(
    ({ active, over }: DragEndEvent) => {
      if (over === null || active.id === over.id) return
      run(commands.moveLine(part.id, String(active.id), ids.indexOf(String(over.id))))
    },
    [part.id, ids],
  )
  const announcements = useMemo(() => dragWords((id) => nameOfLine(part.id, String(id))), [part.id])
  return (
    <>
      {part.lines.length > 0 && (
        <div
          aria-hidden="true"
          className="grid h-[30px] grid-cols-[24px_112px_92px_minmax(0,1fr)_84px_28px_28px] items-center gap-1 border-b border-line px-2 text-[12.5px] text-ink-2 max-sm:hidden"
        >
          <span />
          <span className="pl-1.5">As measured</span>
          <span className="pr-2 text-right">Grams</span>
          <span>Ingredient</span>
          <span>Share</span>
          <span />
        </div>
      )}
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        modifiers={MODIFIERS}
        accessibility={{ announcements }}
        onDragEnd={dropped}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <MostG value={mostG}>
            <ul className="m-0 list-none ps-0" aria-label={`Lines of ${part.name}`}>
              {part.lines.map((line, at) => {
                const reading = readings[at]
                return reading === undefined ? null : (
                  <LineRow
                    key={line.id}
                    partId={part.id}
                    line={line}
                    name={reading.name}
                    foodId={reading.foodId}
                    massG={reading.massG}
                    sdG={reading.sdG}
                    finding={byLine.get(line.id) ?? null}
                  />
                )
              })}
            </ul>
          </MostG>
        </SortableContext>
      </DndContext>
    </>
  )
}
