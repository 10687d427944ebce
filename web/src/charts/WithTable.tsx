import type { EChartsCoreOption } from 'echarts/core'
import { clsx } from 'clsx'
import { type ReactNode, useState } from 'react'
import type { Palette } from './bars'
import { Drawn } from './Drawn'

export interface WithTableProps {
  title: string
  /** Whether the title is seen above the drawing; it is always read aloud. */
  isTitled?: boolean
  /** What the drawing is called on the button that leads back to it: "bars". */
  shape: string
  /** What is drawn; or the drawing itself. */
  drawing: { option: (palette: Palette) => EChartsCoreOption; height: number } | ReactNode
  heads: readonly string[]
  /** Rows of cells, the first of each its head. Figures stand to the right where `isFigures`. */
  rows: readonly (readonly ReactNode[])[]
  isFigures?: boolean
}

const isOption = (
  drawing: WithTableProps['drawing'],
): drawing is Exclude<WithTableProps['drawing'], ReactNode> =>
  typeof drawing === 'object' && drawing !== null && 'option' in drawing

/** A drawing with the table behind it: the same figures for reading aloud, and in sight when asked for. */
export function WithTable({
  title,
  isTitled = false,
  shape,
  drawing,
  heads,
  rows,
  isFigures = false,
}: WithTableProps) {
  const [isTable, setTable] = useState(false)
  return (
    <figure className="m-0">
      <figcaption className={isTitled ? 'text-[13px] text-ink-2' : 'sr-only'}>{title}</figcaption>
      {!isTable && (isOption(drawing) ? <Drawn {...drawing} /> : drawing)}
      {/* A table does not shrink to nothing by itself. */}
      <div className={isTable ? 'overflow-x-auto' : 'sr-only'}>
        <table className="w-full border-collapse text-sm">
          <caption className="sr-only">{title}</caption>
          <thead>
            <tr className="text-left text-[13px] text-ink-2">
              {heads.map((head, at) => (
                <th
                  key={head}
                  scope="col"
                  className={clsx('pr-2 font-semibold last:pr-0', isFigures && at > 0 && 'text-right')}
                >
                  {head}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(([head, ...cells], at) => (
              <tr key={at} className="border-t border-line/70">
                <th scope="row" className="py-1 pr-2 text-left font-normal">
                  {head}
                </th>
                {cells.map((cell, place) => (
                  <td
                    key={place}
                    className={clsx('py-1 pr-2 font-semibold last:pr-0', isFigures && 'text-right')}
                  >
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <button
        type="button"
        aria-pressed={isTable}
        className="mt-1 min-h-6 rounded px-1 text-[13px] text-ink-2 underline underline-offset-2 hover:text-ink"
        onClick={() => setTable(!isTable)}
      >
        {isTable ? `as ${shape}` : 'as a table'}
      </button>
    </figure>
  )
}
