import { attributeName, type Tasting } from '@frijol/core/model'
import { ATTENTION, JAR_WORDS, type JarResult, MENTIONS_BELOW } from '@frijol/core/sensory'
import { useMemo, useState } from 'react'
import { MapChart, type Segment, StackedChart } from '../../charts'
import { Card, Choice } from '../../ui'

const TONES = ['low-2', 'low', 'middle', 'high', 'high-2'] as const
const SEGMENTS: readonly Segment[] = JAR_WORDS.map((label, at) => ({ label, tone: TONES[at] ?? 'middle' }))

/** What is too little and too much, and what it goes with in liking. */
export function JarCharts({ tasting, results }: { tasting: Tasting; results: readonly JarResult[] }) {
  const { samples } = tasting.settings
  const [chosen, setChosen] = useState(samples.at(-1)?.id ?? '')
  const shown = useMemo(() => results.filter(({ sampleId }) => sampleId === chosen), [results, chosen])
  const rows = useMemo(
    () => shown.map(({ attribute, counts }) => ({ label: attributeName(attribute), counts })),
    [shown],
  )
  const points = useMemo(
    () =>
      shown.flatMap(({ attribute, penalty }) =>
        (['tooLittle', 'tooMuch'] as const).flatMap((side) => {
          const { n, share, penalty: cost, overThreshold } = penalty[side]
          return n === 0 || cost === null
            ? []
            : [
                {
                  label: `${side === 'tooLittle' ? 'too little' : 'too much'} ${attributeName(attribute)}`,
                  x: share,
                  y: Math.round(cost * 10) / 10,
                  isMarked: overThreshold && cost > 0,
                },
              ]
        }),
      ),
    [shown],
  )
  const axes = useMemo(
    () => ({
      x: 'share of tasters',
      y: 'liking lost',
      maxX: Math.min(1, Math.max(0.5, ...points.map(({ x }) => x + 0.25))),
      line: ATTENTION,
    }),
    [points],
  )
  const few = (shown[0]?.penalty.n ?? 0) < MENTIONS_BELOW
  return (
    <Card className="grid gap-3 px-5 py-4">
      <h3 className="m-0 text-base">Too little, too much</h3>
      {samples.length > 1 && (
        <Choice
          label="Which sample"
          value={chosen}
          options={samples.map(({ id }) => id)}
          names={Object.fromEntries(samples.map(({ id, label }) => [id, label]))}
          onChange={setChosen}
        />
      )}
      <StackedChart title="How many said what" of="Attribute" rows={rows} segments={SEGMENTS} />
      {points.length > 0 && (
        <MapChart
          title={
            few
              ? 'What it goes with: mentions of so few are read one by one, not ranked'
              : 'What it costs: far right and high up matters'
          }
          points={points}
          axes={axes}
        />
      )}
    </Card>
  )
}
