import type { LiveTask, WeighLine } from '@frijol/core/day'
import type { CookDay, CookSession, TimedTask } from '@frijol/core/model'
import { weighedOf } from '@frijol/core/day'
import { clsx } from 'clsx'
import { type ReactNode, useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { useRefusal } from '../store'
import {
  connectDevices,
  flushDay,
  keyInHand,
  openDay,
  redoDay,
  stopWeighing,
  undoDay,
  useOpenDay,
  useProbeInFood,
  useWeighLines,
  wantsDevices,
} from '../store/day'
import { Button, saveFile, toast, useShortcut } from '../ui'
import { BigButton } from './Big'
import { clockAt, useNow } from './clock'
import { CloseDay } from './CloseDay'
import { Notes } from './Notes'
import { NowCard } from './NowCard'
import { Running } from './Running'
import { Serving } from './Serving'
import { CounterSheet, MeasureSheet, NoteSheet, OtherwiseSheet, StepsSheet } from './sheets'
import { useAlarms, useLivePlan, useMissed, useServiceTheme, useWakeLock } from './useCounter'
import { WeighIn } from './WeighIn'

/** A day at the counter, over the whole screen. */
export function CounterDay() {
  const { dayId = '' } = useParams()
  const day = useOpenDay((state) => state.value)
  const missing = useOpenDay((state) => state.missing)
  useServiceTheme()
  useEffect(() => {
    void openDay(dayId)
    if (wantsDevices()) connectDevices()
  }, [dayId])
  if (day?.id !== dayId || day.session === null)
    return (
      <main id="page" className="grid min-h-dvh place-items-center p-6 text-[18px]">
        {missing !== null || (day?.id === dayId && day.session === null) ? (
          <p className="m-0 max-w-[50ch]">
            {missing === 'bad'
              ? 'This day is stored, but damaged; it is left as it is. '
              : day?.session === null
                ? 'This day has not begun. '
                : 'There is no such day here. '}
            <Link to={day === null ? '/' : `/dish/${day.dishIds[0] ?? ''}/cook`} className="underline">
              {day === null ? 'Go to the shelf' : 'Go to its plan'}
            </Link>
          </p>
        ) : (
          <p role="status" className="m-0">
            Opening the day …
          </p>
        )}
      </main>
    )
  return <Counter key={day.id} day={day} session={day.session} />
}

/** What is weighed first is what is done first; what no step takes comes last. */
function inPlanOrder(lines: readonly WeighLine[], { tasks }: CookSession): readonly WeighLine[] {
  const starts = new Map<string, number>()
  for (const { stepId, dishId, startMin } of tasks) {
    const key = `${dishId}:${stepId ?? ''}`
    starts.set(key, Math.min(startMin, starts.get(key) ?? startMin))
  }
  const startOf = ({ dishId, stepId }: WeighLine): number =>
    starts.get(`${dishId}:${stepId ?? 'none'}`) ?? Number.MAX_SAFE_INTEGER
  return [...lines].sort((a, b) => startOf(a) - startOf(b))
}

type OpenSheet = 'note' | 'measure' | 'otherwise' | 'steps' | 'counter' | null

function Counter({ day, session }: { day: CookDay; session: CookSession }) {
  const now = useNow()
  const plan = useLivePlan(day, session, now)
  const { live } = plan
  const isOpen = session.closedAt === null
  const lines = inPlanOrder(useWeighLines(session), session)
  const [missed, forgetMissed] = useMissed(isOpen)
  const [chosen, setChosen] = useState<string | null>(null)
  const [weighing, setWeighing] = useState<{ key: string; queue: readonly string[] } | null>(() => {
    const key = keyInHand()
    return key === null ? null : { key, queue: [] }
  })
  const [sheet, setSheet] = useState<OpenSheet>(null)
  const [isClosing, setClosing] = useState(false)
  const isAwake = useWakeLock()
  // A change that does not fit is told where all messages are.
  useEffect(
    () =>
      useRefusal.subscribe((refused) => {
        if (refused !== null) toast(refused.words)
      }),
    [],
  )
  useAlarms(live, now)
  useProbeInFood(session, live)
  const one: LiveTask | undefined = live.tasks.find(({ task }) => task.id === chosen) ?? live.now[0]
  const ofTask = (task: TimedTask): readonly WeighLine[] =>
    task.kind === 'check' || task.stepId === null
      ? []
      : lines.filter(({ stepId, dishId }) => stepId === task.stepId && dishId === task.dishId)
  const ofNow = one === undefined ? [] : ofTask(one.task)
  const weigh = (key: string, queue: readonly WeighLine[]) =>
    setWeighing({ key, queue: queue.map((line) => line.key) })
  const inHand = lines.find(({ key }) => key === weighing?.key)
  const queued = lines.filter(({ key }) => weighing?.queue.includes(key) === true)
  const weighed = weighedOf(session.weighings)
  const unweighed = lines.filter(({ key }) => !weighed.has(key))
  const weighAll = () => {
    const [first] = unweighed
    if (first === undefined) toast('All is weighed.')
    else weigh(first.key, lines)
  }
  const open = (id: string | null) => {
    setChosen(id)
    setWeighing(null)
    setSheet(null)
  }
  useShortcut('w', () => (ofNow[0] === undefined ? weighAll() : weigh(ofNow[0].key, ofNow)))
  useShortcut('n', () => setSheet('note'))
  useShortcut('m', () => setSheet('measure'))
  useShortcut('s', () => setSheet('steps'))
  useShortcut('o', () => setSheet('otherwise'))
  useShortcut('u', (event) => {
    const label = event.shiftKey ? redoDay() : undoDay()
    if (label !== null) toast(`${event.shiftKey ? 'Done again' : 'Undone'}: ${label}`)
  })
  if (!isOpen || isClosing)
    return (
      <main id="page" className="min-h-dvh pb-8">
        <Top day={day} />
        {isOpen ? (
          <CloseDay session={session} onBack={() => setClosing(false)} />
        ) : (
          <Closed session={session} dishId={day.dishIds[0] ?? ''} />
        )}
      </main>
    )
  return (
    <main
      id="page"
      tabIndex={-1}
      className="grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] gap-3 p-4 outline-none lg:h-dvh max-sm:p-3"
    >
      <Top day={day}>
        <Button
          tone="quiet"
          className="min-h-11 px-2.5 text-[16px] max-sm:px-1.5"
          onClick={() => setSheet('counter')}
        >
          At this counter
        </Button>
        <Button
          tone="quiet"
          className="min-h-11 px-2.5 text-[16px] max-sm:px-1.5"
          onClick={() => setClosing(true)}
        >
          Close the day
        </Button>
      </Top>
      {missed.length > 0 && (
        <div role="alert" className="rounded-card bg-turmeric-soft p-4 text-[17px]">
          <b>While nobody looked: </b>
          {missed.map(({ label }) => label).join('; ')}. Look at them now.{' '}
          <BigButton className="ml-2 min-h-11" onClick={forgetMissed}>
            Seen
          </BigButton>
        </div>
      )}
      <div className="grid min-h-0 grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[minmax(0,1fr)_400px] lg:grid-rows-[minmax(0,1fr)]">
        <section
          aria-label="Now"
          className="min-h-[380px] overflow-auto rounded-card bg-paper p-6 lg:min-h-0 max-sm:p-4"
        >
          {inHand !== undefined ? (
            <WeighIn
              session={session}
              lines={lines}
              queue={queued.length > 0 ? queued : lines}
              line={inHand}
              onLine={(key) => {
                if (key === null) stopWeighing()
                setWeighing((before) => (key === null || before === null ? null : { ...before, key }))
              }}
            />
          ) : one === undefined ? (
            <AllDone onClose={() => setClosing(true)} />
          ) : (
            <>
              {live.now.length > 1 && <Hands now={live.now} shown={one.task.id} onOpen={(id) => open(id)} />}
              <NowCard
                key={one.task.id}
                one={one}
                session={session}
                lines={ofNow}
                now={now}
                onWeigh={(key) => weigh(key, ofNow)}
                onSheet={setSheet}
                onDone={() => setChosen(null)}
              />
            </>
          )}
        </section>
        <div className="grid min-h-0 grid-cols-[minmax(0,1fr)] content-start gap-4 overflow-auto">
          <Serving plan={plan} now={now} />
          <Running live={live} now={now} onOpen={open} />
        </div>
      </div>
      <footer className="flex flex-wrap items-center gap-x-5 gap-y-2 border-t border-line pt-3">
        <p className="m-0 min-w-0 flex-1 basis-60 truncate text-[18px]">
          {live.next.slice(0, 2).map(({ task }, at) => (
            <span key={task.id} className="mr-4">
              <span className="text-ink-2">{at === 0 ? 'Next' : 'then'}</span>{' '}
              <b className="tabular-nums">{clockAt(task.startMin)}</b> {task.label}
            </span>
          ))}
        </p>
        <BigButton onClick={() => setSheet('steps')}>All steps</BigButton>
        {unweighed.length > 0 && inHand === undefined && (
          <BigButton onClick={weighAll}>Weigh everything in</BigButton>
        )}
        {one !== undefined && (
          <BigButton onClick={() => setSheet('otherwise')}>Something went otherwise</BigButton>
        )}
      </footer>
      {sheet === 'note' && one !== undefined && (
        <NoteSheet session={session} one={one} onClose={() => setSheet(null)} />
      )}
      {sheet === 'measure' && one !== undefined && (
        <MeasureSheet session={session} one={one} onClose={() => setSheet(null)} />
      )}
      {sheet === 'otherwise' && one !== undefined && (
        <OtherwiseSheet
          one={one}
          onClose={() => setSheet(null)}
          onNote={() => setSheet('note')}
          onSteps={() => setSheet('steps')}
        />
      )}
      {sheet === 'steps' && <StepsSheet live={live} onOpen={open} onClose={() => setSheet(null)} />}
      {sheet === 'counter' && <CounterSheet isAwake={isAwake} onClose={() => setSheet(null)} />}
    </main>
  )
}

const SAVED = {
  saved: 'Saved',
  unsaved: 'Saving …',
  saving: 'Saving …',
  refused: 'Not saved',
  clash: 'Waits for you',
  gone: 'Removed elsewhere',
} as const

/** The day as a file, for when the browser would not keep it. */
const saveDay = (day: CookDay): void =>
  saveFile('frijol-day.json', 'application/json', `${JSON.stringify(day, null, 1)}\n`)

/** Which day it is, and whether what was done is kept. */
function Top({ day, children }: { day: CookDay; children?: ReactNode }) {
  const save = useOpenDay((state) => state.save)
  const fault = useOpenDay((state) => state.fault)
  const isTroubled = save === 'refused' || save === 'gone'
  return (
    <header className="no-print flex items-center justify-between gap-x-3 px-1 text-[16px] max-sm:gap-x-1">
      <Link
        to={`/dish/${day.dishIds[0] ?? ''}/cook`}
        className="min-h-11 leading-[44px] whitespace-nowrap text-ink-2 underline"
      >
        The plan<span className="max-sm:hidden"> of {day.name}</span>
      </Link>
      <span className="ml-auto flex justify-end">{children}</span>
      <p role="status" className={clsx('m-0', isTroubled ? 'font-semibold text-adzuki-deep' : 'text-ink-2')}>
        {SAVED[save]}
        {isTroubled && fault !== null ? `: ${fault}` : ''}
      </p>
      {isTroubled && (
        <>
          <Button className="min-h-11" onClick={() => void flushDay()}>
            Try again
          </Button>
          <Button className="min-h-11" onClick={() => saveDay(day)}>
            Save a file
          </Button>
        </>
      )}
    </header>
  )
}

/** One card a pair of hands: which of them is shown. */
const Hands = ({
  now,
  shown,
  onOpen,
}: {
  now: readonly LiveTask[]
  shown: string
  onOpen: (id: string) => void
}) => (
  <div role="group" aria-label="Pairs of hands" className="mb-4 flex flex-wrap gap-2">
    {now.map(({ task }, at) => (
      <BigButton
        key={task.id}
        tone={task.id === shown ? 'primary' : 'plain'}
        aria-pressed={task.id === shown}
        onClick={() => onOpen(task.id)}
      >
        {at + 1}: {task.label}
      </BigButton>
    ))}
  </div>
)

const AllDone = ({ onClose }: { onClose: () => void }) => (
  <div className="grid h-full place-content-center gap-4 text-center">
    <h1 className="m-0 text-[36px]">Nothing is left for the hands</h1>
    <p className="m-0 text-[20px] text-ink-2">
      What goes by itself stands beside. When it is served, close the day: the trials are kept as they were
      made.
    </p>
    <BigButton tone="primary" className="justify-self-center" onClick={onClose}>
      Close the day
    </BigButton>
  </div>
)

const Closed = ({ session, dishId }: { session: CookSession; dishId: string }) => (
  <div className="mx-auto grid max-w-[720px] gap-3 p-6 text-[18px]">
    <h1 className="m-0 text-[32px]">This day is closed</h1>
    <p className="m-0">
      {session.dishes.length === 1 ? 'Its trial is' : 'Its trials are'} kept as made, with{' '}
      {session.weighings.length} weighings, {session.measures.length} measured figures and{' '}
      {session.notes.length} notes.
    </p>
    <p className="m-0">
      <Link to={`/dish/${dishId}/mix`} className="underline">
        Go on with the next trial
      </Link>
    </p>
    <Notes session={session} dishId={null} />
  </div>
)
