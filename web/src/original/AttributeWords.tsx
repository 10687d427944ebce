import { type AttributeId, attributeName } from '@frijol/core/model'
import { ATTRIBUTE_SCALES, checkOf } from '@frijol/core/texture'
import { Popover } from 'radix-ui'

/** The name of an attribute; pressed, it says what is meant, what stands at 0, 5 and 10, and how to judge it. */
export function AttributeWords({ id, isStrong = false }: { id: AttributeId; isStrong?: boolean }) {
  const { meaning, anchors, judge } = ATTRIBUTE_SCALES[id]
  const check = checkOf(id)
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`block min-h-7 w-full truncate rounded-md text-left underline decoration-dotted underline-offset-4 first-letter:uppercase hover:bg-husk/60 ${isStrong ? 'font-semibold' : ''}`}
      >
        {attributeName(id)}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          collisionPadding={12}
          className="z-50 w-[min(340px,calc(100vw-24px))] rounded-card border border-line bg-paper p-3.5 text-sm shadow-xl"
        >
          <p className="m-0 mb-2 font-semibold">{meaning}</p>
          <dl className="m-0 grid grid-cols-[24px_1fr] gap-x-2 gap-y-0.5">
            {anchors.map((anchor, at) => (
              <div key={anchor} className="contents">
                <dt className="text-right text-ink-2">{at * 5}</dt>
                <dd className="m-0">{anchor}</dd>
              </div>
            ))}
          </dl>
          <p className="m-0 mt-2">
            <span className="text-ink-2">To judge it: </span>
            {judge.charAt(0).toLowerCase() + judge.slice(1)}.
          </p>
          {check !== null && (
            <p className="m-0 mt-2">
              <span className="text-ink-2">To measure it: </span>
              {check.how}
            </p>
          )}
          <p className="m-0 mt-2 text-xs text-ink-2">Practice; move the anchors to what your panel knows.</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}
