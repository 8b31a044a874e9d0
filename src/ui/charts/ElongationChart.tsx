import { useCallback } from 'react'
import type { ChainReport } from '../../core/strategy/bike-report.ts'
import { evidenceOf } from '../../core/measure/likelihood.ts'
import { INSTRUMENTS } from '../../core/measure/instruments.ts'
import type { Limit } from '../../core/measure/limits.ts'
import { kmToMiles } from '../../core/units/convert.ts'
import type { BandPoint, WearAnswer } from '../../core/wear/forecast.ts'
import { useUnits, type Units } from '../screen-state.ts'
import { sayAboutKm, sayFigure, sayKm, sayLimit } from '../words/numbers.ts'
import { Chart, type Ink } from './Chart.tsx'
import type { ChartOption } from './echarts.ts'

interface Props {
  readonly chain: ChainReport
  readonly answer: WearAnswer
  readonly limit: Limit
}

/** A reading on the drawing: a value with its spread, or a stretch between two marks. */
interface Peg {
  readonly km: number
  /** Which of several at the same distance it is: they are drawn side by side. */
  readonly beside: number
  readonly low: number
  readonly high: number
  readonly middle: number | undefined
}

const TOP = 1.3
const PEG_GAP_PX = 9

function pegsOf(chain: ChainReport): Peg[] {
  const at = new Map<number, number>()
  return chain.readings
    .filter((state) => state.used)
    .map(({ entry }) => {
      const { km } = chain.story.at(entry.at)
      const beside = at.get(km) ?? 0
      at.set(km, beside + 1)
      const evidence = evidenceOf(entry.reading)
      const { bias } = INSTRUMENTS[entry.reading.instrument]
      if (evidence.form === 'value') {
        const middle = evidence.value - bias.b
        const reach = 1.645 * Math.hypot(evidence.sd, bias.sb)
        return { km, beside, low: middle - reach, high: middle + reach, middle }
      }
      const low = Number.isFinite(evidence.low) ? evidence.low - bias.b : 0
      const high = Number.isFinite(evidence.high) ? evidence.high - bias.b : TOP
      return { km, beside, low, high, middle: undefined }
    })
}

/** A wear-distance of the way here as distance, by the chain's own story. */
function kmAtWear(chain: ChainReport, wearKm: number): number {
  let km = 0
  let sum = 0
  for (const ride of chain.story.rides) {
    if (sum + ride.wearKm >= wearKm)
      return km + (ride.wearKm > 0 ? (ride.ride.km * (wearKm - sum)) / ride.wearKm : 0)
    km += ride.ride.km
    sum += ride.wearKm
  }
  return km
}

/** A ring for a value, a bar with flat ends for its spread; a limit side's answer is a bar alone, open at one end. */
function drawPeg(ink: Ink) {
  return (_params: unknown, api: { value: (i: number) => number; coord: (p: number[]) => number[] }) => {
    const [km, low, high, middle] = [api.value(0), api.value(1), api.value(2), api.value(3)]
    const [centre = 0, yLow = 0] = api.coord([km, Math.max(0, low)])
    const x = centre - PEG_GAP_PX * api.value(4)
    const yHigh = api.coord([km, Math.min(TOP, high)])[1] ?? 0
    const line = { stroke: ink.ink, lineWidth: 1.4, fill: 'none' }
    const bar = { type: 'line', shape: { x1: x, y1: yLow, x2: x, y2: yHigh }, style: line }
    if (Number.isNaN(middle)) {
      const ends = [low > 0 ? yLow : undefined, high < TOP ? yHigh : undefined].filter((y) => y !== undefined)
      const caps = ends.map((y) => ({
        type: 'line',
        shape: { x1: x - 5, y1: y, x2: x + 5, y2: y },
        style: line,
      }))
      return { type: 'group', children: [{ ...bar, style: { ...line, opacity: 0.35 } }, ...caps] }
    }
    const cy = api.coord([km, middle])[1] ?? 0
    const ring = { type: 'circle', shape: { cx: x, cy, r: 4 }, style: { ...line, fill: ink.paper } }
    return { type: 'group', children: [bar, ring] }
  }
}

function band(name: string, points: readonly BandPoint[], color: string, dashed: boolean, opacity: number) {
  const cap = (value: number) => Math.min(TOP, Math.max(0, value))
  const low = points.map(({ x, p10 }) => [x, cap(p10)])
  const rise = points.map(({ x, p10, p90 }) => [x, cap(p90) - cap(p10)])
  const quiet = { type: 'line', showSymbol: false, silent: true, lineStyle: { opacity: 0 } }
  return [
    { ...quiet, stack: name, data: low },
    { ...quiet, stack: name, data: rise, areaStyle: { color, opacity } },
    {
      type: 'line',
      showSymbol: false,
      silent: true,
      data: points.filter(({ p50 }) => p50 <= TOP).map(({ x, p50 }) => [x, cap(p50)]),
      lineStyle: { color, width: 2.5, type: dashed ? [6, 5] : 'solid' },
    },
  ]
}

function chartOption(props: Props, units: Units, ink: Ink, width: number): ChartOption {
  const { chain, answer, limit } = props
  const scale = (km: number) => (units === 'metric' ? km : kmToMiles(km))
  const today = chain.story.km
  const here = answer.wayHere.map((point) => ({ ...point, x: scale(kmAtWear(chain, point.x)) }))
  const ahead = answer.fan.map((point) => ({ ...point, x: scale(today + point.x) }))
  const reach = Math.min(answer.fan.at(-1)?.x ?? 0, Math.max(400, 1.2 * today, 1.6 * answer.toLimitKm.p50))
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
      name: units === 'metric' ? 'km since it was fitted' : 'miles since it was fitted',
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
        formatter: (x: number) => x.toLocaleString('en').replaceAll(',', '\u00a0'),
      },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      min: 0,
      max: Math.min(TOP, Math.max(limit.percent + 0.25, Math.ceil(4 * (answer.now.p95 + 0.1)) / 4)),
      interval: 0.25,
      axisLabel: { ...text, formatter: (y: number) => y.toFixed(2) },
      splitLine: { lineStyle: { color: ink.hairline, type: [1, 4] } },
    },
    series: [
      ...band('here', here, ink.petrol, false, 0.18),
      ...band('ahead', ahead, ink.rust, true, 0.16),
      {
        type: 'custom',
        silent: true,
        clip: true,
        data: pegsOf(chain).map(({ km, beside, low, high, middle }) => [
          scale(km),
          low,
          high,
          middle ?? NaN,
          beside,
        ]),
        encode: { x: 0, y: [1, 2] },
        renderItem: drawPeg(ink),
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            {
              yAxis: limit.percent,
              lineStyle: { color: ink.rust, width: 2, type: 'solid' },
              label: {
                position: 'insideStartTop',
                formatter: `limit ${sayLimit(limit.percent)}`,
                color: ink.rust,
                fontWeight: 700,
                fontSize: 12,
              },
            },
            {
              xAxis: scale(today),
              lineStyle: { color: ink.ink, width: 1.5, type: 'solid' },
              label: {
                position: 'end',
                align: narrow ? 'right' : 'center',
                formatter: 'today',
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
                      formatter: `swap: ${sayAboutKm(crossing, units)}`,
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
  const { chain, answer, limit } = props
  const units = useUnits()
  const option = useCallback(
    (ink: Ink, width: number) => chartOption({ chain, answer, limit }, units, ink, width),
    [chain, answer, limit, units],
  )
  const km = answer.toLimitKm
  return (
    <Chart
      option={option}
      className="h-72"
      sentence={`After ${sayKm(chain.story.km, units)} the chain is at about ${sayFigure(answer.now.mean)} %; it reaches ${sayLimit(limit.percent)} % in about ${sayAboutKm(km.p50, units)}, probably ${sayAboutKm(km.p10, units)} to ${sayAboutKm(km.p90, units)}.`}
      table={{
        heads: ['From now', 'Elongation, likely', '1 in 10 below', '1 in 10 above'],
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
