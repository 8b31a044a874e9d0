import { useMemo } from 'react'
import { CONDITION_MULTIPLIER, type Condition } from '../../core/exposure/conditions.ts'
import type { Ride } from '../../core/log/garage.ts'
import { RoadSwatch, RoadTextures } from '../../ui/drawings/RoadTextures.tsx'
import { layEndToEnd } from '../../ui/drawings/lay-end-to-end.ts'
import { Section } from '../../ui/parts/Section.tsx'
import { useUnits } from '../../ui/screen-state.ts'
import { CONDITION_NAMES } from '../../words/names.ts'
import { sayKm } from '../../words/numbers.ts'
import { words } from '../../words/stations/miles/road-strip.ts'

interface Stretch {
  readonly condition: Condition
  readonly km: number
}

/** The roads in the order of the most wear, with their distance. */
function stretches(rides: readonly Ride[]): Stretch[] {
  const km = new Map<Condition, number>()
  for (const ride of rides) km.set(ride.condition, (km.get(ride.condition) ?? 0) + ride.km)
  return [...km].map(([condition, distance]) => ({ condition, km: distance })).sort((a, b) => b.km - a.km)
}

/** What this chain was ridden in: the road under it, by distance. */
export function RoadStrip({ rides }: { readonly rides: readonly Ride[] }) {
  const units = useUnits()
  const roads = useMemo(() => stretches(rides), [rides])
  const total = roads.reduce((sum, { km }) => sum + km, 0)
  if (total === 0) return null
  return (
    <Section title={words.theRoadUnderThisChain} note={words.aKilometreInWinter}>
      <svg
        viewBox="0 0 1000 34"
        preserveAspectRatio="none"
        role="img"
        aria-label={roads
          .map(({ condition, km }) => `${CONDITION_NAMES[condition]} ${sayKm(km, units)}`)
          .join(', ')}
        className="h-8 w-full"
      >
        <RoadTextures prefix="road" />
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
            <RoadSwatch condition={condition} />
            {CONDITION_NAMES[condition]} {sayKm(km, units)}
            <span className="text-sm text-steel">×{CONDITION_MULTIPLIER[condition]}</span>
          </li>
        ))}
      </ul>
    </Section>
  )
}
