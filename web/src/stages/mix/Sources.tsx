import { contributors } from '@frijol/core/assess'
import { useMemo, useRef, useState } from 'react'
import { BarChart } from '../../charts'
import { useDish, useKitchenStore, useLibrary } from '../../store'
import { Card, CardTitle, Choice, useNear, useSettled } from '../../ui'

const FIGURES = ['sodiumMg', 'saturatedFatG', 'cost'] as const
type Figure = (typeof FIGURES)[number]
const NAMES = { sodiumMg: 'Sodium', saturatedFatG: 'Saturated fat', cost: 'Cost' } as const

const RESTS_MS = 350

/** Fewer bars are read more easily; the rest is one. */
const MOST_BARS = 8

/** Who brings the sodium, the saturated fat, and the cost, of a portion: the longest bar is where to begin. */
export function Sources() {
  const place = useRef<HTMLDivElement>(null)
  const isNear = useNear(place)
  return <div ref={place}>{isNear ? <Bars /> : <div className="h-64" />}</div>
}

function Bars() {
  const [figure, setFigure] = useState<Figure>('sodiumMg')
  // A chart follows once the typing rests; the figures above it follow every key.
  const dish = useSettled(useDish(), RESTS_MS)
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const { bars, unit, served, left } = useMemo(() => {
    const found = contributors(dish, library, kitchen, figure)
    const shown = (value: number): string =>
      `${figure === 'cost' ? value.toFixed(2) : figure === 'sodiumMg' ? Math.round(value) : value.toFixed(1)} ${found.unit}`
    const first = found.rows.slice(0, MOST_BARS)
    const rest = found.rows.slice(MOST_BARS)
    const restEach = rest.reduce((sum, { each }) => sum + each, 0)
    return {
      unit: `${found.unit} a portion`,
      served: shown(found.servedEach),
      left: Math.abs(found.leftEach) > 0.02 * Math.abs(found.servedEach) ? shown(found.leftEach) : null,
      bars: [
        ...first.map(({ name, each }) => ({ label: name, value: each, shown: shown(each) })),
        ...(rest.length === 0
          ? []
          : [{ label: `${rest.length} more`, value: restEach, shown: shown(restEach) }]),
      ],
    }
  }, [dish, library, kitchen, figure])
  return (
    <Card className="far-row px-3.5 py-3" aria-label="Where it comes from">
      <CardTitle title="Where it comes from" aside={`${served} a portion`} />
      <Choice label="Figure" value={figure} options={FIGURES} names={NAMES} onChange={setFigure} />
      {bars.length === 0 ? (
        <p className="m-0 text-sm text-ink-2">
          {figure === 'cost' ? 'No line has a price yet. Set prices in the pantry.' : 'No line has a figure.'}
        </p>
      ) : (
        <BarChart title={`${NAMES[figure]} by ingredient`} unit={unit} bars={bars} />
      )}
      {left !== null && figure !== 'cost' && (
        <p className="m-0 mt-1 text-[13px] text-ink-2">
          {left} of it are drained, pressed out or left behind by the method.
        </p>
      )}
    </Card>
  )
}
