import { formatNumber } from '@frijol/core/measure'
import type { Part, PartAssessment } from '@frijol/core/model'
import type { Answer, ChangedLine, ChangedSetting, TuneAsk } from '@frijol/core/tune'
import { clsx } from 'clsx'
import { Pin } from 'lucide-react'
import { Toggle } from 'radix-ui'
import { classColour } from '../../../charts'
import { useKitchenStore, useLibrary } from '../../../store'
import { Button } from '../../../ui'
import { ANSWER_NAMES, changeCount, isChanged, spoonsOf, shownGrams, signedGrams } from './words'
import { toggleHold } from './useAsk'

export interface AnswersTableProps {
  part: Part
  reading: PartAssessment
  answers: readonly Answer[]
  chosen: number
  onChoose: (at: number) => void
  /** Lines and steps of the chosen answer that stay as they are. */
  refused: ReadonlySet<string>
  onRefuse: (id: string) => void
  ask: TuneAsk
}

/** Every line as it is and as each answer has it: the chosen column stands out, and its changes can be left out one by one. */
export function AnswersTable(props: AnswersTableProps) {
  const { part, reading, answers, chosen, onChoose, ask } = props
  const currency = useKitchenStore((state) => state.kitchen.currency)
  const added = answers.flatMap(({ lines }) =>
    lines.filter(({ lineId, beforeG }) => beforeG === 0 && part.lines.every(({ id }) => id !== lineId)),
  )
  const steps = [
    ...new Map(answers.flatMap(({ process }) => process.map((one) => [one.stepId, one] as const))).values(),
  ]
  return (
    <div className="overflow-x-auto">
      {answers.length > 1 && (
        <div className="flex flex-wrap gap-1.5 p-2.5 sm:hidden">
          {answers.map((answer, at) => (
            <Button
              key={answer.kind}
              tone={at === chosen ? 'primary' : 'plain'}
              aria-pressed={at === chosen}
              onClick={() => onChoose(at)}
            >
              {ANSWER_NAMES[answer.kind](changeCount(answer))}
            </Button>
          ))}
        </div>
      )}
      <table className="w-full border-collapse sm:min-w-[600px] text-[14px]">
        <caption className="sr-only">The formula now and as each answer has it</caption>
        <thead>
          <tr className="border-b border-line align-bottom text-left text-[13px]">
            <th scope="col" className="px-4 py-2.5 font-normal text-ink-2">
              {['', 'One way there', 'Two ways there', 'Three ways there'][answers.length]}
            </th>
            <th scope="col" className="px-2 py-2.5 sm:px-3 text-right font-normal text-ink-2">
              now, g
            </th>
            {answers.map((answer, at) => (
              <th
                key={answer.kind}
                scope="col"
                className={clsx(
                  'px-2 py-2.5 sm:px-3 font-normal',
                  at === chosen ? 'bg-aubergine-soft/60' : 'max-sm:hidden',
                )}
              >
                <button
                  type="button"
                  aria-pressed={at === chosen}
                  onClick={() => onChoose(at)}
                  className="block min-h-9 w-full rounded-md text-left hover:underline"
                >
                  <b className="block text-[15px] text-ink">
                    {ANSWER_NAMES[answer.kind](changeCount(answer))}
                  </b>
                  <span className="whitespace-nowrap text-ink-2">
                    {at === 0 && <span className="max-sm:hidden">off by </span>}
                    {answer.objective.before.toFixed(1)} → {answer.objective.after.toFixed(1)}
                    {answer.kind === 'cheapest' &&
                      answer.assessment.perPortion.cost !== null &&
                      `, ${new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(answer.assessment.perPortion.cost)}`}
                  </span>
                </button>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {reading.lines.map((line) =>
            line.massG === null ? null : (
              <Row
                key={line.lineId}
                {...props}
                id={line.lineId}
                name={line.name}
                foodId={line.foodId}
                now={shownGrams(line.massG)}
                isHeld={ask.hold.includes(line.lineId)}
                changeOf={({ lines }) => lines.find(({ lineId }) => lineId === line.lineId)}
              />
            ),
          )}
          {[...new Map(added.map((line) => [line.lineId, line])).values()].map((line) => (
            <Row
              key={line.lineId}
              {...props}
              id={line.lineId}
              name={line.name}
              foodId={line.foodId}
              now="–"
              isHeld={false}
              changeOf={({ lines }) => lines.find(({ lineId }) => lineId === line.lineId)}
            />
          ))}
          {steps.map((step) => (
            <SettingRow key={step.stepId} {...props} step={step} />
          ))}
        </tbody>
      </table>
    </div>
  )
}

interface RowProps extends AnswersTableProps {
  id: string
  name: string
  foodId: string | null
  now: string
  isHeld: boolean
  changeOf: (answer: Answer) => ChangedLine | undefined
}

function Row({
  id,
  name,
  foodId,
  now,
  isHeld,
  changeOf,
  answers,
  chosen,
  refused,
  onRefuse,
  ask,
  part,
}: RowProps) {
  const library = useLibrary()
  const food = foodId === null ? undefined : library.ingredients.get(foodId)
  const isOwn = part.lines.some((line) => line.id === id)
  return (
    <tr className="border-b border-line/70">
      <th
        scope="row"
        className="max-w-0 w-1/2 py-0.5 pr-1 pl-4 text-left font-normal max-sm:pl-3 sm:w-auto sm:max-w-none"
      >
        <span className="flex items-center gap-2.5">
          <i
            aria-hidden="true"
            className="size-2.5 shrink-0 rounded-full"
            style={{ background: classColour(food?.foodClass ?? null) }}
          />
          <span className="min-w-0 flex-1 truncate">{name}</span>
          {isOwn && (
            <Toggle.Root
              pressed={isHeld}
              onPressedChange={() => toggleHold(ask, id)}
              aria-label={`Hold ${name}`}
              title={isHeld ? 'Held: let it change again' : 'Hold it as it is'}
              className={clsx(
                'grid size-7 shrink-0 place-items-center rounded-full',
                isHeld ? 'bg-aubergine-soft text-aubergine' : 'text-edge hover:bg-husk hover:text-ink-2',
              )}
            >
              <Pin size={14} aria-hidden="true" />
            </Toggle.Root>
          )}
        </span>
      </th>
      <td className="px-2 py-0.5 sm:px-3 text-right tabular-nums">{now}</td>
      {answers.map((answer, at) => (
        <td
          key={answer.kind}
          className={clsx('px-2 py-0.5 sm:px-3', at === chosen ? 'bg-aubergine-soft/60' : 'max-sm:hidden')}
        >
          <LineCell
            change={changeOf(answer)}
            isHeld={isHeld}
            name={name}
            isRefused={at === chosen && refused.has(id)}
            onRefuse={at === chosen ? () => onRefuse(id) : null}
          />
        </td>
      ))}
    </tr>
  )
}

interface CellProps {
  isRefused: boolean
  /** null in a column that is not chosen. */
  onRefuse: (() => void) | null
}

function LineCell({
  change,
  isHeld,
  name,
  ...cell
}: CellProps & { change: ChangedLine | undefined; isHeld: boolean; name: string }) {
  if (isHeld) return <b>held</b>
  if (change === undefined || !isChanged(change)) return <span className="text-ink-2">same</span>
  const spoon = spoonsOf(change.text)
  return (
    <Changed name={name} {...cell}>
      <b className="tabular-nums">{shownGrams(change.afterG)}</b>{' '}
      <span className="text-[13px] text-ink-2 tabular-nums">
        {signedGrams(change.afterG - change.beforeG)}
        {spoon !== null && <span className="whitespace-nowrap max-sm:hidden">, {spoon}</span>}
      </span>
    </Changed>
  )
}

/** A change that can be left out and taken in again. */
function Changed({
  name,
  isRefused,
  onRefuse,
  children,
}: CellProps & { name: string; children: React.ReactNode }) {
  if (onRefuse === null) return <span>{children}</span>
  return (
    <button
      type="button"
      aria-pressed={!isRefused}
      aria-label={`Take the change of ${name}`}
      title={isRefused ? 'Left as it is: take the change' : 'Leave this one as it is'}
      onClick={onRefuse}
      className={clsx(
        'min-h-8 w-full rounded-md text-left hover:bg-aubergine-soft',
        isRefused && 'line-through opacity-60',
      )}
    >
      {children}
    </button>
  )
}

function SettingRow({
  step,
  answers,
  chosen,
  refused,
  onRefuse,
}: AnswersTableProps & { step: ChangedSetting }) {
  const unit = step.parameter === 'minutes' ? 'min' : '% kept'
  const shown = (value: number): string =>
    formatNumber(Number((step.parameter === 'minutes' ? value : 100 * value).toFixed(1)))
  return (
    <tr className="border-b border-line/70">
      <th
        scope="row"
        className="max-w-56 truncate px-4 py-2.5 text-left font-normal text-ink-2"
        title={step.step}
      >
        {step.step}
      </th>
      <td className="px-2 py-0.5 sm:px-3 text-right whitespace-nowrap tabular-nums">
        {shown(step.before)} {unit}
      </td>
      {answers.map(({ kind, process }, at) => {
        const found = process.find(({ stepId }) => stepId === step.stepId)
        return (
          <td
            key={kind}
            className={clsx('px-2 py-0.5 sm:px-3', at === chosen ? 'bg-aubergine-soft/60' : 'max-sm:hidden')}
          >
            {found === undefined ? (
              <span className="text-ink-2">same</span>
            ) : (
              <Changed
                name="this step"
                isRefused={at === chosen && refused.has(step.stepId)}
                onRefuse={at === chosen ? () => onRefuse(step.stepId) : null}
              >
                <b className="tabular-nums">{shown(found.after)}</b>{' '}
                <span className="text-[13px] text-ink-2">{unit}</span>
              </Changed>
            )}
          </td>
        )
      })}
    </tr>
  )
}
