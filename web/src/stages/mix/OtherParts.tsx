import { closeness, readingOrder } from '@frijol/core/assess'
import type { PartAssessment } from '@frijol/core/model'
import { Card, CardTitle, Folded } from '../../ui'
import { Bands } from './AgainstOriginal'

/** The other layers of the dish, each against its own original. */
export function OtherParts({ partId, parts }: { partId: string; parts: readonly PartAssessment[] }) {
  const others = parts.filter((part) => part.partId !== partId && part.distance !== null)
  if (others.length === 0) return null
  return (
    <Card className="far-row px-3.5 py-3" aria-label="The other parts">
      <CardTitle title={others.length === 1 ? 'The other part' : 'The other parts'} />
      {others.map((part) => (
        <Folded
          key={part.partId}
          className="border-t border-line first-of-type:border-t-0"
          summaryClass="min-h-8 py-1 text-sm"
          summary={
            <>
              <b>{part.name}</b>
              <span className="float-right text-[13px] text-ink-2">{closeness(part.distance)}</span>
            </>
          }
        >
          {() => <Bands partId={part.partId} readings={readingOrder(part.attributes).counts} />}
        </Folded>
      ))}
    </Card>
  )
}
