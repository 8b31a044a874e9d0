import { groupedNumber, sayDecimal } from '../../words/grouped-number.ts'
import type { Limit } from '../../core/measure/limits.ts'
import { sayLimit } from '../../words/numbers.ts'
import type { Ink } from './ink.ts'
import { words } from '../../words/ui/charts/elongation-axis.ts'

/** The upright axis of every drawing of elongation, %, from nothing to `top`. */
export const elongationAxis = (ink: Ink, top: number) => ({
  type: 'value',
  min: 0,
  max: top,
  interval: 0.25,
  axisLine: { show: true, onZero: false, lineStyle: { color: ink.ink, width: 1 } },
  axisLabel: {
    color: ink.ink,
    fontSize: 12,
    fontFamily: ink.sans,
    // A top between two marks would be written over the last of them.
    showMaxLabel: top % 0.25 === 0,
    formatter: (y: number) => sayDecimal(y, 2),
  },
  splitLine: { lineStyle: { color: ink.hairline, type: [1, 4] } },
})

/** A distance on an axis, its thousands parted by a space that does not break. */
export const distanceLabel = (distance: number): string => groupedNumber(distance)

/** The limit as a line across such a drawing. */
export const limitLine = (ink: Ink, limit: Limit) => ({
  yAxis: limit.percent,
  lineStyle: { color: ink.rust, width: 2, type: 'solid' },
  label: {
    position: 'insideStartTop',
    formatter: words.limit(sayLimit(limit.percent)),
    color: ink.rust,
    fontWeight: 700,
    fontSize: 12,
  },
})

/** Today as a line up such a drawing. */
export const todayLine = (ink: Ink, at: number) => ({
  xAxis: at,
  lineStyle: { color: ink.ink, width: 1.5, type: 'solid' },
  label: { position: 'end', formatter: words.today, color: ink.ink, fontWeight: 600, fontSize: 12 },
})
