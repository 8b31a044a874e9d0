import { useMemo } from 'react'
import { fittedChain, fittedParts, type Garage } from '../../core/log/garage.ts'
import { useBikeId } from '../../ui/use-bike-id.ts'

/** What turns on the bike in hand: links of its chain, its rings and cogs, a pulley. */
export interface TurningParts {
  readonly links: number
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
  readonly pulley?: number
}

/** Most pulleys have so many teeth; told where a bike with several cogs has none entered. */
const USUAL_PULLEY = 11

/** The turning parts of the bike in hand; undefined where chain, ring or cogs are not entered. */
export function useTurning(garage: Garage): TurningParts | undefined {
  const bike = useBikeId(garage)
  return useMemo(() => {
    if (bike === undefined) return undefined
    const chain = fittedChain(garage, bike)?.entry.spec
    const rings = fittedParts(garage, bike, 'ring').flatMap(({ entry: { spec } }) =>
      spec.type === 'ring' ? spec.teeth : [],
    )
    const cogs = fittedParts(garage, bike, 'cassette').flatMap(({ entry: { spec } }) =>
      spec.type === 'cassette' ? spec.teeth : [],
    )
    if (chain?.type !== 'chain' || rings.length === 0 || cogs.length === 0) return undefined
    const pulley = fittedParts(garage, bike, 'pulley')[0]?.entry.spec
    const teeth = pulley?.type === 'pulley' ? pulley.teeth : cogs.length > 1 ? USUAL_PULLEY : undefined
    return {
      links: chain.links,
      rings: [...rings].sort((a, b) => b - a),
      cogs: [...cogs].sort((a, b) => a - b),
      ...(teeth !== undefined && { pulley: teeth }),
    }
  }, [garage, bike])
}
