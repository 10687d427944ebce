import type { EChartsCoreOption } from 'echarts/core'
import type { Palette } from './bars'

/** A thing at a place on two axes. */
export interface MapPoint {
  readonly label: string
  readonly x: number
  readonly y: number
  readonly isMarked: boolean
}
export interface MapAxes {
  readonly x: string
  readonly y: string
  readonly maxX: number
  /** An upright beyond which things ask for attention. */
  readonly line: number
}

/** Things by how many and how much: those to the upper right matter. */
export const mapOption = (
  points: readonly MapPoint[],
  axes: MapAxes,
  palette: Palette,
): EChartsCoreOption => {
  const axis = { axisLine: { lineStyle: { color: palette.track } }, axisTick: { show: false } }
  const label = { color: palette.quiet, fontSize: 12 }
  const name = { nameTextStyle: { color: palette.quiet, fontSize: 12.5 }, nameLocation: 'middle' as const }
  return {
    animation: false,
    aria: { enabled: false },
    textStyle: { fontFamily: palette.font, color: palette.ink },
    grid: { left: 44, right: 16, top: 14, bottom: 40 },
    xAxis: {
      type: 'value',
      ...axis,
      ...name,
      name: axes.x,
      nameGap: 24,
      min: 0,
      max: axes.maxX,
      splitLine: { show: false },
      axisLabel: { ...label, formatter: (value: number) => `${Math.round(100 * value)} %` },
    },
    yAxis: {
      type: 'value',
      ...axis,
      ...name,
      name: axes.y,
      nameGap: 28,
      splitNumber: 3,
      splitLine: { lineStyle: { color: palette.track } },
      axisLabel: label,
    },
    series: [
      {
        type: 'scatter',
        symbol: 'circle',
        symbolSize: 13,
        data: points.map(({ label: of, x, y, isMarked }) => ({
          name: of,
          value: [x, y],
          itemStyle: { color: isMarked ? palette.tones.high : palette.tones.middle },
        })),
        label: {
          show: true,
          position: 'right',
          color: palette.ink,
          fontSize: 12.5,
          formatter: ({ name: of }: { name: string }) => of,
        },
        labelLayout: { hideOverlap: false, moveOverlap: 'shiftY' },
        markLine: {
          silent: true,
          symbol: 'none',
          label: { show: false },
          lineStyle: { color: palette.quiet, type: 'dashed', width: 1.5 },
          data: [{ xAxis: axes.line }],
        },
      },
    ],
  }
}
