import { useMemo } from 'react'
import type { ReadingState } from '../../core/log/garage.ts'
import { posteriorDensity } from '../../core/measure/posterior.ts'
import type { BikeReport, ChainReport } from '../../core/strategy/bike-report.ts'
import type { WearAnswer } from '../../core/wear/forecast.ts'
import { DensityChart } from '../../ui/charts/DensityChart.tsx'
import { ChainLoopDrawing, type ReadPlace } from '../../ui/drawings/ChainLoop.tsx'
import { dayOf } from '../../ui/parts/day.ts'
import { sayResultShort } from './say-reading.ts'

/** The readings of the last day on which the chain was measured. */
export function lastLook(readings: readonly ReadingState[]): readonly ReadingState[] {
  const used = readings.filter((state) => state.used)
  const day = used.at(-1)?.entry.at
  return day === undefined ? [] : used.filter((state) => dayOf(state.entry.at) === dayOf(day))
}

/** One label a place, though several readings may have been taken there. */
function placesOf(look: readonly ReadingState[]): ReadPlace[] {
  const byLink = new Map<number, string[]>()
  for (const { entry } of look) {
    if (entry.place === undefined) continue
    byLink.set(entry.place, [...(byLink.get(entry.place) ?? []), sayResultShort(entry.reading)])
  }
  return [...byLink].map(([link, said]) => ({ link, label: said.slice(0, 2).join(', ') }))
}

/** Ring and cog the chain lies on while it is measured: the big ones, which hold it tight. */
function measuringGear(report: BikeReport): { ring: number; cog: number } {
  const rings = report.sprockets.filter(({ role }) => role === 'ring').map(({ teeth }) => teeth)
  const cogs = report.sprockets.filter(({ role }) => role === 'cog').map(({ teeth }) => teeth)
  return { ring: Math.max(...rings, 0) || 40, cog: Math.max(...cogs, 0) || 18 }
}

interface Props {
  readonly report: BikeReport
  readonly chain: ChainReport
  readonly answer: WearAnswer | undefined
}

/** The chain with the places read, and beside it what the readings say together. */
export function Evidence({ report, chain, answer }: Props) {
  const look = useMemo(() => lastLook(chain.readings), [chain.readings])
  const alone = useMemo(() => posteriorDensity(look.map(({ entry }) => entry.reading)), [look])
  const { spec } = chain.part.entry
  const { ring, cog } = measuringGear(report)
  return (
    <div className="grid grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)] items-center gap-10 max-lg:grid-cols-1 max-lg:gap-4">
      <ChainLoopDrawing
        links={spec.type === 'chain' ? spec.links : 114}
        ring={ring}
        cog={cog}
        places={placesOf(look)}
      />
      <div className="min-w-0">
        {answer ? (
          <>
            <DensityChart
              density={answer.density}
              summary={answer.now}
              limit={report.limit}
              {...(look.length > 0 && chain.readings.length > look.length && { alone })}
            />
            <p className="text-sm text-steel">
              Elongation in %. Filled: all {answer.readings} readings and the distance ridden.
              {chain.readings.length > look.length && ' Dashed: what the last look alone says.'}
            </p>
          </>
        ) : (
          <p className="text-steel">
            {chain.lastReadingAt === undefined
              ? 'What your readings say together is drawn here, with the limits. Three places on the chain are better than one, and two instruments better than one read often.'
              : 'Working it out…'}
          </p>
        )}
      </div>
    </div>
  )
}
