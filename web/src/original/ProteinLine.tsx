import { proteinOf } from '@frijol/core/assess'
import type { ProteinClass, ScoredAminoAcid } from '@frijol/core/model'
import { useMemo } from 'react'
import { useDish, useKitchenStore, useLibrary } from '../store'

const NAMES: Record<ScoredAminoAcid, string> = {
  his: 'histidine',
  ile: 'isoleucine',
  leu: 'leucine',
  lys: 'lysine',
  saa: 'methionine and cysteine',
  aaa: 'phenylalanine and tyrosine',
  thr: 'threonine',
  trp: 'tryptophan',
  val: 'valine',
}
const KINDS: Record<ProteinClass, string> = {
  gluten: 'wheat gluten',
  soy: 'soy',
  pulse: 'pulses',
  'nut-seed': 'nuts or seeds',
  cereal: 'cereals',
  fungal: 'mushrooms',
  animal: 'animal foods',
  other: 'another protein',
}

/** How good a part's protein is, what is short, and what would complement it. */
export function ProteinLine({ partId }: { partId: string }) {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const found = useMemo(() => proteinOf(dish, partId, library, kitchen), [dish, partId, library, kitchen])
  if (found === null)
    return (
      <p className="m-0 mt-2 text-xs text-ink-2">
        Protein quality is not told: amino acids are known for less than 90 % of the protein.
      </p>
    )
  const { pdcaas, stricter, diaas, limiting, complement, isTypical } = found
  return (
    <p className="m-0 mt-2 text-sm">
      Protein quality <b>{Math.min(1, pdcaas).toFixed(2)}</b> of 1 (PDCAAS; {Math.min(1, stricter).toFixed(2)}{' '}
      read strictly; DIAAS {Math.round(100 * diaas)} %)
      {pdcaas < 1 && <>; first short: {NAMES[limiting]}</>}
      {complement !== null && <>; {KINDS[complement]} would complement it</>}.
      <span className="block text-xs text-ink-2">
        FAO/WHO 1991 and FAO 2013{isTypical ? '; some amino acids by the usual pattern of their kind' : ''}.
        No claim for a label.
      </span>
    </p>
  )
}
