import { spell } from '@frijol/core/day'
import type { TimedTask } from '@frijol/core/model'
import { Pin, PinOff } from 'lucide-react'
import { IconButton, Tag } from '../../ui'
import { clock, day } from './clock'

export interface DayListProps {
  tasks: readonly TimedTask[]
  label: string
  /** Whether the dish of each task is named. */
  namesDishes: boolean
  held: ReadonlySet<string>
  onMove: (task: TimedTask) => void
  onLetGo: (task: TimedTask) => void
}

/** Tasks by the clock, a heading for each day; each can be put at another time. */
export function DayList({ tasks, label, namesDishes, held, onMove, onLetGo }: DayListProps) {
  const days = [...new Set(tasks.map(({ startMin }) => day(startMin)))]
  return (
    <div aria-label={label} role="group">
      {days.map((one) => (
        <section key={one}>
          <h3 className="m-0 mt-2 mb-1 text-sm text-ink-2">{one}</h3>
          <ol className="m-0 list-none p-0">
            {tasks
              .filter(({ startMin }) => day(startMin) === one)
              .map((task) => {
                const { id, kind, label: words, part, startMin, endMin } = task
                const { stationLabel, station, tempC, attendance, dish, stepId } = task
                return (
                  <li
                    key={id}
                    className="group flex items-baseline gap-3 border-b border-line/60 py-1.5 text-sm"
                  >
                    <b className="w-12 shrink-0 tabular-nums">{clock(startMin)}</b>
                    <span className="min-w-0 flex-1">
                      {words}
                      <span className="text-ink-2">
                        {namesDishes && kind !== 'plate' ? `, ${dish.toLowerCase()}` : ''}
                        {part === '' || part === dish ? '' : `, ${part.toLowerCase()}`}
                        {station === 'counter' ? '' : `, ${stationLabel}`}
                        {tempC === null || stepId === null ? '' : ` at ${Math.round(tempC)} °C`}
                      </span>
                    </span>
                    {kind === 'by-itself' ? (
                      <span className="shrink-0 text-mung-deep">
                        to {clock(endMin)}
                        {attendance === 'near' ? ', stay near' : ''}
                      </span>
                    ) : (
                      <span className="shrink-0 text-ink-2">
                        {kind === 'check' && <Tag tone="turmeric">look</Tag>} {spell(endMin - startMin)}
                      </span>
                    )}
                    {held.has(id) ? (
                      <IconButton
                        label={`Let ${words} go from ${clock(startMin)}`}
                        className="no-print -my-1 shrink-0 text-aubergine"
                        onClick={() => onLetGo(task)}
                      >
                        <PinOff size={14} aria-hidden="true" />
                      </IconButton>
                    ) : (
                      <IconButton
                        label={`Put ${words} at another time`}
                        className="no-print -my-1 shrink-0"
                        onClick={() => onMove(task)}
                      >
                        <Pin size={14} aria-hidden="true" />
                      </IconButton>
                    )}
                  </li>
                )
              })}
          </ol>
        </section>
      ))}
    </div>
  )
}
