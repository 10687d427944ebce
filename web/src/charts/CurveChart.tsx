import { useCallback, useState } from 'react'
import type { Palette } from './bars'
import { type CurvePoint, curveOption } from './curve'
import { Drawn } from './Drawn'

export interface CurveChartProps {
  title: string
  /** Heads of the table behind it. */
  heads: readonly [x: string, y: string]
  points: readonly CurvePoint[]
  now: number
  shownX: (x: number) => string
}

const CURVE_PX = 130

/** A trade-off as a curve, with the table behind it. */
export function CurveChart({ title, heads, points, now, shownX }: CurveChartProps) {
  const [isTable, setTable] = useState(false)
  const option = useCallback(
    (palette: Palette) => curveOption(points, now, shownX, palette),
    [points, now, shownX],
  )
  return (
    <figure className="m-0">
      <figcaption className="text-[13px] text-ink-2">{title}</figcaption>
      {!isTable && <Drawn option={option} height={CURVE_PX} />}
      <table className={isTable ? 'w-full border-collapse text-sm' : 'sr-only'}>
        <caption className="sr-only">{title}</caption>
        <thead>
          <tr className="text-left text-[13px] text-ink-2">
            {heads.map((head) => (
              <th key={head} scope="col" className="font-semibold">
                {head}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {points.map(({ x, y }) => (
            <tr key={x} className="border-t border-line/70">
              <th scope="row" className="py-1 text-left font-normal">
                {shownX(x)}
              </th>
              <td className="py-1 font-semibold">{y.toFixed(2)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <button
        type="button"
        aria-pressed={isTable}
        className="mt-1 min-h-6 rounded px-1 text-[13px] text-ink-2 underline underline-offset-2 hover:text-ink"
        onClick={() => setTable(!isTable)}
      >
        {isTable ? 'as a curve' : 'as a table'}
      </button>
    </figure>
  )
}
