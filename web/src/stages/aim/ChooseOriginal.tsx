import type { Original } from '@frijol/core/model'
import { judgedFamilies } from '@frijol/core/texture'
import { useMemo } from 'react'
import { useLibrary } from '../../store'
import { Finder } from '../../ui'

/** The originals, grouped by kind of food; those whose texture is predicted say so. */
export function ChooseOriginal({ onChosen }: { onChosen: (original: Original | null) => void }) {
  const library = useLibrary()
  const groups = useMemo(() => {
    const predicted = new Set<string>(judgedFamilies())
    const byGroup = new Map<string, Original[]>()
    for (const original of library.originals.values()) {
      byGroup.set(original.group, [...(byGroup.get(original.group) ?? []), original])
    }
    return [...byGroup].map(([group, originals]) => ({
      heading: group.charAt(0).toUpperCase() + group.slice(1),
      items: originals.map(({ id, name, family }) => ({
        id,
        label: name,
        detail: predicted.has(family)
          ? `${family.replaceAll('-', ' ')} · predicted`
          : family.replaceAll('-', ' '),
        words: [family, group],
      })),
    }))
  }, [library])
  return (
    <Finder
      label="Originals"
      placeholder="Lamb, egg, cheese, cream …"
      groups={[...groups, { heading: 'None', items: [{ id: 'none', label: 'No original for this part' }] }]}
      onPick={(id) => onChosen(library.originals.get(id) ?? null)}
    />
  )
}
