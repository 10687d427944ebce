import { useCallback } from 'react'
import type { Palette } from './bars'
import { type MapAxes, mapOption, type MapPoint } from './pointMap'
import { WithTable } from './WithTable'

export interface MapChartProps {
  title: string
  points: readonly MapPoint[]
  axes: MapAxes
}

const MAP_PX = 230

/** Things on two axes, with the table behind them. */
export function MapChart({ title, points, axes }: MapChartProps) {
  const option = useCallback((palette: Palette) => mapOption(points, axes, palette), [points, axes])
  return (
    <WithTable
      title={title}
      isTitled
      shape="a map"
      drawing={{ option, height: MAP_PX }}
      heads={['What', axes.x, axes.y]}
      rows={points.map(({ label, x, y }) => [label, `${Math.round(100 * x)} %`, y.toFixed(1)])}
      isFigures
    />
  )
}
