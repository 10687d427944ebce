import { BarChart as BarSeries, CustomChart, LineChart as LineSeries, ScatterChart } from 'echarts/charts'
import { GridComponent, LegendComponent, MarkLineComponent } from 'echarts/components'
import { type EChartsCoreOption, init, use as register } from 'echarts/core'
import { LabelLayout } from 'echarts/features'
import { SVGRenderer } from 'echarts/renderers'

register([
  BarSeries,
  CustomChart,
  LineSeries,
  ScatterChart,
  GridComponent,
  LegendComponent,
  MarkLineComponent,
  LabelLayout,
  SVGRenderer,
])

/** Draws into an element. @returns the ways to draw again, to fit a new size, and to stop */
export function draw(element: HTMLElement, option: EChartsCoreOption) {
  const chart = init(element, null, { renderer: 'svg' })
  chart.setOption(option)
  return {
    redraw: (next: EChartsCoreOption) => chart.setOption(next),
    fit: () => chart.resize(),
    stop: () => chart.dispose(),
  }
}
