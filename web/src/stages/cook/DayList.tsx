import { spell } from '@frijol/core/day'
import type { TimedTask } from '@frijol/core/model'
import { Tag } from '../../ui'
import { clock, day } from './clock'

/** Tasks by the clock, a heading for each day. */
export function DayList({ tasks, label }: { tasks: readonly TimedTask[]; label: string }) {
  const days = [...new Set(tasks.map(({ startMin }) => day(startMin)))]
  return (
    <div aria-label={label} role="group">
      {days.map((one) => (
        <section key={one}>
          <h3 className="m-0 mt-2 mb-1 text-sm text-ink-2">{one}</h3>
          <ol className="m-0 list-none p-0">
            {tasks
              .filter(({ startMin }) => day(startMin) === one)
              .map(
                ({
                  id,
                  kind,
                  label: words,
                  part,
                  startMin,
                  endMin,
                  stationLabel,
                  station,
                  tempC,
                  attendance,
                }) => (
                  <li key={id} className="flex items-baseline gap-3 border-b border-line/60 py-1.5 text-sm">
                    <b className="w-12 shrink-0 tabular-nums">{clock(startMin)}</b>
                    <span className="min-w-0 flex-1">
                      {words}
                      <span className="text-ink-2">
                        {part === '' ? '' : `, ${part.toLowerCase()}`}
                        {station === 'counter' ? '' : `, ${stationLabel}`}
                        {tempC === null ? '' : ` at ${Math.round(tempC)} °C`}
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
                  </li>
                ),
              )}
          </ol>
        </section>
      ))}
    </div>
  )
}
