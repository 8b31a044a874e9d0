import * as echarts from 'echarts'

// Pictures of the study, as SVG: drawn by the same library as the app's charts, without a page.

const SIZE = { width: 640, height: 420 }
const INK = '#14252b'
const STEEL = '#55656b'
/** The colours of what is compared, in order. */
export const HUES = ['#0f5661', '#a8351c', '#7a5a00', '#55656b']
/** How all texts of the pictures are set. */
export const TEXT = { color: INK, fontSize: 13, fontFamily: 'sans-serif' }
const SHARES = Array.from({ length: 19 }, (_, i) => (i + 1) / 20)

/** A way of telling, and how it fared. */
export interface Scored {
  readonly name: string
  /** Where each truth lay in what was told, 0 to 1; empty where only a figure was told. */
  readonly places: readonly number[]
  /** Continuous ranked probability score of each rider, km, with the readings there were to tell it by. */
  readonly scores: readonly { readonly crps: number; readonly readings: number }[]
}

/** A chart as an SVG picture. */
export function svg(option: echarts.EChartsCoreOption): string {
  const chart = echarts.init(null, null, { renderer: 'svg', ssr: true, ...SIZE })
  chart.setOption({ animation: false, backgroundColor: '#ffffff', textStyle: TEXT, color: HUES, ...option })
  const drawn = chart.renderToSVGString()
  // Its timers would keep the program running.
  chart.dispose()
  return `${drawn}\n`
}

/** Share of truths that lie in the middle so much of what was told. */
export const coverage = (places: readonly number[], share: number): number =>
  places.filter((place) => Math.abs(place - 0.5) <= share / 2).length / places.length

/** An axis of values from 0, with its name in the middle. */
export const axis = (name: string, max?: number) => ({
  type: 'value' as const,
  name,
  nameLocation: 'middle' as const,
  nameGap: 34,
  nameTextStyle: TEXT,
  axisLabel: TEXT,
  min: 0,
  ...(max !== undefined && { max }),
  splitLine: { lineStyle: { color: '#e4e0d4' } },
})

/** Claimed against found, for intervals of every width; the tinted band is where chance alone puts 19 in 20. */
export function calibrationChart(told: readonly Scored[]): string {
  const riders = told[0]?.places.length ?? 1
  const reach = (share: number): number => 100 * 1.96 * Math.sqrt((share * (1 - share)) / riders)
  const plain = { type: 'line' as const, showSymbol: false, silent: true }
  return svg({
    legend: { top: 6, itemGap: 48, textStyle: TEXT, data: told.map(({ name }) => name) },
    grid: { left: 60, right: 24, top: 44, bottom: 56 },
    xAxis: axis('the interval claims, %', 100),
    yAxis: { ...axis('it held the truth, %', 100), nameGap: 42 },
    series: [
      {
        ...plain,
        stack: 'chance',
        lineStyle: { opacity: 0 },
        data: SHARES.map((share) => [100 * share, 100 * share - reach(share)]),
      },
      {
        ...plain,
        stack: 'chance',
        lineStyle: { opacity: 0 },
        areaStyle: { color: STEEL, opacity: 0.16 },
        data: SHARES.map((share) => [100 * share, 2 * reach(share)]),
      },
      ...told.map(({ name, places }, i) => ({
        type: 'line' as const,
        name,
        symbol: i === 0 ? 'circle' : 'diamond',
        symbolSize: 7,
        color: HUES[i],
        lineStyle: { width: 2, type: i === 0 ? ('solid' as const) : ('dashed' as const) },
        data: SHARES.map((share) => [100 * share, 100 * coverage(places, share)]),
      })),
    ],
  })
}

const GROUPS = [
  { name: 'none', from: 0, to: 0 },
  { name: '1 to 3', from: 1, to: 3 },
  { name: '4 to 9', from: 4, to: 9 },
  { name: '10 to 19', from: 10, to: 19 },
  { name: '20 and more', from: 20, to: Infinity },
]

/** The score by how much there was to tell from. Lower is better. */
export function scoreChart(told: readonly Scored[]): string {
  const mean = (scores: Scored['scores'], from: number, to: number): number => {
    const of = scores.filter(({ readings }) => readings >= from && readings <= to)
    return Math.round(of.reduce((sum, { crps }) => sum + crps, 0) / Math.max(1, of.length))
  }
  const count = (from: number, to: number): number =>
    told[0]?.scores.filter(({ readings }) => readings >= from && readings <= to).length ?? 0
  return svg({
    legend: { top: 6, itemGap: 40, textStyle: TEXT },
    grid: { left: 64, right: 24, top: 60, bottom: 64 },
    xAxis: {
      type: 'category',
      data: GROUPS.map(({ name, from, to }) => `${name}\n(${count(from, to)} riders)`),
      name: 'readings of all the rider’s chains',
      nameLocation: 'middle',
      nameGap: 44,
      nameTextStyle: TEXT,
      axisLabel: { ...TEXT, interval: 0 },
    },
    yAxis: {
      ...axis('ranked probability score, km'),
      nameGap: 48,
      axisLabel: { ...TEXT, formatter: '{value}' },
    },
    series: told.map(({ name, scores }, i) => ({
      type: 'bar' as const,
      name,
      color: HUES[i],
      data: GROUPS.map(({ from, to }) => mean(scores, from, to)),
    })),
  })
}
