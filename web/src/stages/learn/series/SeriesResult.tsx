import { type AttributeId, attributeName, type Series } from '@frijol/core/model'
import {
  analyse,
  bestGuess,
  controlsOf,
  gridOf,
  placesOf,
  predictAt,
  settingWords,
  weighable,
} from '@frijol/core/series'
import { useMemo, useState } from 'react'
import { newId, run, useKitchenStore } from '../../../store'
import { seriesCommands } from '../../../store/learn'
import { CurveChart, TernaryChart, type TernaryMark, type TernaryPoint, WithTable } from '../../../charts'
import { Button, Card, Choice, toast } from '../../../ui'

/** What the batches say so far: the surface of one response, how much it may be trusted, and the best guess for all. */
export function SeriesResult({ series }: { series: Series }) {
  const asked = series.goals.map(({ attribute }) => attribute)
  const [chosen, setChosen] = useState<AttributeId | null>(null)
  const attribute = chosen ?? asked[0] ?? null
  const best = useMemo(() => bestGuess(series), [series])
  return (
    <div className="grid gap-3">
      <Best series={series} best={best} />
      <Card aria-label="What one response does" className="px-4 py-3">
        {asked.length > 1 && attribute !== null && (
          <Choice
            label="Response"
            value={attribute}
            options={asked}
            names={
              Object.fromEntries(asked.map((id) => [id, attributeName(id)])) as Record<AttributeId, string>
            }
            onChange={setChosen}
          />
        )}
        {attribute !== null && (
          <Response series={series} attribute={attribute} best={best?.setting ?? null} />
        )}
      </Card>
    </div>
  )
}

const interval = (low: number | null, high: number | null): string =>
  low === null || high === null ? '' : `, a new batch between ${low.toFixed(1)} and ${high.toFixed(1)}`

function Best({ series, best }: { series: Series; best: ReturnType<typeof bestGuess> }) {
  const { scaleStepG, fineScaleStepG } = useKitchenStore((state) => state.kitchen)
  if (best === null)
    return (
      <Card aria-label="The best guess so far" className="px-4 py-3 text-sm">
        <h2 className="m-0 mb-1 text-[15px]">The best guess so far</h2>
        <p className="m-0 text-ink-2">Nothing yet: score more batches than the model has terms.</p>
      </Card>
    )
  const confirm = () => {
    const day = Math.max(...series.runs.map((one) => one.day)) + 1
    const setting = weighable(series, best.setting, fineScaleStepG ?? scaleStepG)
    const plain = { isControl: false, isConfirmation: false, trialNumber: null, scores: {}, failed: '', day }
    const control = series.runs.find(({ isControl }) => isControl)
    const added =
      (control === undefined ||
        run(
          seriesCommands.addRun(series.id, {
            ...plain,
            id: newId(),
            place: 1,
            isControl: true,
            setting: control.setting,
          }),
        )) &&
      run(
        seriesCommands.addRun(series.id, { ...plain, id: newId(), place: 2, isConfirmation: true, setting }),
      )
    if (added)
      toast(
        `Day ${day}: the best guess beside the control. Taste them blind; what counts is what comes of that.`,
      )
  }
  return (
    <Card aria-label="The best guess so far" className="px-4 py-3 text-sm">
      <h2 className="m-0 mb-1 text-[15px]">The best guess so far</h2>
      <p className="m-0 font-semibold first-letter:uppercase">{settingWords(series, best.setting)}</p>
      <ul className="m-0 mt-1 list-none p-0">
        {best.each.map(({ attribute, predicted, desirability }) => (
          <li key={attribute} className="flex justify-between gap-3 border-t border-line/60 py-0.5">
            <span>
              <b className="font-semibold">{attributeName(attribute)}</b> {predicted.value.toFixed(1)}
              <span className="text-ink-2">{interval(predicted.low, predicted.high)}</span>
            </span>
            <span className="text-ink-2">{Math.round(100 * desirability)} %</span>
          </li>
        ))}
      </ul>
      <p className="m-0 mt-1 text-ink-2">
        Together {Math.round(100 * best.desirability)} % of what is wanted; in {Math.round(100 * best.chance)}{' '}
        of 100 likely worlds nothing is missed altogether. The best of many predictions is too good: confirm
        it before you call it better.
      </p>
      <Button className="mt-2" onClick={confirm}>
        Add a run that confirms it
      </Button>
    </Card>
  )
}

const STEPS = 32

interface ResponseProps {
  series: Series
  attribute: AttributeId
  best: readonly number[] | null
}

function Response({ series, attribute, best }: ResponseProps) {
  const analysis = useMemo(() => analyse(series, attribute), [series, attribute])
  const { fit, words, termNames } = analysis
  const controls = controlsOf(series, attribute)
  return (
    <>
      <h2 className="m-0 mb-1 text-[15px] first-letter:uppercase">{attributeName(attribute)}</h2>
      {words.map((one) => (
        <p key={one} className="m-0 mb-0.5 text-sm text-ink-2">
          {one}
        </p>
      ))}
      {fit.coefficients !== null && (
        <div className={fit.dfError < 3 ? 'opacity-70 grayscale' : undefined}>
          <Surface series={series} attribute={attribute} best={best} />
          <WithTable
            title={`Terms of ${attributeName(attribute)}`}
            isTitled
            shape="words"
            drawing={
              <p className="m-0 text-sm">
                {termNames
                  .map((name, at) => ({ name, value: fit.coefficients[at] ?? 0, p: fit.pValues[at] ?? null }))
                  .filter(
                    ({ name, p }) =>
                      (name.includes('×') || placesOf(series).shares.length === 0) &&
                      name !== 'middle' &&
                      p !== null &&
                      p < 0.1,
                  )
                  .map(
                    ({ name, value }) => `${name} ${value > 0 ? 'work together' : 'work against each other'}`,
                  )
                  .join('; ') || 'No pair stands out of the noise.'}
              </p>
            }
            heads={['Term', 'estimate', 'error', 'p']}
            rows={termNames.map((name, at) => [
              name,
              (fit.coefficients[at] ?? 0).toFixed(2),
              fit.standardErrors[at] == null ? '–' : (fit.standardErrors[at] ?? 0).toFixed(2),
              fit.pValues[at] == null ? '–' : (fit.pValues[at] ?? 0).toFixed(3),
            ])}
            isFigures
          />
        </div>
      )}
      {controls.length > 1 && (
        <p className="m-0 mt-1 text-sm text-ink-2">
          The control by day: {controls.map(({ day, value }) => `day ${day} ${value.toFixed(1)}`).join(', ')}.
        </p>
      )}
    </>
  )
}

type Three = readonly [number, number, number]

/** Over three shares a surface; over anything else a line through the best guess. */
function Surface({
  series,
  attribute,
  best,
}: {
  series: Series
  attribute: AttributeId
  best: readonly number[] | null
}) {
  const { shares } = placesOf(series)
  const at = best ?? series.runs[0]?.setting ?? []
  return shares.length === 3 ? (
    <Ternary series={series} attribute={attribute} at={at} isBest={best !== null} />
  ) : (
    <Slices series={series} attribute={attribute} at={at} />
  )
}

function Ternary({
  series,
  attribute,
  at,
  isBest,
}: {
  series: Series
  attribute: AttributeId
  at: readonly number[]
  isBest: boolean
}) {
  const drawn = useMemo(() => {
    const { shares } = placesOf(series)
    const own = shares.flatMap((place) => series.factors[place] ?? [])
    const free = 1 - own.reduce((sum, { low }) => sum + low, 0)
    const pseudo = (setting: readonly number[]): Three => {
      const of = shares.map((place, index) => ((setting[place] ?? 0) - (own[index]?.low ?? 0)) / free)
      return [of[0] ?? 0, of[1] ?? 0, of[2] ?? 0]
    }
    // What is no share stays as the best guess has it.
    const grid = gridOf({ factors: own }, STEPS).map((blend) =>
      series.factors.map((_, place) => blend[shares.indexOf(place)] ?? at[place] ?? 0),
    )
    const predicted = predictAt(series, attribute, grid) ?? []
    const points = grid.map((setting, index): TernaryPoint => ({
      at: pseudo(setting),
      value: predicted[index]?.value ?? 0,
    }))
    const marks = series.runs.flatMap((one): TernaryMark[] => [
      { label: '', at: pseudo(one.setting), kind: one.scores[attribute] === undefined ? 'open' : 'made' },
    ])
    const most = (index: number): string =>
      `${own[index]?.name ?? ''} ${Math.round(100 * ((own[index]?.low ?? 0) + free))} %`
    const corners: readonly [string, string, string] = [most(0), most(1), most(2)]
    const values = points.map(({ value }) => value)
    return {
      points,
      marks: isBest ? [...marks, { label: 'best', at: pseudo(at), kind: 'best' as const }] : marks,
      corners,
      range: `${Math.min(...values).toFixed(1)} pale to ${Math.max(...values).toFixed(1)} dark`,
      heads: [...own.map(({ name }) => `${name}, g`), 'predicted'],
      rows: grid
        .filter((_, index) => index % 17 === 0)
        .map((setting, index) => [
          ...shares.map((place) => String(Math.round((setting[place] ?? 0) * series.variableG))),
          (predicted[index * 17]?.value ?? 0).toFixed(1),
        ]),
    }
  }, [series, attribute, at, isBest])
  return (
    <TernaryChart
      title={`${attributeName(attribute)} over the blends that may be: ${drawn.range}. Rings are batches, full when scored; the diamond is the best guess.`}
      points={drawn.points}
      steps={STEPS}
      marks={drawn.marks}
      corners={drawn.corners}
      heads={drawn.heads}
      rows={drawn.rows}
    />
  )
}

const SLICE_POINTS = 15

/** Each factor from its lower to its upper bound, the others as the best guess has them; other shares give way alike. */
function Slices({
  series,
  attribute,
  at,
}: {
  series: Series
  attribute: AttributeId
  at: readonly number[]
}) {
  const slices = useMemo(() => {
    const { shares } = placesOf(series)
    return series.factors.map((factor, place) => {
      const settings = Array.from({ length: SLICE_POINTS }, (_, index) => {
        const value = factor.low + ((factor.high - factor.low) * index) / (SLICE_POINTS - 1)
        const rest = shares.filter((one) => one !== place)
        const left = rest.reduce((sum, one) => sum + (at[one] ?? 0), 0)
        return series.factors.map((_one, other) => {
          if (other === place) return value
          if (factor.kind !== 'share' || !shares.includes(other)) return at[other] ?? 0
          return left > 0 ? ((at[other] ?? 0) / left) * (1 - value) : (1 - value) / rest.length
        })
      })
      const predicted = predictAt(series, attribute, settings) ?? []
      const by = factor.kind === 'share' ? series.variableG : 1
      const unit = factor.kind === 'minutes' ? 'min' : factor.kind === 'tempC' ? '°C' : 'g'
      return {
        name: factor.name,
        unit,
        now: (at[place] ?? factor.low) * by,
        points: settings.map((setting, index) => ({
          x: (setting[place] ?? 0) * by,
          y: predicted[index]?.value ?? 0,
        })),
      }
    })
  }, [series, attribute, at])
  return (
    <div className="grid gap-1">
      {slices.map(({ name, unit, points, now }) => (
        <CurveChart
          key={name}
          title={`${attributeName(attribute)} along ${name}, the rest as the best guess has it`}
          heads={[`${name}, ${unit}`, attributeName(attribute)]}
          points={points}
          now={now}
          shownX={(x) => `${Number(x.toPrecision(3))} ${unit}`}
        />
      ))}
    </div>
  )
}
