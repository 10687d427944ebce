import { attributeName, type Dish, type Series, type SeriesRun, type Trial } from '@frijol/core/model'
import { dishOfRun, settingWords } from '@frijol/core/series'
import { clsx } from 'clsx'
import { useNavigate } from 'react-router'
import { newId, run as act, useKitchenStore } from '../../../store'
import { cookBatches } from '../../../store/day'
import { goOn, seriesCommands } from '../../../store/learn'
import { Button, Card, NumberField, Tag, toast } from '../../../ui'

export interface SeriesRunsProps {
  dish: Dish
  series: Series
  trials: readonly Trial[]
  onRemove: () => void
}

const isScored = ({ scores, failed }: SeriesRun): boolean => failed !== '' || Object.keys(scores).length > 0

/** The batches of a series by day: made one after another, scored, or noted as failed. */
export function SeriesRuns({ dish, series, trials, onRemove }: SeriesRunsProps) {
  const days = [...new Set(series.runs.map(({ day }) => day))].sort((a, b) => a - b)
  const done = series.runs.filter(isScored).length
  const next = series.runs.find((one) => one.trialNumber === null && !isScored(one))
  return (
    <Card aria-label={`Series: ${series.name}`} className="overflow-hidden">
      <div className="flex flex-wrap items-baseline gap-x-3 px-4 pt-3 pb-2">
        <h2 className="m-0 text-[17px] first-letter:uppercase">{series.name}</h2>
        <span className="text-sm text-ink-2">
          {done} of {series.runs.length} scored
        </span>
        <button
          type="button"
          className="ml-auto min-h-6 text-[13px] text-ink-2 underline underline-offset-2"
          onClick={onRemove}
        >
          take this series away
        </button>
      </div>
      {days.map((day) => (
        <section key={day} aria-label={`Day ${day}`}>
          <DayHead dish={dish} series={series} day={day} trials={trials} />
          <ol className="m-0 list-none p-0">
            {series.runs
              .filter((run) => run.day === day)
              .sort((a, b) => a.place - b.place)
              .map((run) => (
                <Run
                  key={run.id}
                  dish={dish}
                  series={series}
                  run={run}
                  isNext={run === next}
                  trials={trials}
                />
              ))}
          </ol>
        </section>
      ))}
    </Card>
  )
}

const MOST_BATCHES = 12

/** A day of a series: what is not made yet of it goes on the day plan together. */
function DayHead({ dish, series, day, trials }: Omit<RunProps, 'run' | 'isNext'> & { day: number }) {
  const navigate = useNavigate()
  const open = series.runs
    .filter((one) => one.day === day && one.trialNumber === null && !isScored(one))
    .sort((a, b) => a.place - b.place)
    .slice(0, MOST_BATCHES)
  const plan = async () => {
    const from = Math.max(dish.trial.number, ...trials.map(({ number }) => number + 1))
    const fault = await cookBatches(
      dish,
      open.map(({ id }, at) => ({
        id: newId(),
        dishId: dish.id,
        seriesId: series.id,
        runId: id,
        trialNumber: from + at,
      })),
    )
    if (fault !== null) {
      toast(fault)
      return
    }
    act(
      seriesCommands.planRuns(
        series.id,
        open.map(({ id }) => id),
        from,
      ),
    )
    toast(
      `${open.length === 1 ? 'One batch is' : `${open.length} batches are`} on one day, as trials ${from} to ${from + open.length - 1}.`,
    )
    void navigate(`/dish/${dish.id}/cook`)
  }
  return (
    <div className="flex flex-wrap items-center gap-3 bg-husk/60 px-4 py-1">
      <h3 className="m-0 text-[13px]">Day {day}</h3>
      {open.length > 1 && (
        <button
          type="button"
          className="ml-auto min-h-7 text-[13px] underline underline-offset-2"
          onClick={() => void plan()}
        >
          plan these {open.length} as one day
        </button>
      )}
    </div>
  )
}

interface RunProps {
  dish: Dish
  series: Series
  run: SeriesRun
  isNext: boolean
  trials: readonly Trial[]
}

function Run({ dish, series, run, isNext, trials }: RunProps) {
  const tasted = useKitchenStore((state) => state.kitchen.tasted)
  const of = tasted.filter(
    (one) => one.dishId === dish.id && one.trialNumber === run.trialNumber && run.trialNumber !== null,
  )
  const said = series.goals.flatMap(({ attribute }) => {
    const one = of.find((entry) => entry.attribute === attribute)
    return one === undefined || run.scores[attribute] !== undefined
      ? []
      : [{ attribute, value: Math.min(10, Math.max(0, one.observed)) }]
  })
  // Its number is given, and neither a kept trial nor the formula in work has it.
  const isOnlyPlanned =
    run.trialNumber !== dish.trial.number && !trials.some(({ number }) => number === run.trialNumber)
  const make = async () => {
    const words = run.isControl ? 'the control' : settingWords(series, run.setting)
    const from = trials.at(-1)?.number ?? null
    const told = await goOn(
      dish,
      dishOfRun(dish, series, run),
      dish.trial.fromNumber ?? from,
      `series “${series.name}”, day ${run.day}: ${words}`,
    )
    if (told === null) return
    const number = trials.some((trial) => trial.number === dish.trial.number)
      ? Math.max(...trials.map((trial) => trial.number)) + 1
      : dish.trial.number
    act(seriesCommands.madeAs(series.id, run.id, number))
    toast(`Trial ${number} is this batch: plan and cook it, then score it here. Undo with U.`)
  }
  return (
    <li className={clsx('border-t border-line/60 px-4 py-2', isNext && 'bg-aubergine-soft/40')}>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="min-w-0 flex-1 text-sm">
          {run.isControl && <Tag tone="sky">control</Tag>}{' '}
          {run.isConfirmation && <Tag tone="mung">to confirm</Tag>}{' '}
          <span className={run.isControl ? 'text-ink-2' : 'font-semibold'}>
            {settingWords(series, run.setting)}
          </span>
          {run.trialNumber !== null && (
            <span className="text-ink-2">
              {' '}
              · {trials.some(({ number }) => number === run.trialNumber) ? 'trial' : 'to be trial'}{' '}
              {run.trialNumber}
            </span>
          )}
        </span>
        {run.trialNumber !== null && isOnlyPlanned && (
          <button
            type="button"
            className="min-h-7 text-[13px] text-ink-2 underline underline-offset-2"
            onClick={() => act(seriesCommands.freeRuns(series.id, [run.id]))}
          >
            not planned any more
          </button>
        )}
        {run.trialNumber === null && run.failed === '' && (
          <Button
            className="min-h-8"
            tone={isNext ? 'primary' : isScored(run) ? 'quiet' : 'plain'}
            onClick={() => void make()}
          >
            {isScored(run) ? 'Make it again' : 'Make this batch'}
          </Button>
        )}
      </div>
      <div className="mt-1 flex flex-wrap items-end gap-2">
        {run.failed === '' ? (
          <>
            {series.goals.map(({ attribute }) => (
              <NumberField
                key={attribute}
                label={attributeName(attribute)}
                isLabelSmall
                className="w-22"
                value={run.scores[attribute] ?? null}
                onChange={(value) => {
                  if (value !== null && (value < 0 || value > 10)) return '0 to 10'
                  act(seriesCommands.scoreRun(series.id, run.id, attribute, value))
                  return null
                }}
              />
            ))}
            {said.length > 0 && (
              <Button
                className="min-h-9"
                onClick={() => {
                  for (const { attribute, value } of said)
                    act(seriesCommands.scoreRun(series.id, run.id, attribute, Number(value.toFixed(2))))
                }}
              >
                As tasted
              </Button>
            )}
            <button
              type="button"
              className="min-h-9 px-1 text-[13px] text-ink-2 underline underline-offset-2"
              onClick={() => act(seriesCommands.failRun(series.id, run.id, 'came to nothing'))}
            >
              it failed
            </button>
          </>
        ) : (
          <>
            <input
              aria-label="Why it failed"
              className="quiet-input min-h-9 flex-1 text-sm"
              value={run.failed}
              maxLength={300}
              onChange={(event) =>
                act(
                  seriesCommands.failRun(
                    series.id,
                    run.id,
                    event.target.value === '' ? ' ' : event.target.value,
                  ),
                )
              }
            />
            <button
              type="button"
              className="min-h-9 px-1 text-[13px] text-ink-2 underline underline-offset-2"
              onClick={() => act(seriesCommands.failRun(series.id, run.id, ''))}
            >
              it did not
            </button>
          </>
        )}
      </div>
    </li>
  )
}
