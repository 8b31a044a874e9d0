import type { EntryKind } from '../log/entries.ts'
import { ROAD_KINDS } from '../log/kind-of.ts'
import { drawnMarks } from '../exposure/chain-story.ts'
import { firstAtOrAfter } from '../exposure/distance.ts'
import type { EntryId, IsoTime, WearWord } from '../log/entry.ts'
import type { LookEntry } from '../log/kinds/look.ts'
import type { WashEntry } from '../log/kinds/wash.ts'
import {
  openFitting,
  type Fitting,
  type Garage,
  type PartState,
  type ReadingState,
  type Ride,
} from '../log/garage.ts'
import type { BikeReport } from './facts/bike-report.ts'
import type { ChainFacts } from './facts/chain-facts.ts'
import { firstIndex } from '../stats/first-index.ts'
import { chainLanes, takeTurns, type ChainTurns } from './chain-lanes.ts'
import { worstWord } from './wear-word.ts'

/** A stretch of the road during which a part was on the bike, km. */
export interface StripSpan {
  readonly part: PartState
  readonly from: number
  readonly to: number
  /** Still on. */
  readonly open: boolean
  /** The entry that put it on. */
  readonly entry?: EntryId
  /** The worst word of the last looks while it was on. */
  readonly word?: WearWord
  /** For a joining link: closings up to the end of this span. */
  readonly closings?: number
}
const LANES = ['cogs', 'ring', 'guide', 'tension', 'link'] as const
export type LaneName = (typeof LANES)[number]

/** One kind of part along the road: its spans hand over to one another. */
export interface StripLane {
  readonly name: LaneName
  readonly spans: readonly StripSpan[]
}
/** A point of a chain's curve: where on the road, and which of its drawn marks. */
export interface StripPoint {
  readonly km: number
  readonly mark: number
  /** Points of one stretch are joined; a chain that came off begins a new one. */
  readonly stretch: number
}
export interface StripChain {
  readonly chain: ChainFacts
  readonly points: readonly StripPoint[]
  readonly readings: readonly { readonly state: ReadingState; readonly km: number }[]
  /** Where on the road it was on, in order. */
  readonly turns: ChainTurns['turns']
  /** How many drawn marks the chain's whole way has. */
  readonly drawn: number
}
/** Something on the road that can be opened: an entry and where it stands. */
export interface StripMark {
  readonly km: number
  readonly entry: EntryId
  readonly at: IsoTime
  readonly kind: EntryKind
  /** The part or bike it is about. */
  readonly about: string
}

/** One bike as a road in km: everything that is drawn on the mile strip, without a pixel. */
export interface MileStrip {
  readonly totalKm: number
  /** In order of time. */
  readonly rides: readonly Ride[]
  /** Distance before each ride, and at the end; one longer than the rides. */
  readonly edges: Float64Array
  readonly chains: readonly StripChain[]
  readonly lanes: readonly StripLane[]
  /** Chains that take turns, a lane for each that is in use at once, by their place in {@link chains}; else empty. */
  readonly chainLanes: readonly (readonly ChainTurns[])[]
  readonly washes: readonly { readonly wash: WashEntry; readonly km: number }[]
  /** In order along the road. */
  readonly marks: readonly StripMark[]
}

/** Distance along the road at a moment, km. */
export const roadKmAt = ({ rides, edges }: Pick<MileStrip, 'rides' | 'edges'>, at: IsoTime): number =>
  edges[firstAtOrAfter(rides, at)] ?? 0

/** The ride that passes a place of the road; undefined before the first and past the last. */
export function rideAtKm({ rides, edges }: Pick<MileStrip, 'rides' | 'edges'>, km: number): Ride | undefined {
  return rides[rideIndexAt(edges, km)]
}

/** Index of the ride that passes a place of the road; the number of rides past the end. */
export const rideIndexAt = (edges: Float64Array, km: number): number =>
  firstIndex(edges.length - 1, (i) => (edges[i + 1] ?? Infinity) > km)

/** Distance before each ride, and at the end, km; one longer than the rides. */
export function edgesOf(rides: readonly Ride[]): Float64Array {
  const edges = new Float64Array(rides.length + 1)
  rides.forEach((ride, i) => (edges[i + 1] = (edges[i] ?? 0) + ride.km))
  return edges
}

function laneOf(spec: PartState['entry']['spec']): LaneName | undefined {
  switch (spec.type) {
    case 'chain':
      return undefined
    case 'cassette':
      return 'cogs'
    case 'ring':
      return 'ring'
    case 'pulley':
      return spec.position
    case 'joining-link':
      return 'link'
  }
}

/** Spans that lie over one another, as two rings do, on lanes of their own. */
function asideOneAnother(name: LaneName, spans: readonly StripSpan[]): StripLane[] {
  const lanes: StripSpan[][] = []
  for (const span of [...spans].sort((a, b) => a.from - b.from || sizeOf(a) - sizeOf(b))) {
    const free = lanes.find((lane) => (lane.at(-1)?.to ?? 0) <= span.from + 1e-9)
    if (free) free.push(span)
    else lanes.push([span])
  }
  return lanes.map((held) => ({ name, spans: held }))
}
const sizeOf = ({ part: { entry } }: StripSpan): number => (entry.spec.type === 'ring' ? entry.spec.teeth : 0)

/** The worst word of the last look at each of a part's teeth between two moments. */
function wordDuring(looks: readonly LookEntry[], { from, to }: Fitting): WearWord | undefined {
  const last = new Map<number, WearWord>()
  for (const look of looks)
    if (look.at >= from && (to === undefined || look.at <= to)) last.set(look.cog ?? 0, look.word)
  return worstWord([...last.values()])
}

function lanesOf(garage: Garage, bike: string, kmAt: (at: IsoTime) => number, totalKm: number): StripLane[] {
  const spans = new Map<LaneName, StripSpan[]>()
  for (const part of garage.parts.values()) {
    const { spec } = part.entry
    const name = laneOf(spec)
    if (!name) continue
    part.fittings.forEach((fitting, i) => {
      if (fitting.bike !== bike) return
      const word = wordDuring(garage.looks.get(part.entry.part) ?? [], fitting)
      const span: StripSpan = {
        part,
        from: kmAt(fitting.from),
        to: fitting.to === undefined ? totalKm : kmAt(fitting.to),
        open: fitting.to === undefined,
        ...(fitting.entry !== undefined && { entry: fitting.entry }),
        ...(word && { word }),
        ...(spec.type === 'joining-link' && { closings: spec.closedBefore + i + 1 }),
      }
      spans.set(name, [...(spans.get(name) ?? []), span])
    })
  }
  return LANES.flatMap((name) => asideOneAnother(name, spans.get(name) ?? []))
}

function chainOnStrip(
  garage: Garage,
  bike: string,
  chain: ChainFacts,
  kmAt: (at: IsoTime) => number,
  totalKm: number,
): StripChain {
  const { part, story } = chain
  const here = part.fittings.filter((fitting) => fitting.bike === bike)
  const marks = drawnMarks(story, part.fittings)
  const isOn = openFitting(part)?.bike === bike
  const points = marks.flatMap((mark, i) =>
    here.flatMap(({ from, to }, stretch) => {
      if (mark.at < from || (to !== undefined && mark.at > to)) return []
      // The last mark of a chain that is on stands after its last ride, not before it.
      const km = isOn && i === marks.length - 1 ? totalKm : kmAt(mark.at)
      return [{ km, mark: i, stretch }]
    }),
  )
  return {
    chain,
    drawn: marks.length,
    turns: here.map(({ from, to }) => ({ from: kmAt(from), to: to === undefined ? totalKm : kmAt(to) })),
    points: points.sort((a, b) => a.stretch - b.stretch || a.mark - b.mark),
    readings: (garage.readings.get(part.entry.part) ?? []).map((state) => ({
      state,
      km: kmAt(state.entry.at),
    })),
  }
}

/** Along the road, and where the road stood still, as they were done. */
const inOrder = (a: StripMark, b: StripMark): number =>
  a.km - b.km || (a.at === b.at ? (a.entry < b.entry ? -1 : 1) : a.at < b.at ? -1 : 1)

/** What stands on the road of the kinds that do, about the bike or a part that was on it. */
const marksAbout = (
  { listed }: Garage,
  abouts: readonly string[],
  kmAt: (at: IsoTime) => number,
): StripMark[] =>
  ROAD_KINDS.flatMap((kind) =>
    abouts.flatMap((about) =>
      (listed[kind].get(about) ?? []).map(({ id, at }) => ({ km: kmAt(at), entry: id, at, kind, about })),
    ),
  )

/** Lays one bike out as a road: see {@link MileStrip}. */
export function mileStrip(garage: Garage, report: BikeReport, chains: readonly ChainFacts[]): MileStrip {
  const { rides } = report.bike
  const { bike } = report.bike.entry
  const edges = edgesOf(rides)
  const totalKm = edges.at(-1) ?? 0
  const kmAt = (at: IsoTime): number => roadKmAt({ rides, edges }, at)
  const strips = chains.map((chain) => chainOnStrip(garage, bike, chain, kmAt, totalKm))
  const lanes = lanesOf(garage, bike, kmAt, totalKm)
  const turns = strips.map((strip, chain): ChainTurns => ({ chain, turns: strip.turns }))
  const washes = chains
    .flatMap(({ part }) => garage.washes.get(part.entry.part) ?? [])
    .map((wash) => ({ wash, km: kmAt(wash.at) }))
  const partsHere = new Set([
    ...strips.map(({ chain }) => chain.part.entry.part),
    ...lanes.flatMap(({ spans }) => spans.map(({ part }) => part.entry.part)),
  ])
  const fits = [
    ...lanes.flatMap(({ spans }) => spans.map(({ part, entry, from }) => ({ part, entry, km: from }))),
    ...strips.flatMap(({ chain }) =>
      chain.part.fittings
        .filter((fitting) => fitting.bike === bike)
        .map((fitting) => ({ part: chain.part, entry: fitting.entry, km: kmAt(fitting.from) })),
    ),
  ]
  const marks: StripMark[] = [
    ...marksAbout(garage, [bike, ...partsHere], kmAt),
    ...fits.flatMap(({ part, entry, km }): StripMark[] => {
      const at = part.fittings.find((fitting) => fitting.entry === entry)?.from
      return entry === undefined || at === undefined
        ? []
        : [{ km, entry, at, kind: 'fit', about: part.entry.part }]
    }),
  ]
  return {
    totalKm,
    rides,
    edges,
    chains: strips,
    lanes,
    chainLanes: takeTurns(turns) ? chainLanes(turns) : [],
    washes,
    marks: marks.sort(inOrder),
  }
}
