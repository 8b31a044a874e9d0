import { useMemo } from 'react'
import { CONDITIONS, CONDITION_MULTIPLIER, type Condition } from '../../core/exposure/conditions.ts'
import type { RideEntry } from '../../core/log/entries.ts'
import { layEndToEnd } from '../../ui/drawings/lay-end-to-end.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../ui/words/names.ts'
import { sayKm } from '../../ui/words/numbers.ts'

/** The texture of each kind of road: told apart by pattern before colour. */
const TEXTURES: Readonly<Record<Condition, { readonly fill: string; readonly marks: string }>> = {
  'dry-road': { fill: 'var(--hairline)', marks: '' },
  'wet-road': { fill: 'var(--paper)', marks: 'M-2 10L10 -2M4 16L16 4' },
  'winter-salt': { fill: 'var(--hairline)', marks: 'M3 3h.1M9 9h.1' },
  'dry-gravel': { fill: 'var(--paper)', marks: 'M2 3h2M8 5h1M4 9h1M9 10h2' },
  'wet-gravel': { fill: 'var(--hairline)', marks: 'M2 3h2M8 9h2M-2 10L10 -2M4 16L16 4' },
  mud: { fill: 'var(--steel)', marks: 'M0 4q3 -3 6 0t6 0M0 10q3 -3 6 0t6 0' },
  indoor: { fill: 'var(--paper)', marks: 'M0 6h12' },
}

function Textures() {
  return (
    <defs>
      {CONDITIONS.map((condition) => (
        <pattern
          key={condition}
          id={`road-${condition}`}
          width="12"
          height="12"
          patternUnits="userSpaceOnUse"
        >
          <rect width="12" height="12" fill={TEXTURES[condition].fill} />
          <path
            d={TEXTURES[condition].marks}
            fill="none"
            stroke={condition === 'mud' ? 'var(--paper)' : 'var(--petrol)'}
            strokeWidth={condition === 'winter-salt' ? 2.6 : 1.4}
            strokeLinecap="round"
          />
        </pattern>
      ))}
    </defs>
  )
}

interface Stretch {
  readonly condition: Condition
  readonly km: number
}

/** The roads in the order of the most wear, with their distance. */
function stretches(rides: readonly RideEntry[]): Stretch[] {
  const km = new Map<Condition, number>()
  for (const ride of rides) km.set(ride.condition, (km.get(ride.condition) ?? 0) + ride.km)
  return [...km].map(([condition, distance]) => ({ condition, km: distance })).sort((a, b) => b.km - a.km)
}

/** What this chain was ridden in: the road under it, by distance. */
export function RoadStrip({ rides }: { readonly rides: readonly RideEntry[] }) {
  const units = useUnits()
  const roads = useMemo(() => stretches(rides), [rides])
  const total = roads.reduce((sum, { km }) => sum + km, 0)
  if (total === 0) return null
  return (
    <Section
      title="The road under this chain"
      note="A kilometre in winter salt wears a chain like about three on a dry road; that is a guess until your own readings correct it."
    >
      <svg
        viewBox="0 0 1000 34"
        preserveAspectRatio="none"
        role="img"
        aria-label={roads
          .map(({ condition, km }) => `${CONDITION_NAMES[condition]} ${sayKm(km, units)}`)
          .join(', ')}
        className="h-8 w-full"
      >
        <Textures />
        {layEndToEnd(roads, ({ km }) => (1000 * km) / total).map(({ item, from, length }) => (
          <rect
            key={item.condition}
            x={from}
            y={0}
            width={Math.max(1, length - 2)}
            height={34}
            fill={`url(#road-${item.condition})`}
            stroke="var(--steel)"
            strokeWidth={0.75}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <ul className="mt-2 flex flex-wrap gap-x-8 gap-y-1 text-[0.95rem]">
        {roads.map(({ condition, km }) => (
          <li key={condition} className="flex items-center gap-2">
            <svg viewBox="0 0 24 12" aria-hidden="true" className="h-3 w-6 border border-steel">
              <rect width="24" height="12" fill={`url(#road-${condition})`} />
            </svg>
            {CONDITION_NAMES[condition]} {sayKm(km, units)}
            <span className="text-sm text-steel">×{CONDITION_MULTIPLIER[condition]}</span>
          </li>
        ))}
      </ul>
    </Section>
  )
}
