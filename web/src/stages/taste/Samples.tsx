import { type TastingSample, type TastingSettings, type Trial } from '@frijol/core/model'
import { protocolTable } from '@frijol/core/sensory'
import { X } from 'lucide-react'
import { useDish, useLibrary, useTrials } from '../../store'
import { otherSample, runTasting, sampleOf, sampleOfOriginal, tastingCommands } from '../../store/tasting'
import { Button, Card, CardTitle, Choice, IconButton, TextInput } from '../../ui'
import { AllergensSheet } from './AllergensSheet'
import { SAMPLE_KINDS } from './words'

/** What is tasted: the original, trials, the mix as it is, or what is served now. */
export function Samples({ settings }: { settings: TastingSettings }) {
  const { samples, controlId, expectedId, protocol } = settings
  const { needsControl, samples: bounds } = protocolTable(protocol)
  const set = (label: string, next: readonly TastingSample[], control = controlId) =>
    runTasting(tastingCommands.setSamples(label, next, control))
  const add = (sample: TastingSample) =>
    set(`taste ${sample.label}`, [...samples, sample], sample.kind === 'original' ? sample.id : controlId)
  const change = (label: string, sample: TastingSample) =>
    set(
      label,
      samples.map((one) => (one.id === sample.id ? sample : one)),
    )
  return (
    <Card className="px-4 py-3">
      <CardTitle
        title="What is tasted"
        aside={bounds[0] === bounds[1] ? `${bounds[0]} samples` : `${bounds[0]} to ${bounds[1]} samples`}
      />
      <ul className="m-0 grid list-none gap-1 p-0">
        {samples.map((sample) => (
          <li
            key={sample.id}
            className="flex flex-wrap items-center gap-x-2.5 gap-y-1 border-b border-line/60 py-1 last:border-0"
          >
            <TextInput
              aria-label={`Name of ${sample.label}`}
              className="max-w-64 flex-1"
              value={sample.label}
              onChange={({ target }) => {
                if (target.value.trim() !== '')
                  change('name a sample', { ...sample, label: target.value.slice(0, 200) })
              }}
            />
            <span className="text-[13px] text-ink-2">{SAMPLE_KINDS[sample.kind]}</span>
            <Button
              tone={sample.id === controlId ? 'primary' : 'quiet'}
              aria-pressed={sample.id === controlId}
              className="min-h-7 px-2.5 text-[13px]"
              onClick={() =>
                set('hold the others against it', samples, sample.id === controlId ? null : sample.id)
              }
            >
              {sample.id === controlId ? 'held against' : 'hold against it'}
            </Button>
            <AllergensSheet sample={sample} onChange={(next) => change('say what a sample holds', next)} />
            <IconButton
              label={`Take ${sample.label} off`}
              className="ml-auto"
              onClick={() =>
                set(
                  `take ${sample.label} off`,
                  samples.filter(({ id }) => id !== sample.id),
                )
              }
            >
              <X size={16} aria-hidden="true" />
            </IconButton>
          </li>
        ))}
      </ul>
      {needsControl && controlId === null && samples.length > 0 && (
        <p className="m-0 mt-1 text-[13px] text-adzuki-deep">Say which sample the others are held against.</p>
      )}
      <AddSample samples={samples} onAdd={add} />
      {protocol === 'paired' && samples.length === 2 && (
        <div className="mt-2">
          <Choice
            label="Who is expected to have more"
            value={expectedId ?? 'either'}
            options={['either', ...samples.map(({ id }) => id)]}
            names={{
              either: 'Either could',
              ...Object.fromEntries(samples.map(({ id, label }) => [id, `More in ${label}`])),
            }}
            onChange={(next) =>
              runTasting(
                tastingCommands.changePlan('say what is expected', {
                  expectedId: next === 'either' ? null : next,
                }),
              )
            }
          />
        </div>
      )}
    </Card>
  )
}

/** Samples that are at hand, one button each. */
function AddSample({
  samples,
  onAdd,
}: {
  samples: readonly TastingSample[]
  onAdd: (sample: TastingSample) => void
}) {
  const dish = useDish()
  const library = useLibrary()
  const { trials } = useTrials(dish.id)
  const isIn = (kind: TastingSample['kind'], partId: string | null, number: number | null): boolean =>
    samples.some((one) => one.kind === kind && one.partId === partId && one.trialNumber === number)
  const ours = (trial: Trial | null) =>
    (trial?.parts ?? dish.parts).map((part) => ({
      key: `${trial?.id ?? 'now'} ${part.id}`,
      name: `Trial ${trial?.number ?? dish.trial.number}${dish.parts.length > 1 ? `, ${part.name.toLowerCase()}` : ''}${trial === null ? ' (now)' : ''}`,
      isIn: isIn(trial === null ? 'mix' : 'trial', part.id, trial?.number ?? dish.trial.number),
      make: () => sampleOf(dish, trial, part.id),
    }))
  const originals = dish.parts.flatMap(({ originalId }) => {
    const original = originalId === null ? undefined : library.originals.get(originalId)
    return original === undefined
      ? []
      : [
          {
            key: original.id,
            name: original.name,
            isIn: samples.some((one) => one.kind === 'original' && one.originalId === original.id),
            make: () => sampleOfOriginal(original),
          },
        ]
  })
  const all = [...originals, ...ours(null), ...trials.flatMap((trial) => ours(trial))]
  return (
    <div role="group" aria-label="Add a sample" className="mt-2 flex flex-wrap gap-1.5">
      {all
        .filter((one) => !one.isIn)
        .map(({ key, name, make }) => (
          <Button
            key={key}
            tone="quiet"
            className="min-h-8 border-line! px-2.5 text-[13px]"
            onClick={() => onAdd(make())}
          >
            + {name}
          </Button>
        ))}
      <Button
        tone="quiet"
        className="min-h-8 border-line! px-2.5 text-[13px]"
        onClick={() => onAdd(otherSample(`Sample ${samples.length + 1}`))}
      >
        + Something else
      </Button>
    </div>
  )
}
