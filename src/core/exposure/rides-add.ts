import type { BikeId, PartId } from '../log/entry.ts'
import { fittedParts, type Garage } from '../log/garage.ts'
import { countedRide } from '../log/replay.ts'
import type { RideDraft } from './admit-rides.ts'
import { chainStory } from './chain-story.ts'

/** What rides that come in add to a chain. */
export interface ChainAddition {
  readonly chain: PartId
  readonly km: number
  readonly wearKm: number
}

/**
 * What rides would add to the chains that were on their bike, worked out as everything else is: with the lubricant of the
 * day, and with what they teach of the bike's other rides.
 * @param drafts of one bike; those that take another's place take its distance away
 * @returns the chains that change, the one that is on the bike now first
 */
export function whatRidesAdd(
  garage: Garage,
  bike: BikeId,
  drafts: readonly RideDraft[],
): readonly ChainAddition[] {
  const state = garage.bikes.get(bike)
  if (!state || drafts.length === 0) return []
  const gone = new Set(drafts.flatMap(({ supersedes }) => supersedes ?? []))
  const added = drafts.map((draft, i) => countedRide({ ...draft, id: `~${i}`, format: 0 }, state.entry))
  const rides = [...state.rides.filter(({ id }) => !gone.has(id)), ...added].sort((a, b) =>
    a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1,
  )
  const after: Garage = { ...garage, bikes: new Map(garage.bikes).set(bike, { ...state, rides }) }
  const now = new Set(fittedParts(garage, bike).map(({ entry }) => entry.part))
  const chains = [...garage.parts.values()].filter(
    ({ entry, fittings }) => entry.spec.type === 'chain' && fittings.some((fitting) => fitting.bike === bike),
  )
  return chains
    .map(({ entry }) => {
      const [old, next] = [chainStory(garage, entry.part), chainStory(after, entry.part)]
      return { chain: entry.part, km: next.km - old.km, wearKm: next.wearKm - old.wearKm }
    })
    .filter(({ km, wearKm }) => Math.abs(km) > 0.05 || Math.abs(wearKm) > 0.05)
    .sort((a, b) => Number(now.has(b.chain)) - Number(now.has(a.chain)))
}
