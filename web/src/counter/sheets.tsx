import { type LiveDay, type LiveTask, measuresFor, spell, usualRemarks } from '@frijol/core/day'
import type { CookSession, DayMeasure, TimedTask } from '@frijol/core/model'
import { checkOfKind } from '@frijol/core/texture'
import { useRef, useState } from 'react'
import { Link } from 'react-router'
import {
  beginTask,
  connectDevices,
  disconnectDevices,
  endTask,
  giveLonger,
  keepPhoto,
  skipTask,
  useDevices,
  writeMeasure,
  writeNote,
} from '../store/day'
import { Field, NumberField, SelectInput, Sheet, TextInput, toast } from '../ui'
import { askToNotify, mayNotify, ring } from './alarm'
import { BigButton } from './Big'
import { clockAt } from './clock'
import { Notes } from './Notes'
import { useSound } from './useCounter'

interface SheetProps {
  onClose: () => void
}
interface TaskSheetProps extends SheetProps {
  session: CookSession
  one: LiveTask
}

const partOfTask = (session: CookSession, task: TimedTask) => {
  const dish = session.dishes.find(({ id }) => id === task.dishId)
  return dish?.parts.find(({ steps }) => steps.some(({ id }) => id === task.stepId)) ?? null
}

/** A word in the moment: usual remarks in one tap, free text, a picture. */
export function NoteSheet({ session, one, onClose }: TaskSheetProps) {
  const [text, setText] = useState('')
  const [isBusy, setBusy] = useState(false)
  const file = useRef<HTMLInputElement | null>(null)
  const family = partOfTask(session, one.task)?.family ?? null
  const keep = (words: string) => {
    if (words.trim() === '') return
    if (writeNote(words.trim().slice(0, 2000), one.task)) toast(`Noted: ${words}`)
    onClose()
  }
  const photo = async (picked: File | undefined) => {
    if (picked === undefined) return
    setBusy(true)
    const fault = await keepPhoto(picked, one.task).catch((error: unknown) => {
      console.error(error)
      return 'The picture could not be kept: the browser has no room for it. All else is safe.'
    })
    setBusy(false)
    toast(fault ?? 'The picture is kept with this step.')
    if (fault === null) onClose()
  }
  return (
    <Sheet title={`Note, ${one.task.label}`} isOpen onClose={onClose} width="wide">
      <div className="mb-3 flex flex-wrap gap-2">
        {usualRemarks(family).map((remark) => (
          <BigButton key={remark} onClick={() => keep(remark)}>
            {remark}
          </BigButton>
        ))}
      </div>
      <form
        className="flex flex-wrap gap-2"
        onSubmit={(event) => {
          event.preventDefault()
          keep(text)
        }}
      >
        <label className="sr-only" htmlFor="note-text">
          In your own words
        </label>
        <TextInput
          id="note-text"
          className="min-h-[56px] min-w-0 flex-1 text-[18px]"
          placeholder="In your own words"
          value={text}
          maxLength={2000}
          onChange={(event) => setText(event.target.value)}
        />
        <BigButton type="submit" tone="primary" disabled={text.trim() === ''}>
          Keep the note
        </BigButton>
      </form>
      <div className="mt-3">
        <input
          ref={file}
          type="file"
          accept="image/*"
          capture="environment"
          aria-label="A picture"
          className="sr-only"
          onChange={(event) => void photo(event.target.files?.[0])}
        />
        <BigButton disabled={isBusy} onClick={() => file.current?.click()}>
          {isBusy ? 'Making it small …' : 'Take or choose a picture'}
        </BigButton>
      </div>
      <Notes session={session} dishId={one.task.dishId} />
    </Sheet>
  )
}

const KINDS: Partial<Record<DayMeasure['kind'], readonly [name: string, unit: string]>> = {
  'step-mass': ['Mass after this step', 'g'],
  yield: ['Mass of the whole part, cooked', 'g'],
  core: ['Core temperature', '°C'],
  'line-spread': ['Line spread after 60 s', 'cm'],
  press: ['Height left after pressing', '%'],
  pH: ['pH', ''],
  portions: ['Portions that it made', ''],
}
function kindOf(kind: DayMeasure['kind']): { name: string; unit: string; how: string | null } {
  const check = checkOfKind(kind)
  const [name, unit] = KINDS[kind] ?? [check?.label ?? kind, check?.unit ?? '']
  return { name, unit, how: check?.how ?? null }
}
/** What is wrong with a figure; null where nothing is. */
function faultOf(kind: DayMeasure['kind'], figure: number): string | null {
  const check = checkOfKind(kind)
  if (check === null) return figure < -50 || figure > 1e6 ? 'That cannot be.' : null
  return figure >= check.low && figure <= check.high
    ? null
    : `Between ${check.low} and ${check.high} ${check.unit}.`
}

/** A figure that was measured here. Every one of them can be left out. */
export function MeasureSheet({ session, one, onClose }: TaskSheetProps) {
  const { task } = one
  const { scale, probe } = useDevices()
  const part = partOfTask(session, task)
  const step = part?.steps.find(({ id }) => id === task.stepId)
  const isLast = part !== null && part.steps.at(-1)?.id === task.stepId
  const kinds = measuresFor(step?.operation ?? null, part?.family ?? null, isLast)
  const [kind, setKind] = useState<DayMeasure['kind']>(kinds[0] ?? 'step-mass')
  const [value, setValue] = useState<number | null>(null)
  const onScale = kind === 'step-mass' || kind === 'yield' ? (scale?.g ?? null) : null
  const channel = probe?.channels.find(({ c }) => c !== null)
  const offered = kind === 'core' ? (channel?.c ?? null) : onScale
  const { name, unit, how } = kindOf(kind)
  const before = session.measures.filter(
    (each) => each.dishId === task.dishId && each.stepId === task.stepId && each.kind === kind,
  )
  const keep = (figure: number, isOnce = true) => {
    const isWritten = writeMeasure({
      kind,
      dishId: task.dishId,
      partId: part?.id ?? null,
      stepId: task.stepId,
      value: figure,
    })
    if (!isWritten) return
    toast(
      `${name}: ${figure} ${unit}${kind === 'step-mass' || (how !== null && isLast) ? '. The kitchen learns from it.' : ''}`,
    )
    setValue(null)
    if (isOnce) onClose()
  }
  return (
    <Sheet
      title={`Measure, ${task.label}`}
      description="What is not measured is predicted; nothing waits for it."
      isOpen
      onClose={onClose}
      width="wide"
    >
      <div className="grid gap-4">
        <Field label="What is measured">
          {(props) => (
            <SelectInput
              {...props}
              className="min-h-[56px] text-[18px]"
              value={kind}
              onChange={({ target }) => {
                const chosen = kinds.find((each) => each === target.value)
                if (chosen !== undefined) setKind(chosen)
              }}
            >
              {kinds.map((each) => (
                <option key={each} value={each}>
                  {kindOf(each).name}
                </option>
              ))}
            </SelectInput>
          )}
        </Field>
        {how !== null && <p className="m-0 max-w-prose text-[16px] text-ink-2">{how}</p>}
        {offered !== null && (
          <BigButton tone="primary" className="justify-self-start" onClick={() => keep(offered)}>
            Take {offered.toFixed(1)} {unit} from the {kind === 'core' ? 'probe' : 'scale'}
          </BigButton>
        )}
        <NumberField
          label={`${name}${unit === '' ? '' : `, ${unit}`}`}
          value={value}
          onChange={(next) => {
            const fault = next === null ? null : faultOf(kind, next)
            setValue(fault === null ? next : null)
            return fault
          }}
        />
        {before.length > 0 && (
          <p className="m-0 text-ink-2">
            Written so far: {before.map((each) => `${each.value} ${unit}`).join(', ')}.
          </p>
        )}
        <div className="flex flex-wrap gap-3">
          <BigButton disabled={value === null} onClick={() => value !== null && keep(value)}>
            Keep the figure
          </BigButton>
          {how !== null && (
            <BigButton disabled={value === null} onClick={() => value !== null && keep(value, false)}>
              Keep it, and once more
            </BigButton>
          )}
        </div>
      </div>
    </Sheet>
  )
}

const LONGER = [2, 5, 10, 20] as const

/** Something went otherwise: it takes longer, it is left out, it was done at another time. */
export function OtherwiseSheet({
  one,
  onClose,
  onNote,
  onSteps,
}: Omit<TaskSheetProps, 'session'> & { onNote: () => void; onSteps: () => void }) {
  const { task, state } = one
  const act = (does: () => void) => () => {
    does()
    onClose()
  }
  return (
    <Sheet
      title={`Otherwise than planned: ${task.label}`}
      description="What is left is planned anew at once; a later serving is shown before it counts."
      isOpen
      onClose={onClose}
      width="wide"
    >
      <div className="flex flex-wrap gap-2">
        {(state === 'running' || state === 'due') &&
          LONGER.map((minutes) => (
            <BigButton key={minutes} onClick={act(() => giveLonger(task, minutes))}>
              {minutes} min more
            </BigButton>
          ))}
        {state === 'waiting' && (
          <>
            <BigButton onClick={act(() => beginTask(task))}>It has begun</BigButton>
            <BigButton onClick={act(() => endTask(task))}>It is done already</BigButton>
          </>
        )}
        <BigButton onClick={act(() => skipTask(task))}>Leave it out</BigButton>
        <BigButton onClick={onNote}>Write down what went otherwise</BigButton>
        <BigButton onClick={onSteps}>Another step went otherwise</BigButton>
      </div>
    </Sheet>
  )
}

const STATE_WORDS: Record<LiveTask['state'], string> = {
  waiting: '',
  running: 'goes on',
  due: 'is up',
  done: 'done',
  skipped: 'left out',
  missed: 'missed',
}

/** Every step of the day; any of them can be opened at any time. */
export function StepsSheet({
  live,
  onOpen,
  onClose,
}: SheetProps & { live: LiveDay; onOpen: (id: string) => void }) {
  return (
    <Sheet title="All steps of the day" isOpen onClose={onClose} width="wide">
      <ol className="m-0 list-none p-0">
        {live.tasks.map(({ task, state }) => (
          <li key={task.id} className="border-b border-line last:border-0">
            <button
              type="button"
              className="flex min-h-[56px] w-full items-center gap-3 text-left text-[17px] hover:bg-husk"
              onClick={() => onOpen(task.id)}
            >
              <b className="w-14 shrink-0 tabular-nums">{clockAt(task.startMin)}</b>
              <span className="min-w-0 flex-1">
                <span className="inline-block first-letter:uppercase">{task.label}</span>{' '}
                <span className="text-ink-2">{task.dish}</span>
              </span>
              <span className="shrink-0 text-ink-2">
                {STATE_WORDS[state] === '' ? spell(task.task.durationMin) : STATE_WORDS[state]}
              </span>
            </button>
          </li>
        ))}
      </ol>
    </Sheet>
  )
}

/** How the counter speaks and listens. */
export function CounterSheet({ isAwake, onClose }: SheetProps & { isAwake: boolean }) {
  const { link, name } = useDevices()
  const hasSound = useSound(({ isOn }) => isOn)
  const [notifies, setNotifies] = useState(mayNotify())
  return (
    <Sheet title="At this counter" isOpen onClose={onClose} width="wide">
      <div className="grid gap-4 text-[17px]">
        <section aria-label="Scale and probe">
          <h3 className="m-0 mb-1 text-[18px]">Scale and probe</h3>
          <p className="m-0 mb-2 text-ink-2">
            {link === 'off'
              ? 'Masses are typed. A scale can be connected at any time.'
              : link === 'on'
                ? `Connected: ${name}.`
                : `Looked for: ${name}. Masses can be typed meanwhile.`}
          </p>
          <div className="flex flex-wrap items-center gap-2">
            {link === 'off' ? (
              <BigButton tone="primary" onClick={connectDevices}>
                Connect the scale and the probe
              </BigButton>
            ) : (
              <BigButton onClick={disconnectDevices}>Weigh by hand</BigButton>
            )}
            <Link to="/stand-in" target="_blank" className="min-h-11 px-2 leading-[44px] underline">
              Controls of the simulated devices
            </Link>
          </div>
        </section>
        <section aria-label="Sound and news">
          <h3 className="m-0 mb-1 text-[18px]">Sound and news</h3>
          <div className="flex flex-wrap gap-2">
            <BigButton aria-pressed={hasSound} onClick={() => useSound.setState({ isOn: !hasSound })}>
              {hasSound ? 'Sound is on' : 'Sound is off'}
            </BigButton>
            <BigButton onClick={() => ring('This is how it sounds', true)}>Try it</BigButton>
            {notifies === 'default' && (
              <BigButton onClick={() => void askToNotify().then(setNotifies)}>
                Tell me over other pages, too
              </BigButton>
            )}
          </div>
          <p className="m-0 mt-2 text-[16px] text-ink-2">
            {notifies === 'granted'
              ? 'What is due is told over other pages, too.'
              : notifies === 'denied'
                ? 'The browser does not allow messages over other pages.'
                : ''}{' '}
            {isAwake ? 'The screen stays on.' : 'The screen may go dark: timers run on all the same.'}
          </p>
        </section>
        {document.fullscreenEnabled && (
          <BigButton
            className="justify-self-start"
            onClick={() =>
              void (document.fullscreenElement === null
                ? document.documentElement.requestFullscreen()
                : document.exitFullscreen())
            }
          >
            Whole screen, or back
          </BigButton>
        )}
        <section aria-label="Keys">
          <h3 className="m-0 mb-1 text-[18px]">Keys</h3>
          <p className="m-0 text-ink-2">
            Space: the next thing. W weigh in, N note, M measure, S all steps, O otherwise, U undo.
          </p>
        </section>
      </div>
    </Sheet>
  )
}
