import type { Assessment, Part, PartAssessment } from '@frijol/core/model'
import { askWhy } from '../../store'
import { Card, CardTitle, Strip, WindowAndTick } from '../../ui'
import { FindingsCard } from '../../findings'
import { AgainstOriginal } from './AgainstOriginal'
import { AlsoServed } from './AlsoServed'
import { AtTheCounter } from './AtTheCounter'
import { Flavour } from './Flavour'
import { OtherParts } from './OtherParts'
import { ratioMark } from './ratioMark'
import { Sources } from './Sources'

export interface ReadingsProps {
  part: Part
  reading: PartAssessment
  assessment: Assessment
}

/** The readings beside the formula: against the original, water, ratios, findings. */
export function Readings({ part, reading, assessment }: ReadingsProps) {
  return (
    <div className="grid gap-3" aria-label="Readings" role="group">
      <AgainstOriginal part={part} reading={reading} />
      <Card className="far-row px-3.5 py-3">
        <Water reading={reading} />
        {reading.ratios.length > 0 && (
          <div className="mt-2">
            {reading.ratios.map((ratio) => (
              <WindowAndTick
                key={ratio.id}
                {...ratioMark(ratio)}
                onWhy={() => askWhy({ kind: 'ratio', partId: part.id, id: ratio.id })}
              />
            ))}
          </div>
        )}
      </Card>
      <AtTheCounter behaviour={reading.behaviour} />
      {reading.also !== null && <AlsoServed partId={part.id} also={reading.also} />}
      <FindingsCard assessment={assessment} partId={part.id} />
      <Flavour partId={part.id} />
      <OtherParts partId={part.id} parts={assessment.parts} />
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
