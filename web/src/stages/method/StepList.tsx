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
import type { Assessment, Finding, Part, PartAssessment, StepReading, StepUse } from '@frijol/core/model'
import { useCallback, useMemo, useState } from 'react'
import { methodCommands, run } from '../../store'
import { dragWords, useDragSensors, useOutOfSight, useSettled } from '../../ui'
import type { Level } from './Ribbon'
import { StepRow } from './StepRow'
import { usesNow } from './Takes'
import { ChipFace, Unused } from './Unused'

const CHIP = 'line:'
/** After this long without a change, ms, steps that are out of sight follow. */
const RESTS_MS = 250
const NO_FINDINGS: readonly Finding[] = []

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

/** What a row shows of what was worked out. */
interface Shown {
  readonly reading: StepReading | null
  readonly before: Level
  readonly mostG: number
  readonly findings: readonly Finding[]
}
const NOTHING_READ: Shown = {
  reading: null,
  before: { massG: 0, waterG: 0 },
  mostG: 1,
  findings: NO_FINDINGS,
}

/** Open findings of a part's steps, by step. */
function findingsBy(findings: readonly Finding[], partId: string): ReadonlyMap<string, readonly Finding[]> {
  const by = new Map<string, Finding[]>()
  for (const finding of findings) {
    if (finding.part !== partId || finding.step === null || finding.settled !== null) continue
    by.set(finding.step, [...(by.get(finding.step) ?? []), finding])
  }
  return by
}

/** What each row shows: its reading, what the part weighed before it, and what is wrong with it. */
function ribbonOf(
  steps: Part['steps'],
  { start, steps: readings }: PartAssessment,
  findings: ReadonlyMap<string, readonly Finding[]>,
): ReadonlyMap<string, Shown> {
  const levels: Level[] = [
    start,
    ...readings.map(({ partMassG, partWaterG }) => ({ massG: partMassG, waterG: partWaterG })),
  ]
  const mostG = Math.max(1, ...levels.map(({ massG }) => massG))
  return new Map(
    steps.map(({ id }, at) => [
      id,
      {
        reading: readings[at] ?? null,
        before: levels[at] ?? start,
        mostG,
        findings: findings.get(id) ?? NO_FINDINGS,
      },
    ]),
  )
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
  const now = useMemo(
    () => ribbonOf(part.steps, reading, findingsBy(assessment.findings, part.id)),
    [part.steps, reading, assessment.findings, part.id],
  )
  // A word in one step can change what all later ones weigh: those out of sight follow once the hand rests.
  const rested = useSettled(now, RESTS_MS)
  const [far, listRef] = useOutOfSight(ids)

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
        <ol ref={listRef} className="m-0 list-none ps-0" aria-label={`Steps of ${part.name}`}>
          {part.steps.map((step, at) => (
            <StepRow
              key={step.id}
              partId={part.id}
              step={step}
              at={at}
              {...((far.has(step.id) ? rested.get(step.id) : null) ?? now.get(step.id) ?? NOTHING_READ)}
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
