import { useSortable } from '@dnd-kit/sortable'
import { type Attendance, attendanceOf } from '@frijol/core/assess'
import type { Finding, Step, StepReading } from '@frijol/core/model'
import { guidanceOf, specOf } from '@frijol/core/program'
import { rereadStep } from '@frijol/core/reading'
import { findingKey } from '@frijol/core/rules'
import { clsx } from 'clsx'
import { memo } from 'react'
import { FindingRow } from '../../findings'
import { askWhy, kitchenWords, methodCommands, run, undo } from '../../store'
import {
  Chip,
  type ChipTone,
  IconButton,
  LoneField,
  neighbourFocus,
  RowMark,
  sameProps,
  TextArea,
  toast,
} from '../../ui'
import { factsOf, grams, spoken } from './format'
import { type Level, Ribbon } from './Ribbon'
import { StepEditor } from './StepEditor'

/** Columns of a step: its number, words, figures, and its piece of the ribbon. */
export const STEP_GRID =
  'grid grid-cols-[34px_minmax(0,1fr)_92px_minmax(230px,36%)] gap-x-3 max-lg:grid-cols-[34px_minmax(0,1fr)_84px]'

const TONES: Record<Attendance, ChipTone> = { hands: 'aubergine', near: 'turmeric', alone: 'husk' }

export interface StepRowProps {
  partId: string
  step: Step
  at: number
  reading: StepReading | null
  before: Level
  mostG: number
  findings: readonly Finding[]
  isOpen: boolean
  /** An ingredient is being dragged over it. */
  isTarget: boolean
  onToggle: (stepId: string) => void
}

/** One step: its words, what is read from them, what it takes, and what the batch weighs after it. */
export const StepRow = memo(function StepRow({
  partId,
  step,
  at,
  reading,
  before,
  mostG,
  findings,
  isOpen,
  isTarget,
  onToggle,
}: StepRowProps) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: step.id,
  })
  const number = at + 1
  const worst = findings.some(({ severity }) => severity === 'stop')
    ? 'stop'
    : findings.length > 0
      ? 'caution'
      : 'none'
  return (
    <li
      ref={setNodeRef}
      data-far={step.id}
      style={{
        transform: transform === null ? undefined : `translateY(${transform.y}px)`,
        transition,
      }}
      className={clsx(
        STEP_GRID,
        'far-row group bg-paper px-2 focus-within:bg-oat/60',
        isTarget && 'bg-aubergine-soft/60',
        isDragging && 'relative z-10 shadow-lg',
      )}
    >
      <div className="row-span-2 flex flex-col items-center gap-0.5 border-b border-line/70 py-2.5">
        <span
          className={clsx(
            'grid size-[26px] place-items-center rounded-[9px] text-[13px] font-[650]',
            worst === 'stop' && 'bg-adzuki text-paper',
            worst === 'caution' && 'bg-turmeric text-ink',
            worst === 'none' && 'bg-husk',
          )}
        >
          {number}
        </span>
        <button
          type="button"
          className="grid h-7 w-6 cursor-grab touch-manipulation place-items-center rounded hover:bg-husk"
          {...attributes}
          {...listeners}
          aria-label={`Move step ${number}`}
        >
          <RowMark of="grip" />
        </button>
      </div>
      <div className="min-w-0 py-1.5">
        <Heading step={step} reading={reading} />
        <LoneField>
          <TextArea
            aria-label={`Step ${number}`}
            className="-mx-[11px] block field-sizing-content !min-h-0 !w-[calc(100%+22px)] resize-none border-transparent bg-transparent !py-0.5"
            rows={1}
            value={step.text}
            maxLength={4000}
            onChange={(event) =>
              run(
                methodCommands.replaceStep(
                  partId,
                  rereadStep(step, event.target.value.slice(0, 4000), kitchenWords()),
                  'change a step',
                  `words ${step.id}`,
                ),
              )
            }
          />
        </LoneField>
        <TakenWords reading={reading} />
        <Cue step={step} />
      </div>
      <Figures
        partId={partId}
        step={step}
        number={number}
        reading={reading}
        isOpen={isOpen}
        onToggle={() => onToggle(step.id)}
        onRemove={() => {
          if (!run(methodCommands.removeStep(partId, step.id))) return
          toast(`Step ${number} is taken out.`, { action: { label: 'Undo', onClick: () => void undo() } })
        }}
      />
      <div className="col-span-2 col-start-2 min-w-0 border-b border-line/70 pb-1.5">
        {findings.length > 0 && (
          <ul className="m-0 list-none ps-0">
            {findings.map((finding) => (
              <FindingRow key={findingKey(finding)} finding={finding} />
            ))}
          </ul>
        )}
        {isOpen && <StepEditor partId={partId} step={step} number={number} reading={reading} />}
      </div>
      {reading !== null && (
        <div className="max-lg:col-span-2 max-lg:col-start-2 max-lg:h-11 lg:col-start-4 lg:row-span-2 lg:row-start-1">
          <Ribbon before={before} reading={reading} mostG={mostG} />
        </div>
      )}
    </li>
  )
}, sameProps)

function Heading({ step, reading }: { step: Step; reading: StepReading | null }) {
  const facts = factsOf(step, reading)
  return (
    <p className="m-0 text-[13px] leading-5 text-ink-2">
      <b className="mr-1.5 font-display text-[15px] text-ink">
        {step.operation === null ? 'Not read as an operation' : specOf(step.operation).name}
      </b>
      {facts.join(' · ')}
    </p>
  )
}

function TakenWords({ reading }: { reading: StepReading | null }) {
  const takes = reading?.takes ?? []
  if (takes.length === 0) return <p className="m-0 text-[13px] text-ink-2">takes nothing yet</p>
  return (
    <p className="m-0 text-[13px] leading-[1.35] text-ink-2">
      {takes.map(({ kind, id, name, massG }, at) => (
        <span key={`${kind} ${id}`}>
          {at > 0 && ', '}
          {kind === 'step' ? (
            `${name}’s`
          ) : (
            <span className="font-semibold text-ink">{name.replace(/,.*$/, '')}</span>
          )}{' '}
          {grams(massG)}
        </span>
      ))}
    </p>
  )
}

function Cue({ step }: { step: Step }) {
  const cue = step.cue ?? (step.operation === null ? null : guidanceOf(step.operation).cue)
  return cue === null || cue === '' ? null : (
    <p className="m-0 text-[13px] leading-[1.35] text-mung-deep">{cue}</p>
  )
}

interface FiguresProps {
  partId: string
  step: Step
  number: number
  reading: StepReading | null
  isOpen: boolean
  onToggle: () => void
  onRemove: () => void
}

/** Time, mass and attendance of a step, and its own buttons. */
function Figures({ partId, step, number, reading, isOpen, onToggle, onRemove }: FiguresProps) {
  const attendance = reading === null ? null : attendanceOf(reading)
  return (
    <div className="flex flex-col items-end py-1.5 text-right text-[13px]">
      {reading !== null && (
        <>
          <b className="font-display text-[15px]">{spoken(reading.minutes)}</b>
          {reading.takes.length === 0 ? (
            <span className="text-ink-2">–</span>
          ) : (
            <button
              type="button"
              data-why
              aria-label={`${grams(reading.massG)} after step ${number}. Why?`}
              className="rounded px-1 whitespace-nowrap text-ink-2 hover:bg-husk hover:text-ink"
              onClick={() => askWhy({ kind: 'step', partId, stepId: step.id })}
            >
              {grams(reading.massG)}
              {step.weighedG !== null && ' weighed'}
            </button>
          )}
          {attendance !== null && (
            <Chip tone={TONES[attendance]} className="mt-1 px-2 py-0 text-xs">
              {attendance}
            </Chip>
          )}
        </>
      )}
      <span className="mt-auto flex">
        <IconButton
          label={isOpen ? `Close step ${number}` : `Details of step ${number}`}
          aria-expanded={isOpen}
          onClick={onToggle}
        >
          <RowMark of="fold" className={clsx(isOpen && 'rotate-180')} />
        </IconButton>
        <IconButton
          label={`Take out step ${number}`}
          data-act="remove"
          onClick={(event) => {
            const focus = neighbourFocus(event.currentTarget)
            onRemove()
            focus()
          }}
        >
          <RowMark of="remove" />
        </IconButton>
      </span>
    </div>
  )
}
