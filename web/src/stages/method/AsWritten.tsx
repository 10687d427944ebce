import {
  type LeftLine,
  methodReading,
  type ReadDoing,
  type ReadWritten,
  WELL_READ_SHARE,
} from '@frijol/core/assess'
import type { Assessment, Dish, StepReading } from '@frijol/core/model'
import { specOf } from '@frijol/core/program'
import { clsx } from 'clsx'
import { ChevronDown, X } from 'lucide-react'
import { useMemo, useState } from 'react'
import { methodCommands, partOf, run } from '../../store'
import { Button, Card, IconButton, SelectInput } from '../../ui'
import { factsOf, grams, spoken } from './format'
import { StepEditor } from './StepEditor'
import { usesNow } from './Takes'

const readingOf = (assessment: Assessment, { partId, step }: ReadDoing): StepReading | null =>
  partOf(assessment, partId)?.steps.find(({ stepId }) => stepId === step.id) ?? null

export interface AsWrittenProps {
  dish: Dish
  assessment: Assessment
  onDone: () => void
}

/** The method as it was written, beside the doings that were read from it: what is wrong is mended here. */
export function AsWritten({ dish, assessment, onDone }: AsWrittenProps) {
  const reading = useMemo(() => methodReading(dish, assessment), [dish, assessment])
  const [openId, setOpenId] = useState<string | null>(null)
  const percent = Math.floor(reading.takenShare * 100)
  const isWell = reading.takenShare >= WELL_READ_SHARE
  return (
    <Card className="overflow-hidden" aria-label="The method as written">
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line/70 px-4 py-3">
        <p className="m-0 min-w-0 flex-1 text-[15px]">
          <b className="font-display">
            {reading.doingCount} {reading.doingCount === 1 ? 'doing' : 'doings'}
          </b>{' '}
          read from {reading.written.length} written {reading.written.length === 1 ? 'step' : 'steps'}.{' '}
          {reading.doingCount === 1 ? 'It takes' : 'They take'}{' '}
          <b className={clsx('font-display', isWell ? 'text-mung-deep' : 'text-adzuki')}>{percent} %</b> of
          what is listed{isWell ? '.' : ': the method is partly read.'}
        </p>
        <Button tone="primary" onClick={onDone}>
          It is read right
        </Button>
      </header>
      <Question left={reading.left} dish={dish} assessment={assessment} />
      <ol className="m-0 list-none ps-0" aria-label="Written steps">
        {reading.written.map((written) => (
          <WrittenStep
            key={written.number}
            written={written}
            dish={dish}
            assessment={assessment}
            openId={openId}
            onOpen={(id) => setOpenId((now) => (now === id ? null : id))}
          />
        ))}
      </ol>
    </Card>
  )
}

/** The one question that settles most: which doing takes the heaviest food that none takes. */
function Question({
  left,
  dish,
  assessment,
}: {
  left: readonly LeftLine[]
  dish: Dish
  assessment: Assessment
}) {
  const [first] = left
  if (first === undefined) return null
  const doings = dish.parts.flatMap(({ id: partId, steps }) => steps.map((step) => ({ partId, step })))
  const assign = (stepId: string) => {
    const doing = doings.find(({ step }) => step.id === stepId)
    if (doing === undefined) return
    const uses = usesNow(doing.step, readingOf(assessment, doing))
    run(
      methodCommands.setUses(doing.partId, doing.step, [
        ...uses,
        { kind: 'line', id: first.lineId, share: null },
      ]),
    )
  }
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-line/70 bg-turmeric-soft/60 px-4 py-2.5 text-sm">
      <label htmlFor="which-doing" className="font-semibold">
        Which doing takes the {first.name.replace(/,.*$/, '').toLowerCase()} ({grams(first.massG)})?
      </label>
      <SelectInput
        id="which-doing"
        className="!w-auto max-w-full"
        value=""
        onChange={(event) => assign(event.target.value)}
      >
        <option value="">Choose a doing …</option>
        {doings.map(({ step }) => (
          <option key={step.id} value={step.id}>
            {step.text.slice(0, 70)}
          </option>
        ))}
      </SelectInput>
      {left.length > 1 && (
        <span className="text-ink-2">
          Also in no doing:{' '}
          {left
            .slice(1, 6)
            .map(({ name, massG }) => `${name.replace(/,.*$/, '').toLowerCase()} ${grams(massG)}`)
            .join(', ')}
          {left.length > 6 ? ` and ${left.length - 6} more` : ''}.
        </span>
      )}
    </div>
  )
}

interface WrittenStepProps {
  written: ReadWritten
  dish: Dish
  assessment: Assessment
  openId: string | null
  onOpen: (stepId: string) => void
}

function WrittenStep({ written, dish, assessment, openId, onOpen }: WrittenStepProps) {
  const { number, heading, pieces, doings } = written
  return (
    <li className="grid gap-x-6 gap-y-2 border-b border-line/70 px-4 py-3 lg:grid-cols-[minmax(0,5fr)_minmax(0,7fr)]">
      <div className="min-w-0">
        {heading !== null && <h3 className="m-0 mb-1 font-display text-[15px] text-aubergine">{heading}</h3>}
        <p className="m-0 text-[15px] leading-relaxed">
          <b className="mr-2 text-ink-2">{number}</b>
          {pieces.map(({ text, doing, isQuiet }, at) => (
            <span
              key={at}
              className={clsx(
                isQuiet && 'text-ink-2',
                doing !== null && doings[doing]?.step.id === openId && 'rounded bg-aubergine-soft',
              )}
            >
              {text}
            </span>
          ))}
        </p>
      </div>
      {doings.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">Nothing is done here.</p>
      ) : (
        <ul
          className="m-0 grid list-none content-start gap-1 ps-0"
          aria-label={`Doings of written step ${number}`}
        >
          {doings.map((doing) => (
            <DoingRow
              key={doing.step.id}
              doing={doing}
              dish={dish}
              reading={readingOf(assessment, doing)}
              isOpen={openId === doing.step.id}
              onOpen={() => onOpen(doing.step.id)}
            />
          ))}
        </ul>
      )}
    </li>
  )
}

/** What an earlier doing is called. */
function madeBy(dish: Dish, stepId: string): string {
  const found = dish.parts.flatMap(({ steps }) => steps).find(({ id }) => id === stepId)
  return found?.operation == null ? 'a doing before' : specOf(found.operation).name
}

interface DoingRowProps {
  doing: ReadDoing
  dish: Dish
  reading: StepReading | null
  isOpen: boolean
  onOpen: () => void
}

/** One doing: what is done, with what, for how long; opened, everything of it can be mended. */
function DoingRow({ doing: { partId, step }, dish, reading, isOpen, onOpen }: DoingRowProps) {
  const part = dish.parts.find(({ id }) => id === partId)
  const name = step.operation === null ? 'Not read' : specOf(step.operation).name
  const takes = reading?.takes ?? []
  return (
    <li className={clsx('rounded-[9px] px-2 py-1', isOpen ? 'bg-oat' : 'hover:bg-oat/60')}>
      <div className="grid grid-cols-[112px_minmax(0,1fr)_64px_auto] items-baseline gap-x-2 text-sm max-sm:grid-cols-[minmax(0,1fr)_56px_auto]">
        <b
          className={clsx(
            'font-display text-[15px] max-sm:col-span-3',
            step.operation === null && 'text-adzuki',
          )}
        >
          {name}
          {step.byHand.length > 0 || step.uses !== null ? (
            <span className="font-normal text-ink-2"> ✎</span>
          ) : null}
        </b>
        <span className="min-w-0">
          {takes.length === 0 ? (
            <span className="text-adzuki">takes nothing</span>
          ) : (
            takes.map(({ kind, id, name: of, share }, at) => (
              <span key={`${kind} ${id}`}>
                {at > 0 && ', '}
                <span className={kind === 'line' ? 'font-semibold' : 'text-ink-2'}>
                  {kind === 'step' ? `from ${madeBy(dish, id)}` : of.replace(/,.*$/, '')}
                </span>
                {share !== null && share < 0.995 && (
                  <span className="text-ink-2"> {Math.round(share * 100)} %</span>
                )}
              </span>
            ))
          )}
          <span className="text-ink-2">
            {factsOf(step, null)
              .map((fact) => ` · ${fact}`)
              .join('')}
          </span>
        </span>
        <span className="text-right whitespace-nowrap text-ink-2">
          {step.durationMin === null ? '' : spoken(step.durationMin)}
        </span>
        <span className="flex self-center">
          <IconButton
            label={isOpen ? `Close ${name}` : `Mend ${name}`}
            aria-expanded={isOpen}
            onClick={onOpen}
          >
            <ChevronDown size={16} className={clsx('transition-transform', isOpen && 'rotate-180')} />
          </IconButton>
          <IconButton
            label={`${name} is no doing`}
            onClick={() => run(methodCommands.removeStep(partId, step.id))}
          >
            <X size={15} />
          </IconButton>
        </span>
      </div>
      {isOpen && part !== undefined && (
        <StepEditor
          partId={partId}
          step={step}
          number={part.steps.findIndex(({ id }) => id === step.id) + 1}
          reading={reading}
        />
      )}
    </li>
  )
}
