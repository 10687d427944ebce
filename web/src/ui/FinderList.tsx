import { Command } from 'cmdk'
import { type ReactNode, useState } from 'react'

export interface FinderItem {
  id: string
  label: string
  detail?: string
  /** Other words it is found by. */
  words?: readonly string[]
  icon?: ReactNode
}

export interface FinderGroup {
  heading: string
  items: readonly FinderItem[]
}

export interface FinderProps {
  label: string
  placeholder: string
  groups: readonly FinderGroup[]
  onPick: (id: string) => void
  initial?: string
}

/** More are never shown at once: the best of all, not the best of the first. */
const MOST_SHOWN = 60
const MOST_LISTED = 200

/** How well an item fits: its label's start, a word's start, then any place; its other words count less. 0 hides it. */
function fit({ label: name, words = [] }: FinderItem, wanted: string): number {
  const label = name.toLowerCase()
  const others = words.map((word) => word.toLowerCase())
  const place = (text: string): number => {
    if (text === wanted) return 1
    if (text.startsWith(wanted)) return 0.9
    if (text.includes(` ${wanted}`)) return 0.7
    return text.includes(wanted) ? 0.5 : 0
  }
  return Math.max(place(label), 0.8 * Math.max(0, ...others.map(place)))
}

/** Groups with the items that fit a query, the best first; all in their order while nothing is asked. */
function best(groups: readonly FinderGroup[], query: string): readonly FinderGroup[] {
  const wanted = query.trim().toLowerCase()
  if (wanted === '') return groups.map((group) => ({ ...group, items: group.items.slice(0, MOST_LISTED) }))
  return groups
    .map(({ heading, items }) => ({
      heading,
      scored: items
        .map((item) => ({ item, score: fit(item, wanted) }))
        .filter(({ score }) => score > 0)
        .sort((a, b) => b.score - a.score)
        .slice(0, MOST_SHOWN),
    }))
    .sort((a, b) => (b.scored[0]?.score ?? 0) - (a.scored[0]?.score ?? 0))
    .map(({ heading, scored }) => ({ heading, items: scored.map(({ item }) => item) }))
}

/** A search field over grouped choices, all by keyboard. */
export function FinderList({ label, placeholder, groups, onPick, initial = '' }: FinderProps) {
  const [query, setQuery] = useState(initial)
  const shown = best(groups, query).filter(({ items }) => items.length > 0)
  return (
    <Command label={label} shouldFilter={false} loop className="flex max-h-[60dvh] flex-col">
      <Command.Input
        autoFocus
        value={query}
        onValueChange={setQuery}
        placeholder={placeholder}
        className="min-h-10 w-full rounded-lg border border-edge bg-paper px-3 placeholder:text-ink-2"
      />
      <Command.List className="mt-2 overflow-auto">
        <Command.Empty className="px-2 py-3 text-sm text-ink-2">
          Nothing fits. Try another word.
        </Command.Empty>
        {shown.map(({ heading, items }) => (
          <Command.Group
            key={heading}
            heading={heading}
            className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:text-xs [&_[cmdk-group-heading]]:font-semibold [&_[cmdk-group-heading]]:text-ink-2"
          >
            {items.map((item) => (
              <Command.Item
                key={item.id}
                value={item.id}
                onSelect={() => onPick(item.id)}
                className="flex min-h-9 cursor-pointer items-center gap-2 rounded-lg px-2 py-1 text-sm data-[selected=true]:bg-husk"
              >
                {item.icon}
                <span>{item.label}</span>
                {item.detail !== undefined && (
                  <span className="ml-auto text-[13px] text-ink-2">{item.detail}</span>
                )}
              </Command.Item>
            ))}
          </Command.Group>
        ))}
      </Command.List>
    </Command>
  )
}
