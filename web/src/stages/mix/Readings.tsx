import type { Assessment, Part, PartAssessment } from '@frijol/core/model'
import { askWhy } from '../../store'
import { memo } from 'react'
import { Card, CardTitle, Strip, useOutOfSight, useSettled, WindowAndTick } from '../../ui'
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

/** The cards below the bands, in their order. */
const CARDS = ['water', 'counter', 'also', 'findings', 'others'] as const
type CardId = (typeof CARDS)[number]
/** After this long without a change, ms, cards that are out of sight follow. */
const RESTS_MS = 250

/** The readings beside the formula: against the original, water, ratios, findings. */
export function Readings(props: ReadingsProps) {
  const rested = useSettled(props, RESTS_MS)
  const [far, place] = useOutOfSight(CARDS)
  const { part, reading } = props
  const card = (id: CardId) => (
    <div data-far={id} className="empty:hidden">
      <OneCard id={id} {...(far.has(id) && rested.part.id === part.id ? rested : props)} />
    </div>
  )
  return (
    <div ref={place} className="grid gap-3" aria-label="Readings" role="group">
      <AgainstOriginal part={part} reading={reading} />
      {card('water')}
      {card('counter')}
      {card('also')}
      {card('findings')}
      <Flavour partId={part.id} />
      {card('others')}
      <Sources />
    </div>
  )
}

/** A card of the readings; it stays as it is while what it is made of does. */
const OneCard = memo(function OneCard({ id, part, reading, assessment }: ReadingsProps & { id: CardId }) {
  if (id === 'water') return <WaterAndRatios partId={part.id} reading={reading} />
  if (id === 'counter') return <AtTheCounter behaviour={reading.behaviour} />
  if (id === 'also') return reading.also === null ? null : <AlsoServed partId={part.id} also={reading.also} />
  if (id === 'findings') return <FindingsCard assessment={assessment} partId={part.id} />
  return <OtherParts partId={part.id} parts={assessment.parts} />
})

function WaterAndRatios({ partId, reading }: { partId: string; reading: PartAssessment }) {
  return (
    <Card className="far-row px-3.5 py-3">
      <Water reading={reading} />
      {reading.ratios.length > 0 && (
        <div className="mt-2">
          {reading.ratios.map((ratio) => (
            <WindowAndTick
              key={ratio.id}
              {...ratioMark(ratio)}
              onWhy={() => askWhy({ kind: 'ratio', partId, id: ratio.id })}
            />
          ))}
        </div>
      )}
    </Card>
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
