import { besideOriginal, type BesideRow, tracesOf } from '@frijol/core/assess'
import type { Original, PartAssessment } from '@frijol/core/model'
import { useMemo, useState } from 'react'
import { useDish, useKitchenStore, useLibrary } from '../store'
import { Choice } from '../ui'

const shown = (value: number): string =>
  String(
    Math.abs(value) >= 20 ? Math.round(value) : Number(value.toFixed(Math.abs(value) < 1 ? 2 : 1)),
  ).replace('-', '−')
const signed = (value: number): string => (value > 0 ? `+${shown(value)}` : shown(value))
const TONE = {
  gained: 'text-mung-deep',
  better: 'text-mung-deep',
  lost: 'text-adzuki-deep',
  worse: 'text-adzuki-deep',
}

function Change({ change, isWithin, standing }: BesideRow) {
  if (change === null) return <td className="text-right text-ink-2">not known</td>
  if (standing !== null)
    return (
      <td className={`pl-2 text-right font-semibold whitespace-nowrap ${TONE[standing]}`}>
        {signed(change)} {standing}
      </td>
    )
  return (
    <td className="pl-2 text-right whitespace-nowrap text-ink-2">
      {isWithin ? 'as it ranges' : signed(change)}
    </td>
  )
}

/** What a part holds beside what its original holds: gained and lost, in as much of each. */
export function BesideOriginal({ part, original }: { part: PartAssessment; original: Original }) {
  const dish = useDish()
  const library = useLibrary()
  const kitchen = useKitchenStore((state) => state.kitchen)
  const [basis, setBasis] = useState<'100 g' | 'a portion'>('100 g')
  const { portions } = dish.aim
  const portionG = part.cookedMassG / portions
  const massG = basis === '100 g' ? 100 : portionG
  const traces = useMemo(
    () => tracesOf(dish, part.partId, library, kitchen),
    [dish, part.partId, library, kitchen],
  )
  const rows = besideOriginal(part, original, massG, traces)
  if (rows.length === 0) return null
  return (
    <>
      <Choice label="In how much" value={basis} options={['100 g', 'a portion']} onChange={setBasis} />
      <table className="w-full border-collapse text-sm">
        <caption className="pb-1 text-left text-xs text-ink-2">
          {basis === '100 g'
            ? 'In 100 g of each, as served'
            : `In a portion’s ${Math.round(portionG)} g of this part, and as much of the original`}
        </caption>
        <thead>
          <tr className="text-xs text-ink-2">
            <th className="text-left font-normal">
              <span className="sr-only">What</span>
            </th>
            <th className="text-right font-normal">{part.name}</th>
            <th className="text-right font-normal">Original</th>
            <th className="text-right font-normal">Gained or lost</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.label} className="border-t border-line *:py-1">
              <th scope="row" className="text-left font-normal">
                {row.label}
                {row.note !== null && <span className="block text-xs text-ink-2">{row.note}</span>}
              </th>
              <td className="text-right pl-2 tabular-nums whitespace-nowrap">
                {row.mine === null ? '–' : shown(row.mine)} {row.unit}
              </td>
              <td className="text-right pl-2 tabular-nums whitespace-nowrap">
                {shown(row.theirs.typical)} {row.unit}
              </td>
              <Change {...row} />
            </tr>
          ))}
        </tbody>
      </table>
    </>
  )
}
