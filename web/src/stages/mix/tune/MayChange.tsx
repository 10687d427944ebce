import type { Part, PartAssessment } from '@frijol/core/model'
import { X } from 'lucide-react'
import { useState } from 'react'
import { FoodFinder } from '../../../parts'
import { useLibrary } from '../../../store'
import { Button, IconButton, NumberField, Sheet } from '../../../ui'
import { changeAsk, toggleHold, useAsk } from './useAsk'

export interface MayChangeProps {
  part: Part
  reading: PartAssessment
  isOpen: boolean
  onClose: () => void
}

/** What the search may change: lines held or bounded, times of steps, foods that may come in. */
export function MayChange({ part, reading, isOpen, onClose }: MayChangeProps) {
  const ask = useAsk(part.id)
  const bound = (lineId: string, side: 'leastG' | 'mostG', value: number | null, nowG: number) => {
    const before = ask.bounds.find((one) => one.lineId === lineId)
    const next = { lineId, leastG: before?.leastG ?? 0, mostG: before?.mostG ?? 3 * nowG }
    const changed = { ...next, [side]: value ?? (side === 'leastG' ? 0 : 3 * nowG) }
    if (changed.leastG > changed.mostG) return 'At least is above at most.'
    changeAsk(part.id, { bounds: [...ask.bounds.filter((one) => one.lineId !== lineId), changed] })
    return null
  }
  return (
    <Sheet
      title="What may change"
      description="The limits themselves, bands and what matters stand in Aim. A change here looks anew."
      isOpen={isOpen}
      onClose={onClose}
      width="wide"
    >
      <label className="flex min-h-9 items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="size-4 accent-aubergine"
          checked={ask.method}
          onChange={(event) => changeAsk(part.id, { method: event.target.checked })}
        />
        Times of steps may change: baking, frying, pressing, kneading, resting; what cooks food through only
        longer
      </label>
      <ul className="m-0 mt-2 grid list-none gap-1 p-0">
        {reading.lines.flatMap(({ lineId, name, massG }) => {
          if (massG === null) return []
          const own = ask.bounds.find((one) => one.lineId === lineId)
          const isHeld = ask.hold.includes(lineId)
          return (
            <li
              key={lineId}
              className="grid grid-cols-[minmax(0,1fr)_120px_120px] items-end gap-2 border-b border-line/60 pb-1 max-sm:grid-cols-2"
            >
              <label className="flex min-h-9 items-center gap-2 text-sm max-sm:col-span-2">
                <input
                  type="checkbox"
                  className="size-4 accent-aubergine"
                  checked={!isHeld}
                  onChange={() => toggleHold(ask, lineId)}
                />
                <span className="truncate">
                  {name}, {massG.toFixed(massG < 20 ? 1 : 0)} g
                </span>
              </label>
              <NumberField
                key={`least ${own?.leastG ?? ''}`}
                label="at least"
                unit="g"
                value={own?.leastG ?? null}
                onChange={(value) => bound(lineId, 'leastG', value, massG)}
              />
              <NumberField
                key={`most ${own?.mostG ?? ''}`}
                label="at most"
                unit="g"
                value={own?.mostG ?? null}
                onChange={(value) => bound(lineId, 'mostG', value, massG)}
              />
            </li>
          )
        })}
      </ul>
      <LetIn partId={part.id} />
    </Sheet>
  )
}

const MOST_LET_IN = 6

/** Foods that may come in for what is missing. */
function LetIn({ partId }: { partId: string }) {
  const ask = useAsk(partId)
  const library = useLibrary()
  const [isFinding, setFinding] = useState(false)
  return (
    <section aria-label="Foods that may come in" className="mt-3">
      <h3 className="m-0 mb-1.5 text-sm">Foods that may come in</h3>
      <div className="flex flex-wrap items-center gap-1.5">
        {ask.allow.map((id) => {
          const name = library.ingredients.get(id)?.name ?? id
          return (
            <span
              key={id}
              className="inline-flex items-center rounded-full bg-mung-soft pl-3 text-[13px] text-mung-deep"
            >
              {name}
              <IconButton
                label={`Do not let ${name} in`}
                onClick={() => changeAsk(partId, { allow: ask.allow.filter((one) => one !== id) })}
              >
                <X size={13} aria-hidden="true" />
              </IconButton>
            </span>
          )
        })}
        {ask.allow.length < MOST_LET_IN && (
          <Button aria-expanded={isFinding} onClick={() => setFinding(!isFinding)}>
            Let a food in
          </Button>
        )}
      </div>
      {isFinding && (
        <FoodFinder
          label="Food that may come in"
          placeholder="Wheat gluten, coconut oil …"
          onPick={(id) => {
            if (!ask.allow.includes(id)) changeAsk(partId, { allow: [...ask.allow, id] })
            setFinding(false)
          }}
        />
      )}
    </section>
  )
}
