import { useEffect, useRef, useState } from 'react'
import { type Bar, BAR_PX, barsOption, type Palette } from './bars'

export interface BarChartProps {
  title: string
  /** What the figures are, for the head of the table. */
  unit: string
  bars: readonly Bar[]
}

function paletteOf(element: HTMLElement): Palette {
  const style = getComputedStyle(element)
  const colour = (name: string): string => style.getPropertyValue(`--color-${name}`).trim()
  return {
    bar: colour('aubergine'),
    track: colour('husk'),
    ink: colour('ink'),
    quiet: colour('ink-2'),
    font: style.fontFamily,
  }
}

/** Bars with the table behind them: the same figures for reading aloud, and in sight when asked for. */
export function BarChart({ title, unit, bars }: BarChartProps) {
  const [isTable, setTable] = useState(false)
  return (
    <figure className="m-0">
      <figcaption className="sr-only">{title}</figcaption>
      {!isTable && <Drawn bars={bars} />}
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

function Drawn({ bars }: { bars: readonly Bar[] }) {
  const place = useRef<HTMLDivElement>(null)
  const drawn = useRef<Awaited<ReturnType<typeof begin>> | null>(null)
  const latest = useRef(bars)
  useEffect(() => {
    latest.current = bars
    const element = place.current
    if (drawn.current === null || element === null) return
    drawn.current.redraw(barsOption(bars, paletteOf(element)))
  }, [bars])
  useEffect(() => {
    const element = place.current
    if (element === null) return
    let isOver = false
    const observer = new ResizeObserver(() => drawn.current?.fit())
    void begin(element, () => latest.current).then((chart) => {
      if (isOver) {
        chart.stop()
        return
      }
      drawn.current = chart
      observer.observe(element)
    })
    return () => {
      isOver = true
      observer.disconnect()
      drawn.current?.stop()
      drawn.current = null
    }
  }, [])
  return <div ref={place} aria-hidden="true" style={{ height: Math.max(1, bars.length) * BAR_PX }} />
}

/** The drawing code is large, and fetched with the first chart. */
async function begin(element: HTMLElement, bars: () => readonly Bar[]) {
  const { draw } = await import('./drawing')
  return draw(element, barsOption(bars(), paletteOf(element)))
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
