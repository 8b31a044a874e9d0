import { gearMix, sprocketTeeth } from '../exposure/gear-mix.ts'
import type { ChainRide } from '../exposure/chain-story.ts'
import { gathered } from '../exposure/roads.ts'
import type { IsoTime, PartId } from '../log/entry.ts'
import type { Fitting, Garage, PartState } from '../log/garage.ts'
import type { AskedSet, PlacedEvidence, SetStretch, TeethAsk } from '../teeth/asked-teeth.ts'
import { loadOf } from '../teeth/conform.ts'
import { drawsName, type KeptDraws } from '../wear/kept-draws.ts'
import { ownEyeOf } from './facts/school-facts.ts'
import { chainFacts, type ChainFacts } from './facts/chain-facts.ts'

const SEED = 2207

/** A cassette or a ring, as the log has it. */
type SetSpec = Extract<PartState['entry']['spec'], { readonly type: 'cassette' | 'ring' }>

/** A set came used where it says so, or where it came on a bike with a chain of unknown past. */
function pastOf(part: PartState, chains: readonly ChainFacts[]): AskedSet['past'] {
  if (part.entry.used) return 'unknown'
  const [first] = part.fittings
  const isOf = (fitting: Fitting): boolean =>
    first !== undefined &&
    fitting.bike === first.bike &&
    fitting.from.slice(0, 10) === first.from.slice(0, 10)
  return chains.some(({ part: chain, spec }) => spec.past === 'unknown' && chain.fittings.some(isOf))
    ? 'unknown'
    : 'new'
}

/** A chain's rides while it ran on a set, in order of time. */
interface Run {
  readonly chain: ChainFacts
  readonly bike: string
  readonly rides: readonly ChainRide[]
  /** The number of the first among all of the chain's rides. */
  readonly first: number
  /** When one of the two came off; absent while both are on. */
  readonly to: IsoTime | undefined
}

const isDuring = (at: IsoTime, { from, to }: Fitting): boolean => at >= from && (to === undefined || at < to)

/** Which chains ran on a set, one after another. */
function runsOf(part: PartState, chains: readonly ChainFacts[]): Run[] {
  const runs = part.fittings.flatMap((fitting) =>
    chains.flatMap((chain) =>
      chain.part.fittings.flatMap((on): Run[] => {
        if (on.bike !== fitting.bike) return []
        const { rides: all } = chain.story
        const isOn = ({ at }: ChainRide): boolean => isDuring(at, fitting) && isDuring(at, on)
        const first = all.findIndex(isOn)
        if (first < 0) return []
        const to = [fitting.to, on.to].flatMap((end) => end ?? []).sort()[0]
        return [{ chain, bike: on.bike, first, to, rides: all.slice(first).filter(isOn) }]
      }),
    ),
  )
  return runs.sort((a, b) => ((a.rides[0]?.at ?? '') < (b.rides[0]?.at ?? '') ? -1 : 1))
}

/** How much of the energy each sprocket of a set bore over some rides, as a load over an even share. */
function loadsOver(
  garage: Garage,
  spec: SetSpec,
  bike: string,
  rides: readonly ChainRide[],
): readonly number[] {
  const state = garage.bikes.get(bike)
  const teeth = spec.type === 'cassette' ? [...spec.teeth] : [spec.teeth]
  if (!state) return teeth.map(() => 1)
  const on = sprocketTeeth(garage, bike)
  if (spec.type === 'cassette') {
    const { cogs, totalKj } = gearMix(
      rides.map(({ ride }) => ride),
      state.entry,
      { rings: on.rings.length > 0 ? on.rings : [40], cogs: teeth },
    )
    return teeth.map((one) => loadOf(totalKj > 0 ? (cogs.get(one) ?? 0) / totalKj : 0, one, teeth))
  }
  const rings = on.rings.includes(spec.teeth) ? on.rings : [...on.rings, spec.teeth]
  if (rings.length < 2 || on.cogs.length === 0) return [1]
  const mix = gearMix(
    rides.map(({ ride }) => ride),
    state.entry,
    { rings: [...rings].sort((a, b) => a - b), cogs: on.cogs },
  )
  const share = mix.totalKj > 0 ? (mix.rings.get(spec.teeth) ?? 0) / mix.totalKj : 1 / rings.length
  return [loadOf(share, spec.teeth, rings)]
}

/** Stretches are no longer than this, km, so that a chain lengthens about evenly along each. */
const MOST_KM = 600
/** So far after a chain was fitted a skip would have been noticed on a cog that is ridden, km. */
const HELD_AFTER_KM = 150
/** A cog with less of the energy than this is not known to have been pushed hard. */
const HARD_LOAD = 0.35
/** Of so many chains last fitted it is taken to be known that nothing skipped: earlier ones say nothing more. */
const HELD_CHAINS = 2

/** What stands in the log about a set's sprockets, in order of time. */
function foundIn(garage: Garage, id: PartId, spec: SetSpec) {
  const numberOf = (cog: number | undefined): number =>
    spec.type === 'cassette' ? spec.teeth.indexOf(cog ?? 0) : 0
  const eye = ownEyeOf(garage)
  const looks = (garage.looks.get(id) ?? []).map(({ at, cog, word }) => ({
    at,
    sprocket: numberOf(cog),
    found: { kind: 'look', word, ...(eye && { eye }) } as const,
  }))
  const tests = (garage.listed['cog-test'].get(id) ?? []).map(({ at, cog, by, result }) => ({
    at,
    sprocket: numberOf(cog),
    found:
      by === 'tool'
        ? ({ kind: 'tool', result: result === 'held' ? 'pass' : 'condemn' } as const)
        : ({ kind: 'ride', result: result === 'held' ? 'held' : 'skipped' } as const),
  }))
  const pictures = (garage.listed.picture.get(id) ?? []).map(({ at, cog, excessMm, sdMm }) => ({
    at,
    sprocket: numberOf(cog),
    found: { kind: 'picture', mm: excessMm, sdMm } as const,
  }))
  return [...looks, ...tests, ...pictures]
    .filter(({ sprocket }) => sprocket >= 0)
    .sort((a, b) => (a.at < b.at ? -1 : 1))
}

/** The rides of a run, cut where something was found out and where they get long. */
function cut(run: Run, breaks: readonly IsoTime[]): ChainRide[][] {
  const pieces: ChainRide[][] = []
  let km = Infinity
  let next = 0
  for (const ride of run.rides) {
    let isBroken = km >= MOST_KM
    for (; (breaks[next] ?? '~') <= ride.at; next++) isBroken = true
    if (isBroken) {
      pieces.push([])
      km = 0
    }
    pieces.at(-1)?.push(ride)
    km += ride.ride.km
  }
  return pieces
}

/** When a run had gone far enough that a skip would have been noticed. */
function heldAt({ rides }: Run): IsoTime | undefined {
  let km = 0
  for (const { ride, at } of rides) {
    km += ride.km
    if (km >= HELD_AFTER_KM) return at
  }
  return undefined
}

function askedSet(garage: Garage, part: PartState, spec: SetSpec, chains: readonly ChainFacts[]): AskedSet {
  const id = part.entry.part
  const runs = runsOf(part, chains)
  const found = foundIn(garage, id, spec)
  const held = runs.slice(-HELD_CHAINS).map((run) => ({ run, at: heldAt(run) }))
  const breaks = [
    ...found.map(({ at }) => at),
    ...held.flatMap(({ run, at }) => {
      // What was ridden counts once it has been ridden: the stretch ends after that ride.
      const after = run.rides.find((ride) => at !== undefined && ride.at > at)?.at
      return after ?? []
    }),
  ].sort()
  const stretches: (SetStretch & { readonly begins: IsoTime; readonly run: Run })[] = runs.flatMap((run) =>
    cut(run, breaks).map((rides, i) => ({
      run,
      begins: rides[0]?.at ?? '',
      chain: run.chain.part.entry.part,
      ...(i === 0 && {
        gone: gathered(run.chain.story.rides.slice(0, run.first).map(({ piece }) => piece)),
      }),
      road: gathered(rides.map(({ piece }) => piece)),
      loads: loadsOver(garage, spec, run.bike, rides),
    })),
  )
  const behind = (at: IsoTime): number => stretches.filter(({ begins }) => begins < at).length
  const silent = held.flatMap(({ run, at }): PlacedEvidence[] => {
    if (at === undefined || spec.type === 'ring') return []
    const own = stretches.filter((stretch) => stretch.run === run)
    const next = stretches.findIndex((stretch) => stretch.run === run && stretch.begins > at)
    const after = next >= 0 ? next : stretches.findLastIndex((stretch) => stretch.run === run) + 1
    return spec.teeth.flatMap((_, sprocket): PlacedEvidence[] => {
      const isHard = own.some(({ loads }) => (loads[sprocket] ?? 0) >= HARD_LOAD)
      const isTold = found.some(
        (one) =>
          one.sprocket === sprocket &&
          one.found.kind === 'ride' &&
          one.at >= (run.rides[0]?.at ?? '') &&
          (run.to === undefined || one.at <= run.to),
      )
      return isHard && !isTold
        ? [{ sprocket, after, found: { kind: 'ride', result: 'held' }, isSilent: true }]
        : []
    })
  })
  return {
    part: id,
    role: spec.type === 'cassette' ? 'cog' : 'ring',
    past: pastOf(part, chains),
    sprockets: (spec.type === 'cassette' ? spec.teeth : [spec.teeth]).map((teeth) => ({
      teeth,
      material: spec.material,
    })),
    stretches: stretches.map(({ begins: _, run: __, ...stretch }) => stretch),
    evidence: [
      ...found.map(({ at, sprocket, found: what }) => ({ sprocket, after: behind(at), found: what })),
      ...silent,
    ],
  }
}

/**
 * What is asked of a rider's cassettes and rings: their whole road under each chain, and all that was found out about them. Those
 * that are retired are left out.
 * @param bikes of the rider
 * @param draws of the rider's answer
 */
export function teethAsk(garage: Garage, bikes: ReadonlySet<string>, draws: KeptDraws): TeethAsk {
  const parts = [...garage.parts.values()]
  // Of a workshop's chains only those that ever ran on these bikes.
  const chains = parts
    .filter(({ fittings }) => fittings.some(({ bike }) => bikes.has(bike)))
    .flatMap(({ entry }) => chainFacts(garage, entry.part) ?? [])
  const sets = parts.flatMap((part) => {
    const { spec } = part.entry
    const isOfRider = bikes.has(part.fittings.at(-1)?.bike ?? '')
    return (spec.type === 'cassette' || spec.type === 'ring') && isOfRider && !part.retired
      ? [askedSet(garage, part, spec, chains)]
      : []
  })
  return { named: `${drawsName(draws)} ${JSON.stringify(sets)} ${SEED}`, draws, sets, seed: SEED }
}
