import { useCallback } from 'react'
import type { Palette } from './bars'
import { type CurvePoint, curveOption } from './curve'
import { WithTable } from './WithTable'

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
  const option = useCallback(
    (palette: Palette) => curveOption(points, now, shownX, palette),
    [points, now, shownX],
  )
  return (
    <WithTable
      title={title}
      isTitled
      shape="a curve"
      drawing={{ option, height: CURVE_PX }}
      heads={heads}
      rows={points.map(({ x, y }) => [shownX(x), y.toFixed(2)])}
    />
  )
}
