import type { Behaviour } from '@frijol/core/model'
import { Card, CardTitle } from '../../ui'

/** What the part will do at the counter, and the quick check that confirms it. */
export function AtTheCounter({
  behaviour,
  title = 'At the counter',
}: {
  behaviour: readonly Behaviour[]
  title?: string
}) {
  if (behaviour.length === 0) return null
  return (
    <Card className="far-row px-3.5 py-3">
      <CardTitle title={title} />
      <dl className="m-0 grid gap-1.5 text-sm">
        {behaviour.map(({ id, label, value, confirm }) => (
          <div key={id} className="grid grid-cols-[124px_1fr] gap-x-2">
            <dt className="text-ink-2">{label}</dt>
            <dd className="m-0">
              <span className="font-semibold first-letter:uppercase">{value}</span>
              <span className="block text-xs text-ink-2">Confirm: {confirm}</span>
            </dd>
          </div>
        ))}
      </dl>
    </Card>
  )
}
