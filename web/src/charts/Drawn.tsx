import type { EChartsCoreOption } from 'echarts/core'
import { useEffect, useRef } from 'react'
import type { Palette } from './bars'

function paletteOf(element: HTMLElement): Palette {
  const style = getComputedStyle(element)
  const colour = (name: string): string => style.getPropertyValue(`--color-${name}`).trim()
  return {
    bar: colour('aubergine'),
    track: colour('husk'),
    ink: colour('ink'),
    quiet: colour('ink-2'),
    paper: colour('paper'),
    tones: {
      'low-2': colour('sky-deep'),
      low: colour('sky'),
      'middle-soft': colour('mung-line'),
      middle: colour('mung'),
      high: colour('turmeric'),
      'high-2': colour('turmeric-deep'),
      bad: colour('adzuki'),
    },
    onTones: {
      'low-2': colour('paper'),
      low: colour('paper'),
      'middle-soft': colour('ink'),
      middle: colour('paper'),
      high: colour('ink'),
      'high-2': colour('paper'),
      bad: colour('paper'),
    },
    font: style.fontFamily,
  }
}

export interface DrawnProps {
  /** What is drawn, in the colours of the theme in force; the same function while it is the same drawing. */
  option: (palette: Palette) => EChartsCoreOption
  height: number
}

/** A drawing that fits its place; read aloud is the table that stands behind it. */
export function Drawn({ option, height }: DrawnProps) {
  const place = useRef<HTMLDivElement>(null)
  const drawn = useRef<Awaited<ReturnType<typeof begin>> | null>(null)
  const latest = useRef(option)
  useEffect(() => {
    latest.current = option
    const element = place.current
    if (drawn.current === null || element === null) return
    drawn.current.redraw(option(paletteOf(element)))
  }, [option])
  useEffect(() => {
    const element = place.current
    if (element === null) return
    let isOver = false
    const observer = new ResizeObserver(() => drawn.current?.fit())
    void begin(element, () => latest.current(paletteOf(element))).then((chart) => {
      if (isOver) {
        chart.stop()
        return
      }
      drawn.current = chart
      observer.observe(element)
    })
    return () => {
      isOver = true
      observer.disconnect()
      drawn.current?.stop()
      drawn.current = null
    }
  }, [])
  return <div ref={place} aria-hidden="true" style={{ height }} />
}

/** The drawing code is large, and fetched with the first chart. */
async function begin(element: HTMLElement, option: () => EChartsCoreOption) {
  const { draw } = await import('./drawing')
  return draw(element, option())
}
