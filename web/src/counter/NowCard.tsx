import { type LiveTask, spell, weighedOf, type WeighLine } from '@frijol/core/day'
import type { CookSession } from '@frijol/core/model'
import { clsx } from 'clsx'
import { Check, Scale } from 'lucide-react'
import { beginTask, endTask, giveLonger } from '../store/day'
import { BigButton } from './Big'
import { clockAt, clockOf, countdown, grams } from './clock'
import { useSpaceBar } from './useCounter'
import { dueWords, overWords } from './words'

const MINUTE_MS = 60_000

export interface NowCardProps {
  one: LiveTask
  session: CookSession
  /** What there is to weigh for it. */
  lines: readonly WeighLine[]
  now: number
  onWeigh: (key: string) => void
  /** Sheets that are about this task. */
  onSheet: (sheet: 'note' | 'measure' | 'otherwise') => void
  onDone: () => void
}

/** What the hands do now: one thing, with what it takes and how long it is. */
export function NowCard({ one, session, lines, now, onWeigh, onSheet, onDone }: NowCardProps) {
  const { task, state, begunMs, leftMs, dueMs } = one
  const weighed = weighedOf(session.weighings)
  const toWeigh = lines.filter(({ key }) => !weighed.has(key))
  // A pot is put on in one go; work that takes its time is begun first.
  const isShort = task.kind === 'check' || task.task.durationMin <= 2
  const isOver = state === 'done' || state === 'skipped' || state === 'missed'
  const minutesTo = Math.round(task.startMin - now / MINUTE_MS)
  const finish = () => {
    endTask(task)
    onDone()
  }
  const act =
    isOver || state === 'due' || (state === 'running' && task.kind === 'by-itself')
      ? finish
      : state === 'waiting' && !isShort
        ? () => beginTask(task)
        : finish
  useSpaceBar(isOver ? null : act)
  return (
    <div className="flex h-full flex-col gap-4">
      <header>
        <p className="m-0 text-[18px] text-ink-2">
          {task.dish}
          {task.part === '' || task.part === task.dish ? '' : ` · ${task.part.toLowerCase()}`}
          {task.station === 'counter' ? '' : ` · ${task.stationLabel}`}
          {task.tempC === null ? '' : ` at ${Math.round(task.tempC)} °C`}
        </p>
        <h1 className="m-0 text-[36px] leading-tight first-letter:uppercase">{task.label}</h1>
        <p className="m-0 mt-1 text-[18px] text-ink-2">
          {state === 'waiting'
            ? `${minutesTo > 1 ? `at ${clockAt(task.startMin)}, in ${spell(minutesTo)}` : minutesTo < -1 ? `was to begin at ${clockAt(task.startMin)}, ${spell(-minutesTo)} ago` : 'now'}; takes ${spell(task.task.durationMin)}`
            : state === 'running' || state === 'due'
              ? `begun at ${clockOf(begunMs ?? now)}, ${state === 'due' ? `up at ${clockOf(dueMs ?? now)}: ${dueWords(task)}` : `until ${clockOf(dueMs ?? now)}`}`
              : state === 'done'
                ? `done at ${clockOf(one.endedMs ?? now)}`
                : state === 'missed'
                  ? 'missed while nobody was there'
                  : 'left out'}
        </p>
      </header>
      {task.text !== '' && !task.label.endsWith(task.text) && (
        <p className="m-0 max-w-[60ch] text-[22px] leading-snug">{task.text}</p>
      )}
      {(state === 'running' || state === 'due') && (
        <p
          role="timer"
          aria-label={`${countdown(leftMs)} left`}
          className={clsx(
            'm-0 font-display text-[64px] leading-none font-bold tabular-nums',
            leftMs === 0 && 'text-turmeric-deep',
          )}
        >
          {countdown(leftMs)}
        </p>
      )}
      {lines.length > 0 && (
        <ul aria-label="What goes in" className="m-0 grid list-none gap-x-6 p-0 sm:grid-cols-2">
          {lines.map((line) => {
            const got = weighed.get(line.key)
            const isOff = got !== undefined && Math.abs(got.massG - line.targetG) > line.toleranceG
            return (
              <li key={line.key} className="border-b border-line">
                <button
                  type="button"
                  className="flex min-h-[56px] w-full items-center gap-3 text-left text-[18px] hover:bg-husk"
                  onClick={() => onWeigh(line.key)}
                  aria-label={`Weigh ${line.name}, ${grams(line.targetG)}${got === undefined ? '' : `; ${grams(got.massG)} weighed`}`}
                >
                  {got === undefined ? (
                    <Scale size={20} className="shrink-0 text-ink-2" aria-hidden="true" />
                  ) : (
                    <Check size={20} className="shrink-0 text-mung-deep" aria-hidden="true" />
                  )}
                  <span className="min-w-0 flex-1 truncate">{got?.instead ?? line.name}</span>
                  <b className={clsx('shrink-0 tabular-nums', isOff && 'text-turmeric-deep')}>
                    {got === undefined
                      ? grams(line.targetG)
                      : isOff
                        ? `${grams(got.massG)} for ${grams(line.targetG)}`
                        : grams(got.massG)}
                  </b>
                </button>
              </li>
            )
          })}
        </ul>
      )}
      <footer className="mt-auto flex flex-wrap items-center gap-3">
        {toWeigh[0] !== undefined && state === 'waiting' && (
          <BigButton tone="primary" onClick={() => onWeigh(toWeigh[0]?.key ?? '')}>
            Weigh in {toWeigh.length === 1 ? toWeigh[0].name.toLowerCase() : `${toWeigh.length} things`}
          </BigButton>
        )}
        {!isOver && (
          <BigButton tone={toWeigh.length > 0 && state === 'waiting' ? 'plain' : 'primary'} onClick={act}>
            {state === 'waiting' && !isShort ? 'Begin' : overWords(task)}
          </BigButton>
        )}
        {state === 'waiting' && !isShort && <BigButton onClick={finish}>Done already</BigButton>}
        {(state === 'running' || state === 'due') && (
          <BigButton onClick={() => giveLonger(task, 5)}>5 min more</BigButton>
        )}
        <BigButton onClick={() => onSheet('note')}>Note</BigButton>
        {task.stepId !== null && task.kind !== 'check' && (
          <BigButton onClick={() => onSheet('measure')}>Measure</BigButton>
        )}
      </footer>
    </div>
  )
}
