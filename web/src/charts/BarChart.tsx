import { useCallback } from 'react'
import { type Bar, BAR_PX, barsOption, type Palette } from './bars'
import { WithTable } from './WithTable'

export interface BarChartProps {
  title: string
  /** What the figures are, for the head of the table. */
  unit: string
  bars: readonly Bar[]
}

/** Bars with the table behind them. */
export function BarChart({ title, unit, bars }: BarChartProps) {
  const option = useCallback((palette: Palette) => barsOption(bars, palette), [bars])
  return (
    <WithTable
      title={title}
      shape="bars"
      drawing={{ option, height: Math.max(1, bars.length) * BAR_PX }}
      heads={['From', unit]}
      rows={bars.map(({ label, shown }) => [label, shown])}
      isFigures
    />
  )
}
