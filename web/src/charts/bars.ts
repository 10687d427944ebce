import type { EChartsCoreOption } from 'echarts/core'

export interface Bar {
  readonly label: string
  readonly value: number
  /** What stands beside the bar. */
  readonly shown: string
}

/** Colours of the theme in force, read from the page. */
export interface Palette {
  readonly bar: string
  readonly track: string
  readonly ink: string
  readonly quiet: string
  readonly paper: string
  readonly font: string
  /** From too little over right to too much, and what is written on each. */
  readonly tones: Readonly<Record<Tone, string>>
  readonly onTones: Readonly<Record<Tone, string>>
}
export type Tone = 'low-2' | 'low' | 'middle-soft' | 'middle' | 'high' | 'high-2' | 'bad'

/** Height of one bar with its space, pixels. */
export const BAR_PX = 26

const LONGEST_LABEL = 24
const short = (label: string): string =>
  label.length > LONGEST_LABEL ? `${label.slice(0, LONGEST_LABEL - 1)}…` : label

/** Horizontal bars, the first on top, each with its figure; nothing moves. */
export const barsOption = (bars: readonly Bar[], palette: Palette): EChartsCoreOption => ({
  animation: false,
  aria: { enabled: false },
  textStyle: { fontFamily: palette.font, color: palette.ink },
  grid: { left: 4, right: 4, top: 2, bottom: 2, containLabel: true },
  xAxis: {
    type: 'value',
    show: false,
    min: 0,
    max: Math.max(1e-9, ...bars.map(({ value }) => value)),
  },
  // Names to the left, figures in a column of their own to the right.
  yAxis: [bars.map(({ label }) => short(label)), bars.map(({ shown }) => shown)].map((data, at) => ({
    type: 'category',
    inverse: true,
    position: at === 0 ? 'left' : 'right',
    data,
    axisLine: { show: false },
    axisTick: { show: false },
    axisLabel: { color: palette.ink, fontSize: 13 },
  })),
  series: [
    {
      type: 'bar',
      barWidth: 10,
      showBackground: true,
      backgroundStyle: { color: palette.track, borderRadius: 5 },
      itemStyle: { color: palette.bar, borderRadius: 5 },
      data: bars.map(({ value }) => value),
    },
  ],
})
