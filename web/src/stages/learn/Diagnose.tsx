import {
  type Gap,
  type Met,
  type Suspect,
  symptomsFor,
  symptomsIn,
  symptomsOfGaps,
  tapped,
} from '@frijol/core/diagnosis'
import { effectWords, type PartKey } from '@frijol/core/history'
import { type Dish, dishOfTrial, type Trial } from '@frijol/core/model'
import { useMemo, useState } from 'react'
import { type DiagnosisQuestion, goOn, useDiagnosis } from '../../store/learn'
import { Button, Card, Field, TextInput, toast, useSettled } from '../../ui'

export interface DiagnoseProps {
  dish: Dish
  /** null = the formula in work. */
  trial: Trial | null
  trials: readonly Trial[]
  part: PartKey
  /** What tasters or checks put off in it. */
  gaps: readonly Gap[]
  gapsBy: 'tasters' | 'check' | 'both'
}

const GAPS_WORDS = {
  tasters: 'What tasters said',
  check: 'What was measured',
  both: 'What was tasted and measured',
} as const
const MOST_CHIPS = 4
/** A pause of the hand after which what was typed is looked at, ms. */
const PAUSE_MS = 350

/** What went wrong: in a cook's words, by tapping, or from what was tasted. Causes ranked, each with its lever. */
export function Diagnose({ dish, trial, trials, part, gaps, gapsBy }: DiagnoseProps) {
  const number = trial?.number ?? dish.trial.number
  const [said, setSaid] = useState('')
  const [ids, setIds] = useState<readonly string[]>([])
  const [isOfTasting, setOfTasting] = useState(false)
  const [isWide, setWide] = useState(false)
  const settled = useSettled(said, PAUSE_MS)
  const shown = trial === null ? dish : dishOfTrial(dish, trial)
  const own =
    shown.parts.find(({ id }) => id === part.partId) ?? shown.parts.find(({ name }) => name === part.part)
  const family = own?.family ?? null
  const noted = useMemo(
    () => symptomsIn(`${trial?.notes ?? ''} ${trial?.decision ?? ''}`, family),
    [trial, family],
  )
  const met = useMemo((): readonly Met[] => {
    if (isOfTasting) return symptomsOfGaps(gaps, family)
    if (ids.length > 0) return tapped(ids)
    return settled.trim() === '' ? [] : symptomsIn(settled, family)
  }, [isOfTasting, gaps, ids, settled, family])
  const question = useQuestion(dish, trial, trials, part, met)
  const diagnosis = useDiagnosis(question)
  const symptoms = symptomsFor(family)
  const isMet = (id: string) => ids.includes(id) || met.some(({ symptom }) => symptom.id === id)
  const chips = isWide ? symptoms : symptoms.filter(({ id }, at) => at < MOST_CHIPS || isMet(id))
  const toggle = (id: string) => {
    setOfTasting(false)
    setIds(ids.includes(id) ? ids.filter((one) => one !== id) : [...ids, id])
  }
  return (
    <Card aria-label="What went wrong" className="px-4 py-3">
      <h2 className="m-0 mb-1.5 text-[15px]">What was wrong with trial {number}?</h2>
      <Field label="In your words" isLabelHidden>
        {(props) => (
          <TextInput
            {...props}
            value={said}
            placeholder="pasty, fell apart when turned, flat …"
            maxLength={400}
            onChange={(event) => {
              setOfTasting(false)
              setIds([])
              setSaid(event.target.value)
            }}
          />
        )}
      </Field>
      <div role="group" aria-label="Symptoms" className="mt-2 flex flex-wrap gap-1">
        {gaps.length > 0 && (
          <Symptom
            isOn={isOfTasting}
            words={GAPS_WORDS[gapsBy]}
            onToggle={() => setOfTasting(!isOfTasting)}
          />
        )}
        {noted.length > 0 && !isOfTasting && ids.length === 0 && said === '' && (
          <Symptom
            isOn={false}
            words="What was noted"
            onToggle={() => setIds(noted.map(({ symptom }) => symptom.id))}
          />
        )}
        {chips.map(({ id, words }) => (
          <Symptom
            key={id}
            isOn={
              !isOfTasting &&
              (ids.includes(id) || (ids.length === 0 && met.some(({ symptom }) => symptom.id === id)))
            }
            words={words}
            onToggle={() => toggle(id)}
          />
        ))}
        {symptoms.length > MOST_CHIPS && (
          <button
            type="button"
            aria-expanded={isWide}
            className="min-h-7 px-1.5 text-[13px] underline underline-offset-2"
            onClick={() => setWide(!isWide)}
          >
            {isWide ? 'fewer' : 'all symptoms'}
          </button>
        )}
      </div>
      <div aria-live="polite">
        {settled.trim() !== '' && ids.length === 0 && met.length === 0 && !isOfTasting && (
          <p className="m-0 mt-2 text-sm text-ink-2">
            No symptom is known by these words. Tap one, or say it otherwise.
          </p>
        )}
        {isOfTasting && met.length === 0 && (
          <p className="m-0 mt-2 text-sm text-ink-2">
            Nothing is further off than a panel, or a check, scatters.
          </p>
        )}
        {question !== null && diagnosis.isWorking && (
          <p className="m-0 mt-2 text-sm text-ink-2">Looking through the record …</p>
        )}
        {diagnosis.hasFailed && (
          <p className="m-0 mt-2 text-sm text-adzuki-deep">
            The diagnosis broke off. Nothing was changed; say it again.
          </p>
        )}
      </div>
      {question !== null && diagnosis.value != null && (
        <Suspects
          dish={dish}
          fromNumber={trial?.number ?? null}
          number={number}
          suspects={diagnosis.value.suspects}
          notInRecord={diagnosis.value.notInRecord}
          isOpen={diagnosis.value.isOpen}
        />
      )}
    </Card>
  )
}

const Symptom = ({ isOn, words, onToggle }: { isOn: boolean; words: string; onToggle: () => void }) => (
  <button
    type="button"
    aria-pressed={isOn}
    onClick={onToggle}
    className={`min-h-7 rounded-full border px-2.5 text-[13px] ${isOn ? 'border-aubergine bg-aubergine-soft font-semibold text-aubergine' : 'border-edge bg-paper text-ink-2 hover:border-ink-2'}`}
  >
    {words}
  </button>
)

function useQuestion(
  dish: Dish,
  trial: Trial | null,
  trials: readonly Trial[],
  part: PartKey,
  met: readonly Met[],
): DiagnosisQuestion | null {
  return useMemo(() => {
    if (met.length === 0) return null
    const fromNumber = trial === null ? dish.trial.fromNumber : trial.fromNumber
    const parent = trials.find(({ number }) => number === fromNumber && number !== trial?.number)
    const shown = trial === null ? dish : dishOfTrial(dish, trial)
    const own =
      shown.parts.find(({ id }) => id === part.partId) ?? shown.parts.find(({ name }) => name === part.part)
    return own === undefined
      ? null
      : {
          dish: shown,
          asMade: trial?.asMade ?? [],
          parent:
            parent === undefined
              ? null
              : { dish: dishOfTrial(dish, parent), asMade: parent.asMade, number: parent.number },
          partId: own.id,
          met,
        }
  }, [dish, trial, trials, part, met])
}

interface SuspectsProps {
  dish: Dish
  fromNumber: number | null
  number: number
  suspects: readonly Suspect[]
  notInRecord: number
  isOpen: boolean
}

const MOST_SHOWN = 3
const percent = (share: number): string => `${Math.round(100 * share)} %`

function Suspects({ dish, fromNumber, number, suspects, notInRecord, isOpen }: SuspectsProps) {
  const [open, setOpen] = useState(0)
  return (
    <div className="mt-3 grid gap-2.5">
      {isOpen && (
        <p className="m-0 rounded-lg bg-turmeric-soft px-3 py-2 text-sm">
          Nothing in the record of trial {number} explains it. What is usual, in order; only a check tells
          them apart.
        </p>
      )}
      <ol aria-label="Likely causes" className="m-0 grid list-none gap-2.5 p-0">
        {suspects.slice(0, MOST_SHOWN).map((suspect, at) => (
          <li key={suspect.words}>
            <button
              type="button"
              aria-expanded={open === at}
              className="block w-full rounded-md text-left"
              onClick={() => setOpen(open === at ? -1 : at)}
            >
              <span className="flex justify-between gap-3 text-sm">
                <b>{suspect.words}</b>
                <span>{percent(suspect.probability)}</span>
              </span>
              <span aria-hidden="true" className="mt-0.5 block h-2 overflow-hidden rounded-full bg-husk">
                <span
                  className="block h-full rounded-full bg-aubergine"
                  style={{ width: `${100 * suspect.probability}%` }}
                />
              </span>
            </button>
            {open === at && (
              <SuspectDetail dish={dish} fromNumber={fromNumber} number={number} suspect={suspect} />
            )}
          </li>
        ))}
      </ol>
      <p className="m-0 text-[13px] text-ink-2">Not in the record at all: {percent(notInRecord)}.</p>
    </div>
  )
}

function SuspectDetail({
  dish,
  fromNumber,
  number,
  suspect,
}: {
  dish: Dish
  fromNumber: number | null
  number: number
  suspect: Suspect
}) {
  const { lever, evidenceFor, evidenceAgainst, check, levers, risk, words } = suspect
  const take = async () => {
    if (lever === null) return
    const told = await goOn(
      dish,
      lever.dish,
      fromNumber,
      `diagnosis of trial ${number}: ${words.toLowerCase()}; ${lever.words}`,
    )
    if (told !== null) toast(told)
  }
  return (
    <div className="mt-1.5 grid gap-1.5 text-sm">
      {evidenceFor.map((one) => (
        <p key={one} className="m-0">
          <span className="font-semibold text-mung-deep">For: </span>
          {one}
        </p>
      ))}
      {evidenceAgainst.map((one) => (
        <p key={one} className="m-0 text-ink-2">
          <span className="font-semibold">Against: </span>
          {one}
        </p>
      ))}
      <p className="m-0 text-ink-2">
        <span className="font-semibold">To tell: </span>
        {check}
      </p>
      {lever === null ? (
        <p className="m-0 text-ink-2">
          <span className="font-semibold">Usually: </span>
          {levers}
        </p>
      ) : (
        <div className="rounded-lg bg-oat px-3 py-2">
          <p className="m-0 font-semibold first-letter:uppercase">{lever.words}</p>
          {lever.effects.length > 0 && <p className="m-0 text-ink-2">{effectWords(lever.effects, 5)}</p>}
          <Button className="mt-1.5 min-h-8" onClick={() => void take()}>
            Make it the next trial
          </Button>
        </div>
      )}
      <p className="m-0 text-[13px] text-ink-2">
        Too much of it: {risk.charAt(0).toLowerCase() + risk.slice(1)}
      </p>
    </div>
  )
}
