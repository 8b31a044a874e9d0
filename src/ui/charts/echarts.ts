import { CustomChart, LineChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, MarkLineComponent } from 'echarts/components'
import { init, use as registerECharts, type EChartsCoreOption } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'

// Only what is drawn. On canvas, because the SVG renderer writes style attributes that our page policy refuses.
registerECharts([CustomChart, LineChart, GridComponent, MarkAreaComponent, MarkLineComponent, CanvasRenderer])

export { init }
export type ChartOption = EChartsCoreOption
