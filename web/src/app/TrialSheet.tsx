import type { Trial } from '@frijol/core/model'
import { useState } from 'react'
import { commands, keepTrial, run, useDish, useTrials } from '../store'
import { DamagedRow } from '../parts'
import { Button, Empty, Field, formatDay, Sheet, Tag, TextArea, toast } from '../ui'

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
      <TrialList onDone={onClose} />
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

function TrialList({ onDone }: { onDone: () => void }) {
  const dish = useDish()
  const { trials, bad } = useTrials(dish.id)
  if (trials.length === 0 && bad.length === 0)
    return <Empty sentence="No trial is kept yet. Keep the first when you have made it." />
  return (
    <ol className="m-0 mt-4 grid list-none gap-3 ps-0">
      {bad.map((row) => (
        <li key={row.id}>
          <DamagedRow row={row} what="A kept trial" />
        </li>
      ))}
      {[...trials].reverse().map((trial) => (
        <li key={trial.id} className="border-t border-line pt-3">
          <div className="flex flex-wrap items-baseline gap-2">
            <strong>Trial {trial.number}</strong>
            {trial.fromNumber !== null && <span className="text-sm text-ink-2">from {trial.fromNumber}</span>}
            <span className="text-sm text-ink-2">{formatDay(trial.date)}</span>
            <Tag tone={trial.state === 'made' ? 'mung' : 'turmeric'}>
              {trial.state === 'made' ? 'Made' : 'Set aside'}
            </Tag>
            <Button
              tone="quiet"
              className="ml-auto"
              onClick={() => {
                run(commands.takeUpTrial(trial, trial.number))
                toast(`Trial ${trial.number} is taken up again. Undo with U.`)
                onDone()
              }}
            >
              Take up its formula
            </Button>
          </div>
          {trial.notes !== '' && <p className="m-0 mt-1 text-sm">{trial.notes}</p>}
          {trial.decision !== '' && <p className="m-0 mt-1 text-sm text-ink-2">{trial.decision}</p>}
        </li>
      ))}
    </ol>
  )
}
