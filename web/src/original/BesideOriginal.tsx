import { besideOriginal, type BesideRow } from '@frijol/core/assess'
import type { Original, PartAssessment } from '@frijol/core/model'

const shown = (value: number): string =>
  String(Math.abs(value) >= 20 ? Math.round(value) : Number(value.toFixed(1))).replace('-', '−')
const signed = (value: number): string => (value > 0 ? `+${shown(value)}` : shown(value))

function Change({ change, isWithin }: BesideRow) {
  if (change === null) return <td className="text-right text-ink-2">not known</td>
  return (
    <td className={isWithin ? 'text-right text-ink-2' : 'text-right font-semibold'}>
      {isWithin ? 'as it ranges' : signed(change)}
    </td>
  )
}

/** What a part holds beside what its original holds: gained and lost, in 100 g of each. */
export function BesideOriginal({ part, original }: { part: PartAssessment; original: Original }) {
  const rows = besideOriginal(part, original)
  if (rows.length === 0) return null
  return (
    <table className="w-full border-collapse text-sm">
      <caption className="pb-1 text-left text-xs text-ink-2">In 100 g of each, as served</caption>
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
            </th>
            <td className="text-right font-mono">
              {row.mine === null ? '–' : shown(row.mine)} {row.unit}
            </td>
            <td className="text-right font-mono">
              {shown(row.theirs.typical)} {row.unit}
            </td>
            <Change {...row} />
          </tr>
        ))}
      </tbody>
    </table>
  )
}
