import { attributeName, type Part, type PartAssessment } from '@frijol/core/model'
import type { Answer, Bind, Focus, KeptLimit, Tuned } from '@frijol/core/tune'
import { useEffect, useState } from 'react'
import { CurveChart } from '../../../charts'
import {
  commands,
  isCooked,
  run,
  showProposal,
  takeProposal,
  type Tuning,
  useDish,
  useKitchenStore,
  useTaken,
  useTuning,
  withGrams,
} from '../../../store'
import {
  BeforeAndAfter,
  Button,
  buttonClass,
  Card,
  CardTitle,
  Chip,
  Choice,
  HeaderActions,
  toast,
} from '../../../ui'
import { Link } from 'react-router'
import { AnswersTable } from './AnswersTable'
import { MayChange } from './MayChange'
import { changeAsk, useAsk } from './useAsk'
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
    const reason = `tune ${part.name.toLowerCase()} (${name}): distance ${answer.objective.before.toFixed(1)} to ${now.toFixed(1)}`
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
        {tuning.tuned !== null && <HoldsBack tuned={tuning.tuned} />}
      </Card>
      <div className="grid gap-3">
        {answer !== null && taken !== null && (
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

/** While nothing is found yet, or where nothing can be. */
function Waiting({ tuning, partId }: { tuning: Tuning; partId: string }) {
  const { state, message, hint, tuned } = tuning
  if (tuned?.collisions != null) return <Collide collisions={tuned.collisions} />
  if (state === 'refused' || state === 'failed')
    return (
      <div role="alert" className="p-5">
        <p className="m-0 font-semibold">{message}</p>
        <p className="m-0 mt-1 text-ink-2">{hint}</p>
        {state === 'refused' && (
          <Link className={`${buttonClass()} mt-3`} to={`../aim?part=${partId}`} relative="path">
            Go to Aim
          </Link>
        )}
      </div>
    )
  return (
    <p role="status" className="m-0 p-5 text-ink-2">
      {state === 'stopped'
        ? 'Stopped before an answer was found. The formula is as it was.'
        : 'Looking for closer amounts …'}
    </p>
  )
}

const figure = (value: number): string => String(Number(value.toPrecision(value >= 100 ? 3 : 2)))

function Collide({ collisions }: { collisions: NonNullable<Tuned['collisions']> }) {
  const { collide, loosen } = collisions
  return (
    <div role="alert" className="p-5">
      <h2 className="m-0 text-[15px]">These cannot all be kept</h2>
      <p className="m-0 mt-1">{collide.map(({ label }) => label).join(', ')}.</p>
      {loosen.length > 0 && (
        <>
          <h3 className="mt-3 mb-1 text-sm">The least to loosen</h3>
          <ul className="m-0 pl-5">
            {loosen.map(({ id, label, unit, asked, possible }) => (
              <li key={id}>
                <span className="first-letter:uppercase">{label}</span>: asked {figure(asked)} {unit},
                possible{' '}
                <b>
                  {figure(possible)} {unit}
                </b>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="m-0 mt-3 text-ink-2">
        Loosen it in Aim, let a held line go, or let a food in that brings what is missing.
      </p>
    </div>
  )
}

function HoldsBack({ tuned: { binds, answers, best } }: { tuned: Tuned }) {
  if (answers.length === 0) return null
  const [first, ...others] = binds
  return (
    <div className="grid items-start gap-4 p-4 sm:grid-cols-[minmax(0,1fr)_260px]">
      <p className="m-0 text-ink-2">
        {first === undefined ? (
          best.distance < 0.05 ? (
            'Nothing holds it back: every attribute that counts can come into its band.'
          ) : (
            <>
              <b className="text-ink">No limit holds it back.</b> These foods and this method come no closer
              than {best.distance.toFixed(2)}; let a food in that brings what is missing.
            </>
          )
        ) : (
          <>
            <b className="text-ink">What holds it back.</b> {first.text}{' '}
            {others.map(({ text }) => text).join(' ')}
          </>
        )}
      </p>
      {first !== undefined && <TradeOff bind={first} />}
    </div>
  )
}

const shownLimit = (value: number): string => figure(value)
const TradeOff = ({ bind }: { bind: Bind }) => (
  <CurveChart
    title={`Distance against ${bind.label}${bind.unit === '' ? '' : `, ${bind.unit}`}`}
    heads={[bind.label, 'Distance']}
    points={bind.curve.map(({ limit, distance }) => ({ x: limit, y: distance }))}
    now={bind.limit}
    shownX={shownLimit}
  />
)

/** How far a value is outside its band. */
const beyond = (value: number, { low, high }: { low: number; high: number }): number =>
  value < low ? value - low : value > high ? value - high : 0
const offWords = (off: number): string =>
  Math.abs(off) < 0.05 ? 'in' : `${Math.abs(off).toFixed(1)} ${off < 0 ? 'low' : 'high'}`

/** "1.8 → 0.4 high", "0.6 low → in". */
function movedWords(was: number, is: number): string {
  const isOneSide = Math.sign(was) === Math.sign(is) && Math.abs(is) >= 0.05 && Math.abs(was) >= 0.05
  return isOneSide ? `${Math.abs(was).toFixed(1)} → ${offWords(is)}` : `${offWords(was)} → ${offWords(is)}`
}

function Movement({ answer, after, name }: { answer: Answer; after: PartAssessment | null; name: string }) {
  return (
    <Card className="px-3.5 py-3">
      <CardTitle title="Before and after" aside={name} />
      {[...answer.attributes]
        .sort((a, b) => b.weight - a.weight)
        .map(({ id, before, after: promised, target }) => {
          const value = after?.attributes.find((one) => one.id === id)?.value ?? promised
          const [was, is] = [beyond(before, target), beyond(value, target)]
          const same = offWords(was) === offWords(is)
          const way =
            Math.abs(is) < 0.05 ? 'in' : same ? 'same' : Math.abs(is) < Math.abs(was) ? 'nearer' : 'further'
          return (
            <BeforeAndAfter
              key={id}
              label={attributeName(id)}
              min={0}
              max={10}
              before={before}
              after={value}
              band={target}
              way={way}
              words={same ? (way === 'in' ? 'stays in' : `stays ${offWords(is)}`) : movedWords(was, is)}
            />
          )
        })}
    </Card>
  )
}

const limitWords = ({ id, label, unit, limit, side }: KeptLimit, currency: string): string => {
  const shown =
    id === 'cost'
      ? new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(limit)
      : `${figure(limit)} ${unit}`
  return side === 'most' ? `${label} up to ${shown}` : `${label} at least ${shown}`
}

/** Figures that may rest on foods without one. */
const UNKNOWN_WORDS: Readonly<Partial<Record<string, string>>> = {
  sodiumMg: 'sodium',
  proteinG: 'protein',
  cost: 'cost',
  saturatedFatG: 'saturated fat',
  fibreG: 'fibre',
  energyKcal: 'energy',
}

interface HeldProps {
  limits: readonly KeptLimit[]
  unknown: Tuned['unknown']
  part: Part
}

function Held({ limits, unknown, part }: HeldProps) {
  const ask = useAsk(part.id)
  const library = useLibraryNames()
  const currency = useKitchenStore((state) => state.kitchen.currency)
  const held = part.lines.filter(({ id }) => ask.hold.includes(id))
  return (
    <div className="flex flex-wrap gap-1.5">
      {limits.map((limit) => (
        <Chip key={`${limit.id} ${limit.side}`} tone={limit.holds ? 'husk' : 'adzuki'}>
          {limitWords(limit, currency)} {limit.holds ? '✓' : '✗'}
        </Chip>
      ))}
      {unknown.map((id) => (
        <Chip key={id} tone="turmeric">
          {UNKNOWN_WORDS[id] ?? id} is not known here: not kept
        </Chip>
      ))}
      <Chip>deciding windows kept</Chip>
      <Chip>batch within 8 %</Chip>
      {held.map(({ id, food }) => (
        <Chip key={id}>{food} held</Chip>
      ))}
      {ask.bounds.map(({ lineId, leastG, mostG }) => (
        <Chip key={lineId}>
          {part.lines.find(({ id }) => id === lineId)?.food ?? ''} {figure(leastG)} to {figure(mostG)} g
        </Chip>
      ))}
      {!ask.method && <Chip>amounts alone</Chip>}
      {ask.method && <Chip tone="mung">times may change</Chip>}
      {ask.allow.map((id) => (
        <Chip key={id} tone="mung">
          may add {library(id)}
        </Chip>
      ))}
    </div>
  )
}

function useLibraryNames(): (id: string) => string {
  const library = useKitchenStore((state) => state.library)
  return (id) => (library?.ingredients.get(id)?.name ?? id).toLowerCase()
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
