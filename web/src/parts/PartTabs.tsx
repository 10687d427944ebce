import type { Part } from '@frijol/core/model'
import { clsx } from 'clsx'
import { Plus } from 'lucide-react'
import { Tabs } from 'radix-ui'
import { type ReactNode, useRef, useState } from 'react'
import { commands, run } from '../store'

export interface PartTabsProps {
  parts: readonly Part[]
  current: string
  onChange: (partId: string) => void
  /** What is shown of the current part. */
  children: ReactNode
}

/** The parts of the dish. The current one's name is changed in place. */
export function PartTabs({ parts, current, onChange, children }: PartTabsProps) {
  const [isNaming, setNaming] = useState(false)
  const pressed = useRef(false)
  const add = () => {
    const command = commands.addPart(`Part ${parts.length + 1}`)
    run(command)
    setNaming(false)
  }
  return (
    <Tabs.Root value={current} onValueChange={onChange} activationMode="automatic">
      <div className="flex flex-wrap items-end gap-1.5 border-b border-line px-3 pt-2.5">
        <Tabs.List aria-label="Parts" className="flex flex-wrap gap-1.5">
          {parts.map(({ id, name }) => {
            const isCurrent = id === current
            return isCurrent && isNaming ? (
              <input
                key={id}
                autoFocus
                aria-label="Name of the part"
                className="field-sizing-content min-w-24 rounded-t-xl border border-line bg-paper px-3 py-1.5 font-semibold"
                value={name}
                maxLength={120}
                onChange={(event) => run(commands.renamePart(id, event.target.value))}
                onBlur={() => setNaming(false)}
                onKeyDown={(event) => {
                  event.stopPropagation()
                  if (event.key === 'Enter' || event.key === 'Escape') setNaming(false)
                }}
              />
            ) : (
              <Tabs.Trigger
                key={id}
                value={id}
                title={isCurrent ? 'Click again, or F2, to rename' : undefined}
                // A press chooses the part already; only a press on the one that was chosen renames it.
                onPointerDown={() => {
                  pressed.current = isCurrent
                }}
                onClick={(event) => {
                  if (event.detail > 0 && pressed.current) setNaming(true)
                }}
                onKeyDown={(event) => event.key === 'F2' && setNaming(true)}
                className={clsx(
                  'rounded-t-xl px-3.5 py-1.5 font-semibold',
                  isCurrent ? 'bg-husk text-ink' : 'text-ink-2 hover:bg-husk/50',
                )}
              >
                {name === '' ? 'Unnamed' : name}
              </Tabs.Trigger>
            )
          })}
        </Tabs.List>
        <button
          type="button"
          onClick={add}
          className="inline-flex items-center gap-1 rounded-t-xl px-2.5 py-1.5 text-ink-2 hover:bg-husk/50"
        >
          <Plus size={15} aria-hidden="true" /> part
        </button>
        {parts.length > 1 && (
          <button
            type="button"
            className="mb-1.5 ml-auto rounded px-1.5 text-[13px] text-ink-2 hover:bg-husk hover:text-ink"
            onClick={() => run(commands.removePart(current))}
          >
            take out this part
          </button>
        )}
      </div>
      <Tabs.Content value={current} tabIndex={-1} className="outline-none">
        {children}
      </Tabs.Content>
    </Tabs.Root>
  )
}
