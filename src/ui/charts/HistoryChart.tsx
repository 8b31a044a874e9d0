import { useCallback } from 'react'
import type { Limit } from '../../core/measure/limits.ts'
import { kmToMiles } from '../../core/units/convert.ts'
import { useUnits } from '../screen-state.ts'
import { sayFigure, sayKm, saySlip } from '../../words/numbers.ts'
import { Chart } from './Chart.tsx'
import type { Ink } from './ink.ts'
import type { ChartOption } from './echarts.ts'
import type { BandPoint } from '../../core/wear/outlook.ts'
import { band } from './band.ts'
import { distanceLabel, elongationAxis, limitLine, todayLine } from './elongation-axis.ts'
import { plannedAreas, type Planned } from './planned.ts'
import { drawPeg, PEG_TOP, pegData, topOver, type Peg, type PegShape } from './pegs.ts'
import { words } from '../../words/ui/charts/history-chart.ts'

/** A chain's readings, from zero. */
export interface ChainPegs {
  readonly name: string
  readonly pegs: readonly Peg[]
  readonly current: boolean
}

const SHAPES: readonly PegShape[] = ['ring', 'square', 'diamond']

/** Marks of the chains: the current one a ring in ink, the others by turns. */
export const shapeOf = (index: number): PegShape => SHAPES[index % SHAPES.length] ?? 'ring'

function colourOf({ current }: ChainPegs, index: number, ink: Ink): string {
  return current ? ink.ink : index % 2 === 0 ? ink.steel : ink.petrol
}

/** The current chain's likely way, here and ahead, and what is planned on it; distances as the chart's. */
export interface LikelyWay {
  readonly here: readonly BandPoint[]
  readonly ahead: readonly BandPoint[]
  readonly today: number
  readonly events: readonly Planned[]
}

interface Props {
  readonly chains: readonly ChainPegs[]
  readonly limit: Limit
  /** What the distances are: ridden, or wear-km. */
  readonly axis: 'km' | 'wear-km'
  readonly way?: LikelyWay | undefined
}

/** All readings of chains laid over one another from zero, with their intervals. */
export function HistoryChart({ chains, limit, axis, way }: Props) {
  const units = useUnits()
  const option = useCallback(
    (ink: Ink): ChartOption => {
      const scale = (km: number) => (units === 'metric' ? km : kmToMiles(km))
      const read = Math.max(200, ...chains.flatMap(({ pegs }) => pegs.map(({ x }) => scale(x))))
      const planned = Math.max(0, ...(way?.events ?? []).map(({ to }) => scale(to)))
      // As far ahead as half of what was ridden, or to the end of what is planned.
      const most = way
        ? Math.max(read, planned, Math.min(scale(way.ahead.at(-1)?.x ?? 0), 1.5 * scale(way.today) + 100))
        : read
      const scaled = (points: readonly BandPoint[]) =>
        points.map((point) => ({ ...point, x: scale(point.x) }))
      const unit = units === 'metric' ? words.km : words.miles
      const text = { color: ink.ink, fontSize: 12 }
      return {
        textStyle: { fontFamily: ink.sans },
        grid: { left: 44, right: 16, top: way ? 26 : 16, bottom: 46 },
        xAxis: {
          type: 'value',
          // A little room on the left, so that readings of a chain just fitted are not cut off.
          min: -0.03 * most,
          max: Math.ceil((most * 1.06) / 100) * 100,
          name: axis === 'km' ? words.sinceEachWasFitted(unit) : words.wearSinceEachWasFitted(unit),
          nameLocation: 'middle',
          nameGap: 28,
          nameTextStyle: { color: ink.steel, fontSize: 12 },
          axisLine: { lineStyle: { color: ink.ink, width: 1.5 } },
          axisLabel: {
            ...text,
            hideOverlap: true,
            showMaxLabel: false,
            showMinLabel: false,
            formatter: distanceLabel,
          },
          splitLine: { show: false },
        },
        yAxis: elongationAxis(
          ink,
          topOver(
            chains.flatMap(({ pegs }) => pegs),
            limit.percent,
          ),
        ),
        series: [
          ...(way
            ? [
                ...band('here', scaled(way.here), ink.petrol, false, 0.16),
                ...band('ahead', scaled(way.ahead), ink.rust, true, 0.14),
              ]
            : []),
          ...chains.map((chain, i) => ({
            type: 'custom' as const,
            silent: true,
            clip: true,
            data: pegData(chain.pegs, scale),
            encode: { x: 0, y: [1, 2] },
            renderItem: drawPeg(ink, colourOf(chain, i, ink), shapeOf(i)),
            ...(i === 0 && {
              markLine: {
                symbol: 'none',
                silent: true,
                data: [limitLine(ink, limit), ...(way ? [todayLine(ink, scale(way.today))] : [])],
              },
              ...plannedAreas(ink, way?.events ?? [], scale),
            }),
          })),
        ],
      }
    },
    [chains, limit, axis, units, way],
  )
  const count = chains.reduce((sum, { pegs }) => sum + pegs.length, 0)
  return (
    <Chart
      option={option}
      className="h-64"
      sentence={words.readingsOfEachWithIts(
        count,
        chains.map(({ name }) => name).join(', '),
        way
          ? words.aheadOfTodayTheLikely(
              sayFigure(way.ahead.at(-1)?.p10 ?? 0),
              sayFigure(way.ahead.at(-1)?.p90 ?? 0),
              sayKm((way.ahead.at(-1)?.x ?? 0) - way.today, units),
            )
          : '',
      )}
      table={{
        heads: [
          words.chain,
          axis === 'km' ? words.distance : 'Wear-distance',
          words.lowest,
          words.highest,
          words.remark,
        ],
        rows: chains.flatMap(({ name, pegs }) =>
          pegs.map(({ x, low, high, slip }) => [
            name,
            sayKm(x, units),
            low <= 0 ? words.openEnd : sayFigure(low),
            high >= PEG_TOP ? words.openEnd : sayFigure(high),
            slip === undefined ? '' : saySlip(slip),
          ]),
        ),
      }}
    />
  )
}
