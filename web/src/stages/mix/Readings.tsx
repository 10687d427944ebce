import type { Assessment, Part, PartAssessment, RatioReading } from '@frijol/core/model'
import { askWhy } from '../../store'
import { Card, CardTitle, Strip, WindowAndTick } from '../../ui'
import { FindingsCard } from '../../findings'
import { AgainstOriginal } from './AgainstOriginal'
import { AtTheCounter } from './AtTheCounter'
import { Sources } from './Sources'

export interface ReadingsProps {
  part: Part
  reading: PartAssessment
  assessment: Assessment
}

/** Marks what rests on foods without figures of their own. */
const PARTLY = '~ '
const STATES: Record<RatioReading['state'], string> = {
  in: 'works well',
  drift: 'works, outside the best range',
  out: 'outside what works',
}
const shownRatio = ({ value, unit, high, known }: RatioReading): string => {
  const shown = Math.abs(value) < high / 200 ? 0 : Number(value.toPrecision(2))
  return `${known === 'partly' ? PARTLY : ''}${shown}${unit === '' ? '' : ` ${unit}`}`
}

/** The readings beside the formula: against the original, water, ratios, findings. */
export function Readings({ part, reading, assessment }: ReadingsProps) {
  return (
    <div className="grid gap-3" aria-label="Readings" role="group">
      <AgainstOriginal part={part} reading={reading} />
      <Card className="px-3.5 py-3">
        <Water reading={reading} />
        {reading.ratios.length > 0 && (
          <div className="mt-2">
            {reading.ratios.map((ratio) => (
              <WindowAndTick
                key={ratio.id}
                {...ratio}
                isLog={ratio.unit === 'Pa·s'}
                shown={shownRatio(ratio)}
                words={`${STATES[ratio.state]}${ratio.known === 'partly' ? ', partly known' : ''}`}
                standing={ratio.state}
                onWhy={() => askWhy({ kind: 'ratio', partId: part.id, id: ratio.id })}
              />
            ))}
          </div>
        )}
      </Card>
      <AtTheCounter behaviour={reading.behaviour} />
      <FindingsCard assessment={assessment} partId={part.id} />
      <Sources />
    </div>
  )
}

function Water({ reading }: { reading: PartAssessment }) {
  const { totalG, heldG, freeG, cookedOffG } = reading.water
  if (totalG <= 0) return <CardTitle title="Water" aside="none yet" />
  return (
    <>
      <CardTitle title="Water" aside={`of ${Math.round(totalG)} g in the mix`} />
      <Strip
        title="Water"
        parts={[
          { label: 'held', share: heldG / totalG, className: 'bg-sky text-paper' },
          { label: 'cooks off', share: cookedOffG / totalG, className: 'bg-sky-soft text-sky-deep' },
          { label: 'free', share: freeG / totalG, className: 'bg-turmeric-soft text-turmeric-deep' },
        ]}
      />
    </>
  )
}
