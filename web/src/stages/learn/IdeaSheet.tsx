import type { Change, PartKey } from '@frijol/core/history'
import { ratioIdeasOf, whatOf, whatWords } from '@frijol/core/ideas'
import type { Dish, Idea, IdeaScope, IdeaWhat, Trial } from '@frijol/core/model'
import { OPERATION_NAMES } from '@frijol/core/reading'
import { useMemo, useState } from 'react'
import { keepIdea, newId, useTrials, useWorked } from '../../store'
import { firstSentence } from './words'
import { Button, Choice, Field, SelectInput, Sheet, TextInput, toast } from '../../ui'

export interface IdeaSheetProps {
  dish: Dish
  trial: Trial
  part: PartKey
  change: Change | null
  parentNumber: number | null
  onClose: () => void
}

const SCOPES = {
  dish: 'in this dish',
  family: 'in dishes of its family',
  kitchen: 'everywhere here',
} as const

/** A part of a worked trial as an idea needs it. */
function sideOf(worked: ReturnType<typeof useWorked>, part: PartKey) {
  const shown =
    worked?.dish.parts.find(({ id }) => id === part.partId) ??
    worked?.dish.parts.find(({ name }) => name === part.part)
  const reading = worked?.assessment.parts.find(({ partId }) => partId === shown?.id)
  return shown === undefined || reading === undefined
    ? null
    : { reading, steps: shown.steps, family: shown.family }
}

/** Keeps a change in mind, to be done again or not, with the reason and where it holds. */
export function IdeaSheet({ dish, trial, part, change, parentNumber, onClose }: IdeaSheetProps) {
  const { trials } = useTrials(dish.id)
  const parent = trials.find(({ number }) => number === parentNumber) ?? null
  const own = useWorked(dish, trial)
  const before = useWorked(parent === null ? null : dish, parent)
  const [verdict, setVerdict] = useState<Idea['verdict']>(trial.state === 'set-aside' ? 'rejected' : 'kept')
  const [words, setWords] = useState(() => (change?.words ?? '').replace(/^\+/, '').replace(/ \(new\)$/, ''))
  const [reason, setReason] = useState(() =>
    firstSentence(trial.decision.replace(/^\s*set aside[:.,]?\s*/i, '')),
  )
  const [scope, setScope] = useState<keyof typeof SCOPES>('dish')
  const after = useMemo(() => sideOf(own, part), [own, part])
  const was = useMemo(() => sideOf(before, part), [before, part])
  const whats = useMemo((): readonly IdeaWhat[] => {
    if (change === null || after === null) return []
    const plain = whatOf(change, was, after)
    return [...(plain === null ? [] : [plain]), ...ratioIdeasOf(change, was, after)]
  }, [change, was, after])
  const [about, setAbout] = useState('0')
  const what = whats[Number(about)] ?? null
  const isFit = what !== null && words.trim() !== '' && reason.trim() !== ''
  const keep = () => {
    if (what === null) return
    const family = after?.family ?? null
    const held: IdeaScope =
      scope === 'kitchen'
        ? { kind: 'kitchen' }
        : scope === 'family' && family !== null
          ? { kind: 'family', family }
          : { kind: 'dish', dishId: dish.id }
    const kept = keepIdea({
      id: newId(),
      verdict,
      what,
      words: words.trim().slice(0, 200),
      reason: reason.trim().slice(0, 300),
      scope: held,
      dishId: dish.id,
      dishName: dish.name,
      trialNumber: trial.number,
      date: trial.date,
    })
    if (!kept) return
    toast(verdict === 'rejected' ? 'Kept in mind: you will be told before it comes back.' : 'Kept in mind.')
    onClose()
  }
  return (
    <Sheet
      title="Keep in mind"
      description={`From trial ${trial.number}: ${change?.words ?? ''}`}
      isOpen
      onClose={onClose}
    >
      {what === null ? (
        <p className="m-0 text-sm">
          This change is nothing that could be met again in another formula: a larger batch, or other words.
        </p>
      ) : (
        <div className="grid gap-3">
          {whats.length === 1 ? (
            <p className="m-0 rounded-lg bg-oat px-3 py-2 text-sm">
              <span className="text-ink-2">Met again as: </span>
              {whatWords(what, (id) => OPERATION_NAMES[id])}
            </p>
          ) : (
            <Field label="Met again as">
              {(props) => (
                <SelectInput {...props} value={about} onChange={({ target }) => setAbout(target.value)}>
                  {whats.map((one, at) => (
                    <option key={at} value={String(at)}>
                      {whatWords(one, (id) => OPERATION_NAMES[id])}
                    </option>
                  ))}
                </SelectInput>
              )}
            </Field>
          )}
          <Choice
            label="What to do with it"
            options={['rejected', 'kept'] as const}
            names={{ rejected: 'Not again', kept: 'Good: keep it' }}
            value={verdict}
            onChange={setVerdict}
          />
          <Field label="The idea, in your words">
            {(props) => (
              <TextInput
                {...props}
                value={words}
                maxLength={200}
                onChange={(event) => setWords(event.target.value)}
              />
            )}
          </Field>
          <Field label="Why">
            {(props) => (
              <TextInput
                {...props}
                value={reason}
                maxLength={300}
                placeholder="reads as sausage"
                onChange={(event) => setReason(event.target.value)}
              />
            )}
          </Field>
          <Choice
            label="Where it holds"
            options={['dish', 'family', 'kitchen'] as const}
            names={SCOPES}
            value={scope}
            onChange={setScope}
          />
          <div>
            <Button tone="primary" disabled={!isFit} onClick={keep}>
              Keep in mind
            </Button>
          </div>
        </div>
      )}
    </Sheet>
  )
}
