import { useState } from 'react'
import { useLocation, useSearchParams } from 'react-router'
import { commands, run, useDish, useLibrary } from '../store'
import { Chip } from '../ui'
import { stageOf } from './stages'
import { TrialSheet } from './TrialSheet'

export interface DishHeaderProps {
  /** Called with the element that stages put their actions into. */
  onSlot: (element: HTMLElement | null) => void
}

/** Dish and part, the trial and its parent, the original, and the stage's own actions. */
export function DishHeader({ onSlot }: DishHeaderProps) {
  const dish = useDish()
  const library = useLibrary()
  const [params] = useSearchParams()
  const { pathname } = useLocation()
  const [isOpen, setOpen] = useState(false)
  const isOfPart = stageOf(pathname)?.isOfPart === true
  const part = dish.parts.find(({ id }) => id === params.get('part')) ?? dish.parts[0]
  const original = part?.originalId == null ? null : library.originals.get(part.originalId)
  const { number, fromNumber } = dish.trial
  return (
    <header className="no-print flex flex-wrap items-end gap-x-3.5 gap-y-2">
      <div className="min-w-0">
        <div className="text-sm text-ink-2">{dish.menu === '' ? 'Dish' : dish.menu}</div>
        <h1 className="m-0 flex min-w-0 items-baseline text-[26px] leading-tight">
          <input
            aria-label="Name of the dish"
            className="quiet-input -ml-1.5 field-sizing-content max-w-[46vw] min-w-16 truncate py-0 max-md:max-w-[80vw]"
            value={dish.name}
            onChange={(event) => run(commands.renameDish(event.target.value.slice(0, 200)))}
          />
          {isOfPart && dish.parts.length > 1 && part !== undefined && (
            <span className="truncate">· {part.name.toLowerCase()}</span>
          )}
        </h1>
      </div>
      <button
        type="button"
        onClick={() => setOpen(true)}
        aria-haspopup="dialog"
        className="mb-1 inline-flex min-h-7 items-center gap-1.5 rounded-full bg-husk px-2.5 text-[13px] hover:bg-line"
      >
        Trial {number} {fromNumber !== null && <span className="text-ink-2">from {fromNumber}</span>}
      </button>
      {isOfPart && (
        <Chip tone="aubergine" className="mb-1 min-h-7">
          {original == null
            ? 'no original yet'
            : `against ${original.name.charAt(0).toLowerCase()}${original.name.slice(1)}`}
        </Chip>
      )}
      <div ref={onSlot} className="ml-auto flex flex-wrap gap-2" />
      <TrialSheet isOpen={isOpen} onClose={() => setOpen(false)} />
    </header>
  )
}
