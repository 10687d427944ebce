import type { Dish, Part, Series, Trial } from '@frijol/core/model'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { run } from '../../../store'
import { seriesCommands } from '../../../store/learn'
import { Button, Card, Empty, HeaderActions, toast } from '../../../ui'
import { PlanSeries } from './PlanSeries'
import { SeriesResult } from './SeriesResult'
import { SeriesRuns } from './SeriesRuns'

export interface SeriesViewProps {
  dish: Dish
  part: Part
  trials: readonly Trial[]
  onClose: () => void
}

/** Designed series of a part: laid out, made run by run, read as a surface. */
export function SeriesView({ dish, part, trials, onClose }: SeriesViewProps) {
  const own = dish.series.filter(({ partId }) => partId === part.id)
  const [chosen, setChosen] = useState<string | null>(null)
  const [isPlanning, setPlanning] = useState(false)
  const shown: Series | undefined = own.find(({ id }) => id === chosen) ?? own.at(-1)
  const remove = (series: Series) => {
    if (run(seriesCommands.removeSeries(series.id)))
      toast('The series is taken away; its trials stay. Undo with U.')
  }
  return (
    <div className="grid gap-3 pb-16">
      <HeaderActions>
        <Button onClick={onClose}>Back to the vine</Button>
        {!isPlanning && (
          <Button tone={own.length === 0 ? 'primary' : 'plain'} onClick={() => setPlanning(true)}>
            <Plus size={16} aria-hidden="true" /> New series
          </Button>
        )}
      </HeaderActions>
      {isPlanning ? (
        <PlanSeries
          dish={dish}
          part={part}
          onDone={(id) => {
            setPlanning(false)
            if (id !== null) setChosen(id)
          }}
        />
      ) : shown === undefined ? (
        <Card className="p-5">
          <Empty sentence="No series yet. Vary two to five things of this part together, in few batches, with today’s formula beside them each day: it shows which way to go, and how sure that is." />
        </Card>
      ) : (
        <>
          {own.length > 1 && (
            <nav aria-label="Series of this part" className="flex flex-wrap gap-1.5">
              {own.map(({ id, name }) => (
                <Button
                  key={id}
                  className="min-h-8"
                  tone={id === shown.id ? 'primary' : 'plain'}
                  aria-current={id === shown.id ? 'true' : undefined}
                  onClick={() => setChosen(id)}
                >
                  {name}
                </Button>
              ))}
            </nav>
          )}
          <div className="grid items-start gap-3.5 xl:grid-cols-[minmax(0,1fr)_430px]">
            <SeriesRuns
              key={shown.id}
              dish={dish}
              series={shown}
              trials={trials}
              onRemove={() => remove(shown)}
            />
            <SeriesResult key={`${shown.id} result`} series={shown} />
          </div>
        </>
      )}
    </div>
  )
}
