import { quarterOf, type Condition, type Quarter } from '../exposure/conditions.ts'
import type { BikeId, IsoTime, PartId } from '../log/entry.ts'
import type { Garage } from '../log/garage.ts'
import type { Lube } from '../lube/lubes.ts'
import { densityOf, summariseDensity } from '../measure/posterior.ts'
import { takenReading, toolBiases } from '../strategy/facts/chain-evidence.ts'
import { allChainFacts, type ChainFacts } from '../strategy/facts/chain-facts.ts'

/** A stretch of a chain's life between two looks at it: how far it was ridden, in what, and how much longer it grew. */
export interface Stretch {
  readonly chain: PartId
  /** The bike it was ridden on for most of it. */
  readonly bike: BikeId
  readonly from: IsoTime
  readonly to: IsoTime
  readonly km: number
  /** Growth in % per 1000 km, as measured, and its standard deviation. */
  readonly rate: number
  readonly sd: number
  /** What was on the chain for most of it; absent where nobody entered it. */
  readonly lube?: Lube
  /** The part of the year in which most of it was ridden. */
  readonly season: Quarter
  /** Shares of its distance, 0 to 1. */
  readonly winterShare: number
  readonly dirtShare: number
  readonly waxShare: number
}

/** Shorter than this, km, a stretch says less than its readings are unsure. */
const LEAST_KM = 150
/** How far a new chain may be from no elongation at all, %: as the wear model takes it. */
const NEW_SD = 0.03
const DIRT: ReadonlySet<Condition> = new Set(['wet-road', 'winter-salt', 'wet-gravel', 'mud'])
const WAX: ReadonlySet<Lube> = new Set(['drip-wax', 'immersion-wax'])
/** The 5th and 95th percentile of a normal distribution lie so many standard deviations apart. */
const P05_TO_P95 = 3.29

interface Look {
  readonly at: IsoTime
  readonly km: number
  readonly mean: number
  readonly sd: number
}

/** What each look at a chain says of it by itself, with what is known of the tools from elsewhere. */
function looksAt(garage: Garage, facts: ChainFacts): readonly Look[] {
  const { looks, story, spec, part } = facts
  const biases = toolBiases(garage, new Set([part.entry.part]))
  const seen = looks.flatMap((look): Look[] => {
    const at = look.at(-1)?.entry.at
    if (at === undefined) return []
    const { mean, p05, p95 } = summariseDensity(
      densityOf(look.map((state) => takenReading(state, biases))),
      [],
    )
    return [{ at, km: story.at(at).km, mean, sd: (p95 - p05) / P05_TO_P95 }]
  })
  const fitted = part.fittings[0]?.from
  return spec.past === 'new' && !part.entry.used && fitted !== undefined
    ? [{ at: fitted, km: 0, mean: 0, sd: NEW_SD }, ...seen]
    : seen
}

/** What most of some distance has in common. */
function most<K extends string>(km: ReadonlyMap<K, number>): K | undefined {
  return [...km].sort((a, b) => b[1] - a[1])[0]?.[0]
}

function stretchBetween(facts: ChainFacts, from: Look, to: Look): Stretch | undefined {
  const rides = facts.story.rides.filter(({ at }) => at >= from.at && at < to.at)
  const km = to.km - from.km
  const [first] = rides
  if (km < LEAST_KM || !first) return undefined
  const [bikes, lubes, seasons] = [
    new Map<BikeId, number>(),
    new Map<Lube | '', number>(),
    new Map<Quarter, number>(),
  ]
  const shares = { winter: 0, dirt: 0, wax: 0 }
  for (const { ride, piece } of rides) {
    const lube = piece.lube
    const season = quarterOf(ride.at)
    bikes.set(ride.bike, (bikes.get(ride.bike) ?? 0) + ride.km)
    lubes.set(lube ?? '', (lubes.get(lube ?? '') ?? 0) + ride.km)
    seasons.set(season, (seasons.get(season) ?? 0) + ride.km)
    if (season === 'dec-feb') shares.winter += ride.km
    if (DIRT.has(ride.condition)) shares.dirt += ride.km
    if (lube && WAX.has(lube)) shares.wax += ride.km
  }
  const lube = most(lubes)
  return {
    chain: facts.part.entry.part,
    bike: most(bikes) ?? first.ride.bike,
    from: from.at,
    to: to.at,
    km,
    rate: (1000 * (to.mean - from.mean)) / km,
    sd: (1000 * Math.hypot(from.sd, to.sd)) / km,
    ...(lube !== undefined && lube !== '' && { lube }),
    season: most(seasons) ?? quarterOf(first.at),
    winterShare: shares.winter / km,
    dirtShare: shares.dirt / km,
    waxShare: shares.wax / km,
  }
}

/** Every stretch between two looks at a chain in a log, of {@link LEAST_KM} at least; shorter ones are joined to the next. */
export function stretchesOf(garage: Garage): readonly Stretch[] {
  return allChainFacts(garage).flatMap((facts) => {
    const looks = looksAt(garage, facts)
    const stretches: Stretch[] = []
    let from = looks[0]
    for (const to of looks.slice(1)) {
      const stretch = from && stretchBetween(facts, from, to)
      if (!stretch) continue
      stretches.push(stretch)
      from = to
    }
    return stretches
  })
}
