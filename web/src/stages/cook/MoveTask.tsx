import { type DayPlan, spell } from '@frijol/core/day'
import type { DaySettings, Dish, TimedTask } from '@frijol/core/model'
import { fieldOf, useDayPlan } from '../../store/day'
import { Button, Card, CardTitle, Field, TextInput } from '../../ui'
import { useMemo } from 'react'
import { clock, day } from './clock'
import { dayBegins } from './dayLayout'

const MINUTE_MS = 60_000

export interface MoveTaskProps {
  task: TimedTask
  startMin: number
  plan: DayPlan
  dishes: readonly Dish[]
  settings: DaySettings
  onChange: (startMin: number) => void
  onTake: () => void
  onLeave: () => void
}

/** One task at another time: what the day would be then, before it is taken. */
export function MoveTask({
  task,
  startMin,
  plan,
  dishes,
  settings,
  onChange,
  onTake,
  onLeave,
}: MoveTaskProps) {
  const wanted = useMemo(
    () => ({
      ...settings,
      held: [...settings.held.filter(({ id }) => id !== task.id), { id: task.id, startMin }],
    }),
    [settings, task.id, startMin],
  )
  const { value, hasFailed } = useDayPlan(dishes, wanted)
  const then = value?.ok === true ? value.plan : null
  return (
    <Card className="px-4 py-3" aria-label="Another time">
      <CardTitle
        title={`${task.label}, ${task.dish.toLowerCase()}`}
        aside={`now at ${clock(task.startMin)}`}
      />
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Put it at">
          {(props) => (
            <TextInput
              {...props}
              autoFocus
              type="datetime-local"
              step={300}
              value={fieldOf(new Date(startMin * MINUTE_MS))}
              onChange={({ target }) => {
                const at = Date.parse(target.value)
                if (!Number.isNaN(at)) onChange(Math.round(at / MINUTE_MS))
              }}
            />
          )}
        </Field>
        <Button onClick={() => onChange(startMin - 5)}>5 min earlier</Button>
        <Button onClick={() => onChange(startMin + 5)}>5 min later</Button>
      </div>
      <div role="status" className="mt-2 text-sm">
        {value === null ? (
          hasFailed ? (
            'The planning broke off. Nothing was changed.'
          ) : (
            'Planning it so …'
          )
        ) : value.ok ? (
          <Consequence before={plan} then={value.plan} />
        ) : (
          <>
            <b>It does not fit.</b> {value.message} <span className="text-ink-2">{value.hint}</span>
          </>
        )}
      </div>
      <div className="mt-3 flex gap-2">
        <Button tone="primary" disabled={then === null} onClick={onTake}>
          Put it there
        </Button>
        <Button onClick={onLeave}>Leave it</Button>
      </div>
    </Card>
  )
}

/** What changes, most important first. */
function Consequence({ before, then }: { before: DayPlan; then: DayPlan }) {
  const words = [
    then.serveMin === before.serveMin
      ? `served at ${clock(then.serveMin)} as before`
      : `served at ${clock(then.serveMin)} in place of ${clock(before.serveMin)}`,
    dayBegins(then) === dayBegins(before)
      ? `hands begin at ${clock(dayBegins(then))} as before`
      : `hands begin at ${clock(dayBegins(then))} in place of ${clock(dayBegins(before))}`,
    then.spanMin === before.spanMin
      ? `as long as before`
      : `${spell(Math.abs(then.spanMin - before.spanMin))} ${then.spanMin > before.spanMin ? 'longer' : 'shorter'} in all`,
  ]
  const longest = then.waits[0]
  const moved = then.tasks.filter(({ id, startMin }) => {
    const was = before.tasks.find((task) => task.id === id)
    return was !== undefined && was.startMin !== startMin
  }).length
  return (
    <>
      <p className="m-0 first-letter:uppercase">
        <b>{words.join('; ')}</b>. {moved === 1 ? 'One task moves' : `${moved} tasks move`}
        {day(then.startMin) === day(before.startMin) ? '' : `; it begins on ${day(then.startMin)}`}.
      </p>
      {longest !== undefined && (
        <p className="m-0 text-ink-2">
          Longest wait: {longest.label}, {spell(longest.minutes)}.
        </p>
      )}
    </>
  )
}
