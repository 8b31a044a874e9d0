import type { WaitChoice } from '../../core/strategy/plans/wait-steps.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { useNarrow } from '../../ui/use-narrow.ts'
import { sayMoney } from '../../words/money.ts'
import { sayAboutKm, sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/decide/wait-chart.ts'
import { sayDecimal } from '../../words/grouped-number.ts'

const [WIDE, NARROW] = [560, 360]
const [LEFT, TOP, HIGH, FOOT] = [52, 22, 120, 34]

interface Props {
  readonly choice: WaitChoice
  readonly currency: string
  /** Where the verdict has the chain go, km from now. */
  readonly limitKm: number
  /** What it shows. */
  readonly sentence: string
}

/** What swapping at any distance from now costs beside the best moment, with its table. */
export function WaitChart({ choice, currency, limitKm, sentence }: Props) {
  const units = useUnits()
  const wide = useNarrow() ? NARROW : WIDE
  const { costs, best } = choice
  const farKm = costs.at(-1)?.km ?? 1
  const most = Math.max(1, ...costs.map(({ more, moreSe }) => more + moreSe))
  const x = (km: number): number => LEFT + ((wide - LEFT - 12) * km) / farKm
  const y = (minor: number): number => TOP + HIGH * (1 - minor / most)
  const line = costs.map(({ km, more }) => `${x(km).toFixed(1)},${y(more).toFixed(1)}`).join(' ')
  const band = [
    ...costs.map(
      ({ km, more, moreSe }) => `${x(km).toFixed(1)},${y(Math.min(most, more + moreSe)).toFixed(1)}`,
    ),
    ...[...costs]
      .reverse()
      .map(({ km, more, moreSe }) => `${x(km).toFixed(1)},${y(Math.max(0, more - moreSe)).toFixed(1)}`),
  ].join(' ')
  const middle = costs[Math.floor(costs.length / 2)]?.km ?? 0
  return (
    <figure className="m-0">
      <svg viewBox={`0 0 ${wide} ${TOP + HIGH + FOOT}`} role="img" aria-label={sentence} className="w-full">
        <polygon points={band} className="fill-petrol/15" />
        {[0, most].map((minor) => (
          <g key={minor}>
            <line x1={LEFT} x2={wide - 12} y1={y(minor)} y2={y(minor)} className="stroke-hairline" />
            <text x={LEFT - 6} y={y(minor) + 4} textAnchor="end" className="fill-steel text-[11px]">
              {sayMoney(minor, currency)}
            </text>
          </g>
        ))}
        {limitKm > 0 && limitKm <= farKm && (
          <g>
            <line
              x1={x(limitKm)}
              x2={x(limitKm)}
              y1={TOP}
              y2={TOP + HIGH}
              strokeDasharray="2 3"
              className="stroke-rust"
            />
            <text
              x={x(limitKm)}
              y={TOP - 8}
              textAnchor={limitKm > farKm / 2 ? 'end' : 'start'}
              className="fill-rust text-[11px] font-semibold"
            >
              {words.limit(sayAboutKm(limitKm, units))}
            </text>
          </g>
        )}
        <polyline points={line} fill="none" strokeWidth={2.5} className="stroke-petrol" />
        <circle cx={x(best.km)} cy={y(best.more)} r={5} className="fill-jolt stroke-ink" strokeWidth={1.5} />
        {[0, middle, farKm].map((km, i) => (
          <text
            key={km}
            x={x(km)}
            y={TOP + HIGH + 16}
            textAnchor={i === 0 ? 'start' : i === 1 ? 'middle' : 'end'}
            className="fill-steel text-[11px]"
          >
            {i === 0 ? words.now : sayKm(km, units)}
          </text>
        ))}
        <text x={x(farKm / 2)} y={TOP + HIGH + 31} textAnchor="middle" className="fill-steel text-[11px]">
          {words.swapTheChainAfter}
        </text>
      </svg>
      <details className="mt-1 text-sm">
        <summary className="min-h-6 cursor-pointer underline underline-offset-4">{words.theNumbers}</summary>
        <table className="mt-2 w-full border-collapse">
          <thead className="text-left text-steel">
            <tr>
              <th className="font-normal">{words.swapAfter}</th>
              <th className="text-right font-normal">{words.dearerThanTheBest}</th>
              <th className="text-right font-normal">{words.skipsInTheNext(sayKm(1000, units))}</th>
            </tr>
          </thead>
          <tbody>
            {costs.map(({ km, more, moreSe, skipsSoon }) => (
              <tr key={km} className="border-t border-hairline">
                <th scope="row" className="py-1 text-left font-normal">
                  {km === 0 ? words.now : sayKm(km, units)}
                </th>
                <td className="text-right font-mono">
                  {sayMoney(more, currency)} ± {sayMoney(moreSe, currency)}
                </td>
                <td className="text-right font-mono">{sayDecimal(skipsSoon, 2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
    </figure>
  )
}
