import {
  batchDishes,
  coldOvenWords,
  type DayPlan,
  daySheet,
  dayToIcal,
  inOtherWays,
  spell,
  stretchedWords,
} from '@frijol/core/day'
import type { Dish, TimedTask } from '@frijol/core/model'
import { settingWords } from '@frijol/core/series'
import { clsx } from 'clsx'
import { CalendarDays, CookingPot, Printer } from 'lucide-react'
import { useMemo, useState } from 'react'
import { useNavigate } from 'react-router'
import { run, useDish, useDishNames, useKitchenStore, useLibrary } from '../../store'
import { dayCommands, sessionOf, useDayDishes, useDayPlan, useDaySettings, useOpenDay } from '../../store/day'
import { seriesCommands } from '../../store/learn'
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
  toast,
  ToggleChip,
} from '../../ui'
import { clock, day } from './clock'
import { DayList } from './DayList'
import { dayBegins } from './dayLayout'
import { DayMap } from './DayMap'
import { dishTone } from './dishTone'
import { MoveTask } from './MoveTask'

const ANCHORS = ['serve', 'start'] as const
const ANCHOR_NAMES = { serve: 'Served at', start: 'Begun at' } as const
const COOKS = ['1', '2', '3'] as const
const COOK_NAMES = { '1': 'One cook', '2': 'Two', '3': 'Three' } as const
const NIGHTS = ['night', 'always'] as const
const NIGHT_NAMES = { night: 'Nobody from 22 to 7', always: 'Somebody always' } as const
const NIGHT = { from: 22, to: 7 }

/** Cook: the day on the clock, planned backwards from when it is served or forwards from when it begins. */
export function CookStage() {
  const dish = useDish()
  const hasSteps = dish.parts.some(({ steps }) => steps.length > 0)
  const planning = useDaySettings()
  const { settings, day: document } = planning
  const written = useDayDishes(dish, document?.dishIds ?? [dish.id], document?.batches)
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const dishes = useMemo(
    () => written.map((one) => inOtherWays(one, settings.ways, { library, kitchen })),
    [written, settings.ways, library, kitchen],
  )
  const { value, hasFailed, isWorking } = useDayPlan(dishes, hasSteps ? settings : null)
  const plan = value?.ok === true ? value.plan : null
  const navigate = useNavigate()
  const [moving, setMoving] = useState<Moving | null>(null)
  if (!hasSteps)
    return <Empty sentence="Nothing is done yet. Write the method first: the day follows from its steps." />
  const isBegun = document?.session != null
  const start = async () => {
    if (plan === null) return
    await planning.run(dayCommands.beginDay(sessionOf(plan, dishes)))
    const id = useOpenDay.getState().value?.id
    if (id !== undefined) void navigate(`/day/${id}`)
  }
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
          disabled={plan === null}
          onClick={() =>
            plan !== null && saveFile('day.ics', 'text/calendar', dayToIcal(plan, new Date().toISOString()))
          }
        >
          <CalendarDays size={16} aria-hidden="true" /> Calendar
        </Button>
        {isBegun ? (
          <Button tone="primary" onClick={() => void navigate(`/day/${document.id}`)}>
            <CookingPot size={16} aria-hidden="true" /> Back to the counter
          </Button>
        ) : (
          <Button tone="primary" disabled={plan === null} onClick={() => void start()}>
            <CookingPot size={16} aria-hidden="true" /> Start cooking
          </Button>
        )}
      </HeaderActions>
      <div className="grid gap-4">
        {isBegun && (
          <Card className="border-turmeric bg-turmeric-soft px-4 py-3 text-sm" role="status">
            This day has begun: what is done at the counter is written there. The plan below is of the method
            as it is now.
          </Card>
        )}
        <Asked planning={planning} dishId={dish.id} />
        {!isBegun && <Batches planning={planning} dish={dish} />}
        {value === null ? (
          <p role={hasFailed ? 'alert' : 'status'} className="m-0 text-ink-2">
            {hasFailed
              ? 'The planning broke off. Nothing was changed; change the time and it is tried again.'
              : 'Planning the day …'}
          </p>
        ) : value.ok ? (
          <Planned plan={value.plan} {...{ planning, dishes, moving, setMoving, isWorking }} />
        ) : (
          <Card className="p-4" role="alert">
            <CardTitle title="No plan keeps everything" />
            <p className="m-0 text-sm">{value.message}</p>
            <p className="m-0 mt-1 text-sm text-ink-2">{value.hint}</p>
            {settings.held.length > 0 && (
              <Button className="mt-2" onClick={() => planning.change('let all tasks go', { held: [] })}>
                Let the tasks go that were put at a time
              </Button>
            )}
          </Card>
        )}
      </div>
      {plan !== null && <Beside plan={plan} {...{ planning, setMoving, isWorking }} />}
    </div>
  )
}

type Planning = ReturnType<typeof useDaySettings>

/** Which dishes, when they are served or begun, by how many, and whether nights are free. */
function Asked({ planning, dishId }: { planning: Planning; dishId: string }) {
  const { day: document, settings, change, setDishes } = planning
  const { anchor, cooks, night } = settings
  const names = useDishNames()
  const chosen = document?.dishIds ?? [dishId]
  return (
    <Card className="grid gap-1 px-4 pt-3 pb-1" aria-label="The day">
      {names.length > 1 && (
        <div role="group" aria-label="Dishes" className="mb-1 flex flex-wrap gap-1.5">
          {names.map(({ id, name }) => (
            <ToggleChip
              key={id}
              tone="mung"
              isOn={chosen.includes(id)}
              onChange={() => {
                if (id === dishId) toast('This is the dish that is open: its day has it.')
                else setDishes(chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id])
              }}
            >
              {name}
            </ToggleChip>
          ))}
        </div>
      )}
      <div className="flex flex-wrap items-end gap-x-5 gap-y-1">
        <Choice
          label="What is fixed"
          value={anchor.kind}
          options={ANCHORS}
          names={ANCHOR_NAMES}
          onChange={(kind) => change('fix the other end of the day', { anchor: { ...anchor, kind } })}
        />
        <div className="mb-2">
          <Field label={anchor.kind === 'serve' ? 'Served at' : 'Begun at'}>
            {(props) => (
              <TextInput
                {...props}
                type="datetime-local"
                value={anchor.at}
                onChange={({ target }) =>
                  target.value !== '' &&
                  change('set the time', { anchor: { ...anchor, at: target.value.slice(0, 16) } })
                }
              />
            )}
          </Field>
        </div>
        <Choice
          label="Cooks"
          value={COOKS.find((one) => Number(one) === cooks) ?? '1'}
          options={COOKS}
          names={COOK_NAMES}
          onChange={(next) => change('set the cooks', { cooks: Number(next) })}
        />
        <Choice
          label="Nights"
          value={night === null ? 'always' : 'night'}
          options={NIGHTS}
          names={NIGHT_NAMES}
          onChange={(next) => change('set the nights', { night: next === 'always' ? null : NIGHT })}
        />
      </div>
    </Card>
  )
}

/** Runs of a series that this day makes, in the place of the dish. */
function Batches({ planning, dish }: { planning: Planning; dish: Dish }) {
  const batches = planning.day?.batches.filter(({ dishId }) => dishId === dish.id) ?? []
  const [first] = batches
  const series = dish.series.find(({ id }) => id === first?.seriesId)
  if (first === undefined || series === undefined) return null
  const made = batchDishes(dish, batches)
  return (
    <Card className="flex flex-wrap items-start gap-3 px-4 py-2 text-sm" aria-label="Batches of a series">
      <div className="min-w-0 flex-1 basis-64">
        <p className="m-0">
          {batches.length === 1 ? 'One batch' : `${batches.length} batches`} of the series “{series.name}”, in
          the place of the whole dish. Each becomes a trial.
        </p>
        <ul className="m-0 mt-1 list-none p-0 text-ink-2">
          {made.map(({ id, name }) => {
            const batch = batches.find((one) => one.id === id)
            const run = series.runs.find((one) => one.id === batch?.runId)
            return (
              <li key={id}>
                <b className="text-ink">{name}</b>{' '}
                {run === undefined ? '' : settingWords(series, run.setting)}
              </li>
            )
          })}
        </ul>
      </div>
      <Button
        className="min-h-8"
        onClick={() => {
          void planning.run(dayCommands.setBatches(dish.id, []))
          run(
            seriesCommands.freeRuns(
              first.seriesId,
              batches.map(({ runId }) => runId),
            ),
          )
        }}
      >
        Cook the dish itself
      </Button>
    </Card>
  )
}

interface PlannedProps {
  plan: DayPlan
  planning: Planning
  dishes: readonly Dish[]
  /** A shorter plan is still looked for. */
  isWorking: boolean
  /** The task that is being put at another time. */
  moving: Moving | null
  setMoving: (moving: Moving | null) => void
}
interface Moving {
  readonly id: string
  readonly startMin: number
}

/** Held and let go. */
function holdingOf({ settings, run }: Planning) {
  return {
    held: new Set(settings.held.map(({ id }) => id)),
    onLetGo: ({ id }: TimedTask) => void run(dayCommands.holdTask(id, null)),
    hold: (id: string, startMin: number) => void run(dayCommands.holdTask(id, startMin)),
  }
}

function Planned({ plan, planning, dishes, moving, setMoving, isWorking }: PlannedProps) {
  const begins = dayBegins(plan)
  const today = plan.tasks.filter(({ endMin }) => endMin > begins)
  const { held, onLetGo, hold } = holdingOf(planning)
  const task = plan.tasks.find(({ id }) => id === moving?.id)
  const names = [...new Map(plan.tasks.map(({ dishId, dish }) => [dishId, dish]))].sort(([a], [b]) =>
    a < b ? -1 : 1,
  )
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
              : `${spell(plan.spanMin)} in all; none is below ${spell(plan.lowerBoundMin)}${isWorking ? '; looking for a shorter one …' : ''}`}
          </Chip>
          {plan.coldOvens.length > 0 && <Chip tone="adzuki">oven not hot in time</Chip>}
          {names.length > 1 &&
            names.map(([id, name], at) => (
              <span key={id} className="ml-1 inline-flex items-center gap-1.5 text-[13px] max-sm:hidden">
                <i
                  aria-hidden="true"
                  className={clsx('inline-block h-3 w-5 rounded-full border', dishTone(at).swatch)}
                />
                {name}
              </span>
            ))}
        </div>
        <DayMap
          plan={plan}
          begins={begins}
          held={held}
          onMove={(id, startMin) => setMoving({ id, startMin })}
        />
      </Card>
      {moving !== null && task !== undefined && (
        <MoveTask
          task={task}
          startMin={moving.startMin}
          plan={plan}
          dishes={dishes}
          settings={planning.settings}
          onChange={(startMin) => setMoving({ ...moving, startMin })}
          onTake={() => {
            hold(moving.id, moving.startMin)
            setMoving(null)
          }}
          onLeave={() => setMoving(null)}
        />
      )}
      <Card className="px-4 py-3">
        <CardTitle title="By the clock" aside={`${today.length} tasks`} />
        <DayList
          tasks={today}
          label="By the clock"
          namesDishes={names.length > 1}
          held={held}
          onLetGo={onLetGo}
          onMove={({ id, startMin }) => setMoving({ id, startMin })}
        />
      </Card>
    </>
  )
}

const MOST_WAITS = 5

function Beside({ plan, planning, setMoving, isWorking }: Omit<PlannedProps, 'dishes' | 'moving'>) {
  const { held, onLetGo } = holdingOf(planning)
  const begins = dayBegins(plan)
  // What the day does by other means than the dish says, as its tasks are called now.
  const otherwise = planning.settings.ways.flatMap(({ stepId, dishId }) => {
    const task = plan.tasks.find(({ id }) => id === `${dishId}:${stepId}`)
    return task === undefined ? [] : [{ stepId, label: task.label, dish: task.dish }]
  })
  const before = plan.tasks.filter(({ startMin }) => startMin < begins)
  return (
    <div className="grid gap-3">
      {before.length > 0 && (
        <Card className="px-3.5 py-3">
          <CardTitle title="Before that" />
          <DayList
            tasks={before}
            label="Before that"
            namesDishes={new Set(plan.tasks.map(({ dishId }) => dishId)).size > 1}
            held={held}
            onLetGo={onLetGo}
            onMove={({ id, startMin }) => setMoving({ id, startMin })}
          />
        </Card>
      )}
      {plan.coldOvens.length > 0 && (
        <Card className="px-3.5 py-3">
          <CardTitle title="Oven not hot in time" />
          <ul className="m-0 list-none p-0 text-sm">
            {coldOvenWords(plan, clock).map((words) => (
              <li key={words} className="border-b border-line/60 py-1 last:border-0">
                {words}
              </li>
            ))}
          </ul>
        </Card>
      )}
      <Card className="px-3.5 py-3">
        <CardTitle title="Why not sooner" />
        {isWorking ? (
          <p className="m-0 text-sm text-ink-2">Looking …</p>
        ) : plan.heldBy.length + plan.otherWays.length === 0 ? (
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
            {plan.otherWays.map(({ dishId, partId, stepId, operation, label, dish, shorterMin }) => (
              <li
                key={`${stepId} ${operation}`}
                className="grid gap-1 border-t border-line/60 py-1.5 first:border-0 first:pt-0"
              >
                <span>
                  {label} <span className="text-ink-2">({dish})</span>: <b>{spell(shorterMin)} shorter</b>
                </span>
                <Button
                  className="justify-self-end"
                  aria-label={`${label}: do it so`}
                  onClick={() =>
                    void planning.run(dayCommands.doOtherwise({ dishId, partId, stepId, operation }))
                  }
                >
                  Do it so
                </Button>
              </li>
            ))}
          </ul>
        )}
      </Card>
      {otherwise.length > 0 && (
        <Card className="px-3.5 py-3">
          <CardTitle title="Done otherwise" />
          <ul className="m-0 list-none p-0 text-sm">
            {otherwise.map(({ stepId, label, dish }) => (
              <li key={stepId} className="flex items-center gap-2 border-b border-line/60 py-1 last:border-0">
                <span className="min-w-0 flex-1">
                  {label} <span className="text-ink-2">({dish})</span>
                </span>
                <Button
                  aria-label={`${label}: as written`}
                  onClick={() => void planning.run(dayCommands.doAsWritten(stepId))}
                >
                  As written
                </Button>
              </li>
            ))}
          </ul>
        </Card>
      )}
      {plan.stretched.length > 0 && (
        <Card className="px-3.5 py-3">
          <CardTitle title="Sharing the oven" />
          <ul className="m-0 list-none p-0 text-sm">
            {stretchedWords(plan).map((words) => (
              <li key={words} className="border-b border-line/60 py-1 last:border-0">
                {words}
              </li>
            ))}
          </ul>
        </Card>
      )}
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
