import type { Part, PartAssessment } from '@frijol/core/model'
import type { Answer, Focus, Tuned } from '@frijol/core/tune'
import { useEffect, useState } from 'react'
import {
  commands,
  isCooked,
  run,
  showProposal,
  takeProposal,
  type Tuning,
  useDish,
  useTaken,
  useTuning,
  withGrams,
} from '../../../store'
import { BroughtBack } from '../../../findings'
import { Button, Card, CardTitle, Choice, HeaderActions, toast } from '../../../ui'
import { AnswersTable } from './AnswersTable'
import { Held } from './Held'
import { HoldsBack } from './HoldsBack'
import { MayChange } from './MayChange'
import { Movement } from './Movement'
import { paSText, Thickened, ThickTo } from './ThickTo'
import { changeAsk, useAsk } from './useAsk'
import { Waiting } from './Waiting'
import { ANSWER_NAMES, changeCount, shownGrams } from './words'

const FOCUSES = ['all', 'seasoning', 'thickness'] as const satisfies readonly Focus[]
const FOCUS_NAMES: Readonly<Record<Focus, string>> = {
  all: 'All that counts',
  seasoning: 'Seasoning',
  thickness: 'Thickness',
}
const NOTHING_REFUSED: ReadonlySet<string> = new Set()

export interface TuneViewProps {
  part: Part
  reading: PartAssessment
  onClose: () => void
}

/** Tune: which amounts bring this part to its original, what holds it back, and what each way costs. */
export function TuneView({ part, reading, onClose }: TuneViewProps) {
  const dish = useDish()
  const ask = useAsk(part.id)
  const { tuning, stop } = useTuning(ask)
  const [choice, setChoice] = useState({ ask, dish, chosen: 0, refused: NOTHING_REFUSED })
  // Another search is another table: nothing of the old one is left out of it.
  const { chosen, refused } =
    choice.ask === ask && choice.dish === dish ? choice : { chosen: 0, refused: NOTHING_REFUSED }
  const [isOpen, setOpen] = useState(false)
  const at = Math.min(chosen, Math.max(0, tuning.answers.length - 1))
  const answer = tuning.answers[at] ?? null
  const taken = useTaken(answer, refused)
  useEffect(() => {
    showProposal(taken?.assessment ?? null)
    return () => showProposal(null)
  }, [taken])
  const isCookedNow = isCooked(dish)
  const name = answer === null ? '' : ANSWER_NAMES[answer.kind](changeCount(answer)).toLowerCase()
  const take = async () => {
    if (answer === null || taken === null) return
    const now =
      taken.assessment.parts.find(({ partId }) => partId === part.id)?.distance ?? answer.objective.after
    const moved =
      answer.consistency === null
        ? `distance ${answer.objective.before.toFixed(1)} to ${now.toFixed(1)}`
        : `thickness ${paSText(answer.consistency.before)} to ${paSText(answer.consistency.after)}`
    const reason = `tune ${part.name.toLowerCase()} (${name}): ${moved}`
    const told = await takeProposal(dish, taken.dish, reason)
    if (told === null) return
    toast(told)
    onClose()
  }
  const refuse = (id: string) => {
    const next = new Set(refused)
    if (!next.delete(id)) next.add(id)
    setChoice({ ask, dish, chosen, refused: next })
  }
  return (
    <div className="grid flex-1 items-start gap-4 pb-4 lg:grid-cols-[minmax(0,1fr)_minmax(380px,430px)]">
      <HeaderActions>
        {tuning.state === 'looking' && <Button onClick={stop}>Stop looking</Button>}
        <Button onClick={onClose}>Leave as it is</Button>
        <Button
          tone="primary"
          disabled={answer === null || changeCount(answer) === 0}
          onClick={() => void take()}
        >
          {name === '' ? 'Take it' : `Take ${name}`}
          {isCookedNow ? ' as the next trial' : ''}
        </Button>
      </HeaderActions>
      <Card aria-label="Ways there" className="overflow-hidden">
        <div className="px-4 pt-3 max-sm:px-2.5">
          <Choice
            label="What to bring closer"
            value={ask.focus}
            options={FOCUSES}
            names={FOCUS_NAMES}
            onChange={(focus) => changeAsk(part.id, { focus })}
          />
          {ask.focus === 'thickness' && <ThickTo partId={part.id} nowPaS={reading.viscosityPaS} />}
        </div>
        {answer === null ? (
          <Waiting tuning={tuning} partId={part.id} />
        ) : (
          <AnswersTable
            part={part}
            reading={reading}
            answers={tuning.answers}
            chosen={at}
            onChoose={(next) => setChoice({ ask, dish, chosen: next, refused: NOTHING_REFUSED })}
            refused={refused}
            onRefuse={refuse}
            ask={ask}
          />
        )}
        <div className="px-3.5 empty:hidden">
          <BroughtBack proposed={taken?.assessment ?? null} />
        </div>
        {tuning.tuned !== null && <HoldsBack tuned={tuning.tuned} />}
      </Card>
      <div className="grid gap-3">
        {answer !== null && answer.consistency !== null && ask.consistency !== null && (
          <Thickened reached={answer.consistency} wanted={ask.consistency} />
        )}
        {answer !== null && taken !== null && answer.consistency === null && (
          <Movement
            answer={answer}
            after={taken.assessment.parts.find(({ partId }) => partId === part.id) ?? null}
            name={name}
          />
        )}
        <Card className="px-3.5 py-3">
          <CardTitle
            title="Held, and allowed"
            aside={
              <button
                type="button"
                aria-haspopup="dialog"
                className="min-h-6 underline underline-offset-2 hover:text-ink"
                onClick={() => setOpen(true)}
              >
                change
              </button>
            }
          />
          <Held limits={answer?.limits ?? []} unknown={tuning.tuned?.unknown ?? []} part={part} />
          <MayChange part={part} reading={reading} isOpen={isOpen} onClose={() => setOpen(false)} />
        </Card>
        {tuning.tuned !== null && tuning.tuned.additions.length > 0 && (
          <LittleByLittle additions={tuning.tuned.additions} part={part} reading={reading} />
        )}
        {(answer !== null || tuning.state === 'looking') && <HowSure tuning={tuning} answer={answer} />}
      </div>
    </div>
  )
}

interface LittleProps {
  additions: Tuned['additions']
  part: Part
  reading: PartAssessment
}

/** For a mix in hand, where nothing can be taken out again: the next small addition, and where to stop. */
function LittleByLittle({ additions, part, reading }: LittleProps) {
  const add = (lineId: string, addG: number) => {
    const line = part.lines.find(({ id }) => id === lineId)
    const massG = reading.lines.find((one) => one.lineId === lineId)?.massG ?? null
    if (line === undefined || massG === null) return
    run(commands.rewriteLine(part.id, withGrams(line, massG + addG)))
  }
  return (
    <Card className="px-3.5 py-3">
      <CardTitle title="Little by little" aside="nothing taken out" />
      <ul className="m-0 grid list-none gap-1.5 p-0 text-sm">
        {additions.map(({ lineId, name, addG, moves, stopG, why }) => (
          <li key={lineId} className="flex items-start gap-2">
            <span className="min-w-0 flex-1">
              <b>
                +{shownGrams(addG)} g {name.toLowerCase()}
              </b>
              {moves.length > 0 && `: ${moves.join(', ')}`}
              <span className="text-ink-2">
                . Stop at +{shownGrams(stopG)} g: {why}.
              </span>
            </span>
            <Button onClick={() => add(lineId, addG)} aria-label={`Add ${shownGrams(addG)} g ${name}`}>
              Add
            </Button>
          </li>
        ))}
      </ul>
    </Card>
  )
}

function HowSure({ tuning, answer }: { tuning: Tuning; answer: Answer | null }) {
  const { state, evaluations, seconds } = tuning
  const sds =
    answer?.assessment.parts.flatMap(({ attributes }) =>
      attributes.filter(({ weight }) => weight > 0).map(({ sd }) => sd),
    ) ?? []
  const sd = sds.length === 0 ? null : sds.reduce((sum, value) => sum + value, 0) / sds.length
  return (
    <Card className="px-3.5 py-3">
      <CardTitle title="How sure" />
      <p className="m-0 text-sm text-ink-2" role="status">
        {sd !== null && `Each mark ± ${sd.toFixed(1)} points. `}
        {state === 'looking'
          ? `Looking: ${evaluations} mixes tried so far.`
          : `${evaluations} mixes tried in ${seconds.toFixed(1)} s${
              state === 'stopped'
                ? '; stopped, so closer ones may be there.'
                : '; nothing nearer was found that keeps every limit.'
            }`}
      </p>
    </Card>
  )
}
