import type { OwnLives } from '../../core/lube/learn.ts'
import { lifeUsed } from '../../core/lube/clock.ts'
import type { ChainReport } from '../../core/strategy/facts/bike-report.ts'
import { isWet } from '../../core/exposure/conditions.ts'
import { layEndToEnd } from '../../ui/drawings/lay-end-to-end.ts'
import { useNarrow } from '../../ui/use-narrow.ts'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../words/names.ts'
import { sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/wash/life-strip.ts'

const SCALE = 640
const SCALE_NARROW = 290

/** The life of what is on the chain, ride by ride: each takes its share, wet ones are hatched; at 1 it is used up. */
export function LifeStrip({ chain, own }: { readonly chain: ChainReport; readonly own: OwnLives }) {
  const units = useUnits()
  // The drawing shrinks on a phone; its words must not.
  const narrow = useNarrow()
  const wide = narrow ? SCALE_NARROW : SCALE
  if (!chain.lube || chain.lube.lube === 'none') return null
  const { lube, since, clock } = chain.lube
  const rides = chain.story.rides.filter(({ at }) => at >= since)
  const { used } = clock
  const end = Math.max(1.25, used * 1.05)
  const scale = (share: number) => (wide * share) / end
  return (
    <svg
      viewBox={`-1 -22 ${narrow ? wide + 4 : wide + 76} 62`}
      role="img"
      aria-label={words.ofTheLubesLife(Math.round(100 * used), rides.length)}
      className="max-h-28 w-full max-w-4xl"
    >
      <defs>
        <pattern id="wet-share" width="6" height="6" patternUnits="userSpaceOnUse">
          <rect width="6" height="6" fill="var(--paper)" />
          <path d="M-1 7L7 -1" stroke="var(--petrol)" strokeWidth="1.6" />
        </pattern>
      </defs>
      {layEndToEnd(rides, ({ ride }) => scale(lifeUsed(lube, ride, own))).map(
        ({ item: { ride }, from, length }) => (
          <rect
            key={ride.id}
            x={from}
            y={0}
            width={Math.max(0.8, length - 0.8)}
            height={16}
            fill={isWet(ride.condition) ? 'url(#wet-share)' : 'var(--petrol)'}
            stroke="var(--petrol)"
            strokeWidth={0.6}
          >
            <title>
              {CONDITION_NAMES[ride.condition]}, {sayKm(ride.km, units)}
            </title>
          </rect>
        ),
      )}
      <path d={`M0 22H${wide}`} className="stroke-ink" strokeWidth={1.2} />
      {[0, 0.25, 0.5, 0.75, 1].map((share) => (
        <g key={share}>
          <path d={`M${scale(share)} 22v5`} className="stroke-ink" strokeWidth={1.2} />
          <text
            x={scale(share)}
            y={37}
            textAnchor={share === 0 ? 'start' : 'middle'}
            className="fill-ink text-[9px]"
          >
            {share === 0 ? words.putOn : share === 1 ? words.usedUp : `${100 * share} %`}
          </text>
        </g>
      ))}
      <path d={`M${scale(1)} -6V22`} className="stroke-rust" strokeWidth={2} />
      <text x={scale(1)} y={-10} textAnchor="middle" className="fill-rust text-[10px] font-semibold">
        {words.due}
      </text>
    </svg>
  )
}
