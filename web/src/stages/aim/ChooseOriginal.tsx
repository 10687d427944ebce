import type { Original, Part } from '@frijol/core/model'
import { useMemo, useState } from 'react'
import { OwnOriginalSheet, useLikelyOriginals } from '../../original'
import { useLibrary } from '../../store'
import { Button, Finder } from '../../ui'

export interface ChooseOriginalProps {
  part: Part
  onChosen: (original: Original | null) => void
}

/** The originals: first those that the part is likely to replace, then all of them, grouped by kind of food. */
export function ChooseOriginal({ part, onChosen }: ChooseOriginalProps) {
  const library = useLibrary()
  const likely = useLikelyOriginals(part)
  const [isMaking, setMaking] = useState(false)
  const groups = useMemo(() => {
    const itemOf = ({ id, name, family, group }: Original) => ({
      id,
      label: name,
      detail: family.replaceAll('-', ' '),
      words: [family, group],
    })
    const first = new Set(likely.map(({ id }) => id))
    const byGroup = new Map<string, Original[]>()
    for (const original of library.originals.values())
      if (!first.has(original.id))
        byGroup.set(original.group, [...(byGroup.get(original.group) ?? []), original])
    return [
      ...(likely.length === 0 ? [] : [{ heading: 'Likely, by name and foods', items: likely.map(itemOf) }]),
      ...[...byGroup].map(([group, originals]) => ({
        heading: group.charAt(0).toUpperCase() + group.slice(1),
        items: originals.map(itemOf),
      })),
    ]
  }, [library, likely])
  return (
    <>
      <Finder
        label="Originals"
        placeholder="Lamb, egg, cheese, cream …"
        groups={[...groups, { heading: 'None', items: [{ id: 'none', label: 'No original for this part' }] }]}
        onPick={(id) => onChosen(library.originals.get(id) ?? null)}
      />
      <Button tone="quiet" className="mt-2" aria-haspopup="dialog" onClick={() => setMaking(true)}>
        It is none of these: make one of your own
      </Button>
      <OwnOriginalSheet
        original={null}
        begin={library.originals.get(part.originalId ?? '') ?? likely[0] ?? null}
        isOpen={isMaking}
        onClose={() => setMaking(false)}
        onKept={onChosen}
      />
    </>
  )
}
