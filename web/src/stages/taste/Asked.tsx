import { type AttributeId, attributeName, ATTRIBUTES, type TastingSettings } from '@frijol/core/model'
import { NOT_FOR_JAR } from '@frijol/core/sensory'
import { ATTRIBUTE_SCALES } from '@frijol/core/texture'
import { runTasting, tastingCommands } from '../../store/tasting'
import { Card, CardTitle, ToggleChip } from '../../ui'

const MOST = 8

/** What is rated: five to eight words with a meaning that all share; liking before them. */
export function Asked({ settings }: { settings: TastingSettings }) {
  const { attributes, asksLiking, protocol, samples } = settings
  const ours = new Set(
    samples.filter(({ kind }) => kind !== 'original').flatMap(({ predicted }) => Object.keys(predicted)),
  )
  const all = ATTRIBUTES.filter((id) => protocol !== 'jar' || !NOT_FOR_JAR.has(id))
  // What the model reads of the mix comes first: only of that can it learn.
  const offered = all.filter((id) => ours.size === 0 || ours.has(id) || attributes.includes(id))
  const others = all.filter((id) => !offered.includes(id))
  const toggle = (id: AttributeId) =>
    runTasting(
      tastingCommands.changePlan(
        attributes.includes(id) ? `ask no more for ${attributeName(id)}` : `ask for ${attributeName(id)}`,
        {
          attributes: attributes.includes(id) ? attributes.filter((one) => one !== id) : [...attributes, id],
        },
      ),
    )
  if (protocol === 'liking' || protocol === 'control') return null
  return (
    <Card className="px-4 py-3">
      <CardTitle title="What is asked" aside={`${attributes.length} of 5 to ${MOST} words`} />
      <div className="flex flex-wrap gap-1.5">
        <ToggleChip
          tone="mung"
          isOn={asksLiking}
          onChange={() =>
            runTasting(tastingCommands.changePlan('ask for liking', { asksLiking: !asksLiking }))
          }
        >
          liking, first
        </ToggleChip>
        {offered.map((id) => (
          <ToggleChip key={id} tone="mung" isOn={attributes.includes(id)} onChange={() => toggle(id)}>
            {attributeName(id)}
          </ToggleChip>
        ))}
      </div>
      {others.length > 0 && (
        <details className="mt-2 text-sm">
          <summary className="min-h-6 text-[13px] text-ink-2">
            {others.length} more words, which the model does not read of this mix
          </summary>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {others.map((id) => (
              <ToggleChip key={id} tone="mung" isOn={false} onChange={() => toggle(id)}>
                {attributeName(id)}
              </ToggleChip>
            ))}
          </div>
        </details>
      )}
      {attributes.length > MOST && (
        <p className="m-0 mt-2 text-[13px] text-turmeric-deep">
          More than {MOST} words tire a mouth, and the more are asked, the more look different by chance.
        </p>
      )}
      {attributes.length > 0 && (
        <details className="mt-2 text-sm">
          <summary className="min-h-6 text-[13px] text-ink-2">What the words mean</summary>
          <ul className="m-0 mt-1 list-none p-0">
            {attributes.map((id) => {
              const { meaning, anchors } = ATTRIBUTE_SCALES[id]
              return (
                <li key={id} className="border-b border-line/60 py-1 last:border-0">
                  <b className="inline-block first-letter:uppercase">{attributeName(id)}</b>:{' '}
                  {meaning.toLowerCase()}.{' '}
                  <span className="text-ink-2">
                    0 {anchors[0]}, 5 {anchors[1]}, 10 {anchors[2]}
                  </span>
                </li>
              )
            })}
          </ul>
        </details>
      )}
    </Card>
  )
}
