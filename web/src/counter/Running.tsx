import type { LiveDay, LiveTask } from '@frijol/core/day'
import { clsx } from 'clsx'
import { endTask, giveLonger } from '../store/day'
import { BigButton } from './Big'
import { clockAt, clockOf, countdown } from './clock'
import { isCheckDue } from './useCounter'
import { dueWords, overWords } from './words'

/** What goes by itself: the first to be up on top, each with its end and the next look at it. */
export function Running({ live, now, onOpen }: { live: LiveDay; now: number; onOpen: (id: string) => void }) {
  return (
    <section aria-label="Running by itself" className="rounded-card bg-paper p-5">
      <h2 className="m-0 mb-1 text-xl">Running by itself</h2>
      {live.running.length === 0 ? (
        <p className="m-0 text-[17px] text-ink-2">Nothing is on the fire, in the oven or in the cold.</p>
      ) : (
        <ul className="m-0 list-none p-0">
          {live.running.map((one) => (
            <One key={one.task.id} one={one} live={live} now={now} onOpen={onOpen} />
          ))}
        </ul>
      )}
    </section>
  )
}

interface OneProps {
  one: LiveTask
  live: LiveDay
  now: number
  onOpen: (id: string) => void
}

function One({ one, live, now, onOpen }: OneProps) {
  const { task, state, leftMs, gone, dueMs } = one
  const isDue = state === 'due'
  const isOfMany = new Set(live.tasks.map(({ task: { dishId } }) => dishId)).size > 1
  const checks = live.tasks.filter(
    (check) =>
      check.task.kind === 'check' && check.task.stepId === task.stepId && check.task.dishId === task.dishId,
  )
  const check = checks.find((next) => next.state === 'waiting')
  return (
    <li className="border-b border-line py-2.5 last:border-0">
      <div className="flex items-baseline gap-3">
        <button
          type="button"
          className="min-h-11 min-w-0 flex-1 truncate text-left text-[18px] hover:underline"
          onClick={() => onOpen(task.id)}
        >
          {task.label}
          {isOfMany && !task.label.toLowerCase().includes(task.dish.toLowerCase()) && (
            <span className="block truncate text-[16px] text-ink-2">{task.dish}</span>
          )}
        </button>
        <b
          className={clsx('shrink-0 font-display text-[28px] leading-none', isDue && 'text-turmeric-deep')}
          role="timer"
          aria-label={`${task.label}: ${isDue ? 'time is up' : `${countdown(leftMs)} left`}`}
        >
          {countdown(leftMs)}
        </b>
      </div>
      <div className="mt-1 h-4 overflow-hidden rounded-full bg-husk" aria-hidden="true">
        <div
          className={clsx('h-full rounded-full', isDue ? 'bg-turmeric' : 'bg-mung')}
          style={{ width: `${Math.max(3, gone * 100)}%` }}
        />
      </div>
      <p className={clsx('m-0 mt-1 text-[16px]', isDue ? 'text-turmeric-deep' : 'text-ink-2')}>
        {isDue
          ? `Up at ${clockOf(dueMs ?? now)}: ${dueWords(task)}`
          : `until ${clockOf(dueMs ?? now)}${
              check === undefined
                ? ''
                : isCheckDue(check, live.tasks, now)
                  ? `; now: ${check.task.text}`
                  : `; ${check.task.text} at ${clockAt(check.task.startMin)}`
            }`}
      </p>
      {isDue && (
        <div className="mt-2 flex gap-2">
          <BigButton tone="primary" onClick={() => endTask(task)}>
            {overWords(task)}
          </BigButton>
          <BigButton onClick={() => giveLonger(task, 5)}>5 min more</BigButton>
        </div>
      )}
    </li>
  )
}
