import type { Turn } from '../../../core/strategy/relay.ts'
import { KM_PER_MILE } from '../../../core/units/convert.ts'
import { rulerStep } from '../../../ui/road/view.ts'
import { useUnits } from '../../../ui/screen-state.ts'
import { useNarrow } from '../../../ui/use-narrow.ts'
import { sayKm } from '../../../words/numbers.ts'
import { words } from '../../../words/stations/wash/hooks/relay.ts'

interface Props {
  readonly chains: readonly { readonly id: string; readonly name: string }[]
  /** km along the bike's road, in order. */
  readonly past: readonly Turn[]
  /** The bike's distance now, km. */
  readonly nowKm: number
  /** km from now. */
  readonly ahead: readonly Turn[]
}

const [WIDE, NARROW] = [1000, 380]
const LEFT = 84
const ROW = 30
const TOP = 26
/** The least room for a figure of the ruler. */
const MARK_ROOM = 60
/** So much of the road behind is drawn, km, and as much ahead as its turns take. */
const BEHIND_KM = 2500

/** Chains that hand over to one another along the road: what each has run, and the turns to come as the medians have it. */
export function Relay({ chains, past, nowKm, ahead }: Props) {
  const units = useUnits()
  const isNarrow = useNarrow()
  const wide = isNarrow ? NARROW : WIDE
  const from = Math.max(past[0]?.fromKm ?? 0, nowKm - (isNarrow ? BEHIND_KM / 2 : BEHIND_KM))
  const end = nowKm + Math.max(200, ahead.at(-1)?.toKm ?? 0)
  const scale = (wide - LEFT - 16) / (end - from)
  const x = (km: number): number => LEFT + (km - from) * scale
  const high = TOP + ROW * chains.length + 20
  const perUnit = units === 'metric' ? 1 : KM_PER_MILE
  const every = rulerStep(1 / (scale * perUnit), MARK_ROOM) * perUnit
  const marks = Array.from(
    { length: Math.ceil((end - from) / every) + 1 },
    (_, i) => (Math.ceil((from - nowKm) / every) + i) * every,
  ).filter((km) => km !== 0 && nowKm + km >= from && nowKm + km <= end)
  const next = ahead[0]
  const hand = ahead[1]
  const nameOf = (id: string | undefined): string => chains.find((one) => one.id === id)?.name ?? ''
  const sentence = hand
    ? words.runsNowTakesOver(nameOf(next?.chain), nameOf(hand.chain), sayKm(hand.fromKm, units))
    : words.chainsAndTheirTurns(chains.length)
  return (
    <svg viewBox={`0 0 ${wide} ${high}`} role="img" aria-label={sentence} className="w-full">
      {marks.map((km) => (
        <g key={km}>
          <line
            x1={x(nowKm + km)}
            x2={x(nowKm + km)}
            y1={16}
            y2={high - 20}
            className="stroke-hairline"
            strokeDasharray="1 4"
          />
          <text x={x(nowKm + km)} y={11} textAnchor="middle" className="fill-steel font-mono text-[11px]">
            {km > 0 ? '+' : '−'}
            {Math.round(Math.abs(km) / perUnit)}
          </text>
        </g>
      ))}
      {chains.map(({ id, name }, i) => {
        const y = TOP + ROW * i
        return (
          <g key={id}>
            <text x={0} y={y + 13} className="fill-ink text-[12px] font-semibold">
              {name}
            </text>
            <line x1={LEFT} x2={wide - 16} y1={y + 9} y2={y + 9} className="stroke-hairline" />
            {past
              .filter((turn) => turn.chain === id && turn.toKm > from)
              .map(({ fromKm, toKm }) => (
                <rect
                  key={fromKm}
                  x={x(Math.max(from, fromKm))}
                  y={y + 2}
                  width={Math.max(1.5, x(toKm) - x(Math.max(from, fromKm)) - 1)}
                  height={14}
                  className="fill-petrol"
                >
                  <title>{`${name}: ${sayKm(toKm - fromKm, units)}`}</title>
                </rect>
              ))}
            {ahead
              .filter((turn) => turn.chain === id)
              .map(({ fromKm, toKm }) => (
                <rect
                  key={fromKm}
                  x={x(nowKm + fromKm) + 0.5}
                  y={y + 2.5}
                  width={Math.max(1.5, x(nowKm + toKm) - x(nowKm + fromKm) - 1.5)}
                  height={13}
                  className="fill-none stroke-petrol"
                  strokeDasharray="3 2"
                >
                  <title>{words.aboutToCome(name, sayKm(toKm - fromKm, units))}</title>
                </rect>
              ))}
          </g>
        )
      })}
      <line x1={x(nowKm)} x2={x(nowKm)} y1={16} y2={high - 16} className="stroke-ink" strokeWidth={1.6} />
      <text x={x(nowKm)} y={high - 4} textAnchor="middle" className="fill-ink text-[12px] font-semibold">
        {words.today}
      </text>
      <text x={wide - 16} y={high - 4} textAnchor="end" className="fill-steel text-[11px]">
        {words.fromNow(units === 'metric' ? words.km : words.mi)}
      </text>
    </svg>
  )
}
