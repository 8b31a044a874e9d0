import { use as registerECharts } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { init, type ChartOption } from './echarts.ts'

registerECharts([SVGRenderer])

/** A chart as SVG, for a file: the page itself draws on canvas. */
export function chartSvg(
  option: ChartOption,
  size: { readonly width: number; readonly height: number },
): string {
  const chart = init(null, null, { renderer: 'svg', ssr: true, ...size })
  chart.setOption(option)
  const text = chart.renderToSVGString()
  chart.dispose()
  return text
}
