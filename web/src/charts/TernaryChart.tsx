import { useCallback } from 'react'
import type { Palette } from './bars'
import { type TernaryMark, ternaryOption, type TernaryPoint } from './ternary'
import { WithTable } from './WithTable'

export interface TernaryChartProps {
  title: string
  /** Values on a grid of so many steps. */
  points: readonly TernaryPoint[]
  steps: number
  marks: readonly TernaryMark[]
  /** What stands at each corner. */
  corners: readonly [string, string, string]
  /** Heads and rows of the table behind it. */
  heads: readonly string[]
  rows: readonly (readonly string[])[]
}

const TERNARY_PX = 300

/** A surface over blends of three, with the batches that were made on it. */
export function TernaryChart({ title, points, steps, marks, corners, heads, rows }: TernaryChartProps) {
  const option = useCallback(
    (palette: Palette) => ternaryOption(points, marks, corners, steps, palette),
    [points, marks, corners, steps],
  )
  return (
    <WithTable
      title={title}
      isTitled
      shape="a surface"
      drawing={{ option, height: TERNARY_PX }}
      heads={heads}
      rows={rows}
      isFigures
    />
  )
}
