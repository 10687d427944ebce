import type { EChartsCoreOption } from 'echarts/core'
import type { Palette, Tone } from './bars'

/** A row of counts, one for each segment. */
export interface StackedRow {
  readonly label: string
  readonly counts: readonly number[]
}
/** A segment of every row: what it is called and how it is coloured. */
export interface Segment {
  readonly label: string
  readonly tone: Tone
}

export const STACKED_PX = 30
const LEGEND_PX = 30
export const stackedHeight = (rows: number): number => rows * STACKED_PX + LEGEND_PX

/** Shares of a whole, side by side from the least to the most; the middle is what is wanted. */
export const stackedOption = (
  rows: readonly StackedRow[],
  segments: readonly Segment[],
  palette: Palette,
): EChartsCoreOption => ({
  animation: false,
  aria: { enabled: false },
  textStyle: { fontFamily: palette.font, color: palette.ink },
  grid: { left: 4, right: 10, top: LEGEND_PX, bottom: 2, containLabel: true },
  legend: {
    top: 0,
    left: 0,
    itemWidth: 14,
    itemHeight: 10,
    itemGap: 12,
    selectedMode: false,
    textStyle: { color: palette.quiet, fontSize: 12.5 },
  },
  xAxis: {
    type: 'value',
    show: false,
    min: 0,
    max: Math.max(1, ...rows.map(({ counts }) => counts.reduce((sum, count) => sum + count, 0))),
  },
  yAxis: {
    type: 'category',
    inverse: true,
    data: rows.map(({ label }) => label),
    axisLine: { show: false },
    axisTick: { show: false },
    axisLabel: { color: palette.ink, fontSize: 13 },
  },
  series: segments.map(({ label, tone }, at) => ({
    type: 'bar',
    name: label,
    stack: 'all',
    barWidth: 18,
    itemStyle: { color: palette.tones[tone], borderColor: palette.paper, borderWidth: 1.5, borderRadius: 4 },
    label: {
      show: true,
      color: palette.onTones[tone],
      fontSize: 12.5,
      formatter: ({ value }: { value: number }) => (value === 0 ? '' : String(value)),
    },
    data: rows.map(({ counts }) => counts[at] ?? 0),
  })),
})
