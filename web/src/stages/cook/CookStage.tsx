import { type DayPlan, daySheet, dayToIcal, spell } from '@frijol/core/day'
import { CalendarDays, Printer } from 'lucide-react'
import { setDay, useDayPlan, useDaySettings, useDish } from '../../store'
import {
  Button,
  Card,
  CardTitle,
  Chip,
  Choice,
  Empty,
  Field,
  HeaderActions,
  saveFile,
  TextInput,
} from '../../ui'
import { clock, day } from './clock'
import { DayList } from './DayList'
import { dayBegins } from './dayLayout'
import { DayMap } from './DayMap'

const COOKS = ['1', '2', '3'] as const
const COOK_NAMES = { '1': 'One cook', '2': 'Two', '3': 'Three' } as const
const NIGHTS = ['night', 'always'] as const
const NIGHT_NAMES = { night: 'Nobody from 22 to 7', always: 'Somebody always' } as const
const NIGHT = { from: 22, to: 7 }

/** Cook: the day on the clock, planned backwards from when it is served. */
export function CookStage() {
  const dish = useDish()
  const hasSteps = dish.parts.some(({ steps }) => steps.length > 0)
  const { value, hasFailed } = useDayPlan()
  const plan = value?.ok === true ? value.plan : null
  if (!hasSteps)
    return <Empty sentence="Nothing is done yet. Write the method first: the day follows from its steps." />
  return (
    <div className="grid items-start gap-4 pb-6 lg:grid-cols-[minmax(0,1fr)_300px] print:block">
      <HeaderActions>
        <Button
          disabled={plan === null}
          onClick={() =>
            plan !== null && saveFile('day-sheet.md', 'text/markdown', daySheet(plan, { clock, day }))
          }
        >
          <Printer size={16} aria-hidden="true" /> Day sheet
        </Button>
        <Button
          tone="primary"
          disabled={plan === null}
          onClick={() =>
            plan !== null && saveFile('day.ics', 'text/calendar', dayToIcal(plan, new Date().toISOString()))
          }
        >
          <CalendarDays size={16} aria-hidden="true" /> Calendar
        </Button>
      </HeaderActions>
      <div className="grid gap-4">
        <Asked />
        {value === null ? (
          <p role={hasFailed ? 'alert' : 'status'} className="m-0 text-ink-2">
            {hasFailed
              ? 'The planning broke off. Nothing was changed; change the time and it is tried again.'
              : 'Planning the day …'}
          </p>
        ) : value.ok ? (
          <Planned plan={value.plan} />
        ) : (
          <Card className="p-4" role="alert">
            <CardTitle title="No plan keeps everything" />
            <p className="m-0 text-sm">{value.message}</p>
            <p className="m-0 mt-1 text-sm text-ink-2">{value.hint}</p>
          </Card>
        )}
      </div>
      {plan !== null && <Beside plan={plan} />}
    </div>
  )
}

/** When it is served, by how many, and whether nights are free. */
function Asked() {
  const { serve, cooks, night } = useDaySettings()
  return (
    <Card className="flex flex-wrap items-end gap-x-5 gap-y-1 px-4 pt-3 pb-1" aria-label="The day">
      <div className="mb-2">
        <Field label="Served at">
          {(props) => (
            <TextInput
              {...props}
              type="datetime-local"
              value={serve}
              onChange={(event) => event.target.value !== '' && setDay({ serve: event.target.value })}
            />
          )}
        </Field>
      </div>
      <Choice
        label="Cooks"
        value={COOKS.find((one) => Number(one) === cooks) ?? '1'}
        options={COOKS}
        names={COOK_NAMES}
        onChange={(next) => setDay({ cooks: Number(next) })}
      />
      <Choice
        label="Nights"
        value={night === null ? 'always' : 'night'}
        options={NIGHTS}
        names={NIGHT_NAMES}
        onChange={(next) => setDay({ night: next === 'always' ? null : NIGHT })}
      />
    </Card>
  )
}

function Planned({ plan }: { plan: DayPlan }) {
  const begins = dayBegins(plan)
  const today = plan.tasks.filter(({ endMin }) => endMin > begins)
  return (
    <>
      <Card className="overflow-hidden px-4 py-3">
        <div className="mb-2 flex flex-wrap items-center gap-1.5">
          <b className="mr-2 text-lg">
            {clock(begins)} to {clock(plan.serveMin)}
          </b>
          <Chip>hands busy {spell(plan.handsMin)}</Chip>
          <Chip tone={plan.isOptimal ? 'mung' : 'husk'}>
            {plan.isOptimal
              ? `no plan is shorter: ${spell(plan.spanMin)} in all`
              : `${spell(plan.spanMin)} in all; none is below ${spell(plan.lowerBoundMin)}`}
          </Chip>
        </div>
        <DayMap plan={plan} begins={begins} />
      </Card>
      <Card className="px-4 py-3">
        <CardTitle title="By the clock" aside={`${today.length} tasks`} />
        <DayList tasks={today} label="By the clock" />
      </Card>
    </>
  )
}

const MOST_WAITS = 5

function Beside({ plan }: { plan: DayPlan }) {
  const begins = dayBegins(plan)
  const before = plan.tasks.filter(({ startMin }) => startMin < begins)
  return (
    <div className="grid gap-3">
      {before.length > 0 && (
        <Card className="px-3.5 py-3">
          <CardTitle title="Before that" />
          <DayList tasks={before} label="Before that" />
        </Card>
      )}
      <Card className="px-3.5 py-3">
        <CardTitle title="Why not sooner" />
        {plan.heldBy.length === 0 ? (
          <p className="m-0 text-sm text-ink-2">
            Each step waits for the one before it: more hands or room would change nothing.
          </p>
        ) : (
          <ul className="m-0 list-none p-0 text-sm">
            {plan.heldBy.map(({ what, shorterMin }) => (
              <li key={what} className="py-0.5">
                With {what}: <b>{spell(shorterMin)} shorter</b>
              </li>
            ))}
          </ul>
        )}
      </Card>
      {plan.waits.length > 0 && (
        <Card className="px-3.5 py-3">
          <CardTitle title="What waits" />
          <ul className="m-0 list-none p-0 text-sm">
            {plan.waits.slice(0, MOST_WAITS).map(({ label, fromMin, minutes, mostMin }) => (
              <li key={`${label} ${fromMin}`} className="border-b border-line/60 py-1 last:border-0">
                {label}: <b>{spell(minutes)}</b> from {clock(fromMin)}
                {mostMin !== null && <span className="text-ink-2">, {spell(mostMin)} at most</span>}
              </li>
            ))}
          </ul>
        </Card>
      )}
      <Card className="px-3.5 py-3">
        <CardTitle title="Set out first" />
        <ul className="m-0 list-none p-0 text-sm">
          {plan.stations
            .filter(({ id }) => id !== 'counter' && id !== 'fridge')
            .map(({ id, label, tasks }) => (
              <li key={id} className="flex justify-between border-b border-line/60 py-1 last:border-0">
                <span>{label}</span>
                <span className="text-ink-2">{tasks === 1 ? 'once' : `${tasks} times`}</span>
              </li>
            ))}
        </ul>
      </Card>
      <p className="m-0 px-1 text-[13px] text-ink-2">
        Times are predictions. Warm food does not stand between 5 and 60 °C for long: your local food code
        says how long.
      </p>
    </div>
  )
}
