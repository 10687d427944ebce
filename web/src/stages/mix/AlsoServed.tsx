import { closeness, readingOrder } from '@frijol/core/assess'
import type { SecondReading } from '@frijol/core/model'
import { askWhy } from '../../store'
import { Card, CardTitle, Folded, WindowAndTick } from '../../ui'
import { Bands } from './AgainstOriginal'
import { AtTheCounter } from './AtTheCounter'
import { ratioMark } from './ratioMark'

/** The part as it is served the second way, against the original that it stands for then. */
export function AlsoServed({ partId, also }: { partId: string; also: SecondReading }) {
  const { counts, off, rest } = readingOrder(also.attributes)
  return (
    <>
      <Card className="far-row px-3.5 py-3" aria-label="The second way">
        <CardTitle
          title={`And as ${also.originalName.charAt(0).toLowerCase() + also.originalName.slice(1)}`}
          aside={`${closeness(also.distance)}, at ${Math.round(also.servingC)} °C`}
        />
        <Bands partId={partId} readings={counts} isSecond />
        <Bands partId={partId} readings={off} isSecond />
        <Folded className="mt-1.5" summary={`${rest.length} more, and its ${also.ratios.length} ratios`}>
          {() => (
            <>
              <Bands partId={partId} readings={rest} isSecond />
              {also.ratios.map((ratio) => (
                <WindowAndTick
                  key={ratio.id}
                  {...ratioMark(ratio)}
                  onWhy={() => askWhy({ kind: 'ratio', partId, id: ratio.id, isSecond: true })}
                />
              ))}
            </>
          )}
        </Folded>
      </Card>
      <AtTheCounter title="At the counter, then" behaviour={also.behaviour} />
    </>
  )
}
