import { bestOf, type PartKey, partIn, standing, type VineEntry } from '@frijol/core/history'
import type { FamilyId } from '@frijol/core/model'
import { familyTable, learnedOf } from '@frijol/core/texture'
import { useMemo } from 'react'
import { useKitchenStore } from '../../store'

export interface LearnStripProps {
  entries: readonly VineEntry[]
  part: PartKey
  family: FamilyId | null
}

const Figure = ({ value, words }: { value: string; words: string }) => (
  <div className="shrink-0 px-1">
    <b className="block font-display text-[19px] leading-tight font-[650]">{value}</b>
    <span className="text-[12.5px] text-on-night-2">{words}</span>
  </div>
)

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length

/** What the record comes to, in a line. */
export function LearnStrip({ entries, part, family }: LearnStripProps) {
  const kitchen = useKitchenStore((state) => state.kitchen)
  const kept = entries.filter(({ state }) => state !== 'now')
  const setAside = kept.filter(({ state }) => state === 'set-aside').length
  const branches = useMemo(() => {
    const children = new Map<number, number>()
    for (const { fromNumber } of entries)
      if (fromNumber !== null) children.set(fromNumber, (children.get(fromNumber) ?? 0) + 1)
    return [...children.values()].reduce((sum, count) => sum + count - 1, 0)
  }, [entries])
  const best = bestOf(kept, part)
  const [firstPoint, bestPoint] = [kept[0], best].map((entry) =>
    entry == null ? undefined : partIn(entry.parts, part),
  )
  const [first, now] = [
    firstPoint === undefined ? null : standing(firstPoint),
    bestPoint === undefined ? null : standing(bestPoint),
  ]
  const learned = useMemo(() => {
    const table = familyTable(family)
    const all = table === null ? [] : [...learnedOf(table, kitchen).values()]
    const known = all.filter(({ before, after }) => before !== null && after !== null)
    return known.length === 0
      ? null
      : {
          before: mean(known.map(({ before }) => before ?? 0)),
          after: mean(known.map(({ after }) => after ?? 0)),
        }
  }, [family, kitchen])
  if (kept.length === 0) return null
  return (
    <section
      aria-label="The record in figures"
      data-on-night
      className="no-print sticky bottom-0 z-20 mt-auto -mb-12 flex min-h-16 items-center gap-x-8 overflow-x-auto rounded-t-card bg-night py-2 pr-52 pl-4 text-on-night max-md:bottom-[66px] max-md:mb-0 max-md:gap-x-4"
    >
      <Figure
        value={String(kept.length)}
        words={`${kept.length === 1 ? 'trial' : 'trials'}${branches > 0 ? `, ${branches} ${branches === 1 ? 'branch' : 'branches'}` : ''}${setAside > 0 ? `, ${setAside} set aside` : ''}`}
      />
      {first !== null && now !== null && best !== null && (
        <Figure
          value={`${first.toFixed(1)} → ${now.toFixed(1)}`}
          words={`distance, best so far in trial ${best.number}`}
        />
      )}
      {learned !== null && (
        <Figure
          value={learned.after.toFixed(1)}
          words={`the model’s miss in untasted mixes, was ${learned.before.toFixed(1)}`}
        />
      )}
    </section>
  )
}
