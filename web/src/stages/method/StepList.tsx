import {
  closestCenter,
  type CollisionDetection,
  DndContext,
  type DragEndEvent,
  type DragOverEvent,
  DragOverlay,
  type DragStartEvent,
  pointerWithin,
} from '@dnd-kit/core'
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable'
import type { Assessment, Part, PartAssessment, StepUse } from '@frijol/core/model'
import { useCallback, useMemo, useState } from 'react'
import { methodCommands, run } from '../../store'
import { dragWords, useDragSensors } from '../../ui'
import type { Level } from './Ribbon'
import { StepRow } from './StepRow'
import { usesNow } from './Takes'
import { ChipFace, Unused } from './Unused'

const CHIP = 'line:'

/** A chip goes where the pointer is; a step goes to the nearest place. */
const collisions: CollisionDetection = (args) =>
  String(args.active.id).startsWith(CHIP) && args.pointerCoordinates !== null
    ? pointerWithin(args)
    : closestCenter(args)

export interface StepListProps {
  part: Part
  reading: PartAssessment
  assessment: Assessment
}

/** The steps of a part beside their ribbon; steps are dragged into order, ingredients onto steps. */
export function StepList({ part, reading, assessment }: StepListProps) {
  const [openId, setOpenId] = useState<string | null>(null)
  const [dragged, setDragged] = useState<{ lineId: string; over: string | null } | null>(null)
  const sensors = useDragSensors()
  const order = part.steps.map(({ id }) => id).join(' ')
  // The same array while the order stays: a key in one step moves no other.
  const ids = useMemo(() => order.split(' ').filter((id) => id !== ''), [order])
  const toggle = useCallback((stepId: string) => setOpenId((open) => (open === stepId ? null : stepId)), [])
  const findings = useMemo(
    () =>
      assessment.findings.filter(
        ({ part: partId, step, settled }) => partId === part.id && step !== null && settled === null,
      ),
    [assessment.findings, part.id],
  )
  const { start } = reading
  const levels: Level[] = [
    start,
    ...reading.steps.map(({ partMassG, partWaterG }) => ({ massG: partMassG, waterG: partWaterG })),
  ]
  const mostG = Math.max(1, ...levels.map(({ massG }) => massG))

  const assign = (lineId: string, stepId: string) => {
    const at = part.steps.findIndex(({ id }) => id === stepId)
    const step = part.steps[at]
    if (step === undefined) return
    const use: StepUse = { kind: 'line', id: lineId, share: null }
    const uses = usesNow(step, reading.steps[at] ?? null).filter(
      ({ kind, id }) => kind !== 'line' || id !== lineId,
    )
    run(methodCommands.setUses(part.id, step, [...uses, use]))
  }
  const begun = ({ active }: DragStartEvent) => {
    const id = String(active.id)
    setDragged(id.startsWith(CHIP) ? { lineId: id.slice(CHIP.length), over: null } : null)
  }
  const moved = ({ over }: DragOverEvent) =>
    setDragged((now) => (now === null ? null : { ...now, over: over === null ? null : String(over.id) }))
  const dropped = ({ active, over }: DragEndEvent) => {
    setDragged(null)
    if (over === null || active.id === over.id) return
    const id = String(active.id)
    if (id.startsWith(CHIP)) assign(id.slice(CHIP.length), String(over.id))
    else run(methodCommands.moveStep(part.id, id, ids.indexOf(String(over.id))))
  }
  const announcements = useMemo(
    () =>
      dragWords((id) => {
        const name = String(id)
        if (name.startsWith(CHIP))
          return (
            reading.lines.find(({ lineId }) => lineId === name.slice(CHIP.length))?.name ?? 'the ingredient'
          )
        return `step ${ids.indexOf(name) + 1}`
      }),
    [reading.lines, ids],
  )
  const chip = reading.unused.find(({ lineId }) => lineId === dragged?.lineId)
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={collisions}
      accessibility={{ announcements }}
      onDragStart={begun}
      onDragOver={moved}
      onDragEnd={dropped}
      onDragCancel={() => setDragged(null)}
    >
      <Unused
        unused={reading.unused}
        stepCount={part.steps.length}
        onAssign={(lineId, at) => {
          const step = part.steps[at]
          if (step !== undefined) assign(lineId, step.id)
        }}
      />
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="m-0 list-none ps-0" aria-label={`Steps of ${part.name}`}>
          {part.steps.map((step, at) => (
            <StepRow
              key={step.id}
              partId={part.id}
              step={step}
              at={at}
              reading={reading.steps[at] ?? null}
              before={levels[at] ?? start}
              mostG={mostG}
              findings={findings.filter((finding) => finding.step === step.id)}
              isOpen={openId === step.id}
              isTarget={dragged?.over === step.id}
              onToggle={toggle}
            />
          ))}
        </ol>
      </SortableContext>
      <DragOverlay dropAnimation={null}>
        {chip === undefined ? null : <ChipFace name={chip.name} massG={chip.massG} />}
      </DragOverlay>
    </DndContext>
  )
}
