import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import { BarChart } from './BarChart'
import { type Bar, barsOption } from './bars'
import { MapChart } from './MapChart'
import { mapOption } from './pointMap'
import { StackedChart } from './StackedChart'
import { stackedOption } from './stacked'

const bars: Bar[] = [
  { label: 'Miso, red', value: 310, shown: '310 mg' },
  { label: 'A food with a very long name indeed', value: 20, shown: '20 mg' },
]
const tones = {
  'low-2': '#135',
  low: '#357',
  'middle-soft': '#ac8',
  middle: '#575',
  high: '#b70',
  'high-2': '#740',
  bad: '#a33',
}
const palette = {
  bar: '#4d2a52',
  track: '#ebe3d3',
  ink: '#2a1c26',
  quiet: '#64545c',
  paper: '#fffdf8',
  font: 'serif',
  tones,
  onTones: tones,
}

describe('bars', () => {
  it('stand in their order, with the largest over the whole width and long names cut', () => {
    const option = barsOption(bars, palette) as {
      animation: boolean
      xAxis: { max: number }
      yAxis: { data: string[]; inverse: boolean }[]
      series: { data: number[] }[]
    }
    expect(option.animation).toBe(false)
    expect(option.xAxis.max).toBe(310)
    expect(option.yAxis.every(({ inverse }) => inverse)).toBe(true)
    expect(option.yAxis.map(({ data }) => data)).toEqual([
      ['Miso, red', 'A food with a very long…'],
      ['310 mg', '20 mg'],
    ])
    expect(option.series[0]?.data).toEqual([310, 20])
  })

  it('of nothing do not fail', () => {
    expect((barsOption([], palette) as { xAxis: { max: number } }).xAxis.max).toBeGreaterThan(0)
  })
})

it('a chart has its figures in a table, shown when asked for', async () => {
  render(<BarChart title="Sodium by food" unit="mg a portion" bars={bars} />)
  const table = screen.getByRole('table', { name: 'Sodium by food' })
  expect(table.parentElement).toHaveClass('sr-only')
  expect(screen.getByRole('row', { name: 'Miso, red 310 mg' })).toBeInTheDocument()
  await userEvent.click(screen.getByRole('button', { name: 'as a table' }))
  expect(table.parentElement).not.toHaveClass('sr-only')
})

describe('stacked bars', () => {
  const rows = [
    { label: 'juiciness', counts: [1, 2, 4, 1, 0] },
    { label: 'chewiness', counts: [0, 0, 3, 4, 1] },
  ]
  const segments = (['low-2', 'low', 'middle', 'high', 'high-2'] as const).map((tone) => ({
    label: tone,
    tone,
  }))
  it('fill one bar a row, as long as all that was said', () => {
    const option = stackedOption(rows, segments, palette) as {
      xAxis: { max: number }
      series: { data: number[]; stack: string; label: { formatter: (of: { value: number }) => string } }[]
    }
    expect(option.xAxis.max).toBe(8)
    expect(option.series.map(({ data }) => data)).toEqual([
      [1, 0],
      [2, 0],
      [4, 3],
      [1, 4],
      [0, 1],
    ])
    expect(option.series[0]?.label.formatter({ value: 0 })).toBe('')
  })
  it('are a table to read', () => {
    render(<StackedChart title="Just about right" of="Attribute" rows={rows} segments={segments} />)
    expect(screen.getByRole('row', { name: 'juiciness 1 2 4 1 0' })).toBeInTheDocument()
  })
})

describe('the map', () => {
  const points = [{ label: 'chewiness', x: 0.5, y: 1.2, isMarked: true }]
  const axes = { x: 'share', y: 'points lost', maxX: 1, line: 0.2 }
  it('puts things where they are, with the line that asks for attention', () => {
    const option = mapOption(points, axes, palette) as {
      series: { data: { value: number[]; itemStyle: { color: string } }[]; markLine: { data: unknown } }[]
    }
    expect(option.series[0]?.data[0]?.value).toEqual([0.5, 1.2])
    expect(option.series[0]?.data[0]?.itemStyle.color).toBe(tones.high)
    expect(option.series[0]?.markLine.data).toEqual([{ xAxis: 0.2 }])
  })
  it('is a table to read', () => {
    render(<MapChart title="What it costs" points={points} axes={axes} />)
    expect(screen.getByRole('row', { name: 'chewiness 50 % 1.2' })).toBeInTheDocument()
  })
})
