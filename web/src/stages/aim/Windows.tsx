import { type Original, type Part, RatioWindow } from '@frijol/core/model'
import { familyTable, goalOf, type RatioTable, windowOf } from '@frijol/core/texture'
import { goalCommands, run } from '../../store'
import { Button, NumberField } from '../../ui'

const ENDS = [
  ['low', 'works from'],
  ['bestLow', 'best from'],
  ['bestHigh', 'best to'],
  ['high', 'works to'],
] as const

const rounded = (value: number): number => Number(value.toPrecision(3))

function WindowRow({ part, ratio, original }: { part: Part; ratio: RatioTable; original: Original | null }) {
  const window = windowOf(ratio, goalOf(original, part.moved))
  const isMoved = part.moved.windows[ratio.id] !== undefined
  const change = (end: keyof RatioWindow) => (value: number | null) => {
    if (value === null) return 'Enter a number.'
    const next = RatioWindow.safeParse({ ...window, [end]: value })
    if (!next.success) return next.error.issues[0]?.message ?? 'This does not fit.'
    run(goalCommands.moveWindow(part.id, ratio.id, ratio.label, next.data))
    return null
  }
  return (
    <fieldset className="m-0 border-0 border-t border-line p-0 pt-2">
      <legend className="contents">
        <span className="flex min-h-8 items-center justify-between text-sm font-semibold">
          <span>
            {ratio.label}
            {ratio.unit === '' ? '' : `, ${ratio.unit}`}
          </span>
          {isMoved && (
            <Button
              tone="quiet"
              className="min-h-7"
              onClick={() => run(goalCommands.moveWindow(part.id, ratio.id, ratio.label, null))}
            >
              Put back
            </Button>
          )}
        </span>
      </legend>
      <div className="grid grid-cols-4 gap-2 max-sm:grid-cols-2">
        {ENDS.map(([end, label]) => (
          <NumberField key={end} label={label} value={rounded(window[end])} onChange={change(end)} />
        ))}
      </div>
    </fieldset>
  )
}

/** The working windows of the family's ratios, to be moved for this dish. */
export function Windows({ part, original }: { part: Part; original: Original | null }) {
  const table = familyTable(part.family)
  if (table === null || table.ratios.length === 0) return null
  const moved = Object.keys(part.moved.windows).length
  return (
    <details className="mt-3">
      <summary className="min-h-7 text-[13px] text-ink-2">
        Working windows of its {table.ratios.length} ratios{moved === 0 ? '' : `, ${moved} moved`}
      </summary>
      <div className="mt-1 grid gap-2">
        {table.ratios.map((ratio) => (
          <WindowRow key={ratio.id} part={part} ratio={ratio} original={original} />
        ))}
      </div>
    </details>
  )
}
