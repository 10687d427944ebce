import { useState } from 'react'
import { useLocation, useSearchParams } from 'react-router'
import { useShallow } from 'zustand/react/shallow'
import { commands, run, useAssessed, useLibrary } from '../store'
import { Chip, LoneField } from '../ui'
import { stageOf } from './stages'
import { TrialSheet } from './TrialSheet'

export interface DishHeaderProps {
  /** Called with the element that stages put their actions into. */
  onSlot: (element: HTMLElement | null) => void
}

/** What the header says of the dish, as plain values; parts are lines of id, name and original. */
function wordsOf({ dish }: ReturnType<typeof useAssessed.getState>) {
  return {
    name: dish?.name ?? '',
    menu: dish?.menu ?? '',
    number: dish?.trial.number ?? 0,
    fromNumber: dish?.trial.fromNumber ?? null,
    parts: (dish?.parts ?? [])
      .map((part) => [part.id, part.name, part.originalId ?? ''].join('\t'))
      .join('\n'),
  }
}

/** Dish and part, the trial and its parent, the original, and the stage's own actions. */
export function DishHeader({ onSlot }: DishHeaderProps) {
  // Its own words alone: a key in a line or a step leaves the header as it is.
  const { name, menu, number, fromNumber, parts } = useAssessed(useShallow(wordsOf))
  const library = useLibrary()
  const [params] = useSearchParams()
  const { pathname } = useLocation()
  const [isOpen, setOpen] = useState(false)
  const isOfPart = stageOf(pathname)?.isOfPart === true
  const named = parts.split('\n').map((one) => one.split('\t'))
  const [, partName = '', originalId = ''] = named.find(([id]) => id === params.get('part')) ?? named[0] ?? []
  const original = library.originals.get(originalId) ?? null
  return (
    <header className="no-print flex flex-wrap items-end gap-x-3.5 gap-y-2">
      <div className="min-w-0">
        <div className="text-sm text-ink-2">{menu === '' ? 'Dish' : menu}</div>
        <h1 className="m-0 flex min-w-0 items-baseline text-[26px] leading-tight">
          <LoneField>
            <input
              aria-label="Name of the dish"
              className="quiet-input -ml-1.5 field-sizing-content max-w-[46vw] min-w-16 truncate py-0 max-md:max-w-[80vw]"
              value={name}
              onChange={(event) => run(commands.renameDish(event.target.value.slice(0, 200)))}
            />
          </LoneField>
          {isOfPart && named.length > 1 && <span className="truncate">· {partName.toLowerCase()}</span>}
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
          {original === null
            ? 'no original yet'
            : `against ${original.name.charAt(0).toLowerCase()}${original.name.slice(1)}`}
        </Chip>
      )}
      <div ref={onSlot} className="ml-auto flex flex-wrap gap-2" />
      <TrialSheet isOpen={isOpen} onClose={() => setOpen(false)} />
    </header>
  )
}
