import type { Part } from '@frijol/core/model'
import type { KeptLimit, Tuned } from '@frijol/core/tune'
import { useKitchenStore } from '../../../store'
import { Chip } from '../../../ui'
import { useAsk } from './useAsk'
import { figure } from './words'

const limitWords = ({ id, label, unit, limit, side }: KeptLimit, currency: string): string => {
  const shown =
    id === 'cost'
      ? new Intl.NumberFormat('en-GB', { style: 'currency', currency }).format(limit)
      : `${figure(limit)} ${unit}`
  return side === 'most' ? `${label} up to ${shown}` : `${label} at least ${shown}`
}

/** Figures that may rest on foods without one. */
const UNKNOWN_WORDS: Readonly<Partial<Record<string, string>>> = {
  sodiumMg: 'sodium',
  proteinG: 'protein',
  cost: 'cost',
  saturatedFatG: 'saturated fat',
  fibreG: 'fibre',
  energyKcal: 'energy',
}

interface HeldProps {
  limits: readonly KeptLimit[]
  unknown: Tuned['unknown']
  part: Part
}

/** What the search keeps, and what it may change. */
export function Held({ limits, unknown, part }: HeldProps) {
  const ask = useAsk(part.id)
  const library = useLibraryNames()
  const currency = useKitchenStore((state) => state.kitchen.currency)
  const held = part.lines.filter(({ id }) => ask.hold.includes(id))
  return (
    <div className="flex flex-wrap gap-1.5">
      {limits.map((limit) => (
        <Chip key={`${limit.id} ${limit.side}`} tone={limit.holds ? 'husk' : 'adzuki'}>
          {limitWords(limit, currency)} {limit.holds ? '✓' : '✗'}
        </Chip>
      ))}
      {unknown.map((id) => (
        <Chip key={id} tone="turmeric">
          {UNKNOWN_WORDS[id] ?? id} is not known here: not kept
        </Chip>
      ))}
      <Chip>deciding windows kept</Chip>
      <Chip>
        {ask.focus === 'thickness' && ask.consistency !== null
          ? 'batch may grow or shrink'
          : 'batch within 8 %'}
      </Chip>
      {held.map(({ id, food }) => (
        <Chip key={id}>{food} held</Chip>
      ))}
      {ask.bounds.map(({ lineId, leastG, mostG }) => (
        <Chip key={lineId}>
          {part.lines.find(({ id }) => id === lineId)?.food ?? ''} {figure(leastG)} to {figure(mostG)} g
        </Chip>
      ))}
      {!ask.method && <Chip>amounts alone</Chip>}
      {ask.method && <Chip tone="mung">times may change</Chip>}
      {ask.allow.map((id) => (
        <Chip key={id} tone="mung">
          may add {library(id)}
        </Chip>
      ))}
    </div>
  )
}

function useLibraryNames(): (id: string) => string {
  const library = useKitchenStore((state) => state.library)
  return (id) => (library?.ingredients.get(id)?.name ?? id).toLowerCase()
}
