import type { WearingOutlook } from '../../core/strategy/facts/wearing-facts.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { sayMm, WEARING_NAMES } from '../../words/checks/wearing-words.ts'
import { words } from '../../words/stations/checks/wear-road.ts'

const [WIDE, HIGH, LEFT, RIGHT] = [340, 64, 6, 334]

/** Where a part stands between new and its limit: the readings as pegs, what it is now as a band, the limit as a line. */
export function WearRoad({ one }: { readonly one: WearingOutlook }) {
  const units = useUnits()
  const { law, mm, entries, since, part } = one
  if (law.gets === 'older') return <SealantRoad one={one} />
  const own = entries.filter(({ at, mm: read }) => at >= since && read !== undefined)
  const reads = own.flatMap(({ mm: read }) => read ?? [])
  const fresh = law.newMm.mean
  const isThinner = law.gets === 'thinner'
  const beyond = Math.abs(fresh - law.limitMm) * 0.25
  // New stands at the left, the limit near the right, whichever of them is the larger.
  const from = isThinner ? Math.max(fresh, mm.p90, ...reads) : Math.min(fresh, mm.p10, ...reads)
  const to = isThinner
    ? Math.min(law.limitMm - beyond, mm.p10, ...reads)
    : Math.max(law.limitMm + beyond, mm.p90, ...reads)
  const x = (value: number): number => LEFT + ((RIGHT - LEFT) * (value - from)) / (to - from || 1)
  const [a, b] = [x(mm.p10), x(mm.p90)].sort((p, q) => p - q) as [number, number]
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={words.probablyToLimitMeasured(
        WEARING_NAMES[part],
        sayMm(mm.p10, units),
        sayMm(mm.p90, units),
        sayMm(law.limitMm, units),
        reads.length,
      )}
      className="w-full"
    >
      <path d={`M${LEFT} 34H${RIGHT}`} className="stroke-ink" strokeWidth={1.5} />
      <rect x={a} y={27} width={Math.max(3, b - a)} height={14} className="fill-petrol/30" />
      <path d={`M${x(mm.p50)} 25v18`} className="stroke-petrol" strokeWidth={3} />
      {reads.map((read, i) => (
        <circle key={i} cx={x(read)} cy={34} r={3.5} className="fill-paper stroke-ink" strokeWidth={1.5} />
      ))}
      <path d={`M${x(law.limitMm)} 18v32`} className="stroke-rust" strokeWidth={2.5} />
      <text x={x(law.limitMm)} y={13} textAnchor="middle" className="fill-rust text-[12px]">
        {words.limit(sayMm(law.limitMm, units))}
      </text>
      <text x={LEFT} y={60} className="fill-steel text-[12px]">
        {sayMm(from, units)}
      </text>
    </svg>
  )
}

/** How much of its life sealant has behind it. */
function SealantRoad({ one: { mm, pPast } }: { readonly one: WearingOutlook }) {
  const x = (share: number): number => LEFT + ((RIGHT - LEFT) * Math.min(1.3, Math.max(0, share))) / 1.3
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      role="img"
      aria-label={words.sealantOfItsLife(Math.round(100 * mm.p50), Math.round(100 * pPast))}
      className="w-full"
    >
      <path d={`M${LEFT} 34H${RIGHT}`} className="stroke-ink" strokeWidth={1.5} />
      <rect
        x={x(mm.p10)}
        y={27}
        width={Math.max(3, x(mm.p90) - x(mm.p10))}
        height={14}
        className="fill-petrol/30"
      />
      <path d={`M${x(mm.p50)} 25v18`} className="stroke-petrol" strokeWidth={3} />
      <path d={`M${x(1)} 18v32`} className="stroke-rust" strokeWidth={2.5} />
      <text x={x(1)} y={13} textAnchor="middle" className="fill-rust text-[12px]">
        {words.dry}
      </text>
      <text x={LEFT} y={60} className="fill-steel text-[12px]">
        {words.fresh}
      </text>
    </svg>
  )
}
