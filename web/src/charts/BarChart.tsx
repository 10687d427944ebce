import { useCallback, useState } from 'react'
import { type Bar, BAR_PX, barsOption, type Palette } from './bars'
import { Drawn } from './Drawn'

export interface BarChartProps {
  title: string
  /** What the figures are, for the head of the table. */
  unit: string
  bars: readonly Bar[]
}

/** Bars with the table behind them: the same figures for reading aloud, and in sight when asked for. */
export function BarChart({ title, unit, bars }: BarChartProps) {
  const [isTable, setTable] = useState(false)
  const option = useCallback((palette: Palette) => barsOption(bars, palette), [bars])
  return (
    <figure className="m-0">
      <figcaption className="sr-only">{title}</figcaption>
      {!isTable && <Drawn option={option} height={Math.max(1, bars.length) * BAR_PX} />}
      <Table title={title} unit={unit} bars={bars} isShown={isTable} />
      <button
        type="button"
        aria-pressed={isTable}
        className="mt-1 min-h-6 rounded px-1 text-[13px] text-ink-2 underline underline-offset-2 hover:text-ink"
        onClick={() => setTable(!isTable)}
      >
        {isTable ? 'as bars' : 'as a table'}
      </button>
    </figure>
  )
}

interface TableProps extends BarChartProps {
  isShown: boolean
}

const Table = ({ title, unit, bars, isShown }: TableProps) => (
  // A table does not shrink to nothing by itself.
  <div className={isShown ? '' : 'sr-only'}>
    <table className="w-full border-collapse text-sm">
      <caption className="sr-only">{title}</caption>
      <thead>
        <tr className="text-left text-[13px] text-ink-2">
          <th scope="col" className="font-semibold">
            From
          </th>
          <th scope="col" className="text-right font-semibold">
            {unit}
          </th>
        </tr>
      </thead>
      <tbody>
        {bars.map(({ label, shown }, at) => (
          <tr key={`${label} ${at}`} className="border-t border-line/70">
            <th scope="row" className="py-1 text-left font-normal">
              {label}
            </th>
            <td className="py-1 text-right font-semibold">{shown}</td>
          </tr>
        ))}
      </tbody>
    </table>
  </div>
)
