import { useCallback } from 'react'
import type { EventEntry } from '../../core/log/kinds/event.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import type { Limit } from '../../core/measure/limits.ts'
import { kmToMiles } from '../../core/units/convert.ts'
import type { WearAnswer } from '../../core/wear/outlook.ts'
import { useUnits } from '../screen-state.ts'
import type { Units } from '../../core/units/units.ts'
import { sayAboutKm, sayFigure, sayKm, sayLimit } from '../../words/numbers.ts'
import { kmAtWear } from '../../core/exposure/chain-story.ts'
import { band } from './band.ts'
import { Chart } from './Chart.tsx'
import type { Ink } from './ink.ts'
import type { ChartOption } from './echarts.ts'
import { distanceLabel, elongationAxis, limitLine } from './elongation-axis.ts'
import { plannedAlong, plannedAreas } from './planned.ts'
import { likelySlips } from '../../core/strategy/facts/likely-slips.ts'
import type { IsoTime } from '../../core/log/entry.ts'
import { drawPeg, PEG_TOP, pegData, pegsOf, topOver } from './pegs.ts'
import { words } from '../../words/ui/charts/elongation-chart.ts'

interface Props {
  readonly chain: ChainReport
  readonly answer: WearAnswer
  readonly limit: Limit
  /** Events on its bike. */
  readonly events: readonly EventEntry[]
}

function chartOption(props: Props, units: Units, ink: Ink, width: number): ChartOption {
  const { chain, answer, limit, events } = props
  const scale = (km: number) => (units === 'metric' ? km : kmToMiles(km))
  const today = chain.story.km
  const here = answer.wayHere.map((point) => ({ ...point, x: scale(kmAtWear(chain.story, point.x)) }))
  const ahead = answer.fan.map((point) => ({ ...point, x: scale(today + point.x) }))
  const planned = plannedAlong(events, answer, today)
  const shown = Math.max(400, 1.2 * today, 1.6 * answer.toLimitKm.p50, ...planned.map(({ to }) => to - today))
  const reach = Math.min(answer.fan.at(-1)?.x ?? 0, shown)
  const kmAt = (at: IsoTime) => chain.story.at(at).km
  const pegs = pegsOf(chain.readings, chain.biases, kmAt, likelySlips(chain.readings, answer))
  const text = { color: ink.ink, fontSize: 12, fontFamily: ink.sans }
  const narrow = width < 500
  const crossing = answer.toLimitKm.p50
  return {
    textStyle: { fontFamily: ink.sans },
    grid: { left: 44, right: 16, top: 34, bottom: 46 },
    xAxis: {
      type: 'value',
      min: 0,
      max: Math.ceil(scale(today + reach) / 100) * 100,
      name: units === 'metric' ? words.kmSinceItWas : words.milesSinceItWas,
      nameLocation: 'middle',
      nameGap: 28,
      nameTextStyle: { color: ink.steel, fontSize: 12 },
      splitNumber: narrow ? 4 : 8,
      axisLine: { lineStyle: { color: ink.ink, width: 1.5 } },
      axisTick: { show: true, lineStyle: { color: ink.ink } },
      axisLabel: {
        ...text,
        hideOverlap: true,
        showMaxLabel: false,
        formatter: distanceLabel,
      },
      splitLine: { show: false },
    },
    yAxis: elongationAxis(
      ink,
      Math.min(PEG_TOP, Math.max(topOver(pegs, limit.percent), Math.ceil(4 * (answer.now.p95 + 0.1)) / 4)),
    ),
    series: [
      ...band('here', here, ink.petrol, false, 0.18),
      ...band('ahead', ahead, ink.rust, true, 0.16),
      {
        type: 'custom',
        silent: true,
        clip: true,
        data: pegData(pegs, scale),
        encode: { x: 0, y: [1, 2] },
        renderItem: drawPeg(ink),
        ...plannedAreas(ink, planned, scale),
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            limitLine(ink, limit),
            {
              xAxis: scale(today),
              lineStyle: { color: ink.ink, width: 1.5, type: 'solid' },
              label: {
                position: 'end',
                align: narrow ? 'right' : 'center',
                formatter: words.today,
                color: ink.paper,
                backgroundColor: ink.ink,
                padding: [5, 10, 3, 10],
                lineHeight: 14,
                fontWeight: 600,
              },
            },
            ...(crossing > 0 && crossing < reach
              ? [
                  {
                    xAxis: scale(today + crossing),
                    lineStyle: { color: ink.rust, width: 1, type: [2, 3] },
                    label: {
                      position: 'end',
                      align: narrow ? 'left' : 'center',
                      formatter: words.limitIn(sayAboutKm(crossing, units)),
                      color: ink.rust,
                      fontWeight: 700,
                      fontSize: 12,
                    },
                  },
                ]
              : []),
          ],
        },
      },
    ],
  }
}

/** A chain's elongation against its distance: the way here with its readings, and ahead the fan to the limit. */
export function ElongationChart(props: Props) {
  const { chain, answer, limit, events } = props
  const units = useUnits()
  const option = useCallback(
    (ink: Ink, width: number) => chartOption({ chain, answer, limit, events }, units, ink, width),
    [chain, answer, limit, events, units],
  )
  const km = answer.toLimitKm
  return (
    <Chart
      option={option}
      className="h-72"
      sentence={words.afterTheChainIsAtAbout(
        sayKm(chain.story.km, units),
        sayFigure(answer.now.mean),
        sayLimit(limit.percent),
        sayAboutKm(km.p50, units),
        sayAboutKm(km.p10, units),
        sayAboutKm(km.p90, units),
      )}
      table={{
        heads: [words.fromNow, words.elongationLikely, words.n1In10Below, words.n1In10Above],
        rows: answer.fan
          .filter((_, i) => i % 3 === 0)
          .map(({ x, p10, p50, p90 }) => [
            sayAboutKm(x, units),
            sayFigure(p50),
            sayFigure(p10),
            sayFigure(p90),
          ]),
      }}
    />
  )
}
