import { axis, HUES, svg, TEXT } from './charts.ts'

/** How the riders of a world were judged, counted up. */
export interface WorldFigures {
  readonly riders: number
  /** So many of whom the 80 % interval of the elongation now held the truth. */
  readonly holds: number
  /** Mean continuous ranked probability score of the elongation now, %. */
  readonly crps: number
  readonly asked: number
  /** So many chains were well under their limit; so many of them were to be swapped, and with a question open. */
  readonly under: number
  readonly falseSwaps: number
  readonly falseSwapsAsked: number
  /** So many were well past it; so many of them were to be swapped, or ridden on. */
  readonly past: number
  readonly swaps: number
  readonly falseRideOns: number
}

/** One world, before and now. */
export interface ToldWorld {
  readonly name: string
  readonly before: WorldFigures
  readonly now: WorldFigures | undefined
}

const SHOWN = {
  holds: {
    name: 'of 100 riders the 80 % interval holds the truth in so many',
    of: ({ holds, riders }: WorldFigures): number => Math.round((100 * holds) / riders),
  },
  score: {
    name: 'ranked probability score of the elongation now, %',
    of: ({ crps }: WorldFigures): number => Math.round(1000 * crps) / 1000,
  },
}

/** A bar before and a bar now for each world; where it is how often an interval holds, with a line at what it claims. */
export function worldsChart(told: readonly ToldWorld[], what: keyof typeof SHOWN): string {
  const { name, of } = SHOWN[what]
  const claimed = { silent: true, symbol: 'none', label: { show: false }, data: [{ xAxis: 80 }] }
  const bars = (label: 'before' | 'now', hue: number, mark: object) => ({
    type: 'bar' as const,
    name: label,
    color: HUES[hue],
    label: { show: true, position: 'right' as const, ...TEXT },
    data: told.map((world) => {
      const figures = world[label]
      return figures && of(figures)
    }),
    ...mark,
  })
  return svg({
    legend: { top: 6, itemGap: 40, textStyle: TEXT },
    grid: { left: 250, right: 40, top: 44, bottom: 56 },
    xAxis: axis(name),
    yAxis: {
      type: 'category',
      inverse: true,
      data: told.map((world) => world.name),
      axisLabel: { ...TEXT, width: 236, overflow: 'break' },
    },
    series: [bars('before', 3, {}), bars('now', 0, what === 'holds' ? { markLine: claimed } : {})],
  })
}
