import type { Dish, Trial } from '@frijol/core/model'
import { useMemo, useState } from 'react'
import { commands, type DamagedEntry, keepTrial, run, useDish, useTrials, useWorked } from '../store'
import { DamagedRow } from '../parts'
import { Button, Empty, Field, formatDay, SelectInput, Sheet, Tag, TextArea, toast } from '../ui'
import { CompareView, DishView } from '../view'

export interface TrialSheetProps {
  isOpen: boolean
  onClose: () => void
}

/** The trials of the dish: what was made, what was set aside, and keeping the present one. */
export function TrialSheet({ isOpen, onClose }: TrialSheetProps) {
  const dish = useDish()
  return (
    <Sheet
      title={`Trials of ${dish.name}`}
      description="A kept trial is frozen as it was made. Work goes on as the next one."
      isOpen={isOpen}
      onClose={onClose}
      width="wide"
    >
      <KeepTrial onDone={onClose} />
      <Trials onDone={onClose} />
    </Sheet>
  )
}

function KeepTrial({ onDone }: { onDone: () => void }) {
  const dish = useDish()
  const [notes, setNotes] = useState('')
  const [decision, setDecision] = useState('')
  const keep = async (state: Trial['state']) => {
    const number = await keepTrial(state, notes, decision)
    if (number === null) return
    toast(`Trial ${number} is kept. This is the next one now.`)
    onDone()
  }
  return (
    <div className="grid gap-3 rounded-lg border border-line bg-oat/60 p-3">
      <h3 className="m-0 text-[15px]">Keep trial {dish.trial.number}</h3>
      <Reasons why={dish.trial.why} />
      <Field label="Notes in the moment" hint="What the next person at the counter should know.">
        {(props) => (
          <TextArea
            {...props}
            value={notes}
            onChange={(event) => setNotes(event.target.value)}
            maxLength={20_000}
          />
        )}
      </Field>
      <Field label="Decision and why">
        {(props) => (
          <TextArea
            {...props}
            value={decision}
            onChange={(event) => setDecision(event.target.value)}
            maxLength={2000}
          />
        )}
      </Field>
      <div className="flex gap-2">
        <Button tone="primary" onClick={() => void keep('made')}>
          Keep as made
        </Button>
        <Button onClick={() => void keep('set-aside')}>Set aside</Button>
      </div>
    </div>
  )
}

/** What a formula came by: proposals that were taken over into it. */
const Reasons = ({ why }: { why: readonly string[] }) =>
  why.length === 0 ? null : (
    <ul aria-label="Came by" className="m-0 list-none p-0 text-sm text-ink-2">
      {why.map((reason, at) => (
        <li key={at} className="first-letter:uppercase">
          {reason}
        </li>
      ))}
    </ul>
  )

/** The kept trials, and two of them (or one and the present formula) side by side. */
function Trials({ onDone }: { onDone: () => void }) {
  const dish = useDish()
  const { trials, bad } = useTrials(dish.id)
  if (trials.length === 0 && bad.length === 0)
    return <Empty sentence="No trial is kept yet. Keep the first when you have made it." />
  return (
    <>
      {trials.length > 0 && <Compare trials={trials} />}
      <TrialList trials={trials} bad={bad} onDone={onDone} />
    </>
  )
}

const PRESENT = 'present'

function Compare({ trials }: { trials: readonly Trial[] }) {
  const dish = useDish()
  const [sides, setSides] = useState<readonly [string, string]>([trials.at(-1)?.id ?? PRESENT, PRESENT])
  const [isOpen, setOpen] = useState(false)
  const trialOf = (side: string): Trial | null => trials.find(({ id }) => id === side) ?? null
  const left = useWorked(dish, trialOf(sides[0]))
  const right = useWorked(dish, trialOf(sides[1]))
  const nameOf = (side: string): string => {
    const trial = trialOf(side)
    return trial === null ? `Now (trial ${dish.trial.number})` : `Trial ${trial.number}`
  }
  const [leftName, rightName] = [nameOf(sides[0]), nameOf(sides[1])]
  const columns = useMemo(
    () =>
      left === null || right === null
        ? null
        : [
            { name: leftName, worked: left },
            { name: rightName, worked: right },
          ],
    [left, right, leftName, rightName],
  )
  const choose = (at: 0 | 1, side: string) => setSides(at === 0 ? [side, sides[1]] : [sides[0], side])
  return (
    <section aria-label="Compare" className="mt-4 grid gap-3">
      <div className="flex flex-wrap items-center gap-2 text-sm">
        <b>Compare</b>
        {([0, 1] as const).map((at) => (
          <SelectInput
            key={at}
            aria-label={at === 0 ? 'First' : 'Second'}
            className="!w-auto"
            value={sides[at]}
            onChange={(event) => choose(at, event.target.value)}
          >
            <option value={PRESENT}>{nameOf(PRESENT)}</option>
            {trials.map(({ id, number }) => (
              <option key={id} value={id}>
                Trial {number}
              </option>
            ))}
          </SelectInput>
        ))}
        <Button aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
          {isOpen ? 'Close' : 'Side by side'}
        </Button>
      </div>
      {isOpen && columns !== null && <CompareView columns={columns} />}
    </section>
  )
}

interface TrialListProps {
  trials: readonly Trial[]
  bad: readonly DamagedEntry[]
  onDone: () => void
}

function TrialList({ trials, bad, onDone }: TrialListProps) {
  return (
    <ol className="m-0 mt-4 grid list-none gap-3 ps-0">
      {bad.map((row) => (
        <li key={row.id}>
          <DamagedRow row={row} what="A kept trial" />
        </li>
      ))}
      {[...trials].reverse().map((trial) => (
        <TrialEntry key={trial.id} trial={trial} onDone={onDone} />
      ))}
    </ol>
  )
}

function TrialEntry({ trial, onDone }: { trial: Trial; onDone: () => void }) {
  const dish = useDish()
  const [isOpen, setOpen] = useState(false)
  return (
    <li className="border-t border-line pt-3">
      <div className="flex flex-wrap items-baseline gap-2">
        <strong>Trial {trial.number}</strong>
        {trial.fromNumber !== null && <span className="text-sm text-ink-2">from {trial.fromNumber}</span>}
        <span className="text-sm text-ink-2">{formatDay(trial.date)}</span>
        <Tag tone={trial.state === 'made' ? 'mung' : 'turmeric'}>
          {trial.state === 'made' ? 'Made' : 'Set aside'}
        </Tag>
        <span className="ml-auto flex">
          <Button tone="quiet" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Close' : 'Look at it'}
          </Button>
          <Button
            tone="quiet"
            onClick={() => {
              run(commands.takeUpTrial(trial, trial.number))
              toast(`Trial ${trial.number} is taken up again. Undo with U.`)
              onDone()
            }}
          >
            Take up its formula
          </Button>
        </span>
      </div>
      <Reasons why={trial.why} />
      {trial.notes !== '' && <p className="m-0 mt-1 text-sm">{trial.notes}</p>}
      {trial.decision !== '' && <p className="m-0 mt-1 text-sm text-ink-2">{trial.decision}</p>}
      {isOpen && <TrialView dish={dish} trial={trial} />}
    </li>
  )
}

function TrialView({ dish, trial }: { dish: Dish; trial: Trial }) {
  const worked = useWorked(dish, trial)
  return worked === null ? null : (
    <div className="mt-2 rounded-lg bg-oat/60 p-3">
      <DishView worked={worked} />
    </div>
  )
}
