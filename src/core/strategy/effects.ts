import { chainStory } from '../exposure/chain-story.ts'
import { partDistances, totalKm } from '../exposure/distance.ts'
import type { BikeId, PartId } from '../log/entry.ts'
import { openFitting, type Garage, type PartState } from '../log/garage.ts'

/** What a change of the log would do downstream, one thing each. */
export type Effect =
  /** Distance goes from one part to another of its kind. */
  | { readonly what: 'moves'; readonly from: PartId; readonly to: PartId; readonly km: number }
  | { readonly what: 'part-km'; readonly part: PartId; readonly before: number; readonly after: number }
  | { readonly what: 'bike-km'; readonly bike: BikeId; readonly before: number; readonly after: number }
  /** A chain's wear-distance changes though its distance does not. */
  | { readonly what: 'wear-km'; readonly part: PartId; readonly before: number; readonly after: number }
  | { readonly what: 'on'; readonly part: PartId; readonly bike: BikeId | undefined }
  | { readonly what: 'readings'; readonly part: PartId; readonly before: number; readonly after: number }

/** Less than this is no difference worth a word, km. */
const LEAST_KM = 0.05

function distances(garage: Garage): Map<PartId, number> {
  const rides = new Map([...garage.bikes].map(([id, bike]) => [id, bike.rides]))
  return partDistances(
    rides,
    [...garage.parts.values()].flatMap((part) => part.fittings),
  )
}

const kindOf = (part: PartState | undefined): string => {
  const spec = part?.entry.spec
  return spec === undefined ? '' : spec.type === 'pulley' ? `${spec.position} pulley` : spec.type
}

/** Pairs what one part loses with what another of its kind gains. */
function distanceEffects(before: Garage, after: Garage): Effect[] {
  const [old, now] = [distances(before), distances(after)]
  const changes = [...new Set([...old.keys(), ...now.keys()])]
    .map((part) => ({ part, before: old.get(part) ?? 0, after: now.get(part) ?? 0 }))
    .filter(({ before: b, after: a }) => Math.abs(a - b) >= LEAST_KM)
  const effects: Effect[] = []
  const paired = new Set<PartId>()
  for (const loser of changes) {
    const lost = loser.before - loser.after
    if (lost <= 0) continue
    const winner = changes.find(
      (one) =>
        !paired.has(one.part) &&
        Math.abs(one.after - one.before - lost) < LEAST_KM &&
        kindOf(after.parts.get(one.part)) ===
          kindOf(after.parts.get(loser.part) ?? before.parts.get(loser.part)),
    )
    if (!winner) continue
    paired.add(winner.part).add(loser.part)
    effects.push({ what: 'moves', from: loser.part, to: winner.part, km: lost })
  }
  return [
    ...effects,
    ...changes
      .filter(({ part }) => !paired.has(part))
      .map((change): Effect => ({ what: 'part-km', ...change })),
  ]
}

function bikeEffects(before: Garage, after: Garage): Effect[] {
  return [...new Set([...before.bikes.keys(), ...after.bikes.keys()])].flatMap((bike): Effect[] => {
    const [b, a] = [before, after].map((garage) => totalKm(garage.bikes.get(bike)?.rides ?? []))
    return b !== undefined && a !== undefined && Math.abs(a - b) >= LEAST_KM
      ? [{ what: 'bike-km', bike, before: b, after: a }]
      : []
  })
}

function partEffects(before: Garage, after: Garage, told: ReadonlySet<PartId>): Effect[] {
  return [...after.parts.keys()].flatMap((part): Effect[] => {
    const [was, is] = [before.parts.get(part), after.parts.get(part)]
    const effects: Effect[] = []
    const on = is && openFitting(is)?.bike
    if (was && (openFitting(was)?.bike ?? '') !== (on ?? '')) effects.push({ what: 'on', part, bike: on })
    const count = (garage: Garage) => (garage.readings.get(part) ?? []).filter(({ used }) => used).length
    const [b, a] = [count(before), count(after)]
    if (a !== b) effects.push({ what: 'readings', part, before: b, after: a })
    if (is?.entry.spec.type === 'chain' && !told.has(part)) {
      const [wb, wa] = [chainStory(before, part).wearKm, chainStory(after, part).wearKm]
      if (Math.abs(wa - wb) >= LEAST_KM) effects.push({ what: 'wear-km', part, before: wb, after: wa })
    }
    return effects
  })
}

/** What is different in a garage after a change: distances that move between parts, totals, what is on, wear. */
export function effectsOf(before: Garage, after: Garage): readonly Effect[] {
  const moved = distanceEffects(before, after)
  const told = new Set(
    moved.flatMap((effect) =>
      effect.what === 'moves' ? [effect.from, effect.to] : 'part' in effect ? [effect.part] : [],
    ),
  )
  return [...moved, ...bikeEffects(before, after), ...partEffects(before, after, told)]
}
