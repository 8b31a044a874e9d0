import { useCallback } from 'react'
import type { Limit } from '../../core/measure/limits.ts'
import { limitKey, type Density, type Summary } from '../../core/measure/posterior.ts'
import { sayChance, sayFigure, sayLimit } from '../../words/numbers.ts'
import { Chart } from './Chart.tsx'
import type { Ink } from './ink.ts'
import type { ChartOption } from './echarts.ts'
import { words } from '../../words/ui/charts/density-chart.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

interface Props {
  /** Belief about the chain now, from all readings. */
  readonly density: Density
  readonly summary: Summary
  readonly limit: Limit
  /** What each tool alone says, where there is more than one. */
  readonly voices: readonly { readonly name: string; readonly density: Density }[]
}

/** Dashes that tell one tool's curve from another's. */
const DASHES = [
  [5, 4],
  [2, 3],
  [9, 4],
  [9, 3, 2, 3],
] as const

/** The other schools' limits, drawn faintly beside the one in force. */
const MARKS = [
  { at: 0.5, name: words.early },
  { at: 0.75, name: '' },
  { at: 1, name: words.late },
] as const

const points = ({ e, density }: Density, from: number, to: number): [number, number][] =>
  e.flatMap((x, i): [number, number][] => (x >= from && x <= to ? [[x, density[i] ?? 0]] : []))

function markLines(summary: Summary, limit: Limit, from: number, to: number, ink: Ink) {
  const others = MARKS.filter(({ at }) => at !== limit.percent && at > from && at < to).map(
    ({ at, name }) => ({
      xAxis: at,
      lineStyle: { color: ink.steel, type: 'dashed', width: 1 },
      label: { formatter: `${name ? `${name} ` : ''}${sayLimit(at)}`, color: ink.steel, fontSize: 12 },
    }),
  )
  const p = summary.pAbove[limitKey(limit.percent)] ?? 0
  const chance = p >= 0.985 ? words.almostCertainlyPastIt : words.pastIt(sayChance(p))
  const own = {
    xAxis: limit.percent,
    lineStyle: { color: ink.rust, type: 'solid', width: 2.5 },
    label: {
      formatter: words.bLimit(sayLimit(limit.percent), chance),
      rich: { b: { fontWeight: 700, fontSize: 13, color: ink.rust, padding: [0, 0, 3, 0] } },
      color: ink.rust,
      fontSize: 12,
    },
  }
  return [...others, own]
}

/** Where the chain's elongation probably lies, with the limits. */
export function DensityChart({ density, summary, limit, voices }: Props) {
  const from = Math.floor(Math.min(summary.p05 - 0.2, limit.percent - 0.15) * 10) / 10
  const to = Math.ceil(Math.max(summary.p95 + 0.2, limit.percent + 0.25) * 10) / 10
  const option = useCallback(
    (ink: Ink): ChartOption => ({
      textStyle: { fontFamily: ink.sans },
      grid: { left: 14, right: 20, top: 52, bottom: 34 },
      xAxis: {
        type: 'value',
        min: from,
        max: to,
        interval: to - from > 1.4 ? 0.2 : 0.1,
        axisLine: { lineStyle: { color: ink.ink, width: 1.5 } },
        axisTick: { show: true, length: 5, lineStyle: { color: ink.ink } },
        axisLabel: {
          color: ink.ink,
          fontSize: 12,
          hideOverlap: true,
          formatter: (x: number) => sayDecimal(x, 1),
        },
        splitLine: { show: false },
      },
      yAxis: { type: 'value', show: false, min: 0 },
      series: [
        {
          type: 'line',
          data: points(density, from, to),
          showSymbol: false,
          smooth: false,
          lineStyle: { color: ink.petrol, width: 1.5 },
          areaStyle: { color: ink.petrol, opacity: 0.88 },
          markLine: {
            symbol: 'none',
            silent: true,
            label: { position: 'end', align: 'center', lineHeight: 15 },
            data: markLines(summary, limit, from, to, ink),
          },
        },
        ...voices.map((voice, i) => ({
          type: 'line',
          data: points(voice.density, from, to),
          showSymbol: false,
          silent: true,
          lineStyle: { color: ink.ink, width: 1.4, type: [...(DASHES[i % DASHES.length] ?? [5, 4])] },
        })),
      ],
    }),
    [density, voices, limit, summary, from, to],
  )
  return (
    <Chart
      option={option}
      className="h-64"
      sentence={words.elongationIsProbablyToMost(
        sayFigure(summary.p05),
        sayFigure(summary.p95),
        sayFigure(summary.mean),
        sayLimit(limit.percent),
      )}
      table={{
        heads: [words.limit, words.chanceOfBeingPast],
        rows: Object.entries(summary.pAbove)
          .sort(([a], [b]) => Number(a) - Number(b))
          .map(([mark, p]) => [`${mark} %`, sayDecimal(p, 3)]),
      }}
    />
  )
}

/** The dash of a tool's curve, for the line of words that names it. */
export function DashSample({ index }: { readonly index: number }) {
  return (
    <svg viewBox="0 0 28 6" aria-hidden="true" className="h-1.5 w-7 shrink-0">
      <path
        d="M0 3H28"
        className="stroke-ink"
        strokeWidth={1.6}
        strokeDasharray={(DASHES[index % DASHES.length] ?? [5, 4]).join(' ')}
      />
    </svg>
  )
}
