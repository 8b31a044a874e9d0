import type { Condition } from '../../core/exposure/conditions.ts'
import { DRIVETRAINS, USUAL_LINKS, type DrivetrainKind } from '../../core/gearing/drivetrains.ts'
import type { EntryDraft } from '../../core/log/entries.ts'
import type { BikeId, PartId } from '../../core/log/entry.ts'
import type { Garage, PartState } from '../../core/log/garage.ts'
import type { ChainSpec } from '../../core/log/kinds/part.ts'

/** Which bike the notes under a name are about: one of the log, or a new one. */
export type NotesBike =
  | { readonly is: 'here'; readonly bike: BikeId }
  | {
      readonly is: 'new'
      readonly name: string
      readonly gears: DrivetrainKind
      readonly usual: Condition
      /** What it is, in a few words. */
      readonly note: string
    }

/** A stretch that a chain spent on the bike, as the log has it or as the notes make it. */
interface OnBike {
  readonly part: PartId
  readonly from: string
  readonly to?: string
}

/** A bike as the notes are followed: which chain is on, and what was counted. */
export interface FollowedBike {
  readonly id: BikeId
  readonly isNew: boolean
  readonly speeds: number
  readonly links: number
  /** What the log has of its chains, in order of time. */
  readonly logged: readonly OnBike[]
  /** What the notes add, in order of time. */
  readonly added: OnBike[]
  /** Chains by the names that people give them, in small letters. */
  readonly named: Map<string, PartId>
  /** How many chains it has had. */
  chains: number
  /** The last figure of a count, km, and when it was written. */
  count?: { readonly km: number; readonly at: string }
  /** What was ridden since the first row, km, where rows tell only what lies between them. */
  sum: number
}

const chainsOn = (garage: Garage, bike: BikeId): PartState[] =>
  [...garage.parts.values()].filter(
    ({ entry, fittings }) => entry.spec.type === 'chain' && fittings.some((fitting) => fitting.bike === bike),
  )

/** A bike of the log, as the notes find it. */
export function bikeHere(garage: Garage, bike: BikeId): FollowedBike {
  const chains = chainsOn(garage, bike)
  const links = chains.at(-1)?.entry.spec
  return {
    id: bike,
    isNew: false,
    speeds: garage.bikes.get(bike)?.entry.speeds ?? 11,
    links: links?.type === 'chain' ? links.links : USUAL_LINKS,
    logged: chains
      .flatMap(({ fittings }) => fittings.filter((fitting) => fitting.bike === bike))
      .sort((a, b) => (a.from < b.from ? -1 : 1)),
    added: [],
    named: new Map(chains.map(({ entry }) => [entry.name.toLowerCase(), entry.part])),
    chains: chains.length,
    sum: 0,
  }
}

/** A bike that the notes bring, and its entry, as of the start of the day of the first of them. */
export function bikeOfNotes(
  told: Extract<NotesBike, { is: 'new' }>,
  id: BikeId,
  firstAt: string,
): { readonly bike: FollowedBike; readonly draft: EntryDraft } {
  const { shifting, motor, speeds } = DRIVETRAINS[told.gears]
  const { name, note, usual } = told
  return {
    bike: {
      id,
      isNew: true,
      speeds,
      links: USUAL_LINKS,
      logged: [],
      added: [],
      named: new Map(),
      chains: 0,
      sum: 0,
    },
    draft: {
      kind: 'bike',
      at: startOfDay(firstAt),
      bike: id,
      name,
      note,
      speeds,
      shifting,
      motor,
      usualCondition: usual,
      storage: 'indoors',
    },
  }
}

/** The start of a moment's day, in the reader's own time. */
export function startOfDay(at: string): string {
  const day = new Date(at)
  day.setHours(0, 0, 0, 0)
  return day.toISOString()
}

/** A moment so many seconds after another: what was done on one day still has an order. */
export const later = (at: string, seconds: number): string =>
  new Date(Date.parse(at) + 1000 * seconds).toISOString()

/** The chain that was on the bike at a moment, as far as the log and the notes so far tell. */
export function chainAt({ logged, added }: FollowedBike, at: string): PartId | undefined {
  const own = added.findLast(({ from }) => from <= at)
  const held = logged.findLast(({ from, to }) => from <= at && (to === undefined || to > at))
  if (own && held) return own.from >= held.from ? own.part : held.part
  return (own ?? held)?.part
}

/** The first fitting of a chain in the log after a moment. */
export const nextLogged = ({ logged }: FollowedBike, at: string): OnBike | undefined =>
  logged.find(({ from }) => from > at)

const SAME_SWAP_MS = 3 * 86_400_000

/** A swap that the log has already, within three days of a moment. */
export const swapLogged = ({ logged }: FollowedBike, at: string): OnBike | undefined =>
  logged.find(({ from }) => Math.abs(Date.parse(from) - Date.parse(at)) <= SAME_SWAP_MS)

/** What a chain that the notes bring is. */
export interface NewChain {
  readonly past: ChainSpec['past']
  readonly name?: string
  /** What it had done before the notes begin, km. */
  readonly usedKm?: number
}

/**
 * Puts a chain of the notes on the bike: the drafts of it, and the state of the bike thereafter.
 * @param off where the chain goes that was on
 */
export function putOn(
  bike: FollowedBike,
  chain: NewChain | { readonly part: PartId },
  at: string,
  newId: (what: string) => string,
  off: 'shelf' | 'retired' = 'retired',
): EntryDraft[] {
  const before = chainAt(bike, at)
  const drafts: EntryDraft[] = []
  if (before !== undefined) drafts.push({ kind: 'remove', at, part: before, to: off })
  let part: PartId
  if ('part' in chain) part = chain.part
  else {
    bike.chains++
    const name = chain.name ?? `Chain ${bike.chains}`
    part = newId(`chain ${bike.id} ${bike.chains} ${name}`)
    bike.named.set(name.toLowerCase(), part)
    const { past, usedKm } = chain
    drafts.push({
      kind: 'part',
      at,
      part,
      name,
      spec: { type: 'chain', links: bike.links, speeds: bike.speeds, past },
      ...(usedKm !== undefined && usedKm > 0 && { used: { km: Math.round(usedKm) } }),
    })
  }
  drafts.push({ kind: 'fit', at, part, bike: bike.id })
  bike.added.push({ part, from: at })
  return drafts
}
