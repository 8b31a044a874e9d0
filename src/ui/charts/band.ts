import type { BandPoint } from '../../core/wear/outlook.ts'
import { PEG_TOP } from './pegs.ts'

/** The likely elongation along a distance, and the band in which 8 in 10 such chains are: three series of a chart. */
export function band(
  name: string,
  points: readonly BandPoint[],
  color: string,
  dashed: boolean,
  opacity: number,
) {
  const cap = (value: number) => Math.min(PEG_TOP, Math.max(0, value))
  const low = points.map(({ x, p10 }) => [x, cap(p10)])
  const rise = points.map(({ x, p10, p90 }) => [x, cap(p90) - cap(p10)])
  const quiet = { type: 'line' as const, showSymbol: false, silent: true, lineStyle: { opacity: 0 } }
  return [
    { ...quiet, stack: name, data: low },
    { ...quiet, stack: name, data: rise, areaStyle: { color, opacity } },
    {
      type: 'line' as const,
      showSymbol: false,
      silent: true,
      data: points.filter(({ p50 }) => p50 <= PEG_TOP).map(({ x, p50 }) => [x, cap(p50)]),
      lineStyle: { color, width: 2.5, type: dashed ? [6, 5] : ('solid' as const) },
    },
  ]
}
