import { type AttributeId, attributeName, type Series } from '@frijol/core/model'
import {
  type BestGuess,
  placesOf,
  type ResponseReading,
  settingWords,
  type Surface,
  type TernarySurface,
  weighable,
} from '@frijol/core/series'
import { useMemo, useState } from 'react'
import { newId, run, useKitchenStore } from '../../../store'
import { seriesCommands, useSeriesReading } from '../../../store/learn'
import { CurveChart, TernaryChart, type TernaryMark, WithTable } from '../../../charts'
import { Button, Card, Choice, toast } from '../../../ui'

/** What the batches say so far: the surface of one response, how much it may be trusted, and the best guess for all. */
export function SeriesResult({ series }: { series: Series }) {
  const asked = series.goals.map(({ attribute }) => attribute)
  const [chosen, setChosen] = useState<AttributeId | null>(null)
  const attribute = chosen ?? asked[0] ?? null
  const { value, hasFailed } = useSeriesReading(series)
  const reading = value?.responses.find((one) => one.attribute === attribute) ?? null
  return (
    <div className="grid gap-3">
      <Best series={series} best={value?.best ?? null} />
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
        {hasFailed && (
          <p className="m-0 text-sm text-adzuki-deep">
            The reading broke off. The scores are as they were; open the page again.
          </p>
        )}
        {reading === null && !hasFailed && (
          <p role="status" className="m-0 text-sm text-ink-2">
            Reading the batches …
          </p>
        )}
        {reading !== null && <Response series={series} reading={reading} />}
      </Card>
    </div>
  )
}

const interval = (low: number | null, high: number | null): string =>
  low === null || high === null ? '' : `, a new batch between ${low.toFixed(1)} and ${high.toFixed(1)}`

function Best({ series, best }: { series: Series; best: BestGuess | null }) {
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

interface ResponseProps {
  series: Series
  reading: ResponseReading
}

function Response({ series, reading }: ResponseProps) {
  const { attribute, analysis, surface, controls } = reading
  const { fit, words, termNames } = analysis
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
          {surface !== null && <SurfaceOf surface={surface} name={attributeName(attribute)} />}
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

/** Over three shares a surface; over anything else a line through the best guess. */
const SurfaceOf = ({ surface, name }: { surface: Surface; name: string }) =>
  surface.kind === 'ternary' ? (
    <Ternary surface={surface} name={name} />
  ) : (
    <div className="grid gap-1">
      {surface.slices.map(({ name: factor, unit, points, now }) => (
        <CurveChart
          key={factor}
          title={`${name} along ${factor}, the rest as the best guess has it`}
          heads={[`${factor}, ${unit}`, name]}
          points={points}
          now={now}
          shownX={(x) => `${Number(x.toPrecision(3))} ${unit}`}
        />
      ))}
    </div>
  )

/** Every so manieth blend of the grid stands in the table. */
const TABLED = 17

function Ternary({ surface, name }: { surface: TernarySurface; name: string }) {
  const { points, steps, corners } = surface
  const values = points.map(({ value }) => value)
  const range = `${Math.min(...values).toFixed(1)} pale to ${Math.max(...values).toFixed(1)} dark`
  const marks = useMemo(() => surface.marks.map((mark): TernaryMark => ({ ...mark, label: '' })), [surface])
  const named = useMemo((): readonly [string, string, string] => {
    const said = corners.map(({ name: of, share }) => `${of} ${Math.round(100 * share)} %`)
    return [said[0] ?? '', said[1] ?? '', said[2] ?? '']
  }, [corners])
  return (
    <TernaryChart
      title={`${name} over the blends that may be: ${range}. Rings are batches, full when scored; the diamond is the best guess.`}
      points={points}
      steps={steps}
      marks={marks}
      corners={named}
      heads={[...corners.map(({ name: of }) => `${of}, g`), 'predicted']}
      rows={points
        .filter((_, at) => at % TABLED === 0)
        .map(({ grams, value }) => [...grams.map((one) => String(Math.round(one))), value.toFixed(1)])}
    />
  )
}
