import { render, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { describe, expect, it } from 'vitest'
import { BarChart } from './BarChart'
import { type Bar, barsOption } from './bars'

const bars: Bar[] = [
  { label: 'Miso, red', value: 310, shown: '310 mg' },
  { label: 'A food with a very long name indeed', value: 20, shown: '20 mg' },
]
const palette = { bar: '#4d2a52', track: '#ebe3d3', ink: '#2a1c26', quiet: '#64545c', font: 'serif' }

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
