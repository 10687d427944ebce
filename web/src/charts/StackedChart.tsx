import { useCallback } from 'react'
import type { Palette } from './bars'
import { type Segment, stackedHeight, stackedOption, type StackedRow } from './stacked'
import { WithTable } from './WithTable'

export interface StackedChartProps {
  title: string
  /** Head of the rows in the table. */
  of: string
  rows: readonly StackedRow[]
  segments: readonly Segment[]
}

/** Counts by kind, side by side in one bar a row, with the table behind them. */
export function StackedChart({ title, of, rows, segments }: StackedChartProps) {
  const option = useCallback((palette: Palette) => stackedOption(rows, segments, palette), [rows, segments])
  return (
    <WithTable
      title={title}
      isTitled
      shape="bars"
      drawing={{ option, height: stackedHeight(rows.length) }}
      heads={[of, ...segments.map(({ label }) => label)]}
      rows={rows.map(({ label, counts }) => [label, ...counts])}
      isFigures
    />
  )
}
