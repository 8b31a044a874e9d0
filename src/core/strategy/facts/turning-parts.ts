import { sprocketTeeth } from '../../exposure/gear-mix.ts'
import type { BikeId } from '../../log/entry.ts'
import { fittedChain, fittedParts, type Garage } from '../../log/garage.ts'

/** What turns on a bike: links of its chain, its rings (largest first) and cogs (smallest first), teeth of a pulley. */
export interface TurningParts {
  readonly links: number
  readonly rings: readonly number[]
  readonly cogs: readonly number[]
  /** Absent where the bike has none. */
  readonly pulley?: number
}

/** Most pulleys have so many teeth: taken where a bike with several cogs has none entered. */
const USUAL_PULLEY = 11

/** What turns on a bike; undefined where its chain, a ring or its cogs are not entered. */
export function turningParts(garage: Garage, bike: BikeId): TurningParts | undefined {
  const chain = fittedChain(garage, bike)?.entry.spec
  const { rings, cogs } = sprocketTeeth(garage, bike)
  if (chain?.type !== 'chain' || rings.length === 0 || cogs.length === 0) return undefined
  const spec = fittedParts(garage, bike, 'pulley')[0]?.entry.spec
  const pulley = spec?.type === 'pulley' ? spec.teeth : cogs.length > 1 ? USUAL_PULLEY : undefined
  return { links: chain.links, rings: rings.toReversed(), cogs, ...(pulley !== undefined && { pulley }) }
}
