import type { EChartsCoreOption } from 'echarts/core'
import type { Palette } from './bars'

export interface CurvePoint {
  readonly x: number
  readonly y: number
}

/** A line through points, with an upright where things stand now. */
export const curveOption = (
  points: readonly CurvePoint[],
  now: number,
  shownX: (x: number) => string,
  palette: Palette,
): EChartsCoreOption => {
  const sorted = [...points].sort((a, b) => a.x - b.x)
  const first = sorted[0]?.x ?? 0
  const last = sorted.at(-1)?.x ?? 1
  return {
    animation: false,
    aria: { enabled: false },
    textStyle: { fontFamily: palette.font, color: palette.ink },
    grid: { left: 28, right: 14, top: 8, bottom: 22 },
    xAxis: {
      type: 'value',
      min: first,
      max: last,
      splitLine: { show: false },
      axisLine: { lineStyle: { color: palette.track } },
      axisTick: { show: false },
      axisLabel: {
        color: palette.quiet,
        fontSize: 12,
        showMinLabel: true,
        showMaxLabel: true,
        formatter: shownX,
        hideOverlap: true,
      },
    },
    yAxis: {
      type: 'value',
      min: 0,
      splitNumber: 2,
      splitLine: { lineStyle: { color: palette.track } },
      axisLabel: { color: palette.quiet, fontSize: 12 },
    },
    series: [
      {
        type: 'line',
        smooth: 0.2,
        symbol: 'circle',
        symbolSize: 6,
        lineStyle: { color: palette.bar, width: 2.5 },
        itemStyle: { color: palette.bar },
        data: sorted.map(({ x, y }) => [x, y]),
        markLine: {
          silent: true,
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: palette.quiet, type: 'dashed', width: 1.5 },
          data: [{ xAxis: now }],
        },
      },
    ],
  }
}
