import {
  type AttributeId,
  attributeName,
  type Dish,
  type Part,
  type Series,
  type SeriesFactor,
} from '@frijol/core/model'
import { boundsFault, controlSetting, type SeriesPlan } from '@frijol/core/series'
import { verbOf } from '@frijol/core/history'
import { useMemo, useState } from 'react'
import { newId, partOf, run, useAssessment, useKitchenStore } from '../../../store'
import { seriesCommands, useLayOut } from '../../../store/learn'
import { Button, Card, Choice, NumberField, TextInput, toast } from '../../../ui'

export interface PlanSeriesProps {
  dish: Dish
  part: Part
  onDone: (id: string | null) => void
}

const SPREAD = 0.35
const MOST_FACTORS = 5
const HEAT_C = 15
const MODELS = {
  linear: 'Slopes alone',
  quadratic: 'With bends and pairs',
  specialCubic: 'And threes',
} as const
const round = (value: number): number => Number(value.toPrecision(2))

type Vary = Omit<SeriesFactor, 'low' | 'high'> & {
  readonly low: number
  readonly high: number
  readonly now: number
}

/** What may be varied: lines as shares of what is varied together, and times and heats of steps. */
function useChoices(part: Part): readonly Vary[] {
  const reading = partOf(useAssessment(), part.id)
  return useMemo(
    () => [
      ...(reading?.lines ?? []).flatMap(({ lineId, name, massG }): Vary[] =>
        massG === null || massG <= 0
          ? []
          : [
              {
                kind: 'share',
                id: lineId,
                name: name.split(',')[0] ?? name,
                now: massG,
                low: (1 - SPREAD) * massG,
                high: (1 + SPREAD) * massG,
              },
            ],
      ),
      ...part.steps.flatMap((step): Vary[] => [
        ...(step.durationMin === null || step.durationMin <= 0
          ? []
          : [
              {
                kind: 'minutes' as const,
                id: step.id,
                name: `${verbOf(step)} time`,
                now: step.durationMin,
                low: round(0.6 * step.durationMin),
                high: round(1.4 * step.durationMin),
              },
            ]),
        ...(step.tempC === null || step.tempC < 100
          ? []
          : [
              {
                kind: 'tempC' as const,
                id: step.id,
                name: `${verbOf(step)} heat`,
                now: step.tempC,
                low: step.tempC - HEAT_C,
                high: step.tempC + HEAT_C,
              },
            ]),
      ]),
    ],
    [reading, part.steps],
  )
}

/** Lays a series out: what varies and how far, what is scored, how many are tasted a day; and what that comes to. */
export function PlanSeries({ dish, part, onDone }: PlanSeriesProps) {
  const reading = partOf(useAssessment(), part.id)
  const { scaleStepG, fineScaleStepG } = useKitchenStore((state) => state.kitchen)
  const choices = useChoices(part)
  const [picked, setPicked] = useState<Readonly<Record<string, { low: number; high: number }>>>({})
  const [model, setModel] = useState<Series['model']>('quadratic')
  const [perDay, setPerDay] = useState(6)
  const [name, setName] = useState('')
  const usual = useMemo(
    () =>
      (reading?.attributes ?? [])
        .filter(({ weight, target }) => weight > 0 && target !== null)
        .map(({ id }) => id),
    [reading],
  )
  const [asked, setAsked] = useState<readonly AttributeId[] | null>(null)
  const [isEverything, setEverything] = useState(false)
  const scored = asked ?? usual
  const keyOf = ({ kind, id }: Pick<Vary, 'kind' | 'id'>) => `${kind} ${id}`
  const varied = choices.filter((choice) => picked[keyOf(choice)] !== undefined)
  const shares = varied.filter(({ kind }) => kind === 'share')
  const variableG = shares.reduce((sum, { now }) => sum + now, 0)
  const toggle = (choice: Vary) => {
    const key = keyOf(choice)
    setPicked(
      picked[key] === undefined
        ? { ...picked, [key]: { low: round(choice.low), high: round(choice.high) } }
        : Object.fromEntries(Object.entries(picked).filter(([one]) => one !== key)),
    )
  }
  const plan = useMemo((): SeriesPlan | null => {
    if (varied.length < 2 || varied.length > MOST_FACTORS || reading === null) return null
    return {
      id: newId(),
      name:
        name.trim() === ''
          ? varied
              .map((one) => one.name.toLowerCase())
              .join(', ')
              .slice(0, 120)
          : name.trim(),
      partId: part.id,
      createdAt: new Date().toISOString(),
      factors: varied.map((choice): SeriesFactor => {
        const { low, high } = picked[keyOf(choice)] ?? choice
        const by = choice.kind === 'share' ? variableG : 1
        return {
          kind: choice.kind,
          id: choice.id,
          name: choice.name.slice(0, 120),
          low: low / by,
          high: high / by,
        }
      }),
      model:
        varied.length > shares.length && shares.length > 0 && model === 'specialCubic' ? 'quadratic' : model,
      variableG,
      perDay,
      seed: 1,
      goals: scored.flatMap((attribute) => {
        const target = reading.attributes.find(({ id }) => id === attribute)?.target
        const weight = reading.attributes.find(({ id }) => id === attribute)?.weight ?? 1
        const middle = target == null ? 5 : (target.low + target.high) / 2
        return [
          {
            attribute,
            low: Math.max(-5, (target?.low ?? middle) - 2.5),
            target: middle,
            high: Math.min(15, (target?.high ?? middle) + 2.5),
            importance: Math.max(1, weight),
          },
        ]
      }),
    }
    // The choices follow from the part; what was picked says the rest.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [picked, model, perDay, name, scored, reading, part.id])
  const isBackwards = varied.some((choice) => {
    const set = picked[keyOf(choice)]
    return set !== undefined && set.low >= set.high
  })
  const fault =
    plan === null ? null : isBackwards ? 'An upper bound lies below its lower one.' : boundsFault(plan)
  const stepG = fineScaleStepG ?? scaleStepG
  const question = useMemo(
    () =>
      plan === null || fault !== null || reading === null
        ? null
        : { plan, control: controlSetting(plan, dish, reading), stepG },
    [plan, fault, reading, dish, stepG],
  )
  const { value: designed, isWorking, hasFailed } = useLayOut(question)
  const lay = () => {
    if (plan === null || designed === null) return
    if (!run(seriesCommands.addSeries({ ...plan, runs: designed.runs }))) return
    toast(
      `${designed.runs.length} batches over ${designed.days} ${designed.days === 1 ? 'day' : 'days'} are laid out. Undo with U.`,
    )
    onDone(plan.id)
  }
  return (
    <div className="grid items-start gap-3.5 lg:grid-cols-[minmax(0,1fr)_372px]">
      <Card aria-label="What varies" className="p-4">
        <h2 className="m-0 text-[17px]">What varies, and how far</h2>
        <p className="m-0 mt-0.5 mb-2 text-sm text-ink-2">
          Two to five. Lines vary against each other: their sum stays{' '}
          {variableG > 0 ? `${Math.round(variableG)} g` : 'as it is'}. Set the bounds far apart.
        </p>
        <ul className="m-0 list-none p-0">
          {choices.map((choice) => {
            const key = keyOf(choice)
            const set = picked[key]
            const unit = choice.kind === 'minutes' ? 'min' : choice.kind === 'tempC' ? '°C' : 'g'
            const change =
              (side: 'low' | 'high') =>
              (value: number | null): string | null => {
                if (value === null || value < 0) return 'Enter a number of 0 or more.'
                setPicked({ ...picked, [key]: { ...(set ?? choice), [side]: value } })
                return null
              }
            return (
              <li
                key={key}
                className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-line/60 py-1.5"
              >
                <label className="flex min-h-8 min-w-0 flex-1 basis-52 items-center gap-2 text-sm">
                  <input
                    type="checkbox"
                    className="size-4 accent-aubergine"
                    checked={set !== undefined}
                    disabled={set === undefined && varied.length >= MOST_FACTORS}
                    onChange={() => toggle(choice)}
                  />
                  <b className="font-semibold first-letter:uppercase">{choice.name}</b>
                  <span className="text-ink-2">
                    now {Number(choice.now.toPrecision(3))} {unit}
                  </span>
                </label>
                {set !== undefined && (
                  <span className="flex items-center gap-2">
                    <NumberField
                      label={`${choice.name}, from`}
                      isLabelHidden
                      value={set.low}
                      onChange={change('low')}
                      className="w-20"
                    />
                    <span className="text-sm text-ink-2">to</span>
                    <NumberField
                      label={`${choice.name}, to`}
                      isLabelHidden
                      value={set.high}
                      onChange={change('high')}
                      className="w-20"
                    />
                    <span className="w-7 text-sm text-ink-2">{unit}</span>
                  </span>
                )}
              </li>
            )
          })}
        </ul>
      </Card>
      <div className="grid gap-3">
        <Card aria-label="How it is laid out" className="grid gap-2.5 px-4 py-3">
          <label className="text-[13px] font-semibold text-ink-2">
            Name
            <TextInput
              value={name}
              maxLength={120}
              placeholder={plan?.name ?? 'beans against walnuts'}
              onChange={(event) => setName(event.target.value)}
            />
          </label>
          <div>
            <span className="text-[13px] font-semibold text-ink-2">What is looked for</span>
            <Choice
              label="What is looked for"
              value={model}
              options={['linear', 'quadratic', 'specialCubic'] as const}
              names={MODELS}
              onChange={setModel}
            />
          </div>
          <NumberField
            label="Batches that are tasted a day, the control with them"
            value={perDay}
            onChange={(value) => {
              if (value === null || !Number.isInteger(value) || value < 2 || value > 20)
                return 'Enter 2 to 20.'
              setPerDay(value)
              return null
            }}
          />
          <div role="group" aria-label="What is scored">
            <span className="text-[13px] font-semibold text-ink-2">What is scored</span>
            <div className="flex flex-wrap gap-1">
              {(reading?.attributes ?? [])
                .filter(({ id, weight }) => isEverything || weight > 0 || scored.includes(id))
                .map(({ id }) => (
                  <button
                    key={id}
                    type="button"
                    aria-pressed={scored.includes(id)}
                    className={`min-h-7 rounded-full border px-2.5 text-[13px] ${scored.includes(id) ? 'border-aubergine bg-aubergine-soft font-semibold text-aubergine' : 'border-edge bg-paper text-ink-2'}`}
                    onClick={() =>
                      setAsked(scored.includes(id) ? scored.filter((one) => one !== id) : [...scored, id])
                    }
                  >
                    {attributeName(id)}
                  </button>
                ))}
              <button
                type="button"
                aria-expanded={isEverything}
                className="min-h-7 px-1 text-[13px] underline underline-offset-2"
                onClick={() => setEverything(!isEverything)}
              >
                {isEverything ? 'fewer' : 'others'}
              </button>
            </div>
          </div>
        </Card>
        <Card aria-label="What it comes to" className="px-4 py-3 text-sm">
          <h2 className="m-0 mb-1 text-[15px]">What it comes to</h2>
          {plan === null ? (
            <p className="m-0 text-ink-2">
              {varied.length === 0 ? 'Choose what varies.' : 'Vary one more thing.'}
            </p>
          ) : fault !== null ? (
            <p role="alert" className="m-0 text-adzuki-deep">
              {fault}
            </p>
          ) : designed === null ? (
            <p role={hasFailed ? 'alert' : 'status'} className="m-0 text-ink-2">
              {isWorking
                ? 'Laying it out …'
                : hasFailed
                  ? 'It could not be laid out. Change what varies.'
                  : ''}
            </p>
          ) : (
            <>
              <p className="m-0">
                <b className="font-display text-[19px]">{designed.runs.length} batches</b> over{' '}
                <b>
                  {designed.days} {designed.days === 1 ? 'day' : 'days'}
                </b>
                : {designed.p} terms, five more to tell error from shape, and today’s formula first each day.
              </p>
              <p className="m-0 mt-1 text-ink-2">
                Weighed to {stepG} g, rounding moves{' '}
                {designed.rounding.name === ''
                  ? 'nothing'
                  : `${designed.rounding.name} by ${(100 * designed.rounding.most).toFixed(1)} % of its range at most`}
                .
              </p>
              {designed.cautions.map((one) => (
                <p key={one} className="m-0 mt-1 rounded-lg bg-turmeric-soft px-2.5 py-1.5">
                  {one}
                </p>
              ))}
            </>
          )}
          <div className="mt-2.5 flex gap-2">
            <Button tone="primary" disabled={designed === null || scored.length === 0} onClick={lay}>
              Lay it out
            </Button>
            <Button onClick={() => onDone(null)}>Leave it</Button>
          </div>
        </Card>
      </div>
    </div>
  )
}
