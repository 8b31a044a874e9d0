import { useMemo } from 'react'
import { oneLife, type PlansAsk } from '../../../core/strategy/plans/plans-steps.ts'
import type { Plan } from '../../../core/strategy/plans/plans.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { useNarrow } from '../../../ui/use-narrow.ts'
import { sayCount, sayKm, sayLimit } from '../../../words/numbers.ts'
import { words } from '../../../words/stations/decide/plans/one-life.ts'

const [WIDE, NARROW] = [1000, 380]
const [TOP, HIGH, BAR] = [14, 90, 12]

interface Props {
  readonly ask: PlansAsk
  readonly plan: Plan
  readonly life: number
  readonly name: string
}

/** One simulated life as a road: each chain from new to worn, and below it the cassettes. */
export function OneLife({ ask, plan, life, name }: Props) {
  const units = useUnits()
  const wide = useNarrow() ? NARROW : WIDE
  const events = useMemo(() => oneLife(ask, plan, life), [ask, plan, life])
  const { horizonKm } = ask
  const most = Math.max(
    1.1 * plan.policy.at,
    ...events.map(({ what, percent }) => (what === 'worn' ? percent : 0)),
  )
  const x = (km: number): number => (wide * km) / horizonKm
  const y = (percent: number): number => TOP + HIGH * (1 - percent / most)
  // A curve a chain: cut where another one goes on.
  const curves: string[] = []
  let points: string[] = []
  for (const { what, km, percent } of events) {
    if (what === 'chain') {
      curves.push(points.join(' '))
      points = []
    }
    if (what === 'worn') points.push(`${x(km).toFixed(1)},${y(percent).toFixed(1)}`)
  }
  curves.push(points.join(' '))
  const chains = events.filter(({ what }) => what === 'chain')
  const cassettes = [0, ...events.flatMap(({ what, km }) => (what === 'cassette' ? [km] : [])), horizonKm]
  const sentence = words.oneLifeByThisPlan(
    sayKm(horizonKm, units),
    sayCount(chains.length, 'change'),
    sayCount(cassettes.length - 2, 'newCassette'),
  )
  return (
    <div>
      <h3 className="font-semibold">{words.oneOfTheseLives(name)}</h3>
      <svg
        viewBox={`0 0 ${wide} ${TOP + HIGH + BAR + 24}`}
        role="img"
        aria-label={sentence}
        className="mt-2 w-full"
      >
        <line x1={0} x2={wide} y1={y(plan.policy.at)} y2={y(plan.policy.at)} className="stroke-rust" />
        <text
          x={wide}
          y={y(plan.policy.at) - 4}
          textAnchor="end"
          className="fill-rust text-[11px] font-semibold"
        >
          {sayLimit(plan.policy.at)} %
        </text>
        {chains.map(({ km }) => (
          <line
            key={km}
            x1={x(km)}
            x2={x(km)}
            y1={TOP}
            y2={TOP + HIGH}
            className="stroke-petrol"
            strokeDasharray="2 3"
          />
        ))}
        {curves.map((curve, i) => (
          <polyline key={i} points={curve} fill="none" className="stroke-petrol" strokeWidth={1.8} />
        ))}
        {cassettes.slice(0, -1).map((km, i) => (
          <rect
            key={km}
            x={x(km)}
            y={TOP + HIGH + 4}
            width={Math.max(1, x(cassettes[i + 1] ?? horizonKm) - x(km) - 1.5)}
            height={BAR}
            className={i % 2 === 0 ? 'fill-steel' : 'fill-hairline'}
          />
        ))}
        <text x={0} y={TOP + HIGH + BAR + 20} className="fill-steel text-[11px]">
          {words.cassettesFromToday(sayKm(horizonKm, units))}
        </text>
      </svg>
      <p className="text-sm text-steel">{sentence}</p>
    </div>
  )
}
