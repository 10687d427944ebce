import type { Tasting } from '@frijol/core/model'
import { type AgainstControl, askName, type AskResult, spokenLabels } from '@frijol/core/sensory'
import { useState } from 'react'
import { WithTable } from '../../charts'
import { Card, Choice, type Standing, TastedMark } from '../../ui'

const STANDS: Readonly<Record<AgainstControl['verdict'], Standing>> = {
  more: 'out',
  less: 'out',
  small: 'in',
  as: 'in',
  perhaps: 'drift',
  open: 'drift',
  'no-test': 'none',
}

function words({ verdict, difference }: AgainstControl, isDistance: boolean): string {
  const by = Math.abs(difference).toFixed(1)
  if (isDistance) {
    if (verdict === 'more' || verdict === 'small') return `${by} away`
    if (verdict === 'no-test') return `${by} on, no test`
    return verdict === 'as' ? 'as the original' : `${by}, not shown`
  }
  const way = difference < 0 ? 'missed' : 'too much'
  switch (verdict) {
    case 'more':
    case 'less':
      return `${by} ${way}`
    case 'small':
      return `${by} ${difference < 0 ? 'less' : 'more'}, small`
    case 'as':
      return 'as the original'
    case 'perhaps':
      return `perhaps ${by} ${way}`
    case 'open':
      return 'not sure'
    case 'no-test':
      return `${by} ${way}, no test`
  }
}

/** Each attribute on its line: the original as a band, the mix as a seed with its interval, every taster as a dot. */
export function Missed({ tasting, asks }: { tasting: Tasting; asks: readonly AskResult[] }) {
  const { samples, controlId } = tasting.settings
  const [first] = asks
  const others = first?.samples.filter(({ sampleId }) => sampleId !== controlId) ?? []
  const [chosen, setChosen] = useState(others.at(-1)?.sampleId ?? '')
  const shown = others.find(({ sampleId }) => sampleId === chosen) ?? others[0]
  const labels = spokenLabels(samples)
  const found = samples.find(({ id }) => id === controlId)
  const control = found === undefined ? undefined : { ...found, label: labels.get(found.id) ?? found.label }
  const isDistance = first?.ask === 'difference'
  if (shown === undefined) return null
  const shownIds = isDistance ? others.map(({ sampleId }) => sampleId) : [shown.sampleId]
  const rows = asks.flatMap((ask) =>
    shownIds.flatMap((sampleId) => {
      const of = ask.samples.find((one) => one.sampleId === sampleId)
      if (of?.mean == null) return []
      const base = ask.samples.find((one) => one.sampleId === controlId)
      const against = ask.against.find((one) => one.sampleId === sampleId) ?? null
      const sample = samples.find(({ id }) => id === sampleId)
      const predicted = predictedOf(sample, control, ask, base)
      const label = isDistance ? of.label : askName(ask.ask)
      return [{ key: `${ask.ask} ${sampleId}`, label, ask, of, mean: of.mean, base, against, predicted }]
    }),
  )
  return (
    <Card className="px-5 py-4">
      <div className="mb-2 flex flex-wrap items-baseline justify-between gap-x-4">
        <h3 className="m-0 text-base">
          {isDistance ? 'How far away' : control === undefined ? 'As they rated it' : 'What they miss'}
        </h3>
        <span className="text-[13.5px] text-ink-2">
          {control === undefined ? '' : `band: ${control.label} as they tasted it · `}seed:{' '}
          {isDistance ? 'each trial' : shown.label}, with its interval · dots: each taster
          {rows.some(({ predicted }) => predicted !== null) ? ' · hollow: the model' : ''}
        </span>
      </div>
      {others.length > 1 && !isDistance && (
        <Choice
          label="Which sample"
          value={shown.sampleId}
          options={others.map(({ sampleId }) => sampleId)}
          names={Object.fromEntries(others.map(({ sampleId, label }) => [sampleId, label]))}
          onChange={setChosen}
        />
      )}
      <WithTable
        title={`${isDistance ? 'Each trial' : shown.label}${control === undefined ? '' : ` beside ${control.label}`}`}
        shape="marks"
        isFigures
        heads={[
          isDistance ? 'Sample' : 'Attribute',
          control?.label ?? '–',
          isDistance ? 'Mean' : shown.label,
          'Difference',
          'Between',
          'p',
        ]}
        rows={rows.map(({ label, ask, mean, base, against }) => [
          label,
          base?.mean?.toFixed(1) ?? '–',
          mean.toFixed(1),
          against === null ? '–' : against.difference.toFixed(1),
          against?.low == null || against.high === null
            ? '–'
            : `${against.low.toFixed(1)} to ${against.high.toFixed(1)}`,
          (against?.p ?? ask.p)?.toFixed(3) ?? '–',
        ])}
        drawing={
          <div>
            {rows.map(({ key, label, of, mean, base, against, predicted }) => (
              <TastedMark
                key={key}
                label={label}
                words={against === null ? mean.toFixed(1) : words(against, isDistance)}
                min={0}
                max={10}
                value={mean}
                low={against?.low == null || base?.mean == null ? of.ciLow : base.mean + against.low}
                high={against?.high == null || base?.mean == null ? of.ciHigh : base.mean + against.high}
                band={
                  base?.mean == null
                    ? null
                    : { low: base.ciLow ?? base.mean - 0.1, high: base.ciHigh ?? base.mean + 0.1 }
                }
                standing={against === null ? 'none' : STANDS[against.verdict]}
                dots={of.dots.map(({ tasterId, value }) => ({ of: tasterId, value }))}
                predicted={predicted}
              />
            ))}
          </div>
        }
      />
    </Card>
  )
}

/** Where the model would have had the seed on these tasters' scale: as far from the original as it said. */
function predictedOf(
  sample: Tasting['settings']['samples'][number] | undefined,
  control: Tasting['settings']['samples'][number] | undefined,
  { ask }: AskResult,
  base: { readonly mean: number | null } | undefined,
): number | null {
  if (sample === undefined || ask === 'liking' || ask === 'difference' || ask === 'rank') return null
  const said = sample.predicted[ask]?.value
  if (said === undefined) return null
  const stands = control?.kind === 'original' ? control.predicted[ask]?.value : undefined
  return stands === undefined || base?.mean == null ? said : base.mean + said - stands
}
